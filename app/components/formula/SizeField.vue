<script setup lang="ts">
import type { Mould, Size } from '#contracts/formula'
import { scaleFormula } from '#core/formula/edit'
import { driedGrams, mouldMillilitres } from '#core/formula/size'
import { batterMillilitres } from '#core/formula/volume'
import { library } from '#core/materials/library'

/** What the batch is sized by, and how large. Changing the way keeps the batch as large as it is. */
const { document, result, put, change } = useFormulaEditor()
const { say } = storeToRefs(useWorkshop())
const open = ref(false)

const size = computed(() => document.value.size)
const ways: { by: Size['by']; says: string }[] = [
  { by: 'oils', says: 'Weight of oils' },
  { by: 'batter', says: 'Weight of batter' },
  { by: 'bars', says: 'Bars, by their weight when dry' },
  { by: 'mould', says: 'A mould' },
  { by: 'fattyMatter', says: 'Share of fatty matter' },
]
const round = (value: number) => Math.max(1, Math.round(value))
function choose(by: Size['by']) {
  const { oils, batter, fattyMatter } = result.value
  const some = oils > 0
  const mould: Mould = { shape: 'box', lengthMm: 250, widthMm: 80, depthMm: 70 }
  const volume = batterMillilitres(result.value, library)
  const next: Partial<Record<Size['by'], Size>> = {
    oils: { by: 'oils', grams: some ? round(oils) : 1000 },
    batter: { by: 'batter', grams: some ? round(batter) : 1500 },
    bars: { by: 'bars', count: some ? round(driedGrams(result.value) / 100) : 12, grams: 100 },
    fattyMatter: {
      by: 'fattyMatter',
      batterGrams: some ? round(batter) : 1500,
      share: some ? Number((fattyMatter / batter).toFixed(3)) : 0.62,
    },
    mould: {
      by: 'mould',
      mould: some ? { ...mould, lengthMm: round((volume * 1000) / (80 * 70)) } : mould,
      fill: 1,
    },
  }
  const chosen = next[by]
  if (chosen) put(['size'], chosen)
}
const shapes: { shape: Mould['shape']; says: string }[] = [
  { shape: 'box', says: 'Loaf or tray' },
  { shape: 'cylinder', says: 'Tube' },
  { shape: 'cavities', says: 'Single cavities' },
]
const blanks: Record<Mould['shape'], Mould> = {
  box: { shape: 'box', lengthMm: 250, widthMm: 80, depthMm: 70 },
  cylinder: { shape: 'cylinder', diameterMm: 75, depthMm: 250 },
  cavities: { shape: 'cavities', count: 8, millilitres: 110 },
}
const words = computed(() => {
  const at = size.value
  switch (at.by) {
    case 'oils':
      return `${say.value.amount(at.grams ?? 0)} of oils`
    case 'lines':
      return `${say.value.amount(result.value.oils)} of oils`
    case 'batter':
      return `${say.value.amount(at.grams ?? 0)} of batter`
    case 'bars':
      return `${at.count ?? 0} bars of ${say.value.amount(at.grams ?? 0)}`
    case 'fattyMatter':
      return `${say.value.percent(at.share ?? 0)} fatty matter`
    case 'mould':
      return `Mould of ${say.value.number(mouldMillilitres(at.mould))} ml`
  }
})
/** By weight of each fat, a new size scales every line. */
function setOils(grams: number | null) {
  if (size.value.by === 'oils') put(['size', 'grams'], grams)
  else if (grams && result.value.oils > 0)
    change(scaleFormula(document.value, grams / result.value.oils), 'size')
}
const oils = computed(() => (size.value.by === 'oils' ? size.value.grams : result.value.oils))
const mouldFields = computed(
  (): { key: string; says: string; unit: string; value: number | null }[] => {
    const at = size.value
    if (at.by !== 'mould') return []
    const { mould } = at
    if (mould.shape === 'cavities')
      return [
        { key: 'count', says: 'Cavities', unit: '', value: mould.count },
        { key: 'millilitres', says: 'Each holds', unit: 'ml', value: mould.millilitres },
      ]
    if (mould.shape === 'cylinder')
      return [
        { key: 'diameterMm', says: 'Inside diameter', unit: 'mm', value: mould.diameterMm },
        { key: 'depthMm', says: 'Depth to fill', unit: 'mm', value: mould.depthMm },
      ]
    return [
      { key: 'lengthMm', says: 'Inside length', unit: 'mm', value: mould.lengthMm },
      { key: 'widthMm', says: 'Inside width', unit: 'mm', value: mould.widthMm },
      { key: 'depthMm', says: 'Depth to fill', unit: 'mm', value: mould.depthMm },
    ]
  },
)
</script>

