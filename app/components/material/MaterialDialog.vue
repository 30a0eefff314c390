<script setup lang="ts">
import type { Fault } from '#contracts/faults'
import type { OwnMaterial } from '#contracts/material'
import {
  additiveGroups,
  additiveMoments,
  fatOrigins,
  liquidMoments,
  waysOfLiquid,
} from '#contracts/words'
import { fattyAcidNames, saponificationValueOf } from '#core/chemistry/fattyAcids'
import { idFrom } from '#core/formula/typedLine'
import { ownPrefix } from '#core/materials/own'
import { momentNames, wayNames } from '~/utils/moments'

/** Own values for a material of the library, or a material of one's own. */
const { start } = defineProps<{ start: OwnMaterial }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ kept: [id: string] }>()
const materials = useMaterials()
const toasts = useToasts()
const { say } = storeToRefs(useWorkshop())

const draft = ref<OwnMaterial>(structuredClone(toRaw(start)))
const faults = ref<Fault[]>([])
const isNew = computed(() => start.id === ownPrefix)
const shipped = computed(() => !start.id.startsWith(ownPrefix))
const names: Record<OwnMaterial['kind'], string> = {
  fat: 'fat',
  liquid: 'liquid',
  additive: 'extra',
}

/** What the fatty acids say the value should be, to hold a typed value against. */
const implied = computed(() => {
  const fat = draft.value
  if (fat.kind !== 'fat' || fat.chemistry === 'wax-ester' || fat.chemistry === 'rosin') return null
  const named = Object.values(fat.profile).reduce((sum, share) => sum + share, 0)
  if (named < 0.6) return null
  const value = saponificationValueOf(fat.profile, fat.unsaponifiables, fat.chemistry)
  return { value, off: fat.sap.typical / value - 1 }
})
function setValue(value: number | null) {
  if (draft.value.kind !== 'fat' || value === null) return
  const { sap } = draft.value
  draft.value.sap = {
    low: Math.min(sap.low, value),
    typical: value,
    high: Math.max(sap.high, value),
  }
}
/** A lot that was measured does not wander over the range of the printed tables. */
function narrow() {
  if (draft.value.kind !== 'fat') return
  const { typical } = draft.value.sap
  const tidy = (value: number) => Number(value.toFixed(1))
  draft.value.sap = { low: tidy(typical * 0.995), typical, high: tidy(typical * 1.005) }
}
function setAcid(acid: (typeof fattyAcidNames)[number], share: number | null) {
  if (draft.value.kind !== 'fat') return
  const { [acid]: _, ...profile } = draft.value.profile
  draft.value.profile = share ? { ...profile, [acid]: share } : profile
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
        <label class="grid gap-1 font-semibold">
          Certificate number
          <input
            v-model="draft.certificate"
            class="field w-44 font-normal"
            maxlength="80"
            placeholder="none"
          />
        </label>
        <label class="grid gap-1 font-semibold">
          Colour
          <input v-model="draft.colour" type="color" class="h-8 w-14" />
        </label>
      </div>

      <template v-if="draft.kind === 'fat'">
        <fieldset class="flex flex-wrap items-end gap-4">
          <legend class="mb-1 font-semibold">Saponification value, mg KOH per g</legend>
          <LabelledNumber
            says="Usual"
            :model-value="draft.sap.typical"
            :min="0"
            :max="400"
            :decimals="1"
            @update:model-value="setValue"
          />
          <LabelledNumber
            says="Lowest"
            :model-value="draft.sap.low"
            :min="0"
            :max="400"
            :decimals="1"
            @update:model-value="$event !== null && (draft.sap.low = $event)"
          />
          <LabelledNumber
            says="Highest"
            :model-value="draft.sap.high"
            :min="0"
            :max="400"
            :decimals="1"
            @update:model-value="$event !== null && (draft.sap.high = $event)"
          />
          <AppButton @click="narrow">Measured lot: ± 0.5 %</AppButton>
        </fieldset>
        <p v-if="implied && Math.abs(implied.off) > 0.03" class="font-semibold text-warn">
          The fatty acids below imply {{ say.number(implied.value, 1) }}; the value differs by
          {{ say.percent(Math.abs(implied.off), 1) }}. One of the two is not of this fat.
        </p>
        <p v-else-if="implied" class="text-ink-2">
          The fatty acids below imply {{ say.number(implied.value, 1) }}: they agree.
        </p>
        <div class="flex flex-wrap gap-4">
          <LabelledNumber
            v-model="draft.unsaponifiables"
            says="Takes no lye"
            kind="percent"
            :min="0"
            :max="1"
          />
          <LabelledNumber
            v-model="draft.density"
            says="Density, melted"
            unit="g/ml"
            :min="0.7"
            :max="1.3"
          />
          <label class="grid content-start gap-1 font-semibold">
            At 20 °C
            <select v-model="draft.stateAt20" class="field font-normal">
              <option v-for="state in ['liquid', 'soft', 'hard']" :key="state">{{ state }}</option>
            </select>
          </label>
          <LabelledNumber
            v-model="draft.softens"
            says="Softens at"
            unit="°C"
            :decimals="0"
            :min="-30"
            :max="120"
          />
          <label v-if="!shipped" class="grid content-start gap-1 font-semibold">
            Kind
            <select v-model="draft.chemistry" class="field font-normal">
              <option value="triglyceride">oil or butter</option>
              <option value="free-acid">free fatty acid</option>
              <option value="wax-ester">wax</option>
              <option value="rosin">resin</option>
            </select>
          </label>
          <label class="grid min-w-56 flex-1 gap-1 font-semibold">
            On a label
            <input v-model="draft.inci" class="field font-normal" maxlength="200" />
          </label>
        </div>
        <fieldset v-if="!shipped" class="flex flex-wrap gap-x-4 gap-y-1">
          <legend class="mb-1 font-semibold">It comes from</legend>
          <label v-for="from in fatOrigins" :key="from" class="flex items-center gap-1.5">
            <input v-model="draft.origin" type="checkbox" :value="from" /> {{ from }}
          </label>
        </fieldset>
        <fieldset>
          <legend class="mb-1 font-semibold">Fatty acids</legend>
          <div class="grid grid-cols-2 gap-x-4 gap-y-1.5 sm:grid-cols-4">
            <label
              v-for="acid in fattyAcidNames"
              :key="acid"
              class="flex items-center justify-between gap-2"
            >
              {{ acid }}
              <NumberField
                kind="percent"
                class="w-20"
                :label="acid"
                :decimals="1"
                :min="0"
                :max="1"
                :model-value="draft.profile[acid] ?? null"
                @update:model-value="setAcid(acid, $event)"
              />
            </label>
          </div>
        </fieldset>
      </template>

      <template v-else-if="draft.kind === 'liquid'">
        <div class="flex flex-wrap gap-4">
          <LabelledNumber v-model="draft.water" says="Water" kind="percent" :min="0" :max="1" />
          <LabelledNumber v-model="draft.fat" says="Fat" kind="percent" :min="0" :max="1" />
          <LabelledNumber
            v-model="draft.fatSap"
            says="Value of its fat"
            :decimals="0"
            :min="0"
            :max="400"
          />
          <LabelledNumber v-model="draft.sugar" says="Sugar" kind="percent" :min="0" :max="1" />
        </div>
        <div class="flex flex-wrap gap-4">
          <label class="grid gap-1 font-semibold">
            Usually goes
            <select v-model="draft.moment" class="field font-normal">
              <option v-for="moment in liquidMoments" :key="moment" :value="moment">
                {{ momentNames[moment] }}
              </option>
            </select>
          </label>
          <label class="grid gap-1 font-semibold">
            Its way
            <select v-model="draft.way" class="field font-normal">
              <option v-for="way in waysOfLiquid" :key="way" :value="way">
                {{ wayNames[way] }}
              </option>
            </select>
          </label>
        </div>
        <label class="grid gap-1 font-semibold">
          What to mind
          <input v-model="draft.mind" class="field font-normal" maxlength="300" />
        </label>
      </template>

      <template v-else>
        <div class="flex flex-wrap gap-4">
          <label class="grid gap-1 font-semibold">
            Group
            <select v-model="draft.group" class="field font-normal">
              <option v-for="group in additiveGroups" :key="group">{{ group }}</option>
            </select>
          </label>
          <label class="grid gap-1 font-semibold">
            Goes in
            <select v-model="draft.moment" class="field font-normal">
              <option v-for="moment in additiveMoments" :key="moment" :value="moment">
                {{ momentNames[moment] }}
              </option>
            </select>
          </label>
          <LabelledNumber
            v-model="draft.usualRate"
            says="Usual, of oils"
            kind="percent"
            :min="0"
            :max="1"
          />
          <LabelledNumber
            v-model="draft.highRate"
            says="At most"
            kind="percent"
            :min="0"
            :max="1"
          />
          <LabelledNumber
            v-model="draft.density"
            says="Density, spooned"
            unit="g/ml"
            :min="0.05"
            :max="5"
          />
          <label class="grid gap-1 font-semibold">
            Pace
            <select v-model.number="draft.pace" class="field font-normal">
              <option :value="-1">slower</option>
              <option :value="0">no change</option>
              <option :value="1">quicker</option>
            </select>
          </label>
        </div>
        <div class="flex flex-wrap gap-x-6 gap-y-2">
          <label class="flex items-center gap-2"
            ><input v-model="draft.tints" type="checkbox" /> Colours the bar</label
          >
          <label class="flex items-center gap-2"
            ><input v-model="draft.heats" type="checkbox" /> Runs hotter</label
          >
          <label class="flex items-center gap-2">
            <input
              type="checkbox"
              :checked="draft.disperse !== null"
              @change="draft.disperse = draft.disperse ? null : { in: 'oil', ratio: 2 }"
            />
            Stirred smooth first
          </label>
          <span v-if="draft.disperse" class="flex items-center gap-2">
            in
            <NumberField
              v-model="draft.disperse.ratio"
              label="Parts to stir it into"
              class="w-16"
              :min="0.1"
              :max="20"
            />
            parts
            <select v-model="draft.disperse.in" class="field" aria-label="Stirred into">
              <option value="oil">oil</option>
              <option value="water">water</option>
            </select>
          </span>
        </div>
        <label class="grid gap-1 font-semibold">
          What it does
          <input v-model="draft.does" class="field font-normal" maxlength="300" />
        </label>
      </template>

      <p v-for="fault in faults" :key="fault.path" role="alert" class="text-stop">
        {{ faultText(fault) }}
      </p>
      <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
    </form>
    <template #actions>
      <AppButton @click="open = false">Cancel</AppButton>
      <AppButton kind="main" @click="done">Keep</AppButton>
    </template>
  </AppDialog>
</template>
