<script setup lang="ts">
import type { KnownScent } from '#contracts/scent'
import { capUses } from '#contracts/trialWords'
import { mostOfOils } from '#core/scents/caps'
import { capUseNames } from '~/utils/scentWords'

/** How much of a scent may go in, by what the bar is for, against the rate of the house. */
const { known, barPerOils } = defineProps<{ known: KnownScent; barPerOils: number }>()
const workshop = useWorkshop()
const { say, settings } = storeToRefs(workshop)
const rate = computed(() => settings.value.scentRate)
const rows = computed(() =>
  capUses.flatMap((use) => {
    const cap = known.maxima[use]
    return cap === undefined ? [] : [{ use, cap, most: mostOfOils(cap, barPerOils) }]
  }),
)
const widest = computed(() =>
  Math.max(rate.value * 2, ...rows.value.map(({ most }) => Math.min(most, rate.value * 4))),
)
const part = (share: number) => `${Math.min(100, (share / widest.value) * 100)}%`
const why = ref(false)
const first = computed(() => rows.value[0] ?? null)
</script>

<template>
  <section class="sheet px-4 py-3">
    <div class="flex items-baseline">
      <h2 class="flex-1 text-sm font-semibold text-ink-2">How much may go in, by use</h2>
      <span class="text-sm text-ink-2">{{
        known.fromParts
          ? 'worked out from its parts'
          : known.scent.sheetOn
            ? `sheet of ${dayText(known.scent.sheetOn, { long: true, today: workshop.today })}`
            : 'no sheet'
      }}</span>
    </div>
    <template v-if="rows.length">
      <p class="text-center font-semibold" :style="{ paddingLeft: '116px', paddingRight: '40px' }">
        our {{ say.percent(rate, 1) }} of oils
      </p>
      <ul class="relative grid gap-2">
        <li v-for="row in rows" :key="row.use" class="grid grid-cols-[116px_1fr_36px] items-center">
          <b>{{ capUseNames[row.use] }}</b>
          <span class="relative block h-[22px] bg-line-2">
            <span
              class="figure absolute inset-y-0 left-0 flex items-center justify-end border px-1.5 font-semibold text-[#182022] [print-color-adjust:exact]"
              :class="row.most >= rate ? 'border-ok bg-[#a9cdb9]' : 'border-[#b9762a] bg-[#ecca9f]'"
              :style="{ width: part(row.most) }"
              >{{ say.number(row.most * 100, undefined, 1) }}</span
            >
            <i class="absolute -inset-y-1 w-0.5 bg-ink" :style="{ left: part(rate) }" />
          </span>
          <b class="text-right" :class="row.most >= rate ? 'text-ok' : 'text-warn'">{{
            row.most >= rate ? 'yes' : 'no'
          }}</b>
        </li>
      </ul>
      <p v-if="first" class="mt-2 text-ink-2">
        {{ say.percent(first.most, 1) }} of oils is {{ say.percent(first.cap, 1) }} of the dry bar.
        <button type="button" class="link" :aria-expanded="why" @click="why = !why">Why?</button>
      </p>
      <p v-if="why" class="text-ink-2">
        A maximum is for the finished bar. Dried for long a bar of this batter comes to
        {{ say.number(barPerOils, undefined, 2) }} g for a gram of oils; no loss of scent is
        assumed. Local rules decide; the sheet of your bottle counts.
      </p>
    </template>
    <p v-else class="text-warn">
      No maximum is written down. It stands in the supplier’s sheet, for soap that is rinsed off.
    </p>
  </section>
</template>
