<script setup lang="ts">
import { Search } from '@lucide/vue'
import { useElementSize, useMediaQuery } from '@vueuse/core'
import type { TickedAct } from '~/components/rack/TickedBar.vue'
import type { OnRack } from '~/composables/useRack'
import type { RackStage } from '#core/rack/standing'
import { isDrying } from '#core/rack/standing'

const batches = useBatches()
const workshop = useWorkshop()
const { say, settings } = storeToRefs(workshop)
useHead({ title: 'Rack · Mantle' })
onMounted(() => void batches.load())

const rack = useRack()
const { all, found, filter, filtered, ticks, ticked, counts } = rack
const view = useRackView()
const views = [
  { is: 'stages', says: 'Stages' },
  { is: 'room', says: 'Room' },
  { is: 'list', says: 'List' },
] as const

/* What is looked for stands in the address: it outlives a reload and can be sent to somebody. */
const route = useRoute()
const router = useRouter()
const asked = (key: string) => String(route.query[key] ?? '')
Object.assign(filter, {
  find: asked('find'),
  due: asked('due') === '1',
  untested: asked('untested') === '1',
  formula: asked('formula'),
  place: asked('place'),
})
watch(filter, ({ find, due, untested, formula, place }) => {
  const query = { find, due: due ? '1' : '', untested: untested ? '1' : '', formula, place }
  const set = Object.entries(query).filter(([, value]) => value)
  void router.replace({ query: Object.fromEntries(set) })
})

const byReady = (a: OnRack, b: OnRack) =>
  (a.standing.readyOn ?? '~').localeCompare(b.standing.readyOn ?? '~')
const on = (...stages: RackStage[]) =>
  found.value.filter(({ plank }) => stages.includes(plank)).sort(byReady)
const turning = computed(() =>
  settings.value.rack.turnEvery ? `turn every ${settings.value.rack.turnEvery} days` : '',
)
const planks = computed(() => [
  {
    title: 'Mantle',
    says: 'ready, tested or trusted',
    items: on('ready'),
    empty: 'Nothing is ready yet. Bars climb up here as they dry.',
  },
  {
    title: 'Last weeks',
    says: 'nearly dry',
    items: on('last-weeks'),
    empty: 'Nothing in its last weeks.',
  },
  { title: 'Drying', says: turning.value, items: on('drying'), empty: 'Nothing drying.' },
  {
    title: 'First days',
    says: 'handle with gloves',
    items: on('first-days', 'planned'),
    empty: 'Nothing fresh from the pot.',
  },
])
/** Nothing that is looked for stands on a plank: then it is not drawn. */
const shownPlanks = computed(() =>
  filtered.value ? planks.value.filter(({ items }) => items.length) : planks.value,
)
const board = ref<HTMLElement | null>(null)
const { width: measured } = useElementSize(board)
/** Until it is measured, what such a window will have beside the panel. */
const width = computed(
  () => measured.value || Math.min(884, window.innerWidth - (window.innerWidth < 640 ? 32 : 48)),
)
/** Columns of at least 198 px beside the gutter; on a phone two. */
const columns = computed(() =>
  width.value < 340 ? 1 : width.value < 560 ? 2 : Math.max(1, Math.floor((width.value - 92) / 190)),
)

const chosen = ref<string | null>(null)
const current = computed(() => {
  const shown = planks.value.flatMap(({ items }) => items)
  return (
    all.value.find(({ batch }) => batch.id === chosen.value) ??
    shown.find(({ standing }) => isDrying(standing)) ??
    shown[0] ??
    null
  )
})
const panel = ref<HTMLElement | null>(null)
/** On a narrow screen the panel lies below the planks: it comes into view. */
function choose(id: string) {
  chosen.value = id
  void nextTick(() => panel.value?.scrollIntoView({ block: 'nearest' }))
}

const ticking = ref(false)
function untick() {
  ticking.value = false
  rack.setTicks([])
}
/** What a key is about: the batch that has the focus, else the one that is shown. */
const focused = () => {
  const cell = document.activeElement?.closest<HTMLElement>('[data-batch]')
  return cell?.dataset.batch ?? current.value?.batch.id
}

