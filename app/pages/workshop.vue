<script setup lang="ts">
import { Search } from '@lucide/vue'

/** The workshop as a whole: what it is set to, which devices may do what, and its backups. */
useHead({ title: 'The workshop · Mantle' })
const workshop = useWorkshop()
const { settings } = storeToRefs(workshop)
const { last, find, takeBack } = useSettings()
const search = ref<HTMLInputElement | null>(null)
useShortcuts({ f: () => search.value?.focus() })
onUnmounted(() => {
  find.value = ''
  last.value = null
})
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 pb-8 sm:px-6">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2 py-4">
      <h1>The workshop</h1>
      <p class="min-w-0 text-ink-2" role="status">
        {{ settings.name }}. Kept as you change it<template v-if="last"
          >; last, {{ workshop.timeOf(last.at) }}: {{ last.says.toLowerCase() }}
          <button type="button" class="link min-h-6" @click="takeBack">Take back</button></template
        >
      </p>
      <label class="field ml-auto flex h-10 w-52 items-center gap-2 max-sm:w-full">
        <Search :size="16" class="shrink-0 text-ink-3" aria-hidden="true" />
        <input
          ref="search"
          v-model="find"
          type="search"
          class="w-full min-w-0 bg-transparent outline-none"
          placeholder="Find a setting"
          aria-label="Find a setting"
        />
      </label>
    </div>
    <div
      class="grid grid-cols-[minmax(0,1fr)] items-start gap-4 md:grid-cols-[repeat(2,minmax(0,1fr))] xl:grid-cols-[repeat(3,minmax(0,1fr))]"
    >
      <WordsSettings />
      <MakingSettings />
      <div class="grid gap-4 md:max-xl:col-span-2">
        <DevicesCard />
        <JarSettings />
      </div>
    </div>
    <BackupCard class="mt-4" />
  </div>
</template>
