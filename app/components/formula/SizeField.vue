<script setup lang="ts">
import { fillMillilitres } from '#core/mould/fillings'
import { ChevronDown } from '@lucide/vue'

/** What the batch is sized by, and how large: one press leads to every way. */
const { document, result } = useFormulaEditor()
const { say } = storeToRefs(useWorkshop())
const open = ref(false)
const words = computed(() => {
  const at = document.value.size
  switch (at.by) {
    case 'oils':
    case 'lines':
      return `${say.value.amount(at.by === 'oils' ? (at.grams ?? 0) : result.value.oils)} of oils`
    case 'batter':
      return `${say.value.amount(at.grams ?? 0)} of batter`
    case 'bars':
      return `${at.count ?? 0} bars of ${say.value.amount(at.grams ?? 0)}`
    case 'fattyMatter':
      return `${say.value.percent(at.share ?? 0)} fatty matter`
    case 'mould':
      return `Mould of ${say.value.volume(fillMillilitres(at))}`
    case 'moulds': {
      const [first] = at.moulds
      return at.moulds.length > 1
        ? say.value.count(at.moulds.length, 'mould', 'moulds')
        : first!.name
    }
  }
})
</script>

<template>
  <span>
    <AppButton :aria-label="`Size: ${words}`" aria-haspopup="dialog" @click="open = true"
      >{{ words }} <ChevronDown :size="16" aria-hidden="true"
    /></AppButton>
    <LazySizeDialog v-if="open" v-model="open" />
  </span>
</template>
