<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import { traitRules } from '#core/character/coefficients'
import { traitsOf } from '#core/character/traits'
import { frozenLibrary } from '#core/formula/frozen'
import { feelKinds, feelLines, traitsFelt, type Felt } from '#core/rack/feel'
import { standingEvents } from '#core/units/standingEvents'

/** How its bars felt in use over time, what users said, and what that makes of the estimates of the formula. */
const { batch } = defineProps<{ batch: Batch }>()
const { today, say } = storeToRefs(useWorkshop())
const lines = computed(() => feelLines(batch.events, batch.facts.pouredOn!))
const felt = ref<Felt[]>([])
watch(
  () => [batch.id, batch.events.length],
  async () => {
    felt.value = await api.get<Felt[]>(`/api/formulas/${batch.formulaId}/felt`).catch(() => [])
  },
  { immediate: true },
)
const against = computed(() =>
  traitsFelt(traitsOf(batch.frozen.result, frozenLibrary(batch.frozen)), felt.value),
)
const remarks = computed(() =>
  standingEvents(batch.events).flatMap((event) =>
    event.kind === 'noted' && event.from ? [event] : [],
  ),
)
const colours = [
  '#0f4f5c',
  '#8f5208',
  '#8d6aa8',
  '#2a6d4e',
  '#b3261e',
  '#2f6b8f',
  '#566263',
  '#a0522d',
  '#3d6b1f',
]
const symbols = [
  'circle',
  'rect',
  'triangle',
  'diamond',
  'pin',
  'arrow',
  'roundRect',
  'circle',
  'rect',
]
/** A picture only from two points on. */
const isLine = computed(() => lines.value.some(({ points }) => points.length > 1))
/** Lines that end at the same score share one label. */
const endWords = computed(() => {
  const ends = lines.value.map(({ points }) => points.at(-1)!.score)
  return ends.map((end, place) =>
    ends.indexOf(end) === place
      ? lines.value
          .filter((_, other) => ends[other] === end)
          .map(({ test }, nth) => `${nth ? (nth % 2 ? ', ' : ',\n') : ''}${feelKinds[test].says}`)
          .join('')
      : '',
  )
})
const option = computed(() => {
  const text = { color: '#4c595b' }
  return {
    grid: { left: 26, right: 214, top: 10, bottom: 30 },
    tooltip: { trigger: 'axis' },
    xAxis: {
      type: 'value',
      name: 'days since the pour',
      nameLocation: 'middle',
      nameGap: 20,
      minInterval: 7,
      nameTextStyle: text,
      axisLabel: text,
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value',
      min: 0,
      max: 6,
      interval: 1,
      axisLabel: {
        ...text,
        formatter: (value: number) => (value > 0 && value < 6 ? String(value) : ''),
      },
      splitLine: { lineStyle: { color: '#e6eae7' } },
    },
    series: lines.value.map(({ test, points }, place) => ({
      type: 'line',
      name: feelKinds[test].says,
      animation: false,
      symbol: symbols[place],
      symbolSize: 8,
      data: points.map(({ day, score }) => [day, score]),
      lineStyle: { color: colours[place], width: 2 },
      itemStyle: { color: colours[place] },
      endLabel: {
        show: endWords.value[place] !== '',
        formatter: endWords.value[place],
        color: '#182022',
        lineHeight: 13,
      },
    })),
  }
})
const says = computed(() =>
  lines.value
    .map(
      ({ test, points }) =>
        `${feelKinds[test].says}: ${say.value.list(points.map(({ day, score }) => `${score} on day ${day}`))}`,
    )
    .join('; '),
)
</script>

<template>
  <section v-if="lines.length || remarks.length" class="sheet px-5 py-4">
    <h2 class="mb-1">In use, 1 to 5</h2>
    <LazyAppChart v-if="isLine" class="h-[210px]" :option="option" :says="says" />
    <dl v-else-if="lines.length" class="figure flex flex-wrap gap-x-8 gap-y-1">
      <div v-for="{ test, points } in lines" :key="test">
        <dt class="inline text-ink-2">{{ feelKinds[test].says }}</dt>
        <dd class="ml-1.5 inline font-[650]">{{ points[0]!.score }}</dd>
      </div>
    </dl>
    <p v-if="lines.length && !isLine" class="text-sm text-ink-2">
      Tried once, on day {{ lines[0]!.points[0]!.day }}. Tried again, it becomes a picture.
    </p>
    <ul v-if="against.some((one) => one.says)" class="mt-2">
      <li v-for="one in against.filter(({ says: off }) => off)" :key="one.trait">
        <b class="font-[650]">{{ traitRules[one.trait].says }}:</b> your bars do {{ one.says }} than
        estimated.
        <span class="figure text-ink-2"
          >Tests {{ Math.round(one.tests) }} of 100 in {{ one.count }}, estimate
          {{ Math.round(one.estimate) }}, together {{ Math.round(one.corrected) }}.</span
        >
      </li>
    </ul>
    <blockquote v-for="remark in remarks" :key="remark.id" class="mt-2 border-l-4 border-line pl-3">
      {{ remark.note }}
      <footer class="text-sm text-ink-2">
        {{ remark.from }}, {{ dayText(remark.day, { today }) }}
      </footer>
    </blockquote>
  </section>
</template>
