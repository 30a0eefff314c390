<script setup lang="ts">
import { readNumber } from '#core/units/readNumber'
import { isOff, rateOf } from '#core/trials/dose'
import { clockText } from '#core/scents/finding'
import type { Devices } from '~/composables/useDevices'
import type { BenchPot, TrialRound } from '~/composables/useTrialRound'

/** Batter, then scent, weighed into each pot: typed as the scale shows it. With its scent a pot's own clock begins. */
const { round, what, devices } = defineProps<{
  round: TrialRound
  what: 'batter' | 'scent'
  devices: Devices
}>()
const emit = defineEmits<{ look: [] }>()
const { say } = storeToRefs(useWorkshop())
const scents = useScents()
const { pots, keeper, document } = round

const done = (pot: BenchPot) =>
  what === 'batter' ? pot.state.batter !== null : pot.scentId === null || pot.state.zero !== null
const chosen = ref<number | null>(null)
const place = computed(
  () => chosen.value ?? pots.value.find((pot) => !done(pot))?.place ?? pots.value.length - 1,
)
const pot = computed(() => pots.value[place.value]!)
const plan = computed(() => document.pots[place.value]!)
const following = computed(() => pots.value.find((one) => one.place > place.value && !done(one)))
const target = computed(() => (what === 'batter' ? plan.value.grams : pot.value.dose))
const typed = ref('')
watch([place, () => what], () => (typed.value = ''))
/** What the scale showed when it was set to nothing; each pot begins there. */
const tare = ref(0)
const shown = computed(() => devices.now.value.scale)
const live = computed(() => (shown.value === null ? null : Math.max(0, shown.value - tare.value)))
/** What still pours is no weight yet. */
const moving = computed(
  () =>
    typed.value.trim() === '' && live.value !== null && devices.heard.value.scale?.stable === false,
)
const setToZero = () => (tare.value = shown.value ?? 0)
// A scale that begins to speak begins from what stands on it.
watch(
  shown,
  (now, before) => {
    if (now !== null && (before === null || before === undefined)) setToZero()
  },
  { immediate: true },
)
const standIn = computed(() => devices.sources.value.scale.kind === 'stand-in')
const useStandIn = () => void devices.choose('scale', { kind: 'stand-in' })
/** The stand-in's own hand: most of it, the last drops, too much. */
function pour(part: number) {
  const wanted = target.value * part - (live.value ?? 0)
  if (wanted > 0)
    void devices.act({ act: 'pour', grams: wanted, perSecond: Math.max(0.1, target.value / 3) })
}
/** What is typed counts; where nothing is, what the scale shows. */
const grams = computed(() =>
  typed.value.trim() === '' && live.value !== null
    ? Math.round(live.value / document.scale) * document.scale
    : readNumber(typed.value),
)
const known = computed(
  () =>
    (typed.value.trim() !== '' || live.value !== null) &&
    !Number.isNaN(grams.value) &&
    grams.value > 0,
)
const batter = computed(() => pot.value.state.batter ?? plan.value.grams)
const rate = computed(() =>
  known.value ? rateOf({ batter: batter.value, scent: grams.value }, plan.value.oilShare) : null,
)
/** Grams that a pot may be off by. */
const within = computed(() =>
  what === 'batter'
    ? plan.value.grams * 0.05
    : Math.max(0.002, document.scale / (batter.value * plan.value.oilShare)) *
      batter.value *
      plan.value.oilShare,
)
const off = computed(() => {
  if (!known.value) return false
  if (what === 'batter') return Math.abs(grams.value - plan.value.grams) > within.value
  return isOff(
    { batter: batter.value, scent: grams.value },
    { oilShare: plan.value.oilShare, rate: plan.value.rate, step: document.scale },
  )
})
/** So far beyond that it is a slip of the finger, not of the hand. */
const absurd = computed(() => known.value && grams.value > target.value * 5 + 1)
const difference = computed(() => grams.value - target.value)
const plain = computed(() => what === 'scent' && plan.value.scentId === null)
const figure = (value: number) => say.value.number(value, undefined, 2)
function keep() {
  if (plain.value) {
    chosen.value = following.value?.place ?? null
    return
  }
  if (!known.value || absurd.value || moving.value) return
  if (what === 'batter')
    keeper.tell({
      kind: 'weighed',
      pot: place.value,
      what: 'batter',
      grams: grams.value,
      typed: typed.value.trim() !== '',
    })
  else round.scentIn(place.value, grams.value, typed.value.trim() !== '')
  typed.value = ''
  chosen.value = null
  setToZero()
}
/** The weight as it was wanted, for scales that hit it. */
function asPlanned() {
  typed.value = String(Number(target.value.toFixed(2)))
}
const field = ref<HTMLInputElement | null>(null)
onMounted(() => field.value?.focus())
watch(place, () => void nextTick(() => field.value?.focus()))
const colour = computed(() =>
  plan.value.scentId
    ? (scents.known.get(plan.value.scentId)?.scent.colour ?? '#8d6aa8')
    : '#d8c58f',
)
const top = computed(() => Math.max(target.value * 1.25, 0.01))
const offPots = computed(() => pots.value.filter((one) => one.off))
const weighed = computed(() =>
  pots.value.filter(({ state, scentId }) => scentId && state.scent !== null),
)
</script>

