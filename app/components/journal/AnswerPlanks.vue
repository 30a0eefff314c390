<script setup lang="ts">
import type { Answer, Point } from '#core/learning/answer'
import { median } from '#core/statistics/quantile'
import { useElementSize } from '@vueuse/core'

/** Two sides of a question as bars on planks over one figure; between them a rule from middle to middle, hatched over what is possible. */
const { answer } = defineProps<{ answer: Answer }>()
const { say } = storeToRefs(useWorkshop())
const box = useTemplateRef<HTMLElement>('box')
const { width } = useElementSize(box, { width: 720, height: 0 })
const narrow = computed(() => width.value < 560)
/** Room on the left for what a plank is called. */
const left = computed(() => (narrow.value ? 8 : 128))
const right = 34

const planks = computed(() =>
  [
    answer.sides[0]!,
    ...(answer.between.length ? [{ says: 'In part', points: answer.between }] : []),
    answer.sides[1]!,
  ].map((side) => ({ ...side, points: [...side.points].sort((a, b) => a.value - b.value) })),
)
const all = computed(() => planks.value.flatMap(({ points }) => points.map(({ value }) => value)))
const range = computed(() => {
  const [low, high] = [Math.min(...all.value), Math.max(...all.value)]
  const air = high > low ? (high - low) * 0.08 : Math.abs(high) * 0.1 || 1
  return { low: low - air, high: high + air }
})
const x = (value: number): number =>
  left.value +
  ((value - range.value.low) / (range.value.high - range.value.low)) *
    Math.max(1, width.value - left.value - right)

/** Sizes of a bar that are tried, the largest that stays under so many over each other. */
const sizes = [
  { w: 68, h: 40 },
  { w: 46, h: 30 },
  { w: 34, h: 22 },
  { w: 24, h: 16 },
  { w: 14, h: 10 },
  { w: 8, h: 6 },
]
const tallest = 124
const rowsOf = ({ h }: (typeof sizes)[number]) => Math.max(1, Math.floor(tallest / h))
/** What a bar takes along the plank, with its number beside it where it is large enough. */
const spaceOf = ({ w }: (typeof sizes)[number]) => w + (w >= 34 && !narrow.value ? 24 : 2)
const size = computed(() => {
  const fits = sizes.filter(({ w }) => !narrow.value || w <= 46)
  return (
    fits.find((one) =>
      planks.value.every(({ points }) =>
        pilesFit(
          points.map(({ value }) => x(value)),
          spaceOf(one),
          rowsOf(one),
        ),
      ),
    ) ?? sizes.at(-1)!
  )
})
const labelled = computed(() => size.value.w >= 34 && !narrow.value)
/** From plank to plank, and what the rule takes. */
const head = computed(() => (narrow.value ? 44 : 0))
const rule = 78
const drawn = computed(() => {
  let bottom = 0
  return planks.value.map(({ says, points }, place) => {
    const stood = piled(
      points.map(({ value }) => x(value)),
      spaceOf(size.value),
      rowsOf(size.value),
    )
    const tall = (Math.max(0, ...stood.map(({ level }) => level)) + 1) * size.value.h
    const top = bottom + head.value
    bottom = top + Math.max(tall, narrow.value ? 0 : 64) + 8
    const plank = bottom - 8
    const isBeforeRule = place === planks.value.length - 2
    if (isBeforeRule && ruled.value) bottom += rule
    else bottom += 14
    return {
      says,
      top,
      plank,
      count: points.length,
      values: valuesText(points),
      bars: points.map((point, nth) => ({
        point,
        at: stood[nth]!.at,
        y: plank - (stood[nth]!.level + 1) * size.value.h,
      })),
    }
  })
})
const tall = computed(() => (drawn.value.at(-1)?.plank ?? 0) + 8 + 30)
function valuesText(points: readonly Point[]): string {
  if (!points.length || points.length > 8) return ''
  const texts = points.map(({ value }) => answer.axis.text(value, say.value))
  const unit = /^[\d.,−-]+( .+)$/.exec(texts.at(-1)!)?.[1]
  if (!unit) return texts.join(' ')
  return `${texts.map((text) => /^[\d.,−-]+/.exec(text)![0]).join(' ')}${unit}`
}
const ruled = computed(() => {
  const { shift } = answer
  const other = answer.sides[1]!.points
  if (!shift || !other.length || !answer.sides[0]!.points.length) return null
  const from = median(other.map(({ value }) => value))
  const ends = shift.band ?? { low: shift.at, high: shift.at }
  const [zero, at, low, high] = [0, shift.at, ends.low, ends.high].map((by) => x(from + by))
  return { zero: zero!, at: at!, low: low!, high: high! }
})
const ruleTop = computed(() => (drawn.value.at(-2)?.plank ?? 0) + 8 + 30)
const ruleText = computed(() => {
  const { low = 0, high = 0, zero = 0, at = 0 } = ruled.value ?? {}
  const [start, end] = [Math.min(low, zero, at), Math.max(high, zero, at)]
  // About as wide as its longer line is; where neither side has room it stands below the picture.
  const wide = 12 + Math.max(answer.shortly.length * 8.2, answer.band.length * 6.8)
  const fits = end + wide < width.value
  return {
    start,
    end,
    x: fits ? end + 12 : start - 12,
    anchor: fits ? 'start' : 'end',
    fits: fits || start > wide,
  } as const
})
const ticks = computed(() =>
  roundTicks(range.value.low, range.value.high, narrow.value ? 3 : 5).map((value) => ({
    at: x(value),
    says: answer.axis.text(value, say.value),
  })),
)
const marks = computed(() => {
  const { zero = 0, low = 0, high = 0 } = ruled.value ?? {}
  const end = low > zero ? low : high < zero ? high : zero
  const count = Math.floor(Math.abs(end - zero) / 12)
  return Array.from({ length: count }, (_, nth) => ({
    x: zero + Math.sign(end - zero) * nth * 12,
    tall: nth % 5 ? 5 : 10,
  }))
})
const uid = useId()
const says = computed(() =>
  planks.value
    .map(
      ({ says: what, points }) =>
        `${what}: ${say.value.count(points.length, 'batch', 'batches')}${points.length ? `, ${say.value.list(points.slice(0, 12).map(({ batch, value }) => `${batch.name} ${batch.number} ${answer.axis.text(value, say.value)}`))}` : ''}.`,
    )
    .join(' '),
)
</script>

