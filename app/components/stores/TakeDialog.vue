<script setup lang="ts">
import type { StoredLot } from '#contracts/store'
import { isCounted } from '#core/stores/things'

/** Takes something out of a lot that no batch at the bench took. More than there is, is asked about. */
const { lot, name } = defineProps<{ lot: StoredLot; name: string }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ changed: [] }>()
const lots = useLots()
const batches = useBatches()
const { today, say } = storeToRefs(useWorkshop())
const kinds = [
  { is: 'drawn', says: 'Used' },
  { is: 'spilled', says: 'Spilled' },
  { is: 'thrown', says: 'Thrown away' },
  { is: 'back', says: 'Put back into it' },
] as const
const kind = ref<(typeof kinds)[number]['is']>('drawn')
const grams = ref<number | null>(null)
const note = ref('')
const batchId = ref('')
const problem = ref('')
/** g there are, once more than that was asked for. */
const there = ref<number | null>(null)
const id = newId()
const counted = computed(() => isCounted(lot.document.thing))
const recent = computed(() => batches.list.filter(({ facts }) => facts.pouredOn).slice(0, 30))
async function keep(sure = false) {
  if (!grams.value) return void (problem.value = 'Say how much.')
  const base = { id, lotId: lot.id, day: today.value, grams: grams.value, note: note.value }
  try {
    await lots.move(
      kind.value === 'drawn'
        ? { ...base, kind: 'drawn', batchId: batchId.value || null, sure }
        : { ...base, kind: kind.value },
    )
    emit('changed')
    open.value = false
  } catch (error) {
    const left = error instanceof ApiError ? error.body.there : undefined
    there.value = typeof left === 'number' ? left : null
    problem.value = sentenceOf(error)
  }
}
const gone = computed(() => kind.value !== 'back')
const tooMuch = computed(() => gone.value && (grams.value ?? 0) > lot.stock)
</script>

<template>
  <AppDialog v-model="open" :title="`Out of ${name}`">
    <div class="grid gap-3 px-5 py-4">
      <div class="flex flex-wrap gap-x-4 gap-y-1" role="radiogroup" aria-label="What became of it">
        <label v-for="one in kinds" :key="one.is" class="flex min-h-6 items-center gap-1.5">
          <input v-model="kind" type="radio" :value="one.is" />{{ one.says }}
        </label>
      </div>
      <FieldRow :says="counted ? 'Pieces' : 'How much'">
        <NumberField
          v-model="grams"
          :kind="counted ? 'plain' : 'mass'"
          :label="counted ? 'Pieces' : 'How much'"
          :min="0"
        />
      </FieldRow>
      <p class="text-ink-2">
        There are {{ counted ? say.number(lot.stock) : say.amount(lot.stock) }} in it.
      </p>
      <FieldRow v-if="kind === 'drawn'" says="For a batch">
        <select v-model="batchId" class="field">
          <option value="">none</option>
          <option v-for="batch in recent" :key="batch.id" :value="batch.id">
            {{ batch.name }} {{ batch.number }}
          </option>
        </select>
      </FieldRow>
      <FieldRow says="Note"><input v-model="note" class="field" maxlength="300" /></FieldRow>
      <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    </div>
    <template #actions>
      <AppButton @click="open = false">Cancel</AppButton>
      <AppButton v-if="tooMuch && (there !== null || kind !== 'drawn')" @click="keep(true)"
        >Take it all the same</AppButton
      >
      <AppButton v-else kind="main" @click="keep()">Write it down</AppButton>
    </template>
  </AppDialog>
</template>
