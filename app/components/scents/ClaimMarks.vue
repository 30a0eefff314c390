<script setup lang="ts">
import type { Claim } from '~/utils/scentWords'

/** What a supplier said, ticked where it held and struck where it did not. */
defineProps<{ claims: readonly Claim[] }>()
</script>

<template>
  <span v-if="!claims.length" class="text-ink-2">says nothing</span>
  <span v-for="claim in claims" :key="claim.claim" class="block leading-[20px]">
    <template v-if="claim.held === true"
      ><b class="text-ok" aria-hidden="true">✓</b><span class="sr-only">held: </span>
      {{ claim.says }}</template
    >
    <template v-else-if="claim.held === false"
      ><s class="font-semibold text-warn">{{ claim.says }}</s
      >, not so</template
    >
    <span v-else class="text-ink-2">{{ claim.says }}</span>
  </span>
</template>
