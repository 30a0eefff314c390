import { minutesFor, type DayProblem, type Lines, type Placed } from './problem'

/** One thing at least so many minutes after another: start(to) ≥ start(from) + least. Places of tasks. */
interface Edge {
  from: number
  to: number
  least: number
}

/** A problem with its tasks by place, made once and asked often. */
export interface Indexed {
  problem: DayProblem
  place: Map<string, number>
  /** Minutes of each task by person. */
  minutes: number[][]
  holds: { thing: string; from: number; to: number; more: number }[]
  /** Things of which there are fewer than hold them: how many, and the places of their holds. */
  scarce: { many: number; of: number[] }[]
}

/**
 * @example indexed({ tasks: [], people: [], lags: [], holds: [], things: {} }).minutes // []
 */
export function indexed(problem: DayProblem): Indexed {
  const place = new Map(problem.tasks.map(({ id }, nth) => [id, nth]))
  const scarce = Object.entries(problem.things)
    .map(([thing, many]) => ({
      many,
      of: problem.holds.flatMap((hold, nth) => (hold.thing === thing ? [nth] : [])),
    }))
    .filter(({ many, of }) => of.length > many)
  return {
    problem,
    scarce,
    place,
    minutes: problem.tasks.map((task) =>
      problem.people.map((_, person) => minutesFor(problem, task, person)),
    ),
    holds: problem.holds.map(({ thing, from, to, more }) => ({
      thing,
      from: place.get(from)!,
      to: place.get(to)!,
      more,
    })),
  }
}

/** Nothing is known yet of when it was done; or it began, or it is over. */
export interface Fixed {
  /** Minutes at which tasks began, and ended where they did, by place. */
  began: Map<number, number>
  ended: Map<number, number>
  /** Nothing that has not begun begins before this. */
  now: number
  /** Earliest minutes that somebody asked for, by place. */
  notBefore: Map<number, number>
  /** What waits too long waits too long: it is said, and nothing is held up by it. */
  loose?: boolean
}
export const nothingFixed: Fixed = {
  began: new Map(),
  ended: new Map(),
  now: -Infinity,
  notBefore: new Map(),
}

export interface Timed {
  at: number[]
  to: number[]
  who: number[]
  /** The minute at which all is done. */
  end: number
  /** Minutes that people are kept beyond their hours. */
  over: number
}

const whoDoes = (lines: Lines, tasks: number): number[] => {
  const who = Array.from({ length: tasks }, () => -1)
  lines.forEach((line, person) => line.forEach((task) => (who[task] = person)))
  return who
}

/**
 * Minutes a task takes a person: as it took, where it is over; longer than usual where it has gone on for longer already.
 * @example lengthOf(indexed(twoTasks), { began: new Map([[0, 4]]), ended: new Map(), now: 12 }, 0, 0) // 8
 */
export function lengthOf(
  { minutes }: Pick<Indexed, 'minutes'>,
  fixed: Pick<Fixed, 'began' | 'ended' | 'now'>,
  task: number,
  person: number,
): number {
  const usual = minutes[task]![person]!
  const began = fixed.began.get(task)
  if (began === undefined) return usual
  const ended = fixed.ended.get(task)
  return ended !== undefined ? ended - began : Math.max(usual, fixed.now - began)
}

function baseEdges(own: Indexed, lines: Lines, length: number[], fixed: Fixed): Edge[] {
  const { problem, place } = own
  const edges: Edge[] = []
  const open = (task: number) => !fixed.began.has(task)
  for (const { from, to, least, most } of problem.lags) {
    const [a, b] = [place.get(from)!, place.get(to)!]
    if (open(b)) edges.push({ from: a, to: b, least: length[a]! + least })
    // What has begun cannot be put off any more: how far the other may wait is then a judgement of its own.
    if (most !== null && open(a) && !fixed.loose)
      edges.push({ from: b, to: a, least: -(length[a]! + most) })
  }
  for (const line of lines)
    line.forEach((task, nth) => {
      const before = line[nth - 1]
      if (before !== undefined && open(task))
        edges.push({
          from: before,
          to: task,
          least: length[before]! + problem.tasks[task]!.quiet,
        })
    })
  return edges
}

