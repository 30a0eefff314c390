import { sumOf } from '../../statistics/sum'
import { stageText } from './batter'
import { isDone, type RunState } from './run'
import type { Plan } from '../plan/plan'
import type { Step, VesselPlan } from '../plan/step'

/** A vessel on the table: what is in it, how it stands, and whether it is caustic. */
export interface Stands {
  id: string
  says: string
  holds: { name: string; grams: number }[]
  how: string
  lye: boolean
}

/**
 * What stands where in the middle of a run, for somebody who takes it over: each vessel with something in it, the caustic ones
 * first. What was divided or combined stands in its cups and pots.
 * @example standsNow(bench().plan, bench().state) // []
 */
export function standsNow(plan: Plan, state: RunState): Stands[] {
  const done = (fits: (step: Step) => boolean) =>
    plan.steps.some((step) => fits(step) && isDone(state, step.id))
  /** Whether all that was in a vessel has gone into cups by weight. */
  const divided = (what: string) => {
    const shares = plan.steps.filter(({ weigh }) => weigh?.kind === 'share' && weigh.id === what)
    return shares.length > 0 && shares.every(({ id }) => isDone(state, id))
  }
  const weighedInto = (vessels: string[]) =>
    plan.steps.filter(
      (step) =>
        vessels.includes(step.vessel ?? '') &&
        step.weigh &&
        (state.steps.get(step.id)?.grams ?? 0) > 0,
    )
  const stands = ({ id, says }: VesselPlan): Stands[] => {
    const [kind, at] = id.split('@')
    const pot = at === undefined ? null : Number(at)
    const own = (step: Step) => (step.pot ?? null) === pot
    const dissolved = done((step) => step.kind === 'dissolve' && own(step))
    const combined = done(
      (step) => step.kind === 'combine' && (step.pot === undefined || step.pot === pot),
    )
    const poured = done(
      (step) => step.kind === 'pour' && (step.pot === undefined || step.pot === pot),
    )
    const cups = [`lye-cup${at ? `@${at}` : ''}`, `koh-cup${at ? `@${at}` : ''}`]
    const isCup = cups.includes(id)
    const isLye = isCup || kind === 'lye-jug' || kind === 'lye-share'
    const empty =
      (isCup && dissolved) ||
      (isLye && combined) ||
      (kind === 'lye-jug' && divided('lye')) ||
      (kind === 'pan' && (divided('oils') || divided('batter'))) ||
      (!isLye && combined && poured)
    const steps = weighedInto(kind === 'lye-jug' && dissolved ? [id, ...cups] : [id])
    if (empty || !steps.length) return []
    const isBatter = combined && (kind === 'pan' || kind === 'pot')
    const stage = stageText(state.marks.findLast((mark) => mark.pot === (pot ?? 0))?.stage)
    const how = () => {
      if (isBatter) return `batter with lye in it${stage ? `, ${stage}` : ''}`
      if (kind === 'lye-share' || (kind === 'lye-jug' && dissolved)) return 'lye solution'
      if (isCup) return 'dry lye'
      return kind === 'pan' && done((step) => step.kind === 'melt') ? 'melted' : ''
    }
    return [
      {
        id,
        says,
        holds: steps.map((step) => ({
          name: step.weigh!.name,
          grams: state.steps.get(step.id)!.grams,
        })),
        how: how(),
        lye: isBatter || isCup || kind === 'lye-share' || (kind === 'lye-jug' && dissolved),
      },
    ]
  }
  return plan.vessels
    .flatMap(stands)
    .sort(
      (a, b) =>
        Number(b.lye) - Number(a.lye) ||
        sumOf(b.holds, ({ grams }) => grams) - sumOf(a.holds, ({ grams }) => grams),
    )
}
