<script setup lang="ts">
import type { FormulaLesson } from '#contracts/batch'
import type { RunEvent } from '#contracts/run'
import { Siren, TriangleAlert } from '@lucide/vue'
import { standingLine } from '#core/bench/run/safetyCheck'
import type { MakingDayHere } from '~/composables/useMakingDay'
import type { RunKeeper } from '~/composables/useRunKeeper'

/** A making day at the bench: one screen for one person, whatever batch is in hand. */
const { here, earlier, lessons } = defineProps<{
  here: MakingDayHere
  earlier: ReadonlyMap<string, RunEvent[][]>
  lessons: ReadonlyMap<string, FormulaLesson[]>
}>()
const router = useRouter()
const { say } = storeToRefs(useWorkshop())
const people = computed(() => here.day.value!.people)
/** Who stands at this screen: remembered by this device. */
const whoKey = `mantle-day-who-${here.id}`
const remembered = keptHere(whoKey, (value) => (typeof value === 'number' ? value : null))
const route = useRoute()
const asked = people.value.findIndex(({ name }) => name === route.query.who)
const who = ref(asked >= 0 ? asked : (remembered ?? 0))
const whoKnown = ref(asked >= 0 || remembered !== null || people.value.length < 2)
function stand(person: number) {
  who.value = person
  whoKnown.value = true
  keepHere(whoKey, person)
}
const keepers = new Map<string, RunKeeper>(
  [...here.runs.value].map(([id, run]) => [id, useServerKeeper(run)]),
)
const bench = useDayBench(here, keepers, who)
/** For whom the step on screen is: a lye that several share is for all of them. */
const whose = computed(() => {
  const own = bench.step.value
  if (!own) return ''
  const ids =
    own.step && bench.times(own.batch.id, own.step) !== 1
      ? bench.sharing(own.batch.id)
      : [own.batch.id]
  return say.value.list(
    ids.map((id) => String(here.batches.value.get(id)?.number ?? '')),
    'and',
  )
})
provideDayNeeds(
  computed(() => ({
    hint: bench.held.value
      ? `N · not before ${bench.held.value.number} is poured`
      : bench.needed.value
        ? `N · ${bench.needed.value.at > bench.now.value ? here.timeAt(bench.needed.value.at) : 'now'}`
        : 'N · nobody yet',
    go: bench.goWhereNeeded,
    whose: whose.value,
  })),
)
const emergency = ref(false)
const note = ref(false)
const leaving = ref(false)
useBenchKeys({
  n: () => !emergency.value && bench.goWhereNeeded(),
  e: () => (emergency.value = !emergency.value),
})
const shown = computed(() => bench.step.value)
const batchOnTop = computed(
  () => shown.value?.batch ?? (bench.task.value ? bench.ownOf(bench.task.value)[0]! : null),
)
const full = computed(() =>
  batchOnTop.value ? here.batches.value.get(batchOnTop.value.id)! : null,
)
const stepsText = computed(() => {
  const own = batchOnTop.value
  if (!own) return ''
  const done = bench.states.value.get(own.id)!.order.length
  const stays =
    bench.task.value?.kind === 'batter' && bench.begun.value
      ? 'not to be left before it is poured'
      : 'may be put down at any time'
  return `${say.value.count(full.value!.bars, 'bar', 'bars')} · ${done} of ${own.plan.steps.length} steps done · ${stays}`
})
const shared = computed(() => {
  const own = shown.value
  if (!own?.step) return ''
  const others = bench.sharing(own.batch.id).filter((id) => id !== own.batch.id)
  if (!others.length) return ''
  const numbers = say.value.list(
    others.map((id) => String(here.batches.value.get(id)?.number ?? '')),
    'and',
  )
  if (bench.times(own.batch.id, own.step) !== 1 || own.step.kind === 'dissolve')
    return `One lye for ${own.batch.number} and ${numbers}: what the scale shows is for all of them.`
  if (own.step.kind === 'check' || own.step.kind === 'meet')
    return `Weigh the lye of ${own.batch.number} out of the shared jug. What stays in it is ${numbers}’s; it goes back to the sill first.`
  return ''
})
const waiting = computed(() =>
  [...keepers.values()].reduce((sum, one) => sum + one.waiting.value, 0),
)
const cutOff = computed(
  () =>
    here.kept.value === 'cut-off' ||
    [...keepers.values()].some((one) => one.state.value === 'cut-off'),
)
const keptText = computed(() =>
  cutOff.value
    ? waiting.value
      ? `cut off: ${waiting.value} kept on this device`
      : 'cut off: go on, it is kept here'
    : waiting.value
      ? 'saving'
      : 'kept',
)
async function end() {
  await bench.end()
  await router.push(`/bench/day/${here.id}`)
}
const reason = ref('')
async function leaveOut() {
  const own = batchOnTop.value
  if (!own || !reason.value.trim()) return
  leaving.value = false
  await bench.drop(own, reason.value.trim())
  reason.value = ''
}
const tooLong = computed(() =>
  (bench.running.value?.tooLong ?? []).flatMap(({ from, to, by }) => {
    const task = bench.problem.value.tasks.find(({ id }) => id === to)
    const own = task && bench.ownOf(task)[0]
    if (!own || bench.stateOf(to).begunAt !== null) return []
    return [
      from.startsWith('fats')
        ? `Fats of ${own.number} will be too cool by ${minutesText(by)}: back on the plate for a moment before the lye.`
        : `Lye of ${own.number} will be too cool by ${minutesText(by)}: stand its jug in warm water before it goes in.`,
    ]
  }),
)
</script>

