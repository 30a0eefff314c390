import type { Workshop } from '#contracts/workshop'
import type { VesselPlan } from '../bench/plan/step'
import { byBlender } from '../formula/method'
import { sumOf } from '../statistics/sum'
import { minutesOf, paceOf, type DayBatch } from './batchOfDay'
import type { DayPerson, DayProblem, DayTask, Hold, Lag } from './problem'
import { coolTo, lyeStay, milkStay, oilsStay, togetherIn, type Stay } from './windows'

/** What a workshop has for a day. */
export interface DayThings {
  scales: number
  thermometers: number
  plates: number
  iceBaths: number
  blenders: number
  /** Warm places for bars that are to gel, and cool ones for those that are not. */
  warmPlaces: number
  coolPlaces: number
  /** Jugs and pans by size and stuff; those of the workshop. None: as many as are needed. */
  vessels: Workshop['vessels']
}

/** How the same work is put together. */
export interface Together {
  /** Batches whose lye is made in one jug. */
  lye: string[][]
  /** Batches whose fats are weighed in one round, material by material. */
  fats: string[][]
  /** Minutes before every pour in which its maker has nothing else in hand. */
  quiet: number
}

/** Minutes to put a pan on the plate (judgement). */
const onPlate = 2
/** Share of a weighing's minutes that goes into fetching what is weighed: once for all pans of a round (judgement). */
const fetching = 0.5
/** Minutes to weigh a batch's part of the lye out of a shared jug (judgement). */
const drawing = 1
/** Minutes before an ice bath serves again: rinsed, new ice (judgement). */
const newIce = 10
/** Minutes that nobody takes anything up before a batter that races (judgement). */
const beforeRacer = 2
/** Minutes in a warm place, or a cool one. */
const placeTakes = 180

/**
 * The tasks of a batch have ids of their kind and its number, those for several of all their numbers.
 * @example taskId('lye', [{ number: 36 }, { number: 38 }]) // 'lye:36+38'
 */
export const taskId = (kind: string, of: readonly { number: number }[]): string =>
  `${kind}:${of.map(({ number }) => number).join('+')}`

/** A round of weighing, material by material, pan by pan: what is weighed for several is fetched once. */
function roundOf(batches: readonly DayBatch[]): Pick<DayTask, 'minutes' | 'steps'> {
  const all = batches.flatMap(({ id, parts }) =>
    parts.weigh.map((step) => ({ batch: id, step: step.id, minutes: step.minutes })),
  )
  const materials = [...new Set(all.map(({ step }) => step))].map((id) =>
    all.filter(({ step }) => step === id),
  )
  return {
    minutes: sumOf(
      materials,
      (pans) =>
        Math.max(...pans.map(({ minutes }) => minutes)) * fetching +
        minutesOf(pans) * (1 - fetching),
    ),
    steps: materials.flat().map(({ batch, step }) => ({ batch, step })),
  }
}

/** A jug or pan of the workshop for each that is needed, alike dealt out: what two batches need is rinsed between. */
function vesselsFor(
  wanted: { key: string; size: number; fits: VesselPlan['fits'] }[],
  own: DayThings['vessels'],
): Map<string, string> {
  const used = new Map<string, number>()
  const chosen = new Map<string, string>()
  for (const { key, size, fits } of [...wanted].sort((a, b) => b.size - a.size)) {
    const [best] = own
      .filter(
        ({ millilitres, stuff }) => millilitres >= size * tight && !!stuff && fits.includes(stuff),
      )
      .sort(
        (a, b) =>
          (used.get(a.name) ?? 0) - (used.get(b.name) ?? 0) || a.millilitres - b.millilitres,
      )
    if (!best) continue
    used.set(best.name, (used.get(best.name) ?? 0) + 1)
    chosen.set(key, best.name)
  }
  return chosen
}
/** How much smaller than advised a vessel may be. */
const tight = 0.75

/**
 * Which of the workshop's vessels serves which batch as jug and as pan, by the batch's id.
 * @example vesselsOfDay([], dayThings).pans.size // 0
 */
