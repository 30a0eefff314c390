<script setup lang="ts">
import type { Note } from '#contracts/journal'
import type { Stored } from '#contracts/document'
import { knownDay } from '#core/journal/knownDay'
import { plainText } from '#core/journal/plainText'
import { Camera } from '@lucide/vue'

/** A note of the journal: written anew, or changed. Its id is made when the dialog opens, so that a lost answer makes no second one. */
const open = defineModel<boolean>({ required: true })
const { stored = null, photos = [] } = defineProps<{
  stored?: Stored<Note> | null
  /** Pictures that were dropped where it was opened from. */
  photos?: readonly File[]
}>()
const emit = defineEmits<{ kept: [stored: Stored<Note>] }>()
const notes = useNotes()
const batches = useBatches()
const workshop = useWorkshop()
const { today, say } = storeToRefs(workshop)
void batches.load()

const id = stored?.id ?? newId()
let revision = stored?.revision ?? 0
const begun: Note = stored?.document ?? blankNote(today.value)
const note = reactive({
  title: begun.title,
  text: begun.text,
  who: begun.who || lastWriter.value,
  people: say.value.list(begun.people),
  words: say.value.list(begun.words),
  weather: begun.weather,
  when: stored ? whenTyped(begun.when) : today.value,
  batchId: begun.batchId ?? '',
})
const ids = ref([...begun.photos])
/** Pictures that are not sent yet: a note they could belong to is kept first. */
const files = ref<{ id: string; file: File; url: string }[]>([])
const addFiles = (list: Iterable<File>) => {
  for (const file of list)
    if (file.type.startsWith('image/'))
      files.value = [...files.value, { id: newId(), file, url: URL.createObjectURL(file) }]
}
addFiles(photos)
onBeforeUnmount(() => files.value.forEach(({ url }) => URL.revokeObjectURL(url)))

