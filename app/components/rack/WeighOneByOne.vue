<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { weighInsOf } from '#core/rack/facts'
import { lookedFor, mixedUpWith } from '#core/rack/oddWeight'
import { standingOf } from '#core/rack/standing'
import { daysBetween } from '#core/units/days'
import { Check, Delete } from '@lucide/vue'

export interface BarToWeigh {
  batch: BatchSummary
  bar: number
  last: number | null
  key: string
}

/** A round at the scale on a phone: one bar a screen, where it stands, what it should weigh, what is odd about it, and large keys. */
const { bars, live, oddOf, day } = defineProps<{
  bars: BarToWeigh[]
  live: { grams: number | null; steady: boolean }
  oddOf: (batch: BatchSummary, bar: number) => string | null
  /** The day that is weighed on. */
  day: string
}>()
const emit = defineEmits<{ keep: [] }>()
const typed = defineModel<Record<string, number | null>>('typed', { required: true })
const sure = defineModel<Record<string, boolean>>('sure', { required: true })
const { say, today } = storeToRefs(useWorkshop())

const at = defineModel<number>('at', { required: true })
const one = computed(() => bars[Math.min(at.value, bars.length - 1)]!)
const next = computed(() => bars[at.value + 1] ?? null)
const grams = computed(() => typed.value[one.value.key] ?? null)
/** Whether the weight is told whole: half a number is odd as well, and nobody is asked about it. */
const told = ref(false)
// At once: what the scale tells is taken and judged in one go.
watch([grams, at], () => (told.value = false), { flush: 'sync' })
const strays = computed(() =>
  sure.value[one.value.key] ? null : oddOf(one.value.batch, one.value.bar),
)
const odd = computed(() => (told.value ? strays.value : null))
const looked = computed(() => lookedFor(one.value.batch.facts, one.value.bar, day))
/** Marked bars of the same batch that are still to be weighed. */
const others = computed(() =>
  bars.filter(({ batch, key }) => batch.id === one.value.batch.id && typed.value[key] == null),
)
const mixedUp = computed(() =>
  odd.value && grams.value !== null
    ? mixedUpWith(
        one.value.batch.facts,
        grams.value,
        day,
        others.value.map(({ bar }) => bar),
      )
    : null,
)

const field = ref<HTMLElement | null>(null)
const input = () => field.value?.querySelector('input')
/** Its own keys stand below: the keyboard of the phone would cover what is looked for. */
const focus = () =>
  void nextTick(() => {
    input()?.setAttribute('inputmode', 'none')
    input()?.focus()
  })
onMounted(focus)
function go(by: number) {
  at.value = Math.max(0, Math.min(bars.length - 1, at.value + by))
  focus()
}
function take() {
  if (grams.value === null && live.grams !== null && live.steady)
    typed.value[one.value.key] = live.grams
  told.value = true
  if (grams.value === null || odd.value) return
  if (next.value) go(1)
  else emit('keep')
}
function again() {
  typed.value[one.value.key] = null
  focus()
}
/** What was weighed is the other bar: it is kept there, and this one is asked for again. */
function isOther(bar: number) {
  const other = others.value.find((each) => each.bar === bar)!
  typed.value[other.key] = grams.value
  again()
}
function leaveOut() {
  typed.value[one.value.key] = null
  go(1)
}

/** The locale's decimal mark. */
const point = computed(() => say.value.typed(0.5, 1).charAt(1))
const keys = computed(() => ['7', '8', '9', '4', '5', '6', '1', '2', '3', point.value, '0', ''])
function press(key: string) {
  const target = input()
  if (!target) return
  const { value } = target
  let from = target.selectionStart ?? value.length
  const to = target.selectionEnd ?? value.length
  if (!key && from === to) from = Math.max(0, from - 1)
  target.setRangeText(key, from, to, 'end')
  target.dispatchEvent(new Event('input', { bubbles: true }))
  target.focus()
}

/** Its plank: up to two dozen of its bars, the marked ones in full colour, the one that is asked for lifted out. */
const most = 24
const plank = computed(() => {
  const { batch, bar } = one.value
  const count = Math.min(most, Math.max(standingOf(batch, today.value).bars, bar))
  const marked = new Map(
    bars.flatMap((each) => (each.batch.id === batch.id ? [[each.bar, each.key] as const] : [])),
  )
  return Array.from({ length: count }, (_, place) => ({
    bar: place + 1,
    marked: marked.has(place + 1),
    done: typed.value[marked.get(place + 1) ?? ''] != null,
    now: place + 1 === bar,
  }))
})

