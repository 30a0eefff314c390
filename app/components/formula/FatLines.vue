<script setup lang="ts">
import { shareTolerance, sumOfShares } from '#core/formula/compute'
import { inSentence } from '#core/units/language'
import { giveRemaining, toGrams, toShares, fillUp } from '#core/formula/edit'

const { library } = storeToRefs(useMaterials())
const { document, result, change, put } = useFormulaEditor()
const { say } = storeToRefs(useWorkshop())

const byShare = computed(() => document.value.size.by !== 'lines')
const sum = computed(() => sumOfShares(document.value))
const open = computed(() => 1 - sum.value)
const whole = computed(() => !byShare.value || Math.abs(open.value) <= shareTolerance)
const askSap = ref<number | null>(null)
const sapLine = computed(() => (askSap.value === null ? null : document.value.fats[askSap.value]))
const sapOpen = computed({
  get: () => askSap.value !== null,
  set: (value) => {
    if (!value) askSap.value = null
  },
})

const swapping = ref<number | null>(null)
const swapOpen = computed({
  get: () => swapping.value !== null,
  set: (value) => {
    if (!value) swapping.value = null
  },
})
const askLeft = ref<number | null>(null)
const leftOpen = computed({
  get: () => askLeft.value !== null,
  set: (value) => {
    if (!value) askLeft.value = null
  },
})
function fill(grams: number | null) {
  if (grams && askLeft.value !== null)
    change(fillUp(document.value, askLeft.value, grams, library.value))
}
const colourOf = (id: string) => substanceColour('fat', id, library.value)
function alsoOf(index: number) {
  const line = document.value.fats[index]!
  const words = []
  if (line.moment === 'trace') words.push(line.inLye ? 'at trace' : 'at trace, not in the lye')
  if (line.sap != null) words.push(`own value ${line.sap}`)
  return say.value.list(words) || undefined
}
function remove(index: number) {
  change({ ...document.value, fats: document.value.fats.filter((_, place) => place !== index) })
}
function move(index: number, by: number) {
  const fats = [...document.value.fats]
  const [line] = fats.splice(index, 1)
  fats.splice(index + by, 0, line!)
  change({ ...document.value, fats })
}
function entriesOf(index: number) {
  const line = document.value.fats[index]!
  const last = document.value.fats.length - 1
  return [
    ...(byShare.value && !whole.value
      ? [{ says: 'Give it what is open', act: () => change(giveRemaining(document.value, index)) }]
      : []),
    line.moment === 'pot'
      ? { says: 'Stir in at trace', act: () => put(['fats', index, 'moment'], 'trace') }
      : { says: 'Into the pot with the others', act: () => put(['fats', index, 'moment'], 'pot') },
    line.inLye
      ? { says: 'Leave out of the lye', act: () => put(['fats', index, 'inLye'], false) }
      : { says: 'Count in the lye', act: () => put(['fats', index, 'inLye'], true) },
    { says: 'Swap this fat for…', act: () => (swapping.value = index) },
    { says: 'Own saponification value…', act: () => (askSap.value = index) },
    { says: 'Use up what is left of it…', act: () => (askLeft.value = index) },
    ...(index > 0 ? [{ says: 'Move up', act: () => move(index, -1) }] : []),
    ...(index < last ? [{ says: 'Move down', act: () => move(index, 1) }] : []),
    { says: 'Remove', danger: true, act: () => remove(index) },
  ]
}
const label = (index: number) => result.value.fats[index]?.name ?? ''
</script>

<template>
  <section aria-label="Fats">
    <div class="flex flex-wrap items-center justify-between gap-x-3 px-3 pt-2 pb-1">
      <h2>Fats</h2>
      <span class="figure text-[12.5px] text-ink-3">
        <b v-if="byShare" :class="whole ? 'text-ok' : 'text-stop'">{{ say.percent(sum, 2) }}</b>
        {{ byShare ? 'of oils' : '' }}
        <template v-if="byShare && !whole && document.fats.length">
          · {{ say.percent(Math.abs(open), 2) }} {{ open > 0 ? 'open' : 'too much' }}</template
        >
        · {{ say.amount(result.oils) }}
        <button
          type="button"
          class="link ml-1 font-medium"
          @click="change(byShare ? toGrams(document, library) : toShares(document))"
        >
          {{ byShare ? 'by weight' : 'by share' }}
        </button>
      </span>
    </div>
    <ul>
      <LineRow
        v-for="(line, index) in document.fats"
        :key="index"
        :colour="colourOf(line.id)"
        :name="label(index)"
        :also="alsoOf(index)"
        :weight="say.massFigure(result.fats[index]?.grams ?? 0)"
        :entries="entriesOf(index)"
      >
        <template #offer>
          <button
            v-if="byShare && !whole"
            type="button"
            class="figure rounded-sm border border-line-3 bg-field px-1.5 py-0.5 text-xs font-semibold text-act hover:border-act"
            :aria-label="`Give what is open to ${label(index)}`"
            @click="change(giveRemaining(document, index))"
          >
            {{ open > 0 ? '+' : '−' }}{{ say.percent(Math.abs(open), 2) }}
          </button>
        </template>
        <NumberField
          v-if="byShare"
          kind="percent"
          :label="`${label(index)}, share of oils`"
          :model-value="line.share ?? null"
          :min="0"
          :max="1"
          @update:model-value="put(['fats', index, 'share'], $event)"
        />
        <NumberField
          v-else
          kind="mass"
          :label="`${label(index)}, weight`"
          :model-value="line.grams ?? null"
          :min="0"
          :max="1000000"
          @update:model-value="put(['fats', index, 'grams'], $event)"
        />
      </LineRow>
    </ul>
    <LazyAskDialog
      v-if="sapLine"
      v-model="sapOpen"
      title="Own saponification value"
      label="mg KOH per g"
      text="From the certificate of your lot, or for a fat that is not in the library."
      hint="Between 20 and 400. Leave it empty to use the library's value."
      :min="20"
      :max="400"
      :value="sapLine.sap ?? library.fats.get(sapLine.id)?.sap.typical ?? null"
      @number="put(['fats', askSap!, 'sap'], $event ?? undefined)"
    />
    <LazyAskDialog
      v-if="askLeft !== null"
      v-model="leftOpen"
      :title="`Use up the ${inSentence(label(askLeft))}`"
      label="Left in the drum"
      text="The batch is sized so that this fat is used up; the others follow by their shares."
      kind="mass"
      confirm="Size the batch"
      :min="1"
      :max="1000000"
      :value="Math.round((result.fats[askLeft]?.grams ?? 0) * 10) / 10"
      @number="fill"
    />
    <LazySwapDialog v-if="swapping !== null" v-model="swapOpen" :line="swapping" />
  </section>
</template>
