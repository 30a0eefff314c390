<script setup lang="ts">
/** `main` is the one chamfered action of a screen; everything else is plain. */
const { kind = 'plain', to = undefined } = defineProps<{
  kind?: 'main' | 'plain' | 'link'
  to?: string
  disabled?: boolean
}>()
const looks = {
  main: 'chamfer bg-act px-5 py-2.5 text-[15px] font-[650] text-white hover:bg-act-2 disabled:bg-off',
  plain:
    'rounded-sm border border-line-3 bg-field px-3.5 py-2 font-[550] text-on-field hover:border-ink disabled:text-ink-3',
  link: 'link',
}
</script>

<template>
  <NuxtLink
    v-if="to"
    :to="to"
    class="key inline-flex items-center justify-center gap-2 whitespace-nowrap"
    :class="looks[kind]"
    ><slot
  /></NuxtLink>
  <button
    v-else
    type="button"
    :disabled="disabled"
    class="inline-flex items-center justify-center gap-2 whitespace-nowrap"
    :class="looks[kind]"
  >
    <slot />
  </button>
</template>
