import type { BatterStage, Rescue } from '#contracts/benchWords'
import { settingC } from '../../batter/settingPoint'
import { mixingC } from '../../batter/workingTime'
import type { PlanContext } from '../plan/context'
import type { Plan } from '../plan/plan'
import { stageRank } from './batter'
import type { Mark, RunState } from './run'

/** What may be wrong with a batter that thickens too soon, or is too thick. */
export type Doubt = 'false-trace' | 'too-fast' | 'too-far'

/** °C that tell a fat that sets from a soap that forms. Null where nobody measured, or the blend does not set. */
export interface Mixed {
  lyeC: number | null
  oilsC: number | null
  mixedC: number | null
  setsC: number | null
}

/** What to do about a batter now. One thing at a time: the key that is lit is this phase's. */
export interface Guide {
  id: Doubt | 'parted'
  /** Take the blender out; hands off until a moment; look; stir by hand; what helps once it is truly soap. */
  phase: 'stop' | 'wait' | 'look' | 'by-hand' | 'remedy'
  says: string
  because: string
  steps: string[]
  /** Minutes on the bench's clock at which to look; null unless hands are off. */
  lookAt: number | null
  /** g of warm water that this pot may still have; 0 where it does not help, or where it has had it. */
  water: number
  mixed: Mixed
}

/** More warm water than this loosens no further and only softens the bar: so much of the pot's own lye. */
const waterStep = 0.15
/** Minutes of hands off before a batter shows whether it parts. */
export const handsOff = 2

/** Whose batter it is, and what is known of it. */
export interface AboutBatter {
  ctx: PlanContext
  plan: Plan
  /** Minutes after the lye at which this pot usually reaches each stage. */
  usually: Record<BatterStage, number>
  lyeC: number | null
  oilsC: number | null
  /** Null where one batter is all of it. */
  pot: number | null
}

/** What a batter is mixed at, and where its fats begin to set. */
function mixedOf({ ctx, lyeC, oilsC, pot }: AboutBatter): Mixed {
  const { document, result } = pot === null ? { ...ctx, ...ctx.onScale } : ctx.pots[pot]!
  const known = lyeC !== null && oilsC !== null
  return {
    lyeC,
    oilsC,
    mixedC: known
      ? mixingC({ ...document, method: { ...document.method, lyeC, oilsC } }, result)
      : null,
    setsC: settingC({ result: ctx.onScale.result, library: ctx.library }),
  }
}

/** Whether it was mixed so cold that its hard fats may set. */
const isCold = ({ mixedC, setsC }: Mixed): boolean =>
  mixedC !== null && setsC !== null && mixedC < setsC + 3
/** K that the vessels were apart; 0 where nobody measured. */
const apartBy = ({ lyeC, oilsC }: Mixed): number =>
  lyeC !== null && oilsC !== null ? Math.abs(lyeC - oilsC) : 0

/**
 * What a mark means: trace (null), false trace, a batter that runs away, or one too thick to pour.
 * @param minutes since the lye went in
 * @example doubtOf(bench().about, 'thick', 3) // 'too-fast'
 */
export function doubtOf(
  about: AboutBatter,
  stage: BatterStage,
  minutes: number,
  mixed: Mixed = mixedOf(about),
): Doubt | null {
  if (stage === 'too-far') return 'too-far'
  if (stageRank(stage) < stageRank('medium') || minutes >= about.usually[stage] * 0.5) return null
  return isCold(mixed) || apartBy(mixed) > about.plan.window.apart + 2 ? 'false-trace' : 'too-fast'
}

/**
 * g of warm water that a pot may still have: a sixth part or so of its own lye, once.
 * @example rescueWater({ ctx: bench().ctx, pot: null }, 0) // 19
 */
export function rescueWater({ ctx, pot }: Pick<AboutBatter, 'ctx' | 'pot'>, had: number): number {
  const { lye } = pot === null ? ctx.onScale.result : ctx.pots[pot]!.result
  return Math.max(0, Math.round((lye.pureNaoh + lye.pureKoh) * waterStep - had))
}

/** What ends a doubt: somebody looked, or is sure. */
const ends = new Set<Rescue>(['is-trace', 'waited', 'simpler-pour', 'dough'])