<template>
  <span class="flex items-center gap-1.5">
    <NumberField
      v-if="size.by === 'oils' || size.by === 'lines'"
      kind="mass"
      label="Weight of all oils"
      class="w-28"
      :model-value="oils"
      :min="1"
      :max="1000000"
      :step="50"
      :decimals="1"
      @update:model-value="setOils"
    />
    <AppButton :aria-label="`Size: ${words}`" aria-haspopup="dialog" @click="open = true">{{
      size.by === 'oils' || size.by === 'lines' ? 'of oils' : words
    }}</AppButton>
    <LazyAppDialog v-if="open" v-model="open" title="Size of the batch">
      <div class="grid gap-4 px-5 py-4">
        <fieldset class="grid gap-1.5">
          <legend class="mb-1 font-semibold">Sized by</legend>
          <label v-for="way in ways" :key="way.by" class="flex items-center gap-2">
            <input
              type="radio"
              name="size"
              :checked="size.by === way.by"
              @change="choose(way.by)"
            />
            {{ way.says }}
          </label>
          <p v-if="size.by === 'lines'" class="text-ink-2">Now by the weight of each fat.</p>
        </fieldset>
        <div class="flex flex-wrap items-end gap-4">
          <label v-if="size.by === 'oils' || size.by === 'batter'" class="grid gap-1 font-semibold">
            Weight
            <NumberField
              kind="mass"
              label="Weight"
              class="w-32"
              :min="1"
              :max="1000000"
              :step="50"
              :model-value="size.grams"
              @update:model-value="put(['size', 'grams'], $event)"
            />
          </label>
          <template v-if="size.by === 'bars'">
            <label class="grid gap-1 font-semibold">
              Bars
              <NumberField
                label="Count of bars"
                class="w-24"
                :decimals="0"
                :min="1"
                :max="100000"
                :model-value="size.count"
                @update:model-value="put(['size', 'count'], $event)"
              />
            </label>
            <label class="grid gap-1 font-semibold">
              Each, when dry
              <NumberField
                kind="mass"
                label="Weight of a dry bar"
                class="w-28"
                :min="1"
                :max="10000"
                :model-value="size.grams"
                @update:model-value="put(['size', 'grams'], $event)"
              />
            </label>
          </template>
          <template v-if="size.by === 'fattyMatter'">
            <label class="grid gap-1 font-semibold">
              Of a batter of
              <NumberField
                kind="mass"
                label="Weight of that batter"
                class="w-28"
                :min="1"
                :max="1000000"
                :model-value="size.batterGrams"
                @update:model-value="put(['size', 'batterGrams'], $event)"
              />
            </label>
            <label class="grid gap-1 font-semibold">
              Fatty matter
              <NumberField
                kind="percent"
                label="Share of fatty matter"
                class="w-24"
                :min="0.05"
                :max="0.95"
                :model-value="size.share"
                @update:model-value="put(['size', 'share'], $event)"
              />
            </label>
          </template>
          <template v-if="size.by === 'mould'">
            <label class="grid gap-1 font-semibold">
              Shape
              <select
                class="field"
                :value="size.mould.shape"
                @change="
                  put(
                    ['size', 'mould'],
                    blanks[($event.target as HTMLSelectElement).value as Mould['shape']],
                  )
                "
              >
                <option v-for="item in shapes" :key="item.shape" :value="item.shape">
                  {{ item.says }}
                </option>
              </select>
            </label>
            <label v-for="field in mouldFields" :key="field.key" class="grid gap-1 font-semibold">
              {{ field.says }}
              <NumberField
                class="w-28"
                :label="field.says"
                :unit="field.unit"
                :decimals="0"
                :min="1"
                :max="100000"
                :model-value="field.value"
                @update:model-value="put(['size', 'mould', field.key], $event)"
              />
            </label>
            <label class="grid gap-1 font-semibold">
              Filled
              <NumberField
                kind="percent"
                label="How full"
                class="w-24"
                :min="0.05"
                :max="1"
                :model-value="size.fill"
                @update:model-value="put(['size', 'fill'], $event)"
              />
            </label>
          </template>
        </div>
        <p class="figure text-ink-2">
          {{ say.amount(result.oils) }} of oils, {{ say.amount(result.batter) }} of batter,
          {{ say.number(batterMillilitres(result, library)) }} ml,
          {{ say.percent(result.batter > 0 ? result.fattyMatter / result.batter : 0) }} fatty matter
          at pour; oils alone are
          {{ say.percent(result.batter > 0 ? result.oils / result.batter : 0) }} of it.
        </p>
      </div>
      <template #actions><AppButton kind="main" @click="open = false">Done</AppButton></template>
    </LazyAppDialog>
  </span>
</template>
