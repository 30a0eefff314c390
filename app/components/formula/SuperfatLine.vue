<script setup lang="ts">
import type { Figure } from '#core/formula/explain'
import { lyeWeighed } from '#core/formula/pot'

const {
  document,
  result,
  weighed,
  open: lacking,
  question,
  put,
  risk,
  drawing,
  lyeAge: age,
} = useFormulaEditor()
const { say } = storeToRefs(useWorkshop())
const why = defineModel<Figure | null>('why', { required: true })
const showing = ref(false)
/** The superfat of what the scale can weigh: milk fat, dispersing oil and lye rounded down all raise it. */
const real = computed(() => weighed.value.superfat)
const differs = computed(
  () =>
    Math.abs(real.value - result.value.superfat.asked) > 0.0005 &&
    result.value.oils > 0 &&
    !lacking.value.length,
)
const lyeShown = computed(() => say.value.massDown(lyeWeighed(weighed.value.result)))
</script>

<template>
  <section
    class="flex flex-wrap items-center gap-3 border-t border-line-2 px-4 py-2"
    aria-label="Superfat"
    data-superfat
  >
    <h2>Superfat</h2>
    <NumberField
      kind="percent"
      big
      label="Superfat"
      class="w-20 shrink-0"
      :min="-0.5"
      :max="0.9"
      :step="0.005"
      :model-value="document.superfat"
      @update:model-value="put(['superfat'], $event)"
    />
    <span v-if="differs" class="figure text-sm text-ink-2"
      >{{ lyeShown }} of lye {{ result.lye.koh > 0 ? 'make' : 'makes' }} it
      <b>{{ say.percent(real, 2) }}</b>.
      <button
        type="button"
        class="link font-medium"
        aria-label="Why this superfat in all?"
        @click="why = 'superfat'"
      >
        Why?
      </button></span
    >
    <span v-else-if="result.superfat.total < 0" class="text-sm text-ink-2"
      >more lye than the fats can take</span
    >
    <RiskSpark
      v-if="!lacking.length && !question"
      class="ml-auto"
      :risk="risk"
      @open="showing = true"
    />
    <LazyLyeRiskDialog v-if="showing" v-model="showing" v-model:age="age" :risk="risk" :drawing />
  </section>
</template>
