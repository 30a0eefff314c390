import { inSentence } from '../../units/language'
import { at, forPot, portionStep, weighStep, type PlanContext } from './context'
import { divideSteps } from './divide'
import { fatsAt } from './fatSteps'
import type { Pot } from './pots'
import type { Step } from './step'
import { sum, sumOf } from '../../statistics/sum'

/** By how much a scent's share of two blends may differ for them to be the same: what rounding to the scale does. */
const sameBlend = 0.03

/** Colours and other extras of one cup, each with the oil it is rubbed into, scents, and fats kept for trace. */
function cupsFor(
  ctx: PlanContext,
  pots: Pot[],
  pot: number | null,
  lines: (index: number, common: number) => boolean,
) {
  const { library, onScale, document } = ctx
  const steps: Step[] = []
  const common = document.additives.length
  const scale = onScale.scale
  const named = forPot(ctx, pot)
  const first = pots[0]!
  first.document.additives.forEach((line, index) => {
    if (!lines(index, common)) return
    const extra = first.result.additives[index]!
    const grams = sum(pots.map(({ result }) => result.additives[index]?.grams ?? 0))
    if (!(grams > 0)) return
    const carrier = line.carrier
    const oil = carrier ? Math.round((grams * (carrier.ratio ?? 0)) / scale) * scale : 0
    const after: string[] = []
    if (carrier && oil > 0) {
      const name = library.fats.get(carrier.id)?.name ?? carrier.id
      const id = `weigh:carrier:${extra.id}`
      after.push(at(id, pot))
      steps.push(
        weighStep(ctx, {
          id,
          says: `Weigh the ${inSentence(name)} to rub the ${inSentence(extra.name)} into${named}`,
          short: `${name} for ${inSentence(extra.name)}${named}`,
          how:
            carrier.from === 'formula'
              ? 'It is taken from the formula’s own oils.'
              : 'It comes on top of the formula’s oils and counts in the superfat.',
          vessel: at(`cup:${extra.id}`, pot),
          weigh: {
            kind: 'carrier',
            id: carrier.id,
            name,
            substance: 'fat',
            grams: oil,
            pot,
            onTop: carrier.from === 'extra',
          },
        }),
      )
    }
    if (extra.moment !== 'trace') return
    steps.push(
      portionStep(ctx, 'additive', { ...extra, grams }, pot, {
        says: `Weigh the ${inSentence(extra.name)}${carrier ? ' into its oil and rub it smooth' : ''}${named}`,
        short: `${extra.name} ready${named}`,
        how: carrier
          ? 'No streaks left: what is not rubbed in now bleeds colour in the lather.'
          : 'In its own cup, beside the pot.',
        minutes: 2,
        after,
        vessel: at(`cup:${extra.id}`, pot),
        alone: true,
      }),
    )
  })
  return steps
}

/** The cups of pots that are made apart. An extra that all of them take is weighed once and divided; each thing by itself where there are several, since not everything mixes. */
function cupsOfPots(ctx: PlanContext): Step[] {
  const { document, pots, setup } = ctx
  const own = (least: number) =>
    pots.flatMap((one, pot) => cupsFor(ctx, [one], pot, (index) => index >= least))
  const common = document.additives.length
  const gramsOf = ({ result }: Pot) =>
    sumOf(result.additives.slice(0, common), ({ moment, grams }) =>
      moment === 'trace' ? grams : 0,
    )
  const late = pots[0]!.result.additives
    .slice(0, common)
    .filter(({ moment, grams }) => moment === 'trace' && grams > 0)
  if (!setup.bulkScent || late.length !== 1) return own(0)
  const cups = cupsFor(ctx, pots, null, (index) => index < common)
  const whole = sumOf(cups, ({ weigh }) => weigh!.grams)
  const all = sumOf(pots, gramsOf)
  return [
    ...cups,
    ...divideSteps(
      ctx,
      'extra',
      (pot) => (whole * gramsOf(pot)) / all,
      cups.map(({ id }) => id),
    ),
    ...own(common),
  ]
}

/** g of scent that a pot takes at trace. */
const scentGrams = ({ result }: Pot) =>
  sumOf(result.scents, ({ moment, grams }) => (moment === 'trace' ? grams : 0))

/**
 * Whether several pots take the same blend, so that it is weighed once and divided.
 * @example scentedAlike(bench({ scents: [scent('Fir', 0.03)], parts: [pot('pale', 0.4), pot('dark', 0.6)] }).ctx.pots) // true
 */
