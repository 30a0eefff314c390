<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { lookedFor, mixedUpWith } from '#core/rack/oddWeight'
import { Check, Delete } from '@lucide/vue'

interface BarToWeigh {
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

/** The marked bars of this batch, and whether each is weighed. */
const marked = computed(
  () =>
    new Map(
      bars
        .filter(({ batch }) => batch.id === one.value.batch.id)
        .map(({ bar, key }) => [bar, typed.value[key] != null]),
    ),
)
</script>

<template>
  <div
    class="flex flex-1 flex-col"
    @keydown.enter.exact.prevent="take"
    @keydown.enter.ctrl="told = true"
  >
    <WeighPlank :batch="one.batch" :bar="one.bar" :marked="marked" />
    <div class="flex-1 px-4 pt-2.5">
      <p class="flex items-baseline justify-between gap-3">
        <b class="text-[19px] leading-tight">{{ one.batch.name }} {{ one.batch.number }}</b>
        <button v-if="at > 0" type="button" class="link min-h-11 shrink-0" @click="go(-1)">
          Back
        </button>
      </p>
      <div class="mt-1 grid grid-cols-[76px_1fr] items-start gap-4">
        <div class="relative grid place-items-center">
          <BarThumbnail :thumbnail="one.batch.thumbnail" :width="52" :height="66" />
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
      <BarCurve
        v-if="looked && looked.low > 0"
        :batch="one.batch"
        :bar="one.bar"
        :day="day"
        :grams="grams"
        :looked="looked"
        class="mt-1"
      />
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
