import type { LabelDesign, LabelElement, LabelWords } from '#contracts/label'
import type { Place } from './places'
import { face, fittingSize, setText } from './setting'

/** What is to be settled before a label is printed. */
export interface LabelFault {
  /** The element that it is about; empty where it is the label as a whole. */
  element: string
  kind: 'over' | 'small' | 'net-small' | 'missing'
  /** Lines too many. */
  lines: number
  /** Height of an x, mm, at which it fits or is allowed; null where there is none. */
  size: number | null
}

/** Parts that have no words of their own. */
const wordless = new Set<LabelElement['part']>(['qr', 'barcode', 'logo', 'wave'])

/**
 * What an element says: its own words, else those of its part.
 * @example saysOf({ ...labelDesign.elements[0], text: 'Made by hand' }, labelWords) // 'Made by hand'
 */
export const saysOf = (
  { part, text }: Pick<LabelElement, 'part' | 'text'>,
  words: LabelWords,
): string => {
  if (text) return text
  if (part === 'text' || wordless.has(part)) return ''
  return words[part as keyof LabelWords]
}

/**
 * What does not fit, and what is smaller than the place allows: the list first.
 * @param net g that the label states
 * @example faultsOf(labelDesign, labelWords, 110, { smallestType: 1.2, netHeights: [{ upTo: 200, mm: 3 }] }).map(({ kind }) => kind) // []
 */
export function faultsOf(
  design: LabelDesign,
  words: LabelWords,
  net: number,
  { smallestType, netHeights }: Pick<Place, 'smallestType' | 'netHeights'>,
): LabelFault[] {
  const faults = design.elements.flatMap((element): LabelFault[] => {
    const says = saysOf(element, words)
    if (!says) return []
    const { over } = setText(says, element)
    const found: LabelFault[] = []
    if (over > 0)
      found.push({
        element: element.id,
        kind: 'over',
        lines: over,
        size: fittingSize(says, element, smallestType),
      })
    if (element.part === 'net') {
      // Figures are as high as capitals.
      const least = netHeights.find(({ upTo }) => net <= upTo)?.mm ?? 0
      const wanted = Math.ceil((least / face.capHeight) * face.xHeight * 10 - 1e-6) / 10
      if (element.size < wanted - 1e-6)
        found.push({ element: element.id, kind: 'net-small', lines: 0, size: wanted })
    } else if (element.size < smallestType - 1e-6)
      found.push({ element: element.id, kind: 'small', lines: 0, size: smallestType })
    return found
  })
  return faults.sort((a, b) => Number(b.kind === 'over') - Number(a.kind === 'over'))
}
