<script setup lang="ts">
import type { Lot, StoredLot } from '#contracts/store'
import { vesselForms } from '#contracts/storeWords'
import { thingIn } from '#core/stores/things'
import { vesselNames } from '~/utils/storeWords'

/** What a lot is: its number, its days, its price, where it stands in what, and what its paper says. */
const { lot } = defineProps<{ lot: StoredLot }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ changed: [] }>()
const lots = useLots()
const suppliers = useSuppliers()
const materials = useMaterials()
const { say } = storeToRefs(useWorkshop())
const draft = ref<Lot>(plain(lot.document))
const thing = computed(() => thingIn(materials.library, lot.document.thing))
const problem = ref('')
const dialog = ref<{ kept: () => void }>()
const paper = computed({
  get: () =>
    draft.value.certificate ?? {
      number: '',
      sap: null,
      purity: null,
      peroxide: null,
      freeAcid: null,
      melts: null,
    },
  set: (value) => (draft.value.certificate = value),
})
const setPaper = (changes: Partial<NonNullable<Lot['certificate']>>) => {
  const next = { ...paper.value, ...changes }
  const says = Object.values(next).some((value) => value !== null && value !== '')
  draft.value.certificate = says ? next : null
}
const isFat = computed(() => ['fat', 'blend'].includes(thing.value.kind))
const day = (key: 'openedOn' | 'bestBefore') =>
  computed({
    get: () => draft.value[key] ?? '',
    set: (value: string) => (draft.value[key] = value || null),
  })
const opened = day('openedOn')
const best = day('bestBefore')
/** What somebody has read off a certificate and cannot be. */
const oddSap = computed(() => {
  const { sap } = paper.value
  const known = materials.library.fats.get(lot.document.thing)?.sap
  if (!sap || !known) return ''
  return sap < known.low * 0.97 || sap > known.high * 1.03
    ? `Usual for it is ${say.value.number(known.low)} to ${say.value.number(known.high)}: read it once more.`
    : ''
})
async function keep() {
  try {
    await lots.save(lot.id, lot.revision, plain(draft.value))
    dialog.value?.kept()
    emit('changed')
    open.value = false
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
</script>

<template>
  <AppDialog ref="dialog" v-model="open" wide :title="`${thing.name}, ${lot.document.code}`">
    <div class="grid gap-x-6 gap-y-3 px-5 py-4 sm:grid-cols-2">
      <FieldRow says="Called on the shelf"
        ><input v-model="draft.code" class="field" maxlength="40"
      /></FieldRow>
      <FieldRow says="From">
        <select v-model="draft.supplierId" class="field">
          <option :value="null">nobody said</option>
          <option v-for="one in suppliers.list" :key="one.id" :value="one.id">
            {{ one.document.name }}
          </option>
        </select>
      </FieldRow>
      <FieldRow says="Came on"><input v-model="draft.cameOn" type="date" class="field" /></FieldRow>
      <FieldRow says="Best before"><input v-model="best" type="date" class="field" /></FieldRow>
      <FieldRow says="Opened on"><input v-model="opened" type="date" class="field" /></FieldRow>
      <FieldRow says="Came, in all">
        <NumberField
          :kind="thing.kind === 'goods' ? 'plain' : 'mass'"
          label="Came, in all"
          :min="0.001"
          :model-value="draft.amount"
          @update:model-value="(value) => value && (draft.amount = value)"
        />
      </FieldRow>
      <FieldRow says="Price of all"
        ><MoneyField v-model="draft.price" label="Price of all"
      /></FieldRow>
      <FieldRow says="Its share of the way"
        ><MoneyField
          label="Its share of the way"
          :model-value="draft.shipping"
          @update:model-value="(cost) => (draft.shipping = cost ?? 0)"
      /></FieldRow>
      <FieldRow says="Stands in">
        <span class="flex gap-2">
          <select v-model="draft.vessel.form" class="field" aria-label="Kind of vessel">
            <option v-for="form in vesselForms" :key="form" :value="form">
              {{ vesselNames[form] }}
            </option>
          </select>
          <input
            v-model="draft.vessel.name"
            class="field"
            maxlength="40"
            placeholder="bucket 7"
            aria-label="Its name or number"
          />
        </span>
      </FieldRow>
      <FieldRow says="Weighs empty"
        ><NumberField v-model="draft.vessel.tare" kind="mass" label="Weighs empty" :min="0"
      /></FieldRow>
      <FieldRow says="Place"
        ><input v-model="draft.place" class="field" maxlength="40" placeholder="Floor"
      /></FieldRow>
      <FieldRow says="Note"><input v-model="draft.note" class="field" maxlength="2000" /></FieldRow>
      <fieldset class="contents">
        <legend class="col-span-full mt-1 font-semibold">What its paper says</legend>
        <FieldRow says="Number"
          ><input
            class="field"
            maxlength="80"
            :value="paper.number"
            @input="setPaper({ number: ($event.target as HTMLInputElement).value })"
        /></FieldRow>
        <FieldRow v-if="isFat" says="Saponification value">
          <NumberField
            label="Saponification value"
            unit="mg KOH/g"
            :decimals="1"
            :model-value="paper.sap"
            @update:model-value="(sap) => setPaper({ sap })"
          />
        </FieldRow>
        <p v-if="oddSap" class="col-span-full font-semibold text-warn">{{ oddSap }}</p>
        <FieldRow v-if="thing.caustic" says="Purity">
          <NumberField
            kind="percent"
            label="Purity"
            :model-value="paper.purity"
            @update:model-value="(purity) => setPaper({ purity })"
          />
        </FieldRow>
        <template v-if="isFat">
          <FieldRow says="Peroxide value">
            <NumberField
              label="Peroxide value"
              unit="meq/kg"
              :decimals="1"
              :model-value="paper.peroxide"
              @update:model-value="(peroxide) => setPaper({ peroxide })"
            />
          </FieldRow>
          <FieldRow says="Free fatty acids">
            <NumberField
              kind="percent"
              label="Free fatty acids"
              :model-value="paper.freeAcid"
              @update:model-value="(freeAcid) => setPaper({ freeAcid })"
            />
          </FieldRow>
          <FieldRow says="Melts at">
            <TemperatureField
              label="Melts at"
              :unknown="null"
              :model-value="paper.melts"
              @update:model-value="(melts) => setPaper({ melts })"
            />
          </FieldRow>
        </template>
      </fieldset>
      <div data-live class="col-span-full">
        <PhotoField v-model="draft.photos" :of="`lots/${lot.id}`" />
      </div>
      <p v-if="problem" role="alert" class="col-span-full font-semibold text-stop">{{ problem }}</p>
    </div>
    <template #actions>
      <AppButton @click="open = false">Cancel</AppButton>
      <AppButton kind="main" @click="keep">Keep it</AppButton>
    </template>
  </AppDialog>
</template>
