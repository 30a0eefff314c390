import type { PlanContext } from '../plan/context'
import { celsiusAtCombine, stageRank } from './batter'
import { mayCombine } from '../../heat/meeting'
import type { Plan } from '../plan/plan'
import { safetyCheckPassed, isDone, targetOf, type RunState, weighedSoFar } from './run'
import { sum } from '../../statistics/sum'

/** One thing that a practised maker would have done otherwise. */
export interface Mistake {
  about: 'safety' | 'order' | 'weight' | 'temperature' | 'batter'
  severity: 'stop' | 'think' | 'know'
  says: string
  because: string
}

/** Pots whose batter was, or by this plan would be, too thick before it was poured. */
function tooLate({ say }: PlanContext, plan: Plan, state: RunState): Mistake[] {
  return plan.pots.flatMap((pot, index): Mistake[] => {
    const whose = pot.name ? ` of ${pot.name}` : ''
    const at = (list: { pot: number | null; minutes: number }[]) =>
      list.find((one) => one.pot === index) ?? list.find((one) => one.pot === null)
    const poured = at(state.poured)
    const emulsion =
      state.marks.find(
        (mark) =>
          mark.counted && mark.pot === index && stageRank(mark.stage) >= stageRank('emulsion'),
      ) ?? at(state.combined)
    const took = poured && emulsion ? poured.minutes - emulsion.minutes : null
    if (took !== null && took > pot.working)
      return [
        {
          about: 'batter',
          severity: 'think',
          says: `The batter${whose} was poured ${say.number(took)} minutes after its emulsion; it stays workable for about ${say.number(pot.working)}.`,
          because:
            'In earnest it would have been too thick to pour. More water, cooler, less blending, or a simpler pour.',
        },
      ]
    if (pot.takes !== null && pot.takes > pot.working)
      return [
        {
          about: 'batter',
          severity: 'think',
          says: `By this plan the batter${whose} is worked for ${say.number(pot.takes)} minutes and is too thick after about ${say.number(pot.working)}.`,
          because:
            'The rehearsal does not thicken, a real batter does: change the plan or the formula first.',
        },
      ]
    return []
  })
}

/**
 * What went wrong in a run, the gravest first: safety, order, weights, temperatures, batter.
 * @param clocked whether its minutes are those of a clock; on paper they are the plan's
 * @example mistakesOf(bench().ctx, bench().plan, bench().state) // []
 */
