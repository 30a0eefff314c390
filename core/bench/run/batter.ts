import type { BatterStage, VesselKind } from '#contracts/benchWords'
import type { RunState } from './run'
import { inSentence } from '../../units/language'

/** The stages of a batter in order, as keys 1 to 6, with what each looks like. */
export const stages: { id: BatterStage; says: string; looks: string }[] = [
  { id: 'cloudy', says: 'Cloudy', looks: 'milky, still parts when left alone' },
  { id: 'emulsion', says: 'Emulsion', looks: 'uniform, no oil ring, no grain on the blender' },
  { id: 'light', says: 'Light trace', looks: 'a drizzle rests on top for a moment' },
  { id: 'medium', says: 'Medium', looks: 'holds a line; right for most swirls and layers' },
  { id: 'thick', says: 'Thick', looks: 'is scooped; a skewer’s mark stays' },
  { id: 'too-far', says: 'Too far', looks: 'stands by itself, will not pour' },
]
/**
 * The name of a stage inside a sentence; undefined while none was marked.
 * @example stageText('medium') // 'medium'
 */
export function stageText(stage: BatterStage | null | undefined): string | undefined {
  const named = stages.find(({ id }) => id === stage)
  return named && inSentence(named.says)
}

/**
 * Place of a stage in their order; 0 for the first.
 * @example stageRank('emulsion') < stageRank('medium') // true
 */
export const stageRank = (stage: BatterStage): number => stages.findIndex(({ id }) => id === stage)

/**
 * Minutes after the lye at which each stage usually comes, by the model: emulsion early, the working time from there.
 * @example usualMinutes(20, true) // { cloudy: 0.3, emulsion: 1.5, light: 6.5, medium: 11.5, thick: 18.5, 'too-far': 21.5 }
 */
export function usualMinutes(working: number, blender: boolean): Record<BatterStage, number> {
  const emulsion = blender ? 1.5 : 12
  return {
    cloudy: 0.3,
    emulsion,
    light: emulsion + working * 0.25,
    medium: emulsion + working * 0.5,
    thick: emulsion + working * 0.85,
    'too-far': emulsion + working,
  }
}

/**
 * The readings of a vessel; of a pot's own lye jug where every pot has one.
 * @example readingsOf(bench().state, 'oils') // []
 */
export function readingsOf(
  { readings }: Pick<RunState, 'readings'>,
  vessel: VesselKind,
  pot: number | null = null,
): RunState['readings'][VesselKind] {
  const all = readings[vessel]
  const own = all.filter((one) => one.pot === pot)
  return pot === null || own.length ? own : all.filter((one) => one.pot === null)
}

/**
 * °C of a vessel when the lye went into the oils: the last reading before.
 * @param pot whose lye; the first that was combined where none is named
 * @example celsiusAtCombine(bench().state, 'lye') // null
 */
export function celsiusAtCombine(
  state: Pick<RunState, 'combined' | 'readings'>,
  vessel: VesselKind,
  pot: number | null = null,
): number | null {
  const { combined } = state
  const own = combined.find((one) => one.pot === pot) ?? combined[0]
  const done = own?.minutes ?? Infinity
  return readingsOf(state, vessel, pot).findLast(({ minutes }) => minutes <= done)?.celsius ?? null
}

/**
 * The furthest stage that any pot had reached when it was poured; null where nobody marked.
 * @example stageAtPour({ marks: [] }) // null
 */
export function stageAtPour(state: Pick<RunState, 'marks'>): BatterStage | null {
  const furthest = state.marks
    .filter(({ counted }) => counted)
    .reduce((most, { stage }) => Math.max(most, stageRank(stage)), -1)
  return stages[furthest]?.id ?? null
}
