<script setup lang="ts">
/** What the lye is made of: dry flakes or a ready-mixed solution, soda alone or with potash. */
const { document, put, change } = useFormulaEditor()
const open = defineModel<boolean>({ required: true })
const { say } = storeToRefs(useWorkshop())
const alkali = computed(() => document.value.alkali)
function setIce(share: number | null) {
  if (share !== null) change({ ...document.value, iceShare: share, iceGrams: undefined })
}
function set(path: string[], value: number | null) {
  if (value !== null) put(path, value)
}
</script>

<template>
  <AppDialog v-model="open" title="Lye" live>
    <div class="grid gap-4 px-5 py-4">
      <LabelledNumber
        says="Sodium hydroxide is this pure"
        label="Purity of NaOH"
        kind="percent"
        :min="0.8"
        :max="1"
        :step="0.005"
        :model-value="alkali.naohPurity"
        @update:model-value="set(['alkali', 'naohPurity'], $event)"
      />
      <label class="flex items-center gap-2 font-semibold">
        <input
          type="checkbox"
          :checked="alkali.solutionStrength !== null"
          @change="
            put(['alkali', 'solutionStrength'], alkali.solutionStrength === null ? 0.5 : null)
          "
        />
        It is a ready-mixed solution
      </label>
      <div v-if="alkali.solutionStrength !== null" class="pl-6">
        <LabelledNumber
          says="Pure NaOH in it"
          label="Pure NaOH in the solution"
          kind="percent"
          :min="0.1"
          :max="0.55"
          :model-value="alkali.solutionStrength"
          @update:model-value="set(['alkali', 'solutionStrength'], $event)"
        />
        <p class="mt-1 text-ink-2">
          One part 98 % flakes in one part water is 49.5 %. It crystallises below about
          {{ say.temperature(12) }}, and warms the pot by some {{ say.degreesApart(30) }} when water
          or milk joins it.
        </p>
      </div>
      <LabelledNumber
        says="Potash takes this share of the alkali"
        label="Share of potash"
        kind="percent"
        :min="0"
        :max="1"
        :model-value="alkali.kohShare"
        @update:model-value="set(['alkali', 'kohShare'], $event)"
      />
      <div v-if="alkali.kohShare > 0" class="pl-6">
        <LabelledNumber
          says="Potassium hydroxide is this pure"
          label="Purity of KOH"
          kind="percent"
          :min="0.8"
          :max="1"
          :model-value="alkali.kohPurity"
          @update:model-value="set(['alkali', 'kohPurity'], $event)"
        />
        <p class="mt-1 text-ink-2">Weighed dry. It makes a softer bar.</p>
      </div>
      <LabelledNumber
        says="Ice, as a share of the water in the lye"
        label="Share of ice"
        kind="percent"
        :min="0"
        :max="1"
        :model-value="document.iceShare"
        @update:model-value="setIce($event)"
      />
      <p v-if="document.iceGrams != null" class="text-ink-2">
        Now {{ say.mass(document.iceGrams) }} of ice are held, as typed.
      </p>
    </div>
    <template #actions><AppButton kind="main" @click="open = false">Done</AppButton></template>
  </AppDialog>
</template>