<template>
  <div class="grid min-h-0 flex-1 lg:grid-cols-[288px_minmax(0,1fr)_304px]">
    <nav
      class="flex min-h-0 flex-col overflow-y-auto bg-[#1f2628] max-lg:order-last max-lg:max-h-44"
      aria-label="Pots"
    >
      <button
        v-for="one in pots"
        :key="one.code"
        type="button"
        class="flex min-h-14 items-center gap-3 px-3 text-left"
        :class="one.place === place ? 'bg-[#f2ead6] text-[#182022]' : ''"
        :aria-current="one.place === place ? 'step' : undefined"
        @click="chosen = one.place"
      >
        <PotTop class="w-11 shrink-0" look="emulsion" :now="one.own" />
        <span class="min-w-0 flex-1 leading-5">
          <b class="figure block tracking-wider">{{ one.code }}</b>
          <span class="block truncate text-[14px]">{{ one.name }}</span>
        </span>
        <span class="figure text-right leading-5">
          <b class="block">{{
            what === 'batter'
              ? one.state.batter === null
                ? '–'
                : `${figure(one.state.batter)} g`
              : one.own === null
                ? '–'
                : clockText(one.own)
          }}</b>
          <span
            class="block text-[14px]"
            :class="one.off && one.place !== place ? 'text-[#f3c24b]' : ''"
            >{{
              what === 'batter'
                ? ''
                : one.scentId === null
                  ? 'no scent'
                  : one.state.scent === null
                    ? one.place === place
                      ? 'now'
                      : 'to come'
                    : `${figure(one.state.scent)} g${one.off ? ' ▲' : ''}`
            }}</span
          >
        </span>
      </button>
      <button
        v-if="what === 'scent' && round.running.value.length"
        type="button"
        class="m-3 min-h-14 border border-[#f3c24b] px-4 text-left font-semibold text-[#f3c24b]"
        @click="emit('look')"
      >
        Mark a pot that changes
      </button>
    </nav>
    <form class="min-h-0 overflow-y-auto px-4 py-4 sm:px-8" @submit.prevent="keep">
      <h2 class="text-[24px] leading-8 font-bold text-ink sm:text-[30px]">
        {{ what === 'batter' ? 'Batter' : plan.name }} into
        <span class="figure border-b-2 border-current tracking-wider">{{ plan.code }}</span>
      </h2>
      <p class="text-[17px] text-ink-2">
        {{
          plain
            ? 'It stays plain: nothing goes in. Stir it as the others.'
            : what === 'batter'
              ? 'Pour it in at emulsion, the pot on the scale.'
              : 'From the bottle, drop by drop. Stir it under when the pot is right.'
        }}
      </p>
      <template v-if="!plain">
        <label class="mt-4 block">
          <span class="sr-only">Grams that the scale shows</span>
          <span class="flex items-baseline gap-3">
            <input
              ref="field"
              v-model="typed"
              inputmode="decimal"
              autocomplete="off"
              class="figure w-[6.2ch] border-b-2 border-line-3 bg-transparent text-[64px] leading-none font-bold text-ink outline-none focus:border-[#f2ead6] sm:text-[120px]"
              :placeholder="figure(live ?? target)"
            />
            <span class="text-[36px] text-ink-2">g</span>
          </span>
        </label>
        <p class="mt-2 text-[19px]" role="status">
          <template v-if="typed.trim() && !known">That is not a weight.</template>
          <template v-else-if="absurd"
            >{{ figure(grams) }} g? {{ figure(target) }} g were wanted. Look at the decimal
            point.</template
          >
          <template v-else-if="known && !off"
            >Right: {{ figure(target) }} g within {{ figure(within) }}.</template
          >
          <template v-else-if="known"
            ><b class="text-[#f3c24b]"
              >{{ figure(Math.abs(difference)) }} g {{ difference > 0 ? 'over' : 'short' }}</b
            >
            of {{ figure(target) }}. Kept, it is marked and counts at its own rate.</template
          >
          <template v-else>{{ figure(target) }} g, within {{ figure(within) }}.</template>
        </p>
        <div class="relative mt-3 h-11 bg-[#2a3436]" aria-hidden="true">
          <i
            class="absolute inset-y-0 left-0"
            :style="{
              width: `${known ? Math.min(100, (grams / top) * 100) : 0}%`,
              background: colour,
            }"
          />
          <i
            class="absolute -inset-y-2 border-2 border-[#7fb69b] bg-[#7fb69b33]"
            :style="{
              left: `${((target - within) / top) * 100}%`,
              width: `${((within * 2) / top) * 100}%`,
            }"
          />
        </div>
        <p v-if="what === 'scent'" class="mt-2 text-center text-ink-2">
          {{
            rate === null
              ? `${say.percent(plan.rate, 2)} of its oils are wanted`
              : `${say.percent(rate, 2)} of its oils, wanted ${say.percent(plan.rate, 2)}`
          }}
        </p>
        <div class="mt-3 flex flex-wrap items-center gap-2">
          <button
            type="button"
            class="min-h-11 border border-line-3 px-4 font-semibold"
            @click="asPlanned"
          >
            As wanted: {{ figure(target) }} g
          </button>
          <template v-if="live !== null">
            <span class="text-ink-2">the scale shows {{ figure(live) }} g</span>
            <button
              type="button"
              class="min-h-11 border border-line-3 px-4 font-semibold"
              @click="setToZero"
            >
              Tare
            </button>
          </template>
          <template v-if="standIn">
            <button type="button" class="min-h-11 border border-line-3 px-4" @click="pour(0.9)">
              Pour to just short
            </button>
            <button type="button" class="min-h-11 border border-line-3 px-4" @click="pour(1)">
              The last drops
            </button>
            <button type="button" class="min-h-11 border border-line-3 px-4" @click="pour(1.12)">
              Too much
            </button>
          </template>
          <button
            v-else-if="live === null"
            type="button"
            class="min-h-11 px-2 underline"
            @click="useStandIn"
          >
            Try it with a stand-in scale
          </button>
        </div>
      </template>
      <div class="mt-4 grid grid-cols-[1fr_2fr] gap-3">
        <button
          type="button"
          class="min-h-20 bg-[#2d393b] text-[19px] font-bold"
          @click="round.takeBack()"
        >
          Take back<span class="block text-[14px] font-normal text-ink-2">{{
            round.lastSays(round.last.value)
          }}</span>
        </button>
        <button
          type="submit"
          class="chamfer min-h-20 text-[20px] font-bold"
          :class="
            plain || (known && !absurd && !moving)
              ? 'bg-[#f2ead6] text-[#182022]'
              : 'bg-[#3a4648] text-ink-2'
          "
        >
          <template v-if="plain">Next pot</template>
          <template v-else-if="moving">The scale still moves</template>
          <template v-else-if="what === 'batter'">Keep it, next pot</template>
          <template v-else-if="pot.state.zero !== null"
            >Put {{ plan.code }}’s weight right</template
          >
          <template v-else>Stirred in: {{ plan.code }}’s clock starts</template>
        </button>
      </div>
    </form>
    <aside class="min-h-0 overflow-y-auto bg-[#1f2628] px-5 py-4 max-lg:hidden">
      <PotTop class="mx-auto w-56" look="emulsion" />
      <dl class="mt-3 text-[17px]">
        <div class="flex border-t border-line py-2">
          <dt class="flex-1">Batter really in it</dt>
          <dd class="figure font-bold">
            {{ pot.state.batter === null ? '–' : `${figure(pot.state.batter)} g` }}
          </dd>
        </div>
        <div class="flex border-t border-line py-2">
          <dt class="flex-1">Oils in that batter</dt>
          <dd class="figure font-bold">{{ say.percent(plan.oilShare, 1) }}</dd>
        </div>
        <div v-if="plan.scentId" class="flex border-t border-line py-2">
          <dt class="flex-1">Scent at {{ say.percent(plan.rate, 1) }} of oils</dt>
          <dd class="figure font-bold">{{ figure(pot.dose) }} g</dd>
        </div>
      </dl>
      <p v-for="one in offPots" :key="one.code" class="mt-3 border-t border-line pt-3">
        <b class="text-[#f3c24b]">▲ {{ one.code }} has {{ say.percent(one.rate, 1) }}.</b> It stays
        in the round and counts at its own rate.
      </p>
      <p v-if="what === 'scent'" class="mt-3 border-t border-line pt-3">
        {{ say.number(weighed.length) }} of
        {{ say.count(pots.filter(({ scentId }) => scentId).length, 'scent', 'scents') }} in. Racers
        come last.
      </p>
      <p
        v-if="following && following.scentId && what === 'scent'"
        class="mt-3 border-t border-line pt-3"
      >
        Next: {{ following.name }} into <span class="figure">{{ following.code }}</span>.
        <b>Loosen its cap.</b>
      </p>
    </aside>
  </div>
</template>
