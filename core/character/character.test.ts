import { describe, expect, it } from 'vitest'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { faultsInFormula } from '../formula/faults'
import { applyPatch } from '../formula/patch'
import { remarksOn } from '../remarks'
import { library } from '../materials/library'
import { formatter } from '../units/formatter'
import { whatWouldHelp } from '../finder/help'
import { distance, outside, regionsFor, standing, usualRegions } from './regions'
import { substitutesFor, withFat } from '../finder/swap'
import { blendOf, shownTrait, traitIds, traitOf, traitsOf } from './traits'

const bar = (shares: Record<string, number>, superfat = 0.05, extras: string[] = []) => {
  const document = {
    ...blankFormula('Bar'),
    superfat,
    fats: Object.entries(shares).map(([id, share]) => ({
      id,
      share,
      moment: 'pot' as const,
      inLye: true,
    })),
    additives: extras.map((id) => ({ id, rate: 0.01, of: 'oils' as const, carrier: null })),
  }
  return traitsOf(computeFormula(document, library), library)
}

describe('the seven traits', () => {
  it('are the sum of the table: lauric 50 %, oleic 30 %, ricinoleic 20 % at 5 points of superfat', () => {
    const profile = { lauric: 0.5, oleic: 0.3, ricinoleic: 0.2 }
    const all = traitIds.map((trait) => traitOf(trait, blendOf(profile)))
    const byHand = [
      50 * 1.3 + 30 * 0.2 + 20 * 0.2 - 4,
      30 * 0.9 + 20 * 0.65 + 6 - 6,
      // ricinoleic acid counts up to 12 % in foam
      50 * 1.35 + 30 * 0.12 + 12 * 0.35 - 4,
      50 * 0.4 + 30 * 0.3 + 12 * 2.3 - 1.5,
      50 * 0.95 + 30 * 0.15 + 20 * 0.05 - 3.5,
      50 * 0.1 + 30 * 0.15 - 20 * 0.1 - 2.5,
      100 - 30 * 0.09 - 20 * 0.09 - 3,
    ]
    all.forEach((value, index) => expect(value).toBeCloseTo(byHand[index]!, 9))
  })

  it.each<[string, number, number, number]>([
    ['coconut lifts grease', bar({ coconut: 1 }).greaseLift, 95, 4],
    ['coconut is hardly gentle', bar({ coconut: 1 }).gentleness, 17, 4],
    ['coconut at 20 % superfat is gentler', bar({ coconut: 1 }, 0.2).gentleness, 35, 4],
    ['olive is gentle', bar({ olive: 1 }).gentleness, 81, 3],
    ['olive foams slowly', bar({ olive: 1 }).quickFoam, 9, 2],
    ['tallow wears long', bar({ tallow: 1 }).wearLife, 75.5, 7.5],
    ['palm wears long', bar({ palm: 1 }).wearLife, 75.5, 7.5],
    ['cocoa butter wears long', bar({ 'cocoa-butter': 1 }).wearLife, 75.5, 7.5],
    [
      'castor holds the foam of olive',
      bar({ olive: 0.95, castor: 0.05 }).lastingFoam - bar({ olive: 1 }).lastingFoam,
      9,
      1.5,
    ],
    ['sunflower keeps badly', bar({ sunflower: 1 }).keeping, 38, 4],
    ['hemp hardly keeps', bar({ hemp: 1 }).keeping, 6, 5],
  ])('%s', (_, value, about, within) => {
    expect(Math.abs(value - about)).toBeLessThanOrEqual(within)
  })

  it('keep better with a chelator or with citric acid', () => {
    const plain = bar({ olive: 1 }).keeping
    expect(bar({ olive: 1 }, 0.05, ['sodium-citrate']).keeping).toBeCloseTo(plain + 5, 9)
    expect(bar({ olive: 1 }, 0.05, ['citric-acid-anhydrous']).keeping).toBeCloseTo(plain + 5, 9)
    expect(bar({ olive: 1 }, 0.05, ['kaolin']).keeping).toBeCloseTo(plain, 9)
  })

  it('are shown within 0 and 100 and known beyond', () => {
    expect(bar({ hemp: 0.5, flax: 0.5 }).keeping).toBeLessThan(0)
    expect(shownTrait(-12)).toBe(0)
    expect(shownTrait(104)).toBe(100)
  })
})