<template>
  <div ref="box" class="w-full">
    <svg
      v-if="all.length && width > 0"
      :width="width"
      :height="tall"
      class="block overflow-visible"
      role="group"
      :aria-label="says"
    >
      <defs>
        <pattern :id="`hatch-${uid}`" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill="#f4ecd9" />
          <rect width="2" height="6" fill="#20292b" opacity=".45" />
        </pattern>
      </defs>
      <g v-for="tick in ticks" :key="tick.at">
        <path :d="`M${tick.at} 0V${tall - 30}`" class="stroke-line-2" />
        <text :x="tick.at" :y="tall - 8" text-anchor="middle" class="fill-ink-2 text-[13px]">
          {{ tick.says }}
        </text>
      </g>
      <g v-for="row in drawn" :key="row.says">
        <rect :x="0" :y="row.plank" :width="width" height="8" class="fill-plank" />
        <template v-if="narrow">
          <text :x="0" :y="row.top - 26" class="fill-ink text-[15px] font-[650]">
            {{ row.says }}
          </text>
          <text :x="0" :y="row.top - 8" class="fill-ink-2 text-[13.5px]">
            {{ say.count(row.count, 'batch', 'batches') }}{{ row.values ? `: ${row.values}` : '' }}
          </text>
        </template>
        <template v-else>
          <text :x="0" :y="row.plank - 46" class="fill-ink text-[15px] font-[650]">
            {{ row.says }}
          </text>
          <text :x="0" :y="row.plank - 27" class="fill-ink-2 text-[13.5px]">
            {{ say.count(row.count, 'batch', 'batches') }}
          </text>
          <text :x="0" :y="row.plank - 9" class="fill-ink-2 text-[13.5px]">{{ row.values }}</text>
        </template>
        <NuxtLink
          v-for="bar in row.bars"
          :key="bar.point.batch.id"
          :to="`/batches/${bar.point.batch.id}`"
          :aria-label="`${bar.point.batch.name} ${bar.point.batch.number}`"
        >
          <image
            :href="thumbnailUrl(bar.point.batch.thumbnail, size.w, size.h)"
            :x="bar.at - size.w / 2"
            :y="bar.y"
            :width="size.w"
            :height="size.h"
          >
            <title>
              {{ bar.point.batch.name }} {{ bar.point.batch.number }},
              {{ answer.axis.text(bar.point.value, say) }}
            </title>
          </image>
          <text
            v-if="labelled"
            :x="bar.at + size.w / 2 + 4"
            :y="bar.y + size.h / 2 + 5"
            class="fill-ink-2 text-[12.5px]"
          >
            {{ bar.point.batch.number }}
          </text>
        </NuxtLink>
      </g>
      <g v-if="ruled" aria-hidden="true">
        <path :d="`M${ruled.at} ${ruleTop - 30}V${ruleTop}`" class="stroke-ink" stroke-width="2" />
        <path :d="`M${ruled.at - 6} ${ruleTop - 30}h12l-6 8z`" class="fill-ink" />
        <path
          :d="`M${ruled.zero} ${ruleTop + 24}V${drawn.at(-1)!.plank}`"
          class="stroke-ink"
          stroke-width="2"
          stroke-dasharray="3 3"
        />
        <path :d="`M${ruled.zero - 6} ${drawn.at(-1)!.plank}h12l-6 -8z`" class="fill-ink" />
        <rect
          :x="Math.min(ruled.zero, ruled.at)"
          :y="ruleTop"
          :width="Math.abs(ruled.at - ruled.zero)"
          height="24"
          fill="#e3c97f"
        />
        <rect
          v-if="ruled.high > ruled.low"
          :x="ruled.low"
          :y="ruleTop"
          :width="ruled.high - ruled.low"
          height="24"
          :fill="`url(#hatch-${uid})`"
        />
        <rect
          :x="ruleText.start"
          :y="ruleTop"
          :width="Math.max(1, ruleText.end - ruleText.start)"
          height="24"
          fill="none"
          class="stroke-ink"
        />
        <path
          v-for="mark in marks"
          :key="mark.x"
          :d="`M${mark.x} ${ruleTop}v${mark.tall}`"
          stroke="#182022"
        />
        <path
          :d="`M${ruled.at} ${ruleTop - 2}V${ruleTop + 28}`"
          class="stroke-ink"
          stroke-width="3"
        />
        <template v-if="ruleText.fits">
          <text
            :x="ruleText.x"
            :y="ruleTop + 9"
            :text-anchor="ruleText.anchor"
            class="fill-ink text-[14.5px] font-bold"
          >
            {{ answer.shortly }}
          </text>
          <text
            :x="ruleText.x"
            :y="ruleTop + 27"
            :text-anchor="ruleText.anchor"
            class="fill-ink-2 text-[13px]"
          >
            {{ answer.band }}
          </text>
        </template>
      </g>
    </svg>
    <p v-if="ruled && !ruleText.fits" class="figure mt-1 text-[13.5px]">
      <b>{{ answer.shortly }}</b> <span class="text-ink-2">{{ answer.band }}</span>
    </p>
  </div>
</template>
