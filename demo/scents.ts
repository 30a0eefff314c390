import type { Claims, Scent } from '#contracts/scent'
import type { Supplier } from '#contracts/supplier'
import type { NewTrialEvent, Trial, TrialEvent } from '#contracts/trial'
import type { NoseDay, Strength, TrialStage } from '#contracts/trialWords'
import { differenceOf, labOf, swatchOf, type Lab } from '#core/scents/colour'
import { randomSource } from '#core/statistics/randomSource'
import { roundTo } from '#core/statistics/roundTo'
import { plainOilShare } from '#core/trials/plan'
import { addDays } from '#core/units/days'
import { v7 } from 'uuid'
import { demoLibrary } from './materials'

/*
 * The drawer of the Slate Shed: thirty samples of four suppliers, and three trial days in Hostel Bar batter. What a pot did is told by
 * the minute at which it was medium; the other stages come as they came in that batter.
 */

const idOf = (kind: number, nth: number) =>
  `0192d3f0-0000-7000-80${kind}0-0000000000${String(nth).padStart(2, '0')}`

const suppliers: Record<string, Supplier> = {
  'Three Weirs': {
    name: 'Three Weirs',
    note: 'Bryn at the counter says they try everything in one soft recipe, with a lot of water. Ask for 10 g before a litre.',
    tested: { rate: 0.03, ratio: 3, celsius: 43, batter: 'palm, coconut, olive' },
  },
  'Kittle & Daughters': {
    name: 'Kittle & Daughters',
    note: 'Small lots, honest sheets. Answers on Mondays.',
    tested: { rate: 0.04, ratio: 2.4, celsius: 38, batter: 'olive, coconut' },
  },
  'Pell & Orrin': {
    name: 'Pell & Orrin',
    note: '',
    tested: { rate: 0.05, ratio: 2.2, celsius: 35, batter: 'olive, coconut, shea' },
  },
  'Dunlin Oils': {
    name: 'Dunlin Oils',
    note: 'Essential oils by the kilo, oranges by the season.',
    tested: { rate: null, ratio: null, celsius: null, batter: '' },
  },
}
const supplierNames = Object.keys(suppliers)
export const demoSuppliers = supplierNames.map((name, nth) => ({
  id: idOf(1, nth + 1),
  document: suppliers[name]!,
}))

