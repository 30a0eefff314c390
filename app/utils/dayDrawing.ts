import type { DayWork } from '#contracts/dayWords'
import type { Thumbnail } from '#contracts/thumbnail'
import { minutesOf, type DayBatch } from '#core/day/batchOfDay'
import type { DayProblem, DayTask, Placed } from '#core/day/problem'
import { lyeCurve, oilsCurve, togetherIn } from '#core/day/windows'
import { celsiusAt, type Curve } from '#core/heat/cooling'
import { sumOf } from '#core/statistics/sum'
import type { Formatter } from '#core/units/formatter'

/* What a making day looks like: colours, words and curves of its pieces. Minutes from the day's beginning. */

/** Ground of the minutes in which everybody dresses. */
export const dressingColour = '#a9bbb5'
/** Ground of a piece of work that may be put down, by its kind. */
export const workColours: Record<DayWork, string> = {
  lye: '#dd5138',
  'late-lye': '#efdcb0',
  weigh: '#9aa552',
  ready: '#c6b4da',
  'fats-on': '#eddca6',
  batter: '#d9c27c',
  rinse: '#b5cbd9',
}

/** A piece of work in a word or two, for the plan. */
export function workShort({ kind, batches }: Pick<DayTask, 'kind' | 'batches'>): string {
  switch (kind) {
    case 'lye':
      return batches.length > 1 ? 'one lye' : 'lye'
    case 'late-lye':
      return 'into cool lye'
    case 'weigh':
      return 'fats'
    case 'ready':
      return 'mould, cups'
    case 'fats-on':
      return 'fats on'
    case 'batter':
      return 'pour'
    case 'rinse':
      return 'rinse'
  }
}

const numbers = (of: readonly DayBatch[], say: Formatter): string =>
  say.list(
    of.map(({ number }) => String(number)),
    'and',
  )

/** A piece of work as a heading: what, and for whom. */
export function workTitle(
  { kind }: Pick<DayTask, 'kind'>,
  of: readonly DayBatch[],
  say: Formatter,
): string {
  const whose = numbers(of, say)
  switch (kind) {
    case 'lye':
      return of.length > 1 ? `One lye for ${whose}` : `Lye for ${whose}`
    case 'late-lye':
      return `What goes into the cooled lye of ${whose}`
    case 'weigh':
      return `Weigh the fats of ${whose}`
    case 'ready':
      return `Mould, table and cups for ${whose}`
    case 'fats-on':
      return `Fats of ${whose} on the plate`
    case 'batter':
      return `Make and pour ${whose}`
    case 'rinse':
      return `Rinse after ${whose}`
  }
}

/** What of a material goes where: "Olive for 36, 37 and 38: 860, 640 and 720 g". */
export function workLines(task: DayTask, made: readonly DayBatch[], say: Formatter): string[] {
  const stepOf = ({ batch, step }: DayTask['steps'][number]) => {
    const own = made.find(({ id }) => id === batch)
    const of = own?.plan.steps.find(({ id }) => id === step)
    return own && of?.weigh ? { own, weigh: of.weigh } : null
  }
  const weighed = task.steps.flatMap((one) => stepOf(one) ?? [])
  return [...new Set(weighed.map(({ weigh }) => weigh.id))].map((id) => {
    const all = weighed.filter(({ weigh }) => weigh.id === id)
    const name = all[0]!.weigh.name.split(',')[0]!
    if (task.kind === 'lye' && all.length > 1)
      return `${name} for ${numbers(
        all.map(({ own }) => own),
        say,
      )}, together ${say.mass(sumOf(all, ({ weigh }) => weigh.grams))}`
    return `${name} for ${numbers(
      all.map(({ own }) => own),
      say,
    )}: ${say.list(all.map(({ weigh }) => say.mass(weigh.grams)))}`
  })
}

/** Minutes and °C along a way. */
export type HeatWay = [minute: number, celsius: number][]

export interface Heats {
  /** By what is in it: a jug of lye, for one batch or several. */
  lyes: { batches: DayBatch[]; way: HeatWay; byIce: boolean; meets: [DayBatch, number, number][] }[]
  fats: { batch: DayBatch; way: HeatWay }[]
}

const every = 2
const sampled = (curve: Curve, from: number, to: number): HeatWay => {
  const way: HeatWay = []
  for (let at = from; at < to; at += every) way.push([at, celsiusAt(curve, at - from)])
  way.push([to, celsiusAt(curve, Math.max(0, to - from))])
  return way
}

/** How warm everything is, from when it is made to when it is used. */
export function heatsOf(
  problem: DayProblem,
  placed: readonly Placed[],
  made: readonly DayBatch[],
): Heats {
  const at = new Map(placed.map((one) => [one.task, one]))
  const of = (ids: readonly string[]) => ids.flatMap((id) => made.filter((one) => one.id === id))
  const batter = (batch: DayBatch) => at.get(`batter:${batch.number}`)
  const lyes = problem.tasks.flatMap((task): Heats['lyes'] => {
    const own = at.get(task.id)
    const batches = of(task.batches)
    const [first] = batches
    if (task.kind !== 'lye' || !own || !first) return []
    const jug = togetherIn(batches.map(({ plan }) => plan.jug))
    const byIce = !!jug.bySpoon
    const curve = lyeCurve(first.ctx, jug, first.ctx.onScale.result)
    const last = Math.max(own.to, ...batches.map((batch) => batter(batch)?.at ?? own.to))
    const { roomC } = first.ctx.setup
    const cold = first.ctx.window.lye.high
    const way: HeatWay = byIce
      ? [
          [own.at, 2],
          [own.to, Math.min(cold, 30)],
          [last, Math.min(cold, 32)],
        ]
      : [[own.at, roomC], ...sampled(curve, own.to, last)]
    const celsius = (minute: number) =>
      byIce ? Math.min(cold, 32) : celsiusAt(curve, Math.max(0, minute - own.to))
    return [
      {
        batches,
        way,
        byIce,
        meets: batches.flatMap((batch): [DayBatch, number, number][] => {
          const pour = batter(batch)
          return pour ? [[batch, pour.at, celsius(pour.at)]] : []
        }),
      },
    ]
  })
  const fats = made.flatMap((batch): Heats['fats'] => {
    const on = at.get(`fats-on:${batch.number}`)
    const pour = batter(batch)
    if (!on || !pour) return []
    const { melt } = batch.parts
    const curve = oilsCurve(batch.ctx, batch.plan.jug, melt[0]?.id === 'melt')
    const clear = Math.min(pour.at, on.to + minutesOf(melt))
    return [
      {
        batch,
        way: [[on.at, batch.ctx.setup.roomC], ...sampled(curve, clear, pour.at)],
      },
    ]
  })
  return { lyes, fats }
}

/** Ground and stripes of a batch's own face. */
export const faceColours = ({ colours }: Thumbnail): [string, string] => [
  colours[0] ?? '#e9dcc0',
  colours[1] ?? colours[0] ?? '#c9b88f',
]

/** What a thing of the day is called at the head of its line. */
export const thingWords = (thing: string): string => {
  const [kind, ...rest] = thing.split(' ')
  if (kind === 'pan' || kind === 'jug') return rest.join(' ')
  const words: Record<string, string> = {
    ice: 'ice bath',
    plate: 'hot plate',
    scale: 'scale',
    thermometer: 'thermometer',
    blender: 'blender',
  }
  return words[thing] ?? thing
}
