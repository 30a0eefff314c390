<script setup lang="ts">
import type { FormulaDocument, Size } from '#contracts/formula'
import type { WorkshopMould } from '#contracts/mould'
import { mouldMaterials, type MouldMaterial } from '#contracts/words'
import { computeFormula } from '#core/formula/compute'
import { lyeWeighed } from '#core/formula/pot'
import { driedGrams } from '#core/formula/size'
import { sizedAs } from '#core/formula/sizing'
import { batterMillilitres } from '#core/formula/volume'
import { mouldForFormula, mouldMillilitres } from '#core/mould/capacity'
import { fillings } from '#core/mould/fillings'
import { mouldRemark, stuffOf } from '#core/mould/stuff'
import { sumOf } from '#core/statistics/sum'

/** How much of it: into moulds first, or without one. A draft until "Use it"; whatever was in grams keeps its exact ratio. */
const { document, result: before, change } = useFormulaEditor()
const { library } = storeToRefs(useMaterials())
const { say } = storeToRefs(useWorkshop())
const moulds = useMoulds()
const open = defineModel<boolean>({ required: true })
onMounted(() => void moulds.load())

const draft = ref<FormulaDocument>(plain(document.value))
const result = computed(() => computeFormula(draft.value, library.value))
const millilitres = computed(() => batterMillilitres(before.value, library.value))
const byGrams = computed(() => document.value.size.by === 'lines')

function sizeAs(size: Size) {
  draft.value = sizedAs(draft.value, size, library.value)
}
/** As it was when the dialog opened. */
function keep() {
  draft.value = plain(document.value)
  chosen.value = []
}

/* Into moulds */
interface Chosen {
  record: WorkshopMould
  count: number | null
  fill: number | null
}
const chosen = ref<Chosen[]>([])
const isChosen = (name: string) => chosen.value.some(({ record }) => record.name === name)
const carton = reactive({
  lengthMm: 195 as number | null,
  widthMm: 70 as number | null,
  depthMm: 60 as number | null,
  stuff: 'carton' as MouldMaterial,
})
const cartonRecord = computed<WorkshopMould>(() => ({
  name: `${stuffOf[carton.stuff].says}, ${carton.lengthMm} × ${carton.widthMm} × ${carton.depthMm} mm`,
  mould: {
    shape: 'box',
    lengthMm: carton.lengthMm ?? 1,
    widthMm: carton.widthMm ?? 1,
    depthMm: carton.depthMm ?? 1,
  },
  cuts: { along: 1, across: 1 },
  trueMillilitres: null,
  owned: 1,
  material: carton.stuff,
  liner: 'none',
  note: '',
}))
const cartonFill = computed(() => millilitres.value / mouldMillilitres(cartonRecord.value.mould))
const cartonRemark = computed(() => mouldRemark(carton.stuff, 'none'))
const cartonReady = computed(
  () =>
    !!carton.lengthMm &&
    !!carton.widthMm &&
    !!carton.depthMm &&
    cartonRemark.value?.severity !== 'stop',
)
const known = computed(() =>
  [...moulds.list]
    .map(({ document: record }) => record)
    .sort((a, b) => a.name.localeCompare(b.name)),
)
function fillMoulds() {
  const lines = chosen.value.flatMap(({ record, count, fill }) =>
    Array.from({ length: Math.max(1, count ?? 1) }, () => ({
      name: record.name.slice(0, 120),
      mould: mouldForFormula(record),
      fill: fill ?? 1,
    })),
  )
  if (lines.length) sizeAs({ by: 'moulds', moulds: lines.slice(0, 20) })
}
/** As many of one as the batter needs, or all there are. */
function choiceOf(record: WorkshopMould): Chosen {
  const needed = Math.ceil(millilitres.value / mouldMillilitres(mouldForFormula(record)) - 0.3)
  return {
    record,
    count: Math.min(record.owned, Math.max(1, before.value.oils > 0 ? needed : 1)),
    fill: 1,
  }
}
/** Only this one. */
function pick(record: WorkshopMould) {
  chosen.value = [choiceOf(record)]
}
/** This one too, or no longer; without the last one it is as it was. */
function also(record: WorkshopMould) {
  if (isChosen(record.name) && chosen.value.length === 1) return keep()
  chosen.value = isChosen(record.name)
    ? chosen.value.filter(({ record: { name } }) => name !== record.name)
    : [...chosen.value, { ...choiceOf(record), count: 1 }]
}
const hasCarton = computed(() => chosen.value.some(({ record }) => !known.value.includes(record)))
watch(chosen, fillMoulds, { deep: true })
watch(cartonRecord, (record) => {
  if (!hasCarton.value || !cartonReady.value) return
  chosen.value = chosen.value.map((one) =>
    known.value.includes(one.record) ? one : { ...one, record },
  )
})