type Said = [pace: Claims['pace'], colour?: Claims['colour'], keeps?: boolean]
interface Told {
  name: string
  from: number
  code: string
  colour: string
  /** The most of it in the bar, rinsed off; for the face where it differs. */
  most: number
  face?: number
  said: Said
  smells: string[]
  kind?: Scent['kind']
  price: number
  of?: number
  left?: number
  vanillin?: number
  /** With the share of the scent that each is. */
  allergens?: Record<string, number | null>
  note?: string
}
const [weirs, kittle, pell, dunlin] = [1, 2, 3, 4]
// prettier-ignore
const told: Told[] = [
  { name: 'Barn lavender', from: pell, code: 'AHL', colour: '#8d79b4', most: 0.06, said: ['behaves', 'pale', true], smells: ['lavender', 'hay', 'floral'], price: 1120, of: 50, left: 18 },
  { name: 'Cold orange', from: dunlin, code: 'EKT', colour: '#d18a2d', most: 0.04, said: [null], smells: ['orange', 'citrus'], kind: 'essentialOil', price: 640, of: 100, left: 61, allergens: { Limonene: 0.92, Linalool: 0.004 }, note: 'Weak by day 14: wants an anchor.' },
  { name: 'Garden wall', from: pell, code: 'FNV', colour: '#b16d8b', most: 0.055, said: ['hurries', 'pale'], smells: ['rose', 'floral', 'green'], price: 1390, of: 30, left: 11 },
  { name: 'Sea kale', from: pell, code: 'HLX', colour: '#5d9ba4', most: 0.07, said: ['behaves', 'pale', true], smells: ['green', 'sea'], price: 1210, of: 30, left: 20 },
  { name: 'Salt marsh', from: pell, code: 'KNY', colour: '#4f8890', most: 0.045, said: ['behaves', 'pale', true], smells: ['sea', 'herbs'], price: 1350, of: 100, left: 44 },
  { name: 'Ferry rope', from: weirs, code: 'LTZ', colour: '#8a7350', most: 0.042, said: ['behaves', 'pale'], smells: ['tar', 'hemp', 'wood'], price: 1240, of: 200, left: 140 },
  { name: 'Tonka & hay', from: kittle, code: 'NV4', colour: '#a5753f', most: 0.04, said: ['hurries', 'browns'], smells: ['sweet', 'hay', 'tobacco'], price: 1560, of: 30, left: 9, vanillin: 0.032, allergens: { Coumarin: 0.018 } },
  { name: 'Bay & pepper', from: dunlin, code: 'TX7', colour: '#5d7f3e', most: 0.021, said: ['hurries', 'pale', true], smells: ['spice', 'bay'], kind: 'essentialOil', price: 1680, of: 50, left: 21, allergens: { Eugenol: 0.52, Limonene: 0.02 } },
  { name: 'Clove stove', from: dunlin, code: 'VYA', colour: '#7a3b2c', most: 0.015, face: 0.005, said: ['hurries', 'browns'], smells: ['spice', 'clove'], kind: 'essentialOil', price: 1190, of: 20, left: 14, allergens: { Eugenol: 0.81 } },
  { name: 'Wet slate', from: weirs, code: 'XZE', colour: '#66788c', most: 0.055, said: ['behaves', null, true], smells: ['mineral', 'sea'], price: 1420, of: 30, left: 22 },
  { name: 'Fir & smoke', from: weirs, code: 'YH7', colour: '#3f6650', most: 0.035, said: ['behaves'], smells: ['fir', 'smoke', 'wood'], price: 1790, of: 500, left: 310, allergens: { Limonene: 0.041, Linalool: 0.012, Eugenol: 0.0028, Pinene: 0.064 } },
  { name: 'Orange & pitch', from: kittle, code: 'Z4F', colour: '#b4702a', most: 0.042, said: ['behaves', 'pale', true], smells: ['orange', 'pitch', 'wood'], price: 980, of: 100, left: 52, allergens: { Limonene: 0.31 } },
  { name: 'Orange & pitch', from: dunlin, code: '47H', colour: '#b4702a', most: 0.034, said: ['hurries'], smells: ['orange', 'pitch', 'wood'], kind: 'essentialOil', price: 1420, of: 30, left: 12, allergens: { Limonene: null } },
  { name: 'White lilac', from: weirs, code: 'NA7', colour: '#9b86be', most: 0.051, face: 0.024, said: ['behaves', 'pale'], smells: ['lilac', 'floral', 'sweet'], price: 1460, of: 10, left: 4, allergens: { Linalool: 0.11, Citronellol: 0.035, Hydroxycitronellal: 0.02 }, vanillin: 0 },
  { name: 'Heather smoke', from: weirs, code: 'VK4', colour: '#8a668c', most: 0.04, said: ['hurries'], smells: ['heather', 'smoke', 'floral'], price: 1380, of: 20, left: 14 },
  { name: 'Black tea', from: pell, code: 'NE4', colour: '#7d6149', most: 0.049, said: ['behaves', 'pale'], smells: ['tea', 'tobacco'], price: 1500, of: 20, left: 13 },
  { name: 'Quarry fern', from: weirs, code: 'AF7', colour: '#5f8c6c', most: 0.06, said: ['behaves'], smells: ['green', 'moss'], price: 1330, of: 60, left: 48 },
  { name: 'Lime kiln', from: weirs, code: 'TY7', colour: '#98a066', most: 0.05, said: ['behaves'], smells: ['lime', 'citrus', 'mineral'], price: 1290, of: 20, left: 12 },
  { name: 'Rosemary gate', from: dunlin, code: 'HX4', colour: '#7d9c8a', most: 0.031, said: ['behaves', 'pale'], smells: ['rosemary', 'herbs'], kind: 'essentialOil', price: 880, of: 50, left: 33 },
  { name: 'Pear cellar', from: kittle, code: 'LT7', colour: '#a7ae55', most: 0.06, said: ['behaves'], smells: ['pear', 'sweet'], price: 1240, of: 20, left: 12 },
  { name: 'Hot milk', from: kittle, code: 'XZ7', colour: '#c39e74', most: 0.07, said: ['hurries', 'pale'], smells: ['milk', 'sweet'], price: 1310, of: 20, left: 13, vanillin: 0.004 },
  { name: 'Candle end', from: kittle, code: 'EH4', colour: '#bfa552', most: 0.042, said: ['behaves', 'pale'], smells: ['wax', 'smoke', 'honey'], price: 1370, of: 20, left: 11 },
  { name: 'Plum loft', from: pell, code: 'FV7', colour: '#7c4a6c', most: 0.048, said: ['hurries'], smells: ['plum', 'sweet'], price: 1450, of: 20, left: 10 },
  { name: 'Blue clay', from: pell, code: 'KAL', colour: '#6b8bb0', most: 0.06, said: ['behaves'], smells: ['mineral'], price: 1200, of: 10, left: 10 },
  { name: 'Low tide', from: pell, code: 'ZNE', colour: '#5394a6', most: 0.06, said: ['behaves'], smells: ['sea'], price: 1260, of: 10, left: 10 },
  { name: 'Mint & iron', from: dunlin, code: 'AXH', colour: '#71a488', most: 0.05, said: ['behaves', 'pale'], smells: ['mint', 'mineral'], kind: 'essentialOil', price: 910, of: 30, left: 30 },
  { name: 'Fennel seed', from: dunlin, code: 'TEF', colour: '#a3a552', most: 0.05, said: [null], smells: ['herbs', 'spice'], kind: 'essentialOil', price: 1010, of: 30, left: 30 },
  { name: 'Bramble', from: pell, code: 'HNL', colour: '#a0527a', most: 0.055, said: [null], smells: ['berry', 'green'], price: 1280, of: 10, left: 10 },
  { name: 'Sloe', from: kittle, code: 'FTX', colour: '#6c6aa8', most: 0.055, said: [null], smells: ['berry', 'plum'], price: 1330, of: 10, left: 10 },
  { name: 'Smoked oak', from: kittle, code: 'YLV', colour: '#876a55', most: 0.032, said: ['hurries'], smells: ['smoke', 'wood'], price: 1470, of: 10, left: 10 },
]
const columns = 6
/** Samples lie by rows A to E, six to a row. */
const placeOf = (nth: number) =>
  `${String.fromCharCode(65 + Math.floor(nth / columns))}${(nth % columns) + 1}`

