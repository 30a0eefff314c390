<script setup lang="ts">
import { stepKinds } from '#core/bench/plan/stepKinds'

/** The voice beside a first-timer: what to press now, and why. */
const bench = useBench()
const { step, done, missing, celsius, plan } = bench
const line = computed(() => {
  const now = step.value
  if (!now)
    return 'That was a whole batch. Look at what could have been better, then leave with Space.'
  if (done.value) return 'This is done already. The right arrow leads on to what is next.'
  if (missing.value.length)
    return `Something comes before this: “${missing.value[0]!.short}”. Choose it in the list.`
  const { voice } = stepKinds[now.kind]
  if (typeof voice === 'string') return voice
  return voice(celsius.value.lye !== null && celsius.value.lye > plan.value.window.lye.high)
})
</script>

<template>
  <p class="border-b border-line bg-[#20303c] px-4 py-2.5 text-[16px] sm:px-9" role="status">
    {{ line }}
  </p>
</template>
