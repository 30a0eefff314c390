<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { spaceAhead } from '#core/rack/outlook'
import { standingOf } from '#core/rack/standing'
import { addDays, daysBetween } from '#core/units/days'
import { sumOf } from '#core/statistics/sum'

/** What ripens when, week by week, and how full the racks will be until then. */
/** What is drying. */
const { batches } = defineProps<{ batches: BatchSummary[] }>()
const { today, settings, say } = storeToRefs(useWorkshop())

const ripening = computed(() =>
  batches
    .map((batch) => ({ batch, ...standingOf(batch, today.value) }))
    .map(({ batch, bars, readyOn }) => ({
      batch,
      bars,
      week: Math.floor(Math.max(0, daysBetween(today.value, readyOn!)) / 7),
    })),
)
const weeks = computed(() =>
  Math.min(56, Math.max(12, ...ripening.value.map(({ week }) => week + 2))),
)
const room = computed(() => sumOf(settings.value.rack.places, ({ bars }) => bars))
const space = computed(() => spaceAhead(batches, today.value, weeks.value * 7))
const option = computed(() => {
  const starts = Array.from({ length: weeks.value }, (_, week) => addDays(today.value, week * 7))
  const text = { color: '#4c595b' }
  const on = space.value.filter((_, day) => day % 7 === 0).slice(0, weeks.value)
  return {
    grid: { left: 38, right: 42, top: 24, bottom: 22 },
    tooltip: { trigger: 'item' },
    xAxis: {
      type: 'category',
      data: starts.map((day) => dayText(day, { today: today.value })),
      axisLabel: { ...text, interval: Math.ceil(weeks.value / 6) - 1, hideOverlap: true },
      axisTick: { show: false },
    },
    yAxis: [
      {
        type: 'value',
        name: 'ready',
        minInterval: 1,
        nameTextStyle: text,
        axisLabel: text,
        splitLine: { lineStyle: { color: '#e6eae7' } },
      },
      {
        type: 'value',
        name: 'on racks',
        min: 0,
        max: Math.max(room.value, ...space.value.map(({ bars }) => bars)) + 10,
        nameTextStyle: text,
        axisLabel: { ...text, showMaxLabel: false },
        splitLine: { show: false },
      },
    ],
    series: [
      ...ripening.value.map(({ batch, bars, week }) => ({
        type: 'bar',
        stack: 'ready',
        name: `${batch.name} ${batch.number}`,
        animation: false,
        barCategoryGap: '25%',
        data: starts.map((_, index) => (index === Math.min(week, weeks.value - 1) ? bars : null)),
        itemStyle: { color: batch.thumbnail.wave, borderColor: '#4c595b', borderWidth: 0.8 },
      })),
      {
        type: 'line',
        name: 'bars on the racks',
        yAxisIndex: 1,
        step: 'end',
        showSymbol: false,
        animation: false,
        data: on.map(({ bars }) => bars),
        lineStyle: { color: '#182022', width: 1.5 },
        itemStyle: { color: '#182022' },
        ...(room.value
          ? {
              markLine: {
                symbol: 'none',
                silent: true,
                label: {
                  formatter: `room for ${room.value}`,
                  position: 'insideMiddleTop',
                  color: '#4c595b',
                },
                lineStyle: { color: '#4c595b', type: 'dashed' },
                data: [{ yAxis: room.value }],
              },
            }
          : {}),
      },
    ],
  }
})
const says = computed(() => {
  const next = [...ripening.value].sort((a, b) => a.week - b.week).slice(0, 6)
  return `Bars that get ready, by week: ${say.value.list(next.map(({ batch, bars, week }) => `${bars} ${batch.name} ${week ? `in ${week} weeks` : 'this week'}`))}. On the racks now ${space.value[0]?.bars ?? 0} bars${room.value ? ` of ${room.value} that find room` : ''}.`
})
</script>

<template>
  <AppChart :option="option" :says="says" />
</template>
