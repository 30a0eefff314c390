<script setup lang="ts">
import { addDays } from '#core/units/days'
import type { LotRow } from '~/composables/useStores'
import { flagText, stops } from '~/utils/storeWords'

/** A vessel on its plank: how full, what is reserved, the worst that is to be minded, how long it lasts. */
const { row } = defineProps<{ row: LotRow; lasts: string; amount: string; chosen: boolean }>()
const emit = defineEmits<{ choose: [] }>()
const { say, today } = storeToRefs(useWorkshop())
const flag = computed(() => row.flags[0])
const on = (days: number) => dayText(addDays(today.value, days), { today: today.value })
const flagged = computed(() => (flag.value ? flagText(flag.value, say.value, on) : ''))
</script>

<template>
  <li class="flex flex-col">
    <button
      type="button"
      class="group flex flex-1 flex-col text-left"
      :aria-pressed="chosen"
      :aria-label="`${row.name}, ${amount}${flagged ? `, ${flagged}` : ''}`"
      @click="emit('choose')"
    >
      <span class="flex min-h-[96px] flex-1 flex-col items-start justify-end px-1">
        <span
          v-if="flag"
          class="mb-0.5 max-w-full truncate px-1.5 text-[12px]/[18px] font-bold text-white"
          :class="stops(flag) ? 'bg-stop' : 'bg-warn'"
          >{{ flagged }}</span
        >
        <span class="p-0.5" :class="chosen ? 'outline-2 outline-act' : ''">
          <StockVessel
            :form="row.lot.document.vessel.form"
            :fill="row.lot.stock / row.lot.document.amount"
            :colour="row.thing.colour"
            :reserved="row.reserved / row.lot.document.amount"
            :strata="row.strata"
            :hazard="row.thing.caustic"
            :crossed="row.lot.document.held !== null"
          />
        </span>
      </span>
      <span class="h-[11px] w-full border-b-2 border-[#5c6663] bg-plank" aria-hidden="true" />
      <span class="block px-1 pt-1 pb-2 leading-[17px]">
        <b class="block truncate text-[13px] group-hover:underline" :title="row.name">{{
          row.name
        }}</b>
        <span
          class="figure block truncate text-[12.5px]"
          :class="row.lot.document.held ? 'font-bold text-stop' : 'text-ink-2'"
          >{{ amount }}{{ lasts ? ` · ${lasts}` : '' }}</span
        >
      </span>
    </button>
  </li>
</template>
