import { describe, expect, it } from 'vitest'
import type { AlongBatch } from '#contracts/batch'
import { causeFigures, type CauseFigure } from '#contracts/rackWords'
import { batchOf, frozenOf, told } from '../../tests/support/batchOf'
import { formatter } from '../units/formatter'
import { alongSays, comparable } from './along'
import { caseOf } from './case'
import { figureKinds } from './figures'

const say = formatter({})
const made = {
  superfat: 0.081,
  ratio: 2.4,
  strength: 1 / 3.4,
  oils: 1000,
  pure: 137.6,
  water: 330,
  scent: 30,
  batter: 1500,
}
const rich = frozenOf({
  fats: [
    { id: 'sunflower', share: 0.4, moment: 'pot', inLye: true },
    { id: 'coconut', share: 0.6, moment: 'pot', inLye: true },
  ],
  superfat: 0.06,
  additives: [
    { id: 'citric-acid-monohydrate', rate: 0.01, of: 'oils', moment: 'water', carrier: null },
    { id: 'titanium-dioxide', rate: 0.005, of: 'oils', moment: 'oils', carrier: null },
  ],
})
const bench = { lyeC: 44, oilsC: 31, stage: 'medium' as const, minutes: 9, blenderSeconds: 30 }
const about = (events = [told({ kind: 'poured', day: '2026-03-01', made, bench })]) =>
  caseOf(batchOf(events, { frozen: rich }), '2026-04-18', 0.5, say)
const of = (figure: CauseFigure, on = about()) => figureKinds[figure].of(on)
const batch = (
  id: string,
  value: number,
  seenOn: string | null = null,
  more: Partial<AlongBatch> = {},
): AlongBatch => ({
  id,
  number: 1,
  name: id,
  thumbnail: { pattern: 'plain', colours: ['#eeeeee'] },
  value,
  pouredOn: '2026-01-01',
  leftOn: null,
  seenOn,
  ...more,
})
const hurt = (id: string, value: number) => batch(id, value, '2026-02-01')

describe('what a cause is followed along', () => {
  it('free fat that spoils, in 100 g of the dry bar, as by hand', () => {
    const on = about()
    const { linoleic = 0, linolenic = 0 } = on.result.fattyAcids
    const dry = (1500 * on.result.longDried) / on.result.batter
    // 8.1 % of 1000 g are 81 g free; of them the acids with two and three double bonds.
    expect(of('spoiling-fat')).toBeCloseTo((100 * 81 * (linoleic + linolenic)) / dry, 6)
    expect(linoleic).toBeGreaterThan(0.2)
  })
  it('is none where lye is over, and no figure without a batter', () => {
    const over = told({ kind: 'poured', day: '2026-03-01', made: { ...made, superfat: -0.02 } })
    expect(of('spoiling-fat', about([over]))).toBe(0)
    const none = told({ kind: 'poured', day: '2026-03-01', made: { ...made, batter: 0 } })
    expect(of('spoiling-fat', about([none]))).toBeNull()
  })
  it.each<[CauseFigure, number, string]>([
    ['superfat', 0.081, '8.1 %'],
    ['water', 2.4, '2.4 : 1'],
    ['vessels-apart', 13, '13 °C'],
    ['citric', 0.01, '1 %'],
    ['colour', 0.005, '0.5 %'],
  ])('%s', (figure, value, text) => {
    expect(of(figure)).toBeCloseTo(value, 9)
    expect(figureKinds[figure].text(of(figure)!, say)).toBe(text)
  })
  it('scent is of the oils, and the cut in days', () => {
    const on = about()
    expect(of('scent')).toBeCloseTo(30 / on.result.oils, 9)
    expect(of('cut-after')).toBeNull()
    const cut = told({ kind: 'cut', day: '2026-03-04', bars: 11 })
    expect(of('cut-after', about([told({ kind: 'poured', day: '2026-03-01' }), cut]))).toBe(3)
    expect(figureKinds['cut-after'].text(1, say)).toBe('1 day')
  })
  it('gel is unknown until somebody looked, and its words are those of the look', () => {
    expect(of('gelled')).toBeNull()
    const poured = told({ kind: 'poured', day: '2026-03-01' })
    const words = (['none', 'partial', 'full'] as const).map((gel) =>
      figureKinds.gelled.text(
        of('gelled', about([poured, told({ kind: 'gelled', day: '2026-03-02', gel })]))!,
        say,
      ),
    )
    expect(words).toEqual(['no gel', 'in part', 'all through'])
  })
  it('mixes between the two vessels, nearer to the heavier oils', () => {
    const mix = of('mixed-at')!
    expect(mix).toBeGreaterThan(31)
    expect(mix).toBeLessThan(37.5)
  })
  it('rests on what went in, beside what was planned where it differs', () => {
    expect(figureKinds['spoiling-fat'].rests(about()).map(({ what }) => what)).toEqual([
      'Sunflower oil',
      'Linoleic and linolenic',
      'Superfat as weighed',
      'Pure lye weighed',
    ])
    expect(figureKinds.superfat.rests(about())[0]).toMatchObject({
      value: '8.1 %',
      beside: 'planned 6 %',
    })
    const planned = about([told({ kind: 'poured', day: '2026-03-01' })])
    expect(figureKinds.superfat.rests(planned)[0]).toEqual({
      what: 'Superfat, planned',
      value: '6 %',
      beside: '',
    })
    for (const figure of causeFigures)
      for (const rest of figureKinds[figure].rests(about())) expect(rest.value).not.toMatch(/NaN/)
  })
  it('lye over and short of what was planned', () => {
    const wanted = rich.result.lye.pureAsNaoh
    const with_ = (pure: number) =>
      figureKinds.water.rests(
        about([told({ kind: 'poured', day: '2026-03-01', made: { ...made, pure } })]),
      )[1]!.beside
    expect(with_(wanted - 3.1)).toBe('3.1 g short')
    expect(with_(wanted + 2)).toBe('2.0 g over')
    expect(with_(wanted + 0.01)).toBe('')
  })
})

