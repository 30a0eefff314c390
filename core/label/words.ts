import type { BatchFacts } from '#contracts/batch'
import type { Gift, LabelWords, Selling, SoapWords } from '#contracts/label'
import type { ListCustom } from '#contracts/labelWords'
import type { FormulaResult, Frozen } from '#contracts/result'
import type { Scent } from '#contracts/scent'
import type { Thumbnail } from '#contracts/thumbnail'
import { frozenLibrary } from '../formula/frozen'
import { sumOf } from '../statistics/sum'
import { dayIn } from '../units/days'
import { formatter, type Formatter } from '../units/formatter'
import { inSentence } from '../units/language'
import {
  allergenLists,
  allergensOf,
  type AllergenFound,
  type AllergenIn,
  type AllergenList,
} from './allergens'
import { foundInBar } from './found'
import type { LabelLine } from './line'
import { listed, listText, type ListEntry } from './list'
import { otherNames } from './names'
import { netSays, netStated, setSays } from './net'
import { placeFor, type Place } from './places'
import { putIn } from './putIn'
import { detergentList, useClass, useSays, type UseClass } from './useClass'

/*
 * What a label says: worked out of a batch, its formula and where the workshop sells, word for word and the same on the screen and on
 * paper.
 */

/** What the workshop says on all of its labels. */
export interface LabelShop {
  name: string
  timeZone: string
  currency: string
  selling: Selling
}

/** A batch that is to be labelled. */
export interface LabelBatch {
  number: number
  name: string
  madeAt: string
  batterGrams: number
  thumbnail: Thumbnail
  frozen: Frozen
  facts: BatchFacts
}

/** Everything that the label of a batch rests on. */
export interface Labelled {
  words: LabelWords
  place: Place
  use: UseClass
  /** Both customs, g of the whole batch. */
  lists: Record<ListCustom, LabelLine[]>
  /** The list that is printed, entry by entry; empty where a detergent has one of its own. */
  entries: ListEntry[]
  allergens: AllergenFound[]
  allergenList: AllergenList
  /** g of a bar on its dry day, what nearly all still weigh when long dried, and what the label states. */
  net: { dry: number; nearly: number; stated: number }
  /** What some people must not have on their skin. */
  flags: string[]
  /** Ingredients that have no name in the lists: they stand under their own. */
  unnamed: LabelLine[]
}

/**
 * How a place writes things: figures, days, money.
 * @example sayIn({ locale: 'en-US' }).number(1200) // '1,200'
 */
export const sayIn = ({ locale }: Pick<Place, 'locale'>): Formatter => formatter({ locale })

/**
 * What stands on a label for a price; empty where nobody has set one.
 * @param minor in the smallest unit of the currency
 * @example priceSays(450, 'GBP', say) // '£4.50'
 */
export const priceSays = (minor: number | null, currency: string, say: Formatter): string =>
  minor === null ? '' : say.money(minor, currency)

/**
 * The code of a batch that is short enough to be stamped: the first letters of its name, and its number.
 * @example batchCode('Hostel Bar', 41) // 'HB41'
 */
export const batchCode = (name: string, number: number): string =>
  `${name
    .normalize('NFD')
    .split(/[^\p{L}\p{M}\p{N}]+/u)
    .map((word) => [...word][0] ?? '')
    .join('')
    .slice(0, 3)
    .toUpperCase()}${number}`

/** What is known of scents, by id. */
export type LabelScents = ReadonlyMap<string, { scent: Pick<Scent, 'allergens' | 'parts'> }>

/** A sheet as it was kept before shares were: names alone. */
const sheetOf = ({ allergens }: Pick<Scent, 'allergens'>): AllergenIn[] =>
  (allergens as readonly (string | AllergenIn)[]).map((one) =>
    typeof one === 'string' ? { name: one, share: null } : one,
  )

/**
 * What the sheet of a scent names; of a blend without a sheet of its own what the sheets of its parts name, each by its share.
 * @example allergensIn('rain', new Map([['rain', { scent: { allergens: [{ name: 'Linalool', share: 0.02 }], parts: [] } }]])) // [{ name: 'Linalool', share: 0.02 }]
 */
export function allergensIn(id: string, scents: LabelScents): AllergenIn[] {
  const scent = scents.get(id)?.scent
  if (!scent) return []
  const own = sheetOf(scent)
  const all = sumOf(scent.parts, ({ parts }) => parts)
  if (own.length || !(all > 0)) return own
  return scent.parts.flatMap(({ scentId, parts }) =>
    allergensIn(scentId, scents).map(({ name, share }) => ({
      name,
      share: share === null ? null : (share * parts) / all,
    })),
  )
}

