import type { DayProblem, Lines } from './problem'
import {
  dealtOut,
  indexed,
  lengthOf,
  nothingFixed,
  timesOf,
  waitsAt,
  type Fixed,
  type Timed,
} from './times'

/** What a solver says of a programme: the best it found, and how little the aim can be at best. */
export interface Solved {
  /** The value of each variable; null where nothing was found in time. */
  values: Record<string, number> | null
  /** No plan whatever is below this; null where nothing could be said. */
  bound: number | null
}
/** Solves a programme in the LP file format, beginning with values that are known to do, for so many seconds at most. */
export type DaySolver = (
  programme: string,
  begin: Record<string, number>,
  seconds: number,
) => Solved

/** A day as a programme with an order between each two tasks that may come into each other's way. */
export interface DayProgramme {
  text: string
  /** Its variables for a plan that is known. */
  valuesOf: (timed: Timed) => Record<string, number>
  /** The plan of a solution; null where its order cannot be kept. */
  linesOf: (values: Record<string, number>) => Lines
  startsOf: (values: Record<string, number>) => number[]
}

/**
 * Longest ways between tasks: start(j) ≥ start(i) + far[i][j] in every plan.
 * @example longestWays(twoTasks)[0] // [0, 5]
 */
export function longestWays(problem: DayProblem, fixed: Fixed = nothingFixed): number[][] {
  const { place, minutes } = indexed(problem)
  const least = minutes.map((of) => Math.min(...of))
  const many = problem.tasks.length
  const far = Array.from({ length: many }, (_, a) =>
    Array.from({ length: many }, (_, b) => (a === b ? 0 : -Infinity)),
  )
  const atLeast = (a: number, b: number, by: number) => (far[a]![b] = Math.max(far[a]![b]!, by))
  for (const { from, to, least: wait, most } of problem.lags) {
    const [a, b] = [place.get(from)!, place.get(to)!]
    if (fixed.began.has(a) || fixed.began.has(b)) continue
    atLeast(a, b, least[a]! + wait)
    if (most !== null) atLeast(b, a, -(Math.max(...minutes[a]!) + most))
  }
  for (let via = 0; via < many; via++)
    for (let a = 0; a < many; a++)
      for (let b = 0; b < many; b++) {
        const by = far[a]![via]! + far[via]![b]!
        if (by > far[a]![b]!) far[a]![b] = by
      }
  return far
}

/**
 * The programme whose solution is the shortest day, hours kept. Variables: when each task starts, who does it, which of two comes
 * first, which of several things alike is held; the aim is the minute at which all is done.
 * @param under the end that a plan is known for: nothing later is looked for
 * @param fixed what was done already on a day that runs
 * @example programmeOf(twoTasks, 20).text.startsWith('Minimize') // true
 */
