<script setup lang="ts">
import type { OnRack } from '~/composables/useRack'
import type { Placed } from '#core/rack/places'
import { sumOf } from '#core/statistics/sum'
import { VueDraggable } from 'vue-draggable-plus'

/** A plank or tray with the bars that stand on it, drawn as wide as it is; bars are dragged from one to another. */
export interface Shelf {
  /** Null for what stands nowhere in particular. */
  id: string | null
  name: string
  room: number
  /** All bars on it, shown or not. */
  bars: number
  items: Placed[]
  /** Batches on it that are not drawn. */
  more: number
}
const { shelf, width, known, pressed, dragged } = defineProps<{
  shelf: Shelf
  /** px of its plank. */
  width: number
  known: ReadonlyMap<string, OnRack>
  /** Those that are chosen or ticked. */
  pressed: ReadonlySet<string>
  /** Bars in the hand, and where they come from. */
  dragged: { item: Placed; from: string | null } | null
}>()
const { say } = storeToRefs(useWorkshop())
const items = defineModel<Placed[]>('items', { required: true })
const emit = defineEmits<{ press: [id: string]; start: [index: number | undefined]; drop: [] }>()

/** Bars in the hand that come from elsewhere. */
const coming = computed(() => (dragged && dragged.from !== shelf.id ? dragged.item.bars : 0))
const left = computed(() => shelf.room - shelf.bars - coming.value)
const over = computed(() => shelf.id !== null && coming.value > 0)
/** What the plank says of its room: of what is in the hand while there is something. */
const says = computed(() => {
  if (!shelf.id) return `${shelf.bars} bars`
  if (over.value)
    return left.value < 0
      ? `${-left.value} too many`
      : `${coming.value} fit, ${left.value} left free`
  return `${shelf.bars} of ${shelf.room}${left.value < 0 ? ', too full' : ''}`
})
/** Bars of a size at which all of them find room on the plank. */
const gap = 2
const columnsOf = ({ batch, bars }: Placed) =>
  batch.facts.cutOn ? Math.ceil(Math.min(24, bars) / 2) : 8
const barWidth = computed(() => {
  const columns = sumOf(items.value, columnsOf)
  const free = width - 16 - 14 * items.value.length
  return Math.max(2.5, Math.min(9, free / Math.max(1, columns) - gap))
})
const tagOf = ({ batch }: Placed) => known.get(batch.id)?.tag
const itemWidth = (one: Placed) => Math.max(28, columnsOf(one) * (barWidth.value + gap))
</script>

<template>
  <section :aria-label="shelf.name" class="flex flex-col justify-end">
    <div
      class="flex items-baseline justify-between gap-2 px-2"
      :class="over && left >= 0 ? 'bg-ok-ground' : ''"
    >
      <h2 class="min-w-0 truncate">{{ shelf.name }}</h2>
      <span
        class="figure shrink-0 text-sm"
        :class="
          left < 0 ? 'font-semibold text-warn' : over ? 'font-semibold text-ok' : 'text-ink-2'
        "
        >{{ says }}</span
      >
    </div>
    <VueDraggable
      v-model="items"
      group="bars"
      tag="ul"
      :animation="0"
      :delay="120"
      :delay-on-touch-only="true"
      class="plank flex min-h-[91px] items-end gap-x-3.5 px-2 pt-1"
      :class="[shelf.id ? '' : 'loose', over && left >= 0 ? 'bg-ok-ground' : '']"
      @start="emit('start', $event.oldIndex)"
      @end="emit('drop')"
      @add="emit('drop')"
    >
      <li
        v-for="item in items"
        :key="item.batch.id"
        class="max-w-full min-w-0 shrink cursor-grab"
        :style="{ minWidth: `${Math.min(itemWidth(item), 120)}px` }"
      >
        <button
          type="button"
          class="flex max-w-full flex-col items-start text-left"
          :class="known.has(item.batch.id) ? '' : 'opacity-35'"
          :aria-pressed="pressed.has(item.batch.id)"
          :aria-label="`${item.batch.name} ${item.batch.number}, ${item.bars} bars on ${shelf.name}${tagOf(item) ? `, ${tagOf(item)!.says}` : ''}`"
          :data-batch="item.batch.id"
          @click="emit('press', item.batch.id)"
        >
          <b
            v-if="tagOf(item)"
            class="tag mb-1 max-w-full !px-1.5 !leading-4 !whitespace-normal"
            :class="tagOf(item)!.bad ? 'bg-warn' : 'bg-slate'"
            >{{ tagOf(item)!.says }}</b
          >
          <span
            class="mb-[9px] block"
            :class="pressed.has(item.batch.id) ? 'outline-2 outline-offset-2 outline-act' : ''"
          >
            <BarRows
              v-if="item.batch.facts.cutOn"
              :thumbnail="item.batch.thumbnail"
              :bars="item.bars"
              :rows="2"
              :gap="gap"
              :width="barWidth"
              :height="barWidth * 1.75"
              :left="known.get(item.batch.id)?.left"
            />
            <BarThumbnail
              v-else
              :thumbnail="item.batch.thumbnail"
              :width="Math.round(8 * (barWidth + gap))"
              :height="30"
            />
          </span>
          <span
            class="line-clamp-2 h-8 max-w-full text-[12.5px] leading-4"
            :title="`${item.batch.name} ${item.batch.number}`"
            ><b>{{ item.batch.name }} {{ item.batch.number }}</b
            ><span class="figure ml-1 text-ink-2">×{{ item.bars }}</span></span
          >
        </button>
      </li>
    </VueDraggable>
    <p v-if="shelf.more" class="px-2 text-sm text-ink-2">
      and {{ say.count(shelf.more, 'more batch', 'more batches') }}: see the list
    </p>
  </section>
</template>

<style scoped>
.plank {
  position: relative;
}
.plank::after {
  content: '';
  position: absolute;
  inset: auto 0 34px;
  height: 7px;
  background: linear-gradient(var(--color-plank) 5px, #5c6663 5px);
  pointer-events: none;
}
.plank.loose::after {
  background: repeating-linear-gradient(90deg, var(--color-line-3) 0 8px, transparent 8px 14px);
  height: 2px;
}
</style>
