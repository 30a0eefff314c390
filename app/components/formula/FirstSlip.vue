<script setup lang="ts">
import type { FirstQuestion } from '#contracts/words'

/** A question asked once, under the figure it changes. Nothing waits for the answer; until then the safer reading holds. */
const { question } = defineProps<{ question: FirstQuestion; asks: string }>()
const { settings, ready } = storeToRefs(useWorkshop())
const shown = computed(() => ready.value && !settings.value.said.includes(question))
</script>

<template>
  <section
    v-if="shown"
    class="relative border-y border-line-3 bg-warn-ground px-4 py-2.5 no-print"
    :aria-label="asks"
  >
    <i
      class="absolute -top-[7px] left-9 size-3 rotate-45 border-t border-l border-line-3 bg-warn-ground"
      aria-hidden="true"
    />
    <h3 class="mb-1.5 flex justify-between gap-3 font-bold">
      {{ asks }} <span class="font-normal"><slot name="aside" /></span>
    </h3>
    <slot />
  </section>
</template>
