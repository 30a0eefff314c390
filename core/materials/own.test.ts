import { describe, expect, it } from 'vitest'
import type { OwnFat } from '#contracts/material'
import { ownMaterialSchema } from '#contracts/material'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { faultsInFormula } from '../formula/faults'
import { freeze } from '../batch/freeze'
import { frozenLibrary, materialsUsed } from '../formula/frozen'
import { library, type Material } from './library'
import { blankMaterial, libraryWith, ownColourant, recordOf } from './own'

const all: Material[] = [
  ...library.fats.values(),
  ...library.liquids.values(),
  ...library.additives.values(),
]

describe('records of own materials', () => {
  it('can be made of every material of the library, and put back change nothing but the source', () => {
    for (const material of all) {
      const record = ownMaterialSchema.parse(recordOf(material))
      const own = libraryWith(library, [record])
      const back = [own.fats, own.liquids, own.additives]
        .map((map) => map.get(material.id))
        .find((found) => found?.kind === material.kind)!
      expect(recordOf(back)).toEqual(recordOf(material))
      if (material.kind === 'fat' && back.kind === 'fat') expect(back.sap).toEqual(material.sap)
    }
  })

  it('begin valid but for the name', () => {
    for (const kind of ['fat', 'liquid', 'additive'] as const) {
      const blank = blankMaterial(kind)
      const named = { ...blank, id: 'own-kelp', name: 'Kelp' }
      expect(ownMaterialSchema.safeParse(named).success).toBe(true)
      expect(ownMaterialSchema.safeParse({ ...named, name: ' ' }).success).toBe(false)
    }
  })

  it.each([
    [{ sap: { low: 190, typical: 180, high: 195 } }, 'sap.typical'],
    [{ profile: { oleic: 0.8, linoleic: 0.3 } }, 'profile'],
    [{ density: 3 }, 'density'],
  ])('are refused with %o', (change, path) => {
    const record = { ...(recordOf(library.fats.get('olive')!) as OwnFat), ...change }
    const parsed = ownMaterialSchema.safeParse(record)
    expect(parsed.error?.issues[0]?.path.join('.')).toBe(path)
  })
})

describe('a workshop’s own values', () => {
  const certified = {
    ...(recordOf(library.fats.get('olive')!) as OwnFat),
    certificate: 'KR-7',
    sap: { low: 186.5, typical: 187.5, high: 188.5 },
  }
  const own = libraryWith(library, [certified])
  const formula = {
    ...blankFormula('Quiet Olive'),
    superfat: 0,
    fats: [{ id: 'olive', share: 1, moment: 'pot' as const, inLye: true }],
  }

  it('decide the lye: 1000 g at 187.5 take 187.5 g KOH, 133.6666 g NaOH', () => {
    expect(computeFormula(formula, own).lye.naoh).toBeCloseTo((187.5 * 39.997) / 56.1056, 9)
    expect(computeFormula(formula, library).lye.naoh).toBeGreaterThan(135)
  })

  it('say which values are the certificate’s and leave the others their source', () => {
    const olive = own.fats.get('olive')!
    expect(olive.sap.source).toBe('certificate')
    expect(olive.profile).toBe(library.fats.get('olive')!.profile)
    expect(library.fats.get('olive')!.sap.typical).toBe(190)
  })

  it('go with the batch: frozen, it computes the same when the record is gone', () => {
    const frozen = freeze(formula, own)
    expect(computeFormula(formula, frozenLibrary(frozen)).lye.naoh).toBe(frozen.result.lye.naoh)
  })

  it('join materials that formulas may name, and only then', () => {
    const kelp = { ...blankMaterial('liquid'), id: 'own-kelp-tea', name: 'Kelp tea' }
    const tea = {
      ...formula,
      liquids: [{ id: 'own-kelp-tea', share: 0.5, moment: 'lye' as const, way: 'poured' as const }],
    }
    expect(faultsInFormula(tea, library)).toHaveLength(1)
    expect(faultsInFormula(tea, libraryWith(library, [kelp]))).toEqual([])
    expect(materialsUsed(tea)).toEqual(new Set(['olive', 'own-kelp-tea']))
  })
})

describe('a material that nobody listed', () => {
  const own = libraryWith(library, [
    { ...blankMaterial('fat'), id: 'own-kelp', name: 'Kelp fat' } as OwnFat,
    { ...blankMaterial('liquid'), id: 'own-brine', name: 'Brine' },
    { ...blankMaterial('additive'), id: 'own-grit', name: 'Grit' },
    ownColourant('own-slate', 'Slate grey', '#556677'),
    ownColourant('own-moss', 'Moss'),
  ])
  it('has the values it was given, from its maker, and nothing of another material', () => {
    expect(own.fats.get('own-kelp')).toEqual({
      kind: 'fat',
      id: 'own-kelp',
      name: 'Kelp fat',
      latin: '',
      inci: '',
      aliases: [],
      sap: { low: 185, typical: 190, high: 195, source: 'maker' },
      profile: { value: {}, source: 'maker' },
      unsaponifiables: { value: 0.01, source: 'maker' },
      density: { value: 0.905, source: 'maker' },
      stateAt20: 'liquid',
      softens: null,
      origin: [],
      chemistry: 'triglyceride',
      colour: '#d8c58a',
      certificate: '',
    })
    const { aliases, source, heats, tints, disperse, acid, fat } = own.additives.get('own-grit')!
    expect({ aliases, source, heats, tints, disperse, acid, fat }).toEqual({
      aliases: [],
      source: 'maker',
      heats: false,
      tints: false,
      disperse: null,
      acid: null,
      fat: undefined,
    })
    expect(own.liquids.get('own-brine')).toMatchObject({ aliases: [], source: 'maker', fat: 0 })
  })
  it('keeps what the record does not name of one that is listed', () => {
    const listed = recordOf(library.additives.get('goat-milk-powder')!)
    const again = libraryWith(library, [{ ...listed, certificate: 'KR-9' }])
    const powder = again.additives.get('goat-milk-powder')!
    expect(powder).toMatchObject({ source: 'certificate', aliases: powder.aliases })
    expect(powder.aliases).toEqual(library.additives.get('goat-milk-powder')!.aliases)
    expect(powder.fat).toBe(library.additives.get('goat-milk-powder')!.fat)
    expect(powder.fatSap).toBe(library.additives.get('goat-milk-powder')!.fatSap)
    const milk = recordOf(library.liquids.get('goat-milk')!)
    expect(libraryWith(library, [milk]).liquids.get('goat-milk')!.aliases).toEqual(
      library.liquids.get('goat-milk')!.aliases,
    )
    const acid = recordOf(library.additives.get('citric-acid-anhydrous')!)
    expect(libraryWith(library, [acid]).additives.get('citric-acid-anhydrous')!.acid).toBe(
      library.additives.get('citric-acid-anhydrous')!.acid,
    )
    expect(library.additives.get('citric-acid-anhydrous')!.acid).toBeTruthy()
  })
  it('a colourant is a powder rubbed into twice its weight of oil, in its own colour', () => {
    expect(own.additives.get('own-slate')).toMatchObject({
      name: 'Slate grey',
      colour: '#556677',
      group: 'colour',
      density: 0.5,
      disperse: { in: 'oil', ratio: 2 },
      tints: true,
      acid: null,
    })
    expect(own.additives.get('own-moss')!.colour).toBe('#8f8a6a')
  })
  it('measures with the spoons of the workshop, US ones unless it says otherwise', () => {
    expect(libraryWith(library, []).spoons).toBe('us')
    expect(libraryWith(library, [], 'metric').spoons).toBe('metric')
  })
})
