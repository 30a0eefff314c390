<script setup lang="ts">
import type { Figure } from '#core/formula/explain'
import type { LyeAge } from '#core/risk/spread'

const { document, result, put } = useFormulaEditor()
const { say } = storeToRefs(useWorkshop())
const why = defineModel<Figure | null>('why', { required: true })
const age = ref<LyeAge>('fresh')
const { risk, drawing } = useLyeRisk(document, result, age)
const showing = ref(false)
const differs = computed(
  () =>
    Math.abs(result.value.superfat.total - result.value.superfat.asked) > 0.0005 &&
    result.value.oils > 0,
)
</script>

<template>
  <section
    class="flex items-center gap-3 border-t border-line-2 px-4 py-2"
    aria-label="Superfat"
    data-superfat
  >
    <h2>Superfat</h2>
    <NumberField
      kind="percent"
      big
      label="Superfat"
      class="w-24"
      :min="-0.5"
      :max="0.9"
      :step="0.005"
      :model-value="document.superfat"
      @update:model-value="put(['superfat'], $event)"
    />
    <span v-if="differs" class="figure text-sm text-ink-2"
      ><b>{{ say.percent(result.superfat.total, 2) }}</b> in all.
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
    <RiskSpark v-if="result.oils > 0" class="ml-auto" :risk="risk" @open="showing = true" />
    <LazyLyeRiskDialog v-if="showing" v-model="showing" v-model:age="age" :risk="risk" :drawing />
  </section>
</template>
