<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import type { Run } from '#contracts/run'
import { afterPlan } from '#core/bench/run/checks'
import { inSentence } from '#core/units/language'
import { safetyCheckOf } from '#core/bench/run/safetyCheck'
import { mistakesOf } from '#core/bench/run/mistakes'
import type { Step } from '#core/bench/plan/step'
import { contextOf, planFor } from '#core/bench/plan/plan'
import { planAsMade } from '#core/bench/run/lots'
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
/** As the sheet was printed: by the usual values of everything. */
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
const stores = useLots()
void stores.load()
/** What it was weighed from: of what had come by then, as chosen, else what goes first. */
const lots = computed(() =>
  lotsAtHand(
    plan.value.steps,
    stores.list.filter(({ document }) => document.cameOn <= draft.value.day),
    (thing) => draft.value.lots[thing],
  ),
)
const events = computed(() => paperEvents(plan.value, run, draft.value, lots.value))
const state = computed(() => runOf(plan.value, run.startedAt, events.value))
/** By the papers of the lots it was weighed from, whatever the sheet was reckoned with. */
const made = computed(() => {
  const own = planAsMade(batch.frozen, run, events.value, say.value)
  return weighedSoFar(own.ctx, own.plan, state.value)
})
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

interface PaperRow {
  step: Step
  number: number
  asks: 'grams' | 'peak' | 'meeting' | 'minutes'
}
/** The rows of the sheet in its own numbers: weights, and what else it has blanks for. */
const rows = computed(() => {
  let asked = false
  return plan.value.steps.flatMap((step, index): PaperRow[] => {
    const row = { step, number: index + 1 }
    if (step.weigh) return [{ ...row, asks: 'grams' }]
    if (step.kind === 'dissolve') return [{ ...row, asks: 'peak' }]
    if (step.kind === 'meet') return [{ ...row, asks: 'meeting' }]
    if (step.kind !== 'batter' || asked) return []
    asked = true
    return [{ ...row, asks: 'minutes' }]
  })
})
/** How many of the boxes of the safety check are ticked on the sheet. */
const boxes = ref<'all' | 'some' | 'blank'>(boxesOf())
function boxesOf() {
  const ticked = safetyCheck.value.filter(({ id }) => draft.value.confirmed[id]).length
  return ticked === 0 ? 'blank' : ticked === safetyCheck.value.length ? 'all' : 'some'
}
watch(boxes, (now) => {
  if (now !== 'some')
    draft.value.confirmed = Object.fromEntries(
      safetyCheck.value.map(({ id }) => [id, now === 'all']),
    )
})
const marksOf = [
  { key: 'emulsion', says: 'Emulsion after', short: 'emulsion' },
  { key: 'trace', says: 'Light trace after', short: 'light trace' },
] as const
/** What a weight that is written down is beside the planned one, and whether that matters. */
function beside(id: string, planned: number, tolerance: number) {
  const grams = draft.value.grams[id]
  if (grams == null) return { says: '', bad: false }
  const off = grams - planned
  if (Math.abs(off) < run.scale / 2) return { says: 'as planned', bad: false }
  const by = `${off > 0 ? '+' : '−'}${say.value.massFigure(Math.abs(off))}`
  const bad = Math.abs(off) > tolerance + 1e-6
  return { says: bad ? `${by}, more than it may be off` : `${by}, does not matter`, bad }
}
/** Of what the sheet is silent. */
const blanks = computed(() => [
  ...weighings.value
    .filter(({ id }) => draft.value.grams[id] == null)
    .map(({ weigh }) => inSentence(weigh!.name.split(',')[0]!)),
  ...(draft.value.lyeC === null && draft.value.oilsC === null ? ['the meeting'] : []),
  ...(draft.value.emulsion === null && draft.value.trace === null ? ['trace'] : []),
])
const blankWeights = computed(() => weighings.value.length - filled.value)
/** Enter goes to the next blank of the sheet, as a pencil would. */
function next(event: KeyboardEvent) {
  const fields = [...(event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('input')]
  const at = fields.indexOf(event.target as HTMLElement)
  if (at < 0) return
  event.preventDefault()
  fields[at + 1]?.focus()
}
const checks = computed(() =>
  pouredAt.value ? afterPlan(ctx.value, state.value, pouredAt.value).checks : [],
)
const toasts = useToasts()
async function notMade() {
  const before = draft.value
  draft.value = blankPaper(today.value)
  await router.push(`/bench/${batch.id}`)
  toasts.show('What was typed from the paper is thrown away.', {
    undo: () => {
      keepHere(key, before)
      void router.push(`/bench/${batch.id}/paper`)
    },
  })
}
const keepSays = computed(
  () =>
    `Keep as made ${dayText(draft.value.day, { today: today.value })}${draft.value.hour ? `, ${draft.value.hour}` : ''}`,
)

/** The same events as long as nothing of the paper is changed: a second press after a lost answer tells nothing twice. */
const told = computed(() => [
  {
    id: newId(),
    at: run.startedAt,
    kind: 'drove',
    name: deviceName(),
  },
  ...paperEvents(plan.value, run, draft.value, lots.value, pouredAt.value),
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
</script>

<template>
  <form class="mx-auto grid max-w-[1280px] gap-4 px-3 py-4 sm:px-6 lg:grid-cols-[1fr_360px]">
    <section class="sheet !bg-[#f5efe0] px-5 py-4 lg:col-span-2">
      <div class="mb-3 flex items-center gap-3">
        <BarThumbnail :thumbnail="batch.thumbnail" :width="44" :height="30" />
        <h1>{{ batch.name }}, batch {{ batch.number }}, from paper</h1>
      </div>
      <PaperHour v-model="draft" :poured-at="pouredAt" :checks="checks" />
    </section>
    <section class="sheet px-5 py-4" @keydown.enter="next">
      <table class="figure w-full">
        <caption class="sr-only">
          What stands on the sheet
        </caption>
        <thead class="text-sm text-ink-2">
          <tr>
            <td />
            <th scope="col" class="pb-1 text-left font-semibold">
              In the order of the paper, {{ say.amount(ctx.onScale.result.oils) }} of oils
            </th>
            <th scope="col" class="pr-3 pb-1 text-right font-normal">planned</th>
            <th scope="col" class="pb-1 text-right font-normal">on the paper</th>
            <td class="max-sm:hidden" />
          </tr>
        </thead>
        <tbody>
          <tr class="border-t border-line-2">
            <td class="w-7 py-1 pr-2 text-right text-ink-3">1</td>
            <th scope="row" class="py-1 pr-2 text-left font-medium">Boxes ticked before the lye</th>
            <td colspan="3" class="py-1">
              <fieldset class="flex justify-end sm:justify-start sm:pl-6">
                <legend class="sr-only">Safety check</legend>
                <label
                  v-for="[value, says] in [
                    ['all', `all ${safetyCheck.length}`],
                    ['some', 'some'],
                    ['blank', 'left blank'],
                  ] as const"
                  :key="value"
                  class="cursor-pointer border border-line-3 whitespace-nowrap px-3 py-1.5 -ml-px has-focus-visible:outline-3 has-focus-visible:outline-act"
                  :class="boxes === value ? 'bg-slate font-semibold text-white' : 'bg-white'"
                  ><input v-model="boxes" type="radio" class="sr-only" :value="value" />{{
                    says
                  }}</label
                >
              </fieldset>
            </td>
          </tr>
          <tr v-if="boxes === 'some'">
            <td />
            <td colspan="4" class="pb-2">
              <label v-for="point in safetyCheck" :key="point.id" class="flex items-start gap-2"
                ><input v-model="draft.confirmed[point.id]" type="checkbox" class="mt-1" />
                {{ point.says }}</label
              >
            </td>
          </tr>
          <tr
            v-for="{ step, number, asks } in rows"
            :key="step.id"
            class="border-t border-line-2 focus-within:bg-[#e3eeef]"
          >
            <td class="py-1 pr-2 text-right text-ink-3">{{ number }}</td>
            <th
              scope="row"
              class="py-1 pr-2 text-left font-medium"
              :class="step.lye && step.weigh ? 'text-stop' : ''"
            >
              {{
                asks === 'peak'
                  ? 'Lye at its hottest'
                  : asks === 'meeting'
                    ? 'When combined'
                    : asks === 'minutes'
                      ? 'Minutes from the lye to'
                      : step.short
              }}
            </th>
            <template v-if="asks === 'grams'">
              <td
                class="py-1 pr-3 text-right whitespace-nowrap"
                :class="step.lye ? 'text-stop' : 'text-ink-2'"
              >
                {{ say.mass(step.weigh!.grams) }}
              </td>
              <td class="w-32 py-1">
                <NumberField
                  kind="mass"
                  class="w-32"
                  :class="draft.grams[step.id] == null ? 'border-dashed' : 'font-semibold'"
                  :label="`${step.short}, weighed`"
                  :min="0"
                  :max="500000"
                  :model-value="draft.grams[step.id] ?? null"
                  @update:model-value="draft.grams[step.id] = $event"
                />
              </td>
              <td
                class="py-1 pl-3 text-sm max-sm:hidden"
                :class="
                  beside(step.id, step.weigh!.grams, step.weigh!.tolerance).bad
                    ? 'font-semibold text-warn'
                    : 'text-ink-2'
                "
              >
                {{ beside(step.id, step.weigh!.grams, step.weigh!.tolerance).says }}
              </td>
            </template>
            <template v-else-if="asks === 'peak'">
              <td />
              <td class="py-1">
                <TemperatureField
                  v-model="draft.peakC"
                  class="w-32"
                  label="Lye jug at its hottest"
                  :unknown="null"
                  :min="-10"
                  :max="150"
                />
              </td>
              <td class="py-1 pl-3 text-sm text-ink-2 max-sm:hidden">
                usual is {{ say.temperature(plan.peak.low) }} to
                {{ say.temperature(plan.peak.high) }}
              </td>
            </template>
            <td v-else colspan="3" class="py-1">
              <div class="flex flex-wrap justify-end gap-x-4 gap-y-1 sm:justify-start sm:pl-6">
                <template v-if="asks === 'meeting'">
                  <label class="flex items-center gap-2"
                    >lye
                    <TemperatureField
                      v-model="draft.lyeC"
                      label="Lye when combined"
                      :unknown="null"
                      :min="-10"
                      :max="150"
                  /></label>
                  <label class="flex items-center gap-2"
                    >oils
                    <TemperatureField
                      v-model="draft.oilsC"
                      label="Oils when combined"
                      :unknown="null"
                      :min="-10"
                      :max="150"
                  /></label>
                </template>
                <template v-else>
                  <label v-for="mark in marksOf" :key="mark.key" class="flex items-center gap-2"
                    >{{ mark.short }}
                    <NumberField
                      v-model="draft[mark.key]"
                      :label="mark.says"
                      unit="min"
                      class="w-24"
                      :min="0"
                      :max="600"
                  /></label>
                </template>
              </div>
            </td>
          </tr>
        </tbody>
      </table>
      <label class="mt-3 block"
        ><span class="sr-only">Notes</span>
        <textarea
          v-model="draft.notes"
          class="field w-full"
          rows="2"
          maxlength="1000"
          placeholder="Notes on the margin, as they stand there"
          @keydown.enter.stop
        />
      </label>
    </section>
    <aside class="grid content-start gap-4" aria-label="What the paper says">
      <section class="sheet px-5 py-4">
        <h2 class="mb-1">What the paper says so far</h2>
        <PaperPan :plan="plan" :ctx="ctx" :grams="draft.grams" class="max-w-[340px]" />
        <p class="figure mt-1">
          <b class="text-key leading-tight font-bold">{{ say.percent(made.superfat, 2) }}</b>
          superfat<span class="text-ink-2"
            >{{
              blankWeights
                ? `, if ${blankWeights > 2 ? 'what is blank' : say.list(blanks.slice(0, blankWeights))} ${say.plural(blankWeights, 'was', 'were')} as planned`
                : ''
            }}; planned {{ say.percent(ctx.onScale.superfat, 2) }}, water
            {{ say.ratio(made.ratio) }}</span
          >
        </p>
        <ul v-if="odd.length || weak" class="mt-3 grid gap-2 border-t border-line-2 pt-2">
          <li v-if="weak">
            <b>Think. Weak lye suspected.</b> {{ say.temperature(plan.peak.low) }} to
            {{ say.temperature(plan.peak.high) }} was to be expected. Keep it for laundry, or test
            it well.
          </li>
          <li v-for="one in odd" :key="one.says">
            <b>{{ marks[one.severity] }} {{ one.says }}</b> {{ one.because }}
          </li>
        </ul>
        <p v-if="blanks.length" class="mt-2 text-sm text-ink-2">
          Left blank, not judged:
          {{
            say.list(
              blanks.length > 6
                ? [...blanks.slice(0, 5), say.count(blanks.length - 5, 'more', 'more')]
                : blanks,
            )
          }}. It stays “not on the paper” in the record.
        </p>
      </section>
      <PaperLots v-if="lots.length" v-model="draft.lots" :lots="lots" />
      <section class="sheet grid gap-3 px-5 py-4">
        <p v-if="refused" role="alert" class="font-semibold text-stop">{{ refused }}</p>
        <AppButton kind="main" :disabled="busy" @click="write">{{ keepSays }}</AppButton>
        <div class="grid grid-cols-2 gap-3">
          <AppButton :to="`/bench/${batch.id}`">Later, keep it</AppButton>
          <AppButton @click="notMade">Not made after all</AppButton>
        </div>
      </section>
    </aside>
  </form>
</template>
