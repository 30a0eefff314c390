<script setup lang="ts">
import { cameAsSaid, type ScoreLine } from '#core/learning/scorecard'
import { useElementSize } from '@vueuse/core'

/** The forecasts of one kind, the newest last: what was said with its band, what came, and from where on own records move them. */
const { line } = defineProps<{ line: ScoreLine }>()
const emit = defineEmits<{ reset: [] }>()
const { say, today } = storeToRefs(useWorkshop())
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box, { width: 440, height: 0 })
const unit = computed(() => forecastUnits[line.what])
const text = (value: number) => unit.value.text(value, say.value)
const most = 10
const all = ref(false)
watch(
  () => line.what,
  () => (all.value = false),
)
const shown = computed(() => (all.value ? line.list : line.list.slice(-most)))
const range = computed(() => {
  const values = shown.value.flatMap(({ low, high, came }) => [low, high, came])
  return { low: Math.min(...values), high: Math.max(...values) }
})
const left = computed(() => Math.min(150, width.value * 0.4))
const x = (value: number): number =>
  left.value +
  10 +
  ((value - range.value.low) / (range.value.high - range.value.low || 1)) *
    Math.max(1, width.value - left.value - 110)
const row = 33
const isMoved = ({ at, raw }: { at: number; raw: number }) => Math.abs(at - raw) > 1e-9
const rows = computed(() => {
  let y = 26
  return shown.value.map((one, nth) => {
    // A word where own records begin to move what is said.
    const begins = isMoved(one) && (nth === 0 || !isMoved(shown.value[nth - 1]!))
    if (begins) y += row - 4
    const at = y
    y += row
    return {
      one,
      y: at,
      begins: begins ? one.at / one.raw : null,
      inside: cameAsSaid(one),
      off: offText(line.what, one.came - one.at, say.value),
    }
  })
})
const tall = computed(() => (rows.value.at(-1)?.y ?? 0) + row)
const ticks = computed(() => roundTicks(range.value.low, range.value.high, 3))
const uid = useId()
const band = computed(() =>
  line.insideBand
    ? `${say.value.number(line.inside)} of ${say.value.number(line.list.length)} inside: ${say.value.number(line.insideBand.low * 100)} to ${say.value.number(line.insideBand.high * 100)} in 100`
    : '',
)
const story = computed(() => {
  const out = line.list.filter((one) => !cameAsSaid(one)).length
  const moved = line.list.filter(isMoved)
  const good = moved.filter(cameAsSaid).length
  const first = moved[0]
  return [
    out
      ? `${say.value.count(out, 'forecast', 'forecasts')} of ${say.value.number(line.list.length)} came outside what was promised.`
      : 'All came within what was promised.',
    first
      ? `Since ${dayText(first.on, { today: today.value })} they are moved by what came before; ${say.value.number(good)} of ${say.value.number(moved.length)} came inside since.`
      : '',
  ]
    .filter(Boolean)
    .join(' ')
})
const why = ref(false)
const offsetText = computed(() => `× ${say.value.number(line.offset?.factor ?? 1, 2)}`)
</script>

