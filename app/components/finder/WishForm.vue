<script setup lang="ts">
import { uses, type Use } from '#contracts/words'
import { usualFats } from '#core/finder/help'
import { exclusions, type Exclusion } from '#core/finder/wish'
import { plainName } from '#core/materials/find'
import { addDays } from '#core/units/days'
import type { WishDraft } from '~/utils/wishDraft'
import { purposeNames } from '~/utils/purposeNames'

/** What the formula should be, and which fats it may have. */
const draft = defineModel<WishDraft>({ required: true })
const { library } = storeToRefs(useMaterials())
const formulas = useFormulas()
const workshop = useWorkshop()
const { say } = storeToRefs(workshop)
const query = ref('')
const problem = ref('')
const editingRegions = ref(false)
onMounted(() => void formulas.load())

const fats = computed(() =>
  [...library.value.fats.values()].filter(({ profile }) => Object.keys(profile.value).length),
)
/** Chosen ones lead, as they were when the list was last made: ticking one does not make it jump away. */
const leading = ref(new Set(Object.keys(draft.value.choices)))
const shown = computed(() => {
  const has = hasWords(query.value, plainName)
  return fats.value
    .filter(({ name, aliases }) => has(`${name} ${aliases.join(' ')}`))
    .sort((a, b) => Number(leading.value.has(b.id)) - Number(leading.value.has(a.id)))
})
const count = computed(() => Object.keys(draft.value.choices).length)
function toggle(id: string) {
  const { [id]: known, ...others } = draft.value.choices
  draft.value.choices = known ? others : { ...others, [id]: { least: 0, most: 1 } }
}
const choose = (ids: Iterable<string>) => {
  draft.value.choices = Object.fromEntries(
    [...ids].map((id) => [id, draft.value.choices[id] ?? { least: 0, most: 1 }]),
  )
  leading.value = new Set(Object.keys(draft.value.choices))
}
const ofFormulas = () =>
  choose(new Set(formulas.list.flatMap(({ document }) => document.fats.map(({ id }) => id))))
