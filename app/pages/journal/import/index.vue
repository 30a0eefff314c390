<script setup lang="ts">
import { Images, Keyboard, Table2 } from '@lucide/vue'

/** Old notebooks on their way in: photos of pages, a table, or a page that is only typed; and what came in before. */
useHead({ title: 'Old pages in · Mantle' })
const router = useRouter()
const imports = useImports()
const { today, say } = storeToRefs(useWorkshop())
onMounted(() => imports.load())
const { progress, problem, begin, stop } = usePagesDrop()
const next = computed(
  () => `Notebook ${imports.list.filter(({ document }) => document.kind === 'pages').length + 1}`,
)
const name = ref('')
const over = ref(false)
async function take(files: Iterable<File>) {
  over.value = false
  const id = await begin(name.value.trim() || next.value, [...files])
  if (id) await router.push(`/journal/import/${id}`)
}
async function typeOne() {
  const id = await begin(name.value.trim() || next.value, [])
  if (id) await router.push(`/journal/import/${id}`)
}
const tables = computed(() => imports.list.filter(({ document }) => document.kind === 'table'))
const books = computed(() => imports.list.filter(({ document }) => document.kind === 'pages'))
const toasts = useToasts()
async function takeOut(stored: (typeof imports.list)[number]) {
  try {
    await imports.remove(
      stored,
      `${stored.document.name} is out again, with all that came in with it.`,
    )
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
</script>

<template>
  <div class="mx-auto max-w-[1100px] px-4 py-6 sm:px-6">
    <NuxtLink to="/journal" class="link">Journal</NuxtLink>
    <h1 class="mt-1">Old pages in</h1>
    <p class="mt-1 max-w-2xl text-ink-2">
      A title is enough. What you cannot read stays a gap; what you type is read by the same careful
      reader as any recipe, and its lye is reckoned again.
    </p>
    <p v-if="problem" role="alert" class="mt-3 font-semibold text-stop">{{ problem }}</p>
    <label class="mt-5 grid max-w-sm gap-1"
      >What the notebook is called
      <input v-model="name" class="field" :placeholder="next" maxlength="80" />
    </label>
    <div class="mt-4 grid gap-4 md:grid-cols-3">
      <label
        class="grid min-h-44 cursor-pointer content-center justify-items-center gap-2 rounded-md border-2 border-dashed border-line-3 bg-sheet p-5 text-center focus-within:outline-3 focus-within:outline-act"
        :class="{ 'bg-act-ground': over }"
        @dragover.prevent="over = true"
        @dragleave="over = false"
        @drop.prevent="take($event.dataTransfer?.files ?? [])"
      >
        <Images :size="32" aria-hidden="true" />
        <b class="text-[16px]">Photos of its pages</b>
        <span class="text-ink-2">Drop forty at once, in the order of their names.</span>
        <input
          type="file"
          accept="image/*"
          multiple
          class="sr-only"
          aria-label="Photos of pages"
          :disabled="progress !== null"
          @change="take(($event.target as HTMLInputElement).files ?? [])"
        />
      </label>
      <NuxtLink
        to="/journal/import/table"
        class="grid min-h-44 content-center justify-items-center gap-2 rounded-md border border-line-3 bg-sheet p-5 text-center hover:border-ink"
      >
        <Table2 :size="32" aria-hidden="true" />
        <b class="text-[16px]">A spreadsheet</b>
        <span class="text-ink-2">.xlsx, .csv, or pasted: one row a batch.</span>
      </NuxtLink>
      <button
        type="button"
        class="grid min-h-44 content-center justify-items-center gap-2 rounded-md border border-line-3 bg-sheet p-5 text-center hover:border-ink"
        :disabled="progress !== null"
        @click="typeOne"
      >
        <Keyboard :size="32" aria-hidden="true" />
        <b class="text-[16px]">A page without a photo</b>
        <span class="text-ink-2">Typed or pasted as it stands.</span>
      </button>
    </div>
    <div v-if="progress" class="mt-4 flex flex-wrap items-center gap-4" role="status">
      <progress
        :value="progress.done"
        :max="progress.of"
        class="h-2 w-64"
        aria-label="Pages kept"
      />
      <span>{{ progress.done }} of {{ say.count(progress.of, 'page', 'pages') }} kept</span>
      <AppButton @click="stop">Stop, and take them out</AppButton>
    </div>

    <section v-if="books.length || tables.length" class="mt-8">
      <h2>Came in before</h2>
      <ul class="sheet mt-2 divide-y divide-line">
        <li
          v-for="stored in [...books, ...tables]"
          :key="stored.id"
          class="flex flex-wrap items-center gap-x-5 gap-y-1 px-4 py-2.5"
        >
          <b class="min-w-40 flex-1">{{ stored.document.name }}</b>
          <span class="text-ink-2"
            >{{
              stored.document.kind === 'pages'
                ? say.count(stored.document.count, 'page', 'pages')
                : say.count(stored.document.count, 'row', 'rows')
            }}, {{ dayText(stored.document.day, { today }) }}</span
          >
          <NuxtLink class="link" :to="`/journal/import/${stored.id}`">Look through it</NuxtLink>
          <button type="button" class="link" @click="takeOut(stored)">Take all out again</button>
        </li>
      </ul>
    </section>
  </div>
</template>
