<script setup lang="ts">
import { gramsPer } from '#core/units/measures'
import { readNumber } from '#core/units/readNumber'
import { amountOf, amountsIn } from '#core/words/amount'
import { tokensOf } from '#core/materials/tokens'

/**
 * The one way to enter a number. It speaks the workshop's units, takes either decimal mark and amounts such as
 * `1.5 kg`, and keeps what was typed while it is not a number. The model is in the core's units: fractions, grams.
 */
const props = withDefaults(
  defineProps<{
    label: string
    kind?: 'percent' | 'mass' | 'ratio' | 'plain'
    unit?: string
    decimals?: number
    /** Decimals that are always shown: of money. */
    least?: number
    step?: number
    min?: number
    max?: number
    big?: boolean
    quiet?: boolean
  }>(),
  {
    kind: 'plain',
    unit: undefined,
    decimals: undefined,
    least: 0,
    step: undefined,
    min: undefined,
    max: undefined,
  },
)
const model = defineModel<number | null>({ required: true })
const workshop = useWorkshop()

const factor = computed(() => {
  if (props.kind === 'percent') return 0.01
  return props.kind === 'mass' && workshop.settings.units === 'imperial' ? gramsPer.oz : 1
})
const suffix = computed(() => {
  if (props.unit !== undefined) return props.unit
  return { percent: '%', mass: workshop.say.massUnit, ratio: ': 1', plain: '' }[props.kind]
})
/** Long units are set smaller, so that the figure keeps its room. */
const long = computed(() => suffix.value.length > 4)
const places = computed(
  () =>
    props.decimals ??
    { percent: 2, mass: factor.value === 1 ? 2 : 3, ratio: 3, plain: 3 }[props.kind],
)

const shown = (value: number | null) =>
  value === null ? '' : workshop.say.typed(value / factor.value, places.value, props.least)

/** NaN when what is typed is no number. */
function read(typed: string): number {
  const amount = amountOf(amountsIn(tokensOf(typed), 'us'))?.amount.amount
  if (props.kind === 'mass' && amount?.kind === 'grams') return amount.grams
  const bare = typed.replace(/\s*(%|g|oz|:\s*1|days?|bars?)\s*$/i, '')
  return Number((readNumber(bare) * factor.value).toPrecision(12))
}

const typed = ref(shown(model.value))
const fault = computed(() => {
  if (typed.value.trim() === '') return ''
  const value = read(typed.value)
  if (Number.isNaN(value)) return 'This is not a number.'
  if (props.min !== undefined && value < props.min)
    return `At least ${shown(props.min)} ${suffix.value}.`
  if (props.max !== undefined && value > props.max)
    return `At most ${shown(props.max)} ${suffix.value}.`
  return ''
})
const same = (a: number | null, b: number | null) =>
  a === b || (a !== null && b !== null && Math.abs(a - b) <= 1e-9 * Math.max(1, Math.abs(a)))

watch([model, factor], ([value]) => {
  const now = typed.value.trim() === '' ? null : read(typed.value)
  if (!same(now, value) && !(fault.value && now !== null)) typed.value = shown(value)
  if (Number.isNaN(now)) typed.value = shown(value)
})

function onInput(event: Event) {
  typed.value = (event.target as HTMLInputElement).value
  if (typed.value.trim() === '') model.value = null
  else if (!fault.value) model.value = read(typed.value)
}
function onBlur() {
  if (!fault.value) typed.value = shown(model.value)
}
function nudge(direction: number, big: boolean) {
  const step =
    (props.step ?? (props.kind === 'ratio' ? 0.1 : 1) * (props.kind === 'percent' ? 0.01 : 1)) *
    (big ? 10 : 1)
  const next = Number(((model.value ?? 0) + direction * step).toPrecision(12))
  if (next < (props.min ?? 0) || next > (props.max ?? Infinity)) return
  model.value = next
  typed.value = shown(next)
}
const errorId = useId()
</script>

<template>
  <span class="relative inline-flex min-w-0 items-center">
    <input
      :value="typed"
      :aria-label="label"
      :aria-invalid="fault ? true : undefined"
      :aria-describedby="fault ? errorId : undefined"
      inputmode="decimal"
      autocomplete="off"
      class="figure w-full min-w-0 text-right"
      :class="[
        quiet
          ? 'rounded-sm border border-transparent bg-transparent text-ink hover:border-line-3'
          : 'field',
        big ? 'py-1 text-[18px] font-semibold' : 'py-[3px]',
      ]"
      :style="{ paddingRight: suffix ? `${14 + suffix.length * (long ? 5.6 : 9)}px` : undefined }"
      @input="onInput"
      @blur="onBlur"
      @focus="($event.target as HTMLInputElement).select()"
      @keydown.up.prevent="nudge(1, $event.shiftKey)"
      @keydown.down.prevent="nudge(-1, $event.shiftKey)"
    />
    <span
      v-if="suffix"
      aria-hidden="true"
      class="pointer-events-none absolute right-2 text-ink-2"
      :class="big ? 'text-base font-semibold' : long ? 'text-xs' : ''"
      >{{ suffix }}</span
    >
    <span
      v-if="fault"
      :id="errorId"
      role="alert"
      class="absolute top-full right-0 z-20 mt-1 w-max max-w-56 rounded-sm bg-stop px-2 py-1 text-left text-sm text-white"
      >{{ fault }}</span
    >
  </span>
</template>
