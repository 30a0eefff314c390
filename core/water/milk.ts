import type { FormulaDocument } from '#contracts/formula'
import type { LiquidMoment, WayOfLiquid } from '#contracts/words'
import type { Library } from '../materials/library'
import type { Liquid } from '../materials/liquids'

/** °C under which milk is kept by default: above it sugar and protein brown and smell. Some work warmer. */
export const milkGuardC = 38

/**
 * Sugar or protein enough to scorch in hot lye: milks, purées, beer, wine, honeyed waters.
 * @example scorches({ sugar: 0.048, fat: 0.035 }) // true
 */
export const scorches = (liquid: Pick<Liquid, 'sugar' | 'fat'>): boolean =>
  liquid.sugar >= 0.008 || liquid.fat >= 0.005

export interface MilkWay {
  id: WayOfLiquid
  says: string
  moment: LiquidMoment
  /** °C that lye and oils may have at most when the milk meets them. */
  lyeC: number
  oilsC: number
  steps: string[]
}

/** The three ways of makers to keep milk from scorching. */
export const milkWays: MilkWay[] = [
  {
    id: 'poured',
    says: 'Into the oils, poured',
    moment: 'oils',
    lyeC: milkGuardC,
    oilsC: milkGuardC,
    steps: [
      'Make the lye with the water alone and let it cool to under 38 °C.',
      'Stir the milk into the oils, both under 38 °C; droplets and a cloudy look are normal.',
      'Lye into the oils as always. Do not wrap the mould; a cool spot keeps it pale.',
    ],
  },
  {
    id: 'frozen',
    says: 'Frozen, the lye sprinkled on it',
    moment: 'lye',
    lyeC: 30,
    oilsC: milkGuardC,
    steps: [
      'Freeze the milk in small pieces, weighed; stand the jug in cold water.',
      'Sprinkle the lye on it bit by bit, stirring all the time, and wait whenever it passes 38 °C. Yellow is normal; orange means stop.',
      'Sieve it into the oils. Some pour the oils onto the milk-lye instead: the one exception to lye into oils.',
      'Do not wrap the mould; some chill it.',
    ],
  },
  {
    id: 'into-cooled-lye',
    says: 'Half-frozen, into the cooled lye',
    moment: 'lye',
    lyeC: 24,
    oilsC: milkGuardC,
    steps: [
      'Make the lye with the water alone and let it cool to room temperature.',
      'Stir the half-frozen milk in bit by bit, a quarter of an hour or more. It heats up again: wait whenever it passes 38 °C.',
      'Then lye into the oils as always. Do not wrap the mould; some chill it.',
    ],
  },
]

/**
 * One of the three ways, by its id.
 * @example milkWay('frozen').id // 'frozen'
 */
export const milkWay = (id: WayOfLiquid): MilkWay => milkWays.find((way) => way.id === id)!

/**
 * The liquids of a formula that scorch, with their lines.
 * @example scorchingLiquids(example, shipped) // []
 */
export function scorchingLiquids(document: FormulaDocument, library: Library) {
  return document.liquids.flatMap((line, index) => {
    const liquid = library.liquids.get(line.id)
    return liquid && scorches(liquid) && (line.share ?? 0) > 0 ? [{ line, index, liquid }] : []
  })
}

/**
 * Puts a liquid in by one of the three ways: its moment, and temperatures no higher than that way bears.
 * @example setMilkWay(soap({ liquids: [{ id: 'goat-milk', share: 0.4, moment: 'oils', way: 'poured' }] }), 0, 'frozen').liquids
 *   // [{ id: 'goat-milk', share: 0.4, moment: 'lye', way: 'frozen' }]
 */
export function setMilkWay(
  document: FormulaDocument,
  index: number,
  id: WayOfLiquid,
): FormulaDocument {
  const way = milkWay(id)
  const { method } = document
  return {
    ...document,
    liquids: document.liquids.map((line, place) =>
      place === index ? { ...line, way: id, moment: way.moment } : line,
    ),
    method: {
      ...method,
      lyeC: Math.min(method.lyeC, way.lyeC),
      oilsC: Math.min(method.oilsC, way.oilsC),
    },
  }
}
