<script setup lang="ts">
import type { BatterStage, Rescue } from '#contracts/benchWords'
import { normalAt } from '#core/bench/plan/stepKinds'
import { celsiusAtCombine, stageRank, stages, stageText } from '#core/bench/run/batter'
import { guideOf, type AboutBatter } from '#core/bench/run/guide'
import { pours } from '#core/batter/patterns'
import { byBlender, patternOf } from '#core/formula/method'

/** The batter: a running clock, one key for each stage, blender seconds, the usual times, and what to do when it is in doubt. */
const bench = useBench()
const { step, plan, ctx, state, minutes, done } = bench
const say = computed(() => ctx.value.say)
const pot = computed(() => step.value!.pot ?? 0)
const own = computed(() => plan.value.pots[pot.value])
const clock = computed(() => bench.sinceCombined(pot.value))
const blender = computed(() => byBlender(ctx.value.document))
const sounds = useBenchSounds()
const usual = computed(() => bench.usualOf(pot.value))
const marks = computed(() => state.value.marks.filter((mark) => mark.pot === pot.value))
const markOf = (stage: BatterStage) => marks.value.findLast((mark) => mark.stage === stage)
const combinedAt = computed(() => minutes.value - (clock.value ?? 0))
const wanted = computed<BatterStage>(
  () => step.value!.until ?? pours[patternOf(ctx.value.document)].stage,
)
const counted = computed(() => marks.value.filter((mark) => mark.counted))
const now = computed(() => counted.value.at(-1)?.stage ?? null)
const about = computed<AboutBatter>(() => {
  const divided = step.value!.pot ?? null
  return {
    ctx: ctx.value,
    plan: plan.value,
    usually: usual.value.minutes,
    lyeC: celsiusAtCombine(state.value, 'lye', divided),
    oilsC: celsiusAtCombine(state.value, 'oils', divided),
    pot: divided,
  }
})
/** What is in doubt, and the one thing to do about it: while there is one, it holds the lit key and no mark counts. */
const guide = computed(() =>
  done.value ? null : guideOf(about.value, state.value, pot.value, combinedAt.value, minutes.value),
)
const inDoubt = computed(() => guide.value !== null && guide.value.phase !== 'remedy')
const reached = computed(
  () => !inDoubt.value && now.value !== null && stageRank(now.value) >= stageRank(wanted.value),
)
/** What a mark is worth: seen and counted, seen while in doubt, or seen before it parted. */
const isCounted = (stage: BatterStage) =>
  markOf(stage)!.counted && !(inDoubt.value && stageRank(stage) >= stageRank('medium'))
