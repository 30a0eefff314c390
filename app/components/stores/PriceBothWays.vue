<script setup lang="ts">
import { keptOf, maySpend, priceFor, reaches } from '#core/cost/price'

/** A price from what a bar cost up, and from what somewhere pays down. What is kept is a share of what reaches the maker. */
const { cost } = defineProps<{ cost: number }>()
const workshop = useWorkshop()
const { settings, say } = storeToRefs(workshop)
const toasts = useToasts()
const soaps = useSoapWords()
const money = (minor: number) => moneyText(minor, settings.value.currency)
const costing = computed(() => settings.value.costing)
const chosen = ref(0)
const none = { name: 'At the door', price: null, fee: 0, discount: 0, wholesale: 0, tax: 0 }
const outlet = computed(() => costing.value.outlets[chosen.value] ?? none)
const keep = ref(0.6)
watch(
  () => costing.value.keep,
  (now) => (keep.value = now),
  { immediate: true },
)
const ask = computed(() => priceFor(cost, keep.value, outlet.value))
const price = ref<number | null>(null)
watch(outlet, (now) => (price.value = now.price), { immediate: true })
const spend = computed(() =>
  price.value === null ? null : maySpend(price.value, keep.value, outlet.value),
)
const over = computed(() => (spend.value === null ? 0 : cost - spend.value))
const kept = computed(() => (price.value ? keptOf(price.value, cost, outlet.value) : null))
/** The rails end a little beyond the dearer of the two. */
const most = computed(() => Math.max(ask.value ?? 0, price.value ?? 0, cost) * 1.06 || 1)
const x = (minor: number) => `${Math.max(0, Math.min(100, (minor / most.value) * 100))}%`
const shares = [
  { key: 'fee', says: 'stall or card fee' },
  { key: 'discount', says: 'given away' },
  { key: 'wholesale', says: 'the shop keeps' },
  { key: 'tax', says: 'tax within' },
] as const
async function setKeep(value: number | null) {
  if (value === null) return
  keep.value = value
  await save({ keep: value })
}
async function setShare(key: (typeof shares)[number]['key'], value: number | null) {
  if (value === null || !costing.value.outlets[chosen.value]) return
  const outlets = costing.value.outlets.map((one, nth) =>
    nth === chosen.value ? { ...one, [key]: value } : one,
  )
  await save({ outlets })
}
async function save(changes: Partial<typeof costing.value>) {
  try {
    await workshop.save({ costing: changes })
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
/** What stands in the list from now on: what is paid, or what is to be asked where nobody said. */
const toSet = computed(() => price.value ?? ask.value)
async function setPrice(formulaId: string) {
  if (toSet.value === null) return
  const now = Math.round(toSet.value)
  try {
    await soaps.load()
    const before = soaps.of(formulaId).price
    await soaps.change(formulaId, { price: now })
    toasts.show(`${money(now)} a bar, on its labels, its card and in the price list.`, {
      undo: async () => void (await soaps.change(formulaId, { price: before })),
    })
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
defineExpose({ setPrice, canSet: computed(() => toSet.value !== null) })
</script>

<template>
  <section class="sheet grid content-start gap-3 px-4 py-3" aria-labelledby="both-ways">
    <header class="flex items-center justify-between gap-3">
      <h2 id="both-ways" class="text-[14px] font-bold text-ink">The price, both ways</h2>
      <select
        v-if="costing.outlets.length"
        v-model.number="chosen"
        class="field !w-auto py-1"
        aria-label="Where it is sold"
      >
        <option v-for="(one, nth) in costing.outlets" :key="nth" :value="nth">
          {{ one.name }}
        </option>
      </select>
    </header>
    <div>
      <div class="flex justify-between">
        <span>Up from what it cost, {{ money(cost) }}</span>
        <b class="text-[18px]" data-testid="ask">{{
          ask === null ? 'nothing reaches you' : `ask ${money(ask)}`
        }}</b>
      </div>
      <div v-if="ask !== null" class="relative mt-1 h-8 bg-line-2">
        <span class="absolute inset-y-0 left-0 bg-[#46555a]" :style="{ width: x(cost) }" />
        <span
          class="absolute inset-y-0 overflow-hidden bg-ok-ground px-2 text-[12.5px]/8 whitespace-nowrap"
          :style="{ left: x(cost), width: x(reaches(ask, outlet) - cost) }"
          >you keep {{ say.percent(keep, 0) }}, {{ money(reaches(ask, outlet)) }} reaches you</span
        >
        <span
          class="striped absolute inset-y-0"
          :style="{ left: x(reaches(ask, outlet)), width: x(ask - reaches(ask, outlet)) }"
        />
      </div>
    </div>
    <div>
      <label class="flex items-center justify-between gap-3">
        Down from what is paid
        <MoneyField v-model="price" label="What is paid" class="w-28" />
      </label>
      <div v-if="price !== null && spend !== null" class="relative mt-1 h-8 bg-line-2">
        <span
          class="absolute inset-y-0 left-0 border border-line-3 bg-field px-2 text-[12.5px]/8 whitespace-nowrap text-on-field"
          :style="{ width: x(spend) }"
          >may spend {{ money(spend) }}</span
        >
        <span
          class="absolute inset-y-0 bg-ok-ground"
          :style="{ left: x(spend), width: x(reaches(price, outlet) - spend) }"
        />
        <span
          class="striped absolute inset-y-0"
          :style="{ left: x(reaches(price, outlet)), width: x(price - reaches(price, outlet)) }"
        />
        <i class="absolute -inset-y-1 w-0.5 bg-ink" :style="{ left: x(cost) }" />
      </div>
    </div>
    <div class="grid grid-cols-2 gap-3 sm:grid-cols-5">
      <FieldRow says="you keep"
        ><NumberField
          kind="percent"
          label="you keep, of what reaches you"
          :min="0"
          :max="0.95"
          :model-value="keep"
          @update:model-value="setKeep"
      /></FieldRow>
      <FieldRow v-for="one in shares" :key="one.key" :says="one.says"
        ><NumberField
          kind="percent"
          :label="one.says"
          :min="0"
          :max="0.95"
          :model-value="outlet[one.key]"
          @update:model-value="(value) => setShare(one.key, value)"
      /></FieldRow>
    </div>
    <p v-if="price !== null" class="border-t border-line pt-2" role="status">
      <template v-if="over > 0.5">
        <span class="text-warn" aria-hidden="true">▲</span>
        <b> At {{ money(price) }} it is {{ money(over) }} too dear</b> for
        {{ say.percent(keep, 0) }} to stay with you;
        {{ say.percent(Math.max(0, kept ?? 0), 0) }} does.
      </template>
      <template v-else>
        <b class="text-ok">At {{ money(price) }} you keep {{ say.percent(kept ?? 0, 0) }}.</b>
      </template>
    </p>
    <ul v-if="costing.outlets.length > 1" class="flex flex-wrap gap-x-6 border-t border-line pt-2">
      <li v-for="one in costing.outlets.filter(({ price: at }) => at)" :key="one.name">
        {{ one.name }} {{ money(one.price!) }}
        <b>keeps {{ say.percent(keptOf(one.price!, cost, one) ?? 0, 0) }}</b>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.striped {
  background: repeating-linear-gradient(135deg, #8a9794 0 2px, transparent 2px 6px);
}
</style>
