import { describe, expect, it } from 'vitest'
import { findMaterials, plainName } from './find'
import { library } from './library'
import {
  editsBetween,
  isLyeWord,
  isPotashWord,
  isSodaWord,
  lyeKindOf,
  meansLyeOrWater,
  notLyeIn,
} from './lyeWords'
import { plainWord, tokensOf } from './tokens'

describe('names as people type them', () => {
  it.each([
    ['Crème', 'creme'],
    ['The Oil of Olives (first pressing), organic', 'olives'],
    ['Cold pressed  Hemp-seed Oil', 'hemp seed'],
    ['Palm (x) kernel', 'palm kernel'],
    ['refined / deodorised coconut', 'coconut'],
  ])('%s is %s', (typed, plain) => {
    expect(plainName(typed)).toBe(plain)
  })

  it.each([
    // The same before a beginning, a beginning before a part, of equals the shorter.
    ['coconut', 'coconut'],
    ['olive', 'olive'],
    ['cocon', 'coconut'],
    ['tocopherol', 'vitamin-e'],
    ['organic virgin olive oil', 'olive'],
    ['kern apri', 'apricot-kernel'],
    // All of a name stands in what was typed: that comes before its beginning.
    ['kern palm', 'palm'],
    ['soda ash', 'washing-soda'],
  ])('%s finds %s first', (typed, id) => {
    expect(findMaterials(library, typed)[0]?.id).toBe(id)
  })
  it('finds nothing for nothing, nor for what begins no word', () => {
    expect(findMaterials(library, ' ')).toEqual([])
    expect(findMaterials(library, 'xyzzy')).toEqual([])
    expect(findMaterials(library, 'ernel alm')).toEqual([])
    const kernels = findMaterials(library, 'kern')
    expect(kernels.length).toBeGreaterThan(2)
    expect(findMaterials(library, 'kern sap')).toEqual([])
    const last = findMaterials(library, 'kernel palm')
    expect(last.map(({ id }) => id).slice(0, 2)).toEqual(['palm', 'palm-kernel'])
  })
})

describe('words and numbers of a line', () => {
  const values = (text: string) =>
    tokensOf(text)
      .filter(({ kind }) => kind === 'number')
      .map(({ value }) => value)
  it.each([
    ['1 ½ cups', [1.5]],
    ['2⅓ 3⅔ 4¼ 5¾', [2 + 1 / 3, 3 + 2 / 3, 4.25, 5.75]],
    ['⅛ ⅜ ⅝ ⅞', [0.125, 0.375, 0.625, 0.875]],
    ['½ tsp', [0.5]],
    ['1,250 g', [1250]],
    ['1 250.5 g', [1250.5]],
    ['12,5 g', [12.5]],
    ['.5 oz', [0.5]],
    ['one two three four five six', [1, 2, 3, 4, 5, 6]],
    ['seven eight nine ten twelve', [7, 8, 9, 10, 12]],
    ['half a quarter', [0.5, 0.25]],
    ['76 92', [76, 92]],
  ])('%s holds %j', (text, numbers) => {
    const found = values(text)
    expect(found).toHaveLength(numbers.length)
    numbers.forEach((number, at) => expect(found[at]).toBeCloseTo(number, 12))
  })
  it('keeps where each stood, small and plain, and no number for a word', () => {
    expect(tokensOf('Öl, H2O 3')).toEqual([
      { kind: 'word', text: 'ol', raw: 'Öl', start: 0, end: 2, value: Number.NaN },
      { kind: 'sign', text: ',', raw: ',', start: 2, end: 3, value: Number.NaN },
      { kind: 'word', text: 'h2o', raw: 'H2O', start: 4, end: 7, value: Number.NaN },
      { kind: 'number', text: '3', raw: '3', start: 8, end: 9, value: 3 },
    ])
    expect(tokensOf('Two')).toEqual([
      { kind: 'number', text: 'two', raw: 'Two', start: 0, end: 3, value: 2 },
    ])
  })
  it.each([
    ['Cœur', 'coeur'],
    ['Curaçæ', 'curacae'],
    ['Rømø', 'romo'],
    ['Süß', 'suss'],
    ["baker's", 'bakers'],
    ['ÉTÉ', 'ete'],
  ])('%s is plainly %s', (word, plain) => {
    expect(plainWord(word)).toBe(plain)
  })
})

