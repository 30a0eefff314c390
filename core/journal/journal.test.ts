import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { library } from '../materials/library'
import { formatter } from '../units/formatter'
import { colourNames } from './colourNames'
import { knownDay } from './knownDay'
import { lessonState } from './lesson'
import { noteLine } from './noteLine'
import { importCounts, readPage, seenIn, type PageContext } from './page'
import { plainText, richText } from './plainText'
import { facet, matchOf, monthsOf, readSearch } from './query'
import { guessesFor, learnable, spelledOut } from './shortWords'
import { columnsFor, rowPage } from './table'

const say = formatter()
const today = '2026-11-23'
const context: PageContext = {
  library: { ...library, spoons: 'us' },
  words: [],
  unit: null,
  answers: {},
}
const read = (text: string, more: Partial<PageContext> = {}) =>
  readPage(text, { ...context, ...more }, say)

describe('a day as far as it is known', () => {
  it.each([
    ['11 June 2009', '2009-06-11', 'day', false],
    ['June 11, 2009', '2009-06-11', 'day', false],
    ['11th June 09', '2009-06-11', 'day', false],
    ['11/6/09', '2009-06-11', 'day', false],
    ['11.6.2009', '2009-06-11', 'day', false],
    ['2009-06-11', '2009-06-11', 'day', false],
    ['2009-06-11T00:00:00', '2009-06-11', 'day', false],
    // Only one way makes a day.
    ['6/25/09', '2009-06-25', 'day', false],
    ['June 2009', '2009-06-01', 'month', false],
    ['June 2009 ?', '2009-06-01', 'month', true],
    ['jun 09', '2009-06-01', 'month', false],
    ['spring 2011', '2011-03-01', 'year', false],
    ['c. 1998', '1998-01-01', 'year', true],
    ['1/2/68', '1968-02-01', 'day', false],
    ['29 Feb 2012', '2012-02-29', 'day', false],
  ])('%s', (typed, day, known, guessed) =>
    expect(knownDay(typed, today)).toEqual({ day, known, guessed }),
  )
  it('takes the month first where that is the custom', () =>
    expect(knownDay('6/11/09', today, true)?.day).toBe('2009-06-11'))
  it.each([
    '',
    '31/2/2013',
    '29 Feb 2013',
    'soon',
    'May 2099',
    '24 Nov 2026',
    '13/13/13',
    '0/1/2010',
    'one 2009',
  ])('none: %s', (typed) => expect(knownDay(typed, today)).toBeNull())
  it('never lies after today', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 31 }),
        fc.integer({ min: 1, max: 12 }),
        fc.integer({ min: 0, max: 99 }),
        (d, m, y) => {
          const found = knownDay(`${d}/${m}/${y}`, today)
          return found === null || found.day! <= today
        },
      ),
    ))
})

describe('a search', () => {
  const terms = (typed: string, zone = 'Europe/Dublin') => readSearch(typed, zone, say)
  it('reads colour, trouble and season, and passes over the rest', () => {
    const [blue, cracked, spring, ...rest] = terms('the blue one that cracked, spring')
    expect(rest).toEqual([])
    expect(blue!.any.map(({ text }) => text)).toContain(facet.colour('blue'))
    expect(blue!.any.map(({ text }) => text)).toContain('ultramarine')
    expect(cracked!.any.map(({ text }) => text)).toEqual(
      expect.arrayContaining([facet.trouble('cracks'), 'cracked', 'split']),
    )
    expect(spring!.any.map(({ text }) => text)).toEqual(['xqm03', 'xqm04', 'xqm05'])
    expect(spring!.says).toBe('poured March to May')
  })
  it('has its seasons where the workshop is', () => {
    expect(monthsOf('winter', 'Europe/Dublin')).toEqual([12, 1, 2])
    expect(monthsOf('winter', 'Pacific/Auckland')).toEqual([6, 7, 8])
    expect(terms('winter', 'Australia/Hobart')[0]!.says).toBe('poured June to August')
  })
  it('keeps words that only seem to say nothing, where nothing else is said', () =>
    expect(terms('the soap').map(({ typed }) => typed)).toEqual(['the', 'soap']))
  it('asks the index for all of it, one word of it in the entry itself, and what was chosen', () => {
    expect(matchOf(terms('honey'), { kind: 'page', who: 'Jo T.' })).toBe(
      '("honey"*) AND (words : (("honey"*))) AND "xqkpage" AND "xqwjot"',
    )
    expect(matchOf(terms('spring'), {})).toBe('("xqm03" OR "xqm04" OR "xqm05")')
    expect(matchOf([], {})).toBe('')
  })
  it('never lets what is typed into the language of the index', () =>
    fc.assert(
      fc.property(fc.string(), (typed) => {
        const match = matchOf(terms(typed), {})
        // Between quotation marks stand letters and figures alone.
        return [...match.matchAll(/"([^"]*)"/g)].every(([, text]) =>
          /^[\p{L}\p{M}\p{N}]+$/u.test(text!),
        )
      }),
    ))
})

