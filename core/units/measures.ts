import type { AmountBase, AmountUnit, SpoonKind } from '#contracts/words'

/** Units people use, in grams, millilitres and °C. Avoirdupois and US customary; NIST Handbook 44. */
export const gramsPer = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 } as const
export type MassUnit = keyof typeof gramsPer

/**
 * ml of spoons and cups. US: teaspoon 4.929 ml, tablespoon three of them, cup 236.588 ml (NIST Handbook 44); metric: 5, 15 and
 * 250 ml. A drop is about 0.05 ml.
 */
export const spoonMillilitres = {
  us: { tsp: 4.92892, tbsp: 14.78676, cup: 236.588 },
  metric: { tsp: 5, tbsp: 15, cup: 250 },
} as const satisfies Record<SpoonKind, Record<string, number>>

/** ml of each measure, spoons as in the US. */
export const millilitresPer = {
  ml: 1,
  l: 1000,
  ...spoonMillilitres.us,
  drop: 0.05,
  floz: 29.5735,
} as const
export type VolumeUnit = keyof typeof millilitresPer

/** Units in which a formula can say an amount, as they stand behind its figure. */
export const unitWords: Record<AmountUnit, string> = {
  tsp: 'tsp',
  tbsp: 'tbsp',
  ml: 'ml',
  drop: 'drops',
  g: 'g',
  oz: 'oz',
}
/**
 * Whether a formula can hold an amount in this unit.
 * @example isAmountUnit('cup') // false
 */
export const isAmountUnit = (unit: string): unit is AmountUnit => unit in unitWords

/** g of oils that an amount "per" something is for. */
export const gramsOfBase: Record<AmountBase, number> = {
  kg: 1000,
  '500g': 500,
  '100g': 100,
  lb: gramsPer.lb,
}

/**
 * g of one of a unit.
 * @param density g/ml, for volumes
 * @example gramsOfUnit('tsp', 1, 'us') // 4.92892
 */
export function gramsOfUnit(unit: AmountUnit, density: number, spoons: SpoonKind): number {
  switch (unit) {
    case 'g':
    case 'oz':
      return gramsPer[unit]
    case 'tsp':
    case 'tbsp':
      return spoonMillilitres[spoons][unit] * density
    case 'ml':
    case 'drop':
      return millilitresPer[unit] * density
  }
}

/**
 * Whether grams of this unit are worked out from a volume.
 * @example isVolume('ml') // true
 */
export const isVolume = (unit: AmountUnit): boolean => unit !== 'g' && unit !== 'oz'

/**
 * °F of a temperature in °C.
 * @example fahrenheit(100) // 212
 */
export const fahrenheit = (celsius: number) => celsius * 1.8 + 32
/**
 * °C of a temperature in °F.
 * @example celsius(212) // 100
 */
export const celsius = (fahrenheit: number) => (fahrenheit - 32) / 1.8
