import { trialSchema, type Trial, type TrialPot } from '#contracts/trial'
import { randomSource } from '#core/statistics/randomSource'
import { newCodes } from '#core/trials/codes'
import {
  foretoldOf,
  plainMinutes,
  plainOilShare,
  plainRatio,
  potGel,
  potOrder,
  scentsNeeded,
  trialBatters,
  type Foretold,
} from '#core/trials/plan'
import { standingOf } from '#core/rack/standing'
import { z } from 'zod'

/** What a trial day is planned with, before it is one: kept on this device until it is. */
const draftSchema = z.object({
  formulaId: z.string().nullable(),
  batchId: z.string().nullable(),
  grams: z.number(),
  rate: z.number(),
  ratio: z.number().nullable(),
  varies: z.enum(['nothing', 'rate', 'water']),
  plain: z.number().int(),
  day: z.string(),
  keptC: z.number().nullable(),
  /** One for each pot with scent; its own rate or water where those differ. */
  taken: z.array(
    z.object({
      scentId: z.string(),
      code: z.string(),
      rate: z.number().nullable(),
      ratio: z.number().nullable(),
    }),
  ),
  plainCodes: z.array(z.string()),
})
export type TrialDraft = z.infer<typeof draftSchema>
const draftKey = 'mantle-trial-plan'
/** Pots in a day at most: more nobody looks at in time. */
export const mostPots = 24

/** A pot on the tray, with what is foretold of it. */
export interface PlannedPot extends TrialPot {
  dose: number
  foretold: Foretold
  /** The most of its scent that its sheet allows, as a share of the oils; null where it does or nobody knows. */
  above: number | null
  /** Its place in the draft; null for a plain one. */
  taken: number | null
}

