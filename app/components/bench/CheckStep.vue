<script setup lang="ts">
import type { VesselKind } from '#contracts/benchWords'
import { lyeByPot } from '#core/bench/plan/pots'
import { weightsOf } from '#core/bench/run/run'
import { slipsOf, type Slip } from '#core/bench/run/slips'

/** Jug and pan on the scale once more: whether they weigh what was written, and what single slip would explain it if they do not. */
const bench = useBench()
const { plan, ctx, state, done, devices } = bench
const { settings } = storeToRefs(useWorkshop())
const say = computed(() => ctx.value.say)
const vessels = computed<{ id: VesselKind; says: string }[]>(() => [
  ...(lyeByPot(ctx.value.document) ? [] : [{ id: 'lye' as const, says: 'Lye jug' }]),
  { id: 'oils', says: 'Pan of oils' },
])
const own = computed(() => settings.value.vessels.filter(({ grams }) => grams > 0))
/** g of each vessel empty, and what the scale shows with all that is in it. */
const empty = reactive<Record<VesselKind, number | null>>({
  lye: bench.run.setup.jug.grams,
  oils: null,
})
const gross = reactive<Record<VesselKind, number | null>>({ lye: null, oils: null })
const net = (vessel: VesselKind) =>
  done.value
    ? state.value.checked[vessel]
    : gross[vessel] === null || empty[vessel] === null
      ? null
      : Math.max(0, gross[vessel] - empty[vessel])
const onScale = computed(() => devices.now.value.scale ?? null)
const check = computed(() =>
  slipsOf(ctx.value, plan.value, weightsOf(plan.value, state.value), {
    lye: net('lye'),
    oils: net('oils'),
    peakC: lyeByPot(ctx.value.document) ? null : bench.heat.value.peak,
  }),
)
const weighed = computed(() => vessels.value.every(({ id }) => net(id) !== null))
function slipSays({ kind, names, superfat }: Slip): string {
  const made = `The batch would have ${say.value.percent(superfat, 1)} superfat.`
  switch (kind) {
    case 'forgotten':
      return `${names[0]} was forgotten. ${made} Weigh it in now, then weigh once more.`
    case 'doubled':
      return `${names[0]} went in twice. ${made} Do not combine: make it anew, or scale the batch to it.`
    case 'swapped':
      return `${names[0]} and ${names[1]} took each other’s weight. ${made} Do not combine: make the lye anew.`
  }
}
/** Goes on with what was weighed, or with nothing: the maker may know better. */
function leave() {
  if (done.value) return
  for (const { id } of vessels.value) {
    const grams = net(id)
    if (grams !== null) bench.tell({ kind: 'checked', vessel: id, grams })
  }
  bench.finish()
}
function next() {
  if (weighed.value && check.value.agrees) leave()
}
useBenchKeys({ ' ': next, Enter: next, k: leave })
const missingOf = computed(() => vessels.value.find(({ id }) => net(id) === null))
</script>

<template>
  <BenchFrame>
    <div class="mt-4 grid gap-4 md:grid-cols-2">
      <section
        v-for="vessel in vessels"
        :key="vessel.id"
        class="bg-[#1f2829] px-4 py-3"
        :aria-label="vessel.says"
      >
        <h2 class="text-[20px] font-bold !text-ink">{{ vessel.says }}</h2>
        <p class="figure text-[16px] text-ink-2">
          {{ say.mass(check.expected[vessel.id].grams) }} should be in it
        </p>
        <p class="figure my-2 text-[48px] leading-none font-bold">
          {{ net(vessel.id) === null ? '—' : say.mass(net(vessel.id)!) }}
        </p>
        <div v-if="!done" class="grid gap-2">
          <label class="flex items-center justify-between gap-3 text-[16px]"
            >Scale, with the vessel
            <NumberField
              v-model="gross[vessel.id]"
              kind="mass"
              class="w-36"
              :label="`${vessel.says}, on the scale`"
              :min="0"
              :max="500000"
          /></label>
          <button
            v-if="onScale !== null"
            type="button"
            class="min-h-14 bg-[#2d393b] px-3 text-[17px] font-bold"
            @click="gross[vessel.id] = onScale"
          >
            Take {{ say.mass(onScale) }} from the scale
          </button>
          <label class="flex items-center justify-between gap-3 text-[16px]"
            >Vessel, empty
            <NumberField
              v-model="empty[vessel.id]"
              kind="mass"
              class="w-36"
              :label="`${vessel.says}, empty`"
              :min="0"
              :max="50000"
          /></label>
          <select
            v-if="own.length"
            class="min-h-14 border border-line-3 bg-transparent px-2 text-ink"
            :aria-label="`Which vessel: ${vessel.says}`"
            @change="empty[vessel.id] = Number(($event.target as HTMLSelectElement).value)"
          >
            <option class="text-[#182022]" disabled selected>a vessel of the workshop</option>
            <option v-for="one in own" :key="one.name" class="text-[#182022]" :value="one.grams">
              {{ one.name }}, {{ say.mass(one.grams) }}
            </option>
          </select>
        </div>
      </section>
    </div>
    <div
      v-if="!check.agrees"
      role="alert"
      class="mt-4 border-l-8 border-[#f3c24b] bg-[#2d2a1c] px-5 py-4"
    >
      <h2 class="text-[28px] leading-tight font-bold !text-ink">
        {{
          check.slips.length ? 'Stop. Something is not as written.' : 'Stop. It does not add up.'
        }}
      </h2>
      <ul class="mt-2 grid gap-2 text-[18px]">
        <li v-for="slip in check.slips" :key="slip.kind + slip.steps.join()">
          {{ slipSays(slip) }}
        </li>
        <li v-if="!check.slips.length">
          No single line that was forgotten, doubled or swapped explains it. Is it the right vessel,
          and was the scale at nothing? Weigh again before lye meets oils.
        </li>
      </ul>
    </div>
    <p v-else-if="weighed" class="mt-4 text-[20px] font-bold text-[#9fd1b8]">
      As written, within the scale and what steamed away.
    </p>
    <template #keys>
      <BenchKey says="Back" hint="←" @click="bench.look(-1)" />
      <BenchKey
        main
        :says="
          done
            ? 'Done'
            : missingOf
              ? `Weigh the ${missingOf.id === 'lye' ? 'lye jug' : 'pan'}`
              : check.agrees
                ? 'It agrees, go on'
                : 'It does not agree'
        "
        :hint="done ? '→ goes on' : 'Space, once both are as written'"
        :disabled="done || !weighed || !check.agrees"
        @click="next"
      />
      <BenchKey
        :says="done ? 'Next' : weighed ? 'Go on all the same' : 'Not this time'"
        :hint="done ? '→' : 'K'"
        @click="done ? bench.look(1) : leave()"
      />
    </template>
  </BenchFrame>
</template>
