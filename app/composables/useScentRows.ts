import type { Scent, TriedPot } from '#contracts/scent'
import type { CapUse } from '#contracts/trialWords'
import { mostOfOils } from '#core/scents/caps'
import { findingOf, type Finding } from '#core/scents/finding'
import { plainBarPerOils } from '#core/trials/plan'
import { stretchesOf, type Stretch } from '#core/trials/stretches'
import type { KnownScent } from '#contracts/scent'
import { plainSoap, type PotLook } from '~/utils/potDrawing'

/** A scent as the station lists it. */
export interface ScentRow {
  id: string
  scent: Scent
  supplier: string
  known: KnownScent | null
  finding: Finding
  /** The pot that its ribbon is of: the last one, at the water that most were tried at. */
  pot: TriedPot | null
  stretches: Stretch[]
  look: PotLook
  /** What its batter looks like, by its last photo. */
  batter: string
  /** The most that may go in, as a share of the oils; null where no maximum is written down. */
  most: number | null
  allowed: boolean | null
}

/** The look that tells most of what a pot did. */
function lookOf(pot: TriedPot | null): PotLook {
  if (!pot) return 'emulsion'
  if (pot.seized !== null) return 'seizes'
  if (pot.riced) return 'rices'
  if (pot.loosened) return 'loosens'
  return 'medium'
}

/** The scents of the workshop with what was found of each, and how much of it may go in. */
export function useScentRows(use: MaybeRefOrGetter<CapUse> = 'wash') {
  const scents = useScents()
  const suppliers = useSuppliers()
  const trials = useTrials()
  const materials = useMaterials()
  const { say, settings } = storeToRefs(useWorkshop())

  const supplierOf = computed(
    () => new Map(suppliers.list.map(({ id, document }) => [id, document.name])),
  )
  const potsOf = computed(() => {
    const pots = new Map<string, TriedPot[]>()
    for (const pot of trials.pots)
      if (pot.scentId) pots.set(pot.scentId, [...(pots.get(pot.scentId) ?? []), pot])
    return pots
  })
  /** Plain pots by trial. */
  const plainOf = computed(
    () =>
      new Map(
        trials.list.map(({ id, found }) => [id, found.filter(({ scentId }) => scentId === null)]),
      ),
  )
  /** Minutes to medium of the plain pot that stood beside one, of the same water; null where none did. */
  const plainMinuteOf = (pot: TriedPot | null): number | null =>
    (pot && plainOf.value.get(pot.trialId)?.find(({ ratio }) => ratio === pot.ratio))?.stages.medium
      ?.minutes ?? null
  /** What a bar of the house's batter comes to, dry, per gram of oils. */
  const barPerOils = computed(() => {
    const last = trials.list[0]?.document.formula
    return last ? plainBarPerOils(last, materials.library) : 1.25
  })
  const mostOf = (known: KnownScent | null, of: CapUse = toValue(use)): number | null => {
    const cap = known?.maxima[of]
    return cap === undefined ? null : mostOfOils(cap, barPerOils.value)
  }

  function rowOf(id: string, scent: Scent): ScentRow {
    const known = scents.known.get(id) ?? null
    const pots = potsOf.value.get(id) ?? []
    const ratio = usualRatio(pots)
    const pot = pots.find((one) => one.ratio === ratio) ?? pots[0] ?? null
    const most = mostOf(known)
    return {
      id,
      scent,
      supplier: scent.supplierId ? (supplierOf.value.get(scent.supplierId) ?? '') : '',
      known,
      finding: known
        ? findingOf(known, say.value)
        : { says: 'Not tried here', more: '', minutes: null },
      pot,
      stretches: pot ? stretchesOf(pot.stages, pot.until - pot.zero) : [],
      look: lookOf(pot),
      batter: known?.colour.at(-1)?.swatch ?? plainSoap,
      most,
      allowed: most === null ? null : settings.value.scentRate <= most + 1e-9,
    }
  }
  const rows = computed(() => scents.list.map(({ id, document }) => rowOf(id, document)))
  const byId = computed(() => new Map(rows.value.map((row) => [row.id, row])))
  /** The day a scent was tried last; empty where it never was. */
  const learnedOn = (id: string) => potsOf.value.get(id)?.[0]?.day ?? ''
  const load = () =>
    Promise.all([scents.load(), suppliers.load(), trials.load(), scents.loadKnown()])
  const loaded = computed(() => scents.loaded && suppliers.loaded && trials.loaded)
  const problem = computed(() => scents.problem || suppliers.problem || trials.problem)
  return {
    rows,
    byId,
    potsOf,
    plainOf,
    plainMinuteOf,
    barPerOils,
    mostOf,
    learnedOn,
    load,
    loaded,
    problem,
  }
}

/** The water that most of some pots were tried at. */
function usualRatio(pots: readonly TriedPot[]): number | undefined {
  const count = (ratio: number) => pots.filter((one) => one.ratio === ratio).length
  return [...pots].sort((a, b) => count(b.ratio) - count(a.ratio) || a.ratio - b.ratio)[0]?.ratio
}
