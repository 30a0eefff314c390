<script setup lang="ts">
import { refDebounced, useElementVisibility } from '@vueuse/core'

/**
 * What is drawn only while it is on the screen or near it; elsewhere its room is kept. What is seen comes first, what lies near it a
 * moment later. What has the focus stays.
 */
const { height, as = 'div' } = defineProps<{ height: number; as?: string }>()
const place = ref<HTMLElement | null>(null)
const seen = useElementVisibility(place)
const near = useElementVisibility(place, { rootMargin: '500px 0px' })
const soon = refDebounced(near, 40)
const drawn = ref(false)
watchEffect(() => {
  drawn.value = seen.value || soon.value || !!place.value?.contains(document.activeElement)
})
</script>

<template>
  <component :is="as" ref="place" :style="drawn ? undefined : { height: `${height}px` }">
    <slot v-if="drawn" />
  </component>
</template>
