import type { StandInSetup, StreamedReading } from '#contracts/device'
import { StandIns } from './standIns'

/*
 * Where all readings meet: real devices post theirs, stand-ins publish theirs, and every bench that listens hears them. Nothing
 * here is kept; what counts goes into the run.
 */

type Listener = (reading: StreamedReading) => void
const listeners = new Set<Listener>()
const heard = new Map<string, StreamedReading>()
const sets = new Map<string, StandIns>()

/** Listens until the returned function is called. */
export function listen(listener: Listener): () => void {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}

function tellAll(reading: StreamedReading): void {
  for (const listener of listeners) listener(reading)
}

/** A reading of a real device: heard by all, and remembered so that a bench can choose the device. */
export function publish(reading: StreamedReading): void {
  heard.set(`${reading.device} ${reading.kind}`, reading)
  tellAll(reading)
}

/** The last reading of every real device that has spoken in the last minute. */
export const devicesHeard = (now: number): StreamedReading[] =>
  [...heard.values()].filter(({ at }) => now - at < 60_000)

/** The stand-ins of a run or a rehearsal: made on first use, the same ones afterwards. */
export function standInsFor(id: string, setup: StandInSetup): StandIns {
  const before = sets.get(id)
  if (before) return before
  const made = new StandIns(id, setup, tellAll)
  sets.set(id, made)
  made.start(() => sets.delete(id))
  return made
}

export const standInsOf = (id: string): StandIns | undefined => sets.get(id)