describe('colours by name', () => {
  it.each([
    ['#4a6d99', ['blue']],
    ['#80a091', ['green', 'teal']],
    ['#505149', ['grey']],
    ['#d5432a', ['red']],
    ['#8d6aa8', ['purple']],
    ['#b68072', ['brown', 'red']],
    ['#e6dbc8', ['cream']],
    ['#ffffff', ['white']],
    ['#101010', ['black']],
    ['#ddc494', ['cream', 'brown']],
    ['#b8bd7c', ['yellow', 'green']],
  ])('%s', (hex, names) => expect(colourNames(hex)).toEqual(names))
})

describe('short words', () => {
  const words = [
    { short: 'w', long: 'weak', place: 'afterTime' as const, times: 0 },
    { short: 'w', long: 'water', place: 'beforeNumber' as const, times: 0 },
    { short: 'CO', long: 'coconut oil', place: 'anywhere' as const, times: 0 },
    { short: 'rosem', long: 'rosemary', place: 'anywhere' as const, times: 0 },
  ]
  it.each([
    ['CO 250', 'coconut oil 250'],
    ['co 250', 'coconut oil 250'],
    ['w 300', 'water 300'],
    ['1 wk 3, 4 wk w', '1 wk 3, 4 wk weak'],
    ['rosem. eo 30', 'rosemary eo 30'],
    ['cocoa 20', 'cocoa 20'],
    ['window', 'window'],
  ])('%s', (typed, spelled) => expect(spelledOut(typed, words).text).toBe(spelled))
  it('guesses what stands in most notebooks', () => {
    expect(guessesFor('OO', library)[0]).toBe('olive oil')
    expect(guessesFor('CO', library).slice(0, 2)).toEqual(['coconut oil', 'castor oil'])
    expect(guessesFor('w', library)[0]).toBe('water')
    expect(guessesFor('7', library)).toEqual([])
  })
  it('learns one word, with where it stood', () => {
    expect(learnable('CO 250')).toEqual({ short: 'CO', place: 'beforeNumber' })
    expect(learnable('250 CO')).toEqual({ short: 'CO', place: 'anywhere' })
    expect(learnable('warm hands')).toBeNull()
  })
})

describe('a page', () => {
  it('tells trace and strength apart from what goes in', () => {
    expect(seenIn('tr 20 min, warm hands')).toEqual({ traceMinutes: 20, strengths: [] })
    expect(seenIn('trace after 1 h')).toEqual({ traceMinutes: 60, strengths: [] })
    expect(seenIn('1 wk 3, 4 wk weak, 2 months gone')?.strengths).toEqual([
      { days: 7, strength: 3 },
      { days: 28, strength: 1 },
      { days: 60, strength: 0 },
    ])
    expect(seenIn('1 wk 4 wk weak')?.strengths).toEqual([{ days: 28, strength: 1 }])
    expect(seenIn('olive oil 500 g')).toBeNull()
    // A day is no strength: 12 is none of the four.
    expect(seenIn('3 days 12')).toBeNull()
  })
  it('is read by the careful reader, with its lye reckoned anew', () => {
    const text = 'olive oil 500\ncoconut oil 250\nlard 250\nlye 146\nwater 300\n1 wk 3'
    expect(read(text).found).toMatchObject({ superfat: null, open: 5 })
    const { found, lines } = read(text, { unit: 'g' })
    // The recipe check says the same of the same words in grams.
    const told = read(text.replace(/ (\d+)$/gm, ' $1 g').replace('1 wk 3 g', '1 wk 3'))
    expect(found.superfat).toBeCloseTo(told.found.superfat!, 12)
    expect(found.superfat).toBeGreaterThan(0.01)
    expect(found.superfat).toBeLessThan(0.03)
    expect(found).toMatchObject({
      lye: true,
      water: true,
      open: 0,
      strengths: [{ days: 7, strength: 3 }],
    })
    expect(lines).toHaveLength(6)
    expect(found.materials).toEqual(['olive', 'coconut', 'lard'])
  })
  it('drops no line, whatever is typed', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom(
            'OO 500',
            'lye 60 g',
            'smelt of tar all week, odd',
            'w 300',
            '1 wk 3',
            '??',
            '12',
          ),
          { maxLength: 8 },
        ),
        (rows) => {
          const { lines } = read(rows.join('\n'))
          const said = rows.filter((row) => /[\p{L}\d]/u.test(row))
          return lines.length >= said.length
        },
      ),
    ))
  it('counts what stands out', () =>
    expect(
      importCounts([
        { what: 'batch', found: read('olive oil 500 g\nlye 67 g').found },
        { what: 'batch', found: read('olive oil 500 g\nlye 60 g\nwater 150 g').found },
        { what: 'batch', found: read('OO 500 g').found },
        { what: 'gap', found: null },
      ]),
    ).toEqual({ thin: 1, dry: 1, gaps: 1, open: 1 }))
})

