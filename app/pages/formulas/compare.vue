<script setup lang="ts">
import { patternOf } from '#core/formula/method'
import type { Batch, BatchSummary } from '#contracts/batch'
import type { FormulaDocument } from '#contracts/formula'
import type { FormulaVersion, VersionSummary } from '#contracts/version'
import type { StoredFormula } from '#contracts/workshop'
import { traitRules } from '#core/character/coefficients'
import { shownTrait, traitIds, traitsOf, type Traits } from '#core/character/traits'
import { changesBetween } from '#core/versions/changes'
import { compareWeights } from '#core/versions/compare'
import { computeFormula } from '#core/formula/compute'
import { thumbnailOf } from '#core/batter/thumbnail'
import { sayWater } from '#core/formula/names'
import { capital } from '#core/units/language'
import { purposeNames } from '~/utils/purposeNames'

/** Any two formulas, versions or batches side by side. */
useHead({ title: 'Compare · Mantle' })
const route = useRoute()
const router = useRouter()
const formulas = useFormulas()
const batches = useBatches()
const gone = shallowRef<BatchSummary[]>([])
const { library } = storeToRefs(useMaterials())
const workshop = useWorkshop()
const { say } = storeToRefs(workshop)

const versions = ref<VersionSummary[]>([])
const problem = ref('')
const sides = ['a', 'b'] as const
type Side = (typeof sides)[number]
const documents = reactive<Record<Side, FormulaDocument | null>>({ a: null, b: null })
const chosen = computed(() => ({
  a: String(route.query.a ?? ''),
  b: String(route.query.b ?? ''),
}))

async function documentOf(key: string): Promise<FormulaDocument | null> {
  const [kind, id] = key.split(':')
  if (!id) return null
  if (kind === 'v') return (await api.get<FormulaVersion>(`/api/versions/${id}`)).document
  if (kind === 'b') return (await api.get<Batch>(`/api/batches/${id}`)).frozen.document
  return (await api.get<StoredFormula>(`/api/formulas/${id}`)).document
}
async function load(side: Side) {
  try {
    documents[side] = await documentOf(chosen.value[side])
    problem.value = ''
  } catch (error) {
    documents[side] = null
    problem.value = sentenceOf(error)
  }
}
watch(
  () => chosen.value.a,
  () => void load('a'),
  { immediate: true },
)
watch(
  () => chosen.value.b,
  () => void load('b'),
  { immediate: true },
)
onMounted(async () => {
  void formulas.load()
  void batches.load()
  void batches.gone().then((list) => (gone.value = list))
  try {
    versions.value = await api.get<VersionSummary[]>('/api/versions')
  } catch (error) {
    problem.value = sentenceOf(error)
  }
})
const choose = (side: Side, key: string) =>
  void router.replace({ query: { ...route.query, [side]: key } })
const swap = () => void router.replace({ query: { a: chosen.value.b, b: chosen.value.a } })

const groups = computed(() => {
  const names = new Map(formulas.list.map(({ id, document }) => [id, document.name]))
  return [
    {
      says: 'Formulas',
      options: [...formulas.list]
        .sort((a, b) => a.document.name.localeCompare(b.document.name))
        .map(({ id, document }) => ({ key: `f:${id}`, says: document.name })),
    },
    {
      says: 'Versions',
      options: versions.value.map(({ id, formulaId, name, number }) => ({
        key: `v:${id}`,
        says: `${names.get(formulaId) ?? ''}, ${number}. ${name}`,
      })),
    },
    {
      says: 'Batches, as made',
      options: [...batches.list, ...gone.value].map(({ id, name, number }) => ({
        key: `b:${id}`,
        says: `${name}, batch ${number}`,
      })),
    },
  ].filter(({ options }) => options.length)
})

