import { lotSchema, type Blend, type Lot, type NewLot } from '#contracts/store'
import type { NewMarketEvent } from '#contracts/market'
import type { VesselForm } from '#contracts/storeWords'
import type { Supplier } from '#contracts/supplier'
import type { Frozen } from '#contracts/result'
import { needsOf } from '#core/stores/things'
import { addDays, type Day } from '#core/units/days'
import { firstToGo, usableLots, type LotNow } from '#core/stores/stock'
import { roundTo } from '#core/statistics/roundTo'
import { demoFormulas } from './formulas'
import { demoScents } from './scents'

/*
 * Fourteen months of the shed's stores. What was bought follows from what was poured: whenever a thing would run short, the next pack
 * of it has come some days before. So stock, moves and batches agree to the gram.
 */

const idOf = (kind: number, nth: number) =>
  `0192d3f0-0000-7000-8${kind}00-0000000${String(nth).padStart(5, '0')}`

const names = ['Tern Quay', 'Wick Yard', 'Saltpan', 'Ferry Print'] as const
const notes: Record<(typeof names)[number], string> = {
  'Tern Quay': 'Fats by the drum. The lot’s paper comes by post a week later.',
  'Wick Yard': 'Castor, waxes and oddments. Rang on their own about R118.',
  Saltpan: 'Lye, acids and salts, by the bucket. Wants the buckets back.',
  'Ferry Print': 'Wraps and labels.',
}
export const demoStoreSuppliers: { id: string; document: Supplier }[] = names.map((name, nth) => ({
  id: idOf(1, nth + 1),
  document: {
    name,
    note: notes[name],
    tested: { rate: null, ratio: null, celsius: null, batter: '' },
  },
}))
const supplierId = (name: (typeof names)[number]) => demoStoreSuppliers[names.indexOf(name)]!.id

