<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import type { Run, RunSetup } from '#contracts/run'
import { potsBegin } from '#core/bench/plan/fold'
import { contextOf, planFor } from '#core/bench/plan/plan'
import { useIntervalFn } from '@vueuse/core'
import { Printer } from '@lucide/vue'
import { sumOf } from '#core/statistics/sum'

/** The plan before the start: the day's setup, the steps with their times, the vessels; then print or begin. */
const { batch, run } = defineProps<{ batch: Batch; run: Run | null }>()
const workshop = useWorkshop()
const toasts = useToasts()
const router = useRouter()
const { say, settings } = storeToRefs(workshop)

/** What was chosen and moved before the start stays on this device until the batch is begun. */
const setup = ref(run?.setup ?? arrangedSetup(batch.id, settings.value))
watch(setup, (now) => run || keepHere(planKey(batch.id), now), { deep: true })
const ctxWith = (chosen: RunSetup) =>
  contextOf(batch.frozen, chosen, run?.scale ?? settings.value.scale, say.value)
const ctx = computed(() => ctxWith(setup.value))
const plan = computed(() => planFor(ctx.value))
const begun = computed(() => run !== null)
const { lessons, drop } = useLessons(() => batch.formulaId)
const busy = ref(false)
/** Of the run that is begun here: pressed twice, it is begun once. */
const runId = newId()

async function begin() {
  if (busy.value) return
  busy.value = true
  try {
    if (!run) {
      await api.post<Run>(`/api/batches/${batch.id}/run`, {
        id: runId,
        device: deviceId(),
        setup: setup.value,
        paper: false,
        at: new Date(workshop.clock()).toISOString(),
      })
      forgetHere(planKey(batch.id))
      const { roomC, scaleMax, guardC, thermometer } = setup.value
      await workshop
        .save({ bench: { roomC, scaleMax, guardC, thermometer } })
        .catch(() => undefined)
    }
    await router.push(`/bench/${batch.id}/make`)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  } finally {
    busy.value = false
  }
}
const print = () => window.print()
/** When it would begin, ms. */
const now = ref(workshop.clock())
useIntervalFn(() => (now.value = workshop.clock()), 20_000)
/** Where pots are made one after another, what comes before them stands on the left, they on the right. */
const apart = computed(() => potsBegin(plan.value) !== null)
const waits = computed(() => sumOf(plan.value.times, ({ waits: own }) => own))
</script>

<template>
  <BenchSheet :batch="batch" :plan="plan" :ctx="ctx" class="hidden print:block" />
  <div
    class="mx-auto grid max-w-[1280px] gap-4 px-3 py-4 sm:px-6 print:hidden"
    :class="apart ? 'lg:grid-cols-[minmax(0,5fr)_minmax(0,7fr)]' : 'lg:grid-cols-[1fr_340px]'"
  >
    <div class="grid content-start gap-4" :class="apart ? 'lg:contents' : ''">
      <section class="sheet px-5 py-4 lg:col-span-full">
        <div class="flex flex-wrap items-start justify-between gap-3">
          <div class="flex items-center gap-3">
            <BarThumbnail :thumbnail="batch.thumbnail" :width="58" :height="38" />
            <div>
              <h1>{{ batch.name }}, batch {{ batch.number }}</h1>
              <p class="figure text-ink-2">
                {{ say.amount(ctx.onScale.result.oils) }} of oils,
                {{ say.amount(ctx.onScale.result.batter) }} of batter · about
                {{ minutesText(plan.minutes) }} from start to rinsed, {{ minutesText(waits) }} of it
                waiting
              </p>
            </div>
          </div>
          <div class="flex flex-wrap gap-2">
            <AppButton to="/emergency">Emergency</AppButton>
            <AppButton :to="`/batches/${batch.id}`">Its sheet</AppButton>
            <AppButton @click="print"><Printer :size="16" /> Print the plan</AppButton>
            <AppButton v-if="!begun || run?.paper" :to="`/bench/${batch.id}/paper`"
              >Write up from paper</AppButton
            >
            <AppButton
              kind="main"
              class="max-lg:order-first"
              :disabled="!plan.agrees || busy"
              @click="begin()"
              >{{ begun ? 'Go on at the bench' : 'Start at the bench' }}</AppButton
            >
          </div>
        </div>
        <p
          v-if="!plan.agrees"
          role="alert"
          class="mt-3 rounded-sm bg-stop px-4 py-3 font-semibold text-white"
        >
          The lye was worked out in two ways that do not agree. Do not make this batch; check the
          formula.
        </p>
        <PlanTimeBar :plan="plan" :now="now" class="mt-3" />
      </section>
      <template v-if="apart">
        <div class="grid content-start gap-4">
          <PlanList v-model="setup" part="before" :plan="plan" :fixed="begun" />
          <LearnedSheet :lessons="lessons" @drop="drop" />
        </div>
        <div class="grid content-start gap-4">
          <PotStairs
            v-model="setup"
            :plan="plan"
            :ctx="ctx"
            :now="now"
            :plan-with="(chosen) => planFor(ctxWith(chosen))"
            :fixed="begun"
          />
          <PlanList v-model="setup" part="pots" :plan="plan" :fixed="begun" />
        </div>
      </template>
      <template v-else>
        <LearnedSheet :lessons="lessons" @drop="drop" />
        <PlanList v-model="setup" :plan="plan" :fixed="begun" />
      </template>
    </div>
    <aside
      class="grid content-start gap-4"
      :class="apart ? 'items-start lg:col-span-2 lg:grid-cols-3' : ''"
      aria-label="Setup and vessels"
    >
      <BenchSetup v-model="setup" :ctx="ctx" :plan="plan" :fixed="begun" />
      <VesselList :plan="plan" />
      <section class="sheet px-5 py-4">
        <h2 class="mb-2">What to expect</h2>
        <p class="figure">
          {{ jugText(plan.jug, say) }} The batter stays workable for about
          <b>{{ minutesText(plan.working) }}</b>. Estimates; your own times are better.
        </p>
      </section>
    </aside>
  </div>
</template>
