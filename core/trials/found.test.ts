import { trialSchema, type NewTrialEvent, type Trial, type TrialEvent } from '#contracts/trial'
import { describe, expect, it } from 'vitest'
import { knownAfter, scentRecord, triedPot } from '../../tests/support/knownScent'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { library } from '../materials/library'
import { byWater } from '../scents/byWater'
import { findingOf } from '../scents/finding'
import { knownScents } from '../scents/known'
import { formatter } from '../units/formatter'
import { foundIn, roundOf, stateOf } from './found'
import { eventsFromPad, padFaults, type PadLine } from './fromPaper'
import { dueByEye, jarsFor, nextNoses, noseDayOf } from './jars'
import {
  foretoldOf,
  nextStage,
  plainBarPerOils,
  plainMinutes,
  plainOilShare,
  plainRatio,
  potGel,
  potOrder,
  scentsNeeded,
  trialBatters,
} from './plan'
import { stretchesOf } from './stretches'
import { whyNotOfTrial } from './whyNot'

const start = Date.parse('2026-03-01T10:00:00Z')
let count = 0
const idOf = (nth: number) => `00000000-0000-7000-8000-${String(nth).padStart(12, '0')}`
const at = (minute: number, event: NewTrialEvent, id = idOf(count++)): TrialEvent =>
  ({ ...event, id, at: new Date(start + minute * 60_000).toISOString() }) as TrialEvent
const lilac = idOf(901)
const fir = idOf(902)
const formula = {
  ...blankFormula('Hostel Bar'),
  fats: [
    { id: 'olive', share: 0.7, moment: 'pot' as const, inLye: true },
    { id: 'coconut', share: 0.3, moment: 'pot' as const, inLye: true },
  ],
}
const trial = (pots: Partial<Trial['pots'][number]>[]): Trial =>
  trialSchema.parse({
    number: 1,
    day: '2026-03-01',
    formulaId: idOf(900),
    formula,
    pots: pots.map((pot, nth) => ({
      code: ['KF4', 'NA7', 'YH7', 'AXE', 'TTT'][nth],
      scentId: null,
      name: 'Plain',
      grams: 60,
      rate: pot.scentId ? 0.05 : 0,
      ratio: 2.14,
      oilShare: 0.7,
      ...pot,
    })),
  })
const marked = (pot: number, saw: (NewTrialEvent & { kind: 'marked' })['saw'], unsure = false) =>
  ({ kind: 'marked', pot, saw, unsure }) as const

