<script setup lang="ts">
import { clockText } from '#core/scents/finding'
import type { BenchPot } from '~/composables/useTrialRound'

/** A pot in the round: what it looks like, its own clock, since when; with its lid once it has left. */
const { pot } = defineProps<{
  pot: BenchPot
  colour: string
  batter: string
  inHand: boolean
  wanted: boolean
}>()
const { say } = storeToRefs(useWorkshop())
const lidded = computed(() => pot.state.lidded !== null)
</script>

<template>
  <button
    type="button"
    class="flex min-w-0 items-center gap-2 rounded-sm p-1.5 text-left sm:gap-4 sm:px-4"
    :class="
      inHand
        ? 'bg-[#f2ead6] text-[#182022]'
        : lidded
          ? 'bg-[#191f21] text-ink-3'
          : 'bg-[#1f2628] text-ink'
    "
    :style="wanted && !inHand ? { outline: '2px solid #f2ead6', outlineOffset: '-2px' } : {}"
    :aria-pressed="inHand"
    :aria-label="`${pot.code}, ${pot.name}: ${pot.says}${pot.unsure ? ', not sure' : ''}${pot.own === null ? '' : `, ${clockText(pot.own)}`}${lidded ? ', lid on' : ''}`"
  >
    <PotTop
      class="w-[46px] shrink-0 sm:w-[132px] low:w-[72px]"
      :look="pot.look"
      :colour="batter"
      :rim="colour"
      :stretches="pot.stretches"
      :now="lidded ? null : pot.own"
      :riced="pot.riced"
      :lid="lidded ? pot.code : null"
    />
    <span class="min-w-0 flex-1 leading-tight">
      <span v-if="!lidded" class="flex items-baseline gap-2">
        <b class="figure border-b-2 border-current text-[15px] tracking-wider sm:text-[21px]">{{
          pot.code
        }}</b>
        <b
          v-if="pot.off"
          class="text-[13px] whitespace-nowrap text-[#f3c24b] sm:text-[15px]"
          :class="inHand ? '!text-[#8f5208]' : ''"
          >▲<span class="max-sm:sr-only"> {{ say.percent(pot.rate, 1) }}</span></b
        >
      </span>
      <span v-else class="block text-[13px] sm:text-[15px]">lid on</span>
      <b class="figure block text-[17px] sm:text-[34px] low:text-[20px]">{{
        pot.own === null ? '–:––' : clockText(pot.own)
      }}</b>
      <b class="block text-[13px] whitespace-nowrap max-sm:truncate sm:text-[20px] low:text-[15px]"
        >{{ pot.says }}{{ pot.unsure ? ' ?' : '' }}</b
      >
      <span class="block truncate text-[14px] max-sm:hidden low:hidden">{{
        pot.since === null
          ? ''
          : pot.riced && pot.riced.to !== null && !lidded
            ? `riced till ${clockText(pot.riced.to)}`
            : `since ${clockText(Math.max(0, pot.since))}`
      }}</span>
      <span class="block truncate text-[14px] max-sm:hidden">{{ pot.name }}</span>
    </span>
  </button>
</template>
