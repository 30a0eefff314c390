<script setup lang="ts">
/**
 * What is drawn in a task of its own, after the page before it: a long page must not hold up the first touch.
 * @prop turn how many tasks it lets go first
 */
const { turn = 1 } = defineProps<{ turn?: number }>()
const passed = useTurns(turn)
</script>

<template>
  <slot v-if="passed >= turn" />
</template>
