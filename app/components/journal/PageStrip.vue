<script setup lang="ts">
import type { Stored } from '#contracts/document'
import type { Note } from '#contracts/journal'

/** The pages of a notebook in a row: what is read, what is a gap, where one is, what is to come; months beneath. */
const { pages, at } = defineProps<{ pages: readonly Stored<Note>[]; at: number }>()
defineEmits<{ turn: [place: number] }>()
const { today } = storeToRefs(useWorkshop())
const strip = useTemplateRef<HTMLElement>('strip')
watch(
  () => at,
  async () => {
    await nextTick()
    intoMiddle(strip.value)
  },
  { immediate: true },
)
const stateOf = ({ document: { what, title, when } }: Stored<Note>) =>
  what === 'unread'
    ? 'not read yet'
    : what === 'gap'
      ? 'a gap'
      : `${title || 'no title'}, ${whenKnownText(when, today.value)}`
/** Months of pages that stand beside each other. */
const months = computed(() => {
  const spans: { says: string; from: number; to: number }[] = []
  pages.forEach(({ document: { what, when } }, place) => {
    const says =
      what !== 'unread' && when.day
        ? when.known === 'year'
          ? when.day.slice(0, 4)
          : monthText(when.day, '')
        : ''
    const last = spans.at(-1)
    if (last?.says === says) last.to = place
    else spans.push({ says, from: place, to: place })
  })
  return spans.filter(({ says }) => says)
})
const wide = 31
</script>

<template>
  <div ref="strip" class="overflow-x-auto pb-1">
    <ol class="flex" :style="{ width: `${pages.length * wide}px` }">
      <li
        v-for="(page, place) in pages"
        :key="page.id"
        class="shrink-0"
        :style="{ width: `${wide}px` }"
      >
        <span class="figure block h-4 text-center text-[12px] text-ink-2" aria-hidden="true">{{
          place === 0 || (place + 1) % 5 === 0 ? place + 1 : ''
        }}</span>
        <button
          type="button"
          class="leaf"
          :class="[page.document.what, { now: place === at }]"
          :aria-current="place === at ? 'page' : undefined"
          :aria-label="`Page ${place + 1}, ${stateOf(page)}`"
          :title="stateOf(page)"
          @click="$emit('turn', place)"
        >
          <img
            v-if="page.document.photos[0] && page.document.what !== 'gap'"
            :src="`/api/photos/${page.document.photos[0]}`"
            alt=""
            class="size-full object-cover"
            loading="lazy"
          />
          <span v-else-if="page.document.what === 'gap'" aria-hidden="true">?</span>
        </button>
      </li>
    </ol>
    <div class="relative h-5" :style="{ width: `${pages.length * wide}px` }" aria-hidden="true">
      <span
        v-for="span in months"
        :key="span.from"
        class="absolute overflow-hidden border-t border-line-3 text-center text-[12px] whitespace-nowrap text-ink-2"
        :style="{
          left: `${span.from * wide + 2}px`,
          width: `${(span.to - span.from + 1) * wide - 6}px`,
        }"
        :title="span.says"
        >{{ span.to - span.from < 2 ? span.says.slice(0, 3) : span.says }}</span
      >
    </div>
  </div>
</template>

<style scoped>
.leaf {
  display: grid;
  place-items: center;
  width: 27px;
  height: 36px;
  margin: 2px;
  background: #f4ecd9;
  border: 1px solid #d6c79f;
  color: var(--color-warn);
  font-weight: 700;
}
.leaf.unread {
  opacity: 0.55;
  filter: grayscale(0.7);
}
.leaf.gap {
  border: 2px dashed var(--color-warn);
  background: var(--color-warn-ground);
}
.leaf.now {
  outline: 3px solid var(--color-ink);
  opacity: 1;
  filter: none;
}
</style>
