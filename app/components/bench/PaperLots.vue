<script setup lang="ts">
import { valuesOf } from '#core/stores/stock'
import type { AtHand } from '~/utils/lotsAtHand'

/** Which lots a batch that stands on paper was weighed from: they are drawn from, and their papers count for its superfat. */
const { lots } = defineProps<{ lots: AtHand[] }>()
const chosen = defineModel<Record<string, string>>({ required: true })
const { say } = storeToRefs(useWorkshop())
/** What its paper says that counts. */
function ownOf({ lot, thing }: AtHand): string {
  const { sap, purity } = valuesOf(lot.document)
  if (sap !== null) return say.value.number(sap, 0)
  return purity !== null && thing !== 'lye-solution' ? say.value.percent(purity, 1) : ''
}
</script>

<template>
  <section class="sheet px-5 py-4">
    <h2 class="mb-1">Weighed from</h2>
    <ul>
      <li
        v-for="one in lots"
        :key="one.thing"
        class="flex min-h-8 items-center gap-3 border-t border-line-2 py-1 first:border-0"
      >
        <span class="min-w-0 flex-1 truncate">{{ one.name }}</span>
        <span v-if="ownOf(one)" class="figure text-sm text-ink-2">{{ ownOf(one) }}</span>
        <select
          v-if="one.lots.length > 1"
          class="field w-28"
          :aria-label="`Lot of ${one.name}`"
          :value="one.lot.id"
          @change="chosen[one.thing] = ($event.target as HTMLSelectElement).value"
        >
          <option v-for="lot in one.lots" :key="lot.id" :value="lot.id">
            {{ lot.document.code }}
          </option>
        </select>
        <b v-else class="figure">{{ one.lot.document.code }}</b>
      </li>
    </ul>
    <p class="mt-1 text-sm text-ink-2">
      It goes off these lots when it is kept; what their papers say counts for the superfat.
    </p>
  </section>
</template>
