<script setup lang="ts">
import type { LabelEditing } from '~/composables/useLabelDesign'

/** The paper of a design: what it is called, how large it is, where it is folded. */
const { editing } = defineProps<{ editing: LabelEditing }>()
const renaming = computed({
  get: () => editing.design.value?.name ?? '',
  set: (name) =>
    editing.design.value && name.trim() && editing.set({ ...editing.design.value, name }, 'name'),
})
const sized = computed(() =>
  editing.design.value?.form === 'round' ? (['width'] as const) : (['width', 'height'] as const),
)
function resize(key: 'width' | 'height', value: number | null) {
  const design = editing.design.value
  if (!design || value === null) return
  editing.set(
    design.form === 'round'
      ? { ...design, width: value, height: value }
      : { ...design, [key]: value },
    key,
  )
}
const foldsText = computed({
  get: () => editing.design.value?.folds.join(' ') ?? '',
  set: (text) => {
    const design = editing.design.value
    const folds = text
      .split(/[\s,;]+/)
      .map(Number)
      .filter((mm) => mm > 0 && mm < (design?.width ?? 0))
    if (design) editing.set({ ...design, folds: folds.slice(0, 8) }, 'folds')
  },
})
</script>

<template>
  <details>
    <summary class="link cursor-pointer pt-1">Its paper</summary>
    <div class="mt-2 flex flex-wrap items-end gap-3">
      <FieldRow says="Called"
        ><input v-model.lazy="renaming" class="field !w-44 font-normal" maxlength="60"
      /></FieldRow>
      <LabelledNumber
        v-for="key in sized"
        :key="key"
        :says="key === 'height' ? 'High, mm' : sized.length > 1 ? 'Wide, mm' : 'Across, mm'"
        width="w-24"
        :decimals="1"
        :min="10"
        :max="400"
        :model-value="editing.design.value![key]"
        @update:model-value="(value) => resize(key, value)"
      />
      <FieldRow v-if="editing.design.value!.form === 'band'" says="Folds from the left, mm"
        ><input v-model.lazy="foldsText" class="field !w-44 font-normal"
      /></FieldRow>
    </div>
  </details>
</template>
