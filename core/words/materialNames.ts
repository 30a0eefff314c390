import type { Library, Material } from '../materials/library'
import { editsBetween } from '../materials/lyeWords'
import { plainWord, tokensOf } from '../materials/tokens'

/*
 * Which material a name means. Every word has to be accounted for: by a name of the material, or by a word that changes
 * nothing about it. What is left over makes the reading doubtful.
 */

/**
 * Words of a name, small and plain, numbers as they are: "coconut 76".
 * @example wordsOf('Olive oil, light') // ['olive', 'oil', 'light']
 */
export const wordsOf = (text: string): string[] =>
  tokensOf(text.replace(/[-_/]/g, ' '))
    .filter(({ kind }) => kind !== 'sign')
    .map(({ text: word }) => plainWord(word))

/** Words that say nothing about what a substance is. */
const fillers = new Set(
  `of the a an and or with in on at by my our your their some about approx approximately around roughly ca circa plus total
  weight each fresh good quality nice cheap local store shop brand bought best new my grade grades food cosmetic soapmaking
  use used using add added stir stirred mix mixed dissolve dissolved melt then trace optional organic bio pure natural naturally certified ethical fair trade sustainable rspo vegan vegetarian extra
  virgin raw refined unrefined deodorised deodorized bleached rbd cold pressed coldpressed expeller crude filtered unfiltered edible
  melted softened soft solid rendered homemade home light dark pale golden yellow white clear regular plain ordinary normal standard
  usual cooking kitchen salad premium ultra first second quality mild fine gentle real whole from for lathering hardness base
  carrier massage oel ol huile aceite olio st grass fed pasture raised triple double single pressed ml jar bottle tin bag`.split(
    /\s+/,
  ),
)

/** Words that leave a substance of some kind what it is. */
const fitting: Partial<
  Record<Material['kind'] | 'oil' | 'butter' | 'solid' | 'milk' | 'colour', Set<string>>
> = {
  oil: new Set(['oil', 'oils', 'fat', 'vegetable']),
  butter: new Set(['butter', 'butters']),
  solid: new Set(
    'powder powdered ground granulated granules granule crystals crystal flakes flaked pellets pastilles beads fine coarse finely caster castor icing cane brown table sea iodised uniodised non iodized rock himalayan pink french australian dry dried runny set liquid prills chopped milled rolled'.split(
      ' ',
    ),
  ),
  milk: new Set(
    'full fat frozen slushy ice cubes cubed pasteurised pasteurized goats cows carton'.split(' '),
  ),
  colour: new Set(
    'powder powdered colour color colourant colorant pigment cosmetic water dispersible'.split(' '),
  ),
}

/** Groups whose things are powders anyway, so that the word says nothing. */
const powders = new Set(['clay', 'colour', 'scrub', 'salt', 'acid', 'keeper'])

/** Foods that are more than their oil: without a word for it, nobody knows which of them is meant. */
const bareFoods = new Set(
  'apricot cherry peach plum raspberry tomato pumpkin watermelon blackcurrant mustard carrot cucumber coffee tea rosehip chamomile cocoa cacao egg rose camellia evening starflower nigella oats oatmeal cotton laurel wheatgerm'.split(
    ' ',
  ),
)

/** Words that stand for two materials so unlike that neither is taken without asking. */
const askedApart = new Set(['nutmeg butter', 'coffee', 'milk powder'])

interface Phrase {
  words: string[]
  material: Material
  /** 2 for the material's own name or id, 1 for another word for it, 0 for the beginning of its name. */
  rank: 0 | 1 | 2
  /** Whether "oil" was left out of it. */
  short: boolean
}

interface Index {
  phrases: Phrase[]
  byFirst: Map<string, Phrase[]>
  vocabulary: Set<string>
  /** Words that belong to each material's names. */
  ownWords: Map<Material, Set<string>>
}

const indices = new WeakMap<Library, Index>()

function namesOf(material: Material): { text: string; rank: Phrase['rank']; latin?: boolean }[] {
  const beforeComma = material.name.split(',')[0]!
  const bare = material.name.replace(/,? melts at.*$/i, '')
  const latin = material.kind === 'fat' ? [material.inci, material.latin.replace(/\(.*\)/, '')] : []
  return [
    { text: material.id.replace(/^own-/, ''), rank: 2 },
    { text: bare, rank: 2 },
    { text: beforeComma, rank: 0 },
    ...material.aliases.map((text) => ({ text, rank: 1 as const })),
    ...latin
      .filter((text) => text.split(' ').length > 1)
      .map((text) => ({ text, rank: 0 as const, latin: true })),
  ]
}

