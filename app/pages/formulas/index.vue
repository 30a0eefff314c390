<script setup lang="ts">
import type { Use } from '#contracts/words'
import type { StoredFormula } from '#contracts/workshop'
import { computeFormula } from '#core/formula/compute'
import { purposeNames } from '~/utils/purposeNames'

const { library } = storeToRefs(useMaterials())
const formulas = useFormulas()
const toasts = useToasts()
const router = useRouter()
const workshop = useWorkshop()
const { say, today } = storeToRefs(workshop)

const query = ref('')
/** Words a formula is filed under: what stands behind a # in its notes. */
const tagsOf = ({ document }: StoredFormula) => [
  ...new Set(document.notes.match(/#[\p{L}\p{N}-]+/gu) ?? []),
]
const use = ref<Use | ''>('')
const tag = ref('')
const sorts = { changed: 'last changed', name: 'name', made: 'most made', size: 'size' } as const
const sort = useKept<keyof typeof sorts>('mantle-formulas-sort', 'changed', (value) =>
  typeof value === 'string' && value in sorts ? (value as keyof typeof sorts) : null,
)
const renaming = ref<StoredFormula | null>(null)
const renameOpen = computed({
  get: () => renaming.value !== null,
  set: (value) => {
    if (!value) renaming.value = null
  },
})
useHead({ title: 'Formulas · Mantle' })
onMounted(() => {
  void formulas.load()
  void count()
})

const text = (formula: StoredFormula) =>
  [
    formula.document.name,
    purposeNames[formula.document.use],
    formula.document.notes,
    ...formula.document.fats.map((fat) => fat.name ?? library.value.fats.get(fat.id)?.name ?? ''),
    ...formula.document.scents.map((scent) => scent.name ?? scent.id),
  ].join(' ')
const found = computed(() => {
  const has = hasWords(query.value)
  const all = formulas.list.filter(
    (formula) =>
      (!use.value || formula.document.use === use.value) &&
      (!tag.value || tagsOf(formula).includes(tag.value)) &&
      has(text(formula)),
  )
  const oils = ({ document }: StoredFormula) => computeFormula(document, library.value).oils
  switch (sort.value) {
    case 'name':
      return all.sort((a, b) => a.document.name.localeCompare(b.document.name))
    case 'made':
      return all.sort((a, b) => (made.value.get(b.id) ?? 0) - (made.value.get(a.id) ?? 0))
    case 'size':
      return all
        .map((formula) => ({ formula, grams: oils(formula) }))
        .sort((a, b) => b.grams - a.grams)
        .map(({ formula }) => formula)
    case 'changed':
      return all.sort((a, b) => b.changedAt.localeCompare(a.changedAt))
  }
})
const usesHere = computed(() => [...new Set(formulas.list.map(({ document }) => document.use))])
const tagsHere = computed(() => [...new Set(formulas.list.flatMap(tagsOf))].sort())
const filtered = computed(() => !!(query.value.trim() || use.value || tag.value))
function showAll() {
  query.value = ''
  use.value = ''
  tag.value = ''
}
/** How many batches were made of each. */
const made = shallowRef(new Map<string, number>())
async function count() {
  const counts = await api.get<Record<string, number>>('/api/batches/counts').catch(() => ({}))
  made.value = new Map(Object.entries(counts))
}

/** Does it, or says why not. */
async function attempt(act: () => Promise<unknown>) {
  try {
    await act()
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
const start = () => attempt(async () => router.push(`/formulas/${await formulas.create()}`))
const entriesOf = (formula: StoredFormula) => [
  { says: 'Rename…', act: () => (renaming.value = formula) },
  {
    says: 'Duplicate',
    act: () =>
      attempt(async () => router.push(`/formulas/${await formulas.duplicate(formula.document)}`)),
  },
  { says: 'Export', act: () => exportFormulas(formula.document.name, formula.document) },
  { says: 'Delete', danger: true, act: () => attempt(() => formulas.remove(formula)) },
]
const importing = ref(false)
async function exportTable() {
  const { formulaColumns, rowsOfFormula } = await import('#core/exchange/formulaRows')
  const rows = formulas.list.flatMap(({ document }) => rowsOfFormula(document, library.value))
  await downloadCsv('formulas.csv', formulaColumns, rows)
}
const allEntries = [
  { says: 'Compare two', act: () => void router.push('/formulas/compare') },
  { says: 'Import…', act: () => (importing.value = true) },
  {
    says: 'Export all',
    act: () =>
      exportFormulas(
        'formulas',
        formulas.list.map(({ document }) => document),
      ),
  },
  { says: 'Export all as a table (.csv)', act: () => attempt(exportTable) },
]
const sizeOf = (formula: StoredFormula) => {
  const grams = computeFormula(formula.document, library.value).oils
  return grams ? `${say.value.amount(grams)} of oils` : 'no size yet'
}
const search = ref<HTMLInputElement | null>(null)
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-4 sm:px-6">
    <div class="mb-4 flex flex-wrap items-center gap-3">
      <h1 class="mr-auto">Formulas</h1>
      <input
        ref="search"
        v-model="query"
        type="search"
        class="field w-full py-2 sm:w-72"
        placeholder="Find by name, fat, scent or use"
        aria-label="Find a formula"
      />
      <AppButton to="/formulas/materials">Materials</AppButton>
      <AppButton to="/formulas/moulds">Moulds</AppButton>
      <AppButton to="/formulas/check">Check a recipe</AppButton>
      <AppButton to="/formulas/find">Find one</AppButton>
      <AppButton kind="main" @click="start">New formula</AppButton>
      <AppMenu label="More for all formulas" :entries="allEntries" />
    </div>
    <div
      v-if="!formulas.loaded || formulas.list.length > 1"
      class="-mt-1 mb-3 flex flex-wrap items-center gap-2"
    >
      <select
        v-model="use"
        class="chip [field-sizing:content]"
        :class="use ? 'on' : ''"
        aria-label="What it is for"
      >
        <option value="">For anything</option>
        <option v-for="one in usesHere" :key="one" :value="one">{{ purposeNames[one] }}</option>
      </select>
      <button
        v-for="one in tagsHere"
        :key="one"
        type="button"
        class="chip"
        :class="tag === one ? 'on' : ''"
        :aria-pressed="tag === one"
        @click="tag = tag === one ? '' : one"
      >
        {{ one }}
      </button>
      <button v-if="filtered" type="button" class="link min-h-9" @click="showAll">Clear</button>
      <span class="figure text-sm text-ink-2" role="status">{{
        filtered ? `${found.length} of ${formulas.list.length}` : ''
      }}</span>
      <label class="ml-auto flex items-center gap-2 text-sm text-ink-2">
        Sorted by
        <select v-model="sort" class="chip [field-sizing:content]">
          <option v-for="(says, one) in sorts" :key="one" :value="one">{{ says }}</option>
        </select>
      </label>
    </div>
    <p v-if="formulas.problem" role="alert" class="mb-3 font-semibold text-stop">
      {{ formulas.problem }}
    </p>
    <EmptyState v-if="formulas.loaded && !formulas.list.length" title="No formulas yet">
      A formula is a list of fats with their shares: olive 70 %, coconut 25 %, castor 5 % is a good
      first one. Lye and water appear as you type.
      <template #actions>
        <AppButton to="/formulas/check">Check a recipe you have</AppButton>
        <AppButton kind="main" @click="start">Write the first formula</AppButton>
      </template>
    </EmptyState>
    <p v-else-if="formulas.loaded && !found.length" class="py-8 text-center text-ink-2">
      {{ query.trim() ? `No formula matches “${query}”.` : 'No formula is like that.' }}
      <button type="button" class="link" @click="showAll">Show all</button>
    </p>
    <ul v-else class="sheet">
      <li
        v-for="formula in found"
        :key="formula.id"
        class="relative grid grid-cols-[44px_1fr_28px] items-center gap-x-4 gap-y-1 border-t border-line-2 px-4 py-3 first:border-t-0 hover:bg-field md:grid-cols-[44px_240px_1fr_150px_120px_28px]"
      >
        <BarThumbnail :thumbnail="formulas.thumbnail(formula)" />
        <div class="min-w-0">
          <NuxtLink
            :to="`/formulas/${formula.id}`"
            class="block truncate text-[15.5px] font-[650] after:absolute after:inset-0"
            >{{ formula.document.name }}</NuxtLink
          >
          <small class="text-sm text-ink-2">{{
            say.list([purposeNames[formula.document.use], ...tagsOf(formula)])
          }}</small>
        </div>
        <FatBar :document="formula.document" class="max-md:col-span-3 max-md:row-start-2" />
        <span class="figure text-sm text-ink-2 max-md:hidden">{{ sizeOf(formula) }}</span>
        <span class="text-sm text-ink-2 max-md:hidden">
          {{ dayText(workshop.dayOf(formula.changedAt), { today }) }}<br />{{
            made.get(formula.id)
              ? say.count(made.get(formula.id)!, 'batch', 'batches')
              : 'not made yet'
          }}
        </span>
        <AppMenu
          class="z-10 max-md:col-start-3 max-md:row-start-1"
          :label="`More for ${formula.document.name}`"
          :entries="entriesOf(formula)"
        />
      </li>
    </ul>
    <LazyImportDialog v-if="importing" v-model="importing" />
    <AskDialog
      v-if="renaming"
      v-model="renameOpen"
      title="Rename"
      label="Name"
      :value="renaming.document.name"
      confirm="Rename"
      @text="(name) => attempt(() => formulas.rename(renaming!, name))"
    />
  </div>
</template>
