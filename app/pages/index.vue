<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { thumbnailOf } from '#core/formula/thumbnail'
import { dueOf, rounds, type Due } from '#core/rack/due'
import { isDrying, standingOf } from '#core/rack/standing'
import { daysBetween } from '#core/units/days'
import { purposeNames } from '~/utils/purposeNames'
import { sumOf } from '#core/statistics/sum'

const { library } = storeToRefs(useMaterials())
const batches = useBatches()
const formulas = useFormulas()
const toasts = useToasts()
const router = useRouter()
const workshop = useWorkshop()
const { say } = storeToRefs(workshop)
const { today } = storeToRefs(workshop)
useHead({ title: 'Shelf · Mantle' })
onMounted(() => {
  void batches.load()
  void formulas.load()
})

const byId = computed(() => new Map(batches.list.map((batch) => [batch.id, batch])))
const due = computed(() => dueOf(batches.list, today.value, workshop.dayOf, workshop.settings.rack))
/** Turning and weighing are one round through the room each; everything else is a job of its own. */
interface Job {
  kind: Due['kind']
  batches: BatchSummary[]
  says: string
  because: string
}
function jobsOf(dues: Due[]): Job[] {
  const jobs: Job[] = []
  for (const one of dues) {
    const batch = byId.value.get(one.batchId)!
    const same = rounds.has(one.kind) && jobs.find(({ kind }) => kind === one.kind)
    if (same) same.batches.push(batch)
    else jobs.push({ kind: one.kind, batches: [batch], ...jobWords(one, batch) })
  }
  return jobs.map((job) => (rounds.has(job.kind) ? { ...job, ...roundWords(job) } : job))
}
function roundWords({ kind, batches: all }: Job) {
  const names = all.map(({ name, number }) => `${name} ${number}`)
  const because =
    names.length > 4
      ? `${say.value.list(names.slice(0, 4))} and ${names.length - 4} more`
      : say.value.list(names)
  const bars = sumOf(all, (batch) => standingOf(batch, today.value).bars)
  return { says: kind === 'turn' ? `Turn ${bars} bars` : 'Weigh the marked bars', because }
}
function jobWords(one: Due, batch: BatchSummary) {
  const name = `Batch ${batch.number}`
  const window = one.between ? whenText(one.between, workshop.settings.timeZone) : ''
  const late = daysBetween(one.on, today.value)
  const when = one.on <= today.value ? '' : `, ${dayText(one.on, { weekday: true })}`
  switch (one.kind) {
    case 'pour':
      return {
        says: `Pour ${batch.name}`,
        because: `${name} is planned: its plan and vessels are ready at the bench`,
      }
    case 'peek':
      return {
        says: `Look under the cover of ${batch.name}`,
        because: `${name}, ${window}. Cracked or rising? Uncover it and cool it`,
      }
    case 'unwrap':
      return {
        says: `Unwrap ${batch.name}`,
        because: `${name}, ${window}. Let it come to the warmth of the room`,
      }
    case 'thaw':
      return {
        says: `Take ${batch.name} out of the freezer`,
        because: `${name}, ${window}. Let it stand ten minutes, then unmould and cut; it sweats a little`,
      }
    case 'cut':
      return {
        says: `Unmould and cut ${batch.name}`,
        because: window
          ? `${name}, best ${window}. Firm to the touch? Gloves on`
          : late > 0
            ? `${name} has waited ${say.value.count(late, 'day', 'days')}; a hard loaf crumbles under the wire`
            : `${name}${when}. Firm to the touch? Gloves on`,
      }
    case 'strip': {
      const { state } = batch.facts.usable
      return {
        says: `${state === 'untested' ? 'Test' : 'Test again'}: ${batch.name}`,
        because:
          state === 'untested'
            ? `${name}${when}: a strip on wet lather; 8 to 10 is soap`
            : `${name} is ${usableText(batch)}${when}`,
      }
    }
    case 'weigh':
    case 'turn':
      return { says: '', because: '' }
    case 'ready': {
      const { bars, by } = standingOf(batch, today.value)
      const label = batch.facts.drying
        ? `, label them ${labelText(batch.facts.drying, workshop.say)}`
        : ''
      return {
        says: `${batch.name} is ready ${one.on === today.value ? 'today' : `${by === 'weight' ? 'about ' : ''}${dayText(one.on, { weekday: true })}`}`,
        because: `${name}, ${bars} bars${label}; ${by === 'weight' ? 'dry by weight' : `${batch.cure.days} days by the calendar`}`,
      }
    }
  }
}
const lists = computed(() => [
  { title: 'Before the day ends', jobs: jobsOf(due.value.today) },
  { title: 'This week', jobs: jobsOf(due.value.week) },
])
/** Jobs of a list that are shown before somebody asks for all of them. */
const atFirst = 20
const whole = ref<Record<string, boolean>>({})
const shownOf = ({ title, jobs }: { title: string; jobs: Job[] }) =>
  whole.value[title] ? jobs : jobs.slice(0, atFirst)
