<script setup lang="ts">
import type { OnRack } from '~/composables/useRack'
import type { RoomPlan } from '~/composables/useRoomPlan'
import type { Shelf } from './PlaceShelf.vue'
import type { Placed } from '#core/rack/places'
import { byPlace, moved } from '#core/rack/places'
import { sumOf } from '#core/statistics/sum'

/**
 * The room as it is: its planks and trays where they hang and stand, with the bars on each. On a narrow screen, and where there are
 * more places than a picture can hold, one under the other.
 */
const props = defineProps<{
  /** All that was poured and is there. */
  all: OnRack[]
  /** What is looked for. */
  found: OnRack[]
  chosen: string | null
  ticks: ReadonlySet<string>
  ticking: boolean
  plan: RoomPlan
  arranging: boolean
  width: number
}>()
const emit = defineEmits<{ choose: [id: string]; tick: [id: string]; arrange: [] }>()
const known = computed(() => new Map(props.found.map((one) => [one.batch.id, one])))
const { today } = storeToRefs(useWorkshop())
const room = useRoom()
const store = useBatches()

/** As many places as a picture can hold, and the width from which it is one. */
const mostDrawn = 16
/** px that a batch takes at least on a place: those that find none are told by their number. */
const least = 64
const isPicture = computed(() => props.width >= 600 && props.plan.places.value.length <= mostDrawn)
const height = computed(() => Math.max(480, props.width * 0.67))

const spotOf = (id: string | null) => props.plan.places.value.find((one) => one.id === id)?.spot
/** px of a place's plank. */
const widthOf = (id: string | null) => {
  const spot = isPicture.value && spotOf(id)
  return ((spot ? spot.width : 100) / 100) * props.width
}

const shelves = ref<Shelf[]>([])
function fill() {
  const places = props.plan.places.value
  const placed = byPlace(
    props.all.map(({ batch }) => batch),
    new Set(places.map(({ id }) => id)),
    today.value,
  )
  const shelf = (id: string | null, name: string, bars: number): Shelf => {
    const all = placed.get(id) ?? []
    const items = all.slice(0, Math.max(3, Math.floor(widthOf(id) / least)))
    const more = all.length - items.length
    return { id, name, room: bars, bars: sumOf(all, (one) => one.bars), items, more }
  }
  const nowhere = shelf(null, 'No place yet', 0)
  shelves.value = [
    ...places.map(({ id, name, bars }) => shelf(id, name, bars)),
    ...(nowhere.items.length ? [nowhere] : []),
  ]
}
watch(() => [props.all, props.plan.places.value, props.width, today.value], fill, {
  immediate: true,
})
const hung = computed(() => props.plan.places.value.filter(({ kind }) => kind === 'hung'))
const drawn = computed(() => shelves.value.filter((shelf) => spotOf(shelf.id)))
const loose = computed(() => shelves.value.filter((shelf) => !spotOf(shelf.id)))

async function put({ batch, bars }: Placed, from: string | null, to: Shelf) {
  if (to.id === null || from === to.id) return fill()
  const spread = moved(batch, today.value, from, to.id, bars)
  const kept = await store.tell(
    batch.id,
    { kind: 'placed', day: today.value, spread },
    `${batch.name} ${batch.number}: ${bars} bars on ${to.name}.`,
  )
  if (!kept) fill()
}
/** What is dragged, since the list it came to knows only its place in it. */
const dragged = shallowRef<{ item: Placed; from: string | null } | null>(null)
function began(shelf: Shelf, index: number | undefined) {
  const item = shelf.items[index ?? -1]
  dragged.value = item ? { item, from: shelf.id } : null
}
function dropped(to: Shelf) {
  const { value } = dragged
  dragged.value = null
  // The plank it was taken from hears of the end as well: there nothing has changed.
  if (value && to.items.some(({ batch }) => batch.id === value.item.batch.id))
    void put(value.item, value.from, to)
}
const pressed = computed<ReadonlySet<string>>(() =>
  props.ticking ? props.ticks : new Set(props.chosen ? [props.chosen] : []),
)
const press = (id: string) => (props.ticking ? emit('tick', id) : emit('choose', id))
/** What a plank is given and heard of, in the picture and below it. */
const boundTo = (shelf: Shelf) => ({
  shelf,
  width: widthOf(shelf.id),
  known: known.value,
  pressed: pressed.value,
  dragged: dragged.value,
  onPress: press,
  onStart: (index: number | undefined) => began(shelf, index),
  onDrop: () => dropped(shelf),
})
</script>

<template>
  <div>
    <p v-if="!plan.places.value.length && !arranging" class="sheet mb-3 px-4 py-3 text-ink-2">
      The room has no places yet. Say which planks and trays there are, and how many bars find room
      on each:
      <button type="button" class="link" @click="emit('arrange')">arrange the room</button>.
    </p>
    <div v-if="isPicture" class="relative isolate" :style="{ height: `${height}px` }">
      <svg
        class="pointer-events-none absolute inset-0 -z-10 size-full"
        viewBox="0 0 100 100"
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <path
          d="M0.3 99.5 V9.5 L50 0.6 L99.7 9.5 V99.5 Z"
          fill="var(--color-sheet)"
          stroke="var(--color-ink)"
          stroke-width="4"
          vector-effect="non-scaling-stroke"
        />
        <g v-for="{ id, spot } in hung" :key="id" stroke="var(--color-line-3)">
          <line
            v-for="x in [spot.x + 1.5, spot.x + spot.width - 1.5]"
            :key="x"
            :x1="x"
            :x2="x"
            :y1="0.6 + (Math.abs(50 - x) / 50) * 8.9"
            :y2="100 - spot.y"
            stroke-width="1.5"
            vector-effect="non-scaling-stroke"
          />
        </g>
      </svg>
      <RoomFixture
        v-for="fixture in plan.fixtures.value"
        :key="fixture.id"
        class="absolute -z-10"
        :fixture="fixture"
        :humidity="room.now?.humidity ?? null"
        :style="{
          left: `${fixture.x}%`,
          bottom: `${fixture.y}%`,
          width: `${fixture.width}%`,
          height: `${fixture.height}%`,
        }"
      />
      <PlaceShelf
        v-for="shelf in drawn"
        :key="shelf.id!"
        v-model:items="shelf.items"
        class="absolute"
        :style="{
          left: `${spotOf(shelf.id)!.x}%`,
          width: `${spotOf(shelf.id)!.width}%`,
          bottom: `calc(${spotOf(shelf.id)!.y}% - 41px)`,
        }"
        v-bind="boundTo(shelf)"
      />
      <RoomArrange v-if="arranging" :plan="plan" :width="width" :height="height" />
    </div>
    <PlaceShelf
      v-for="shelf in isPicture ? loose : shelves"
      :key="shelf.id ?? 'nowhere'"
      v-model:items="shelf.items"
      class="mt-3"
      v-bind="boundTo(shelf)"
    />
  </div>
</template>
