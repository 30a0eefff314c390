<script setup lang="ts">
import type { PastPrediction } from '#contracts/batch'
import { daysBetween } from '#core/units/days'

/** How good the dates were: forecasts at the third weigh-in against what was true, every batch that was weighed until it was dry. */
const open = defineModel<boolean>({ required: true })
const list = ref<PastPrediction[]>([])
const problem = ref('')
const loaded = ref(false)
const router = useRouter()
onMounted(async () => {
  try {
    list.value = await api.get<PastPrediction[]>('/api/batches/predictions')
    loaded.value = true
  } catch (error) {
    problem.value = sentenceOf(error)
  }
})
const points = computed(() =>
  list.value.map((one) => ({
    ...one,
    forecastDays: daysBetween(one.pouredOn, one.forecast.dryOn),
    from: daysBetween(one.pouredOn, one.forecast.from),
    to: daysBetween(one.pouredOn, one.forecast.to),
    days: daysBetween(one.pouredOn, one.dryOn),
  })),
)
const within = computed(
  () => points.value.filter(({ days, from, to }) => days >= from && days <= to).length,
)
const off = computed(() => {
  const errors = points.value
    .map(({ days, forecastDays }) => Math.abs(days - forecastDays))
    .sort((a, b) => a - b)
  return errors[errors.length >> 1] ?? 0
})
const says = computed(
  () =>
    `${points.value.length} batches. In ${within.value} the bars were dry within the band that the third weigh-in gave; 9 of 10 are wanted. Half of the dates were off by ${off.value} days or less.`,
)
const option = computed(() => {
  const most = Math.max(30, ...points.value.flatMap(({ days, to }) => [days, to])) + 5
  const text = { color: '#4c595b' }
  const axis = (name: string) => ({
    type: 'value',
    name,
    nameLocation: 'middle',
    nameGap: 28,
    min: 0,
    max: most,
    nameTextStyle: text,
    axisLabel: text,
    splitLine: { lineStyle: { color: '#e6eae7' } },
  })
  return {
    grid: { left: 52, right: 16, top: 12, bottom: 44 },
    xAxis: axis('days by forecast'),
    yAxis: axis('days it took'),
    tooltip: {
      trigger: 'item',
      formatter: ({ dataIndex }: { dataIndex: number }) => {
        const one = points.value[dataIndex]
        return one
          ? `${one.name} ${one.number}: forecast day ${one.forecastDays} (${one.from} to ${one.to}), dry on day ${one.days}`
          : ''
      },
    },
    series: [
      {
        type: 'line',
        silent: true,
        showSymbol: false,
        animation: false,
        data: [
          [0, 0],
          [most, most],
        ],
        lineStyle: { color: '#8a9794', type: 'dashed' },
      },
      // The band of each, as a line along the axis of the forecast.
      ...points.value.map(({ from, to, days }) => ({
        type: 'line',
        silent: true,
        showSymbol: false,
        animation: false,
        data: [
          [from, days],
          [to, days],
        ],
        lineStyle: { color: '#2a6d4e', width: 4, opacity: 0.25 },
      })),
      {
        type: 'scatter',
        name: 'came after, days',
        animation: false,
        symbolSize: 9,
        itemStyle: { color: '#182022' },
        data: points.value.map(({ forecastDays, days }) => [forecastDays, days]),
      },
    ],
  }
})
</script>

<template>
  <AppDialog v-model="open" title="How good the dates were" wide>
    <div class="px-5 py-4">
      <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
      <p v-else-if="loaded && !points.length" class="text-ink-2">
        No batch yet that was weighed four times and until it was dry. With the first there is
        something to compare.
      </p>
      <template v-else-if="points.length">
        <p class="figure mb-2">{{ says }}</p>
        <LazyAppChart
          class="h-[300px]"
          :option="option"
          :says="`Days until dry, forecast against real. ${says}`"
          @pick="(index) => points[index] && void router.push(`/batches/${points[index].id}`)"
        />
        <p class="mt-2 text-sm text-ink-2">
          A dot is a batch, its bar the band that was given. On the dashed line the date was right;
          above it, it took longer.
        </p>
      </template>
    </div>
  </AppDialog>
</template>
