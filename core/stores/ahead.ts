import { randomSource, seedFrom } from '../statistics/randomSource'
import { quantile } from '../statistics/quantile'
import { sumOf } from '../statistics/sum'
import { addDays, daysBetween, type Day } from '../units/days'

/** g that went on a day, for one batch or one act. */
export interface Use {
  day: Day
  grams: number
}

/** When something runs out: in the middle, and between what it lies eight times in ten. */
export interface RunsOut {
  from: Day
  at: Day
  to: Day
  /** g a week that are usually used. */
  weekly: number
}

/** Weeks of use that are looked back on, and the furthest that is looked ahead. */
export const weeksBack = 26
const weeksAhead = 104
const draws = 200

/**
 * When a stock runs out: what is planned goes on its day, and from the last planned day on it is used as in the last 26 weeks, in
 * weeks that are drawn whole so that large batches stay large. Null without any use, planned or past, and where it lasts for more
 * than two years.
 * @param past what went in the last 26 weeks; what lies further back is left out
 * @param planned what is planned or promised from today on
 * @param seed a name, so that the same question has the same answer
 * @example runsOut({ stock: 600, past: [], planned: [{ day: '2026-03-10', grams: 700 }], today: '2026-03-01', seed: 'a' }).at // '2026-03-10'
 */
export function runsOut({
  stock,
  past,
  planned,
  today,
  seed,
}: {
  stock: number
  past: readonly Use[]
  planned: readonly Use[]
  today: Day
  seed: string
}): RunsOut | null {
  const since = addDays(today, -7 * weeksBack)
  const sums = Array.from({ length: weeksBack }, (): number => 0)
  for (const { day, grams } of past)
    if (day > since && day <= today)
      sums[Math.min(weeksBack - 1, Math.floor((daysBetween(since, day) - 1) / 7))]! += grams
  // What is taken back in a later week than it went leaves that week with less than nothing: then nothing was used in it.
  const weeks = sums.map((grams) => Math.max(0, grams))
  const weekly = sumOf(weeks, (grams) => grams) / weeksBack
  const coming = planned
    .map(({ day, grams }) => ({ day: day < today ? today : day, grams }))
    .sort((a, b) => a.day.localeCompare(b.day))
  let left = stock
  for (const { day, grams } of coming) {
    left -= grams
    if (left < -1e-6) return { from: day, at: day, to: day, weekly }
  }
  if (weekly <= 0) return null
  const start = coming.at(-1)?.day ?? today
  const random = randomSource(seedFrom(seed))
  const days = Array.from({ length: draws }, () => {
    let rest = left
    for (let week = 0; week < weeksAhead; week++) {
      const used = weeks[Math.floor(random.uniform() * weeksBack)]!
      // Within its week a use lies anywhere: the larger the share of it that is still there, the later.
      if (used > rest) return week * 7 + Math.min(6, Math.floor((rest / used) * 7))
      rest -= used
    }
    return weeksAhead * 7
  }).sort((a, b) => a - b)
  const at = quantile(days, 0.5)
  if (at >= weeksAhead * 7) return null
  const on = (share: number) => addDays(start, Math.round(quantile(days, share)))
  return { from: on(0.1), at: on(0.5), to: on(0.9), weekly }
}
