<script setup lang="ts">
import type { VesselKind } from '#contracts/benchWords'
import { celsiusAt } from '#core/heat/cooling'

/** The jug and the oils as two curves that must meet: what was read, what is foretold, the window, the moment. */
const { heat, state, plan, minutes, clock, ctx } = useBench()
const colours: Record<VesselKind, string> = { lye: '#ff8d75', oils: '#e8c25d' }
const kinds = ['lye', 'oils'] as const
const shown = (celsius: number) => ctx.value.say.degreesOf(celsius)
const ends = computed(() => {
  const first = Math.min(
    minutes.value,
    ...kinds.flatMap((kind) => state.value.readings[kind].slice(0, 1).map((one) => one.minutes)),
  )
  const meeting = heat.value.meeting?.to ?? minutes.value
  return {
    from: Math.floor(first),
    to: Math.ceil(Math.max(first + 10, minutes.value + 5, meeting + 5)),
  }
})
const option = computed(() => {
  const { from, to } = ends.value
  const meeting = heat.value.meeting
  const window = plan.value.window
  const series = kinds.flatMap((kind) => {
    const curve = heat.value.curves[kind]
    const readings = state.value.readings[kind].map((one) => [one.minutes, shown(one.celsius)])
    const ahead = curve
      ? Array.from({ length: 40 }, (_, step) => {
          const at = minutes.value + ((to - minutes.value) * step) / 39
          return [at, shown(celsiusAt(curve, at))]
        })
      : []
    const common = { type: 'line', showSymbol: false, animation: false, silent: true }
    return [
      {
        ...common,
        name: `${kind}, read`,
        data: readings,
        lineStyle: { color: colours[kind], width: 2.5 },
      },
      {
        ...common,
        name: `${kind}, foretold`,
        data: ahead,
        lineStyle: { color: colours[kind], width: 2, type: 'dashed' },
      },
    ]
  })
  const low = Math.min(window.lye.low, window.oils.low)
  const high = Math.max(window.lye.high, window.oils.high)
  return {
    grid: { left: 34, right: 8, top: 8, bottom: 24 },
    xAxis: {
      type: 'value',
      min: from,
      max: to,
      splitNumber: 3,
      axisLabel: { color: '#9aa8a6', formatter: (at: number) => clock.timeOf(at) },
      axisLine: { lineStyle: { color: '#47575a' } },
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value',
      scale: true,
      axisLabel: { color: '#9aa8a6' },
      splitLine: { lineStyle: { color: '#2c3739' } },
    },
    series: [
      ...series,
      {
        type: 'line',
        data: [],
        silent: true,
        animation: false,
        markArea: {
          itemStyle: {
            color: '#7fb69b33',
            borderColor: '#7fb69b',
            borderWidth: 1,
            borderType: 'dashed',
          },
          data: [[{ yAxis: shown(low) }, { yAxis: shown(high) }]],
        },
        markLine: {
          symbol: 'none',
          label: { show: false },
          lineStyle: { color: '#e8eeec', type: 'dotted' },
          data: meeting?.at ? [{ xAxis: meeting.at }] : [],
        },
      },
    ],
  }
})
const says = computed(() => {
  const at = heat.value.meeting?.at
  return `Temperatures of lye and oils over time; ${at ? `both ready about ${clock.timeOf(at)}` : 'no moment at which both are ready is foretold'}.`
})
</script>

<template>
  <AppChart :option="option" :says="says" />
</template>