describe('what a round finds', () => {
  const day = trial([{}, { scentId: lilac, name: 'White lilac' }])
  const events = [
    at(0, { kind: 'began', paper: false }),
    at(5, { kind: 'weighed', pot: 1, what: 'batter', grams: 59.8, typed: true }),
    at(10, { kind: 'weighed', pot: 1, what: 'scent', grams: 2.23, typed: true }),
    at(10, { kind: 'zeroed', pot: 1 }),
    at(11, marked(1, 'rices')),
    at(13, marked(1, 'smooth-again')),
    at(15, marked(1, 'medium', true)),
    at(20, marked(1, 'too-far')),
    at(20, { kind: 'lidded', pot: 1, on: true }),
    at(42, marked(0, 'medium')),
    at(50, { kind: 'noted', pot: 1, says: 'sharp', photo: null }),
    at(60, { kind: 'ended' }),
  ]
  const [plain, scented] = foundIn(day, events)
  it('each pot by its own clock, the plain one’s from the middle of the others’', () => {
    expect(scented).toMatchObject({ zero: 10, until: 20, seized: null, loosened: false })
    expect(scented!.stages.medium).toEqual({ minutes: 5, unsure: true })
    expect(scented!.stages['too-far']!.minutes).toBe(10)
    expect(scented!.riced).toEqual({ from: 1, to: 3 })
    expect(scented!.notes).toEqual(['sharp'])
    expect(plain).toMatchObject({ zero: 10, until: 60, reading: null, rate: 0 })
    expect(plain!.stages.medium!.minutes).toBe(32)
  })
  it('the rate it really had, marked where it is off, and what it says of time', () => {
    // 2.23 g in 59.8 g of batter that is 70 % oils: 5.33 %.
    expect(scented!.rate).toBeCloseTo(2.23 / (59.8 * 0.7), 12)
    expect(scented!.off).toBe(true)
    expect(scented!.reading).toMatchObject({ d: Math.log(5 / 32), is: 'seen', unsure: true })
  })
  it('all that was told of a pot: the notes and photos of it, what it did, when it was looked at', () => {
    const photo = idOf(950)
    const more = [
      ...events.slice(0, 5),
      at(12, marked(1, 'loosens')),
      at(12, marked(1, 'separates')),
      at(14, { kind: 'looked', pot: 1 }),
      at(16, marked(1, 'seizes')),
      at(17, { kind: 'noted', pot: null, says: 'the door stood open', photo: null }),
      at(18, { kind: 'noted', pot: 1, says: 'Photo', photo }),
    ]
    const [before, pot] = foundIn(day, more)
    expect(pot).toMatchObject({ seized: 6, loosened: true, separated: true, photos: [photo] })
    expect(pot!.notes).toEqual(['Photo'])
    expect(before).toMatchObject({
      seized: null,
      loosened: false,
      separated: false,
      off: false,
      photos: [],
      notes: [],
      batter: 60,
      scent: 0,
    })
    const round = roundOf(day, more)
    expect(round).toMatchObject({ beganAt: start, paper: false, ended: false })
    expect(round.pots[1]).toMatchObject({ batter: 59.8, scent: 2.23, zero: 10, lookedAt: 16 })
    expect(round.pots[1]!.notes).toEqual([{ says: 'Photo', photo, minutes: 18 }])
    expect(round.pots[0]).toMatchObject({ batter: null, scent: null, zero: null, lookedAt: null })
    // What is told weeks later does not make the hour at the bench longer.
    const sniffed = {
      kind: 'sniffed',
      nose: 'Jo',
      day: 1,
      strengths: [],
      apart: false,
    } as NewTrialEvent
    expect(roundOf(day, [...more, at(1440, sniffed)]).pots[0]!.until).toBe(18)
    expect(roundOf(day, []).pots[0]).toMatchObject({ until: 0, marks: [] })
    expect(roundOf(day, [at(3, { kind: 'began', paper: true })])).toMatchObject({ paper: true })
  })
  it('what was not weighed is taken as planned, and is not off', () => {
    const [, pot] = foundIn(day, [
      at(0, { kind: 'began', paper: false }),
      at(4, { kind: 'zeroed', pot: 1 }),
    ])
    expect(pot).toMatchObject({ batter: 60, off: false, zero: 4 })
    expect(pot!.scent).toBeCloseTo(60 * 0.7 * 0.05, 12)
    expect(pot!.rate).toBeCloseTo(0.05, 12)
    // Nobody has begun: a plain pot has no stages, and none is at its zero.
    expect(foundIn(day, []).map(({ stages, reading }) => [stages, reading])).toEqual([
      [{}, null],
      [{}, null],
    ])
  })
  it('what was taken back never was, and a lid that was lifted is off', () => {
    const back = [...events, at(61, { kind: 'undone', event: events[6]!.id })]
    expect(foundIn(day, back)[1]!.stages.medium).toEqual({ minutes: 10, unsure: false })
    const lifted = [...events.slice(0, 9), at(25, { kind: 'lidded', pot: 1, on: false })]
    expect(roundOf(day, lifted, start + 30 * 60_000).pots[1]).toMatchObject({
      lidded: null,
      until: 30,
    })
    expect(roundOf(day, lifted).pots[1]!.until).toBe(25)
  })
  it('a pot whose scent nobody stirred in says nothing', () => {
    const without = events.filter(({ kind }) => kind !== 'zeroed')
    const [, pot] = foundIn(day, without)
    expect(pot).toMatchObject({ stages: {}, riced: null, reading: null })
  })
  it('is planned, going, done; with the days that noses were here', () => {
    expect(stateOf([]).state).toBe('planned')
    expect(stateOf(events.slice(0, 3)).state).toBe('going')
    const sniffed = at(1440, {
      kind: 'sniffed',
      nose: 'Jo',
      day: 1,
      strengths: [{ pot: 1, strength: 3 }],
      apart: false,
    })
    expect(stateOf([...events, sniffed])).toEqual({ state: 'done', sniffed: [1] })
    expect(foundIn(day, [...events, sniffed])[1]!.strength).toEqual([
      { nose: 'Jo', day: 1, strength: 3 },
    ])
    // Each pot has its own; what it smelt of goes with it; days in their order.
    const more = at(43_200, {
      kind: 'sniffed',
      nose: 'Maren',
      day: 30,
      strengths: [
        { pot: 0, strength: 0 },
        { pot: 1, strength: 2, words: ['smoky'], unsure: true },
      ],
      apart: false,
    })
    const both = [...events, more, sniffed]
    expect(stateOf(both).sniffed).toEqual([1, 30])
    expect(foundIn(day, both).map(({ strength }) => strength)).toEqual([
      [{ nose: 'Maren', day: 30, strength: 0 }],
      [
        { nose: 'Maren', day: 30, strength: 2, words: ['smoky'] },
        { nose: 'Jo', day: 1, strength: 3 },
      ],
    ])
    // One whose nose smelt plain soap is kept and does not count.
    const apart = { ...sniffed, apart: true } as TrialEvent
    expect(foundIn(day, [...events, apart])[1]!.strength).toEqual([])
  })
  it('colour by day, from the plain one in the same photo', () => {
    const coloured = (after: number, b: number, photo: string | null = null) =>
      at(after * 1440, {
        kind: 'coloured',
        pot: 1,
        day: after,
        sample: { l: 50, a: 0, b: -82.7485 },
        plain: { l: 50, a: 2.6772, b },
        swatch: '#aabbcc',
        plainSwatch: '#ddeeff',
        card: true,
        photo,
      })
    const [, pot] = foundIn(day, [...events, coloured(14, -79.7751), coloured(1, -79.7751)])
    expect(foundIn(day, [...events, coloured(1, -79)])[0]!.colour).toEqual([])
    const [, shot] = foundIn(day, [...events, coloured(1, -79.7751, idOf(951))])
    expect([shot!.colour[0]!.photo, pot!.colour[0]!.photo]).toEqual([idOf(951), undefined])
    expect(pot!.colour.map(({ day: on }) => on)).toEqual([1, 14])
    expect(pot!.colour[0]!.from).toBeCloseTo(2.0425, 4)
  })
  it('compares with plain batter of the same water where there is some', () => {
    const waters = trial([
      {},
      { scentId: fir, name: 'Fir' },
      { ratio: 2.8 },
      { scentId: fir, name: 'Fir', ratio: 2.8 },
    ])
    const found = foundIn(waters, [
      at(0, { kind: 'began', paper: false }),
      at(10, { kind: 'zeroed', pot: 1 }),
      at(10, { kind: 'zeroed', pot: 3 }),
      at(13, marked(1, 'medium')),
      at(24, marked(3, 'medium')),
      at(40, marked(0, 'medium')),
      at(66, marked(2, 'medium')),
      at(70, { kind: 'ended' }),
    ])
    expect(found[1]!.reading!.d).toBeCloseTo(Math.log(3 / 30), 12)
    expect(found[3]!.reading!.d).toBeCloseTo(Math.log(14 / 56), 12)
  })
})

