<script setup lang="ts">
import { Search } from '@lucide/vue'
import type { DueJob } from '~/composables/useDueJobs'

const batches = useBatches()
const formulas = useFormulas()
const toasts = useToasts()
const router = useRouter()
const workshop = useWorkshop()
const { today } = storeToRefs(workshop)
useHead({ title: 'Shelf · Mantle' })
onMounted(() => {
  void batches.load()
  void formulas.load()
})

const { overdue, today: todays, week } = useDueJobs()
/** What is looked for among them, where there are more than are read at a glance. */
const find = ref('')
const many = 8
const isMany = computed(() => overdue.value.length + todays.value.length + week.value.length > many)
const lists = computed(() => {
  const has = hasWords(isMany.value ? find.value : '')
  const found = (jobs: DueJob[]) =>
    jobs.filter(({ says, because, batches: all }) =>
      has([says, because, ...all.map(({ name, number }) => `${name} ${number}`)].join(' ')),
    )
  return [
    { title: 'Overdue', jobs: found(overdue.value), late: true },
    { title: 'Before the day ends', jobs: found(todays.value), late: false },
    { title: 'This week', jobs: found(week.value), late: false },
  ]
})
const listed = computed(() => lists.value.filter(({ late, jobs }) => !late || jobs.length))
/** Jobs of a list that are shown before somebody asks for all of them; the first few stand a moment earlier. */
const [first, atFirst] = [6, 20]
const turn = useTurns(Math.ceil(atFirst / first) - 1)
const shown = computed(() => Math.min(atFirst, first * (turn.value + 1)))
const whole = ref<Record<string, boolean>>({})
const shownOf = ({ title, jobs }: { title: string; jobs: DueJob[] }) =>
  whole.value[title] ? jobs : jobs.slice(0, shown.value)
const search = ref<HTMLInputElement | null>(null)
useShortcuts({ f: () => search.value?.focus() })
const lately = computed(() => formulas.list.slice(0, 2))
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
    class="mx-auto grid max-w-[1280px] grid-cols-[minmax(0,1fr)] gap-4 px-4 py-4 sm:px-6 lg:grid-cols-[472px_minmax(0,1fr)]"
  >
    <section class="sheet flex flex-col self-start overflow-hidden" aria-label="What is due">
      <div class="flex items-center justify-between gap-3 px-4 py-2">
        <h1>{{ dayText(today, { weekday: true, long: true }) }}</h1>
        <CalendarCard />
      </div>
      <FirstSoapRow class="mx-4 mb-2 !mt-0" />
      <div class="mx-4 flex flex-wrap items-center gap-2 not-empty:mb-2">
        <label v-if="isMany" class="field flex h-9 min-w-48 flex-1 items-center gap-2">
          <Search :size="16" class="shrink-0 text-ink-3" aria-hidden="true" />
          <input
            ref="search"
            v-model="find"
            type="search"
            class="w-full min-w-0 bg-transparent outline-none"
            placeholder="Find what is due: weigh, turn, a name"
            aria-label="Find what is due"
          />
        </label>
        <NosesRow />
      </div>
      <p v-if="batches.problem" role="alert" class="px-4 pb-3 font-semibold text-stop">
        {{ batches.problem }}
      </p>
      <template v-for="list in listed" :key="list.title">
        <h2
          class="flex h-7 shrink-0 items-center justify-between border-t border-line px-4"
          :class="list.late ? 'bg-warn !text-white' : 'bg-band'"
        >
          {{ list.title }} <span class="figure">{{ list.jobs.length || '' }}</span>
        </h2>
        <ul>
          <DueRow
            v-for="(job, place) in shownOf(list)"
            :key="`${job.batches[0]!.id} ${job.kind}`"
            :job="job"
            :leads="list.late && !place"
            :class="list.late ? 'bg-warn-ground' : ''"
          />
        </ul>
        <p
          v-if="shown === atFirst && shownOf(list).length < list.jobs.length"
          class="border-t border-line-2 px-4 py-2"
        >
          <button type="button" class="link" @click="whole[list.title] = true">
            {{ list.jobs.length - shownOf(list).length }} more
          </button>
        </p>
        <p v-if="!list.jobs.length" class="border-t border-line-2 px-4 py-2.5 text-ink-2">
          {{
            find.trim() && isMany
              ? 'Nothing like that.'
              : list.title === 'This week'
                ? 'Nothing more this week.'
                : 'Nothing has to be done today.'
          }}
        </p>
      </template>
      <div
        class="mt-auto flex flex-wrap items-center justify-between gap-3 border-t border-line px-4 py-2.5"
      >
        <p v-if="lately.length" class="text-[13px]">
          You were at
          <template v-for="(formula, at) in lately" :key="formula.id"
            ><template v-if="at">, </template
            ><NuxtLink :to="`/formulas/${formula.id}`" class="link">{{
              formula.document.name
            }}</NuxtLink></template
          >
        </p>
        <AppButton :kind="overdue.length ? 'plain' : 'main'" @click="start">New formula</AppButton>
      </div>
    </section>
    <div class="grid grid-cols-[minmax(0,1fr)] content-start gap-4">
      <section class="sheet px-4 py-2">
        <AtAGlance :batches="batches.list" />
      </section>
      <section class="sheet px-4 py-2.5">
        <InTurn><WeeksAhead :batches="batches.list" /></InTurn>
      </section>
      <div class="grid gap-4 md:grid-cols-2">
        <InTurn :turn="2"><GoalsCard /></InTurn>
        <InTurn :turn="3"><RunsOut :batches="batches.list" /></InTurn>
      </div>
      <BackupNote />
    </div>
  </div>
</template>
