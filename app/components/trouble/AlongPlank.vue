<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import type { AlongBatch } from '#contracts/batch'
import type { CauseFigure, Trouble } from '#contracts/rackWords'
import { figureKinds } from '#core/troubles/figures'
import { daysBetween } from '#core/units/days'

/** The maker's batches along one figure, on a plank: those with the trouble show it, the one in question stands larger. */
const { batches, id, figure, worse, trouble } = defineProps<{
  batches: AlongBatch[]
  id: string
  figure: CauseFigure
  worse: 'more' | 'less'
  trouble: Trouble
}>()
const { say } = storeToRefs(useWorkshop())
const asTable = ref(false)
const text = (value: number) => figureKinds[figure].text(value, say.value)

const plank = useTemplateRef<HTMLElement>('plank')
const { width } = useElementSize(plank, { width: 700, height: 0 })
const bar = { width: 26, height: 38, gap: 8 }
/** Drawn over each other; what is more is counted. */
const most = 3
const range = computed(() => {
  const values = batches.map(({ value }) => value)
  const [low, high] = [Math.min(...values), Math.max(...values)]
  const air = (high - low || Math.abs(high) || 1) * 0.04
  return { low: low - air, high: high + air }
})
/** Per cent along the plank. */
const along = (value: number) =>
  ((value - range.value.low) / (range.value.high - range.value.low)) * 100
const columns = computed(() => {
  const count = Math.max(4, Math.floor(width.value / (bar.width + bar.gap)))
  const at = (value: number) => Math.min(count - 1, Math.floor((along(value) / 100) * count))
  const places = [...new Set(batches.map(({ value }) => at(value)))].sort((a, b) => a - b)
  return places.map((place) => {
    const sorted = batches
      .filter(({ value }) => at(value) === place)
      .sort(
        (a, b) =>
          Number(b.id === id) - Number(a.id === id) ||
          Number(b.seenOn !== null) - Number(a.seenOn !== null),
      )
    return {
      at: ((place + 0.5) / count) * 100,
      shown: sorted.slice(0, most),
      more: Math.max(0, sorted.length - most),
    }
  })
})
/** From where the plank is warm: where every batch had it and none before; null where the figure does not tell them apart. */
const warm = computed(() => {
  const sign = worse === 'more' ? 1 : -1
  const spared = batches.filter(({ seenOn }) => !seenOn).map(({ value }) => sign * value)
  const hurt = batches.filter(({ seenOn }) => seenOn).map(({ value }) => sign * value)
  if (!spared.length || !hurt.length || Math.min(...hurt) <= Math.max(...spared)) return null
  const edge = along((sign * (Math.min(...hurt) + Math.max(...spared))) / 2)
  return worse === 'more' ? { left: edge, right: 0 } : { left: 0, right: 100 - edge }
})
const ticks = computed(() => {
  const { low, high } = range.value
  const few = [...new Set(batches.map(({ value }) => value))]
  if (few.length <= 4) return few.map((value) => ({ at: along(value), says: text(value) }))
  return [0.08, 0.36, 0.64, 0.92].map((share) => ({
    at: share * 100,
    says: text(low + share * (high - low)),
  }))
})
const rows = computed(() => [...batches].sort((a, b) => b.value - a.value))
const seenText = (batch: AlongBatch) =>
  batch.seenOn ? `day ${daysBetween(batch.pouredOn, batch.seenOn)}` : 'not seen'
</script>

<template>
  <figure class="relative">
    <figcaption class="figure flex justify-between gap-3 text-sm text-ink-2">
      <span>{{ figureKinds[figure].says }}</span>
      <button type="button" class="link font-[550]" @click="asTable = !asTable">
        {{ asTable ? 'As a picture' : 'As a table' }}
      </button>
    </figcaption>
    <table v-if="asTable" class="figure mt-2 w-full">
      <thead>
        <tr class="border-b border-line text-left">
          <th scope="col" class="py-1">Batch</th>
          <th scope="col">{{ figureKinds[figure].says }}</th>
          <th scope="col">Seen</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id" class="border-b border-line-2">
          <th scope="row" class="py-1 text-left font-normal">
            <NuxtLink :to="`/batches/${row.id}`" class="link"
              >{{ row.name }} {{ row.number }}</NuxtLink
            >
          </th>
          <td>{{ text(row.value) }}</td>
          <td :class="row.seenOn ? 'font-[650]' : 'text-ink-2'">{{ seenText(row) }}</td>
        </tr>
      </tbody>
    </table>
    <template v-else>
      <div ref="plank" class="relative mt-2 h-[176px]">
        <div
          v-if="warm"
          class="absolute top-0 bottom-[26px] bg-warn-ground px-2 py-1 text-sm font-[650] text-warn"
          :style="{ left: `${warm.left}%`, right: `${warm.right}%` }"
        >
          had it
        </div>
        <div
          v-for="column in columns"
          :key="column.at"
          class="absolute bottom-[32px] flex -translate-x-1/2 flex-col-reverse items-center gap-px"
          :style="{ left: `${column.at}%` }"
        >
          <NuxtLink
            v-for="one in column.shown"
            :key="one.id"
            :to="`/batches/${one.id}`"
            class="relative block leading-none"
            :aria-label="`${one.name} ${one.number}: ${text(one.value)}, ${seenText(one)}`"
            :title="`${one.name} ${one.number}: ${text(one.value)}, ${seenText(one)}`"
          >
            <TroubledBar
              :thumbnail="one.thumbnail"
              :trouble="one.seenOn ? trouble : null"
              :width="one.id === id ? bar.width + 8 : bar.width"
              :height="one.id === id ? bar.height + 14 : bar.height"
            />
          </NuxtLink>
          <span v-if="column.more" class="figure text-sm text-ink-2">+{{ column.more }}</span>
        </div>
        <div class="absolute right-0 bottom-[26px] left-0 h-1.5 bg-plank" />
        <span
          v-for="column in columns"
          :key="`n${column.at}`"
          class="figure absolute bottom-0 -translate-x-1/2 text-sm"
          :class="column.shown.some((one) => one.id === id) ? 'font-bold' : 'text-ink-2'"
          :style="{ left: `${column.at}%` }"
          aria-hidden="true"
          >{{ column.shown[0]!.number }}</span
        >
      </div>
      <div class="figure relative h-5 text-sm text-ink-2" aria-hidden="true">
        <span
          v-for="tick in ticks"
          :key="tick.at"
          class="absolute -translate-x-1/2 whitespace-nowrap"
          :style="{ left: `${tick.at}%` }"
          >{{ tick.says }}</span
        >
      </div>
    </template>
  </figure>
</template>
