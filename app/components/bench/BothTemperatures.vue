<script setup lang="ts">
/** Lye and oils in one line, from the lye to the pour. */
const { celsius, ctx, lyeMade, state } = useBench()
const say = computed(() => ctx.value.say)
const degrees = (value: number | null) => degreesText(value, say.value)
const shown = computed(() => lyeMade.value && !state.value.combined.length)
</script>

<template>
  <p v-if="shown" class="figure text-[15px] whitespace-nowrap text-ink-2">
    jug <b class="text-[#ff8d75]">{{ degrees(celsius.lye) }}</b> oils
    <b class="text-[#e8c25d]">{{ degrees(celsius.oils) }}</b>
  </p>
</template>