export function vesselsOfDay(
  batches: readonly DayBatch[],
  things: DayThings,
): { jugs: Map<string, string>; pans: Map<string, string> } {
  const wanted = (id: string) =>
    batches.flatMap(({ id: key, plan }) => {
      const need = plan.vessels.find((vessel) => vessel.id === id)
      return need ? [{ key, size: need.size, fits: need.fits }] : []
    })
  const pans = vesselsFor(wanted('pan'), things.vessels)
  const left = things.vessels.filter(({ name }) => ![...pans.values()].includes(name))
  return { pans, jugs: vesselsFor(wanted('lye-jug'), left) }
}

/**
 * The problem of a day: who does what when, with these people and things.
 * @example problemOf([], [], { scales: 1, thermometers: 1, plates: 1, iceBaths: 1, blenders: 1, warmPlaces: 1, coolPlaces: 1, vessels: [] }, { lye: [], fats: [], quiet: 0 }).tasks
 *   // []
 */
export function problemOf(
  batches: readonly DayBatch[],
  people: readonly DayPerson[],
  things: DayThings,
  { lye: sharing, fats: rounds, quiet }: Together,
): DayProblem {
  const tasks: DayTask[] = []
  const lags: Lag[] = []
  const holds: Hold[] = []
  const add = (
    kind: DayTask['kind'],
    of: readonly DayBatch[],
    minutes: number,
    steps: DayTask['steps'],
    before = 0,
  ): string => {
    const id = taskId(kind, of)
    tasks.push({
      id,
      kind,
      batches: of.map((batch) => batch.id),
      steps,
      minutes,
      quiet: before,
    })
    return id
  }
  const lag = (of: Lag['of'], from: string, to: string, { least, most }: Stay) => {
    const wait = Math.max(0, Math.ceil(least - 1e-9))
    lags.push({
      from,
      to,
      of,
      least: wait,
      most: most === null ? null : Math.max(wait, Math.floor(most)),
    })
  }
  const anytime: Stay = { least: 0, most: null }
  const hold = (thing: string, from: string, to = from, more = 0) =>
    holds.push({ thing, from, to, more })
  const grouped = (groups: readonly string[][]) => {
    const named = new Set(groups.flat())
    return [
      ...groups.map((ids) => ids.flatMap((id) => batches.filter((batch) => batch.id === id))),
      ...batches.filter(({ id }) => !named.has(id)).map((batch) => [batch]),
    ].filter(({ length }) => length > 0)
  }
  const { jugs, pans } = vesselsOfDay(batches, things)
  const steps = (batch: DayBatch, of: { id: string }[]) =>
    of.map(({ id }) => ({ batch: batch.id, step: id }))

  const lyeOf = new Map<string, { id: string; shared: DayBatch[] }>()
  for (const group of grouped(sharing)) {
    const minutes = Math.max(...group.map(({ parts }) => minutesOf(parts.lye))) + (group.length - 1)
    const id = add('lye', group, minutes, [
      ...group.flatMap((batch) => steps(batch, batch.parts.gate)),
      ...group.flatMap((batch) => steps(batch, batch.parts.lye)),
    ])
    for (const { id: batch } of group) lyeOf.set(batch, { id, shared: group })
    const dissolving = group[0]!.parts.lye.find(({ kind }) => kind === 'dissolve')?.minutes ?? 0
    hold('scale', id, id, -Math.ceil(dissolving))
    hold('thermometer', id)
    if (group.some(({ plan }) => plan.jug.bySpoon)) hold('ice', id, id, newIce)
  }
  const weighOf = new Map<string, string>()
  for (const group of grouped(rounds)) {
    const round = roundOf(group)
    const id = add('weigh', group, round.minutes, round.steps)
    for (const { id: batch } of group) weighOf.set(batch, id)
    hold('scale', id)
  }
  for (const batch of batches) {
    const { ctx, plan, parts } = batch
    const { result } = ctx.onScale
    const { id: lye, shared } = lyeOf.get(batch.id)!
    const weigh = weighOf.get(batch.id)!
    const jug = togetherIn(shared.map((one) => one.plan.jug))
    const { races } = paceOf(plan)
    const ready = add('ready', [batch], minutesOf(parts.ready), steps(batch, parts.ready))
    hold('scale', ready)
    const batter = add(
      'batter',
      [batch],
      minutesOf(parts.batter) + (shared.length > 1 ? drawing : 0),
      [
        // What melts by itself is taken off the plate when somebody has a hand free, at the latest now.
        ...steps(batch, parts.melt).map((step) => ({ ...step, late: true as const })),
        ...steps(batch, parts.batter),
      ],
      Math.max(quiet, races ? beforeRacer : 0),
    )
    hold('thermometer', batter)
    const rinse = add('rinse', [batch], minutesOf(parts.rinse), steps(batch, parts.rinse))
    lag('order', ready, batter, anytime)
    lag('order', batter, rinse, anytime)
    if (byBlender(ctx.document)) hold('blender', batter, rinse)
    const [cool] = parts.lateLye.filter(({ kind }) => kind === 'cool')
    if (parts.lateLye.length) {
      const late = add('late-lye', [batch], minutesOf(parts.lateLye), steps(batch, parts.lateLye))
      const most = cool?.watch?.most ?? ctx.setup.guardC
      lag('lye', lye, late, { least: coolTo(ctx, jug, result, most), most: null })
      const milk = parts.lateLye.some(({ kind }) => kind === 'stir-in')
      lag(milk ? 'milk' : 'lye', late, batter, milk ? milkStay : lateStay(batch, most))
      if (milk) hold('ice', late, late, newIce)
      hold('thermometer', late)
    } else lag('lye', lye, batter, lyeStay(ctx, jug, result))
    if (parts.melt.length) {
      const melting = Math.ceil(minutesOf(parts.melt))
      const on = add('fats-on', [batch], onPlate, steps(batch, parts.melt))
      const hard = parts.melt.some(({ id }) => id === 'melt')
      const stay = oilsStay(ctx, plan.jug, hard)
      lag('order', weigh, on, anytime)
      lag('fats', on, batter, {
        least: stay.least + melting,
        most: stay.most === null ? null : stay.most + melting,
      })
      hold('plate', on, on, melting)
    } else lag('order', weigh, ctx.meltsByLye ? lye : batter, anytime)
    const pan = pans.get(batch.id)
    if (pan) hold(`pan ${pan}`, weigh, rinse)
    const own = shared.length === 1 ? jugs.get(batch.id) : undefined
    if (own) hold(`jug ${own}`, lye, rinse)
    const { gel } = ctx.document.method
    if (gel === 'force') hold('warm place', batter, batter, placeTakes)
    else if (gel === 'prevent' || ctx.scorches) hold('cool place', batter, batter, placeTakes)
  }
  const named = new Set(holds.map(({ thing }) => thing))
  const counts: Record<string, number> = {
    scale: things.scales,
    thermometer: batches.some(({ ctx }) => ctx.setup.thermometer) ? things.thermometers : Infinity,
    plate: things.plates,
    ice: things.iceBaths,
    blender: things.blenders,
    'warm place': things.warmPlaces,
    'cool place': things.coolPlaces,
  }
  return {
    tasks,
    people: [...people],
    lags,
    holds,
    things: Object.fromEntries([...named].map((thing) => [thing, Math.max(1, counts[thing] ?? 1)])),
  }
}

/** Minutes after something was stirred into cooled lye in which it goes into the oils: it keeps on cooling from there. */
function lateStay({ ctx, plan }: DayBatch, fromC: number): Stay {
  const { result } = ctx.onScale
  const whole = lyeStay(ctx, plan.jug, result)
  const passed = coolTo(ctx, plan.jug, result, fromC)
  return {
    least: Math.max(0, whole.least - passed),
    most: whole.most === null ? null : Math.max(0, whole.most - passed),
  }
}