export function mistakesOf(
  ctx: PlanContext,
  plan: Plan,
  state: RunState,
  { clocked = true } = {},
): Mistake[] {
  const found: Mistake[] = []
  const { say } = ctx
  const doneAt = (id: string) => state.steps.get(id)?.doneAt ?? null
  const firstLye = Math.min(
    ...plan.steps.filter(({ lye }) => lye).map(({ id }) => doneAt(id) ?? Infinity),
  )
  const checkedAt = doneAt('gate')
  if (
    Number.isFinite(firstLye) &&
    (!safetyCheckPassed(ctx, state) || checkedAt === null || checkedAt > firstLye)
  )
    found.push({
      about: 'safety',
      severity: 'stop',
      says: 'Lye was handled before the room and clothing check was through.',
      because: 'A splash in the first minute hits the eye that had no goggles yet.',
    })
  if (state.finished && !isDone(state, 'rinse'))
    found.push({
      about: 'safety',
      severity: 'think',
      says: 'The run ended before everything was rinsed.',
      because: 'Lye dries invisibly on jugs and tops; the next person has no gloves on.',
    })
  for (const step of plan.steps) {
    const when = doneAt(step.id)
    if (when === null) continue
    const early = step.after.filter((id) => (doneAt(id) ?? Infinity) > when)
    for (const id of early) {
      const before = plan.steps.find((other) => other.id === id)!
      found.push({
        about: 'order',
        severity: step.lye ? 'stop' : 'think',
        says: `“${step.short}” came before “${before.short}”.`,
        because:
          step.kind === 'dissolve'
            ? 'What has to dissolve in the water does so before the lye; afterwards it is too late.'
            : (before.why ?? `It waits for that: ${before.how}`),
      })
    }
  }
  for (const step of plan.steps) {
    const told = state.steps.get(step.id)
    if (!step.weigh || told?.doneAt == null) continue
    const off = told.grams - targetOf(plan, state, step)
    if (Math.abs(off) <= step.weigh.tolerance + 1e-6) continue
    const lye = step.weigh.substance === 'lye'
    found.push({
      about: 'weight',
      severity: lye && off > 0 ? 'stop' : lye ? 'think' : 'know',
      says: `${step.weigh.name}: ${say.mass(Math.abs(off))} too ${off > 0 ? 'much' : 'little'}.`,
      because: lye
        ? `It moves the superfat: as weighed it is ${say.percent(weighedSoFar(ctx, plan, state).superfat, 1)}.`
        : `Within ${say.mass(step.weigh.tolerance)} nobody would notice.`,
    })
  }
  const total = weighedSoFar(ctx, plan, state).superfat
  if (total < 0)
    found.push({
      about: 'weight',
      severity: 'stop',
      says: `Free lye: superfat as weighed ${say.percent(total, 1)}.`,
      because: 'Such bars burn. They are not used on skin.',
    })
  const lyeC = celsiusAtCombine(state, 'lye')
  const oilsC = celsiusAtCombine(state, 'oils')
  if (lyeC !== null && oilsC !== null && !mayCombine(plan.window, lyeC, oilsC))
    found.push({
      about: 'temperature',
      severity: 'think',
      says: `Combined with the lye at ${say.temperature(lyeC)} and the oils at ${say.temperature(oilsC)}.`,
      because: `Wanted were ${say.temperature(plan.window.lye.low)} to ${say.temperature(plan.window.lye.high)} and ${say.temperature(plan.window.oils.low)} to ${say.temperature(plan.window.oils.high)}, no more than ${say.degreesApart(plan.window.apart)} apart: cold or far apart gives false trace.`,
    })
  for (const step of plan.steps) {
    if (!step.watch || !ctx.scorches) continue
    const from = step.after.map((id) => doneAt(id) ?? 0).reduce((a, b) => Math.max(a, b), 0)
    const to = doneAt(step.id)
    if (to === null || step.kind === 'cool') continue
    const hottest = Math.max(
      -Infinity,
      ...state.readings[step.watch.vessel]
        .filter(({ minutes }) => minutes >= from && minutes <= to)
        .map(({ celsius }) => celsius),
    )
    if (hottest > step.watch.most + 0.5)
      found.push({
        about: 'temperature',
        severity: 'think',
        says: `The milk got to ${say.temperature(hottest)}.`,
        because: `Above ${say.temperature(step.watch.most)} its sugar browns and smells. Slower, colder, more ice round the jug.`,
      })
  }
  const seconds = sum(Object.values(state.blended))
  const emulsion = state.marks.find(
    ({ stage, counted }) => counted && stageRank(stage) >= stageRank('emulsion'),
  )
  if (state.poured.length && !emulsion)
    found.push({
      about: 'batter',
      severity: 'think',
      says: 'Poured without anybody having marked an emulsion.',
      because: 'Batter that is not emulsified parts in the mould: oil on top, lye below.',
    })
  if (seconds > 240)
    found.push({
      about: 'batter',
      severity: 'know',
      says: `Blended for ${Math.round(seconds / 60)} minutes.`,
      because: 'Short pulses and stirring in turn leave time for the pour.',
    })
  if (clocked) found.push(...tooLate(ctx, plan, state))
  const rank = { stop: 0, think: 1, know: 2 }
  return found.sort((a, b) => rank[a.severity] - rank[b.severity])
}
