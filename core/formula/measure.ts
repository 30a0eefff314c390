import type { MeasuredAmount } from '#contracts/formula'
import { millilitresPer } from '../units/measures'

export interface Measure {
  rate?: number | null
  of?: 'oils' | 'batter'
  grams?: number | null
  amount?: MeasuredAmount
}

/** The ways an extra's amount can be said. */
export const waysToMeasure = [
  { id: 'oils', says: 'share of the oils' },
  { id: 'batter', says: 'share of the batter' },
  { id: 'grams', says: 'weight' },
  { id: 'tsp', says: 'teaspoons' },
  { id: 'tsp/kg-oils', says: 'teaspoons per kg of oils' },
  { id: 'ml', says: 'millilitres' },
  { id: 'drop', says: 'drops' },
] as const
export type WayToMeasure = (typeof waysToMeasure)[number]['id']

const tidy = (value: number) => Number(value.toFixed(5))

/**
 * The same weight said another way.
 * @param grams what it weighs now
 * @param density g/ml of what is measured
 */
export function sayAs(
  way: WayToMeasure,
  grams: number,
  density: number,
  oils: number,
  batter: number,
): Measure {
  const none = { rate: undefined, of: undefined, grams: undefined, amount: undefined }
  const millilitres = grams / density
  switch (way) {
    case 'oils':
      return { ...none, rate: oils > 0 ? tidy(grams / oils) : 0, of: 'oils' }
    case 'batter':
      return { ...none, rate: batter > 0 ? tidy(grams / batter) : 0, of: 'batter' }
    case 'grams':
      return { ...none, grams: tidy(grams) }
    case 'tsp':
      return { ...none, amount: { value: tidy(millilitres / millilitresPer.tsp), unit: 'tsp' } }
    case 'tsp/kg-oils':
      return {
        ...none,
        amount: {
          value: oils > 0 ? tidy(millilitres / millilitresPer.tsp / (oils / 1000)) : 0,
          unit: 'tsp/kg-oils',
        },
      }
    case 'ml':
      return { ...none, amount: { value: tidy(millilitres), unit: 'ml' } }
    case 'drop':
      return { ...none, amount: { value: tidy(millilitres / millilitresPer.drop), unit: 'drop' } }
  }
}
