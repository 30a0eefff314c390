<script setup lang="ts">
import { useTimeoutFn } from '@vueuse/core'

/**
 * What is drawn in a task of its own, after the page before it: a long page must not hold up the first touch.
 * @prop turn how many tasks it lets go first
 */
const { turn = 1 } = defineProps<{ turn?: number }>()
const done = ref(0)
const { start } = useTimeoutFn(() => {
  done.value++
  if (done.value < turn) start()
}, 0)
</script>

<template>
  <slot v-if="done >= turn" />
</template>
