<script setup lang="ts">
import { Printer, Settings2, Undo2 } from '@lucide/vue'
import type { Batch } from '#contracts/batch'
import type { Run } from '#contracts/run'
import { frozenLibrary } from '#core/formula/frozen'
import { batterMillilitres } from '#core/formula/volume'
import { capacityOf } from '#core/mould/capacity'
import { closing } from '#core/day/problem'
import { vesselsOfDay } from '#core/day/tasks'
import { breakTakes } from '#core/day/watch'
import type { DayWish } from '#contracts/dayWords'

/** A making day: planned, or why it does not fit; once it runs, how it goes; once it is over, what came. */
const route = useRoute()
const router = useRouter()
const here = useMakingDay(String(route.params.id))
const { day, made, batches, say, timeAt, problem } = here
const moulds = useMoulds()
const plan = useDayPlan(here)
const days = useDays()
const toasts = useToasts()
const adding = ref(false)
const setting = ref(false)
const asTable = ref(false)
onMounted(() => Promise.all([here.load(), moulds.load()]))
const title = computed(() =>
  day.value ? dayText(day.value.day, { weekday: true, long: true }) : '',
)
useHead({
  title: () => (title.value ? `${title.value} · Bench · Mantle` : 'A making day · Mantle'),
})

const end = computed(() => (day.value?.plan ? day.value.plan.end + closing : 0))
const hands = computed(() =>
  day.value ? say.value.count(day.value.people.length, 'pair of hands', 'pairs of hands') : '',
)
const heading = computed(() =>
  [
    say.value.count(here.onIt.value.length, 'batch', 'batches'),
    say.value.count(here.bars.value, 'bar', 'bars'),
    hands.value,
  ].reduce((all, one) => `${all} · ${one}`),
)
async function add(id: string) {
  const batch = await api.get<Batch>(`/api/batches/${id}`)
  batches.value = new Map(batches.value).set(id, batch)
  const volume = batterMillilitres(batch.frozen.result, frozenLibrary(batch.frozen))
  await here.change({
    batches: [...day.value!.batches, { id, mould: mouldFor(volume) }],
  })
}
/** The smallest mould that takes a batter, of which one is still free on the day. */
function mouldFor(millilitres: number): string | null {
  const used = (name: string) => day.value!.batches.filter(({ mould }) => mould === name).length
  const [best] = moulds.list
    .map(({ document }) => ({ document, room: capacityOf(document) }))
    .filter(
      ({ document, room }) => room >= millilitres * 0.97 && used(document.name) < document.owned,
    )
    .sort((a, b) => a.room - b.room)
  return best?.document.name ?? null
}
async function remove(id: string) {
  const before = day.value!.batches
  const batch = batches.value.get(id)
  await here.change({ batches: before.filter((one) => one.id !== id) })
  toasts.show(`${batch?.name ?? 'The batch'} ${batch?.number ?? ''} is off the day.`, {
    undo: () => here.change({ batches: before }),
  })
}
const busy = ref(false)
/** Every run begins with the day: each batch is told of from every device. */
async function start() {
  const of = day.value
  if (!of?.plan || busy.value || !canStart.value) return
  busy.value = true
  try {
    const at = new Date(useWorkshop().clock()).toISOString()
    for (const { id } of here.onIt.value) {
      const run = await api.post<Run>(`/api/batches/${id}/run`, {
        id: newId(),
        device: deviceId(),
        setup: { ...usualRunSetup(here.settings.value), day: here.id },
        paper: false,
        at,
      })
      if (run.setup.day !== here.id)
        throw new ApiError(422, [
          {
            path: '',
            says: `${nameOf(id)} was begun at the bench by itself. Take it off the day, or finish it there.`,
          },
        ])
    }
    await here.change({ startedAt: at, day: here.today.value, said: of.plan.placed })
    await router.push(`/bench/day/${here.id}/make`)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  } finally {
    busy.value = false
  }
}
const disagree = computed(() => made.value.find((one) => !one.plan.agrees) ?? null)
const canStart = computed(
  () =>
    !!day.value?.plan &&
    !!plan.shown.value &&
    !day.value.startedAt &&
    plan.state.value !== 'planning' &&
    !disagree.value,
)
useShortcuts({
  a: () => !day.value?.startedAt && (adding.value = true),
  s: () => (day.value?.startedAt ? router.push(`/bench/day/${here.id}/make`) : start()),
})
const chosenTask = computed(() => {
  const one = plan.placed.value.find(({ task }) => task === plan.chosen.value)
  const of = plan.shown.value?.tasks.find(({ id }) => id === plan.chosen.value)
  if (!one || !of) return null
  const own = made.value.filter(({ id }) => of.batches.includes(id))
  return {
    one,
    of,
    title: workTitle(of, own, say.value),
    lines: workLines(of, made.value, say.value),
  }
})
const wishWords: Record<DayWish, string> = {
  shortest: 'Shortest day',
  calm: 'Least hurry',
  early: 'Earliest home',
}
const gap = computed(() => {
  const of = day.value?.plan
  return of?.bound == null ? null : Math.max(0, Math.round(of.end - of.bound))
})
const nameOf = (id: string) => {
  const batch = batches.value.get(id)
  return batch ? `${batch.name} ${batch.number}` : ''
}
const personOf = (nth: number) => day.value?.people[nth]?.name ?? ''
const shortTexts = computed(() =>
  plan.short.value.map(
    ({ name, grams, missing }) =>
      `${name}: ${say.value.amount(grams)} wanted, ${say.value.amount(missing)} of it not in the stores.`,
  ),
)
/** Vessels that several batches need: each is rinsed before the next. */
const sharedVessels = computed(() => {
  const { jugs, pans } = vesselsOfDay(made.value, here.things.value)
  const users = new Map<string, string[]>()
  for (const [id, name] of [...jugs, ...pans]) users.set(name, [...(users.get(name) ?? []), id])
  return [...users].flatMap(([name, ids]) =>
    ids.length > 1
      ? [`${name} serves ${say.value.list(ids.map(nameOf), 'and')}: rinsed between.`]
      : [],
  )
})
const mindTexts = computed(() => [
  ...shortTexts.value,
  ...sharedVessels.value,
  ...plan.minds.value.map((mind) => {
    switch (mind.of) {
      case 'fumes':
        return `Lye of ${say.value.list(mind.batches.map(nameOf))} steams within minutes, ${timeAt(mind.at)}: door open, nobody over a jug, or one outside.`
      case 'flash':
        return `${mind.scent} flashes at ${say.value.temperature(mind.flashC)}; a plate is hot while it is open, ${timeAt(mind.at)}. Keep it away from plate and flame.`
      case 'break':
        return `${personOf(mind.person)} works ${minutesText(mind.worked)} without ${minutesText(breakTakes)} free. Put one in: a pour waits for nobody who is tired.`
      case 'short':
        return `${nameOf(mind.batch)} may be thick after ${minutesText(mind.low)}; its pour takes ${minutesText(mind.takes)}. Everything ready in reach, a simpler pour at hand.`
    }
  }),
])
/** Moulds that are wanted more often than there are. */
const fewMoulds = computed(() => {
  const wanted = new Map<string, number>()
  for (const { mould } of here.onIt.value)
    if (mould) wanted.set(mould, (wanted.get(mould) ?? 0) + 1)
  return [...wanted].flatMap(([name, count]) => {
    const owned = moulds.list.find(({ document }) => document.name === name)?.document.owned
    return owned !== undefined && owned < count ? [{ name, count, owned }] : []
  })
})
async function forget() {
  const stored = here.stored.value
  if (!stored) return
  try {
    await days.remove(stored, `${title.value} is forgotten; its batches stay planned.`)
    await router.push('/bench')
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/bench" label="To the bench" />
  <div v-else-if="day" class="mx-auto grid max-w-[1280px] grid-cols-1 gap-3 px-3 py-3 sm:px-6">
    <header class="flex flex-wrap items-center justify-between gap-3">
      <div class="flex min-w-0 flex-wrap items-baseline gap-x-3">
        <h1 class="text-[25px]">{{ title }}</h1>
        <p class="figure text-ink-2">
          {{ heading
          }}<template v-if="plan.shown.value">
            · home at <b class="text-ink">{{ timeAt(end) }}</b></template
          >
        </p>
      </div>
      <div class="flex flex-wrap gap-2">
        <AppButton v-if="!day.startedAt" @click="setting = true"
          ><Settings2 :size="16" aria-hidden="true" /> Hours, people, things</AppButton
        >
        <AppButton v-if="plan.shown.value" :to="`/bench/day/${here.id}/paper`"
          ><Printer :size="16" aria-hidden="true" /> The day on paper</AppButton
        >
        <AppButton
          v-if="day.startedAt && !day.endedAt"
          kind="main"
          :to="`/bench/day/${here.id}/make`"
          >Go on at the bench <kbd aria-hidden="true">S</kbd></AppButton
        >
        <AppButton
          v-else-if="!day.startedAt"
          kind="main"
          :disabled="!canStart || busy"
          @click="start"
          >{{
            plan.unfit.value
              ? `Start: ${minutesText(plan.unfit.value.plan.over)} too long`
              : 'Start the day'
          }}
          <kbd aria-hidden="true">S</kbd></AppButton
        >
      </div>
    </header>
    <DayCards
      :here="here"
      :clashing="plan.unfit.value?.clash.of === 'thing' ? plan.unfit.value.clash.batches : []"
      @add="adding = true"
      @remove="remove"
    />
    <p v-if="disagree" role="alert" class="rounded-sm bg-stop px-4 py-3 font-semibold text-white">
      The lye of {{ nameOf(disagree.id) }} was worked out in two ways that do not agree. Do not make
      it; check the formula.
    </p>
    <p v-for="one in fewMoulds" :key="one.name" role="alert" class="font-semibold text-warn">
      {{ one.name }}: {{ one.count }} wanted, {{ one.owned }} there. Choose another under “Hours,
      people, things”.
    </p>
    <EmptyState v-if="!here.onIt.value.length" title="Nothing is on this day yet.">
      Put three to six batches on it: lye cools while fats are weighed, one is poured while the next
      one melts. Mantle finds the order.
      <template #actions
        ><AppButton kind="main" @click="adding = true">Add a batch</AppButton
        ><AppButton @click="forget">Forget the day</AppButton></template
      >
    </EmptyState>
    <p
      v-if="plan.state.value !== 'idle'"
      role="status"
      class="sheet flex flex-wrap items-center gap-3 px-4 py-3"
    >
      <span class="size-3 animate-pulse rounded-full bg-act" aria-hidden="true" />
      <template v-if="plan.state.value === 'unfit'">Looking for ways out…</template>
      <template v-else
        >Finding the best order…<template v-if="plan.best.value">
          so far {{ minutesText(plan.best.value.end + closing) }}, home at
          {{ timeAt(plan.best.value.end + closing) }}</template
        ></template
      >
      <AppButton v-if="plan.best.value && plan.best.value.over <= 0" @click="plan.takeBest()"
        >Take this one</AppButton
      >
      <AppButton v-else @click="plan.stop()">Call it off</AppButton>
    </p>
    <p v-if="plan.problem.value" role="alert" class="font-semibold text-stop">
      {{ plan.problem.value }}
    </p>
    <DayUnfit
      v-if="plan.unfit.value"
      :here="here"
      v-bind="plan.unfit.value"
      @take="plan.take($event)"
    />
    <template v-if="plan.shown.value">
      <DayCame v-if="day.endedAt" :here="here" />
      <section class="sheet overflow-x-auto px-1 py-2" aria-label="The plan">
        <DayChart
          v-if="!asTable"
          v-model="plan.chosen.value"
          :problem="plan.shown.value"
          :placed="plan.placed.value"
          :made="made"
          :batches="batches"
          :time-at="timeAt"
          :from="0"
          :to="end"
          :tight="plan.tight.value"
          :slide="plan.slide.value"
          @move="plan.move"
          @give="plan.give"
        />
        <DayTable
          v-else
          class="mx-4 !w-[calc(100%-2rem)]"
          :problem="plan.shown.value"
          :placed="plan.placed.value"
          :made="made"
          :time-at="timeAt"
        />
        <button
          type="button"
          class="link mx-4 mt-1 min-h-8 text-sm"
          :aria-pressed="asTable"
          @click="asTable = !asTable"
        >
          {{ asTable ? 'As a picture' : 'As a table' }}
        </button>
      </section>
      <div v-if="!day.startedAt" class="grid grid-cols-1 gap-3 lg:grid-cols-3">
        <section
          v-if="plan.tight.value"
          class="sheet border-l-4 !border-l-warn px-4 py-3"
          aria-label="The tight spot"
        >
          <h2 class="!text-warn">
            {{ timeAt(plan.placed.value.find(({ task }) => task === plan.tight.value!.task)!.at) }},
            the one tight spot: {{ minutesText(plan.tight.value.slack) }}
          </h2>
          <p class="mt-1">
            {{ personOf(plan.tight.value.person) }} has barely put the last thing down when
            {{ nameOf(plan.tight.value.batch) }} has its temperatures, and it races.
          </p>
          <div v-if="plan.tight.value.cure" class="mt-2 flex flex-wrap items-center gap-3">
            <AppButton @click="plan.cure"
              >{{ personOf(plan.tight.value.cure.person) }} takes it</AppButton
            >
            <span class="figure text-sm text-ink-2"
              >then {{ minutesText(plan.tight.value.cure.slack) }} before it, home at
              {{ timeAt(plan.tight.value.cure.end + closing) }}</span
            >
          </div>
          <p v-else class="mt-1 text-sm text-ink-2">
            Nobody else has a hand free then. Lay everything out for it beforehand.
          </p>
        </section>
        <section v-else class="sheet px-4 py-3" aria-label="Before every pour">
          <h2>No tight spot</h2>
          <p class="mt-1 text-ink-2">Whoever pours what races has ten minutes free before it.</p>
        </section>
        <section
          v-if="chosenTask"
          class="sheet border-2 !border-act px-4 py-3"
          :aria-label="chosenTask.title"
        >
          <h2>{{ chosenTask.title }}</h2>
          <p class="figure mt-1">
            At {{ timeAt(chosenTask.one.at) }}, {{ personOf(chosenTask.one.person) }}.
            <template v-if="plan.slide.value"
              >May begin from {{ timeAt(plan.slide.value.from) }} to
              {{ timeAt(plan.slide.value.to) }}.</template
            >
          </p>
          <p v-for="line in chosenTask.lines" :key="line" class="figure text-sm text-ink-2">
            {{ line }}
          </p>
          <div class="mt-2 flex flex-wrap items-center gap-2">
            <AppButton aria-label="A minute earlier" @click="plan.move(-1)">←</AppButton>
            <AppButton aria-label="A minute later" @click="plan.move(1)">→</AppButton>
            <AppButton
              v-for="(other, nth) in day.people"
              v-show="nth !== chosenTask.one.person"
              :key="other.name"
              @click="plan.give(nth - chosenTask.one.person)"
              >To {{ other.name }}</AppButton
            >
            <AppButton v-if="plan.canUndo.value" @click="plan.undo"
              ><Undo2 :size="16" aria-hidden="true" /> Take back</AppButton
            >
          </div>
        </section>
        <section v-else class="sheet px-4 py-3" aria-label="To mind">
          <h2>To mind</h2>
          <ul v-if="mindTexts.length" class="mt-1 grid gap-1.5 text-[14px]">
            <li v-for="text in mindTexts" :key="text">{{ text }}</li>
          </ul>
          <p v-else class="mt-1 text-ink-2">
            Nothing beyond the usual. Press a piece of work to move it: ← and → by a minute, with
            Shift by five, ↑ and ↓ to other hands.
          </p>
        </section>
        <section class="sheet px-4 py-3" aria-label="What matters today">
          <div class="flex items-baseline justify-between gap-2">
            <h2>What matters today</h2>
            <span class="text-xs text-ink-2">least before a pour</span>
          </div>
          <div role="radiogroup" aria-label="What matters today" class="mt-1 grid">
            <button
              v-for="row in plan.rows.value"
              :key="row.wish"
              type="button"
              role="radio"
              :aria-checked="row.wish === day.wish"
              class="figure grid min-h-9 grid-cols-[auto_1fr_auto_auto] items-center gap-x-3 px-2 text-left text-[14px]"
              :class="row.wish === day.wish ? 'bg-slate text-chalk' : 'hover:bg-ground'"
              @click="plan.wishFor(row.wish)"
            >
              <span
                class="size-3.5 rounded-full border-2 border-current"
                :class="row.wish === day.wish ? 'bg-chalk' : ''"
                aria-hidden="true"
              />
              <span
                ><b class="font-semibold">{{ wishWords[row.wish] }}</b>
                {{
                  row.wish === 'early'
                    ? `from ${clockOf(row.begins)}`
                    : minutesText(row.plan.end + closing)
                }}</span
              >
              <span>{{ plan.homeAt(row) }}</span>
              <b>{{ minutesText(row.slack) }}</b>
            </button>
          </div>
          <p class="mt-1 text-[13px] text-ink-2">
            <template v-if="day.plan?.byHand">Moved by hand. </template>
            <template v-if="plan.seconds.value"
              >Found in {{ say.number(plan.seconds.value) }} s.
            </template>
            <template v-if="gap === 0">None can be shorter.</template>
            <template v-else-if="gap !== null"
              >None can be more than {{ minutesText(gap) }} shorter.</template
            >
            <button type="button" class="link ml-1 min-h-6" @click="plan.replanAll()">
              Plan anew
            </button>
          </p>
        </section>
      </div>
    </template>
    <DayPick v-if="adding" v-model="adding" :here="here" @picked="add" />
    <DayThingsDialog v-if="setting" v-model="setting" :here="here" />
  </div>
</template>