function indexOf(library: Library): Index {
  const known = indices.get(library)
  if (known) return known
  const phrases: Phrase[] = []
  const ownWords = new Map<Material, Set<string>>()
  const seen = new Set<string>()
  const add = (words: string[], material: Material, rank: Phrase['rank'], short: boolean) => {
    const key = `${words.join(' ')} ${material.kind} ${material.id}`
    if (!words.length || seen.has(key)) return
    seen.add(key)
    phrases.push({ words, material, rank, short })
  }
  const all: Material[] = [
    ...library.fats.values(),
    ...library.liquids.values(),
    ...library.additives.values(),
  ]
  // Said without its last word it is the oil, where there is one; nutmeg is the spice.
  const oils = new Set([
    'nutmeg',
    ...all.flatMap(({ name }) => {
      const words = wordsOf(name)
      return words.length === 2 && words[1] === 'oil' ? [words[0]!] : []
    }),
  ])
  for (const material of all) {
    const names = namesOf(material)
    const own = new Set(
      [material.name, ...names.flatMap(({ text, latin }) => (latin ? [] : [text]))].flatMap(
        wordsOf,
      ),
    )
    for (const name of names) {
      const words = wordsOf(name.text)
      add(words, material, name.rank, false)
      if (name.rank === 2 && material.kind === 'fat' && own.has('oil') && words.at(-1) !== 'oil')
        add([...words, 'oil'], material, 2, false)
      if (material.kind === 'fat') {
        if (words.length > 1 && words.at(-1) === 'oil')
          add(words.slice(0, -1), material, name.rank, true)
        else if (words.length > 1 && words.at(-1) === 'butter' && !oils.has(words[0]!))
          add(words.slice(0, -1), material, name.rank, true)
        if (
          words.length > 2 &&
          words.at(-1) === 'oil' &&
          ['seed', 'kernel', 'nut'].includes(words.at(-2)!)
        )
          add([...words.slice(0, -2), 'oil'], material, 0, true)
      }
    }
    ownWords.set(material, own)
  }
  const byFirst = new Map<string, Phrase[]>()
  for (const phrase of phrases)
    byFirst.set(phrase.words[0]!, [...(byFirst.get(phrase.words[0]!) ?? []), phrase])
  const vocabulary = new Set(
    phrases.flatMap(({ words }) => words).filter((word) => word.length >= 4),
  )
  const index = { phrases, byFirst, vocabulary, ownWords }
  indices.set(library, index)
  return index
}

/** What words were taken for. */
export interface NameReading {
  /** The one they mean, when nothing is doubtful; the likeliest one otherwise; null when there is none. */
  material: Material | null
  /** Places of the words that name it, of those given. */
  named: number[]
  /** Places of the words that nobody accounts for. */
  left: number[]
  doubtful: boolean
  /** Others it may be, the likeliest first; the one in `material` among them. */
  candidates: Material[]
  /** Words that were probably mistyped, and what they were read as. */
  slips: { at: number; as: string }[]
  /** A food whose oil, juice or scent may be meant. */
  bareFood: boolean
}

function fits(word: string, material: Material, own: Set<string>): boolean {
  if (own.has(word) || fillers.has(word)) return true
  const hasWord = (text: string) => own.has(text)
  if (material.kind === 'fat') {
    if (fitting.oil!.has(word)) return !hasWord('butter') && !hasWord('wax') && !hasWord('acid')
    if (fitting.butter!.has(word)) return hasWord('butter')
    if (material.stateAt20 === 'hard') return fitting.solid!.has(word) && word !== 'powder'
    return word === 'leaf' && material.id === 'lard'
  }
  if (material.kind === 'liquid') return hasWord('milk') && fitting.milk!.has(word)
  if (/^powder/.test(word) && !powders.has(material.group)) return false
  if (material.tints) return fitting.colour!.has(word) || fitting.solid!.has(word)
  return fitting.solid!.has(word)
}

interface Hit {
  phrase: Phrase
  at: number
}

function hitsIn(words: string[], index: Index): Hit[] {
  const hits: Hit[] = []
  words.forEach((word, at) => {
    for (const phrase of index.byFirst.get(word) ?? [])
      if (phrase.words.every((part, offset) => words[at + offset] === part))
        hits.push({ phrase, at })
  })
  return hits
}

