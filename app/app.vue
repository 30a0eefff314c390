<script setup lang="ts">
const workshop = useWorkshop()
const palette = usePalette()
const keyHelp = useKeyHelp()
const batchDialog = useBatchDialog()
const weighRound = useWeighRound()
const route = useRoute()
/** The bench has a frame of its own. */
const bare = computed(() => route.meta.bare === true)
const materials = useMaterials()
const problem = computed(() => workshop.problem || materials.problem)
function load() {
  void workshop.load()
  void materials.load()
}
onMounted(load)
useTheme()
useTellDue()
useFocusHome()
useOffline()
const outbox = useOutbox()
const batches = useBatches()
onMounted(() => void outbox.flush())
// Forecasts that were worked out after an answer, here or in another window.
onMounted(() =>
  listenTo({ facts: true }, (message) => {
    if (message.topic === 'facts') void batches.refresh(message.data)
  }),
)
onOtherEpoch(load)
</script>

<template>
  <div class="flex min-h-screen flex-col">
    <NuxtRouteAnnouncer />
    <StationBar v-if="!bare" class="no-print" />
    <p
      v-if="problem"
      role="alert"
      class="bg-warn-ground px-6 py-3 font-semibold text-warn no-print"
    >
      {{ problem }}
      <button type="button" class="link ml-2" @click="load">Try again</button>
    </p>
    <component
      :is="bare ? 'div' : 'main'"
      :id="bare ? undefined : 'main'"
      tabindex="-1"
      :class="bare ? '' : 'max-sm:pb-20'"
      class="flex-1 outline-none"
    >
      <NuxtPage v-if="workshop.ready && materials.loaded" />
    </component>
    <LazyFindOrDo v-if="palette" />
    <LazyBatchDialog v-if="batchDialog" :key="`${batchDialog.batch.id} ${batchDialog.asks}`" />
    <LazyWeighRound v-if="weighRound" />
    <LazyKeyHelp v-if="keyHelp" />
    <ToastHost />
  </div>
</template>