/** What else it is when the clock of hands off runs. */
const lookIn = computed(() =>
  guide.value?.lookAt == null ? null : Math.max(0, guide.value.lookAt - minutes.value),
)

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
const rescue = (how: Rescue) => bench.tell({ kind: 'rescued', pot: pot.value, how })
function water() {
  if (guide.value?.water) bench.tell({ kind: 'watered', pot: pot.value, grams: guide.value.water })
}
interface GuideKey {
  says: string
  hint?: string
  act: () => void
}
/** The keys of the guide, the lit ones first; none while hands are off. */
const guideKeys = computed((): { lit: GuideKey[]; more: GuideKey[] } => {
  const { phase, id, water: grams } = guide.value ?? {}
  if (phase === 'stop')
    return {
      lit: [
        {
          says: blender.value ? 'Blender is out' : 'Hands are off',
          hint: 'Space starts the two minutes',
          act: () => {
            if (blendingSince.value !== null) blend()
            rescue('stopped')
          },
        },
      ],
      more: [],
    }
  if (phase === 'look')
    return {
      lit: [
        { says: 'It weeps', hint: 'W, stir on by hand', act: () => rescue('weeps') },
        { says: 'Smooth and shiny', hint: 'S, blend on', act: () => rescue('smooth') },
      ],
      more: [],
    }
  if (phase !== 'remedy') return { lit: [], more: [] }
  const after: GuideKey[] = [
    { says: 'A simpler pour', act: () => rescue('simpler-pour') },
    { says: 'Kept as dough', act: () => rescue('dough') },
  ]
  if (id === 'too-fast') after.push({ says: 'It is calm again', act: () => rescue('waited') })
  return grams
    ? {
        lit: [{ says: `${say.value.mass(grams)} warm water is in`, hint: 'W', act: water }],
        more: after,
      }
    : { lit: after.slice(0, 1), more: after.slice(1) }
})
function next() {
  const { lit } = guideKeys.value
  // Of two answers neither is pressed by Space.
  if (lit.length) return lit.length === 1 ? lit[0]!.act() : undefined
  if (done.value || !reached.value) return
  if (blendingSince.value !== null) blend()
  bench.finish()
}
function pressed(key: string) {
  guideKeys.value.lit.find(({ hint }) => hint?.startsWith(key))?.act()
}
useBenchKeys({
  ' ': next,
  Enter: next,
  b: blend,
  w: () => pressed('W'),
  s: () => pressed('S'),
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
const mainSays = computed(() => {
  if (done.value) return 'Done'
  if (lookIn.value) return `Look in ${clockText(lookIn.value)}`
  return reached.value ? 'Go on' : `Mark ${stageText(wanted.value)} when you see it`
})
const mainHint = computed(() => {
  if (done.value) return '→ goes on'
  if (lookIn.value) return 'Hands off until then'
  return reached.value ? 'Space' : `key ${stageRank(wanted.value) + 1}`
})
/** A tone when the two minutes are over, since nobody stares at a clock. */
watch(
  () => guide.value?.phase,
  (phase, before) => {
    if (phase === 'look' && before === 'wait' && sounds.value) soundOf('look')
  },
)
const timesFrom = computed(() => {
  const { from, count } = usual.value
  if (from === 'model') return 'usual times by the model: none of this formula was marked yet'
  return from === 'today'
    ? `usual times from ${say.value.count(count, 'pot', 'pots')} of today`
    : `usual times from your last ${count > 1 ? say.value.count(count, 'batch', 'batches') : 'batch'} of it`
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
      <p class="text-[18px] sm:max-w-52">
        wanted: <b class="text-chalk">{{ stageText(wanted) }}</b>
        <small class="figure block text-[14px] text-ink-2">{{ timesFrom }}</small>
        <small v-if="own?.races" class="block text-[14px] font-semibold text-[#f3c24b]"
          >This pot races: workable for about {{ minutesText(own.working) }}</small
        >
      </p>
    </div>
    <BatterGuide v-if="guide" :guide="guide" :blender="blender" class="mt-4">
      <BenchKey
        v-for="key in guideKeys.more"
        :key="key.says"
        class="!flex-none"
        :says="key.says"
        :hint="key.hint"
        @click="key.act()"
      />
    </BatterGuide>
    <ol class="mt-3 grid grid-cols-2 gap-2" aria-label="Stages">
      <li v-for="(one, index) in stages" :key="one.id">
        <button
          type="button"
          class="grid h-full min-h-[76px] w-full grid-cols-[34px_1fr_auto] sm:min-h-[84px] items-center gap-2 px-2.5 py-1 text-left"
          :class="
            markOf(one.id) && !isCounted(one.id)
              ? 'bg-[#2d393b] outline-2 outline-dashed outline-[#f3c24b]'
              : now === one.id
                ? 'bg-chalk text-[#182022]'
                : markOf(one.id)
                  ? 'bg-[#22402f]'
                  : one.id === wanted
                    ? 'bg-[#2d393b] outline-2 outline-[#7fb69b]'
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
                ? `seen at ${clockText(markOf(one.id)!.minutes - combinedAt)}${isCounted(one.id) ? '' : ', not counted'}`
                : `${one.id === wanted ? 'wanted, ' : ''}usually ${clockText(usual.minutes[one.id])}`
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
      <template v-if="guideKeys.lit.length">
        <BenchKey
          v-for="key in guideKeys.lit"
          :key="key.says"
          main
          :says="key.says"
          :hint="key.hint"
          @click="key.act()"
        />
      </template>
      <BenchKey
        v-else
        main
        :says="mainSays"
        :hint="mainHint"
        :disabled="done || !reached"
        @click="next"
      />
      <HoldKey
        v-if="guide?.id === 'false-trace'"
        says="It is trace"
        letter="t"
        @held="rescue('is-trace')"
      />
      <BenchKey v-else says="Next" hint="→" @click="bench.look(1)" />
    </template>
  </BenchFrame>
</template>
