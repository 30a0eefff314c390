<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import type { Run } from '#contracts/run'
import { contextOf, planFor } from '#core/bench/plan/plan'
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
const ctx = computed(() =>
  contextOf(batch.frozen, setup.value, run?.scale ?? settings.value.scale, say.value),
)
const plan = computed(() => planFor(ctx.value))
const timeOf = computed(() => new Map(plan.value.times.map((time) => [time.id, time])))
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
/** Lye is weighed after the safety check; the plan may be looked at and printed before. */
const segments = computed(() => {
  const whole = plan.value.minutes || 1
  return plan.value.steps.map((step) => {
    const time = timeOf.value.get(step.id)!
    return {
      id: step.id,
      short: step.short,
      wait: (time.waits / whole) * 100,
      work: ((time.to - time.from - time.waits) / whole) * 100,
      colour: step.lye
        ? 'var(--color-lye)'
        : step.kind === 'weigh'
          ? 'var(--color-water)'
          : 'var(--color-extra)',
    }
  })
})
const waits = computed(() => sumOf(plan.value.times, ({ waits: own }) => own))
</script>

<template>
  <BenchSheet :batch="batch" :plan="plan" :ctx="ctx" class="hidden print:block" />
  <div
    class="mx-auto grid max-w-[1280px] gap-4 px-3 py-4 sm:px-6 lg:grid-cols-[1fr_340px] print:hidden"
  >
    <div class="grid content-start gap-4">
      <section class="sheet px-5 py-4">
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
        <div
          class="mt-4 flex h-7 w-full overflow-hidden rounded-sm border border-line"
          role="img"
          :aria-label="`Time bar: ${minutesText(plan.minutes)} in ${plan.steps.length} steps`"
        >
          <template v-for="segment in segments" :key="segment.id">
            <i
              v-if="segment.wait > 0"
              class="h-full"
              :title="`waiting for: ${segment.short}`"
              :style="{
                width: `${segment.wait}%`,
                background: 'repeating-linear-gradient(45deg,#e6eae7 0 5px,#c9d1cd 5px 10px)',
              }"
            />
            <i
              class="h-full border-r border-white/60"
              :title="segment.short"
              :style="{ width: `${segment.work}%`, background: segment.colour }"
            />
          </template>
        </div>
        <p class="mt-1 flex flex-wrap gap-x-4 text-sm text-ink-2">
          <span><i class="mr-1 inline-block size-2.5 bg-lye" />lye about</span>
          <span><i class="mr-1 inline-block size-2.5 bg-water" />weighing</span>
          <span><i class="mr-1 inline-block size-2.5 bg-extra" />other work</span>
          <span
            ><i class="mr-1 inline-block size-2.5 bg-[#c9d1cd]" />waiting, free for what comes
            next</span
          >
        </p>
      </section>
      <section v-if="lessons.length" class="sheet px-5 py-4" aria-label="Learned">
        <h2 class="mb-2">What earlier batches taught</h2>
        <LessonList :lessons="lessons" @drop="drop" />
      </section>
      <PotStairs v-if="plan.pots.some(({ takes }) => takes !== null)" :plan="plan" />
      <PlanList v-model="setup" :plan="plan" :fixed="begun" />
    </div>
    <aside class="grid content-start gap-4" aria-label="Setup and vessels">
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
