<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import type { Thumbnail } from '#contracts/thumbnail'

/** The picture of a batch, large; a click changes it, for this batch or for all of its formula. */
const {
  batch,
  width = 58,
  height = 38,
} = defineProps<{ batch: BatchSummary; width?: number; height?: number }>()
const batches = useBatches()
const picturing = ref(false)
const draft = shallowRef<Thumbnail>(batch.thumbnail)
const all = ref(false)
const sisters = computed(() =>
  batches.list.filter(({ formulaId }) => formulaId === batch.formulaId),
)
function begin() {
  draft.value = batch.thumbnail
  all.value = false
  picturing.value = true
}
/** What was chosen holds once the dialog closes: one change with one way back. */
watch(picturing, (open) => {
  if (open || draft.value === batch.thumbnail) return
  const others = all.value ? sisters.value.filter(({ id }) => id !== batch.id) : []
  void batches.picture([batch, ...others].map(({ id }) => ({ id, thumbnail: draft.value })))
})
</script>

<template>
  <button
    type="button"
    class="shrink-0"
    :aria-label="`Change the picture of ${batch.name} ${batch.number}`"
    @click="begin"
  >
    <BarThumbnail :thumbnail="batch.thumbnail" :width="width" :height="height" />
  </button>
  <LazyThumbnailDialog
    v-if="picturing"
    v-model="picturing"
    :name="`${batch.name} ${batch.number}`"
    :thumbnail="draft"
    @change="draft = $event ?? draft"
  >
    <label v-if="sisters.length > 1" class="mr-auto flex items-center gap-2"
      ><input v-model="all" type="checkbox" /> all {{ sisters.length }} batches of
      {{ batch.name }}</label
    >
  </LazyThumbnailDialog>
</template>
