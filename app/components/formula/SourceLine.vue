<script setup lang="ts">
import type { Source } from '#contracts/formula'

/** Where a recipe comes from: whose it is, the link as written, the day; the old page with its picture where there is one. */
const { source } = defineProps<{ source: Source | undefined }>()
const emit = defineEmits<{ change: [source: Source | undefined] }>()
const { today } = storeToRefs(useWorkshop())
const open = ref(false)
const blank: Source = { who: '', link: '', day: null, page: null }
function put(changes: Partial<Source>) {
  const next = { ...blank, ...source, ...changes }
  emit('change', JSON.stringify(next) === JSON.stringify(blank) ? undefined : next)
}
const valueOf = (event: Event) => (event.target as HTMLInputElement).value.trim()
const said = computed(() => {
  if (!source) return 'Your own recipe.'
  const day = source.day ? `, ${dayText(source.day, { today: today.value })}` : ''
  return `From ${source.who || 'elsewhere'}${source.link ? `, ${source.link}` : ''}${day}.`
})
</script>

<template>
  <div class="text-[13.5px]">
    <p class="text-ink-2">
      {{ said }}
      <NuxtLink v-if="source?.page" class="link" :to="`/journal?open=${source.page}`"
        >Its page</NuxtLink
      >
      <button type="button" class="link ml-1" :aria-expanded="open" @click.prevent="open = !open">
        {{ open ? 'Close' : 'Say where it is from' }}
      </button>
    </p>
    <div v-if="open" class="mt-1 grid gap-2 sm:grid-cols-3">
      <input
        class="field"
        aria-label="Whose recipe it is"
        placeholder="Whose it is"
        maxlength="120"
        :value="source?.who"
        @change="put({ who: valueOf($event) })"
      />
      <input
        class="field"
        aria-label="Its link, as written"
        placeholder="Its link, as written"
        maxlength="500"
        :value="source?.link"
        @change="put({ link: valueOf($event) })"
      />
      <input
        type="date"
        class="field"
        aria-label="Day of the recipe"
        :value="source?.day"
        @change="put({ day: valueOf($event) || null })"
      />
    </div>
  </div>
</template>
