import type { Outcome } from '#contracts/journal'
import type { Trouble } from '#contracts/rackWords'

/*
 * Words by which makers look for a batch, and what of a batch each of them may mean. Written in plain letters, as `plainWord` gives them.
 */

/** What is wrong with bars, in the words of notebooks. */
export const troubleWords: Record<Trouble, readonly string[]> = {
  'orange-spots': ['orange spots', 'spots', 'rancid', 'spotted'],
  ash: ['ash', 'ashy', 'veil', 'powdery'],
  crystals: ['crystals', 'frost', 'needles', 'frosted'],
  sweating: ['sweating', 'sweat', 'sweaty', 'weeping', 'weeps', 'dew', 'beads'],
  cracks: ['cracks', 'cracked', 'crack', 'split', 'splits', 'splitting', 'volcano', 'burst'],
  rings: ['rings', 'ring', 'halo'],
  soft: ['soft', 'mushy', 'squidgy', 'sticky'],
  air: ['air', 'bubbles', 'holes', 'pocks'],
  crumbled: ['crumbled', 'crumbly', 'crumbles', 'crumble', 'brittle', 'shattered'],
  specks: ['specks', 'grit', 'gritty', 'grains'],
  'coloured-lather': ['bled', 'bleeds', 'bleeding'],
  'scent-gone': ['faded', 'fades', 'scentless'],
  'oil-on-top': ['separated', 'separates', 'oily', 'greasy'],
}

/** Names of colours, and other words for each. */
export const colourFamilies = {
  white: ['white', 'snow', 'chalk'],
  cream: ['cream', 'ivory', 'pale', 'creamy'],
  yellow: ['yellow', 'lemon', 'gold', 'golden'],
  orange: ['orange', 'apricot', 'amber'],
  red: ['red', 'brick', 'rust', 'crimson'],
  pink: ['pink', 'rose', 'blush', 'salmon'],
  purple: ['purple', 'violet', 'lilac', 'mauve', 'lavender'],
  blue: ['blue', 'navy', 'indigo', 'ultramarine'],
  teal: ['teal', 'turquoise', 'aqua'],
  green: ['green', 'moss', 'sage', 'olive'],
  brown: ['brown', 'tan', 'chocolate', 'coffee', 'beige'],
  grey: ['grey', 'gray', 'slate', 'silver'],
  black: ['black', 'charcoal', 'ink', 'soot'],
} as const satisfies Record<string, readonly string[]>
export type ColourFamily = keyof typeof colourFamilies

/** Weather of the day, as it is written down. */
export const weatherFamilies = {
  bright: ['bright', 'sunny', 'sun', 'clear', 'fine'],
  grey: ['overcast', 'dull', 'cloudy', 'clouds'],
  rain: ['rain', 'rainy', 'raining', 'wet', 'drizzle', 'showers'],
  storm: ['storm', 'stormy', 'gale', 'thunder'],
  wind: ['wind', 'windy', 'breezy', 'easterly', 'westerly', 'northerly', 'southerly'],
  fog: ['fog', 'foggy', 'mist', 'misty', 'haar'],
  frost: ['frost', 'frosty', 'freezing', 'ice', 'icy'],
  snow: ['snow', 'snowy', 'sleet'],
  hot: ['hot', 'heat', 'heatwave', 'sweltering', 'muggy'],
  damp: ['damp', 'humid', 'close', 'clammy'],
  cold: ['cold', 'chilly', 'raw'],
} as const satisfies Record<string, readonly string[]>
export type WeatherFamily = keyof typeof weatherFamilies

/** What became of a batch. */
export const outcomeWords: Record<Outcome, readonly string[]> = {
  here: ['here', 'curing', 'drying'],
  sold: ['sold'],
  given: ['given', 'gift', 'gifts', 'gave'],
  spoiled: ['spoiled', 'spoilt', 'binned', 'ruined', 'failed', 'failure'],
  troubled: ['trouble', 'troubled', 'bad', 'wrong'],
  untroubled: ['untroubled', 'perfect', 'flawless'],
}

/** Seasons of the northern half of the world by month; the southern half has them six months later. */
export const seasonMonths = {
  spring: [3, 4, 5],
  summer: [6, 7, 8],
  autumn: [9, 10, 11],
  winter: [12, 1, 2],
} as const
export const seasonWords: Record<keyof typeof seasonMonths, readonly string[]> = {
  spring: ['spring'],
  summer: ['summer', 'midsummer'],
  autumn: ['autumn', 'fall'],
  winter: ['winter', 'midwinter'],
}

export const monthNames = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
] as const

/** Words that tell nothing apart: they are passed over, unless nothing else is typed. */
export const fillers = new Set(
  `a an the one ones that which who with without of in on at and or was were is are be been it its this those these from for to had
  has have my our we i you he she they where when what some any all there then than so did do does made make batch batches soap soaps
  bar bars by into like about after before not no`
    .split(/\s+/)
    .filter(Boolean),
)

/**
 * A word without its usual ending, so that "cracked", "cracks" and "cracking" are one. For lists of known words only.
 * @example stemOf('cracked') // 'crack'
 */
export const stemOf = (word: string): string =>
  word.length > 4 ? word.replace(/(ing|ed|es|s|y)$/, '') : word

const families = <Name extends string>(
  words: Record<Name, readonly string[]>,
  word: string,
): Name[] =>
  (Object.keys(words) as Name[]).filter((name) =>
    words[name].some((one) => one === word || stemOf(one) === stemOf(word)),
  )

/**
 * Troubles that a word may mean.
 * @example troublesMeant('cracked') // ['cracks']
 */
export const troublesMeant = (word: string): Trouble[] => families<Trouble>(troubleWords, word)
/**
 * Colours that a word may mean.
 * @example coloursMeant('navy') // ['blue']
 */
export const coloursMeant = (word: string): ColourFamily[] =>
  families<ColourFamily>(colourFamilies, word)
/**
 * Weather that a word may mean.
 * @example weatherMeant('easterly') // ['wind']
 */
export const weatherMeant = (word: string): WeatherFamily[] =>
  families<WeatherFamily>(weatherFamilies, word)
/**
 * What became of a batch, that a word may mean.
 * @example outcomesMeant('sold') // ['sold']
 */
export const outcomesMeant = (word: string): Outcome[] => families<Outcome>(outcomeWords, word)
/**
 * Seasons that a word means.
 * @example seasonsMeant('fall') // ['autumn']
 */
export const seasonsMeant = (word: string): (keyof typeof seasonMonths)[] =>
  families<keyof typeof seasonMonths>(seasonWords, word)
