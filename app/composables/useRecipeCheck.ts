import type { OwnFat } from '#contracts/material'
import { blankMaterial, ownColourant } from '#core/materials/own'
import { judgeRecipe } from '#core/recipe/judge'
import { piecesOf } from '#core/recipe/pieces'
import { readRecipe, weighed, type RecipeLine } from '#core/recipe/read'
import type { LineReading } from '#core/words/reading'
import { useSessionStorage } from '@vueuse/core'

/** A recipe being checked: its lines as written, what each was taken for, what is asked, and what it comes to. */
export function useRecipeCheck() {
  const materials = useMaterials()
  const { library } = storeToRefs(materials)
  const workshop = useWorkshop()
  const { say } = storeToRefs(workshop)
  const formulas = useFormulas()
  const toasts = useToasts()

  /** The lines as written, one thing each. */
  const pieces = useSessionStorage<string[]>('mantle-recipe-lines', [])
  /** Answers given, by the words they were given to: which option, and which of the question after it. */
  const answers = useSessionStorage<Record<string, number[]>>('mantle-recipe-answers', {})
  const ownFat = ref<LineReading | null>(null)

  const context = useReadingContext()
  const read = computed(() => readRecipe(pieces.value.join('\n'), context.value))
  /** A line with the answers that were given to it. */
  function answered(line: RecipeLine): RecipeLine {
    let now: LineReading = line
    for (const choice of answers.value[line.text] ?? []) {
      const option = now.options[choice]
      if (!option) break
      now = { ...option.reading, text: line.text }
    }
    return now === line ? line : weighed(now, context.value)
  }
  const lines = computed(() => read.value.map(answered))
  const report = computed(() => judgeRecipe(lines.value, context.value, say.value))
  const isAnswered = (line: RecipeLine) => (answers.value[line.text] ?? []).length > 0

  function take(line: RecipeLine, choice: number) {
    const option = line.options[choice]
    if (!option) return
    if (option.reading.own === 'fat') ownFat.value = option.reading
    else
      answers.value = {
        ...answers.value,
        [line.text]: [...(answers.value[line.text] ?? []), choice],
      }
  }
  function reopen(line: RecipeLine) {
    const { [line.text]: _, ...rest } = answers.value
    answers.value = rest
  }
  /** A fat the library lacks is written down with its value; from then on its name is known everywhere. */
  async function keepFat(sap: number | null) {
    const fat = ownFat.value
    ownFat.value = null
    if (!fat || sap === null) return
    const blank = blankMaterial('fat') as OwnFat
    try {
      await materials.save(fat.id!, materials.recordOf(fat.id!)?.revision ?? 0, {
        ...blank,
        id: fat.id!,
        name: fat.name,
        sap: { low: sap * 0.97, typical: sap, high: sap * 1.03 },
      })
    } catch (error) {
      toasts.show(sentenceOf(error), { bad: true })
    }
  }

  function paste(text: string) {
    answers.value = {}
    pieces.value = piecesOf(text, library.value.spoons)
  }
  /** A line was edited: what now tells of several things becomes several lines. */
  function edit(index: number, text: string) {
    const now = piecesOf(text, library.value.spoons)
    pieces.value = pieces.value.flatMap((piece, place) =>
      place === index ? (now.length ? now : []) : [piece],
    )
  }
  const add = (text: string) =>
    (pieces.value = [...pieces.value, ...piecesOf(text, library.value.spoons)])
  const clear = () => {
    pieces.value = []
    answers.value = {}
  }

  /** Makes a formula of it; colourants nobody listed are written down as the workshop's own first. */
  async function takeOver(): Promise<string | null> {
    if (report.value.open.length) return null
    try {
      for (const line of lines.value.filter(({ own }) => own === 'colour'))
        if (!materials.recordOf(line.id!))
          await materials.save(line.id!, 0, ownColourant(line.id!, line.name))
      const title = lines.value.find(({ kind }, index) => kind === 'title' && index === 0)
      return await formulas.create({
        ...report.value.document,
        name: formulas.freeName(title?.text.slice(0, 60) ?? 'Recipe taken over'),
        notes: `Taken over from:\n${pieces.value.join('\n')}`.slice(0, 20_000),
      })
    } catch (error) {
      toasts.show(sentenceOf(error), { bad: true })
      return null
    }
  }

  return {
    pieces,
    lines,
    report,
    context,
    ownFat,
    take,
    reopen,
    isAnswered,
    keepFat,
    paste,
    edit,
    add,
    clear,
    takeOver,
  }
}