const answer = useDueAnswers()
const drying = computed(() =>
  batches.list.filter((batch) => isDrying(standingOf(batch, today.value))),
)
const lately = computed(() => formulas.list.slice(0, 4))
const isEmpty = computed(
  () => batches.loaded && formulas.loaded && !batches.list.length && !formulas.list.length,
)
async function start() {
  try {
    await router.push(`/formulas/${await formulas.create()}`)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
</script>

<template>
  <EmptyShelf v-if="isEmpty" @start="start" />
  <div
    v-else
    class="mx-auto grid max-w-[1280px] grid-cols-[minmax(0,1fr)] gap-4 px-4 py-4 sm:px-6 lg:grid-cols-[470px_minmax(0,1fr)]"
  >
    <div class="grid grid-cols-[minmax(0,1fr)] content-start gap-4">
      <section class="sheet self-start overflow-hidden" aria-label="What is due">
        <div class="flex items-center justify-between gap-3 px-4 py-3.5">
          <h1>{{ dayText(today, { weekday: true, long: true }) }}</h1>
          <CalendarCard />
        </div>
        <p v-if="batches.problem" role="alert" class="px-4 pb-3 font-semibold text-stop">
          {{ batches.problem }}
        </p>
        <template v-for="(list, place) in lists" :key="list.title">
          <h2
            class="px-4 pt-3 pb-2"
            :class="place === 0 && list.jobs.length ? 'bg-warn-ground !text-warn' : ''"
          >
            {{ list.title }}
          </h2>
          <ul>
            <li
              v-for="job in shownOf(list)"
              :key="`${job.batches[0]!.id} ${job.kind}`"
              class="grid grid-cols-[44px_1fr_auto] items-center gap-3.5 border-t border-line-2 px-4 py-3"
            >
              <BarThumbnail :thumbnail="job.batches[0]!.thumbnail" />
              <div class="min-w-0">
                <b class="text-[15.5px] font-[650]">{{ job.says }}</b>
                <p class="text-[13.5px] text-ink-2">{{ job.because }}</p>
              </div>
              <AppButton v-if="dueAnswers[job.kind]" @click="answer(job.kind, job.batches)">{{
                dueAnswers[job.kind]
              }}</AppButton>
              <AppButton
                v-else
                :to="
                  job.kind === 'pour'
                    ? `/bench/${job.batches[0]!.id}`
                    : `/batches/${job.batches[0]!.id}`
                "
                >{{ job.kind === 'pour' ? 'Bench' : 'Look' }}</AppButton
              >
            </li>
          </ul>
          <p
            v-if="shownOf(list).length < list.jobs.length"
            class="border-t border-line-2 px-4 py-3"
          >
            <button type="button" class="link" @click="whole[list.title] = true">
              {{ list.jobs.length - shownOf(list).length }} more
            </button>
          </p>
          <p v-if="!list.jobs.length" class="border-t border-line-2 px-4 py-3 text-ink-2">
            {{ place === 0 ? 'Nothing has to be done today.' : 'Nothing more this week.' }}
          </p>
        </template>
      </section>
      <GoalsCard />
      <BackupNote />
    </div>
    <div class="grid grid-cols-[minmax(0,1fr)] content-start gap-4">
      <section class="sheet px-4 py-3">
        <AtAGlance :batches="batches.list" />
      </section>
      <section class="sheet px-4 py-3.5">
        <div class="mb-3 flex flex-wrap justify-between gap-2">
          <h2>Ready when</h2>
          <span class="text-sm text-ink-2"
            >{{ say.count(drying.length, 'batch', 'batches') }} drying</span
          >
        </div>
        <ReadyWhen v-if="drying.length" :batches="drying" />
        <p v-else class="text-ink-2">
          Nothing is drying. A batch joins when it is marked as poured.
        </p>
        <template v-if="drying.length">
          <h2 class="mt-4">The months ahead</h2>
          <LazyMonthsAhead :batches="drying" class="mt-1 h-[190px]" />
        </template>
      </section>
      <div class="grid gap-4 md:grid-cols-2">
        <section class="sheet self-start">
          <h2 class="px-4 py-3">Formulas you were at</h2>
          <ul>
            <li
              v-for="formula in lately"
              :key="formula.id"
              class="relative grid grid-cols-[44px_1fr] items-center gap-3 border-t border-line-2 px-4 py-2.5 hover:bg-white"
            >
              <BarThumbnail :thumbnail="thumbnailOf(formula.document, library)" />
              <div class="min-w-0">
                <NuxtLink
                  :to="`/formulas/${formula.id}`"
                  class="block truncate font-[650] after:absolute after:inset-0"
                  >{{ formula.document.name }}</NuxtLink
                >
                <small class="text-sm text-ink-2"
                  >{{ purposeNames[formula.document.use] }},
                  {{ dayText(workshop.dayOf(formula.changedAt), { today }) }}</small
                >
              </div>
            </li>
          </ul>
          <div class="border-t border-line-2 px-4 py-3">
            <AppButton kind="main" @click="start">New formula</AppButton>
          </div>
        </section>
        <RunsOut :batches="batches.list" />
      </div>
    </div>
  </div>
</template>
