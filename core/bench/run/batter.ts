import type { BatterStage, VesselKind } from '#contracts/benchWords'
import type { PlanContext } from '../plan/context'
import { settingC } from '../../batter/settingPoint'
import type { Plan } from '../plan/plan'
import type { RunState } from './run'
import { mixingC } from '../../batter/workingTime'
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

export interface Guide {
  id: 'false-trace' | 'too-fast' | 'too-far'
  says: string
  because: string
  steps: string[]
  /** g of warm water to stir in, in one go; 0 where it does not help. */
  water: number
}

/** More water than this at once loosens no further and only softens the bar: so much in water to lye. */
const waterStep = 0.15

/**
 * What a mark means: trace, false trace, or a batter that runs away. Null when it is as it should be.
 * @param usually minutes after the lye at which this formula reaches each stage
 * @param minutes since the lye went in
 * @param lyeC of the lye when combined, °C; null where nobody measured
 * @param oilsC of the oils then
 * @param pot whose batter it is; null where one batter is all of it
 */
export function guideFor(
  ctx: PlanContext,
  plan: Plan,
  usually: Record<BatterStage, number>,
  stage: BatterStage,
  minutes: number,
  lyeC: number | null,
  oilsC: number | null,
  pot: number | null = null,
): Guide | null {
  if (stage === 'too-far')
    return {
      id: 'too-far',
      says: 'Too thick to pour.',
      because: 'It is still soap: the weights decide that, not the pour.',
      steps: [
        'Scoop it into the mould and press the air out with a spoon; a cut bar hides it.',
        'Or keep it under film as modelling dough for tops and balls.',
      ],
      water: 0,
    }
  if (stageRank(stage) < stageRank('medium')) return null
  const usual = usually[stage]
  if (minutes >= usual * 0.5) return null
  const { document, onScale } = ctx
  const mixed =
    lyeC === null || oilsC === null
      ? null
      : mixingC({ ...document, method: { ...document.method, lyeC, oilsC } }, onScale.result)
  const sets = settingC({ result: ctx.onScale.result, library: ctx.library })
  const apart = lyeC !== null && oilsC !== null ? Math.abs(lyeC - oilsC) : 0
  const cold = mixed !== null && sets !== null && mixed < sets + 3
  const at = `${ctx.say.number(minutes, 1)} minutes after the lye, where this formula usually takes about ${ctx.say.number(usual)}`
  if (cold || apart > plan.window.apart + 2)
    return {
      id: 'false-trace',
      says: 'Probably false trace: hard fat is setting, it is not soap yet.',
      because: `${at}. ${
        cold
          ? `Mixed at ${ctx.say.temperature(mixed)}; this blend begins to set at about ${ctx.say.temperature(sets)}.`
          : `One vessel was ${ctx.say.degreesApart(apart)} colder than the other.`
      }`,
      steps: [
        'Stop blending. Wait two minutes and look: dull, grainy, weeping oil or lye?',
        'If it weeps, stir on by hand; stand the bowl in warm water until it loosens.',
        'Blend again only when it is smooth and shiny. Then it truly emulsifies.',
      ],
      water: 0,
    }
  const { lye } = pot === null ? ctx.onScale.result : ctx.pots[pot]!.result
  const water = Math.max(1, Math.round((lye.pureNaoh + lye.pureKoh) * waterStep))
  return {
    id: 'too-fast',
    says: 'It is thickening too fast.',
    because: `${at}. Temperatures, water, then what was added last: that is where the cause is looked for.`,
    steps: [
      'Stop blending now; stir by hand.',
      `Stir in ${ctx.say.mass(water)} of warm water, no more. It is counted in the record.`,
      'Drop the fancy pour: layers or scoops. Or keep the thick pot as dough.',
    ],
    water,
  }
}

/** °C of a vessel when the lye went into the oils: the last reading before. */
export function celsiusAtCombine(state: RunState, vessel: VesselKind): number | null {
  const done = state.combined[0]?.minutes ?? Infinity
  const before = state.readings[vessel].filter(({ minutes }) => minutes <= done)
  return before.at(-1)?.celsius ?? null
}

/** The furthest stage that any pot had reached when it was poured; null where nobody marked. */
export function stageAtPour(state: Pick<RunState, 'marks'>): BatterStage | null {
  const furthest = state.marks.reduce((most, { stage }) => Math.max(most, stageRank(stage)), -1)
  return stages[furthest]?.id ?? null
}
