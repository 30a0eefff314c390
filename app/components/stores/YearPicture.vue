<script setup lang="ts">
import type { SpentOn, YearMonth } from '#core/cost/year'
import { spentOns } from '#core/cost/year'

/** The year in one picture: bars made and gone by the dozen, what stood on the shelves, and money. */
const { year } = defineProps<{ year: YearMonth[] }>()
const { say, settings, today } = storeToRefs(useWorkshop())
const money = (minor: number) => moneyText(minor, settings.value.currency)
const colours: Record<SpentOn, string> = {
  fats: '#c99a2e',
  lye: '#d5432a',
  scents: '#8d6aa8',
  wraps: '#d9d0c1',
  other: '#6f8f86',
}
const spentNames: Record<SpentOn, string> = {
  fats: 'fats',
  lye: 'lye',
  scents: 'scents and colours',
  wraps: 'wraps, labels',
  other: 'the rest',
}
const spentIn = (month: YearMonth) => spentOns.reduce((sum, on) => sum + (month.spent[on] ?? 0), 0)
const mostBars = computed(() => Math.max(12, ...year.flatMap(({ made, gone }) => [made, gone])))
/** Bars that one block stands for, so that no pile is higher than fourteen. */
const block = computed(() => Math.max(4, Math.ceil(mostBars.value / 14 / 4) * 4))
const blocks = (bars: number) =>
  Array.from({ length: Math.ceil(bars / block.value) }, (_, nth) => nth)
const mostMoney = computed(() => Math.max(1, ...year.flatMap((one) => [one.taken, spentIn(one)])))
const sum = (of: (month: YearMonth) => number) => year.reduce((all, month) => all + of(month), 0)
const goneBy = computed(() => {
  const ways: Partial<Record<string, number>> = {}
  for (const { goneBy: by } of year)
    for (const [how, bars] of Object.entries(by)) ways[how] = (ways[how] ?? 0) + bars
  return Object.entries(ways).map(([how, bars]) => `${how} ${say.value.number(bars!)}`)
})
const width = 68
const height = (minor: number) => (minor / mostMoney.value) * 44
</script>

