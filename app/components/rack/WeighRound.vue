<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { z } from 'zod'
import { useEventListener, useMediaQuery } from '@vueuse/core'
import { oddWeight } from '#core/rack/oddWeight'

/** One round at the scale through many batches: a row of marked bars for each, Enter goes on to the next. */
const round = useWeighRound()
const batches = useBatches()
const workshop = useWorkshop()
const { say, today } = storeToRefs(workshop)
/** What is typed outlives a reload; once it is kept or thrown away it is gone. */
const draft = 'mantle-weigh-round'
const typed = useKept<Record<string, number | null>>(
  draft,
  {},
  bySchema(z.record(z.string(), z.number().nullable())),
)
const open = computed({ get: () => true, set: end })
function end() {
  typed.value = {}
  round.value = null
  void nextTick(() => forgetHere(draft))
}
const day = ref(today.value)
/** From a spreadsheet instead. */
const table = ref(false)

/** Three bars are marked where none are yet: enough to tell a slow bar from a slow batch. */
const usualMarks = [1, 2, 3]
const rows = computed(() =>
  (round.value ?? []).map((batch) => ({
    batch,
    bars: (batch.facts.weighed.length
      ? batch.facts.weighed
      : usualMarks.map((bar) => ({ bar, grams: null }))
    ).map(({ bar, grams }) => ({ bar, last: grams, key: `${batch.id} ${bar}` })),
  })),
)
const sure = ref<Record<string, boolean>>({})
const oddOf = (batch: BatchSummary, bar: number) => {
  const grams = typed.value[`${batch.id} ${bar}`]
  return grams == null ? null : oddWeight(batch.facts, bar, grams, day.value, say.value)
}
/** What the scale says, where one is chosen: nothing lies on it under a gram. */
const live = ref<{ grams: number | null; steady: boolean }>({ grams: null, steady: false })
const filled = computed(() => Object.values(typed.value).filter((grams) => grams != null).length)
const odd = computed(() =>
  rows.value.flatMap(({ batch, bars }) =>
    bars.filter(({ bar, key }) => oddOf(batch, bar) && !sure.value[key]),
  ),
)
const list = ref<HTMLElement>()
function onward(event: KeyboardEvent) {
  const fields = [...(list.value?.querySelectorAll<HTMLInputElement>('input.figure') ?? [])]
  const at = fields.indexOf(event.target as HTMLInputElement)
  if (at < 0) return
  event.preventDefault()
  const key = rows.value.flatMap(({ bars }) => bars)[at]?.key
  // An empty field takes what lies still on the scale.
  if (key && typed.value[key] == null && live.value.grams !== null) {
    if (!live.value.steady) return
    typed.value[key] = live.value.grams
  }
  fields[at + 1]?.focus()
}
/** On a phone one bar at a time, with room for gloves. */
const oneByOne = useMediaQuery('(width < 640px)')
const allBars = computed(() =>
  rows.value.flatMap(({ batch, bars }) => bars.map((bar) => ({ batch, ...bar }))),
)
const at = ref(0)
/** Where the bar stands that is asked for. */
const place = computed(() => {
  const [stands] = allBars.value[at.value]?.batch.facts.spread ?? []
  return workshop.settings.rack.places.find(({ id }) => id === stands?.place)?.name ?? ''
})
useEventListener(document, 'keydown', (event) => {
  if (event.key !== 'Enter' || !(event.ctrlKey || event.metaKey) || table.value) return
  event.preventDefault()
  void keep()
})
const busy = ref(false)
/** Of each batch's weights, as long as this round is open and they wait to be taken. */
const ids = stableIds()
async function keep() {
  if (busy.value || !filled.value || odd.value.length) return
  busy.value = true
  let all = true
  for (const { batch, bars } of rows.value) {
    const weighed = bars.flatMap(({ bar, key }) =>
      typed.value[key] == null ? [] : [{ bar, grams: typed.value[key] }],
    )
    if (!weighed.length) continue
    const kept = await batches.tell(
      batch.id,
      { kind: 'weighed', day: day.value, bars: weighed },
      `${batch.name} ${batch.number} is weighed.`,
      ids.of(batch.id),
    )
    if (kept) ids.forget(batch.id)
    if (kept) for (const { key } of bars) typed.value[key] = null
    else all = false
  }
  busy.value = false
  if (all) end()
}
</script>