interface Bought {
  from?: (typeof names)[number]
  /** Numbers of the lots in their order; what is over counts on. */
  codes: string[]
  /** g, or pieces, and pence. */
  pack: [amount: number, price: number]
  place: string
  form: VesselForm
  tare?: number
  /** Months that it keeps. */
  keeps?: number
}
const [window, middle, floor] = ['Window shelf', 'Middle shelf', 'Floor']
const [tern, wick, salt] = names
// prettier-ignore
const bought: Record<string, Bought> = {
  olive: { from: tern, codes: ['K6', 'K9', 'K12'], pack: [10_000, 6700], place: floor, form: 'drum', tare: 1180, keeps: 18 },
  coconut: { from: tern, codes: ['CN22', 'CN26', 'CN29', 'CN31'], pack: [5000, 3100], place: floor, form: 'bucket', tare: 640, keeps: 20 },
  tallow: { from: tern, codes: ['T2', 'T3', 'T4'], pack: [5000, 2750], place: floor, form: 'bucket', tare: 640, keeps: 15 },
  lard: { from: tern, codes: ['LD4', 'LD5'], pack: [2500, 1180], place: floor, form: 'bucket', tare: 410, keeps: 12 },
  castor: { from: wick, codes: ['R98', 'R106', 'R118', 'R124'], pack: [1000, 890], place: middle, form: 'jar', tare: 210, keeps: 18 },
  rapeseed: { from: tern, codes: ['RS3', 'RS4'], pack: [1000, 340], place: middle, form: 'jar', tare: 210, keeps: 12 },
  palm: { from: tern, codes: ['PM2'], pack: [1000, 410], place: middle, form: 'jar', tare: 210, keeps: 18 },
  shea: { from: wick, codes: ['SH5', 'SH6'], pack: [1000, 1150], place: middle, form: 'bucket', tare: 120, keeps: 18 },
  'cocoa-butter': { from: wick, codes: ['CB2', 'CB3'], pack: [500, 940], place: middle, form: 'jar', tare: 140, keeps: 24 },
  'sweet-almond': { from: wick, codes: ['SA4', 'SA5'], pack: [500, 810], place: middle, form: 'jar', tare: 190, keeps: 12 },
  'rice-bran': { from: tern, codes: ['RB3', 'RB4'], pack: [500, 290], place: middle, form: 'jar', tare: 190, keeps: 12 },
  'laurel-berry': { from: wick, codes: ['LB1'], pack: [500, 1950], place: middle, form: 'jar', tare: 190, keeps: 18 },
  'stearic-acid': { from: wick, codes: ['ST1'], pack: [500, 360], place: middle, form: 'jar', tare: 120, keeps: 36 },
  naoh: { from: salt, codes: ['N3', 'N4', 'N5', 'N6', 'N7'], pack: [2500, 1050], place: floor, form: 'bucket', tare: 320 },
  water: { codes: ['W1', 'W2', 'W3', 'W4'], pack: [10_000, 450], place: floor, form: 'can', tare: 410 },
  buttermilk: { codes: ['Apr', 'Nov', 'late Nov'], pack: [1000, 190], place: middle, form: 'box', keeps: 7 },
  'citric-acid-monohydrate': { from: salt, codes: ['CA1', 'CA2'], pack: [500, 420], place: middle, form: 'jar', tare: 90, keeps: 36 },
  'sodium-citrate': { from: salt, codes: ['SC1'], pack: [500, 520], place: middle, form: 'jar', tare: 90, keeps: 36 },
  salt: { from: salt, codes: ['SS1'], pack: [5000, 390], place: middle, form: 'sack' },
  kaolin: { from: wick, codes: ['KA1'], pack: [500, 310], place: window, form: 'jar', tare: 90 },
  'own-slate-dust': { codes: ['own 3'], pack: [1000, 0], place: window, form: 'jar', tare: 90 },
  'rose-clay': { from: wick, codes: ['RC1', 'RC2'], pack: [250, 480], place: window, form: 'jar', tare: 90 },
  'titanium-dioxide': { from: wick, codes: ['TD1'], pack: [100, 390], place: window, form: 'jar', tare: 90 },
  'activated-charcoal': { from: wick, codes: ['AC1'], pack: [100, 540], place: window, form: 'jar', tare: 90 },
  'goods-wrap': { from: 'Ferry Print', codes: ['GW1', 'GW2', 'GW3'], pack: [250, 1600], place: window, form: 'packet' },
  'goods-label': { from: 'Ferry Print', codes: ['GL1', 'GL2', 'GL3'], pack: [250, 800], place: window, form: 'packet' },
  'goods-liner': { from: 'Ferry Print', codes: ['LN1'], pack: [50, 900], place: window, form: 'packet' },
  'goods-strips': { from: salt, codes: ['PH1'], pack: [100, 640], place: window, form: 'packet' },
}
/** Scents come in bottles, from whoever they are from. */
const scentPacks: Record<string, [code: string, amount: number, price: number]> = {
  'Fir & smoke': ['FS', 500, 2300],
  'Orange & pitch': ['OP', 250, 1150],
  'Salt marsh': ['SM', 250, 1480],
  'Garden wall': ['GR', 250, 1520],
  'Bay & pepper': ['BP', 100, 1290],
}

/** What the shed would pay for what it does not keep, pence for a kilogram. */
export const demoPrices: Record<string, number> = { 'sunflower-high-oleic': 390 }

/** What the papers of some lots say. */
const papers: Record<string, NewLot['certificate']> = {
  CN31: { number: 'TQ 4471', sap: 261, peroxide: 0.9, freeAcid: 0.0006, melts: 24.6 },
  K12: { number: 'TQ 4502', sap: 189.5, peroxide: 6.8, freeAcid: 0.004 },
  N6: { number: 'SP 118', purity: 0.985 },
}

