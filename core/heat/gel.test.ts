import type { BatterStage } from '#contracts/benchWords'
import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { describe, expect, it } from 'vitest'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { library } from '../materials/library'
import { afterPour, gelForecast, type GelForecast } from './gel'

describe('gel and what comes after the pour', () => {
  const of = (
    changes: object,
    method: object = {},
    how: { mixC?: number; stage?: BatterStage } = {},
  ) => {
    const blank = blankFormula('Loaf')
    const document = {
      ...blank,
      fats: [
        { id: 'olive', share: 0.7, moment: 'pot' as const, inLye: true },
        { id: 'coconut', share: 0.3, moment: 'pot' as const, inLye: true },
      ],
      ...changes,
      method: { ...blank.method, ...method },
    }
    const result = computeFormula(document, library)
    const forecast = gelForecast(document, result, 35)
    return {
      forecast,
      after: afterPour(document, result, library, forecast, {
        firm: 45,
        mixC: 35,
        stage: null,
        ...how,
      }),
    }
  }

  it('onset falls with water: 80 at 1 : 1, 72 at 2 : 1, 64 at 3 : 1', () => {
    for (const [value, onset] of [
      [1, 80],
      [2, 72],
      [3, 64],
    ] as const)
      expect(of({ water: { held: 'ratio', value } }).forecast.onsetC).toBeCloseTo(onset, 9)
  })

  it('a tube loses its heat as a cylinder: faster than a loaf as wide', () => {
    const mould = (one: object) => of({ size: { by: 'mould', mould: one, fill: 1 } }).forecast
    const tube = mould({ shape: 'cylinder', diameterMm: 80, depthMm: 200 })
    const loaf = mould({ shape: 'box', lengthMm: 200, widthMm: 80, depthMm: 80 })
    const cups = mould({ shape: 'cavities', count: 6, millilitres: 512 })
    // An hour to react, and half of R²/(2.405²·a), 4R²/(π²·a), 4R²/(3π²·a) with R 0.04 m and a 1.1e-7 m²/s.
    expect(tube.peakHours).toBeCloseTo(1 + 0.6986 / 2, 3)
    expect(loaf.peakHours).toBeCloseTo(1 + 1.6375 / 2, 3)
    expect(cups.peakHours).toBeCloseTo(1 + 0.5458 / 2, 3)
    expect(tube.peak.usual).toBeLessThan(loaf.peak.usual)
  })

  it('wrapped it gels, chilled it does not, left alone nobody can be sure', () => {
    expect(of({}, { gel: 'force' }).forecast.verdict).toBe('gels')
    expect(of({}, { gel: 'prevent' }).forecast.verdict).toBe('stays')
    expect(of({}).forecast.verdict).toBe('may-ring')
  })

  it('the window goes with water, citric acid and salt', () => {
    const plain = of({}).after.unmould
    const dry = of({ water: { held: 'ratio', value: 1.5 } }).after.unmould
    const citric = of({
      additives: [{ id: 'citric-acid-anhydrous', rate: 0.015, of: 'oils', carrier: null }],
    }).after
    expect(dry.to).toBeLessThan(plain.to)
    expect(citric.unmould.from).toBeGreaterThan(plain.from * 1.9)
    expect(citric.because).toContain('citric acid')
  })

  it('the window goes with how warm it was mixed, how thick it was poured and what was drawn on top', () => {
    const { from } = of({}).after.unmould
    const warm = of({}, {}, { mixC: 50 }).after
    expect(warm.unmould.from).toBeLessThan(from)
    expect(warm.because).toContain('mixed warm')
    expect(of({}, {}, { stage: 'light' }).after.unmould.from).toBeGreaterThan(from)
    expect(of({}, {}, { stage: 'thick' }).after.unmould.from).toBeLessThan(from)
    expect(of({}, { patterns: ['drizzle'] }).after.unmould.from).toBeGreaterThan(from)
  })
})

