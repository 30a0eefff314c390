<script setup lang="ts">
import { viewOf } from '#core/bench/plan/stepKinds'

/** The step on screen by what shows it; the end where none is left. */
const emit = defineEmits<{ finish: [] }>()
const { step } = useBench()
const view = computed(() => (step.value ? viewOf(step.value) : 'end'))
</script>

<template>
  <SafetyCheckStep v-if="view === 'safety-check'" />
  <WeighStep v-else-if="view === 'weigh'" :key="step!.id" />
  <SpoonStep v-else-if="view === 'spoons'" :key="step!.id" />
  <HeatStep v-else-if="view === 'heat'" :key="step!.id" />
  <CheckStep v-else-if="view === 'check'" :key="step!.id" />
  <BatterStep v-else-if="view === 'batter'" :key="step!.id" />
  <PourStep v-else-if="view === 'pour'" :key="step!.id" />
  <DoStep v-else-if="view === 'do'" :key="step!.id" />
  <BenchEnd v-else @finish="emit('finish')" />
</template>
