<script setup lang="ts">
import type { Entry, Note } from '#contracts/journal'
import type { Stored } from '#contracts/document'
import { useInfiniteScroll } from '@vueuse/core'

/** Everything that was ever written down, in the order of its days: to be read, searched, and gone on with. */
useHead({ title: 'Journal · Mantle' })
const route = useRoute()
const router = useRouter()
const { say, today } = storeToRefs(useWorkshop())
const {
  search,
  filter,
  entries,
  between,
  page,
  nearly,
  edge,
  problem,
  busy,
  from,
  isAsked,
  more,
  again,
  clear,
  showFrom,
} = useJournal()
const ribbons = useRibbons()
const toasts = useToasts()
void ribbons.load()

const marks = computed(() => page.value?.terms.flatMap((term) => term.marks) ?? [])
/** Entries of what fits all words but one, once somebody wants to see them. */
const withNearly = ref(false)
watch(nearly, () => (withNearly.value = false))
const shown = computed(() =>
  withNearly.value
    ? [...entries.value, ...(nearly.value?.hits.map(({ entry }) => entry) ?? [])]
    : entries.value,
)
const openRef = ref(typeof route.query.open === 'string' ? route.query.open : '')
/** What an address asks for by itself, wherever on the line it stands. */
const asked = shallowRef<Entry | null>(null)
onMounted(async () => {
  if (openRef.value)
    asked.value = await api.get<Entry>(`/api/journal/entries/${openRef.value}`).catch(() => null)
})
const opened = computed((): Entry | null => {
  const chosen =
    shown.value.find(({ ref: one }) => one === openRef.value) ??
    (asked.value?.ref === openRef.value ? asked.value : null)
  if (chosen) return chosen
  // A batch tells most of what was found; without a search, what was written last.
  return (
    (isAsked.value ? entries.value.find(({ kind }) => kind === 'batch') : null) ??
    entries.value.find(({ kind }) => kind !== 'count' && kind !== 'trial') ??
    entries.value[0] ??
    null
  )
})
const { batch, note, problem: openProblem, load: loadOpen } = useOpenEntry(() => opened.value)
/** On a small screen the right page lies over the left one. */
const over = ref(false)
function choose(entry: Entry) {
  openRef.value = entry.ref
  over.value = true
  void router.replace({ query: { ...route.query, open: entry.ref } })
}
async function changed() {
  await again()
  await loadOpen()
}
/** Of a lesson of a batch the batch lies open, the lesson below it. */
const lessonsOfOpen = computed(() => {
  const entry = opened.value
  if (!entry) return []
  if (entry.kind === 'lesson') return [entry]
  return entry.batchId
    ? shown.value.filter(({ kind, batchId }) => kind === 'lesson' && batchId === entry.batchId)
    : []
})
const noBatches = computed(() => page.value?.found === 0 && !isAsked.value)

const list = useTemplateRef<HTMLElement>('list')
useInfiniteScroll(list, () => void more(), {
  distance: 400,
  canLoadMore: () => Boolean(page.value?.next),
})

const writing = ref(false)
const dropped = ref<File[]>([])
const changing = shallowRef<Stored<Note> | null>(null)
function write(photos: File[] = []) {
  dropped.value = photos
  changing.value = null
  writing.value = true
}
function changeNote() {
  const stored = note.value
  if (!stored) return
  if (stored.document.importId)
    return void router.push(`/journal/import/${stored.document.importId}?page=${stored.id}`)
  changing.value = stored
  dropped.value = []
  writing.value = true
}
const box = useTemplateRef<HTMLInputElement>('box')
useShortcuts({ n: () => write(), f: () => box.value?.focus() })