/** Known words that a mistyped one may be: one letter off, two in long words. */
function respelt(
  words: string[],
  index: Index,
): { words: string[]; slips: { at: number; as: string }[] } {
  const slips: { at: number; as: string }[] = []
  const mended = words.map((word, at) => {
    if (word.length < 4 || index.vocabulary.has(word) || fillers.has(word)) return word
    const singular = word.endsWith('s') && index.vocabulary.has(word.slice(0, -1))
    if (singular) return word.slice(0, -1)
    const most = word.length >= 8 ? 2 : 1
    let best: { as: string; edits: number } | null = null
    for (const known of index.vocabulary) {
      const edits = editsBetween(word, known)
      if (edits <= most && (!best || edits < best.edits)) best = { as: known, edits }
    }
    if (!best) return word
    slips.push({ at, as: best.as })
    return best.as
  })
  return { words: mended, slips }
}

/**
 * Reads a name, word by word.
 * @param words small and plain, numbers that belong to a name among them
 * @example readName(['olive', 'oil'], shipped).material?.id // 'olive'
 */
export function readName(words: string[], library: Library): NameReading {
  const index = indexOf(library)
  let spelt = words
  let slips: NameReading['slips'] = []
  let hits = hitsIn(words, index)
  const uncovered = words.some((word) => !fillers.has(word) && !index.vocabulary.has(word))
  if (uncovered) {
    const mended = respelt(words, index)
    const mendedHits = hitsIn(mended.words, index)
    const longest = (list: Hit[]) => Math.max(0, ...list.map(({ phrase }) => phrase.words.length))
    if (mended.slips.length === 0 || longest(mendedHits) > longest(hits)) {
      spelt = mended.words
      slips = mended.slips
      hits = mendedHits
    }
  }
  const leftOf = ({ phrase, at }: Hit) => {
    const own = index.ownWords.get(phrase.material)!
    return spelt.flatMap((word, place) =>
      (place >= at && place < at + phrase.words.length) || fits(word, phrase.material, own)
        ? []
        : [place],
    )
  }
  const scored = hits
    .map((hit) => ({ ...hit, left: leftOf(hit) }))
    .sort(
      (a, b) =>
        a.left.length - b.left.length ||
        b.phrase.words.length - a.phrase.words.length ||
        b.phrase.rank - a.phrase.rank ||
        a.phrase.material.id.length - b.phrase.material.id.length,
    )
  const [best] = scored
  const candidates = [...new Set(scored.map(({ phrase }) => phrase.material))]
  if (!best)
    return {
      material: null,
      named: [],
      left: spelt.flatMap((word, at) => (fillers.has(word) ? [] : [at])),
      doubtful: true,
      candidates: namedLike(spelt, index),
      slips,
      bareFood: false,
    }
  const { phrase, at, left } = best
  const said = phrase.words.join(' ')
  // The same words for two materials: both are asked about, unless one carries them as its own name.
  const rivals = scored.filter(
    (other) =>
      other.phrase.material !== phrase.material &&
      other.phrase.words.join(' ') === said &&
      other.left.length === left.length &&
      (other.phrase.rank === phrase.rank || bareFoods.has(said) || askedApart.has(said)),
  )
  const bareFood =
    phrase.words.length === 1 &&
    bareFoods.has(said) &&
    !spelt.some((word) =>
      [
        'oil',
        'butter',
        'seed',
        'kernel',
        'puree',
        'juice',
        'brewed',
        'powder',
        'grounds',
        'ground',
      ].includes(word),
    )
  return {
    material: phrase.material,
    named: phrase.words.map((_, offset) => at + offset),
    left,
    doubtful: left.length > 0 || rivals.length > 0 || slips.length > 0 || bareFood,
    candidates: [...new Set([...candidates, ...namedLike(spelt, index)])].slice(0, 6),
    slips,
    bareFood,
  }
}

/** Words that say what kind of thing it is, and so tell little of which. */
const kindWords = new Set(
  'oil butter wax powder seed kernel nut water milk juice extract acid puree flour salt clay root'.split(
    ' ',
  ),
)

/** Materials in whose names most of the words stand, for want of better. */
function namedLike(words: string[], index: Index): Material[] {
  const worded = words.filter((word) => word.length > 2 && !fillers.has(word))
  const some = worded.filter((word) => !kindWords.has(word))
  const telling = some.length ? some : worded.filter((word) => word !== 'oil')
  if (!telling.length) return []
  return [...index.ownWords]
    .map(([material, own]) => ({
      material,
      hits: telling.filter((word) => own.has(word)).length,
      size: own.size,
    }))
    .filter(({ hits }) => hits > 0)
    .sort((a, b) => b.hits - a.hits || a.size - b.size)
    .slice(0, 4)
    .map(({ material }) => material)
}

/**
 * Whether a word says nothing about what a substance is.
 * @example isFiller('of') // true
 */
export const isFiller = (word: string): boolean => fillers.has(word)
