<script setup lang="ts">
import { thumbnailOf } from '#core/formula/thumbnail'
import { isDrying, standingOf } from '#core/rack/standing'
import { purposeNames } from '~/utils/purposeNames'

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

const { overdue, today: todays, week } = useDueJobs()
const lists = computed(() => [
  { title: 'Overdue', jobs: overdue.value, late: true },
  { title: 'Before the day ends', jobs: todays.value, late: false },
  { title: 'This week', jobs: week.value, late: false },
])
const listed = computed(() => lists.value.filter(({ late, jobs }) => !late || jobs.length))
/** Jobs of a list that are shown before somebody asks for all of them. */
const atFirst = 20
const whole = ref<Record<string, boolean>>({})
const shownOf = ({ title, jobs }: { title: string; jobs: DueJob[] }) =>
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
        <template v-for="list in listed" :key="list.title">
          <h2 class="px-4 pt-3 pb-2" :class="list.late ? 'bg-warn !text-white' : ''">
            {{ list.title }}
          </h2>
          <ul>
            <li
              v-for="job in shownOf(list)"
              :key="`${job.batches[0]!.id} ${job.kind}`"
              class="grid grid-cols-[44px_1fr_auto] items-center gap-3.5 border-t border-line-2 px-4 py-3"
              :class="list.late ? 'bg-[#f5efe0]' : ''"
            >
              <BarThumbnail :thumbnail="job.batches[0]!.thumbnail" />
              <div class="min-w-0">
                <b class="text-[15.5px] font-[650]">{{ job.says }}</b>
                <p class="text-[13.5px] text-ink-2">{{ job.because }}</p>
              </div>
              <AppButton
                v-if="dueAnswers[job.kind]"
                :kind="list.late && job === list.jobs[0] ? 'main' : 'plain'"
                @click="answer(job.kind, job.batches)"
                >{{ dueAnswers[job.kind] }}</AppButton
              >
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
            {{ list.jobs === todays ? 'Nothing has to be done today.' : 'Nothing more this week.' }}
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
            <AppButton :kind="overdue.length ? 'plain' : 'main'" @click="start"
              >New formula</AppButton
            >
          </div>
        </section>
        <RunsOut :batches="batches.list" />
      </div>
    </div>
  </div>
</template>
