<script setup lang="ts">
import type { FormulaDocument } from '#contracts/formula'
import { fatWeights } from '#core/formula/compute'
import { sum } from '#core/statistics/sum'

/** A formula's fats as one thin bar in their colours, with their names. */
const { say } = storeToRefs(useWorkshop())
const { library } = storeToRefs(useMaterials())
const { document } = defineProps<{ document: FormulaDocument }>()
const parts = computed(() => {
  const grams = fatWeights(document)
  const whole = sum(grams)
  return document.fats
    .map((fat, index) => ({
      name: (fat.name ?? library.value.fats.get(fat.id)?.name ?? fat.id).replace(/,.*$/, ''),
      colour: substanceColour('fat', fat.id, library.value),
      share: whole > 0 ? grams[index]! / whole : 0,
    }))
    .filter(({ share }) => share > 0)
})
const words = computed(() =>
  say.value.list(parts.value.map(({ name, share }) => `${name} ${Math.round(share * 100)} %`)),
)
</script>

<template>
  <div class="min-w-0">
    <div class="flex h-2 gap-px overflow-hidden rounded-[2px] bg-line-2" aria-hidden="true">
      <i
        v-for="part in parts"
        :key="part.name"
        :style="{ width: `${part.share * 100}%`, background: part.colour }"
      />
    </div>
    <p class="mt-1 truncate text-sm text-ink-2" :title="words">{{ words || 'No fats yet' }}</p>
  </div>
</template>
