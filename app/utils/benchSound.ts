import { createGlobalState } from '@vueuse/core'

/*
 * What the bench says by sound, for eyes that are on the bottle: clicks that rise towards the target, a clear tone inside the band,
 * a low one above it, and one when it is time to look. All of it can be seen too, and it can be switched off.
 */

/** A sound: hertz, seconds, and how loud, 0–1. */
const sounds = {
  in: { hertz: 880, seconds: 0.45, loud: 0.25 },
  over: { hertz: 165, seconds: 0.5, loud: 0.3 },
  look: { hertz: 660, seconds: 0.7, loud: 0.3 },
} as const
export type BenchSound = keyof typeof sounds

let context: AudioContext | null = null
function play(hertz: number, seconds: number, loud: number): void {
  // Some browsers have none, and none plays before somebody pressed something: then it is silent.
  if (typeof AudioContext === 'undefined') return
  context ??= new AudioContext()
  void context.resume().catch(() => undefined)
  const from = context.currentTime
  const gain = context.createGain()
  gain.gain.setValueAtTime(loud, from)
  gain.gain.exponentialRampToValueAtTime(0.001, from + seconds)
  const oscillator = context.createOscillator()
  oscillator.frequency.value = hertz
  oscillator.connect(gain).connect(context.destination)
  oscillator.start(from)
  oscillator.stop(from + seconds)
}

/** Whether this device makes them; off until somebody switches them on. */
export const useBenchSounds = createGlobalState(() =>
  useKept('mantle-sounds', false, (value) => (typeof value === 'boolean' ? value : null)),
)

/** How much nearer to the target a click is due, as a share of it. */
export const clickStep = 0.1
/** Hertz of a click when so much of the target is there, 0–1: an octave and a half from nothing to all. */
export const clickHertz = (share: number): number =>
  220 * 2 ** (1.5 * Math.min(1, Math.max(0, share)))

/** Plays one of the sounds. */
export function soundOf(sound: BenchSound): void {
  const { hertz, seconds, loud } = sounds[sound]
  play(hertz, seconds, loud)
}
/** A click whose height says how much of the target is there, 0–1. */
export const click = (share: number): void => play(clickHertz(share), 0.05, 0.2)

/** What a weighing says by sound when it goes from one figure to the next; null for nothing. */
export function weighingSound(
  before: { grams: number; standing: string },
  now: { grams: number; standing: string },
  target: number,
): BenchSound | { click: number } | null {
  if (now.standing === 'in' && before.standing !== 'in') return 'in'
  if (now.standing === 'over' && before.standing !== 'over') return 'over'
  if (now.standing !== 'short' || target <= 0) return null
  const stepOf = (grams: number) => Math.floor(grams / target / clickStep)
  return stepOf(now.grams) > stepOf(before.grams) ? { click: now.grams / target } : null
}
