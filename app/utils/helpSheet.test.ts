import type { NewBatchEvent } from '#contracts/batch'
import { formatter } from '#core/units/formatter'
import { describe, expect, it } from 'vitest'
import { batchOf, frozenOf, told } from '../../tests/support/batchOf'
import { helpSheet, helpText } from './helpSheet'

const say = formatter()
const today = '2026-03-01'
const sheetOf = (events: NewBatchEvent[], frozen = frozenOf()) => {
  const parts = helpSheet(batchOf(events.map(told), { frozen }), say, today, 0.62)
  return Object.fromEntries(parts.map(({ title, lines }) => [title, lines]))
}
const poured: NewBatchEvent = { kind: 'poured', day: '2026-02-01' }
const cut: NewBatchEvent = { kind: 'cut', day: '2026-02-03', bars: 12 }

describe('what another maker needs to judge a batch', () => {
  it('is the formula by share and weight, with its lye and water', () => {
    const { Fats, 'Lye and water': lye, How, Now } = sheetOf([])
    expect(Fats).toEqual([
      'Olive oil: 70 %, 700.0 g (saponification value 190)',
      'Coconut oil, melts at 24 °C: 30 %, 300.0 g (saponification value 257)',
    ])
    // (700·190 + 300·257)/1000 · 39.997/56.1056 · 0.95 = 142.2927
    expect(lye).toEqual([
      'sodium hydroxide 142.3 g, taken as 100 % pure',
      expect.stringMatching(/^water \d+\.\d g in all$/),
    ])
    expect(How).toContain('Room at about 62 % humidity')
    expect(How![0]).toMatch(/^With a blender, 1 pot, poured plain$/)
    expect(Now![0]).toBe('Not poured')
  })

  it('names every liquid, extra and scent, and what was stirred into oil', () => {
    const {
      'Lye and water': lye,
      'Extras and scent': extras,
      How,
    } = sheetOf(
      [],
      frozenOf({
        alkali: { naohPurity: 0.98, kohShare: 0.1, kohPurity: 0.9, solutionStrength: null },
        liquids: [{ id: 'goat-milk', share: 0.4, moment: 'oils', way: 'poured' }],
        additives: [
          {
            id: 'rose-clay',
            rate: 0.01,
            of: 'oils',
            carrier: { id: 'olive', ratio: 2, from: 'formula' },
          },
        ],
        scents: [{ id: 'rain', name: 'Rain', rate: 0.03, of: 'oils', moment: 'trace' }],
      } as never),
    )
    expect(lye![0]).toContain('taken as 98 % pure')
    expect(lye![1]).toMatch(/^potassium hydroxide /)
    expect(lye!.at(-1)).toMatch(/^of that as goat milk /)
    expect(extras).toEqual(['Rose clay 10.0 g, 1 % of the oils', 'Rain 30.0 g, 3 % of the oils'])
    expect(How!.at(-1)).toBe('Rose clay stirred into oil first')
  })

  it('of a ready-mixed lye says its strength', () => {
    const { 'Lye and water': lye } = sheetOf(
      [],
      frozenOf({
        alkali: { naohPurity: 1, kohShare: 0, kohPurity: 0.9, solutionStrength: 0.5 },
      }),
    )
    expect(lye![0]).toBe('ready-mixed lye 284.6 g of 50 %')
  })

  it('says what nobody wrote down', () => {
    expect(sheetOf([poured, cut])['Not known']).toEqual([
      'The hour of the pour.',
      'What the scale really said: the figures are those of the plan.',
      'The temperatures when lye and oils met.',
      'How thick it was poured, and how long it was blended.',
      'Whether it gelled.',
      'A strip: nobody tested it.',
      'Weigh-ins.',
    ])
    const known = sheetOf([
      {
        ...poured,
        pouredAt: '2026-02-01T10:00:00Z',
        made: {
          superfat: 0.05,
          ratio: 2.2,
          strength: 0.3125,
          oils: 1000,
          pure: 142.3,
          water: 313,
          scent: 0,
          batter: 1455,
        },
        bench: { lyeC: 38, oilsC: 37, stage: 'light', minutes: 6, blenderSeconds: 40 },
      } as NewBatchEvent,
      { kind: 'gelled', day: '2026-02-02', gel: 'full' } as never,
      cut,
      { kind: 'strip', day: '2026-02-10', ph: 9, where: 'lather' },
      { kind: 'weighed', day: '2026-02-08', bars: [{ bar: 3, grams: 118 }] },
    ])
    expect(known['Not known']).toBeUndefined()
  })

  it('tells each pot with its water, what was stirred in, its lye and its gel, and what nobody read', () => {
    const parts = [1.3, 2.6].map((value, index) => ({
      name: ['pale', 'dark'][index]!,
      share: 0.5,
      scent: true,
      additives: [],
      water: { held: 'ratio' as const, value },
    }))
    const {
      Pots,
      'Noted at the bench': notes,
      'Not known': missing,
      How,
    } = sheetOf(
      [
        {
          ...poured,
          bench: {
            lyeC: null,
            oilsC: 37,
            stage: 'thick',
            minutes: 4,
            blenderSeconds: 0,
            watered: 7,
            tool: 'whisk',
            notes: ['Smelled of ammonia'],
            assumed: ['Castor oil'],
            pots: [
              { name: 'pale', superfat: 0.051, ratio: 1.4, watered: 7, lyeC: 41 },
              { name: 'dark', superfat: 0.05, ratio: 2.6, watered: 0, lyeC: null },
            ],
          },
        } as NewBatchEvent,
        { kind: 'gelled', day: '2026-02-02', gel: 'full', pot: 1 } as never,
      ],
      frozenOf({ parts }),
    )
    expect(Pots).toEqual([
      'pale: water 1.4 : 1 as weighed, superfat 5.1 %, 7.0 g of warm water stirred in, lye at 41 °C when it met the oils, gel not known',
      'dark: water 2.6 : 1 as weighed, superfat 5 %, lye at not known when it met the oils, gel gelled all through',
    ])
    expect(notes).toEqual(['Smelled of ammonia'])
    expect(How![0]).toMatch(/^By hand, with a whisk, 2 pots/)
    expect(How![1]).toContain('7.0 g of warm water')
    expect(missing).toEqual(
      expect.arrayContaining([
        'What these weighed, taken as planned: castor oil.',
        'The temperature of the lye when it met the oils.',
      ]),
    )
    expect(missing).not.toContain('The temperature of the oils then.')
  })

  it('tells what happened by days from the pour, weights apart, without what says nothing of the soap', () => {
    const {
      'What happened': happened,
      'Weights of marked bars': weights,
      Trouble,
      Now,
    } = sheetOf([
      poured,
      cut,
      { kind: 'turned', day: '2026-02-05' },
      {
        kind: 'weighed',
        day: '2026-02-08',
        bars: [
          { bar: 3, grams: 118 },
          { bar: 4, grams: 119.5 },
        ],
      },
      { kind: 'strip', day: '2026-02-10', ph: 9, where: 'lather' },
      { kind: 'out', day: '2026-02-20', bars: 2, how: 'given', to: 'Nessa' },
      { kind: 'trouble', day: '2026-02-12', trouble: 'ash', how: 2 } as never,
    ])
    expect(happened!.map((line) => line.split(':')[0])).toEqual(['day 2', 'day 9', 'day 11'])
    expect(weights).toEqual(['day 7: bar 3 118.0 g, bar 4 119.5 g'])
    expect(Trouble).toHaveLength(1)
    expect(Now![0]).toMatch(/^Poured (1 Feb|Feb 1), today is day 28$/)
  })

  it('is plain text to paste, with the question first', () => {
    const parts = [
      { title: 'Fats', lines: ['a', 'b'] },
      { title: 'Now', lines: ['c'] },
    ]
    expect(helpText('Slab', 'Why white?', parts)).toBe(
      'Slab\n\nWhy white?\n\nFats\n- a\n- b\n\nNow\n- c\n',
    )
    expect(helpText('Slab', '', parts)).toBe('Slab\n\nFats\n- a\n- b\n\nNow\n- c\n')
  })
})
