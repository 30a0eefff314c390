<script setup lang="ts">
import type { Fault } from '#contracts/faults'
import type { OwnMaterial } from '#contracts/material'
import { idFrom } from '#core/words/reading'
import { ownPrefix } from '#core/materials/own'

/** Own values for a material of the library, or a material of one's own. */
const { start } = defineProps<{ start: OwnMaterial }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ kept: [id: string] }>()
const materials = useMaterials()
const toasts = useToasts()

const draft = ref<OwnMaterial>(structuredClone(toRaw(start)))
const faults = ref<Fault[]>([])
const isNew = computed(() => start.id === ownPrefix)
const shipped = computed(() => !start.id.startsWith(ownPrefix))
const names: Record<OwnMaterial['kind'], string> = {
  fat: 'fat',
  liquid: 'liquid',
  additive: 'extra',
}

function freeId(name: string): string {
  const wanted = `${ownPrefix}${idFrom(name)}`.slice(0, 70)
  let id = wanted
  for (let number = 2; materials.recordOf(id); number++) id = `${wanted}-${number}`
  return id
}
async function done() {
  const { name } = draft.value
  if (!name.trim()) {
    faults.value = [{ path: 'document.name', says: 'Give it a name.' }]
    return
  }
  const id = isNew.value ? freeId(name) : draft.value.id
  const before = materials.recordOf(id)
  try {
    const kept = await materials.save(id, before?.revision ?? 0, { ...draft.value, id })
    toasts.show(shipped.value ? `${name} has your own values.` : `${name} is kept.`, {
      undo: async () => {
        if (before) await materials.save(id, kept.revision, before.document)
        else await materials.remove(kept)
      },
    })
    emit('kept', id)
    open.value = false
  } catch (error) {
    faults.value = error instanceof ApiError ? error.faults : []
  }
}
const words: Record<string, string> = {
  name: 'Name',
  'sap.typical': 'Usual value',
  'sap.low': 'Lowest value',
  'sap.high': 'Highest value',
  profile: 'Fatty acids',
  water: 'Water',
  fatSap: 'Value of its fat',
  highRate: 'At most',
  certificate: 'Certificate',
  density: 'Density',
}
const faultText = ({ path, says }: Fault) => {
  const key = path.replace(/^document\.?/, '')
  return words[key] ? `${words[key]}: ${says}` : says
}
</script>

<template>
  <AppDialog
    v-model="open"
    wide
    :title="isNew ? `A ${names[start.kind]} of your own` : `${start.name}: your own values`"
  >
    <form class="grid max-h-[70vh] gap-4 overflow-y-auto px-5 py-4" @submit.prevent="done">
      <div class="flex flex-wrap gap-4">
        <label v-if="!shipped" class="grid min-w-56 flex-1 gap-1 font-semibold">
          Name
          <input v-model="draft.name" class="field font-normal" maxlength="120" />
        </label>
        <FieldRow says="Certificate number">
          <input
            v-model="draft.certificate"
            class="field w-44 font-normal"
            maxlength="80"
            placeholder="none"
          />
        </FieldRow>
        <FieldRow says="Colour">
          <input v-model="draft.colour" type="color" class="h-8 w-14" />
        </FieldRow>
      </div>

      <FatFields v-if="draft.kind === 'fat'" v-model="draft" :shipped="shipped" />
      <LiquidFields v-else-if="draft.kind === 'liquid'" v-model="draft" />
      <AdditiveFields v-else v-model="draft" />

      <p v-for="fault in faults" :key="fault.path" role="alert" class="text-stop">
        {{ faultText(fault) }}
      </p>
      <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
    </form>
    <template #actions="{ close }">
      <AppButton @click="close">Cancel</AppButton>
      <AppButton kind="main" @click="done">Keep</AppButton>
    </template>
  </AppDialog>
</template>
