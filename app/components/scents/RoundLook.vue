<script setup lang="ts">
import { nextStage } from '#core/trials/plan'
import { clockText } from '#core/scents/finding'
import { plainSoap } from '~/utils/potDrawing'
import { sights, type BenchPot, type TrialRound } from '~/composables/useTrialRound'

/** The round: pots as large tiles, one key or tap for what is seen in the one in hand. */
const { round } = defineProps<{ round: TrialRound }>()
const emit = defineEmits<{ note: [pot: number | null] }>()
const scents = useScents()
const { pots, wanted, mark, keeper, running } = round
const hand = ref<number | null>(null)
const unsure = ref(false)
/** One in hand stays there until something is told of it; then the next that wants a look. */
watch(
  wanted,
  (now) => {
    if (hand.value === null || pots.value[hand.value]?.state.lidded != null) hand.value = now
  },
  { immediate: true },
)
const inHand = computed(() => (hand.value === null ? null : (pots.value[hand.value] ?? null)))
function next() {
  const before = hand.value
  hand.value = null
  void nextTick(() => {
    hand.value =
      wanted.value !== before
        ? wanted.value
        : (running.value.find(({ place }) => place !== before)?.place ?? before)
  })
}
function see(saw: (typeof sights)[number]['saw']) {
  const pot = inHand.value
  if (!pot || pot.own === null || pot.state.lidded !== null) return
  mark(pot.place, saw, unsure.value)
  unsure.value = false
  next()
}
function asItWas() {
  if (inHand.value) keeper.tell({ kind: 'looked', pot: inHand.value.place })
  next()
}
function putLid(pot: BenchPot) {
  keeper.tell({ kind: 'lidded', pot: pot.place, on: pot.state.lidded === null })
}
function move(by: number) {
  const count = pots.value.length
  hand.value = ((((hand.value ?? 0) + by) % count) + count) % count
}
useShortcuts({
  ' ': asItWas,
  ...Object.fromEntries(sights.map(({ key, saw }) => [key, () => see(saw)])),
  '?': () => (unsure.value = !unsure.value),
  z: () => round.takeBack(),
  ArrowRight: () => move(1),
  ArrowLeft: () => move(-1),
  ArrowDown: () => move(4),
  ArrowUp: () => move(-4),
  n: () => emit('note', hand.value),
  d: () => inHand.value && putLid(inHand.value),
})
const colourOf = (pot: BenchPot) =>
  pot.scentId ? (scents.known.get(pot.scentId)?.scent.colour ?? '#9aa8a6') : '#c9d3d0'
const batterOf = (pot: BenchPot) =>
  (pot.scentId && scents.known.get(pot.scentId)?.colour.at(-1)?.swatch) || plainSoap