describe('a day from its paper pad', () => {
  const day = trial([{}, { scentId: lilac, name: 'White lilac' }])
  const line = (more: Partial<PadLine>): PadLine => ({
    batter: 60,
    scent: null,
    zero: null,
    stages: {},
    riced: null,
    smooth: null,
    note: '',
    ...more,
  })
  it('comes to what the same day at the bench comes to', () => {
    const pad = [
      line({ stages: { medium: 42 } }),
      line({
        scent: 2.1,
        zero: 10,
        stages: { medium: 5, 'too-far': 10 },
        riced: 1,
        smooth: 3,
        note: 'sharp',
      }),
    ]
    expect(padFaults(day, pad)).toEqual([])
    let nth = 5000
    const events = eventsFromPad(day, pad, {
      startedAt: start,
      until: 60,
      newId: () => idOf(nth++),
    })
    expect(stateOf(events).state).toBe('done')
    const [plain, scented] = foundIn(day, events)
    expect(plain!.stages.medium!.minutes).toBe(32)
    expect(scented).toMatchObject({
      zero: 10,
      until: 20,
      riced: { from: 1, to: 3 },
      notes: ['sharp'],
    })
    expect(scented!.reading!.d).toBeCloseTo(Math.log(5 / 32), 12)
    expect(new Set(events.map(({ id }) => id)).size).toBe(events.length)
  })
  it('each blank that is filled is one thing that happened, by the shared clock and in its order', () => {
    const pad = [
      line({ batter: null, scent: 3, zero: 5, stages: { light: 20 } }),
      line({
        batter: 59,
        scent: 2.1,
        zero: 10,
        stages: { light: 4, medium: 8, 'too-far': 50 },
        note: ' sharp ',
      }),
    ]
    const events = eventsFromPad(day, pad, { startedAt: start, until: 40, newId: () => idOf(1) })
    const told = events.map(({ id: _, at: when, ...event }) => [
      (Date.parse(when) - start) / 60_000,
      event,
    ])
    const by = { typed: true, pot: 1 }
    const seen = { kind: 'marked', pot: 1, unsure: false }
    expect(told).toEqual([
      [0, { kind: 'began', paper: true }],
      [0, { ...by, kind: 'weighed', what: 'batter', grams: 59 }],
      [10, { ...by, kind: 'weighed', what: 'scent', grams: 2.1 }],
      [10, { kind: 'zeroed', pot: 1 }],
      [14, { ...seen, saw: 'light' }],
      [18, { ...seen, saw: 'medium' }],
      // A plain pot has no scent, whatever stands there, and no clock of its own.
      [20, { ...seen, pot: 0, saw: 'light' }],
      [40, { kind: 'noted', pot: 1, says: 'sharp', photo: null }],
      [60, { ...seen, saw: 'too-far' }],
      [60, { kind: 'lidded', pot: 1, on: true }],
      [60, { kind: 'ended' }],
    ])
    const bare = eventsFromPad(day, [line({ batter: null }), line({ batter: null, note: ' ' })], {
      startedAt: start,
      until: 40,
      newId: () => idOf(1),
    })
    expect(bare.map(({ kind }) => kind)).toEqual(['began', 'ended'])
  })
  it('two stages in one minute go together, as do grains that were smooth at once', () => {
    const pad = [line({}), line({ zero: 10, stages: { light: 5, medium: 5 }, riced: 3, smooth: 3 })]
    expect(padFaults(day, pad)).toEqual([])
    expect(padFaults(day, [line({}), line({ smooth: 3 })])).toEqual([])
    expect(padFaults(day, [line({ stages: { light: 5 } }), line({})])).toEqual([])
  })
  it.each<[Partial<PadLine>, string]>([
    [{ stages: { medium: 5 } }, 'at which minute'],
    [{ riced: 1 }, 'at which minute'],
    [{ zero: 10, stages: { light: 9, medium: 5 } }, 'a later stage came before'],
    [{ zero: 10, riced: 5, smooth: 3 }, 'smooth again before it riced'],
  ])('%j is asked about', (more, says) => {
    expect(padFaults(day, [line({}), line(more)])[0]).toMatchObject({ line: 1 })
    expect(padFaults(day, [line({}), line(more)])[0]!.says).toContain(says)
  })
})

