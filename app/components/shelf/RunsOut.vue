<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { outlookOf, type Outlook } from '#core/rack/outlook'

/** What is ready of each formula, how fast it goes, and when it will be gone. */
const { batches } = defineProps<{ batches: BatchSummary[] }>()
const { today } = storeToRefs(useWorkshop())
const gone = ref<Record<string, number>>({})
watch(
  () => batches,
  async () => {
    gone.value = await api.get<Record<string, number>>('/api/batches/gone-since').catch(() => ({}))
  },
  { immediate: true },
)
const list = computed(() =>
  outlookOf(batches, gone.value, today.value)
    .filter(({ ready, perWeek }) => ready || perWeek)
    .sort((a, b) => (a.outOn ?? '9').localeCompare(b.outOn ?? '9') || b.ready - a.ready),
)
const thumbnailOf = ({ formulaId }: Outlook) =>
  batches.find((batch) => batch.formulaId === formulaId)!.thumbnail
function words(one: Outlook): string {
  const on = (day: string) => dayText(day, { today: today.value })
  const next = one.nextOn ? `, ${one.coming} more from ${on(one.nextOn)}` : ''
  if (!one.ready) return `none ready${next}`
  if (!one.outOn) return `none went of late${next}`
  if (one.gap) return `gone by ${on(one.outOn)}, then none for ${one.gap} days`
  return `lasts until ${on(one.outOn)}${next}`
}
</script>

<template>
  <section class="sheet self-start">
    <h2 class="flex h-9 items-center px-4">What is left</h2>
    <ul>
      <li
        v-for="one in list"
        :key="one.formulaId"
        class="grid grid-cols-[44px_1fr_auto] items-center gap-3 border-t border-line-2 px-4 py-1"
      >
        <BarThumbnail :thumbnail="thumbnailOf(one)" :width="40" :height="27" />
        <div class="min-w-0">
          <b class="block truncate font-[650]">{{ one.name }}</b>
          <small
            class="block text-[12.5px] leading-[17px]"
            :class="one.gap ? 'font-semibold text-warn' : 'text-ink-2'"
            >{{ words(one) }}</small
          >
        </div>
        <span class="figure text-right text-sm"
          ><b class="text-[17px] font-bold">{{ one.ready }}</b> bars</span
        >
      </li>
    </ul>
    <p v-if="!list.length" class="border-t border-line-2 px-4 py-3 text-ink-2">
      Nothing is ready yet.
    </p>
  </section>
</template>