const whole = useWholeBatch(() => one.value.batch)
/** How this bar dried so far, and where it is looked for, as a small picture. */
const curve = computed(() => {
  const { facts, id } = one.value.batch
  const since = facts.remeltedOn ?? facts.pouredOn
  if (whole.value?.id !== id || !since) return null
  const points = weighInsOf(whole.value.events, since).filter(({ bar }) => bar === one.value.bar)
  const band = looked.value
  if (!points.length || !band) return null
  const now = daysBetween(since, day)
  const weights = [...points.map((point) => point.grams), band.low, band.high]
  const [low, high] = [Math.min(...weights) - 0.5, Math.max(...weights) + 0.5]
  const first = points[0]!.day
  const x = (on: number) => 44 + (260 * (on - first)) / Math.max(1, now - first)
  const y = (value: number) => 8 + (70 * (high - value)) / (high - low)
  const last = points.at(-1)!
  return {
    line: points.map((point) => `${x(point.day)},${y(point.grams)}`).join(' '),
    dots: points.map((point) => ({ x: x(point.day), y: y(point.grams) })),
    wedge: `${x(last.day)},${y(last.grams)} ${x(now)},${y(band.high)} ${x(now)},${y(band.low)}`,
    now: x(now),
    at: grams.value === null ? null : Math.max(4, Math.min(82, y(grams.value))),
    top: say.value.mass(high),
    bottom: say.value.mass(low),
    says: `${say.value.count(points.length, 'weigh-in', 'weigh-ins')} of this bar so far, from ${say.value.mass(points[0]!.grams)} to ${say.value.mass(last.grams)}.`,
  }
})
</script>