describe('a planned day', () => {
  const pots = trial([{}, { scentId: lilac }, { scentId: fir }]).pots
  it('a dose is of the plain batter: before colour and scent, at its own water', () => {
    const share = plainOilShare(formula, 2.14, library)
    const byHand = computeFormula({ ...formula, water: { held: 'ratio', value: 2.14 } }, library)
    expect(share).toBeCloseTo(byHand.oils / byHand.batter, 9)
    const scented = {
      ...formula,
      scents: [{ id: 'x', rate: 0.05, of: 'oils' as const, moment: 'trace' as const }],
      additives: [{ id: 'titanium-dioxide', rate: 0.01, of: 'oils' as const, carrier: null }],
    }
    expect(plainOilShare(scented, 2.14, library)).toBeCloseTo(share, 9)
    expect(plainRatio(scented, library)).toBeCloseTo(2.2, 9)
    expect(plainBarPerOils(formula, library)).toBeCloseTo(byHand.longDried / byHand.oils, 2)
  })
  it('batter for all pots of a water, and 8 % more', () => {
    const two = [...pots, { ...pots[1]!, ratio: 1.9 }]
    const batters = trialBatters({ formula, pots: two }, library)
    expect(batters.map(({ ratio, pots: all }) => [ratio, all])).toEqual([
      [1.9, 1],
      [2.14, 3],
    ])
    expect(batters[1]!.grams).toBeCloseTo(180 * 1.08, 9)
    expect(batters[1]!.result.batter).toBeCloseTo(180 * 1.08, 6)
    expect(batters[0]!.result.water.ratio).toBeCloseTo(1.9, 9)
  })
  it('plain first, slow ones next, racers last, a second plain one among them', () => {
    const none = { scentId: null }
    const some = { scentId: lilac }
    expect(potOrder([some, some, none, some], [5, 40, 32, 20])).toEqual([2, 1, 3, 0])
    expect(potOrder([none, none, some, some, some, some], [32, 32, 40, 30, 20, 5])).toEqual([
      0, 2, 3, 1, 4, 5,
    ])
  })
  it('what is foretold follows own plain pots, own trials, and widens where little is known', () => {
    const earlier = [{ document: trial([{}]), found: [{ ...triedPot('x', 30), scentId: null }] }]
    const model = plainMinutes({ formula, formulaId: idOf(900) }, 2.14, [], library)
    const own = plainMinutes({ formula, formulaId: idOf(900) }, 2.14, earlier, library)
    expect(model.plain).toBe(0)
    expect(own).toMatchObject({ at: 30, plain: 1 })
    expect(own.to / own.from).toBeLessThan(model.to / model.from)
    expect(plainMinutes({ formula, formulaId: idOf(1) }, 2.14, earlier, library).plain).toBe(0)
    expect(plainMinutes({ formula, formulaId: null }, 2.14, earlier, library).plain).toBe(0)
    // Only plain pots of this formula and water that got to medium count, by their middle.
    const others = [
      {
        document: trial([{}]),
        found: [
          { ...triedPot('x', 40), scentId: null },
          { ...triedPot('x', 90), scentId: null, ratio: 2.8 },
          { ...triedPot('x', 90), scentId: null, stages: {} },
          triedPot(lilac, 2),
        ],
      },
      {
        document: { ...trial([{}]), formulaId: idOf(1) },
        found: [{ ...triedPot('x', 2), scentId: null }],
      },
    ]
    const middle = plainMinutes(
      { formula, formulaId: idOf(900) },
      2.14,
      [...earlier, ...others],
      library,
    )
    expect(middle).toMatchObject({ at: 35, plain: 2, pots: 0 })
    expect(middle.from).toBeLessThan(35)
    expect(middle.to).toBeCloseTo(35 ** 2 / middle.from, 9)
    const at5 = { rate: 0.05, ratio: 2.14 }
    const racer = foretoldOf(own, knownAfter(lilac, [triedPot(lilac, 5), triedPot(lilac, 5)]), at5)
    const unknown = foretoldOf(own, knownAfter(lilac, []), at5)
    expect(racer.at).toBeLessThan(8)
    expect(racer.to / racer.from).toBeLessThan(unknown.to / unknown.from)
    expect(foretoldOf(own, null, at5)).toEqual(own)
  })
  it('grams of each scent, and whether a small pot gels as the loaf does', () => {
    expect(scentsNeeded([...pots, pots[1]!])).toEqual([
      { scentId: lilac, grams: 60 * 0.7 * 0.05 * 2, pots: 2 },
      { scentId: fir, grams: 60 * 0.7 * 0.05, pots: 1 },
    ])
    const loaf = {
      ...formula,
      method: { ...formula.method, gel: 'force' as const },
      size: {
        by: 'mould' as const,
        mould: { shape: 'box' as const, lengthMm: 250, widthMm: 120, depthMm: 110 },
        fill: 1,
      },
    }
    const cold = potGel({ formula: loaf, grams: 60, keptC: null }, library)
    expect(cold.loaf.verdict).toBe('gels')
    expect(cold.same).toBe(false)
    expect(potGel({ formula: loaf, grams: 60, keptC: 80 }, library).same).toBe(true)
  })
})

