import { paceOf, type DayBatch } from './batchOfDay'
import { givenTo } from './moving'
import type { DayProblem, Placed } from './problem'

/** A pour before which there is little time. */
export interface Tight {
  task: string
  batch: string
  person: number
  /** Minutes between what its maker did before and it. */
  slack: number
  /** What would help: the task before it in other hands, and the end of the day then. */
  cure: { task: string; person: number; placed: Placed[]; end: number; slack: number } | null
}

/** Minutes of slack from which a pour is not tight any more (judgement). */
export const easySlack = 10
/** Minutes that anybody may be at work without a break, and minutes that are one (judgement). */
const longWork = 240
export const breakTakes = 20
/** Minutes within which two lyes steam in one room (judgement). */
const steamsTogether = 10
/** °C of flash point under which a scent stays away from a hot plate (judgement: a plate's rim is as hot). */
const flashUnder = 93

const before = (placed: readonly Placed[], one: Placed): Placed | undefined =>
  placed
    .filter(({ person, to, task }) => person === one.person && to <= one.at && task !== one.task)
    .sort((a, b) => b.to - a.to)[0]

const endOf = (placed: readonly Placed[]): number => Math.max(0, ...placed.map(({ to }) => to))

/**
 * Minutes before each pour in which its maker has nothing in hand, by task.
 * @example slackBefore(twoTasks, [{ task: 'a', person: 0, at: 0, to: 5 }, { task: 'b', person: 0, at: 9, to: 19 }]).get('b') // 4
 */
export function slackBefore(
  problem: Pick<DayProblem, 'tasks' | 'people'>,
  placed: readonly Placed[],
): Map<string, number> {
  const pours = new Set(problem.tasks.flatMap(({ id, kind }) => (kind === 'batter' ? [id] : [])))
  return new Map(
    placed.flatMap((one): [string, number][] =>
      pours.has(one.task)
        ? [[one.task, one.at - (before(placed, one)?.to ?? problem.people[one.person]!.from)]]
        : [],
    ),
  )
}

/**
 * The one tight spot of a day: the batter that races with the least time before it, or any that follows on another at once. Null where
 * all have time.
 * @example tightSpot(twoTasks, [], []) // null
 */
export function tightSpot(
  problem: DayProblem,
  placed: readonly Placed[],
  batches: readonly DayBatch[],
): Tight | null {
  const slack = slackBefore(problem, placed)
  const spots = placed.flatMap((one) => {
    const minutes = slack.get(one.task)
    const task = problem.tasks.find(({ id }) => id === one.task)!
    const batch = batches.find(({ id }) => id === task.batches[0])
    if (minutes === undefined || minutes >= easySlack || !batch) return []
    return [{ one, minutes, batch, races: paceOf(batch.plan).races }]
  })
  const [worst] = spots
    .filter(({ races }) => races)
    .sort((a, b) => a.minutes - b.minutes || a.one.at - b.one.at)
  if (!worst) return null
  const last = before(placed, worst.one)
  let cure: Tight['cure'] = null
  for (const person of problem.people.keys()) {
    if (!last || person === worst.one.person) continue
    const other = givenTo(problem, placed, last.task, person)
    const eased = other && slackBefore(problem, other).get(worst.one.task)
    if (!other || eased === undefined || eased === null || eased < easySlack) continue
    const end = endOf(other)
    if (!cure || end < cure.end)
      cure = { task: last.task, person, placed: other, end, slack: eased }
  }
  return {
    task: worst.one.task,
    batch: worst.batch.id,
    person: worst.one.person,
    slack: worst.minutes,
    cure,
  }
}

/** What is to be minded on a day. Minutes from its beginning. */
export type Mind =
  /** Several lyes steam at once. */
  | { of: 'fumes'; at: number; batches: string[] }
  /** A scent is open while a plate is hot. */
  | { of: 'flash'; at: number; batch: string; scent: string; flashC: number }
  /** Somebody works long without a break; the longest gap there is. */
  | { of: 'break'; person: number; worked: number; gap: number }
  /** A batter may be too thick before its pour is over, whatever the day is like. */
  | { of: 'short'; batch: string; low: number; takes: number }

/**
 * The gaps of a person between their first and last task.
 * @example gapsOf([{ task: 'a', person: 0, at: 0, to: 5 }, { task: 'b', person: 0, at: 9, to: 19 }], 0) // [{ at: 5, to: 9 }]
 */
export function gapsOf(placed: readonly Placed[], person: number): { at: number; to: number }[] {
  const own = placed.filter((one) => one.person === person).sort((a, b) => a.at - b.at)
  return own.slice(1).flatMap((one, nth) => {
    const from = Math.max(...own.slice(0, nth + 1).map(({ to }) => to))
    return one.at > from ? [{ at: from, to: one.at }] : []
  })
}

/**
 * What is to be minded on a day, in the order of the day.
 * @param flash °C at which a scent flashes, by its id, where its sheet says so
 * @example mindOn(twoTasks, [], [], new Map()) // []
 */
export function mindOn(
  problem: DayProblem,
  placed: readonly Placed[],
  batches: readonly DayBatch[],
  flash: ReadonlyMap<string, { name: string; flashC: number }>,
): Mind[] {
  const minds: Mind[] = []
  const of = (id: string) => problem.tasks.find((task) => task.id === id)!
  const lyes = placed.filter(({ task }) => of(task).kind === 'lye').sort((a, b) => a.at - b.at)
  const steam = lyes.slice(1).find((one, nth) => one.at - lyes[nth]!.to < steamsTogether)
  if (steam)
    minds.push({
      of: 'fumes',
      at: steam.at,
      batches: [...new Set(lyes.flatMap(({ task }) => of(task).batches))],
    })
  const plates = problem.holds.filter(({ thing }) => thing === 'plate')
  const hot = (from: number, to: number) =>
    plates.some((hold) => {
      const on = placed.find(({ task }) => task === hold.from)
      const off = placed.find(({ task }) => task === hold.to)
      return on && off && on.at < to && from < off.to + hold.more
    })
  for (const batch of batches) {
    const open = placed.find(
      ({ task, at, to }) =>
        (of(task).kind === 'ready' || of(task).kind === 'batter') &&
        of(task).batches[0] === batch.id &&
        hot(at, to),
    )
    const [low] = batch.ctx.document.scents
      .flatMap(({ id }) => flash.get(id) ?? [])
      .filter(({ flashC }) => flashC < flashUnder)
      .sort((a, b) => a.flashC - b.flashC)
    if (open && low)
      minds.push({ of: 'flash', at: open.at, batch: batch.id, scent: low.name, flashC: low.flashC })
    const pace = paceOf(batch.plan)
    if (pace.low < pace.takes)
      minds.push({ of: 'short', batch: batch.id, low: pace.low, takes: pace.takes })
  }
  problem.people.forEach((_, person) => {
    const own = placed.filter((one) => one.person === person)
    if (!own.length) return
    const worked = endOf(own) - Math.min(...own.map(({ at }) => at))
    const gap = Math.max(0, ...gapsOf(placed, person).map(({ at, to }) => to - at))
    if (worked > longWork && gap < breakTakes) minds.push({ of: 'break', person, worked, gap })
  })
  return minds
}
