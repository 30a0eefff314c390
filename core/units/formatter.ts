import { celsius as celsiusOf, fahrenheit, gramsPer, millilitresPer } from './measures'

/**
 * The order of two English names. One for all of them: `localeCompare` makes its own for each comparison.
 * @example inOrder('Babassu oil', 'castor oil') // -1
 */
export const inOrder: (one: string, other: string) => number = new Intl.Collator('en').compare

export type UnitSystem = 'metric' | 'imperial'
export type Degrees = 'C' | 'F'

/** Puts figures into words the way one workshop reads them. */
export interface Formatter {
  /** Of weights and volumes. */
  system: UnitSystem
  degrees: Degrees
  /** A bare number with a fixed count of decimals, or with as many as it has up to a most. */
  number(value: number, decimals?: number, most?: number): string
  /** A count with its noun, by the locale's rule for one and many: `say.count(2, 'bar', 'bars')`. */
  count(value: number, one: string, many: string): string
  /** The word that goes with a count, the count itself not said: `say.plural(2, 'goes', 'go')`. */
  plural(value: number, one: string, many: string): string
  /** A figure as it is typed: no thousands between its digits. */
  typed(value: number, most: number, least?: number): string
  /** Items one after the other, as "a, b, c"; joined by a word where it is said: "a, b and c". */
  list(items: readonly string[], joined?: 'and' | 'or'): string
  /** Grams as weighed: the decimals of the workshop's scale, or ounces. */
  mass(grams: number): string
  /** As `mass`, but never more than it is: for lye. */
  massDown(grams: number): string
  /** Grams to be read, not weighed: whole grams, tenths of an ounce, pounds from two of them up. */
  amount(grams: number): string
  /** The figure of `mass` without its unit. */
  massFigure(grams: number): string
  /** A weight in ounces as pounds and ounces, from 2 lb up; empty where it is less or grams are read. */
  pounds(grams: number): string
  massUnit: 'g' | 'oz'
  /** g from a figure in that unit. */
  gramsOf(figure: number): number
  /** Millilitres to be read: whole ones, litres from one up, or fluid ounces. */
  volume(millilitres: number): string
  /** A fraction as a percentage; decimals that say nothing are dropped. */
  percent(fraction: number, decimals?: number): string
  /** Water to lye, as 2.2 : 1. */
  ratio(value: number): string
  temperature(celsius: number): string
  /** The figure of a temperature without its unit. */
  degreesOf(celsius: number): number
  /** °C from a figure in the workshop's degrees. */
  celsiusOf(degrees: number): number
  /** How far apart two temperatures are, given in °C. */
  degreesApart(celsius: number): string
  /** Money from the smallest unit of its currency, as ISO 4217 names it. */
  money(minor: number, currency: string): string
  /** A day of the calendar with its month and year, as 2026-11-05. */
  day(day: string): string
  /** A sentence with temperatures in °C, as materials and advice carry them, in the workshop's degrees. */
  inUnits(text: string): string
}

export interface FormatterChoice {
  locale?: string
  system?: UnitSystem
  /** Those of the system by default. */
  degrees?: Degrees | null
  /** Resolution of the workshop's scale, g. */
  scale?: number
}

/** Decimals that show every step of a scale of this resolution (g); in ounces as many as lose less than a step. */
function decimalsOf(scale: number, system: UnitSystem): number {
  const step = system === 'metric' ? scale : scale / gramsPer.oz
  const places = Math.ceil(-Math.log10(step) - 1e-9)
  return Math.max(0, Math.min(3, system === 'metric' ? places : Math.max(1, places)))
}

const listKinds = {
  bare: { type: 'unit', style: 'short' },
  and: { type: 'conjunction' },
  or: { type: 'disjunction' },
} as const satisfies Record<string, Intl.ListFormatOptions>

/**
 * Makes a formatter for a locale, a unit system and a scale. Default: British English, grams to 0.1.
 * @example formatter({ system: 'imperial' }).mass(1000) // '35.274 oz'
 */
