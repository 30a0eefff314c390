import type { Formatter } from '../../units/formatter'
import { pourActs, type PourAct } from '../../batter/pourActs'
import { byBlender, patternOf, patternsOf } from '../../formula/method'
import { capital, inSentence } from '../../units/language'
import { at, forPot, type PlanContext } from './context'
import { divideSteps } from './divide'
import { pours } from '../../batter/patterns'
import { lyeByPot, type Pot } from './pots'
import type { Step } from './step'
import { sumOf } from '../../statistics/sum'
import { lyeWeighed } from '../../formula/pot'

const stageWords = {
  emulsion: 'emulsion',
  light: 'light trace',
  medium: 'medium trace',
  thick: 'thick trace',
} as const

/** Whose batter it is, and the vessel that it is in. */
const inPot = (pot: number | null) => ({
  pot: pot ?? undefined,
  vessel: pot === null ? 'pan' : at('pot', pot),
})

/**
 * Whether the oils go onto milk-lye: the one exception, where the maker wants it.
 * @example oilsOntoLye(bench().ctx) // false
 */
export const oilsOntoLye = ({ document, setup }: Pick<PlanContext, 'document' | 'setup'>) =>
  setup.oilsOntoLye && document.liquids.some(({ way }) => way === 'frozen')

/** Lye and oils of one batter, brought together. */
function emulsionSteps(ctx: PlanContext, pot: number | null, after: string[]): Step[] {
  const named = forPot(ctx, pot)
  const onto = oilsOntoLye(ctx)
  const blender = byBlender(ctx.document)
  const blend = blender
    ? 'Through a sieve, down the shaft of the blender; tap the air out. Short pulses and stirring in turn.'
    : 'Through a sieve, stirring. Stir and rest in turn: minutes to an hour.'
  return [
    {
      id: at('combine', pot),
      kind: 'combine',
      says: onto ? `Oils onto the milk-lye, slowly${named}` : `Lye into the oils, slowly${named}`,
      short: `${onto ? 'Oils onto milk-lye' : 'Lye into oils'}${named}`,
      how: onto
        ? `This once the oils go onto the lye: the one exception to lye into oils. The jug must hold it all. ${blend}`
        : `Never oils into lye. ${blend} Rinse the lye jug at once.`,
      minutes: 2,
      after,
      ...inPot(pot),
      needed: true,
      lye: true,
    },
    {
      id: at('batter:emulsion', pot),
      kind: 'batter',
      says: `${blender ? 'Blend' : 'Stir'} to emulsion${named}`,
      short: `Emulsion${named}`,
      how: blender
        ? 'Uniform, no ring of oil, no grain on the lifted blender. Mark what you see.'
        : 'Uniform on the back of a spoon, no ring of oil. Mark what you see.',
      minutes: blender ? 3 : 20,
      after: [at('combine', pot)],
      until: 'emulsion',
      ...inPot(pot),
      needed: true,
    },
  ]
}

/** What one batter takes at trace, and the stage it is brought to; none where it is poured as it is. */
function traceSteps(ctx: PlanContext, pot: number | null, after: string[]): Step[] {
  const { document, pots, say } = ctx
  const { result, document: own } = pots[pot ?? 0]!
  const named = forPot(ctx, pot)
  const pour = pours[patternOf(document)]
  const steps: Step[] = []
  const atTrace = [result.fats, result.liquids, result.additives, result.scents].flatMap((lines) =>
    lines.filter(({ moment, grams }) => moment === 'trace' && grams > 0),
  )
  const names = atTrace.map(({ name }) => inSentence(name))
  if (names.length)
    steps.push({
      id: at('add', pot),
      kind: 'stir-in',
      says: `Stir in ${inOrder(names, say)}${named}`,
      short: `Stir in${named}: ${say.list(names.slice(0, 2).map((name) => name.split(',')[0]!))}`,
      how: own.scents.length
        ? 'Colour before scent, because scent may seize it. By hand, not with the blender. Liquid floating at first is normal: stir on.'
        : 'By hand, not with the blender, until there is no streak.',
      minutes: 1,
      after,
      ...inPot(pot),
      needed: true,
    })
  if (pour.stage !== 'emulsion')
    steps.push({
      id: at('batter:trace', pot),
      kind: 'batter',
      says: `To ${stageWords[pour.stage]}${named}`,
      short: `${capital(stageWords[pour.stage])}${named}`,
      how: `${pour.says}: ${pour.wants}. Mark every stage as you see it.`,
      minutes: byBlender(document) ? 3 : 20,
      after: steps.length ? [at('add', pot)] : after,
      ...inPot(pot),
      needed: true,
    })
  return steps
}

