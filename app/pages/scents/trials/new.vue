<script setup lang="ts">
import { noseDays } from '#core/scents/noses'
import { addDays } from '#core/units/days'
import { mostPots, type PlannedPot } from '~/composables/useTrialPlan'

/** A trial day, planned as a sentence of chosen words: the drawer, the tray, the batter, what to lay out. */
useHead({ title: 'Plan a trial day · Mantle' })
const formulas = useFormulas()
const batches = useBatches()
const trials = useTrials()
const toasts = useToasts()
const workshop = useWorkshop()
const { say } = storeToRefs(workshop)
const router = useRouter()
const route = useRoute()
const { rows, byId, load, loaded, problem } = useScentRows()
const plan = useTrialPlan()
const { draft, pots, batters, needed, gel, missing, planned, ratio } = plan
const ready = ref(false)
onMounted(async () => {
  await Promise.all([load(), formulas.load(), batches.load()])
  plan.takeUp()
  const asked = String(route.query.take ?? '')
  if (asked && byId.value.has(asked) && !plan.isTaken(asked)) plan.take(asked)
  ready.value = true
})

const chosen = ref<string | null>(null)
const row = computed(() => (chosen.value ? byId.value.get(chosen.value) : null) ?? null)
function toggle(id: string) {
  chosen.value = id
  if (plan.isTaken(id)) plan.putBack(id)
  else plan.take(id)
}
/** Numbers of the tray on the places they came from. */
const marks = computed(() => {
  const of = new Map<string, string>()
  pots.value.forEach(({ scentId }, at) => {
    if (!scentId) return
    const before = of.get(scentId)
    of.set(scentId, before ? `${before}·${at + 1}` : String(at + 1))
  })
  return of
})
const never = computed(() => rows.value.filter(({ known }) => !known?.tried.length))
const wrong = computed(() =>
  rows.value.filter(({ known }) => known?.judged.some(({ held }) => !held)),
)
function takeAll(which: 'never' | 'wrong') {
  for (const { id } of which === 'never' ? never.value : wrong.value)
    if (!plan.isTaken(id)) plan.take(id)
}
const left = (list: typeof rows.value) => list.filter(({ id }) => !plan.isTaken(id)).length
const batch = computed(() => planned.value.find(({ id }) => id === draft.value.batchId) ?? null)
watch(planned, (now) => {
  if (draft.value.batchId && !now.some(({ id }) => id === draft.value.batchId))
    draft.value.batchId = null
})
const twice = computed({
  get: () => {
    const ids = draft.value.taken.map(({ scentId }) => scentId)
    return ids.find((id, at) => ids.indexOf(id) !== at) ?? ''
  },
  set: (id) => {
    const seen = new Set<string>()
    draft.value.taken = draft.value.taken.filter(({ scentId }) => {
      if (seen.has(scentId)) return false
      seen.add(scentId)
      return true
    })
    if (id) plan.take(id)
  },
})
const takenOnce = computed(() => [...new Set(draft.value.taken.map(({ scentId }) => scentId))])
const range = ({ foretold }: PlannedPot) =>
  foretold.to >= 60
    ? `${say.value.number(foretold.from, undefined, 0)} to 60+ min`
    : `${say.value.number(foretold.from, undefined, 0)} to ${say.value.number(foretold.to, undefined, 0)} min`
const above = computed(() => pots.value.filter((pot) => pot.above !== null))
const short = computed(() =>
  needed.value.filter(({ scentId, grams }) => {
    const sample = byId.value.get(scentId)?.scent.sample
    return sample && sample.left < grams
  }),
)
/** Minutes of the day, roughly: lye and fats, weighing, scents, the hour. */
const spans = computed(() => {
  const count = pots.value.length
  return [
    { says: 'lye and fats', minutes: draft.value.batchId ? 0 : 60, colour: 'var(--color-lye)' },
    { says: 'weigh the pots', minutes: Math.max(4, count * 0.9), colour: '#d8c58f' },
    { says: 'scents in', minutes: Math.max(2, count * 0.65), colour: '#8d6aa8' },
    { says: 'one clock', minutes: 60, colour: '#dfe6e2' },
    { says: 'lids, wiping', minutes: 10, colour: '#6f8f86' },
  ].filter(({ minutes }) => minutes > 0)
})
const whole = computed(() => spans.value.reduce((all, { minutes }) => all + minutes, 0))
const hours = (minutes: number) =>
  `${Math.floor(minutes / 60)} h ${String(Math.round((minutes % 60) / 5) * 5).padStart(2, '0')}`
