<script setup lang="ts">
import { capital } from '#core/units/language'
import { jarsFor, nextNoses } from '#core/trials/jars'

/** Jars that want a nose today, all trial days together. */
const trials = useTrials()
const workshop = useWorkshop()
const { say } = storeToRefs(workshop)
const jars = computed(() => jarsFor(trials.list, workshop.today))
const days = computed(() => {
  const of = new Map<string, number>()
  for (const { trialId, day } of jars.value) of.set(trialId, day)
  return [...of].map(([id, day]) => {
    const trial = trials.list.find((one) => one.id === id)!
    return `day ${day} of ${dayText(trial.document.day)}`
  })
})
const next = computed(() => nextNoses(trials.list, workshop.today)[0] ?? null)
const drawn = computed(() => Math.min(11, jars.value.length))
</script>

<template>
  <section v-if="jars.length" class="rounded-md bg-slate px-4 py-3 text-white">
    <div class="flex items-start gap-3">
      <div class="min-w-0 flex-1">
        <h2 class="text-[17px] font-bold text-white">
          {{ say.count(jars.length, 'jar wants a nose today', 'jars want a nose today') }}
        </h2>
        <p class="mt-0.5 text-[#c3cdcb]">
          {{ capital(say.list(days, 'and')) }}.
          <template v-if="next"
            >{{ say.count(next.jars, 'more jar', 'more jars') }} on
            {{ dayText(next.on) }}.</template
          >
        </p>
      </div>
      <NuxtLink
        to="/scents/sniffing"
        class="key chamfer bg-chalk px-5 py-2.5 text-[15px] font-bold text-[#182022]"
        >Sniff</NuxtLink
      >
    </div>
    <svg :viewBox="`0 0 ${drawn * 32} 42`" class="mt-2 h-10 w-full" aria-hidden="true">
      <g v-for="at in drawn" :key="at" :transform="`translate(${(at - 1) * 32} 2)`">
        <path d="M5 4 H27 L24 34 H8 Z" fill="#3a4749" stroke="#8a9794" />
        <path d="M3 2 H29 V6 H3 Z" fill="#8a9794" />
      </g>
      <path :d="`M0 37 H${drawn * 32} V41 H0 Z`" fill="#7d8784" />
    </svg>
  </section>
  <section v-else class="sheet px-4 py-3">
    <h2 class="text-base font-semibold text-ink-2">No jar wants a nose today</h2>
    <p v-if="next">
      Next on {{ dayText(next.on) }}: {{ say.count(next.jars, 'jar', 'jars') }}, day
      {{ next.after }}.
    </p>
  </section>
</template>
