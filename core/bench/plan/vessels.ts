import { batterMillilitres, lyeDensity, potFor } from '../../formula/volume'
import { at, type PlanContext } from './context'
import { lyeJugGrams } from './batterSteps'
import { lyeByPot } from './pots'
import type { Step, VesselPlan } from './step'
import { inSentence } from '../../units/language'

/** g/ml of flakes or beads as they lie in a cup. */
const flakes = 1.1
/** Sizes that jugs and cups come in, ml. */
const sizes = [50, 100, 250, 500, 750, 1000, 1500, 2000, 3000, 5000, 8000, 10_000, 15_000, 20_000]
const sizeFor = (millilitres: number, room: number) =>
  sizes.find((size) => size >= millilitres * room) ?? Math.ceil((millilitres * room) / 5000) * 5000

const lyeStuff = 'PP (5), HDPE (2) or stainless steel'

/** The vessels of a plan by size, each large enough for what it holds and for the stirring. */
export function vesselsOf(ctx: PlanContext, steps: Step[]): VesselPlan[] {
  const { onScale, library, pots, dividing, document } = ctx
  const { result } = onScale
  const list: VesselPlan[] = []
  const add = (id: string, says: string, millilitres: number, room: number, of: string) => {
    if (millilitres > 0) list.push({ id, says, millilitres, size: sizeFor(millilitres, room), of })
  }
  const jugs = lyeByPot(document)
    ? pots.map(({ result: own }, pot) => ({ own, pot }))
    : [{ own: result, pot: null }]
  for (const { own, pot } of jugs) {
    const name = pot === null ? '' : `, ${pots[pot]!.name}`
    if (own.lye.naoh > 0)
      add(at('lye-cup', pot), `Dry cup for the lye${name}`, own.lye.naoh / flakes, 1.4, lyeStuff)
    if (own.lye.solution)
      add(
        at('lye-cup', pot),
        `Dry jug for the lye solution${name}`,
        own.lye.solution / 1.5,
        1.4,
        lyeStuff,
      )
    if (own.lye.koh > 0)
      add(at('koh-cup', pot), `Dry cup for the potash${name}`, own.lye.koh / flakes, 1.4, lyeStuff)
    add(
      at('lye-jug', pot),
      `Lye jug, heat-proof${name}`,
      lyeJugGrams(own) / lyeDensity(own.water.strength),
      2,
      lyeStuff,
    )
  }
  const batter = batterMillilitres(result, library)
  const pan = potFor(batter)
  list.push({
    id: 'pan',
    says: 'Pan for the oils and the batter',
    millilitres: batter,
    size: pan.litres * 1000,
    of: 'stainless steel',
  })
  if (dividing !== 'none')
    pots.forEach(({ name, result: own }, pot) =>
      add(
        at('pot', pot),
        `Pot for ${name}`,
        batterMillilitres(own, library),
        1.4,
        'PP, HDPE or stainless steel',
      ),
    )
  if (dividing === 'upfront' && !lyeByPot(document))
    pots.forEach(({ name, result: own }, pot) =>
      add(
        at('lye-share', pot),
        `Jug for the lye of ${name}`,
        lyeJugGrams(own) / lyeDensity(own.water.strength),
        1.4,
        lyeStuff,
      ),
    )
  const rest = new Map<string, { says: string; grams: number }>()
  for (const { vessel, weigh } of steps) {
    if (!vessel || !weigh || list.some(({ id }) => id === vessel)) continue
    const before = rest.get(vessel)
    rest.set(vessel, {
      says: before
        ? before.says
        : `Cup for ${weigh.kind === 'carrier' ? 'a colour in oil' : inSentence(weigh.name)}`,
      grams: (before?.grams ?? 0) + weigh.grams,
    })
  }
  for (const [id, { says, grams }] of rest) add(id, says, grams, 1.5, 'glass, steel or PP')
  return list
}

/** What else lies on the table. */
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
    'Paper towels, a bowl of water, a bin bag',
  ]
}
