import type { FormulaDocument } from '#contracts/formula'
import type { BatchRecord } from '#contracts/learning'
import { isCitric } from '../chemistry/acids'
import type { Library } from '../materials/library'
import { quantile } from '../statistics/quantile'
import type { Formatter } from '../units/formatter'
import { inSentence } from '../units/language'
import { figureNames, figureOf, valueOf } from './figures'

/* Two batches that differ in one thing and are poured on one day: what settles a question that own records only hint at. */

/** A formula as it is, and the same with one thing otherwise. */
export interface SettlingPair {
  formulaId: string
  name: string
  other: FormulaDocument
  /** What is otherwise in the second. */
  says: string
}

interface Kept {
  id: string
  document: FormulaDocument
}

/** How often each formula was poured, the most poured first. */
function byPours(formulas: readonly Kept[], records: readonly BatchRecord[]): Kept[] {
  const times = (id: string) => records.filter(({ formulaId }) => formulaId === id).length
  return [...formulas].sort((a, b) => times(b.id) - times(a.id))
}

const withMethod = (
  document: FormulaDocument,
  changes: Partial<FormulaDocument['method']>,
): FormulaDocument => ({ ...document, method: { ...document.method, ...changes } })

/** The end of the middle half of own batches that lies further from a value; null where they hardly differ. */
function farEnd(records: readonly BatchRecord[], id: string, from: number): number | null {
  const values = Float64Array.from(records.flatMap((batch) => valueOf(batch, id) ?? [])).sort()
  if (values.length < 2) return null
  const ends = [quantile(values, 0.2), quantile(values, 0.8)]
  const far = Math.abs(ends[0]! - from) > Math.abs(ends[1]! - from) ? ends[0]! : ends[1]!
  return Math.abs(far - from) > 1e-6 ? far : null
}

/**
 * The pair that would settle what a cause does: the formula of those that fit that is poured most, once as it is and once with only
 * that otherwise. Null for what cannot be chosen, as the weather.
 * @example settlingPair('room', [], [], shipped, say) // null
 */
export function settlingPair(
  cause: string,
  formulas: readonly Kept[],
  records: readonly BatchRecord[],
  library: Library,
  say: Formatter,
): SettlingPair | null {
  const figure = figureOf(cause, figureNames(library))
  if (!figure) return null
  const usual = byPours(formulas, records)
  const made = (kept: Kept | undefined, other: FormulaDocument | null, says: string) =>
    kept && other
      ? {
          formulaId: kept.id,
          name: kept.document.name,
          other: { ...other, name: `${kept.document.name}, ${says}` },
          says,
        }
      : null
  /** Without some lines of a list, of the first formula that has them. */
  const without = (
    list: 'additives' | 'scents' | 'liquids',
    fits: (id: string) => boolean,
  ): SettlingPair | null => {
    const kept = usual.find(({ document }) => document[list].some(({ id }) => fits(id)))
    if (!kept) return null
    const { document } = kept
    return made(
      kept,
      { ...document, [list]: (document[list] as { id: string }[]).filter(({ id }) => !fits(id)) },
      `without ${inSentence(figure.short)}`,
    )
  }
  const [kind, id = ''] = cause.split(':')
  if (cause === 'citric')
    return without('additives', (one) => isCitric(library.additives.get(one)?.acid))
  if (cause === 'scented') return without('scents', () => true)
  if (kind === 'extra') return without('additives', (one) => one === id)
  if (kind === 'scent') return without('scents', (one) => one === id)
  if (kind === 'liquid') return without('liquids', (one) => one === id)
  const [kept] = usual
  if (!kept) return null
  const { document } = kept
  switch (cause) {
    case 'hand': {
      const isHand = document.method.tool !== 'blender'
      return made(
        kept,
        withMethod(document, { tool: isHand ? 'blender' : 'whisk' }),
        isHand ? 'with the blender' : 'by hand',
      )
    }
    case 'gelled': {
      const isCool = document.method.gel === 'prevent'
      return made(
        kept,
        withMethod(document, { gel: isCool ? 'force' : 'prevent' }),
        isCool ? 'kept warm' : 'kept cool',
      )
    }
    case 'superfat': {
      const to = farEnd(records, 'superfat', document.superfat ?? 0.05)
      return made(
        kept,
        to === null ? null : { ...document, superfat: Math.round(to * 200) / 200 },
        `at ${say.percent(Math.round((to ?? 0) * 200) / 200)} superfat`,
      )
    }
    case 'water':
    case 'strength': {
      const held = records.find(({ formulaId }) => formulaId === kept.id)
      const to = farEnd(records, 'water', (held && valueOf(held, 'water')) ?? 2.2)
      const ratio = Math.round((to ?? 2) * 20) / 20
      return made(
        kept,
        to === null ? null : { ...document, water: { held: 'ratio', value: ratio } },
        `at ${say.ratio(ratio)} water`,
      )
    }
    case 'mixed-at': {
      const to = farEnd(records, 'mixed-at', document.method.oilsC)
      const celsius = Math.round(to ?? 35)
      return made(
        kept,
        to === null ? null : withMethod(document, { lyeC: celsius, oilsC: celsius }),
        `mixed at ${say.temperature(celsius)}`,
      )
    }
    default:
      return null
  }
}