export function formatter({
  locale = 'en-GB',
  system = 'metric',
  degrees,
  scale = 0.1,
}: FormatterChoice = {}): Formatter {
  const formats = new Map<string, Intl.NumberFormat>()
  const format = (value: number, least: number, most: number, useGrouping = true) => {
    const key = `${least}-${most}-${useGrouping}`
    if (!formats.has(key))
      formats.set(
        key,
        new Intl.NumberFormat(locale, {
          minimumFractionDigits: least,
          maximumFractionDigits: most,
          useGrouping,
        }),
      )
    return formats.get(key)!.format(Object.is(value, -0) ? 0 : value)
  }
  const money = (minor: number, currency: string) => {
    const spoken = new Intl.NumberFormat(locale, { style: 'currency', currency })
    return spoken.format(minor / 10 ** (spoken.resolvedOptions().maximumFractionDigits ?? 2))
  }
  // Most formatters never say a count or a list: theirs are made when they do, and once.
  let rules: Intl.PluralRules | undefined
  const plural = (value: number, one: string, many: string) =>
    (rules ??= new Intl.PluralRules(locale)).select(value) === 'one' ? one : many
  const lists = new Map<keyof typeof listKinds, Intl.ListFormat>()
  const listed = (kind: keyof typeof listKinds) => {
    if (!lists.has(kind)) lists.set(kind, new Intl.ListFormat(locale, listKinds[kind]))
    return lists.get(kind)!
  }
  const decimals = decimalsOf(scale, system)
  const massFigure = (grams: number) =>
    format(system === 'metric' ? grams : grams / gramsPer.oz, decimals, decimals)
  const inFahrenheit = (degrees ?? (system === 'metric' ? 'C' : 'F')) === 'F'
  const temperature = (celsius: number) =>
    inFahrenheit ? `${format(fahrenheit(celsius), 0, 0)} °F` : `${format(celsius, 0, 0)} °C`
  const pounds = (grams: number) => {
    if (system === 'metric' || grams < 2 * gramsPer.lb - 1e-9) return ''
    const tenths = Math.round((grams / gramsPer.oz) * 10)
    return `${format(Math.floor(tenths / 160), 0, 0)} lb ${format((tenths % 160) / 10, 1, 1)} oz`
  }
  const massUnit = system === 'metric' ? 'g' : 'oz'
  return {
    system,
    degrees: inFahrenheit ? 'F' : 'C',
    number: (value, places = 0, most = places) => format(value, places, most),
    count: (value, one, many) => `${format(value, 0, 0)} ${plural(value, one, many)}`,
    plural,
    typed: (value, most, least = 0) => format(value, least, most, false),
    list: (items, joined) => listed(joined ?? 'bare').format(items),
    money,
    day: (day) =>
      new Intl.DateTimeFormat(locale, {
        day: 'numeric',
        month: 'short',
        year: 'numeric',
        timeZone: 'UTC',
      }).format(new Date(`${day}T12:00:00Z`)),
    massFigure,
    massUnit,
    gramsOf: (figure) => (system === 'metric' ? figure : figure * gramsPer.oz),
    massDown: (grams) => {
      const step = 10 ** -decimals * (system === 'metric' ? 1 : gramsPer.oz)
      return `${massFigure(Math.floor(grams / step + 1e-6) * step)} ${massUnit}`
    },
    amount: (grams) => {
      if (system === 'metric') return `${format(grams, 0, 0)} g`
      return pounds(grams) || `${format(grams / gramsPer.oz, 1, 1)} oz`
    },
    pounds,
    volume: (millilitres) =>
      system === 'imperial'
        ? `${format(millilitres / millilitresPer.floz, 0, 0)} fl oz`
        : millilitres < 10_000
          ? `${format(millilitres, 0, 0)} ml`
          : `${format(millilitres / 1000, 0, 1)} l`,
    mass: (grams) => `${massFigure(grams)} ${massUnit}`,
    percent: (fraction, places = 1) => `${format(fraction * 100, 0, places)} %`,
    ratio: (value) => `${format(value, 1, 2)} : 1`,
    temperature,
    degreesOf: (celsius) => (inFahrenheit ? fahrenheit(celsius) : celsius),
    celsiusOf: (shown) => (inFahrenheit ? celsiusOf(shown) : shown),
    degreesApart: (celsius) =>
      inFahrenheit ? `${format(celsius * 1.8, 0, 0)} °F` : `${format(celsius, 0, 0)} °C`,
    inUnits: (text) =>
      inFahrenheit
        ? text
            .replace(
              /(\d+(?:\.\d+)?) to (\d+(?:\.\d+)?)(\s)°C/g,
              (_, from: string, to: string) =>
                `${format(fahrenheit(Number(from)), 0, 0)} to ${temperature(Number(to))}`,
            )
            .replace(/(\d+(?:\.\d+)?)\s°C/g, (_, at: string) => temperature(Number(at)))
        : text,
  }
}
