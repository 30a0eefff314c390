import { describe, expect, it } from 'vitest'
import type { Scent } from '#contracts/scent'
import { formatter } from '../units/formatter'
import { labelShopOf } from '../../tests/support/labelWords'
import { batchOf, frozenOf, told } from '../../tests/support/batchOf'
import { sharedOut } from './gift'
import { saidOf, type LabelKnown } from './subject'
import { detergentList, useClass, useSays } from './useClass'
import { allergensIn, batchCode, flagsIn, giftWords, labelOf, type LabelScents } from './words'

const say = formatter()
const poured = [
  told({ kind: 'poured', day: '2026-03-01' }),
  told({ kind: 'cut', day: '2026-03-02', bars: 12 }),
]
const scentOf = (allergens: Scent['allergens'], parts: Scent['parts'] = []) => ({
  scent: { allergens, parts },
})
const rain = '0192d3f0-0000-7000-8000-000000000001'
const mist = '0192d3f0-0000-7000-8000-000000000002'
const blend = '0192d3f0-0000-7000-8000-000000000003'
const scents: LabelScents = new Map([
  [
    rain,
    scentOf([
      { name: 'Linalool', share: 0.02 },
      { name: 'Limonene', share: 0.001 },
    ]),
  ],
  [
    mist,
    scentOf([
      { name: 'Linalool', share: 0.04 },
      { name: 'Citral', share: null },
    ]),
  ],
  [
    blend,
    scentOf(
      [],
      [
        { scentId: rain, parts: 3 },
        { scentId: mist, parts: 1 },
      ],
    ),
  ],
])
const scented = (id: string, grams: number) =>
  frozenOf({
    scents: [{ id, name: 'Rain', grams, moment: 'trace', flashC: null, maxOfBar: null } as never],
  })
const hostel = (more: Parameters<typeof batchOf>[1] = {}) =>
  batchOf(poured, { name: 'Hostel Bar', number: 41, ...more })
const basis = {
  shop: labelShopOf({ step: 5, person: 'Slate Shed, Kiln Lane', maker: 'slate shed' }),
  soap: null,
  scents,
  custom: 'in-bar',
} as const

describe('what a label says', () => {
  it('is worked out of the batch: code, dates, weight, list', () => {
    const batch = hostel()
    const { words, net, lists, place } = labelOf(batch, basis)
    expect(words).toMatchObject({
      name: 'Hostel Bar',
      code: 'HB41',
      maker: 'slate shed',
      person: 'Slate Shed, Kiln Lane',
      use: 'For body and hands.',
      qr: 'HB41 made 2026-03-01',
    })
    expect(words.dates).toContain('Made 1 Mar 2026, best from ')
    expect(words.dates).toContain('Best within 12 months of opening')
    // Rounded down to five grams, never up.
    expect(net.stated % 5).toBe(0)
    expect(net.stated).toBeLessThanOrEqual(net.nearly)
    expect(net.nearly - net.stated).toBeLessThan(5)
    expect(words.net).toBe(`${net.stated} g`)
    expect(place.id).toBe('gb')
    // All bars as they are dry, and the list sums to them.
    const { drying } = batch.facts
    const whole = lists['in-bar'].reduce((sum, { grams }) => sum + grams, 0)
    expect(whole).toBeCloseTo((batch.batterGrams * drying!.gramsDry) / drying!.grams, 6)
  })

  it('goes by the smallest bar where those under it are set aside', () => {
    const { net } = labelOf(hostel(), { ...basis, smallest: 104.9 })
    expect(net.stated).toBe(100)
  })

  it('takes the words of the soap before those of the workshop', () => {
    const soap = {
      tagline: 'for the ferry',
      use: 'For sailors.',
      warnings: 'Not for eating.',
      price: 450,
      wholesale: null,
      designId: null,
    }
    expect(labelOf(hostel(), { ...basis, soap }).words).toMatchObject({
      tagline: 'for the ferry',
      use: 'For sailors.',
      warnings: 'Not for eating.',
      price: '£4.50',
    })
  })

  it('names allergens by the sheets of its scents and the grams that went in', () => {
    const frozen = scented(rain, 20)
    const batch = hostel({ frozen })
    const { longDried } = frozen.result
    const { allergens } = labelOf(batch, basis)
    expect(allergens[0]).toMatchObject({ name: 'Linalool', named: true })
    expect(allergens[0]!.share).toBeCloseTo((0.02 * 20) / longDried, 12)
    // 0.001 of 20 g in some 1,100 g of bars is under one in ten thousand.
    expect(allergens[1]).toMatchObject({ name: 'Limonene', named: false })
  })

  it('a blend of scents has the allergens of its parts by their shares', () => {
    expect(allergensIn(blend, scents)).toEqual([
      { name: 'Linalool', share: 0.015 },
      { name: 'Limonene', share: 0.00075 },
      { name: 'Linalool', share: 0.01 },
      { name: 'Citral', share: null },
    ])
    // A sheet of before had names alone.
    const old = new Map([[rain, scentOf(['Linalool'] as never)]])
    expect(allergensIn(rain, old)).toEqual([{ name: 'Linalool', share: null }])
  })

  it('names what the workshop renamed as it wants it', () => {
    const names = { olive: { latin: 'Olea Own', english: 'Our olive' } }
    const { words } = labelOf(hostel(), {
      ...basis,
      custom: 'put-in',
      shop: labelShopOf({ names }),
    })
    expect(words.list).toContain('Olea Own')
    expect(words.list).not.toContain('Olea Europaea')
  })

  it('flags what some react to: a goat is no oat, the milk of a coconut none', () => {
    expect(flagsIn(['goat-milk'])).toEqual(['milk'])
    expect(flagsIn(['coconut-milk', 'coconut', 'nutmeg-butter', 'cocoa-butter'])).toEqual([])
    expect(flagsIn(['oat-milk', 'sweet-almond', 'wheat-germ'])).toEqual(['nuts', 'wheat', 'oats'])
    const frozen = frozenOf({
      fats: [
        { id: 'sweet-almond', share: 0.5, moment: 'pot', inLye: true },
        { id: 'coconut', share: 0.5, moment: 'pot', inLye: true },
      ],
    })
    expect(labelOf(hostel({ frozen }), basis).words.warnings).toBe(
      'Keep out of eyes. Contains nuts.',
    )
  })

  it.each([
    ['Hostel Bar', 41, 'HB41'],
    ['Fir & Smoke', 7, 'FS7'],
    ['Élan vital de la mer', 3, 'EVD3'],
    ['', 9, '9'],
  ])('the code of %s %i is %s', (name, number, code) => {
    expect(batchCode(name, number).normalize('NFD').replace(/\p{M}/gu, '')).toBe(code)
  })
})

