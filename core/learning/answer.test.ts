import { describe, expect, it } from 'vitest'
import type { BatchRecord } from '#contracts/learning'
import { library } from '../materials/library'
import { addDays } from '../units/days'
import { formatter } from '../units/formatter'
import { answerOf, nextTo } from './answer'
import { dayFigure, figureNames, figuresIn } from './figures'
import { gelNear } from './gelNear'
import { askedIn, readQuestion } from './reading'
import { settlingPair } from './settle'
import { sinceVersion } from './sinceVersion'
import { example, record } from '../../tests/support/record'

const say = formatter()
const names = figureNames(library)
const today = '2026-11-23'
const context = { names, today, say }
const anywhere = { formulaId: null, gel: 'any', since: null } as const
const ask = (cause: string, outcome: string, records: readonly BatchRecord[], within = {}) =>
  answerOf({ cause, outcome, within: { ...anywhere, ...within } }, records, context)!

/** Eleven loaves: five with citric acid, six without. */
const loaves = [
  ...[3, 3, 4, 2, 3].map((unmould) => record({ citric: 1, unmould, water: 2.5 })),
  ...[1, 2, 1, 2, 1, 2].map((unmould) => record({ citric: 0, unmould, water: 2.1 })),
]

describe('with and without', () => {
  it('is answered as counted by hand, with its chance and its band', () => {
    const answer = ask('citric', 'unmould', loaves)
    expect(answer.title).toBe('With citric acid, about 1.5 days longer in the mould.')
    expect(answer.rests).toBe(
      'Eleven batches. Dealt out by chance, they would part this far 4 times in 462.',
    )
    expect(answer.band).toBe('90 in 100: 1 to 2 days')
    expect(answer.kind).toBe('groups')
  })
  it('names what else differed, and takes it off the trust where it pulls the same way', () => {
    const answer = ask('citric', 'unmould', loaves)
    expect(answer.imbalances[0]).toMatchObject({
      id: 'water',
      says: 'Water 2.5 to 1, against 2.1 to 1',
      because: 'more water also stays soft',
      withIt: true,
    })
    expect(answer.trust).toBe('lean on it')
    expect(answer.trustSays).toMatch(/^Plan for 3 days, with citric acid\. It is no experiment: /)
    expect(answer.trustSays).toContain('part of it may come from that')
    const even = loaves.map((one) => ({ ...one, figures: { ...one.figures, water: 2.2 } }))
    expect(ask('citric', 'unmould', even).imbalances).toEqual([])
    // Five on a side are too few to settle anything, however far apart.
    expect(ask('citric', 'unmould', even).trust).toBe('lean on it')
    expect(ask('citric', 'unmould', [...even, ...even]).trust).toBe('settled')
  })
  it('of fewer than three on a side is too few, whatever they say', () => {
    const answer = ask('citric', 'unmould', loaves.slice(3))
    expect(answer).toMatchObject({
      trust: 'too few',
      title: 'Too few to tell.',
      shift: null,
      band: '',
    })
    expect(answer.trustSays).toContain('1 more with citric acid')
    expect(answer.sides[0]!.points).toHaveLength(2)
    expect(ask('citric', 'unmould', []).trust).toBe('too few')
  })
  it('that chance does as often is no difference', () => {
    const answer = ask('citric', 'unmould', [
      ...[1, 2, 3, 2].map((unmould) => record({ citric: 1, unmould })),
      ...[2, 1, 2, 3].map((unmould) => record({ citric: 0, unmould })),
    ])
    expect(answer).toMatchObject({ title: 'No difference seen.', trust: 'a hint' })
  })
  it('leaves out and says what never says it, and goes by what it is asked within', () => {
    const some = [...loaves, record({ citric: 1 }), record({ citric: 0 }), record({ unmould: 4 })]
    expect(ask('citric', 'unmould', some).leftOut).toEqual([
      { batches: 2, says: 'never say: days from pour to unmould' },
      { batches: 1, says: 'never say: with or without citric acid' },
    ])
    const other = loaves.map((one) => ({ ...one, formulaId: 'other', pouredOn: '2025-01-01' }))
    const both = [...loaves, ...other]
    expect(ask('citric', 'unmould', both, { formulaId: 'other' }).sides[0]!.points).toHaveLength(5)
    expect(ask('citric', 'unmould', both, { since: '2026-01-01' }).sides[1]!.points).toHaveLength(6)
    expect(ask('citric', 'unmould', both, { gel: 'gelled' }).sides[0]!.points).toHaveLength(0)
  })
  it('of a trouble compares how often, only of batches that stood long enough', () => {
    const spotted = (citric: number, seen: number | null, stood = 200) =>
      record(
        { citric, 'trouble:ash': Number(seen !== null) },
        {
          seen: seen === null ? {} : { ash: seen },
          pouredOn: addDays(today, -stood),
        },
      )
    const records = [
      ...[6, 6, 8, 4].map((day) => spotted(1, day)),
      spotted(1, null),
      ...Array.from({ length: 6 }, () => spotted(0, null)),
      // Five days old: it may still come.
      spotted(0, null, 5),
    ]
    const answer = ask('citric', 'trouble:ash', records)
    expect(answer.kind).toBe('shares')
    expect(answer.title).toBe('With citric acid, ash more often: 4 of 5, against 0 of 6.')
    expect(answer.leftOut).toEqual([{ batches: 1, says: 'have not stood long enough to show it' }])
    // Of the 462 ways to choose five of eleven, 7 hold all four ashy ones and one other.
    expect(answer.shift!.chance).toMatchObject({ times: 7, ways: 462 })
  })
  it('of a trouble by a figure lays both sides along it', () => {
    const records = [0.08, 0.09, 0.1].map((superfat) =>
      record({ superfat, 'trouble:orange-spots': 1 }, { seen: { 'orange-spots': 20 } }),
    )
    const spared = [0.04, 0.05, 0.05, 0.06].map((superfat) =>
      record({ superfat, 'trouble:orange-spots': 0 }),
    )
    const answer = ask('superfat', 'trouble:orange-spots', [...records, ...spared])
    expect(answer.kind).toBe('groups')
    expect(answer.axis.id).toBe('superfat')
    expect(answer.title).toBe('With orange spots, about 4 points more superfat.')
  })
  it('shows what gelled in part between the two, and counts it on no side', () => {
    const gel = (gelled: number, strength: number) => record({ gelled, strength })
    const answer = ask('strength', 'gelled', [
      ...[0.36, 0.37, 0.38].map((strength) => gel(1, strength)),
      ...[0.28, 0.29, 0.3].map((strength) => gel(0, strength)),
      gel(0.5, 0.33),
    ])
    expect(answer.between).toHaveLength(1)
    expect(answer.title).toBe('Gelled, about 8 points stronger lye.')
  })
})