const answer = useDueAnswers()
const toTurn = computed(() =>
  all.value.flatMap(({ batch, dues }) => (dues.some(({ kind }) => kind === 'turn') ? [batch] : [])),
)
/** Those that are due first, then everything else that dries. */
function weighAll() {
  const drying = all.value.filter(({ standing }) => standing.cutOn && isDrying(standing))
  const due = drying.filter(({ dues }) => dues.some(({ kind }) => kind === 'weigh'))
  void answer(
    'weigh',
    [...new Set([...due, ...drying])].map(({ batch }) => batch),
  )
}
const stripping = ref(false)
const moving = ref(false)
/** What is done is done with all that are ticked, else with the one that is shown. */
const meant = computed(() =>
  ticked.value.length ? ticked.value : current.value ? [current.value] : [],
)
const cutOnes = computed(() =>
  meant.value.filter(({ standing }) => standing.cutOn).map(({ batch }) => batch),
)
const poured = computed(() =>
  meant.value.filter(({ standing }) => standing.pouredOn).map(({ batch }) => batch),
)
const acts: Record<TickedAct, () => unknown> = {
  strip: () => cutOnes.value.length && (stripping.value = true),
  weigh: () => (ticked.value.length ? answer('weigh', cutOnes.value) : weighAll()),
  move: () => poured.value.length && (moving.value = true),
  print: () =>
    ticked.value.length
      ? window.print()
      : current.value && router.push(`/batches/${current.value.batch.id}/sheet`),
  turn: () =>
    ticked.value.length
      ? answer('turn', cutOnes.value)
      : toTurn.value.length && answer('turn', toTurn.value),
}
useShortcuts({
  s: acts.strip,
  w: acts.weigh,
  m: acts.move,
  p: acts.print,
  t: acts.turn,
  x: () => {
    const id = focused()
    if (id) rack.tick(id)
  },
  f: () => search.value?.focus(),
  Escape: () => (arranging.value ? (arranging.value = false) : untick()),
})
const search = ref<HTMLInputElement | null>(null)

const formulaNames = computed(() =>
  [...new Map(batches.list.map(({ formulaId, name }) => [formulaId, name]))].sort((a, b) =>
    a[1].localeCompare(b[1]),
  ),
)
/** On paper stand those that are ticked, else all that are looked for. */
const paper = useMediaQuery('print')
const roomOpen = ref(false)
const plan = useRoomPlan()
const arranging = ref(false)
watch(view, () => (arranging.value = false))
function arrange() {
  view.value = 'room'
  void nextTick(() => (arranging.value = true))
}
const room = useRoom()
onMounted(() => {
  void room.load()
  room.listen()
})
onUnmounted(room.leave)
const { damp } = storeToRefs(room)
const standing = computed(() => all.value.filter((one) => one.standing.pouredOn))
const inRoom = computed(() => found.value.filter(({ standing }) => standing.pouredOn))
const lead = computed(() => {
  const { bars, ready, poured: there } = counts.value
  if (filtered.value)
    return `${say.value.count(found.value.length, 'batch', 'batches')} of ${all.value.length}`
  return view.value === 'list'
    ? `${say.value.count(there, 'batch', 'batches')}, ${say.value.count(bars, 'bar', 'bars')}, ${say.value.number(ready, 0)} ready`
    : `${say.value.count(bars, 'bar', 'bars')} on the racks, ${say.value.number(ready, 0)} ready`
})
</script>

