import type { FormulaDocument } from '#contracts/formula'
import type { Portion } from '#contracts/result'
import type { RunSetup } from '#contracts/run'
import type { PlanWindow } from './window'
import type { LyeJug } from '../../heat/dissolving'
import type { OnScale } from '../../formula/onScale'
import type { Library } from '../../materials/library'
import type { Formatter } from '../../units/formatter'
import type { Dividing, Pot } from './pots'
import type { Step, Weighing } from './step'

/** What all parts of the plan are made from. */
export interface PlanContext {
  document: FormulaDocument
  library: Library
  onScale: OnScale
  pots: Pot[]
  dividing: Dividing
  setup: RunSetup
  say: Formatter
  /** Milk, honey water and the like are in it: everything stays under the guard. */
  scorches: boolean
  /** The hot lye melts the hard fats: the two are one before there is anything to wait for. */
  meltsByLye: boolean
  /** When lye and oils may be combined. */
  window: PlanWindow
  /** One lye jug of each pot, or the one for all. */
  jugs: LyeJug[]
}

/** Shares of the target within which a weighing is as planned; at least one step of the scale. */
const tolerances: Record<Weighing['kind'], number> = {
  water: 0.01,
  ice: 0.01,
  naoh: 0.005,
  koh: 0.005,
  solution: 0.005,
  fat: 0.01,
  carrier: 0.03,
  liquid: 0.01,
  additive: 0.02,
  scent: 0.01,
  share: 0.01,
}

/**
 * g by which a weighing may miss: half a per cent for lye, more for what matters less, in whole steps of the scale.
 * @example toleranceOf('naoh', 1300, 1) // 6
 */
export const toleranceOf = (kind: Weighing['kind'], grams: number, scale: number): number =>
  Math.max(scale, Math.floor((grams * tolerances[kind]) / scale + 1e-9) * scale)

/**
 * A step id with its pot.
 * @example at('weigh-lye', 2) // 'weigh-lye@2'
 */
export const at = (id: string, pot: number | null): string => (pot === null ? id : `${id}@${pot}`)

type Bare = Omit<Weighing, 'tolerance' | 'share' | 'alone' | 'pot'> & Partial<Weighing>
type WeighStep = Omit<Partial<Step>, 'weigh'> & Pick<Step, 'id' | 'says' | 'how'> & { weigh: Bare }

/**
 * A step that weighs something.
 * @example weighStep(bench().ctx, { id: 'x', says: '', how: '', weigh: { kind: 'fat', id: 'olive', name: 'Olive oil', substance: 'fat', grams: 950 } }).weigh.tolerance
 *   // 9
 */
export function weighStep({ onScale }: PlanContext, step: WeighStep): Step {
  const pot = step.weigh.pot ?? null
  return {
    kind: 'weigh',
    short: step.weigh.name.split(',')[0]!,
    minutes: 1,
    after: [],
    needed: true,
    ...step,
    id: at(step.id, pot),
    pot: pot ?? undefined,
    weigh: {
      share: 0,
      alone: false,
      ...step.weigh,
      pot,
      tolerance: toleranceOf(step.weigh.kind, step.weigh.grams, onScale.scale),
    },
  }
}

type PortionStep = Omit<WeighStep, 'id' | 'weigh'> & { id?: string; alone?: boolean }

/**
 * A step that weighs one portion of the formula: a fat, a liquid, an extra or a scent.
 * @example portionStep(bench().ctx, 'fat', { id: 'olive', name: 'Olive oil', grams: 950 }, 1, { says: 'Olive oil', how: 'Pour.' }).id
 *   // 'weigh:fat:olive@1'
 */
export function portionStep(
  ctx: PlanContext,
  kind: 'fat' | 'liquid' | 'additive' | 'scent',
  { id, name, grams }: Portion,
  pot: number | null,
  { alone = false, ...step }: PortionStep,
): Step {
  return weighStep(ctx, {
    id: `weigh:${kind}:${id}`,
    ...step,
    weigh: { kind, id, name, substance: kind, grams, pot, alone },
  })
}

/**
 * Words such as "for the smoke pot".
 * @example forPot({ pots: [{ name: 'smoke' }] }, 0) // ', smoke'
 */
export const forPot = ({ pots }: PlanContext, pot: number | null): string =>
  pot === null ? '' : `, ${pots[pot]!.name}`
