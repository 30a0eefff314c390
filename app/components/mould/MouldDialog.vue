<script setup lang="ts">
import type { Stored } from '#contracts/document'
import type { Fault } from '#contracts/faults'
import type { WorkshopMould } from '#contracts/mould'
import { linerKinds, mouldMaterials } from '#contracts/words'
import { barsIn } from '#core/mould/bars'
import { mouldMillilitres } from '#core/mould/capacity'
import { linerNames, mouldRemark, stuffOf } from '#core/mould/stuff'
import { blankShapes, shapeFields, shapeNames } from '~/utils/mouldWords'

/** A mould of the workshop: measures, cuts, what it really takes, what it is made of. */
const { start } = defineProps<{ start: Stored<WorkshopMould> | null }>()
const open = defineModel<boolean>({ required: true })
const moulds = useMoulds()
const toasts = useToasts()
const { say } = storeToRefs(useWorkshop())

const draft = ref<WorkshopMould>(
  start
    ? structuredClone(toRaw(start.document))
    : {
        name: '',
        mould: { ...blankShapes.box },
        cuts: { along: 10, across: 1 },
        trueMillilitres: null,
        owned: 1,
        material: 'silicone',
        liner: 'none',
        note: '',
      },
)
const faults = ref<Fault[]>([])
const shape = computed({
  get: () => draft.value.mould.shape,
  set: (value) => {
    draft.value.mould = { ...blankShapes[value] }
    draft.value.trueMillilitres = null
  },
})
const measure = (key: string) =>
  (draft.value.mould as unknown as Record<string, number>)[key] ?? null
function setMeasure(key: string, value: number | null) {
  if (value !== null) draft.value.mould = { ...draft.value.mould, [key]: value }
}
const byMeasures = computed(() => mouldMillilitres(draft.value.mould))
const bars = computed(() => barsIn(draft.value))
const remark = computed(() => mouldRemark(draft.value.material, draft.value.liner))

/** Of the mould that this dialog makes: pressed twice, it is made once. */
const ownId = newId()
async function done() {
  if (!draft.value.name.trim()) {
    faults.value = [{ path: 'document.name', says: 'Give it a name.' }]
    return
  }
  try {
    const kept = await moulds.save(start?.id ?? ownId, start?.revision ?? 0, draft.value)
    toasts.show(`${kept.document.name} is kept.`, {
      undo: async () => {
        if (start) await moulds.save(start.id, kept.revision, start.document)
        else await moulds.remove(kept)
      },
    })
    open.value = false
  } catch (error) {
    faults.value = error instanceof ApiError ? error.faults : []
  }
}
</script>

<template>
  <AppDialog v-model="open" wide :title="start ? start.document.name : 'A new mould'">
    <form class="grid max-h-[70vh] gap-4 overflow-y-auto px-5 py-4" @submit.prevent="done">
      <div class="flex flex-wrap gap-4">
        <FieldRow says="Name" class="min-w-52 flex-1">
          <input v-model="draft.name" class="field font-normal" maxlength="80" />
        </FieldRow>
        <FieldRow says="Shape">
          <select v-model="shape" class="field font-normal">
            <option v-for="(says, id) in shapeNames" :key="id" :value="id">{{ says }}</option>
          </select>
        </FieldRow>
        <LabelledNumber
          says="How many there are"
          width="w-20"
          :decimals="0"
          :min="1"
          :max="500"
          :model-value="draft.owned"
          @update:model-value="$event !== null && (draft.owned = $event)"
        />
      </div>
      <div class="flex flex-wrap gap-4">
        <LabelledNumber
          v-for="field in shapeFields[shape]"
          :key="field.key"
          :says="field.says"
          :unit="field.unit"
          :decimals="0"
          :min="1"
          :max="100000"
          :model-value="measure(field.key)"
          @update:model-value="setMeasure(field.key, $event)"
        />
        <LabelledNumber
          v-if="shape !== 'cavities'"
          :says="shape === 'box' ? 'Bars along it' : 'Bars in it'"
          width="w-20"
          :decimals="0"
          :min="1"
          :max="200"
          :model-value="draft.cuts.along"
          @update:model-value="$event !== null && (draft.cuts.along = $event)"
        />
        <LabelledNumber
          v-if="shape === 'box'"
          says="Bars across it"
          width="w-20"
          :decimals="0"
          :min="1"
          :max="50"
          :model-value="draft.cuts.across"
          @update:model-value="$event !== null && (draft.cuts.across = $event)"
        />
      </div>
      <div class="flex flex-wrap items-end gap-6">
        <MouldPicture :record="draft" :px-per-mm="0.55" />
        <p class="figure text-ink-2">
          {{ say.number(byMeasures) }} ml by its measures.<br />
          {{ say.count(bars.count, 'bar', 'bars') }} of
          {{ say.number(bars.millilitres) }} ml<template v-if="bars.sidesMm"
            >, {{ bars.sidesMm.map((side) => say.number(side)).join(' × ') }} mm</template
          >.
        </p>
      </div>
      <div class="flex flex-wrap items-end gap-4">
        <LabelledNumber
          v-model="draft.trueMillilitres"
          says="It really takes"
          unit="ml"
          :decimals="0"
          :min="1"
          :max="1000000"
        />
        <p class="max-w-md text-ink-2">
          Fill it with water and weigh: grams are millilitres. Leave it empty to trust the measures.
          <template v-if="draft.trueMillilitres">
            It takes
            {{ say.percent(draft.trueMillilitres / byMeasures - 1, 1) }}
            against them.
          </template>
        </p>
      </div>
      <div class="flex flex-wrap gap-4">
        <FieldRow says="Made of">
          <select v-model="draft.material" class="field font-normal">
            <option v-for="material in mouldMaterials" :key="material" :value="material">
              {{ stuffOf[material].says }}
            </option>
          </select>
        </FieldRow>
        <FieldRow says="Lined with">
          <select v-model="draft.liner" class="field font-normal">
            <option v-for="liner in linerKinds" :key="liner" :value="liner">
              {{ linerNames[liner] }}
            </option>
          </select>
        </FieldRow>
      </div>
      <p
        :role="remark ? 'alert' : undefined"
        :class="
          remark?.severity === 'stop'
            ? 'font-semibold text-stop'
            : remark
              ? 'font-semibold text-warn'
              : 'text-ink-2'
        "
      >
        {{ say.inUnits(remark?.says ?? stuffOf[draft.material].mind) }}
      </p>
      <FieldRow says="Note">
        <input v-model="draft.note" class="field font-normal" maxlength="500" />
      </FieldRow>
      <p v-for="fault in faults" :key="fault.path" role="alert" class="text-stop">
        {{ fault.says }}
      </p>
      <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
    </form>
    <template #actions="{ close }">
      <AppButton @click="close">Cancel</AppButton>
      <AppButton kind="main" @click="done">Keep</AppButton>
    </template>
  </AppDialog>
</template>