describe('a soap for cleaning', () => {
  it('is a detergent, with a list in bands where the place has one', () => {
    expect(useClass('body', false)).toBe('cosmetic')
    expect(useClass('body', true)).toBe('detergent')
    expect(useSays('body', true)).toBe('For laundry, not for skin.')
    const frozen = { ...scented(rain, 20) }
    const dish = { ...frozen, document: { ...frozen.document, use: 'dishes' as const } }
    expect(labelOf(hostel({ frozen: dish }), basis).words.list).toBe(
      '30 % and more soap, perfumes, Linalool',
    )
    const us = { ...basis, shop: labelShopOf({ place: 'us' }) }
    expect(labelOf(hostel({ frozen: dish }), us).words.list).toContain('Sodium Olivate')
  })

  it.each([
    [0.3, '30 % and more soap'],
    [0.2999, '15–30 % soap'],
    [0.15, '15–30 % soap'],
    [0.1, '5–15 % soap'],
    [0.049, 'less than 5 % soap'],
  ])('%f of it soap: %s', (share, says) => {
    const line = (latin: string, kind: 'salt' | 'water', grams: number) => ({
      latin,
      english: latin,
      kind,
      grams,
      id: 'olive',
    })
    const lines = [line('Sodium Olivate', 'salt', share), line('Aqua', 'water', 1 - share)]
    expect(detergentList(lines, [], say)).toBe(says)
  })
})

describe('a box of several bars', () => {
  const shop = labelShopOf({ step: 5 })
  const one = { ...hostel(), id: 'one' }
  const other = { ...hostel({ name: 'Quiet Olive', number: 1 }), id: 'other' }
  const known: LabelKnown = {
    shop,
    scents,
    batch: (id) => [one, other].find((batch) => batch.id === id) ?? null,
    gift: (id) =>
      id === 'gift'
        ? {
            name: 'Two and one',
            tagline: '',
            price: 1500,
            designId: null,
            bars: [
              { batchId: 'one', bars: 2 },
              { batchId: 'other', bars: 1 },
            ],
          }
        : null,
    soap: () => null,
  }

  it('states all of them, and the list of each under its name', () => {
    const [said] = saidOf({ of: 'gift', id: 'gift' }, known, 'in-bar')!
    const alone = saidOf({ of: 'batch', id: 'one' }, known, 'in-bar')![0]!
    expect(said!.net).toBe(3 * alone.net)
    expect(said!.words.net).toBe(`3 × ${alone.net} g, ${3 * alone.net} g in all`)
    expect(said!.words.list).toBe(
      `Hostel Bar: ${alone.words.list}\nQuiet Olive: ${alone.words.list}`,
    )
    expect(said!.words).toMatchObject({
      tagline: 'Hostel Bar and Quiet Olive',
      code: 'HB41 QO1',
      price: '£15.00',
    })
    expect(giftWords({ name: 'Empty', tagline: '', price: null }, [], shop).code).toBe('')
  })

  it('is nothing where a batch of it is not there', () => {
    expect(saidOf({ of: 'gift', id: 'none' }, known, 'in-bar')).toBeNull()
    expect(saidOf({ of: 'prices', ids: ['one', 'gone'] }, known, 'in-bar')).toBeNull()
    expect(saidOf({ of: 'prices', ids: ['one', 'other'] }, known, 'in-bar')).toHaveLength(2)
  })

  it('shares what is paid for it in whole coins that sum to it', () => {
    expect(sharedOut(1000, [1, 1, 1])).toEqual([334, 333, 333])
    expect(sharedOut(1650, [2, 1])).toEqual([1100, 550])
    expect(sharedOut(null, [1, 2])).toEqual([null, null])
    for (const total of [0, 1, 7, 999, 1234])
      for (const bars of [[1], [1, 2], [3, 1, 1], [5, 4, 3, 2]])
        expect(sharedOut(total, bars).reduce<number>((sum, one) => sum + one!, 0)).toBe(total)
  })
})
