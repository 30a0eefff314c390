import { execFileSync, spawnSync } from 'node:child_process'
import { describe, expect, it } from 'vitest'
import { checkFormulaText, computeFormulaText, readRecipeText } from './answers'

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

describe('npm run -s formula -- --read', () => {
  const read = (text: string) =>
    readRecipeText(text) as {
      lines: {
        kind: string
        id: string | null
        grams: number | null
        doubtful: boolean
        candidates?: object[]
      }[]
      superfat: number | null
      superfatRange: [number, number] | null
      ratio: number | null
      strength: number | null
      verdicts: { severity: string; says: string; because: string }[]
    }

  it('shares with a total, on one line', () => {
    const { lines, superfat, verdicts } = read('60% lard 40% coconut 6% superfat 800 grams')
    expect(lines.map(({ kind }) => kind)).toEqual(['fat', 'fat', 'superfat', 'size'])
    expect(lines.every(({ doubtful }) => !doubtful)).toBe(true)
    expect(superfat).toBeNull()
    expect(verdicts[0]!.says).toBe('No lye found in it.')
  })

  it('amounts in the recipe’s own unit, and lye by its strength as the alkali it holds', () => {
    const { lines, superfat, ratio } = read(
      '500 g olive oil\n250 g coconut oil\nlye solution 50% 206, water 100',
    )
    expect(lines[2]).toMatchObject({ kind: 'lye', grams: 103, doubtful: false })
    expect(lines[3]).toMatchObject({ kind: 'water', grams: 100 })
    // (500·190 + 250·257)/1000 · F = 113.5275
    expect(superfat).toBeCloseTo(1 - 103 / 113.5275, 4)
    expect(ratio).toBeCloseTo(203 / 103, 6)
  })

  it('vinegar counts by its strength: 6.7 per cent and not 49', () => {
    const { superfat } = read('500 g olive oil\n66.5 g NaOH\n100 g vinegar\n100 g water')
    // 67.7244 g would take it all; 66.5 less 3.33 for the vinegar
    expect(superfat).toBeCloseTo(1 - (66.5 - 3.33) / 67.7244, 4)
  })

  it('what is open leaves no superfat and no good verdict, but a span', () => {
    const found = read('400 g olive oil\n300 g lye solution\n100 g water')
    expect(found.superfat).toBeNull()
    expect(found.lines[1]!.candidates).toHaveLength(3)
    expect(found.superfatRange![0]).toBeLessThan(found.superfatRange![1])
    expect(found.verdicts.map(({ severity }) => severity)).not.toContain('know')
    const sour = read('500 g olive oil\n20 g baking soda\n190 g water')
    expect(sour.lines[1]).toMatchObject({ kind: 'unknown', doubtful: true })
  })

  it.each(['', 'hello there', 'Melt everything and stir until it looks like custard'])(
    'nothing to read in "%s"',
    (text) => {
      expect(readRecipeText(text)).toMatchObject({ errors: [{ path: '' }] })
    },
  )
})

describe('names that mean lye or water', () => {
  it.each([
    [{ scents: [{ id: 'x', name: 'sodium hydroxide 65 g', grams: 65 }] }, 'scents[0].name'],
    [{ scents: [{ id: 'lye', grams: 65 }] }, 'scents[0].id'],
    [{ fats: [{ id: 'own-caustic', name: 'Caustic soda', sap: 190, share: 1 }] }, 'fats[0].name'],
    [{ additives: [{ id: 'own-distilled-water', grams: 65 }] }, 'additives[0].id'],
  ])('are refused by path: %j', (changes, path) => {
    const { errors } = answer(changes) as { errors: { path: string }[] }
    expect(errors.map((error) => error.path)).toContain(path)
  })
})

describe('what a scale can weigh stands beside the exact figures', () => {
  it('whole grams, rounded down for the lye, and the superfat that has', () => {
    const found = answer({}) as { grams: { naoh: number }; onScale?: { superfat: number } }
    const whole = computeFormulaText({ ...base, size: { by: 'oils', grams: 1000 } }, 1) as {
      grams: { naoh: number }
      onScale: { scale: number; grams: { naoh: number }; superfat: number; lyeJugs: number }
    }
    expect(found.onScale).toBeDefined()
    expect(whole.onScale.scale).toBe(1)
    expect(whole.onScale.grams.naoh).toBe(Math.floor(whole.grams.naoh))
    expect(whole.onScale.lyeJugs).toBe(1)
  })
})
