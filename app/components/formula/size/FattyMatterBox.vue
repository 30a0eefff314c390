<script setup lang="ts">
import type { FormulaDocument } from '#contracts/formula'
import { computeFormula } from '#core/formula/compute'
import { waterForFattyMatter } from '#core/formula/sizing'
import { lyeWeighed } from '#core/formula/pot'

/** Fatty matter when poured, at least so much: both things that makers mean by it, and the water that makes them hold. */
const draft = defineModel<FormulaDocument>({ required: true })
const { settings, say } = storeToRefs(useWorkshop())
const { library } = storeToRefs(useMaterials())
const wanted = ref<number | null>(settings.value.leastFattyMatter ?? 0.65)

const result = computed(() => computeFormula(draft.value, library.value))
const meanings = [
  { of: 'oils', says: 'oils' },
  { of: 'fattyAcids', says: 'fatty acids' },
] as const
const rows = computed(() =>
  meanings.map(({ of, says }) => {
    const found = waterForFattyMatter(draft.value, wanted.value ?? 0, of, library.value)
    return { of, says, ...found, short: (wanted.value ?? 0) - found.share }
  }),
)
/** The water with which both hold, or as many as can. */
const water = computed(() => {
  const ratios = rows.value.filter(({ short }) => short > 5e-5).map(({ ratio }) => ratio)
  if (!ratios.length) return null
  return ratios.some((ratio) => ratio === null) ? 'never' : Math.min(...(ratios as number[]))
})
function setWater(ratio: number) {
  // Rounded down, so that what is shown holds.
  const value = Math.floor(ratio * 100) / 100
  draft.value = { ...draft.value, water: { held: 'ratio', value: Math.max(1, value) } }
}
const bars = computed(() => {
  const { batter, lye, water: poured } = result.value
  return {
    lye: batter > 0 ? lyeWeighed({ lye }) / batter : 0,
    water: batter > 0 ? poured.weighed / batter : 0,
  }
})
</script>

<template>
  <section class="rounded-sm border border-line bg-field px-3 py-2.5" aria-label="Fatty matter">
    <div class="flex flex-wrap items-center justify-between gap-3">
      <h3 class="font-semibold text-ink-2">Fatty matter when poured, at least</h3>
      <span class="flex items-center gap-2 text-sm text-ink-2">
        people mean one or the other
        <NumberField
          v-model="wanted"
          kind="percent"
          label="Fatty matter wanted"
          class="w-20"
          :min="0.05"
          :max="0.95"
          :decimals="1"
        />
      </span>
    </div>
    <div
      v-for="row in rows"
      :key="row.of"
      class="mt-2 grid grid-cols-[8rem_1fr_6rem] items-center gap-3"
    >
      <span>{{ row.says }}</span>
      <span class="relative flex h-6 bg-line-2">
        <b
          class="figure flex items-center bg-[#c8b25a] px-2 text-[#182022]"
          :style="{ width: `${row.share * 100}%` }"
          >{{ say.percent(row.share) }}</b
        >
        <i class="ml-auto bg-water" :style="{ width: `${bars.water * 100}%` }" />
        <i class="bg-lye" :style="{ width: `${bars.lye * 100}%` }" />
        <i
          class="absolute -inset-y-1 w-[3px] bg-ink"
          :style="{ left: `${(wanted ?? 0) * 100}%` }"
        />
      </span>
      <b class="figure text-right" :class="row.short > 5e-5 ? 'text-warn' : 'text-ok'">{{
        row.short > 5e-5 ? `${say.number(row.short * 100, 1)} short` : 'holds'
      }}</b>
    </div>
    <p class="mt-2 flex justify-between gap-3">
      <template v-if="water === null">Both hold with this water.</template>
      <template v-else-if="water === 'never'"
        >Not even water at 1 : 1 makes both hold: these fats carry too little.</template
      >
      <template v-else>
        The water stands in the way: with less, both hold.
        <button type="button" class="link shrink-0" @click="setWater(water)">
          Set water {{ say.ratio(Math.max(1, Math.floor(water * 100) / 100)) }}
        </button>
      </template>
    </p>
  </section>
</template>
