import type { TrialSummary } from '#contracts/trial'
import type { NoseDay } from '#contracts/trialWords'
import { noseDays } from '../scents/noses'
import { addDays, daysBetween, type Day } from '../units/days'

/** A jar that wants a nose: which pot of which trial it is, and for which day. */
export interface Jar {
  code: string
  trialId: string
  pot: number
  day: NoseDay
}

/**
 * The day a trial's jars want a nose for: the last that has come and was not done; null when none is.
 * @example noseDayOf({ document: { day: '2026-03-01' }, state: 'done', sniffed: [1] }, '2026-03-16') // 14
 */
export function noseDayOf(
  { document: { day }, state, sniffed }: Pick<TrialSummary, 'document' | 'state' | 'sniffed'>,
  today: Day,
): NoseDay | null {
  if (state !== 'done') return null
  const came = noseDays.filter((after) => daysBetween(day, today) >= after)
  const last = came.at(-1)
  return last === undefined || sniffed.includes(last) ? null : last
}

/**
 * Whether a sample wants to be looked at beside plain: a day for it has come since it last was.
 * @param seen days after the trial on which it was looked at
 * @param day days since the trial
 * @example dueByEye([{ day: 14 }], 29) // false
 * @example dueByEye([{ day: 14 }], 30) // true
 */
export function dueByEye(seen: readonly { day: number }[], day: number): boolean {
  const last = noseDays.findLast((after) => day >= after)
  return last !== undefined && !seen.some((one) => one.day >= last)
}

/**
 * Every jar that wants a nose on a day, plain ones among them, of all trials together.
 * @example jarsFor([], '2026-03-01') // []
 */
export const jarsFor = (trials: readonly TrialSummary[], today: Day): Jar[] =>
  trials.flatMap((trial) => {
    const day = noseDayOf(trial, today)
    if (day === null) return []
    return trial.found.flatMap(({ code, pot, scentId, zero }) =>
      scentId === null || zero > 0 ? [{ code, trialId: trial.id, pot, day }] : [],
    )
  })

/**
 * The next days on which jars want a nose, the soonest first.
 * @example nextNoses([], '2026-03-01') // []
 */
export const nextNoses = (
  trials: readonly TrialSummary[],
  today: Day,
): { on: Day; after: number; trialId: string; jars: number }[] =>
  trials
    .filter(({ state }) => state === 'done')
    .flatMap((trial) => {
      const after = noseDays.find((day) => addDays(trial.document.day, day) > today)
      return after === undefined
        ? []
        : [
            {
              on: addDays(trial.document.day, after),
              after,
              trialId: trial.id,
              jars: trial.found.length,
            },
          ]
    })
    .sort((a, b) => a.on.localeCompare(b.on))
