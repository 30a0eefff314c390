<script setup lang="ts">
import type { FormulaDocument } from '#contracts/formula'
import type { Entry } from '#contracts/journal'
import { pours } from '#core/batter/patterns'
import { lessonSpeaks, lessonState } from '#core/journal/lesson'
import { plainWord } from '#core/materials/tokens'
import { troubleKinds } from '#core/troubles/kinds'
import { watchDebounced } from '@vueuse/core'

/** What the journal has to say of a formula while it is planned: lessons that speak up, and earlier pages with its scents, extras and pour. */
const { document, formulaId } = defineProps<{ document: FormulaDocument; formulaId: string }>()
const { library } = storeToRefs(useMaterials())
const { say, today } = storeToRefs(useWorkshop())
const followed = useFollowed()
const batches = useBatches()
void followed.load()

/** Words that stand in too many names to tell anything. */
const common = new Set([
  'oil',
  'essential',
  'fragrance',
  'powder',
  'clay',
  'acid',
  'and',
  'the',
  'with',
  'plain',
])
const words = computed(() => {
  const names = [
    ...document.scents.map(({ name, id }) => name ?? id),
    ...document.additives.map(({ id }) => library.value.additives.get(id)?.name ?? id),
    ...document.liquids.map(({ id }) => library.value.liquids.get(id)?.name ?? id),
    ...(document.size.by === 'moulds' ? document.size.moulds.map(({ name }) => name) : []),
    // What went wrong with batches of it is looked for in all the others.
    ...batches.list
      .filter((batch) => batch.formulaId === formulaId)
      .flatMap(({ facts }) => facts.troubles.map(({ trouble }) => troubleKinds[trouble].says)),
    ...document.method.patterns
      .filter((pattern) => pattern !== 'plain')
      .map((pattern) => pours[pattern].says),
  ]
  return [
    ...new Set(
      names
        .flatMap((name) => plainWord(name.split(',')[0]!).split(/[^\p{L}\p{N}]+/u))
        .filter((word) => word.length > 2 && !common.has(word)),
    ),
  ].slice(0, 24)
})
const entries = shallowRef<Entry[]>([])
watchDebounced(
  () => words.value.join(' '),
  async () => {
    entries.value = words.value.length
      ? await api
          .post<Entry[]>('/api/journal/about', { words: words.value })
          .catch(() => entries.value)
      : []
  },
  { debounce: 400, immediate: true },
)
const lessons = computed(() =>
  followed.list.filter(
    (one) =>
      !one.document.dropped &&
      one.document.speaksUp &&
      lessonSpeaks(one.document.speaksUp, document, formulaId),
  ),
)
const stands = (lesson: (typeof lessons.value)[number]) => {
  const state = lessonState(lesson.document)
  return lessonText({ ...state, batches: [] })
}
const others = computed(() => {
  const told = new Set(lessons.value.map(({ id }) => id))
  return entries.value.filter(({ ref: one }) => !told.has(one)).slice(0, 4)
})
</script>

<template>
  <section
    v-if="lessons.length || others.length"
    class="border-t border-line-2 px-4 py-3"
    aria-label="From the journal"
  >
    <h2 class="mb-1.5">From the journal</h2>
    <ul class="grid gap-2">
      <li v-for="lesson in lessons" :key="lesson.id" class="border-l-4 border-ok pl-3">
        <em class="typed font-[650]">{{ lesson.document.says }}</em>
        <NuxtLink class="link ml-2 text-sm" :to="`/journal?kind=lesson&open=${lesson.id}`">{{
          stands(lesson)
        }}</NuxtLink>
      </li>
      <li v-for="entry in others" :key="entry.ref" class="border-l-4 border-line-3 pl-3">
        <span :class="{ typed: entry.byHand }" class="line-clamp-2">{{
          [entry.title, entry.says].filter(Boolean).join(': ')
        }}</span>
        <small class="block text-sm text-ink-2"
          >{{ overText(entry, say) }}, {{ whenKnownText(entry.when, today)
          }}<template v-if="entry.batchName"
            >, of
            <NuxtLink class="link" :to="`/batches/${entry.batchId}`"
              >{{ entry.batchName }} {{ entry.number }}</NuxtLink
            ></template
          ><template v-else>
            ·
            <NuxtLink
              class="link"
              :to="`/journal?find=${encodeURIComponent(entry.title || entry.says.slice(0, 40))}&open=${entry.ref}`"
              >open</NuxtLink
            ></template
          ></small
        >
      </li>
    </ul>
  </section>
</template>
