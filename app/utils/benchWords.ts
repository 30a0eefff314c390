import type { RunEvent } from '#contracts/run'
import type { FrozenState } from '#contracts/words'
import type { Step } from '#core/bench/plan/step'
import { openJugPeak, sightOf, type LyeJug } from '#core/heat/dissolving'
import type { MeetingAdvice, Meeting } from '#core/heat/meeting'
import type { Formatter } from '#core/units/formatter'
import { roundTo } from '#core/statistics/roundTo'

/** Minutes as people say them: 12 min, 1 h 20. */
export function minutesText(minutes: number): string {
  const whole = Math.max(0, Math.round(minutes))
  if (whole < 60) return `${whole} min`
  return `${Math.floor(whole / 60)} h${whole % 60 ? ` ${whole % 60}` : ''}`
}

/** A running clock: 4:07. */
export function clockText(minutes: number): string {
  const seconds = Math.max(0, Math.floor(minutes * 60))
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}

/** A temperature as it stands large: its figure and a ring, a dash where nobody read it. */
export const degreesText = (celsius: number | null, say: Formatter): string =>
  celsius === null ? '—' : `${say.number(say.degreesOf(celsius))}°`

/** How frozen milk is when the lye goes onto it. */
export const frozenWords: Record<FrozenState, { says: string; named: string }> = {
  hard: { says: 'Frozen hard', named: 'hard-frozen milk' },
  slush: { says: 'Slush, half ice', named: 'slush' },
  cold: { says: 'Cold, no ice', named: 'cold milk' },
}

/** When the vessels meet, with its range. */
export function meetingText(
  meeting: Meeting,
  now: number,
  timeOf: (minutes: number) => string,
): string {
  if (meeting.at === null) return 'They will not meet like this.'
  if (meeting.at - now < 0.5) return 'Both are ready now.'
  const [from, to] = [timeOf(meeting.from), timeOf(meeting.to)]
  return `Both ready ${timeOf(meeting.at)}${from === to ? '' : `, between ${from} and ${to}`}.`
}

/** What to do about vessels that do not meet, or not for long. */
export function adviceText(advice: MeetingAdvice, say: Formatter): string {
  const name = advice.vessel === 'lye' ? 'lye jug' : 'oils'
  if (advice.does === 'warm')
    return `The ${name} will be too cold by then: warm to ${say.temperature(advice.toC)}.`
  const bath = `stand the ${name} in ice water for about ${minutesText(Math.max(1, advice.minutes))}`
  return advice.because === 'long-wait'
    ? `A long wait: ${bath}.`
    : `To bring them together ${bath}.`
}

/** A vessel's size: 750 ml, 2 l. */
export const litres = (millilitres: number): string =>
  millilitres < 1000 ? `${Math.round(millilitres)} ml` : `${roundTo(millilitres / 1000, 1)} l`

/** The code on a bench sheet: the batch's number and four letters of its id, so that a mistyped number is noticed. */
export const paperCode = ({ id, number }: { id: string; number: number }): string =>
  `${number}-${id.slice(-4).toUpperCase()}`

/** The checks after a pour, as something to do. */
export const checkWords = {
  peek: 'Look under the cover',
  unwrap: 'Unwrap, or out of the cold',
  unmould: 'Unmould and cut',
} as const

/** An event of the bench in a few words, for taking it back. */
export function toldWords(event: RunEvent, steps: readonly Step[]): string {
  const named = (id: string) => steps.find((step) => step.id === id)?.short ?? 'a step'
  switch (event.kind) {
    case 'done':
      return `done: ${named(event.step)}`
    case 'scooped':
      return `weighed: ${named(event.step)}`
    case 'stood':
      return `the lot ${event.code}`
    case 'chose':
      return `what to do about ${named(event.step)}`
    case 'confirmed':
      return 'a point of the check'
    case 'marked':
      return `the mark “${event.stage.replace('-', ' ')}”`
    case 'blended':
      return `${event.seconds} s of blender`
    case 'watered':
      return 'warm water stirred in'
    case 'rescued':
      return 'what was done about the batter'
    case 'spooned':
      return 'a spoon of lye'
    case 'chilled':
      return 'how frozen the milk was'
    case 'treated':
      return event.how === 'ice' ? 'into ice water' : 'out of the ice, or warmed'
    case 'restarted':
      return 'making the lye anew'
    case 'checked':
      return 'what a vessel weighed once more'
    case 'laundry':
      return 'kept for laundry'
    case 'leftover':
      return 'what was left of a colour'
    case 'noted':
      return 'a note'
    default:
      return 'the last entry'
  }
}

export const lyeFaultWords = { weak: 'weak', scorched: 'scorched', other: 'spoiled' } as const

/** How warm the lye jug will get, and how much of the lye that can tell. */
export function jugText(jug: LyeJug, say: Formatter): string {
  const { low, high, frozen, rise } = openJugPeak(jug)
  const range = `${say.temperature(low)} to ${say.temperature(high)}`
  if (jug.bySpoon)
    return 'The lye goes in by the spoon and stays under the guard. How warm it gets says nothing about the lye.'
  if (jug.naoh + jug.koh <= 0 && rise < 2)
    return 'Ready-mixed lye stays as warm as the room: the oils are brought to it. How warm it is says nothing about the lye.'
  if (frozen)
    return `Frozen liquid keeps the jug cold until it has melted; at its warmest ${range} is to be expected. How warm it gets says nothing about the lye.`
  const sight = sightOf(jug)
  return sight
    ? `The open jug should reach ${range}. Lye under ${say.percent(sight.even, 0)} of its strength would show here at even odds, surely only under ${say.percent(sight.surely, 0)}; above that a strip and time will tell.`
    : `The open jug should reach ${range}. How warm it gets says nothing about the lye.`
}
