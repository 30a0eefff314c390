<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import type { Run } from '#contracts/run'
import { safetyCheckOf } from '#core/bench/run/safetyCheck'
import { mistakesOf } from '#core/bench/run/mistakes'
import { contextOf, planFor } from '#core/bench/plan/plan'
import { runOf, weighedSoFar } from '#core/bench/run/run'
import { suspectsWeakLye } from '#core/heat/dissolving'
import { blankPaper, paperEvents, type PaperDraft } from '~/utils/paperEvents'

/** The blanks of a bench sheet, filled in afterwards: what it makes and what is odd about it, before it is written down. */
const { batch, run, begun } = defineProps<{
  batch: Batch
  /** As it is, or as it will be once something is written down. */
  run: Run
  begun: boolean
}>()
const workshop = useWorkshop()
const router = useRouter()
const { say, today, settings } = storeToRefs(workshop)
const ctx = computed(() => contextOf(batch.frozen, run.setup, run.scale, say.value))
const plan = computed(() => planFor(ctx.value))
const key = `mantle-paper-${batch.id}`
/** What was filled in before, as far as it is of the kind that belongs there. */
function asDraft(value: unknown): PaperDraft | null {
  const blank = blankPaper(today.value)
  if (typeof value !== 'object' || value === null) return null
  const fits = Object.entries(value).filter(
    ([name, filled]) =>
      name in blank &&
      (filled === null ||
        blank[name as keyof PaperDraft] === null ||
        typeof filled === typeof blank[name as keyof PaperDraft]),
  )
  return { ...blank, ...Object.fromEntries(fits) }
}
const draft = useKept<PaperDraft>(key, blankPaper(today.value), asDraft)

const safetyCheck = computed(() => safetyCheckOf(ctx.value.document))
const weighings = computed(() => plan.value.steps.filter(({ weigh }) => weigh))
const state = computed(() =>
  runOf(plan.value, run.startedAt, paperEvents(plan.value, run, draft.value)),
)
const made = computed(() => weighedSoFar(ctx.value, plan.value, state.value))
/** Only what was filled in is judged: an empty sheet accuses nobody. */
const odd = computed(() => {
  const { confirmed, emulsion, trace } = draft.value
  const judged = {
    safety: Object.values(confirmed).some(Boolean),
    order: false,
    weight: true,
    temperature: true,
    batter: emulsion !== null || trace !== null,
  }
  return mistakesOf(ctx.value, plan.value, state.value, { clocked: false }).filter(
    ({ about }) => judged[about],
  )
})
const pouredAt = computed(() =>
  draft.value.hour && draft.value.day
    ? instantAt(draft.value.day, draft.value.hour, settings.value.timeZone)
    : undefined,
)
const weak = computed(
  () => draft.value.peakC !== null && suspectsWeakLye(plan.value.jug, draft.value.peakC),
)
const filled = computed(
  () => weighings.value.filter(({ id }) => draft.value.grams[id] != null).length,
)
const refused = ref('')
const busy = ref(false)
const marks = { stop: 'Stop.', think: 'Think.', know: 'Know.' } as const

const temperatures = [
  { key: 'peakC', says: 'Lye jug at its hottest' },
  { key: 'lyeC', says: 'Lye when combined' },
  { key: 'oilsC', says: 'Oils when combined' },
] as const
const times = [
  { key: 'emulsion', says: 'Emulsion after' },
  { key: 'trace', says: 'Light trace after' },
] as const

/** The same events as long as nothing of the paper is changed: a second press after a lost answer tells nothing twice. */
const told = computed(() => [
  {
    id: newId(),
    at: run.startedAt,
    kind: 'drove',
    name: deviceName(),
  },
  ...paperEvents(plan.value, run, draft.value, pouredAt.value),
])
async function write() {
  if (busy.value) return
  busy.value = true
  refused.value = ''
  try {
    // The run begins with what is written down: looking at the form begins nothing.
    if (!begun)
      await api.post<Run>(`/api/batches/${batch.id}/run`, {
        id: run.id,
        device: deviceId(),
        setup: run.setup,
        paper: true,
        at: run.startedAt,
      })
    await api.post(`/api/runs/${run.id}/events`, {
      device: deviceId(),
      events: told.value,
    })
    forgetHere(key)
    await router.push(`/bench/${batch.id}`)
  } catch (error) {
    refused.value = sentenceOf(error)
  } finally {
    busy.value = false
  }
}
const off = (id: string, planned: number) => (draft.value.grams[id] ?? planned) - planned
</script>

