<script setup lang="ts">
import type { JournalEdge } from '#contracts/journal'

/** The edge of the book: a stretch of leaves for each year, cream where they come from paper, a tab where something was found. */
const { years, found } = defineProps<{
  years: JournalEdge['years']
  found: readonly [year: number, found: number][]
}>()
defineEmits<{ year: [year: number] }>()
const { say } = storeToRefs(useWorkshop())
const finds = computed(() => new Map(found))
/** Thick as there is much of a year, but never too thin to be told or pressed. */
const rows = computed(() => {
  const most = Math.max(1, ...years.map(({ entries }) => entries))
  return years.map((one) => ({
    ...one,
    weight: 1 + 3 * Math.sqrt(one.entries / most),
    old: one.paper > one.entries / 2,
    finds: finds.value.get(one.year) ?? 0,
  }))
})
const says = ({ year, entries, finds: hits }: (typeof rows.value)[number]) =>
  `${year}: ${say.value.count(entries, 'entry', 'entries')}${hits ? `, ${hits} found` : ''}`
</script>

<template>
  <nav aria-label="Years" class="flex flex-col bg-slate-2 pr-2 text-[#dfe6e4]">
    <button
      v-for="row in rows"
      :key="row.year"
      type="button"
      class="figure relative grid min-h-6 w-full grid-cols-[36px_1fr] text-left text-[12px] outline-offset-[-3px] hover:text-white"
      :style="{ flexGrow: row.weight }"
      :aria-label="says(row)"
      :title="says(row)"
      @click="$emit('year', row.year)"
    >
      <span class="leaves border-t border-plank" :class="{ old: row.old }" />
      <span class="pt-0.5 pl-2">{{ row.year }}</span>
      <span
        v-if="row.finds"
        class="tab absolute top-1/2 -left-1.5 h-[18px] w-[46px] -translate-y-1/2 text-center text-[13px] leading-[18px] font-bold text-white"
        aria-hidden="true"
        >{{ row.finds }}</span
      >
    </button>
  </nav>
</template>

<style scoped>
.leaves {
  background: repeating-linear-gradient(to bottom, #c3cecb 0 1px, transparent 1px 3px) #fbfcfa;
}
.leaves.old {
  background: repeating-linear-gradient(to bottom, #d6c79f 0 1px, transparent 1px 3px) #f4ecd9;
}
.tab {
  background: #41648f;
  clip-path: polygon(0 0, calc(100% - 6px) 0, 100% 50%, calc(100% - 6px) 100%, 0 100%);
}
</style>
