import type { FormulaDocument } from '#contracts/formula'
import { describe, expect, it } from 'vitest'
import { library } from '../materials/library'
import { formatter } from '../units/formatter'
import { blankFormula } from './blank'
import { computeFormula } from './compute'
import { explain, type Figure } from './explain'
import { sayWater } from './names'

const say = formatter()
const plain: FormulaDocument = {
  ...blankFormula('Explained'),
  fats: [{ id: 'olive', share: 1, moment: 'pot', inLye: true }],
  superfat: 0.05,
  water: { held: 'ratio', value: 2 },
}
const of = (figure: Figure, changes: Partial<FormulaDocument> = {}) => {
  const document = { ...plain, ...changes }
  const { lines, total, notes, title } = explain(
    figure,
    document,
    computeFormula(document, library),
    library,
    say,
  )
  return { title, lines: lines.map(({ label, sum, value }) => [label, sum, value]), total, notes }
}

describe('the lye', () => {
  it('fat by fat, at no superfat, at the one asked for, at its purity', () => {
    // 1000 · 190 · 39.997 / 56.1056 / 1000 = 135.4487; 95 % of it 128.6763
    expect(of('lye')).toMatchObject({
      lines: [
        ['Olive oil', '1,000.0 g × 190 mg KOH/g ÷ 1000 × 0.712888', '135.449 g'],
        ['All of it, at no superfat', 'sum of the fats', '135.449 g'],
        ['At 5 % superfat', '135.449 g × (1 − 0.0500)', '128.676 g'],
        ['At 100 % purity', '128.676 g ÷ 1.0000', '128.676 g'],
      ],
      total: { label: 'Sodium hydroxide', value: '128.6 g' },
    })
  })

  it('a fat that is not counted says so, and its own value is read with its decimal', () => {
    const { lines, notes } = of('lye', {
      fats: [
        { id: 'olive', share: 0.8, moment: 'pot', inLye: true, sap: 188.5 },
        { id: 'shea', share: 0.2, moment: 'trace', inLye: false },
      ],
    })
    expect(lines[0]![1]).toContain('188.5 mg')
    expect(lines[1]).toEqual([
      'Shea butter, not counted in the lye',
      '200.0 g × 180 mg KOH/g ÷ 1000 × 0.712888',
      '0.000 g',
    ])
    // Where the values come from, each source once.
    expect(notes[2]).toMatch(/^Saponification values are averages.*From: [^;]+; [^;]+\.$/)
  })

  it('what acids and sour liquids take, potash, and a ready-mixed lye', () => {
    const { lines, total } = of('lye', {
      additives: [{ id: 'citric-acid-anhydrous', rate: 0.01, of: 'oils', carrier: null }],
      liquids: [{ id: 'vinegar-5', grams: 50, moment: 'lye', way: 'poured' }],
      alkali: { naohPurity: 1, kohShare: 0.1, kohPurity: 0.9, solutionStrength: null },
    })
    // 10 g · 3 · 39.997 / 192.124 = 6.2450; 50 · 0.0333 = 1.665
    expect(lines[3]).toEqual([
      'Citric acid, anhydrous takes',
      '10.0 g × 3 × 39.997 ÷ 192.124',
      '6.245 g',
    ])
    expect(lines[4]).toEqual([expect.stringMatching(/ takes$/), '50.0 g × 0.0333', '1.665 g'])
    // (128.6763 + 6.2455 + 1.6651) · 0.1 / 0.712888 / 0.9 = 21.2885
    expect(lines[5]).toEqual([
      'Of that as potash, 10 % of the moles',
      '136.587 g × 0.100 ÷ 0.712888 ÷ 0.900',
      '21.288 g KOH',
    ])
    expect(total.label).toBe('Sodium hydroxide')
    const mixed = of('lye', { alkali: { ...plain.alkali, solutionStrength: 0.5 } })
    expect(mixed.lines.at(-1)).toEqual([
      'As ready-mixed solution',
      '128.676 g ÷ 0.5000',
      '257.353 g',
    ])
    expect(mixed.total).toEqual({ label: 'Lye solution', value: '257.3 g' })
  })
})