/* Without one */
const round = (value: number) => Math.max(1, Math.round(value))
const size = computed(() => draft.value.size)
const oils = computed(() =>
  size.value.by === 'oils' ? size.value.grams : round(result.value.oils),
)
const batter = computed(() =>
  size.value.by === 'batter' ? size.value.grams : round(result.value.batter),
)
const bars = computed(() =>
  size.value.by === 'bars'
    ? { count: size.value.count, grams: size.value.grams }
    : { count: round(driedGrams(result.value) / 100), grams: 100 },
)
function without(next: Size) {
  chosen.value = []
  sizeAs(next)
}

const poured = computed(() => fillings(size.value, result.value))
/** Every fat with the exact share that its weight has now. */
const inShares = computed(() => sizedAs(document.value, { by: 'oils', grams: 1000 }, library.value))
const rows = computed(() => {
  const now = before.value
  const after = result.value
  return [
    ...after.fats.map((fat, index) => ({
      key: `fat ${index}`,
      name: fat.name,
      colour: substanceColour('fat', fat.id, library.value),
      was: now.fats[index]?.grams ?? 0,
      as: say.value.percent(inShares.value.fats[index]?.share ?? 0, 2),
      is: fat.grams,
    })),
    {
      key: 'lye',
      name: 'Lye',
      colour: 'var(--color-lye)',
      was: lyeWeighed(now),
      as: `${say.value.percent(after.superfat.asked)} superfat`,
      is: lyeWeighed(after),
    },
    {
      key: 'water',
      name: 'Water',
      colour: 'var(--color-water)',
      was: now.water.weighed,
      as: say.value.ratio(after.water.ratio),
      is: after.water.weighed,
    },
    ...after.liquids.map((liquid, index) => ({
      key: `liquid ${index}`,
      name: liquid.name,
      colour: substanceColour('liquid', liquid.id, library.value),
      was: now.liquids[index]?.grams ?? 0,
      as: say.value.percent(draft.value.liquids[index]?.share ?? 0),
      is: liquid.grams,
    })),
  ]
})
const title = computed(() => {
  const [one, ...others] = chosen.value
  if (!one) return `${say.value.amount(result.value.oils)} of oils`
  const volume = sumOf(poured.value, (filling) => filling.millilitres)
  if (others.length) return `${poured.value.length} moulds, ${say.value.volume(volume)}`
  const { mould } = one.record
  const times = one.count ?? 1
  if (mould.shape === 'cavities') return `All ${mould.count * times} filled`
  return `${times > 1 ? `${times} × ` : ''}${say.value.percent(one.fill ?? 1, 0)} full`
})
const unlit = computed(() => !(result.value.oils > 0) || (hasCarton.value && !cartonReady.value))
function use() {
  if (unlit.value) return
  change(plain(draft.value))
  open.value = false
}
</script>

