<script setup lang="ts">
import type { Stored } from '#contracts/document'
import type { Supplier } from '#contracts/supplier'

/** A supplier: the name, and how they try their scents before they say what they say. */
const { start } = defineProps<{ start: Stored<Supplier> }>()
const open = defineModel<boolean>({ required: true })
const suppliers = useSuppliers()
const toasts = useToasts()
const draft = ref<Supplier>(structuredClone(toRaw(start.document)))
const fault = ref('')
async function done() {
  try {
    const kept = await suppliers.save(start.id, start.revision, {
      ...draft.value,
      name: draft.value.name.trim(),
    })
    toasts.show(`${kept.document.name} is kept.`, {
      undo: async () => void (await suppliers.save(start.id, kept.revision, start.document)),
    })
    open.value = false
  } catch (error) {
    fault.value = sentenceOf(error)
  }
}
</script>

<template>
  <AppDialog v-model="open" :title="start.document.name">
    <form class="grid gap-4 px-5 py-4" @submit.prevent="done">
      <FieldRow says="Name">
        <input v-model="draft.name" class="field font-normal" maxlength="80" />
      </FieldRow>
      <fieldset>
        <legend class="font-semibold">How they try a scent</legend>
        <div class="mt-1 flex flex-wrap gap-4">
          <LabelledNumber
            v-model="draft.tested.rate"
            says="Scent"
            kind="percent"
            :min="0"
            :max="0.2"
          />
          <LabelledNumber
            v-model="draft.tested.ratio"
            says="Water"
            kind="ratio"
            :min="0.8"
            :max="6"
          />
          <LabelledNumber
            v-model="draft.tested.celsius"
            says="In at"
            unit="°C"
            :min="0"
            :max="90"
            :decimals="0"
          />
          <FieldRow says="Batter" class="min-w-52 flex-1">
            <input v-model="draft.tested.batter" class="field font-normal" maxlength="200" />
          </FieldRow>
        </div>
      </fieldset>
      <FieldRow says="Note">
        <textarea v-model="draft.note" class="field font-normal" rows="3" maxlength="2000" />
      </FieldRow>
      <p v-if="fault" role="alert" class="font-semibold text-stop">{{ fault }}</p>
      <div class="flex justify-end gap-3">
        <AppButton @click="open = false">Cancel</AppButton>
        <AppButton kind="main" type="submit">Keep it</AppButton>
      </div>
    </form>
  </AppDialog>
</template>