/** A pot of 1000 g of oils in 1500 g of batter, and what is told of it. */
interface Told {
  ratio?: number
  firm?: number
  mixC?: number
  stage?: BatterStage
  verdict?: GelForecast['verdict']
  peakHours?: number
  gel?: FormulaDocument['method']['gel']
  drizzle?: boolean
  extras?: Record<string, number>
}
function after(told: Told = {}) {
  const blank = blankFormula('Loaf')
  const method = {
    ...blank.method,
    gel: told.gel ?? blank.method.gel,
    patterns: told.drizzle ? ['drizzle' as const] : [],
  }
  const result = {
    water: { ratio: told.ratio ?? 2.2 },
    oils: 1000,
    batter: 1500,
    additives: Object.entries(told.extras ?? {}).map(([id, grams]) => ({ id, grams })),
  } as unknown as FormulaResult
  const { verdict = 'may-ring', peakHours = 2.2 } = told
  const forecast = { onsetC: 70, peak: { low: 60, usual: 70, high: 80 }, peakHours, verdict }
  return afterPour({ ...blank, method }, result, library, forecast, {
    firm: told.firm ?? 45,
    mixC: told.mixC ?? 35,
    stage: told.stage ?? null,
  })
}

describe('the window to unmould in is a day, times what pulls at it', () => {
  // Hours: 24 times the factors, from three quarters of that to half as much again, rounded.
  it.each<[string, Told, number, number, string[]]>([
    ['nothing', {}, 18, 36, []],
    ['a hair more water: (2.25/2.2)^1.6 = 1.04', { ratio: 2.25 }, 18, 36, []],
    ['1.5 : 1: (1.5/2.2)^1.6 = 0.542', { ratio: 1.5 }, 10, 20, ['little water']],
    ['1 : 1, no less than 0.4', { ratio: 1 }, 7, 14, ['little water']],
    ['3 : 1: (3/2.2)^1.6 = 1.643', { ratio: 3 }, 30, 59, ['much water']],
    ['6 : 1, no more than 2.2', { ratio: 6 }, 40, 79, ['much water']],
    ['firm 75: 1 − 30/60', { firm: 75 }, 9, 18, ['sets firm']],
    ['firm 100, no less than 0.35', { firm: 100 }, 6, 13, ['sets firm']],
    ['firm 15: 1 + 30/60', { firm: 15 }, 27, 54, ['soft oils']],
    ['mixed at 50 °C: 1 − 15/100', { mixC: 50 }, 15, 31, ['mixed warm']],
    ['mixed at 75 °C, no less than 0.8', { mixC: 75 }, 14, 29, ['mixed warm']],
    ['mixed at 20 °C: 1 + 15/100', { mixC: 20 }, 21, 41, ['mixed cool']],
    ['mixed at 0 °C, no more than 1.25', { mixC: 0 }, 23, 45, ['mixed cool']],
    ['poured cloudy: 1.25', { stage: 'cloudy' }, 23, 45, ['poured thin']],
    ['poured at emulsion', { stage: 'emulsion' }, 23, 45, ['poured thin']],
    ['poured light', { stage: 'light' }, 23, 45, ['poured thin']],
    ['poured at medium', { stage: 'medium' }, 18, 36, []],
    ['poured thick: 0.85', { stage: 'thick' }, 15, 31, ['poured thick']],
    ['poured too far', { stage: 'too-far' }, 15, 31, ['poured thick']],
    ['a drizzled top: 1.15', { drizzle: true }, 21, 41, ['drizzled top']],
    ['it gels: 0.7', { verdict: 'gels' }, 13, 25, ['gel']],
    ['it stays opaque', { verdict: 'stays' }, 18, 36, []],
    ['kept cool: 1.5', { gel: 'prevent' }, 27, 54, ['kept cool']],
    ['wrapped', { gel: 'force' }, 18, 36, []],
    [
      'sodium lactate, 1 % of oils: 0.75',
      { extras: { 'sodium-lactate': 10 } },
      14,
      27,
      ['sodium lactate'],
    ],
    ['sodium lactate, half a per cent', { extras: { 'sodium-lactate': 5 } }, 18, 36, []],
    ['salt, a fifth of the oils: 0.2', { extras: { salt: 200 } }, 4, 7, ['much salt']],
    ['salt, a tenth', { extras: { salt: 100 } }, 18, 36, []],
    ['citric acid: 2', { extras: { 'citric-acid-anhydrous': 1 } }, 36, 72, ['citric acid']],
    ['clay, and what nobody knows', { extras: { kaolin: 300, unheard: 300 } }, 18, 36, []],
    [
      'never under 3 hours',
      { extras: { salt: 300 }, ratio: 1 },
      2,
      5,
      ['much salt', 'little water'],
    ],
    [
      'never over 72',
      { extras: { 'citric-acid-anhydrous': 9 }, ratio: 6 },
      54,
      108,
      ['much water', 'citric acid'],
    ],
    [
      'the strongest first',
      { extras: { 'citric-acid-anhydrous': 9 }, verdict: 'gels', gel: 'prevent' },
      38,
      76,
      ['citric acid', 'kept cool', 'gel'],
    ],
  ])('%s', (_name, told, from, to, because) => {
    expect(after(told)).toMatchObject({ unmould: { from, to }, because })
  })

  it('says when to look and when to unwrap by what is done about the gel', () => {
    expect(after()).toMatchObject({ peek: 2, unwrap: null })
    expect(after({ gel: 'prevent' })).toMatchObject({ peek: null, unwrap: 12 })
    // Four hours after the middle was warmest, three at least.
    expect(after({ gel: 'force', peakHours: 2.2 })).toMatchObject({ peek: 1, unwrap: 6 })
    expect(after({ gel: 'force', peakHours: -2 })).toMatchObject({ peek: 1, unwrap: 3 })
  })
})

