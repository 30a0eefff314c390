import type { BatchEvent, Made } from '#contracts/batch'
import type { AtBench } from '#contracts/batchEvents'
import type { CauseFigure, Gel } from '#contracts/rackWords'
import type { Frozen, PatchStep } from '#contracts/result'
import type { FormulaDocument } from '#contracts/formula'
import { mixingC } from '../batter/workingTime'
import { scorchingLiquids } from '../water/milk'
import { frozenLibrary } from '../formula/frozen'
import type { Library } from '../materials/library'
import { daysBetween, type Day } from '../units/days'
import type { Formatter } from '../units/formatter'
import { madeOf } from '../rack/facts'
import { standingEvents } from '../units/standingEvents'
import { madeAsPlanned } from '../rack/wrong'
import { sumOf } from '../statistics/sum'
import { isCitric } from '../chemistry/acids'

/** What the record of a batch says, for those who look for a cause. */
export interface Case {
  document: FormulaDocument
  result: Frozen['result']
  library: Library
  /** By the weights where there are any, else as planned. */
  made: Made
  weighed: boolean
  bench: AtBench | null
  /** °C when lye and oils met, as measured or as the sheet asks. */
  mixC: number
  gel: Gel | null
  frozenLoaf: boolean
  /** Days between the pour and the cut; null before it. */
  cutAfter: number | null
  /** Days since the pour. */
  age: number
  /** Mean humidity of the room while it dried. */
  humidity: number
  say: Formatter
}

export interface Cause {
  says: string
  /** What the record says for it. */
  evidence: string
  weight: 'likely' | 'possible'
  /** What of the batch speaks for it, and which way; it can be followed through all batches. */
  along?: { figure: CauseFigure; worse: 'more' | 'less' }
  /** What to change in the next version. */
  next?: { label: string; patch: PatchStep[] }
}
/** A rule that looks for one cause. */
export type Suspect = (about: Case) => Cause | null

/**
 * All that a suspicion may look at, of one batch.
 * @example caseOf(batch({ kind: 'poured', day: '2026-03-01' }), '2026-03-11', 0.5, say).age // 10
 */
export function caseOf(
  batch: { frozen: Frozen; events: readonly BatchEvent[] },
  today: Day,
  humidity: number,
  say: Formatter,
): Case {
  const events = standingEvents(batch.events)
  const poured = events.findLast((event) => event.kind === 'poured')
  const cut = events.findLast((event) => event.kind === 'cut')
  const { document, result } = batch.frozen
  const bench = poured?.bench ?? null
  const weighed = madeOf(batch.frozen, events)
  return {
    document,
    result,
    library: frozenLibrary(batch.frozen),
    made: weighed ?? madeAsPlanned(batch.frozen),
    weighed: weighed !== undefined,
    bench,
    mixC: mixingC(
      {
        ...document,
        method: {
          ...document.method,
          lyeC: bench?.lyeC ?? document.method.lyeC,
          oilsC: bench?.oilsC ?? document.method.oilsC,
        },
      },
      result,
    ),
    gel: events.findLast((event) => event.kind === 'gelled')?.gel ?? null,
    frozenLoaf: events.some((event) => event.kind === 'tried' && event.frozen),
    cutAfter: poured && cut ? daysBetween(poured.day, cut.day) : null,
    age: poured ? daysBetween(poured.day, today) : 0,
    humidity,
    say,
  }
}

/**
 * Share of the oils that an additive makes up.
 * @example shareOf(trouble, (id) => id === 'honey') // 0
 */
export const shareOf = ({ result }: Case, fits: (id: string) => boolean): number =>
  result.oils > 0
    ? sumOf(result.additives, ({ id, grams }) => (fits(id) ? grams : 0)) / result.oils
    : 0

/**
 * Whether an additive of the batch is citric acid, the workshop's own kind too.
 * @example citricIn({ library: shipped })('citric-acid-anhydrous') // true
 */
export const citricIn =
  ({ library }: Pick<Case, 'library'>) =>
  (id: string): boolean =>
    isCitric(library.additives.get(id)?.acid)

/**
 * Whether an additive of the batch is a colour.
 * @example tints({ library: shipped })('titanium-dioxide') // true
 */
export const tints =
  ({ library }: Pick<Case, 'library'>) =>
  (id: string): boolean =>
    library.additives.get(id)?.group === 'colour'

/**
 * The name of something that wants dispersing and goes in without; null when there is none.
 * @example undispersed(trouble) // null
 */
export function undispersed({ document, library }: Case): string | null {
  const bare = document.additives.find(
    ({ id, carrier }) => library.additives.get(id)?.disperse && !carrier,
  )
  return bare ? library.additives.get(bare.id)!.name : null
}

/**
 * Whether a liquid that scorches is in the batch, as milk does. Aloe is none.
 * @example hasMilk({ document: example, library: shipped }) // false
 */
export const hasMilk = ({ document, library }: Pick<Case, 'document' | 'library'>): boolean =>
  scorchingLiquids(document, library).length > 0

/**
 * Superfat lowered to a value; nothing where it is that low.
 * @example lowerSuperfat({ document: example, say }, 0.03).next.label // 'Superfat 3 %'
 */
export const lowerSuperfat = ({ document, say }: Case, to: number): Pick<Cause, 'next'> =>
  document.superfat !== null && document.superfat > to
    ? {
        next: {
          label: `Superfat ${say.percent(to)}`,
          patch: [{ path: ['superfat'], value: to }],
        },
      }
    : {}
/**
 * Water set to a ratio.
 * @example waterTo({ say }, 2).next.label // 'Water 2.0 : 1'
 */
export const waterTo = ({ say }: Case, ratio: number): Pick<Cause, 'next'> => ({
  next: {
    label: `Water ${say.ratio(ratio)}`,
    patch: [{ path: ['water'], value: { held: 'ratio', value: ratio } }],
  },
})
/**
 * A cause whose next step is another gel.
 * @example gelTo('prevent').next // { label: 'Prevent the gel', patch: [{ path: ['method', 'gel'], value: 'prevent' }] }
 */
export const gelTo = (gel: 'force' | 'prevent' | 'leave'): Pick<Cause, 'next'> => ({
  next: {
    label: { force: 'Force the gel', prevent: 'Prevent the gel', leave: 'Leave the gel to itself' }[
      gel
    ],
    patch: [{ path: ['method', 'gel'], value: gel }],
  },
})
/**
 * Lye and oils at a temperature.
 * @example mixAt({ say }, 35).next.label // 'Both at 35 °C'
 */
export const mixAt = ({ say }: Case, celsius: number): Pick<Cause, 'next'> => ({
  next: {
    label: `Both at ${say.temperature(celsius)}`,
    patch: [
      { path: ['method', 'lyeC'], value: celsius },
      { path: ['method', 'oilsC'], value: celsius },
    ],
  },
})
/**
 * A share of the oils for every line of an additive.
 * @example rateTo({ document: soap({ additives: [extra('honey', 0.03)] }), say }, (id) => id === 'honey', 0.01).next.label
 *   // '1 % of the oils'
 */
export function rateTo(
  { document, say }: Case,
  fits: (id: string) => boolean,
  rate: number,
): Pick<Cause, 'next'> {
  const at = document.additives.findIndex(({ id }) => fits(id))
  const line = document.additives[at]
  if (!line) return {}
  const { id, moment, carrier } = line
  return {
    next: {
      label: `${say.percent(rate, 1)} of the oils`,
      patch: [{ path: ['additives', at], value: { id, moment, carrier, rate, of: 'oils' } }],
    },
  }
}