export function scentedAlike(pots: Pot[]): boolean {
  const scented = pots.filter((pot) => scentGrams(pot) > 0)
  const [first] = scented
  return (
    scented.length > 1 &&
    scented.every((pot) =>
      pot.result.scents.every(
        ({ id, grams }, index) =>
          id === first!.result.scents[index]?.id &&
          Math.abs(
            grams / scentGrams(pot) - first!.result.scents[index]!.grams / scentGrams(first!),
          ) < sameBlend,
      ),
    )
  )
}

function scentCups(ctx: PlanContext, pots: Pot[], pot: number | null): Step[] {
  const named = forPot(ctx, pot)
  const [first] = pots
  return (first?.result.scents ?? []).flatMap((scent, index) => {
    const grams = sumOf(pots, ({ result }) => result.scents[index]?.grams ?? 0)
    if (!(grams > 0) || scent.moment !== 'trace') return []
    return [
      portionStep(ctx, 'scent', { ...scent, grams }, pot, {
        says: `Weigh the ${inSentence(scent.name)}${named}`,
        short: `${scent.name} ready${named}`,
        how: 'Weighed, never spooned or dripped. Glass or steel, not thin plastic. Covered.',
        vessel: at('scent-cup', pot),
        alone: true,
      }),
    ]
  })
}

/** Fats and liquids that are kept for trace, in one cup for all pots. */
function lateCups(ctx: PlanContext): Step[] {
  const { result } = ctx.onScale
  return [
    ...fatsAt(result, 'trace')
      .filter(({ grams }) => grams > 0)
      .map((fat) =>
        portionStep(ctx, 'fat', fat, null, {
          id: `weigh:fat:${fat.id}:trace`,
          says: `Weigh the ${inSentence(fat.name)} kept for trace`,
          short: `${fat.name} for trace`,
          how: 'Melted and as warm as the batter, or it sets in it.',
          vessel: 'trace-cup',
          alone: true,
        }),
      ),
    ...result.liquids
      .filter(({ moment, grams }) => moment === 'trace' && grams > 0)
      .map((liquid) =>
        portionStep(ctx, 'liquid', liquid, null, {
          id: `weigh:liquid:${liquid.id}:trace`,
          says: `Weigh the ${inSentence(liquid.name)} for trace`,
          short: `${liquid.name} for trace`,
          how: 'Stirred smooth, at room temperature.',
          vessel: 'trace-cup',
          alone: true,
        }),
      ),
  ]
}

/** g of fats and liquids that a pot takes at trace. */
const lateGrams = ({ result }: Pot) =>
  sumOf([...result.fats, ...result.liquids], ({ moment, grams }) =>
    moment === 'trace' ? grams : 0,
  )

/**
 * Everything that stands ready before the lye goes in: colours, scents, fats and liquids kept for trace.
 * @example readySteps(bench({ scents: [scent('Fir', 0.03)] }).ctx).map(({ id }) => id) // ['weigh:scent:fir']
 */
export function readySteps(ctx: PlanContext): Step[] {
  const { pots, dividing, setup } = ctx
  const steps: Step[] = []
  if (dividing === 'none') steps.push(...cupsFor(ctx, pots, null, () => true))
  else if (dividing === 'upfront') steps.push(...cupsOfPots(ctx))
  else {
    steps.push(...cupsFor(ctx, pots, null, (index, common) => index < common))
    pots.forEach((one, pot) =>
      steps.push(...cupsFor(ctx, [one], pot, (index, common) => index >= common)),
    )
  }
  const late = lateCups(ctx)
  steps.push(...late)
  if (dividing !== 'none')
    steps.push(
      ...divideSteps(
        ctx,
        'late',
        lateGrams,
        late.map(({ id }) => id),
      ),
    )
  if (dividing === 'none') steps.push(...scentCups(ctx, pots, null))
  else if (setup.bulkScent && scentedAlike(pots)) {
    const scented = pots.filter((pot) => scentGrams(pot) > 0)
    const cups = scentCups(ctx, scented, null)
    const own = cups.map(({ id }) => id)
    steps.push(...cups, ...divideSteps(ctx, 'scent', scentGrams, own))
  } else pots.forEach((one, pot) => steps.push(...scentCups(ctx, [one], pot)))
  return steps
}
