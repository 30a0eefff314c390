<script setup lang="ts">
import type { FormulaResult } from '#contracts/result'
import { inSentence } from '#core/units/language'

/** The pot a recipe makes, laid on its side: everything in the order of pouring, as wide as it weighs. */
const { result } = defineProps<{ result: FormulaResult }>()
const { library } = storeToRefs(useMaterials())
const { say } = storeToRefs(useWorkshop())
const bands = computed(() =>
  potLayers(result, library.value).map(({ label, grams, colour }) => {
    const share = grams / result.batter
    return { name: shortName(label), grams, colour, share, wide: share > 0.09 }
  }),
)
const thin = computed(() => bands.value.filter(({ wide }) => !wide))
</script>

<template>
  <figure
    class="px-5 py-3"
    :aria-label="`In the pot: ${say.list(bands.map(({ name, grams }) => `${name} ${say.amount(grams)}`))}`"
  >
    <figcaption class="mb-2"><h2>The pot it makes, laid on its side</h2></figcaption>
    <div class="flex h-12 rounded-l-md border-y-[3px] border-l-[3px] border-ink">
      <div
        v-for="(band, index) in bands"
        :key="index"
        class="figure flex min-w-0 items-center overflow-hidden px-2 font-semibold whitespace-nowrap first:rounded-l-sm"
        :style="{
          width: `${band.share * 96}%`,
          background: band.colour,
          color: band.name === 'Lye' ? '#fff' : '#182022',
        }"
      >
        <span v-if="band.wide" class="truncate">{{ band.name }} {{ say.amount(band.grams) }}</span>
      </div>
    </div>
    <p v-if="thin.length" class="figure mt-1 text-right text-sm text-ink-2">
      thin ones:
      {{ say.list(thin.map(({ name, grams }) => `${inSentence(name)} ${say.mass(grams)}`)) }}
    </p>
  </figure>
</template>