const both = computed(() => {
  const { a, b } = documents
  if (!a || !b) return null
  const results = [computeFormula(a, library.value), computeFormula(b, library.value)] as const
  return {
    documents: [a, b] as const,
    results,
    lines: compareWeights(...results),
    changes: changesBetween(a, b, library.value, say.value),
    traits: results.map((result) => traitsOf(result, library.value)) as [Traits, Traits],
  }
})
const goods = useGoodsToday()
const { settings } = storeToRefs(useWorkshop())
type Fact = { says: string; words: [string, string] }
const facts = computed((): Fact[] => {
  if (!both.value) return []
  const [a, b] = both.value.documents
  const [left, right] = both.value.results
  const pair = (says: string, words: (side: 0 | 1) => string): Fact => ({
    says,
    words: [words(0), words(1)],
  })
  const result = (side: 0 | 1) => (side ? right : left)
  const document = (side: 0 | 1) => (side ? b : a)
  return [
    pair('For', (side) => purposeNames[document(side).use]),
    pair('Superfat', (side) => say.value.percent(result(side).superfat.total, 2)),
    pair('Water', (side) => sayWater(document(side).water, say.value)),
    pair('Water to lye', (side) => say.value.ratio(result(side).water.ratio)),
    pair('Lye strength', (side) => say.value.percent(result(side).water.strength)),
    pair('Goods, today', (side) => {
      const cost = goods(result(side))
      return cost === null ? 'a price is not known' : moneyText(cost, settings.value.currency)
    }),
    pair('Goods, a kilogram of oils', (side) => {
      const cost = goods(result(side))
      const { oils } = result(side)
      return cost === null || !(oils > 0)
        ? '–'
        : moneyText((cost / oils) * 1000, settings.value.currency)
    }),
    pair('Batter', (side) => say.value.amount(result(side).batter)),
    pair(
      'Lye and oils at',
      (side) =>
        `${say.value.temperature(document(side).method.lyeC)}, ${say.value.temperature(document(side).method.oilsC)}`,
    ),
    pair('Pour', (side) => patternOf(document(side)).replace(/-/g, ' ')),
  ]
})
const figure = (grams: number | null) => (grams === null ? '–' : say.value.massFigure(grams))
const share = (value: number | null) => (value === null ? '' : say.value.percent(value, 2))
function moved(before: number, after: number) {
  const by = Math.round(shownTrait(after)) - Math.round(shownTrait(before))
  return by === 0 ? '' : by > 0 ? `+${by}` : `−${-by}`
}
function difference([a, b]: [number | null, number | null]) {
  const by = (b ?? 0) - (a ?? 0)
  if (Math.abs(by) < 5e-5) return ''
  return `${by > 0 ? '+' : '−'}${say.value.percent(Math.abs(by), 2)}`
}
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-4 sm:px-6">
    <div class="mb-4 flex flex-wrap items-center gap-3">
      <h1 class="mr-auto">Compare</h1>
      <AppButton @click="swap">Swap sides</AppButton>
      <AppButton to="/formulas">All formulas</AppButton>
    </div>
    <p v-if="problem" role="alert" class="mb-3 font-semibold text-stop">{{ problem }}</p>
    <div class="grid gap-4 sm:grid-cols-2">
      <section v-for="side in sides" :key="side" class="sheet px-4 py-3">
        <label class="grid gap-1 font-semibold">
          {{ side === 'a' ? 'This' : 'with this' }}
          <select
            class="field w-full py-2 font-normal"
            :value="chosen[side]"
            @change="choose(side, ($event.target as HTMLSelectElement).value)"
          >
            <option value="">choose one</option>
            <optgroup v-for="group in groups" :key="group.says" :label="group.says">
              <option v-for="option in group.options" :key="option.key" :value="option.key">
                {{ option.says }}
              </option>
            </optgroup>
          </select>
        </label>
        <div v-if="documents[side]" class="mt-3 flex flex-wrap items-end gap-4">
          <BarThumbnail
            :thumbnail="thumbnailOf(documents[side]!, library)"
            :width="92"
            :height="60"
          />
          <LoafPicture
            v-if="documents[side]!.parts.length || patternOf(documents[side]!) !== 'plain'"
            :document="documents[side]!"
          />
        </div>
      </section>
    </div>
    <template v-if="both">
      <section class="sheet mt-4 px-4 py-3" aria-label="What is different">
        <h2 class="mb-1">What is different</h2>
        <p v-if="!both.changes.length" class="text-ink-2">Nothing: they are the same.</p>
        <ul v-else class="columns-1 gap-8 sm:columns-2 lg:columns-3">
          <li v-for="change in both.changes" :key="change" class="break-inside-avoid py-0.5">
            {{ capital(change) }}
          </li>
        </ul>
      </section>
      <div class="mt-4 grid gap-4 lg:grid-cols-[3fr_2fr]">
        <section class="sheet overflow-x-auto px-4 py-3" aria-label="Weights">
          <table class="figure w-full">
            <caption class="sr-only">
              Weights of both, and how the share of the oils differs
            </caption>
            <thead>
              <tr class="text-left text-sm text-ink-2">
                <th scope="col" class="font-medium">Weights, {{ say.massUnit }}</th>
                <th scope="col" class="text-right font-medium">this</th>
                <th scope="col" class="text-right font-medium">with this</th>
                <th scope="col" class="text-right font-medium">of oils</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="line in both.lines" :key="line.key" class="border-t border-line-2">
                <th scope="row" class="py-1 text-left font-medium">
                  <span class="flex items-center gap-2">
                    <i
                      class="h-4 w-3 shrink-0 rounded-[2px] border border-black/10"
                      :style="{ background: substanceColour(line.substance, line.id, library) }"
                    />{{ line.name }}
                  </span>
                </th>
                <td v-for="side in [0, 1] as const" :key="side" class="py-1 text-right">
                  {{ figure(line.grams[side])
                  }}<small class="block text-xs text-ink-3">{{ share(line.shares[side]) }}</small>
                </td>
                <td class="py-1 text-right font-semibold">{{ difference(line.shares) }}</td>
              </tr>
            </tbody>
          </table>
        </section>
        <div class="grid content-start gap-4">
          <section class="sheet px-4 py-3" aria-label="Figures">
            <table class="figure w-full">
              <caption class="sr-only">
                Figures of both
              </caption>
              <tbody>
                <tr
                  v-for="fact in facts"
                  :key="fact.says"
                  class="border-t border-line-2 first:border-t-0"
                  :class="fact.words[0] === fact.words[1] ? 'text-ink-2' : 'font-semibold'"
                >
                  <th scope="row" class="py-1 text-left font-medium text-ink-2">{{ fact.says }}</th>
                  <td class="py-1 text-right">{{ fact.words[0] }}</td>
                  <td class="py-1 pl-4 text-right">{{ fact.words[1] }}</td>
                </tr>
              </tbody>
            </table>
          </section>
          <section class="sheet px-4 py-3" aria-label="Traits of both">
            <h2 class="mb-1">What the bars are like</h2>
            <table class="figure w-full">
              <caption class="sr-only">
                Traits of both, estimates of 0 to 100
              </caption>
              <tbody>
                <tr
                  v-for="trait in traitIds"
                  :key="trait"
                  class="border-t border-line-2 first:border-t-0"
                >
                  <th scope="row" class="py-1 text-left font-medium text-ink-2">
                    {{ traitRules[trait].says }}
                  </th>
                  <td v-for="side in [0, 1] as const" :key="side" class="py-1 text-right">
                    {{ Math.round(shownTrait(both.traits[side][trait])) }}
                  </td>
                  <td class="w-16 py-1 text-right font-semibold">
                    {{ moved(both.traits[0][trait], both.traits[1][trait]) }}
                  </td>
                </tr>
              </tbody>
            </table>
          </section>
          <section class="sheet grid gap-3 px-4 py-3" aria-label="Fatty acids of both">
            <FattyAcidBar
              v-for="(result, side) in both.results"
              :key="side"
              :acids="result.fattyAcids"
              :title="`Fatty acids, ${side ? 'with this' : 'this'}: ${both.documents[side]!.name}`"
            />
          </section>
        </div>
      </div>
    </template>
    <p v-else class="mt-6 text-center text-ink-2">
      Choose two formulas, versions or batches to see them side by side.
    </p>
  </div>
</template>
