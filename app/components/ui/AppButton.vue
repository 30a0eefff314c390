<script setup lang="ts">
/** `main` is the one chamfered action of a screen; everything else is plain. */
const { kind = 'plain', to = undefined } = defineProps<{
  kind?: 'main' | 'plain' | 'link'
  to?: string
  disabled?: boolean
}>()
const looks = {
  main: 'chamfer bg-act px-5 py-2.5 text-[15px] font-[650] text-white hover:bg-[#0b3d47] disabled:bg-[#5d696a]',
  plain:
    'rounded-sm border border-line-3 bg-white px-3.5 py-2 font-[550] text-[#182022] hover:border-[#182022] disabled:text-[#5d696a]',
  link: 'link',
}
</script>

<template>
  <NuxtLink
    v-if="to"
    :to="to"
    class="inline-flex items-center justify-center gap-2 whitespace-nowrap"
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
