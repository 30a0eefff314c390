<script setup lang="ts">
import type { PhotoPoints } from '~/composables/usePhotoPoints'

/** The points of a photo: which one is chosen, and the colour under each as shot and balanced. */
const { photo } = defineProps<{ photo: PhotoPoints }>()
const { active, colours } = photo
</script>

<template>
  <section class="sheet overflow-hidden" aria-labelledby="points">
    <div class="grid grid-cols-[1fr_56px_56px] gap-x-2.5 px-4 py-2 text-[13px] text-ink-2">
      <h2 id="points" class="font-[650]">Points</h2>
      <span>as shot</span><span>balanced</span>
    </div>
    <button
      v-for="(one, at) in photo.names()"
      :key="one.is"
      type="button"
      class="grid w-full grid-cols-[24px_1fr_56px_56px] items-center gap-x-2.5 border-t border-line-2 px-4 py-1.5 text-left"
      :class="active === one.is ? 'bg-band shadow-[inset_4px_0_0_var(--color-act)]' : ''"
      :aria-pressed="active === one.is"
      @click="active = one.is"
    >
      <b
        class="figure flex size-6 items-center justify-center rounded-sm bg-slate text-[13px] text-white"
        >{{ at + 1 }}</b
      >
      <span class="leading-tight"
        ><b class="font-[650]">{{ one.says }}</b
        ><span class="block text-[13px] text-ink-2">{{ one.beside }}</span></span
      >
      <template v-if="colours.get(one.is)">
        <i
          class="h-8 rounded-xs border border-ink/60"
          :style="{ background: colours.get(one.is)!.shotSwatch }"
        />
        <i
          class="h-8 rounded-xs border border-ink/60"
          :style="{ background: colours.get(one.is)!.balancedSwatch }"
        />
      </template>
      <span v-else class="col-span-2 text-right text-[13px] text-ink-2">{{
        one.card ? 'none picked' : 'click in the photo'
      }}</span>
    </button>
  </section>
</template>
