import type { StandInAct, StandInSetup, StreamedReading } from '#contracts/device'
import type { VesselKind } from '#contracts/benchWords'
import { silentAfter, type ScaleReading } from '#core/bench/run/weighing'
import { useIntervalFn } from '@vueuse/core'
import type { SerialScale } from '~/utils/serialScale'

export type Role = 'scale' | VesselKind
/** Where the readings of a role come from: the stand-in, a device that posts, a scale at this computer, or the hand. */
export type Source =
  { kind: 'stand-in' } | { kind: 'posts'; device: string } | { kind: 'serial' } | { kind: 'none' }

export interface Heard {
  value: number | null
  stable?: boolean
  /** ms of this device's own clock. */
  since: number
  /** ms that usually lie between two readings of it. */
  gap: number
}

const choiceKey = 'mantle-devices'
/** What an older page, or a hand, may have left is not taken for a choice. */
function asChosen(value: unknown): Record<Role, Source> | null {
  const isSource = (one: unknown): one is Source =>
    typeof one === 'object' &&
    one !== null &&
    'kind' in one &&
    (one.kind === 'stand-in' ||
      one.kind === 'serial' ||
      one.kind === 'none' ||
      (one.kind === 'posts' && 'device' in one && typeof one.device === 'string'))
  const chosen = value as Record<Role, unknown> | null
  return chosen && roles.every((role) => isSource(chosen[role]))
    ? (chosen as Record<Role, Source>)
    : null
}
const roles: Role[] = ['scale', 'lye', 'oils']

/** Readings a scale's history keeps: some seconds. */
const history = 40

/**
 * The scale and the two thermometers of a bench, wherever their readings come from. A device that says nothing for two seconds
 * counts as silent.
 * @param standInId id of the set of stand-ins that belongs to this bench
 */
export function useDevices(standInId: string, standIn: () => StandInSetup, practising: boolean) {
  const sources = ref<Record<Role, Source>>(chosen())
  const heard = ref<Partial<Record<Role, Heard>>>({})
  const scaleReadings = shallowRef<ScaleReading[]>([])
  const tick = ref(performance.now())
  const standInsOn = computed(() => roles.some((role) => sources.value[role].kind === 'stand-in'))
  let end: (() => void) | null = null

  function chosen(): Record<Role, Source> {
    const standIns = {
      scale: { kind: 'stand-in' },
      lye: { kind: 'stand-in' },
      oils: { kind: 'stand-in' },
    } as const
    if (practising) return { ...standIns }
    const none = { scale: { kind: 'none' }, lye: { kind: 'none' }, oils: { kind: 'none' } } as const
    return keptHere(choiceKey, asChosen) ?? { ...none }
  }
  /** The scale on a cable while it is read. */
  let serial: SerialScale | null = null
  async function closeSerial() {
    const open = serial
    serial = null
    await open?.close()
  }
  /** Reads the scale on a cable. Throws when no port is picked, or it cannot be opened. */
  async function openSerial(ask: boolean) {
    const { openSerialScale } = await import('~/utils/serialScale')
    await closeSerial()
    serial = await openSerialScale((grams, stable) => take('scale', grams, stable), ask)
  }

  function choose(role: Role, to: Source) {
    if (role === 'scale' && to.kind !== 'serial') void closeSerial()
    sources.value = { ...sources.value, [role]: to }
    heard.value = { ...heard.value, [role]: undefined }
    if (!practising) keepHere(choiceKey, sources.value)
  }

  function take(role: Role, value: number | null, stable?: boolean) {
    const since = performance.now()
    const before = heard.value[role]
    const gap = before ? before.gap * 0.7 + (since - before.since) * 0.3 : 0
    heard.value = { ...heard.value, [role]: { value, stable, since, gap } }
    if (role === 'scale' && value !== null)
      scaleReadings.value = [
        ...scaleReadings.value.slice(-history),
        { at: since, grams: value, stable },
      ]
  }
  function hear({ device, kind, value, stable }: StreamedReading) {
    for (const role of roles) {
      const from = sources.value[role]
      const named =
        from.kind === 'stand-in'
          ? `${standInId}:${role}`
          : from.kind === 'posts'
            ? from.device
            : null
      if (device === named && kind === (role === 'scale' ? 'grams' : 'celsius'))
        take(role, value, stable)
    }
  }

  function connect() {
    end?.()
    end = null
    const kinds = roles.map((role) => sources.value[role].kind)
    if (!kinds.includes('stand-in') && !kinds.includes('posts')) return
    // Both, where both are chosen: asking for a set keeps its stand-ins alive.
    const readings = [
      ...(kinds.includes('stand-in') ? [standInId] : []),
      ...(kinds.includes('posts') ? ['*'] : []),
    ]
    end = listenTo({ readings }, (message) => {
      if (message.topic === 'reading') hear(message.data)
    })
  }
  async function begin() {
    if (standInsOn.value)
      await api.put(`/api/stand-ins/${standInId}`, standIn()).catch(() => undefined)
    connect()
  }
  watch(sources, () => void begin(), { deep: true })
  onMounted(() => {
    void begin()
    // The port that was picked before is opened again; one that is not to be had makes the scale silent.
    if (sources.value.scale.kind === 'serial') void openSerial(false).catch(() => undefined)
  })
  useIntervalFn(() => (tick.value = performance.now()), 250)
  onScopeDispose(() => {
    end?.()
    void closeSerial()
  })

  /** Whether a role has a device that has fallen silent; `null` where there is none to wait for. */
  const silent = computed(() => {
    const of = (role: Role) => {
      if (sources.value[role].kind === 'none') return null
      const last = heard.value[role]
      // A thermometer that speaks every five seconds is slow, not lost.
      const patience = Math.max(silentAfter, 2.5 * Math.min(last?.gap ?? 0, 30_000))
      return !last || tick.value - last.since > patience
    }
    return { scale: of('scale'), lye: of('lye'), oils: of('oils') }
  })
  /** What a role says now; null when it is silent, has no device, or has nothing to say. */
  const now = computed(() => {
    const of = (role: Role) =>
      silent.value[role] === false ? (heard.value[role]?.value ?? null) : null
    return { scale: of('scale'), lye: of('lye'), oils: of('oils') }
  })

  /** Does something with the stand-ins. */
  async function act(what: StandInAct) {
    try {
      await api.post(`/api/stand-ins/${standInId}/acts`, what)
    } catch (error) {
      // Switched off meanwhile, as after a restart of Mantle: on again, and once more.
      if (!(error instanceof ApiError) || error.status !== 404) return
      await begin()
      await api.post(`/api/stand-ins/${standInId}/acts`, what).catch(() => undefined)
    }
  }

  return { sources, choose, openSerial, now, heard, silent, scaleReadings, standInsOn, act, take }
}
export type Devices = ReturnType<typeof useDevices>