describe('the water', () => {
  it.each([
    ['ratio', 2, 'Water to lye, held', '128.676 g pure lye × 2.000', '257.353 g'],
    // 128.676 · (1/0.25 − 1)
    ['strength', 0.25, 'Lye strength, held', '128.676 g pure lye × (1 ÷ 0.2500 − 1)', '386.029 g'],
    ['shareOfOils', 0.3, 'Share of oils, held', '1,000.0 g × 0.3000', '300.000 g'],
    ['grams', 280, 'Water by weight, held', 'with the water of everything else', '280.000 g'],
  ] as const)('held by %s', (held, value, label, sum, comes) => {
    const { lines, total } = of('water', { water: { held, value } })
    expect(lines).toEqual([[label, sum, comes]])
    expect(total.value).toBe(`${say.number(Number.parseFloat(comes), 1)} g`)
  })

  it('less what comes with the lye and with other liquids', () => {
    const { lines } = of('water', {
      alkali: { ...plain.alkali, solutionStrength: 0.5 },
      liquids: [{ id: 'goat-milk', grams: 50, moment: 'oils', way: 'poured' }],
    })
    expect(lines.slice(1)).toEqual([
      ['Comes with the ready-mixed lye', '257.353 g − 128.676 g', '−128.676 g'],
      ['Goat milk, its water', '50.0 g × 87 %', '−43.500 g'],
    ])
  })

  it('pot by pot', () => {
    const part = (name: string, value: number) => ({
      name,
      share: 0.5,
      scent: true,
      additives: [],
      water: { held: 'ratio' as const, value },
    })
    expect(of('water', { parts: [part('pale', 1.5), part('dark', 2.5)] }).lines).toEqual([
      ['Pot "pale"', '64.338 g pure lye × 1.500', '96.507 g'],
      ['Pot "dark"', '64.338 g pure lye × 2.500', '160.845 g'],
    ])
  })
})

describe('the batter and the superfat', () => {
  const rich: Partial<FormulaDocument> = {
    liquids: [{ id: 'goat-milk', grams: 50, moment: 'oils', way: 'poured' }],
    additives: [
      {
        id: 'rose-clay',
        grams: 10,
        carrier: { id: 'castor', ratio: 2, from: 'extra' },
      },
      { id: 'sugar', grams: 5, carrier: { id: 'olive', ratio: 1, from: 'formula' } },
    ],
    scents: [{ id: 'rain', name: 'Rain', grams: 30, moment: 'trace' }],
  }

  it('is everything that is weighed, oil that is there already not twice', () => {
    const { lines, total } = of('batter', rich)
    expect(lines.map(([label]) => label)).toEqual([
      'Fats',
      'Lye',
      'Water',
      'Goat milk',
      'Rose clay',
      'Sugar',
      'Castor oil',
      'Rain',
    ])
    const grams = lines.map((line) => Number(line[2]!.replace(/[^\d.]/g, '')))
    const whole = Number(total.value.replace(/[^\d.]/g, ''))
    expect(Math.abs(grams.reduce((sum, one) => sum + one, 0) - whole)).toBeLessThan(0.5)
    expect(of('batter', { alkali: { ...plain.alkali, solutionStrength: 0.5 } }).lines[1]).toEqual([
      'Lye',
      '',
      '257.4 g',
    ])
  })

  it('superfat: the lye left for the fats by what they could take', () => {
    expect(of('superfat').lines).toEqual([
      ['Lye left for the fats', 'pure lye less what acids take', '128.676 g'],
      ['The fats could take', 'every fat in the pot, milk fat included', '135.449 g'],
    ])
    expect(of('superfat').total.value).toBe('5 %')
  })
})

it('water in the way it is held', () => {
  expect(sayWater({ held: 'ratio', value: 2.2 }, say)).toBe('2.2 : 1')
  expect(sayWater({ held: 'strength', value: 0.3125 }, say)).toBe('31.25 % lye strength')
  expect(sayWater({ held: 'shareOfOils', value: 0.3 }, say)).toBe('30 % of oils')
  expect(sayWater({ held: 'grams', value: 280 }, say)).toBe('280.0 g of water')
  expect(sayWater({ held: 'ratio', value: null }, say)).toBe('open')
})
