<script setup lang="ts">
import type { Size } from '#contracts/formula'
import { driedGrams } from '#core/formula/size'
import { batterMillilitres } from '#core/formula/volume'
import { fillings } from '#core/mould/fillings'
import { blankShapes, shapeFields, shapeNames } from '~/utils/mouldWords'

/** Every way to size a batch. Changing the way keeps the batch as large as it is. */
const { document, result, put } = useFormulaEditor()
const { library } = storeToRefs(useMaterials())
const { say } = storeToRefs(useWorkshop())
const moulds = useMoulds()
const open = defineModel<boolean>({ required: true })
onMounted(() => void moulds.load())

const size = computed(() => document.value.size)
const ways: { by: Size['by']; says: string }[] = [
  { by: 'oils', says: 'Weight of oils' },
  { by: 'batter', says: 'Weight of batter' },
  { by: 'bars', says: 'Bars, by their weight when dry' },
  { by: 'moulds', says: 'Moulds of the workshop' },
  { by: 'mould', says: 'A mould, by its measures' },
  { by: 'fattyMatter', says: 'Share of fatty matter' },
]
const round = (value: number) => Math.max(1, Math.round(value))
function choose(by: Size['by']) {
  const { oils, batter, fattyMatter } = result.value
  const some = oils > 0
  const volume = batterMillilitres(result.value, library.value)
  const lengthMm = some ? round((volume * 1000) / (80 * 70)) : blankShapes.box.lengthMm
  const next: Partial<Record<Size['by'], Size>> = {
    oils: { by: 'oils', grams: some ? round(oils) : 1000 },
    batter: { by: 'batter', grams: some ? round(batter) : 1500 },
    bars: { by: 'bars', count: some ? round(driedGrams(result.value) / 100) : 12, grams: 100 },
    fattyMatter: {
      by: 'fattyMatter',
      batterGrams: some ? round(batter) : 1500,
      share: some ? Number((fattyMatter / batter).toFixed(3)) : 0.62,
    },
    mould: { by: 'mould', mould: { ...blankShapes.box, lengthMm }, fill: 1 },
    moulds: { by: 'moulds', moulds: [] },
  }
  const chosen = next[by]
  if (chosen) put(['size'], chosen)
}
const measureOf = (key: string) =>
  size.value.by === 'mould'
    ? ((size.value.mould as unknown as Record<string, number | null>)[key] ?? null)
    : null
const poured = computed(() => fillings(size.value, result.value))
</script>

<template>
  <AppDialog v-model="open" title="Size of the batch" wide>
    <div class="grid max-h-[72vh] gap-4 overflow-y-auto px-5 py-4">
      <fieldset class="grid gap-1.5 sm:grid-cols-2">
        <legend class="mb-1 font-semibold">Sized by</legend>
        <label v-for="way in ways" :key="way.by" class="flex items-center gap-2">
          <input type="radio" name="size" :checked="size.by === way.by" @change="choose(way.by)" />
          {{ way.says }}
        </label>
        <p v-if="size.by === 'lines'" class="text-ink-2">Now by the weight of each fat.</p>
      </fieldset>
      <MouldChoice v-if="size.by === 'moulds'" />
      <div class="flex flex-wrap items-end gap-4">
        <LabelledNumber
          v-if="size.by === 'oils' || size.by === 'batter'"
          says="Weight"
          kind="mass"
          width="w-32"
          :min="1"
          :max="1000000"
          :step="50"
          :model-value="size.grams"
          @update:model-value="put(['size', 'grams'], $event)"
        />
        <template v-if="size.by === 'bars'">
          <LabelledNumber
            says="Bars"
            label="Count of bars"
            width="w-24"
            :decimals="0"
            :min="1"
            :max="100000"
            :model-value="size.count"
            @update:model-value="put(['size', 'count'], $event)"
          />
          <LabelledNumber
            says="Each, when dry"
            label="Weight of a dry bar"
            kind="mass"
            :min="1"
            :max="10000"
            :model-value="size.grams"
            @update:model-value="put(['size', 'grams'], $event)"
          />
        </template>
        <template v-if="size.by === 'fattyMatter'">
          <LabelledNumber
            says="Of a batter of"
            label="Weight of that batter"
            kind="mass"
            :min="1"
            :max="1000000"
            :model-value="size.batterGrams"
            @update:model-value="put(['size', 'batterGrams'], $event)"
          />
          <LabelledNumber
            says="Fatty matter"
            label="Share of fatty matter"
            kind="percent"
            width="w-24"
            :min="0.05"
            :max="0.95"
            :model-value="size.share"
            @update:model-value="put(['size', 'share'], $event)"
          />
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
                  blankShapes[
                    ($event.target as HTMLSelectElement).value as keyof typeof shapeNames
                  ],
                )
              "
            >
              <option v-for="(says, shape) in shapeNames" :key="shape" :value="shape">
                {{ says }}
              </option>
            </select>
          </label>
          <LabelledNumber
            v-for="field in shapeFields[size.mould.shape]"
            :key="field.key"
            :says="field.says"
            :unit="field.unit"
            :decimals="0"
            :min="1"
            :max="100000"
            :model-value="measureOf(field.key)"
            @update:model-value="put(['size', 'mould', field.key], $event)"
          />
          <LabelledNumber
            says="Filled"
            label="How full"
            kind="percent"
            width="w-24"
            :min="0.05"
            :max="1"
            :model-value="size.fill"
            @update:model-value="put(['size', 'fill'], $event)"
          />
        </template>
      </div>
      <ul v-if="poured.length > 1 || poured[0]?.each" class="figure" aria-label="What goes where">
        <li
          v-for="(filling, index) in poured"
          :key="index"
          class="flex justify-between gap-4 border-t border-line-2 py-1"
        >
          <span>{{ filling.name || 'The mould' }}</span>
          <span>
            <template v-if="filling.each"
              >{{ filling.each.count }} × {{ say.amount(filling.each.grams) }} =
            </template>
            <b class="font-semibold">{{ say.amount(filling.grams) }}</b>,
            {{ say.number(filling.millilitres) }} of {{ say.number(filling.capacity) }} ml
          </span>
        </li>
      </ul>
      <p class="figure text-ink-2">
        {{ say.amount(result.oils) }} of oils, {{ say.amount(result.batter) }} of batter,
        {{ say.number(batterMillilitres(result, library)) }} ml,
        {{ say.percent(result.batter > 0 ? result.fattyMatter / result.batter : 0) }} fatty matter
        at pour; oils alone are
        {{ say.percent(result.batter > 0 ? result.oils / result.batter : 0) }} of it.
      </p>
    </div>
    <template #actions><AppButton kind="main" @click="open = false">Done</AppButton></template>
  </AppDialog>
</template>
