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
/** Devices that are remembered, and sets of stand-ins that run, at most: a bench has a handful. */
const mostHeard = 200
const mostSets = 40

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
  const key = `${reading.device} ${reading.kind}`
  // The one that spoke longest ago goes first.
  heard.delete(key)
  heard.set(key, reading)
  if (heard.size > mostHeard) heard.delete(heard.keys().next().value!)
  tellAll(reading)
}

/** The last reading of every real device that has spoken in the last minute. */
export const devicesHeard = (now: number): StreamedReading[] =>
  [...heard.values()].filter(({ at }) => now - at < 60_000)

/** The stand-ins of a run or a rehearsal: made on first use, the same ones afterwards. Null when too many run already. */
export function standInsFor(id: string, setup: StandInSetup): StandIns | null {
  const before = sets.get(id)
  if (before) return before
  if (sets.size >= mostSets) return null
  const made = new StandIns(id, setup, tellAll)
  sets.set(id, made)
  made.start(() => sets.delete(id))
  return made
}

export const standInsOf = (id: string): StandIns | undefined => sets.get(id)
