<script setup lang="ts">
import { scentColour } from '#core/formula/face'
import { library } from '#core/materials/library'

const { document, result, change, put } = useFormulaEditor()
const { say } = storeToRefs(useWorkshop())

type Kind = 'liquids' | 'additives' | 'scents'
function remove(kind: Kind, index: number) {
  change({
    ...document.value,
    [kind]: document.value[kind].filter((_, place) => place !== index),
  })
}
const removal = (kind: Kind, index: number) => ({
  says: 'Remove',
  danger: true,
  act: () => remove(kind, index),
})
const askMax = ref<number | null>(null)
const maxOpen = computed({
  get: () => askMax.value !== null,
  set: (value) => {
    if (!value) askMax.value = null
  },
})
const liquidMoments = { lye: 'in the lye', oils: 'into the oils', trace: 'at trace' } as const
const additiveMoments = {
  water: 'in the water',
  lye: 'in the lye',
  'cooled-lye': 'in the cooled lye',
  oils: 'into the oils',
  trace: 'at trace',
} as const

const waterShare = computed(
  () => 1 - document.value.liquids.reduce((sum, line) => sum + (line.share ?? 0), 0),
)
const liquidEntries = (index: number) => [
  ...Object.entries(liquidMoments)
    .filter(([moment]) => moment !== document.value.liquids[index]!.moment)
    .map(([moment, says]) => ({
      says: `Pour it ${says}`,
      act: () => put(['liquids', index, 'moment'], moment),
    })),
  removal('liquids', index),
]
const additiveEntries = (index: number) => [
  ...Object.entries(additiveMoments)
    .filter(([moment]) => moment !== result.value.additives[index]?.moment)
    .map(([moment, says]) => ({
      says: `Add it ${says}`,
      act: () => put(['additives', index, 'moment'], moment),
    })),
  removal('additives', index),
]
const scentEntries = (index: number) => [
  { says: 'Maximum in the finished bar…', act: () => (askMax.value = index) },
  document.value.scents[index]!.moment === 'trace'
    ? { says: 'Add it to the oils', act: () => put(['scents', index, 'moment'], 'oils') }
    : { says: 'Add it at trace', act: () => put(['scents', index, 'moment'], 'trace') },
  removal('scents', index),
]
/** The moment, when it is not the material's usual one. */
function additiveAlso(index: number) {
  const additive = result.value.additives[index]
  return additive && additive.moment !== library.additives.get(additive.id)?.moment
    ? additiveMoments[additive.moment]
    : undefined
}
function scentAlso(index: number) {
  const scent = document.value.scents[index]!
  const words = scent.moment === 'oils' ? ['in the oils'] : []
  if (scent.maxOfBar != null) words.push(`max ${say.value.percent(scent.maxOfBar, 2)}`)
  return words.join(', ') || undefined
}
</script>

<template>
  <section v-if="document.liquids.length" aria-label="Liquid" class="border-t border-line">
    <div class="flex justify-between px-3 pt-2 pb-1">
      <h2>Liquid</h2>
      <span class="text-[12.5px] text-ink-3">share of liquid</span>
    </div>
    <ul>
      <LineRow
        colour="var(--color-water)"
        name="Water, in the lye"
        :weight="say.massFigure(result.water.weighed)"
        :entries="[]"
      >
        <span class="figure pr-2 text-right">{{ say.percent(waterShare) }}</span>
      </LineRow>
      <LineRow
        v-for="(line, index) in document.liquids"
        :key="index"
        :colour="library.liquids.get(line.id)?.colour ?? '#e9dfca'"
        :name="`${result.liquids[index]?.name}, ${liquidMoments[line.moment]}`"
        :weight="say.massFigure(result.liquids[index]?.grams ?? 0)"
        :entries="liquidEntries(index)"
      >
        <NumberField
          kind="percent"
          :label="`${result.liquids[index]?.name}, share of liquid`"
          :model-value="line.share"
          :min="0"
          :max="1"
          @update:model-value="put(['liquids', index, 'share'], $event)"
        />
      </LineRow>
    </ul>
  </section>
  <section
    v-if="document.additives.length || document.scents.length"
    aria-label="Extras and scent"
    class="border-t border-line"
  >
    <div class="flex justify-between px-3 pt-2 pb-1">
      <h2>{{ document.additives.length ? 'Extras and scent' : 'Scent' }}</h2>
      <span class="text-[12.5px] text-ink-3">share of oils</span>
    </div>
    <ul>
      <LineRow
        v-for="(line, index) in document.additives"
        :key="index"
        :colour="library.additives.get(line.id)?.colour ?? '#6f8f86'"
        :name="result.additives[index]?.name ?? ''"
        :also="additiveAlso(index)"
        :weight="say.massFigure(result.additives[index]?.grams ?? 0)"
        :entries="additiveEntries(index)"
      >
        <NumberField
          v-if="line.grams != null || (line.rate === undefined && line.grams === null)"
          kind="mass"
          :label="`${result.additives[index]?.name}, weight`"
          :model-value="line.grams ?? null"
          :min="0"
          @update:model-value="put(['additives', index, 'grams'], $event)"
        />
        <NumberField
          v-else
          kind="percent"
          :label="`${result.additives[index]?.name}, share of oils`"
          :model-value="line.rate ?? null"
          :min="0"
          :max="2"
          @update:model-value="put(['additives', index, 'rate'], $event)"
        />
      </LineRow>
      <LineRow
        v-for="(line, index) in document.scents"
        :key="index"
        :colour="scentColour(line.id)"
        :name="result.scents[index]?.name ?? ''"
        :also="scentAlso(index)"
        :weight="say.massFigure(result.scents[index]?.grams ?? 0)"
        :entries="scentEntries(index)"
      >
        <NumberField
          kind="percent"
          :label="`${result.scents[index]?.name}, share of oils`"
          :model-value="line.rate"
          :min="0"
          :max="0.5"
          @update:model-value="put(['scents', index, 'rate'], $event)"
        />
      </LineRow>
    </ul>
    <AskDialog
      v-if="askMax !== null"
      v-model="maxOpen"
      title="Maximum in the finished bar"
      label="Share of the bar"
      text="From the supplier's safety sheet, for a product that is washed off."
      hint="Leave it empty when there is none. Mantle compares it with the bar when long dried."
      kind="percent"
      :min="0.0001"
      :max="1"
      :value="document.scents[askMax]?.maxOfBar ?? null"
      @number="put(['scents', askMax!, 'maxOfBar'], $event)"
    />
  </section>
</template>