describe('the middle of a loaf', () => {
  const pot = (changes: object = {}) =>
    ({ water: { ratio: 2 }, oils: 1000, batter: 1500, ...changes }) as unknown as FormulaResult
  const inMoulds = (...moulds: object[]): FormulaDocument => ({
    ...blankFormula('Loaf'),
    size: {
      by: 'moulds',
      moulds: moulds.map((mould) => ({ name: '', mould, fill: 1 })),
    } as FormulaDocument['size'],
  })
  const open = blankFormula('Loaf')

  it('warms by the heat of its fats, less what leaves meanwhile: by hand', () => {
    // Open, 70 mm: 4/π² · 0.035²/1.1e-7/3600 = 1.2537 h, of which 1.2537/2.2537 stays; 220 · (2/3)/2.6 = 56.41 K.
    const { peak, peakHours, onsetC } = gelForecast(open, pot(), 30)
    expect(onsetC).toBe(72)
    expect(peakHours).toBeCloseTo(1 + 1.2537 / 2, 3)
    expect(peak.usual).toBeCloseTo(30 + 56.41 * 0.55628, 2)
    expect(peak.low).toBeCloseTo(30 + ((190 * 2) / 3 / 2.6) * 0.55628, 2)
    expect(peak.high).toBeCloseTo(30 + ((270 * 2) / 3 / 2.6) * 0.55628, 2)
    // Nothing in it, nothing to warm by.
    expect(gelForecast(open, pot({ oils: 0, batter: 0 }), 30).peak.usual).toBe(30)
  })

  it('gels from 5 K over the onset, stays opaque from 5 K under it', () => {
    const warms = 56.41 * 0.55628
    const at = (celsius: number) => gelForecast(open, pot(), celsius - warms).verdict
    expect([at(77.2), at(76.8), at(72), at(67.2), at(66.8)]).toEqual([
      'gels',
      'may-ring',
      'may-ring',
      'may-ring',
      'stays',
    ])
  })

  it('is as warm as that of the mould that keeps its heat best, whichever comes first', () => {
    const thin = { shape: 'box', lengthMm: 200, widthMm: 40, depthMm: 80 }
    const wide = { shape: 'box', lengthMm: 200, widthMm: 90, depthMm: 80 }
    const unknown = { shape: 'box', lengthMm: null, widthMm: 300, depthMm: 300 }
    const hours = (...moulds: object[]) => gelForecast(inMoulds(...moulds), pot(), 30).peakHours
    // 4/π² · (w/2)²/1.1e-7/3600: 40 mm 0.4094 h, 90 mm 2.0725 h.
    expect(hours(thin)).toBeCloseTo(1 + 0.4094 / 2, 3)
    expect(hours(thin, wide)).toBeCloseTo(1 + 2.0725 / 2, 3)
    expect(hours(wide, thin)).toBe(hours(thin, wide))
    // The depth is open on one side: 50 mm count as 70. What nobody measured counts for nothing.
    expect(hours({ ...wide, depthMm: 50 }, unknown)).toBeCloseTo(1 + 1.2537 / 2, 3)
    expect(hours(unknown)).toBeCloseTo(1 + 1.2537 / 2, 3)
  })
})
