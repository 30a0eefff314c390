import { describe, expect, it } from 'vitest'
import { saponificationValueOf } from '../chemistry/fattyAcids'
import { library } from './library'
import { excluded } from '../finder/wish'
import { findMaterials } from './find'
import { sum } from '../statistics/sum'

const fats = [...library.fats.values()]
const checkable = fats.filter((fat) => !fat.unchecked)

describe('the fats of the library', () => {
  it('number at least 100, with unique names', () => {
    expect(fats.length).toBeGreaterThanOrEqual(100)
    expect(new Set(fats.map((fat) => fat.name)).size).toBe(fats.length)
  })

  it.each(fats.map((fat) => [fat.id, fat] as const))('%s lies inside its own range', (_, fat) => {
    const { low, typical, high } = fat.sap
    expect(low).toBeLessThan(typical)
    expect(typical).toBeLessThan(high)
    const named = sum(Object.values(fat.profile.value))
    expect(named).toBeLessThanOrEqual(1.0001)
    expect(fat.density.value).toBeGreaterThan(0.8)
    expect(fat.density.value).toBeLessThan(1.1)
    expect(fat.stateAt20 === 'liquid').toBe(fat.softens === null || fat.softens.value < 20)
  })

  it.each(checkable.map((fat) => [fat.id, fat] as const))(
    '%s: the value implied by profile and unsaponifiables is within 3 %% of the listed one and in the range',
    (_, fat) => {
      const chemistry = fat.chemistry === 'free-acid' ? 'free-acid' : 'triglyceride'
      const implied = saponificationValueOf(fat.profile.value, fat.unsaponifiables.value, chemistry)
      expect(Math.abs(implied / fat.sap.typical - 1)).toBeLessThan(0.03)
      expect(implied).toBeGreaterThan(fat.sap.low)
      expect(implied).toBeLessThan(fat.sap.high)
    },
  )

  it('no value stands on a handbook alone: a second source is within 3 % of it, and so is what its profile implies', () => {
    const alone = fats.filter(({ sap }) => sap.source === 'handbook')
    expect(alone.length).toBeGreaterThan(25)
    for (const { id, sap, second, profile, unsaponifiables, unchecked } of alone) {
      expect(second?.source ?? 'handbook', id).not.toBe('handbook')
      expect(Math.abs(second!.value / sap.typical - 1), id).toBeLessThan(0.03)
      expect(second!.value > sap.low && second!.value < sap.high, id).toBe(true)
      if (unchecked) continue
      const implied = saponificationValueOf(profile.value, unsaponifiables.value, 'triglyceride')
      expect(Math.abs(implied / second!.value - 1), id).toBeLessThan(0.035)
    }
  })

  it('a profile that is checked names nearly all of the fat', () => {
    for (const { id, profile } of checkable)
      expect(sum(Object.values(profile.value)), id).toBeGreaterThan(0.78)
  })

  it('oil palm is told apart from other palms, and what may be of an animal says so', () => {
    const of = (id: string) => library.fats.get(id)!
    const palms = 'babassu murumuru tucuma cohune macauba-kernel carnauba buriti'.split(' ')
    for (const id of palms) {
      expect(excluded(of(id), ['palmFree']), id).toBe(false)
      expect(of(id).origin, id).toContain('other-palm')
    }
    for (const id of ['palm', 'palm-kernel', 'palm-stearin', 'shortening-vegetable'])
      expect(excluded(of(id), ['palmFree']), id).toBe(true)
    for (const id of ['stearic-acid', 'palmitic-acid', 'myristic-acid', 'oleic-acid', 'tallow'])
      expect(excluded(of(id), ['vegan']), id).toBe(true)
    expect(excluded(of('candelilla'), ['vegan', 'palmFree'])).toBe(false)
    expect(of('candelilla').origin).toEqual(['stem'])
  })

  it('waxes are as light as they are when melted', () => {
    for (const id of ['beeswax', 'candelilla', 'carnauba', 'rice-bran-wax'])
      expect(library.fats.get(id)!.density.value).toBeGreaterThanOrEqual(0.82)
    for (const id of ['beeswax', 'candelilla', 'carnauba', 'rice-bran-wax'])
      expect(library.fats.get(id)!.density.value).toBeLessThanOrEqual(0.85)
  })

  it('a clay is a teaspoon in half a kilogram, unless somebody wants more', () => {
    const clays = [...library.additives.values()].filter(({ group }) => group === 'clay')
    expect(clays.length).toBeGreaterThanOrEqual(6)
    for (const { usualRate, density } of clays) {
      const teaspoon = (4.929 * density) / 500
      expect(usualRate / teaspoon).toBeGreaterThan(0.75)
      expect(usualRate / teaspoon).toBeLessThan(1.25)
    }
  })

  it('lists what cannot be checked that way, each with its reason', () => {
    const unchecked = fats.filter((fat) => fat.unchecked)
    expect(unchecked.map((fat) => fat.id).sort()).toEqual(
      [
        'beeswax',
        'butterfat',
        'candelilla',
        'carnauba',
        'jojoba',
        'lanolin',
        'nutmeg-butter',
        'pine-tar',
        'rice-bran-wax',
        'rosin',
      ].sort(),
    )
    for (const fat of unchecked) expect(fat.unchecked!.length).toBeGreaterThan(40)
  })

  it('holds the ids of the open format', () => {
    const ids =
      'olive coconut coconut-fractionated palm palm-kernel babassu castor shea cocoa-butter mango-butter lard tallow sunflower sunflower-high-oleic rapeseed grapeseed rice-bran soybean sweet-almond avocado hemp flax laurel-berry stearic-acid beeswax jojoba lanolin pine-tar'
    expect(ids.split(' ').filter((id) => !library.fats.has(id))).toEqual([])
    const rest =
      'citric-acid-anhydrous citric-acid-monohydrate lactic-acid sodium-lactate sodium-citrate salt sugar honey kaolin rose-clay titanium-dioxide'
    expect(rest.split(' ').filter((id) => !library.additives.has(id))).toEqual([])
  })
})

describe('finding a material by what people type', () => {
  it.each([
    ['olive', 'olive'],
    ['Extra virgin olive oil', 'olive'],
    ['pomace', 'olive-pomace'],
    ['coconut', 'coconut'],
    ['coconut oil', 'coconut'],
    ['fractionated coconut oil', 'coconut-fractionated'],
    ['coconut milk', 'coconut-milk'],
    ['Shea Butter (raw)', 'shea'],
    ['canola', 'rapeseed'],
    ['cocoa', 'cocoa-butter'],
    ['sunflower', 'sunflower'],
    ['high oleic sunflower', 'sunflower-high-oleic'],
    ['palm', 'palm'],
    ['palm kernel', 'palm-kernel'],
    ['castor', 'castor'],
    ['cast', 'castor'],
    ['citric acid', 'citric-acid-anhydrous'],
    ['karité', 'shea'],
    ['lard', 'lard'],
    ['organic castor oil', 'castor'],
  ])('%s is %s', (typed, id) => {
    expect(findMaterials(library, typed)[0]?.id).toBe(id)
  })

  it('finds nothing for what is not there', () => {
    expect(findMaterials(library, 'gravel')).toEqual([])
    expect(findMaterials(library, '  ')).toEqual([])
  })
})
