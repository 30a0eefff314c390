import type { SpoonKind } from '#contracts/words'
import type { Blend } from '#contracts/store'
import type { OwnAdditive, OwnFat, OwnLiquid, OwnMaterial } from '#contracts/material'
import type { Additive } from './additives'
import { blendedFat } from './blended'
import type { Fat, Known } from './fat'
import type { Library, Material } from './library'
import type { Liquid } from './liquids'
import type { SourceId } from './sources'

/*
 * The library with a workshop's own materials and values in it. A value that is the library's keeps its source; one that
 * differs is the maker's own, or the certificate's where the record names one.
 */

/** Ids of materials that the library does not have begin with this. */
export const ownPrefix = 'own-'

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)

function fatFrom(own: OwnFat, base: Fat | undefined): Fat {
  const source: SourceId = own.certificate ? 'certificate' : 'maker'
  const known = <T>(value: T, before: Known<T> | null | undefined): Known<T> =>
    before && same(before.value, value) ? before : { value, source }
  const { low, typical, high } = own.sap
  const { source: sapSource, ...sap } = base?.sap ?? { source }
  return {
    kind: 'fat',
    id: own.id,
    name: own.name,
    latin: base?.latin ?? '',
    inci: own.inci,
    aliases: base?.aliases ?? [],
    sap: { low, typical, high, source: same(sap, { low, typical, high }) ? sapSource : source },
    profile: known(own.profile, base?.profile),
    unsaponifiables: known(own.unsaponifiables, base?.unsaponifiables),
    density: known(own.density, base?.density),
    stateAt20: own.stateAt20,
    softens: own.softens === null ? null : known(own.softens, base?.softens),
    origin: own.origin,
    // Whoever says where it comes from knows.
    maybe: own.origin.length ? undefined : base?.maybe,
    second: base?.second,
    chemistry: own.chemistry,
    colour: own.colour,
    mixUp: base?.mixUp,
    unchecked: base?.unchecked,
    certificate: own.certificate,
  }
}

function liquidFrom(own: OwnLiquid, base: Liquid | undefined): Liquid {
  return { ...own, aliases: base?.aliases ?? [], source: own.certificate ? 'certificate' : 'maker' }
}

function additiveFrom(own: OwnAdditive, base: Additive | undefined): Additive {
  return {
    ...own,
    aliases: base?.aliases ?? [],
    acid: base?.acid ?? null,
    fat: base?.fat,
    fatSap: base?.fatSap,
    source: own.certificate ? 'certificate' : 'maker',
  }
}

/**
 * A library with own materials joined and own values in place of its own; the library itself stays as it is.
 * @example libraryWith(shipped, [{ ...recordOf(castor), density: 0.96 }]).fats.get('castor').density // { value: 0.96, source: 'maker' }
 */
export function libraryWith(
  library: Library,
  own: readonly OwnMaterial[],
  spoons: SpoonKind = 'us',
  blends: readonly { id: string; document: Blend }[] = [],
): Library {
  const fats = new Map(library.fats)
  const liquids = new Map(library.liquids)
  const additives = new Map(library.additives)
  for (const record of own) {
    if (record.kind === 'fat') fats.set(record.id, fatFrom(record, library.fats.get(record.id)))
    else if (record.kind === 'liquid')
      liquids.set(record.id, liquidFrom(record, library.liquids.get(record.id)))
    else additives.set(record.id, additiveFrom(record, library.additives.get(record.id)))
  }
  // From what is in the library: a blend of blends counts as the parts of both, whichever was written down first.
  for (let added = true; added;) {
    added = false
    for (const { id, document } of blends) {
      const fat = fats.has(id) ? null : blendedFat(id, document, { fats, liquids, additives })
      if (!fat) continue
      fats.set(id, fat)
      added = true
    }
  }
  return { fats, liquids, additives, spoons }
}

/**
 * A material as the record that would hold its values: where an edit of them begins.
 * @example recordOf(castor).id // 'castor'
 */
export function recordOf(material: Material): OwnMaterial {
  const { id, name, colour, certificate = '' } = material
  const common = { id, name, colour, certificate }
  if (material.kind === 'fat') {
    const { low, typical, high } = material.sap
    return {
      kind: 'fat',
      ...common,
      inci: material.inci,
      sap: { low, typical, high },
      profile: material.profile.value,
      unsaponifiables: material.unsaponifiables.value,
      density: material.density.value,
      stateAt20: material.stateAt20,
      softens: material.softens?.value ?? null,
      origin: material.origin,
      chemistry: material.chemistry,
    }
  }
  if (material.kind === 'liquid') {
    const { water, fat, fatSap, sugar, naohTaken, moment, way, mind } = material
    return { kind: 'liquid', ...common, water, fat, fatSap, sugar, naohTaken, moment, way, mind }
  }
  const { group, moment, usualRate, highRate, density, disperse, pace, heats, tints, does } =
    material
  return {
    kind: 'additive',
    ...common,
    group,
    moment,
    usualRate,
    highRate,
    density,
    disperse,
    pace,
    heats,
    tints,
    does,
  }
}

/**
 * A material of one's own to begin with, with the values that are usual for its kind.
 * @example blankMaterial('fat').kind // 'fat'
 */
export function blankMaterial(kind: Material['kind']): OwnMaterial {
  const common = { id: ownPrefix, name: '', certificate: '' }
  if (kind === 'fat')
    return {
      kind,
      ...common,
      colour: '#d8c58a',
      inci: '',
      sap: { low: 185, typical: 190, high: 195 },
      profile: {},
      unsaponifiables: 0.01,
      density: 0.905,
      stateAt20: 'liquid',
      softens: null,
      origin: [],
      chemistry: 'triglyceride',
    }
  if (kind === 'liquid')
    return {
      kind,
      ...common,
      colour: '#a9b98a',
      water: 0.98,
      fat: 0,
      fatSap: 0,
      sugar: 0,
      naohTaken: 0,
      moment: 'lye',
      way: 'poured',
      mind: '',
    }
  return {
    kind,
    ...common,
    colour: '#8f8a6a',
    group: 'other',
    moment: 'trace',
    usualRate: 0.01,
    highRate: 0.03,
    density: 1,
    disperse: null,
    pace: 0,
    heats: false,
    tints: false,
    does: '',
  }
}

/**
 * A colourant that nobody listed: a powder rubbed into oil, that takes no lye.
 * @example ownColourant('slate', 'Slate grey').name // 'Slate grey'
 */
export function ownColourant(id: string, name: string, colour?: string): OwnAdditive {
  const blank = blankMaterial('additive') as OwnAdditive
  return {
    ...blank,
    id,
    name,
    colour: colour ?? blank.colour,
    group: 'colour',
    density: 0.5,
    disperse: { in: 'oil', ratio: 2 },
    tints: true,
    does: 'A colourant of your own.',
  }
}