/** Plans a trial day: the choices, and the pots that follow from them. */
export function useTrialPlan() {
  const formulas = useFormulas()
  const batches = useBatches()
  const trials = useTrials()
  const scents = useScents()
  const materials = useMaterials()
  const workshop = useWorkshop()
  const { mostOf } = useScentRows()

  const fresh = (): TrialDraft => ({
    formulaId: trials.list[0]?.document.formulaId ?? formulas.list[0]?.id ?? null,
    batchId: null,
    grams: 60,
    rate: workshop.settings.scentRate,
    ratio: null,
    varies: 'nothing',
    plain: 1,
    day: workshop.today,
    keptC: null,
    taken: [],
    plainCodes: [],
  })
  const draft = ref<TrialDraft>(fresh())
  /** Takes up what was begun on this device, if there is something. */
  function takeUp() {
    const kept = keptHere(draftKey, (value) => {
      const parsed = draftSchema.safeParse(value)
      return parsed.success ? parsed.data : null
    })
    draft.value = kept ?? fresh()
    if (draft.value.day < workshop.today) draft.value.day = workshop.today
    draft.value.taken = draft.value.taken.filter(({ scentId }) => scents.known.has(scentId))
    watch(draft, (now) => void keepHere(draftKey, now), { deep: true })
  }
  function forget() {
    forgetHere(draftKey)
  }

  const formula = computed(
    () => formulas.list.find(({ id }) => id === draft.value.formulaId)?.document ?? null,
  )
  /** Batches of the formula whose batter is still to be made. */
  const planned = computed(() =>
    batches.list.filter(
      (batch) =>
        batch.formulaId === draft.value.formulaId &&
        standingOf(batch, workshop.today).stage === 'planned',
    ),
  )
  const ownRatio = computed(() =>
    formula.value ? plainRatio(formula.value, materials.library) : 2.2,
  )
  const ratio = computed(() => draft.value.ratio ?? Math.round(ownRatio.value * 100) / 100)

  const usedCodes = () => [
    ...trials.list.flatMap(({ document }) => document.pots.map(({ code }) => code)),
    ...scents.list.flatMap(({ document }) => document.code ?? []),
    ...draft.value.taken.map(({ code }) => code),
    ...draft.value.plainCodes,
  ]
  const draw = (count: number) =>
    newCodes(count, usedCodes(), randomSource(Math.floor(workshop.clock() % 2 ** 31)))
  function take(scentId: string) {
    if (draft.value.taken.length + draft.value.plain >= mostPots) return
    const [code] = draw(1)
    draft.value.taken.push({ scentId, code: code!, rate: null, ratio: null })
  }
  function putBack(scentId: string) {
    draft.value.taken = draft.value.taken.filter((one) => one.scentId !== scentId)
  }
  const isTaken = (scentId: string) => draft.value.taken.some((one) => one.scentId === scentId)
  watchEffect(() => {
    const missing = draft.value.plain - draft.value.plainCodes.length
    if (missing > 0) draft.value.plainCodes.push(...draw(missing))
  })

  const shares = computed(() => {
    const of = formula.value
    const ratios = [ratio.value, ...draft.value.taken.flatMap((one) => one.ratio ?? [])]
    return new Map(ratios.map((one) => [one, of ? plainOilShare(of, one, materials.library) : 0]))
  })
  const waterOf = (one: { ratio: number | null }) =>
    (draft.value.varies === 'water' ? one.ratio : null) ?? ratio.value
  const rateOfPot = (one: { rate: number | null }) =>
    (draft.value.varies === 'rate' ? one.rate : null) ?? draft.value.rate

  /** The pots in the order in which they are dosed. */
  const pots = computed((): PlannedPot[] => {
    const of = formula.value
    if (!of) return []
    const { grams, plain, plainCodes, taken, formulaId } = draft.value
    // A plain pot at each water, where waters differ: time is compared with plain batter of the same.
    const waters = [...new Set(taken.map(waterOf))]
    const plainWaters = draft.value.varies === 'water' && waters.length > 1 ? waters : [ratio.value]
    const all: PlannedPot[] = []
    const plainAt = (at: number) =>
      plainMinutes({ formula: of, formulaId }, at, trials.list, materials.library)
    for (let nth = 0; nth < plain; nth++) {
      const water = plainWaters[nth % plainWaters.length]!
      all.push({
        code: plainCodes[nth] ?? 'AAA',
        scentId: null,
        name: 'Plain',
        grams,
        rate: 0,
        ratio: water,
        oilShare: shares.value.get(water) ?? plainOilShare(of, water, materials.library),
        dose: 0,
        foretold: plainAt(water),
        above: null,
        taken: null,
      })
    }
    taken.forEach((one, place) => {
      const water = waterOf(one)
      const rate = rateOfPot(one)
      const known = scents.known.get(one.scentId) ?? null
      const oilShare = shares.value.get(water) ?? 0
      const most = mostOf(known)
      all.push({
        code: one.code,
        scentId: one.scentId,
        name: known?.name ?? '',
        grams,
        rate,
        ratio: water,
        oilShare,
        dose: grams * oilShare * rate,
        foretold: foretoldOf(plainAt(water), known, { rate, ratio: water }),
        above: most !== null && most < rate - 1e-9 ? most : null,
        taken: place,
      })
    })
    return potOrder(
      all,
      all.map(({ foretold }) => foretold.at),
    ).map((place) => all[place]!)
  })
  const batters = computed(() =>
    formula.value && pots.value.length
      ? trialBatters({ formula: formula.value, pots: pots.value }, materials.library)
      : [],
  )
  const needed = computed(() => scentsNeeded(pots.value))
  const gel = computed(() =>
    formula.value
      ? potGel(
          {
            formula: formula.value,
            grams: draft.value.grams,
            keptC: draft.value.keptC,
          },
          materials.library,
        )
      : null,
  )
  /** Why it cannot be planned yet, as a sentence; empty when it can. */
  const missing = computed(() => {
    if (!formula.value) return 'Choose the formula whose batter it is.'
    if (!draft.value.taken.length) return 'Take a scent out of the drawer.'
    if (!draft.value.plain) return 'Add a plain pot: time is told against it.'
    return ''
  })
  const asTrial = (number: number): Trial =>
    trialSchema.parse({
      number,
      day: draft.value.day,
      formulaId: draft.value.formulaId,
      formula: formula.value,
      batchId: draft.value.batchId,
      varies: draft.value.varies,
      pots: pots.value.map(({ code, scentId, name, grams, rate, ratio: water, oilShare }) => ({
        code,
        scentId,
        name,
        grams,
        rate,
        ratio: water,
        oilShare,
      })),
      keptC: draft.value.keptC,
    })
  return {
    draft,
    takeUp,
    forget,
    formula,
    planned,
    ratio,
    pots,
    batters,
    needed,
    gel,
    missing,
    take,
    putBack,
    isTaken,
    asTrial,
  }
}