const when = computed(() =>
  note.when.trim()
    ? knownDay(note.when, today.value)
    : { day: null, known: 'none' as const, guessed: false },
)
const problem = ref('')
const busy = ref(false)
const empty = computed(
  () => !plainText(note.text) && !note.title.trim() && !files.value.length && !ids.value.length,
)
const listOf = (text: string) => [
  ...new Set(
    text
      .split(/[,;]|\s#|\s@/)
      .map((word) => word.replace(/^[#@]/, '').trim())
      .filter(Boolean),
  ),
]
const chosen = computed(() => batches.list.find((batch) => batch.id === note.batchId))
const dialog = useTemplateRef<{ kept: () => void }>('dialog')

async function keep() {
  if (empty.value || !when.value || busy.value) return
  busy.value = true
  problem.value = ''
  const document = (): Note => ({
    ...begun,
    title: note.title.trim(),
    text: note.text,
    who: note.who.trim(),
    people: listOf(note.people),
    words: listOf(note.words),
    weather: note.weather.trim(),
    when: when.value!,
    batchId: note.batchId || null,
    photos: ids.value,
  })
  try {
    let saved = await notes.save(id, revision, document())
    revision = saved.revision
    for (const one of [...files.value]) {
      ids.value = [...ids.value, await sendPhoto(`notes/${id}`, one.file)]
      files.value = files.value.filter((file) => file !== one)
    }
    if (ids.value.length !== saved.document.photos.length) {
      saved = await notes.save(id, revision, document())
      revision = saved.revision
    }
    lastWriter.value = document().who
    dialog.value?.kept()
    emit('kept', saved)
    open.value = false
  } catch (error) {
    const theirs = newerOf<Note>(error)
    // What is typed here stays, and the next press puts it over the other.
    if (theirs) revision = theirs.revision
    problem.value = theirs
      ? `${sentenceOf(error)} What is typed here stays: keep it again to put it in its place.`
      : error instanceof ApiError
        ? error.message
        : 'One of these is no picture that can be read.'
  } finally {
    busy.value = false
  }
}
function onDrop(event: DragEvent) {
  addFiles(event.dataTransfer?.files ?? [])
}
function onPaste(event: ClipboardEvent) {
  const pasted = [...(event.clipboardData?.files ?? [])]
  if (!pasted.length) return
  event.preventDefault()
  addFiles(pasted)
}
</script>

<template>
  <AppDialog
    ref="dialog"
    v-model="open"
    :title="stored ? 'Change the note' : 'Write in the journal'"
    wide
    full
    :keep="empty || !when ? undefined : { says: 'Keep it', act: keep }"
  >
    <form
      class="grid gap-3 px-5 py-4"
      @submit.prevent="keep"
      @keydown.ctrl.enter.prevent="keep"
      @keydown.meta.enter.prevent="keep"
      @dragover.prevent
      @drop.prevent="onDrop"
      @paste="onPaste"
    >
      <label class="grid gap-1"
        >Title, if it has one
        <input v-model="note.title" class="field" maxlength="160" />
      </label>
      <RichEditor v-model="note.text" label="The note" />
      <div class="grid gap-3 sm:grid-cols-2">
        <label class="grid gap-1"
          >When, as far as known
          <input
            v-model="note.when"
            class="field"
            maxlength="40"
            :aria-invalid="!when"
            aria-describedby="note-when"
          />
          <span id="note-when" class="text-[13px]" :class="when ? 'text-ink-2' : 'text-stop'">{{
            when
              ? whenKnownText(when, today)
              : 'No day up to today: write it as 11 June 2009, June 2009 or 2009.'
          }}</span>
        </label>
        <label class="grid content-start gap-1"
          >Who writes
          <input v-model="note.who" class="field" maxlength="60" autocomplete="off" />
        </label>
        <label class="grid content-start gap-1"
          >Who else is in it
          <input v-model="note.people" class="field" placeholder="Jo, Idris" autocomplete="off" />
        </label>
        <label class="grid content-start gap-1"
          >Words to find it by
          <input
            v-model="note.words"
            class="field"
            placeholder="tired, harvest"
            autocomplete="off"
          />
        </label>
        <label class="grid content-start gap-1"
          >Weather
          <input
            v-model="note.weather"
            class="field"
            maxlength="120"
            placeholder="bright, easterly"
          />
        </label>
        <label class="grid content-start gap-1"
          >About a batch
          <select v-model="note.batchId" class="field">
            <option value="">none</option>
            <option v-if="note.batchId && !chosen" :value="note.batchId">as before</option>
            <option v-for="batch in batches.list" :key="batch.id" :value="batch.id">
              {{ batch.name }} {{ batch.number }}
            </option>
          </select>
        </label>
      </div>
      <div class="flex flex-wrap items-center gap-3">
        <figure v-for="(photo, place) in ids" :key="photo" class="relative">
          <img
            :src="`/api/photos/${photo}`"
            :alt="`Photo ${place + 1}`"
            class="size-20 object-cover"
          />
          <button
            type="button"
            class="absolute top-0 right-0 size-6 bg-slate text-white"
            :aria-label="`Leave out photo ${place + 1}`"
            @click="ids = ids.filter((one) => one !== photo)"
          >
            ×
          </button>
        </figure>
        <figure v-for="(file, place) in files" :key="file.id" class="relative">
          <img :src="file.url" :alt="`New photo ${place + 1}`" class="size-20 object-cover" />
          <button
            type="button"
            class="absolute top-0 right-0 size-6 bg-slate text-white"
            :aria-label="`Leave out new photo ${place + 1}`"
            @click="files = files.filter((one) => one !== file)"
          >
            ×
          </button>
        </figure>
        <label
          class="flex min-h-11 cursor-pointer items-center gap-2 rounded-sm border border-dashed border-line-3 px-4 focus-within:outline-2"
          ><Camera :size="16" aria-hidden="true" /> Photos: choose, drop or paste
          <input
            type="file"
            accept="image/*"
            multiple
            class="sr-only"
            @change="addFiles(($event.target as HTMLInputElement).files ?? [])"
          />
        </label>
      </div>
      <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    </form>
    <template #actions>
      <AppButton kind="main" :disabled="empty || !when || busy" @click="keep"
        >{{ busy ? 'Keeping…' : 'Keep it' }}
        <kbd class="text-white max-sm:hidden">Ctrl Enter</kbd></AppButton
      >
    </template>
  </AppDialog>
</template>
