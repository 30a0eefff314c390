/** Open streams by who listens, so that ending a pairing ends what it hears. */
const open = new Map<string, Set<() => void>>()

/** Remembers what ends a stream of somebody. Gives what forgets it. */
export function holdStream(deviceId: string, end: () => void): () => void {
  const all = open.get(deviceId) ?? new Set()
  open.set(deviceId, all.add(end))
  return () => {
    all.delete(end)
    if (!all.size) open.delete(deviceId)
  }
}

/** Ends every stream of a device, or of all: whoever is still welcome listens anew. */
export function endStreams(deviceId?: string): void {
  const ends = deviceId === undefined ? [...open.values()] : [open.get(deviceId) ?? new Set()]
  for (const end of ends.flatMap((all) => [...all])) end()
}
