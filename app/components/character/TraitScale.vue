<script setup lang="ts">
import type { Trait } from '#contracts/words'
import { traitRules } from '#core/character/coefficients'
import { standing, type Region } from '#core/character/regions'
import { shownTrait } from '#core/character/traits'
import { sayTrait } from '#core/character/words'

/** One trait as a scale: a bar to where it is, the region of the use behind it. */
const {
  trait,
  value,
  region,
  before = null,
} = defineProps<{ trait: Trait; value: number; region: Region; before?: number | null }>()
const where = computed(() => standing(value, region))
const percent = (of: number) => `${shownTrait(of)}%`
</script>

<template>
  <div
    class="grid grid-cols-[88px_1fr_30px] items-center gap-2"
    role="img"
    :aria-label="sayTrait(trait, value, region)"
  >
    <span>{{ traitRules[trait].says }}</span>
    <span class="relative h-4 bg-band">
      <i
        class="absolute inset-y-0 border-x-2 border-[#7fae95] bg-ok-ground"
        :style="{ left: percent(region[0]), right: `${100 - shownTrait(region[1])}%` }"
      />
      <i
        class="absolute inset-y-[5px] left-0"
        :class="where === 'inside' ? 'bg-ink' : 'bg-warn'"
        :style="{ width: percent(value) }"
      />
      <i
        v-if="before !== null"
        class="absolute inset-y-0 w-0.5 bg-ink-2"
        :style="{ left: percent(before) }"
      />
    </span>
    <b class="figure text-right font-semibold" :class="where === 'inside' ? '' : 'text-warn'">{{
      Math.round(shownTrait(value))
    }}</b>
    <small v-if="where !== 'inside'" class="col-start-2 -mt-1.5 text-xs text-warn"
      >{{ where }} its region</small
    >
  </div>
</template>