/** What some people react to, by the words of its ids: a goat is no oat, and the milk of a coconut is none. */
const reactsTo: readonly { says: string; words: readonly string[]; not?: readonly string[] }[] = [
  {
    says: 'milk',
    words: ['milk', 'buttermilk', 'butterfat', 'cream', 'yoghurt', 'kefir'],
    not: ['coconut', 'oat', 'soy', 'almond', 'human'],
  },
  {
    says: 'nuts',
    words: ['almond', 'hazelnut', 'macadamia', 'brazil', 'pecan', 'pistachio', 'walnut'],
  },
  { says: 'peanut', words: ['peanut'] },
  { says: 'soya', words: ['soy', 'soybean'] },
  { says: 'wheat', words: ['wheat', 'beer'] },
  { says: 'oats', words: ['oat', 'oats', 'oatmeal'] },
  { says: 'sesame', words: ['sesame'] },
  { says: 'mustard', words: ['mustard'] },
  { says: 'egg', words: ['egg'] },
  { says: 'wool fat', words: ['lanolin'] },
  { says: 'honey', words: ['honey'] },
]

/**
 * What is in a batch that some people react to, by the ids of what was put in.
 * @example flagsIn(['goat-milk', 'olive', 'coconut-milk']) // ['milk']
 */
export function flagsIn(ids: readonly string[]): string[] {
  const split = ids.map((id) => new Set(id.split('-')))
  return reactsTo
    .filter(({ words, not = [] }) =>
      split.some((own) => words.some((one) => own.has(one)) && !not.some((one) => own.has(one))),
    )
    .map(({ says }) => says)
}

/**
 * What makes a soap what it is, from its formula: its scents, and what is in it that others have not.
 * @example taglineOf({ ...made, scents: [{ ...made.scents[0], name: 'Fir & smoke' }] }, say) // 'fir and smoke'
 */
export function taglineOf(
  { scents, liquids, additives }: Pick<FormulaResult, 'scents' | 'liquids' | 'additives'>,
  say: Formatter,
): string {
  const special =
    /(^|-)(milk|buttermilk|yoghurt|kefir|beer|honey|oat|oats|oatmeal|coffee|tea|charcoal|clay|illite|kaolin|seaweed|kelp|salt)(-|$)/
  const names = [
    ...scents.map(({ name }) => name),
    ...[...liquids, ...additives].filter(({ id }) => special.test(id)).map(({ name }) => name),
  ].map((name) => name.split(',')[0]!.replace(' & ', ' and '))
  return say.list([...new Set(names)].slice(0, 3).map(inSentence))
}

/** Own names of the workshop in place of those of the lists. */
const renamed = (lines: readonly LabelLine[], names: Selling['names']): LabelLine[] =>
  lines.map((line) =>
    names[line.id] && line.kind !== 'salt' ? { ...line, ...names[line.id] } : line,
  )

/** Whether the lists know no name of a line: it stands under its own. */
const isUnnamed = ({ id, kind, latin, english }: LabelLine, names: Selling['names']): boolean => {
  if (kind === 'scent' || kind === 'salt' || names[id]) return false
  return kind === 'fat' ? latin === english : !otherNames[id]
}

/** What stands on every label of a workshop, whatever is in the box. */
const shopWords = ({ name, selling }: LabelShop, say: Formatter) => ({
  care: selling.care,
  maker: selling.maker || name,
  person: say.list([selling.person || selling.maker || name, selling.country].filter(Boolean)),
  opened:
    selling.opened === null
      ? ''
      : `Best within ${say.count(selling.opened, 'month', 'months')} of opening`,
})
const leadsTo = ({ web }: Selling, code: string, otherwise: string): string =>
  web ? web.replaceAll('{code}', encodeURIComponent(code)) : otherwise
const lined = (lines: readonly string[]) => lines.filter(Boolean).join('\n')

/** Everything that labels go by besides the batch itself. */
export interface LabelBasis {
  shop: LabelShop
  soap: SoapWords | null
  scents: LabelScents
  custom: ListCustom
  /** g of the smallest bar that gets one, as weighed dry; null to go by the drying of all. */
  smallest?: number | null
}

/**
 * The label of a batch.
 * @example labelOf(labelBatch, { shop: labelShop, soap: null, scents: new Map(), custom: 'in-bar' }).words.code // 'HB41'
 */
