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

export function publish(reading: StreamedReading): void {
  heard.set(reading.device, reading)
  for (const listener of listeners) listener(reading)
}

/** The last reading of every device that has spoken in the last minute, stand-ins left out. */
export function devicesHeard(now: number): StreamedReading[] {
  return [...heard.values()].filter(
    ({ device, at }) => now - at < 60_000 && !sets.has(device.split(':')[0]!),
  )
}

/** The stand-ins of a run or a rehearsal: made on first use, the same ones afterwards. */
export function standInsFor(id: string, setup: StandInSetup): StandIns {
  const before = sets.get(id)
  if (before) return before
  const made = new StandIns(id, setup, publish)
  sets.set(id, made)
  made.start(() => sets.delete(id))
  return made
}

export const standInsOf = (id: string): StandIns | undefined => sets.get(id)