describe('a trend', () => {
  const dried = [1.8, 2, 2.2, 2.4, 2.6, 2.8].map((water, nth) =>
    record({ water, dry: 30 + nth * 4 }),
  )
  it('is said for a step of its cause, by the middle of all slopes', () => {
    const answer = ask('water', 'dry', dried)
    // 4 days for 0.2: 10 for 0.5.
    expect(answer.title).toBe('10 days longer to dry, for 0.5 more water.')
    expect(answer.trend!.slope).toBeCloseTo(20, 9)
    expect(answer.trust).toBe('lean on it')
  })
  it('of fewer than four, or of one and the same, is none', () => {
    expect(ask('water', 'dry', dried.slice(0, 3)).trust).toBe('too few')
    const same = dried.map((one) => ({ ...one, figures: { ...one.figures, water: 2.2 } }))
    expect(ask('water', 'dry', same).trustSays).toContain('All of them have the same water')
  })
  it('over time goes by the day of the pour', () => {
    const months = Array.from({ length: 6 }, (_, nth) => {
      const pouredOn = addDays('2026-01-01', nth * 91)
      return record({ when: dayFigure(pouredOn), unmould: 3 - nth * 0.3 }, { pouredOn })
    })
    expect(ask('when', 'unmould', months).title).toBe(
      '0.3 days sooner out of the mould, three months on.',
    )
  })
})

describe('a question in a sentence', () => {
  const records = [
    record({
      citric: 1,
      unmould: 2,
      dry: 30,
      minutes: 9,
      hand: 0,
      froze: 0,
      torn: 0,
      superfat: 0.05,
      strength: 0.3,
      water: 2.2,
      humidity: 0.5,
      gelled: 1,
      scented: 1,
      'extra:kaolin': 1,
      'felt:rinseSpots': 4,
      'trouble:ash': 0,
      'trouble:orange-spots': 0,
      'fat:olive': 0.4,
    }),
  ]
  const reading = {
    figures: figuresIn(records, names),
    formulas: [{ id: 'hostel', name: 'Hostel Bar' }],
    today,
  }
  it.each([
    ['does citric keep a loaf longer in the mould', 'citric', 'unmould'],
    ['Does CITRIC ACID delay the dry day?', 'citric', 'dry'],
    ['scent and minutes', 'scented', 'minutes'],
    ['hand or blender: minutes to trace', 'hand', 'minutes'],
    ['does the freezer stop it tearing', 'froze', 'torn'],
    ['superfat and orange spots', 'superfat', 'trouble:orange-spots'],
    ['humidity and drying', 'humidity', 'dry'],
    ['gel by lye strength', 'strength', 'gelled'],
    ['is it the kaolin that brings ash', 'extra:kaolin', 'trouble:ash'],
    ['does gel make it dry quicker', 'gelled', 'dry'],
    ['olive and days to unmould', 'fat:olive', 'unmould'],
  ])('%s', (typed, cause, outcome) => {
    const read = readQuestion(typed, reading)
    expect([read.kind, read.cause, read.outcome, read.left]).toEqual(['with', cause, outcome, []])
    for (const { start, end } of read.meant) expect(typed.slice(start, end).trim()).not.toBe('')
    expect(askedIn(read)).toMatchObject({ cause, outcome })
  })
  it('names a formula, a day, two batches or a version', () => {
    expect(readQuestion('Hostel Bar days in the mould over time', reading)).toMatchObject({
      formulaId: 'hostel',
      cause: 'when',
      outcome: 'unmould',
    })
    expect(readQuestion('citric and unmoulding since September 2025', reading).since).toBe(
      '2025-09-01',
    )
    for (const typed of ['18 against 20', 'why was batch 20 slower than 18', 'batch 18, batch 20'])
      expect([...readQuestion(typed, reading).pair!].sort()).toEqual([18, 20])
    expect(readQuestion('did version 2 of Hostel Bar help the scum ring', reading)).toMatchObject({
      kind: 'version',
      version: 2,
      formulaId: 'hostel',
      outcome: 'felt:rinseSpots',
    })
  })
  it('that names one side, or nothing, is no question yet and says which words it does not know', () => {
    expect(askedIn(readQuestion('citric', reading))).toBeNull()
    expect(readQuestion('is the moon bluer', reading)).toMatchObject({
      kind: null,
      left: ['moon', 'bluer'],
    })
    for (const odd of ['', '   ', '????', '18', '2.5 and 3.5', 'a'.repeat(200), '🧼 und Öl'])
      expect(askedIn(readQuestion(odd, reading))).toBeNull()
  })
})

