<script setup lang="ts">
import { mistakesOf } from '#core/bench/run/mistakes'

/** The end: what was made, and in a rehearsal what a practised maker would have done otherwise. */
const bench = useBench()
const { ctx, plan, state, soFar, practising, minutes, keeper, run } = bench
const emit = defineEmits<{ finish: [] }>()
const workshop = useWorkshop()
const say = computed(() => ctx.value.say)
const mistakes = computed(() => mistakesOf(ctx.value, plan.value, state.value))
const worked = computed(() => state.value.finished?.minutes ?? minutes.value)
function end() {
  if (!state.value.finished) {
    // Nothing is ignored: a screen that follows leads first, and then writes it down.
    if (!keeper.leading.value) keeper.takeOver(false)
    bench.tell({ kind: 'finished', pouredDay: workshop.today })
  }
  emit('finish')
}
useBenchKeys({ ' ': end, Enter: end })
const marks = { stop: 'Stop', think: 'Think', know: 'Know' } as const
</script>

<template>
  <section
    class="flex min-h-0 flex-1 flex-col overflow-y-auto px-4 py-6 sm:px-9"
    aria-label="The end"
  >
    <h1 class="text-[30px] font-bold">
      {{ practising ? 'The rehearsal is over' : 'Poured, covered and rinsed' }}
    </h1>
    <p class="mt-1 text-[18px] text-ink-2">{{ minutesText(worked) }} from the start.</p>
    <dl class="figure mt-5 grid max-w-xl grid-cols-2 gap-x-6 gap-y-2 text-[19px]">
      <dt class="text-ink-2">Superfat as weighed</dt>
      <dd class="text-right font-bold">{{ say.percent(soFar.superfat, 2) }}</dd>
      <dt class="text-ink-2">Water to lye</dt>
      <dd class="text-right font-bold">{{ say.ratio(soFar.ratio) }}</dd>
      <dt class="text-ink-2">Batter</dt>
      <dd class="text-right font-bold">{{ say.amount(soFar.batter) }}</dd>
      <template v-if="soFar.scent > 0">
        <dt class="text-ink-2">Scent, of the oils</dt>
        <dd class="text-right font-bold">{{ say.percent(soFar.scent, 2) }}</dd>
      </template>
    </dl>
    <template v-if="practising">
      <h2 class="mt-7 text-[20px] font-bold !text-ink">
        {{ mistakes.length ? 'What to do otherwise next time' : 'Nothing to do otherwise' }}
      </h2>
      <p v-if="!mistakes.length" class="mt-1 text-[17px] text-ink-2">
        In order, inside every band, at the right warmth. Ready for the real thing.
      </p>
      <ul class="mt-2 grid max-w-3xl gap-3">
        <li
          v-for="mistake in mistakes"
          :key="mistake.says"
          class="border-l-4 pl-3 text-[17px]"
          :class="
            mistake.severity === 'stop'
              ? 'border-[#d5432a]'
              : mistake.severity === 'think'
                ? 'border-[#f3c24b]'
                : 'border-line-3'
          "
        >
          <b>{{ marks[mistake.severity] }}. {{ mistake.says }}</b>
          <span class="block text-ink-2">{{ mistake.because }}</span>
        </li>
      </ul>
    </template>
    <p v-if="state.laundry" class="mt-5 text-[18px] font-semibold text-[#f3c24b]">
      Kept for laundry: not for skin. The batch says so wherever it is shown.
    </p>
    <CupsLeft class="mt-6" />
    <AfterPlanBox class="mt-6 max-w-2xl" :gel="run.setup && ctx.document.method.gel" />
    <div class="mt-6 flex gap-3">
      <BenchKey says="Back" hint="←" @click="bench.open(plan.steps.at(-1)!.id)" />
      <BenchKey
        main
        :says="
          practising
            ? 'Leave the rehearsal'
            : state.finished
              ? 'To the batch'
              : 'Write it down as poured'
        "
        :hint="keeper.leading.value || state.finished ? 'Space' : 'Space: this screen leads first'"
        @click="end"
      />
    </div>
  </section>
</template>