<template>
  <div
    data-theme="bench"
    class="flex h-dvh flex-col bg-[#161c1e] text-ink max-lg:h-auto max-lg:min-h-dvh"
  >
    <header
      class="flex min-h-[52px] flex-wrap items-center gap-x-4 gap-y-1 bg-[#101516] px-4 py-1.5 sm:px-5"
    >
      <NuxtLink
        :to="`/bench/day/${here.id}`"
        class="flex min-h-11 items-center text-[17px] font-bold text-white"
        aria-label="Leave the bench; the day stays as it is"
        >{{ dayText(here.day.value!.day, { weekday: true }) }}</NuxtLink
      >
      <select
        v-if="people.length > 1"
        :value="who"
        class="min-h-11 border border-line-3 bg-transparent px-2 text-[16px] font-bold text-white"
        aria-label="Who stands here"
        @change="stand(Number(($event.target as HTMLSelectElement).value))"
      >
        <option
          v-for="(person, nth) in people"
          :key="person.name"
          class="text-[#182022]"
          :value="nth"
        >
          {{ person.name }}
        </option>
      </select>
      <b class="figure text-[18px] text-white">{{ here.timeAt(bench.minutes.value) }}</b>
      <p role="status" class="figure min-w-0 flex-1 text-[14px] text-ink-2">
        <template v-if="bench.moved.value.length">{{ bench.moved.value.join(' · ') }}. </template>
        Home {{ here.timeAt(bench.home.value) }} ·
        <span :class="cutOff ? 'font-bold text-[#f3c24b]' : ''">{{ keptText }}</span>
      </p>
      <p
        v-if="bench.lyeAbout.value"
        class="flex items-center gap-2 text-[15px] font-bold text-[#f3c24b] max-sm:basis-full"
      >
        <TriangleAlert :size="18" class="shrink-0" aria-hidden="true" />{{ standingLine }}
      </p>
      <button
        type="button"
        class="flex min-h-11 items-center gap-2 bg-[#7d2218] px-3 text-[15px] font-bold text-white"
        :aria-pressed="emergency"
        aria-label="Emergency"
        @click="emergency = !emergency"
      >
        <Siren :size="18" aria-hidden="true" /> <kbd class="border-white/60 max-lg:hidden">E</kbd>
      </button>
    </header>
    <div v-if="!whoKnown" class="grid flex-1 place-content-center gap-4 p-6">
      <h1 class="text-[30px] font-bold">Who stands at this screen?</h1>
      <p class="max-w-lg text-[17px] text-ink-2">
        Each screen shows one person’s work. A second tablet opens the same day and shows the
        other’s.
      </p>
      <BenchKey
        v-for="(person, nth) in people"
        :key="person.name"
        main
        :says="person.name"
        @click="stand(nth)"
      />
    </div>
    <div v-else class="grid min-h-0 flex-1 lg:grid-cols-[minmax(0,1fr)_380px]">
      <main id="main" class="flex min-h-0 min-w-0 flex-col max-lg:min-h-[640px]">
        <div
          v-if="batchOnTop && full && !bench.over.value"
          class="flex items-center gap-4 bg-chalk px-4 py-2.5 text-[#182022] sm:px-6"
        >
          <BarThumbnail :thumbnail="full.thumbnail" :width="92" :height="62" class="max-sm:!w-14" />
          <div class="min-w-0 flex-1">
            <p class="truncate text-[24px] leading-tight font-bold sm:text-[32px]">
              {{ full.number }} {{ full.name }}
            </p>
            <p class="figure text-[15px] text-[#4c595b]">{{ stepsText }}</p>
          </div>
          <button
            type="button"
            class="min-h-11 px-2 text-[15px] underline"
            @click="leaving = !leaving"
          >
            Leave it out
          </button>
        </div>
        <form
          v-if="leaving && batchOnTop"
          class="flex flex-wrap items-center gap-3 bg-[#4a2a24] px-4 py-3 text-[16px]"
          @submit.prevent="leaveOut"
        >
          <label class="flex flex-1 flex-wrap items-center gap-2"
            >Why is {{ batchOnTop.number }} left out?
            <input v-model="reason" class="field min-w-40 flex-1" maxlength="200"
          /></label>
          <BenchKey says="Leave it out" :disabled="!reason.trim()" @click="leaveOut" />
          <BenchKey quiet says="It stays" @click="leaving = false" />
          <p class="basis-full">
            What is made of it stays in its vessels with its number on them: lye locked away or
            neutralised by local rules, fats kept. The others move up.
          </p>
        </form>
        <p
          v-for="text in tooLong"
          :key="text"
          role="status"
          class="bg-[#2d2613] px-4 py-2 text-[16px] font-semibold text-[#f3c24b]"
        >
          {{ text }}
        </p>
        <p v-if="shared" class="bg-[#24384a] px-4 py-2 text-[16px] font-semibold sm:px-9">
          {{ shared }}
        </p>
        <div v-if="bench.over.value" class="grid flex-1 place-content-center gap-4 p-6">
          <h1 class="text-[34px] font-bold">All poured, all written down.</h1>
          <p class="text-[18px] text-ink-2">
            Worktop wiped, lye sealed and locked away, plates off. Then goggles off.
          </p>
          <BenchKey main says="The day is over" @click="end" />
        </div>
        <DayBatchStep
          v-else-if="shown && full"
          :key="full.id"
          v-model:emergency="emergency"
          v-model:note="note"
          :batch="full"
          :keeper="keepers.get(full.id)!"
          :step-id="shown.step?.id ?? null"
          :times="bench.times"
          :beside="bench.beside"
          :earlier="earlier.get(full.id) ?? []"
          :lessons="lessons.get(full.id) ?? []"
          @finish="bench.chosen.value = null"
        />
        <EmergencyPanel v-else-if="emergency" @back="emergency = false" />
        <DayReady
          v-else-if="bench.task.value"
          :key="bench.task.value.id"
          :bench="bench"
          :task="bench.task.value"
        />
        <div v-else class="grid flex-1 place-content-center gap-3 p-6">
          <h1 class="text-[30px] font-bold">Nothing left for {{ people[who]?.name }}.</h1>
          <p class="text-[18px] text-ink-2">Rest, or lend a hand.</p>
        </div>
      </main>
      <DaySide :bench="bench" />
    </div>
  </div>
</template>