describe('what means lye', () => {
  it.each([
    ['potash', 'potash', 0],
    ['potash', 'potsah', 1],
    ['potash', 'potas', 1],
    ['potash', 'xpotash', 1],
    ['potash', 'pottash', 1],
    ['potash', 'bodash', 2],
    ['ab', 'ba', 1],
    ['abcd', 'badc', 2],
    ['lye', 'lyewood', 3],
    ['abc', 'xyz', 3],
    ['abcdef', 'xbcdyf', 2],
    ['kitten', 'sitting', 3],
  ])('from %s to %s: %d', (one, other, edits) => {
    expect(editsBetween(one, other)).toBe(edits)
    expect(editsBetween(other, one)).toBe(edits)
  })
  it.each([
    'naoh natriumhydroxid natronlauge atznatron aetznatron koh kaliumhydroxid kalilauge atzkali aetzkali',
    'lye lyes lauge caustic causticsoda hydroxide hydroxides hydroxid hydroxyde hidroxido idrossido',
    'noah naho naooh naohh nahoh koh2 kohh causitc cuastic hydroxied hydrxide kausticsoda natriumhydroxyd',
  ])('%s', (words) => {
    for (const word of words.split(' ')) expect(isLyeWord(word), word).toBe(true)
  })
  it.each(['soapers', 'acoustic', 'hydrosol', 'lyewood', 'soda', 'water', 'casting'])(
    '%s is none',
    (word) => {
      expect(isLyeWord(word)).toBe(false)
    },
  )
  it.each([
    ['sodium hydroxide', 'naoh'],
    ['caustic soda', 'naoh'],
    ['natrium hydroxid', 'naoh'],
    ['hidroxido sodio', 'naoh'],
    ['hydroxyde soude', 'naoh'],
    ['lye sosa', 'naoh'],
    ['noah', 'naoh'],
    ['naoh', 'naoh'],
    ['caustic potash', 'koh'],
    ['potassium hydroxide', 'koh'],
    ['hydroxid kalium', 'koh'],
    ['idrossido potassio', 'koh'],
    ['hidroxido potasio', 'koh'],
    ['lye potasse', 'koh'],
    ['lye potassa', 'koh'],
    ['koh', 'koh'],
    // Both are named: that of the label counts where it is one, and else it is soda.
    ['koh sodium', 'koh'],
    ['lye soda potash', 'naoh'],
    ['lye', 'lye'],
    ['lauge', 'lye'],
    ['olive', null],
    ['soda', null],
    ['potash', null],
  ])('%s: %s', (text, kind) => {
    expect(lyeKindOf(text.split(' '))).toBe(kind)
  })
  it('soda and potash by their words', () => {
    for (const word of ['sodium', 'soda', 'natrium', 'sodio', 'soude', 'sosa']) {
      expect(isSodaWord(word)).toBe(true)
      expect(isPotashWord(word)).toBe(false)
    }
    for (const word of ['potassium', 'potash', 'kalium', 'potassio', 'potasio', 'potasse'])
      expect(isPotashWord(word)).toBe(true)
    expect(isSodaWord('salt')).toBe(false)
  })
  it.each([
    ['baking soda', 'Baking soda'],
    ['bakingsoda', 'Baking soda'],
    ['bicarbonate of soda', 'Baking soda'],
    ['sodium hydrogen carbonate', 'Baking soda'],
    ['sodium hydrogencarbonate', 'Baking soda'],
    ['natron', 'Baking soda'],
    ['washing soda', 'Washing soda'],
    ['soda ash', 'Washing soda'],
    ['sodaash', 'Washing soda'],
    ['soda crystals', 'Washing soda'],
    ['sal soda', 'Washing soda'],
    ['salsoda', 'Washing soda'],
    ['washingsoda', 'Washing soda'],
    ['sodium carbonate', 'Washing soda'],
    ['borax', 'Borax'],
    ['drain cleaner', 'Drain cleaner'],
    ['draincleaner', 'Drain cleaner'],
    ['pipe opener', 'Drain cleaner'],
    ['sink unblocker', 'Drain cleaner'],
    ['drain', 'Drain cleaner'],
    ['unblocker', 'Drain cleaner'],
    ['potassium carbonate', 'Another alkali'],
    ['pearl ash', 'Another alkali'],
    ['pearlash', 'Another alkali'],
    ['wood ash', 'Another alkali'],
    ['woodashes', 'Another alkali'],
    ['quicklime', 'Another alkali'],
    ['quick lime', 'Another alkali'],
    ['ammonia', 'Another alkali'],
    ['magnesium hydroxide', 'Another alkali'],
    ['olive', undefined],
    ['boraxo', undefined],
    ['baking powder', undefined],
    ['rose water', undefined],
  ])('%s is taken for lye and is %s', (text, name) => {
    expect(notLyeIn(text.split(' '))?.name).toBe(name)
  })
  it.each([
    ['Lye', 'lye'],
    ['own-caustic-soda', 'lye'],
    ['Distilled water', 'water'],
    ['own-water', 'water'],
    ['H2O', 'water'],
    ['warm rain water', 'water'],
    ['Rose water', null],
    ['distilled', null],
    ['Lyewood', null],
  ])('%s means %s', (name, meant) => {
    expect(meansLyeOrWater(name)).toBe(meant)
  })
})