<template>
  <div
    class="flex flex-1 flex-col"
    @keydown.enter.exact.prevent="take"
    @keydown.enter.ctrl="told = true"
  >
    <div class="bg-band px-4 pt-3 pb-1.5" aria-hidden="true">
      <div class="flex h-9 items-end gap-[3px] border-b-[7px] border-plank">
        <img
          v-for="each in plank"
          :key="each.bar"
          :src="thumbnailUrl(one.batch.thumbnail, 11, 22)"
          class="h-[22px] min-w-0 flex-1 object-fill"
          :class="
            each.now
              ? 'mb-2.5 outline-2 outline-offset-2 outline-act'
              : each.marked
                ? ''
                : 'opacity-40'
          "
          alt=""
        />
      </div>
      <div class="figure flex h-5 text-[13px]">
        <span v-for="each in plank" :key="each.bar" class="relative min-w-0 flex-1">
          <span v-if="each.marked" class="absolute left-1/2 -translate-x-1/2">
            <Check v-if="each.done && !each.now" :size="15" class="mt-0.5 text-ok" />
            <b v-else-if="each.now">{{ each.bar }}</b>
            <template v-else>{{ each.bar }}</template>
          </span>
        </span>
      </div>
    </div>
    <div class="flex-1 px-4 pt-2.5">
      <p class="flex items-baseline justify-between gap-3">
        <b class="text-[19px] leading-tight">{{ one.batch.name }} {{ one.batch.number }}</b>
        <button v-if="at > 0" type="button" class="link min-h-11 shrink-0" @click="go(-1)">
          Back
        </button>
      </p>
      <div class="mt-1 grid grid-cols-[76px_1fr] items-start gap-4">
        <div class="relative grid place-items-center">
          <img :src="thumbnailUrl(one.batch.thumbnail, 52, 66)" width="52" height="66" alt="" />
          <b class="figure absolute top-5 rounded-sm bg-sheet px-1.5 text-[17px]">{{ one.bar }}</b>
          <span class="h-2 w-[66px] rounded-t-sm bg-plank" />
          <span class="h-4 w-[76px] rounded-sm bg-slate" />
        </div>
        <div class="min-w-0">
          <p class="mb-1.5 flex justify-between text-ink-2">
            <span>Bar {{ one.bar }}</span>
            <b v-if="live.grams !== null" :class="live.steady ? 'text-ok' : 'text-ink-2'">{{
              live.steady ? 'still' : 'moving'
            }}</b>
          </p>
          <div ref="field" class="big">
            <NumberField
              :key="one.key"
              kind="mass"
              big
              class="w-full"
              :label="`${one.batch.name} ${one.batch.number}, bar ${one.bar}`"
              :min="0.1"
              :max="20000"
              :model-value="grams"
              @update:model-value="typed[one.key] = $event"
            />
          </div>
        </div>
      </div>
      <dl class="figure mt-2 grid grid-cols-[1fr_auto] gap-x-3">
        <template v-if="one.last !== null && one.batch.facts.weighedOn">
          <dt class="text-ink-2">Last, {{ dayText(one.batch.facts.weighedOn, { today }) }}</dt>
          <dd class="text-right font-bold">{{ say.mass(one.last) }}</dd>
        </template>
        <dt v-else class="col-span-2 text-ink-2">
          Scratch its number in: it is marked from now on.
        </dt>
        <template v-if="looked && looked.low > 0">
          <dt class="text-ink-2">Looked for</dt>
          <dd class="text-right font-bold">
            {{ say.amount(looked.low) }} to {{ say.mass(looked.high) }}
            <Check
              v-if="grams !== null && !strays"
              :size="16"
              class="inline text-ok"
              aria-label="it is"
            />
          </dd>
        </template>
      </dl>
      <figure v-if="curve" class="mt-1">
        <svg viewBox="0 0 350 92" class="w-full" role="img" :aria-label="curve.says">
          <path d="M40 4V86H346" class="fill-none stroke-line-3" />
          <text x="36" y="13" text-anchor="end" class="fill-ink-2 text-[11px]">
            {{ curve.top }}
          </text>
          <text x="36" y="84" text-anchor="end" class="fill-ink-2 text-[11px]">
            {{ curve.bottom }}
          </text>
          <polygon :points="curve.wedge" class="fill-ok/20" />
          <polyline :points="curve.line" class="fill-none stroke-ok stroke-2" />
          <circle
            v-for="(dot, place) in curve.dots"
            :key="place"
            :cx="dot.x"
            :cy="dot.y"
            r="4"
            class="fill-ink"
          />
          <circle
            v-if="curve.at !== null"
            :cx="curve.now"
            :cy="curve.at"
            r="5"
            :class="strays ? 'fill-warn' : 'fill-ok'"
          />
          <text :x="curve.now + 9" y="20" class="fill-ink-2 text-[11px]">today</text>
        </svg>
      </figure>
      <div v-if="odd" class="mt-2 bg-warn-ground px-3 py-3" role="alert">
        <p class="font-semibold text-warn">{{ odd }}</p>
        <div class="mt-2 grid grid-cols-2 gap-2">
          <AppButton v-if="mixedUp !== null" class="col-span-2 min-h-14" @click="isOther(mixedUp)"
            >It is bar {{ mixedUp }}</AppButton
          >
          <AppButton class="min-h-14" @click="again">Weigh it again</AppButton>
          <AppButton class="min-h-14" @click="sure[one.key] = true">It weighs that</AppButton>
        </div>
      </div>
      <div v-else class="mt-2 grid grid-cols-3 gap-2" role="group" aria-label="Keys">
        <button
          v-for="key in keys"
          :key="key"
          type="button"
          tabindex="-1"
          class="figure flex min-h-14 items-center justify-center rounded-sm border border-line-3 bg-field text-[20px] font-semibold text-on-field"
          :aria-label="key ? undefined : 'Take back a digit'"
          @pointerdown.prevent
          @click="press(key)"
        >
          <template v-if="key">{{ key }}</template>
          <Delete v-else :size="24" aria-hidden="true" />
        </button>
      </div>
      <slot />
    </div>
    <div
      class="sticky bottom-0 mt-3 grid grid-cols-[104px_1fr] gap-2 border-t border-line-2 bg-sheet px-4 py-3"
    >
      <AppButton class="min-h-14" :disabled="!next" @click="leaveOut">Leave it out</AppButton>
      <AppButton kind="main" class="min-h-14" :disabled="grams === null || !!odd" @click="take">
        <span class="block"
          ><span class="block leading-tight">{{
            odd ? 'Which is it?' : grams === null ? 'Next' : `Keep ${say.mass(grams)}`
          }}</span>
          <small class="block leading-tight font-normal">{{
            odd || grams === null
              ? `bar ${one.bar} waits`
              : next
                ? `next, bar ${next.bar}${next.batch.id === one.batch.id ? '' : ` of ${next.batch.name} ${next.batch.number}`}`
                : 'that was the last: all are kept'
          }}</small></span
        >
      </AppButton>
    </div>
  </div>
</template>

<style scoped>
.big :deep(input) {
  font-size: 44px;
  font-weight: 700;
  height: 66px;
}
</style>
