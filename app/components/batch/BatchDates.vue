<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import { standingEvents } from '#core/units/standingEvents'
import { standingOf } from '#core/rack/standing'
import { testOn } from '#core/rack/usable'
import { mostOdds } from '#core/risk/odds'
import { oddsText } from '#core/risk/oddsText'
import { addDays } from '#core/units/days'

/** Usable, for sale, at its best: three questions, each with its own date and what it rests on. */
const { batch } = defineProps<{ batch: Batch }>()
const { today, say, settings } = storeToRefs(useWorkshop())
const standing = computed(() => standingOf(batch, today.value))
const on = (day: string) => dayText(day, { today: today.value })

/** Where lye is left over more often than the workshop puts up with, how often. */
const odds = computed(() => {
  const { lyeHeavy, cleaning, laundry } = batch.facts
  const most = mostOdds(settings.value, cleaning || laundry)
  return lyeHeavy !== null && most !== null && lyeHeavy > most
    ? `By the spread of its fats, lye is left over in ${oddsText(lyeHeavy, say.value)} such batches.`
    : ''
})

interface Answer {
  asks: string
  says: string
  because: string
  bad?: boolean
}
const usable = computed((): Answer => {
  const { usable: is, pouredOn } = batch.facts
  const again = testOn(is, pouredOn!, addDays)
  const asks = 'Usable'
  switch (is.state) {
    case 'untested':
      return {
        asks,
        says: 'not known',
        because: odds.value
          ? `${odds.value} Test with a strip from ${on(again!)}.`
          : `Test with a strip from ${on(again!)}, or say that you trust the weights.`,
      }
    case 'usable':
      return { asks, says: `since ${on(is.since!)}`, because: `Strip ${is.ph}: 8 to 10 is soap.` }
    case 'trusted':
      return {
        asks,
        says: `since ${on(is.since!)}`,
        because: 'By the weights alone, nobody tested: the weaker basis.',
      }
    case 'held':
      return {
        asks,
        says: 'held',
        because: `Strip ${is.ph}, over 10. Test again ${on(again!)}.`,
        bad: true,
      }
    case 'locked':
      return {
        asks,
        says: 'locked',
        because:
          is.because === 'weights'
            ? 'Free lye by the weights: rework it with the oil that is missing, or throw it away as your local rules say.'
            : `${is.because === 'zap' ? 'It zapped' : `Strip ${is.ph}, over 11`}: gloves on, no skin. Test several bars again ${on(again!)}; if it stays, rework or throw it away.`,
        bad: true,
      }
  }
})
const sale = computed((): Answer => {
  const released = standingEvents(batch.events).findLast((event) => event.kind === 'released')
  if (released)
    return { asks: 'For sale', says: `since ${on(released.day)}`, because: released.basis }
  return {
    asks: 'For sale',
    says: 'not decided',
    because: batch.facts.laundry
      ? 'Kept for laundry: not for skin.'
      : 'Your decision, on a basis that you state; local rules come first.',
  }
})
const best = computed((): Answer => {
  const { readyOn, by } = standing.value
  return {
    asks: 'At its best',
    says:
      readyOn! <= today.value
        ? `since ${on(readyOn!)}`
        : by === 'weight'
          ? readyText(batch, standing.value, today.value)
          : `from ${on(readyOn!)}`,
    because:
      by === 'weight'
        ? `Dry by weight; ${say.value.count(batch.cure.days, 'day', 'days')} by your rule end ${on(standing.value.curedOn!)}.`
        : `${say.value.count(batch.cure.days, 'day', 'days')} by your rule${batch.facts.drying ? `; dry by weight ${dryText(batch.facts.drying, today.value)}` : ''}.`,
  }
})
</script>

<template>
  <dl class="grid grid-cols-3 gap-y-3">
    <div
      v-for="answer in [usable, sale, best]"
      :key="answer.asks"
      class="border-l border-line-3 px-3 max-sm:px-2 max-sm:first:border-l-0 max-sm:first:pl-0"
    >
      <dt class="text-ink-2">{{ answer.asks }}</dt>
      <dd class="figure text-[16px] leading-tight font-bold" :class="answer.bad ? 'text-stop' : ''">
        {{ answer.says }}
      </dd>
      <dd
        class="text-[13px] leading-[17px]"
        :class="answer.bad ? 'font-semibold text-stop' : 'text-ink-2'"
      >
        {{ answer.because }}
      </dd>
    </div>
  </dl>
</template>