/** On a phone the sentence of choices is folded until somebody wants it, or something is chosen. */
const narrowing = ref(Object.values(filter.value).some(Boolean))
const naming = ref(false)
const ribbonName = ref('')
async function keepRibbon() {
  const name = ribbonName.value.trim()
  if (!name) return
  try {
    await ribbons.save(newId(), 0, { name, search: search.value.trim(), filter: filter.value })
    naming.value = false
    ribbonName.value = ''
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
function pull({ document }: (typeof ribbons.list)[number]) {
  filter.value = { ...document.filter }
  search.value = document.search
}
const years = computed(() => {
  const all = edge.value?.years ?? []
  const oldest = all.at(-1)?.year
  return oldest === undefined ? 1 : Math.max(1, Number(today.value.slice(0, 4)) - oldest + 1)
})
const foundSays = computed(() => {
  const span = say.value.count(years.value, 'year', 'years')
  return isAsked.value
    ? `${say.value.number(page.value?.found ?? 0, 0)} found in ${span}`
    : `${say.value.count(page.value?.found ?? 0, 'entry', 'entries')} in ${span}`
})
/** What lies between an entry and the one above it. */
function gapText(place: number): string {
  const many = between.value[place] ?? 0
  const entry = entries.value[place]
  const later = place ? entries.value[place - 1]?.when.day : today.value
  if (!entry?.when.day || !later || !isAsked.value || many === 0) return ''
  const long = betweenText(later, entry.when.day, say.value)
  return `${long}, ${say.value.count(many, 'entry', 'entries')} ${place ? 'between' : 'since'}`
}
</script>

<template>
  <div class="mx-auto max-w-[1400px] px-4 pt-4 pb-6 sm:px-6">
    <h1 class="sr-only">Journal</h1>
    <div class="flex flex-wrap items-center gap-x-6 gap-y-3">
      <div class="relative min-w-0 flex-1 basis-80 lg:max-w-[656px]">
        <input
          ref="box"
          v-model="search"
          type="search"
          class="min-h-14 w-full rounded-md border-2 border-ink bg-field px-4 text-[19px] text-on-field"
          aria-label="Search the journal"
          placeholder="The blue one that cracked, spring"
          maxlength="200"
          autocomplete="off"
          @keydown.esc="search = ''"
        />
      </div>
      <div class="flex flex-wrap items-center gap-x-6 gap-y-2 lg:ml-auto">
        <NuxtLink class="link" to="/journal/ask">Ask it a question</NuxtLink>
        <NuxtLink class="link" to="/journal/said">Said and came</NuxtLink>
        <NuxtLink class="link" to="/journal/yearbook">A year on paper</NuxtLink>
        <NuxtLink class="link" to="/journal/import">Old pages in</NuxtLink>
        <AppButton kind="main" @click="write()"
          >Write <kbd class="text-white max-sm:hidden">N</kbd></AppButton
        >
      </div>
    </div>
    <p
      v-if="page?.terms.length"
      class="mt-2 flex flex-wrap gap-x-6 px-4 text-[13px] text-ink-2"
      role="status"
    >
      <span v-for="term in page.terms" :key="term.typed"
        ><b class="font-[650] text-ink">{{ term.typed }}</b> {{ term.says }}</span
      >
    </p>
    <p v-if="problem" role="alert" class="mt-3 font-semibold text-stop">{{ problem }}</p>

    <div class="mt-2 flex flex-wrap justify-end gap-2 pr-2 lg:pr-24">
      <span v-for="ribbon in ribbons.list" :key="ribbon.id" class="ribbon">
        <button type="button" class="px-3 pt-2 text-[13px] font-semibold" @click="pull(ribbon)">
          {{ ribbon.document.name }}
        </button>
        <button
          type="button"
          class="self-start px-1.5 pt-1 text-[13px] opacity-80 hover:opacity-100"
          :aria-label="`Take out the ribbon ${ribbon.document.name}`"
          @click="ribbons.remove(ribbon)"
        >
          ×
        </button>
      </span>
    </div>
    <div class="book flex rounded-sm bg-slate-2 p-2" :class="{ tall: !noBatches }">
      <section
        ref="list"
        aria-label="Time line"
        class="min-w-0 flex-1 overflow-y-auto bg-sheet"
        :class="over ? 'max-lg:hidden' : ''"
        :aria-busy="busy"
        tabindex="-1"
      >
        <ol>
          <NextLine v-if="from === null" @written="again" @photos="write" />
          <li class="grid grid-cols-[84px_28px_minmax(0,1fr)] py-2 pr-4">
            <span />
            <span class="relative" aria-hidden="true"
              ><span class="absolute -inset-y-2 left-[13px] w-0.5 bg-ink"
            /></span>
            <div>
              <p class="flex flex-wrap items-baseline justify-between gap-2">
                <b class="text-[16px]" role="status">{{ noBatches ? '' : foundSays }}</b>
                <button
                  v-if="from !== null"
                  type="button"
                  class="link text-[13px]"
                  @click="showFrom(null)"
                >
                  Back to today
                </button>
                <template v-else-if="isAsked">
                  <span class="flex gap-4">
                    <button
                      v-if="!naming"
                      type="button"
                      class="link text-[13px]"
                      @click="naming = true"
                    >
                      Make it a ribbon
                    </button>
                    <button type="button" class="link text-[13px]" @click="clear">Show all</button>
                  </span>
                </template>
              </p>
              <form v-if="naming" class="my-1 flex gap-2" @submit.prevent="keepRibbon">
                <input
                  v-model="ribbonName"
                  class="field min-w-0 flex-1"
                  aria-label="Name of the ribbon"
                  placeholder="Cracked"
                  maxlength="40"
                />
                <AppButton @click="keepRibbon">Keep it</AppButton>
                <button type="button" class="link" @click="naming = false">Leave it</button>
              </form>
              <FilterSentence
                v-if="!noBatches"
                v-model="filter"
                :class="narrowing ? '' : 'max-sm:hidden'"
                :edge="edge"
              />
              <button
                v-if="!noBatches && !narrowing"
                type="button"
                class="link text-[13px] sm:hidden"
                @click="narrowing = true"
              >
                Narrow it
              </button>
              <p v-if="page?.settling" class="text-[13px] text-ink-2">
                {{ say.count(page.settling, 'batch or note is', 'batches and notes are') }} still
                being written into the line.
              </p>
              <p
                v-for="old in !isAsked && from === null ? edge?.thisDay : []"
                :key="old.id"
                class="mt-1 text-[13px]"
              >
                <span class="text-ink-2">{{ anniversaryText(old.when.day!, today) }}:</span>
                <button type="button" class="link ml-1 text-left" @click="choose(old)">
                  {{ old.title || old.says.slice(0, 80) }}
                </button>
              </p>
            </div>
          </li>
          <template v-for="(entry, place) in entries" :key="entry.ref">
            <li
              v-if="gapText(place)"
              class="bg-line-2 py-1 pr-3 pl-[112px] text-[12.5px] text-ink-2"
            >
              {{ gapText(place) }}
            </li>
            <EntryRow
              :entry="entry"
              :marks="marks"
              :open="opened?.ref === entry.ref"
              @choose="choose(entry)"
            />
          </template>
          <li v-if="page && !entries.length && isAsked" class="py-3 pr-4 pl-[112px] text-ink-2">
            Nothing has all of that.
          </li>
          <li
            v-if="nearly && !page?.next && !withNearly"
            class="flex flex-wrap items-baseline justify-between gap-2 py-3 pr-4 pl-[112px] text-[13px]"
          >
            <span class="text-ink-2"
              >{{ nearly.words - 1 }} of your {{ nearly.words }} words:
              <b class="text-ink">{{
                nearly.hits[0]!.entry.title ||
                nearly.hits[0]!.entry.says.slice(0, 60) ||
                nearly.hits[0]!.entry.batchName
              }}</b>, not <i>{{ nearly.hits[0]!.without }}</i><template v-if="nearly.found > 1"
                >, and {{ say.number(nearly.found - 1, 0) }} more</template
              ></span
            >
            <button type="button" class="link" @click="withNearly = true">Show them</button>
          </li>
          <template v-if="withNearly && nearly">
            <template v-for="{ entry, without } in nearly.hits" :key="`nearly ${entry.ref}`">
              <li class="bg-line-2 py-1 pr-3 pl-[112px] text-[12.5px] text-ink-2">
                Not <i>{{ without }}</i>
              </li>
              <EntryRow
                :entry="entry"
                :marks="marks"
                :open="opened?.ref === entry.ref"
                @choose="choose(entry)"
              />
            </template>
          </template>
          <li v-if="page?.next" class="py-3 pl-[112px]">
            <AppButton @click="more">Earlier</AppButton>
          </li>
        </ol>
        <div v-if="noBatches" class="max-w-xl px-6 pt-4 pb-10">
          <p class="text-[17px] font-bold">Nothing is written yet.</p>
          <p class="mt-1 text-ink-2">
            Batches, trials, counts, notes and photos come together here by themselves. Paper stays
            welcome: photograph the pages of an old notebook, a line each is enough.
          </p>
          <p class="mt-4 flex flex-wrap gap-3">
            <AppButton to="/journal/import">Old pages in</AppButton>
            <AppButton to="/journal/first">The first soap, in nine steps</AppButton>
          </p>
        </div>
      </section>
      <div class="stitch w-4 shrink-0 bg-sheet max-lg:hidden" aria-hidden="true" />
      <section
        aria-label="What lies open"
        class="min-w-0 flex-1 overflow-y-auto bg-sheet px-5 pt-6 pb-5 lg:pl-3"
        :class="over ? '' : 'max-lg:hidden'"
        tabindex="-1"
      >
        <button type="button" class="link mb-3 lg:hidden" @click="over = false">
          Back to the line
        </button>
        <p v-if="openProblem" role="alert" class="font-semibold text-stop">{{ openProblem }}</p>
        <template v-if="opened">
          <OpenBatch v-if="batch" :batch="batch" :marks="marks" />
          <OpenNote
            v-if="note"
            :key="note.revision"
            :class="{ 'mt-4 border-t border-line pt-4': batch }"
            :stored="note"
            :marks="marks"
            @change="changeNote"
            @deleted="again"
          />
          <div
            v-for="one in lessonsOfOpen"
            :key="one.ref"
            :class="{ 'mt-4 border-t border-line pt-4': batch }"
          >
            <OpenLesson :entry="one" @changed="changed" />
          </div>
          <template v-if="!batch && !note && opened.kind !== 'lesson'">
            <h2 class="text-[22px] leading-tight font-bold text-ink">{{ opened.title }}</h2>
            <p class="text-[13.5px] text-ink-2">{{ whenKnownText(opened.when, today) }}</p>
            <p class="mt-3">{{ opened.says }}</p>
          </template>
          <p class="mt-5 flex flex-wrap gap-4">
            <AppButton v-if="batch" :to="`/batches/${batch.id}`">Open the batch</AppButton>
            <AppButton v-if="opened.kind === 'trial'" :to="`/scents/trials/${opened.ref}`"
              >Open the trial</AppButton
            >
          </p>
        </template>
      </section>
      <ForeEdge
        v-if="edge?.years.length"
        class="w-[88px] shrink-0 max-sm:hidden"
        :years="edge.years"
        :found="isAsked ? (page?.years ?? []) : []"
        @year="(year) => showFrom(edge!.years.find((one) => one.year === year)!.before)"
      />
    </div>
    <NoteDialog
      v-if="writing"
      v-model="writing"
      :stored="changing"
      :photos="dropped"
      @kept="changed"
    />
  </div>
</template>

<style scoped>
.ribbon {
  display: flex;
  height: 44px;
  color: #f2ead6;
  background: #3d5a60;
  margin-bottom: -10px;
  clip-path: polygon(0 0, 100% 0, 100% 100%, 50% calc(100% - 8px), 0 100%);
  z-index: 1;
}
.stitch {
  background-image: repeating-linear-gradient(
    to bottom,
    var(--color-ink-2) 0 16px,
    transparent 16px 32px
  );
  background-size: 2px 100%;
  background-repeat: no-repeat;
  background-position: center;
}
@media (width >= 64rem) {
  .book.tall {
    height: calc(100dvh - 210px);
    min-height: 480px;
  }
}
</style>