<template>
  <AppDialog v-model="open" title="How much of it?" huge>
    <div class="grid max-h-[82vh] overflow-y-auto lg:grid-cols-[1fr_400px]">
      <div class="grid content-start gap-3 px-5 py-4">
        <p class="text-ink-2">
          {{ document.name
          }}<template v-if="before.oils > 0"
            ><template v-if="byGrams">, typed in grams</template>: {{ say.amount(before.oils) }} of
            fats, {{ say.amount(before.batter) }} of batter</template
          >. Nothing changes until you use it.
        </p>
        <h3 class="flex justify-between font-semibold text-ink-2">
          Into a mould
          <NuxtLink to="/formulas/moulds" class="link">Moulds of the workshop</NuxtLink>
        </h3>
        <div class="grid grid-cols-2 gap-2 sm:grid-cols-4">
          <div
            class="col-span-2 grid content-between gap-2 rounded-sm bg-field px-3 py-2.5"
            :class="hasCarton ? 'outline-[3px] outline-ink' : 'outline-1 outline-line-3'"
          >
            <b class="font-semibold">A carton or box: type its inside</b>
            <div class="flex flex-wrap items-center gap-1.5">
              <NumberField
                v-model="carton.lengthMm"
                label="Inside length"
                class="w-20"
                unit="mm"
                :decimals="0"
                :min="10"
                :max="5000"
              />
              ×
              <NumberField
                v-model="carton.widthMm"
                label="Inside width"
                class="w-20"
                unit="mm"
                :decimals="0"
                :min="10"
                :max="5000"
              />
              ×
              <NumberField
                v-model="carton.depthMm"
                label="Depth to fill"
                class="w-20"
                unit="mm"
                :decimals="0"
                :min="5"
                :max="5000"
              />
              <select
                v-model="carton.stuff"
                class="field py-1"
                aria-label="What the box is made of"
              >
                <option v-for="stuff in mouldMaterials" :key="stuff" :value="stuff">
                  {{ stuffOf[stuff].says }}
                </option>
              </select>
            </div>
            <p
              v-if="cartonRemark"
              class="text-sm"
              :class="cartonRemark.severity === 'stop' ? 'font-semibold text-stop' : 'text-warn'"
            >
              {{ cartonRemark.says }}
            </p>
            <div class="flex items-center justify-between gap-2">
              <span v-if="before.oils > 0" class="figure" :class="cartonFill > 1 ? 'text-warn' : ''"
                ><b class="text-[15px]">{{ say.percent(cartonFill, 0) }}</b>
                <small class="text-ink-2">
                  full of {{ say.volume(mouldMillilitres(cartonRecord.mould)) }}</small
                ></span
              >
              <AppButton
                :disabled="!cartonReady"
                :aria-pressed="hasCarton"
                @click="pick(cartonRecord)"
                >Fill it</AppButton
              >
            </div>
          </div>
          <MouldCard
            v-for="one in known"
            :key="one.name"
            :record="one"
            :millilitres="millilitres"
            :chosen="isChosen(one.name)"
            :others="chosen.length > (isChosen(one.name) ? 1 : 0)"
            @choose="pick(one)"
            @also="also(one)"
          />
        </div>
        <p v-if="moulds.problem" role="alert" class="text-stop">{{ moulds.problem }}</p>
        <OutOfStores
          :document="document"
          @oils="without({ by: 'oils', grams: Math.round($event) })"
        />
        <h3 class="font-semibold text-ink-2">Or without one</h3>
        <div class="flex flex-wrap gap-2">
          <label
            class="flex items-center gap-2 rounded-sm bg-field px-3 py-2 outline-1 outline-line-3"
          >
            Oils of
            <NumberField
              kind="mass"
              label="Weight of all oils"
              class="w-28"
              :min="1"
              :max="1000000"
              :step="50"
              :decimals="1"
              :model-value="oils"
              @update:model-value="without({ by: 'oils', grams: $event })"
            />
          </label>
          <label
            class="flex items-center gap-2 rounded-sm bg-field px-3 py-2 outline-1 outline-line-3"
          >
            Batter of
            <NumberField
              kind="mass"
              label="Weight of batter"
              class="w-28"
              :min="1"
              :max="1000000"
              :step="50"
              :decimals="1"
              :model-value="batter"
              @update:model-value="without({ by: 'batter', grams: $event })"
            />
          </label>
          <span
            class="flex items-center gap-2 rounded-sm bg-field px-3 py-2 outline-1 outline-line-3"
          >
            <NumberField
              label="Count of bars"
              class="w-16"
              :decimals="0"
              :min="1"
              :max="100000"
              :model-value="bars.count"
              @update:model-value="without({ by: 'bars', count: $event, grams: bars.grams })"
            />
            bars of
            <NumberField
              kind="mass"
              label="Weight of a dry bar"
              class="w-24"
              :decimals="1"
              :min="1"
              :max="10000"
              :model-value="bars.grams"
              @update:model-value="without({ by: 'bars', count: bars.count, grams: $event })"
            />
            when dry
          </span>
        </div>
        <FattyMatterBox v-if="result.oils > 0" v-model="draft" />
      </div>
      <div class="flex flex-col gap-3 bg-ground px-5 py-4">
        <p class="text-ink-2">
          {{
            say.list(
              chosen.map(({ record }) => record.name),
              'and',
            ) || 'Without a mould'
          }}
        </p>
        <p class="figure text-key leading-tight font-[650]" data-testid="size-title">{{ title }}</p>
        <div v-for="one in chosen" :key="one.record.name" class="grid gap-2">
          <MouldPicture
            :record="one.record"
            :px-per-mm="chosen.length > 1 ? 0.3 : 0.6"
            :fill="one.fill ?? 1"
          />
          <div class="flex flex-wrap items-center gap-3">
            <label class="flex items-center gap-2"
              >How many
              <NumberField
                v-model="one.count"
                :label="`How many of ${one.record.name}`"
                class="w-16"
                :decimals="0"
                :min="1"
                :max="20"
              />
            </label>
            <label class="flex items-center gap-2"
              >filled
              <NumberField
                v-model="one.fill"
                kind="percent"
                :label="`${one.record.name}, how full`"
                class="w-20"
                :decimals="0"
                :min="0.05"
                :max="1"
              />
            </label>
          </div>
        </div>
        <table v-if="result.oils > 0" class="figure w-full">
          <thead>
            <tr class="text-sm text-ink-2">
              <th class="text-left font-normal"><span class="sr-only">What</span></th>
              <th class="text-right font-normal">now</th>
              <th class="text-right font-normal">kept as</th>
              <th class="text-right font-normal">then</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.key" class="border-t border-line">
              <th scope="row" class="max-w-32 truncate py-1 text-left font-normal">
                <i
                  class="mr-1.5 inline-block h-3.5 w-2.5 rounded-[2px] align-[-2px]"
                  :style="{ background: row.colour }"
                />{{ row.name }}
              </th>
              <td class="py-1 text-right text-ink-2">{{ say.massFigure(row.was) }}</td>
              <td class="py-1 pl-2 text-right">{{ row.as }}</td>
              <td class="py-1 pl-2 text-right font-[650]">{{ say.massFigure(row.is) }}</td>
            </tr>
            <tr class="border-t border-line">
              <th scope="row" class="py-1 text-left font-normal">Batter</th>
              <td class="py-1 text-right text-ink-2">{{ say.massFigure(before.batter) }}</td>
              <td />
              <td class="py-1 text-right font-[650]">{{ say.massFigure(result.batter) }}</td>
            </tr>
          </tbody>
        </table>
        <ul
          v-if="poured.length > 1 || poured[0]?.each"
          class="figure text-sm text-ink-2"
          aria-label="What goes where"
        >
          <li v-for="(filling, index) in poured" :key="index">
            {{ filling.name }}:
            <template v-if="filling.each"
              >{{ filling.each.count }} × {{ say.amount(filling.each.grams) }} =
            </template>
            {{ say.amount(filling.grams) }}, {{ say.volume(filling.millilitres) }} of
            {{ say.volume(filling.capacity) }}
          </li>
        </ul>
        <p v-if="byGrams && draft.size.by !== 'lines'" class="text-sm text-ink-2">
          The shares keep the typed weights exactly; “by weight” on the formula brings them back.
        </p>
        <div class="mt-auto flex flex-wrap gap-3">
          <AppButton v-if="draft.size.by !== document.size.by || chosen.length" @click="keep"
            >Keep {{ say.amount(before.oils) }}</AppButton
          >
          <AppButton @click="open = false">Cancel <kbd>Esc</kbd></AppButton>
          <AppButton kind="main" class="flex-1" :disabled="unlit" @click="use"
            >Use it: {{ say.amount(result.oils) }} of oils</AppButton
          >
        </div>
      </div>
    </div>
  </AppDialog>
</template>
