<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import { bleedWords, colourCarriers } from '#contracts/trialWords'
import { extrasIn, rateByCup, ratesIn } from '#core/batter/seenColours'
import { daysBetween } from '#core/units/days'
import { standingEvents } from '#core/units/standingEvents'
import type { Colour } from '#contracts/colour'

/** One colour: how it is used, how it came out, and the next bar that somebody looks at. */
const route = useRoute()
const id = String(route.params.id)
const colours = useColours()
const materials = useMaterials()
const batches = useBatches()
const formulas = useFormulas()
const toasts = useToasts()
const workshop = useWorkshop()
const { library } = storeToRefs(materials)
const { say, today } = storeToRefs(workshop)
const extra = computed(() => library.value.additives.get(id) ?? null)
const stored = computed(() => colours.list.find((one) => one.id === id) ?? null)
const document = computed(() => stored.value?.document ?? newColour())
useHead({ title: () => `${extra.value?.name ?? 'Colour'} · Mantle` })
onMounted(() => Promise.all([colours.load(), batches.load(), formulas.load()]))

/** What is written into the fields; null while it is what is kept. */
const edited = ref<Colour | null>(null)
const draft = computed(() => edited.value ?? document.value)
const set = (part: Partial<Colour>) => (edited.value = { ...draft.value, ...part })
const problem = ref('')
const busy = ref(false)
/** Keeps a change and says so, with the way back. */
async function keep(next: Colour, says: string) {
  if (busy.value) return
  busy.value = true
  const before = document.value
  try {
    const kept = await colours.save(id, stored.value?.revision ?? 0, next)
    problem.value = ''
    edited.value = null
    toasts.show(says, { undo: async () => void (await colours.save(id, kept.revision, before)) })
  } catch (error) {
    problem.value = sentenceOf(error)
  } finally {
    busy.value = false
  }
}

const photo = usePhotoPoints(() => [
  { is: 'bar', says: 'The bar', beside: 'on a plain, dry face' },
  { is: 'card', says: 'Card', beside: 'white or grey, takes out the light’s colour', card: true },
])
const { colours: picked, faults, url } = photo
const byEye = ref('')
const swatch = computed(() => picked.value.get('bar')?.balancedSwatch ?? (byEye.value || null))

/** Batches that have it in them, poured, the last first. */
const having = computed(() => {
  const using = new Set(
    formulas.list.filter((one) => extrasIn(one.document).has(id)).map((one) => one.id),
  )
  return batches.list.filter((one) => one.facts.pouredOn && using.has(one.formulaId))
})
const batchId = ref('')
const bar = reactive({
  rate: null as number | null,
  gelled: true,
  day: null as number | null,
})
const rates = ref<number[]>([])
const oils = ref<number | null>(null)
watch(batchId, async (of) => {
  const batch = of ? await api.get<Batch>(`/api/batches/${of}`).catch(() => null) : null
  if (!batch || batchId.value !== of) return
  rates.value = ratesIn(id, batch.frozen.result)
  bar.rate = rates.value[0] ?? bar.rate
  bar.day = daysBetween(batch.facts.pouredOn!, today.value)
  const gel = standingEvents(batch.events).findLast(({ kind }) => kind === 'gelled')
  bar.gelled =
    gel?.kind === 'gelled' ? gel.gel !== 'none' : batch.frozen.document.method.gel !== 'prevent'
  oils.value = batch.frozen.result.oils
})
const cup = reactive({ before: null as number | null, after: null as number | null })
const byCup = computed(() =>
  cup.before === null || cup.after === null || oils.value === null
    ? null
    : rateByCup({
        before: cup.before,
        after: cup.after,
        parts: draft.value.parts ?? 0,
        oils: oils.value,
      }),
)
watch(byCup, (rate) => {
  if (rate !== null) bar.rate = rate
})
const missing = computed(() =>
  !swatch.value
    ? 'Pick the bar in a photo, or its colour by eye.'
    : bar.rate === null
      ? 'Say how much of it is in the bar.'
      : bar.day === null
        ? 'Say how old the bar is.'
        : (faults.value[0] ?? ''),
)
async function keepSwatch() {
  if (missing.value || !swatch.value) return
  await keep(
    {
      ...draft.value,
      seen: [
        ...draft.value.seen,
        {
          id: newId(),
          on: today.value,
          day: bar.day!,
          gelled: bar.gelled,
          rate: bar.rate!,
          swatch: swatch.value,
          card: photo.card.value !== null,
          batchId: batchId.value || null,
        },
      ],
    },
    `${extra.value?.name}: another bar is kept.`,
  )
  if (!problem.value) photo.forget('bar')
}
/** What stands in the fields goes with its maker: it is kept, not asked about. */
onBeforeRouteLeave(async () => {
  if (edited.value) await keep(draft.value, `${extra.value?.name} is kept.`)
  return !problem.value
})
const removing = ref<string | null>(null)
const chosen = computed(() => document.value.seen.find((one) => one.id === removing.value) ?? null)
async function remove() {
  const seen = draft.value.seen.filter((one) => one.id !== removing.value)
  removing.value = null
  await keep({ ...draft.value, seen }, 'That bar is left out.')
}
</script>

