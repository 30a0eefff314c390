import { describe, expect, it } from 'vitest'
import { coefficientTable, regionTable, substanceTable } from './table'
import { usualRegions } from './regions'
import { traitIds, type Traits } from './traits'
import { sayFoam, saySkin, sayTrait } from './words'

const body = usualRegions.body
/** In the middle of every region, unless something else is asked for. */
const traits = (changes: Partial<Traits> = {}): Traits => ({
  ...(Object.fromEntries(
    traitIds.map((trait) => [trait, (body[trait][0] + body[trait][1]) / 2]),
  ) as Traits),
  ...changes,
})

describe('what is said of a bar', () => {
  it.each([
    ['keeping', 66, [70, 100], 'Keeping 66, below its region of 70 to 100'],
    ['keeping', 85.4, [70, 100], 'Keeping 85, inside its region of 70 to 100'],
    ['greaseLift', 48.6, [20.4, 40], 'Grease lift 49, above its region of 20 to 40'],
  ] as const)('%s %d of %j', (trait, value, region, said) => {
    expect(sayTrait(trait, value, [...region])).toBe(said)
  })
  it.each([
    [28, 35.9, 'Slow and thin.'],
    [28.1, 35.9, 'Quick and thin.'],
    [28, 36, 'Slow and even.'],
    [28.1, 58, 'Quick and even.'],
    [28, 58.1, 'Slow and dense.'],
    [29, 70, 'Quick and dense.'],
  ])('foam by its figures: %d, %d', (quickFoam, lastingFoam, said) => {
    expect(sayFoam(traits({ quickFoam, lastingFoam }), body)).toMatch(
      new RegExp(`^${said.replace('.', '\\.')}`),
    )
  })
  it.each([
    [24.9, 41.9, 'Cleans little, leaves skin bare.'],
    [24.9, 42, 'Cleans little, leaves it comfortable.'],
    [24.9, 68, 'Cleans little, very mild.'],
    [25, 41.9, 'Cleans well, leaves skin bare.'],
    [61.9, 67.9, 'Cleans well, leaves it comfortable.'],
    [61.9, 68, 'Cleans well, very mild.'],
    [62, 41.9, 'Strips, leaves skin bare.'],
    [62, 42, 'Strips, yet leaves it comfortable.'],
    [62, 68, 'Strips, yet is mild.'],
  ])('skin by its figures: %d, %d', (greaseLift, gentleness, said) => {
    expect(saySkin(traits({ greaseLift, gentleness }), body).slice(0, said.length)).toBe(said)
  })
  it('says what lies outside, and of the two only that', () => {
    expect(sayFoam(traits(), body)).not.toContain('region')
    expect(sayFoam(traits({ quickFoam: 99, keeping: 1 }), body)).toMatch(
      /\. Quick foam is above its region\.$/,
    )
    expect(saySkin(traits({ greaseLift: 0, gentleness: 0 }), body)).toBe(
      'Cleans little, leaves skin bare. Grease lift is below its region; Gentleness is below its region.',
    )
  })
})

describe('the tables of the documentation', () => {
  it('have every coefficient, region and what waxes lend', () => {
    expect(coefficientTable()).toMatchSnapshot()
    expect(regionTable()).toMatchSnapshot()
    expect(substanceTable()).toMatchSnapshot()
  })
})
