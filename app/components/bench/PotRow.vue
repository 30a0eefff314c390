<script setup lang="ts">
import { ListOrdered } from '@lucide/vue'

/** The pots in the order of their pour: what is in and sets, the one on the bench, and what waits. */
const listOpen = defineModel<boolean>('list', { required: true })
const bench = useBench()
const wide = useWideBench()
const { rows, pot } = useLayers(bench)
const stands = (row: (typeof rows.value)[number]): string => {
  if (row.poured) return row.setsIn > 0 ? 'sets' : 'firm'
  if (row.since !== null) return clockText(row.since)
  if (row.races) return `races: ${minutesText(row.working)}`
  return row.index === (pot.value ?? -1) + 1 ? 'next' : 'waits'
}
/** What is poured needs only its number; the others are known by their names. */
const titleOf = (row: (typeof rows.value)[number]): string =>
  row.index === pot.value
    ? `Pot ${row.index + 1}`
    : row.poured
      ? String(row.index + 1)
      : `${row.index + 1} ${row.name}`
const strip = ref<HTMLOListElement>()
watch(
  pot,
  () =>
    void nextTick(() =>
      strip.value
        ?.querySelector('[aria-current]')
        ?.scrollIntoView({ block: 'nearest', inline: 'center' }),
    ),
  { immediate: true },
)
const on = computed(() => rows.value.find(({ index }) => index === pot.value))
</script>

<template>
  <nav aria-label="The pots">
    <ol
      ref="strip"
      class="figure flex items-stretch overflow-x-auto border-b border-line bg-[#1c2426]"
    >
      <li v-if="wide" class="flex">
        <button
          type="button"
          class="flex min-w-14 flex-col items-center justify-center gap-1 border-r border-line px-3 text-[13px]"
          :aria-expanded="listOpen"
          @click="listOpen = !listOpen"
        >
          <ListOrdered :size="22" aria-hidden="true" /> Steps
        </button>
      </li>
      <li
        v-for="row in rows"
        :key="row.index"
        class="flex min-h-16 items-center gap-2.5 border-r border-line px-3 py-2 sm:min-h-24"
        :class="
          row === on
            ? 'min-w-32 flex-[1.5] bg-chalk text-[#182022]'
            : row.poured
              ? 'min-w-20 flex-[0.7]'
              : 'min-w-28 flex-1'
        "
        :aria-current="row === on ? 'step' : undefined"
      >
        <i
          v-if="row.poured"
          class="size-5 shrink-0 border border-white/30"
          :style="{ background: row.colour }"
        />
        <svg
          v-else
          viewBox="0 0 40 48"
          class="shrink-0 max-sm:h-8"
          :class="row === on ? 'h-14 max-lg:h-10' : 'h-9 max-lg:hidden'"
          aria-hidden="true"
        >
          <path
            :d="
              row.since === null ? 'M7 20 L9.5 43 H30.5 L33 20 Z' : 'M6 14 L9.5 43 H30.5 L34 14 Z'
            "
            :fill="row.since === null ? '#e0bf5a' : row.colour"
          />
          <path
            d="M4 3 L9 44 H31 L36 3"
            fill="none"
            :stroke="row === on ? '#182022' : '#b9c5c3'"
            stroke-width="2.5"
          />
        </svg>
        <span class="min-w-0 leading-tight">
          <b
            class="block truncate"
            :class="row === on ? 'text-[17px] sm:text-[22px]' : 'text-[15px]'"
            >{{ titleOf(row) }}</b
          >
          <span
            class="block truncate text-[14px]"
            :class="
              row === on ? '' : row.races && !row.poured ? 'font-bold text-[#f3c24b]' : 'text-ink-2'
            "
            >{{ row === on ? row.name : stands(row) }}</span
          >
        </span>
      </li>
    </ol>
  </nav>
</template>