export function labelOf(
  { frozen, facts, name, number, batterGrams, madeAt, thumbnail }: LabelBatch,
  { shop, soap, scents, custom, smallest = null }: LabelBasis,
): Labelled {
  const { selling } = shop
  const place = placeFor(selling)
  const say = sayIn(place)
  const { result, document } = frozen
  const library = frozenLibrary(frozen)
  const { drying } = facts
  const kept = drying ? drying.gramsDry / drying.grams : result.longDried / result.batter
  const bars = batterGrams * kept
  const lists = {
    'put-in': renamed(putIn(result, library), selling.names),
    'in-bar': renamed(foundInBar(result, library, bars), selling.names),
  }
  const allergenList = allergenLists.find(({ id }) => id === place.allergens)!
  const allergens = allergensOf(
    result.scents.map(({ id, grams }) => ({
      grams,
      allergens: allergensIn(id, scents.has(id) ? scents : (library.scents ?? scents)),
    })),
    result.longDried,
    [...allergenList.names, ...selling.allergens],
  )
  const use = useClass(document.use, facts.laundry)
  const inBands = use === 'detergent' && place.detergents
  const entries = inBands ? [] : listed(lists[custom], place, allergens)
  const nearly = smallest ?? drying?.netGrams ?? 0
  const dry = drying?.gramsDry ?? (facts.bars > 0 ? bars / facts.bars : 0)
  const made = facts.pouredOn ?? dayIn(shop.timeZone, new Date(madeAt))
  const code = batchCode(name, number)
  const flags = flagsIn([
    ...lists['put-in'].map(({ id }) => id),
    ...result.liquids.map(({ id }) => id),
  ])
  const { opened, ...ours } = shopWords(shop, say)
  return {
    place,
    use,
    lists,
    entries,
    allergens,
    allergenList,
    net: { dry, nearly, stated: netStated(nearly, selling.step) },
    flags,
    unnamed: lists[custom].filter((line) => isUnnamed(line, selling.names)),
    words: {
      ...ours,
      name,
      tagline: soap?.tagline || taglineOf(result, say),
      net: nearly > 0 ? netSays(nearly, selling.step, place.dualUnits, say) : '',
      list: inBands ? detergentList(lists['in-bar'], allergens, say) : listText(entries, say),
      use: soap?.use || useSays(document.use, facts.laundry),
      dates: lined([
        drying
          ? `Made ${say.day(made)}, best from ${say.day(drying.dryOn)}`
          : `Made ${say.day(made)}`,
        opened,
      ]),
      code,
      warnings: [
        soap?.warnings || selling.warnings,
        flags.length > 0 ? `Contains ${say.list(flags, 'and')}.` : '',
      ]
        .filter(Boolean)
        .join(' '),
      price: priceSays(soap?.price ?? null, shop.currency, say),
      qr: leadsTo(selling, code, `${code} made ${made}`),
      colours: [thumbnail.colours[0]!, thumbnail.colours.at(-1)!],
    },
  }
}

/** A batch in a box of several: its label, and how many bars of it lie in the box. */
export interface GiftPart {
  bars: number
  label: Labelled
}

/**
 * What a box of several bars says: the weight of all, and the list of each under its name.
 * @example giftWords({ name: 'Three bars', tagline: '', price: null }, [], labelShop).name // 'Three bars'
 */
export function giftWords(
  { name, tagline, price }: Pick<Gift, 'name' | 'tagline' | 'price'>,
  parts: readonly GiftPart[],
  shop: LabelShop,
): LabelWords {
  const { selling } = shop
  const place = placeFor(selling)
  const say = sayIn(place)
  const { opened, ...ours } = shopWords(shop, say)
  const distinct = (key: Exclude<keyof LabelWords, 'colours'>) => [
    ...new Set(parts.map(({ label }) => label.words[key])),
  ]
  const codes = distinct('code')
  return {
    ...ours,
    ...setSays(
      parts.map(({ bars, label }) => ({
        name: label.words.name,
        bars,
        grams: label.net.stated,
        list: label.words.list,
      })),
      say,
    ),
    name,
    tagline: tagline || say.list(distinct('name'), 'and'),
    use: distinct('use').join(' '),
    dates: opened,
    code: codes.join(' '),
    warnings: distinct('warnings').filter(Boolean).join(' '),
    price: priceSays(price, shop.currency, say),
    qr: leadsTo(selling, codes.join('-'), codes.join(' ')),
    colours: parts[0]?.label.words.colours ?? ['#c9ad6b', '#e0cf98'],
  }
}
