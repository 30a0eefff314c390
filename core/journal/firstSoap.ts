import type { DropPlace, Kitchen } from '#contracts/firstSoap'
import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { freeze } from '../batch/freeze'
import { blankFormula } from '../formula/blank'
import { onScale } from '../formula/onScale'
import { lyeHeavyOdds } from '../risk/odds'
import type { Library } from '../materials/library'
import type { Formatter } from '../units/formatter'

/** How full a tub is poured: a finger's breadth stays free (judgement). */
const fill = 0.9
/** g of one small bar when it is poured. */
const smallBar = 90
/** Superfat of a first soap: wide enough that a coarse scale and a shaking hand do not use it up (judgement). */
const calm = 0.08

/**
 * A calm first formula for a kitchen: two easy fats, no scent, room in the water and in the superfat, sized to the tub.
 * @example firstFormula('Nell', { scale: 1, blender: false, thermometer: false, tubMillilitres: 800, goggles: true, gloves: true,
 *   steelPan: true, aluminium: false }).method.tool // 'whisk'
 */
export function firstFormula(who: string, kitchen: Kitchen): FormulaDocument {
  const blank = blankFormula(who ? `${who}’s first soap` : 'First soap')
  return {
    ...blank,
    size: {
      by: 'mould',
      mould: { shape: 'cavities', count: 1, millilitres: kitchen.tubMillilitres },
      fill,
    },
    superfat: calm,
    water: { held: 'ratio', value: 2.4 },
    fats: [
      { id: 'olive', share: 0.7, moment: 'pot', inLye: true },
      { id: 'coconut', share: 0.3, moment: 'pot', inLye: true },
    ],
    method: { ...blank.method, tool: kitchen.blender ? 'blender' : 'whisk', gel: 'leave' },
  }
}

/** What the first soap weighs on a scale of such steps, g, and what superfat that has. */
export interface FirstWeights {
  lye: number
  water: number
  batter: number
  bars: number
  superfat: number
  /** g of lye that the oils have room for. */
  room: number
  result: FormulaResult
}

/**
 * The weights of a first soap as its scale can show them, lye rounded down.
 * @example firstWeights(soap({ size: { by: 'oils', grams: 500 } }), 1, shipped).lye // 64
 */
export function firstWeights(
  document: FormulaDocument,
  scale: number,
  library: Library,
): FirstWeights {
  const { result, superfat } = onScale(document, library, scale)
  const { naoh } = result.lye
  return {
    lye: naoh,
    water: result.water.weighed,
    batter: result.batter,
    bars: Math.max(1, Math.floor(result.batter / smallBar)),
    superfat,
    room: superfat < 1 ? naoh / (1 - superfat) : naoh,
    result,
  }
}

/** A line of what a kitchen has, and what follows from it. */
export interface KitchenLine {
  has: 'yes' | 'no' | 'never'
  says: string
  so: string
}

/**
 * What a kitchen has and lacks, and what each means for the batch.
 * @param weights null until there is a formula
 * @example kitchenLines({ scale: 1, blender: false, thermometer: false, tubMillilitres: 800, goggles: true, gloves: true, steelPan: true,
 *   aluminium: false }, null, say)[1].says // 'No stick blender'
 */
export function kitchenLines(
  kitchen: Kitchen,
  weights: FirstWeights | null,
  say: Formatter,
): KitchenLine[] {
  const { scale, blender, thermometer, tubMillilitres, goggles, gloves, steelPan } = kitchen
  const near = weights
    ? `${say.massDown(weights.lye)} of lye is near enough: superfat ${say.percent(weights.superfat)}`
    : 'the superfat leaves room for its steps'
  return [
    { has: 'yes', says: `Scale, ${say.amount(scale)} steps`, so: near },
    blender
      ? { has: 'yes', says: 'A stick blender', so: 'short pulses, minutes to trace' }
      : { has: 'no', says: 'No stick blender', so: 'a whisk: stir and rest, 40 to 90 minutes' },
    thermometer
      ? { has: 'yes', says: 'A thermometer', so: `both pots near ${say.temperature(35)}` }
      : { has: 'no', says: 'No thermometer', so: 'both pots warm to the hand, not hot' },
    {
      has: 'yes',
      says: `Tub of ${say.volume(tubMillilitres)}`,
      so: weights
        ? `so the batch is ${say.amount(weights.batter)}, ${say.count(weights.bars, 'small bar', 'small bars')}`
        : 'the batch is sized to it',
    },
    goggles && gloves
      ? { has: 'yes', says: 'Goggles and gloves', so: 'on before the lye is opened' }
      : {
          has: 'never',
          says: goggles ? 'No gloves' : gloves ? 'No goggles' : 'No goggles, no gloves',
          so: 'no lye without them: get them first',
        },
    steelPan
      ? { has: 'yes', says: 'A steel or PP pot', so: 'lye does not eat it' }
      : { has: 'never', says: 'No steel or PP pot', so: 'get one before the lye is opened' },
    ...(kitchen.aluminium
      ? [
          {
            has: 'never' as const,
            says: 'Aluminium pan',
            so: 'stays in the cupboard: lye eats it and makes a gas that burns',
          },
        ]
      : []),
  ]
}