describe('what comes next', () => {
  it('the next stage, by when medium is foretold; after the last none', () => {
    expect(
      (['emulsion', 'light', 'medium', 'thick', 'too-far'] as const).map((stage) =>
        nextStage(stage, { at: 50 }),
      ),
    ).toEqual([
      { stage: 'light', at: 25 },
      { stage: 'medium', at: 50 },
      { stage: 'thick', at: 78.5 },
      { stage: 'too-far', at: 107 },
      null,
    ])
  })
  it('an eye is wanted from each of its days on, until somebody has looked since', () => {
    const due = (day: number, ...seen: number[]) =>
      dueByEye(
        seen.map((one) => ({ day: one })),
        day,
      )
    expect([due(0), due(1), due(13, 1), due(14, 1), due(14, 14), due(29, 20)]).toEqual([
      false,
      true,
      false,
      true,
      false,
      false,
    ])
    expect([due(30, 20), due(400, 89), due(400, 90), due(400, 1, 91)]).toEqual([
      true,
      true,
      false,
      false,
    ])
  })
})

describe('jars and noses', () => {
  const done = (day: string, sniffed: number[]) => ({
    id: idOf(903),
    revision: 1,
    changedAt: '',
    changedBy: '',
    document: { ...trial([{}, { scentId: lilac }]), day },
    state: 'done' as const,
    found: [
      { ...triedPot('x', 30), pot: 0, scentId: null, zero: 10 },
      { ...triedPot(lilac, 5), pot: 1 },
      // Never dosed: there is no jar.
      { ...triedPot(fir, 5), pot: 2, zero: 0 },
    ],
    sniffed,
  })
  it.each<[string, number[], number | null]>([
    ['2026-03-01', [], null],
    ['2026-03-02', [], 1],
    ['2026-03-14', [1], null],
    ['2026-03-15', [1], 14],
    // A day that nobody sniffed on is not made up for later.
    ['2026-03-31', [1], 30],
    ['2026-06-30', [1, 14, 30, 60], 90],
    ['2026-06-30', [90], null],
  ])('on %s with %j done: day %s', (today, sniffed, day) => {
    expect(noseDayOf(done('2026-03-01', sniffed), today)).toBe(day)
  })
  it('are pooled over days, plain ones among them, and the next is known', () => {
    const days = [done('2026-03-01', [1]), done('2026-03-14', [])]
    expect(jarsFor(days, '2026-03-15').map(({ pot, day }) => [pot, day])).toEqual([
      [0, 14],
      [1, 14],
      [0, 1],
      [1, 1],
    ])
    expect(nextNoses(days, '2026-03-15')[0]).toMatchObject({ on: '2026-03-28', after: 14 })
    expect(noseDayOf({ ...days[0]!, state: 'going' }, '2026-03-15')).toBeNull()
    // Of several days the soonest first; one whose last has passed wants none.
    const all = [done('2026-03-14', []), ...days, done('2025-01-01', [])]
    expect(nextNoses(all, '2026-03-15').map(({ on }) => on)).toEqual([
      '2026-03-28',
      '2026-03-28',
      '2026-03-31',
    ])
    expect(nextNoses([{ ...days[0]!, state: 'planned' }], '2026-03-15')).toEqual([])
    expect(jarsFor([done('2026-03-15', [])], '2026-03-15')).toEqual([])
  })
})

