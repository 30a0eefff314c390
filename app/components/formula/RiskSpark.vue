<script setup lang="ts">
import { forCleaning, mostOdds } from '#core/risk/odds'
import { oddsText } from '#core/risk/oddsText'
import type { LyeRisk } from '#core/risk/lyeRisk'

/** How the real superfat may come out, as a small hill, and the chance that lye is left over in words. */
const { risk } = defineProps<{ risk: LyeRisk | null }>()
const emit = defineEmits<{ open: [] }>()
const { settings, say } = storeToRefs(useWorkshop())
const width = 118
const height = 26

const picture = computed(() => {
  if (!risk?.draws) return null
  const { from, width: step, counts } = risk.histogram
  const low = Math.min(from, -0.002)
  const high = from + step * counts.length
  const x = (value: number) => ((value - low) / (high - low)) * width
  const most = Math.max(...counts)
  const line = counts
    .map((count, index) => `L${x(from + (index + 0.5) * step)} ${height - (count / most) * height}`)
    .join(' ')
  return {
    zero: x(0),
    median: x(risk.median),
    path: `M${x(from)} ${height} ${line} L${x(high)} ${height} Z`,
  }
})
const { document } = useFormulaEditor()
const most = computed(() => mostOdds(settings.value, forCleaning({ document: document.value })))
const fine = computed(() => (risk?.lyeHeavy ?? 0) <= (most.value ?? 1))
</script>

<template>
  <button
    type="button"
    class="grid justify-items-end rounded-sm px-1 hover:bg-line-2"
    aria-haspopup="dialog"
    @click="emit('open')"
  >
    <span
      class="figure text-xs font-semibold whitespace-nowrap"
      :class="risk?.draws ? (fine ? 'text-ok' : 'text-stop') : 'text-ink-2'"
      >{{
        risk?.draws ? `lye left over: ${oddsText(risk.lyeHeavy, say)}` : 'lye left over: drawing'
      }}</span
    >
    <span class="text-xs whitespace-nowrap text-ink-2">by the spread of the fats</span>
    <svg :width="width" :height="height" aria-hidden="true">
      <template v-if="picture">
        <path :d="picture.path" fill="#cfdcd6" />
        <line
          :x1="picture.zero"
          y1="0"
          :x2="picture.zero"
          :y2="height"
          stroke="#b3261e"
          stroke-dasharray="3 2"
        />
        <line
          :x1="picture.median"
          y1="0"
          :x2="picture.median"
          :y2="height"
          stroke="var(--color-ink)"
          stroke-width="2"
        />
      </template>
    </svg>
  </button>
</template>
