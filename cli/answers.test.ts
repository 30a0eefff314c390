import { execFileSync, spawnSync } from 'node:child_process'
import { describe, expect, it } from 'vitest'
import { checkFormulaText, computeFormulaText } from './answers'

const base = {
  format: 'mantle.formula',
  version: 2,
  name: 'Vector',
  size: { by: 'oils', grams: 1000 },
  superfat: 0.06,
  water: { held: 'ratio', value: 2.2 },
  fats: [
    { id: 'olive', share: 0.45 },
    { id: 'coconut', share: 0.25 },
    { id: 'shea', share: 0.2 },
    { id: 'castor', share: 0.1 },
  ],
}
const { superfat: _superfat, water: _water, ...known } = base
const answer = (changes: object) => computeFormulaText({ ...base, ...changes }) as never

describe('npm run -s formula', () => {
  it('prints one JSON object and exits 0; a bad document gives errors and exit 1', () => {
    const run = (input: string) =>
      spawnSync(process.execPath, ['--import', 'tsx', 'cli/formula.ts', '-'], {
        input,
        encoding: 'utf8',
      })
    const good = run(JSON.stringify(base))
    expect(good.status).toBe(0)
    expect(JSON.parse(good.stdout)).toMatchObject({
      grams: { oils: 1000, koh: 0, solution: null, liquids: {}, carriers: {} },
      parts: [],
      traits: { keeping: expect.any(Number) as number },
    })
    const bad = run('{ "format": ')
    expect(bad.status).toBe(1)
    expect(JSON.parse(bad.stdout).errors[0].says).toContain('not JSON')
    expect(bad.stderr).toBe('')
  })

  it('says so when the file is not there', () => {
    expect(() =>
      execFileSync(process.execPath, ['--import', 'tsx', 'cli/formula.ts', 'nowhere.json'], {
        stdio: 'pipe',
      }),
    ).toThrow(expect.objectContaining({ status: 1 }))
  })

  it('answers vector D with its milk and E with its potash', () => {
    const milk = { id: 'goat-milk', share: 0.4, moment: 'oils', way: 'poured' }
    const d = answer({ liquids: [milk] }) as {
      grams: { liquids: Record<string, number>; water: number }
      superfat: { total: number }
    }
    expect(d.grams.liquids['goat-milk']).toBeCloseTo(126.742, 3)
    expect(d.grams.water).toBeCloseTo(190.113, 3)
    expect(d.superfat.total).toBeCloseTo(0.0654, 4)
    const e = answer({ alkali: { kohShare: 0.1 } }) as { grams: { naoh: number; koh: number } }
    expect(e.grams.naoh).toBeCloseTo(122.882, 3)
    expect(e.grams.koh).toBeCloseTo(21.281, 3)
  })

  it('takes an own saponification value with a name', () => {
    const fats = [{ id: 'estuary-oil', name: 'Estuary oil', sap: 187, share: 1 }]
    const { grams } = answer({ fats }) as { grams: { naoh: number } }
    expect(grams.naoh).toBeCloseTo(187 * (39.997 / 56.1056) * 0.94, 6)
  })

  it('lets an unsafe document through with a stop', () => {
    const { remarks } = answer({ superfat: -0.02 }) as { remarks: object[] }
    expect(remarks[0]).toMatchObject({ id: 'superfat-negative', severity: 'stop' })
    expect(Object.keys(remarks[0]!)).toEqual(['id', 'severity', 'says', 'because', 'overridable'])
  })
})

describe('--check', () => {
  it('finds superfat and ratio from the grams', () => {
    expect(checkFormulaText({ ...known, lyeGrams: 136.5358, waterGrams: 300.3789 })).toMatchObject({
      superfat: expect.closeTo(0.06, 5),
      ratio: expect.closeTo(2.2, 5),
      remarks: [],
    })
  })

  it('takes back a solution, potash, purity and milk that the forward way weighed', () => {
    const extras = {
      alkali: { kohShare: 0.2, kohPurity: 0.9, solutionStrength: 0.5 },
      liquids: [{ id: 'goat-milk', share: 0.3 }],
      additives: [{ id: 'citric-acid-anhydrous', rate: 0.01, of: 'oils' }],
    }
    const { grams, superfat } = answer(extras) as {
      grams: { solution: number; koh: number; water: number }
      superfat: { total: number }
    }
    expect(
      checkFormulaText({
        ...known,
        ...extras,
        lyeGrams: grams.solution + grams.koh,
        waterGrams: grams.water,
      }),
    ).toMatchObject({
      superfat: expect.closeTo(superfat.total, 9),
      ratio: expect.closeTo(2.2, 9),
    })
  })

  it('stops at free lye', () => {
    const { superfat, remarks } = checkFormulaText({
      ...known,
      lyeGrams: 160,
      waterGrams: 150,
    }) as {
      superfat: number
      remarks: { id: string }[]
    }
    expect(superfat).toBeCloseTo(1 - 160 / 145.251, 5)
    expect(remarks.map(({ id }) => id)).toEqual(['superfat-negative', 'water-below-floor'])
  })

  it('refuses superfat and water beside them', () => {
    const { errors } = checkFormulaText({ ...base, lyeGrams: 1, waterGrams: 1 }) as {
      errors: { path: string }[]
    }
    expect(errors.map(({ path }) => path)).toEqual(['superfat', 'water'])
  })
})

