<script setup lang="ts">
import type { ColourOn } from '#contracts/trial'
import { differenceBands, differenceWord, type ColourWord } from '#core/scents/colour'

/** How far from plain a sample is since it was poured, and where the one that is looked at now would lie. */
const { seen, now = null } = defineProps<{
  seen: readonly ColourOn[]
  now?: { day: number; from: number; swatch: string } | null
}>()
const { say } = storeToRefs(useWorkshop())
/** No soap is drawn farther from plain than this. */
const farthest = 40
const inks: Record<ColourWord, string> = {
  same: '#dfe8e1',
  slight: '#eeeddc',
  clear: '#f4e5cf',
  strong: '#ecc9a4',
}
const bands = differenceBands.map(({ word, to }) => ({
  says: word,
  to: Math.min(to, farthest),
  colour: inks[word],
}))
const most = computed(() => {
  const furthest = Math.max(...seen.map(({ from }) => from), now?.from ?? 0, 2)
  return bands.find(({ to }) => furthest <= to)?.to ?? farthest
})
const option = computed(() => {
  const all = [...seen.map(({ day }) => day), now?.day ?? 0]
  const shown = bands.filter((_, at) => (bands[at - 1]?.to ?? 0) < most.value)
  const point = ({ day, from, swatch }: { day: number; from: number; swatch: string }) => ({
    value: [day, Math.min(from, most.value)],
    label: { show: true, formatter: say.value.number(from, undefined, 1) },
    itemStyle: { color: swatch, borderColor: '#182022', borderWidth: 2 },
  })
  const label = { position: 'bottom', color: '#182022', fontWeight: 'bold' }
  const last = seen.at(-1)
  return {
    grid: { left: 44, right: 18, top: 26, bottom: 22, outerBoundsMode: 'none' },
    xAxis: {
      type: 'value',
      min: 0,
      max: Math.max(30, ...all) * 1.05,
      splitLine: { show: false },
      axisLabel: {
        color: '#4c595b',
        showMaxLabel: false,
        formatter: (day: number) => (day ? String(day) : 'day 0'),
      },
      axisLine: { lineStyle: { color: '#8a9794' } },
    },
    yAxis: {
      type: 'value',
      min: 0,
      max: most.value,
      axisLabel: { show: false },
      axisTick: { show: false },
      splitLine: { show: false },
    },
    series: [
      {
        type: 'line',
        animation: false,
        symbol: 'circle',
        symbolSize: 18,
        lineStyle: { color: '#182022', width: 2 },
        label,
        data: seen.map(point),
        markArea: {
          silent: true,
          label: { position: 'left', color: '#4c595b' },
          data: shown.map(({ says, to, colour }, at) => [
            { name: says, yAxis: shown[at - 1]?.to ?? 0, itemStyle: { color: colour } },
            { yAxis: Math.min(to, most.value) },
          ]),
        },
      },
      ...(now
        ? [
            {
              type: 'line',
              animation: false,
              symbol: 'circle',
              symbolSize: 20,
              lineStyle: { color: '#182022', width: 2, type: 'dashed' },
              label,
              data: [
                ...(last ? [{ value: [last.day, last.from], symbol: 'none' }] : []),
                {
                  ...point(now),
                  itemStyle: { color: now.swatch, borderColor: '#182022', borderType: 'dashed' },
                },
              ],
            },
          ]
        : []),
    ],
  }
})
const says = computed(() => {
  const days = seen.map(({ day, from }) => `${say.value.number(from, undefined, 1)} on day ${day}`)
  return `How far from plain since it was poured: ${say.value.list(days) || 'never looked at'}.`
})
</script>

<template>
  <section class="sheet px-4 py-3" aria-labelledby="since">
    <h2 id="since" class="text-[13px] font-[650] text-ink-2">Since it was poured</h2>
    <AppChart :option="option" :says="says" class="-mt-5 h-[196px]">
      <template #table>
        <table class="figure w-full">
          <tbody>
            <tr v-for="one in seen" :key="one.day" class="border-t border-line-2">
              <th scope="row" class="py-1 text-left font-normal">day {{ one.day }}</th>
              <td>
                <span class="flex h-6 w-16 border border-ink/40"
                  ><i class="flex-1" :style="{ background: one.plain }" /><i
                    class="flex-1"
                    :style="{ background: one.swatch }"
                /></span>
              </td>
              <td class="text-right">
                <b>{{ say.number(one.from, undefined, 1) }}</b> {{ differenceWord(one.from)
                }}{{ one.card ? '' : ', no card' }}
              </td>
              <td class="pl-3 text-right">
                <a
                  v-if="one.photo"
                  :href="`/api/photos/${one.photo}`"
                  class="link"
                  target="_blank"
                  rel="noopener"
                  >photo</a
                >
              </td>
            </tr>
            <tr v-if="!seen.length">
              <td class="text-ink-2">Not looked at yet.</td>
            </tr>
          </tbody>
        </table>
      </template>
    </AppChart>
    <slot />
  </section>
</template>
