<script setup lang="ts">
import type { Lot, StoredLot } from '#contracts/store'
import { heldWhys } from '#contracts/storeWords'
import { heldNames } from '~/utils/storeWords'

/** Holds a lot, so that nothing is drawn from it, or lets it go again. */
const { lot } = defineProps<{ lot: StoredLot }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ changed: [] }>()
const lots = useLots()
const { today } = storeToRefs(useWorkshop())
const why = ref<NonNullable<Lot['held']>['why']>(lot.document.held?.why ?? 'recalled')
const note = ref(lot.document.held?.note ?? '')
const problem = ref('')
async function keep(held: Lot['held']) {
  try {
    await lots.save(lot.id, lot.revision, { ...plain(lot.document), held })
    emit('changed')
    open.value = false
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
</script>

<template>
  <AppDialog v-model="open" :title="lot.document.held ? 'It is held' : `Hold ${lot.document.code}`">
    <div class="grid gap-3 px-5 py-4">
      <p class="text-ink-2">
        Nothing is drawn from a lot that is held, and the bench does not take it. What it is in
        already stays as it is: look at who has it.
      </p>
      <div class="grid gap-1" role="radiogroup" aria-label="Why">
        <label v-for="one in heldWhys" :key="one" class="flex min-h-6 items-center gap-1.5">
          <input v-model="why" type="radio" :value="one" />{{ heldNames[one] }}
        </label>
      </div>
      <FieldRow says="Note"><input v-model="note" class="field" maxlength="300" /></FieldRow>
      <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    </div>
    <template #actions>
      <AppButton @click="open = false">Cancel</AppButton>
      <AppButton v-if="lot.document.held" @click="keep(null)">Release it</AppButton>
      <AppButton kind="main" @click="keep({ why, note, since: lot.document.held?.since ?? today })"
        >Hold it</AppButton
      >
    </template>
  </AppDialog>
</template>
