<script setup lang="ts">
import type { MenuEntry } from '~/components/ui/AppMenu.vue'

/** One line of a formula: its colour, its name, its amount, its weight, and what can be done with it. */
defineProps<{ colour: string; name: string; also?: string; weight: string; entries: MenuEntry[] }>()
</script>

<template>
  <li
    class="grid min-h-8 grid-cols-[12px_1fr_auto_76px_66px_28px] items-center gap-x-2 border-t border-line-2 px-3 first:border-t-0"
  >
    <i class="h-[18px] w-3 rounded-[2px] border border-black/10" :style="{ background: colour }" />
    <span class="min-w-0 py-1 sm:truncate" :title="also ? `${name}, ${also}` : name">
      {{ name }}<small v-if="also" class="ml-1.5 text-xs text-ink-3">{{ also }}</small>
    </span>
    <span><slot name="offer" /></span>
    <slot />
    <span class="figure text-right text-ink-2">{{ weight }}</span>
    <AppMenu v-if="entries.length" :label="`More for ${name}`" :entries="entries" />
  </li>
</template>
