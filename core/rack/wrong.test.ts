import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Difference } from '#contracts/batch'
import { anyFormula } from '../../tests/support/anyFormula'
import { batchOf, frozenOf, told } from '../../tests/support/batchOf'
import { freeze } from '../batch/freeze'
import { library } from '../materials/library'
import { correctedMade, madeAsPlanned, rescueOf } from './wrong'
import { runs } from '../../tests/support/runs'

/* By hand: olive 450 g (S 190), coconut 250 (257), shea 200 (180), castor 100 (180), 6 % superfat, water 2.2 to one. */
const fat = (id: string, share: number, sap: number) => ({
  id,
  share,
  sap,
  moment: 'pot' as const,
  inLye: true,
})
const frozen = frozenOf({
  fats: [
    fat('olive', 0.45, 190),
    fat('coconut', 0.25, 257),
    fat('shea', 0.2, 180),
    fat('castor', 0.1, 180),
  ],
  size: { by: 'oils', grams: 1000 },
  superfat: 0.06,
})
const planned = madeAsPlanned(frozen)
const after = (...differences: Difference[]) => correctedMade(frozen, planned, differences)

describe('a weight that was wrong', () => {
  it('lye doubled: 273.072 g for fats that take 145.251', () => {
    const made = after({ what: 'naoh', grams: 136.536 })
    expect(made.superfat).toBeCloseTo(1 - 273.072 / 145.251, 4)
    const answer = rescueOf(frozen, made, 1)
    expect(answer.kind).toBe('free-lye')
    // 273.072 / 0.94 − 145.251 = 145.251 g NaOH more of fat; olive takes 0.19 × 0.712888 = 0.135449 g per g.
    expect(answer.can[0]!.add).toEqual([
      { what: 'Olive oil', grams: expect.closeTo(145.251 / 0.135449, 0) as number },
    ])
    expect(answer.mustNot.join(' ')).toContain('No skin')
  })
  it('castor forgotten: its 12.832 g of lye find nothing', () => {
    const made = after({ what: 'castor', grams: -100 })
    expect(made.superfat).toBeCloseTo(1 - 136.536 / 132.419, 4)
    expect(made.oils).toBeCloseTo(900, 6)
    expect(rescueOf(frozen, made, 1).kind).toBe('free-lye')
  })
  it('20 g of lye short: 20 g bring it back to 6 %, half of it for half of the bars', () => {
    const made = after({ what: 'naoh', grams: -20 })
    expect(made.superfat).toBeCloseTo(1 - 116.536 / 145.251, 4)
    expect(made.ratio).toBeCloseTo(300.379 / 116.536, 4)
    const [rework] = rescueOf(frozen, made, 0.5).can
    expect(rework!.add.map(({ grams }) => grams)).toEqual([
      expect.closeTo(10, 3) as number,
      expect.closeTo(20, 3) as number,
    ])
  })
  it('lye forgotten: it is warm fat, and the whole of it is still to come', () => {
    const answer = rescueOf(frozen, after({ what: 'naoh', grams: -136.536 }), 1)
    expect(answer.kind).toBe('no-lye')
    expect(answer.can[0]!.add[0]!.grams).toBeCloseTo(136.536, 3)
  })
  it('water forgotten: lye may not have dissolved', () => {
    const answer = rescueOf(frozen, after({ what: 'water', grams: -250 }), 1)
    expect(answer.kind).toBe('water-short')
    expect(answer.can[0]!.add[0]!.grams).toBeCloseTo(2 * 136.536 - 50.379, 2)
  })
  it('half a per cent of oil too much is still good soap', () => {
    expect(rescueOf(frozen, after({ what: 'olive', grams: 5 }), 1).kind).toBe('as-it-should')
  })
  it('citric acid forgotten frees the lye it was to take: 0.57101 g per g', () => {
    const acid = frozenOf({
      size: { by: 'oils', grams: 1000 },
      superfat: 0.05,
      additives: [
        { id: 'citric-acid-monohydrate', rate: 0.02, of: 'oils', moment: 'water', carrier: null },
      ],
    })
    const before = madeAsPlanned(acid)
    const made = correctedMade(acid, before, [{ what: 'citric-acid-monohydrate', grams: -20 }])
    const fats = acid.result.lye.fullFatDemand
    expect(before.superfat - made.superfat).toBeCloseTo((20 * 0.57101) / fats, 5)
  })
  it('locks the batch when it turns out lye-heavy, whatever a strip said', () => {
    const events = [
      told({ kind: 'poured', day: '2026-03-01' }),
      told({ kind: 'cut', day: '2026-03-02', bars: 11 }),
      told({ kind: 'strip', day: '2026-03-04', ph: 9, where: 'lather' }),
    ]
    expect(batchOf(events, { frozen }).facts.usable.state).toBe('usable')
    const wrong = told({
      kind: 'corrected',
      day: '2026-03-05',
      differences: [{ what: 'naoh', grams: 15 }],
    })
    const { usable } = batchOf([...events, wrong], { frozen }).facts
    expect(usable).toMatchObject({ state: 'locked', because: 'weights' })
  })
})

describe('for any formula', () => {
  it('what is added and taken away again changes nothing; every answer has something to do', () => {
    fc.assert(
      fc.property(
        anyFormula,
        fc.double({ min: -0.9, max: 2, noNaN: true }).filter((share) => Math.abs(share) > 0.001),
        (document, share) => {
          const any = freeze(document, library)
          const made = madeAsPlanned(any)
          const { id, grams } = any.result.fats[0]!
          const there = correctedMade(any, made, [{ what: id, grams: grams * share }])
          const back = correctedMade(any, made, [
            { what: id, grams: grams * share },
            { what: id, grams: -grams * share },
          ])
          expect(back.superfat).toBeCloseTo(made.superfat, 9)
          expect(there.superfat > made.superfat).toBe(share > 0)
          const answer = rescueOf(any, there, 1)
          expect(answer.can.length).toBeGreaterThan(0)
          for (const { add } of answer.can)
            for (const one of add) expect(one.grams).toBeGreaterThanOrEqual(-1e-6)
        },
      ),
      runs(60),
    )
  })
})
