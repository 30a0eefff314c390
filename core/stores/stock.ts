import type { Lot, StoredLot } from '#contracts/store'
import { naohPerGramOfFat } from '../chemistry/alkali'
import { sumOf } from '../statistics/sum'
import { daysBetween, type Day } from '../units/days'

/** A lot as the arithmetic of the stores sees it. */
export type LotNow = Pick<StoredLot, 'id' | 'document' | 'stock'>

/** Days from which on a lye that stands open is doubted. */
export const lyeOpenLong = 180
/** Peroxide value, meq/kg, from which on a fat is no longer fresh, and is rancid. The limits of edible refined and virgin oils. */
export const peroxideLimits = { fresh: 10, rancid: 20 } as const

/**
 * Which of two lots goes first: what is open before what is closed, then what expires first, then what came first.
 * @example [lot({ cameOn: '2026-02-01' }), lot({ cameOn: '2026-01-01' })].sort(firstToGo)[0].document.cameOn // '2026-01-01'
 */
export function firstToGo(one: LotNow, other: LotNow): number {
  const never = '9999-12-31'
  const key = ({ document: { bestBefore, cameOn } }: LotNow) => `${bestBefore ?? never} ${cameOn}`
  return key(one).localeCompare(key(other)) || one.id.localeCompare(other.id)
}

/**
 * The lots of a thing that may be drawn from, the first to expire first; what is held or empty is none.
 * @example usableLots([lot({ held: { why: 'recalled', since: '2026-03-01', note: '' } })], 'castor').length // 0
 */
export const usableLots = (lots: readonly LotNow[], thing: string): LotNow[] =>
  lots
    .filter(({ document, stock }) => document.thing === thing && !document.held && stock > 0)
    .sort(firstToGo)

/** g, or pieces, taken from a lot. */
export interface Take {
  lotId: string
  grams: number
}

/**
 * What a need takes from which lots, the first to expire first; and g that no lot has.
 * @example takeFrom([lot({}, 300), lot({ cameOn: '2026-04-01' }, 900)], 'castor', 500).takes.map(({ grams }) => grams) // [300, 200]
 */
export function takeFrom(
  lots: readonly LotNow[],
  thing: string,
  grams: number,
): { takes: Take[]; short: number } {
  const takes: Take[] = []
  let rest = grams
  for (const { id, stock } of usableLots(lots, thing)) {
    if (rest <= 1e-9) break
    const taken = Math.min(stock, rest)
    takes.push({ lotId: id, grams: taken })
    rest -= taken
  }
  return { takes, short: Math.max(0, rest) }
}

/**
 * What a gram, or a piece, of a lot cost, in the smallest unit of money: its price and its part of the shipping; of a made-up lot
 * what went into it. Null where a price is not known of something that has one; own milk without one costs nothing.
 * @example unitCost(lot({ amount: 1000, price: 700, shipping: 60 }), () => undefined) // 0.76
 */
export function unitCost(
  { document }: Pick<LotNow, 'document'>,
  lotOf: (id: string) => LotNow | undefined,
  depth = 0,
): number {
  const { amount, price, shipping, parts } = document
  const own = (price ?? 0) + shipping
  // A stock made up of stocks made up of stocks: deeper nobody mixes, and a circle ends here.
  const within =
    depth > 8
      ? 0
      : sumOf(parts, ({ lotId, grams }) => {
          const part = lotOf(lotId)
          return part ? grams * unitCost(part, lotOf, depth + 1) : 0
        })
  return (own + within) / amount
}

/** What is to be minded of a lot, the worst first. */
export type LotFlag =
  | { kind: 'held'; why: NonNullable<Lot['held']>['why'] }
  | { kind: 'overdrawn'; grams: number }
  | { kind: 'expired'; days: number }
  | { kind: 'use-by'; days: number }
  | { kind: 'rancid'; peroxide: number }
  | { kind: 'open-long'; days: number }
  | { kind: 'stale'; peroxide: number }

/** Days before its best before day from which on a lot says so. */
const soon = 21

/**
 * What is to be minded of a lot on a day, the worst first; nothing of one that is empty.
 * @param kept how soon before its best before day it says so, days
 * @example flagsOf(lot({ bestBefore: '2026-03-10' }), '2026-03-01', false) // [{ kind: 'use-by', days: 9 }]
 */
export function flagsOf({ document, stock }: LotNow, today: Day, caustic: boolean): LotFlag[] {
  if (Math.abs(stock) < 1e-6 && !document.held) return []
  const { held, bestBefore, openedOn, certificate } = document
  const left = bestBefore === null ? null : daysBetween(today, bestBefore)
  const open = openedOn === null ? 0 : daysBetween(openedOn, today)
  const peroxide = certificate?.peroxide ?? 0
  const flags: (LotFlag | false)[] = [
    held !== null && { kind: 'held', why: held.why },
    stock < -1e-6 && { kind: 'overdrawn', grams: -stock },
    left !== null && left < 0 && { kind: 'expired', days: -left },
    peroxide >= peroxideLimits.rancid && { kind: 'rancid', peroxide },
    left !== null && left >= 0 && left <= soon && { kind: 'use-by', days: left },
    caustic && open > lyeOpenLong && { kind: 'open-long', days: open },
    peroxide >= peroxideLimits.fresh &&
      peroxide < peroxideLimits.rancid && { kind: 'stale', peroxide },
  ]
  return flags.filter((flag) => flag !== false)
}

/**
 * What a lot says of its own: the saponification value of a fat, mg KOH per g, and the purity of a lye, as a fraction; null where its
 * paper is silent.
 * @example valuesOf(lot({ certificate: { sap: 181 } }).document) // { sap: 181, purity: null }
 */
export const valuesOf = ({
  certificate,
}: Pick<Lot, 'certificate'>): { sap: number | null; purity: number | null } => ({
  sap: certificate?.sap ?? null,
  purity: certificate?.purity ?? null,
})

/**
 * g of lye that a batch takes more, less where negative, because a lot of one of its fats has a value of its own.
 * @param superfat of the batch, and purity of its NaOH, as fractions
 * @example moreLye({ grams: 300, usual: 257, sap: 261, superfat: 0.05, purity: 1 }) // 0.812692
 */
export const moreLye = ({
  grams,
  usual,
  sap,
  superfat,
  purity,
}: {
  grams: number
  usual: number
  sap: number
  superfat: number
  purity: number
}): number => (naohPerGramOfFat(sap - usual) * grams * (1 - superfat)) / purity

/**
 * The number that follows a code: its last digits counted on; the first where it has none.
 * @example nextCode('K12') // 'K13'
 */
export function nextCode(code: string): string {
  const digits = /\d+(?!.*\d)/.exec(code)
  return digits
    ? `${code.slice(0, digits.index)}${Number(digits[0]) + 1}${code.slice(digits.index + digits[0].length)}`
    : `${code} 2`
}

/**
 * The lot that is put at the scale for a weighing: the first to expire that reaches, else the first of all. Null where there is none.
 * @example lotFor([lot({}, 40, 'rest'), lot({ cameOn: '2026-04-01' }, 900, 'full')], 'castor', 70)?.id // 'full'
 */
export function lotFor<Lot extends LotNow>(
  lots: readonly Lot[],
  thing: string,
  grams: number,
): Lot | null {
  const usable = usableLots(lots, thing) as Lot[]
  return usable.find(({ stock }) => stock >= grams - 1e-6) ?? usable[0] ?? null
}