describe('next to a question', () => {
  it('stand other outcomes, what else differed, and the same in one formula', () => {
    const asked = { cause: 'citric', outcome: 'unmould', within: anywhere }
    const some = loaves.map((one) => ({ ...one, figures: { ...one.figures, dry: 40 } }))
    expect(
      nextTo(answerOf(asked, some, context)!, some, context).map((one) => [
        one.asked.cause,
        one.asked.outcome,
        one.asked.within.formulaId,
      ]),
    ).toEqual([
      ['citric', 'dry', null],
      ['water', 'unmould', null],
      ['citric', 'unmould', 'formula'],
    ])
  })
})

describe('the record of gel', () => {
  it('counts own batches of about the same lye, and none that nobody looked at', () => {
    const records = [
      record({ strength: 0.31, gelled: 1 }),
      record({ strength: 0.33, gelled: 0.5 }),
      record({ strength: 0.28, gelled: 0 }),
      record({ strength: 0.31 }),
      record({ strength: 0.36, gelled: 1 }),
    ]
    expect(gelNear(records, 0.31)).toEqual({ through: 1, part: 1, none: 1 })
  })
})

describe('the pair that settles it', () => {
  const citric = {
    ...example,
    additives: [{ id: 'citric-acid-anhydrous', rate: 0.01, of: 'oils' as const, carrier: null }],
  }
  const formulas = [
    { id: 'plain', document: { ...example, name: 'Plain' } },
    { id: 'formula', document: { ...citric, name: 'Hostel Bar' } },
  ]
  it('is a formula that has it, and the same without', () => {
    const pair = settlingPair('citric', formulas, loaves, library, say)!
    expect(pair).toMatchObject({ formulaId: 'formula', says: 'without citric acid' })
    expect(pair.other.additives).toEqual([])
    expect({ ...pair.other, additives: citric.additives, name: 'Hostel Bar' }).toEqual(
      formulas[1]!.document,
    )
  })
  it('of a figure goes to the far end of what the workshop does', () => {
    const pair = settlingPair('water', formulas, loaves, library, say)!
    expect(pair.other.water).toEqual({ held: 'ratio', value: 2.1 })
  })
  it('of the weather is none', () => {
    for (const cause of ['room', 'humidity', 'froze', 'when', 'batter', 'nothing'])
      expect(settlingPair(cause, formulas, loaves, library, say)).toBeNull()
    expect(settlingPair('citric', [formulas[0]!], loaves, library, say)).toBeNull()
  })
})

describe('whether a change did what it was for', () => {
  const version = (number: number, keptAt: string) => ({
    number,
    name: `Version ${number}`,
    purpose: '',
    changes: [],
    keptAt: `${keptAt}T08:00:00Z`,
    formulaId: 'formula',
  })
  const poured = (pouredOn: string) => record({ unmould: 2 }, { pouredOn })
  const records = ['2026-01-05', '2026-02-05', '2026-03-05', '2026-04-05', '2026-05-05'].map(poured)
  const versions = [version(2, '2026-03-01'), version(1, '2026-02-01'), version(3, '2026-05-01')]
  it('holds the batches since it against those of the version before', () => {
    const of = (number: number | null) =>
      sinceVersion(records, versions, number)!.records.map(({ pouredOn, figures }) => [
        pouredOn.slice(5, 7),
        figures.version,
      ])
    expect(of(2)).toEqual([
      ['02', 0],
      ['03', 1],
      ['04', 1],
    ])
    expect(of(null)).toEqual([
      ['03', 0],
      ['04', 0],
      ['05', 1],
    ])
    expect(sinceVersion(records, versions, 9)).toBeNull()
  })
})
