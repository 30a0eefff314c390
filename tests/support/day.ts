import { usualSetup } from '#contracts/benchWords'
import type { DayWork } from '#contracts/dayWords'
import type { RunSetup } from '#contracts/run'
import { freeze } from '#core/batch/freeze'
import { blankFormula } from '#core/formula/blank'
import { library } from '#core/materials/library'
import { formatter } from '#core/units/formatter'
import type { DayThings } from '#core/day/tasks'
import { dayBatch, type DayBatch } from '#core/day/batchOfDay'
import type { DayPerson, DayProblem, DayTask, Hold, Lag, Placed } from '#core/day/problem'
import { minutesFor } from '#core/day/problem'
import { solverBy } from '#core/day/highs'
import type { DaySolver } from '#core/day/programme'
import { randomSource } from '#core/statistics/randomSource'
import loadHighs from 'highs'

/** The solver that the app runs in a worker. */
export const daySolver = async (): Promise<DaySolver> => solverBy(await loadHighs())

/** A day drawn at random: lye that cools, fats that melt, batters that follow, one to three pairs of hands, few things. */
export function randomDay(
  seed: number,
  {
    batches = 2,
    most = 2,
    small = true,
  }: { batches?: number; most?: number; small?: boolean } = {},
): DayProblem {
  const random = randomSource(seed)
  const between = (low: number, high: number) =>
    low + Math.floor(random.uniform() * (high - low + 1))
  const tasks: DayTask[] = []
  const lags: Lag[] = []
  const holds: Hold[] = []
  const add = (kind: DayWork, batch: string, minutes: number, quiet = 0) => {
    const id = `${kind}:${batch}`
    tasks.push({ id, kind, batches: [batch], steps: [], minutes, quiet })
    return id
  }
  const people = Array.from({ length: between(1, most) }, (_, nth) => ({
    name: ['Idris', 'Maren', 'Jo'][nth]!,
    from: between(0, 1) * 5,
    until: null,
    pace: random.uniform() < 0.3 ? { rinse: 1 + random.uniform() } : {},
  }))
  for (let nth = 0; nth < batches; nth++) {
    const batch = String(36 + nth)
    const lye = add('lye', batch, between(4, 10))
    const fats = add('fats-on', batch, between(3, 8))
    const batter = add('batter', batch, between(8, 20), random.uniform() < 0.3 ? 3 : 0)
    const cools = between(15, 45)
    lags.push({ from: lye, to: batter, least: cools, most: cools + between(8, 30), of: 'lye' })
    const melts = between(10, 20)
    lags.push({ from: fats, to: batter, least: melts, most: melts + between(6, 15), of: 'fats' })
    holds.push({ thing: 'plate', from: fats, to: fats, more: melts })
    if (random.uniform() < 0.4)
      holds.push({ thing: 'ice', from: lye, to: lye, more: between(0, 10) })
    if (small && batches > 2) continue
    const rinse = add('rinse', batch, between(4, 8))
    lags.push({ from: batter, to: rinse, least: 0, most: null, of: 'order' })
    holds.push({ thing: 'blender', from: batter, to: rinse, more: 0 })
    if (small) continue
    const weigh = add('weigh', batch, between(3, 9))
    const ready = add('ready', batch, between(5, 14))
    lags.push({ from: weigh, to: fats, least: 0, most: null, of: 'order' })
    lags.push({ from: ready, to: batter, least: 0, most: null, of: 'order' })
    for (const id of [weigh, ready]) holds.push({ thing: 'scale', from: id, to: id, more: 0 })
    holds.push({ thing: 'scale', from: lye, to: lye, more: -2 })
    // Some share a pan or a mould: nothing of the one while the other has it.
    holds.push({ thing: `pan ${between(1, 3)}`, from: weigh, to: rinse, more: 0 })
  }
  const pans = Object.fromEntries([1, 2, 3].map((pan) => [`pan ${pan}`, 1]))
  return {
    tasks,
    people,
    lags,
    holds,
    things: {
      plate: between(1, 2),
      blender: between(1, 2),
      ice: 1,
      ...(small ? {} : { scale: between(1, 2), ...pans }),
    },
  }
}

/** What a plan breaks, as sentences: looked at minute by minute, with nothing of the planner's own. */
export function brokenRules(problem: DayProblem, placed: readonly Placed[]): string[] {
  const broken: string[] = []
  const of = new Map(placed.map((one) => [one.task, one]))
  for (const task of problem.tasks) {
    const one = of.get(task.id)
    if (!one) {
      broken.push(`${task.id} has no place`)
      continue
    }
    const person = problem.people[one.person]
    if (!person) broken.push(`${task.id} is nobody's`)
    else {
      if (one.to - one.at < minutesFor(problem, task, one.person))
        broken.push(`${task.id} too short`)
      if (one.at - task.quiet < person.from)
        broken.push(`${task.id} before ${person.name} is there`)
      if (person.until !== null && one.to > person.until) broken.push(`${task.id} after hours`)
    }
    for (const other of placed)
      if (other.task !== one.task && other.person === one.person)
        if (other.at < one.to && one.at - task.quiet < other.to)
          broken.push(`${one.task} and ${other.task} in one pair of hands`)
  }
  for (const { from, to, least, most } of problem.lags) {
    const [a, b] = [of.get(from), of.get(to)]
    if (!a || !b) continue
    const between = b.at - a.to
    if (between < least) broken.push(`${to} only ${between} after ${from}, wanted ${least}`)
    if (most !== null && between > most)
      broken.push(`${to} ${between} after ${from}, at most ${most}`)
  }
  const end = Math.max(...placed.map(({ to }) => to)) + 240
  for (const [thing, many] of Object.entries(problem.things))
    for (let minute = 0; minute < end; minute++) {
      const held = problem.holds.filter(
        (hold) =>
          hold.thing === thing &&
          of.get(hold.from)!.at <= minute &&
          minute < of.get(hold.to)!.to + hold.more,
      )
      if (held.length > many) {
        broken.push(`${held.length} of ${many} ${thing} at ${minute}`)
        break
      }
    }
  return broken
}

