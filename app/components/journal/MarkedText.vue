<script setup lang="ts">
/** A text with what was looked for underlined. */
const { text, marks } = defineProps<{ text: string; marks: readonly string[] }>()
const parts = computed(() => marked(text, marks))
</script>

<template>
  <template v-for="(part, place) in parts" :key="place"
    ><mark
      v-if="part.hit"
      class="border-b-2 border-act bg-transparent font-[inherit] text-inherit"
      >{{ part.text }}</mark
    ><template v-else>{{ part.text }}</template></template
  >
</template>
