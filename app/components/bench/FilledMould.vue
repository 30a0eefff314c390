<script setup lang="ts">
import { patternsOf } from '#core/formula/method'

/** The mould of the run filling up: layers in their order, propped up where they are to slant, or what is poured together. */
const bench = useBench()
const { ctx, plan, done } = bench
const { rows, below } = useLayers(bench)
const say = computed(() => ctx.value.say)
const oneByOne = computed(
  () =>
    rows.value.length === 1 ||
    plan.value.steps.some(({ kind, pot }) => kind === 'pour' && pot !== undefined),
)
const slanted = computed(() => patternsOf(ctx.value.document).includes('slanted-layers'))
/** Levelled again once all but the last are in. */
const propped = computed(
  () => slanted.value && rows.value.filter(({ poured }) => !poured).length > 1,
)
const layers = computed(() =>
  rows.value.map(({ colour, batter, poured, on }) => ({
    colour,
    batter,
    stands: (poured ? 'in' : !on ? 'to come' : done.value ? 'taken' : 'on') as
      'in' | 'on' | 'taken' | 'to come',
  })),
)
const says = computed(
  () =>
    `The mould${propped.value ? ', propped up on one side' : ''}: ${say.value.list(rows.value.map(({ name, poured }) => `${name || 'all of it'} ${poured || done.value ? 'is in' : 'to come'}`))}`,
)
</script>

<template>
  <MouldDrawing
    :layers="layers"
    :says="says"
    :one-by-one="oneByOne"
    :propped="propped"
    :note="below !== null && slanted && !propped ? 'levelled for the last layer' : ''"
  />
</template>
