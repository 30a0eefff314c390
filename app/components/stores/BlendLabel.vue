<script setup lang="ts">
import type { BlendKind } from '#contracts/storeWords'

/** The label of a made-up stock, 100 × 50 mm: what it is, that it is caustic where it is, never how much to take. */
const { kind, strata } = defineProps<{
  kind: BlendKind
  name: string
  code: string
  made: string
  until: string
  /** Of what, in short. */
  of: string
  /** What it is by its figures. */
  says: string
  strata: { colour: string; share: number }[]
}>()
const stacked = computed(() => {
  let y = 100
  return strata.map((one) => {
    y -= one.share * 100
    return { ...one, y }
  })
})
</script>

<template>
  <div
    class="flex gap-4 border-2 border-[#182022] bg-white p-3 text-[#182022] print:h-[50mm] print:w-[100mm]"
  >
    <div v-if="kind === 'lye'" class="text-center">
      <CausticSign :size="92" />
      <b class="block text-[18px] text-[#b3261e]">Danger</b>
      <span class="text-[12px]/[14px]">burns skin<br />and eyes</span>
    </div>
    <svg v-else width="70" height="120" viewBox="0 0 60 104" aria-hidden="true">
      <rect
        v-for="(one, nth) in stacked"
        :key="nth"
        x="2"
        :y="one.y + 2"
        width="56"
        :height="one.share * 100"
        :fill="one.colour"
      />
      <rect x="2" y="2" width="56" height="100" fill="none" stroke="#182022" stroke-width="2" />
    </svg>
    <div class="min-w-0 flex-1 divide-y divide-[#182022] text-[13px]">
      <div class="pb-1.5">
        <b class="block text-[19px] leading-6">{{ name }}</b>
        <span>{{ of }}</span>
      </div>
      <div class="py-1.5">
        <b class="block">{{ says }}</b>
        <span>The plan says how much, never this label.</span>
      </div>
      <div class="pt-1.5">
        <p v-if="kind === 'lye'">
          <b>On skin:</b> rinse at once. <b>In eyes:</b> rinse 15 min at least, then a doctor. Keep
          locked, never in a food container.
        </p>
        <p v-else-if="kind === 'oils'"><b>Melt whole and stir before drawing.</b></p>
        <p v-else><b>Shake before drawing.</b></p>
        <b class="mt-1 block">{{ code }}, made {{ made }}{{ until ? `, till ${until}` : '' }}</b>
      </div>
    </div>
  </div>
</template>