const samples: { id: string; document: Scent }[] = told.map((one, nth) => ({
  id: idOf(2, nth + 1),
  document: {
    name: one.name,
    kind: one.kind ?? 'fragrance',
    supplierId: idOf(1, one.from),
    density: one.kind === 'essentialOil' ? 0.9 : 1.02,
    flashC: one.kind === 'essentialOil' ? 58 : 93,
    maxima: {
      wash: one.most,
      shaving: one.most,
      face: one.face ?? roundTo(one.most * 0.6, 3),
      household: roundTo(one.most * 1.4, 3),
    },
    sheetOn: '2026-03-03',
    allergens: Object.entries(one.allergens ?? {}).map(([name, share]) => ({ name, share })),
    vanillin: one.vanillin ?? null,
    price: one.price,
    claims: {
      pace: one.said[0],
      colour: one.said[1] ?? null,
      keeps: one.said[2] ?? null,
    },
    code: one.code,
    drawer: placeOf(nth),
    sample: { of: one.of ?? 20, left: one.left ?? 10 },
    colour: one.colour,
    parts: [],
    smells: one.smells,
    note: one.note ?? '',
  },
}))

/** A blend that was never tried: what it does, and how much of it may go in, is worked out from its parts. */
const blend: { id: string; document: Scent } = {
  id: idOf(2, told.length + 1),
  document: {
    ...samples[0]!.document,
    name: 'Winter mooring',
    kind: 'blend',
    supplierId: null,
    density: null,
    flashC: null,
    maxima: {},
    sheetOn: null,
    allergens: [],
    vanillin: null,
    price: null,
    claims: { pace: null, colour: null, keeps: null },
    code: null,
    drawer: null,
    sample: null,
    colour: '#7d6a48',
    parts: [
      ['Fir & smoke', 3],
      ['Cold orange', 2],
      ['Wet slate', 1],
    ].map(([name, parts]) => ({
      scentId: samples.find(({ document }) => document.name === name)!.id,
      parts: Number(parts),
    })),
    smells: ['fir', 'smoke', 'orange'],
    note: 'For the Advent market, perhaps. Half of it races: try it in a small pot first.',
  },
}
export const demoScents: { id: string; document: Scent }[] = [...samples, blend]

