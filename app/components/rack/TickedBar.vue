<script setup lang="ts">
import { sumOf } from '#core/statistics/sum'
import type { OnRack } from '~/composables/useRack'

/** What can be done with all batches that are ticked, by a press or a letter. What most of them wait for is lit. */
const { ticked } = defineProps<{ ticked: OnRack[] }>()
const emit = defineEmits<{ act: [what: TickedAct]; untick: [] }>()
export type TickedAct = 'strip' | 'weigh' | 'move' | 'print' | 'turn'
const { say } = storeToRefs(useWorkshop())
const acts: { id: TickedAct; says: string; key: string; cut: boolean }[] = [
  { id: 'strip', says: 'Strip', key: 'S', cut: true },
  { id: 'weigh', says: 'Weigh', key: 'W', cut: true },
  { id: 'move', says: 'Move', key: 'M', cut: false },
  { id: 'print', says: 'Print', key: 'P', cut: false },
  { id: 'turn', says: 'Turn', key: 'T', cut: true },
]
const cut = computed(() => ticked.filter(({ standing }) => standing.cutOn).length)
const lit = computed(() => {
  const counts = (['turn', 'weigh', 'strip'] as const).map(
    (id) => [id, ticked.filter(({ dues }) => dues.some(({ kind }) => kind === id)).length] as const,
  )
  const [most] = counts.sort((a, b) => b[1] - a[1])
  return most && most[1] > 0 ? most[0] : null
})
</script>

<template>
  <div
    role="region"
    aria-label="Ticked batches"
    class="fixed inset-x-0 bottom-0 z-10 flex flex-wrap items-center gap-x-4 gap-y-2 bg-slate px-4 py-3 text-white sm:px-6 max-sm:bottom-[calc(56px+env(safe-area-inset-bottom))] no-print"
  >
    <p class="text-[20px] leading-tight font-bold">
      {{ ticked.length }} ticked,
      {{
        say.count(
          sumOf(ticked, ({ standing }) => standing.bars),
          'bar',
          'bars',
        )
      }}
    </p>
    <span class="flex gap-1 max-lg:hidden">
      <BarThumbnail
        v-for="{ batch } in ticked.slice(0, 7)"
        :key="batch.id"
        :thumbnail="batch.thumbnail"
        :width="34"
        :height="24"
      />
    </span>
    <span class="flex-1" />
    <button
      v-for="one in acts"
      :key="one.id"
      type="button"
      class="inline-flex min-h-11 items-center gap-2 px-4 text-[15px] font-semibold disabled:opacity-50"
      :class="
        lit === one.id
          ? 'chamfer bg-chalk text-[#182022] order-last'
          : 'rounded-sm bg-[#3b484a] text-white'
      "
      :disabled="one.cut && !cut"
      @click="emit('act', one.id)"
    >
      {{ one.says }} {{ one.cut && cut !== ticked.length && cut ? cut : '' }}
      <kbd class="max-sm:hidden">{{ one.key }}</kbd>
    </button>
    <button
      type="button"
      class="order-last min-h-11 px-1 font-semibold underline underline-offset-4"
      @click="emit('untick')"
    >
      Untick
    </button>
  </div>
</template>
