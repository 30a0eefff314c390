import { plainWord, tokensOf } from './tokens'

/*
 * Words for lye, water and what is easily taken for lye. They stand for the formula's own figures, so a line with one of
 * them never becomes a fat, a liquid, an extra or a scent.
 */

export type LyeKind = 'naoh' | 'koh' | 'lye'

const lyeVocabulary: [words: string, kind: LyeKind][] = [
  ['naoh natriumhydroxid natronlauge atznatron aetznatron', 'naoh'],
  ['koh kaliumhydroxid kalilauge atzkali aetzkali', 'koh'],
  [
    'lye lyes lauge soapers caustic causticsoda hydroxide hydroxides hydroxid hydroxyde hidroxido idrossido hydroxides',
    'lye',
  ],
]
const lyeOf = new Map(
  lyeVocabulary.flatMap(([words, kind]) => words.split(' ').map((word) => [word, kind] as const)),
)
lyeOf.delete('soapers')

/** Words that say which alkali where they stand beside one for lye. */
const sodaWords = new Set(['sodium', 'soda', 'natrium', 'sodio', 'soude', 'sosa'])
const potashWords = new Set([
  'potassium',
  'potash',
  'kalium',
  'potassio',
  'potasio',
  'potasse',
  'potassa',
])

/**
 * Letters that have to change to make one word of another; swapped neighbours count once.
 * @example editsBetween('potash', 'potsah') // 1
 */
export function editsBetween(a: string, b: string): number {
  if (Math.abs(a.length - b.length) > 2) return 3
  let before: number[] = []
  let row = Array.from({ length: b.length + 1 }, (_, index) => index)
  for (let i = 1; i <= a.length; i++) {
    const next = [i]
    for (let j = 1; j <= b.length; j++) {
      const same = a[i - 1] === b[j - 1]
      let least = Math.min(next[j - 1]! + 1, row[j]! + 1, row[j - 1]! + (same ? 0 : 1))
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        least = Math.min(least, before[j - 2]! + 1)
      next.push(least)
    }
    before = row
    row = next
  }
  return row[b.length]!
}

const slips = ['caustic', 'hydroxide', 'natriumhydroxid', 'kaliumhydroxid', 'causticsoda'].map(
  (word) => [word, word.length >= 8 ? 2 : 1] as const,
)
const abbreviationSlips = new Set(['noah', 'naho', 'naooh', 'naohh', 'nahoh', 'koh2', 'kohh'])

/**
 * Whether one word means lye; slips of the fingers count.
 * @example isLyeWord('caustic') // true
 */
export const isLyeWord = (word: string): boolean =>
  lyeOf.has(word) ||
  abbreviationSlips.has(word) ||
  slips.some(([known, most]) => editsBetween(word, known) <= most)

/**
 * What a line's words say of lye: which alkali, or null when they say nothing of it. Words small and plain.
 * @example lyeKindOf(['caustic', 'soda']) // 'naoh'
 */
export function lyeKindOf(words: string[]): LyeKind | null {
  const lye = words.filter(isLyeWord)
  const soda = words.some((word) => sodaWords.has(word))
  const potash = words.some((word) => potashWords.has(word))
  if (!lye.length) return null
  if (lye.some((word) => lyeOf.get(word) === 'koh') || (potash && !soda)) return 'koh'
  if (lye.some((word) => lyeOf.get(word) === 'naoh') || soda || abbreviationSlips.has(lye[0]!))
    return 'naoh'
  return 'lye'
}

/**
 * Whether a plain word (small letters, no accents) means sodium hydroxide.
 * @example isSodaWord('sodium') // true
 */
export const isSodaWord = (word: string): boolean => sodaWords.has(word)
/**
 * Whether a plain word (small letters, no accents) means potassium hydroxide.
 * @example isPotashWord('potash') // true
 */
export const isPotashWord = (word: string): boolean => potashWords.has(word)

/** What is sold beside lye and taken for it. `id` is the extra that it is, where it may be one. */
export interface NotLye {
  id: string | null
  name: string
  says: string
}

const notLye: [test: RegExp, NotLye][] = [
  [
    /\b(baking ?soda|bicarb\w*|sodium hydrogen ?carbonate|natron)\b/,
    {
      id: 'baking-soda',
      name: 'Baking soda',
      says: 'Baking soda is not lye and makes no soap: it even takes 0.48 g of lye a gram away from the fats.',
    },
  ],
  [
    /\b(washing ?soda|soda ?ash|soda crystals|sal ?soda|sodium carbonate)\b/,
    {
      id: 'washing-soda',
      name: 'Washing soda',
      says: 'Washing soda is not lye: it does not turn fats into soap, it only stays in the bar.',
    },
  ],
  [
    /\bborax\b/,
    {
      id: 'borax',
      name: 'Borax',
      says: 'Borax is not lye: it even takes 0.21 g of lye a gram away from the fats.',
    },
  ],
  [
    /\b(drain|pipe|sink) ?(cleaner|opener|unblocker|cleanser)\b|\bdrain\b|\bunblocker\b/,
    {
      id: null,
      name: 'Drain cleaner',
      says: 'Drain cleaner is not lye for soap: it holds aluminium chips, bleach or unknown salts. Never use it.',
    },
  ],
  [
    /\b(potassium carbonate|pearl ?ash|wood ?ash(es)?|quick ?lime|slaked lime|calcium hydroxide|ammonia|ammonium hydroxide|magnesium hydroxide|aluminium hydroxide|aluminum hydroxide|lithium hydroxide)\b/,
    {
      id: null,
      name: 'Another alkali',
      says: 'That is another alkali than the two that make soap by weight: its lye cannot be worked out.',
    },
  ],
]

/**
 * What of this text is taken for lye but is none; null when nothing is.
 * @example notLyeIn(['washing', 'soda'])?.id // 'washing-soda'
 */
export function notLyeIn(words: string[]): NotLye | null {
  const text = words.join(' ')
  return notLye.find(([test]) => test.test(text))?.[1] ?? null
}

export const waterWords = new Set(['water', 'h2o', 'wasser', 'agua', 'eau', 'acqua', 'waters'])
/** Words beside one for water that leave it water. */
export const plainWaterWords = new Set(
  'distilled destilled deionised deionized demineralised demineralized purified filtered boiled rain tap spring mineral bottled still soft hard cold chilled iced room temperature warm hot cool clean fresh plain pure drinking lye for dissolve dissolving to mix mixing total full liquid rainwater ro reverse osmosis'.split(
    ' ',
  ),
)

/**
 * Whether a name means lye or water, so that it cannot be that of a scent, an extra or a fat of one's own.
 * Names that only hold such a word beside others that make another substance of it (rose water) do not mean it.
 * @example meansLyeOrWater('distilled water') // 'water'
 */
export function meansLyeOrWater(name: string): 'lye' | 'water' | null {
  const words = tokensOf(name.replaceAll('-', ' '))
    .filter(({ kind }) => kind === 'word')
    .map(({ text }) => plainWord(text))
  if (lyeKindOf(words)) return 'lye'
  const some = words.some((word) => waterWords.has(word))
  return some &&
    words.every((word) => waterWords.has(word) || plainWaterWords.has(word) || word === 'own')
    ? 'water'
    : null
}
