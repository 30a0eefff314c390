<script setup lang="ts">
import { lastWeighed } from '#core/rack/drying/model'
import { dueOf, type Due } from '#core/rack/due'
import { standingOf, type RackStage } from '#core/rack/standing'
import { isBlocked } from '#core/rack/usable'
import { daysBetween } from '#core/units/days'
import type { OnPlank } from '~/components/rack/PlankRow.vue'
import { sumOf } from '#core/statistics/sum'

const batches = useBatches()
const workshop = useWorkshop()
const { say } = storeToRefs(workshop)
const { today } = storeToRefs(workshop)
useHead({ title: 'Rack · Mantle' })
onMounted(() => void batches.load())

const chosen = ref<string | null>(null)
const all = computed<OnPlank[]>(() =>
  batches.list.map((batch) => ({ batch, standing: standingOf(batch, today.value) })),
)
const byReady = (a: OnPlank, b: OnPlank) =>
  (a.standing.readyOn ?? '').localeCompare(b.standing.readyOn ?? '')
const on = (stage: RackStage) =>
  all.value.filter(({ standing }) => standing.stage === stage).sort(byReady)
const planks = computed(() => [
  {
    title: 'Mantle: ready',
    items: on('ready'),
    empty: 'Nothing is ready yet. Bars climb up here as they dry.',
  },
  { title: 'Last weeks', items: on('last-weeks'), empty: 'Nothing in its last weeks.' },
  { title: 'Drying', items: on('drying'), empty: 'Nothing drying.' },
  {
    title: 'First days, handle with gloves',
    items: on('first-days'),
    empty: 'Nothing fresh from the pot.',
  },
])
const drying = computed(() => [...on('last-weeks'), ...on('drying'), ...on('first-days')])
const bars = computed(() => sumOf(drying.value, ({ standing }) => standing.bars))
const planned = computed(() => on('planned'))
const current = computed(() => {
  const onRack = planks.value.flatMap(({ items }) => items)
  return (
    onRack.find(({ batch }) => batch.id === chosen.value) ?? drying.value[0] ?? onRack[0] ?? null
  )
})

function says({ batch, standing }: OnPlank): string {
  if (standing.stage === 'ready') return `${standing.bars} bars`
  if (!standing.cutOn)
    return standing.day === 0 ? 'poured today' : `in the mould, day ${standing.day}`
  if (standing.stage === 'last-weeks')
    return `ready ${standing.by === 'weight' ? 'about ' : ''}${dayText(standing.readyOn!, { today: today.value })}`
  const lost = Math.max(0, lastWeighed(batch.facts)?.lost ?? 0)
  return `day ${standing.day}${lost ? ` · −${workshop.say.percent(lost, 1)}` : ` of ${batch.cure.days}`}`
}
function flag({ batch, standing }: OnPlank): string {
  const { usable } = batch.facts
  if (isBlocked(usable)) return usable.state
  const kind = dues.value.get(batch.id)
  if (kind && kind !== 'ready') return flags[kind]
  return standing.stage === 'ready' && daysBetween(standing.readyOn!, today.value) <= 7
    ? 'ready'
    : ''
}
const flags = {
  pour: '',
  peek: 'look under',
  unwrap: 'unwrap',
  thaw: 'out of the freezer',
  cut: 'unmould, cut',
  strip: 'test',
  weigh: 'weigh',
  turn: 'turn',
} as const
const dueToday = computed(
  () => dueOf(batches.list, today.value, workshop.dayOf, workshop.settings.rack).today,
)
/** The most pressing of what is due for each batch. */
const dues = computed(
  () => new Map([...dueToday.value].reverse().map(({ batchId, kind }) => [batchId, kind])),
)
const dueFor = (asked: Due['kind']) => {
  const ids = new Set(
    dueToday.value.flatMap(({ kind, batchId }) => (kind === asked ? [batchId] : [])),
  )
  return drying.value.flatMap(({ batch }) => (ids.has(batch.id) ? [batch] : []))
}
const toTurn = computed(() => dueFor('turn'))
const answer = useDueAnswers()
/** Those that are due first, then everything else that dries. */
function weigh() {
  const cut = drying.value.flatMap(({ batch }) => (batch.facts.cutOn ? [batch] : []))
  void answer('weigh', [...new Set([...dueFor('weigh'), ...cut])])
}
useShortcuts({ w: weigh })
const view = useRackView()
const roomOpen = ref(false)
const judging = ref(false)
const room = useRoom()
onMounted(() => {
  void room.load()
  room.listen()
})
onUnmounted(room.leave)
const { damp } = storeToRefs(room)
const onRack = computed(() => [...on('ready'), ...drying.value].map(({ batch }) => batch))
const panel = ref<HTMLElement | null>(null)
/** On a narrow screen the panel lies below the planks: it comes into view. */
function choose(id: string) {
  chosen.value = id
  void nextTick(() => panel.value?.scrollIntoView({ block: 'nearest', behavior: 'smooth' }))
}
</script>

