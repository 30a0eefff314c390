import type { SkippedReading, StandInAct, StandInSetup } from '#contracts/device'
import { silentAfter, type ScaleReading } from '#core/bench/run/weighing'
import { useIntervalFn } from '@vueuse/core'
import type { Close, ReadingSource, Role } from '~/utils/readingDevices'

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
function asChosen(value: unknown): Record<Role, ReadingSource> | null {
  const chosen = value as Record<Role, unknown> | null
  return chosen && roles.every((role) => isSource(chosen[role]))
    ? (chosen as Record<Role, ReadingSource>)
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
  const sources = ref<Record<Role, ReadingSource>>(chosen())
  const heard = ref<Partial<Record<Role, Heard>>>({})
  const scaleReadings = shallowRef<ScaleReading[]>([])
  const tick = ref(performance.now())
  const standInsOn = computed(() => roles.some((role) => sources.value[role].kind === 'stand-in'))
  /** What is open, or being opened or closed, of each role. */
  const open: Partial<Record<Role, Promise<Close>>> = {}

  function chosen(): Record<Role, ReadingSource> {
    const standIns = {
      scale: { kind: 'stand-in' },
      lye: { kind: 'stand-in' },
      oils: { kind: 'stand-in' },
    } as const
    if (practising) return { ...standIns }
    const none = { scale: { kind: 'none' }, lye: { kind: 'none' }, oils: { kind: 'none' } } as const
    return keptHere(choiceKey, asChosen) ?? { ...none }
  }
  const nothing: Close = () => undefined
  /** Closes what a role has open, then opens what it is to have. Rejects when that cannot be opened. */
  function connect(role: Role, source: ReadingSource, asking: boolean): Promise<Close> {
    const opened = Promise.resolve(open[role]).then(async (close) => {
      await close?.()
      return openDevice(source, { role, standIns: standInId, asking }, (value, stable) =>
        take(role, value, stable),
      )
    })
    // One that is not to be had leaves the role silent.
    open[role] = opened.catch(() => nothing)
    return opened
  }
  /** Chooses where readings come from. Rejects when that cannot be opened; then it is as it was. */
  async function choose(role: Role, to: ReadingSource) {
    if (to.kind === 'serial')
      await connect(role, to, true).catch((error: unknown) => {
        connect(role, sources.value[role], false).catch(() => undefined)
        throw error
      })
    sources.value = { ...sources.value, [role]: to }
    heard.value = { ...heard.value, [role]: undefined }
    if (!practising) keepHere(choiceKey, sources.value)
    if (to.kind === 'stand-in') await begin()
    if (to.kind !== 'serial') await connect(role, to, false)
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
  /** Switches the stand-ins on, or keeps them on. */
  async function begin() {
    if (standInsOn.value)
      await api.put(`/api/stand-ins/${standInId}`, standIn()).catch(() => undefined)
  }
  let left = false
  onMounted(async () => {
    await begin()
    if (left) return
    // A port that was picked before is opened again.
    for (const role of roles) connect(role, sources.value[role], false).catch(() => undefined)
  })
  useIntervalFn(() => (tick.value = performance.now()), 250)
  onScopeDispose(() => {
    left = true
    for (const one of Object.values(open)) void one.then((close) => close())
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

  /** Does something with the stand-ins; what they showed meanwhile, where time was let pass. */
  async function act(what: StandInAct): Promise<SkippedReading[]> {
    try {
      return (
        await api.post<{ passed: SkippedReading[] }>(`/api/stand-ins/${standInId}/acts`, what)
      ).passed
    } catch (error) {
      // Switched off meanwhile, as after a restart of Mantle: on again, and once more.
      if (!(error instanceof ApiError) || error.status !== 404) return []
      await begin()
      await api.post(`/api/stand-ins/${standInId}/acts`, what).catch(() => undefined)
      return []
    }
  }

  return { sources, choose, now, heard, silent, scaleReadings, standInsOn, act, take }
}
export type Devices = ReturnType<typeof useDevices>
