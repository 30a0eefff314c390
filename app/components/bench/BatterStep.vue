<script setup lang="ts">
import type { BatterStage, Rescue } from '#contracts/benchWords'
import { normalAt } from '#core/bench/plan/stepKinds'
import { guideFor, stageRank, stages, stageText } from '#core/bench/run/batter'
import { pours } from '#core/batter/patterns'
import { byBlender, patternOf } from '#core/formula/method'

/** The batter: a running clock, one key for each stage, blender seconds, the usual times, and the guides. */
const bench = useBench()
const { step, plan, ctx, state, minutes, combinedC, done, usual } = bench
const say = computed(() => ctx.value.say)
const pot = computed(() => step.value!.pot ?? 0)
const clock = computed(() => bench.sinceCombined(pot.value))
const blender = computed(() => byBlender(ctx.value.document))
const marks = computed(() => state.value.marks.filter((mark) => mark.pot === pot.value))
const markOf = (stage: BatterStage) => marks.value.findLast((mark) => mark.stage === stage)
const combinedAt = computed(() => minutes.value - (clock.value ?? 0))
const wanted = computed<BatterStage>(
  () => step.value!.until ?? pours[patternOf(ctx.value.document)].stage,
)
const now = computed(() => marks.value.at(-1)?.stage ?? null)
const reached = computed(
  () => now.value !== null && stageRank(now.value) >= stageRank(wanted.value),
)
/** What the latest mark means, until something was done about it. */
const guide = computed(() => {
  const last = marks.value.at(-1)
  const answered = state.value.rescued.some(
    (rescue) => rescue.pot === pot.value && rescue.minutes >= (last?.minutes ?? 0),
  )
  if (!last || answered) return null
  const found = guideFor(
    ctx.value,
    plan.value,
    usual.value.minutes,
    last.stage,
    last.minutes - combinedAt.value,
    combinedC.value.lye,
    combinedC.value.oils,
    plan.value.dividing === 'none' || step.value!.pot === undefined ? null : pot.value,
  )
  return found && state.value.watered[pot.value] ? { ...found, water: 0 } : found
})

function mark(stage: BatterStage | undefined) {
  if (!stage || done.value) return
  bench.tell({ kind: 'marked', pot: pot.value, stage })
}

const blendingSince = ref<number | null>(null)
const seconds = computed(
  () =>
    (state.value.blended[pot.value] ?? 0) +
    (blendingSince.value === null ? 0 : (minutes.value - blendingSince.value) * 60),
)
function blend() {
  if (blendingSince.value === null) blendingSince.value = minutes.value
  else {
    bench.tell({
      kind: 'blended',
      pot: pot.value,
      seconds: Math.round((minutes.value - blendingSince.value) * 60),
    })
    blendingSince.value = null
  }
}
/** The one step that the guide asks for first: while it waits, it holds the lit key and nothing else goes on. */
const guided = computed(() => (done.value ? undefined : guideKeys.value[0]))
function next() {
  if (guided.value) return guided.value.act()
  if (done.value || !reached.value) return
  if (blendingSince.value !== null) blend()
  bench.finish()
}
function water() {
  if (guide.value?.water) bench.tell({ kind: 'watered', pot: pot.value, grams: guide.value.water })
}
const rescue = (how: Rescue) => bench.tell({ kind: 'rescued', pot: pot.value, how })
useBenchKeys({
  ' ': next,
  Enter: next,
  b: blend,
  w: water,
  ...Object.fromEntries(stages.map(({ id }, index) => [String(index + 1), () => mark(id)])),
})
onScopeDispose(() => blendingSince.value !== null && blend())
const colour = computed(() => plan.value.pots[pot.value]?.colour)
/** What each other pot is at, with its own clock. */
const others = computed(() =>
  plan.value.pots
    .map((one, index) => ({
      ...one,
      index,
      since: bench.sinceCombined(index),
      stage: state.value.marks.findLast((mark) => mark.pot === index)?.stage,
    }))
    .filter(
      ({ index, since }) => plan.value.pots.length > 1 && index !== pot.value && since !== null,
    ),
)
const guideKeys = computed(() => {
  if (!guide.value) return []
  const keys: { says: string; hint?: string; act: () => void }[] = []
  if (guide.value.water > 0)
    keys.push({
      says: `${say.value.mass(guide.value.water)} warm water is in`,
      hint: 'W',
      act: water,
    })
  if (guide.value.id === 'false-trace')
    keys.push({ says: 'Waited and looked', act: () => rescue('waited') })
  else
    keys.push(
      { says: 'A simpler pour', act: () => rescue('simpler-pour') },
      { says: 'Kept as dough', act: () => rescue('dough') },
    )
  return keys
})
</script>

