<script setup lang="ts">
import { standingOf } from '#core/rack/standing'

/** The bench as a station: go on, begin, practise, write up from paper. */
const batches = useBatches()
const formulas = useFormulas()
const { today } = storeToRefs(useWorkshop())
const router = useRouter()
useHead({ title: 'Bench · Mantle' })
const open = ref<{ batchId: string; startedAt: string }[]>([])
const problem = ref('')
onMounted(async () => {
  void batches.load()
  void formulas.load()
  try {
    open.value = await api.get('/api/runs')
  } catch (error) {
    problem.value = sentenceOf(error)
  }
})
const planned = computed(() =>
  batches.list.filter((batch) => standingOf(batch, today.value).stage === 'planned'),
)
const begun = computed(() => new Set(open.value.map(({ batchId }) => batchId)))
const going = computed(() => planned.value.filter(({ id }) => begun.value.has(id)))
const toBegin = computed(() => planned.value.filter(({ id }) => !begun.value.has(id)))

const practising = ref('')
watch(
  () => formulas.list.length,
  () => {
    practising.value ||=
      formulas.list.find(({ document }) => document.name === 'Plain Tallow')?.id ??
      formulas.list[0]?.id ??
      ''
  },
  { immediate: true },
)
const practise = (guided: boolean) =>
  router.push(`/bench/practice/${practising.value}${guided ? '?guided=1' : ''}`)

const code = ref('')
const codeProblem = ref('')
function openPaper() {
  const wanted = code.value.trim().toUpperCase().replace(/\s/g, '')
  const hit = batches.list.find((batch) => paperCode(batch) === wanted)
  codeProblem.value = hit
    ? ''
    : 'No batch has this code. It stands at the top right of the sheet, as 36-4F2A.'
  if (hit) void router.push(`/bench/${hit.id}/paper`)
}
</script>

<template>
  <div class="mx-auto grid max-w-[1280px] gap-4 px-4 py-4 sm:px-6 lg:grid-cols-[1fr_400px]">
    <section class="sheet self-start" aria-label="Batches to make">
      <h1 class="px-5 py-4">At the bench</h1>
      <p v-if="problem" role="alert" class="px-5 pb-3 font-semibold text-stop">{{ problem }}</p>
      <template v-if="going.length">
        <h2 class="bg-warn-ground px-5 pt-3 pb-2 !text-warn">Being made now</h2>
        <ul>
          <li
            v-for="batch in going"
            :key="batch.id"
            class="grid grid-cols-[44px_1fr_auto] items-center gap-3.5 border-t border-line-2 px-5 py-3"
          >
            <BarThumbnail :thumbnail="batch.thumbnail" />
            <b class="text-[15.5px] font-[650]">{{ batch.name }} {{ batch.number }}</b>
            <AppButton kind="main" :to="`/bench/${batch.id}/make`">Go on</AppButton>
          </li>
        </ul>
      </template>
      <h2 class="px-5 pt-3 pb-2">Planned</h2>
      <ul>
        <li
          v-for="batch in toBegin"
          :key="batch.id"
          class="grid grid-cols-[44px_1fr_auto] items-center gap-3.5 border-t border-line-2 px-5 py-3"
        >
          <BarThumbnail :thumbnail="batch.thumbnail" />
          <div class="min-w-0">
            <b class="text-[15.5px] font-[650]">{{ batch.name }} {{ batch.number }}</b>
            <p class="figure text-[13.5px] text-ink-2">
              {{ batch.bars }} bars, {{ Math.round(batch.batterGrams / 100) / 10 }} kg of batter
            </p>
          </div>
          <AppButton :kind="going.length ? 'plain' : 'main'" :to="`/bench/${batch.id}`"
            >Plan it</AppButton
          >
        </li>
      </ul>
      <p
        v-if="!toBegin.length && batches.loaded"
        class="border-t border-line-2 px-5 py-4 text-ink-2"
      >
        Nothing is planned. Open a formula and choose <b>Make a batch</b>; it then waits here.
        <NuxtLink to="/formulas" class="link">To the formulas</NuxtLink>
      </p>
    </section>
    <div class="grid content-start gap-4">
      <DaysAhead />
      <section class="sheet px-5 py-4" aria-label="Rehearsal">
        <h2 class="mb-1">Rehearse first</h2>
        <p class="mb-3 text-ink-2">
          Any formula, with a stand-in scale and stand-in thermometers, up to sixty times as fast.
          Nothing is recorded; at the end you are told what to do otherwise.
        </p>
        <label class="grid gap-1 font-semibold"
          >Formula
          <select v-model="practising" class="field font-normal">
            <option v-for="formula in formulas.list" :key="formula.id" :value="formula.id">
              {{ formula.document.name }}
            </option>
          </select>
        </label>
        <div v-if="practising" class="mt-3 flex flex-wrap items-center gap-3">
          <BarThumbnail
            v-if="formulas.list.find(({ id }) => id === practising)"
            :thumbnail="formulas.thumbnail(formulas.list.find(({ id }) => id === practising)!)"
          />
          <AppButton kind="main" @click="practise(true)">Guided, step by step</AppButton>
          <AppButton @click="practise(false)">Alone</AppButton>
        </div>
        <p v-else class="mt-2 text-ink-2">Write a formula first; then it can be practised.</p>
      </section>
      <section class="sheet px-5 py-4" aria-label="From paper">
        <h2 class="mb-1">Made on paper?</h2>
        <p class="mb-3 text-ink-2">
          Every plan prints as a sheet with blanks. Type its code to write everything up in one
          pass.
        </p>
        <form class="flex gap-2" @submit.prevent="openPaper">
          <input
            v-model="code"
            class="field w-36 font-mono uppercase"
            aria-label="Code on the sheet"
            placeholder="36-4F2A"
          />
          <AppButton @click="openPaper">Write it up</AppButton>
        </form>
        <p v-if="codeProblem" role="alert" class="mt-2 text-stop">{{ codeProblem }}</p>
      </section>
      <section class="sheet px-5 py-4" aria-label="Other tablets">
        <h2 class="mb-1">A second tablet, a scale that sends</h2>
        <p class="text-ink-2">
          Other devices are paired, given rights and locked out under
          <NuxtLink to="/workshop" class="link">The workshop</NuxtLink>.
        </p>
      </section>
      <VesselCard />
    </div>
  </div>
</template>