describe('a batch beside the others', () => {
  it('those that stood too short to have shown it are left out, unless they did', () => {
    const all = [
      batch('young', 1, null, { pouredOn: '2026-04-01' }),
      batch('sold', 1, null, { leftOn: '2026-01-09' }),
      batch('old', 1),
      batch('early', 1, '2026-04-05', { pouredOn: '2026-04-01' }),
    ]
    expect(comparable(all, 30, '2026-04-10').map(({ id }) => id)).toEqual(['old', 'early'])
    expect(comparable(all, 9, '2026-04-10')).toHaveLength(3)
    expect(comparable(all, 8, '2026-04-10')).toHaveLength(4)
  })
  it('says so where the figure tells them apart', () => {
    const all = [hurt('a', 1.5), hurt('b', 1.2), batch('c', 1.1), batch('d', 0.4), batch('e', 0.1)]
    expect(alongSays(all, 'a', 'spoiling-fat', 'more', say)).toBe(
      'The 2 batches over 1.1 g had it, your other 3 batches did not.',
    )
    expect(alongSays([all[0]!, ...all.slice(2)], 'a', 'spoiling-fat', 'more', say)).toBe(
      'It alone lies over 1.1 g; your other 3 batches did not have it.',
    )
  })
  it('reads the other end where less of it is worse', () => {
    const all = [hurt('a', 28), hurt('b', 29), batch('c', 33), batch('d', 36)]
    expect(alongSays(all, 'a', 'mixed-at', 'less', say)).toBe(
      'The 2 batches under 33 °C had it, your other 2 batches did not.',
    )
  })
  it('counts where it does not, and says when it leans no way', () => {
    const leaning = [
      hurt('a', 2.4),
      hurt('b', 2.6),
      batch('c', 2.5),
      batch('d', 2),
      batch('e', 1.9),
    ]
    expect(alongSays(leaning, 'a', 'water', 'more', say)).toBe(
      'Of your 3 batches with 2.4 : 1 or more, 2 had it; of 2 with less, 0.',
    )
    const level = [hurt('a', 2.4), hurt('b', 1.9), batch('c', 2.5), batch('d', 2)]
    expect(alongSays(level, 'a', 'water', 'more', say)).toBe(
      'Of your 2 batches with 2.4 : 1 or more, 1 had it; of 2 with less, 1. It does not tell them apart.',
    )
    expect(alongSays([...level].reverse(), 'b', 'water', 'more', say)).toBe(
      'Of your 4 batches with 1.9 : 1 or more, 2 had it. It does not tell them apart.',
    )
  })
  it('at the very end of the scale there is no more or less', () => {
    const gels = [hurt('a', 0), batch('b', 0), batch('c', 0.5), batch('d', 1)]
    expect(alongSays(gels, 'a', 'gelled', 'less', say)).toBe(
      'Of your 2 batches with no gel, 1 had it; of the 2 others, 0.',
    )
    const other = [batch('a', 0), batch('b', 0), hurt('c', 0.5), batch('d', 1)]
    expect(alongSays(other, 'a', 'gelled', 'less', say)).toBe(
      'Of your 2 batches with no gel, 0 had it; of the 2 others, 1. It does not tell them apart.',
    )
  })
  it('too few are too few, and all are all', () => {
    expect(alongSays([hurt('a', 2), batch('b', 1)], 'a', 'water', 'more', say)).toBe(
      '1 other batch to compare with: too few to tell.',
    )
    const all = ['a', 'b', 'c', 'd'].map((id, at) => hurt(id, at))
    expect(alongSays(all, 'a', 'water', 'more', say)).toBe('All your 4 batches had it.')
    expect(alongSays(all, 'x', 'water', 'more', say)).toBe('')
  })
})
