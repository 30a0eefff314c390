import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult, PatchStep } from '#contracts/result'
import type { Trait } from '#contracts/words'
import { fattyAcidNames } from '../chemistry/fattyAcids'
import { computeFormula } from '../formula/compute'
import { nameOfFat } from '../formula/names'
import { inSentence } from '../units/language'
import { applyPatch } from '../formula/patch'
import { remarksOn } from '../remarks'
import type { Fat } from '../materials/fat'
import type { Library } from '../materials/library'
import type { Formatter } from '../units/formatter'
import { distance, outside, type Regions } from '../character/regions'
import {
  lendsOf,
  makeupOf,
  traitIds,
  traitsFrom,
  traitsOf,
  type Makeup,
  type Traits,
} from '../character/traits'
import { roundTo } from '../statistics/roundTo'

/** One change that brings a formula nearer to its regions. */
export interface Help {
  label: string
  patch: PatchStep[]
  traits: Traits
  /** What is left of the distance, 0–1 of what it was. */
  left: number
  /** Traits that come into their region by it. */
  inside: Trait[]
}

/** Fats that many makers keep, tried when they are not in the formula. */
export const usualFats = [
  'olive',
  'coconut',
  'palm',
  'lard',
  'tallow',
  'shea',
  'cocoa-butter',
  'castor',
  'rapeseed',
  'sunflower-high-oleic',
  'sweet-almond',
  'rice-bran',
  'babassu',
  'mango-butter',
  'avocado',
]

const step = 0.05
const most = 3
/** A blend with some of one fat in place of another; what nothing is known of changes nothing. */
function moved(makeup: Makeup, from: Fat | undefined, to: Fat | undefined, share: number): Makeup {
  const between = <Key extends string>(
    keys: readonly Key[],
    now: Partial<Record<Key, number>>,
    less: Partial<Record<Key, number>>,
    more: Partial<Record<Key, number>>,
    by: number,
  ) =>
    Object.fromEntries(
      keys.map((key) => [key, (now[key] ?? 0) + by * ((more[key] ?? 0) - (less[key] ?? 0))]),
    ) as Partial<Record<Key, number>>
  const acidsOf = (fat: Fat | undefined) => fat?.profile.value ?? {}
  const lent = (fat: Fat | undefined) => (fat ? lendsOf(fat) : {})
  return {
    ...makeup,
    acids: between(fattyAcidNames, makeup.acids, acidsOf(from), acidsOf(to), share),
    lends: between(traitIds, makeup.lends, lent(from), lent(to), share * 100),
  }
}

interface Try {
  label: string
  patch: PatchStep[]
  /** Changes of one kind (from the same fat to others there, or to a new one) are offered once, at their best. */
  kind: string
  estimate: number
}

/** Every single change: a fat up at another's cost in steps of 5 %, one added, superfat by a point or two. */
function tries(
  document: FormulaDocument,
  result: FormulaResult,
  library: Library,
  regions: Regions,
  candidates: readonly string[],
  say: Formatter,
): Try[] {
  const now = makeupOf(result, library)
  const far = (makeup: Makeup) => distance(traitsFrom(makeup), regions)
  const fatOf = (id: string) => library.fats.get(id)
  const byLines = document.size.by === 'lines'
  const key = byLines ? 'grams' : 'share'
  const amount = (share: number) => roundTo(byLines ? share * result.oils : share, byLines ? 1 : 4)
  const at = (index: number, share: number): PatchStep => ({
    path: ['fats', index, key],
    value: amount(Math.max(0, share)),
  })
  const all: Try[] = []
  const shares = result.fats.map((fat) => fat.share)
  document.fats.forEach((donor, from) => {
    const name = nameOfFat(donor, library)
    for (let size = step; size <= 3 * step + 1e-9; size += step) {
      if (shares[from]! < size - 1e-9) break
      const points = say.percent(size, 0)
      document.fats.forEach((receiver, to) => {
        if (to === from) return
        const then = moved(now, fatOf(donor.id), fatOf(receiver.id), size)
        all.push({
          label: `${points} more ${inSentence(nameOfFat(receiver, library))} for ${inSentence(name)}`,
          kind: `${from} more`,
          patch: [at(from, shares[from]! - size), at(to, shares[to]! + size)],
          estimate: far(then),
        })
      })
      for (const id of candidates) {
        if (document.fats.some((line) => line.id === id) || !library.fats.has(id)) continue
        const then = moved(now, fatOf(donor.id), fatOf(id), size)
        const line = { id, [key]: amount(size), moment: 'pot', inLye: true }
        all.push({
          label: `${points} ${inSentence(library.fats.get(id)!.name)} in place of ${inSentence(name)}`,
          kind: `${from} added`,
          patch: [
            at(from, shares[from]! - size),
            { path: ['fats', document.fats.length], value: line },
          ],
          estimate: far(then),
        })
      }
    }
  })
  for (const by of [-0.02, -0.01, 0.01, 0.02]) {
    const asked = (document.superfat ?? 0) + by
    if (asked < 0 || asked > 0.2) continue
    all.push({
      label: `Superfat to ${say.percent(asked)}`,
      kind: `superfat ${Math.sign(by)}`,
      patch: [{ path: ['superfat'], value: roundTo(asked, 4) }],
      estimate: far({ ...now, superfat: now.superfat + by }),
    })
  }
  return all.sort((a, b) => a.estimate - b.estimate)
}

/**
 * The changes, three at most, that bring a formula nearest to its regions and raise no stop that is not there already.
 * Empty when it is inside all of them.
 * @example whatWouldHelp(example, made, shipped, body, say).map(({ label }) => label)
 *   // ['15 % coconut oil, melts at 24 °C in place of olive oil', 'Superfat to 3 %']
 */
export function whatWouldHelp(
  document: FormulaDocument,
  result: FormulaResult,
  library: Library,
  regions: Regions,
  say: Formatter,
  candidates: readonly string[] = usualFats,
): Help[] {
  const now = traitsOf(result, library)
  const far = distance(now, regions)
  if (far === 0 || result.oils <= 0) return []
  const stops = (of: FormulaDocument, computed: FormulaResult) =>
    remarksOn(of, computed, library, say)
      .filter(({ severity }) => severity === 'stop')
      .map(({ id }) => id)
  const already = new Set(stops(document, result))
  const found: Help[] = []
  const kinds = new Set<string>()
  for (const attempt of tries(document, result, library, regions, candidates, say)) {
    if (found.length === most || attempt.estimate >= far) break
    if (kinds.has(attempt.kind)) continue
    const changed = applyPatch(document, attempt.patch)
    const computed = computeFormula(changed, library)
    const traits = traitsOf(computed, library)
    const left = distance(traits, regions) / far
    if (left >= 0.98 || stops(changed, computed).some((id) => !already.has(id))) continue
    kinds.add(attempt.kind)
    found.push({
      label: attempt.label,
      patch: attempt.patch,
      traits,
      left,
      inside: traitIds.filter(
        (trait) =>
          outside(now[trait], regions[trait]) > 0 && outside(traits[trait], regions[trait]) === 0,
      ),
    })
  }
  return found.sort((a, b) => a.left - b.left)
}
