<script setup lang="ts">
/** How long there is lye at all: in its cup, in the jug, in the soap; none where the weights say so. */
const { lye, goes } = defineProps<{ lye: string; goes: boolean }>()
const stretches = [
  ['in its cup', '10 min'],
  ['in the jug', 'an hour'],
  ['in the soap', 'a day'],
  ['day 2 on', ''],
] as const
</script>

<template>
  <figure
    :aria-label="`How long there is lye: ${lye} until it is in the soap, where it goes within a day or two`"
  >
    <svg viewBox="0 0 380 96" class="w-full" aria-hidden="true">
      <path
        :d="goes ? 'M0 95V4H184Q214 4 236 48T300 92V95Z' : 'M0 95V4H184Q214 4 236 40T380 74V95Z'"
        fill="#d5432a"
      />
      <path d="M92 0V96M184 0V96M300 0V96" stroke="#c3cecb" />
      <path d="M0 95.5H380" stroke="currentColor" />
      <text x="8" y="28" font-size="19" font-weight="700" fill="#fff">{{ lye }}</text>
      <text
        x="340"
        y="80"
        font-size="19"
        font-weight="700"
        text-anchor="middle"
        :fill="goes ? 'var(--color-ok)' : 'var(--color-stop)'"
      >
        {{ goes ? 'none' : 'ask' }}
      </text>
    </svg>
    <figcaption class="grid grid-cols-4 text-center text-[12.5px]">
      <span v-for="[what, long] in stretches" :key="what"
        ><b class="block font-[650]">{{ what }}</b
        ><span class="text-ink-2">{{ long }}</span></span
      >
    </figcaption>
    <div class="mt-1 grid grid-cols-[55%_45%] text-[12.5px]">
      <span class="bg-slate px-2 py-0.5 text-white">goggles and gloves</span>
      <span class="bg-line-2 px-2 py-0.5">gloves to touch it</span>
    </div>
  </figure>
</template>