describe('what is known and said of a scent', () => {
  const say = formatter()
  it('a blend by its parts, until it is tried itself', () => {
    const scents = [
      {
        id: 'c',
        document: scentRecord('Both', {
          kind: 'blend',
          parts: [
            { scentId: lilac, parts: 1 },
            { scentId: fir, parts: 3 },
          ],
        }),
      },
      { id: lilac, document: scentRecord('Lilac', { maxima: { wash: 0.02 } }) },
      { id: fir, document: scentRecord('Fir', { maxima: { wash: 0.1 } }) },
    ].map((one) => ({
      ...one,
      document: {
        ...one.document,
        parts: one.document.parts,
      },
    }))
    const pots = [triedPot(lilac, 5), triedPot(fir, 60)]
    const known = knownScents(scents, pots)
    const blend = known.get('c')!
    expect(blend.fromParts).toBe(true)
    // 1/(0.25/0.02 + 0.75/0.1) = 0.05
    expect(blend.maxima.wash).toBeCloseTo(0.05, 12)
    const [one, other] = [known.get(lilac)!.effect, known.get(fir)!.effect]
    expect(blend.effect.b).toBeCloseTo(0.25 * one.b + 0.75 * other.b, 12)
    expect(blend.effect.sd).toBeCloseTo(Math.hypot(0.25 * one.sd, 0.75 * other.sd), 12)
    const tried = knownScents(scents, [...pots, triedPot('c', 20)]).get('c')!
    expect(tried.fromParts).toBe(false)
    expect(tried.effect.pots).toBe(1)
  })
  it.each<[string, Parameters<typeof triedPot>[2] & { medium?: number }, string]>([
    ['plainly', {}, '12 min to medium'],
    ['riced', { riced: { from: 1, to: 2 } }, '12 min to medium, rices'],
    ['riced for long', { riced: { from: 2, to: 6.5 } }, '12 min, rices for 5 min'],
    ['loosened', { loosened: true }, '12 min, loosens the batter'],
    ['seized', { seized: 0.7 }, 'seizes at 0:42'],
    [
      'browned',
      { colour: [{ day: 90, from: 19, swatch: '#000000', plain: '#ffffff', card: true }] },
      '12 min, browns the bar',
    ],
    [
      'tanned',
      { colour: [{ day: 90, from: 7.8, swatch: '#000000', plain: '#ffffff', card: true }] },
      '12 min, turns tan',
    ],
    ['faded', { strength: [{ nose: 'Jo', day: 30, strength: 0 }] }, '12 min, gone by day 30'],
    ['too slow', { stages: {} }, 'over an hour to medium'],
  ])('%s', (_, more, says) => {
    expect(findingOf(knownAfter(lilac, [triedPot(lilac, 12, more)]), say).says).toBe(says)
  })
  it('by water, pots of nearly the same one together', () => {
    const known = knownAfter(fir, [
      triedPot(fir, 3, { ratio: 2.14 }),
      triedPot(fir, 5, { ratio: 2.2 }),
      triedPot(fir, 14, { ratio: 2.8 }),
    ])
    expect(byWater(known)).toEqual([
      { ratio: 2.14, pots: 2, medium: 4, stiff: 8 },
      { ratio: 2.8, pots: 1, medium: 14, stiff: 28 },
    ])
  })
  it('a ribbon ends a little after past pouring, or where it was watched last', () => {
    const reached = (minutes: number) => ({ minutes, unsure: false })
    expect(stretchesOf({ light: reached(2), medium: reached(5) }, 20)).toEqual([
      { stage: 'emulsion', from: 0, to: 2 },
      { stage: 'light', from: 2, to: 5 },
      { stage: 'medium', from: 5, to: 20 },
    ])
    expect(stretchesOf({ 'too-far': reached(10) }, 60).at(-1)).toEqual({
      stage: 'too-far',
      from: 10,
      to: 11.1,
    })
  })
})

