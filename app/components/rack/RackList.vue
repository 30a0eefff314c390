<script setup lang="ts">
import { lastWeighed } from '#core/rack/drying/model'
import { inOrder } from '#core/units/formatter'
import type { OnRack } from '~/composables/useRack'

/** The rack as a list, a line a batch, sorted by any column; beside it all of it as one strip. */
const { items, ticks } = defineProps<{
  items: OnRack[]
  ticks: ReadonlySet<string>
}>()
const emit = defineEmits<{ choose: [id: string]; tick: [id: string]; all: [on: boolean] }>()
const { say, today } = storeToRefs(useWorkshop())

type Column = 'name' | 'bars' | 'day' | 'grams' | 'lost' | 'dry' | 'place' | 'due'
const columns: { id: Column; says: string; right?: boolean }[] = [
  { id: 'name', says: 'Batch' },
  { id: 'bars', says: 'Bars' },
  { id: 'day', says: 'Stage' },
  { id: 'grams', says: 'Weighs now', right: true },
  { id: 'lost', says: 'Lost', right: true },
  { id: 'dry', says: 'Ready' },
  { id: 'place', says: 'Place' },
  { id: 'due', says: 'Due' },
]
const sort = reactive({ by: 'due' as Column, down: false })
function sortBy(by: Column) {
  sort.down = sort.by === by && !sort.down
  sort.by = by
}
/** What cannot wait first, then what is due, then by when it will be ready. */
const urgency = ({ tag, dues, standing }: OnRack) =>
  `${tag?.bad ? 0 : tag ? 1 : 2}${dues[0]?.on ?? standing.readyOn ?? '~'}`
const keyOf: Record<Column, (one: OnRack) => string | number> = {
  name: ({ batch }) => batch.name,
  bars: ({ standing }) => standing.bars,
  day: ({ standing }) => (standing.pouredOn ? standing.day : -1),
  grams: ({ batch }) => lastWeighed(batch.facts)?.mean ?? -1,
  lost: ({ batch }) => lastWeighed(batch.facts)?.lost ?? -1,
  dry: ({ standing }) => standing.readyOn ?? '~',
  place: ({ places }) => places[0] ?? '~',
  due: urgency,
}
const byName = (a: string | number, b: string | number) => inOrder(String(a), String(b))
const bySize = (a: string | number, b: string | number) => (a < b ? -1 : a > b ? 1 : 0)
const sorted = computed(() => {
  const key = keyOf[sort.by]
  const keyed = items.map((one) => ({ one, key: key(one) }))
  // Days and numbers need no rules of a language, and those are slow.
  const compare = sort.by === 'name' || sort.by === 'place' ? byName : bySize
  const order = keyed.sort((a, b) => compare(a.key, b.key)).map(({ one }) => one)
  return sort.down ? order.reverse() : order
})
/** Rows are drawn by so many at once, and only those near the screen. */
const chunk = 8
const rowHeight = 45
const chunks = computed(() =>
  Array.from({ length: Math.ceil(sorted.value.length / chunk) }, (_, at) =>
    sorted.value.slice(at * chunk, (at + 1) * chunk),
  ),
)
const grams = ({ batch }: OnRack) => {
  const last = lastWeighed(batch.facts)
  return last ? say.value.mass(Math.round(last.mean * 10) / 10) : '–'
}
const lost = ({ batch }: OnRack) => {
  const last = lastWeighed(batch.facts)
  return last ? `−${say.value.percent(Math.max(0, last.lost), 1)}` : '–'
}
const ready = ({ batch, standing }: OnRack) => {
  if (!standing.pouredOn) return ''
  if (!standing.cutOn) return 'uncut'
  return standing.stage === 'ready'
    ? `since ${dayText(standing.readyOn!, { today: today.value })}`
    : readyText(batch, standing, today.value)
}
const allOn = computed(() => items.length > 0 && items.every(({ batch }) => ticks.has(batch.id)))

const table = ref<HTMLElement | null>(null)
</script>