/** A layer, onto the one below it; or all that stands ready, together. */
function pourStep(ctx: PlanContext, pot: number | null, after: string[]): Step {
  const pour = pours[patternOf(ctx.document)]
  const layer = pot === null ? null : ctx.pots[pot]!.name
  return {
    id: at('pour', pot),
    kind: 'pour',
    says: layer === null ? `Pour: ${inSentence(pour.says)}` : `Pour the layer ${layer}`,
    short: layer === null ? `Pour, ${inSentence(pour.says)}` : `Pour ${layer}`,
    how:
      pot === 0
        ? 'Low and to one side; it runs level by itself. Tap the air out now, not later.'
        : pourActs[patternOf(ctx.document)].how,
    minutes: layer === null ? Math.max(2, Math.round(pour.minutes / 3)) : 3,
    after,
    pot: pot ?? undefined,
    vessel: 'mould',
    needed: true,
  }
}

/** An act of a pattern as a step; of a layer where `pot` says whose. */
const actStep = (
  { says, short, how, minutes, id }: PourAct,
  after: string[],
  pot: number | null = null,
): Step => ({
  id: at(`act:${id}`, pot),
  kind: 'do',
  says,
  short,
  how,
  minutes,
  after,
  pot: pot ?? undefined,
  vessel: 'mould',
  needed: false,
})

/** The acts of all patterns of a formula at one moment. */
const actsAt = (
  { document }: PlanContext,
  moment: 'ready' | 'before' | 'between' | 'beforeLast' | 'after',
): PourAct[] => patternsOf(document).flatMap((pattern) => pourActs[pattern][moment] ?? [])

/**
 * What a pattern wants before anything runs: the mould propped up.
 * @example mouldSteps(bench({ method: { patterns: ['slanted-layers'] } }).ctx, ['mould']).map(({ id }) => id) // ['act:prop']
 */
export const mouldSteps = (ctx: PlanContext, after: string[]): Step[] =>
  actsAt(ctx, 'ready').map((act) => actStep(act, after))