/** Stocks that are made up ahead: of the formula's own fats, and lye 1 : 2. */
const sharesOf = (formula: string) => {
  const { document } = demoFormulas.find((one) => one.document.name === formula)!
  return document.fats.map(({ id, share }) => ({ thing: id, share: share! }))
}
export const demoBlends: { id: string; document: Blend }[] = [
  {
    id: 'blend-hostel',
    document: {
      name: 'Hostel blend',
      kind: 'oils',
      parts: sharesOf('Hostel Bar'),
      colour: '#c9a64b',
      note: 'The fats of Hostel Bar. Tallow sinks: melt the whole bucket, stir to the bottom.',
    },
  },
  {
    id: 'blend-estuary',
    document: {
      name: 'Estuary blend',
      kind: 'oils',
      parts: sharesOf('Estuary Hands'),
      colour: '#d8c39a',
      note: '',
    },
  },
]
/** When each was made up, how much of it, and for which batches. */
const madeUp: {
  thing: string
  code: string
  ago: number
  grams: number
  serves: number[]
  keeps: number
}[] = [
  { thing: 'blend-hostel', code: 'HB2', ago: 284, grams: 4120, serves: [10, 18], keeps: 240 },
  { thing: 'blend-estuary', code: 'EB1', ago: 92, grams: 2990, serves: [22, 33], keeps: 200 },
  { thing: 'blend-hostel', code: 'HB3', ago: 75, grams: 8000, serves: [23, 30], keeps: 180 },
]

/** A batch that was poured, or is planned. */
export interface PouredBatch {
  id: string
  number: number
  frozen: Frozen
  pouredOn: Day | null
  bars: number
}
/** A move of the demo, in the order of the days. */
export type DemoMove =
  | { kind: 'came'; id: string; document: Lot; day: Day }
  | { kind: 'drawn'; lotId: string; grams: number; batchId: string; day: Day }
  | { kind: 'thrown'; lotId: string; grams: number; day: Day; note: string }
  | {
      kind: 'counted'
      lotId: string
      grams: number
      gross: number
      day: Day
      why: 'spilled' | null
      note: string
    }

