import type { BatchEvent } from '#contracts/batch'
import type { Forecast } from '#contracts/batchEvents'
import type { Frozen } from '#contracts/result'
import { usualSetup } from '#contracts/benchWords'
import type { NewRunEvent, Run, RunEvent, RunSetup } from '#contracts/run'
import { safetyCheckOf } from '#core/bench/run/safetyCheck'
import { contextOf, planFor } from '#core/bench/plan/plan'
import { reallyThere } from '#core/bench/run/asWeighed'
import { pouredBy } from '#core/bench/run/poured'
import { runOf, weightsOf } from '#core/bench/run/run'
import { celsiusAt, type Curve } from '#core/heat/cooling'
import { randomSource, seedFrom } from '#core/statistics/randomSource'
import { formatter } from '#core/units/formatter'
import { v7 } from 'uuid'
import { demoWorkshop } from './workshop'
import { roundTo } from '#core/statistics/roundTo'

/** How the shed usually sets up. */
const setup: RunSetup = { ...usualSetup, ...demoWorkshop.bench }
const scale = 0.1

/**
 * A batch as Idris made it at the bench: weights within a step or two of the scale, both vessels cooling until they met, the
 * stages in their time.
 * @param startedAt instant at which it began
 */
export function runAtBench(
  frozen: Frozen,
  startedAt: string,
  day: string,
  note: string,
): {
  run: Pick<Run, 'id' | 'setup' | 'scale' | 'startedAt'>
  events: RunEvent[]
  poured: Omit<BatchEvent & { kind: 'poured' }, 'id'>
  forecasts: Forecast[]
} {
  const ctx = contextOf(frozen, setup, scale, formatter({ scale }))
  const plan = planFor(ctx)
  const start = Date.parse(startedAt)
  const random = randomSource(Math.floor(start / 86_400_000))
  /** Some days are slower than others. */
  const pace = Math.exp(random.normal() * 0.15)
  const events: RunEvent[] = []
  const tell = (minutes: number, event: NewRunEvent) => {
    const ms = start + minutes * 60_000
    events.push({ ...event, id: v7({ msecs: ms }), at: new Date(ms).toISOString() } as RunEvent)
  }
  const timeOf = (kind: string) => {
    const index = plan.steps.findIndex((step) => step.kind === kind)
    return plan.times[index]?.to ?? 0
  }
  const peak = (plan.peak.low + plan.peak.high) / 2
  const peakRead = roundTo(peak + randomSource(seedFrom(note + day)).normal() * 1.8, 1)
  const lye: Curve = { from: timeOf('dissolve'), startC: peak, perMinute: 0.0115, roomC: 17 }
  const oils: Curve = { from: timeOf('melt'), startC: 57, perMinute: 0.0085, roomC: 17 }
  plan.steps.forEach((step, index) => {
    const to = plan.times[index]!.to
    if (step.kind === 'safety-check')
      for (const { id } of safetyCheckOf(ctx.document)) tell(to, { kind: 'confirmed', point: id })
    if (step.weigh) {
      const off = Math.round(random.normal() * 0.8) * scale
      const grams = roundTo(Math.max(0, step.weigh.grams + off), 1)
      tell(to, { kind: 'scooped', step: step.id, grams, typed: false })
    }
    if (step.kind === 'dissolve')
      // The jug is a little hotter or cooler than the book says.
      tell(to, { kind: 'read', vessel: 'lye', celsius: peakRead, typed: false })
    if (step.kind === 'meet')
      for (let at = plan.times[index]!.from; at <= to; at += 10) {
        const read = (curve: Curve) => roundTo(celsiusAt(curve, at) + random.normal() * 0.2, 1)
        tell(at, { kind: 'read', vessel: 'lye', celsius: read(lye), typed: false })
        tell(at, { kind: 'read', vessel: 'oils', celsius: read(oils), typed: false })
      }
    if (step.kind === 'check')
      for (const vessel of ['lye', 'oils'] as const) {
        const written = reallyThere(plan, vessel, weightsOf(plan, runOf(plan, startedAt, events)))
        // A little steams away from the jug.
        const grams = written * (vessel === 'lye' ? 0.992 : 0.999)
        tell(to, { kind: 'checked', vessel, grams: Math.round(grams / scale) * scale })
      }
    tell(to, { kind: 'done', step: step.id })
    if (step.kind === 'combine') {
      const pot = step.pot ?? 0
      tell(to + 1.2 * pace, { kind: 'marked', pot, stage: 'emulsion' })
      tell(to + 2 * pace, { kind: 'blended', pot, seconds: Math.round(38 * pace) })
      tell(to + 3.5 * pace, { kind: 'marked', pot, stage: 'light' })
      tell(to + 7 * pace, { kind: 'marked', pot, stage: 'medium' })
    }
  })
  tell(plan.minutes, { kind: 'noted', says: note })
  tell(plan.minutes, { kind: 'finished', pouredDay: day })
  events.sort((a, b) => a.at.localeCompare(b.at))
  const run = { id: v7({ msecs: start }), setup, scale, startedAt }
  return { run, events, ...pouredBy(frozen, run, events)! }
}
