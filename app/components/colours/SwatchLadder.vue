<script setup lang="ts">
import type { ColourSeen } from '#contracts/colour'
import { swatchRows } from '#core/batter/seenColours'

/** How a colour came out: a row for each rate and gel, from fresh to old. */
const { seen, large = false } = defineProps<{ seen: readonly ColourSeen[]; large?: boolean }>()
const emit = defineEmits<{ pick: [id: string] }>()
const { say } = storeToRefs(useWorkshop())
const rows = computed(() => swatchRows(seen))
const weeks = (day: number) =>
  day < 7 ? `day ${day}` : say.value.count(Math.round(day / 7), 'week', 'weeks')
</script>

<template>
  <ul class="grid gap-2">
    <li
      v-for="row in rows"
      :key="`${row.rate} ${row.gelled}`"
      :class="large ? '' : 'grid grid-cols-[116px_minmax(0,1fr)] items-start gap-2'"
    >
      <p class="figure text-[13px] text-ink-2">
        <b class="text-ink">{{ say.percent(row.rate, 2) }}</b>
        {{ row.gelled ? 'gelled' : 'not gelled' }}
      </p>
      <div class="mt-0.5 flex flex-wrap gap-1.5">
        <component
          :is="large ? 'button' : 'span'"
          v-for="one in row.seen"
          :key="one.id"
          :type="large ? 'button' : undefined"
          class="block text-left"
          @click="large && emit('pick', one.id)"
        >
          <i
            class="chamfer block border border-ink/40"
            :class="large ? 'h-20 w-28' : 'h-9 w-14'"
            style="--cut: 5px"
            :style="{ background: one.swatch }"
          />
          <span class="figure block text-[12px] text-ink-2"
            >{{ weeks(one.day) }}{{ one.card ? '' : ' *' }}</span
          >
        </component>
      </div>
    </li>
  </ul>
  <p v-if="seen.some(({ card }) => !card)" class="mt-1 text-[12px] text-ink-2">
    * without a card: as the camera or the eye made it
  </p>
</template>
