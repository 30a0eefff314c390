<script setup lang="ts">
import type { FormulaResult } from '#contracts/result'

/** The pot a recipe makes, laid on its side: everything in the order of pouring, as wide as it weighs. */
const { result } = defineProps<{ result: FormulaResult }>()
const { library } = storeToRefs(useMaterials())
const { say } = storeToRefs(useWorkshop())
const short = (name: string) => name.replace(/,.*$/, '').replace(/ (oil|butter)$/i, '')
const bands = computed(() => {
  const { fats, liquids, water, lye, additives, scents, batter } = result
  const list = [
    ...fats.map(({ id, name, grams }) => ({
      name: short(name),
      grams,
      colour: substanceColour('fat', id, library.value),
    })),
    ...liquids.map(({ id, name, grams }) => ({
      name: short(name),
      grams,
      colour: substanceColour('liquid', id, library.value),
    })),
    { name: 'Water', grams: water.weighed, colour: 'var(--color-water)' },
    { name: 'Lye', grams: lye.naoh + lye.koh + (lye.solution ?? 0), colour: 'var(--color-lye)' },
    ...additives.map(({ id, name, grams }) => ({
      name: short(name),
      grams,
      colour: substanceColour('additive', id, library.value),
    })),
    ...scents.map(({ id, name, grams }) => ({
      name: short(name),
      grams,
      colour: substanceColour('scent', id, library.value),
    })),
  ]
  return list
    .filter(({ grams }) => grams > 0)
    .map((band) => ({ ...band, share: band.grams / batter, wide: band.grams / batter > 0.09 }))
})
const thin = computed(() => bands.value.filter(({ wide }) => !wide))
</script>

<template>
  <figure
    class="px-5 py-3"
    :aria-label="`In the pot: ${bands.map(({ name, grams }) => `${name} ${say.amount(grams)}`).join(', ')}`"
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
      {{ thin.map(({ name, grams }) => `${name.toLowerCase()} ${say.mass(grams)}`).join(', ') }}
    </p>
  </figure>
</template>
