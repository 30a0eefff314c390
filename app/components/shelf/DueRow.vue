<script setup lang="ts">
import type { DueJob } from '~/composables/useDueJobs'

/** One thing to do, with the key that does it. The first that is late leads. */
const { job, leads = false } = defineProps<{ job: DueJob; leads?: boolean }>()
const answer = useDueAnswers()
</script>

<template>
  <li class="grid grid-cols-[44px_1fr_auto] items-center gap-3 border-t border-line-2 px-4 py-1.5">
    <BarThumbnail :thumbnail="job.batches[0]!.thumbnail" />
    <div class="min-w-0">
      <b class="block leading-5 font-[650]" :class="leads ? 'text-[18px]' : 'text-[15px]'">{{
        job.says
      }}</b>
      <p class="text-[13px] leading-[18px] text-ink-2">
        <b v-if="job.past" class="text-warn">{{ job.past }}.</b> {{ job.because }}
      </p>
    </div>
    <AppButton
      v-if="dueAnswers[job.kind]"
      class="min-w-20"
      :kind="leads ? 'main' : 'plain'"
      @click="answer(job.kind, job.batches)"
      >{{ dueAnswers[job.kind] }}</AppButton
    >
    <AppButton
      v-else
      class="min-w-20"
      :to="job.kind === 'pour' ? `/bench/${job.batches[0]!.id}` : `/batches/${job.batches[0]!.id}`"
      >{{ job.kind === 'pour' ? 'Bench' : 'Look' }}</AppButton
    >
  </li>
</template>
