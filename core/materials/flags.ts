import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult, FatPortion, Portion } from '#contracts/result'
import type { Formatter } from '../units/formatter'
import { inSentence } from '../units/language'
import type { Fat } from './fat'
import type { Library } from './library'
import { ownPrefix } from './own'

/**
 * For whom something in a bar matters: those who react to it, do not want it, or should not have it near them. A reminder that
 * goes wherever the formula goes; no list of what a law asks for.
 */
export const flagKinds = {
  nut: { says: 'Tree nuts', minds: 'who reacts to nuts' },
  peanut: { says: 'Peanut', minds: 'who reacts to peanut' },
  sesame: { says: 'Sesame', minds: 'who reacts to sesame' },
  soya: { says: 'Soya', minds: 'who reacts to soya' },
  milk: { says: 'Milk', minds: 'who reacts to milk, and vegans' },
  egg: { says: 'Egg', minds: 'who reacts to egg, and vegans' },
  wheat: { says: 'Wheat, barley or oats', minds: 'who keeps away from gluten' },
  fish: { says: 'Fish', minds: 'who reacts to fish, and vegans' },
  bee: { says: 'From bees', minds: 'vegans, and who reacts to propolis' },
  lanolin: { says: 'Lanolin', minds: 'who reacts to wool fat, and vegans' },
  rosin: { says: 'Rosin or pine tar', minds: 'who reacts to plasters and pine' },
  animal: { says: 'Animal fat', minds: 'vegans, and who eats by a faith' },
  maybeAnimal: { says: 'Perhaps of an animal', minds: 'vegans: ask the seller' },
  pregnancy: { says: 'Oils to avoid in pregnancy', minds: 'who is with child' },
  babies: { says: 'Strong oils', minds: 'babies and small children' },
  pets: { says: 'Oils that harm pets', minds: 'cats and dogs that are washed or lick' },
} as const satisfies Record<string, { says: string; minds: string }>
export type FlagId = keyof typeof flagKinds

export interface Flag {
  id: FlagId
  /** What brings it, by name. */
  from: string[]
}

const byFat: [FlagId, (fat: Fat) => boolean][] = [
  ['peanut', ({ latin }) => latin.startsWith('Arachis')],
  ['nut', ({ origin, latin }) => origin.includes('nut') && !latin.startsWith('Arachis')],
  ['sesame', ({ latin }) => latin.startsWith('Sesamum')],
  ['soya', ({ latin }) => /glycine max|soybean/i.test(latin)],
  ['milk', ({ latin }) => /\(milk\)/.test(latin)],
  ['wheat', ({ latin }) => latin.startsWith('Triticum')],
  ['fish', ({ name }) => /\b(fish|cod|salmon|herring)\b/i.test(name)],
  ['lanolin', ({ latin, id }) => id === 'lanolin' || /\(wool\)/.test(latin)],
  ['bee', ({ origin, latin }) => origin.includes('insect') && latin.startsWith('Apis')],
  ['rosin', ({ chemistry }) => chemistry === 'rosin'],
  ['animal', ({ origin }) => origin.includes('animal')],
  ['maybeAnimal', ({ maybe }) => maybe?.includes('animal') ?? false],
]