<template>
  <BenchFrame>
    <div class="mt-2 flex flex-wrap items-end gap-x-6 gap-y-1">
      <div>
        <p class="figure text-[60px] leading-none font-bold sm:text-[88px]">
          {{ clockText(clock ?? 0) }}
        </p>
        <p class="text-[15px] text-ink-2">since the lye went in</p>
      </div>
      <button
        v-if="blender"
        type="button"
        class="min-h-16 px-4 py-2 text-left"
        :class="blendingSince === null ? 'bg-[#2d393b]' : 'bg-[#3d5a6b]'"
        :aria-pressed="blendingSince !== null"
        @click="blend"
      >
        <b class="figure text-[22px]">{{ Math.round(seconds) }} s</b> of blender
        <small class="block text-[13px]">{{
          blendingSince === null ? 'B starts a pulse' : 'B ends it'
        }}</small>
      </button>
      <p class="text-[18px] sm:max-w-64">
        wanted: <b class="text-chalk">{{ stageText(wanted) }}</b>
        <small class="figure block text-[14px] text-ink-2">{{
          usual.batches
            ? `usual times from your last ${usual.batches > 1 ? say.count(usual.batches, 'batch', 'batches') : 'batch'} of it`
            : 'usual times by the model: none of this formula was marked yet'
        }}</small>
      </p>
    </div>
    <div
      v-if="guide"
      role="alert"
      class="mt-4 border-l-4 border-[#f3c24b] bg-[#2a2a1c] px-4 py-3 text-[17px]"
    >
      <b class="block text-[20px] text-[#f3c24b]">{{ guide.says }}</b>
      <p class="figure text-ink-2">{{ guide.because }}</p>
      <ol class="mt-2 list-decimal pl-5">
        <li v-for="line in guide.steps" :key="line">{{ line }}</li>
      </ol>
      <div class="mt-3 flex flex-wrap gap-2">
        <BenchKey
          v-for="key in guideKeys.slice(1)"
          :key="key.says"
          class="!flex-none"
          :says="key.says"
          :hint="key.hint"
          @click="key.act()"
        />
      </div>
    </div>
    <ol class="mt-3 grid grid-cols-2 gap-2" aria-label="Stages">
      <li v-for="(one, index) in stages" :key="one.id">
        <button
          type="button"
          class="grid h-full min-h-[76px] w-full grid-cols-[34px_1fr_auto] sm:min-h-[84px] items-center gap-2 px-2.5 py-1 text-left"
          :class="
            now === one.id
              ? 'bg-chalk text-[#182022]'
              : markOf(one.id)
                ? 'bg-[#22402f]'
                : 'bg-[#2d393b]'
          "
          :aria-pressed="now === one.id"
          :aria-label="`${one.says}: ${one.looks}`"
          @click="mark(one.id)"
        >
          <span
            class="grid size-8 place-items-center border-2 border-current font-mono text-[15px]"
            >{{ index + 1 }}</span
          >
          <span class="min-w-0">
            <b class="block text-[17px]">{{ one.says }}</b>
            <span
              class="block text-[13px] leading-tight max-sm:hidden"
              :class="now === one.id ? '' : 'text-ink-2'"
              >{{ one.looks }}</span
            >
            <span class="figure block text-[13px]">{{
              markOf(one.id)
                ? `seen at ${clockText(markOf(one.id)!.minutes - combinedAt)}`
                : `usually ${clockText(usual.minutes[one.id])}`
            }}</span>
          </span>
          <StageDrawing :stage="one.id" :colour="colour" class="max-sm:hidden" />
        </button>
      </li>
    </ol>
    <NormalLines :lines="normalAt(step!)!" class="mt-3 text-[16px]" />
    <ul
      v-if="others.length"
      class="figure mt-3 flex flex-wrap gap-x-6 gap-y-1 text-[16px]"
      aria-label="The other pots"
    >
      <li v-for="other in others" :key="other.index" class="flex items-center gap-2">
        <i class="size-4 border border-white/30" :style="{ background: other.colour }" />
        {{ other.name }}: {{ stageText(other.stage) ?? 'not looked at' }},
        {{ clockText(other.since!) }}
      </li>
    </ul>
    <template #keys>
      <BenchKey says="Take back" hint="Z" @click="bench.takeBack()" />
      <BenchKey
        main
        :says="
          guided
            ? guided.says
            : done
              ? 'Done'
              : reached
                ? 'Go on'
                : `Mark ${stageText(wanted)} when you see it`
        "
        :hint="
          guided ? 'Space' : done ? '→ goes on' : reached ? 'Space' : `key ${stageRank(wanted) + 1}`
        "
        :disabled="!guided && (done || !reached)"
        @click="next"
      />
      <BenchKey says="Next" hint="→" @click="bench.look(1)" />
    </template>
  </BenchFrame>
</template>
