import type { FormulaDocument } from '#contracts/formula'
import { scaleFormula } from '../formula/edit'
import { makingOrder, type WeighLine } from '../formula/makingOrder'
import { onScale, type OnScale } from '../formula/onScale'
import type { Library } from '../materials/library'
import { computeFormula } from '../formula/compute'
import type { Formatter } from '../units/formatter'

/* Papers for teaching: what each pair of a class weighs, and a recipe to take home with its half and its variants. */

export interface ClassSheet {
  /** What one pair weighs, as the scale shows it. */
  each: OnScale
  /** In the order of making, with what all pairs take together. */
  groups: { title: string; how: string; lines: (WeighLine & { all: number })[] }[]
}

/**
 * What a class of pairs weighs: one formula, the same for each, so that a lye jug is never shared out.
 * @param pairs 1 or more; `oils`: g of oils for each pair
 * @param scale steps of the scale, g
 * @example classSheet(example, shipped, { pairs: 4, oils: 500 }, 0.1).groups.flatMap(({ lines }) => lines).map(({ id, all }) => [id, all])
 *   // [['water', 566], ['naoh', 257.2], ['olive', 2000]]
 */
export function classSheet(
  document: FormulaDocument,
  library: Library,
  { pairs, oils }: { pairs: number; oils: number },
  scale: number,
): ClassSheet {
  const whole = computeFormula(document, library).oils
  const each = onScale(whole > 0 ? scaleFormula(document, oils / whole) : document, library, scale)
  return {
    each,
    groups: makingOrder(each.result, library).map((group) => ({
      ...group,
      lines: group.lines.map((line) => ({ ...line, all: line.grams * pairs })),
    })),
  }
}

/** What may be otherwise in a recipe that is handed out. */
export const variantKinds = ['unscented', 'plain', 'milder', 'harder', 'less-water'] as const
export type VariantKind = (typeof variantKinds)[number]

/** A variant: what of the weights becomes another one; 0 for what stays away. */
export interface Variant {
  kind: VariantKind
  says: string
  lines: {
    id: string
    name: string
    substance: WeighLine['substance']
    whole: number
    half: number
  }[]
}

export interface Handout {
  whole: OnScale
  half: OnScale
  groups: { title: string; how: string; lines: (WeighLine & { half: number })[] }[]
  variants: Variant[]
}

/** Points of superfat that a milder bar has more and a cleaning one less; water to lye of a firm batter. */
const points = 0.03
const firmWater = 1.8

/** The formula otherwise; null where that changes nothing. */
function varied(document: FormulaDocument, kind: VariantKind): FormulaDocument | null {
  const superfat = document.superfat ?? 0.05
  switch (kind) {
    case 'unscented':
      return document.scents.length ? { ...document, scents: [] } : null
    case 'plain':
      return document.additives.length ? { ...document, additives: [] } : null
    case 'milder':
      return { ...document, superfat: superfat + points }
    case 'harder':
      return superfat - points >= 0.02 ? { ...document, superfat: superfat - points } : null
    case 'less-water':
      return { ...document, water: { held: 'ratio', value: firmWater } }
  }
}
function saysOf(kind: VariantKind, document: FormulaDocument, say: Formatter): string {
  const superfat = document.superfat ?? 0.05
  switch (kind) {
    case 'unscented':
      return 'Without scent'
    case 'plain':
      return 'Without extras'
    case 'milder':
      return `Milder, ${say.percent(superfat + points)} superfat`
    case 'harder':
      return `Cleans more, ${say.percent(superfat - points)} superfat`
    case 'less-water':
      return `Less water, ${say.ratio(firmWater)}: firm sooner, quicker to trace`
  }
}

/** Every weight of a formula as its scale shows it, by id. */
const weightsOf = (document: FormulaDocument, library: Library, scale: number) =>
  makingOrder(onScale(document, library, scale).result, library).flatMap(({ lines }) => lines)

/**
 * A recipe to take home: whole and half, and what of the weights its variants change.
 * @param scale steps of the scale, g
 * @example handout(example, shipped, ['milder'], 0.1, say).variants[0].lines.map(({ id, whole }) => [id, whole])
 *   // [['water', 274.1], ['naoh', 124.6]]
 */
export function handout(
  document: FormulaDocument,
  library: Library,
  kinds: readonly VariantKind[],
  scale: number,
  say: Formatter,
): Handout {
  const halved = scaleFormula(document, 0.5)
  const [whole, half] = [onScale(document, library, scale), onScale(halved, library, scale)]
  const halfLines = makingOrder(half.result, library).flatMap(({ lines }) => lines)
  const halfOf = (id: string, lines: readonly WeighLine[]) =>
    lines.find((line) => line.id === id)?.grams ?? 0
  const groups = makingOrder(whole.result, library).map((group) => ({
    ...group,
    lines: group.lines.map((line) => ({ ...line, half: halfOf(line.id, halfLines) })),
  }))
  const usual = groups.flatMap(({ lines }) => lines)
  const variants = kinds.flatMap((kind): Variant[] => {
    const other = varied(document, kind)
    if (!other) return []
    const [ownWhole, ownHalf] = [other, scaleFormula(other, 0.5)].map((one) =>
      weightsOf(one, library, scale),
    ) as [WeighLine[], WeighLine[]]
    const lines = usual.flatMap(({ id, name, substance, grams }) => {
      const now = halfOf(id, ownWhole)
      return Math.abs(now - grams) < scale / 2
        ? []
        : [{ id, name, substance, whole: now, half: halfOf(id, ownHalf) }]
    })
    return lines.length ? [{ kind, says: saysOf(kind, document, say), lines }] : []
  })
  return { whole, half, groups, variants }
}
