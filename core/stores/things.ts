import type { FormulaResult, Frozen } from '#contracts/result'
import type { Need } from '#contracts/store'
import type { GoodsId, VesselForm } from '#contracts/storeWords'
import { frozenLibrary } from '../formula/frozen'
import { makingOrder, type WeighLine } from '../formula/makingOrder'
import type { Library } from '../materials/library'

/** What lies in the stores and goes into no batter: names for one and many, and how it looks. */
const goods: Record<GoodsId, { name: string; colour: string }> = {
  'goods-wrap': { name: 'Wraps', colour: '#d9d0c1' },
  'goods-label': { name: 'Labels', colour: '#e6e2d8' },
  'goods-box': { name: 'Boxes', colour: '#b99b6b' },
  'goods-bag': { name: 'Bags', colour: '#cbb893' },
  'goods-liner': { name: 'Mould liners', colour: '#dfe3e0' },
  'goods-strips': { name: 'pH strips', colour: '#c7a94a' },
  'goods-gloves': { name: 'Gloves', colour: '#7fa3b5' },
}
const lye = { naoh: 'Sodium hydroxide', koh: 'Potassium hydroxide', 'lye-solution': 'Lye solution' }

/** What kind of thing it is: how it is counted, drawn, and what has to be minded of it. */
export type ThingKind =
  'fat' | 'blend' | 'lye' | 'water' | 'liquid' | 'extra' | 'colour' | 'scent' | 'goods'

export interface Thing {
  id: string
  name: string
  kind: ThingKind
  colour: string
  /** g per ml. */
  density: number
  /** Burns skin: it stands behind the lock. */
  caustic: boolean
}

/**
 * A thing of the stores by its id; one that nobody knows any more keeps its id as a name.
 * @example thingIn(shipped, 'naoh').name // 'Sodium hydroxide'
 */
export function thingIn(library: Library, id: string): Thing {
  const thing = (kind: ThingKind, name: string, colour: string, density = 1): Thing => ({
    id,
    name,
    kind,
    colour,
    density,
    caustic: isCaustic(id),
  })
  const fat = library.fats.get(id)
  if (fat) return thing(fat.parts ? 'blend' : 'fat', fat.name, fat.colour, fat.density.value)
  if (isCaustic(id)) return thing('lye', lye[id as keyof typeof lye], '#d9442c', 1.2)
  if (id === 'water') return thing('water', 'Distilled water', '#5b93b5')
  const liquid = library.liquids.get(id)
  if (liquid) return thing('liquid', liquid.name, liquid.colour)
  const additive = library.additives.get(id)
  if (additive)
    return thing(
      additive.group === 'colour' || additive.group === 'clay' ? 'colour' : 'extra',
      additive.name,
      additive.colour,
      additive.density,
    )
  const scent = library.scents?.get(id)
  if (scent) return thing('scent', scent.name, scent.scent.colour, scent.scent.density ?? 0.95)
  const known = goods[id as GoodsId]
  return known ? thing('goods', known.name, known.colour) : thing('extra', id, '#8f8a6a')
}

/**
 * Whether it burns skin: lye, dry or dissolved.
 * @example isCaustic('koh') // true
 */
export const isCaustic = (id: string): boolean => id in lye

/**
 * Whether it is counted in pieces and not weighed.
 * @example isCounted('goods-wrap') // true
 */
export const isCounted = (id: string): boolean => id in goods

/** Every thing that lies in the stores and goes into no batter, by its id. */
export const goodsNames: Readonly<Record<GoodsId, { name: string; colour: string }>> = goods

/**
 * What it usually stands in, by what it is and how much of it there is, g.
 * @example usualVessel('fat', 25_000) // 'drum'
 */
export function usualVessel(kind: ThingKind, grams: number): VesselForm {
  if (kind === 'goods') return 'packet'
  if (kind === 'scent') return 'bottle'
  if (kind === 'lye' || kind === 'water') return grams > 3000 && kind === 'water' ? 'can' : 'bucket'
  if (kind === 'liquid') return 'box'
  if (kind === 'extra') return grams > 3000 ? 'sack' : 'jar'
  if (kind === 'colour') return 'jar'
  return grams >= 15_000 ? 'drum' : grams > 2500 ? 'bucket' : 'jar'
}

/** What a line of the making order takes out of the stores. */
const thingOfLine = ({ id, substance }: WeighLine): string =>
  substance === 'water'
    ? 'water'
    : id === 'solution'
      ? 'lye-solution'
      : id.replace(/-to-disperse$/, '')

/**
 * What a batch takes out of the stores by its formula, each thing once, in the order of making.
 * @example needsOf(frozen).map(({ thing }) => thing) // ['water', 'naoh', 'olive']
 */
export const needsOf = (frozen: Frozen): Need[] =>
  needsOfResult(frozen.result, frozenLibrary(frozen))

/**
 * What a formula takes out of the stores as it is computed.
 * @example needsOfResult(made, shipped).map(({ thing }) => thing) // ['water', 'naoh', 'olive']
 */
export function needsOfResult(result: FormulaResult, library: Library): Need[] {
  const needs = new Map<string, Need>()
  for (const { lines } of makingOrder(result, library))
    for (const line of lines) {
      const thing = thingOfLine(line)
      const before = needs.get(thing)
      needs.set(thing, {
        thing,
        name: before?.name ?? (thing === 'water' ? 'Distilled water' : line.name),
        grams: (before?.grams ?? 0) + line.grams,
      })
    }
  return [...needs.values()]
}
