import { scentDensity } from '../formula/measure'
import type { Library, Material } from '../materials/library'
import { bareSoda, figure, ice, lye, superfat, water } from './figures'
import {
  asked,
  every,
  leftOut,
  lineOf,
  optionOf,
  plainReading,
  wordPegs,
  type LineReading,
  type ReadingContext,
} from './line'
import { notLyeIn } from '../materials/lyeWords'
import { asMaterial, settledAmount, substance } from './substances'

export {
  idFrom,
  isLyeKind,
  type Option,
  type Peg,
  type LineReading,
  type ReadingContext,
  type ReadingKind,
} from './line'

/**
 * Reads one line: what it names, how much of it, and what it leaves open. A word for lye or water always means the formula's own
 * figures, never a line of it.
 * @example readLine('500 g olive oil', { library: shipped, spoons: 'us' }).kind // 'fat'
 */
export function readLine(text: string, context: ReadingContext): LineReading {
  const line = lineOf(text, context)
  const figured = superfat(line)
  if (figured) return figured
  const refused = notLyeIn(line.words)
  if (refused) {
    const extra = refused.id ? context.library.additives.get(refused.id) : undefined
    const reading = plainReading(
      line,
      'unknown',
      refused.name,
      wordPegs(line, every(line), 'left', 'not lye'),
    )
    return asked(reading, refused.says, [
      ...(extra
        ? [
            optionOf(
              settledAmount(line, asMaterial(line, extra)),
              extra.acid ? 'an extra, takes lye' : 'an extra, takes no lye',
            ),
          ]
        : []),
      leftOut(line),
    ])
  }
  const alkali = lye(line) ?? bareSoda(line)
  if (alkali) return alkali
  return figure(line) ?? ice(line) ?? water(line) ?? substance(line)
}

/**
 * The line with one material taken for it by hand, whatever its words leave open; its amount may still be asked about.
 * @example readAs('coco 300 g', shipped.fats.get('coconut'), reading).name // 'Coconut oil, melts at 24 °C'
 */
export function readAs(text: string, material: Material, context: ReadingContext): LineReading {
  const line = lineOf(text, context)
  return settledAmount(line, asMaterial(line, material))
}

/**
 * g of a line and whether they are worked out from a volume; null where it has none, or only a share or a rate.
 * @example gramsOfReading(readLine('40 g honey', reading), shipped) // { grams: 40, estimated: false }
 */
export function gramsOfReading(
  reading: LineReading,
  library: Library,
): { grams: number; estimated: boolean } | null {
  const { amount, kind, id } = reading
  if (amount?.kind === 'grams') return { grams: amount.grams, estimated: false }
  if (amount?.kind !== 'volume') return null
  const density =
    kind === 'fat'
      ? (library.fats.get(id ?? '')?.density.value ?? 0.91)
      : kind === 'additive'
        ? (library.additives.get(id ?? '')?.density ?? 0.5)
        : kind === 'scent'
          ? scentDensity(reading.name)
          : 1
  const exact =
    (kind === 'water' || kind === 'liquid') && (amount.unit === 'ml' || amount.unit === 'l')
  return { grams: amount.millilitres * density, estimated: !exact }
}
