import type { Stored } from '#contracts/document'
import { planks, type FirstPath, type Kitchen, type Plank } from '#contracts/firstSoap'
import {
  firstFormula,
  firstWeights,
  hardlyAny,
  kitchenLines,
  lyeGoes,
  notYet,
  worryAnswer,
} from '#core/journal/firstSoap'
import { daysBetween } from '#core/units/days'

/** The first soap: what the kitchen has, how far somebody has come, and what the next plank asks. It waits as long as it likes. */
export function useFirstSoap() {
  const paths = usePaths()
  const formulas = useFormulas()
  const batches = useBatches()
  const materials = useMaterials()
  const toasts = useToasts()
  const workshop = useWorkshop()
  const { today, say } = storeToRefs(workshop)
  const stored = shallowRef<Stored<FirstPath> | null>(null)
  const loaded = ref(false)

  async function load() {
    await Promise.all([paths.load(), formulas.load(), batches.load(), materials.load()])
    stored.value = paths.list.at(-1) ?? null
    loaded.value = true
  }
  const path = computed(
    (): FirstPath =>
      stored.value?.document ?? {
        who: '',
        begunOn: today.value,
        kitchen: null,
        formulaId: null,
        done: {},
        moves: 0,
        drops: [],
        worries: [],
      },
  )
  /** The path's own batch: the first that was made of its formula. */
  const batch = computed(
    () => batches.list.findLast(({ formulaId }) => formulaId === path.value.formulaId) ?? null,
  )
  let id = newId()
  const inTurn = oneByOne()
  /** Changes go one after the other, each on what the one before it left. */
  const change = (changes: Partial<FirstPath>): Promise<boolean> =>
    inTurn(async () => {
      try {
        const now = stored.value
        stored.value = await paths.save(now?.id ?? id, now?.revision ?? 0, {
          ...path.value,
          ...changes,
        })
        return true
      } catch (error) {
        toasts.show(sentenceOf(error), { bad: true })
        return false
      }
    })

  const formula = computed(
    () => formulas.list.find((one) => one.id === path.value.formulaId)?.document ?? null,
  )
  const kitchen = computed(() => path.value.kitchen)
  const weights = computed(() => {
    const { who } = path.value
    if (!kitchen.value) return null
    const document = formula.value ?? firstFormula(who, kitchen.value)
    return firstWeights(document, kitchen.value.scale, materials.library)
  })
  const lines = computed(() =>
    kitchen.value ? kitchenLines(kitchen.value, weights.value, say.value) : [],
  )
  const goes = computed(() => {
    const made = batch.value?.facts
    // What was weighed decides, once something was.
    if (made?.pouredOn) return made.lyeHeavy !== null && made.lyeHeavy < hardlyAny
    const document = formula.value
    return Boolean(
      document &&
      kitchen.value &&
      weights.value &&
      lyeGoes(document, weights.value.superfat, kitchen.value.scale, materials.library),
    )
  })

  /** Planks that the batch itself tells of need no tick. */
  const done = computed((): Partial<Record<Plank, string>> => {
    const facts = batch.value?.facts
    return {
      ...path.value.done,
      ...(facts?.pouredOn ? { batch: facts.pouredOn } : {}),
      ...(facts?.cutOn ? { cut: facts.cutOn } : {}),
      ...(facts?.weighedOn && facts.pouredOn && daysBetween(facts.pouredOn, facts.weighedOn) >= 6
        ? { weigh: facts.weighedOn }
        : {}),
    }
  })
  const here = computed((): Plank | null => planks.find((plank) => !done.value[plank]) ?? null)
  const chosen = ref<Plank | null>(null)
  const at = computed((): Plank => chosen.value ?? here.value ?? 'wash')
  const tick = (plank: Plank) =>
    change({ done: { ...path.value.done, [plank]: today.value } }).then((kept) => {
      if (kept) chosen.value = null
      return kept
    })

  /** What the kitchen has becomes what the workshop goes by: its scale, its thermometer. */
  async function keepKitchen(who: string, now: Kitchen) {
    const kept = await change({
      who,
      kitchen: now,
      done: { ...path.value.done, kitchen: today.value },
    })
    if (!kept) return
    chosen.value = null
    try {
      await workshop.answer('scale', {
        scale: now.scale,
        bench: { ...workshop.settings.bench, thermometer: now.thermometer },
      })
      // A formula that is there follows the kitchen, and says what moved.
      const old = formulas.list.find((one) => one.id === path.value.formulaId)
      if (old && !batch.value) {
        const next = firstFormula(who, now)
        const before = weights.value?.batter ?? 0
        await formulas.save(old.id, old.revision, {
          ...old.document,
          size: next.size,
          method: { ...old.document.method, tool: next.method.tool },
        })
        const after = weights.value?.batter ?? before
        if (Math.abs(after - before) > 1)
          toasts.show(
            `The formula follows: ${say.value.amount(before)} became ${say.value.amount(after)}.`,
          )
      }
    } catch (error) {
      toasts.show(sentenceOf(error), { bad: true })
    }
  }
  async function makeFormula() {
    const { who } = path.value
    if (!kitchen.value) return
    try {
      const document = firstFormula(who, kitchen.value)
      const formulaId = await formulas.create({
        ...document,
        name: formulas.freeName(document.name),
      })
      await change({ formulaId, done: { ...path.value.done, formula: today.value } })
      chosen.value = null
    } catch (error) {
      toasts.show(sentenceOf(error), { bad: true })
    }
  }
  const worry = (text: string) =>
    change({ worries: [...path.value.worries, { day: today.value, text: text.trim() }] })
  const answers = computed(() =>
    [...path.value.worries].reverse().map((one) => ({ ...one, answer: worryAnswer(one.text) })),
  )
  async function leave() {
    if (stored.value) await paths.remove(stored.value)
    stored.value = null
    id = newId()
  }
  return {
    load,
    loaded,
    stored,
    path,
    formula,
    kitchen,
    weights,
    lines,
    goes,
    done,
    here,
    at,
    chosen,
    batch,
    blocked: computed(() => (kitchen.value ? notYet(kitchen.value) : null)),
    change,
    tick,
    keepKitchen,
    makeFormula,
    worry,
    answers,
    leave,
  }
}
