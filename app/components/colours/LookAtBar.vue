<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import type { ColourSeen } from '#contracts/colour'
import { extrasIn, rateByCup, ratesIn } from '#core/batter/seenColours'
import type { Additive } from '#core/materials/additives'
import { daysBetween } from '#core/units/days'
import { standingEvents } from '#core/units/standingEvents'

/** A bar of a colour that somebody looks at: of which batch, how much of it went in, and its colour from a photo or by eye. */
const { extra, parts, busy, keep } = defineProps<{
  extra: Additive
  /** g of what it is stirred smooth in to a g of it; null where nobody says. */
  parts: number | null
  busy: boolean
  /** Keeps a bar; false when it was not. */
  keep: (bar: ColourSeen) => Promise<boolean>
}>()
const batches = useBatches()
const formulas = useFormulas()
const { say, today } = storeToRefs(useWorkshop())
onMounted(() => Promise.all([batches.load(), formulas.load()]))

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
    formulas.list.filter((one) => extrasIn(one.document).has(extra.id)).map((one) => one.id),
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
  rates.value = ratesIn(extra.id, batch.frozen.result)
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
        parts: parts ?? 0,
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
  const kept = await keep({
    id: newId(),
    on: today.value,
    day: bar.day!,
    gelled: bar.gelled,
    rate: bar.rate!,
    swatch: swatch.value,
    card: photo.card.value !== null,
    batchId: batchId.value || null,
  })
  if (kept) photo.forget('bar')
}
</script>

<template>
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
        <LabelledNumber v-model="cup.before" says="Cup before" kind="mass" :min="0" :max="20000" />
        <LabelledNumber v-model="cup.after" says="Cup after" kind="mass" :min="0" :max="20000" />
        <LabelledNumber v-model="oils" says="Oils in that pot" kind="mass" :min="1" :max="500000" />
        <p class="figure pb-2" role="status">
          <template v-if="byCup !== null"
            ><b>{{ say.percent(byCup, 2) }}</b> of its oils{{
              parts
                ? `, the ${say.number(parts, undefined, 1)} parts it is stirred in taken off`
                : ''
            }}</template
          >
          <span
            v-else-if="cup.before !== null && cup.after !== null && cup.after >= cup.before"
            class="text-warn"
            >The cup is no lighter than before.</span
          >
        </p>
      </div>
    </details>
    <div class="mt-3 grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_280px]">
      <PhotoPicked :photo="photo">
        A plain face of the bar in daylight without sun, a white or grey card beside it. The photo
        stays on this device; the colour is kept.
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
</template>