/** Everything that came and went until a day, in order. */
export function demoMoves(batches: readonly PouredBatch[], today: Day): DemoMove[] {
  const moves: DemoMove[] = []
  const lots: LotNow[] = []
  const counts = new Map<string, number>()
  let made = 0
  const strips = addDays(today, -420)

  function came(id: string, document: Lot, day: Day): LotNow {
    const lot = { id, document, stock: document.amount }
    lots.push(lot)
    moves.push({ kind: 'came', id, document, day })
    return lot
  }
  function buy(thing: string, day: Day): LotNow {
    const scent = demoScents.find(({ id }) => id === thing)
    const known = bought[thing]
    const nth = counts.get(thing) ?? 0
    counts.set(thing, nth + 1)
    const [code, amount, price] = scent ? scentPacks[scent.document.name]! : ['', 0, 0]
    const pack = known?.pack ?? [amount, price]
    const called = known
      ? (known.codes[nth] ?? `${known.codes.at(-1)} ${nth}`)
      : `${code}${nth + 3}`
    const double = called === 'R118'
    const on = addDays(day, thing === 'buttermilk' ? -1 : -6)
    return came(
      idOf(2, ++made),
      lotSchema.parse({
        thing,
        code: called,
        supplierId: scent?.document.supplierId ?? (known?.from ? supplierId(known.from) : null),
        cameOn: on,
        openedOn: day <= today ? day : null,
        bestBefore: known?.keeps
          ? addDays(on, Math.round(known.keeps * 30.4))
          : scent
            ? addDays(on, 700)
            : null,
        amount: pack[0] * (double ? 2 : 1),
        price: pack[1] === 0 ? null : Math.round(pack[1] * (double ? 2 : 1) * (1 + nth * 0.02)),
        shipping: known?.from ? Math.round(pack[1] * 0.04) : 0,
        vessel: {
          form: known?.form ?? 'bottle',
          name: '',
          tare: known?.tare ?? (scent ? 64 : null),
        },
        place: known?.place ?? window,
        certificate: papers[called] ?? null,
      }),
      on,
    )
  }
  /** Takes so much of a thing out of its lots, the first to expire first; what is short is bought. */
  function take(thing: string, grams: number, day: Day): { lot: LotNow; grams: number }[] {
    const taken: { lot: LotNow; grams: number }[] = []
    let rest = grams
    while (rest > 0.0005) {
      const [lot] = usableLots(lots, thing).filter(
        ({ document }) => (document.bestBefore ?? '9999') >= day && document.cameOn <= day,
      )
      const from = lot ?? buy(thing, day)
      const part = Math.round(Math.min(rest, from.stock) * 1000) / 1000
      from.stock = roundTo(from.stock - part, 3)
      rest -= part
      taken.push({ lot: from, grams: part })
    }
    return taken
  }

  const acts: { day: Day; act: () => void }[] = []
  for (const { id, number, frozen, pouredOn, bars } of batches) {
    if (!pouredOn || pouredOn > today) continue
    const blend = madeUp.find(({ serves }) => serves.includes(number))
    const inBlend = new Set(
      blend
        ? demoBlends.find((one) => one.id === blend.thing)!.document.parts.map((part) => part.thing)
        : [],
    )
    acts.push({
      day: pouredOn,
      act() {
        const needs = needsOf(frozen)
        const draw = (thing: string, grams: number) => {
          for (const part of take(thing, Math.round(grams * 10) / 10, pouredOn))
            moves.push({
              kind: 'drawn',
              lotId: part.lot.id,
              grams: part.grams,
              batchId: id,
              day: pouredOn,
            })
        }
        if (blend) {
          const fats = needs.filter(({ thing }) => inBlend.has(thing))
          draw(
            blend.thing,
            fats.reduce((sum, { grams }) => sum + grams, 0),
          )
        }
        for (const { thing, grams } of needs) if (!inBlend.has(thing)) draw(thing, grams)
        for (const thing of ['goods-wrap', 'goods-label']) draw(thing, bars)
        draw('goods-liner', 1)
      },
    })
  }
  for (const { thing, code, ago, grams, keeps } of madeUp)
    acts.push({
      day: addDays(today, -ago),
      act() {
        const day = addDays(today, -ago)
        const { parts } = demoBlends.find((one) => one.id === thing)!.document
        const from = parts.flatMap((part) => take(part.thing, grams * part.share, day))
        const expiry = from.flatMap(({ lot }) => lot.document.bestBefore ?? []).sort()[0]
        came(
          idOf(3, ++made),
          lotSchema.parse({
            thing,
            code,
            cameOn: day,
            openedOn: day,
            bestBefore: [expiry ?? addDays(day, keeps), addDays(day, keeps)].sort()[0],
            amount: grams,
            vessel: { form: 'bucket', name: '25 litre bucket', tare: 980 },
            place: floor,
            parts: from.map((part) => ({ lotId: part.lot.id, grams: part.grams })),
          }),
          day,
        )
      },
    })
  acts.push({ day: strips, act: () => void buy('goods-strips', strips) })
  // A lye solution for the weeks to come, 1 : 2 by weight, and milk for the batch that is planned.
  acts.push({
    day: addDays(today, -3),
    act() {
      const day = addDays(today, -3)
      const from = [...take('naoh', 1000, day), ...take('water', 2000, day)]
      came(
        idOf(4, ++made),
        lotSchema.parse({
          thing: 'lye-solution',
          code: 'LS3',
          cameOn: day,
          openedOn: day,
          bestBefore: addDays(day, 180),
          amount: 3000,
          vessel: { form: 'can', name: 'can 2', tare: 412 },
          place: floor,
          certificate: { purity: Math.round((1000 * 0.985 * 1000) / 3000) / 1000 },
          checked: { millilitres: 100, grams: 135.4, celsius: 20, cylinder: true },
          peakC: 56,
          parts: from.map((part) => ({ lotId: part.lot.id, grams: part.grams })),
        }),
        day,
      )
      const milk = buy('buttermilk', addDays(today, 1))
      milk.document = { ...milk.document, bestBefore: addDays(today, 3), openedOn: null }
      const last = moves.at(-1)!
      if (last.kind === 'came') last.document = milk.document
    },
  })
  acts.sort((a, b) => a.day.localeCompare(b.day))
  for (const { act } of acts) act()
  // The castor that its supplier called back, and another in its place.
  const recalled = lots.find(({ document }) => document.code === 'R118')
  if (recalled)
    recalled.document.held = {
      why: 'recalled',
      since: today,
      note: 'Wick Yard rang: rancid in store.',
    }
  if (!lots.some(({ document }) => document.code === 'R124')) buy('castor', addDays(today, 1))
  // The can is nearly empty: the next one stands beside it.
  buy('water', today)
  // Milk that nobody drank is thrown away when it is over.
  for (const lot of lots)
    if (lot.document.thing === 'buttermilk' && lot.document.bestBefore! < today && lot.stock > 0) {
      const day = addDays(lot.document.bestBefore!, 1)
      if (day > today) continue
      moves.push({ kind: 'thrown', lotId: lot.id, grams: lot.stock, day, note: 'Over its day.' })
      lot.stock = 0
    }
  // Counted yesterday: Jo had spilled some.
  const coconut = lots
    .filter(({ document }) => document.thing === 'coconut')
    .sort(firstToGo)
    .find(({ stock }) => stock > 500)
  if (coconut) {
    coconut.stock -= 38
    moves.push({
      kind: 'counted',
      lotId: coconut.id,
      grams: coconut.stock,
      gross: coconut.stock + 640,
      day: addDays(today, -1),
      why: 'spilled',
      note: 'Jo, over the scale',
    })
  }
  return moves
}

