<script setup lang="ts">
import type { OwnFat } from '#contracts/material'
import { fatOrigins } from '#contracts/words'
import { fattyAcidNames, saponificationValueOf } from '#core/chemistry/fattyAcids'
import { sum } from '#core/statistics/sum'
import { roundTo } from '#core/statistics/roundTo'

/** The values of a fat. */
defineProps<{ shipped: boolean }>()
const fat = defineModel<OwnFat>({ required: true })
const { say } = storeToRefs(useWorkshop())

/** What the fatty acids say the value should be, to hold a typed value against. */
const implied = computed(() => {
  const { chemistry, profile, unsaponifiables, sap } = fat.value
  if (chemistry === 'wax-ester' || chemistry === 'rosin') return null
  const named = sum(Object.values(profile))
  if (named < 0.6) return null
  const value = saponificationValueOf(profile, unsaponifiables, chemistry)
  return { value, off: sap.typical / value - 1 }
})
function setValue(value: number | null) {
  if (value === null) return
  const { sap } = fat.value
  fat.value.sap = {
    low: Math.min(sap.low, value),
    typical: value,
    high: Math.max(sap.high, value),
  }
}
/** A lot that was measured does not wander over the range of the printed tables. */
function narrow() {
  const { typical } = fat.value.sap
  fat.value.sap = { low: roundTo(typical * 0.995, 1), typical, high: roundTo(typical * 1.005, 1) }
}
function setAcid(acid: (typeof fattyAcidNames)[number], share: number | null) {
  const { [acid]: _, ...profile } = fat.value.profile
  fat.value.profile = share ? { ...profile, [acid]: share } : profile
}
</script>

<template>
  <div class="grid gap-4">
    <fieldset class="flex flex-wrap items-end gap-4">
      <legend class="mb-1 font-semibold">Saponification value, mg KOH per g</legend>
      <LabelledNumber
        says="Usual"
        :model-value="fat.sap.typical"
        :min="0"
        :max="400"
        :decimals="1"
        @update:model-value="setValue"
      />
      <LabelledNumber
        says="Lowest"
        :model-value="fat.sap.low"
        :min="0"
        :max="400"
        :decimals="1"
        @update:model-value="$event !== null && (fat.sap.low = $event)"
      />
      <LabelledNumber
        says="Highest"
        :model-value="fat.sap.high"
        :min="0"
        :max="400"
        :decimals="1"
        @update:model-value="$event !== null && (fat.sap.high = $event)"
      />
      <AppButton @click="narrow">Measured lot: ± 0.5 %</AppButton>
    </fieldset>
    <p v-if="implied && Math.abs(implied.off) > 0.03" class="font-semibold text-warn">
      The fatty acids below imply {{ say.number(implied.value, 1) }}; the value differs by
      {{ say.percent(Math.abs(implied.off), 1) }}. One of the two is not of this fat.
    </p>
    <p v-else-if="implied" class="text-ink-2">
      The fatty acids below imply {{ say.number(implied.value, 1) }}: they agree.
    </p>
    <div class="flex flex-wrap gap-4">
      <LabelledNumber
        v-model="fat.unsaponifiables"
        says="Takes no lye"
        kind="percent"
        :min="0"
        :max="1"
      />
      <LabelledNumber
        v-model="fat.density"
        says="Density, melted"
        unit="g/ml"
        :min="0.7"
        :max="1.3"
      />
      <FieldRow says="At 20 °C">
        <select v-model="fat.stateAt20" class="field font-normal">
          <option v-for="state in ['liquid', 'soft', 'hard']" :key="state">{{ state }}</option>
        </select>
      </FieldRow>
      <LabelledNumber
        v-model="fat.softens"
        says="Softens at"
        unit="°C"
        :decimals="0"
        :min="-30"
        :max="120"
      />
      <label v-if="!shipped" class="grid content-start gap-1 font-semibold">
        Kind
        <select v-model="fat.chemistry" class="field font-normal">
          <option value="triglyceride">oil or butter</option>
          <option value="free-acid">free fatty acid</option>
          <option value="wax-ester">wax</option>
          <option value="rosin">resin</option>
        </select>
      </label>
      <FieldRow says="On a label" class="min-w-56 flex-1">
        <input v-model="fat.inci" class="field font-normal" maxlength="200" />
      </FieldRow>
    </div>
    <fieldset class="flex flex-wrap gap-x-4 gap-y-1">
      <legend class="mb-1 font-semibold">It comes from</legend>
      <label v-for="from in fatOrigins" :key="from" class="flex items-center gap-1.5">
        <input v-model="fat.origin" type="checkbox" :value="from" /> {{ originNames[from] }}
      </label>
    </fieldset>
    <fieldset>
      <legend class="mb-1 font-semibold">Fatty acids</legend>
      <div class="grid grid-cols-2 gap-x-4 gap-y-1.5 sm:grid-cols-4">
        <label
          v-for="acid in fattyAcidNames"
          :key="acid"
          class="flex items-center justify-between gap-2"
        >
          {{ acid }}
          <NumberField
            kind="percent"
            class="w-20"
            :label="acid"
            :decimals="1"
            :min="0"
            :max="1"
            :model-value="fat.profile[acid] ?? null"
            @update:model-value="setAcid(acid, $event)"
          />
        </label>
      </div>
    </fieldset>
  </div>
</template>