export function programmeOf(
  problem: DayProblem,
  under: number,
  fixed: Fixed = nothingFixed,
): DayProgramme {
  const own = indexed(problem)
  const { place, minutes, holds } = own
  const { tasks, people } = problem
  const far = longestWays(problem, fixed)
  const rows: string[] = []
  const binaries: string[] = []
  const bounds: string[] = []
  const begun = (task: number) => fixed.began.has(task)
  const length = (task: number, person: number) => lengthOf(own, fixed, task, person)
  const shortest = tasks.map((_, task) =>
    Math.min(...people.map((_, person) => length(task, person))),
  )
  const longest = tasks.map((_, task) =>
    Math.max(...people.map((_, person) => length(task, person))),
  )
  const first = tasks.map(({ quiet }, task) =>
    begun(task)
      ? fixed.began.get(task)!
      : Math.max(
          Math.min(...people.map(({ from }) => from)) + quiet,
          fixed.now,
          fixed.notBefore.get(task) ?? -Infinity,
        ),
  )
  const early = tasks.map((_, b) => Math.max(...tasks.map((_, a) => first[a]! + far[a]![b]!)))
  const late = tasks.map((_, a) =>
    Math.min(...tasks.map((_, b) => under - shortest[b]! - far[a]![b]!)),
  )
  const s = (task: number) => `s${task}`
  const x = (task: number, person: number) => `x${task}_${person}`
  const y = (a: number, b: number) => `y${a}_${b}`
  /** Terms of the minutes that a task takes, by who does it. */
  const lasts = (task: number, sign: '+' | '-') =>
    people.map((_, person) => `${sign} ${length(task, person)} ${x(task, person)}`).join(' ')
  tasks.forEach((task, nth) => {
    bounds.push(
      begun(nth)
        ? `${s(nth)} = ${first[nth]}`
        : `${early[nth]} <= ${s(nth)} <= ${Math.max(early[nth]!, late[nth]!)}`,
    )
    rows.push(`home ${lasts(nth, '-')} - ${s(nth)} >= 0`)
    rows.push(`${people.map((_, person) => x(nth, person)).join(' + ')} = 1`)
    people.forEach(({ from, until }, person) => {
      binaries.push(x(nth, person))
      if (begun(nth)) return
      if (from + task.quiet > early[nth]!)
        rows.push(
          `${s(nth)} - ${from + task.quiet - early[nth]!} ${x(nth, person)} >= ${early[nth]}`,
        )
      if (until !== null) {
        const slack = Math.max(0, under - until)
        if (slack > 0)
          rows.push(`${s(nth)} ${lasts(nth, '+')} + ${slack} ${x(nth, person)} <= ${until + slack}`)
      }
    })
  })
  for (const { from, to, least, most } of problem.lags) {
    const [a, b] = [place.get(from)!, place.get(to)!]
    if (!begun(b)) rows.push(`${s(b)} - ${s(a)} ${lasts(a, '-')} >= ${least}`)
    if (most !== null && !begun(a)) rows.push(`${s(b)} - ${s(a)} ${lasts(a, '-')} <= ${most}`)
  }
  // All work of a person has room between the beginning and the end.
  people.forEach(({ from }, person) => {
    const work = tasks.flatMap((_, nth) =>
      begun(nth) ? [] : [`- ${minutes[nth]![person]} ${x(nth, person)}`],
    )
    if (work.length) rows.push(`home ${work.join(' ')} >= ${Math.max(from, fixed.now)}`)
  })
  const pairs = new Set<string>()
  const never = new Set<string>()
  const cannot = (name: string) => {
    never.add(name)
    bounds.push(`${name} = 0`)
  }
  /** Variables for which of two comes first, made once. */
  const ordered = (a: number, b: number) => {
    if (pairs.has(y(a, b)) || pairs.has(y(b, a))) return
    pairs.add(y(a, b)).add(y(b, a))
    binaries.push(y(a, b), y(b, a))
    rows.push(`${y(a, b)} + ${y(b, a)} <= 1`)
    for (const [one, other] of [
      [a, b],
      [b, a],
    ] as const) {
      const gap = tasks[other]!.quiet
      // Where all of it lies behind, nothing has to be said.
      if (far[one]![other]! >= longest[one]! + gap) {
        cannot(y(other, one))
        continue
      }
      if (begun(other) || early[one]! + shortest[one]! + gap > late[other]! + 1e-9) {
        cannot(y(one, other))
        continue
      }
      const most = late[one]! + longest[one]! + gap - early[other]!
      // It cannot be otherwise, by the hours alone.
      if (most <= 0) continue
      rows.push(
        `${s(other)} - ${s(one)} ${lasts(one, '-')} - ${most} ${y(one, other)} >= ${gap - most}`,
      )
    }
  }
  for (let a = 0; a < tasks.length; a++)
    for (let b = a + 1; b < tasks.length; b++) {
      if (begun(a) && begun(b)) continue
      const after = far[a]![b]! >= longest[a]! + tasks[b]!.quiet
      const before = far[b]![a]! >= longest[b]! + tasks[a]!.quiet
      if (after || before) continue
      ordered(a, b)
      for (const person of people.keys())
        rows.push(`${y(a, b)} + ${y(b, a)} - ${x(a, person)} - ${x(b, person)} >= -1`)
    }
  // Things: which of those alike is held, and by which first.
  const z = (hold: number, unit: number) => `u${hold}_${unit}`
  const w = (one: number, other: number) => `w${one}_${other}`
  for (const { many, of: all } of own.scarce) {
    for (const hold of all) {
      for (let unit = 0; unit < many; unit++) binaries.push(z(hold, unit))
      rows.push(`${Array.from({ length: many }, (_, unit) => z(hold, unit)).join(' + ')} = 1`)
    }
    for (const [nth, one] of all.entries())
      for (const other of all.slice(nth + 1)) {
        if (begun(holds[one]!.from) && begun(holds[other]!.from)) continue
        binaries.push(w(one, other), w(other, one))
        for (let unit = 0; unit < many; unit++)
          rows.push(
            `${w(one, other)} + ${w(other, one)} - ${z(one, unit)} - ${z(other, unit)} >= -1`,
          )
        rows.push(`${w(one, other)} + ${w(other, one)} <= 1`)
        for (const [before, after] of [
          [one, other],
          [other, one],
        ] as const) {
          const last = holds[before]!.to
          const next = holds[after]!.from
          if (begun(next)) {
            bounds.push(`${w(before, after)} = 0`)
            continue
          }
          const { more } = holds[before]!
          const most = late[last]! + longest[last]! + more - early[next]!
          if (most <= 0) continue
          rows.push(
            `${s(next)} - ${s(last)} ${lasts(last, '-')} - ${most} ${w(before, after)} >= ${more - most}`,
          )
        }
      }
  }
  const text = [
    'Minimize',
    ' aim: home',
    'Subject To',
    ...rows.map((row, nth) => ` r${nth}: ${row}`),
    'Bounds',
    ` ${Math.max(...early.map((minute, task) => minute + shortest[task]!))} <= home <= ${under}`,
    ...bounds.map((bound) => ` ${bound}`),
    'Binaries',
    ...binaries.map((name) => ` ${name}`),
    'End',
  ].join('\n')

  function valuesOf({ at, to, who, end }: Timed): Record<string, number> {
    const values: Record<string, number> = { home: end }
    at.forEach((minute, task) => {
      values[s(task)] = minute
      people.forEach((_, person) => (values[x(task, person)] = who[task] === person ? 1 : 0))
    })
    for (const name of pairs) {
      const [a, b] = name.slice(1).split('_').map(Number) as [number, number]
      values[name] = !never.has(name) && at[b]! >= to[a]! + tasks[b]!.quiet - 1e-9 ? 1 : 0
    }
    dealtOut(own, at, to).forEach((dealt, nth) => {
      const { many } = own.scarce[nth]!
      for (const { hold, unit } of dealt) {
        const { to: last, more } = holds[hold]!
        for (let one = 0; one < many; one++) values[z(hold, one)] = one === unit ? 1 : 0
        for (const { hold: other } of dealt)
          if (other !== hold)
            values[w(hold, other)] = to[last]! + more <= at[holds[other]!.from]! + 1e-9 ? 1 : 0
      }
    })
    return values
  }
  return {
    text,
    valuesOf,
    startsOf: (values) => tasks.map((_, task) => values[s(task)] ?? 0),
    linesOf: (values) =>
      people.map((_, person) =>
        tasks
          .flatMap((_, task) => ((values[x(task, person)] ?? 0) > 0.5 ? [task] : []))
          .sort((a, b) => (values[s(a)] ?? 0) - (values[s(b)] ?? 0)),
      ),
  }
}

