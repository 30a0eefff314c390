<script setup lang="ts">
/** The photo of a page beside what is typed of it: turned and larger, moved by dragging or scrolling. */
const { photo } = defineProps<{ photo: string | null }>()
const turns = ref(0)
const large = ref(false)
watch(
  () => photo,
  () => (large.value = false),
)
</script>

<template>
  <div class="relative flex min-h-40 flex-col bg-[#4b5557]">
    <div
      class="min-h-0 flex-1 overflow-auto"
      tabindex="0"
      role="group"
      aria-label="Photo of the page"
    >
      <img
        v-if="photo"
        :src="`/api/photos/${photo}`"
        alt="The page as photographed"
        class="mx-auto origin-center"
        :class="large ? 'w-[200%] max-w-none' : 'h-full w-full object-contain'"
        :style="{ transform: `rotate(${turns * 90}deg)` }"
      />
      <p v-else class="grid h-full place-items-center p-4 text-white">No photo: typed only.</p>
    </div>
    <div v-if="photo" class="flex gap-2 p-2">
      <AppButton @click="turns = (turns + 1) % 4">Turn</AppButton>
      <AppButton :aria-pressed="large" @click="large = !large">{{
        large ? 'Whole' : 'Larger'
      }}</AppButton>
    </div>
  </div>
</template>
