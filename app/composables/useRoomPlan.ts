import type { Fixture, Place } from '#contracts/workshop'
import { laidOut } from '#core/rack/roomPlan'
import { clamp } from '#core/statistics/clamp'

/** What stands in the room's picture: a place for bars or a fixture, by its id. */
export type InRoom =
  { is: 'place'; one: ReturnType<typeof laidOut>[number] } | { is: 'fixture'; one: Fixture }

/** Where a thing is, and how large: per cent of the room. */
export type Extent = Partial<Record<'x' | 'y' | 'width' | 'height', number>>

export const fixtureNames: Record<Fixture['kind'], string> = {
  door: 'door',
  window: 'window',
  posts: 'posts of a rack',
  boxes: 'boxes',
  hygrometer: 'hygrometer',
}

/** The room's places and fixtures as they are arranged: each change kept at once, with a way back. */
export function useRoomPlan() {
  const workshop = useWorkshop()
  const { settings } = storeToRefs(workshop)
  const chosen = ref<string | null>(null)
  /** What is being dragged, until it is let go. */
  const held = shallowRef<{ id: string; extent: Extent } | null>(null)
  const fault = ref('')
  type Plan = Pick<typeof settings.value.rack, 'places' | 'fixtures'>
  const past = shallowRef<Plan[]>([])

  const laid = (one: { id: string }, extent: Extent) =>
    held.value?.id === one.id ? { ...extent, ...held.value.extent } : extent
  const places = computed(() =>
    laidOut(settings.value.rack.places).map((place) => ({
      ...place,
      spot: laid(place, place.spot) as typeof place.spot,
    })),
  )
  const fixtures = computed(() =>
    settings.value.rack.fixtures.map((one) => ({ ...one, ...laid(one, one) }) as Fixture),
  )
  const all = computed((): InRoom[] => [
    ...fixtures.value.map((one): InRoom => ({ is: 'fixture', one })),
    ...places.value.map((one): InRoom => ({ is: 'place', one })),
  ])
  const current = computed(() => all.value.find(({ one }) => one.id === chosen.value) ?? null)

  /** Keeps what a change makes of the room; what another window arranged meanwhile stays. */
  async function keep(change: (now: Plan) => Partial<Plan>, undoing = false) {
    const { places: before, fixtures: fixed } = plain(settings.value.rack)
    try {
      await workshop.save(({ rack }) => ({ rack: change(rack) }))
      if (!undoing) past.value = [...past.value.slice(-100), { places: before, fixtures: fixed }]
      fault.value = ''
      return true
    } catch (error) {
      fault.value = sentenceOf(error)
      return false
    }
  }
  const within = (value: number, low: number, high: number) => Math.round(clamp(value, low, high))

  /** An extent that stays between the walls. */
  function inside(extent: Extent): Extent {
    const width = within(extent.width ?? 2, 2, 100)
    const height = extent.height === undefined ? undefined : within(extent.height, 2, 100)
    return {
      x: within(extent.x ?? 0, 0, 100 - width),
      y: within(extent.y ?? 0, 0, 100 - (height ?? 0)),
      width,
      ...(height === undefined ? {} : { height }),
    }
  }
  const extentOf = ({ is, one }: InRoom): Extent => (is === 'place' ? one.spot : pick(one))
  const pick = ({ x, y, width, height }: Fixture): Extent => ({ x, y, width, height })

  /** Moves or sizes a thing while it is held. */
  function hold(thing: InRoom, extent: Extent) {
    held.value = { id: thing.one.id, extent: inside({ ...extentOf(thing), ...extent }) }
  }
  /** Lets it go where it is. */
  async function drop() {
    const { value } = held
    const thing = all.value.find(({ one }) => one.id === value?.id)
    if (value && thing) await put(thing, value.extent)
    held.value = null
  }
  const put = (thing: InRoom, extent: Extent) => {
    const next = inside({ ...extentOf(thing), ...extent })
    return change(thing, thing.is === 'place' ? { spot: next as Place['spot'] } : next)
  }
  function change({ is, one }: InRoom, changes: Partial<Place> | Partial<Fixture>) {
    return keep(({ places: now, fixtures: fixed }) =>
      is === 'place'
        ? {
            places: now.map((place) =>
              place.id === one.id ? { ...place, ...(changes as Partial<Place>) } : place,
            ),
          }
        : {
            fixtures: fixed.map((old) =>
              old.id === one.id ? { ...old, ...(changes as Partial<Fixture>) } : old,
            ),
          },
    )
  }
  async function addPlace() {
    const id = newId()
    const number = settings.value.rack.places.length + 1
    const place: Place = { id, name: `Plank ${number}`, kind: 'plank', bars: 60, spot: null }
    if (await keep(({ places: now }) => ({ places: [...now, place] }))) chosen.value = id
  }
  async function addFixture(kind: Fixture['kind']) {
    const id = newId()
    const fixture = { id, kind, name: fixtureNames[kind], x: 40, y: 0, width: 12, height: 20 }
    if (await keep(({ fixtures: now }) => ({ fixtures: [...now, fixture] }))) chosen.value = id
  }
  async function remove({ one }: InRoom) {
    const others = <T extends { id: string }>(list: T[]) => list.filter(({ id }) => id !== one.id)
    await keep(({ places: now, fixtures: fixed }) => ({
      places: others(now),
      fixtures: others(fixed),
    }))
    chosen.value = null
  }
  async function takeBack() {
    const last = past.value.at(-1)
    if (!last) return
    if (await keep(() => last, true)) past.value = past.value.slice(0, -1)
  }

  return {
    places,
    fixtures,
    all,
    chosen: readonly(chosen),
    choose: (id: string) => (chosen.value = id),
    current,
    fault,
    canTakeBack: computed(() => past.value.length > 0),
    extentOf,
    hold,
    drop,
    put,
    change,
    addPlace,
    addFixture,
    remove,
    takeBack,
  }
}
export type RoomPlan = ReturnType<typeof useRoomPlan>
