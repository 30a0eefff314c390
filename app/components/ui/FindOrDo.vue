<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import type { BatchSummary } from '#contracts/batch'
import type { Thumbnail } from '#contracts/thumbnail'
import { capital } from '#core/units/language'
import { watchDebounced } from '@vueuse/core'
import { findIn, type Found } from '~/utils/finding'

/** Finds a thing by its name and does something with it; with nothing typed, what is due. */
const open = usePalette()
const query = ref('')
const batches = useBatches()
const { overdue, today: todays } = useDueJobs()
const answer = useDueAnswers()

/** Batches that are off the rack are looked up as somebody types. */
const gone = shallowRef<BatchSummary[]>([])
watchDebounced(
  query,
  async (typed) => {
    const find = typed.trim()
    gone.value = find.length > 1 ? await batches.gone(find) : []
  },
  { debounce: 150 },
)
const things = useThings(() => gone.value)
const finding = computed(() => findIn(things.value, query.value))
/** Verbs that Tab chose of a thing in place of the usual one. */
const chosen = ref<Record<string, number>>({})
watch(query, () => (chosen.value = {}))

interface Row {
  key: string
  thumbnail?: Thumbnail | null
  says: string
  also: string
  /** Which of several verbs is lit, and all of them. */
  verbs: { word: string; lit: boolean; at: number; off: boolean }[]
  whyNot: string | undefined
  act: () => unknown
  found: Found | null
}
const rowOf = (found: Found, verb: string): Row => {
  const { thing } = found
  const at = chosen.value[thing.id] ?? found.verb
  const does = thing.verbs[at]!
  const named = verb || chosen.value[thing.id] !== undefined
  return {
    key: thing.id,
    thumbnail: thing.thumbnail,
    says: named ? `${capital(does.word)} ${thing.name}` : thing.name,
    also: does.whyNot ?? thing.also,
    verbs: thing.verbs.map(({ word, whyNot }, place) => ({
      word,
      at: place,
      lit: place === at,
      off: whyNot !== undefined,
    })),
    whyNot: does.whyNot,
    act: does.act,
    found,
  }
}
const due = (jobs: DueJob[]): Row[] =>
  jobs.slice(0, 6).map((job) => ({
    key: `${job.kind} ${job.batches[0]!.id}`,
    thumbnail: job.batches[0]!.thumbnail,
    says: job.says,
    also: job.because,
    verbs: [],
    whyNot: undefined,
    act: () =>
      dueAnswers[job.kind]
        ? answer(job.kind, job.batches)
        : navigateTo(
            job.kind === 'pour' ? `/bench/${job.batches[0]!.id}` : `/batches/${job.batches[0]!.id}`,
          ),
    found: null,
  }))
/** `note …` is written down at once, whatever else is called so. */
const noted = computed(() => /^(?:note|write)\s+(\S.{2,})$/is.exec(query.value.trim())?.[1] ?? '')
const { write } = useQuickNote()
const noteRow = (text: string): Row => ({
  key: 'note',
  says: `Note: ${text}`,
  also: 'in the journal, of today; 18: at its head is batch 18, @Jo a person, #word a word to find it by',
  verbs: [],
  whyNot: undefined,
  act: () => write(text),
  found: null,
})
const groups = computed((): { title: string; late?: boolean; rows: Row[] }[] => {
  const { verb, doIt, called } = finding.value
  const all = query.value.trim()
    ? [
        { title: 'Journal', rows: noted.value ? [noteRow(noted.value)] : [] },
        { title: 'Do it', rows: doIt.map((one) => rowOf(one, verb)) },
        {
          title: verb ? `Not to ${verb}, but called so` : 'Called so',
          rows: called.map((one) => rowOf(one, '')),
        },
      ]
    : [
        { title: 'Overdue', late: true, rows: due(overdue.value) },
        { title: 'Before the day ends', rows: due(todays.value) },
        { title: 'Anywhere', rows: called.slice(0, 4).map((one) => rowOf(one, '')) },
      ]
  return all.filter(({ rows }) => rows.length)
})
function choose(row: Row | null) {
  if (!row || row.whyNot) return
  open.value = false
  void row.act()
}
/** Tab goes through what can be done with the lit thing. */
function nextVerb(event: KeyboardEvent, row: Row | null) {
  if (!row?.found) return
  event.preventDefault()
  event.stopImmediatePropagation()
  const { thing } = row.found
  const can = row.verbs.filter(({ off }) => !off)
  const at = can.findIndex(({ lit }) => lit)
  const next = can.at((at + (event.shiftKey ? -1 : 1)) % can.length)
  if (next) chosen.value = { ...chosen.value, [thing.id]: next.at }
}
const read = computed(() => {
  const { verb, names } = finding.value
  return verb ? `${verb}: a thing to do${names.length ? ` · ${names.join(' ')}: a name` : ''}` : ''
})
</script>

