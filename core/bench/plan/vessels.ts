import { batterMillilitres, lyeDensity, potFor } from '../../formula/volume'
import { at, type PlanContext } from './context'
import { lyeJugGrams, oilsOntoLye } from './batterSteps'
import { dividedSays, type Divided } from './divide'
import { lyeByPot } from './pots'
import type { VesselStuff } from '#contracts/benchWords'
import type { Workshop } from '#contracts/workshop'
import type { Step, VesselPlan, Weighing } from './step'
import { inSentence } from '../../units/language'
import { propsFor } from '../../batter/pourActs'
import { patternsOf } from '../../formula/method'

/** g/ml of flakes or beads as they lie in a cup. */
const flakes = 1.1
/** Sizes that jugs and cups come in, ml. */
const sizes = [50, 100, 250, 500, 750, 1000, 1500, 2000, 3000, 5000, 8000, 10_000, 15_000, 20_000]
const sizeFor = (millilitres: number, room: number) =>
  sizes.find((size) => size >= millilitres * room) ?? Math.ceil((millilitres * room) / 5000) * 5000

/** What vessels are made of, in words. */
export const stuffWords: Record<VesselStuff, string> = {
  steel: 'stainless steel',
  pp: 'PP (5)',
  hdpe: 'HDPE (2)',
  glass: 'glass',
  silicone: 'silicone',
  plastic: 'other plastic',
}
/** By what a vessel is for: hot lye cracks glass and softens unknown plastic, a stove melts all but steel. */
const stuffs = {
  lye: { of: 'PP (5), HDPE (2) or stainless steel', fits: ['steel', 'pp', 'hdpe'] },
  stove: { of: 'stainless steel', fits: ['steel'] },
  batter: { of: 'PP, HDPE or stainless steel', fits: ['steel', 'pp', 'hdpe', 'silicone'] },
  cup: { of: 'glass, steel or PP', fits: ['glass', 'steel', 'pp', 'silicone'] },
} as const satisfies Record<string, { of: string; fits: readonly VesselStuff[] }>

/** What hot lye may be in. */
export const lyeJugStuffs: readonly VesselStuff[] = stuffs.lye.fits

/**
 * The vessels of a plan by size, each large enough for what it holds and for the stirring.
 * @example vesselsOf(bench().ctx, bench().plan.steps).map(({ id }) => id) // ['lye-cup', 'lye-jug', 'pan']
 */
export function vesselsOf(ctx: PlanContext, steps: Step[]): VesselPlan[] {
  const { onScale, library, pots, dividing, document } = ctx
  const { result } = onScale
  const list: VesselPlan[] = []
  const add = (
    id: string,
    called: string,
    whose: string,
    millilitres: number,
    room: number,
    stuff: { of: string; fits: readonly VesselStuff[] },
  ) => {
    if (millilitres > 0)
      list.push({
        id,
        says: called + whose,
        called,
        millilitres,
        size: sizeFor(millilitres, room),
        ...stuff,
      })
  }
  const batter = batterMillilitres(result, library)
  const jugs = lyeByPot(document)
    ? pots.map(({ result: own }, pot) => ({ own, pot }))
    : [{ own: result, pot: null }]
  for (const { own, pot } of jugs) {
    const name = pot === null ? '' : `, ${pots[pot]!.name}`
    if (own.lye.naoh > 0)
      add(at('lye-cup', pot), 'Dry cup for the lye', name, own.lye.naoh / flakes, 1.4, stuffs.lye)
    if (
      own.lye.solution &&
      !steps.some(
        ({ id, vessel }) => id === at('weigh:solution', pot) && vessel === at('lye-jug', pot),
      )
    )
      add(
        at('lye-cup', pot),
        'Dry jug for the lye solution',
        name,
        own.lye.solution / 1.5,
        1.4,
        stuffs.lye,
      )
    if (own.lye.koh > 0)
      add(at('koh-cup', pot), 'Dry cup for the potash', name, own.lye.koh / flakes, 1.4, stuffs.lye)
    const [millilitres, room] =
      pot === null && oilsOntoLye(ctx)
        ? [batter, 1.4]
        : [lyeJugGrams(own) / lyeDensity(own.water.strength), 2]
    add(at('lye-jug', pot), 'Lye jug, heat-proof', name, millilitres, room, stuffs.lye)
  }
  const pan = potFor(batter)
  list.push({
    id: 'pan',
    says: 'Pan for the oils and the batter',
    called: 'Pan for the oils and the batter',
    millilitres: batter,
    size: pan.litres * 1000,
    ...stuffs.stove,
  })
  if (dividing !== 'none')
    pots.forEach(({ name, result: own }, pot) =>
      add(
        at('pot', pot),
        'Pot',
        ` for ${name}`,
        batterMillilitres(own, library),
        1.4,
        stuffs.batter,
      ),
    )
  if (dividing === 'upfront' && !lyeByPot(document))
    pots.forEach(({ name, result: own }, pot) =>
      add(
        at('lye-share', pot),
        'Jug for the lye',
        ` of ${name}`,
        lyeJugGrams(own) / lyeDensity(own.water.strength),
        1.4,
        stuffs.lye,
      ),
    )
  const rest = new Map<string, { called: string; whose: string; grams: number }>()
  for (const { vessel, weigh } of steps) {
    if (!vessel || !weigh || list.some(({ id }) => id === vessel)) continue
    const before = rest.get(vessel)
    rest.set(vessel, {
      called: before?.called ?? `Cup for ${cupFor(weigh)}`,
      whose: before?.whose ?? (weigh.kind === 'share' ? `, ${pots[weigh.pot!]!.name}` : ''),
      grams: (before?.grams ?? 0) + weigh.grams,
    })
  }
  for (const [id, { called, whose, grams }] of rest) add(id, called, whose, grams, 1.5, stuffs.cup)
  return list
}

