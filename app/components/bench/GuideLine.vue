<script setup lang="ts">
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
  switch (now.kind) {
    case 'gate':
      return 'Read each point aloud, do it, press Space. In real life no lye before the last one.'
    case 'weigh':
      return 'Here you pour with P (to just short) and D (the last drops). Watch the figure enter the green band; Space takes it.'
    case 'dissolve':
      return 'Press P: the lye goes into the water. Watch the jug climb. When it has peaked, Space.'
    case 'melt':
      return 'Press P to put the pan on the stove, then Space when it is melted. You need not wait for it here.'
    case 'cool':
    case 'meet':
      return celsius.value.lye !== null && celsius.value.lye > plan.value.window.lye.high
        ? 'Waiting is part of it: the curves show when both are ready. F lets ten minutes pass.'
        : 'The figures are green when both are in their window. Then Space.'
    case 'combine':
      return 'Lye into the oils, never the reverse. Space when it is in: the clock of the batter starts.'
    case 'batter':
      return 'B starts and ends the blender. Press the number of what you see: 1 cloudy, 2 emulsion, and on.'
    case 'pour':
      return 'Low and slow, then tap the mould. Space.'
    default:
      return 'Do it, then press Space.'
  }
})
</script>

<template>
  <p class="border-b border-line bg-[#20303c] px-4 py-2.5 text-[16px] sm:px-9" role="status">
    {{ line }}
  </p>
</template>
