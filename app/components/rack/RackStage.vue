<script setup lang="ts">
import type { OnRack } from '~/composables/useRack'

/** One plank of the stages, in as many rows as it takes: tag, bars, plank, label, in straight columns. */
const { items, columns } = defineProps<{
  title: string
  says: string
  items: OnRack[]
  columns: number
  chosen: string | null
  ticks: ReadonlySet<string>
  /** Whether a click ticks. */
  ticking: boolean
}>()
const emit = defineEmits<{ choose: [id: string]; tick: [id: string] }>()
const rows = computed(() =>
  Array.from({ length: Math.max(1, Math.ceil(items.length / columns)) }, (_, row) =>
    items.slice(row * columns, (row + 1) * columns),
  ),
)
const id = useId()
</script>

<template>
  <section
    :aria-labelledby="id"
    class="grid grid-cols-[minmax(0,1fr)] sm:grid-cols-[92px_minmax(0,1fr)]"
  >
    <div
      class="pr-2.5 max-sm:flex max-sm:items-baseline max-sm:gap-2 max-sm:pt-2 max-sm:pb-1.5 sm:pt-8"
    >
      <h2 :id="id" class="text-[15px] leading-[18px] font-bold text-ink">{{ title }}</h2>
      <p class="text-xs leading-[15px] text-ink-2">{{ says }}</p>
    </div>
    <ul>
      <WhenNear v-for="(row, at) in rows" :key="at" as="li" :height="122" class="h-[122px]">
        <ul class="row grid h-full" :style="{ '--columns': columns }">
          <li v-for="one in row" :key="one.batch.id" class="min-w-0">
            <button
              type="button"
              class="cell grid h-full w-full grid-rows-[20px_44px_58px] px-2 text-left"
              :class="chosen === one.batch.id ? 'chosen' : ''"
              :aria-pressed="ticking ? ticks.has(one.batch.id) : chosen === one.batch.id"
              :aria-label="`${one.batch.name} ${one.batch.number}, ${one.says}${one.tag ? `, ${one.tag.says}` : ''}`"
              :data-batch="one.batch.id"
              @click="ticking ? emit('tick', one.batch.id) : emit('choose', one.batch.id)"
            >
              <span class="flex items-start gap-1">
                <span
                  v-if="ticking || ticks.has(one.batch.id)"
                  class="flex size-[18px] items-center justify-center border-2 text-[13px] leading-none font-bold text-white"
                  :class="ticks.has(one.batch.id) ? 'border-act bg-act' : 'border-line-3 bg-field'"
                  aria-hidden="true"
                  >{{ ticks.has(one.batch.id) ? '✓' : '' }}</span
                >
                <b v-if="one.tag" class="tag" :class="one.tag.bad ? 'bg-warn' : 'bg-slate'">{{
                  one.tag.says
                }}</b>
              </span>
              <span class="flex items-end">
                <BarRows
                  v-if="one.standing.cutOn"
                  :thumbnail="one.batch.thumbnail"
                  :bars="one.standing.bars"
                  :rows="2"
                  :left="one.left"
                />
                <span
                  v-else-if="!one.standing.pouredOn"
                  class="mb-px block h-10 w-[164px] max-w-full rounded-[7px] border-[1.5px] border-dashed border-line-3"
                />
                <BarThumbnail
                  v-else
                  :thumbnail="one.batch.thumbnail"
                  :width="Math.min(164, 60 + one.standing.bars * 5)"
                  :height="40"
                />
              </span>
              <span class="flex items-start gap-2 pt-3.5">
                <BarThumbnail
                  :thumbnail="one.batch.thumbnail"
                  :width="34"
                  :height="24"
                  class="max-sm:hidden"
                />
                <span class="min-w-0">
                  <b class="line-clamp-2 text-[13.5px] leading-4"
                    >{{ one.batch.name }} {{ one.batch.number }}</b
                  >
                  <small class="figure block text-xs leading-[15px] text-ink-2">{{
                    one.says
                  }}</small>
                </span>
              </span>
            </button>
          </li>
          <li v-if="!row.length" class="flex items-center pb-14 pl-2 text-sm text-ink-2">
            <slot />
          </li>
        </ul>
      </WhenNear>
    </ul>
  </section>
</template>

<style scoped>
.row {
  grid-template-columns: repeat(var(--columns), minmax(0, 1fr));
  background: linear-gradient(
      transparent 0 64px,
      var(--color-plank) 64px 72px,
      #5c6663 72px 74px,
      transparent 74px
    )
    no-repeat;
}
.cell {
  position: relative;
}
.cell.chosen::before {
  content: '';
  position: absolute;
  inset: -3px 0 3px;
  border: 2px solid var(--color-act);
  pointer-events: none;
}
</style>
