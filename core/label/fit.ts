import type { LabelDesign, LabelElement, LabelWords } from '#contracts/label'
import { claimsIn, type Claim } from './claims'
import type { Place } from './places'
import { bentSize, face, fittingSize, fitsBent, lettersLacking, setText } from './setting'

/** What is to be settled before a label is printed. */
export interface LabelFault {
  /** The element that it is about; empty where it is the label as a whole. */
  element: string
  kind: 'over' | 'small' | 'net-small' | 'missing' | 'letters'
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
  return words[part as Exclude<keyof LabelWords, 'colours'>]
}

/** What usually stands on a bar that is sold, and is asked about where it stands nowhere. */
const usual: readonly LabelElement['part'][] = ['list', 'net', 'use', 'person', 'code', 'warnings']

/**
 * What usually stands on a bar that is sold and does not on a design, nor on what goes with it. A card for the shelf needs none of it.
 * @example notOn({ form: 'band', elements: [labelDesign.elements[3]] }, null) // ['net', 'use', 'person', 'code', 'warnings']
 */
export function notOn(
  design: Pick<LabelDesign, 'form' | 'elements'>,
  also: Pick<LabelDesign, 'elements'> | null,
): LabelElement['part'][] {
  if (design.form === 'card') return []
  const on = new Set([...design.elements, ...(also?.elements ?? [])].map(({ part }) => part))
  return usual.filter((part) => !on.has(part))
}

/** A claim of a label, and the element it stands in. */
export interface LabelClaim extends Claim {
  element: string
}

/**
 * What a design says of a bar that may not be said of it.
 * @example claimsOn(labelDesign, { ...labelWords, tagline: 'Heals hands' }).map(({ says }) => says) // ['Heals']
 */
export const claimsOn = (
  { elements }: Pick<LabelDesign, 'elements'>,
  words: LabelWords,
): LabelClaim[] =>
  elements
    .filter(({ part }) => part !== 'list')
    .flatMap((element) =>
      claimsIn(saysOf(element, words)).map((claim) => ({ ...claim, element: element.id })),
    )

/**
 * What does not fit, and what is smaller than the place allows: the list first.
 * @param net g that the label states
 * @param also what goes with it and is printed along
 * @example faultsOf(labelDesign, labelWords, 110, { smallestType: 1.2, netHeights: [{ upTo: 200, mm: 3 }] }).map(({ kind }) => kind) // []
 */
export function faultsOf(
  design: LabelDesign,
  words: LabelWords,
  net: number,
  { smallestType, netHeights }: Pick<Place, 'smallestType' | 'netHeights'>,
  also: Pick<LabelDesign, 'elements'> | null = null,
): LabelFault[] {
  const faults = design.elements.flatMap((element): LabelFault[] => {
    const says = saysOf(element, words)
    // A weight that nobody knows yet is not left out in silence.
    if (!says && element.part === 'net')
      return [{ element: element.id, kind: 'missing', lines: 0, size: null }]
    if (!says) return []
    const found: LabelFault[] = []
    if (lettersLacking(says).length)
      found.push({ element: element.id, kind: 'letters', lines: 0, size: null })
    const bent = design.form === 'round' && element.bent !== 'no'
    const over = bent ? Number(!fitsBent(says, element, design.width)) : setText(says, element).over
    if (over > 0)
      found.push({
        element: element.id,
        kind: 'over',
        lines: over,
        size: bent
          ? bentSize(says, element, design.width, smallestType)
          : fittingSize(says, element, smallestType),
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
  if (notOn(design, also).includes('list'))
    faults.push({ element: '', kind: 'missing', lines: 0, size: null })
  return faults.sort((a, b) => Number(b.kind === 'over') - Number(a.kind === 'over'))
}
