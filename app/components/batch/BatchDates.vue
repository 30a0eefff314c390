<script setup lang="ts">
import { inSentence } from '#core/units/language'
import type { Batch } from '#contracts/batch'
import { cureRule } from '#core/rack/cure'
import { standingEvents, standingOf } from '#core/rack/standing'
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
        ? 'Dry by weight, the later of the two clocks.'
        : 'By your cure rule, the later of the two clocks.',
  }
})
const clocks = computed(() => {
  const { curedOn } = standing.value
  const { drying } = batch.facts
  const rule = inSentence(cureRule(batch.cure.rule)?.label ?? batch.cure.rule)
  return [
    {
      name: 'Calendar',
      says: on(curedOn!),
      because: `${say.value.count(batch.cure.days, 'day', 'days')}, ${rule}`,
    },
    ...(drying
      ? [
          {
            name: 'Weight',
            says: dryText(drying, today.value),
            because: drying.bars
              ? say.value.count(drying.bars, 'marked bar', 'marked bars')
              : 'expected; weigh marked bars to know it better',
          },
        ]
      : []),
  ]
})
</script>

<template>
  <div>
    <dl class="grid gap-3">
      <div
        v-for="answer in [usable, sale, best]"
        :key="answer.asks"
        class="grid grid-cols-[auto_1fr] gap-x-3"
      >
        <dt>{{ answer.asks }}</dt>
        <dd class="figure text-right font-[650]" :class="answer.bad ? 'text-stop' : ''">
          {{ answer.says }}
        </dd>
        <dd
          class="col-span-2 text-sm"
          :class="answer.bad ? 'font-semibold text-stop' : 'text-ink-2'"
        >
          {{ answer.because }}
        </dd>
      </div>
    </dl>
    <div class="mt-4 grid grid-cols-2 gap-3 border-t border-line-2 pt-3">
      <div v-for="clock in clocks" :key="clock.name">
        <h3 class="text-[13px] font-[650] text-ink-2">{{ clock.name }}</h3>
        <p class="figure font-[650]">{{ clock.says }}</p>
        <p class="text-sm text-ink-2">{{ clock.because }}</p>
      </div>
    </div>
  </div>
</template>
