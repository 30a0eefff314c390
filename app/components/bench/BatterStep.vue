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
  if (mainKey.value.off) return
  if (!reached.value) return mark(wanted.value)
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
const wantedStage = computed(() => stages[stageRank(wanted.value)]!)
/** What Space may do: mark what is wanted, or go on once it is there. Nothing while hands are off or the maker stirs a parted batter. */
const mainKey = computed(() => {
  if (done.value) return { says: 'Done', hint: '→ goes on', off: true }
  if (lookIn.value)
    return { says: `Look in ${clockText(lookIn.value)}`, hint: 'Hands off until then', off: true }
  if (reached.value) return { says: 'Go on', hint: 'Space', off: false }
  return {
    says: `${wantedStage.value.says} is there`,
    hint: `Space, or ${stageRank(wanted.value) + 1}: ${wantedStage.value.looks}`,
    off: inDoubt.value && guide.value?.phase !== 'by-hand',
  }
})
/** The bar of the clock: to too thick, with where the wanted stage is to be looked for, and where it gets too thick. */
const bar = computed(() => {
  const { minutes: times } = usual.value
  const to = Math.max(times['too-far'] * 1.05, (clock.value ?? 0) + 0.5)
  const at = (of: number) => `${Math.min(100, (of / to) * 100)}%`
  const from = times[wanted.value] * 0.85
  const until = Math.min(times[wanted.value] * 1.2, to)
  return {
    now: at(clock.value ?? 0),
    from: at(from),
    wide: `${((until - from) / to) * 100}%`,
    thick: at(times.thick),
    ends: clockText(times['too-far']),
  }
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
    <BatterGuide v-if="guide" :guide="guide" :blender="blender" class="mt-3">
      <BenchKey
        v-for="key in guideKeys.more"
        :key="key.says"
        class="!flex-none"
        :says="key.says"
        :hint="key.hint"
        @click="key.act()"
      />
    </BatterGuide>
    <div class="mt-3 flex flex-wrap items-end gap-x-7 gap-y-1">
      <p
        class="figure leading-none font-bold"
        :class="guide ? 'text-[64px]' : 'text-[76px] sm:text-[112px] low:text-[84px]'"
      >
        {{ clockText(clock ?? 0) }}
      </p>
      <div class="figure pb-1">
        <p class="text-[20px] font-bold text-chalk sm:text-[26px]">
          wanted: {{ stageText(wanted)
          }}<template v-if="!done">, at about {{ clockText(usual.minutes[wanted]) }}</template>
        </p>
        <p class="text-[15px] text-ink-2">since the lye went in · {{ timesFrom }}</p>
        <p v-if="own?.races" class="text-[15px] font-semibold text-[#f3c24b]">
          This pot races: workable for about {{ minutesText(own.working) }}
        </p>
      </div>
    </div>
    <div v-if="!guide" class="relative mt-4 h-10 bg-[#283335] low:h-7" aria-hidden="true">
      <i
        class="absolute inset-y-0 left-0 border-l-4 border-[#d5432a]"
        :style="{ width: bar.now, background: colour }"
      />
      <i class="absolute inset-y-0 right-0 bg-[#4a4a35]" :style="{ left: bar.thick }" />
      <i class="absolute inset-y-0 w-[3px] bg-[#f3c24b]" :style="{ left: bar.thick }" />
      <i
        class="absolute -inset-y-2 border-2 border-[#7fb69b] bg-[#7fb69b44]"
        :style="{ left: bar.from, width: bar.wide }"
      />
    </div>
    <div v-if="!guide" class="figure relative mt-3 h-5 text-[14px] text-ink-2" aria-hidden="true">
      <span class="absolute left-0">lye in</span>
      <b class="absolute -translate-x-1/2 text-[#f3c24b]" :style="{ left: bar.thick }"
        >thick {{ clockText(usual.minutes.thick) }}</b
      >
      <span class="absolute right-0">{{ bar.ends }}</span>
    </div>
    <NormalLines :lines="normalAt(step!)!" class="mt-3 text-[16px]" />
    <template #foot>
      <ol
        class="grid grid-cols-3 gap-1.5 sm:grid-cols-6 sm:gap-2 low:grid-cols-6"
        aria-label="Stages"
      >
        <li v-for="(one, index) in stages" :key="one.id">
          <button
            type="button"
            class="relative grid h-full min-h-14 w-full content-start gap-1 px-2 py-1.5 text-left sm:px-2.5"
            :class="
              markOf(one.id) && !isCounted(one.id)
                ? 'bg-[#2d393b] outline-2 outline-dashed outline-[#f3c24b]'
                : now === one.id
                  ? 'bg-chalk text-[#182022]'
                  : one.id === wanted && !done
                    ? 'bg-[#161c1e] outline-3 outline-chalk'
                    : markOf(one.id)
                      ? 'bg-[#22402f]'
                      : 'bg-[#2d393b] text-ink-2'
            "
            :aria-pressed="now === one.id"
            :aria-label="`${one.says}: ${one.looks}`"
            @click="mark(one.id)"
          >
            <kbd class="absolute top-1 right-1.5 border-0 bg-transparent text-[14px] low:hidden">{{
              index + 1
            }}</kbd>
            <StageDrawing :stage="one.id" :colour="colour" class="max-sm:hidden low:hidden" />
            <b class="block text-[15px] leading-tight sm:text-[17px] low:text-[13px]">{{
              one.says
            }}</b>
            <span class="figure block text-[13px] leading-tight low:text-[11px]">{{
              markOf(one.id)
                ? `${clockText(markOf(one.id)!.minutes - combinedAt)}${isCounted(one.id) ? '' : ', not counted'}`
                : `about ${clockText(usual.minutes[one.id])}`
            }}</span>
          </button>
        </li>
      </ol>
    </template>
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
        :says="mainKey.says"
        :hint="mainKey.hint"
        :disabled="mainKey.off"
        @click="next"
      />
      <HoldKey
        v-if="guide?.id === 'false-trace'"
        says="It is trace"
        letter="t"
        @held="rescue('is-trace')"
      />
      <BenchKey
        v-else-if="blender && !done"
        :says="blendingSince === null ? 'Blender' : 'Blender off'"
        :hint="`B · ${Math.round(seconds)} s of blender`"
        :aria-pressed="blendingSince !== null"
        :class="blendingSince === null ? '' : '!bg-[#3d5a6b]'"
        @click="blend"
      />
      <BenchKey v-else says="Next" hint="→" @click="bench.look(1)" />
    </template>
  </BenchFrame>
</template>
