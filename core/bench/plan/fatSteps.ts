import type { FormulaResult } from '#contracts/result'
import { inSentence } from '../../units/language'
import type { Library } from '../../materials/library'
import { scorches } from '../../water/milk'
import { portionStep, type PlanContext } from './context'
import { lyeByPot } from './pots'
import type { Step } from './step'
import { sumOf } from '../../statistics/sum'

/** What dispersing takes out of a fat that is weighed into the pot. */
function takenFor(result: FormulaResult, id: string, moment: string): number {
  if (result.fats.find((fat) => fat.id === id)?.moment !== moment) return 0
  return sumOf(result.carriers, (carrier) =>
    carrier.from === 'formula' && carrier.id === id ? carrier.grams : 0,
  )
}

/**
 * The fats of a moment, each once, less what dispersing takes of it.
 * @example fatsAt(made, 'pot').map(({ id }) => id) // ['olive']
 */
export function fatsAt(result: FormulaResult, moment: 'pot' | 'trace') {
  const byId = new Map<string, { id: string; name: string; grams: number }>()
  for (const { id, name, grams } of result.fats.filter((fat) => fat.moment === moment))
    byId.set(id, { id, name, grams: grams + (byId.get(id)?.grams ?? 0) })
  return [...byId.values()].map((fat) => ({
    ...fat,
    grams: fat.grams - takenFor(result, fat.id, moment),
  }))
}

/**
 * Whether a fat has to be melted: it is hard or soft in a cool room.
 * @example isHard(shipped, 'tallow') // true
 */
export const isHard = (library: Library, id: string): boolean =>
  (library.fats.get(id)?.stateAt20 ?? 'liquid') !== 'liquid'

/**
 * Whether hot lye may melt the hard fats: one jug of dry lye for all pots (ready-mixed lye is as warm as the room), nothing in it
 * that scorches, and something to melt.
 * @example lyeMayMelt(bench().ctx) // false
 */
export const lyeMayMelt = ({
  document,
  library,
  onScale,
  scorches,
}: Pick<PlanContext, 'document' | 'library' | 'onScale' | 'scorches'>): boolean =>
  !scorches &&
  !lyeByPot(document) &&
  document.alkali.solutionStrength === null &&
  fatsAt(onScale.result, 'pot').some(({ id, grams }) => grams > 0 && isHard(library, id))

const firmness = { hard: 0, soft: 1, liquid: 2 }

/**
 * The steps that make the pan of oils, hard fats first, and what goes into it before the lye.
 * @example fatSteps(bench().ctx).map(({ id }) => id) // ['weigh:fat:olive', 'warm']
 */