<template>
  <div class="flex items-start gap-5">
    <div class="sheet min-w-0 flex-1 overflow-x-auto">
      <table ref="table" class="w-full">
        <thead>
          <tr class="h-9 bg-line-2/50 text-left text-[13px] text-ink-2">
            <th class="w-12 pl-4">
              <input
                type="checkbox"
                class="size-6 align-middle"
                :checked="allOn"
                aria-label="Tick all that are listed"
                @change="emit('all', !allOn)"
              />
            </th>
            <th class="w-14 max-sm:hidden"><span class="sr-only">Picture</span></th>
            <th
              v-for="{ id, says, right } in columns"
              :key="id"
              scope="col"
              :aria-sort="sort.by === id ? (sort.down ? 'descending' : 'ascending') : undefined"
              class="px-1.5 font-semibold"
              :class="[
                right ? 'text-right' : '',
                id === 'place' || id === 'grams' || id === 'lost' ? 'max-lg:hidden' : '',
                id === 'bars' || id === 'day' ? 'max-md:hidden' : '',
                id === 'dry' ? 'max-sm:hidden' : '',
              ]"
            >
              <button type="button" class="min-h-6 whitespace-nowrap" @click="sortBy(id)">
                {{ says }}
                <span aria-hidden="true">{{ sort.by === id ? (sort.down ? '▾' : '▴') : '' }}</span>
              </button>
            </th>
          </tr>
        </thead>
        <WhenNear
          v-for="(rows, at) in chunks"
          :key="at"
          as="tbody"
          :height="rows.length * rowHeight"
        >
          <tr
            v-for="one in rows"
            :key="one.batch.id"
            class="figure h-[45px] border-t border-line-2"
            :class="ticks.has(one.batch.id) ? 'bg-act/10' : ''"
            :data-batch="one.batch.id"
          >
            <td class="pl-4">
              <input
                type="checkbox"
                class="size-6 align-middle"
                :checked="ticks.has(one.batch.id)"
                :aria-label="`Tick ${one.batch.name} ${one.batch.number}`"
                @change="emit('tick', one.batch.id)"
              />
            </td>
            <td class="max-sm:hidden">
              <BarThumbnail :thumbnail="one.batch.thumbnail" :width="40" :height="28" />
            </td>
            <td class="px-1.5">
              <NuxtLink :to="`/batches/${one.batch.id}`" class="font-bold"
                >{{ one.batch.name }} {{ one.batch.number }}</NuxtLink
              >
              <small class="block text-ink-2 md:hidden">{{ one.says }}</small>
            </td>
            <td class="px-1.5 max-md:hidden">
              <span class="flex items-center justify-between gap-2">
                <BarThumbnail
                  v-if="!one.standing.cutOn"
                  :thumbnail="one.batch.thumbnail"
                  :width="64"
                  :height="18"
                  :class="one.standing.pouredOn ? '' : 'opacity-40'"
                />
                <BarRows
                  v-else
                  :thumbnail="one.batch.thumbnail"
                  :bars="one.standing.bars"
                  :width="4.2"
                  :height="17"
                  :gap="1"
                />
                <b>{{ one.standing.bars }}</b>
              </span>
            </td>
            <td class="px-1.5 max-md:hidden">
              <span class="flex items-center gap-2"
                ><img :src="stageStepsUrl(one.plank)" alt="" width="54" height="25" />
                <span v-if="one.standing.pouredOn" class="whitespace-nowrap"
                  >day {{ one.standing.day }}</span
                ></span
              >
            </td>
            <td class="px-1.5 text-right max-lg:hidden">{{ grams(one) }}</td>
            <td class="px-1.5 text-right max-lg:hidden">{{ lost(one) }}</td>
            <td class="px-1.5 max-sm:hidden">{{ ready(one) }}</td>
            <td class="px-1.5 max-lg:hidden">{{ say.list(one.places) || '–' }}</td>
            <td class="px-1.5 pr-3">
              <b v-if="one.tag" class="tag" :class="one.tag.bad ? 'bg-warn' : 'bg-slate'">{{
                one.tag.says
              }}</b>
            </td>
          </tr>
        </WhenNear>
      </table>
    </div>
    <RackStrip v-if="items.length > 20" :items="sorted" :ticks="ticks" :table="table" />
  </div>
</template>
