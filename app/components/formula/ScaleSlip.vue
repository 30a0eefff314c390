<script setup lang="ts">
import { scaleSteps } from '#contracts/words'
import { onScale } from '#core/formula/onScale'
import { lyeWeighed } from '#core/formula/pot'
import { formatter } from '#core/units/formatter'

/** "What does your scale show?", with the lye and the superfat that each answer makes of this very formula. */
const { document, open: lacking } = useFormulaEditor()
const { library } = storeToRefs(useMaterials())
const workshop = useWorkshop()
const steps = computed(() => {
  const { units } = workshop.settings
  return scaleSteps
    .filter(
      (step) =>
        step.units === units && (units === 'imperial' || (step.grams >= 0.1 && step.grams <= 1)),
    )
    .sort((a, b) => b.grams - a.grams)
    .map(({ grams, says }) => {
      const { result, superfat } = onScale(document.value, library.value, grams)
      const say = formatter({ locale: navigator.language, system: units, scale: grams })
      const shown = { 1: '80 g', 0.5: '80.5 g', 0.1: '80.6 g' }[grams as 1]
      return {
        grams,
        shows: shown ?? say.mass(80.6),
        step: says,
        lye: say.massDown(lyeWeighed(result)),
        superfat: say.percent(superfat),
      }
    })
})
</script>

<template>
  <FirstSlip v-if="!lacking.length" question="scale" asks="What does your scale show?">
    <template #aside><NuxtLink class="link" to="/workshop">Another step</NuxtLink></template>
    <div class="grid gap-2" :class="steps.length > 3 ? 'grid-cols-4' : 'grid-cols-3'">
      <SlipKey
        v-for="step in steps"
        :key="step.grams"
        question="scale"
        :changes="{ scale: step.grams }"
        :lit="workshop.settings.scale === step.grams"
        :aria-label="`The scale shows ${step.shows}, in steps of ${step.step}`"
      >
        <svg viewBox="0 0 96 58" class="mx-auto w-20" aria-hidden="true">
          <path
            d="M34 4 h28 l-4 18 h-20 z"
            fill="#fff"
            stroke="var(--color-ink)"
            stroke-width="2.5"
          />
          <path d="M20 25 h56" stroke="var(--color-ink)" stroke-width="3" />
          <path d="M20 28 h56 l10 28 h-76 z" fill="var(--color-ink)" />
          <rect x="24" y="35" width="48" height="16" rx="2" fill="#dfe6df" />
          <text
            x="48"
            y="47.5"
            text-anchor="middle"
            font-size="12.5"
            font-weight="700"
            fill="var(--color-ink)"
          >
            {{ step.shows }}
          </text>
        </svg>
        <span class="block">lye {{ step.lye }}</span>
        <small class="block font-normal">superfat {{ step.superfat }}</small>
      </SlipKey>
    </div>
  </FirstSlip>
</template>
