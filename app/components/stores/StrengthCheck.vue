<script setup lang="ts">
import type { Lot } from '#contracts/store'
import { judged, solutionDensity, strengthOf } from '#core/stores/solution'

/** A solution checked by weighing a volume of it: it may lower or question what was weighed, never raise it. */
type Check = Omit<NonNullable<Lot['checked']>, 'grams'> & { grams: number | null }
const { strength } = defineProps<{
  /** By weight and the purity of its lye; a mass fraction. */
  strength: number
}>()
const check = defineModel<Check>({ required: true })
const { say } = storeToRefs(useWorkshop())
const weighed = computed(() =>
  check.value.grams ? strengthOf({ ...check.value, grams: check.value.grams }) : null,
)
const verdict = computed(() => (weighed.value ? judged(weighed.value, strength) : null))
const wanted = computed(() => check.value.millilitres * solutionDensity(strength))
/** The scale under the flask: points of strength about what it should be, from left to right. */
const ruler = computed(() => {
  const middle = Math.round(strength * 100)
  const at = (share: number) => 20 + ((share * 100 - middle + 5) / 10) * 320
  return {
    marks: [-4, -2, 0, 2, 4].map((off) => ({
      says: say.value.percent((middle + off) / 100, 0),
      x: at((middle + off) / 100),
    })),
    right: at(strength),
    band: weighed.value
      ? [at(strength - weighed.value.within), at(strength + weighed.value.within)]
      : [at(strength - 0.01), at(strength + 0.01)],
    found: weighed.value ? Math.min(350, Math.max(10, at(weighed.value.strength))) : null,
  }
})
</script>

<template>
  <section class="sheet grid gap-3 px-4 py-3 no-print" aria-labelledby="strong">
    <h2 id="strong" class="text-[14px] font-bold text-ink">Is it as strong as it says?</h2>
    <div class="grid grid-cols-3 gap-3">
      <FieldRow says="Volume"
        ><NumberField v-model="check.millilitres" label="Volume" unit="ml" :min="10"
      /></FieldRow>
      <FieldRow says="weighs"
        ><NumberField v-model="check.grams" label="weighs" unit="g" :decimals="1" :min="1"
      /></FieldRow>
      <FieldRow says="at"><TemperatureField v-model="check.celsius" label="at" /></FieldRow>
    </div>
    <label class="flex items-center gap-2"
      ><input v-model="check.cylinder" type="checkbox" /> in a 100 ml cylinder, read to 0.5
      ml</label
    >
    <svg viewBox="0 0 360 46" class="figure w-full" aria-hidden="true">
      <rect
        :x="ruler.band[0]"
        y="6"
        :width="ruler.band[1]! - ruler.band[0]!"
        height="18"
        class="fill-ok"
        opacity="0.2"
      />
      <path d="M10 15H350" stroke="currentColor" opacity="0.6" />
      <g v-for="mark in ruler.marks" :key="mark.x">
        <path :d="`M${mark.x} 12v7`" stroke="currentColor" opacity="0.6" />
        <text :x="mark.x" y="40" text-anchor="middle" font-size="12" class="fill-ink-2">
          {{ mark.says }}
        </text>
      </g>
      <path :d="`M${ruler.right} 4v22`" class="stroke-ok" stroke-width="2" stroke-dasharray="3 2" />
      <path v-if="ruler.found" :d="`M${ruler.found} 2v26`" stroke="currentColor" stroke-width="3" />
    </svg>
    <p v-if="!weighed" class="text-ink-2">
      {{ say.number(check.millilitres) }} ml of it should weigh {{ say.number(wanted, 1) }} g. Not
      checked: the lot will say so.
    </p>
    <p v-else role="status">
      <b class="text-[22px]">{{ say.percent(weighed.strength, 1) }}</b> ±
      {{ say.number(weighed.within * 100, 0, 1) }} by volume.
      <b v-if="verdict === 'agrees'" class="block text-ok"
        >✓ Agrees with {{ say.percent(strength, 1) }} by weight.</b
      >
      <b v-else-if="verdict === 'weaker'" class="block text-stop"
        >Weaker than it was weighed: the lye may be old, or not all of it dissolved. Weigh no more
        of it to make up for that; make it anew from a fresh lye, or use it for laundry.</b
      >
      <b v-else class="block text-warn"
        >Heavier than it can be by its lye: carbonate and dirt weigh too. It is kept as
        {{ say.percent(strength, 1) }}, never stronger.</b
      >
    </p>
  </section>
</template>