/**
 * Why lye may not be opened in a kitchen; null when it may.
 * @example notYet({ scale: 1, blender: true, thermometer: true, tubMillilitres: 800, goggles: false, gloves: true, steelPan: true, aluminium: false })
 *   // 'No lye without goggles.'
 */
export function notYet({ scale, goggles, gloves, steelPan }: Kitchen): string | null {
  if (!goggles) return 'No lye without goggles.'
  if (!gloves) return 'No lye without gloves.'
  if (!steelPan) return 'Lye needs a pot of steel or PP.'
  if (scale > 2) return 'A scale that shows steps of 2 g or less: lye is weighed, never guessed.'
  return null
}

/**
 * What drops of blue water say of how the things stood.
 * @example dropAdvice('cup and jug') // 'Stand the cup and the jug closer together, rim to rim.'
 */
export const dropAdvice = (where: DropPlace): string =>
  ({
    'cup and jug': 'Stand the cup and the jug closer together, rim to rim.',
    'jug and pot': 'Pour low, along the whisk, with the jug’s lip over the pot.',
    'pot and tub': 'Set the tub on a tray, and pour with both hands, low.',
    'far off': 'Stir more slowly, keep the whisk under the surface, and cover the worktop.',
  })[where]

const answers: readonly [about: RegExp, says: string][] = [
  [
    /\beyes?\b|\bface\b|\bblind/i,
    'Goggles go on before the tub is opened and come off after the last rinse. Should it happen: tap, 15 minutes, then a doctor.',
  ],
  [
    /\bskin\b|\bhands?\b|\bburn/i,
    'Long sleeves and gloves. On skin: running water at once and for long; no vinegar. What stays red goes to a doctor.',
  ],
  [
    /\bchild|\bkid|\bcat\b|\bdog\b|\bpets?\b/i,
    'Children and pets are out of the room, and the lye is locked away before they come back. The rinsed jug is the last thing that could hurt them.',
  ],
  [
    /\bfumes?\b|\bsteam\b|\bbreath|\bsmell|\bgas\b/i,
    'For two or three minutes the hot lye steams. Window open, head away from the jug; then it is over.',
  ],
  [
    /\bspill|\bdrop|\btable|\bworktop/i,
    'Newspaper or a tray under everything. A spill is wiped up with much water, gloves on, at once.',
  ],
  [
    /\bdrain|\bsink\b|\bpour.*away/i,
    'Rinsing water goes down the drain with the tap running. A spoiled lye goes there cold and much diluted, where the rules of your place allow it.',
  ],
  [
    /\bswallow|\bdrink|\bmouth/i,
    'Lye is never in a cup that anybody drinks from. Swallowed: rinse the mouth, no vomiting, the emergency number.',
  ],
  [
    /\bseparat|\boil on top|\bgo wrong|\bfail|\btrace|\bthick/i,
    'Without a blender it takes long: stir and rest. It is ready when a line stays on the surface. What separates again is stirred on, not thrown away.',
  ],
  [
    /\bhot\b|\bboil|\bvolcano|\bcrack/i,
    'Lye goes into water, slowly, never water onto lye: then it gets hot and stays in its jug. A small tub cools by itself.',
  ],
]
/**
 * What is known about a worry, by its words; null where nothing is.
 * @example worryAnswer('What if it gets in my eyes?').slice(0, 7) // 'Goggles'
 */
export const worryAnswer = (text: string): string | null =>
  answers.find(([about]) => about.test(text))?.[1] ?? null

/** Chance of lye left over from which on nobody is told that there is none (judgement). */
export const hardlyAny = 0.01
/**
 * Whether its weights say that no lye is left from the second day on, with the spread of the fats and of the scale reckoned in.
 * @example lyeGoes(soap({ superfat: 0.08 }), 0.08, 1, shipped) // true
 */
export const lyeGoes = (
  document: FormulaDocument,
  superfat: number,
  scale: number,
  library: Library,
): boolean => lyeHeavyOdds(freeze(document, library), superfat, scale) < hardlyAny