/** The record of a scent by its name, and where two suppliers have one of that name, by the supplier's. */
export const demoScentId = (name: string, from?: number): string | undefined =>
  demoScents.find(
    ({ document }) =>
      document.name === name && (from === undefined || document.supplierId === idOf(1, from)),
  )?.id

/** What a pot did: the minute of medium by its own clock, what else was seen, noses by day, and how far its colour went by day. */
interface PotTold {
  scent: string | null
  from?: number
  code: string
  medium: number
  ratio?: number
  /** g of scent beyond what was wanted. */
  over?: number
  riced?: [from: number, to: number]
  loosens?: number
  seizes?: number
  unsure?: TrialStage
  /** Strength by nose day, each as Maren, Jo and Idris wrote it. */
  noses?: string[]
  /** CIEDE2000 from plain, on days 1, 14, 30, 60, 90. */
  colour?: number[]
}
interface DayTold {
  ago: number
  note: string
  varies: Trial['varies']
  roomC: number
  pots: PotTold[]
}
const plain = (code: string, medium: number, ratio?: number): PotTold => ({
  scent: null,
  code,
  medium,
  ratio,
  noses: ['000', '000', '000', '000', '000'],
  colour: [],
})
const days: DayTold[] = [
  {
    ago: 90,
    note: 'Rain all day, the door shut.',
    varies: 'nothing',
    roomC: 20,
    // prettier-ignore
    pots: [
      plain('KLA', 32),
      { scent: 'Wet slate', code: 'XZE', medium: 42, noses: ['222', '221', '111', '111', '000'], colour: [0.6, 0.9, 1.1, 1.3, 1.3] },
      { scent: 'Cold orange', code: 'EKT', medium: 38, noses: ['333', '111', '000', '000', '000'], colour: [0.9, 1.4, 1.7, 1.9, 1.9] },
      { scent: 'Barn lavender', code: 'AHL', medium: 35, noses: ['333', '333', '222', '222', '221'], colour: [0.4, 0.7, 0.9, 1.0, 1.1] },
      { scent: 'Sea kale', code: 'HLX', medium: 31, noses: ['333', '322', '222', '112', '111'], colour: [0.8, 1.1, 1.4, 1.6, 1.6] },
      { scent: 'Salt marsh', code: 'KNY', medium: 29, noses: ['333', '222', '221', '111', '111'], colour: [0.6, 0.8, 1.0, 1.2, 1.2] },
      { scent: 'Ferry rope', code: 'LTZ', medium: 27, noses: ['333', '333', '333', '333', '222'], colour: [1.1, 3.2, 5.4, 7.1, 7.8] },
      { scent: 'Tonka & hay', code: 'NV4', medium: 22, noses: ['333', '333', '333', '333', '333'], colour: [3.0, 9.5, 14.0, 17.6, 19.0] },
      { scent: 'Garden wall', code: 'FNV', medium: 19, noses: ['333', '333', '322', '222', '111'], colour: [0.9, 1.6, 2.1, 2.4, 2.4] },
      { scent: 'Bay & pepper', code: 'TX7', medium: 12.4, riced: [3, 6], noses: ['333', '333', '333', '222', '222'], colour: [1.4, 2.8, 3.6, 4.1, 4.2] },
      { scent: 'White lilac', code: 'NA7', medium: 4.9, riced: [0.8, 2.4], noses: ['333', '333', '332', '223', '212'], colour: [0.9, 1.6, 2.0, 2.2, 2.2] },
      { scent: 'Clove stove', code: 'VYA', medium: 0.7, seizes: 0.7, noses: ['333', '333', '333', '333', '333'], colour: [2.2, 4.1, 5.2, 5.9, 6.1] },
    ],
  },
  {
    ago: 46,
    note: 'One scent at three waters, and the two oranges beside each other.',
    varies: 'water',
    roomC: 18,
    // prettier-ignore
    pots: [
      plain('LKA', 31),
      plain('KTE', 21, 1.9),
      plain('ZEH', 52, 2.8),
      { scent: 'Fir & smoke', code: 'HFN', medium: 14, ratio: 2.8, noses: ['333', '333', '333'], colour: [1.3, 2.6, 3.4] },
      { scent: 'Orange & pitch', from: kittle, code: 'Z4F', medium: 31, noses: ['333', '322', '222'], colour: [1.4, 2.7, 3.4] },
      { scent: 'Salt marsh', code: 'KYN', medium: 28, noses: ['333', '222', '221'], colour: [0.5, 0.9, 1.0] },
      { scent: 'Orange & pitch', from: dunlin, code: '47H', medium: 17, noses: ['333', '222', '111'], colour: [2.1, 4.2, 5.2] },
      { scent: 'Bay & pepper', code: '7TX', medium: 11.2, riced: [2.5, 5.5], noses: ['333', '333', '332'], colour: [1.5, 2.9, 3.5] },
      { scent: 'Fir & smoke', code: 'YVH', medium: 3.2, noses: ['333', '333', '333'], colour: [1.6, 3.0, 3.9] },
      { scent: 'Fir & smoke', code: 'VNF', medium: 1.6, ratio: 1.9, noses: ['333', '333', '333'], colour: [1.5, 3.1, 4.0] },
    ],
  },
  {
    ago: 16,
    note: '',
    varies: 'nothing',
    roomC: 19,
    // prettier-ignore
    pots: [
      plain('KF4', 32),
      { scent: 'Quarry fern', code: 'AF7', medium: 36, noses: ['332'], colour: [0.8] },
      { scent: 'Rosemary gate', code: 'HX4', medium: 33, noses: ['323'], colour: [0.7] },
      { scent: 'Pear cellar', code: 'LT7', medium: 20, over: 0.13, noses: ['333'], colour: [0.9] },
      { scent: 'Black tea', code: 'NE4', medium: 52, loosens: 9, noses: ['111'], colour: [1.4] },
      { scent: 'Lime kiln', code: 'TY7', medium: 23.5, noses: ['333'], colour: [1.9] },
      { scent: 'Heather smoke', code: 'VK4', medium: 12.2, noses: ['333'], colour: [2.4] },
      { scent: 'Hot milk', code: 'XZ7', medium: 20.8, unsure: 'medium', noses: ['332'], colour: [2.6] },
      { scent: 'Candle end', code: 'EH4', medium: 17, riced: [2, 6.5], noses: ['333'], colour: [1.6] },
      { scent: 'Plum loft', code: 'FV7', medium: 9, noses: ['333'], colour: [4.8] },
      { scent: 'White lilac', code: '7NA', medium: 5.6, riced: [1, 2.8], noses: ['333'], colour: [0.9] },
      { scent: 'Fir & smoke', code: 'YH7', medium: 3, noses: ['333'], colour: [1.4] },
    ],
  },
]

