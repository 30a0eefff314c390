<script setup lang="ts">
import type { Stored } from '#contracts/document'
import type { Fault } from '#contracts/faults'
import type { Scent } from '#contracts/scent'
import { capUses, scentKinds, type CapUse } from '#contracts/trialWords'
import { capUseNames, scentKindNames } from '~/utils/scentWords'

/** What is written on a scent's bottle and sheet, and what its supplier says of it. */
const { start } = defineProps<{ start: Stored<Scent> | null }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ kept: [id: string] }>()
const scents = useScents()
const suppliers = useSuppliers()
const toasts = useToasts()
const { say, settings } = storeToRefs(useWorkshop())
const maker = useScentMaker()

const draft = ref<Scent>(start ? structuredClone(toRaw(start.document)) : maker.blank())
const supplier = ref(
  suppliers.list.find(({ id }) => id === draft.value.supplierId)?.document.name ?? '',
)
const allergens = ref(allergensText(draft.value.allergens, say.value))
const smells = ref(say.value.list(draft.value.smells))
const unit = computed(() => minorUnits(settings.value.currency))
const price = computed({
  get: () => (draft.value.price === null ? null : draft.value.price / unit.value),
  set: (value) => (draft.value.price = value === null ? null : Math.round(value * unit.value)),
})
const maximum = (use: CapUse) => draft.value.maxima[use] ?? null
function setMaximum(use: CapUse, share: number | null) {
  const { [use]: _, ...others } = draft.value.maxima
  draft.value.maxima = share === null ? others : { ...others, [use]: share }
}
const sampleOf = (key: 'of' | 'left') => draft.value.sample?.[key] ?? null
function setSample(key: 'of' | 'left', grams: number | null) {
  const now = draft.value.sample ?? { of: 0, left: 0 }
  const next = { ...now, [key]: grams ?? 0 }
  draft.value.sample = next.of || next.left ? next : null
}
const others = computed(() =>
  scents.list.filter(({ id, document }) => id !== start?.id && !document.parts.length),
)
const faults = ref<Fault[]>([])
const words = (text: string) =>
  text
    .split(',')
    .map((word) => word.trim())
    .filter(Boolean)

const ownId = newId()
async function done() {
  faults.value = []
  try {
    const document: Scent = {
      ...draft.value,
      name: draft.value.name.trim(),
      code: draft.value.code?.trim().toUpperCase() || null,
      drawer: draft.value.drawer?.trim().toUpperCase() || null,
      sheetOn: draft.value.sheetOn || null,
      supplierId: await maker.supplierId(supplier.value),
      allergens: readAllergens(allergens.value),
      smells: words(smells.value),
      parts: draft.value.kind === 'blend' ? draft.value.parts : [],
    }
    const kept = await scents.save(start?.id ?? ownId, start?.revision ?? 0, document)
    toasts.show(`${document.name} is kept.`, {
      undo: async () => {
        if (start) await scents.save(start.id, kept.revision, start.document)
        else await scents.remove(kept)
      },
    })
    open.value = false
    emit('kept', kept.id)
  } catch (error) {
    faults.value =
      error instanceof ApiError && error.faults.length
        ? error.faults
        : [{ path: '', says: sentenceOf(error) }]
  }
}
</script>

