<script setup lang="ts">
import type { FormulaVersion, VersionChange, VersionNotes } from '#contracts/version'
import { changesBetween, inOneLine } from '#core/versions/changes'

/** The named versions of a formula: keep one, say what it was for, later whether it did it; compare and bring back. */
const editor = useFormulaEditor()
const { document, save } = editor
const open = defineModel<boolean>({ required: true })
const { library } = storeToRefs(useMaterials())
const workshop = useWorkshop()
const { say } = storeToRefs(workshop)
const toasts = useToasts()

/** The page's own list: its version line follows what is kept here. */
const list = editor.versions
const loaded = ref(false)
const problem = ref('')
/** What it is to be called: the next in line until somebody types, whenever the list comes. */
const typedName = ref<string | null>(null)
const name = computed({
  get: () => typedName.value ?? (loaded.value ? `Version ${(list.value[0]?.number ?? 0) + 1}` : ''),
  set: (text: string) => (typedName.value = text),
})
const purpose = ref('')
const busy = ref(false)
/** Of the version that the form makes: pressed twice, it is made once. */
let versionId = newId()

async function load() {
  try {
    list.value = await api.get<FormulaVersion[]>(`/api/formulas/${editor.id}/versions`)
    for (const version of list.value) kept.set(version.id, version)
    loaded.value = true
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
onMounted(load)

/** What is changed since the last one, each thing by itself; and what each is for. */
const changed = computed(() =>
  list.value[0]
    ? changesBetween(list.value[0].document, document.value, library.value, workshop.say)
    : [],
)
const purposes = ref<Record<string, string>>({})
const lineFrom = (before: FormulaVersion | undefined, after: FormulaVersion['document']) =>
  before
    ? inOneLine(changesBetween(before.document, after, library.value, workshop.say))
    : 'The first one kept.'
const sinceLast = computed(() => lineFrom(list.value[0], document.value))
const unchanged = computed(() => list.value.length > 0 && sinceLast.value === inOneLine([]))

const box = ref<{ kept: () => void }>()
async function keep() {
  if (!name.value.trim()) {
    problem.value = 'Give the version a name.'
    return
  }
  busy.value = true
  problem.value = ''
  try {
    await save.flush()
    if (save.state.value !== 'saved')
      throw new ApiError(0, [{ path: '', says: save.problem.value }])
    const made = await api.post<FormulaVersion>(`/api/formulas/${editor.id}/versions`, {
      id: versionId,
      revision: save.revision.value,
      name: name.value,
      purpose: purpose.value,
      changes:
        changed.value.length > 1
          ? changed.value.map((what) => ({ what, purpose: purposes.value[what] ?? '' }))
          : [],
    })
    kept.set(made.id, made)
    list.value = [made, ...list.value]
    box.value?.kept()
    versionId = newId()
    typedName.value = null
    purpose.value = ''
    purposes.value = {}
  } catch (error) {
    problem.value = sentenceOf(error)
  } finally {
    busy.value = false
  }
}
/** As the server has them; what is on screen may be further on. */
const kept = new Map<string, FormulaVersion>()
const put = (version: FormulaVersion) => {
  list.value = list.value.map((one) => (one.id === version.id ? version : one))
}
const shown = (id: string) => list.value.find((one) => one.id === id)!
/** What is being typed stays on screen, whatever answer comes meanwhile. */
const type = (id: string, notes: Partial<VersionNotes>) => put({ ...shown(id), ...notes })
/** Notes are kept one after the other, each on what was kept before it: two quick changes do not undo each other. */
let writing = Promise.resolve()
function write(id: string, notes: Partial<VersionNotes>) {
  type(id, notes)
  writing = writing.then(() => send(id, notes))
}
async function send(id: string, notes: Partial<VersionNotes>) {
  const before = kept.get(id)!
  const {
    revision,
    name: called,
    purpose: wanted,
    didIt,
    learned,
    changes,
  } = { ...before, ...notes }
  try {
    const after = await api.put<FormulaVersion>(`/api/versions/${id}`, {
      revision,
      name: called,
      purpose: wanted,
      didIt,
      learned,
      changes,
    })
    kept.set(id, after)
    problem.value = ''
  } catch (error) {
    const theirs = error instanceof ApiError ? (error.body.theirs as FormulaVersion) : undefined
    if (!theirs) return void (problem.value = sentenceOf(error))
    kept.set(id, theirs)
    const clash = (Object.keys(notes) as (keyof VersionNotes)[]).filter(
      (key) => JSON.stringify(theirs[key]) !== JSON.stringify(before[key]),
    )
    put(clash.length ? theirs : { ...theirs, ...notes })
    // Something else of it was changed elsewhere: both stay.
    if (!clash.length) return send(id, notes)
    const typed = clash.flatMap((key) => {
      const told = notes[key]
      return typeof told === 'string' && told ? [told] : []
    })
    problem.value = `“${theirs.name}” was written about in another window meanwhile; what stands here now is from there.${
      typed.length ? ` You wrote: “${typed.join('”, “')}”.` : ''
    }`
  }
}
function bringBack(version: FormulaVersion) {
  editor.change(version.document)
  toasts.show(`${document.value.name} is as in “${version.name}” again.`, {
    undo: () => editor.history.undo(),
  })
  open.value = false
}
/** One of several changes of a version, written about. */
const withChange = (version: FormulaVersion, place: number, told: Partial<VersionChange>) => ({
  changes: version.changes.map((one, index) => (index === place ? { ...one, ...told } : one)),
})
const textOf = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <AppDialog ref="box" v-model="open" title="Versions" wide>
    <div class="grid max-h-[72vh] gap-4 overflow-y-auto px-5 py-4">
      <form class="grid gap-3 sm:grid-cols-[13rem_1fr_auto]" @submit.prevent="keep">
        <FieldRow says="Keep it as it is now, as">
          <input v-model="name" class="field font-normal" maxlength="80" />
        </FieldRow>
        <FieldRow says="What the change is for">
          <input
            v-model="purpose"
            class="field font-normal"
            maxlength="500"
            placeholder="More foam in hard water"
          />
        </FieldRow>
        <AppButton kind="main" class="self-end" :disabled="busy || unchanged" @click="keep">
          Keep
        </AppButton>
        <p v-if="changed.length < 2" class="text-ink-2 sm:col-span-3">
          <b class="font-semibold">Since the last one:</b> {{ sinceLast }}
        </p>
        <div v-else class="grid gap-1.5 sm:col-span-3">
          <p class="text-ink-2">
            <b class="font-semibold"
              >Since the last one {{ say.count(changed.length, 'thing', 'things') }} changed.</b
            >
            What is each for? With several at once nobody can tell afterwards which of them did it.
          </p>
          <label
            v-for="what in changed"
            :key="what"
            class="grid items-center gap-2 sm:grid-cols-[1fr_1fr]"
            >{{ what }}
            <input
              v-model="purposes[what]"
              class="field"
              maxlength="500"
              placeholder="for …"
              :aria-label="`What ${what} is for`"
          /></label>
        </div>
      </form>
      <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
      <ol v-if="list.length" data-live aria-label="Versions, the newest first">
        <li v-for="(version, index) in list" :key="version.id" class="border-t border-line py-3">
          <div class="flex flex-wrap items-baseline gap-x-3">
            <b class="text-[15.5px] font-[650]">{{ version.number }}. {{ version.name }}</b>
            <span class="text-sm text-ink-2">{{
              dayText(workshop.dayOf(version.keptAt), { today: workshop.today })
            }}</span>
            <span class="ml-auto flex gap-4">
              <NuxtLink
                class="link"
                :to="{
                  path: '/formulas/compare',
                  query: { a: `v:${version.id}`, b: `f:${editor.id}` },
                }"
                >Compare with now</NuxtLink
              >
              <button type="button" class="link" @click="bringBack(version)">Bring it back</button>
            </span>
          </div>
          <p v-if="!version.changes.length">{{ lineFrom(list[index + 1], version.document) }}</p>
          <ul v-else class="mt-1 grid gap-1.5" aria-label="What was changed">
            <li
              v-for="(change, place) in version.changes"
              :key="change.what"
              class="grid items-center gap-2 sm:grid-cols-[1fr_1fr_9rem]"
            >
              <span>{{ change.what }}</span>
              <input
                class="field py-1"
                maxlength="500"
                placeholder="for …"
                :value="change.purpose"
                :aria-label="`What ${change.what} was for`"
                @change="
                  write(version.id, withChange(version, place, { purpose: textOf($event).trim() }))
                "
              />
              <DidItSelect
                :aria-label="`Whether ${change.what} did it`"
                :model-value="change.didIt"
                @update:model-value="
                  write(version.id, withChange(version, place, { didIt: $event }))
                "
              />
            </li>
            <li class="text-sm text-ink-2">
              They went in together: from this version alone one cannot tell which of them did it.
            </li>
          </ul>
          <div class="mt-1.5 grid gap-2 sm:grid-cols-[1fr_9rem_1fr]">
            <label class="grid gap-0.5 text-sm text-ink-2">
              For
              <textarea
                rows="1"
                class="field resize-none py-1 text-ink [field-sizing:content]"
                maxlength="500"
                :value="version.purpose"
                :aria-label="`What ${version.name} was for`"
                @input="type(version.id, { purpose: textOf($event) })"
                @change="write(version.id, { purpose: textOf($event).trim() })"
              ></textarea>
            </label>
            <label class="grid gap-0.5 text-sm text-ink-2">
              Did it do it?
              <DidItSelect
                :aria-label="`Whether ${version.name} did it`"
                :model-value="version.didIt"
                @update:model-value="write(version.id, { didIt: $event })"
              />
            </label>
            <label class="grid gap-0.5 text-sm text-ink-2">
              What was learned
              <textarea
                rows="1"
                class="field resize-none py-1 text-ink [field-sizing:content]"
                maxlength="500"
                :value="version.learned"
                :aria-label="`What was learned from ${version.name}`"
                @input="type(version.id, { learned: textOf($event) })"
                @change="write(version.id, { learned: textOf($event).trim() })"
              ></textarea>
            </label>
          </div>
          <p class="mt-1 text-sm">
            <NuxtLink
              class="link"
              :to="{
                path: '/journal/ask',
                query: { q: `version ${version.number} of ${document.name}` },
              }"
              >What your batches say</NuxtLink
            >
          </p>
        </li>
      </ol>
      <p v-else-if="loaded" class="text-ink-2">
        Nothing is kept yet. Keep a version before a change, with what the change is for; after the
        cure, come back and say whether it did it.
      </p>
    </div>
    <template #actions><AppButton @click="open = false">Done</AppButton></template>
  </AppDialog>
</template>