/** The first mark of a pot that is in doubt and that nobody has answered yet, with what was told of it since. */
function openDoubt(
  about: AboutBatter,
  mixed: Mixed,
  marks: Mark[],
  rescued: RunState['rescued'],
  since: number,
) {
  for (const mark of marks) {
    const doubt = doubtOf(about, mark.stage, mark.minutes - since, mixed)
    if (!doubt) continue
    const told = rescued.filter(({ minutes }) => minutes >= mark.minutes)
    if (told.some(({ how }) => ends.has(how))) continue
    const looked = told.some(({ how }) => how === 'smooth')
    if (doubt === 'false-trace' && looked) continue
    return { mark, doubt, looked, stopped: told.find(({ how }) => how === 'stopped') ?? null }
  }
  return null
}

/**
 * The guide of a pot's batter: what is in doubt, and the one thing to do about it now. Null while all is as it should be.
 * @param pot as marks name it; 0 where one batter is all of it
 * @param now minutes on the bench's clock
 * @param since when the pot's lye went in, on the same clock
 * @example guideOf(bench().about, bench().state, 0, 0, 30) // null
 */
export function guideOf(
  about: AboutBatter,
  state: RunState,
  pot: number,
  since: number,
  now: number,
): Guide | null {
  const { ctx, usually } = about
  const { say } = ctx
  const marks = state.marks.filter((mark) => mark.pot === pot)
  const rescued = state.rescued.filter((one) => one.pot === pot)
  const mixed = mixedOf(about)
  const none = { lookAt: null, water: 0, mixed }
  const last = rescued.at(-1)
  if (
    last?.how === 'weeps' &&
    !marks.some(({ counted, minutes }) => counted && minutes > last.minutes)
  )
    return {
      id: 'parted',
      phase: 'by-hand',
      says: 'It parts: hard fat has set, it is not soap yet.',
      because: 'What was marked before does not count as an emulsion.',
      steps: [
        'Stir on by hand; stand the bowl in warm water until it loosens.',
        'Blend again only when it is smooth and shiny. Then it truly emulsifies.',
        'Mark what you see then.',
      ],
      ...none,
    }
  const open = openDoubt(
    about,
    mixed,
    marks.filter(({ counted }) => counted),
    rescued,
    since,
  )
  if (!open) return null
  const { mark, doubt, looked, stopped } = open
  if (doubt === 'too-far')
    return {
      id: 'too-far',
      phase: 'remedy',
      says: 'Too thick to pour.',
      because: 'It is still soap: the weights decide that, not the pour.',
      steps: [
        'Scoop it into the mould and press the air out with a spoon; a cut bar hides it.',
        'Or keep it under film as modelling dough for tops and balls.',
      ],
      ...none,
    }
  const at = `${say.number(mark.minutes - since, 1)} minutes after the lye, where this usually takes about ${say.number(usually[mark.stage])}`
  if (doubt === 'false-trace') {
    const lookAt = stopped ? stopped.minutes + handsOff : null
    return {
      id: 'false-trace',
      phase: lookAt === null ? 'stop' : now < lookAt ? 'wait' : 'look',
      says: 'Probably false trace: hard fat is setting, it is not soap yet.',
      because: `${at}. ${
        isCold(mixed)
          ? `Mixed at ${say.temperature(mixed.mixedC!)}; this blend begins to set at about ${say.temperature(mixed.setsC!)}.`
          : `One vessel was ${say.degreesApart(apartBy(mixed))} colder than the other.`
      }`,
      steps: [
        'Blender out, hands off for two minutes.',
        'Look: does it weep oil or water at the edge, is it dull and grainy?',
        'If it weeps: by hand, the bowl in warm water.',
      ],
      ...none,
      lookAt,
    }
  }
  return {
    id: 'too-fast',
    phase: looked ? 'remedy' : 'look',
    says: 'It is thickening too fast.',
    because: `${at}. Temperatures, water, then what was added last: that is where the cause is looked for.`,
    steps: looked
      ? [
          'Blender away; stir by hand.',
          'Warm water in one go loosens it, no more than said. It is counted in the record.',
          'Drop the fancy pour: layers or scoops. Or keep the thick pot as dough.',
        ]
      : [
          'Lift the blender out and look at it and at the edge of the bowl.',
          'If it parts, it is fat that sets: no water then, stir by hand in warm water.',
          'If it is smooth and shiny, it truly runs away.',
        ],
    ...none,
    water: looked ? rescueWater(about, state.watered[pot] ?? 0) : 0,
  }
}
