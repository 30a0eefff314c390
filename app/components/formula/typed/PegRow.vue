<script setup lang="ts">
import type { LineReading } from '#core/words/reading'

/** The typed words on pegs that name what each was taken for. Hangs under the input, letter under letter. */
const { reading, bare = false } = defineProps<{
  reading: LineReading
  /** Only brackets: what each was taken for stands beside it. */
  bare?: boolean
}>()
const { library } = storeToRefs(useMaterials())

/** The text cut at its pegs. */
const pieces = computed(() => {
  const { text, pegs } = reading
  const list: { text: string; peg: (typeof pegs)[number] | null }[] = []
  let at = 0
  for (const peg of pegs) {
    if (peg.start < at) continue
    if (peg.start > at) list.push({ text: text.slice(at, peg.start), peg: null })
    list.push({ text: text.slice(peg.start, peg.end), peg })
    at = peg.end
  }
  return list
})
</script>

<template>
  <div
    class="typed relative overflow-x-clip whitespace-pre"
    :class="bare ? 'h-2' : 'h-6'"
    aria-hidden="true"
  >
    <span
      v-for="(piece, index) in pieces"
      :key="index"
      class="relative inline-block h-1.5 align-top text-transparent select-none"
      :class="piece.peg ? 'border-x border-b-2' : ''"
      :style="
        piece.peg
          ? {
              borderColor: pegColour(piece.peg, reading, library),
              borderStyle: isLoose(piece.peg) ? 'dashed' : 'solid',
              marginInline: '-1px',
            }
          : undefined
      "
      ><span class="inline-block h-0 overflow-hidden">{{ piece.text }}</span
      ><span
        v-if="piece.peg && !bare"
        class="absolute top-1.5 left-1/2 -translate-x-1/2 text-xs not-italic"
        :class="isLoose(piece.peg) ? 'font-bold text-warn' : 'text-ink-2'"
        >{{ piece.peg.says }}</span
      ></span
    >
  </div>
</template>
