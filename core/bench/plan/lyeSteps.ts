import type { FormulaResult } from '#contracts/result'
import { inSentence } from '../../units/language'
import { milkWay, scorches } from '../../water/milk'
import { at, forPot, portionStep, weighStep, type PlanContext } from './context'
import type { Step } from './step'
import { sumOf } from '../../statistics/sum'

/** °C under which lactate and its like go into the lye. */
const lactateC = 50

/** Water to lye up to which dry lye only just dissolves: it spits, and what dries or cools crystallises. */
const strongTo = 1.1

/** Whether dry lye meets so little water that it needs care of its own. */
function isStrong({ lye, water }: FormulaResult, liquids: { waterGrams: number }[]): boolean {
  const alkali = lye.solution === null ? lye.pureNaoh + lye.pureKoh : 0
  return (
    alkali > 0 && water.weighed + sumOf(liquids, ({ waterGrams }) => waterGrams) < alkali * strongTo
  )
}

/** How lye and liquid come together. */
function dissolveWords({
  lye,
  frozen,
  wet,
  strong,
}: {
  lye: FormulaResult['lye']
  frozen: { name: string } | undefined
  wet: boolean
  strong: boolean
}): Pick<Step, 'says' | 'short' | 'how' | 'why'> {
  if (frozen) {
    const name = inSentence(frozen.name)
    return {
      says: `Sprinkle the lye on the frozen ${name}`,
      short: `Lye onto ${name}`,
      how: 'A spoon at a time, stirring all the while; wait whenever it nears the guard. Yellow is normal. Orange means stop.',
      why: 'The ice takes the heat of the lye, so that the sugar does not brown.',
    }
  }
  if (lye.solution !== null && lye.koh > 0)
    return {
      says: `Potash into the ${wet ? 'water, then the lye solution' : 'lye solution'}, slowly, stirring`,
      short: 'Potash and lye solution, stir',
      how: 'Stir until no grit is left; keep your face out of the steam. It warms up.',
    }
  if (lye.solution !== null)
    return {
      says: 'Lye solution into the water',
      short: 'Lye solution into water',
      how: 'It warms up again. Stir, and let it stand.',
    }
  return {
    says: 'Lye into the water, slowly, stirring',
    short: 'Lye into water, stir',
    how: strong
      ? 'In four or five parts, each stirred clear before the next. It spits and boils: a tall jug, your face well away, never all at once.'
      : 'Never water onto lye: it erupts. Stir until no grit is left. Cloudy, then clear, is normal; keep your face out of the steam.',
    why: strong
      ? 'At about 1 : 1 lye only just dissolves. What dries on the rim or cools too far turns to crystals: do not pour those, warm it until it is clear.'
      : undefined,
  }
}

/**
 * The steps that make one jug of lye, in the order of the work. `pot` is null when one jug serves all.
 * @example lyeSteps(bench().ctx, made, null).map(({ id }) => id) // ['weigh:water', 'weigh:naoh', 'dissolve']
 */
