<script setup lang="ts">
import { dividedSays, type Divided } from '#core/bench/plan/divide'
import type { PlanRow } from '#core/bench/plan/fold'

/** What is divided up front into the cups of pots that are made one after another: how much of each, and a picture of the cups. */
const { rows, pots } = defineProps<{
  /** One of each thing that is divided: oils, lye. */
  rows: PlanRow[]
  pots: number
}>()
const { say } = storeToRefs(useWorkshop())
const colours: Partial<Record<Divided, string>> = {
  oils: '#d9b65c',
  lye: 'var(--color-lye)',
}
const parts = computed(() =>
  rows.map(({ fold, steps }) => {
    const { low, high } = fold!.grams!
    const id = steps[0]!.weigh!.id as Divided
    return {
      id,
      says: dividedSays(id),
      grams:
        say.value.massFigure(low) === say.value.massFigure(high)
          ? say.value.mass(low)
          : `${say.value.massFigure(low)} to ${say.value.mass(high)}`,
      cups: steps.map(({ weigh, pot }) => ({ pot: pot!, full: weigh!.grams / high })),
      colour: colours[id] ?? 'var(--color-extra)',
    }
  }),
)
/** A cup drawn at x, filled so far; the first thing's are large, the others' small. */
const wide = [26, 12]
const high = [38, 22]
const cup = (x: number, size: number, full: number) => {
  const [width, height] = [wide[size]!, high[size]!]
  const inset = width * 0.1
  const top = 42 - height
  const level = 42 - height * 0.62 * full
  const side = (y: number) => inset * ((y - top) / height)
  return {
    glass: `M${x} ${top}L${x + inset} 42H${x + width - inset}L${x + width} ${top}`,
    fill: `M${x + side(level)} ${level}L${x + inset} 42H${x + width - inset}L${x + width - side(level)} ${level}Z`,
  }
}
const step = 46
const drawn = computed(() =>
  parts.value.flatMap(({ cups, colour }, size) =>
    cups.map(({ pot, full }) => ({
      colour,
      ...cup(pot * step + (size ? 30 : 0), Math.min(size, 1), full),
    })),
  ),
)
</script>

<template>
  <div>
    <b class="font-[620]">For each of {{ say.count(pots, 'cup', 'cups') }}</b>
    <p class="mt-0.5 flex flex-wrap gap-x-6">
      <span
        v-for="one in parts"
        :key="one.id"
        class="font-[650]"
        :class="one.id === 'lye' ? 'text-stop' : 'text-ink'"
        ><b class="text-[22px] font-bold">{{ one.grams }}</b> of {{ one.says }}</span
      >
    </p>
    <svg
      :viewBox="`-1 0 ${pots * step} 44`"
      class="mt-2 h-auto max-h-14 w-full"
      preserveAspectRatio="xMinYMid"
      aria-hidden="true"
    >
      <g v-for="(one, index) in drawn" :key="index">
        <path :d="one.fill" :fill="one.colour" />
        <path :d="one.glass" fill="none" stroke="#182022" stroke-opacity=".55" />
      </g>
    </svg>
  </div>
</template>
