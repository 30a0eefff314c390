import { sellingSchema, type LabelWords, type Selling } from '#contracts/label'
import type { LabelShop } from '#core/label/words'

/** What a label of a bar says, for tests. */
export const labelWords: LabelWords = {
  name: 'Hostel Bar',
  tagline: 'fir and smoke',
  net: '110 g',
  list: 'Sodium Olivate, Sodium Cocoate, Aqua, Glycerin, Parfum, Limonene, CI 77491',
  use: 'For body and hands.',
  care: 'Let it dry between uses.',
  dates: 'Made 5 Nov 2026, best from 17 Dec',
  code: 'HB41',
  maker: 'Slate Shed',
  person: 'Slate Shed, Kiln Lane, Saltness',
  warnings: 'Keep out of eyes.',
  price: '£4.50',
  qr: 'HB41 made 2026-11-05',
  colours: ['#c9ad6b', '#e0cf98'],
}

/** A workshop that sells, with some of it otherwise. */
export const labelShopOf = (changes: Partial<Selling> = {}): LabelShop => ({
  name: 'Slate Shed',
  timeZone: 'Europe/Dublin',
  currency: 'GBP',
  selling: { ...sellingSchema.parse({ place: 'gb' }), ...changes },
})
