import { findMaterials } from '#core/materials/find'
import type { Material } from '#core/materials/library'
import { ownColourant } from '#core/materials/own'
import { compareLye, isTakeable, takeReading } from '#core/words/typed'
import { computeFormula } from '#core/formula/compute'
import {
  gramsOfReading,
  isLyeKind,
  readAs,
  readLine,
  type LineReading,
  type ReadingContext,
} from '#core/words/reading'
import { roundTo } from '#core/statistics/roundTo'

/** One answer on the typed line: what it says, what it comes to, and what taking it does. */
export interface TypedAnswer {
  key: string
  says: string
  also: string
  act: () => void | Promise<void>
}

/** Colours offered for a colourant nobody listed. */
export const ownColours = [
  '#2f8f8a',
  '#1f6f78',
  '#4aa79e',
  '#5b8fa8',
  '#7ea98a',
  '#3e5c85',
  '#b98aa0',
  '#c99a5b',
  '#8a5a44',
]

/**
 * The typed line of a formula: what was typed, how it reads, what it asks. Four states: empty, reading, asked (digits answer), done.
 * A doubtful line never becomes part of the formula without an answer, and lye is always asked about.
 */
export function useTypedLine() {
  const { document, change, question, history } = useFormulaEditor()
  const materials = useMaterials()
  const { library } = storeToRefs(materials)
  const workshop = useWorkshop()
  const { say } = storeToRefs(workshop)
  const formulas = useFormulas()
  const toasts = useToasts()

  const text = ref('')
  const asked = ref(false)
  /** An answer that leads to another question takes the line's place until that is answered too. */
  const narrowed = ref<LineReading | null>(null)
  const colour = ref(ownColours[0]!)
  const ownFat = ref<LineReading | null>(null)
  const said = ref('')

  const scents = computed(() => {
    const named = formulas.list.flatMap((formula) => formula.document.scents)
    return scentNames(named, library.value)
  })
  const context = computed<ReadingContext>(() => ({
    library: library.value,
    citricAcid: workshop.settings.citricAcid,
    scents: scents.value.map(({ id, name }) => ({ id, name: name ?? id })),
  }))
  const reading = computed(() =>
    text.value.trim() ? (narrowed.value ?? readLine(text.value, context.value)) : null,
  )
  watch(text, () => {
    asked.value = false
    narrowed.value = null
  })

  const isLye = computed(() => !!reading.value && isLyeKind(reading.value.kind))
  const compared = computed(() =>
    reading.value && isLye.value && !reading.value.doubtful
      ? compareLye(document.value, reading.value, library.value)
      : null,
  )
  const wantsAnswer = computed(() => !!reading.value && (reading.value.doubtful || isLye.value))
  watch([wantsAnswer, text], () => {
    question.value = wantsAnswer.value ? text.value.trim() : ''
  })
  onScopeDispose(() => (question.value = ''))

  function done(says: string) {
    said.value = says
    text.value = ''
    narrowed.value = null
    asked.value = false
  }

  /** Takes a reading that is certain; a colourant of one's own is written down first. */
  async function take(chosen: LineReading) {
    if (chosen.own === 'fat') {
      ownFat.value = chosen
      return
    }
    if (chosen.doubtful) {
      narrowed.value = { ...chosen, text: text.value }
      asked.value = true
      return
    }
    if (chosen.kind === 'title') return done('Nothing was added.')
    if (chosen.own === 'colour' && !(await keepColour(chosen))) return
    const scent = scents.value.find(({ id }) => id === chosen.id)
    const next = takeReading(document.value, chosen, library.value, { maxOfBar: scent?.maxOfBar })
    if (next === document.value) return
    change(next)
    done(`${chosen.name}: done.`)
  }

  async function keepColour({ id, name }: LineReading): Promise<boolean> {
    if (materials.recordOf(id!)) return true
    try {
      await materials.save(id!, 0, ownColourant(id!, name, colour.value))
      return true
    } catch (error) {
      toasts.show(sentenceOf(error), { bad: true })
      return false
    }
  }

  function addOwnFat(sap: number | null) {
    const fat = ownFat.value
    ownFat.value = null
    if (!fat) return
    change(takeReading(document.value, fat, library.value, { sap }))
    done(`${fat.name}: done.`)
  }

  /** What the line comes to on this formula, in a few words. */
  function effectOf(chosen: LineReading): string {
    const weight = gramsOfReading(chosen, library.value)
    if (weight) return `${weight.estimated ? '≈ ' : ''}${say.value.mass(weight.grams)}`
    if (chosen.amount?.kind === 'share') return say.value.percent(chosen.amount.share, 2)
    if (chosen.amount?.kind !== 'rate' || chosen.own) return ''
    const next = computeFormula(takeReading(document.value, chosen, library.value), library.value)
    const grams = (chosen.kind === 'scent' ? next.scents : next.additives).at(-1)?.grams
    const { value, unit, per } = chosen.amount
    const each = `${say.value.number(value, Number.isInteger(value) ? 0 : 2)} ${unit} per ${per.replace(/(\d)g/, '$1 g')}`
    return grams ? `${each}, ≈ ${say.value.mass(grams)}` : each
  }

  /** While a name is being typed: what it may become. */
  const completions = computed<Material[]>(() => {
    const now = reading.value
    if (!now?.doubtful || narrowed.value || isLye.value || now.kind === 'superfat') return []
    if (now.kind !== 'unknown' && !now.pegs.some(({ role }) => role === 'left')) return []
    const words = now.pegs.find(({ role }) => role === 'left')
    if (!words || now.options.length <= 1) return []
    const name = now.kind === 'unknown' ? now.name : text.value.slice(0, words.end)
    return findMaterials(library.value, name).slice(0, 5)
  })

  const lyeAnswers = computed<TypedAnswer[]>(() => {
    const lye = compared.value
    if (!lye) return []
    const keep: TypedAnswer = {
      key: 'keep',
      says: `Keep mine, ${say.value.percent(document.value.superfat ?? 0, 2)}`,
      also: say.value.massDown(lye.now),
      act: () => done('Kept as it was.'),
    }
    if (lye.asked < 0 || lye.asked > 0.25) return [keep]
    return [
      {
        key: 'set',
        says: `Set the superfat to ${say.value.percent(lye.asked, 2)}`,
        also: say.value.mass(lye.grams),
        act: () => {
          change({ ...document.value, superfat: roundTo(lye.asked, 10) })
          done('The superfat is set.')
        },
      },
      keep,
    ]
  })

  const answers = computed<TypedAnswer[]>(() => {
    const now = reading.value
    if (!now) return []
    if (isLye.value && !now.doubtful) return lyeAnswers.value
    if (!now.doubtful) return []
    const named = new Set<string>()
    const completed = completions.value.map((material) => {
      named.add(`${material.kind} ${material.id}`)
      const chosen = readAs(text.value, material, context.value)
      return {
        key: `c ${material.kind} ${material.id}`,
        says: material.name,
        also: effectOf(chosen) || 'how much?',
        act: () => take(chosen),
      }
    })
    return [
      ...completed,
      ...now.options
        .filter(({ kind, id }) => !named.has(`${kind} ${id}`))
        .map((option, index) => ({
          key: `o${index}`,
          says: option.kind === 'title' ? 'Add nothing' : option.name,
          also:
            option.reading.own === 'fat'
              ? 'a fat of my own'
              : option.kind === 'title'
                ? ''
                : option.says,
          act: () => take(option.reading),
        })),
    ]
  })

  /** Enter: takes what is certain, or puts a question. */
  function enter() {
    const now = reading.value
    if (!now) return
    if (!wantsAnswer.value && isTakeable(now)) return void take(now)
    asked.value = true
  }
  function leave() {
    asked.value = false
    narrowed.value = null
  }

  return {
    text,
    reading,
    asked,
    answers,
    compared,
    isLye,
    colour,
    ownFat,
    said,
    wantsAnswer,
    effectOf,
    enter,
    leave,
    addOwnFat,
    history,
  }
}
