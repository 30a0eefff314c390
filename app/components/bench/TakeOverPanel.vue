<script setup lang="ts">
import { standsNow } from '#core/bench/run/stands'

/** Before somebody takes a run over while lye is about: dressed as the gate asks, and what stands where. */
const { withRefused } = defineProps<{ withRefused: boolean }>()
const emit = defineEmits<{ back: [] }>()
const bench = useBench()
const { keeper, plan, state, ctx, safetyCheck, celsius, next } = bench
const say = computed(() => ctx.value.say)
const stands = computed(() => standsNow(plan.value, state.value))
function lead() {
  keeper.takeOver(withRefused)
  emit('back')
}
useBenchKeys({ ' ': lead, Enter: lead, Escape: () => emit('back') })
</script>

<template>
  <section class="flex min-h-0 flex-1 flex-col" aria-label="Taking over">
    <div class="min-h-0 flex-1 overflow-y-auto px-4 py-5 sm:px-9">
      <h1 class="text-[26px] leading-tight font-bold sm:text-[32px]">
        You take over. Lye is about.
      </h1>
      <h2 class="mt-4 text-[19px] font-bold !text-ink">You too, before anything is touched</h2>
      <ul class="mt-1 grid gap-1 text-[17px]">
        <li v-for="point in safetyCheck" :key="point.id" class="border-l-4 border-[#f3c24b] pl-3">
          {{ point.says }}
        </li>
      </ul>
      <h2 class="mt-5 text-[19px] font-bold !text-ink">What stands where</h2>
      <ul class="figure mt-1 grid gap-2 text-[17px] md:grid-cols-2">
        <li
          v-for="vessel in stands"
          :key="vessel.id"
          class="bg-[#1f2829] px-3 py-2"
          :class="vessel.lye ? 'border-l-4 border-[#d5432a]' : ''"
        >
          <b>{{ vessel.says }}</b><template v-if="vessel.how">: {{ vessel.how }}</template>
          <small class="block text-[15px] text-ink-2">{{
            say.list(vessel.holds.map(({ name, grams }) => `${name} ${say.mass(grams)}`))
          }}</small>
        </li>
      </ul>
      <p class="figure mt-4 text-[17px]">
        <template v-if="celsius.lye !== null">Lye {{ say.temperature(celsius.lye) }}. </template>
        <template v-if="celsius.oils !== null">Oils {{ say.temperature(celsius.oils) }}. </template>
        <template v-if="next">Next: {{ next.says }}.</template>
      </p>
    </div>
    <div class="flex flex-none gap-3 border-t border-line px-3 py-3 sm:px-9 sm:py-5">
      <BenchKey says="Only follow" hint="Esc" @click="emit('back')" />
      <BenchKey main says="Dressed, I lead" hint="Space" @click="lead" />
    </div>
  </section>
</template>
