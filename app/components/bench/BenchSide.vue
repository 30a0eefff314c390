<script setup lang="ts">
/** What stands beside a step where there is room, and below it where there is not: heat, weights, devices, notes. */
const bench = useBench()
const noteOpen = defineModel<boolean>('note', { default: false })
const wide = useWideBench()
</script>

<template>
  <div :class="wide ? '' : 'mt-6 grid gap-x-8 border-t border-line pt-4 md:grid-cols-2'">
    <HeatPanel />
    <div>
      <SoFar />
      <StandInPanel v-if="bench.devices.standInsOn.value && bench.keeper.leading.value" />
      <DeviceChoice v-if="!bench.practising" class="mt-4" />
      <NoteBox v-if="wide" class="mt-4" :open="noteOpen" @close="noteOpen = false" />
    </div>
  </div>
</template>