<template>
  <div ref="box">
    <div class="flex flex-wrap items-baseline justify-between gap-x-3">
      <h2 class="!text-[22px] font-bold !text-ink">{{ forecastNames[line.what] }}</h2>
      <span class="text-[13px] text-ink-2">{{ band }}</span>
    </div>
    <p class="mt-1 text-[15px]">{{ story }}</p>
    <p class="mt-3 flex flex-wrap gap-x-4 gap-y-1 text-[13px] text-ink-2">
      <span class="flex items-center gap-1.5"
        ><svg width="44" height="16" aria-hidden="true">
          <rect width="44" height="16" :fill="`url(#band-${uid})`" />
          <path d="M22 0V16" class="stroke-ink" stroke-width="2" /></svg
        >said, with its band</span
      >
      <span class="flex items-center gap-1.5"
        ><BarThumbnail
          v-if="line.list[0]"
          :thumbnail="line.list[0].thumbnail"
          :width="28"
          :height="18"
        />came</span
      >
    </p>
    <svg
      v-if="width > 0 && shown.length"
      :width="width"
      :height="tall"
      class="mt-2 block overflow-visible"
      role="group"
      :aria-label="`${forecastNames[line.what]}: what was said and what came, by batch.`"
    >
      <defs>
        <pattern :id="`band-${uid}`" width="5" height="5" patternUnits="userSpaceOnUse">
          <rect width="5" height="5" fill="#e4e9e6" />
          <rect width="1.5" height="5" fill="#4c595b" opacity=".5" />
        </pattern>
      </defs>
      <g v-for="tick in ticks" :key="tick">
        <path :d="`M${x(tick)} 18V${tall}`" class="stroke-line-2" />
        <text :x="x(tick)" y="12" text-anchor="middle" class="fill-ink-2 text-[12px]">
          {{ text(tick) }}
        </text>
      </g>
      <g v-for="{ one, y, begins, inside, off } in rows" :key="`${one.batchId} ${one.of}`">
        <text v-if="begins" :x="0" :y="y - 6" class="fill-ink text-[13px] font-bold">
          from here on, × {{ say.number(begins, 2) }}
        </text>
        <NuxtLink :to="`/batches/${one.batchId}`">
          <text :x="0" :y="y + 15" class="fill-ink text-[13.5px]">
            {{ one.name.length > 18 ? `${one.name.slice(0, 17)}…` : one.name }}
            <tspan class="fill-ink-2">{{ one.number }}</tspan>
          </text>
        </NuxtLink>
        <rect
          :x="x(one.low)"
          :y="y"
          :width="Math.max(2, x(one.high) - x(one.low))"
          height="20"
          :fill="`url(#band-${uid})`"
        />
        <path :d="`M${x(one.at)} ${y - 1}V${y + 21}`" class="stroke-ink" stroke-width="2" />
        <image
          :href="thumbnailUrl(one.thumbnail, 28, 18)"
          :x="x(one.came) - 14"
          :y="y + 1"
          width="28"
          height="18"
        >
          <title>
            {{ one.name }} {{ one.number }}: said {{ text(one.at) }}, {{ text(one.low) }} to
            {{ text(one.high) }}; came {{ text(one.came) }}
          </title>
        </image>
        <text
          v-if="!inside"
          :x="Math.max(x(one.came) + 14, x(one.high)) + 6"
          :y="y + 15"
          class="fill-warn text-[13px] font-bold"
        >
          {{ off }}
        </text>
      </g>
    </svg>
    <button
      v-if="line.list.length > most"
      type="button"
      class="link mt-1 text-[13px]"
      @click="all = !all"
    >
      {{ all ? 'The last ones' : `All ${line.list.length}` }}
    </button>
    <table class="sr-only">
      <caption>
        {{
          forecastNames[line.what]
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">Batch</th>
          <th scope="col">Said</th>
          <th scope="col">Between</th>
          <th scope="col">Came</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in line.list" :key="`${one.batchId} ${one.of}`">
          <th scope="row">{{ one.name }} {{ one.number }}</th>
          <td>{{ text(one.at) }}</td>
          <td>{{ text(one.low) }} to {{ text(one.high) }}</td>
          <td>{{ text(one.came) }}</td>
        </tr>
      </tbody>
    </table>
    <div class="mt-4 border-t border-line pt-3">
      <template v-if="line.offset">
        <div class="flex flex-wrap items-center gap-4">
          <p class="min-w-0 flex-1 basis-56 text-[13.5px]">
            <b>Today {{ offsetText }}, from {{ say.count(line.offset.of, 'batch', 'batches') }}.</b>
            <span class="ml-1 text-ink-2"
              >Three count half, nine three quarters; the rest is the book’s own guess.</span
            >
            <button type="button" class="link ml-1" :aria-expanded="why" @click="why = !why">
              Why?
            </button>
          </p>
          <AppButton @click="emit('reset')">Reset to none</AppButton>
        </div>
        <p v-if="why" class="mt-2 text-[13.5px] text-ink-2">
          Each batch gives a ratio: what came over what was said before anything was moved. The
          middle of them on a logarithm is taken by the share n to n + 3 of n batches, so that two
          odd ones move little. What was said stays as it was; both are kept.
        </p>
      </template>
      <p v-else-if="!isMovable(line.what)" class="text-[13.5px] text-ink-2">
        {{
          line.what === 'net'
            ? 'Nothing is moved: the label keeps its own margin, so that no bar is lighter than it says.'
            : line.what === 'yield'
              ? 'Nothing is moved: what stays on pot and blender is yours to scrape.'
              : 'Nothing is moved: it warns of heat, and a warning is not made smaller by a good run.'
        }}
      </p>
      <p v-else class="text-[13.5px] text-ink-2">
        {{
          line.list.length < 3
            ? 'From three on, own records move the next forecast.'
            : 'Nothing to mend: own records would move it by less than two in a hundred.'
        }}
      </p>
    </div>
  </div>
</template>
