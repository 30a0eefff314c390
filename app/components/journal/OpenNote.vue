<script setup lang="ts">
import type { Stored } from '#contracts/document'
import type { Note } from '#contracts/journal'
import { readPage } from '#core/journal/page'

/** A note or an old page as it lies open. */
const { stored } = defineProps<{ stored: Stored<Note>; marks: readonly string[] }>()
const emit = defineEmits<{ change: []; deleted: [] }>()
const notes = useNotes()
const toasts = useToasts()
const { say, today } = storeToRefs(useWorkshop())
const note = computed(() => stored.document)
const head = computed(() => {
  const { page, who, people } = note.value
  const number = page?.number ? `, page ${page.number}` : ''
  const from = page ? `${page.book}${number}` : ''
  return [from, who, people.length ? `with ${say.value.list(people, 'and')}` : '']
    .filter(Boolean)
    .join(' · ')
})
const found = computed(() => foundText(note.value, say.value))
const materials = useMaterials()
const formulas = useFormulas()
const short = useShortWords()
const context = useReadingContext()
const router = useRouter()
const hasRecipe = computed(
  () => note.value.typed.trim() !== '' && (note.value.found?.materials.length ?? 0) > 0,
)
/** What stands on the page becomes a formula, with where it comes from; open words are answered first. */
async function toFormula() {
  try {
    await Promise.all([materials.load(), formulas.load(), short.load()])
    const { typed, unit, answers, source, title, who, when } = note.value
    const { report } = readPage(
      typed,
      {
        ...context.value,
        words: short.list.map(({ document }) => document),
        unit,
        answers,
      },
      say.value,
    )
    if (report.open.length) {
      toasts.show(
        `${say.value.count(report.open.length, 'line is', 'lines are')} open: read the page again first.`,
        { bad: true },
      )
      return
    }
    const id = await formulas.create({
      ...report.document,
      name: formulas.freeName(title.slice(0, 60) || 'From an old page'),
      notes: `As it stands on the page:\n${typed}`.slice(0, 20_000),
      source: {
        who: source?.who || who,
        link: source?.link ?? '',
        day: when.known === 'day' ? when.day : null,
        page: stored.id,
      },
    })
    await router.push(`/formulas/${id}`)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
async function remove() {
  try {
    await notes.remove(stored)
    emit('deleted')
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
</script>

<template>
  <article>
    <h2 class="text-[22px] leading-tight font-bold text-ink">
      <MarkedText v-if="note.title" :text="note.title" :marks="marks" />
      <template v-else>{{ whenKnownText(note.when, today) }}</template>
    </h2>
    <p class="text-[13.5px] text-ink-2">
      <template v-if="note.title">{{ whenKnownText(note.when, today) }}</template><template
        v-if="head"
        >{{ note.title ? ' · ' : '' }}{{ head }}</template
      ><template v-if="note.weather"> · {{ note.weather }}</template>
    </p>
    <p v-if="found" class="mt-2 font-[650]">{{ found }}.</p>
    <RichTextView class="mt-3" :text="note.text" />
    <ul v-if="note.typed" class="mt-3 border-t border-line">
      <li
        v-for="(line, place) in note.typed.split('\n')"
        :key="place"
        class="typed border-b border-line-2 py-1"
      >
        <MarkedText :text="line" :marks="marks" />
      </li>
    </ul>
    <p v-if="note.source?.who || note.source?.link" class="mt-2 text-[13.5px] text-ink-2">
      From {{ note.source.who || 'elsewhere'
      }}<template v-if="note.source.link">, {{ note.source.link }}</template
      ><template v-if="note.source.day">, {{ dayText(note.source.day, { today }) }}</template>
    </p>
    <p v-if="note.words.length" class="mt-2 flex flex-wrap gap-2">
      <NuxtLink
        v-for="word in note.words"
        :key="word"
        class="chip !min-h-7 text-[13px]"
        :to="`/journal?find=${encodeURIComponent(word)}`"
        >{{ word }}</NuxtLink
      >
    </p>
    <div v-if="note.photos.length" class="mt-4 grid gap-3">
      <a
        v-for="(photo, place) in note.photos"
        :key="photo"
        :href="`/api/photos/${photo}`"
        target="_blank"
        rel="noopener"
        ><img
          :src="`/api/photos/${photo}`"
          :alt="`Photo ${place + 1} of ${note.title || 'the note'}`"
          class="max-h-[420px] w-full object-contain"
          loading="lazy"
      /></a>
    </div>
    <p class="mt-5 flex flex-wrap gap-4">
      <AppButton @click="emit('change')">{{
        note.importId ? 'Read it again' : 'Change it'
      }}</AppButton>
      <AppButton v-if="hasRecipe" @click="toFormula">Make a formula of it</AppButton>
      <button type="button" class="link" @click="remove">Delete it</button>
    </p>
  </article>
</template>
