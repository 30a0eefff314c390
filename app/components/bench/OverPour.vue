<script setup lang="ts">
import type { OverChoice } from '#core/bench/run/overPour'
import type { WeighingNow } from '~/composables/useWeighing'
import { inSentence } from '#core/units/language'

/** Too much went in: what it does, and each way on with the batch it makes. */
const { choices, weighing } = defineProps<{ choices: OverChoice[]; weighing: WeighingNow }>()
const { ctx, step, plan } = useBench()
const say = computed(() => ctx.value.say)
const name = computed(() => step.value?.weigh?.name ?? '')
const over = computed(() => choices.find(({ choice }) => choice === 'take-out')?.out ?? 0)
const planned = computed(() => choices.find(({ choice }) => choice === 'take-out')?.makes)
const accepted = computed(() => choices.find(({ choice }) => choice === 'accept')?.makes)
function words(choice: OverChoice): { says: string; means: string } {
  const { makes } = choice
  if (choice.choice === 'take-out')
    return {
      says: `Take ${say.value.mass(choice.out)} out again`,
      means: choice.clean
        ? 'It lies in a cup of its own, so it comes out clean. Dry spoon, gloves on.'
        : 'Only if it has not mixed with the rest yet: from the top, with a dry spoon.',
    }
  if (choice.choice === 'match') {
    const lye = plan.value.steps.find(({ id }) => id in choice.targets)
    return {
      says: 'Let the lye follow',
      means: `Lye becomes ${say.value.massDown(choice.targets[lye?.id ?? ''] ?? 0)} and the superfat stays.`,
    }
  }
  if (choice.choice === 'scale')
    return {
      says: `Make all of it ${say.value.percent(makes.batter / (planned.value?.batter || 1) - 1, 1)} larger`,
      means: choice.topUps.length
        ? `What is weighed already wants more: ${say.value.list(choice.topUps.map((one) => `${one.name} +${say.value.mass(one.grams)}`))}.`
        : `The rest is weighed to match; ${say.value.amount(makes.batter)} of batter.`,
    }
  return {
    says: 'Go on as it is',
    means: makes.superfat < 0 ? 'Free lye: not for skin.' : 'Nothing else changes.',
  }
}
</script>

<template>
  <div class="mt-4" role="group" aria-label="Too much">
    <p class="figure text-[22px] font-bold text-[#ff8d75]">
      {{ say.mass(over) }} too much {{ inSentence(name) }}
    </p>
    <p v-if="accepted && planned" class="figure text-[17px] text-ink-2">
      Left so: superfat {{ say.percent(accepted.superfat, 1) }} instead of
      {{ say.percent(planned.superfat, 1) }}, water {{ say.ratio(accepted.ratio) }}.
    </p>
    <ol class="mt-3 grid gap-2.5">
      <li v-for="(choice, place) in choices" :key="choice.choice">
        <button
          type="button"
          class="grid min-h-16 w-full grid-cols-[40px_1fr_auto] items-center gap-3 bg-[#2d393b] px-4 py-2 text-left"
          @click="weighing.choose(choice)"
        >
          <span class="grid size-9 place-items-center border-2 border-current font-mono">{{
            place + 1
          }}</span>
          <span>
            <b class="figure block text-[18px]">{{ words(choice).says }}</b>
            <span class="figure text-[15px] text-ink-2">{{ words(choice).means }}</span>
          </span>
          <span
            class="figure text-right text-[15px]"
            :class="choice.makes.superfat < 0 ? 'font-bold text-[#ff8d75]' : ''"
          >
            superfat<br /><b class="text-[18px]">{{ say.percent(choice.makes.superfat, 1) }}</b>
          </span>
        </button>
      </li>
    </ol>
  </div>
</template>