/** The earliest starts that satisfy all edges; null where they contradict each other. */
function earliest(start: readonly number[], edges: readonly Edge[]): number[] | null {
  const at = [...start]
  for (let round = 0; round <= at.length; round++) {
    let moved = false
    for (const { from, to, least } of edges) {
      const wanted = at[from]! + least
      if (wanted > at[to]! + 1e-9) {
        at[to] = wanted
        moved = true
      }
    }
    if (!moved) return at
  }
  return null
}

/** Two holds of a thing of which there are too few at some minute: the earlier to end, and the later to start; null where all fit. */
function clash(
  { holds, scarce }: Indexed,
  at: readonly number[],
  length: readonly number[],
): [number, number] | null {
  const from = (hold: number) => at[holds[hold]!.from]!
  const to = (hold: number) => {
    const { to: task, more } = holds[hold]!
    return at[task]! + length[task]! + more
  }
  for (const { many, of } of scarce) {
    const sorted = [...of].sort((a, b) => from(a) - from(b) || a - b)
    let active: number[] = []
    for (const hold of sorted) {
      active = active.filter((one) => to(one) > from(hold) + 1e-9)
      if (active.length >= many) {
        const first = active.reduce((a, b) => (to(b) < to(a) - 1e-9 ? b : a))
        return [first, hold]
      }
      active.push(hold)
    }
  }
  return null
}

/** A hold, and which of several things alike it is of. Places. */
export interface Dealt {
  hold: number
  unit: number
}

/**
 * Scarce things dealt out in the order in which they are wanted: of each, its holds with the one that each is of.
 * @param at the start of each task
 * @param to its end
 * @example dealtOut(indexed(twoTasks), [0, 5], [5, 15]) // []
 */
export function dealtOut(
  { holds, scarce }: Pick<Indexed, 'holds' | 'scarce'>,
  at: readonly number[],
  to: readonly number[],
): Dealt[][] {
  return scarce.map(({ many, of }) => {
    const free = Array.from({ length: many }, () => -Infinity)
    return [...of]
      .sort((a, b) => at[holds[a]!.from]! - at[holds[b]!.from]!)
      .map((hold) => {
        const { from, to: last, more } = holds[hold]!
        const unit = Math.max(
          0,
          free.findIndex((minute) => minute <= at[from]! + 1e-9),
        )
        free[unit] = to[last]! + more
        return { hold, unit }
      })
  })
}

/**
 * Which holds waited for which in a plan: each for the one that had the same thing before it. Pairs of places in `holds`.
 * @param missing the minute of a task that the plan does not name
 * @example waitsIn(indexed(twoTasks), [{ task: 'a', person: 0, at: 0, to: 5 }, { task: 'b', person: 0, at: 5, to: 15 }]) // []
 */
export function waitsIn(own: Indexed, placed: readonly Placed[], missing = 0): [number, number][] {
  const of = new Map(placed.map((one) => [one.task, one]))
  const minutes = (which: 'at' | 'to') =>
    own.problem.tasks.map(({ id }) => of.get(id)?.[which] ?? missing)
  return waitsAt(own, minutes('at'), minutes('to'))
}

/**
 * The same by the start and the end of each task.
 * @example waitsAt(indexed(twoTasks), [0, 5], [5, 15]) // []
 */
export const waitsAt = (
  own: Pick<Indexed, 'holds' | 'scarce'>,
  at: readonly number[],
  to: readonly number[],
): [number, number][] =>
  dealtOut(own, at, to).flatMap((dealt) =>
    dealt.flatMap(({ hold, unit }, nth): [number, number][] => {
      const before = dealt.slice(0, nth).findLast((other) => other.unit === unit)
      return before ? [[before.hold, hold]] : []
    }),
  )

/**
 * When each task comes, as early as the order allows: what must lie between, things that are taken, hands. Null where the order cannot
 * be kept at all.
 * @param fixed what was done already on a day that runs
 * @param waiting which holds wait for which, where that was decided; else the one that comes first has it first
 * @example timesOf(indexed(twoTasks), [[0, 1]]).end // 15
 */
