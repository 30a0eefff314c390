<script setup lang="ts">
import { scaleFormula } from '#core/formula/edit'
import { fillMillilitres } from '#core/mould/fillings'

/** What the batch is sized by, and how large. */
const { document, result, put, change } = useFormulaEditor()
const { say } = storeToRefs(useWorkshop())
const open = ref(false)

const size = computed(() => document.value.size)
const byOils = computed(() => size.value.by === 'oils' || size.value.by === 'lines')
const words = computed(() => {
  const at = size.value
  switch (at.by) {
    case 'oils':
    case 'lines':
      return `${say.value.amount(result.value.oils)} of oils`
    case 'batter':
      return `${say.value.amount(at.grams ?? 0)} of batter`
    case 'bars':
      return `${at.count ?? 0} bars of ${say.value.amount(at.grams ?? 0)}`
    case 'fattyMatter':
      return `${say.value.percent(at.share ?? 0)} fatty matter`
    case 'mould':
      return `Mould of ${say.value.number(fillMillilitres(at))} ml`
    case 'moulds': {
      const [first] = at.moulds
      return at.moulds.length === 1 ? first!.name : `${at.moulds.length} moulds`
    }
  }
})
/** By weight of each fat, a new size scales every line. */
function setOils(grams: number | null) {
  if (size.value.by === 'oils') put(['size', 'grams'], grams)
  else if (grams && result.value.oils > 0)
    change(scaleFormula(document.value, grams / result.value.oils), 'size')
}
const oils = computed(() => (size.value.by === 'oils' ? size.value.grams : result.value.oils))
</script>

<template>
  <span class="flex items-center gap-1.5">
    <NumberField
      v-if="byOils"
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
      byOils ? 'of oils' : words
    }}</AppButton>
    <LazySizeDialog v-if="open" v-model="open" />
  </span>
</template>