<template>
  <AppDialog
    v-model="open"
    :title="oneByOne ? 'Weigh in' : 'Weigh the marked bars'"
    wide
    full
    :keep="
      filled && !odd.length && !table
        ? { says: `Keep ${say.count(filled, 'weight', 'weights')}`, act: keep }
        : undefined
    "
  >
    <template v-if="oneByOne && rows.length" #beside
      ><span
        class="figure ml-3 inline-flex w-[calc(100%-6rem)] justify-between text-sm font-normal"
      >
        <span>{{ place }}</span><span>{{ at + 1 }} of {{ allBars.length }}</span></span
      ></template
    >
    <LazyWeighInTable v-if="table" class="px-5 py-4" @done="open = false" />
    <WeighOneByOne
      v-else-if="oneByOne && rows.length"
      v-model:typed="typed"
      v-model:sure="sure"
      v-model:at="at"
      :bars="allBars"
      :live="live"
      :odd-of="oddOf"
      :day="day"
      @keep="keep"
    >
      <div class="mt-3 flex flex-wrap items-center justify-between gap-3">
        <label class="flex items-center gap-2 font-semibold"
          >On
          <input v-model="day" type="date" class="field min-h-11 font-normal" :max="today" required
        /></label>
        <button v-if="filled && !odd.length" type="button" class="link min-h-11" @click="keep">
          Keep {{ say.count(filled, 'weight', 'weights') }} now
        </button>
      </div>
      <LiveScale v-model="live" class="mt-2" />
    </WeighOneByOne>
    <form v-else class="px-5 py-4" @submit.prevent>
      <p v-if="!rows.length" class="text-ink-2">
        No batch is cut and drying: there is nothing to weigh.
      </p>
      <LiveScale v-model="live" class="mb-2" />
      <ul ref="list" class="max-h-[52vh] overflow-y-auto" @keydown.enter="onward">
        <li
          v-for="row in rows"
          :key="row.batch.id"
          class="grid items-center gap-x-4 gap-y-2 border-t border-line-2 py-2.5 sm:grid-cols-[44px_170px_1fr]"
        >
          <BarThumbnail :thumbnail="row.batch.thumbnail" class="max-sm:hidden" />
          <div class="min-w-0">
            <b class="font-[650]">{{ row.batch.name }} {{ row.batch.number }}</b>
            <p class="text-sm text-ink-2">
              {{
                row.batch.facts.weighedOn
                  ? `weighed ${dayText(row.batch.facts.weighedOn, { today })}`
                  : 'mark three bars 1, 2, 3'
              }}
            </p>
          </div>
          <div class="flex flex-wrap gap-x-4 gap-y-2">
            <div v-for="bar in row.bars" :key="bar.key">
              <label class="flex items-center gap-2"
                ><span class="text-sm text-ink-2">bar {{ bar.bar }}</span>
                <NumberField
                  kind="mass"
                  class="w-28"
                  :label="`${row.batch.name} ${row.batch.number}, bar ${bar.bar}`"
                  :min="0.1"
                  :max="20000"
                  :model-value="typed[bar.key] ?? null"
                  @update:model-value="typed[bar.key] = $event"
              /></label>
              <small class="figure block text-right text-ink-3">{{
                bar.last === null ? '' : `last ${say.mass(bar.last)}`
              }}</small>
              <label
                v-if="oddOf(row.batch, bar.bar)"
                class="mt-0.5 block max-w-48 text-sm text-warn"
                >{{ oddOf(row.batch, bar.bar) }}
                <span class="flex items-center gap-1.5"
                  ><input v-model="sure[bar.key]" type="checkbox" /> it is right</span
                ></label
              >
            </div>
          </div>
        </li>
      </ul>
      <div class="mt-3 flex flex-wrap items-center gap-4">
        <label class="flex items-center gap-2 font-semibold"
          >On <input v-model="day" type="date" class="field font-normal" :max="today" required
        /></label>
        <p class="text-sm text-ink-2">
          The same bars each time, by the number scratched into them. Enter goes to the next, and
          takes what lies still on the scale; Ctrl Enter keeps all of it.
        </p>
      </div>
    </form>
    <template v-if="!oneByOne || !rows.length || table" #actions="{ close }">
      <span v-if="odd.length" class="self-center text-sm text-warn"
        >{{ say.count(odd.length, 'odd weight', 'odd weights') }} to look at</span
      >
      <AppButton class="mr-auto" @click="table = !table">{{
        table ? 'At the scale' : 'From a table'
      }}</AppButton>
      <AppButton @click="close">Cancel</AppButton>
      <AppButton
        v-if="!table"
        kind="main"
        :disabled="!filled || odd.length > 0 || busy"
        @click="keep"
        >{{ filled ? `Keep ${say.count(filled, 'weight', 'weights')}` : 'Keep weights' }}</AppButton
      >
    </template>
  </AppDialog>
</template>
