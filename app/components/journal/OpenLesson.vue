<script setup lang="ts">
import type { Stored } from '#contracts/document'
import type { Entry, FollowedLesson } from '#contracts/journal'

/** A lesson as it lies open: how it stands, where it was looked for, when it speaks up. */
const { entry } = defineProps<{ entry: Entry }>()
const emit = defineEmits<{ changed: [] }>()
const followed = useFollowed()
const batches = useBatches()
const formulas = useFormulas()
const materials = useMaterials()
const toasts = useToasts()
const { today, say } = storeToRefs(useWorkshop())
void Promise.all([batches.load(), formulas.load(), materials.load()])

/** Followed already; null while it only stands with its batch. Nothing of it is changed before that is known. */
const stored = shallowRef<Stored<FollowedLesson> | null>(null)
let known: Promise<void> = Promise.resolve()
watch(
  () => entry.ref,
  (id) => {
    stored.value = null
    known = api
      .get<Stored<FollowedLesson>>(`/api/lessons/${id}`)
      .then((answer) => void (entry.ref === id && (stored.value = answer)))
      .catch(() => undefined)
  },
  { immediate: true },
)
const lesson = computed(
  (): FollowedLesson =>
    stored.value?.document ?? {
      says: entry.says,
      on: entry.when.day ?? today.value,
      who: entry.who,
      batchId: entry.batchId,
      speaksUp: null,
      seen: [],
      dropped: null,
    },
)
async function change(of: (now: FollowedLesson) => Partial<FollowedLesson>, says: string) {
  await known
  const before = lesson.value
  try {
    const kept = await followed.save(entry.ref, stored.value?.revision ?? 0, {
      ...before,
      ...of(before),
    })
    stored.value = kept
    toasts.show(says, {
      undo: async () => {
        stored.value = await followed.save(entry.ref, kept.revision, before)
        emit('changed')
      },
    })
    emit('changed')
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
const looked = ref('')
const note = ref('')
const others = computed(() => {
  const seen = new Set(lesson.value.seen.map(({ batchId }) => batchId))
  return batches.list.filter(
    ({ id, facts }) => facts.pouredOn && id !== lesson.value.batchId && !seen.has(id),
  )
})
function saw(held: boolean) {
  if (!looked.value) return
  const one = { batchId: looked.value, held, note: note.value.trim() }
  looked.value = ''
  note.value = ''
  void change(
    (now) => ({ seen: [...now.seen, one] }),
    held ? 'It held there.' : 'It did not hold there.',
  )
}
const against = computed(() => lesson.value.seen.filter(({ held, note: why }) => !held && why))
const numberOf = (id: string) =>
  entry.lesson?.batches.find((one) => one.id === id)?.number ??
  batches.list.find((one) => one.id === id)?.number

const editing = ref(false)
const speaks = computed(() => {
  const when = lesson.value.speaksUp
  if (!when) return ''
  const parts = [
    ...(when.anyOf.length
      ? [
          `${say.value.list(
            when.anyOf.map((id) => nameIn(id)),
            'or',
          )} is in it${when.atLeast ? `, from ${say.value.percent(when.atLeast)} on` : ''}`,
        ]
      : []),
    ...(when.gel
      ? [
          { force: 'gel is forced', prevent: 'gel is prevented', leave: 'gel is left to itself' }[
            when.gel
          ],
        ]
      : []),
    ...(when.pattern ? [`it is poured as ${when.pattern.replaceAll('-', ' ')}`] : []),
    ...(when.formulaId
      ? [
          `the formula is ${formulas.list.find(({ id }) => id === when.formulaId)?.document.name ?? 'that one'}`,
        ]
      : []),
  ]
  return parts.length ? `Speaks up when ${say.value.list(parts, 'and')}.` : ''
})
function nameIn(id: string): string {
  const { fats, additives, liquids, scents } = materials.library
  const name =
    fats.get(id)?.name ?? additives.get(id)?.name ?? liquids.get(id)?.name ?? scents?.get(id)?.name
  return (name ?? id).split(',')[0]!
}
</script>

<template>
  <section>
    <div class="flex flex-wrap items-baseline justify-between gap-2">
      <h2>Lesson{{ entry.who ? `, ${entry.who}` : '' }}</h2>
      <span class="text-[13px] text-ink-2"
        >suspected {{ whenKnownText(entry.when, today)
        }}{{ entry.lesson?.state === 'held' ? ', looked for since' : '' }}</span
      >
    </div>
    <p class="typed mt-1 text-[17px] font-[650]" :class="{ 'line-through': lesson.dropped }">
      {{ lesson.says }}
    </p>
    <div class="mt-3 flex flex-wrap items-start gap-x-7 gap-y-3">
      <LessonBars v-if="entry.lesson" :standing="entry.lesson" :tall="40" />
      <div class="min-w-56 flex-1 text-[13.5px]">
        <p v-if="entry.lesson">
          <b>{{ lessonText(entry.lesson) }}</b>
          <template v-if="entry.lesson.state === 'suspected'">
            One batch is none: look for it in the next.</template
          >
        </p>
        <p v-for="one in against" :key="one.batchId">
          Not in batch {{ numberOf(one.batchId) }}: <em>{{ one.note }}</em>
        </p>
        <p class="mt-1.5 text-ink-2">
          {{ speaks || 'It speaks up in no formula yet.' }}
          <button type="button" class="link" @click="editing = true">
            {{ speaks ? 'Edit' : 'Say when it should' }}
          </button>
        </p>
      </div>
    </div>
    <form v-if="!lesson.dropped" class="mt-4 flex flex-wrap items-end gap-2" @submit.prevent>
      <label class="grid gap-1 text-[13px]"
        >Looked for it in
        <select v-model="looked" class="field">
          <option value="">a batch</option>
          <option v-for="batch in others" :key="batch.id" :value="batch.id">
            {{ batch.name }} {{ batch.number }}
          </option>
        </select>
      </label>
      <label class="grid min-w-40 flex-1 gap-1 text-[13px]"
        >What was otherwise, if anything
        <input v-model="note" class="field" maxlength="300" />
      </label>
      <AppButton :disabled="!looked" @click="saw(true)">It held</AppButton>
      <AppButton :disabled="!looked" @click="saw(false)">It did not</AppButton>
    </form>
    <p class="mt-3">
      <button
        v-if="!lesson.dropped"
        type="button"
        class="link"
        @click="change(() => ({ dropped: { on: today, why: '' } }), 'The lesson is dropped.')"
      >
        Drop it
      </button>
      <button
        v-else
        type="button"
        class="link"
        @click="change(() => ({ dropped: null }), 'The lesson stands again.')"
      >
        Take it up again
      </button>
    </p>
    <LessonWhenDialog
      v-if="editing"
      v-model="editing"
      :when="lesson.speaksUp"
      @keep="
        (speaksUp) =>
          change(() => ({ speaksUp }), speaksUp ? 'It speaks up then.' : 'It stays silent.')
      "
    />
  </section>
</template>
