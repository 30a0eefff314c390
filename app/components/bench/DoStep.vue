<script setup lang="ts">
import { normalAt, stepKinds } from '#core/bench/plan/stepKinds'

/** A step that is simply done, with what is normal at it. */
const bench = useBench()
const { step, done, plan, ctx, state } = bench
const normal = computed(() => normalAt(step.value!))
function next() {
  if (done.value || bench.locked.value) return
  if (isLayOut.value) lots.layOut()
  for (const vessel of stepKinds[step.value!.kind].reads ?? []) bench.keepReading(vessel)
  bench.finish()
}
const lots = useBenchLots(bench)
useBenchKeys({ ' ': next, Enter: next })
const isLayOut = computed(() => step.value!.id === 'lay-out')
const says = computed(() => ctx.value.say)
</script>

<template>
  <BenchFrame>
    <div v-if="isLayOut" class="mt-4 grid gap-x-8 gap-y-4 md:grid-cols-2">
      <ul class="grid content-start gap-1.5 text-[16px]">
        <li
          v-for="vessel in plan.vessels"
          :key="vessel.id"
          class="figure flex justify-between gap-3 border-b border-line pb-1"
        >
          <span>{{ vessel.says }}</span>
          <span class="shrink-0 text-ink-2">{{ litres(vessel.size) }}</span>
        </li>
      </ul>
      <ul class="grid content-start gap-1.5 text-[16px]">
        <li v-for="tool in plan.tools" :key="tool" class="border-b border-line pb-1">{{ tool }}</li>
      </ul>
    </div>
    <LotsAtHand v-if="isLayOut && !done" :lots="lots.atHand.value" @stand="lots.stand" />
    <NormalLines v-if="normal" :lines="normal" class="mt-5 text-[18px]" />
    <AfterPlanBox v-if="step!.kind === 'cover'" class="mt-5" :gel="ctx.document.method.gel" />
    <p
      v-if="step!.kind === 'combine' && state.readings.lye.length"
      class="figure mt-4 text-[17px] text-ink-2"
    >
      Lye {{ says.temperature(state.readings.lye.at(-1)!.celsius)
      }}<template v-if="state.readings.oils.length"
        >, oils {{ says.temperature(state.readings.oils.at(-1)!.celsius) }}</template
      >.
    </p>
    <template #keys>
      <BenchKey says="Back" hint="←" @click="bench.look(-1)" />
      <BenchKey
        main
        :says="done ? 'Done' : 'Done, go on'"
        :hint="done ? '→ goes on' : 'Space'"
        :disabled="done"
        @click="next"
      />
      <BenchKey says="Next" hint="→" @click="bench.look(1)" />
    </template>
  </BenchFrame>
</template>