/**
 * The shortest day there is, by going through every order of every two tasks and things that come into each other's way. Made without
 * anything of the planner; for small days only.
 */
export function shortestByForce(problem: DayProblem): number {
  const { tasks, people } = problem
  const place = new Map(tasks.map(({ id }, nth) => [id, nth]))
  let best = Infinity
  type Edge = [from: number, to: number, least: number]
  const who = tasks.map(() => -1)
  const assign = (nth: number): void => {
    if (nth < tasks.length) {
      for (let person = 0; person < people.length; person++) {
        who[nth] = person
        assign(nth + 1)
      }
      return
    }
    const length = tasks.map((task, one) => minutesFor(problem, task, who[one]!))
    const edges: Edge[] = problem.lags.flatMap(({ from, to, least, most }): Edge[] => {
      const [a, b] = [place.get(from)!, place.get(to)!]
      return [
        [a, b, length[a]! + least],
        ...(most === null ? [] : [[b, a, -(length[a]! + most)] as Edge]),
      ]
    })
    const go = (edges: Edge[], from: number[]): void => {
      const at = [...from]
      for (let round = 0; ; round++) {
        let moved = false
        for (const [a, b, least] of edges)
          if (at[b]! < at[a]! + least) {
            at[b] = at[a]! + least
            moved = true
          }
        if (!moved) break
        if (round > tasks.length) return
      }
      const end = Math.max(...at.map((minute, one) => minute + length[one]!))
      if (end >= best) return
      for (let a = 0; a < tasks.length; a++)
        for (let b = a + 1; b < tasks.length; b++) {
          if (who[a] !== who[b]) continue
          const [qa, qb] = [tasks[a]!.quiet, tasks[b]!.quiet]
          if (at[b]! >= at[a]! + length[a]! + qb || at[a]! >= at[b]! + length[b]! + qa) continue
          go([...edges, [a, b, length[a]! + qb]], at)
          go([...edges, [b, a, length[b]! + qa]], at)
          return
        }
      for (const [thing, many] of Object.entries(problem.things)) {
        const holds = problem.holds.filter((hold) => hold.thing === thing)
        const begins = (hold: Hold) => at[place.get(hold.from)!]!
        const ends = (hold: Hold) => {
          const last = place.get(hold.to)!
          return at[last]! + length[last]! + hold.more
        }
        for (const hold of holds) {
          const active = holds.filter(
            (other) => begins(other) <= begins(hold) && begins(hold) < ends(other),
          )
          if (active.length <= many) continue
          const some = active.slice(0, many + 1)
          for (const one of some)
            for (const other of some) {
              if (one === other) continue
              const last = place.get(one.to)!
              go([...edges, [last, place.get(other.from)!, length[last]! + one.more]], at)
            }
          return
        }
      }
      best = end
    }
    go(
      edges,
      tasks.map(({ quiet }, one) => people[who[one]!]!.from + quiet),
    )
  }
  assign(0)
  return best
}

const fat = (id: string, share: number) => ({ id, share, moment: 'pot' as const, inLye: true })

/** A batch of a plain formula on a day, changed as a test wants it. */
export function batchOnDay(
  number: number,
  more: object = {},
  setup: Partial<RunSetup> = {},
): DayBatch {
  const document = {
    ...blankFormula(`Slip ${number}`),
    size: { by: 'oils' as const, grams: 1000 },
    fats: [fat('coconut', 0.3), fat('tallow', 0.3), fat('olive', 0.4)],
    ...more,
  }
  return dayBatch(
    {
      id: `batch-${number}`,
      number,
      name: document.name,
      mould: null,
      frozen: freeze(document, library),
      setup: { ...usualSetup, day: 'a-day', ...setup },
      scale: 0.1,
    },
    formatter({ scale: 0.1 }),
  )
}
/** Lye on frozen milk: it wants the ice bath. */
export const onFrozenMilk = {
  liquids: [{ id: 'goat-milk', share: 1, moment: 'lye' as const, way: 'frozen' as const }],
}

/** People who stay as long as it takes, or leave at a minute. */
export const hands = (...until: (number | null)[]): DayPerson[] =>
  until.map((minute, nth) => ({
    name: ['Idris', 'Maren', 'Jo'][nth]!,
    from: 3,
    until: minute,
    pace: {},
  }))

/** A shed with enough of everything but an ice bath. */
export const plenty: DayThings = {
  scales: 2,
  thermometers: 4,
  plates: 2,
  iceBaths: 1,
  blenders: 2,
  warmPlaces: 4,
  coolPlaces: 4,
  vessels: [],
}