export function timesOf(
  own: Indexed,
  lines: Lines,
  fixed: Fixed = nothingFixed,
  waiting: readonly (readonly [number, number])[] = [],
): Timed | null {
  const { problem } = own
  const who = whoDoes(lines, problem.tasks.length)
  const length = who.map((person, task) => lengthOf(own, fixed, task, Math.max(0, person)))
  const edges = baseEdges(own, lines, length, fixed)
  const start = problem.tasks.map(({ quiet }, task) => {
    const began = fixed.began.get(task)
    if (began !== undefined) return began
    const from = (problem.people[who[task]!]?.from ?? 0) + quiet
    return Math.max(from, fixed.now, fixed.notBefore.get(task) ?? -Infinity)
  })
  /** One hold waits for another; false where it cannot. */
  const wait = (first: number, second: number): boolean => {
    const { to: task, more } = own.holds[first]!
    const next = own.holds[second]!.from
    if (task === next || fixed.began.has(next)) return false
    edges.push({ from: task, to: next, least: length[task]! + more })
    return true
  }
  for (const [first, second] of waiting) wait(first, second)
  for (let round = 0; round <= own.holds.length ** 2; round++) {
    const at = earliest(start, edges)
    if (!at) return null
    const found = clash(own, at, length)
    if (!found) {
      const to = at.map((minute, task) => minute + length[task]!)
      const over = problem.people.reduce(
        (most, { until }, person) =>
          until === null
            ? most
            : Math.max(most, ...lines[person]!.map((task) => to[task]! - until)),
        0,
      )
      return { at, to, who, end: Math.max(0, ...to), over }
    }
    const [first, second] = found
    // What has begun holds its thing: the other waits, whichever it is.
    if (!wait(first, second) && !wait(second, first)) return null
  }
  return null
}

/**
 * The earliest minute and the latest to which a task may be moved by hand, all others in their order, nobody kept longer than to
 * `end` and none beyond their hours.
 * @example slideOf(indexed(twoTasks), [[0, 1]], 0, 20) // { from: 0, to: 5 }
 */
export function slideOf(
  own: Indexed,
  lines: Lines,
  task: number,
  end: number,
): { from: number; to: number } | null {
  const free = timesOf(own, lines)
  if (!free) return null
  const fits = (minute: number) => {
    const moved = timesOf(own, lines, { ...nothingFixed, notBefore: new Map([[task, minute]]) })
    return !!moved && moved.end <= end && moved.over <= Math.max(0, free.over)
  }
  let [low, high] = [free.at[task]!, Math.max(end, free.at[task]!)]
  while (low < high) {
    const middle = Math.ceil((low + high) / 2)
    if (fits(middle)) low = middle
    else high = middle - 1
  }
  return { from: free.at[task]!, to: low }
}

/**
 * A plan as it is kept: each task with its person and minutes, in the order of the day.
 * @example placedOf(twoTasks, timesOf(indexed(twoTasks), [[0, 1]]))[0].task // 'a'
 */
export const placedOf = (problem: DayProblem, { at, to, who }: Timed): Placed[] =>
  problem.tasks
    .map(({ id }, nth) => ({ task: id, person: who[nth]!, at: at[nth]!, to: to[nth]! }))
    .sort((a, b) => a.at - b.at || a.person - b.person || a.task.localeCompare(b.task))

/**
 * The order of a plan that was kept: who does what, one after the other. Tasks that it does not name are left to nobody.
 * @example linesOf(twoTasks, [{ task: 'b', person: 0, at: 5, to: 9 }, { task: 'a', person: 0, at: 0, to: 5 }]) // [[0, 1]]
 */
export function linesOf(
  problem: Pick<DayProblem, 'tasks' | 'people'>,
  placed: readonly Placed[],
): Lines {
  const place = new Map(problem.tasks.map(({ id }, nth) => [id, nth]))
  return problem.people.map((_, person) =>
    placed
      .filter((one) => one.person === person && place.has(one.task))
      .sort((a, b) => a.at - b.at)
      .map(({ task }) => place.get(task)!),
  )
}