<template>
  <AppDialog v-model="open" title="Find or do" hide-title wide>
    <Combobox
      v-slot="{ activeOption }"
      :model-value="null"
      nullable
      by="key"
      @update:model-value="choose"
    >
      <div
        @keydown.tab.capture="nextVerb($event, activeOption as Row | null)"
        @keydown.esc.capture.stop="open = false"
      >
        <ComboboxInput
          class="w-full rounded-t-md bg-transparent px-5 py-4 text-[20px] font-semibold outline-none placeholder:font-normal"
          aria-label="Find a formula or batch, or do something"
          placeholder="Weigh, print, find honey"
          autocomplete="off"
          @focus="takeTyped($event.target as HTMLInputElement)"
          @change="query = ($event.target as HTMLInputElement).value"
        />
      </div>
      <p v-if="read" class="border-t border-line-2 px-5 py-1.5 text-sm text-ink-2" role="status">
        {{ read }}
      </p>
      <ComboboxOptions static class="max-h-[60vh] overflow-y-auto border-t border-line-2">
        <template v-for="group in groups" :key="group.title">
          <li
            role="presentation"
            class="px-5 py-1.5 text-sm font-[650]"
            :class="group.late ? 'bg-warn text-white' : 'bg-band text-ink-2'"
          >
            {{ group.title }}
          </li>
          <!-- Anew with every letter: the first of them is lit, not the one that was first before. -->
          <ComboboxOption
            v-for="row in group.rows"
            :key="`${query} ${row.key}`"
            v-slot="{ active }"
            :value="row"
            as="template"
          >
            <li
              class="grid min-h-12 grid-cols-[44px_1fr_auto] items-center gap-x-3.5 border-b border-line-2 px-5 py-1.5"
              :class="[active ? 'bg-warn-ground' : '', row.whyNot ? 'text-ink-2' : '']"
              :aria-disabled="row.whyNot ? true : undefined"
            >
              <BarThumbnail v-if="row.thumbnail" :thumbnail="row.thumbnail" />
              <span v-else />
              <span class="min-w-0"
                ><b class="block font-[650]">{{ row.says }}</b>
                <small class="block truncate text-sm text-ink-2">{{ row.also }}</small></span
              >
              <kbd v-if="active && !row.whyNot" aria-hidden="true">Enter</kbd>
              <span
                v-if="active && row.verbs.length > 1"
                class="col-span-2 col-start-2 flex flex-wrap gap-x-3 text-sm text-ink-2"
                aria-hidden="true"
                >or, with Tab
                <span
                  v-for="verb in row.verbs.filter(({ off, lit }) => !off && !lit)"
                  :key="verb.word"
                  class="cursor-pointer border-b border-line-3 font-semibold text-ink"
                  @click.stop="chosen = { ...chosen, [row.found!.thing.id]: verb.at }"
                  >{{ verb.word }}</span
                ></span
              >
            </li>
          </ComboboxOption>
        </template>
        <li v-if="!groups.length" role="option" aria-selected="false" class="px-5 py-3 text-ink-2">
          Nothing is called that. Try part of a name.
        </li>
      </ComboboxOptions>
      <p
        class="flex flex-wrap gap-x-5 px-5 py-2 text-sm text-ink-2 max-sm:hidden"
        aria-hidden="true"
      >
        <span><kbd>↑</kbd> <kbd>↓</kbd> choose</span><span><kbd>Tab</kbd> another verb</span
        ><span><kbd>Enter</kbd> do it</span><span><kbd>Esc</kbd> closes</span>
      </p>
    </Combobox>
  </AppDialog>
</template>