export function lyeSteps(ctx: PlanContext, result: FormulaResult, pot: number | null): Step[] {
  const { library, setup, say } = ctx
  const jug = at('lye-jug', pot)
  const named = forPot(ctx, pot)
  const { water, lye } = result
  const inLye = result.liquids.filter(({ moment, grams }) => moment === 'lye' && grams > 0)
  const before = inLye.filter(({ way }) => way !== 'into-cooled-lye')
  const cooled = inLye.filter(({ way }) => way === 'into-cooled-lye')
  const frozen = before.find(({ way }) => way === 'frozen')
  const extras = (moment: string) =>
    result.additives.filter((line) => line.moment === moment && line.grams > 0)
  const steps: Step[] = []
  const ids = () => steps.map(({ id }) => id)

  const liquidWater = water.weighed - water.ice
  if (liquidWater > 0)
    steps.push(
      weighStep(ctx, {
        id: 'weigh:water',
        says: `Weigh the water into the lye jug${named}`,
        short: `Water${named}`,
        how: 'Stainless steel, PP or HDPE, at least twice as big as what goes in.',
        vessel: jug,
        weigh: {
          kind: 'water',
          id: 'water',
          name: 'Water',
          substance: 'water',
          grams: liquidWater,
          pot,
        },
      }),
    )
  if (water.ice > 0)
    steps.push(
      weighStep(ctx, {
        id: 'weigh:ice',
        says: `Weigh the ice${named}`,
        short: `Ice${named}`,
        how: 'It counts as water to the gram, and takes the first heat of the lye.',
        vessel: jug,
        weigh: { kind: 'ice', id: 'ice', name: 'Ice', substance: 'water', grams: water.ice, pot },
      }),
    )
  for (const liquid of before)
    steps.push(
      portionStep(ctx, 'liquid', liquid, pot, {
        says: `Weigh the ${inSentence(liquid.name)}${liquid.way === 'frozen' ? ', frozen,' : ''} into the lye jug${named}`,
        short: `${liquid.name}${liquid.way === 'frozen' ? ', frozen' : ''}${named}`,
        how:
          liquid.way === 'frozen'
            ? 'In small pieces. Stand the jug in cold water.'
            : (library.liquids.get(liquid.id)?.mind ?? 'Into the jug with the water.'),
        vessel: jug,
      }),
    )
  const dissolved = extras('water')
  for (const extra of dissolved)
    steps.push(
      portionStep(ctx, 'additive', extra, pot, {
        says: `Weigh the ${inSentence(extra.name)} and dissolve it in the water${named}`,
        short: `${extra.name}, dissolve${named}`,
        how: 'Stir until nothing is left to see: it has to be dissolved before the lye.',
        why: extra.naohTaken
          ? `It takes ${say.mass(extra.naohTaken)} of lye before the fats do; that is in the lye already.`
          : undefined,
        minutes: 2,
        after: liquidWater > 0 ? [at('weigh:water', pot)] : [],
        vessel: jug,
        alone: true,
      }),
    )
  const inJug = ids()

  /** Nothing to thin it with and nothing dry beside it: what is weighed is the lye itself. */
  const asItIs = lye.solution !== null && !inJug.length && !(lye.koh > 0)
  const lyeStep = (kind: 'naoh' | 'koh' | 'solution', name: string, grams: number) =>
    steps.push(
      weighStep(ctx, {
        id: `weigh:${kind}`,
        says:
          kind === 'solution'
            ? `Weigh the ready lye solution ${asItIs ? 'into the lye jug' : 'in its own dry jug'}${named}`
            : `Weigh the ${kind === 'koh' ? 'potash' : 'lye'} in its own dry cup${named}`,
        short: `${kind === 'solution' ? 'Lye solution' : kind === 'koh' ? 'Potash, own cup' : 'Lye, own cup'}${named}`,
        how: asItIs
          ? 'It is the whole lye: nothing thins it, and it stays as warm as the room. No crystals on its ground.'
          : 'Never into the water jug: what is poured cannot be taken back.',
        why: 'The number was worked out in two separate ways that agree.',
        after: ['gate'],
        vessel: asItIs ? jug : at(kind === 'koh' ? 'koh-cup' : 'lye-cup', pot),
        lye: true,
        weigh: { kind, id: kind, name, substance: 'lye', grams, pot, alone: true },
      }),
    )
  if (lye.koh > 0) lyeStep('koh', 'Potassium hydroxide', lye.koh)
  if (lye.naoh > 0) lyeStep('naoh', 'Sodium hydroxide', lye.naoh)
  if (lye.solution) lyeStep('solution', 'Lye solution', lye.solution)
  const lyeIds = ids().filter((id) => !inJug.includes(id))

  const milkInJug = before.some(({ id }) =>
    scorches(library.liquids.get(id) ?? { sugar: 0, fat: 0 }),
  )
  const guard = milkInJug ? { watch: { vessel: 'lye' as const, most: setup.guardC } } : {}
  const strong = !frozen && isStrong(result, before)
  const words = dissolveWords({ lye, frozen, wet: inJug.length > 0, strong })
  const made = asItIs ? at('weigh:solution', pot) : at('dissolve', pot)
  const dissolve: Step = {
    id: made,
    kind: 'dissolve',
    says: words.says + named,
    short: words.short + named,
    how: words.how,
    why: words.why,
    minutes: frozen ? 20 : lye.koh <= 0 && lye.solution ? 2 : strong ? 8 : 4,
    after: ['gate', ...inJug, ...lyeIds],
    vessel: jug,
    pot: pot ?? undefined,
    needed: true,
    lye: true,
    ...guard,
  }
  if (!asItIs) steps.push(dissolve)
  for (const extra of extras('lye'))
    steps.push(
      portionStep(ctx, 'additive', extra, pot, {
        says: `Weigh the ${inSentence(extra.name)} into the lye and stir${named}`,
        short: `${extra.name} into lye${named}`,
        how: 'While the lye is still warm; a sieve catches what does not dissolve.',
        after: [made],
        vessel: jug,
        alone: true,
      }),
    )
  const late = extras('cooled-lye')
  if (cooled.length || late.length) {
    const most = cooled.length
      ? Math.max(milkWay('into-cooled-lye').lyeC, setup.roomC + 4)
      : lactateC
    steps.push({
      id: at('cool:lye', pot),
      kind: 'cool',
      says: `Let the lye cool to ${say.temperature(most)} or less${named}`,
      short: `Lye cools${named}`,
      how: setup.thermometer
        ? 'A lid against splashes, not against steam. Do something else meanwhile.'
        : 'No thermometer: the jug must feel no warmer than your hand.',
      minutes: 0,
      after: [made],
      watch: { vessel: 'lye', most },
      vessel: jug,
      pot: pot ?? undefined,
      needed: true,
      lye: true,
    })
  }
  for (const liquid of cooled) {
    const id = at(`weigh:liquid:${liquid.id}`, pot)
    steps.push(
      portionStep(ctx, 'liquid', liquid, pot, {
        says: `Weigh the ${inSentence(liquid.name)}, half-frozen, in its own jug${named}`,
        short: `${liquid.name}, half-frozen${named}`,
        how: 'Slushy, straight from the freezer. Back in the cold until it is needed.',
        vessel: at('milk-jug', pot),
        alone: true,
      }),
      {
        id: at(`stir:liquid:${liquid.id}`, pot),
        kind: 'stir-in',
        says: `Stir the ${inSentence(liquid.name)} into the cooled lye, bit by bit${named}`,
        short: `${liquid.name} into lye${named}`,
        how: `A quarter of an hour or more. It heats up again: wait whenever it nears ${say.temperature(setup.guardC)}. Yellow is normal. Orange means stop.`,
        minutes: 15,
        after: [id, at('cool:lye', pot)],
        watch: { vessel: 'lye', most: setup.guardC },
        vessel: jug,
        pot: pot ?? undefined,
        needed: true,
        lye: true,
      },
    )
  }
  for (const extra of late)
    steps.push(
      portionStep(ctx, 'additive', extra, pot, {
        says: `Weigh the ${inSentence(extra.name)} into the cooled lye and stir${named}`,
        short: `${extra.name} into cooled lye${named}`,
        how: 'Only in lye that has cooled.',
        after: [at('cool:lye', pot)],
        vessel: jug,
        alone: true,
      }),
    )
  return steps
}
