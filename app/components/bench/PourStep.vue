<script setup lang="ts">
import { normalAt } from '#core/bench/plan/stepKinds'
import { stageText } from '#core/bench/run/batter'
import { pours } from '#core/batter/patterns'
import { patternOf } from '#core/formula/method'
import { sumOf } from '#core/statistics/sum'

/** The pour: the order of the pots, what each still needs, and the mould filling up. */
const bench = useBench()
const { step, plan, ctx, state, done } = bench
const say = computed(() => ctx.value.say)
const pot = computed(() => step.value!.pot ?? null)
const pours_ = computed(() => pours[patternOf(ctx.value.document)])
const rows = computed(() =>
  plan.value.pots.map((one, index) => ({
    ...one,
    index,
    name: one.name || 'all of it',
    poured: pot.value === null ? done.value : state.value.poured.some((one) => one.pot === index),
    on: pot.value === null || pot.value === index,
    stage: stageText(
      state.value.marks.findLast((mark) => mark.pot === (plan.value.pots.length > 1 ? index : 0))
        ?.stage,
    ),
    since: bench.sinceCombined(index),
  })),
)
const whole = computed(() => sumOf(rows.value, (row) => row.batter) || 1)
const layers = computed(() => {
  let level = 150
  return rows.value.map((row) => {
    const height = (row.batter / whole.value) * 140
    level -= height
    return { ...row, y: level, height }
  })
})
/** The layer below, and the minutes until it carries: poured sooner, this one breaks through. It sets as its batter would thicken. */
const below = computed(() => (pot.value ? pot.value - 1 : null))
const thickens = computed(() =>
  below.value === null ? 0 : bench.usualOf(below.value).minutes.thick,
)
const carriesIn = computed(() => {
  const since = below.value === null ? null : bench.sinceCombined(below.value)
  return done.value || since === null ? 0 : Math.max(0, thickens.value - since)
})
const sounds = useBenchSounds()
watch(carriesIn, (now, before) => {
  if (before > 0 && now === 0 && sounds.value) soundOf('look')
})
function next() {
  if (!done.value && carriesIn.value === 0) bench.finish()
}
/** The maker looked: it holds a spoon already. */
const pourNow = () => done.value || bench.finish()
useBenchKeys({ ' ': next, Enter: next, k: pourNow })
</script>

<template>
  <BenchFrame>
    <div class="mt-4 flex flex-wrap gap-8">
      <svg
        viewBox="0 0 300 160"
        class="h-auto w-full max-w-[420px]"
        role="img"
        :aria-label="`The mould: ${say.list(rows.map(({ name, poured }) => `${name} ${poured ? 'is in' : 'to come'}`))}`"
      >
        <g v-for="layer in layers" :key="layer.index">
          <rect
            x="12"
            width="276"
            :y="layer.y"
            :height="layer.height"
            :fill="layer.colour"
            :opacity="layer.poured ? 1 : layer.on ? 0.55 : 0.14"
            :stroke="layer.on && !layer.poured ? '#f2ead6' : 'none'"
            stroke-dasharray="5 4"
            stroke-width="2"
          />
        </g>
        <path d="M8 4 V154 H292 V4" fill="none" stroke="#b9c5c3" stroke-width="4" />
      </svg>
      <ol class="figure grid min-w-56 flex-1 content-start gap-2 text-[17px]">
        <li
          v-for="row in rows"
          :key="row.index"
          class="flex items-center justify-between gap-3 border-b border-line pb-2"
          :class="row.on ? '' : 'text-ink-3'"
        >
          <span class="flex items-center gap-2"
            ><i class="size-5 border border-white/30" :style="{ background: row.colour }" />{{
              row.name
            }}</span
          >
          <span class="text-right"
            >{{ say.amount(row.batter)
            }}<small class="block text-[14px] text-ink-2"
              >{{ row.stage ?? ''
              }}<template v-if="row.since !== null">, {{ clockText(row.since) }}</template></small
            ></span
          >
        </li>
      </ol>
    </div>
    <p class="mt-3 text-[17px]">{{ pours_.says }}: {{ pours_.wants }}.</p>
    <NormalLines :lines="normalAt(step!)!" class="mt-3 text-[16px]" />
    <template #keys>
      <BenchKey says="Back" hint="←" @click="bench.look(-1)" />
      <BenchKey
        main
        :says="
          done
            ? 'Done'
            : carriesIn
              ? `${plan.pots[below!]!.name} carries in ${clockText(carriesIn)}`
              : 'Poured and tapped'
        "
        :hint="done ? '→ goes on' : carriesIn ? 'it must hold a spoon first' : 'Space'"
        :disabled="done || carriesIn > 0"
        @click="next"
      />
      <BenchKey v-if="carriesIn" says="It holds a spoon" hint="K, pour now" @click="pourNow" />
      <BenchKey v-else says="Next" hint="→" @click="bench.look(1)" />
    </template>
  </BenchFrame>
</template>