describe('what cannot be told of a trial day', () => {
  const day = trial([{}, { scentId: lilac }])
  it.each<[NewTrialEvent, string | null]>([
    [{ kind: 'weighed', pot: 0, what: 'scent', grams: 2, typed: true }, 'That pot is plain'],
    [{ kind: 'weighed', pot: 1, what: 'scent', grams: 2, typed: true }, null],
    [{ kind: 'zeroed', pot: 7 }, 'There is no pot 8'],
    [{ kind: 'noted', pot: 9, says: 'x', photo: null }, 'There is no pot 10'],
    [{ kind: 'noted', pot: null, says: 'x', photo: null }, null],
    [
      { kind: 'sniffed', nose: 'Jo', day: 1, strengths: [{ pot: 5, strength: 0 }], apart: false },
      'There is no pot 6',
    ],
    [{ kind: 'undone', event: idOf(77) }, 'never written down'],
    [{ kind: 'weighed', pot: 0, what: 'batter', grams: 60, typed: true }, null],
    [{ kind: 'weighed', pot: 7, what: 'scent', grams: 2, typed: true }, 'There is no pot 8'],
    [
      {
        kind: 'coloured',
        pot: 7,
        day: 1,
        sample: { l: 50, a: 0, b: 0 },
        plain: { l: 50, a: 0, b: 0 },
        swatch: '#000000',
        plainSwatch: '#000000',
        card: false,
        photo: null,
      },
      'There is no pot 8',
    ],
    [{ kind: 'ended' }, null],
  ])('%j', (event, says) => {
    const why = whyNotOfTrial(day, [], at(1, event))
    if (says === null) expect(why).toBeNull()
    else expect(why).toContain(says)
  })
  it('what was written down can be taken back', () => {
    const event = at(1, { kind: 'zeroed', pot: 1 })
    expect(whyNotOfTrial(day, [event], at(2, { kind: 'undone', event: event.id }))).toBeNull()
    expect(whyNotOfTrial(day, [event], at(2, { kind: 'zeroed', pot: 7 }))).toContain('no pot 8')
  })
  it('what is kept already is never refused', () => {
    const event = at(1, { kind: 'zeroed', pot: 7 })
    expect(whyNotOfTrial(day, [event], event)).toBeNull()
  })
})