describe('regions', () => {
  it('are whole for every use, and the workshop’s own take their place', () => {
    for (const regions of Object.values(usualRegions))
      for (const trait of traitIds) expect(regions[trait][0]).toBeLessThan(regions[trait][1])
    const own = regionsFor('body', { body: { keeping: [80, 95] } })
    expect(own.keeping).toEqual([80, 95])
    expect(own.wearLife).toBe(usualRegions.body.wearLife)
  })

  it('tell inside from outside, and how far', () => {
    expect([outside(10, [20, 30]), outside(25, [20, 30]), outside(42, [20, 30])]).toEqual([
      10, 0, 12,
    ])
    expect([10, 20, 30, 31].map((value) => standing(value, [20, 30]))).toEqual([
      'below',
      'inside',
      'inside',
      'above',
    ])
  })

  it('hold the bars that makers make for the use', () => {
    const hostel = bar({ olive: 0.43, coconut: 0.25, tallow: 0.25, castor: 0.07 }, 0.06)
    expect(distance(hostel, usualRegions.body)).toBe(0)
    const block = bar({ coconut: 0.6, tallow: 0.4 }, 0.015)
    expect(distance(block, usualRegions.laundry)).toBe(0)
    expect(distance(block, usualRegions.face)).toBeGreaterThan(500)
    expect(distance(bar({ coconut: 0.8, olive: 0.2 }, 0.01), usualRegions.dishes)).toBe(0)
  })
})

describe('what would help', () => {
  const document = {
    ...blankFormula('Block'),
    use: 'face' as const,
    superfat: 0.05,
    fats: [
      { id: 'coconut', share: 0.6, moment: 'pot' as const, inLye: true },
      { id: 'tallow', share: 0.4, moment: 'pot' as const, inLye: true },
    ],
  }
  const help = (of: typeof document) =>
    whatWouldHelp(of, computeFormula(of, library), library, usualRegions[of.use], formatter())

  it('offers three different changes, each nearer by what it says, with no new stop', () => {
    const found = help(document)
    const far = distance(traitsOf(computeFormula(document, library), library), usualRegions.face)
    expect(found).toHaveLength(3)
    expect(new Set(found.map(({ label }) => label)).size).toBe(3)
    for (const { patch, left } of found) {
      const changed = applyPatch(document, patch)
      const result = computeFormula(changed, library)
      expect(distance(traitsOf(result, library), usualRegions.face) / far).toBeCloseTo(left, 9)
      expect(left).toBeLessThan(1)
      expect(faultsInFormula(changed, library)).toEqual([])
      expect(remarksOn(changed, result).filter(({ severity }) => severity === 'stop')).toEqual([])
    }
  })

  it('has nothing to say of a bar inside its regions, or of an empty one', () => {
    expect(help({ ...document, use: 'laundry' as never, superfat: 0.015 })).toEqual([])
    expect(help({ ...document, fats: [] })).toEqual([])
  })

  it('finds tallow’s nearest relatives, and the formula with one of them', () => {
    const [now, ...others] = substitutesFor(document, 1, library)
    const nearest = others[0]!
    expect(now).toMatchObject({ fat: { id: 'tallow' }, apart: 0 })
    expect(others.map(({ apart }) => apart)).toEqual(
      others.map(({ apart }) => apart).sort((x, y) => x - y),
    )
    expect(nearest.apart).toBeLessThan(4)
    expect(others.at(-1)!.apart).toBeGreaterThan(20)
    const swapped = withFat(document, 1, nearest.fat.id)
    expect(computeFormula(swapped, library).lye.naoh).toBeCloseTo(nearest.lye, 9)
  })
})
