import { describe, expect, it } from 'vitest'
import { troubles, type Trouble } from '#contracts/rackWords'
import type { FormulaDocument } from '#contracts/formula'
import { formulaSchema } from '#contracts/formula'
import { batchOf, frozenOf, told } from '../../tests/support/batchOf'
import { applyPatch } from '../formula/patch'
import { formatter } from '../units/formatter'
import { causesOf, caseOf } from './causes'

const poured = (bench: object = {}) =>
  told({
    kind: 'poured',
    day: '2026-03-01',
    bench: { lyeC: 35, oilsC: 35, stage: 'medium', minutes: 12, blenderSeconds: 30, ...bench },
  })
const cut = told({ kind: 'cut', day: '2026-03-02', bars: 11 })
function causes(
  trouble: Trouble,
  changes: Partial<FormulaDocument> = {},
  events = [poured(), cut],
  humidity = 0.5,
) {
  const batch = batchOf(events, { frozen: frozenOf(changes) })
  return {
    batch,
    list: causesOf(trouble, caseOf(batch, '2026-03-20', humidity, formatter({}))),
  }
}
const fats = (...lines: [string, number][]) => ({
  fats: lines.map(([id, share]) => ({ id, share, moment: 'pot' as const, inLye: true })),
})

describe('causes of a trouble', () => {
  it.each<
    [Trouble, string, RegExp, RegExp, Parameters<typeof causes>[1], Parameters<typeof causes>[2]]
  >([
    [
      'orange-spots',
      'fat that spoils',
      /rancid/,
      /linoleic.*10 %/,
      { ...fats(['sunflower', 0.6], ['coconut', 0.4]), superfat: 0.1 },
      undefined,
    ],
    [
      'ash',
      'no gel',
      /did not gel/,
      /Gel: none/,
      {},
      [poured(), cut, told({ kind: 'gelled', day: '2026-03-02', gel: 'none' })],
    ],
    [
      'rings',
      'half a gel',
      /in the middle only/,
      /seen in part/,
      {},
      [poured(), cut, told({ kind: 'gelled', day: '2026-03-02', gel: 'partial' })],
    ],
    ['soft', 'much superfat', /free fat/, /20 % superfat/, { superfat: 0.2 }, undefined],
    [
      'crystals',
      'much citric',
      /citrate/,
      /3 % of the oils/,
      {
        additives: [
          { id: 'citric-acid-monohydrate', rate: 0.03, of: 'oils', moment: 'water', carrier: null },
        ],
      },
      undefined,
    ],
    [
      'air',
      'poured thick',
      /poured thick/,
      /25 minutes/,
      {},
      [poured({ stage: 'thick', minutes: 25 }), cut],
    ],
    [
      'crumbled',
      'cut late',
      /cut too late/,
      /Cut on day 4/,
      {},
      [poured(), told({ kind: 'cut', day: '2026-03-05', bars: 11 })],
    ],
    [
      'oil-on-top',
      'one vessel cold',
      /much colder/,
      /48.*26/,
      {},
      [poured({ lyeC: 48, oilsC: 26 }), cut],
    ],
    [
      'sweating',
      'from the freezer',
      /freezer/,
      /frozen/,
      {},
      [poured(), told({ kind: 'tried', day: '2026-03-02', touch: 'soft', frozen: true }), cut],
    ],
    [
      'cracks',
      'forced',
      /overheated/,
      /forced/,
      { method: { ...frozenOf().document.method, gel: 'force' } },
      undefined,
    ],
  ])('%s: %s', (trouble, _, says, evidence, changes, events) => {
    const [first] = causes(trouble, changes, events).list
    expect(first!.says).toMatch(says)
    expect(first!.evidence).toMatch(evidence)
    expect(first!.weight).toBe('likely')
  })

  it('a damp room is a cause of sweating, a dry one is not', () => {
    const of = (humidity: number) =>
      causes('sweating', {}, undefined, humidity).list.some(({ says }) => says.includes('damp'))
    expect([of(0.7), of(0.5)]).toEqual([true, false])
  })

  it('likely ones come first, and every change makes a formula that can be made', () => {
    const rich = {
      ...fats(['sunflower', 0.5], ['tallow', 0.3], ['coconut', 0.2]),
      superfat: 0.12,
      water: { held: 'ratio' as const, value: 2.8 },
      additives: [
        {
          id: 'citric-acid-monohydrate',
          rate: 0.03,
          of: 'oils' as const,
          moment: 'water' as const,
          carrier: null,
        },
        { id: 'rose-clay', rate: 0.03, of: 'oils' as const, carrier: null },
      ],
    }
    let changes = 0
    for (const trouble of troubles) {
      const { batch, list } = causes(trouble, rich)
      const weights = list.map(({ weight }) => weight)
      expect(weights).toEqual([...weights].sort((a, b) => a.localeCompare(b)))
      for (const { next } of list)
        if (next) {
          changes++
          expect(
            formulaSchema.safeParse(applyPatch(batch.frozen.document, next.patch)).success,
          ).toBe(true)
        }
    }
    expect(changes).toBeGreaterThan(5)
  })
})
