<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import type { OnRack } from '~/composables/useRack'
import { byPlace, moved, type Placed } from '#core/rack/places'
import { VueDraggable } from 'vue-draggable-plus'
import { sumOf } from '#core/statistics/sum'

/** The room as it is: planks and trays with the bars that stand on each. Bars are dragged from one to another. */
const props = defineProps<{
  items: OnRack[]
  chosen: string | null
  ticks: ReadonlySet<string>
  ticking: boolean
}>()
const emit = defineEmits<{ choose: [id: string]; tick: [id: string]; room: [] }>()
const known = computed(() => new Map(props.items.map((one) => [one.batch.id, one])))
const { settings, today } = storeToRefs(useWorkshop())
const store = useBatches()

interface Shelf {
  id: string | null
  name: string
  room: number
  items: Placed[]
}
const shelves = ref<Shelf[]>([])
function fill() {
  const { places } = settings.value.rack
  const placed = byPlace(
    props.items.map(({ batch }) => batch),
    new Set(places.map(({ id }) => id)),
    today.value,
  )
  const nowhere = placed.get(null) ?? []
  shelves.value = [
    ...places.map(({ id, name, bars }) => ({ id, name, room: bars, items: placed.get(id) ?? [] })),
    ...(nowhere.length ? [{ id: null, name: 'No place yet', room: 0, items: nowhere }] : []),
  ]
}
watch(() => [props.items, settings.value.rack.places, today.value], fill, { immediate: true })

const barsOn = ({ items }: Shelf) => sumOf(items, ({ bars }) => bars)
async function put(batch: BatchSummary, bars: number, from: string | null, to: Shelf) {
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
  if (value) void put(value.item.batch, value.item.bars, value.from, to)
}
</script>

<template>
  <div>
    <p v-if="!settings.rack.places.length" class="sheet px-4 py-3 text-ink-2">
      The room has no places yet. Say which planks and trays there are, and how many bars find room
      on each:
      <button type="button" class="link" @click="emit('room')">the drying room</button>.
    </p>
    <p v-else class="mb-2 text-sm text-ink-2">
      Drag bars from one to another, or use the menu “Places” of a batch.
    </p>
    <section
      v-for="shelf in shelves"
      :key="shelf.id ?? 'nowhere'"
      :aria-label="shelf.name"
      class="mb-1"
    >
      <div class="flex items-baseline justify-between gap-3">
        <h2>{{ shelf.name }}</h2>
        <span
          class="figure text-sm"
          :class="shelf.id && barsOn(shelf) > shelf.room ? 'font-semibold text-warn' : 'text-ink-2'"
          >{{
            shelf.id
              ? `${barsOn(shelf)} of ${shelf.room} bars${barsOn(shelf) > shelf.room ? ', too full' : ''}`
              : `${barsOn(shelf)} bars`
          }}</span
        >
      </div>
      <VueDraggable
        v-model="shelf.items"
        group="bars"
        tag="ul"
        :animation="0"
        :delay="120"
        :delay-on-touch-only="true"
        class="flex min-h-[62px] flex-wrap items-end gap-x-4 gap-y-2 border-b-8 border-plank px-2 pt-2"
        :class="shelf.id ? '' : 'border-dashed'"
        @start="began(shelf, $event.oldIndex)"
        @add="dropped(shelf)"
      >
        <li v-for="item in shelf.items" :key="item.batch.id" class="max-w-full cursor-grab">
          <button
            type="button"
            class="flex flex-col items-start border-2 border-b-0 px-1 pt-0.5 text-left"
            :class="
              (ticking ? ticks.has(item.batch.id) : chosen === item.batch.id)
                ? 'border-act'
                : 'border-transparent'
            "
            :aria-pressed="ticking ? ticks.has(item.batch.id) : chosen === item.batch.id"
            :aria-label="`${item.batch.name} ${item.batch.number}, ${item.bars} bars on ${shelf.name}`"
            :data-batch="item.batch.id"
            @click="ticking ? emit('tick', item.batch.id) : emit('choose', item.batch.id)"
          >
            <b
              v-if="known.get(item.batch.id)?.tag"
              class="tag mb-1"
              :class="known.get(item.batch.id)!.tag!.bad ? 'bg-warn' : 'bg-slate'"
              >{{ known.get(item.batch.id)!.tag!.says }}</b
            >
            <BarRows
              v-if="item.batch.facts.cutOn"
              :thumbnail="item.batch.thumbnail"
              :bars="item.bars"
              :rows="2"
              :width="9"
              :height="16"
              :left="known.get(item.batch.id)?.left"
            />
            <BarThumbnail v-else :thumbnail="item.batch.thumbnail" :width="84" :height="32" />
            <span class="text-[12.5px]"
              ><b>{{ item.batch.name }} {{ item.batch.number }}</b
              ><span class="figure ml-1 text-ink-2">{{ item.bars }}</span></span
            >
          </button>
        </li>
      </VueDraggable>
    </section>
  </div>
</template>
