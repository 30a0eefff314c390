<script setup lang="ts">
import { likeIt, sharedSmells } from '#core/scents/like'
import type { ScentRow } from '~/composables/useScentRows'

/** A calmer and a faster one that smells like it. */
const { row, rows } = defineProps<{ row: ScentRow; rows: readonly ScentRow[] }>()
const { say } = storeToRefs(useWorkshop())
const minutes = (one: ScentRow) => one.finding.minutes ?? 61
/** Those tried that share a smell with it, two calmer and two faster, the likest first. */
const like = computed(() => {
  const known = rows.flatMap((one) => one.known ?? [])
  const { calmer, faster } = likeIt({ tried: [], ...row.known, ...row }, known)
  return [...calmer, ...faster].flatMap(({ id }) => rows.find((one) => one.id === id) ?? [])
})
const shown = computed(() => [...like.value, row].sort((a, b) => minutes(b) - minutes(a)))
const says = (one: ScentRow) =>
  one.id === row.id
    ? 'this one'
    : `${minutes(one) > minutes(row) ? 'calmer' : 'faster'}, ${say.value.list(
        sharedSmells(one, row).slice(0, 2),
      )}`
</script>

<template>
  <section class="sheet py-3">
    <div class="flex items-baseline px-4">
      <h2 class="flex-1 text-sm font-semibold text-ink-2">A calmer, a faster one like it</h2>
      <span class="text-sm text-ink-2">minutes to medium</span>
    </div>
    <p v-if="!like.length" class="px-4 pt-1 text-ink-2">
      <template v-if="!row.known?.tried.length"
        >It was not tried here: nobody knows which are calmer.</template
      ><template v-else
        >None that was tried here smells like it{{
          row.scent.smells.length ? '' : ': nothing is written down of what it smells of'
        }}.</template
      >
    </p>
    <ul v-else class="mt-1">
      <li
        v-for="one in shown"
        :key="one.id"
        class="relative flex items-center gap-3 px-4 py-1.5"
        :class="one.id === row.id ? 'bg-act-ground' : ''"
      >
        <i v-if="one.id === row.id" class="absolute inset-y-0 left-0 w-1 bg-act" />
        <SmallPot class="size-9" :look="one.look" :colour="one.batter" />
        <span class="min-w-0 flex-1 leading-[18px]">
          <NuxtLink :to="`/scents/${one.id}`" class="block truncate font-bold hover:underline">{{
            one.scent.name
          }}</NuxtLink>
          <span class="block truncate text-ink-2">{{ says(one) }}</span>
        </span>
        <StageRibbon
          class="w-24 shrink-0"
          :stretches="one.stretches"
          :colour="one.scent.colour"
          :height="22"
          :ticks="false"
        />
        <b class="figure w-8 text-right text-[17px]">{{
          one.finding.minutes === null ? '60+' : say.number(one.finding.minutes, undefined, 0)
        }}</b>
      </li>
    </ul>
  </section>
</template>
