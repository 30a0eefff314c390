<script setup lang="ts">
/** One rule of superfat: what burns, what cleans, what is a body bar, what is soft; marks on it, or a span. */
const { marks, span = null } = defineProps<{
  /** Superfats as fractions; the first is the chief one. */
  marks: number[]
  span?: [number, number] | null
}>()
const { say } = storeToRefs(useWorkshop())
const ends = computed(() => {
  const all = [...marks, ...(span ?? []), -0.05, 0.2]
  return { low: Math.max(-1, Math.min(...all)), high: Math.min(1, Math.max(...all)) }
})
const x = (superfat: number) => {
  const { low, high } = ends.value
  return Math.max(0, Math.min(100, ((superfat - low) / (high - low)) * 100))
}
const spoken = computed(() =>
  marks.length
    ? `Superfat ${say.value.list(marks.map((mark) => say.value.percent(mark)))}`
    : 'Superfat not known',
)
</script>

<template>
  <figure class="figure relative h-12" :aria-label="spoken" role="img">
    <div class="absolute inset-x-0 top-3 h-4 bg-line-2">
      <i
        class="absolute inset-y-0 left-0"
        style="background: repeating-linear-gradient(135deg, #d5432a 0 3px, #fff 3px 7px)"
        :style="{ width: `${x(0)}%` }"
      />
      <i
        class="absolute inset-y-0 bg-ok-ground"
        :style="{ left: `${x(0.04)}%`, width: `${x(0.12) - x(0.04)}%` }"
      />
    </div>
    <i
      v-if="span"
      class="absolute top-1.5 h-7 border-x border-ink-3 bg-ink/10"
      :style="{ left: `${x(span[0])}%`, width: `${Math.max(0.5, x(span[1]) - x(span[0]))}%` }"
    />
    <i class="absolute top-1 h-8 w-px bg-stop" :style="{ left: `${x(0)}%` }" />
    <template v-if="marks.length === 1">
      <i class="absolute top-1 h-8 w-[3px] bg-ink" :style="{ left: `${x(marks[0]!)}%` }" />
    </template>
    <template v-else>
      <i
        v-for="(mark, index) in marks"
        :key="index"
        class="absolute top-2.5 size-5 -translate-x-1/2 rounded-full border-[3px] border-ink bg-field/70"
        :style="{ left: `${x(mark)}%` }"
      />
    </template>
    <span class="absolute top-8 left-0 text-xs font-bold text-stop">burns</span>
    <span
      class="absolute top-8 -translate-x-1/2 text-xs whitespace-nowrap text-ink-2"
      :style="{ left: `${x(0.08)}%` }"
      >a body bar</span
    >
    <span class="absolute top-8 right-0 text-xs text-ink-2">soft</span>
  </figure>
</template>
