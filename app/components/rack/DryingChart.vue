<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import { weighInsOf } from '#core/rack/facts'
import { addDays, daysBetween } from '#core/units/days'
import { mean } from '#core/statistics/sum'

/** How the bars of a batch dry: what was weighed, the fitted curve with its band, today, and the day they are dry. */
const { batch } = defineProps<{ batch: Batch }>()
const workshop = useWorkshop()
const { say, today } = storeToRefs(workshop)
/** The day of the pour, or of melting again: from then it dries. */
const pouredOn = computed(() => batch.facts.remeltedOn ?? batch.facts.pouredOn!)
const facts = computed(() => batch.facts.drying!)
const now = computed(() => daysBetween(pouredOn.value, today.value))
const dry = computed(() => daysBetween(pouredOn.value, facts.value.dryOn))
const dryFrom = computed(() => daysBetween(pouredOn.value, facts.value.from))
const dryTo = computed(() => daysBetween(pouredOn.value, facts.value.to))
/** Whether the day of being dry is known well enough to be a line; a band until then. */
const sure = computed(() => facts.value.levelled && dryTo.value - dryFrom.value <= 14)
/** The curve as it was worked out, level from there to today where that is later. */
const curve = computed(() => {
  const points = facts.value.curve ?? []
  const last = points.at(-1)
  return last && last.day < now.value + 3 ? [...points, { ...last, day: now.value + 3 }] : points
})
const until = computed(() => curve.value.at(-1)?.day ?? 14)
/** Each weigh-in as the mean of its bars. */
const means = computed(() => {
  const byDay = new Map<number, number[]>()
  for (const { day, grams } of weighInsOf(batch.events, pouredOn.value))
    if (day >= 0) byDay.set(day, [...(byDay.get(day) ?? []), grams])
  return [...byDay].map(([day, grams]) => [day, mean(grams)])
})
const green = '#2a6d4e'
/** To which side the two dates are written, so that they neither meet nor run off the picture. */
const labelSides = computed(() => {
  const first = Math.min(now.value, dry.value) / until.value
  const near = Math.abs(now.value - dry.value) / until.value < 0.4
  const early = first < 0.2 && !near ? 'left' : near ? 'right' : 'center'
  const late = near
    ? 'left'
    : Math.max(now.value, dry.value) / until.value > 0.85
      ? 'right'
      : 'center'
  return dry.value < now.value ? { dry: early, today: late } : { dry: late, today: early }
})
const option = computed(() => {
  const line = { type: 'line', showSymbol: false, animation: false, silent: true }
  const all = [
    ...curve.value.flatMap(({ low, high }) => [low, high]),
    ...means.value.map(([, y]) => y!),
  ]
  const shown = (grams: number) => say.value.amount(grams)
  const label = (day: number) => dayText(addDays(pouredOn.value, Math.round(day)))
  return {
    // Its margins are known: measuring all labels to find them takes a third of the time.
    grid: { left: 44, right: 14, top: 22, bottom: 22, outerBoundsMode: 'none' },
    xAxis: {
      type: 'value',
      min: 0,
      max: until.value,
      interval: until.value,
      axisLabel: {
        color: '#4c595b',
        formatter: label,
        hideOverlap: true,
        alignMinLabel: 'left',
        alignMaxLabel: 'right',
      },
      splitLine: { show: false },
      axisLine: { lineStyle: { color: '#8a9794' } },
    },
    yAxis: {
      type: 'value',
      min: Math.floor(Math.min(...all) - 1),
      max: Math.ceil(Math.max(...all) + 1),
      interval: Math.ceil(Math.max(...all) + 1) - Math.floor(Math.min(...all) - 1),
      axisLabel: { color: '#4c595b', formatter: shown },
      splitLine: { lineStyle: { color: '#e6eae7' } },
    },
    tooltip: {
      trigger: 'item',
      formatter: ({ value }: { value: [number, number] }) =>
        `${label(value[0])}: ${say.value.mass(value[1])}`,
    },
    series: [
      {
        ...line,
        stack: 'band',
        data: curve.value.map(({ day, low }) => [day, low]),
        lineStyle: { opacity: 0 },
      },
      {
        ...line,
        stack: 'band',
        data: curve.value.map(({ day, low, high }) => [day, high - low]),
        lineStyle: { opacity: 0 },
        areaStyle: { color: '#2a6d4e', opacity: 0.2 },
      },
      {
        ...line,
        name: 'foretold',
        data: curve.value.map(({ day, at }) => [day, at]),
        lineStyle: { color: green, width: 2 },
        markArea: sure.value
          ? undefined
          : {
              silent: true,
              itemStyle: { color: green, opacity: 0.09 },
              label: { color: green, fontWeight: 'bold', position: 'insideTop', distance: 4 },
              data: [
                [
                  { name: 'dry in here', xAxis: Math.max(0, dryFrom.value) },
                  { xAxis: Math.min(dryTo.value, until.value) },
                ],
              ],
            },
        markLine: {
          symbol: 'none',
          silent: true,
          data: [
            {
              xAxis: now.value,
              label: {
                formatter: 'today',
                position: 'end',
                align: labelSides.value.today,
                color: '#4c595b',
              },
              lineStyle: { color: '#182022', type: 'dotted' },
            },
            ...(sure.value && dry.value > 0 && dry.value <= until.value
              ? [
                  {
                    xAxis: dry.value,
                    label: {
                      formatter: `dry ${label(dry.value)}`,
                      position: 'end',
                      align: labelSides.value.dry,
                      color: green,
                      fontWeight: 'bold',
                    },
                    lineStyle: { color: green, type: 'dashed' },
                  },
                ]
              : []),
          ],
        },
      },
      {
        type: 'scatter',
        name: 'weighed',
        animation: false,
        symbolSize: 8,
        itemStyle: { color: '#182022' },
        data: means.value,
      },
    ],
  }
})
const says = computed(
  () =>
    `Mass of the marked bars over time, their mean: ${say.value.mass(facts.value.grams)} at the pour, ${say.value.count(means.value.length, 'weigh-in', 'weigh-ins')}, dry ${dryText(facts.value, today.value)}.`,
)
</script>

<template>
  <AppChart :option="option" :says="says" />
</template>