<template>
  <div
    class="mx-auto grid max-w-[1280px] grid-cols-[minmax(0,1fr)] gap-4 px-4 py-4 sm:px-6 print:hidden"
    :class="[
      view === 'list' ? '' : 'lg:grid-cols-[minmax(0,1fr)_332px]',
      ticked.length ? 'pb-28 max-sm:pb-64' : '',
    ]"
  >
    <div>
      <div class="flex flex-wrap items-center gap-3">
        <h1>Rack</h1>
        <span class="figure text-ink-2" role="status">{{ lead }}</span>
        <span class="flex-1" />
        <AppButton
          v-if="view === 'room'"
          class="min-h-10 max-sm:hidden"
          :aria-pressed="arranging"
          @click="arranging = !arranging"
          >Arrange the room</AppButton
        >
        <AppButton v-else class="min-h-10" @click="view = 'room'">
          <span v-if="room.now" class="figure"
            >{{ workshop.say.temperature(room.now.celsius) }} ·
            {{ workshop.say.percent(room.now.humidity, 0) }}</span
          >
          <span :class="room.now ? 'sr-only' : ''">Room</span></AppButton
        >
        <AppButton class="min-h-10" @click="weighAll"
          >Weigh in <kbd class="max-sm:hidden">W</kbd></AppButton
        >
        <AppButton v-if="toTurn.length" class="min-h-10" @click="answer('turn', toTurn)"
          >Turn all due, {{ toTurn.length }}</AppButton
        >
      </div>
      <p v-if="batches.problem" role="alert" class="mt-2 font-semibold text-stop">
        {{ batches.problem }}
      </p>
      <p v-if="damp && view !== 'room'" class="mt-2 bg-warn-ground px-3 py-2 text-warn">
        <b>A damp week,</b> {{ workshop.say.percent(damp.humidity, 0) }}: bars dry about
        {{ workshop.say.percent(1 - damp.pace, 0) }} slower than at
        {{ workshop.say.percent(damp.before, 0) }}. Move air; salt bars may sweat.
      </p>
      <div class="mt-2 flex flex-wrap items-center gap-2">
        <label class="field flex h-9 w-44 items-center gap-2 max-sm:order-first max-sm:w-full">
          <Search :size="16" class="shrink-0 text-ink-3" aria-hidden="true" />
          <input
            ref="search"
            v-model="filter.find"
            type="search"
            class="w-full min-w-0 bg-transparent outline-none"
            placeholder="Find on the rack"
            aria-label="Find on the rack"
          />
        </label>
        <div
          class="flex gap-2 max-sm:-mx-4 max-sm:w-[calc(100%+2rem)] max-sm:overflow-x-auto max-sm:px-4"
        >
          <button
            v-for="one in [
              { key: 'due', says: 'Due', count: counts.due },
              { key: 'untested', says: 'Not tested', count: counts.untested },
            ] as const"
            :key="one.key"
            type="button"
            class="chip"
            :class="filter[one.key] ? 'on' : ''"
            :aria-pressed="filter[one.key]"
            @click="filter[one.key] = !filter[one.key]"
          >
            {{ one.says }} <b class="figure">{{ one.count }}</b>
          </button>
          <select
            v-model="filter.formula"
            class="chip max-w-36 [field-sizing:content]"
            :class="filter.formula ? 'on' : ''"
            aria-label="Formula"
          >
            <option value="">Formula</option>
            <option v-for="[id, name] in formulaNames" :key="id" :value="id">{{ name }}</option>
          </select>
          <select
            v-if="settings.rack.places.length"
            v-model="filter.place"
            class="chip max-w-36 [field-sizing:content]"
            :class="filter.place ? 'on' : ''"
            aria-label="Place"
          >
            <option value="">Place</option>
            <option v-for="{ id, name } in settings.rack.places" :key="id" :value="id">
              {{ name }}
            </option>
          </select>
          <button
            v-if="view !== 'list'"
            type="button"
            class="chip"
            :class="ticking ? 'on' : ''"
            :aria-pressed="ticking"
            @click="ticking = !ticking"
          >
            Tick several
          </button>
        </div>
        <button v-if="filtered" type="button" class="link min-h-9" @click="rack.clear()">
          Clear
        </button>
        <span class="flex-1" />
        <OneOf v-model="view" label="What is drawn" :options="views" />
      </div>
      <div ref="board" class="mt-2">
        <p v-if="filtered && !found.length" class="py-10 text-center text-ink-2">
          Nothing on the rack is like that.
          <button type="button" class="link" @click="rack.clear()">Show all</button>
        </p>
        <LazyRoomPlaces
          v-else-if="view === 'room'"
          :all="standing"
          :found="inRoom"
          :chosen="chosen"
          :ticks="ticks"
          :ticking="ticking"
          :plan="plan"
          :arranging="arranging"
          :width="width"
          @choose="choose"
          @tick="rack.tick($event)"
          @arrange="arranging = true"
        />
        <LazyRackList
          v-else-if="view === 'list'"
          :items="found"
          :ticks="ticks"
          @choose="choose"
          @tick="rack.tick($event)"
          @all="rack.setTicks($event ? found.map(({ batch }) => batch.id) : [])"
        />
        <template v-else>
          <InTurn v-for="(plank, at) in shownPlanks" :key="plank.title" :turn="at + 1">
            <RackStage
              :title="plank.title"
              :says="plank.says"
              :items="plank.items"
              :columns="columns"
              :chosen="current?.batch.id ?? null"
              :ticks="ticks"
              :ticking="ticking"
              @choose="choose"
              @tick="rack.tick($event)"
            >
              {{ plank.empty }}
            </RackStage>
          </InTurn>
        </template>
        <p class="mt-2">
          <NuxtLink class="link" to="/journal/said?of=dry">How good the dates were</NuxtLink>
        </p>
      </div>
    </div>
    <LazyRoomDialog v-if="roomOpen" v-model="roomOpen" />
    <LazyStripRound v-if="stripping" v-model="stripping" :batches="cutOnes" />
    <LazyMoveDialog v-if="moving" v-model="moving" :batches="poured" @room="arrange" />
    <aside
      v-if="view !== 'list'"
      ref="panel"
      class="sheet self-start px-4 py-4 lg:sticky lg:top-4"
      :aria-label="view === 'room' && !chosen ? 'The room' : 'The chosen batch'"
    >
      <LazyArrangePanel
        v-if="view === 'room' && arranging"
        :plan="plan"
        @done="arranging = false"
      />
      <LazyRoomAir
        v-else-if="view === 'room' && !chosen"
        :items="standing"
        @note="roomOpen = true"
      />
      <template v-else-if="current">
        <button
          v-if="view === 'room'"
          type="button"
          class="link mb-2 min-h-6"
          @click="chosen = null"
        >
          The air of the room
        </button>
        <InTurn><BatchPanel :key="current.batch.id" :batch="current.batch" /></InTurn>
      </template>
      <template v-else>
        <h2 class="text-[17px] font-bold text-ink">The rack is empty</h2>
        <p class="my-2 text-ink-2">
          Make a batch from a formula and mark it as poured: its loaf appears on the lowest plank
          and climbs until it is ready.
        </p>
        <AppButton kind="main" to="/formulas">To the formulas</AppButton>
      </template>
    </aside>
    <TickedBar v-if="ticked.length" :ticked="ticked" @act="acts[$event]()" @untick="untick" />
  </div>
  <RoundSheet v-if="ticked.length || paper" :items="ticked.length ? ticked : inRoom" />
</template>
