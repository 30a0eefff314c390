<script setup lang="ts">
import type { LyeCompared } from '#core/words/typed'

/** A typed lye beside the formula's own, on one rule of superfat: what burns, what cleans, what is a body bar, what is soft. */
const { compared, mine } = defineProps<{ compared: LyeCompared; mine: number }>()
const { say } = storeToRefs(useWorkshop())
const low = -0.05
const high = 0.2
const x = (superfat: number) => Math.max(0, Math.min(100, ((superfat - low) / (high - low)) * 100))
const zones = [
  { says: 'burns', from: low, to: 0 },
  { says: 'cleans', from: 0, to: 0.04 },
  { says: 'a body bar', from: 0.04, to: 0.12 },
  { says: 'soft', from: 0.12, to: high },
]
</script>

<template>
  <figure
    class="figure my-1"
    :aria-label="`Typed ${say.percent(compared.asked)}, mine ${say.percent(mine)}`"
  >
    <div class="relative mx-1 h-[62px] text-xs">
      <div class="absolute inset-x-0 top-[26px] h-3 bg-line-2">
        <i
          class="absolute inset-y-0 left-0"
          style="background: repeating-linear-gradient(135deg, #d5432a 0 3px, #fff 3px 7px)"
          :style="{ width: `${x(0)}%` }"
        />
        <i
          class="absolute inset-y-0 bg-ok-ground"
          :style="{ left: `${x(0.04)}%`, width: `${x(0.12) - x(0.04)}%` }"
        />
      </div>
      <span
        class="absolute top-0 -translate-x-full pr-1 whitespace-nowrap text-ink-2"
        :style="{ left: `${Math.max(28, x(mine))}%` }"
        >mine {{ say.massDown(compared.now) }}</span
      >
      <i
        class="absolute top-[18px] h-6 border-l-2 border-dashed border-ink"
        :style="{ left: `${x(mine)}%` }"
      />
      <b
        class="absolute top-0 pl-1 whitespace-nowrap"
        :style="{ left: `${Math.min(68, x(compared.asked))}%` }"
        >typed {{ say.mass(compared.grams) }}</b
      >
      <i
        class="absolute top-[16px] w-[3px] bg-ink"
        style="height: 28px"
        :style="{ left: `${x(compared.asked)}%` }"
      />
      <span
        v-for="zone in zones"
        :key="zone.says"
        class="absolute top-[44px] -translate-x-1/2 whitespace-nowrap"
        :class="zone.says === 'burns' ? 'font-bold text-stop' : 'text-ink-2'"
        :style="{ left: `${(x(zone.from) + x(zone.to)) / 2}%` }"
        >{{ zone.says }}</span
      >
    </div>
  </figure>
</template>
