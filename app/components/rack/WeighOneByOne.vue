<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'

/** A round at the scale on a phone: one bar a screen, its last weight, what is odd about it, and large keys. */
const { bars, live, oddOf } = defineProps<{
  bars: { batch: BatchSummary; bar: number; last: number | null; key: string }[]
  live: { grams: number | null; steady: boolean }
  oddOf: (batch: BatchSummary, bar: number) => string | null
}>()
const typed = defineModel<Record<string, number | null>>('typed', { required: true })
const sure = defineModel<Record<string, boolean>>('sure', { required: true })
const { say, today, settings } = storeToRefs(useWorkshop())

const at = ref(0)
const one = computed(() => bars[Math.min(at.value, bars.length - 1)]!)
const grams = computed(() => typed.value[one.value.key] ?? null)
const odd = computed(() =>
  sure.value[one.value.key] ? null : oddOf(one.value.batch, one.value.bar),
)
const place = computed(() => {
  const [stands] = one.value.batch.facts.spread
  return settings.value.rack.places.find(({ id }) => id === stands?.place)?.name ?? ''
})
const field = ref<HTMLElement | null>(null)
const focus = () => void nextTick(() => field.value?.querySelector('input')?.focus())
function go(by: number) {
  at.value = Math.max(0, Math.min(bars.length - 1, at.value + by))
  focus()
}
function next() {
  if (grams.value === null && live.grams !== null && live.steady)
    typed.value[one.value.key] = live.grams
  if (grams.value === null || odd.value) return
  go(1)
}
function again() {
  typed.value[one.value.key] = null
  focus()
}
const last = computed(() => at.value >= bars.length - 1)
</script>

<template>
  <div class="grid gap-3" @keydown.enter.exact.prevent="next">
    <p class="figure flex justify-between text-ink-2">
      <span>{{ place }}</span><span>{{ at + 1 }} of {{ bars.length }}</span>
    </p>
    <div class="flex items-center gap-4">
      <BarThumbnail :thumbnail="one.batch.thumbnail" :width="68" :height="84" />
      <div>
        <b class="block text-[20px] leading-tight">{{ one.batch.name }} {{ one.batch.number }}</b>
        <span class="text-[17px]">bar {{ one.bar }}</span>
      </div>
    </div>
    <div ref="field" class="big">
      <NumberField
        :key="one.key"
        kind="mass"
        big
        class="w-full"
        :label="`${one.batch.name} ${one.batch.number}, bar ${one.bar}`"
        :min="0.1"
        :max="20000"
        :model-value="grams"
        @update:model-value="typed[one.key] = $event"
      />
    </div>
    <p class="figure flex justify-between gap-3 text-ink-2">
      <span>{{
        one.batch.facts.weighedOn
          ? dayText(one.batch.facts.weighedOn, { today })
          : 'scratch its number in'
      }}</span>
      <b v-if="one.last !== null" class="text-ink">{{ say.mass(one.last) }}</b>
    </p>
    <div v-if="odd" class="bg-warn-ground px-3 py-3" role="alert">
      <p class="font-semibold text-warn">{{ odd }}</p>
      <div class="mt-2 grid grid-cols-2 gap-2">
        <AppButton class="min-h-14" @click="again">Weigh it again</AppButton>
        <AppButton class="min-h-14" @click="sure[one.key] = true">It weighs that</AppButton>
      </div>
    </div>
    <div class="grid grid-cols-[auto_auto_1fr] gap-2">
      <AppButton class="min-h-14" :disabled="at === 0" @click="go(-1)">Back</AppButton>
      <AppButton class="min-h-14" :disabled="last" @click="((typed[one.key] = null), go(1))"
        >Leave it out</AppButton
      >
      <AppButton
        kind="main"
        class="min-h-14"
        :disabled="grams === null || !!odd || last"
        @click="next"
        >{{ odd ? 'Which is it?' : last ? 'That was the last' : 'Next' }}</AppButton
      >
    </div>
  </div>
</template>

<style scoped>
.big :deep(input) {
  font-size: 40px;
  font-weight: 700;
  height: 72px;
}
</style>