function exclude(key: Exclusion) {
  const { exclude: list } = draft.value
  draft.value.exclude = list.includes(key) ? list.filter((item) => item !== key) : [...list, key]
}
const lots = useLots()
onMounted(() => void lots.load())
const isFat = (id: string) => fats.value.some((fat) => fat.id === id)
/** Fats that there is something of, held lots left out. */
const inStore = computed(() => [
  ...new Set(
    lots.list.flatMap(({ document, stock }) =>
      stock > 1 && !document.held && isFat(document.thing) ? [document.thing] : [],
    ),
  ),
])
/** Those of them with a lot that is over within two months. */
const soon = computed(() => [
  ...new Set(
    lots.list.flatMap(({ document, stock }) =>
      stock > 1 &&
      !document.held &&
      isFat(document.thing) &&
      document.bestBefore &&
      document.bestBefore <= addDays(workshop.today, 60)
        ? [document.thing]
        : [],
    ),
  ),
])
/** Out of what is in store, with at least a tenth of each fat that has to go. */
function useSoon() {
  choose(inStore.value)
  for (const id of soon.value) draft.value.choices[id] = { least: 0.1, most: 1 }
}
const prices = usePrices()
onMounted(() => void prices.load())
async function setPrice(id: string, value: number | null) {
  try {
    await prices.set(id, value)
    problem.value = ''
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
</script>

<template>
  <section class="sheet flex flex-col lg:max-h-[calc(100vh-150px)]" aria-label="The wish">
    <div class="grid gap-3 border-b border-line-2 px-4 py-3">
      <div class="flex flex-wrap items-end gap-3">
        <FieldRow says="For">
          <select
            class="field font-normal"
            :value="draft.use"
            @change="draft.use = ($event.target as HTMLSelectElement).value as Use"
          >
            <option v-for="use in uses" :key="use" :value="use">{{ purposeNames[use] }}</option>
          </select>
        </FieldRow>
        <button type="button" class="link pb-1.5" @click="editingRegions = true">Regions</button>
        <LabelledNumber
          v-model="draft.superfat"
          says="Superfat"
          kind="percent"
          width="w-20"
          :min="0"
          :max="0.3"
        />
        <LabelledNumber
          v-model="draft.atMost"
          says="At most, fats"
          width="w-20"
          :decimals="0"
          :min="1"
          :max="20"
        />
      </div>
      <fieldset class="flex flex-wrap gap-x-4 gap-y-1">
        <legend class="sr-only">Leave out</legend>
        <label v-for="(item, key) in exclusions" :key="key" class="flex items-center gap-1.5">
          <input type="checkbox" :checked="draft.exclude.includes(key)" @change="exclude(key)" />
          {{ item.says }}
        </label>
        <label class="flex items-center gap-1.5">
          <input v-model="draft.keeper" type="checkbox" /> kept by citrate
        </label>
      </fieldset>
      <fieldset class="flex flex-wrap gap-x-4">
        <legend class="sr-only">Look for</legend>
        <label class="flex items-center gap-1.5"
          ><input v-model="draft.aim" type="radio" value="nearest" /> nearest to its regions</label
        >
        <label class="flex items-center gap-1.5"
          ><input v-model="draft.aim" type="radio" value="cheapest" /> cheapest inside them</label
        >
      </fieldset>
    </div>
    <div class="flex flex-wrap items-center gap-x-3 gap-y-1 px-4 py-2 text-sm">
      <b class="figure">{{ say.count(count, 'fat', 'fats') }}</b>
      <button type="button" class="link" @click="choose(usualFats)">usual ones</button>
      <button type="button" class="link" :disabled="!formulas.loaded" @click="ofFormulas">
        those of my formulas
      </button>
      <button v-if="inStore.length" type="button" class="link" @click="choose(inStore)">
        in store
      </button>
      <button v-if="soon.length" type="button" class="link" @click="useSoon">use up soon</button>
      <button type="button" class="link" @click="choose(fats.map(({ id }) => id))">all</button>
      <button type="button" class="link" @click="choose([])">none</button>
      <input
        v-model="query"
        type="search"
        class="field w-full"
        placeholder="Find a fat"
        aria-label="Find a fat"
      />
    </div>
    <div
      class="grid grid-cols-[1fr_62px_62px_84px] gap-1 px-4 pb-1 text-right text-xs text-ink-2"
      aria-hidden="true"
    >
      <span class="text-left">may be in it</span><span>from</span><span>to</span><span>a kg</span>
    </div>
    <ul class="min-h-40 overflow-y-auto max-lg:max-h-80" tabindex="0" aria-label="Fats to choose">
      <li
        v-for="fat in shown"
        :key="fat.id"
        class="grid grid-cols-[1fr_62px_62px_84px] items-center gap-1 border-t border-line-2 px-4 py-0.5"
      >
        <label class="flex min-w-0 items-center gap-2">
          <input type="checkbox" :checked="fat.id in draft.choices" @change="toggle(fat.id)" />
          <i
            class="h-4 w-3 shrink-0 rounded-[2px] border border-black/10"
            :style="{ background: fat.colour }"
          />
          <span class="truncate">{{ fat.name }}</span>
        </label>
        <template v-if="draft.choices[fat.id]">
          <NumberField
            v-model="draft.choices[fat.id]!.least"
            kind="percent"
            :label="`${fat.name}, at least`"
            :decimals="0"
            :min="0"
            :max="1"
          />
          <NumberField
            v-model="draft.choices[fat.id]!.most"
            kind="percent"
            :label="`${fat.name}, at most`"
            :decimals="0"
            :min="0"
            :max="1"
          />
          <span
            v-if="prices.now[fat.id]?.from === 'lot'"
            class="figure text-right"
            :title="`As its newest lot cost`"
            >{{ moneyText(prices.now[fat.id]!.price, workshop.settings.currency) }}</span
          >
          <MoneyField
            v-else
            :label="`${fat.name}, price of a kilogram`"
            :max="100000"
            :model-value="prices.now[fat.id]?.price ?? null"
            @update:model-value="setPrice(fat.id, $event)"
          />
        </template>
      </li>
      <li v-if="!shown.length" class="px-4 py-3 text-ink-2">No fat is called that.</li>
    </ul>
    <p v-if="problem" role="alert" class="px-4 py-2 text-stop">{{ problem }}</p>
    <LazyRegionsDialog v-if="editingRegions" v-model="editingRegions" :use="draft.use" />
  </section>
</template>