<template>
  <form
    class="mx-auto grid max-w-[1280px] gap-4 px-3 py-4 sm:px-6 lg:grid-cols-[1fr_360px]"
    @submit.prevent="write"
  >
    <section class="sheet px-5 py-4">
      <div class="flex items-center gap-3">
        <BarThumbnail :thumbnail="batch.thumbnail" :width="58" :height="38" />
        <div>
          <h1>{{ batch.name }}, batch {{ batch.number }}, from paper</h1>
          <p class="figure text-ink-2">
            {{ filled }} of {{ weighings.length }} weights filled in; a blank counts as weighed as
            planned
          </p>
        </div>
      </div>
      <div class="mt-4 flex flex-wrap items-end gap-x-6 gap-y-2 rounded-sm bg-[#f5efe0] px-4 py-3">
        <label class="grid gap-1 text-[17px] font-bold"
          >Poured at
          <input
            v-model="draft.hour"
            type="time"
            class="field w-36 text-[22px] font-bold"
            aria-label="Hour of the pour"
        /></label>
        <label class="grid gap-1 font-semibold"
          >on
          <input v-model="draft.day" type="date" class="field font-normal" :max="today" required
        /></label>
        <p class="text-sm text-ink-2">
          Everything after it counts from the hour: when to look, to unmould, to cut. Left empty,
          nothing is due by the hour.
        </p>
      </div>
      <table class="figure mt-4 w-full">
        <caption class="sr-only">
          Weights from the sheet
        </caption>
        <tbody>
          <tr v-for="step in weighings" :key="step.id" class="border-t border-line-2">
            <th
              scope="row"
              class="py-1 pr-2 text-left font-medium"
              :class="step.lye ? 'text-stop' : ''"
            >
              {{ step.short }}
            </th>
            <td class="py-1 pr-3 text-right whitespace-nowrap text-ink-2">
              {{ say.mass(step.weigh!.grams) }}
            </td>
            <td class="w-36 py-1">
              <NumberField
                kind="mass"
                class="w-32"
                :label="`${step.short}, weighed`"
                :min="0"
                :max="500000"
                :model-value="draft.grams[step.id] ?? null"
                @update:model-value="draft.grams[step.id] = $event"
              />
            </td>
            <td
              class="w-28 py-1 pl-2 text-sm whitespace-nowrap"
              :class="
                Math.abs(off(step.id, step.weigh!.grams)) > step.weigh!.tolerance
                  ? 'font-semibold text-warn'
                  : 'text-ink-3'
              "
            >
              {{
                Math.abs(off(step.id, step.weigh!.grams)) < run.scale / 2
                  ? ''
                  : `${off(step.id, step.weigh!.grams) > 0 ? '+' : '−'}${say.mass(Math.abs(off(step.id, step.weigh!.grams)))}`
              }}
            </td>
          </tr>
        </tbody>
      </table>
    </section>
    <aside class="grid content-start gap-4" aria-label="The rest of the sheet">
      <section class="sheet px-5 py-4">
        <h2 class="mb-2">As written down</h2>
        <p class="figure text-key leading-tight font-bold">{{ say.percent(made.superfat, 2) }}</p>
        <p class="figure text-ink-2">
          superfat, planned {{ say.percent(ctx.onScale.superfat, 2) }}; water
          {{ say.ratio(made.ratio) }}
        </p>
        <ul v-if="odd.length || weak" class="mt-3 grid gap-2">
          <li v-if="weak">
            <b>Think. Weak lye suspected.</b> {{ say.temperature(plan.peak.low) }} to
            {{ say.temperature(plan.peak.high) }} was to be expected. Keep it for laundry, or test
            it well.
          </li>
          <li v-for="one in odd" :key="one.says">
            <b>{{ marks[one.severity] }} {{ one.says }}</b> {{ one.because }}
          </li>
        </ul>
      </section>
      <fieldset class="sheet grid gap-2 px-5 py-4">
        <legend class="sr-only">Safety check</legend>
        <h2>Ticked before the lye</h2>
        <label v-for="point in safetyCheck" :key="point.id" class="flex items-start gap-2"
          ><input v-model="draft.confirmed[point.id]" type="checkbox" class="mt-1" />
          {{ point.says }}</label
        >
      </fieldset>
      <section class="sheet grid gap-3 px-5 py-4">
        <h2>Temperatures and batter</h2>
        <label
          v-for="field in temperatures"
          :key="field.key"
          class="flex items-center justify-between gap-3"
          >{{ field.says }}
          <TemperatureField
            v-model="draft[field.key]"
            :label="field.says"
            :unknown="null"
            :min="-10"
            :max="150"
        /></label>
        <label
          v-for="field in times"
          :key="field.key"
          class="flex items-center justify-between gap-3"
          >{{ field.says }}
          <NumberField
            v-model="draft[field.key]"
            :label="field.says"
            unit="min"
            class="w-24"
            :min="0"
            :max="600"
        /></label>
        <label class="grid gap-1"
          >Notes <textarea v-model="draft.notes" class="field" rows="3" maxlength="1000" />
        </label>
      </section>
      <p v-if="refused" role="alert" class="font-semibold text-stop">{{ refused }}</p>
      <AppButton kind="main" :disabled="busy" @click="write">Write it down as poured</AppButton>
    </aside>
  </form>
</template>