const noses = ['Maren', 'Jo', 'Idris']
const noseDays: NoseDay[] = [1, 14, 30, 60, 90]
/** Minutes of the other stages for one of medium, as they came in Hostel Bar batter. */
const ofMedium: [stage: TrialStage, times: number][] = [
  ['light', 0.49],
  ['medium', 1],
  ['thick', 1.57],
  ['too-far', 2.14],
]
const grams = 60
const usualRatio = 2.14
const rate = 0.05
/** Minutes from lye and oils meeting to the first scent, and between two pots. */
const [firstAt, between] = [11, 0.62]
/** How long the round went on. */
const roundMinutes = 60

/** Plain Hostel Bar as a camera sees it under the lamp of the shed, and where browning takes it. */
const plainLab: Lab = labOf([[230, 220, 194]], null)
const tan: Lab = { l: 58, a: 14, b: 34 }
/** A colour that lies so far from plain. */
function awayFrom(difference: number): Lab {
  let [low, high] = [0, 1]
  const at = (part: number): Lab => ({
    l: plainLab.l + (tan.l - plainLab.l) * part,
    a: plainLab.a + (tan.a - plainLab.a) * part,
    b: plainLab.b + (tan.b - plainLab.b) * part,
  })
  for (let step = 0; step < 30; step++) {
    const middle = (low + high) / 2
    if (differenceOf(at(middle), plainLab) < difference) low = middle
    else high = middle
  }
  return at(high)
}
const rounded = ({ l, a, b }: Lab): Lab => ({
  l: roundTo(l, 2),
  a: roundTo(a, 2),
  b: roundTo(b, 2),
})

/**
 * The trial days with all that happened on and after them.
 * @param formula Hostel Bar as it is kept, with its id
 */
