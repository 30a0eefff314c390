<script setup lang="ts">
import { planks } from '#contracts/firstSoap'

/** A first soap that is under way: which plank it waits on. */
const paths = usePaths()
onMounted(() => void paths.load())
const path = computed(() => paths.list.at(-1)?.document ?? null)
const done = computed(() => Object.keys(path.value?.done ?? {}).length)
</script>

<template>
  <p
    v-if="path && done < planks.length"
    class="sheet mt-3 flex flex-wrap items-baseline gap-x-4 px-4 py-2.5"
  >
    <b>{{ path.who ? `${path.who}’s first soap` : 'The first soap' }}</b>
    <span class="text-ink-2">{{ done }} of {{ planks.length }} planks done</span>
    <NuxtLink to="/journal/first" class="link">Go on</NuxtLink>
  </p>
</template>
