<script setup lang="ts">
import type { Judged } from '#contracts/scent'

/** Whose word held how often; below three claims nobody can tell. */
const scents = useScents()
const suppliers = useSuppliers()
const { say } = storeToRefs(useWorkshop())
const rows = computed(() =>
  suppliers.list
    .map(({ id, document }) => {
      const judged: Judged[] = [...scents.known.values()].flatMap((one) =>
        one.supplierId === id ? [...one.judged] : [],
      )
      return { id, name: document.name, judged, held: judged.filter(({ held }) => held).length }
    })
    .sort((a, b) => a.name.localeCompare(b.name)),
)
</script>

<template>
  <section id="suppliers" class="sheet scroll-mt-4 px-4 py-3">
    <div class="flex items-baseline">
      <h2 class="flex-1 text-sm font-semibold text-ink-2">Was the supplier right?</h2>
      <span class="text-sm text-ink-2">claims held</span>
    </div>
    <ul class="mt-1">
      <li v-for="row in rows" :key="row.id" class="flex items-center gap-2 py-1">
        <NuxtLink
          :to="`/scents/suppliers/${row.id}`"
          class="w-[136px] shrink-0 font-bold hover:underline"
          >{{ row.name }}</NuxtLink
        >
        <HeldMarks class="flex-1" :judged="row.judged" />
        <span class="figure font-bold whitespace-nowrap">
          {{
            row.judged.length < 3
              ? 'too few to tell'
              : `${say.number(row.held)} of ${say.number(row.judged.length)}`
          }}</span
        >
      </li>
    </ul>
    <p v-if="!rows.length" class="text-ink-2">Nobody yet: a scent names who it is from.</p>
  </section>
</template>