/** Market days of the autumn: what was packed, what went, what came home. */
export interface DemoMarket {
  name: string
  ago: number
  tin: number
  lines: {
    batch: number
    packed: number
    price: number
    sold: number
    given?: number
    said?: string
  }[]
}
export const demoMarkets: DemoMarket[] = [
  {
    name: 'Ferry market',
    ago: 37,
    tin: 4000,
    lines: [
      { batch: 1, packed: 4, price: 520, sold: 1 },
      { batch: 24, packed: 3, price: 520, sold: 1 },
    ],
  },
  {
    name: 'Ferry market',
    ago: 23,
    tin: 4000,
    lines: [
      { batch: 1, packed: 4, price: 520, sold: 2, said: 'A walker took two: “nothing in it”.' },
      { batch: 24, packed: 2, price: 520, sold: 1 },
    ],
  },
  {
    name: 'Ferry market',
    ago: 9,
    tin: 4000,
    lines: [
      { batch: 1, packed: 6, price: 650, sold: 4, said: 'Two asked for it without the wrap.' },
      { batch: 21, packed: 4, price: 600, sold: 2, given: 1 },
      { batch: 24, packed: 3, price: 520, sold: 1 },
    ],
  },
]

/** Everything that was told of a market day that is over. */
export function eventsOfMarket(
  { lines, tin }: DemoMarket,
  batchOf: (number: number) => string,
): NewMarketEvent[] {
  const cash = lines.reduce((sum, { sold, price }) => sum + sold * price, 0)
  return [
    ...lines.map(({ batch, packed, price }): NewMarketEvent => ({
      kind: 'packed',
      batchId: batchOf(batch),
      bars: packed,
      price,
    })),
    { kind: 'left' },
    ...lines.flatMap(({ batch, sold, given = 0, price }): NewMarketEvent[] => [
      ...Array.from({ length: sold }, (_, nth): NewMarketEvent => ({
        kind: 'gone',
        batchId: batchOf(batch),
        bars: 1,
        how: 'sold',
        price,
        card: nth % 3 === 2,
      })),
      ...(given
        ? [
            {
              kind: 'gone' as const,
              batchId: batchOf(batch),
              bars: given,
              how: 'given' as const,
              price: 0,
            },
          ]
        : []),
    ]),
    ...lines.map(({ batch, packed, sold, given = 0 }): NewMarketEvent => ({
      kind: 'home',
      batchId: batchOf(batch),
      bars: packed - sold - given,
    })),
    ...lines.flatMap(({ batch, said }): NewMarketEvent[] =>
      said ? [{ kind: 'said', batchId: batchOf(batch), says: said }] : [],
    ),
    { kind: 'closed', tin: tin + cash },
  ]
}
