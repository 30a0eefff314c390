import type { Formatter } from '../../units/formatter'
import { byBlender, patternOf } from '../../formula/method'
import { inSentence } from '../../units/language'
import { at, forPot, weighStep, type PlanContext } from './context'
import { pours } from '../../batter/patterns'
import { lyeByPot, type Pot } from './pots'
import type { Step } from './step'
import { sumOf } from '../../statistics/sum'
import { lyeWeighed } from '../../formula/pot'

/** Pours by weight of what is divided, from what is really there. */
function divideSteps(
  ctx: PlanContext,
  what: 'oils' | 'lye' | 'batter',
  grams: (pot: Pot) => number,
  after: string[],
) {
  const words = { oils: 'oils', lye: 'lye solution', batter: 'batter' }
  return ctx.pots.map((one, pot) =>
    weighStep(ctx, {
      id: `weigh:share:${what}`,
      says: `Pour off the ${words[what]} for ${one.name} by weight`,
      short: `${words[what][0]!.toUpperCase()}${words[what].slice(1)}, ${one.name}`,
      how: 'Its share of what is really there. Poured wrong, tip it back and do it again.',
      after,
      vessel: at(what === 'lye' ? 'lye-share' : 'pot', pot),
      lye: what === 'lye' || undefined,
      weigh: {
        kind: 'share',
        id: what,
        name: `${one.name}: ${words[what]}`,
        substance: what === 'lye' ? 'lye' : 'fat',
        grams: grams(one),
        pot,
        share: one.share,
      },
    }),
  )
}

const stageWords = {
  emulsion: 'emulsion',
  light: 'light trace',
  medium: 'medium trace',
  thick: 'thick trace',
} as const

