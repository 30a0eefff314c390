<script setup lang="ts">
import { useElementVisibility } from '@vueuse/core'

/** What is drawn only while it is on the screen or near it; elsewhere its room is kept. What has the focus stays. */
const { height, as = 'div' } = defineProps<{ height: number; as?: string }>()
const place = ref<HTMLElement | null>(null)
const near = useElementVisibility(place, { rootMargin: '600px 0px' })
const drawn = ref(false)
watchEffect(() => {
  drawn.value = near.value || !!place.value?.contains(document.activeElement)
})
</script>

<template>
  <component :is="as" ref="place" :style="drawn ? undefined : { height: `${height}px` }">
    <slot v-if="drawn" />
  </component>
</template>
