<script setup lang="ts">
import { ListOrdered, Siren, TriangleAlert, Undo2, Volume2, VolumeX } from '@lucide/vue'
import { standingLine } from '#core/bench/run/safetyCheck'

/** Whose batch, since when, where it is kept, and the line that stands until everything is rinsed. */
const emergency = defineModel<boolean>('emergency', { required: true })
const list = defineModel<boolean>('list', { required: true })
const note = defineModel<boolean>('note', { required: true })
const bench = useBench()
const sounds = useBenchSounds()
const {
  name,
  number,
  thumbnail,
  minutes,
  clock,
  lyeIsAbout,
  keeper,
  practising,
  speed,
  state,
  plan,
  index,
} = bench
/** Only a secure page comes back after a reload without its server. */
const noReload = isSecureContext ? '' : '; do not reload this page now'
const kept = computed(() => {
  if (practising)
    return speed.value > 1
      ? `rehearsal, ${speed.value} times as fast`
      : 'rehearsal, nothing is recorded'
  if (keeper.nearlyFull.value)
    return 'this browser has hardly any room left for its safety copy: keep this window open'
  if (keeper.state.value === 'stranded') return `${keeper.waiting.value} only on this device`
  if (!keeper.leading.value) return 'another device leads'
  if (keeper.waiting.value && !keeper.safe.value)
    return `${keeper.waiting.value} only in this window: this browser keeps nothing; do not reload`
  if (keeper.state.value === 'cut-off')
    return keeper.waiting.value
      ? `cut off: ${keeper.waiting.value} kept on this device${noReload}`
      : `cut off from Mantle: go on, it is kept here${noReload}`
  return keeper.waiting.value ? 'saving' : 'kept'
})
const leave = computed(() => (practising ? '/bench' : `/bench/${bench.run.batchId}`))
</script>

<template>
  <header
    class="flex min-h-[52px] flex-wrap items-center gap-x-3 gap-y-1 bg-[#101516] px-4 py-1.5 sm:gap-x-5 sm:px-5 low:min-h-11 low:flex-nowrap low:gap-x-3 low:px-2 low:py-0"
  >
    <button
      type="button"
      class="figure hidden min-h-11 items-center gap-1.5 px-1 font-bold whitespace-nowrap low:flex"
      :aria-expanded="list"
      :aria-label="`Step ${index + 1} of ${plan.steps.length}, all steps`"
      @click="list = !list"
    >
      <ListOrdered :size="20" aria-hidden="true" /> {{ index + 1 }} of {{ plan.steps.length }}
    </button>
    <NuxtLink
      :to="leave"
      class="flex min-h-11 min-w-0 items-center gap-2.5 text-[17px] font-bold text-white max-sm:flex-1 low:text-[15px]"
      aria-label="Leave the bench; the run stays as it is"
    >
      <BarThumbnail :thumbnail="thumbnail" :width="30" :height="20" class="shrink-0" />
      <span class="max-sm:truncate low:truncate"
        >{{ name }}<template v-if="number">, batch {{ number }}</template></span
      >
    </NuxtLink>
    <span class="figure text-ink-2 max-2xl:hidden low:hidden"
      >started {{ clock.timeOf(0) }} · {{ minutesText(minutes) }}</span
    >
    <span
      role="status"
      class="figure text-[14px]"
      :class="[
        practising ? 'max-sm:sr-only' : '',
        keeper.state.value === 'cut-off' ||
        keeper.state.value === 'stranded' ||
        keeper.nearlyFull.value
          ? 'font-bold text-[#f3c24b]'
          : 'text-ink-3 max-sm:sr-only low:sr-only',
      ]"
      >{{ kept }}</span
    >
    <div class="flex-1 max-sm:hidden" />
    <BothTemperatures class="hidden low:block" />
    <button
      v-if="bench.takesBack.value && keeper.leading.value"
      type="button"
      class="flex min-h-11 max-w-72 items-center gap-1.5 px-2 text-left text-[14px] text-ink-2 max-lg:hidden low:hidden"
      @click="bench.takeBack()"
    >
      <Undo2 :size="18" class="shrink-0" aria-hidden="true" />
      <span class="truncate">Z takes back {{ bench.takesBack.value }}</span>
    </button>
    <p
      v-if="lyeIsAbout && !state.finished"
      class="flex items-center gap-2 text-[15px] leading-tight font-bold text-[#f3c24b] max-sm:order-last max-sm:basis-full max-sm:pb-1 max-sm:text-[14px] low:text-[13px]"
    >
      <TriangleAlert :size="18" class="shrink-0" aria-hidden="true" />{{ standingLine }}
    </p>
    <div class="hidden items-center gap-x-3 low:flex"><UndoAndNote v-model:note="note" /></div>
    <button
      type="button"
      class="flex size-11 items-center justify-center text-ink-2 low:hidden"
      :aria-pressed="sounds"
      :aria-label="sounds ? 'Sounds are on' : 'Sounds are off'"
      :title="sounds ? 'Sounds are on' : 'Sounds are off'"
      @click="sounds = !sounds"
    >
      <component :is="sounds ? Volume2 : VolumeX" :size="20" aria-hidden="true" />
    </button>
    <button
      type="button"
      class="flex min-h-11 items-center gap-2 bg-[#7d2218] px-3 text-[15px] font-bold text-white"
      :aria-pressed="emergency"
      aria-label="Emergency"
      @click="emergency = !emergency"
    >
      <Siren :size="18" aria-hidden="true" />
      <span class="max-lg:sr-only low:sr-only">Emergency</span>
      <kbd class="border-white/60 max-lg:hidden low:hidden">E</kbd>
    </button>
  </header>
</template>