/** What a cup is for: colours in oil, and what all pots have a cup of, are called alike. */
const cupFor = ({ kind, id, name }: Weighing): string =>
  kind === 'carrier'
    ? 'a colour in oil'
    : kind === 'share'
      ? dividedSays(id as Divided)
      : inSentence(name)

/** How much smaller than advised a vessel may be that the workshop has. */
const tight = 0.75

/**
 * Which of the workshop's own vessels does for which of a plan: each once, the largest need first, of a stuff that bears it. One of
 * which nobody said what it is made of is offered for nothing hot.
 * @returns names by the id of the plan's vessel
 * @example [...ownVessels(bench().plan.vessels, [{ id: 'a', name: 'Steel pot', grams: 400, millilitres: 5000, stuff: 'steel' }])]
 *   // [['pan', 'Steel pot']]
 */
export function ownVessels(
  vessels: readonly VesselPlan[],
  own: Workshop['vessels'],
): Map<string, string> {
  const left = [...own].sort((a, b) => a.millilitres - b.millilitres)
  const chosen = new Map<string, string>()
  for (const { id, size, fits } of [...vessels].sort((a, b) => b.size - a.size)) {
    const at = left.findIndex(
      ({ millilitres, stuff }) =>
        millilitres >= size * tight &&
        (stuff ? fits.includes(stuff) : fits.includes('glass') || fits.includes('silicone')),
    )
    if (at < 0) continue
    chosen.set(id, left[at]!.name)
    left.splice(at, 1)
  }
  return chosen
}

/**
 * The vessels of a plan, those that are called alike and of one size together: they repeat for pot after pot.
 * @example vesselGroups(bench().plan.vessels).length // 3
 */
export function vesselGroups(vessels: readonly VesselPlan[]): VesselPlan[][] {
  const groups = new Map<string, VesselPlan[]>()
  for (const vessel of vessels) {
    const key = `${vessel.called} ${vessel.size}`
    groups.set(key, [...(groups.get(key) ?? []), vessel])
  }
  return [...groups.values()]
}

/**
 * What else lies on the table.
 * @example toolsOf(bench().ctx).length // 7
 */
export function toolsOf({ document, setup }: PlanContext): string[] {
  return [
    'Scale, and paper under it',
    ...(setup.thermometer ? ['Two thermometers, or one that is rinsed between'] : []),
    'Spatula and spoons of steel, silicone or PP',
    'A fine sieve for the lye',
    {
      blender: 'Stick blender with a steel or plastic foot',
      whisk: 'A whisk',
      spoon: 'A long spoon, steel or plastic',
    }[document.method.tool],
    'Mould, liner and lid',
    ...propsFor(patternsOf(document)),
    'Paper towels, a bowl of water, a bin bag',
  ]
}