export function fatSteps(ctx: PlanContext): Step[] {
  const { document, library, setup, say } = ctx
  const { result } = ctx.onScale
  const { oilsC } = document.method
  const steps: Step[] = []
  const state = (id: string) => library.fats.get(id)?.stateAt20 ?? 'liquid'
  const fats = fatsAt(result, 'pot')
    .filter(({ grams }) => grams > 0)
    .sort((a, b) => firmness[state(a.id)] - firmness[state(b.id)])
  const hard = fats.filter(({ id }) => isHard(library, id))
  const liquid = fats.filter(({ id }) => !isHard(library, id))
  const weigh = (fat: (typeof fats)[number], after: string[]) => {
    const mixUp = library.fats.get(fat.id)?.mixUp
    return portionStep(ctx, 'fat', fat, null, {
      says: `Weigh the ${inSentence(fat.name)} into the pan`,
      how:
        mixUp ??
        'All into one pan on the scale, tared between: half a per cent over does not matter.',
      after,
      vessel: 'pan',
    })
  }
  // On a day of several batches a pan is filled in one go, so that it can go on the plate whenever the plate is free.
  const together = !!setup.day && !ctx.meltsByLye
  for (const fat of hard) steps.push(weigh(fat, []))
  if (together) for (const fat of liquid) steps.push(weigh(fat, []))
  const hardIds = steps.map(({ id }) => id)
  if (hard.length && !ctx.meltsByLye)
    steps.push({
      id: 'melt',
      kind: 'melt',
      says: 'Melt the hard fats until they are just clear',
      short: `${ctx.say.list(
        hard.map(({ name }) => name.split(',')[0]!).slice(0, 2),
      )}${hard.length > 2 ? ' …' : ''}: melt`,
      how: setup.thermometer
        ? 'Low heat, never left alone. The liquid oils then cool them.'
        : 'Low heat, off as soon as the last lump swims. The liquid oils then cool them.',
      minutes: 10,
      after: hardIds,
      vessel: 'pan',
      needed: true,
    })
  if (ctx.meltsByLye)
    steps.push({
      id: 'melt',
      kind: 'melt',
      says: 'Pour the hot lye over the hard fats, stirring until they are melted',
      short: 'Lye melts the fats',
      how: 'Cut small. Slowly and without splashing; the heat of the lye does what the stove would.',
      why: 'No waiting for temperatures: what is melted so is mixed so.',
      minutes: 8,
      after: ['gate', 'dissolve', ...hardIds],
      vessel: 'pan',
      needed: true,
      lye: true,
    })
  const melted = hard.length ? ['melt'] : []
  if (!together) for (const fat of liquid) steps.push(weigh(fat, melted))
  if (!hard.length && oilsC > setup.roomC + 4)
    steps.push({
      id: 'warm',
      kind: 'melt',
      says: `Warm the oils to about ${say.temperature(oilsC + 5)}`,
      short: 'Warm the oils',
      how: setup.thermometer
        ? 'Low heat; they cool again while the lye does.'
        : 'Warm to the hand, not hot.',
      minutes: 4,
      after: steps.map(({ id }) => id),
      vessel: 'pan',
      needed: true,
    })
  const allFats = steps.map(({ id }) => id)
  const milks = result.liquids.filter(({ moment, grams }) => moment === 'oils' && grams > 0)
  const tender = milks.some(({ id }) => scorches(library.liquids.get(id) ?? { sugar: 0, fat: 0 }))
  if (tender)
    steps.push({
      id: 'cool:oils',
      kind: 'cool',
      says: `Let the oils cool to ${say.temperature(setup.guardC)} or less`,
      short: 'Oils cool for the milk',
      how: setup.thermometer
        ? 'Milk sugar browns in hotter oil.'
        : 'No thermometer: warm to the hand, not hot.',
      minutes: 0,
      after: allFats,
      watch: { vessel: 'oils', most: setup.guardC },
      vessel: 'pan',
      needed: true,
    })
  const ready = tender ? ['cool:oils'] : allFats
  for (const milk of milks)
    steps.push(
      portionStep(ctx, 'liquid', milk, null, {
        says: `Weigh the ${inSentence(milk.name)} into the oils`,
        short: `${milk.name} into oils`,
        how: 'Stir. Droplets and a cloudy look are normal.',
        after: ready,
        vessel: 'pan',
        ...(tender ? { watch: { vessel: 'oils' as const, most: setup.guardC } } : {}),
      }),
    )
  for (const extra of result.additives.filter(
    ({ moment, grams }) => moment === 'oils' && grams > 0,
  ))
    steps.push(
      portionStep(ctx, 'additive', extra, null, {
        says: `Weigh the ${inSentence(extra.name)} into the oils`,
        short: `${extra.name} into oils`,
        how: 'Stir it in, or rub it smooth in a spoonful of the oil first.',
        after: allFats,
        vessel: 'pan',
        alone: true,
      }),
    )
  for (const scent of result.scents.filter(({ moment, grams }) => moment === 'oils' && grams > 0))
    steps.push(
      portionStep(ctx, 'scent', scent, null, {
        says: `Weigh the ${inSentence(scent.name)} into the oils`,
        short: `${scent.name} into oils`,
        how: 'Weighed, never spooned or dripped. Last of all, so that little of it is lost.',
        after: ready,
        vessel: 'pan',
        alone: true,
      }),
    )
  return steps
}
