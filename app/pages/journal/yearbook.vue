<script setup lang="ts">
import type { BatchRecord } from '#contracts/learning'
import { yearIndex, yearPage, yearPerPage, type YearEntry } from '#core/learning/yearbook'

/** A year as a book on paper: its bars on a title page, four batches a page, an index that leads to them. */
const route = useRoute()
const router = useRouter()
const { say, settings, today } = storeToRefs(useWorkshop())
const years = ref<number[]>([])
const entries = shallowRef<YearEntry[] | null>(null)
const problem = ref('')
const year = computed(() => Number(route.query.year) || years.value[0] || 0)
useHead({ title: () => `${year.value || 'A year'} on paper · Mantle` })
onMounted(async () => {
  try {
    const records = await api.get<BatchRecord[]>('/api/learning')
    const all = new Set(records.map(({ pouredOn }) => Number(pouredOn.slice(0, 4))))
    years.value = [...all].sort((a, b) => b - a)
    if (!years.value.length) entries.value = []
  } catch (error) {
    problem.value = sentenceOf(error)
  }
})
watch(
  year,
  async (now) => {
    if (!now) return
    try {
      entries.value = await api.get<YearEntry[]>(`/api/learning/year?year=${now}`)
      problem.value = ''
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  },
  { immediate: true },
)
const choose = (event: Event) =>
  void router.replace({ query: { year: (event.target as HTMLSelectElement).value } })
const pages = computed(() => {
  const all = entries.value ?? []
  return Array.from({ length: Math.ceil(all.length / yearPerPage) }, (_, nth) => ({
    page: yearPage(nth * yearPerPage),
    entries: all.slice(nth * yearPerPage, (nth + 1) * yearPerPage),
  }))
})
const months = computed(() => {
  const by = new Map<string, YearEntry[]>()
  for (const entry of entries.value ?? []) {
    const month = `${entry.pouredOn.slice(0, 7)}-01`
    by.set(month, [...(by.get(month) ?? []), entry])
  }
  return [...by].map(([month, bars]) => ({
    says: monthText(month, `${year.value}-12-31`),
    bars,
  }))
})
const index = computed(() => yearIndex(entries.value ?? []))
const indexParts = computed(() =>
  (
    [
      ['By formula', index.value.formulas],
      ['By scent', index.value.scents],
      ['By trouble', index.value.troubles],
    ] as const
  ).filter(([, lines]) => lines.length),
)
const troubled = computed(
  () => (entries.value ?? []).filter(({ troubles }) => troubles.length).length,
)
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/journal" label="The journal" />
  <PrintPage v-else-if="entries" title="A year on paper">
    <template #actions>
      <label v-if="years.length" class="flex items-center gap-2"
        >Year
        <select class="field" aria-label="Year" :value="year" @change="choose">
          <option v-for="one in years" :key="one" :value="one">{{ one }}</option>
        </select>
      </label>
      <AppButton to="/journal">Back to the book</AppButton>
    </template>
    <p v-if="!entries.length" class="sheet px-6 py-5">
      Nothing was poured in {{ year || 'any year' }} yet. The book fills by itself, batch by batch.
    </p>
    <template v-else>
      <article class="book-page sheet" :aria-label="`Title page of ${year}`">
        <p class="text-[15px] text-ink-2">{{ settings.name }}</p>
        <h2 class="!text-[44px] leading-none !font-bold !text-ink">{{ year }}</h2>
        <p class="mt-2">
          {{ say.count(entries.length, 'batch', 'batches') }},
          {{ say.count(index.formulas.length, 'formula', 'formulas') }},
          {{ say.count(troubled, 'batch', 'batches') }} with trouble. Printed
          {{ dayText(today, { long: true, today: '' }) }}.
        </p>
        <div class="mt-5 grid gap-3">
          <section
            v-for="month in months"
            :key="month.says"
            class="grid grid-cols-[90px_1fr] items-end"
          >
            <h3 class="pb-1 text-[13px] text-ink-2">{{ month.says }}</h3>
            <div class="flex flex-wrap items-end gap-1.5 border-b-[5px] border-plank px-1">
              <BarThumbnail
                v-for="bar in month.bars"
                :key="bar.id"
                :thumbnail="bar.thumbnail"
                :width="34"
                :height="22"
              />
            </div>
          </section>
        </div>
      </article>
      <article
        v-for="one in pages"
        :key="one.page"
        class="book-page sheet mt-6 print:mt-0"
        :aria-label="`Page ${one.page}`"
      >
        <section v-for="entry in one.entries" :key="entry.id" class="entry">
          <header class="flex items-start gap-4">
            <BarThumbnail :thumbnail="entry.thumbnail" :width="64" :height="42" />
            <div class="min-w-0 flex-1">
              <h3 class="text-[16px] leading-tight font-bold">
                {{ entry.number }}, {{ entry.name }}
                <span class="font-normal text-ink-2">{{
                  dayText(entry.pouredOn, { long: true, today: '' })
                }}</span>
              </h3>
              <p class="line-clamp-2 text-[12.5px]">{{ entry.fats }}</p>
              <p class="text-[12.5px] text-ink-2">{{ entry.made }}</p>
              <p class="text-[12.5px] font-[650]">{{ entry.became }}</p>
            </div>
          </header>
          <div class="typed mt-1 line-clamp-5 text-[12.5px] leading-snug whitespace-pre-line">
            {{ entry.said.join('\n') }}
          </div>
        </section>
        <p class="folio">{{ one.page }}</p>
      </article>
      <article class="book-page index sheet mt-6 print:mt-0" aria-label="Index">
        <h2 class="!text-[22px] !font-bold !text-ink">Index</h2>
        <p class="text-[12.5px] text-ink-2">Pages, and the batches on them.</p>
        <div class="mt-3 gap-8 sm:columns-2 print:columns-2">
          <section v-for="[says, lines] in indexParts" :key="says" class="mb-4">
            <h3 class="font-bold">{{ says }}</h3>
            <dl class="text-[12.5px]">
              <div v-for="line in lines" :key="line.says" class="break-inside-avoid py-0.5">
                <dt class="inline font-[650]">{{ line.says }}</dt>
                <dd class="ml-2 inline">
                  {{ say.list(line.batches.map(({ number, page }) => `${page} (${number})`)) }}
                </dd>
              </div>
            </dl>
          </section>
        </div>
      </article>
    </template>
  </PrintPage>
</template>

<style scoped>
/* Each page has a page's own room, so that the index knows where everything stands. */
.book-page {
  position: relative;
  padding: 6mm 8mm;
}
.entry {
  height: 52mm;
  overflow: hidden;
  padding: 4mm 0;
  border-bottom: 1px solid var(--color-line);
}
.folio {
  position: absolute;
  right: 8mm;
  bottom: 2mm;
}
@media print {
  .book-page {
    height: 272mm;
    padding: 0;
    overflow: hidden;
    break-after: page;
  }
  .book-page.index {
    height: auto;
    overflow: visible;
    break-after: auto;
  }
  .folio {
    right: 0;
    bottom: 0;
  }
}
</style>
