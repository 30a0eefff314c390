<script setup lang="ts">
import type { OnRack } from '~/composables/useRack'
import { laterBy, week } from '#core/rack/room'
import { roundTo } from '#core/statistics/roundTo'

/** The air of the drying room: what it is now, how it went, and which bars a damp week keeps. */
const { items } = defineProps<{ items: OnRack[] }>()
const emit = defineEmits<{ note: [] }>()
const workshop = useWorkshop()
const { say, today } = storeToRefs(workshop)
const room = useRoom()
const { damp } = storeToRefs(room)

const days = computed(() => room.room.days)
/** Bars that a damp week keeps a day or more, the longest first, and how many others it keeps less. */
const kept = computed(() => {
  if (!damp.value) return { listed: [], others: 0 }
  const late = items.flatMap((one) => {
    const { drying, pouredOn } = one.batch.facts
    if (!drying || !pouredOn || drying.dryOn < today.value) return []
    return [
      {
        batch: one.batch,
        by: laterBy(drying, pouredOn, days.value, workshop.humidity, damp.value!),
      },
    ]
  })
  const listed = late.filter(({ by }) => Math.round(by) >= 1).sort((a, b) => b.by - a.by)
  return { listed, others: late.length - listed.length }
})
const longest = 4
const says = computed(() => {
  const damps = days.value.map(({ humidity }) => Math.round(humidity * 100))
  const warm = days.value.map(({ celsius }) => celsius)
  return `The room over ${days.value.length} days: humidity from ${Math.min(...damps)} to ${Math.max(...damps)} %, warmth from ${say.value.temperature(Math.min(...warm))} to ${say.value.temperature(Math.max(...warm))}.`
})
const option = computed(() => {
  const text = { color: '#4c595b' }
  const line = { lineStyle: { color: '#8a9794' } }
  const names = days.value.map(({ day }) => dayText(day))
  const warm = days.value.map(({ celsius }) => roundTo(say.value.degreesOf(celsius), 1))
  const axis = (gridIndex: number, labels: boolean) => ({
    type: 'category',
    gridIndex,
    data: names,
    axisTick: { show: false },
    axisLine: line,
    axisLabel: {
      ...text,
      show: labels,
      interval: Math.max(1, Math.floor((days.value.length - 1) / 2)) - 1,
      alignMinLabel: 'left',
      alignMaxLabel: 'right',
    },
  })
  const drawn = (colour: string, index: number, data: number[], name: string) => ({
    name,
    type: 'line',
    showSymbol: false,
    animation: false,
    xAxisIndex: index,
    yAxisIndex: index,
    data,
    lineStyle: { color: colour, width: 2 },
    itemStyle: { color: colour },
  })
  // Never a span of less than ten degrees: half a degree is no storm.
  const middle = (Math.min(...warm) + Math.max(...warm)) / 2
  const half = Math.max(5, (Math.max(...warm) - Math.min(...warm)) / 2 + 1)
  return {
    tooltip: { trigger: 'axis', confine: true },
    axisPointer: { link: [{ xAxisIndex: 'all' }] },
    // Its margins are known: measuring all labels to find them takes half of the time.
    grid: [
      { left: 42, right: 10, top: 34, height: 106, outerBoundsMode: 'none' },
      { left: 42, right: 10, top: 172, height: 62, outerBoundsMode: 'none' },
    ],
    xAxis: [axis(0, false), axis(1, true)],
    yAxis: [
      {
        type: 'value',
        name: 'humidity, %',
        min: 30,
        max: 90,
        interval: 20,
        nameTextStyle: { ...text, align: 'left', padding: [0, 0, 0, -34] },
        axisLabel: text,
        splitLine: { lineStyle: { color: '#e6eae7' } },
      },
      {
        type: 'value',
        gridIndex: 1,
        name: `warmth, °${say.value.degrees}`,
        min: Math.floor(middle - half),
        max: Math.ceil(middle + half),
        interval: Math.ceil(half),
        nameTextStyle: { ...text, align: 'left', padding: [0, 0, 0, -34] },
        axisLabel: text,
        splitLine: { lineStyle: { color: '#e6eae7' } },
      },
    ],
    series: [
      {
        ...drawn(
          '#2f6b8f',
          0,
          days.value.map(({ humidity }) => Math.round(humidity * 100)),
          'humidity, %',
        ),
        markArea: damp.value && {
          silent: true,
          itemStyle: { color: 'rgba(91, 147, 181, 0.22)' },
          data: [[{ xAxis: Math.max(0, names.length - week) }, { xAxis: names.length - 1 }]],
        },
      },
      drawn('#182022', 1, warm, `warmth, °${say.value.degrees}`),
    ],
  }
})
const source = computed(() =>
  room.live
    ? 'By the sensor, now'
    : room.now
      ? `Written down ${dayText(workshop.dayOf(room.now.at), { today: today.value })}`
      : 'Nobody has looked yet',
)
</script>

<template>
  <div>
    <div class="flex items-baseline justify-between gap-3">
      <h2>{{ source }}</h2>
    </div>
    <dl v-if="room.now" class="figure mt-2 flex divide-x divide-line">
      <div class="pr-5">
        <dt class="text-sm text-ink-2">damp</dt>
        <dd class="text-[24px] leading-tight font-[650]">
          {{ say.percent(room.now.humidity, 0) }}
        </dd>
      </div>
      <div class="px-5">
        <dt class="text-sm text-ink-2">warm</dt>
        <dd class="text-[24px] leading-tight font-[650]">
          {{ say.temperature(room.now.celsius) }}
        </dd>
      </div>
      <div class="pl-5">
        <dt class="text-sm text-ink-2">bars dry</dt>
        <dd class="pt-1.5 font-[650]" :class="damp ? 'text-warn' : ''">
          {{ damp ? `${say.percent(1 - damp.pace, 0)} slower` : 'as foretold' }}
        </dd>
      </div>
    </dl>
    <p v-else class="mt-2 text-ink-2">
      Bars dry slower in damp air. Note what a hygrometer shows now and then, or let one send it.
    </p>
    <LazyAppChart v-if="days.length > 1" class="mt-3 h-[262px]" :option="option" :says="says" />
    <div v-if="damp" class="-mx-4 mt-3 border-y border-line bg-warn-ground px-4 py-2.5">
      <h3 class="text-[16px] font-bold">A damp week: {{ say.percent(damp.humidity, 0) }}</h3>
      <p class="text-sm">
        Instead of {{ say.percent(damp.before, 0) }}. Move air, or a dehumidifier; salt bars
        sweat.<template v-if="kept.listed.length"> Bars dry later by</template>
      </p>
    </div>
    <ul v-if="damp && kept.listed.length">
      <li
        v-for="one in kept.listed.slice(0, longest)"
        :key="one.batch.id"
        class="flex items-center gap-3 border-b border-line-2 py-1.5"
      >
        <BarThumbnail :thumbnail="one.batch.thumbnail" :width="34" :height="24" />
        <span class="min-w-0 flex-1 truncate">{{ one.batch.name }} {{ one.batch.number }}</span>
        <b>{{ say.count(Math.round(one.by), 'day', 'days') }}</b>
      </li>
      <li class="py-1.5 text-sm text-ink-2">
        <template v-if="kept.listed.length > longest"
          >{{ kept.listed.length - longest }} more a day or more<template v-if="kept.others"
            >,
          </template></template
        ><template v-if="kept.others">{{ kept.others }} others less than a day</template>
      </li>
    </ul>
    <AppButton class="mt-4 w-full" @click="emit('note')">Note the room</AppButton>
  </div>
</template>
