<script setup lang="ts">
import { barsOf } from '#core/mould/bars'
import type { Figure } from '#core/formula/explain'

const { document, result, weighed, open: lacking } = useFormulaEditor()
const { say } = storeToRefs(useWorkshop())
const why = defineModel<Figure | null>('why', { required: true })

const options = ref(false)
const moulds = useMoulds()
if (document.value.size.by === 'moulds') void moulds.load()
const bars = computed(() => barsOf(document.value, result.value.batter, moulds.documents))
/** What the scale can weigh: the very figures of sheet, plan and bench. */
const lye = computed(() => weighed.value.result.lye)
const water = computed(() => weighed.value.result.water)
const ready = computed(() => !lacking.value.some(({ id }) => id === 'empty' || id === 'value'))
const lyeWords = computed(() => {
  const { naohPurity, solutionStrength, kohShare } = document.value.alkali
  const soda =
    solutionStrength === null
      ? `NaOH ${say.value.percent(naohPurity)} pure`
      : `solution, ${say.value.percent(solutionStrength)} NaOH`
  const ice = water.value.ice > 0 ? `, ${say.value.mass(water.value.ice)} of the water as ice` : ''
  return `${soda}${kohShare > 0 ? `, ${say.value.percent(kohShare)} potash` : ''}${ice}`
})
const goods = useGoodsToday()
const { settings } = storeToRefs(useWorkshop())
const cost = computed(() => (ready.value ? goods(result.value) : null))
const shown = (grams: number) => (grams > 0 ? say.value.mass(grams) : '–')
</script>

<template>
  <div class="grid grid-cols-2">
    <div class="border-r border-b border-line-2 px-4 py-2">
      <div class="flex items-center justify-between gap-2 text-sm text-ink-2">
        <span class="flex items-center gap-1.5">
          <i class="size-2.5 rounded-[2px] bg-lye" />{{
            lye.solution === null ? 'Lye' : 'Lye solution'
          }}
        </span>
        <button
          type="button"
          class="link font-medium"
          aria-label="Why this much lye?"
          @click="why = 'lye'"
        >
          Why?
        </button>
      </div>
      <output data-testid="lye" class="figure block text-key leading-tight font-[650]">{{
        ready && lye.pureAsNaoh > 0 ? say.massDown(lye.solution ?? lye.naoh) : '–'
      }}</output>
      <div v-if="lye.koh > 0" class="figure font-semibold">
        and {{ say.massDown(lye.koh) }} potash
      </div>
      <button
        type="button"
        class="figure mt-0.5 text-sm text-ink-2 underline underline-offset-3"
        aria-haspopup="dialog"
        @click="options = true"
      >
        {{ lyeWords }}
      </button>
      <LazyLyeOptions v-if="options" v-model="options" />
    </div>
    <div class="border-b border-line-2 px-4 py-2">
      <div class="flex items-center justify-between gap-2 text-sm text-ink-2">
        <span class="flex items-center gap-1.5"
          ><i class="size-2.5 rounded-[2px] bg-water" />Water</span
        >
        <button
          type="button"
          class="link font-medium"
          aria-label="Why this much water?"
          @click="why = 'water'"
        >
          Why?
        </button>
      </div>
      <output data-testid="water" class="figure block text-key leading-tight font-[650]">{{
        ready ? shown(water.weighed) : '–'
      }}</output>
      <div v-if="result.liquids.length" class="figure text-sm text-ink-2">
        {{ say.mass(result.water.content) }} with the water of other liquids
      </div>
    </div>
    <div class="border-r border-line-2 px-4 py-2">
      <div class="flex justify-between text-sm text-ink-2">
        Batter
        <button
          type="button"
          class="link font-medium"
          aria-label="Why this much batter?"
          @click="why = 'batter'"
        >
          Why?
        </button>
      </div>
      <output data-testid="batter" class="figure block text-key leading-tight font-[650]">{{
        result.batter > 0 ? say.amount(result.batter) : '–'
      }}</output>
    </div>
    <div class="px-4 py-2">
      <div class="text-sm text-ink-2">
        {{ say.count(bars, 'bar', 'bars') }} of {{ say.amount(result.batter / bars) }}, long dried
      </div>
      <output data-testid="dried" class="figure block text-key leading-tight font-[650]">{{
        result.batter > 0 ? say.amount(result.longDried / bars) : '–'
      }}</output>
      <div v-if="cost !== null" class="figure text-sm text-ink-2">
        goods {{ moneyText(cost / bars, settings.currency) }} a bar today
      </div>
    </div>
  </div>
</template>
