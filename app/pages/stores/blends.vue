<script setup lang="ts">
import type { BlendKind } from '#contracts/storeWords'
import { blendKinds } from '#contracts/storeWords'
import { openJugPeak, type LyeJug } from '#core/heat/dissolving'
import { courseOfGoes } from '#core/heat/goes'
import { usualSetup } from '#contracts/benchWords'
import { blendSteps, blendVessel } from '~/utils/blendSteps'
import { blendNames } from '~/utils/storeWords'

/** Stocks made up ahead: fats blended, lye dissolved, a colour in oil, each for many batches, with its steps and its label. */
useHead({ title: 'Made up ahead · Mantle' })
const { say, today, settings } = storeToRefs(useWorkshop())
const materials = useMaterials()
const formulas = useFormulas()
const stores = useStores()
const { rows, amount, ahead } = stores
const router = useRouter()
const toasts = useToasts()
onMounted(() => Promise.all([stores.load(), formulas.load()]))
const kind = ref<BlendKind>('oils')
const made = useBlending(kind)
const {
  formulaId,
  batches,
  each,
  spare,
  water,
  colourThing,
  oilThing,
  oilParts,
  typedName,
  perBatch,
  grams,
  parts,
  short,
  drawn,
  expiry,
  sap,
  strength,
  same,
  name,
  code,
} = made
const there = computed(() =>
  rows.value.filter(({ lot }) => lot.document.parts.length > 0 && lot.stock > 0),
)
const strata = computed(() => parts.value.map(({ colour, share }) => ({ colour, share })))
const serves = computed(() =>
  ahead.value.planned.filter((batch) => batch.formulaId === formulaId.value),
)
/* Lye: how hot its vessel gets, with half of the water as ice in five goes, and in one with the water as warm as the room. */
const heat = computed(() => {
  const lye = parts.value.find(({ thing }) => thing === 'naoh')
  const wet = parts.value.find(({ thing }) => thing === 'water')
  if (!lye || !wet || !(lye.grams > 0)) return null
  const jug = (iceShare: number): LyeJug => ({
    naoh: lye.grams,
    koh: 0,
    readyNaoh: 0,
    readyWater: 0,
    water: wet.grams * (1 - iceShare),
    ice: wet.grams * iceShare,
    other: 0,
    roomC: settings.value.bench.roomC ?? usualSetup.roomC,
    iceC: -10,
    jugHeat: 0,
  })
  const { low, high } = openJugPeak(jug(0))
  return { plain: (low + high) / 2, course: courseOfGoes(jug(0.5)) }
})
const check = ref({ millilitres: 100, grams: null as number | null, celsius: 20, cylinder: true })
const steps = computed(() =>
  blendSteps(kind.value, parts.value, grams.value, materials.library, say.value),
)
const skipped = computed(() => kind.value === 'lye' && !check.value.grams)
const id = ref(newId())
const busy = ref(false)
const problem = ref('')
const vessel = ref('')
const tare = ref<number | null>(null)
async function keep() {
  if (busy.value || short.value.length || !drawn.value.length) return
  busy.value = true
  problem.value = ''
  try {
    const { millilitres, grams: shown, celsius, cylinder } = check.value
    const kept = await made.keep(id.value, {
      vessel: {
        form: blendVessel[kind.value],
        name: vessel.value,
        tare: tare.value,
      },
      checked:
        kind.value === 'lye' && shown ? { millilitres, grams: shown, celsius, cylinder } : null,
      note: skipped.value ? 'Its strength was not checked by volume.' : '',
    })
    id.value = newId()
    toasts.show(`${kept.document.code} is made up. Its label next.`)
    await router.push(`/stores?lot=${kept.id}`)
  } catch (error) {
    problem.value = sentenceOf(error)
  } finally {
    busy.value = false
  }
}
const colours = computed(() =>
  [...materials.library.additives.values()].filter(({ group }) =>
    ['colour', 'clay'].includes(group),
  ),
)
const oils = computed(() =>
  [...materials.library.fats.values()].filter(
    ({ stateAt20, parts: own }) => stateAt20 === 'liquid' && !own,
  ),
)
/** A label is read in another year too. */
const withYear = (day: string) => dayText(day, { today: '1900-01-01' })
const printIt = () => window.print()
const ofText = computed(() =>
  kind.value === 'lye'
    ? `sodium hydroxide 1, water ${say.value.number(water.value, 0, 2)}`
    : say.value.list(
        parts.value.map(
          (part) => `${part.name.split(',')[0]} ${say.value.number(part.share * 100, 0, 1)}`,
        ),
      ),
)
const saysText = computed(() =>
  kind.value === 'lye'
    ? strength.value
      ? `${say.value.number(1 / strength.value, 2)} g of it hold 1 g of lye`
      : ''
    : sap.value
      ? `Saponifies at ${say.value.number(sap.value, 1)} mg KOH/g`
      : '',
)
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <div class="mb-3 flex flex-wrap items-center gap-3 no-print">
      <h1>{{ name }} {{ code.replace(/^\D+/, '') }}</h1>
      <div class="mr-auto flex" role="group" aria-label="What is made up">
        <button
          v-for="one in blendKinds"
          :key="one"
          type="button"
          class="border border-line-3 px-3.5 py-2 font-semibold"
          :class="kind === one ? 'bg-slate text-white' : 'bg-field text-on-field'"
          :aria-pressed="kind === one"
          @click="kind = one"
        >
          {{ blendNames[one] }}
        </button>
      </div>
      <AppButton to="/stores">To the stores</AppButton>
      <AppButton @click="printIt">Print steps and label</AppButton>
      <AppButton kind="main" :disabled="busy || !!short.length || !drawn.length" @click="keep">{{
        short.length
          ? `${short[0]!.name.split(',')[0]} does not reach`
          : parts.length
            ? 'Keep it as made up'
            : 'Which colour, in which oil?'
      }}</AppButton>
    </div>
    <p v-if="problem" role="alert" class="mb-3 font-semibold text-stop">{{ problem }}</p>
    <div
      class="mb-3 flex flex-wrap items-center gap-x-2 gap-y-2 rounded-md bg-line-2 px-4 py-2.5 text-[16px] no-print"
    >
      <template v-if="kind === 'coloured'">
        <select v-model="colourThing" class="field !w-auto font-bold" aria-label="Which colour">
          <option value="">which colour?</option>
          <option v-for="one in colours" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
        in
        <NumberField v-model="oilParts" label="Parts of oil" class="w-20" :min="0.5" :max="20" />
        parts of
        <select v-model="oilThing" class="field !w-auto font-bold" aria-label="Which oil">
          <option value="">which oil?</option>
          <option v-for="one in oils" :key="one.id" :value="one.id">{{ one.name }}</option></select
        >,
        <NumberField
          v-model="each"
          kind="mass"
          label="How much for a batch"
          class="w-28"
          :min="1"
        />
        for each of
        <NumberField v-model="batches" label="Batches" class="w-20" :min="1" :max="200" />
        batches
      </template>
      <template v-else>
        <template v-if="kind === 'lye'"
          >One part lye to
          <NumberField v-model="water" label="Water to lye" class="w-20" :min="1" :max="5" /> of
          water, for</template
        >
        <template v-else>The oils of</template>
        <template v-if="kind === 'lye'">
          <NumberField v-model="batches" label="Batches" class="w-20" :min="1" :max="200" />
          batches of
        </template>
        <select v-model="formulaId" class="field !w-auto font-bold" aria-label="Formula">
          <option v-for="one in formulas.list" :key="one.id" :value="one.id">
            {{ one.document.name }}
          </option>
        </select>
        <template v-if="kind === 'oils'">
          for
          <NumberField v-model="batches" label="Batches" class="w-20" :min="1" :max="200" />
          batches of</template
        ><template v-else>,</template>
        <NumberField v-model="each" kind="mass" label="Oils of a batch" class="w-28" :min="1" />
        <template v-if="kind === 'lye'">of oils</template>
      </template>
      and
      <NumberField
        v-model="spare"
        kind="percent"
        label="To spare"
        class="w-20"
        :min="0"
        :max="0.5"
      />
      to spare<template v-if="kind !== 'coloured'">,</template>
      into
      <input
        v-model="vessel"
        class="field !w-32"
        maxlength="40"
        :placeholder="kind === 'lye' ? 'can 2' : blendVessel[kind]"
        aria-label="Into which vessel"
      />
      <NumberField v-model="tare" kind="mass" label="The vessel, empty" class="w-28" :min="0" />
      empty
      <b class="figure ml-auto text-[18px]">{{ say.amount(grams) }}</b>
    </div>
    <div class="grid items-start gap-4 lg:grid-cols-[344px_minmax(0,1fr)_408px]">
      <section class="sheet px-4 py-3 no-print" aria-labelledby="pours">
        <h2 id="pours" class="flex justify-between text-[14px] font-bold text-ink">
          {{ say.count(batches, 'pour', 'pours') }} in one vessel
          <span class="font-normal text-ink-2">a notch is a batch</span>
        </h2>
        <BlendPicture :kind="kind" :parts="parts" :batches="batches" :spare="spare" />
        <p v-if="sap" class="mt-1">
          Saponifies at <b class="figure">{{ say.number(sap, 1) }}</b>, by the papers of its lots.
        </p>
        <p v-if="strength !== null" class="mt-1">
          <b class="figure">{{ say.percent(strength, 1) }}</b> strong by weight.
          <template v-if="heat">
            In one go with water as warm as the room it gets to about
            {{ say.temperature(heat.plain)
            }}<b v-if="heat.plain > 80" class="text-stop"
              >: no can bears that. Dissolve it in steel, with ice</b
            >.
          </template>
        </p>
        <p v-if="expiry" class="mt-1 text-ink-2">
          Good until {{ dayText(expiry, { today }) }}, when the first of its lots is over.
        </p>
        <FieldRow v-if="kind !== 'lye' && !same" says="Called">
          <input v-model="typedName" class="field" maxlength="80" :placeholder="name" />
        </FieldRow>
      </section>
      <section class="sheet" aria-labelledby="steps">
        <h2 id="steps" class="px-4 pt-3 text-[14px] font-bold text-ink">Made the safe way</h2>
        <GoesChart v-if="heat" :course="heat.course" class="px-4 pt-2 no-print" />
        <ul class="flex flex-wrap items-end gap-4 px-4 pt-2 no-print">
          <li v-for="one in drawn" :key="one.lot.id" class="flex flex-col">
            <StockVessel
              :form="one.lot.document.vessel.form"
              :fill="one.lot.stock / one.lot.document.amount"
              :reserved="one.grams / one.lot.document.amount"
              :colour="
                parts.find(({ thing }) => thing === one.lot.document.thing)?.colour ?? '#ccc'
              "
              :scale="0.8"
            />
            <b class="text-[12.5px]">{{ one.lot.document.code }}</b>
            <span class="figure text-[12px] text-ink-2"
              >{{ amount(one.lot.document.thing, one.lot.stock - one.grams) }} stay</span
            >
          </li>
        </ul>
        <p
          v-for="one in short"
          :key="one.thing"
          role="alert"
          class="px-4 pt-2 font-semibold text-warn"
        >
          Of {{ one.name }} {{ say.amount(one.short) }} are not there.
        </p>
        <ol class="mt-2">
          <li
            v-for="(step, nth) in steps"
            :key="nth"
            class="flex gap-4 border-t border-line px-4 py-2"
          >
            <b class="w-4">{{ nth + 1 }}</b>
            <span class="flex-1"
              ><b class="block" :class="step.caustic ? 'text-stop' : ''">{{ step.says }}</b
              ><span class="text-[13px] text-ink-2">{{ step.how }}</span></span
            >
            <b v-if="step.grams" class="figure">{{ say.mass(step.grams) }}</b>
          </li>
        </ol>
      </section>
      <div class="grid gap-4">
        <StrengthCheck v-if="kind === 'lye' && strength" v-model="check" :strength="strength" />
        <section v-if="kind !== 'lye'" class="sheet px-4 py-3 no-print" aria-labelledby="before">
          <h2 id="before" class="text-[14px] font-bold text-ink">
            Each time before you draw from it
          </h2>
          <ol class="mt-1 list-decimal pl-5">
            <template v-if="kind === 'oils'">
              <li>
                <b>Warm it whole</b>, until nothing hard is left: what is hard sinks as it cools.
              </li>
              <li><b>Stir to the bottom</b>, two minutes.</li>
              <li><b>Weigh</b>; its lots are counted by themselves.</li>
            </template>
            <template v-else>
              <li><b>Shake or stir</b>: colour sinks.</li>
              <li><b>Weigh</b>; oil and colour are counted by themselves.</li>
            </template>
          </ol>
        </section>
        <section class="sheet px-4 py-3" aria-labelledby="label">
          <h2 id="label" class="mb-2 flex justify-between text-[14px] font-bold text-ink no-print">
            Its label, 100 × 50 mm
            <span class="font-normal text-ink-2">before it leaves the bench</span>
          </h2>
          <BlendLabel
            :kind="kind"
            :name="kind === 'lye' && strength ? `Lye solution ${say.percent(strength, 1)}` : name"
            :code="code"
            :made="today ? withYear(today) : ''"
            :until="expiry ? withYear(expiry) : ''"
            :of="ofText"
            :says="saysText"
            :strata="strata"
          />
        </section>
      </div>
    </div>
    <section
      v-if="kind !== 'coloured'"
      class="sheet mt-4 px-4 py-3 no-print"
      aria-labelledby="serves"
    >
      <h2 id="serves" class="text-[14px] font-bold text-ink">
        Batches it will serve
        <span class="ml-2 font-normal text-ink-2"
          >{{ say.count(serves.length, 'is planned', 'are planned') }} and
          {{ say.plural(serves.length, 'takes', 'take') }}
          {{ say.amount(serves.length * perBatch) }}</span
        >
      </h2>
      <ul class="mt-2 flex flex-wrap gap-3 border-b-[8px] border-plank pb-1">
        <li v-for="batch in serves" :key="batch.id" class="text-center text-[12.5px]">
          <BarThumbnail :thumbnail="batch.thumbnail" :width="54" :height="34" />
          <b>{{ batch.number }}</b>
        </li>
        <li
          v-for="nth in Math.max(0, Math.min(24, batches - serves.length))"
          :key="`o${nth}`"
          class="h-[34px] w-[54px] rounded-md border-2 border-dashed border-line-3"
        />
      </ul>
    </section>
    <section v-if="there.length" class="sheet mt-4 no-print" aria-labelledby="there">
      <h2 id="there" class="px-4 pt-3 text-[14px] font-bold text-ink">Made up and still there</h2>
      <ul>
        <li v-for="row in there" :key="row.lot.id" class="border-t border-line">
          <NuxtLink
            :to="`/stores?lot=${row.lot.id}`"
            class="flex min-h-11 items-center gap-3 px-4 hover:bg-band"
            ><b class="flex-1">{{ row.name }}</b
            ><span class="figure">{{ amount(row.thing.id, row.lot.stock) }}</span></NuxtLink
          >
        </li>
      </ul>
    </section>
  </div>
</template>