const number = computed(
  () => Math.max(0, ...trials.list.map(({ document }) => document.number)) + 1,
)

const id = newId()
const busy = ref(false)
async function keep() {
  if (missing.value || busy.value) return
  busy.value = true
  try {
    await trials.save(id, 0, plan.asTrial(number.value))
    plan.forget()
    await router.push(`/scents/trials/${id}`)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  } finally {
    busy.value = false
  }
}
const field = 'field !w-auto py-1 font-bold'
const varies = [
  { is: 'nothing', says: 'One rate' },
  { is: 'rate', says: 'A rate each' },
  { is: 'water', says: 'A water each' },
] as const
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    <template v-else-if="loaded && ready">
      <div class="mb-3 flex flex-wrap items-center gap-3">
        <h1>Trial day {{ number }}</h1>
        <p class="mr-auto text-ink-2">
          {{ dayText(draft.day, { weekday: true, long: true }) }}. About {{ hours(whole)
          }}{{ draft.batchId ? ' beside the pour' : '' }}
        </p>
        <label class="flex items-center gap-2 font-semibold"
          >On <input v-model="draft.day" type="date" :min="workshop.today" class="field !w-auto"
        /></label>
        <AppButton kind="main" :disabled="Boolean(missing) || busy" @click="keep"
          >Plan it for {{ dayText(draft.day, { weekday: true }) }}</AppButton
        >
      </div>
      <p v-if="missing" role="status" class="mb-2 font-semibold text-warn">{{ missing }}</p>
      <div
        class="mb-3 flex flex-wrap items-center gap-x-2 gap-y-2 rounded-md bg-[#e2e9e5] px-4 py-2.5 text-[16px] dark:bg-slate-2"
      >
        <label class="contents"
          >Batter of
          <select v-model="draft.formulaId" :class="field">
            <option v-for="one in formulas.list" :key="one.id" :value="one.id">
              {{ one.document.name }}
            </option>
          </select></label
        >
        <label class="contents"
          >from
          <select v-model="draft.batchId" :class="field">
            <option :value="null">a batter of its own</option>
            <option v-for="one in planned" :key="one.id" :value="one.id">
              the tail of batch {{ one.number }}
            </option>
          </select></label
        >
        <span
          >into <b class="figure">{{ pots.length }}</b> pots of</span
        >
        <NumberField
          label="Grams of batter in a pot"
          unit="g"
          class="w-24"
          :min="5"
          :max="2000"
          :model-value="draft.grams"
          @update:model-value="draft.grams = $event ?? 60"
        />
        <span>weighed in at emulsion. Every scent at</span>
        <NumberField
          label="Share of the oils"
          kind="percent"
          class="w-24"
          :min="0.001"
          :max="0.25"
          :model-value="draft.rate"
          @update:model-value="draft.rate = $event ?? 0.05"
        />
        <span>of oils and</span>
        <NumberField
          label="Water to lye"
          kind="ratio"
          class="w-28"
          :min="1"
          :max="6"
          :model-value="ratio"
          @update:model-value="draft.ratio = $event"
        />
        <label class="contents"
          >water, with
          <select v-model="draft.plain" :class="field">
            <option :value="0">no plain pot</option>
            <option :value="1">one plain pot</option>
            <option :value="2">two plain pots</option>
            <option :value="3">three plain pots</option>
          </select></label
        >
        <label class="contents"
          >and
          <select v-model="twice" :class="field">
            <option value="">nothing twice</option>
            <option v-for="one in takenOnce" :key="one" :value="one">
              {{ byId.get(one)?.scent.name }} twice
            </option>
          </select></label
        >
        <OneOf
          v-model="draft.varies"
          class="ml-auto"
          label="What differs between pots"
          :options="varies"
        />
      </div>
      <div class="grid items-start gap-4 lg:grid-cols-[312px_minmax(0,1fr)_328px]">
        <section class="sheet px-4 py-3">
          <div class="mb-1 flex items-baseline">
            <h2 class="flex-1 text-sm font-semibold text-ink-2">From the drawer</h2>
            <span class="figure text-sm text-ink-2"
              >{{ say.number(takenOnce.length) }} of {{ say.number(rows.length) }} taken out</span
            >
          </div>
          <DrawerPlan :rows="rows" :chosen="chosen" :marks="marks" @choose="toggle" />
          <div v-if="row" class="mt-2 border-t border-line pt-2">
            <div class="flex items-baseline">
              <b class="flex-1 text-[16px]">{{ row.scent.name }}</b>
              <span class="text-ink-2"
                >{{ row.scent.drawer
                }}<template v-if="row.scent.sample"
                  >, {{ say.amount(row.scent.sample.left) }} left</template
                ></span
              >
            </div>
            <p class="text-ink-2">
              <template v-if="row.supplier && row.scent.claims.pace"
                >{{ row.supplier }} say it {{ row.scent.claims.pace }}. </template
              >{{ row.finding.says }}.
            </p>
          </div>
          <div class="mt-2 border-t border-line pt-2">
            <p class="font-semibold text-ink-2">Take out</p>
            <p v-if="never.length">
              <button type="button" class="link font-semibold" @click="takeAll('never')">
                {{ say.count(never.length, 'never tried', 'never tried') }}
              </button>
              <span class="ml-3 text-ok">{{ left(never) ? '' : 'done' }}</span>
            </p>
            <p v-if="wrong.length">
              <button type="button" class="link font-semibold" @click="takeAll('wrong')">
                {{
                  say.count(wrong.length, 'whose supplier was wrong', 'whose supplier was wrong')
                }}
              </button>
              <span class="ml-3 text-ok">{{ left(wrong) ? '' : 'done' }}</span>
            </p>
            <p v-if="!rows.length" class="text-ink-2">
              The drawer is empty.
              <NuxtLink to="/scents" class="link">Write down a bottle</NuxtLink>
            </p>
          </div>
        </section>
        <section class="sheet px-4 py-3">
          <div class="flex flex-wrap items-baseline gap-x-3">
            <h2 class="flex-1 text-sm font-semibold text-ink-2">
              The tray: slow ones first, racers last
            </h2>
            <span class="text-sm text-ink-2">shaded rim: medium foretold, 9 in 10</span>
          </div>
          <ol class="mt-1 grid grid-cols-2 gap-1 sm:grid-cols-3 xl:grid-cols-4">
            <li
              v-for="(pot, at) in pots"
              :key="pot.code"
              class="rounded-md p-1"
              :class="pot.scentId && pot.scentId === chosen ? 'outline-2 outline-act' : ''"
            >
              <div class="flex items-center gap-1">
                <span class="figure self-start text-sm text-ink-2">{{ at + 1 }}</span>
                <PotTop
                  class="w-[62px] shrink-0 text-[#6d7b7c]"
                  look="emulsion"
                  :rim="pot.scentId ? byId.get(pot.scentId)?.scent.colour : '#9aa8a6'"
                  :foretold="pot.foretold"
                />
                <span class="min-w-0 leading-5">
                  <b class="figure underline underline-offset-2">{{ pot.code }}</b>
                  <span v-if="pot.scentId" class="figure block font-semibold whitespace-nowrap">{{
                    `${say.number(pot.dose, undefined, 2)} g`
                  }}</span>
                  <span v-else class="block whitespace-nowrap text-ink-2">no scent</span>
                </span>
              </div>
              <div class="pl-3 leading-5">
                <b class="block truncate"
                  >{{ pot.name }}
                  <span v-if="pot.above !== null" class="text-warn"
                    >▲ {{ say.number(pot.above * 100, undefined, 1) }}</span
                  ></b
                >
                <span class="block text-ink-2">{{
                  pot.scentId
                    ? range(pot)
                    : `about ${say.number(pot.foretold.at, undefined, 0)} min`
                }}</span>
                <NumberField
                  v-if="draft.varies === 'rate' && pot.taken !== null"
                  kind="percent"
                  :label="`Rate of ${pot.code}`"
                  class="w-24"
                  :min="0.001"
                  :max="0.25"
                  :model-value="pot.rate"
                  @update:model-value="draft.taken[pot.taken!]!.rate = $event"
                />
                <NumberField
                  v-else-if="draft.varies === 'water' && pot.taken !== null"
                  kind="ratio"
                  :label="`Water of ${pot.code}`"
                  class="w-28"
                  :min="1"
                  :max="6"
                  :model-value="pot.ratio"
                  @update:model-value="draft.taken[pot.taken!]!.ratio = $event"
                />
              </div>
            </li>
          </ol>
          <p v-if="!draft.taken.length" class="py-6 text-center text-ink-2">
            Tap samples in the drawer: each becomes a pot.
          </p>
        </section>
        <div class="grid gap-3">
          <BatterGlass v-if="batters.length" :batters="batters" :batch="batch" />
          <section class="sheet px-4 py-3">
            <div class="flex items-baseline">
              <h2 class="flex-1 text-sm font-semibold text-ink-2">Lay out</h2>
              <span class="text-sm text-ink-2">the evening before</span>
            </div>
            <ul class="mt-1 list-inside list-disc">
              <li>
                <b>{{ say.count(needed.length, 'bottle', 'bottles') }}, caps loosened</b>:
                {{
                  say.list(
                    needed
                      .map(({ scentId }) => byId.get(scentId)?.scent.drawer ?? '')
                      .filter(Boolean),
                  )
                }}
              </li>
              <li>{{ say.count(pots.length, 'pot', 'pots') }} with lids, sticks and labels</li>
              <li v-if="batters.length > 1">
                {{ say.count(batters.length, 'lye cup', 'lye cups') }}
              </li>
              <li>Scale to 0.01 g, a white card for the photos, gloves and goggles</li>
            </ul>
          </section>
          <section
            v-if="above.length || short.length || (gel && !gel.same)"
            class="sheet divide-y divide-line px-4 py-1"
          >
            <div v-if="gel && !gel.same" class="flex gap-3 py-2">
              <b class="text-warn">think</b>
              <p>
                A pot of {{ say.amount(draft.grams) }} stays under
                {{ say.temperature(gel.pot.onsetC) }}, the loaf gels. Colours would differ.
                <button
                  v-if="draft.keptC === null"
                  type="button"
                  class="link font-semibold"
                  @click="draft.keptC = 65"
                >
                  Keep pots at {{ say.temperature(65) }}
                </button>
              </p>
            </div>
            <div v-for="pot in above" :key="pot.code" class="flex gap-3 py-2">
              <b class="text-warn">think</b>
              <p>
                {{ pot.name }} may go up to {{ say.percent(pot.above!, 1) }}. At
                {{ say.percent(pot.rate, 1) }} it is for the nose, never for sale.
                <button
                  type="button"
                  class="link font-semibold"
                  @click="
                    ((draft.varies = 'rate'),
                    (draft.taken[pot.taken!]!.rate = Math.floor(pot.above! * 1000) / 1000))
                  "
                >
                  Try it at {{ say.number(Math.floor(pot.above! * 1000) / 10, undefined, 1) }}
                </button>
              </p>
            </div>
            <div v-for="one in short" :key="one.scentId" class="flex gap-3 py-2">
              <b class="text-warn">think</b>
              <p>
                {{ byId.get(one.scentId)?.scent.name }}: {{ say.number(one.grams, undefined, 2) }} g
                wanted, {{ say.amount(byId.get(one.scentId)!.scent.sample!.left) }} left.
              </p>
            </div>
          </section>
        </div>
        <section class="sheet px-4 py-3 lg:col-span-2">
          <div class="grid gap-6 sm:grid-cols-2">
            <div>
              <h2 class="text-sm font-semibold text-ink-2">The day, about {{ hours(whole) }}</h2>
              <div class="mt-1 flex h-5">
                <i
                  v-for="span in spans"
                  :key="span.says"
                  class="[print-color-adjust:exact]"
                  :style="{ width: `${(span.minutes / whole) * 100}%`, background: span.colour }"
                />
              </div>
              <p class="mt-1 text-sm text-ink-2">
                {{
                  say.list(spans.map(({ says, minutes }) => `${says} ${Math.round(minutes)} min`))
                }}
              </p>
            </div>
            <div>
              <h2 class="text-sm font-semibold text-ink-2">Noses and a photo after</h2>
              <p class="mt-1">
                <span v-for="day in noseDays" :key="day" class="mr-4 inline-block"
                  ><b class="figure">{{ day }}</b>
                  <span class="ml-1 text-ink-2">{{ dayText(addDays(draft.day, day)) }}</span></span
                >
              </p>
            </div>
          </div>
          <p v-if="pots.length >= mostPots" class="mt-2 text-warn">
            {{ say.count(mostPots, 'pot', 'pots') }} are the most that can be looked at in time.
          </p>
        </section>
      </div>
    </template>
  </div>
</template>
