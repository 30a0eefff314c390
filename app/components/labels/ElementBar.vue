<script setup lang="ts">
import type { LabelElement } from '#contracts/label'
import { Trash2 } from '@lucide/vue'
import type { LabelEditing } from '~/composables/useLabelDesign'

/** What can be said of one element of a label: its words, type, place and colour. */
const {
  editing,
  element,
  designId = '',
} = defineProps<{
  editing: LabelEditing
  element: LabelElement
  designId?: string
}>()
const emit = defineEmits<{ remove: [] }>()
const hasType = computed(() => !['qr', 'barcode', 'logo', 'wave'].includes(element.part))
const isRound = computed(() => editing.design.value?.form === 'round')
const change = (changes: Partial<LabelElement>, tag = '') =>
  editing.change(element.id, changes, tag)
const figures = [
  { key: 'x', says: 'From the left' },
  { key: 'y', says: 'From the top' },
  { key: 'width', says: 'Wide' },
  { key: 'height', says: 'High' },
] as const
const problem = ref('')
/** A logo is kept as it is: what is see-through stays so. */
async function pick(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  problem.value = ''
  if (!['image/png', 'image/jpeg'].includes(file.type)) {
    problem.value = 'A logo is a PNG or a JPEG picture.'
    return
  }
  try {
    const id = newId()
    await editing.flush()
    await api.file(`/api/designs/${designId}/photos/${id}`, file)
    change({ picture: id })
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
</script>

<template>
  <div class="mt-1 grid gap-2 rounded-md border border-line-3 bg-sheet px-3 py-2">
    <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
      <b class="text-[14px]">{{ partName(element.part) }}</b>
      <label
        v-if="element.part !== 'wave' && element.part !== 'logo'"
        class="flex min-w-52 flex-1 items-center gap-2"
      >
        <span class="text-[13px] text-ink-2">{{
          element.part === 'text' || element.part === 'barcode' ? 'Says' : 'Other words'
        }}</span>
        <input
          class="field flex-1"
          maxlength="400"
          :value="element.text"
          :placeholder="element.part === 'barcode' ? 'What the bars say' : 'as the batch says'"
          @input="change({ text: ($event.target as HTMLInputElement).value }, 'text')"
        />
      </label>
      <label v-if="element.part === 'logo'" class="link cursor-pointer focus-within:outline-2">
        {{ element.picture ? 'Another picture' : 'Choose a picture' }}
        <input type="file" accept="image/png,image/jpeg" class="sr-only" @change="pick" />
      </label>
      <button
        type="button"
        class="ml-auto flex size-8 items-center justify-center text-stop"
        :aria-label="`Take ${partName(element.part)} off the label`"
        @click="emit('remove')"
      >
        <Trash2 :size="16" />
      </button>
    </div>
    <div class="flex flex-wrap items-end gap-x-3 gap-y-2 text-[13px]">
      <LabelledNumber
        v-if="hasType"
        says="Type, mm"
        label="Height of an x, mm"
        width="w-20"
        :decimals="1"
        :step="0.1"
        :min="0.7"
        :max="40"
        :model-value="element.size"
        @update:model-value="(size) => size !== null && change({ size }, 'type')"
      />
      <LabelledNumber
        v-for="one in figures"
        :key="one.key"
        :says="one.says"
        width="w-20"
        :decimals="1"
        :step="0.5"
        :min="one.key === 'width' || one.key === 'height' ? 1 : -10"
        :max="400"
        :model-value="element[one.key]"
        @update:model-value="(value) => value !== null && change({ [one.key]: value }, one.key)"
      />
      <template v-if="hasType">
        <OneOf
          label="Where its lines stand"
          :options="[
            { is: 'left', says: 'Left' },
            { is: 'center', says: 'Middle' },
            { is: 'right', says: 'Right' },
          ]"
          :model-value="element.align"
          @update:model-value="(align) => change({ align })"
        />
        <OneOf
          v-if="isRound"
          label="Along the edge"
          :options="[
            { is: 'no', says: 'Straight' },
            { is: 'over', says: 'Over' },
            { is: 'under', says: 'Under' },
          ]"
          :model-value="element.bent"
          @update:model-value="(bent) => change({ bent })"
        />
        <label class="flex min-h-9 items-center gap-2 font-semibold"
          ><input
            type="checkbox"
            :checked="element.bold"
            @change="change({ bold: ($event.target as HTMLInputElement).checked })"
          />
          Bold</label
        >
      </template>
      <label v-if="hasType || element.part === 'wave'" class="grid gap-1 font-semibold"
        >Colour<input
          type="color"
          class="h-9 w-12"
          :value="element.colour"
          @input="change({ colour: ($event.target as HTMLInputElement).value }, 'colour')"
      /></label>
    </div>
    <p v-if="problem" role="alert" class="text-stop">{{ problem }}</p>
  </div>
</template>
