import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { library } from '../materials/library'
import { lines } from './lines.cases'
import { readLine, type LineReading } from './reading'
import { meansLyeOrWater } from '../materials/lyeWords'
import { runs } from '../../tests/support/runs'

const context = { library, scents: [{ id: 'fir-and-smoke', name: 'Fir & smoke' }] }
const read = (text: string) => readLine(text, context)

const tidy = (value: number) => Number(value.toFixed(3))
function amountText({ amount }: LineReading): string {
  if (!amount) return ''
  switch (amount.kind) {
    case 'grams':
      return `${tidy(amount.grams)} g`
    case 'volume':
      return `${tidy(amount.millilitres)} ml`
    case 'share':
      return `${tidy(amount.share * 100)} %`
    case 'rate':
      return `${tidy(amount.value)} ${amount.unit}/${amount.per}`
    default:
      return ''
  }
}
/** A certain reading in the words of the table. */
const told = (reading: LineReading): string =>
  [
    reading.kind,
    ['fat', 'liquid', 'additive', 'scent'].includes(reading.kind) && reading.id ? reading.id : '',
    reading.proportion
      ? `${reading.proportion.held} ${reading.proportion.value}`
      : amountText(reading),
    reading.solution === null ? '' : `of ${reading.solution}`,
    reading.purity === null ? '' : `pure ${reading.purity}`,
  ]
    .filter(Boolean)
    .join(' ')

describe('typed and pasted lines', () => {
  it('are at least four hundred, a third of them hostile', () => {
    expect(lines.length).toBeGreaterThanOrEqual(400)
    const asked = lines.filter(({ expected }) => expected.startsWith('?'))
    expect(asked.length).toBeGreaterThan(lines.length / 3)
    expect(new Set(lines.map(({ text }) => text)).size).toBe(lines.length)
  })

  it('are read as a maker means them, or asked about', () => {
    const wrong = lines.flatMap(({ text, expected }) => {
      const reading = read(text)
      if (!expected.startsWith('?')) {
        // A scent without a name of its own is only told to be one.
        const scent = /^scent [\d.]/.test(expected) && reading.kind === 'scent'
        const said = scent ? `scent ${amountText(reading)}` : told(reading)
        return said === expected && !reading.doubtful
          ? []
          : [`${text}: ${reading.doubtful ? '? ' : ''}${told(reading)} instead of ${expected}`]
      }
      const [, kind, id] = expected.split(' ')
      const fits =
        reading.doubtful &&
        reading.says !== '' &&
        (!kind || reading.kind === kind) &&
        (!id || reading.id === id)
      return fits
        ? []
        : [`${text}: ${reading.doubtful ? '? ' : ''}${told(reading)} instead of ${expected}`]
    })
    expect(wrong).toEqual([])
  })

  it('account for every word: pegs lie within the line, in order, and never over each other', () => {
    for (const { text } of lines) {
      let end = 0
      for (const peg of read(text).pegs) {
        expect(peg.start, text).toBeGreaterThanOrEqual(end)
        expect(peg.end, text).toBeGreaterThan(peg.start)
        expect(peg.end, text).toBeLessThanOrEqual(text.length)
        end = peg.end
      }
    }
  })

  it('a doubtful one has a loose peg or asks about its amount, and an answer never stays the same question', () => {
    for (const { text } of lines) {
      const reading = read(text)
      for (const option of reading.options) {
        expect(option.name, text).not.toBe('')
        expect(option.reading.says === reading.says && option.reading.doubtful, text).toBe(false)
      }
    }
  })
})

const lyeWords = [
  'lye',
  'Lye',
  'LYE',
  'NaOH',
  'naoh',
  'KOH',
  'sodium hydroxide',
  'Sodium Hydroxide',
  'potassium hydroxide',
  'caustic soda',
  'caustic potash',
  'lye flakes',
  'lye solution',
  'sodium-hydroxide',
  'hydroxide of sodium',
  'Natriumhydroxid',
]
const others = [
  ...[...library.fats.values(), ...library.liquids.values(), ...library.additives.values()].map(
    ({ name }) => name,
  ),
  'fragrance',
  'essential oil',
  'eo',
  'butter',
  'milk',
  'water',
  'pure',
  'organic',
  'my',
  'the best',
  'for soap',
  'mica',
  'superb',
  '',
]
const amounts = [
  '65 g',
  '65',
  '2.3 oz',
  '5%',
  '33 %',
  '1 tsp',
  'a cup of',
  '1 tsp per lb',
  '30/70',
  '2:1',
  '',
  'few drops',
]

describe('words for lye', () => {
  it('never make a fat, a liquid, an extra or a scent, whatever stands beside them', () => {
    const part = (list: string[]) => fc.constantFrom(...list)
    fc.assert(
      fc.property(
        part(lyeWords),
        part(others),
        part(others),
        part(amounts),
        fc.shuffledSubarray([0, 1, 2, 3], { minLength: 4, maxLength: 4 }),
        fc.constantFrom(' ', '  ', ', ', ' - ', ' ('),
        (lye, one, other, amount, order, gap) => {
          const words = [lye, one, other, amount]
          const reading = read(order.map((place) => words[place]).join(gap))
          const all = [reading, ...reading.options.map((option) => option.reading)]
          for (const { kind, id } of all.filter(({ kind: known }) => known !== 'title')) {
            expect(['fat', 'liquid', 'scent']).not.toContain(kind)
            // Baking soda and its like may be an extra; nothing else beside lye may.
            if (kind === 'additive') expect(['baking-soda', 'washing-soda', 'borax']).toContain(id)
          }
        },
      ),
      runs(500),
    )
  })

  it.each([
    ['Lye', 'lye'],
    ['sodium-hydroxide', 'lye'],
    ['own-caustic-soda', 'lye'],
    ['Distilled water', 'water'],
    ['own-water', 'water'],
    ['Rose water', null],
    ['Fir & smoke', null],
    ['Lyewood', null],
    ['sodium-lactate', null],
  ])('"%s" means %s', (name, meant) => {
    expect(meansLyeOrWater(name)).toBe(meant)
  })
})