/**
 * The best plan by the solver, beginning with one that is known: never worse than that one.
 * @param seconds that the solver may take
 * @returns the plan, and the minute before which no plan can end; null where the solver could not say
 * @example solved(twoTasks, { lines: [[0, 1]], timed: timesOf(indexed(twoTasks), [[0, 1]]) }, () => ({ values: null, bound: 15 }), 1).bound
 *   // 15
 */
export function solved(
  problem: DayProblem,
  known: { lines: Lines; timed: Timed },
  solver: DaySolver,
  seconds: number,
  fixed: Fixed = nothingFixed,
): { lines: Lines; timed: Timed; bound: number | null } {
  if (known.timed.over > 0) return { ...known, bound: null }
  const programme = programmeOf(problem, known.timed.end, fixed)
  const { values, bound } = solver(programme.text, programme.valuesOf(known.timed), seconds)
  const least = bound === null ? null : Math.ceil(bound - 1e-6)
  const lines = values ? programme.linesOf(values) : null
  const own = indexed(problem)
  const at = values ? programme.startsOf(values) : []
  const who = (task: number) => Math.max(0, lines?.findIndex((line) => line.includes(task)) ?? 0)
  const to = at.map((minute, task) => minute + own.minutes[task]![who(task)]!)
  const timed = lines ? timesOf(own, lines, fixed, waitsAt(own, at, to)) : null
  return lines && timed && timed.over <= 0 && timed.end < known.timed.end
    ? { lines, timed, bound: least }
    : { ...known, bound: least }
}