<template>
  <ProblemPage
    v-if="materials.loaded && !extra"
    says="There is no such colour in the library."
    to="/scents/colours"
    label="All colours"
  />
  <div v-else-if="extra" class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <header class="mb-3 flex flex-wrap items-center gap-3">
      <i class="size-8 rounded-sm border border-ink/40" :style="{ background: extra.colour }" />
      <div class="min-w-0 flex-1 basis-64">
        <h1>{{ extra.name }}</h1>
        <p class="figure text-ink-2">
          {{ colourUseText(document, say) || 'Nothing written down yet' }}
        </p>
      </div>
      <AppButton to="/scents/colours">All colours</AppButton>
      <AppButton
        kind="main"
        :disabled="!edited || busy"
        @click="keep(draft, `${extra.name} is kept.`)"
        >Keep it</AppButton
      >
    </header>
    <p v-if="problem" role="alert" class="mb-3 font-semibold text-stop">{{ problem }}</p>
    <div class="grid items-start gap-4 lg:grid-cols-[400px_minmax(0,1fr)]">
      <div class="grid gap-4">
        <section class="sheet px-4 py-3" aria-labelledby="use">
          <h2 id="use">How it is used here</h2>
          <div class="mt-2 flex flex-wrap gap-3">
            <FieldRow says="Of its pot’s oils">
              <NumberField
                label="Of its pot’s oils"
                kind="percent"
                class="w-28"
                :model-value="draft.rate"
                :min="0.00001"
                :max="0.2"
                @update:model-value="set({ rate: $event })"
              />
            </FieldRow>
            <FieldRow says="Stirred smooth in">
              <select
                class="field font-normal"
                :value="draft.carrier ?? ''"
                @change="
                  set({
                    carrier:
                      (($event.target as HTMLSelectElement).value as Colour['carrier']) || null,
                  })
                "
              >
                <option value="">not said</option>
                <option v-for="one in colourCarriers" :key="one" :value="one">
                  {{ carrierWords[one] }}
                </option>
              </select>
            </FieldRow>
            <FieldRow v-if="draft.carrier && draft.carrier !== 'batter'" says="Parts to one">
              <NumberField
                label="Parts of it to one of colour"
                kind="plain"
                class="w-24"
                :model-value="draft.parts"
                :min="0.1"
                :max="50"
                @update:model-value="set({ parts: $event })"
              />
            </FieldRow>
            <FieldRow says="In use">
              <select
                class="field font-normal"
                :value="draft.bleeds ?? ''"
                @change="
                  set({
                    bleeds:
                      (($event.target as HTMLSelectElement).value as Colour['bleeds']) || null,
                  })
                "
              >
                <option value="">not tried</option>
                <option v-for="one in bleedWords" :key="one" :value="one">
                  {{ bleedSays[one] }}
                </option>
              </select>
            </FieldRow>
          </div>
          <FieldRow says="Note" class="mt-3">
            <textarea
              class="field font-normal"
              rows="2"
              maxlength="2000"
              :value="draft.note"
              @input="set({ note: ($event.target as HTMLTextAreaElement).value })"
            />
          </FieldRow>
        </section>
        <section class="sheet px-4 py-3" aria-labelledby="came">
          <h2 id="came">How it came out</h2>
          <SwatchLadder
            v-if="document.seen.length"
            :seen="document.seen"
            large
            class="mt-2"
            @pick="removing = $event"
          />
          <p v-else class="mt-1 text-ink-2">
            Nobody has looked at a bar of it yet: pictures take the powder’s own colour.
          </p>
        </section>
      </div>
      <section class="sheet px-4 py-3" aria-labelledby="another">
        <h2 id="another">Look at a bar</h2>
        <div class="mt-2 flex flex-wrap items-end gap-3">
          <FieldRow says="Of which batch?">
            <select v-model="batchId" class="field font-normal">
              <option value="">none of ours</option>
              <option v-for="one in having" :key="one.id" :value="one.id">
                {{ one.name }} {{ one.number }}
              </option>
            </select>
          </FieldRow>
          <FieldRow says="Of its pot’s oils">
            <NumberField
              v-model="bar.rate"
              label="Colour in that bar, of its pot’s oils"
              kind="percent"
              class="w-28"
              :min="0.00001"
              :max="0.2"
            />
          </FieldRow>
          <LabelledNumber v-model="bar.day" says="Days old" :min="0" :max="4000" :decimals="0" />
          <label class="flex min-h-10 items-center gap-2 font-semibold">
            <input v-model="bar.gelled" type="checkbox" /> It gelled
          </label>
        </div>
        <p v-if="rates.length > 1" class="figure mt-1 text-[13px] text-ink-2">
          Its pots have
          {{
            say.list(
              rates.map((rate) => say.percent(rate, 2)),
              'and',
            )
          }}
          of it.
          <template v-for="rate in rates" :key="rate"
            ><button type="button" class="link mr-2" @click="bar.rate = rate">
              {{ say.percent(rate, 2) }}
            </button></template
          >
        </p>
        <details class="mt-2">
          <summary class="link w-fit font-[550]">A little more went in? Weigh its cup</summary>
          <div class="mt-2 flex flex-wrap items-end gap-3">
            <FieldRow says="Cup before">
              <NumberField
                v-model="cup.before"
                label="Cup before"
                kind="mass"
                class="w-28"
                :min="0"
                :max="20000"
              />
            </FieldRow>
            <FieldRow says="Cup after">
              <NumberField
                v-model="cup.after"
                label="Cup after"
                kind="mass"
                class="w-28"
                :min="0"
                :max="20000"
              />
            </FieldRow>
            <FieldRow says="Oils in that pot">
              <NumberField
                v-model="oils"
                label="Oils in that pot"
                kind="mass"
                class="w-32"
                :min="1"
                :max="500000"
              />
            </FieldRow>
            <p class="figure pb-2" role="status">
              <template v-if="byCup !== null"
                ><b>{{ say.percent(byCup, 2) }}</b> of its oils{{
                  draft.parts
                    ? `, the ${say.number(draft.parts, undefined, 1)} parts it is stirred in taken off`
                    : ''
                }}</template
              >
              <span v-else-if="cup.before !== null && cup.after !== null && oils" class="text-warn"
                >The cup is no lighter than before.</span
              >
            </p>
          </div>
        </details>
        <div class="mt-3 grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_280px]">
          <PhotoPicked :photo="photo">
            A plain face of the bar in daylight without sun, a white or grey card beside it. The
            photo stays on this device; the colour is kept.
          </PhotoPicked>
          <div class="grid gap-3">
            <PointList :photo="photo" />
            <label v-if="!url" class="flex items-center gap-3">
              <input
                type="color"
                class="h-10 w-16"
                :value="byEye || extra.colour"
                @input="byEye = ($event.target as HTMLInputElement).value"
              />
              or its colour by eye
            </label>
            <i
              v-if="swatch"
              class="chamfer block h-24 border border-ink/50"
              :style="{ background: swatch }"
            />
            <p v-if="missing" class="text-ink-2" role="status">{{ missing }}</p>
            <AppButton kind="main" :disabled="!!missing || busy" @click="keepSwatch"
              >Keep this bar</AppButton
            >
          </div>
        </div>
      </section>
    </div>
    <AppDialog
      v-if="chosen"
      :model-value="true"
      title="A bar of it"
      @update:model-value="removing = null"
    >
      <div class="grid gap-3 px-5 py-4">
        <i class="chamfer block h-28 border border-ink/50" :style="{ background: chosen.swatch }" />
        <p class="figure">
          {{ say.percent(chosen.rate, 2) }}, {{ chosen.gelled ? 'gelled' : 'not gelled' }},
          {{ say.count(chosen.day, 'day', 'days') }} old, looked at
          {{ dayText(chosen.on, { today }) }}.
          <NuxtLink v-if="chosen.batchId" :to="`/batches/${chosen.batchId}`" class="link"
            >Its batch</NuxtLink
          >
        </p>
        <div class="flex justify-end gap-3">
          <AppButton @click="removing = null">Close</AppButton>
          <AppButton @click="remove">Leave it out</AppButton>
        </div>
      </div>
    </AppDialog>
  </div>
</template>