/** From the two vessels that have met to a mould that is full. */
export function batterSteps(ctx: PlanContext, ready: string[]): Step[] {
  const { document, setup, pots, dividing } = ctx
  const { method } = document
  const pour = pours[patternOf(document)]
  const steps: Step[] = []
  const perPot = dividing === 'upfront' ? pots.map((_, index) => index) : [null]
  const onto = setup.oilsOntoLye && document.liquids.some(({ way }) => way === 'frozen')
  const blend = byBlender(document)
    ? 'Through a sieve, down the shaft of the blender; tap the air out. Short pulses and stirring in turn.'
    : 'Through a sieve, stirring. Stir and rest in turn: minutes to an hour.'

  let before = ['meet']
  if (dividing === 'upfront') {
    const oils = divideSteps(ctx, 'oils', ({ result }) => result.oils + sumOils(result), before)
    steps.push(...oils)
    before = oils.map(({ id }) => id)
    if (!lyeByPot(document)) {
      const lye = divideSteps(ctx, 'lye', ({ result }) => lyeJugGrams(result), ['meet'])
      steps.push(...lye)
      before = [...before, ...lye.map(({ id }) => id)]
    }
  }
  for (const pot of perPot) {
    const named = forPot(ctx, pot)
    steps.push(
      {
        id: at('combine', pot),
        kind: 'combine',
        says: onto ? `Oils onto the milk-lye, slowly${named}` : `Lye into the oils, slowly${named}`,
        short: `${onto ? 'Oils onto milk-lye' : 'Lye into oils'}${named}`,
        how: onto
          ? `This once the oils go onto the lye: the one exception to lye into oils. ${blend}`
          : `Never oils into lye. ${blend} Rinse the lye jug at once.`,
        minutes: 2,
        after: [...before, ...ready],
        vessel: pot === null ? 'pan' : at('pot', pot),
        pot: pot ?? undefined,
        needed: true,
        lye: true,
      },
      {
        id: at('batter:emulsion', pot),
        kind: 'batter',
        says: `${byBlender(document) ? 'Blend' : 'Stir'} to emulsion${named}`,
        short: `Emulsion${named}`,
        how: byBlender(document)
          ? 'Uniform, no ring of oil, no grain on the lifted blender. Mark what you see.'
          : 'Uniform on the back of a spoon, no ring of oil. Mark what you see.',
        minutes: byBlender(document) ? 3 : 20,
        after: [at('combine', pot)],
        pot: pot ?? undefined,
        until: 'emulsion',
        vessel: pot === null ? 'pan' : at('pot', pot),
        needed: true,
      },
    )
  }
  let from: (pot: number | null) => string[] = (pot) => [at('batter:emulsion', pot)]
  if (dividing === 'batter') {
    const shares = divideSteps(ctx, 'batter', ({ result }) => batterAtEmulsion(result), [
      'batter:emulsion',
    ])
    steps.push(...shares)
    from = () => shares.map(({ id }) => id)
  }
  const last: string[] = []
  const each = dividing === 'none' ? [null] : pots.map((_, index) => index)
  for (const pot of each) {
    const { result, document: own } = pots[pot ?? 0]!
    const named = forPot(ctx, pot)
    const atTrace = [
      ...result.fats.filter(({ moment, grams }) => moment === 'trace' && grams > 0),
      ...result.liquids.filter(({ moment, grams }) => moment === 'trace' && grams > 0),
      ...result.additives.filter(({ moment, grams }) => moment === 'trace' && grams > 0),
      ...result.scents.filter(({ moment, grams }) => moment === 'trace' && grams > 0),
    ]
    let after = from(pot)
    if (atTrace.length) {
      steps.push({
        id: at('add', pot),
        kind: 'stir-in',
        says: `Stir in ${inOrder(
          atTrace.map(({ name }) => inSentence(name)),
          ctx.say,
        )}${named}`,
        short: `Stir in${named}: ${ctx.say.list(
          atTrace.map(({ name }) => inSentence(name).split(',')[0]!).slice(0, 2),
        )}`,
        how: own.scents.length
          ? 'Colour before scent, because scent may seize it. By hand, not with the blender. Liquid floating at first is normal: stir on.'
          : 'By hand, not with the blender, until there is no streak.',
        minutes: 1,
        after,
        pot: pot ?? undefined,
        vessel: pot === null ? 'pan' : at('pot', pot),
        needed: true,
      })
      after = [at('add', pot)]
    }
    if (pour.stage !== 'emulsion') {
      steps.push({
        id: at('batter:trace', pot),
        kind: 'batter',
        says: `To ${stageWords[pour.stage]}${named}`,
        short: `${stageWords[pour.stage][0]!.toUpperCase()}${stageWords[pour.stage].slice(1)}${named}`,
        how: `${pour.says}: ${pour.wants}. Mark every stage as you see it.`,
        minutes: byBlender(document) ? 3 : 20,
        after,
        pot: pot ?? undefined,
        vessel: pot === null ? 'pan' : at('pot', pot),
        needed: true,
      })
      after = [at('batter:trace', pot)]
    }
    last.push(...after)
  }
  const together =
    dividing === 'none' ||
    !['layers', 'slanted-layers', 'pencil-line'].includes(patternOf(document))
  const pouring = together ? [null] : pots.map((_, index) => index)
  let poured = ''
  for (const pot of pouring) {
    const id = at('pour', pot)
    steps.push({
      id,
      kind: 'pour',
      says: together ? `Pour: ${inSentence(pour.says)}` : `Pour the layer ${pots[pot!]!.name}`,
      short: together ? `Pour, ${inSentence(pour.says)}` : `Pour ${pots[pot!]!.name}`,
      how: together
        ? 'From low down, then tap the mould so that the air comes up.'
        : 'Over the back of a spoon, so that the layer below keeps its face. The one below must hold a spoon.',
      minutes: together ? Math.max(2, Math.round(pour.minutes / 3)) : 3,
      after: together ? last : [...(poured ? [poured] : []), ...last],
      pot: pot ?? undefined,
      vessel: 'mould',
      needed: true,
    })
    poured = id
  }
  steps.push(
    {
      id: 'cover',
      kind: 'cover',
      says:
        method.gel === 'force'
          ? 'Cover it, wrap it warm'
          : method.gel === 'prevent'
            ? 'Cover it, keep it cool'
            : 'Cover it and leave it',
      short:
        method.gel === 'force' ? 'Cover, wrap' : method.gel === 'prevent' ? 'Cover, cool' : 'Cover',
      how:
        method.gel === 'force'
          ? `A lid against ash, towels round it, on a heating mat for about 3 hours or in an oven of about ${ctx.say.temperature(75)} that is then switched off.`
          : method.gel === 'prevent'
            ? 'A lid against ash, no wrapping; a cool spot or the fridge.'
            : 'A lid against ash, out of draughts.',
      minutes: 2,
      after: [poured],
      vessel: 'mould',
      needed: true,
    },
    {
      id: 'rinse',
      kind: 'rinse',
      says: 'Rinse everything, wipe the worktop, put the lye away',
      short: 'Rinse, put away',
      how: 'Gloves and goggles on to the last spoon. Batter off with paper first; not into the dishwasher. Lye sealed, dry, locked away.',
      why: 'From here on nobody needs goggles. The soap is still caustic for a day or two: gloves at unmoulding.',
      minutes: 8,
      after: ['cover'],
      needed: true,
    },
  )
  return steps
}

const gramsIn = (lines: { grams: number }[]) => sumOf(lines, ({ grams }) => grams)

/** What is in the pan of oils besides fat when it is divided, less what was taken for dispersing or is kept for trace. */
function sumOils(result: Pot['result']): number {
  const late = gramsIn(result.fats.filter(({ moment }) => moment === 'trace'))
  const taken = gramsIn(result.carriers.filter(({ from }) => from === 'formula'))
  const milk = gramsIn(result.liquids.filter(({ moment }) => moment === 'oils'))
  const extras = gramsIn(result.additives.filter(({ moment }) => moment === 'oils'))
  const scents = gramsIn(result.scents.filter(({ moment }) => moment === 'oils'))
  return milk + extras + scents - late - taken
}

/** What the lye jug of a pot holds. */
export function lyeJugGrams({ lye, water, liquids, additives }: Pot['result']): number {
  const inJug = new Set(['water', 'lye', 'cooled-lye'])
  return (
    lyeWeighed({ lye }) +
    water.weighed +
    gramsIn(liquids.filter(({ moment }) => moment === 'lye')) +
    gramsIn(additives.filter(({ moment }) => inJug.has(moment)))
  )
}

/** A pot's share of the batter before anything of trace is in it. */
function batterAtEmulsion(result: Pot['result']): number {
  return lyeJugGrams(result) + result.oils + sumOils(result)
}

/** Things in the order in which they go in: a, b, then c. */
const inOrder = (words: string[], say: Formatter): string =>
  words.length < 2 ? say.list(words) : `${say.list(words.slice(0, -1))}, then ${words.at(-1)}`
