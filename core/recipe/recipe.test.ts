import { describe, expect, it } from 'vitest'
import { computeFormula } from '../formula/compute'
import { faultsInFormula } from '../formula/faults'
import { library } from '../materials/library'
import { formatter } from '../units/formatter'
import { judgeRecipe } from './judge'
import { piecesOf } from './pieces'
import { readRecipe } from './read'

const context = { library }
const judge = (text: string) => judgeRecipe(readRecipe(text, context), context, formatter())

describe('reading a recipe as written', () => {
  it('splits lines, bullets and commas, but not decimal commas', () => {
    expect(piecesOf('500g olive oil, 65 g NaOH, 150 ml water')).toHaveLength(3)
    expect(piecesOf('- 12,5 g citric acid\n• 300 g tallow\n\n* 5% castor')).toEqual([
      '12,5 g citric acid',
      '300 g tallow',
      '5% castor',
    ])
  })

  it('tells fats, lye, water, milk, scent and what it does not know', () => {
    const lines = readRecipe(
      '500g olive oil\n1 lb coconut oil\n65 g caustic soda\n150 ml distilled water\n40 g goat milk\n10 g lavender essential oil\n3 g unicorn dust\nsuperfat 5%',
      context,
    )
    expect(lines.map(({ kind, id }) => id ?? kind)).toEqual([
      'olive',
      'coconut',
      'naoh',
      'water',
      'goat-milk',
      'lavender-essential-oil',
      'unknown',
      'superfat',
    ])
    expect(lines[1]!.grams).toBeCloseTo(453.592, 3)
    expect(lines[3]).toMatchObject({ grams: 150, estimated: false })
    expect(lines[6]!.says).toContain('unicorn dust')
  })

  it('reads water and oil by volume, the oil as an estimate', () => {
    const [oil] = readRecipe('1 l olive oil', context)
    expect(oil).toMatchObject({ grams: 902, estimated: true })
  })
})

describe('what a recipe really is', () => {
  it('500 g olive, 65 g NaOH, 150 ml water', () => {
    // 500·190/1000·F = 67.7244 g would take it all: 1 − 65/67.7244 = 4.023 %; 150/65 = 2.3077
    const report = judge('500g olive oil, 65 g NaOH, 150 ml water')
    expect(report.superfat).toBeCloseTo(0.040228, 5)
    expect(report.ratio).toBeCloseTo(2.3077, 4)
    expect(report.strength).toBeCloseTo(0.30233, 5)
    // the ends of the Codex range: 184 and 196
    expect(report.superfatRange![0]).toBeCloseTo(1 - 65 / (92 * 0.712888), 5)
    expect(report.superfatRange![1]).toBeCloseTo(1 - 65 / (98 * 0.712888), 5)
    expect(report.verdicts.map(({ tone }) => tone)).toEqual(['think', 'good'])
    expect(faultsInFormula(report.document, library)).toEqual([])
  })

  it('a lye-heavy one is stopped', () => {
    const report = judge('500 g olive oil\n80 g lye\n160 g water')
    expect(report.superfat).toBeLessThan(0)
    expect(report.verdicts[0]!.tone).toBe('stop')
    expect(report.verdicts[0]!.says).toContain('lye-heavy by 18.1 %')
  })

  it('counts acids, milk fat and potash', () => {
    const text =
      '450 g olive\n250 g coconut\n200 g shea\n100 g castor\n100 g NaOH\n40 g KOH\n10 g citric acid anhydrous\n100 g goat milk\n250 g water'
    // pure NaOH 100 + 40·0.9·F = 125.664; citric eats 6.2455; milk fat 4 g·233 adds 0.6644 to 145.251
    expect(judge(text).superfat).toBeCloseTo(1 - (125.664 - 6.2455) / (145.251 + 0.6644), 4)
  })

  it('taken over, the formula weighs the recipe again', () => {
    const report = judge(
      '600 g tallow, 200 g coconut, 112 g NaOH, 20 g goat milk, 240 g water, 12 g citric acid',
    )
    const result = computeFormula(report.document, library)
    expect(result.lye.naoh).toBeCloseTo(112, 2)
    expect(result.water.weighed).toBeCloseTo(240, 1)
    expect(result.liquids[0]!.grams).toBeCloseTo(20, 1)
    expect(result.superfat.total).toBeCloseTo(report.superfat!, 4)
  })

  it('warns where a recipe says one superfat and weighs another', () => {
    const says = judge('1000 g lard\nsuperfat 8%\n135 g lye\n300 g water').verdicts.map(
      (v) => v.says,
    )
    expect(says.join(' ')).toContain('It says 8 % superfat, but its weights have 3.9 %')
  })

  it.each([
    ['', 'No fat found'],
    ['hello there', 'No fat found'],
    ['olive 70%, coconut 30%, 135 g lye, 300 g water', 'per cent but the lye is in grams'],
    ['500 g olive oil', 'No lye found'],
    ['500 g olive oil, 65 g lye', 'No water found'],
    ['500 g olive oil, 65 g lye, 30 g water', 'Too little water'],
  ])('"%s" says what is missing or wrong', (text, says) => {
    expect(
      judge(text)
        .verdicts.map((verdict) => verdict.says)
        .join(' '),
    ).toContain(says)
  })
})