describe('a bad document gives a path and a sentence', () => {
  const one = { id: 'olive', share: 1 }
  const bad: [string, object, string][] = [
    ['an unknown key', { colour: 'blue' }, 'colour'],
    ['an unknown key in a line', { fats: [{ ...one, percent: 5 }] }, 'fats[0].percent'],
    ['shares that miss 1', { fats: [{ id: 'olive', share: 0.9 }] }, 'fats'],
    ['a share that is text', { fats: [{ id: 'olive', share: 'all' }] }, 'fats[0].share'],
    ['an unknown fat', { fats: [{ id: 'gravel', share: 1 }] }, 'fats[0].id'],
    ['grams and shares mixed', { fats: [one, { id: 'lard', grams: 10 }] }, 'fats[1].grams'],
    ['no fats', { fats: [] }, 'fats'],
    ['another format', { format: 'soap' }, 'format'],
    ['another version', { version: 3 }, 'version'],
    ['lye half pure', { alkali: { naohPurity: 0.5 } }, 'alkali.naohPurity'],
    ['a value like a NaOH factor', { fats: [{ ...one, sap: 0.135 }] }, 'fats[0].sap'],
    [
      'an additive with two amounts',
      { additives: [{ id: 'salt', rate: 0.01, of: 'oils', grams: 3 }] },
      'additives[0]',
    ],
    ['a rate of nothing', { additives: [{ id: 'salt', rate: 0.01 }] }, 'additives[0].of'],
    [
      'too much milk',
      {
        liquids: [
          { id: 'goat-milk', share: 0.7 },
          { id: 'cow-milk', share: 0.6 },
        ],
      },
      'liquids',
    ],
    ['more ice than water', { iceShare: 1.5 }, 'iceShare'],
    ['parts that miss 1', { parts: [{ name: 'pale', share: 0.5 }] }, 'parts'],
    ['a part without a name', { parts: [{ name: ' ', share: 1 }] }, 'parts[0].name'],
    ['a mould without measures', { size: { by: 'mould', fill: 1 } }, 'size.mould'],
    [
      'a mould of an unknown shape',
      { size: { by: 'mould', mould: { shape: 'heart' } } },
      'size.mould.shape',
    ],
    ['bars of nothing', { size: { by: 'bars', count: 0, grams: 100 } }, 'size.count'],
    [
      'an unknown spoon',
      { additives: [{ id: 'salt', amount: { value: 2, unit: 'cup' } }] },
      'additives[0].amount.unit',
    ],
    ['an unknown pattern', { method: { patterns: ['spiral'] } }, 'method.patterns[0]'],
    [
      'a carrier that is not there',
      { additives: [{ id: 'rose-clay', grams: 5, carrier: { id: 'lard', ratio: 2 } }] },
      'additives[0].carrier.id',
    ],
    [
      'a batch smaller than its salt',
      { size: { by: 'batter', grams: 500 }, additives: [{ id: 'salt', grams: 600 }] },
      'size',
    ],
    ['no size', { size: undefined }, 'size'],
  ]
  it.each(bad)('%s', (_, changes, path) => {
    const { errors } = answer(changes) as { errors: { path: string; says: string }[] }
    const hit = errors.find((error) => error.path === path)
    expect(hit?.says, JSON.stringify(errors)).toMatch(/^["A-Z].*[.]$/)
  })

  it('a document that is no object', () => {
    expect(computeFormulaText([1])).toEqual({
      errors: [{ path: '', says: 'This must be an object with keys.' }],
    })
  })
})
