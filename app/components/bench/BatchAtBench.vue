<script setup lang="ts">
import type { Batch, FormulaLesson } from '#contracts/batch'
import type { Run, RunEvent } from '#contracts/run'

/** The bench of a batch whose run is kept on the server. */
const { batch, run, earlier, lessons } = defineProps<{
  batch: Batch
  run: Run
  earlier: RunEvent[][]
  lessons: readonly FormulaLesson[]
}>()
const router = useRouter()
void prefetchComponents('HeatChart')
provideBench({
  frozen: batch.frozen,
  name: batch.name,
  number: batch.number,
  thumbnail: batch.thumbnail,
  keeper: useServerKeeper(run),
  practising: false,
  guided: false,
  earlier,
  lessons,
})
</script>

<template>
  <BenchStage @finish="router.push(`/bench/${batch.id}`)" />
</template>