<template>
  <section class="sheet grid lg:grid-cols-[minmax(0,1fr)_232px]" aria-labelledby="year">
    <div class="overflow-x-auto px-4 py-3">
      <header class="mb-1 flex flex-wrap items-baseline gap-x-5">
        <h2 id="year" class="text-[14px] font-bold text-ink">The year</h2>
        <span class="flex items-center gap-1.5 text-[12.5px]"
          ><i class="h-2 w-6 rounded-full border border-[#5c6663] bg-[#e3d3a4]" /> {{ block }} bars
          made</span
        >
        <span class="flex items-center gap-1.5 text-[12.5px]"
          ><i class="h-2 w-6 rounded-full bg-[#46555a]" /> {{ block }} bars gone</span
        >
      </header>
      <svg
        :viewBox="`0 0 ${year.length * width + 70} 256`"
        class="min-w-[680px]"
        aria-hidden="true"
      >
        <text x="0" y="80" font-size="12" fill="currentColor">bars</text>
        <text x="0" y="163" font-size="12" fill="currentColor">on shelves</text>
        <text x="0" y="210" font-size="12" fill="currentColor">money</text>
        <g
          v-for="(month, nth) in year"
          :key="month.month"
          :transform="`translate(${70 + nth * width} 0)`"
        >
          <rect
            v-for="at in blocks(month.made)"
            :key="`m${at}`"
            x="4"
            :y="132 - at * 9"
            :width="24 * Math.min(1, (month.made - at * block) / block)"
            height="8"
            rx="3"
            fill="#e3d3a4"
            stroke="#5c6663"
          />
          <rect
            v-for="at in blocks(month.gone)"
            :key="`g${at}`"
            x="31"
            :y="132 - at * 9"
            :width="24 * Math.min(1, (month.gone - at * block) / block)"
            height="8"
            rx="3"
            fill="#46555a"
          />
          <rect x="0" y="142" :width="width" height="6" fill="#7d8784" />
          <text
            x="30"
            y="163"
            font-size="13"
            font-weight="700"
            text-anchor="middle"
            fill="currentColor"
          >
            {{ month.here }}
          </text>
          <rect
            x="4"
            :y="222 - height(month.taken)"
            width="24"
            :height="height(month.taken)"
            fill="#7fa694"
          />
          <template v-for="(on, place) in spentOns" :key="on">
            <rect
              x="31"
              :y="
                222 -
                height(
                  spentOns
                    .slice(0, place + 1)
                    .reduce((all, one) => all + (month.spent[one] ?? 0), 0),
                )
              "
              width="24"
              :height="height(month.spent[on] ?? 0)"
              :fill="colours[on]"
            />
          </template>
          <path :d="`M0 222H${width}`" stroke="#8a9794" />
          <text x="30" y="240" font-size="11.5" text-anchor="middle" fill="currentColor">
            {{ monthText(`${month.month}-15`, `${month.month}-15`) }}
            <tspan v-if="nth === 0 || month.month.endsWith('-01')" x="30" dy="12">
              {{ month.month.slice(0, 4) }}
            </tspan>
          </text>
        </g>
      </svg>
      <ul class="flex flex-wrap gap-x-4 text-[12.5px]">
        <li class="flex items-center gap-1.5"><i class="size-3 bg-[#7fa694]" />taken</li>
        <li v-for="on in spentOns" :key="on" class="flex items-center gap-1.5">
          <i class="size-3" :style="{ background: colours[on] }" />spent on {{ spentNames[on] }}
        </li>
      </ul>
      <details class="mt-2">
        <summary class="font-semibold">As a table</summary>
        <table class="mt-1 w-full text-[13px]">
          <thead>
            <tr class="text-right">
              <th class="text-left">Month</th>
              <th>Made</th>
              <th>Gone</th>
              <th>Here</th>
              <th>Taken</th>
              <th>Spent</th>
            </tr>
          </thead>
          <tbody class="figure">
            <tr v-for="month in year" :key="month.month" class="border-t border-line text-right">
              <td class="text-left">{{ monthText(`${month.month}-15`, today) }}</td>
              <td>{{ month.made }}</td>
              <td>{{ month.gone }}</td>
              <td>{{ month.here }}</td>
              <td>{{ money(month.taken) }}</td>
              <td>{{ money(spentIn(month)) }}</td>
            </tr>
          </tbody>
        </table>
      </details>
    </div>
    <dl class="grid content-start gap-2 border-line px-4 py-3 lg:border-l">
      <div class="flex items-baseline justify-between">
        <dt>Made</dt>
        <dd class="text-[19px] font-bold">
          {{
            say.count(
              sum(({ made }) => made),
              'bar',
              'bars',
            )
          }}
        </dd>
      </div>
      <div class="flex items-baseline justify-between flex-wrap">
        <dt>Gone</dt>
        <dd class="text-[19px] font-bold">{{ say.number(sum(({ gone }) => gone)) }}</dd>
        <dd class="w-full text-[12.5px] text-ink-2">{{ say.list(goneBy) }}</dd>
      </div>
      <div class="flex items-baseline justify-between">
        <dt>Here now</dt>
        <dd class="text-[19px] font-bold">{{ say.number(year.at(-1)?.here ?? 0) }}</dd>
      </div>
      <div class="mt-2 flex items-baseline justify-between border-t border-line pt-2">
        <dt>Spent on goods</dt>
        <dd class="text-[19px] font-bold">{{ money(sum(spentIn)) }}</dd>
      </div>
      <div class="flex items-baseline justify-between">
        <dt>Taken</dt>
        <dd class="text-[19px] font-bold">{{ money(sum(({ taken }) => taken)) }}</dd>
      </div>
      <slot />
    </dl>
  </section>
</template>