describe('a table', () => {
  const heads = ['Date', 'Soap', 'Olive oil (g)', 'Coconut [oz]', 'NaOH', 'Water', 'SF', 'Mood', '']
  const columns = columnsFor(heads, library)
  const how = { today, monthFirst: false, unit: 'g' as const }
  const row = (cells: string[]) => rowPage({ line: 7, cells }, { heads }, columns, how)
  it('knows its columns by their heads, and keeps what it does not know', () =>
    expect(columns.map(({ role }) => role)).toEqual([
      'day',
      'title',
      'ingredient',
      'ingredient',
      'lye',
      'water',
      'superfat',
      'note',
      'ignore',
    ]))
  it('makes a page of a row, with the units of heads and cells', () => {
    const made = row(['3/4/12', 'Quiet', '500', '2 lb', '105', '', '5', 'cross', 'x'])!
    expect(made.faults).toEqual([])
    expect(made.page).toMatchObject({
      title: 'Quiet',
      when: { day: '2012-04-03', known: 'day' },
      typed: 'Olive oil 500 g\nCoconut 2 lb\nNaOH 105 g\nSuperfat 5 %',
      text: 'Mood: cross',
    })
    expect(row(['', 'Quiet', '', '3'])!.page.typed).toBe('Coconut 3 oz')
  })
  it('names the line and the column of what is wrong, and drops empty rows', () => {
    expect(row(['31/2/2013', '', 'a cup', '-3'])!.faults).toEqual([
      { row: 7, column: 'Date', says: '“31/2/2013” is no day up to today.' },
      { row: 7, column: 'Olive oil (g)', says: '“a cup” is not an amount.' },
      { row: 7, column: 'Coconut [oz]', says: '“-3” is less than nothing.' },
    ])
    expect(row(['', ' ', ''])).toBeNull()
  })
})

describe('lines and lessons', () => {
  it.each([
    ['18: @Jo cut it late #tired', 'Jo cut it late', ['Jo'], ['tired'], 18],
    ['batch 18 cracked', 'cracked', [], [], 18],
    ['18 bars to the hostel', '18 bars to the hostel', [], [], null],
    ['mail a@b.c', 'mail a@b.c', [], [], null],
  ])('%s', (typed, text, people, words, batch) =>
    expect(noteLine(typed)).toEqual({ text, people, words, batch }),
  )
  it('counts the batch that taught it once', () => {
    const seen = [
      { batchId: 'a', held: false, note: '' },
      { batchId: 'b', held: true, note: '' },
      { batchId: 'c', held: false, note: '' },
    ]
    expect(lessonState({ batchId: 'a', seen, dropped: null })).toEqual({
      state: 'held',
      held: 2,
      of: 3,
    })
    expect(lessonState({ batchId: 'a', seen: [], dropped: null }).state).toBe('suspected')
    expect(lessonState({ batchId: null, seen, dropped: { on: today, why: '' } }).state).toBe(
      'dropped',
    )
  })
  it('plain lines survive being formatted', () =>
    fc.assert(
      fc.property(
        fc.array(fc.stringMatching(/^[a-z]{1,8}( [a-z]{1,8})?$/), { maxLength: 6 }),
        (rows) => {
          expect(plainText(richText(rows.join('\n')))).toBe(rows.join('\n'))
        },
      ),
    ))
})