/** By what things are called: materials of the workshop's own are told apart by nothing else. */
const byName: [FlagId, RegExp, not?: RegExp][] = [
  [
    'milk',
    /\b(milk|cream|buttermilk|yoghurt|yogurt|kefir|whey|butter ?fat)\b/i,
    /\b(coconut|almond|oat|soya?|rice|cashew|hemp|hazelnut|plant)\b/i,
  ],
  ['peanut', /\b(peanut|groundnut|arachis)\b/i],
  ['nut', /\b(almond|hazelnut|walnut|cashew|pistachio|pecan|macadamia)\b/i],
  ['sesame', /\bsesame\b/i],
  ['soya', /\bsoya?\b/i],
  ['wheat', /\b(wheat|oats?|oatmeal|barley|beer|ale|stout|rye)\b/i],
  ['egg', /\begg\b/i],
  ['bee', /\b(honey|beeswax|propolis|royal jelly)\b/i],
  ['fish', /\b(fish|isinglass|cod)\b/i],
  ['lanolin', /\b(lanolin|wool (fat|grease|wax))\b/i],
  ['rosin', /\b(rosin|colophony|pine tar)\b/i],
  ['animal', /\b(silk|gelatine?|collagen|keratin)\b/i],
]
/** Fats of the workshop's own by what else they are called. */
const byFatName: typeof byName = [
  ...byName,
  ['animal', /\b(tallow|lard|suet|ghee|goose|duck|emu|lanolin)\b/i, /\bvegan\b/i],
]
/** Essential oils by name, as the usual lists of caution name them. */
const byScent: [FlagId, RegExp][] = [
  [
    'pregnancy',
    /\b(clary sage|sage|wintergreen|pennyroyal|camphor|fennel|aniseed|anise|hyssop|thuja|mugwort|wormwood|rosemary|cinnamon|clove|basil|parsley|tansy|rue)\b/i,
  ],
  [
    'babies',
    /\b(eucalyptus|peppermint|mint|menthol|camphor|rosemary|wintergreen|tea tree|clove|cinnamon)\b/i,
  ],
  [
    'pets',
    /\b(tea tree|eucalyptus|wintergreen|pennyroyal|peppermint|cinnamon|clove|pine|ylang|orange|lemon|lime|grapefruit|bergamot|citronella)\b/i,
  ],
]
/** Where a cleaning bar is meant for neither skin nor lap, these say nothing. */
const ofSkin = new Set<FlagId>(['pregnancy', 'babies', 'pets'])

/**
 * For whom a formula holds something that matters, the flags in one order, each with what brings it.
 * @example flagsOf(soap({ fats: fats({ olive: 0.9, 'sweet-almond': 0.1 }) }), made, shipped) // []
 */
export function flagsOf(
  { use }: Pick<FormulaDocument, 'use'>,
  result: FormulaResult,
  library: Library,
): Flag[] {
  const found = new Map<FlagId, Set<string>>()
  const flag = (id: FlagId, name: string) => {
    if (ofSkin.has(id) && use === 'laundry') return
    found.set(id, (found.get(id) ?? new Set()).add(name))
  }
  const there = <Line extends Portion>(lines: readonly Line[]) =>
    lines.filter(({ grams }) => grams > 0)
  const fatsIn: (Portion & Partial<FatPortion>)[] = [
    ...there(result.fats),
    ...there(result.carriers),
  ]
  for (const { id, name } of fatsIn) {
    const fat = library.fats.get(id)
    for (const [kind, fits] of byFat) if (fat && fits(fat)) flag(kind, name)
    if (!fat || id.startsWith(ownPrefix))
      for (const [kind, words, not] of byFatName)
        if (words.test(name) && !not?.test(name)) flag(kind, name)
  }
  for (const { name } of [...there(result.liquids), ...there(result.additives)])
    for (const [kind, words, not] of byName)
      if (words.test(name) && !not?.test(name)) flag(kind, name)
  for (const { name } of there(result.scents))
    for (const [kind, words] of byScent) if (words.test(name)) flag(kind, name)
  return (Object.keys(flagKinds) as FlagId[]).flatMap((id) => {
    const from = found.get(id)
    return from ? [{ id, from: [...from] }] : []
  })
}

/**
 * Flags in words, each with what brings it: "Tree nuts (sweet almond oil)".
 * @example flagsText([{ id: 'milk', from: ['Goat milk'] }], say) // 'Milk (goat milk)'
 */
export const flagsText = (flags: readonly Flag[], say: Formatter): string =>
  say.list(flags.map(({ id, from }) => `${flagKinds[id].says} (${say.list(from.map(inSentence))})`))
