import type { RandomSource } from '../statistics/randomSource'
import { shuffled } from '../statistics/shuffled'
import type { DayProblem, Lines } from './problem'
import { indexed, nothingFixed, timesOf, type Fixed, type Indexed, type Timed } from './times'

export interface Found {
  lines: Lines
  timed: Timed
}

/** What a minute beyond somebody's hours counts as, beside one of the day. */
const overCosts = 40
const costOf = ({ end, over }: Pick<Timed, 'end' | 'over'>): number => end + over * overCosts

/**
 * Whether one plan is better than another: within hours, then sooner over.
 * @example isBetter({ end: 90, over: 0 }, { end: 80, over: 5 }) // true
 */
export const isBetter = (
  one: Pick<Timed, 'end' | 'over'>,
  other: Pick<Timed, 'end' | 'over'>,
): boolean => costOf(one) - costOf(other) < -1e-9

/** Tasks in an order in which each comes after what it waits for, batch by batch: what keeps longest first. */
function batchByBatch({ tasks, lags }: DayProblem, batches: readonly string[]): number[] {
  const rank = new Map(batches.map((batch, nth) => [batch, nth]))
  const place = new Map(tasks.map(({ id }, nth) => [id, nth]))
  /** How long before it is used a thing is made at the earliest: without end where it keeps. */
  const ahead = tasks.map(({ id }) =>
    Math.min(...lags.filter(({ from }) => from === id).map(({ most }) => most ?? Infinity)),
  )
  const firstOf = (task: number) =>
    Math.min(...tasks[task]!.batches.map((one) => rank.get(one) ?? 0))
  const byLead = (a: number, b: number) =>
    firstOf(a) - firstOf(b) || (ahead[a] === ahead[b] ? a - b : ahead[b]! - ahead[a]!)
  const before = tasks.map(({ id }) =>
    lags
      .filter(({ to }) => to === id)
      .map(({ from }) => place.get(from)!)
      .sort(byLead),
  )
  const order = new Set<number>()
  const put = (task: number) => {
    if (order.has(task)) return
    for (const one of before[task]!) put(one)
    order.add(task)
  }
  // A batch is made from its pour backwards: what the pour waits for comes in the order in which it keeps.
  const ends = tasks
    .map((_, task) => task)
    .filter((task) => !lags.some(({ from }) => from === tasks[task]!.id))
  for (const task of ends.sort(byLead)) put(task)
  return [...order]
}

/** Everything in one order, by one person or dealt out batch by batch. */
function begun(
  problem: DayProblem,
  batches: readonly string[],
  deal: (task: number) => number,
): Lines {
  const lines: Lines = problem.people.map(() => [])
  for (const task of batchByBatch(problem, batches)) lines[deal(task)]!.push(task)
  return lines
}

/** A whole number from 0 to under `many`. */
const below = (random: RandomSource, many: number): number => Math.floor(random.uniform() * many)

/** A task taken out and put somewhere else, of its person or another. What has begun stays. */
function changed(
  { problem }: Indexed,
  lines: Lines,
  fixed: Fixed,
  random: RandomSource,
): Lines | null {
  const open = problem.tasks.flatMap((_, task) => (fixed.began.has(task) ? [] : [task]))
  if (!open.length) return null
  const task = open[below(random, open.length)]!
  const without = lines.map((line) => line.filter((one) => one !== task))
  const was = lines.findIndex((line) => line.includes(task))
  const person = random.uniform() < 0.45 && lines.length > 1 ? below(random, lines.length) : was
  const line = without[person]!
  const first = line.filter((one) => fixed.began.has(one)).length
  const place = lines[was]!.indexOf(task)
  // Mostly a step or two to either side; now and then anywhere.
  const to =
    person === was && random.uniform() < 0.7
      ? place + (random.uniform() < 0.5 ? -1 : 1) * (1 + below(random, 3))
      : first + below(random, line.length - first + 1)
  line.splice(Math.min(line.length, Math.max(first, to)), 0, task)
  return without
}

/**
 * A good plan by trying: orders are changed a little at a time, worse ones taken now and then, the best kept. Null where none was found.
 * @param tries changes to try
 * @example search(twoTasks, 100, random).timed.end // 15
 */
export function search(
  problem: DayProblem,
  tries: number,
  random: RandomSource,
  { from, fixed = nothingFixed }: { from?: Lines; fixed?: Fixed } = {},
): Found | null {
  const own = indexed(problem)
  const batches = [...new Set(problem.tasks.flatMap((task) => task.batches))]
  let best: Found | null = null
  const rounds = from ? 2 : 4
  for (let round = 0; round < rounds; round++) {
    let lines: Lines | null = null
    let timed: Timed | null = null
    const take = (one: Lines) => {
      const of = timesOf(own, one, fixed)
      if (of && (!timed || costOf(of) < costOf(timed))) [lines, timed] = [one, of]
    }
    if (from) take(best?.lines ?? from)
    // Many beginnings are cheap: the best of them is changed.
    for (let nth = 0; nth < (from ? 0 : 12); nth++) {
      const order = shuffled(batches, random)
      const one = below(random, problem.people.length)
      const of = (task: number) => order.indexOf(problem.tasks[task]!.batches[0] ?? '')
      take(begun(problem, order, () => one))
      take(begun(problem, order, (task) => Math.max(0, of(task)) % problem.people.length))
    }
    if (!lines || !timed) continue
    let now: Found = { lines, timed }
    if (!best || isBetter(now.timed, best.timed)) best = now
    const many = Math.ceil(tries / rounds)
    for (let nth = 0; nth < many; nth++) {
      const heat = 6 * (1 - nth / many) ** 2 + 0.05
      const next = changed(own, now.lines, fixed, random)
      if (!next) break
      const of = timesOf(own, next, fixed)
      if (!of) continue
      const worse = costOf(of) - costOf(now.timed)
      if (worse > 0 && random.uniform() >= Math.exp(-worse / heat)) continue
      now = { lines: next, timed: of }
      if (isBetter(now.timed, best.timed)) best = now
    }
  }
  return best
}