export function demoTrials(
  today: string,
  formula: { id: string; document: Trial['formula'] },
): { id: string; document: Trial; events: TrialEvent[]; day: string }[] {
  return days.map((one, nth) => {
    const day = addDays(today, -one.ago)
    const start = Date.parse(`${day}T10:40:00Z`)
    const random = randomSource(nth + 7)
    const shareAt = new Map(
      [1.9, usualRatio, 2.8].map((ratio) => [
        ratio,
        roundTo(plainOilShare(formula.document, ratio, demoLibrary), 4),
      ]),
    )
    const document: Trial = {
      number: nth + 1,
      day,
      formulaId: formula.id,
      formula: formula.document,
      batchId: null,
      stage: 'emulsion',
      varies: one.varies,
      pots: one.pots.map((pot) => ({
        code: pot.code,
        scentId: pot.scent === null ? null : demoScentId(pot.scent, pot.from)!,
        name: pot.scent ?? 'Plain',
        grams,
        rate: pot.scent === null ? 0 : rate,
        ratio: pot.ratio ?? usualRatio,
        oilShare: shareAt.get(pot.ratio ?? usualRatio)!,
      })),
      scale: 0.01,
      minutes: roundMinutes,
      roomC: one.roomC,
      keptC: null,
      note: one.note,
    }
    const events: { minutes: number; event: NewTrialEvent }[] = []
    const tell = (minutes: number, event: NewTrialEvent) => events.push({ minutes, event })
    tell(0, { kind: 'began', paper: false })
    one.pots.forEach((pot, place) => {
      const { oilShare } = document.pots[place]!
      const batter = roundTo(grams + random.normal() * 0.3, 1)
      tell(6 + place * 0.3, {
        kind: 'weighed',
        pot: place,
        what: 'batter',
        grams: batter,
        typed: false,
      })
      const zero = firstAt + place * between
      if (pot.scent !== null) {
        const dose = roundTo(batter * oilShare * rate + (pot.over ?? random.normal() * 0.012), 2)
        tell(zero - 0.2, { kind: 'weighed', pot: place, what: 'scent', grams: dose, typed: false })
        tell(zero, { kind: 'zeroed', pot: place })
      }
      const from = pot.scent === null ? firstAt + ((one.pots.length - 1) * between) / 2 : zero
      const mark = (minutes: number, saw: (NewTrialEvent & { kind: 'marked' })['saw']) => {
        if (from + minutes <= firstAt + roundMinutes)
          tell(from + minutes, { kind: 'marked', pot: place, saw, unsure: saw === pot.unsure })
      }
      if (pot.riced) {
        mark(pot.riced[0], 'rices')
        mark(pot.riced[1], 'smooth-again')
      }
      if (pot.loosens) mark(pot.loosens, 'loosens')
      if (pot.seizes) mark(pot.seizes, 'seizes')
      else for (const [stage, times] of ofMedium) mark(pot.medium * times, stage)
      const stiff = pot.seizes ?? pot.medium * 2.14
      if (from + stiff < firstAt + roundMinutes)
        tell(from + stiff + 0.1, { kind: 'lidded', pot: place, on: true })
    })
    tell(firstAt + roundMinutes, { kind: 'ended' })
    for (const [at, after] of noseDays.entries()) {
      if (after > one.ago || !one.pots.some((pot) => pot.scent && pot.noses?.[at])) continue
      const minutes = after * 1440 + 480
      noses.forEach((nose, who) =>
        tell(minutes + who * 20, {
          kind: 'sniffed',
          nose,
          day: after,
          strengths: one.pots.flatMap((pot, place) => {
            const strength = pot.noses?.[at]?.[who]
            return strength === undefined
              ? []
              : [{ pot: place, strength: Number(strength) as Strength }]
          }),
          apart: false,
        }),
      )
      one.pots.forEach((pot, place) => {
        const difference = pot.colour?.[at]
        if (difference === undefined) return
        const sample = awayFrom(difference)
        tell(minutes + 60, {
          kind: 'coloured',
          pot: place,
          day: after,
          sample: rounded(sample),
          plain: rounded(plainLab),
          swatch: swatchOf(sample),
          plainSwatch: swatchOf(plainLab),
          card: true,
          photo: null,
        })
      })
    }
    return {
      id: v7({ msecs: start - 86_400_000 }),
      document,
      day,
      events: events
        .sort((a, b) => a.minutes - b.minutes)
        .map(({ minutes, event }) => {
          const ms = Math.round(start + minutes * 60_000)
          return { ...event, id: v7({ msecs: ms }), at: new Date(ms).toISOString() } as TrialEvent
        }),
    }
  })
}
