<script setup lang="ts">
import type { Entry } from '#contracts/journal'

/** One thing on the time line: its day on the left of the line, what it is on the right. */
const { entry, marks, open } = defineProps<{
  entry: Entry
  marks: readonly string[]
  /** It lies open on the other page. */
  open: boolean
}>()
defineEmits<{ choose: [] }>()
const { say, today } = storeToRefs(useWorkshop())
const days = computed(() => whenLines(entry.when, today.value))
/** What is passed over by the eye: no frame of its own. */
const small = computed(() => entry.kind === 'trial' || entry.kind === 'count')
const over = computed(() => overText(entry, say.value))
</script>

<template>
  <li
    class="relative grid grid-cols-[84px_28px_minmax(0,1fr)] pr-4"
    :class="open ? 'bg-chalk text-[#182022] [&_.quiet]:text-[#4c595b]' : ''"
  >
    <div class="py-3 pr-2 text-right text-[13px] leading-[17px] font-[650]">
      {{ days[0] }}<span class="quiet block font-normal text-ink-2">{{ days[1] }}</span>
    </div>
    <div class="relative" aria-hidden="true">
      <span class="absolute inset-y-0 left-[13px] w-0.5 bg-ink" :class="{ 'bg-[#182022]': open }" />
      <span
        class="absolute left-[7px]"
        :class="[
          small ? 'top-4 left-[10px] size-2 bg-plank' : 'top-3.5 size-3.5 border-2 border-ink',
          small ? '' : entry.kind === 'batch' ? 'bg-ink' : open ? 'bg-chalk' : 'bg-sheet',
        ]"
      />
    </div>
    <button
      type="button"
      class="group min-h-11 py-3 text-left"
      :aria-current="open ? 'true' : undefined"
      @click="$emit('choose')"
    >
      <span v-if="small" class="quiet flex gap-2 text-[13px] text-ink-2">
        <span v-if="entry.pots.length" class="flex shrink-0 gap-1" aria-hidden="true">
          <svg v-for="(colour, place) in entry.pots" :key="place" width="14" height="18">
            <path d="M1 5H13L11.5 17H2.5Z" :fill="colour" />
            <path
              d="M0 .7L2.5 17H11.5L14 .7"
              fill="none"
              stroke="currentColor"
              stroke-width="1.4"
            />
          </svg>
        </span>
        <span class="line-clamp-2"
          ><b class="font-[650]"><MarkedText :text="entry.title" :marks="marks" /></b>
          <MarkedText :text="` ${entry.says}`" :marks="marks"
        /></span>
      </span>
      <span v-else-if="entry.kind === 'batch'" class="flex items-start gap-4">
        <BarThumbnail
          v-if="entry.thumbnail"
          :thumbnail="entry.thumbnail"
          :width="72"
          :height="48"
          class="max-sm:w-12"
        />
        <span class="min-w-0">
          <b class="block text-[15.5px] font-[650]"
            ><MarkedText :text="entry.title" :marks="marks"
          /></b>
          <span class="line-clamp-3 text-[13.5px]"
            ><MarkedText :text="entry.says" :marks="marks"
          /></span>
        </span>
      </span>
      <span v-else class="flex flex-wrap items-start gap-x-4 gap-y-2 sm:flex-nowrap">
        <span v-if="entry.photos.length" class="flex shrink-0 gap-2">
          <img
            v-for="photo in entry.photos.slice(0, 2)"
            :key="photo"
            :src="`/api/photos/${photo}`"
            alt=""
            class="h-16 w-auto max-w-[100px] border border-line object-cover"
            loading="lazy"
          />
        </span>
        <span class="min-w-0 flex-1">
          <span class="quiet block text-[12.5px] text-ink-2"
            ><MarkedText :text="over" :marks="marks"
          /></span>
          <b v-if="entry.title" class="block text-[15px] font-[650]"
            ><MarkedText :text="entry.title" :marks="marks"
          /></b>
          <span
            class="line-clamp-3"
            :class="[
              entry.byHand ? 'typed' : '',
              entry.kind === 'lesson' ? 'text-[15.5px] font-[650]' : '',
            ]"
            ><MarkedText :text="entry.says" :marks="marks"
          /></span>
          <span
            v-if="entry.batchName && entry.kind !== 'page'"
            class="quiet block text-[13px] text-ink-2"
            >{{ entry.kind === 'lesson' ? 'From' : 'Of' }}
            <b class="font-[650]"
              ><MarkedText :text="`${entry.batchName} ${entry.number}`" :marks="marks" /></b
            >.<template v-if="entry.lesson"> {{ lessonText(entry.lesson) }}</template></span
          >
          <span v-else-if="entry.lesson" class="quiet block text-[13px] text-ink-2">{{
            lessonText(entry.lesson)
          }}</span>
        </span>
        <LessonBars v-if="entry.lesson" :standing="entry.lesson" class="shrink-0" />
      </span>
    </button>
  </li>
</template>
