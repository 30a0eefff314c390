import {
  offsetKinds,
  type ForecastKind,
  type OffsetKind,
  type ScoredForecast,
} from '#contracts/learning'
import type { ScoreLine } from '#core/learning/scorecard'
import type { Formatter } from '#core/units/formatter'

/* How forecasts are called on "Said and came", and how far off they are said to be. */

/** What each forecast is of. */
export const forecastNames: Record<ForecastKind, string> = {
  stage: 'Minutes to trace',
  dry: 'The dry day',
  peak: 'Peak of the lye',
  meeting: 'Both vessels meet',
  unmould: 'Hour to unmould',
  net: 'Weight of a dry bar',
  yield: 'Batter in the mould',
}
interface Unit {
  /** A figure of it by itself, and how far it is off, more and less. */
  text: (value: number, say: Formatter) => string
  off: (value: number, say: Formatter) => string
  more: string
  less: string
}
const counted = (one: string, many: string) => (value: number, say: Formatter) =>
  `${say.number(value, 0, value < 10 ? 1 : 0)} ${say.plural(value, one, many)}`
const minutes = counted('min', 'min')
export const forecastUnits: Record<ForecastKind, Unit> = {
  stage: { text: minutes, off: minutes, more: 'later', less: 'sooner' },
  dry: {
    text: (value, say) => `day ${say.number(value)}`,
    off: counted('day', 'days'),
    more: 'later',
    less: 'earlier',
  },
  peak: {
    text: (value, say) => say.temperature(value),
    off: (value, say) => say.degreesApart(value),
    more: 'hotter',
    less: 'cooler',
  },
  meeting: { text: minutes, off: minutes, more: 'later', less: 'earlier' },
  unmould: { text: counted('h', 'h'), off: counted('h', 'h'), more: 'later', less: 'earlier' },
  net: {
    text: (value, say) => say.mass(value),
    off: (value, say) => say.mass(value),
    more: 'over the label',
    less: 'under the label',
  },
  yield: {
    text: (value, say) => say.amount(value),
    off: (value, say) => say.amount(value),
    more: 'more',
    less: 'less',
  },
}
/** "6 days later"; "as said" where it hardly differs. */
export function offText(what: ForecastKind, off: number, say: Formatter): string {
  const unit = forecastUnits[what]
  const says = unit.off(Math.abs(off), say)
  return /^0(\.0)?\s/.test(says) ? 'as said' : `${says} ${off > 0 ? unit.more : unit.less}`
}
export const isMovable = (what: ForecastKind): what is OffsetKind =>
  (offsetKinds as readonly string[]).includes(what)

/** In one or two words how a kind has done, and the figures to it. */
export const verdictWords: Record<ScoreLine['verdict'], string> = {
  keeps: 'Keeps its word.',
  'too-sure': 'Too sure of itself.',
  mended: 'Was off, mended.',
  few: '',
}
/** Where a forecast came between -2 and 2: from -1 to 1 lies what was promised. */
export function placeOf({
  at,
  low,
  high,
  came,
}: Pick<ScoredForecast, 'at' | 'low' | 'high' | 'came'>): number {
  const half = came >= at ? high - at : at - low
  const place = half > 0 ? (came - at) / half : came === at ? 0 : Math.sign(came - at) * 2
  return Math.max(-2, Math.min(2, place))
}
