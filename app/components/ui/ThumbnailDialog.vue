<script setup lang="ts">
import type { Thumbnail } from '#contracts/thumbnail'
import { thumbnailPatterns, type ThumbnailPattern } from '#contracts/words'

/** Another picture for a formula or a batch: a pattern, and the colours that lie in it. */
const { thumbnail, own } = defineProps<{
  name: string
  thumbnail: Thumbnail
  /** What it would be without a choice; nothing while nobody chose. */
  own?: Thumbnail
}>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ change: [thumbnail: Thumbnail | undefined] }>()

/** Two more colours to begin with, for a pattern that needs them. */
const spare = ['#7a6a4a', '#3a3020']
const most = { plain: 1, wave: 3, layers: 12, shades: 12, swirl: 4, line: 3 } as const
const mostIn = (pattern: ThumbnailPattern) =>
  pattern in most ? most[pattern as keyof typeof most] : 2
/** The same colours in another pattern: as many as it can show, and at least two where it shows any. */
function drawnIn(pattern: ThumbnailPattern): Thumbnail {
  const wanted = pattern === 'plain' ? 1 : 2
  const colours = [...thumbnail.colours, ...spare].slice(
    0,
    Math.max(wanted, Math.min(thumbnail.colours.length, mostIn(pattern))),
  )
  return { pattern, colours }
}
function recolour(at: number, { target }: Event) {
  const colours = thumbnail.colours.with(at, (target as HTMLInputElement).value)
  emit('change', { ...thumbnail, colours })
}
const setColours = (colours: string[]) => emit('change', { ...thumbnail, colours })
const place = (at: number) =>
  thumbnail.pattern === 'layers' || thumbnail.pattern === 'shades'
    ? `${at + 1} from below`
    : at
      ? thumbnail.colours.length > 2
        ? `in it, ${at}`
        : 'in it'
      : 'ground'
</script>

<template>
  <AppDialog v-model="open" :title="`The picture of ${name}`" live>
    <div class="flex flex-wrap items-center gap-5 px-5 pt-4">
      <BarThumbnail :thumbnail="thumbnail" :width="160" :height="108" />
      <div class="flex flex-wrap gap-3">
        <label v-for="(colour, at) in thumbnail.colours" :key="at" class="text-sm text-ink-2">
          <input
            type="color"
            :value="colour"
            class="block h-11 w-16 border border-line-3"
            @change="recolour(at, $event)"
          />
          {{ place(at) }}
        </label>
        <div class="flex flex-col gap-1">
          <AppButton
            v-if="thumbnail.colours.length < mostIn(thumbnail.pattern)"
            @click="setColours([...thumbnail.colours, spare[0]!])"
            >One more</AppButton
          >
          <AppButton
            v-if="thumbnail.colours.length > 2"
            @click="setColours(thumbnail.colours.slice(0, -1))"
            >One less</AppButton
          >
        </div>
      </div>
    </div>
    <fieldset class="px-5 py-4">
      <legend class="mb-2 text-sm font-semibold text-ink-2">How it was poured</legend>
      <div class="grid grid-cols-3 gap-2 sm:grid-cols-5">
        <label
          v-for="pattern in thumbnailPatterns"
          :key="pattern"
          class="flex cursor-pointer flex-col items-center gap-1 rounded border border-line-2 p-2 has-checked:border-act has-checked:bg-act/10 has-focus-visible:outline-2"
        >
          <input
            type="radio"
            name="pattern"
            :value="pattern"
            :checked="thumbnail.pattern === pattern"
            class="sr-only"
            @change="emit('change', drawnIn(pattern))"
          />
          <BarThumbnail :thumbnail="drawnIn(pattern)" :width="58" :height="38" />
          {{ pattern }}
        </label>
      </div>
    </fieldset>
    <template #actions="{ close }">
      <AppButton v-if="own" @click="emit('change', undefined)">
        <BarThumbnail :thumbnail="own" :width="34" :height="24" /> As it follows from the formula
      </AppButton>
      <slot />
      <AppButton kind="main" @click="close">Done</AppButton>
    </template>
  </AppDialog>
</template>
