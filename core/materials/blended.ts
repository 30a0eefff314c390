import type { Blend } from '#contracts/store'
import type { FattyAcid } from '#contracts/result'
import { sumOf } from '../statistics/sum'
import type { Fat, FatState } from './fat'
import type { Library } from './library'

/** Ids of made-up stocks begin with this. */
export const blendPrefix = 'blend-'

const states: readonly FatState[] = ['liquid', 'soft', 'hard']

/**
 * A blend as one fat that counts as its parts: what is linear in them is their mean by mass, the spread of its saponification value
 * the root of their squares, since the parts vary apart from each other. Something that is no fat takes no lye and no part in the
 * fatty acids. Null for a solution of lye, and where a part is not known any more.
 * @example blendedFat('blend-hostel', { name: 'Hostel blend', kind: 'oils', parts: [{ thing: 'olive', share: 0.75 }, { thing: 'coconut', share: 0.25 }], colour: '#c9a64b', note: '' }, shipped).sap.typical
 *   // 206.75
 */
export function blendedFat(id: string, blend: Blend, library: Library): Fat | null {
  if (blend.kind === 'lye') return null
  const parts = blend.parts.map(({ thing, share }) => ({
    thing,
    share,
    fat: library.fats.get(thing),
    name: library.fats.get(thing)?.name ?? library.additives.get(thing)?.name,
    additive: library.additives.get(thing),
  }))
  if (parts.some(({ fat, additive }) => !fat && !additive)) return null
  const fats = parts.flatMap(({ fat, share }) => (fat ? [{ fat, share }] : []))
  const mean = (of: (fat: Fat) => number) => sumOf(fats, ({ fat, share }) => share * of(fat))
  const typical = mean(({ sap }) => sap.typical)
  const spread = (of: (fat: Fat) => number) =>
    Math.sqrt(sumOf(fats, ({ fat, share }) => (share * of(fat)) ** 2))
  const profile: Partial<Record<FattyAcid, number>> = {}
  for (const { fat, share } of fats)
    for (const [acid, part] of Object.entries(fat.profile.value) as [FattyAcid, number][])
      profile[acid] = (profile[acid] ?? 0) + share * part
  const fatShare = sumOf(fats, ({ share }) => share)
  const volume = sumOf(
    parts,
    ({ share, fat, additive }) => share / (fat?.density.value ?? additive!.density),
  )
  const hardest = Math.max(
    0,
    ...fats.map(({ fat, share }) => (share >= 0.1 ? states.indexOf(fat.stateAt20) : 0)),
  )
  const softens = fats.flatMap(({ fat }) => (fat.softens ? [fat.softens.value] : []))
  return {
    kind: 'fat',
    id,
    name: blend.name,
    latin: '',
    inci: '',
    aliases: [],
    sap: {
      low: typical - spread(({ sap }) => sap.typical - sap.low),
      typical,
      high: typical + spread(({ sap }) => sap.high - sap.typical),
      source: 'maker',
    },
    profile: { value: profile, source: 'maker' },
    unsaponifiables: {
      value: mean(({ unsaponifiables }) => unsaponifiables.value) + (1 - fatShare),
      source: 'maker',
    },
    density: { value: 1 / volume, source: 'maker' },
    stateAt20: states[hardest]!,
    softens: softens.length ? { value: Math.max(...softens), source: 'maker' } : null,
    origin: [...new Set(fats.flatMap(({ fat }) => fat.origin))],
    maybe: [...new Set(fats.flatMap(({ fat }) => fat.maybe ?? []))],
    chemistry: 'triglyceride',
    colour: blend.colour,
    unchecked: 'It is what its parts are.',
    parts: parts.map(({ thing, share, name, fat }) => ({
      id: thing,
      name: name ?? thing,
      share,
      fat: fat ?? null,
    })),
  }
}