<template>
  <div
    class="mx-auto grid max-w-[1280px] grid-cols-[minmax(0,1fr)] gap-4 px-4 py-4 sm:px-6 lg:grid-cols-[minmax(0,1fr)_340px]"
  >
    <div>
      <div class="mb-2 flex flex-wrap items-baseline gap-3">
        <h1>Rack</h1>
        <span class="text-ink-2"
          >{{ bars }} bars drying, {{ say.count(drying.length, 'batch', 'batches') }}</span
        >
        <span class="flex-1" />
        <AppButton @click="roomOpen = true">
          <span v-if="room.now" class="figure"
            >{{ workshop.say.temperature(room.now.celsius) }} ·
            {{ workshop.say.percent(room.now.humidity, 0) }}</span
          >
          <span :class="room.now ? 'sr-only' : ''">Room</span></AppButton
        >
        <AppButton @click="weigh">Weigh in <kbd>W</kbd></AppButton>
        <AppButton v-if="toTurn.length" @click="answer('turn', toTurn)"
          >Turn all due, {{ toTurn.length }}</AppButton
        >
      </div>
      <p v-if="batches.problem" role="alert" class="mb-3 font-semibold text-stop">
        {{ batches.problem }}
      </p>
      <p v-if="damp" class="mb-3 bg-warn-ground px-3 py-2 text-warn">
        <b>A damp week,</b> {{ workshop.say.percent(damp.humidity, 0) }}: bars dry about
        {{ workshop.say.percent(1 - damp.pace, 0) }} slower than at
        {{ workshop.say.percent(damp.before, 0) }}. Move air; salt bars may sweat.
      </p>
      <div class="mb-2 flex flex-wrap items-center gap-x-5 gap-y-1">
        <fieldset class="flex gap-4">
          <legend class="sr-only">What is drawn</legend>
          <label class="flex items-center gap-1.5"
            ><input v-model="view" type="radio" value="stages" /> by stage</label
          >
          <label class="flex items-center gap-1.5"
            ><input v-model="view" type="radio" value="room" /> as the room is</label
          >
        </fieldset>
        <button type="button" class="link" @click="judging = true">How good the dates were</button>
      </div>
      <LazyRoomPlaces
        v-if="view === 'room'"
        :batches="onRack"
        :chosen="current?.batch.id ?? null"
        @choose="choose"
        @room="roomOpen = true"
      />
      <PlankRow
        v-for="plank in view === 'stages' ? planks : []"
        :key="plank.title"
        :title="plank.title"
        :items="plank.items"
        :chosen="current?.batch.id ?? null"
        :says="says"
        :flag="flag"
        @choose="choose"
      >
        {{ plank.empty }}
      </PlankRow>
      <p v-if="planned.length" class="mt-3 text-ink-2">
        Planned, not poured yet:
        <template v-for="(item, index) in planned" :key="item.batch.id"
          >{{ index ? ', ' : ''
          }}<NuxtLink :to="`/batches/${item.batch.id}`" class="link"
            >{{ item.batch.name }} {{ item.batch.number }}</NuxtLink
          ></template
        >.
      </p>
    </div>
    <LazyRoomDialog v-if="roomOpen" v-model="roomOpen" />
    <LazyPredictionsDialog v-if="judging" v-model="judging" />
    <aside
      ref="panel"
      class="sheet self-start px-5 py-4 lg:sticky lg:top-4"
      aria-label="The chosen batch"
      aria-live="polite"
    >
      <BatchPanel v-if="current" :key="current.batch.id" :batch="current.batch" />
      <template v-else>
        <h2 class="text-[17px] font-bold text-ink">The rack is empty</h2>
        <p class="my-2 text-ink-2">
          Make a batch from a formula and mark it as poured: its loaf appears on the lowest plank
          and climbs until it is ready.
        </p>
        <AppButton kind="main" to="/formulas">To the formulas</AppButton>
      </template>
    </aside>
  </div>
</template>
