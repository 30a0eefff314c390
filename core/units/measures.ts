/** Units people use, in grams, millilitres and °C. Avoirdupois and US customary; NIST Handbook 44. */
export const gramsPer = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 } as const
export type MassUnit = keyof typeof gramsPer

/** 1 US teaspoon 4.929 ml, 1 US tablespoon three of them, 1 US cup 236.588 ml, a drop about 0.05 ml. */
export const millilitresPer = {
  ml: 1,
  l: 1000,
  tsp: 4.92892,
  tbsp: 14.78676,
  cup: 236.588,
  drop: 0.05,
  floz: 29.5735,
} as const
export type VolumeUnit = keyof typeof millilitresPer

export const fahrenheit = (celsius: number) => celsius * 1.8 + 32
export const celsius = (fahrenheit: number) => (fahrenheit - 32) / 1.8
