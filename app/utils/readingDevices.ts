import type { VesselKind } from '#contracts/benchWords'

/** What is measured at a bench. */
export type Role = 'scale' | VesselKind
/** Where the readings of a role come from: the stand-in, a device that posts, a scale at this computer, or the hand. */
export type ReadingSource =
  { kind: 'stand-in' } | { kind: 'posts'; device: string } | { kind: 'serial' } | { kind: 'none' }

/** g or °C; null when the device has nothing to say. */
export type HearReading = (value: number | null, stable?: boolean) => void
/** Ends the listening; resolves when the device is free for another. */
export type Close = () => void | Promise<void>

/** For whom a device is opened. */
export interface OpenFor {
  role: Role
  /** The set of stand-ins that belongs to this bench. */
  standIns: string
  /** Whether the maker is there to pick a port. */
  asking: boolean
}

/** Hears what one device says of a role, on the line that all windows share. */
function overTheLine(readings: string, device: string, role: Role, hear: HearReading): Close {
  const wanted = role === 'scale' ? 'grams' : 'celsius'
  return listenTo({ readings: [readings] }, ({ topic, data }) => {
    if (topic === 'reading' && data.device === device && data.kind === wanted)
      hear(data.value, data.stable)
  })
}

/** Every kind of device: listens until it is closed. Throws when it cannot be opened. */
export const deviceKinds: {
  [Kind in ReadingSource['kind']]: (
    source: Extract<ReadingSource, { kind: Kind }>,
    to: OpenFor,
    hear: HearReading,
  ) => Close | Promise<Close>
} = {
  'stand-in': (_, { standIns, role }, hear) =>
    overTheLine(standIns, `${standIns}:${role}`, role, hear),
  posts: ({ device }, { role }, hear) => overTheLine('*', device, role, hear),
  async serial(_, { asking }, hear) {
    const { openSerialScale } = await import('~/utils/serialScale')
    const scale = await openSerialScale(hear, asking)
    return () => scale?.close()
  },
  none: () => () => undefined,
}

/** Whether this device, or an older page, kept a source that is one. */
export const isSource = (one: unknown): one is ReadingSource =>
  typeof one === 'object' &&
  one !== null &&
  'kind' in one &&
  String(one.kind) in deviceKinds &&
  (one.kind !== 'posts' || ('device' in one && typeof one.device === 'string'))

/** Opens the device of a source. */
export const openDevice = (source: ReadingSource, to: OpenFor, hear: HearReading) =>
  (deviceKinds[source.kind] as (typeof deviceKinds)['none'])(source as never, to, hear)
