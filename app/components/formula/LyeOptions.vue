<script setup lang="ts">
/** What the lye is made of: dry flakes or a ready-mixed solution, soda alone or with potash. */
const { document, put } = useFormulaEditor()
const open = defineModel<boolean>({ required: true })
const alkali = computed(() => document.value.alkali)
</script>

<template>
  <AppDialog v-model="open" title="Lye">
    <div class="grid gap-4 px-5 py-4">
      <label class="flex items-center gap-3 font-semibold">
        Sodium hydroxide is
        <NumberField
          kind="percent"
          label="Purity of NaOH"
          class="w-24"
          :min="0.8"
          :max="1"
          :step="0.005"
          :model-value="alkali.naohPurity"
          @update:model-value="$event !== null && put(['alkali', 'naohPurity'], $event)"
        />
        pure
      </label>
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
      <label v-if="alkali.solutionStrength !== null" class="flex items-center gap-3 pl-6">
        with
        <NumberField
          kind="percent"
          label="Pure NaOH in the solution"
          class="w-24"
          :min="0.1"
          :max="0.55"
          :model-value="alkali.solutionStrength"
          @update:model-value="$event !== null && put(['alkali', 'solutionStrength'], $event)"
        />
        pure NaOH. One part 98 % flakes in one part water is 49.5 %.
      </label>
      <label class="flex items-center gap-3 font-semibold">
        Potash takes
        <NumberField
          kind="percent"
          label="Share of potash"
          class="w-24"
          :min="0"
          :max="1"
          :model-value="alkali.kohShare"
          @update:model-value="$event !== null && put(['alkali', 'kohShare'], $event)"
        />
        of the alkali
      </label>
      <label v-if="alkali.kohShare > 0" class="flex items-center gap-3 pl-6">
        and is
        <NumberField
          kind="percent"
          label="Purity of KOH"
          class="w-24"
          :min="0.8"
          :max="1"
          :model-value="alkali.kohPurity"
          @update:model-value="$event !== null && put(['alkali', 'kohPurity'], $event)"
        />
        pure, weighed dry. It makes a softer bar.
      </label>
      <label class="flex items-center gap-3 font-semibold">
        Ice is
        <NumberField
          kind="percent"
          label="Share of ice"
          class="w-24"
          :min="0"
          :max="1"
          :model-value="document.iceShare"
          @update:model-value="$event !== null && put(['iceShare'], $event)"
        />
        of the water in the lye
      </label>
    </div>
    <template #actions><AppButton kind="main" @click="open = false">Done</AppButton></template>
  </AppDialog>
</template>