/** What is over once the last of it is poured. */
const coverSteps = ({ document, say, scorches }: PlanContext, poured: string): Step[] => {
  const { method } = document
  // Milk that nobody decided about is kept cool: wrapped, it browns and cracks.
  const cool = method.gel === 'prevent' || (scorches && method.gel === 'leave')
  return [
    {
      id: 'cover',
      kind: 'cover',
      says:
        method.gel === 'force'
          ? 'Cover it, wrap it warm'
          : cool
            ? 'Cover it, keep it cool'
            : 'Cover it and leave it',
      short: method.gel === 'force' ? 'Cover, wrap' : cool ? 'Cover, cool' : 'Cover',
      how:
        method.gel === 'force'
          ? `A lid against ash, towels round it, on a heating mat for about 3 hours or in an oven of about ${say.temperature(75)} that is then switched off.`
          : cool
            ? `A lid against ash, no wrapping; a cool spot or the fridge.${scorches ? ' Milk warms by itself: at the cut look for a half-gelled ring in the middle.' : ''}`
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
  ]
}

/** A line through a batter that is not divided: half of it, the powder, then the rest. */
function halfAndLine(ctx: PlanContext, after: string[]): Step[] {
  const half: PourAct = {
    id: 'half',
    says: 'Pour half of it, tap it level',
    short: 'First half in',
    how: 'It must hold a line before the powder goes on; keep the rest moving meanwhile.',
    minutes: 3,
  }
  return actsAt(ctx, 'between').flatMap((act) => [actStep(half, after), actStep(act, ['act:half'])])
}

/** The last of some steps, or what comes before them where there are none. */
const lastId = (steps: Step[], before: string[] = []): string[] =>
  steps.length ? [steps.at(-1)!.id] : before

/**
 * From the two vessels that have met to a mould that is full. Where each pot is poured by itself it is also made by itself, so that
 * every batter runs for its own few minutes only; what is poured together is made together.
 * @example batterSteps(bench().ctx, []).map(({ id }) => id) // ['combine', 'batter:emulsion', 'batter:trace', 'pour', 'cover', 'rinse']
 */
export function batterSteps(ctx: PlanContext, ready: Step[]): Step[] {
  const { document, pots, dividing } = ctx
  const { oneByOne } = pours[patternOf(document)]
  const each = dividing === 'none' ? [null] : pots.map((_, index) => index)
  /** What stands ready for one pot, or for all of them. */
  const readyFor = (pot: number | null) =>
    ready.filter((step) => pot === null || (step.pot ?? pot) === pot).map(({ id }) => id)
  const steps: Step[] = []
  /** A pot's own way to emulsion, and what its trace waits for; one batter that is divided later is there already. */
  let begun: (pot: number | null) => { own: Step[]; after: string[] }
  if (dividing === 'upfront') {
    const shares = [
      ...divideSteps(ctx, 'oils', ({ result }) => result.oils + sumOils(result), ['meet']),
      ...(lyeByPot(document)
        ? []
        : divideSteps(ctx, 'lye', ({ result }) => lyeJugGrams(result), ['meet'])),
    ]
    steps.push(...shares)
    begun = (pot) => {
      const cups = shares.filter((step) => step.pot === pot).map(({ id }) => id)
      const own = emulsionSteps(ctx, pot, ['meet', ...cups, ...readyFor(pot)])
      return { own, after: lastId(own) }
    }
  } else {
    const whole = emulsionSteps(ctx, null, ['meet', ...readyFor(null)])
    const emulsified = lastId(whole)
    const shares =
      dividing === 'batter'
        ? divideSteps(ctx, 'batter', ({ result }) => batterAtEmulsion(result), emulsified)
        : []
    steps.push(...whole, ...shares)
    begun = (pot) => {
      const own = shares.find((step) => step.pot === pot)
      return { own: [], after: own ? [own.id] : emulsified }
    }
  }
  let poured: string[] = []
  if (oneByOne && dividing !== 'none')
    for (const pot of each) {
      const { own, after } = begun(pot)
      const traced = traceSteps(ctx, pot, after)
      const isLast = pot === pots.length - 1
      // The powder goes onto a layer that carries, while the next is still stirred; the mould is levelled for the last.
      const on = [
        ...(pot ? actsAt(ctx, 'between') : []),
        ...(isLast ? actsAt(ctx, 'beforeLast') : []),
      ].map((act) => actStep(act, poured, pot))
      const layer = pourStep(ctx, pot, [
        ...poured,
        ...lastId(traced, after),
        ...on.map(({ id }) => id),
      ])
      steps.push(...own, ...traced, ...on, layer)
      poured = [layer.id]
    }
  else {
    const pots = each.map((pot) => ({ pot, ...begun(pot) }))
    const traced = pots.map(({ pot, after }) => traceSteps(ctx, pot, after))
    const last = traced.flatMap((own, index) => lastId(own, pots[index]!.after))
    const before = actsAt(ctx, 'before').map((act) => actStep(act, last))
    const halves = halfAndLine(ctx, last)
    const pour = pourStep(ctx, null, [...last, ...[...before, ...halves].map(({ id }) => id)])
    steps.push(...pots.flatMap(({ own }) => own), ...traced.flat(), ...before, ...halves, pour)
    poured = [pour.id]
  }
  for (const act of actsAt(ctx, 'after')) {
    const step = actStep(act, poured)
    steps.push(step)
    poured = [step.id]
  }
  return [...steps, ...coverSteps(ctx, poured[0]!)]
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

/**
 * What the lye jug of a pot holds.
 * @example lyeJugGrams(made) // 411.764
 */
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
