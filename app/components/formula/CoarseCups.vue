<script setup lang="ts">
/** Pots and cups that this scale is too coarse for, and what to do about it. */
const { weighed, open: lacking, result } = useFormulaEditor()
const { say, settings } = storeToRefs(useWorkshop())
const step = computed(() => scaleText(settings.value.scale))
const lines = computed(() =>
  weighed.value.coarse.map(({ name, points, tooSmall }) => {
    const who = name ? `The cup “${name}”` : 'This batch'
    if (tooSmall)
      return `${who} is too small for a scale in steps of ${step.value}: something in it weighs less than one.`
    return `${who}: half a step of ${step.value} moves its superfat by ${say.value.number(points * 100, 1)} points. ${
      result.value.parts.length
        ? 'Weigh the others first and pour the rest into the last cup, or divide the batter at emulsion.'
        : 'Make more of it, or use a finer scale.'
    }`
  }),
)
</script>

<template>
  <ul
    v-if="lines.length && !lacking.length"
    class="border-t border-line-2 text-[13.5px]"
    aria-label="Too small for the scale"
  >
    <li v-for="line in lines" :key="line" class="px-4 py-1.5 text-warn">{{ line }}</li>
  </ul>
</template>