/** What is foretold next of the pot in hand. */
const next9 = computed(() => {
  const pot = inHand.value
  if (!pot || pot.own === null) return null
  const next = nextStage(pot.stretches.at(-1)?.stage ?? 'emulsion', pot.foretold)
  return next && { saw: next.stage, at: next.at }
})
const nextSays = computed(() => {
  if (!next9.value) return ''
  const { says } = sights.find(({ saw }) => saw === next9.value!.saw)!
  return next9.value.at > 60
    ? `${says} is not foretold within the hour.`
    : `${says} is foretold about ${clockText(next9.value.at)}.`
})
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <div
      class="grid min-h-0 flex-1 auto-rows-fr grid-cols-3 gap-1.5 overflow-y-auto p-2 sm:gap-2 sm:px-6 lg:grid-cols-4"
    >
      <RoundTile
        v-for="pot in pots"
        :key="pot.code"
        :pot="pot"
        :colour="colourOf(pot)"
        :batter="batterOf(pot)"
        :in-hand="pot.place === hand"
        :wanted="pot.place === wanted"
        @click="hand = pot.place"
      />
    </div>
    <div class="px-3 sm:px-6">
      <div class="flex flex-wrap items-baseline gap-x-6 py-1 text-[15px] sm:text-[18px]">
        <p v-if="inHand" class="min-w-0 flex-1">
          In hand <b class="figure">{{ inHand.code }}</b><template v-if="inHand.own === null"
            >: its scent is not in yet.</template
          >
          <template v-else-if="inHand.state.lidded !== null">: it has left the round. </template>
          <template v-else
            >. Stir, lift, look: <b class="text-[#f2ead6]">{{ nextSays }}</b></template
          >
          <button
            v-if="inHand.own !== null"
            type="button"
            class="ml-3 min-h-9 underline"
            @click="putLid(inHand)"
          >
            {{ inHand.state.lidded === null ? 'Lid on' : 'Lid off' }}
          </button>
        </p>
        <p class="text-[14px] text-ink-2 max-lg:hidden">
          <kbd>Z</kbd> takes back: {{ round.lastSays(round.last.value) || 'nothing' }}
          <kbd class="ml-3">←</kbd> <kbd>↑</kbd> another pot <kbd class="ml-3">N</kbd> note
          <kbd class="ml-3">D</kbd> lid
        </p>
      </div>
      <div
        class="grid grid-cols-5 gap-1.5 pb-2 sm:gap-2 sm:pb-4 lg:grid-cols-[176px_repeat(10,minmax(0,1fr))] low:grid-cols-11"
      >
        <button
          type="button"
          class="chamfer order-last col-span-3 min-h-16 bg-[#f2ead6] text-[20px] font-bold text-[#182022] max-lg:col-start-2 lg:order-first lg:col-span-1 low:order-first low:col-span-1 low:col-start-auto low:text-[14px]"
          @click="asItWas"
        >
          As it was<span class="block text-[14px] font-semibold max-lg:hidden"
            >Space, next pot</span
          >
        </button>
        <button
          v-for="one in sights"
          :key="one.key"
          type="button"
          class="relative flex min-h-[72px] flex-col items-center justify-center bg-[#2d393b] px-0.5 py-1 font-semibold sm:min-h-[104px] low:min-h-[64px]"
          :style="
            next9?.saw === one.saw ? { outline: '3px solid #f2ead6', outlineOffset: '-3px' } : {}
          "
          :disabled="!inHand || inHand.own === null || inHand.state.lidded !== null"
          @click="see(one.saw)"
        >
          <span class="figure absolute top-1 left-1.5 text-[14px] max-lg:hidden">{{
            one.key
          }}</span>
          <SmallPot class="size-11 sm:size-[58px] low:size-8" :look="one.saw" />
          <span class="text-[13px] sm:text-[16px]">{{ one.says }}</span>
          <span class="text-[12px] text-ink-2 max-lg:hidden low:hidden">{{
            one.lid ? 'lid on' : next9?.saw === one.saw ? 'foretold' : ''
          }}</span>
        </button>
        <button
          type="button"
          class="relative min-h-[72px] bg-[#2d393b] font-semibold sm:min-h-[104px] low:min-h-[64px]"
          :class="unsure ? 'outline-3 -outline-offset-3 outline-[#f3c24b]' : ''"
          :aria-pressed="unsure"
          @click="unsure = !unsure"
        >
          <b class="block text-[30px] leading-9">?</b>
          <span class="text-[13px] sm:text-[16px]">not sure</span>
          <span class="block text-[12px] text-ink-2 max-lg:hidden">with the next</span>
        </button>
        <button
          type="button"
          class="order-last min-h-14 bg-[#2d393b] font-semibold max-lg:col-start-1 max-lg:row-start-3 lg:hidden low:hidden"
          @click="emit('note', hand)"
        >
          Note
        </button>
        <button
          type="button"
          class="order-last min-h-14 bg-[#2d393b] font-semibold lg:hidden low:hidden"
          @click="round.takeBack()"
        >
          Back
        </button>
      </div>
    </div>
  </div>
</template>