<template>
  <AppDialog v-model="open" wide :title="start ? start.document.name : 'A scent to write down'">
    <form class="grid max-h-[74vh] gap-4 overflow-y-auto px-5 py-4" @submit.prevent="done">
      <div class="flex flex-wrap gap-4">
        <FieldRow says="Name" class="min-w-52 flex-1">
          <input v-model="draft.name" class="field font-normal" maxlength="80" />
        </FieldRow>
        <FieldRow says="What it is">
          <select v-model="draft.kind" class="field font-normal">
            <option v-for="kind in scentKinds" :key="kind" :value="kind">
              {{ scentKindNames[kind] }}
            </option>
          </select>
        </FieldRow>
        <FieldRow says="From" class="min-w-44">
          <input
            v-model="supplier"
            class="field font-normal"
            maxlength="80"
            list="scent-suppliers"
          />
          <datalist id="scent-suppliers">
            <option v-for="one in suppliers.list" :key="one.id" :value="one.document.name" />
          </datalist>
        </FieldRow>
      </div>
      <div class="flex flex-wrap items-end gap-4">
        <FieldRow says="Scratched into its lid">
          <input
            v-model="draft.code"
            class="figure field w-24 uppercase underline"
            maxlength="3"
            autocapitalize="characters"
          />
        </FieldRow>
        <FieldRow says="Lies in the drawer at">
          <input v-model="draft.drawer" class="figure field w-24 uppercase" maxlength="3" />
        </FieldRow>
        <LabelledNumber
          says="Bought"
          kind="mass"
          :min="0"
          :model-value="sampleOf('of')"
          @update:model-value="setSample('of', $event)"
        />
        <LabelledNumber
          says="Left"
          kind="mass"
          :min="0"
          :model-value="sampleOf('left')"
          @update:model-value="setSample('left', $event)"
        />
        <LabelledNumber
          v-model="price"
          says="Price of 100 g"
          :unit="settings.currency"
          :min="0"
          :decimals="2"
        />
        <FieldRow says="Its colour here">
          <input v-model="draft.colour" type="color" class="h-9 w-14" />
        </FieldRow>
      </div>
      <fieldset v-if="draft.kind === 'blend'" class="grid gap-2">
        <legend class="font-semibold">Mixed from, by parts</legend>
        <div v-for="(part, at) in draft.parts" :key="at" class="flex items-center gap-2">
          <select v-model="part.scentId" class="field !w-56" :aria-label="`Part ${at + 1}`">
            <option v-for="one in others" :key="one.id" :value="one.id">
              {{ one.document.name }}
            </option>
          </select>
          <NumberField
            :model-value="part.parts"
            :label="`Parts of part ${at + 1}`"
            :min="0.001"
            class="w-24"
            @update:model-value="part.parts = $event ?? 1"
          />
          <button type="button" class="link" @click="draft.parts.splice(at, 1)">Take out</button>
        </div>
        <div>
          <AppButton
            :disabled="!others.length"
            @click="draft.parts.push({ scentId: others[0]!.id, parts: 1 })"
            >Another part</AppButton
          >
        </div>
        <p class="text-ink-2">
          How much of it may go in, and how it behaves, is worked out from its parts until it is
          tried itself.
        </p>
      </fieldset>
      <fieldset>
        <legend class="font-semibold">The most of it in the finished bar, by its sheet</legend>
        <div class="mt-1 flex flex-wrap items-end gap-4">
          <LabelledNumber
            v-for="use in capUses"
            :key="use"
            :says="capUseNames[use]"
            kind="percent"
            width="w-24"
            :min="0"
            :max="1"
            :model-value="maximum(use)"
            @update:model-value="setMaximum(use, $event)"
          />
          <FieldRow says="Sheet of">
            <input v-model="draft.sheetOn" type="date" class="field font-normal" />
          </FieldRow>
        </div>
      </fieldset>
      <div class="flex flex-wrap items-end gap-4">
        <LabelledNumber v-model="draft.density" says="Density" unit="g/ml" :min="0.5" :max="1.6" />
        <LabelledNumber
          v-model="draft.flashC"
          says="Flash point"
          unit="°C"
          :min="-20"
          :max="300"
          :decimals="0"
        />
        <LabelledNumber
          v-model="draft.vanillin"
          says="Vanillin in it"
          kind="percent"
          :min="0"
          :max="1"
        />
        <FieldRow says="Allergens a label names" class="min-w-56 flex-1">
          <input
            v-model="allergens"
            class="field font-normal"
            placeholder="Linalool 1.2 %, Citronellol"
          />
        </FieldRow>
      </div>
      <fieldset>
        <legend class="font-semibold">What its supplier says</legend>
        <div class="mt-1 flex flex-wrap gap-4">
          <FieldRow says="In the batter it">
            <select v-model="draft.claims.pace" class="field font-normal">
              <option :value="null">says nothing</option>
              <option value="behaves">behaves</option>
              <option value="hurries">hurries</option>
              <option value="slows">slows</option>
            </select>
          </FieldRow>
          <FieldRow says="The bar">
            <select v-model="draft.claims.colour" class="field font-normal">
              <option :value="null">says nothing</option>
              <option value="pale">stays pale</option>
              <option value="browns">browns</option>
            </select>
          </FieldRow>
          <FieldRow says="In the cured bar it">
            <select v-model="draft.claims.keeps" class="field font-normal">
              <option :value="null">says nothing</option>
              <option :value="true">keeps</option>
              <option :value="false">fades</option>
            </select>
          </FieldRow>
          <FieldRow says="It smells of" class="min-w-56 flex-1">
            <input v-model="smells" class="field font-normal" placeholder="fir, smoke" />
          </FieldRow>
        </div>
      </fieldset>
      <FieldRow says="Note">
        <textarea v-model="draft.note" class="field font-normal" rows="2" maxlength="2000" />
      </FieldRow>
      <ul v-if="faults.length" role="alert" class="font-semibold text-stop">
        <li v-for="fault in faults" :key="fault.path + fault.says">{{ fault.says }}</li>
      </ul>
      <div class="flex justify-end gap-3">
        <AppButton @click="open = false">Cancel</AppButton>
        <AppButton kind="main" type="submit">Keep it</AppButton>
      </div>
    </form>
  </AppDialog>
</template>
