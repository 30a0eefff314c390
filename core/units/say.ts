import { fahrenheit, gramsPer } from './measures'

export type UnitSystem = 'metric' | 'imperial'

/** Puts figures into words the way one workshop reads them. */
export interface Speaker {
  system: UnitSystem
  /** A bare number with a fixed count of decimals. */
  number(value: number, decimals?: number): string
  /** Grams as weighed: the decimals of the workshop's scale, or ounces. */
  mass(grams: number): string
  /** As `mass`, but never more than it is: for lye. */
  massDown(grams: number): string
  /** Grams to be read, not weighed: whole grams, tenths of an ounce. */
  amount(grams: number): string
  /** The figure of `mass` without its unit. */
  massFigure(grams: number): string
  massUnit: 'g' | 'oz'
  /** A fraction as a percentage; decimals that say nothing are dropped. */
  percent(fraction: number, decimals?: number): string
  /** Water to lye, as 2.2 : 1. */
  ratio(value: number): string
  temperature(celsius: number): string
}

export interface SpeakerChoice {
  locale?: string
  system?: UnitSystem
  /** Resolution of the workshop's scale, g. */
  scale?: number
}

/** Decimals that a scale of this resolution (g) shows; ounces get two more so as to lose nothing much. */
function decimalsOf(scale: number, system: UnitSystem): number {
  const metric = Math.max(0, Math.min(3, Math.round(-Math.log10(scale))))
  return system === 'metric' ? metric : Math.min(3, metric + 1)
}

/** Makes a speaker for a locale, a unit system and a scale. Default: British English, grams to 0.1. */
export function speaker({
  locale = 'en-GB',
  system = 'metric',
  scale = 0.1,
}: SpeakerChoice = {}): Speaker {
  const formats = new Map<string, Intl.NumberFormat>()
  const format = (value: number, least: number, most: number) => {
    const key = `${least}-${most}`
    if (!formats.has(key))
      formats.set(
        key,
        new Intl.NumberFormat(locale, {
          minimumFractionDigits: least,
          maximumFractionDigits: most,
        }),
      )
    return formats.get(key)!.format(Object.is(value, -0) ? 0 : value)
  }
  const decimals = decimalsOf(scale, system)
  const massFigure = (grams: number) =>
    format(system === 'metric' ? grams : grams / gramsPer.oz, decimals, decimals)
  const massUnit = system === 'metric' ? 'g' : 'oz'
  return {
    system,
    number: (value, places = 0) => format(value, places, places),
    massFigure,
    massUnit,
    massDown: (grams) => {
      const step = 10 ** -decimals * (system === 'metric' ? 1 : gramsPer.oz)
      return `${massFigure(Math.floor(grams / step + 1e-9) * step)} ${massUnit}`
    },
    amount: (grams) =>
      system === 'metric' ? `${format(grams, 0, 0)} g` : `${format(grams / gramsPer.oz, 1, 1)} oz`,
    mass: (grams) => `${massFigure(grams)} ${massUnit}`,
    percent: (fraction, places = 1) => `${format(fraction * 100, 0, places)} %`,
    ratio: (value) => `${format(value, 1, 2)} : 1`,
    temperature: (celsius) =>
      system === 'metric'
        ? `${format(celsius, 0, 0)} °C`
        : `${format(fahrenheit(celsius), 0, 0)} °F`,
  }
}
