<script setup lang="ts">
import type { TrialBatter } from '#core/trials/plan'

/** The batter to make: how much, and what of; a cup each where waters differ. */
const { batters } = defineProps<{
  batters: readonly TrialBatter[]
  /** The batch whose tail it is. */
  batch: { name: string; number: number; batterGrams: number } | null
}>()
const { say } = storeToRefs(useWorkshop())
const whole = computed(() => batters.reduce((all, { grams }) => all + grams, 0))
</script>

<template>
  <section class="sheet px-4 py-3">
    <div class="flex items-baseline">
      <h2 class="flex-1 text-sm font-semibold text-ink-2">The batter</h2>
      <span class="text-sm text-ink-2">8 % spare</span>
    </div>
    <div class="mt-1 flex gap-4">
      <svg
        viewBox="0 0 110 140"
        class="h-32 shrink-0"
        role="img"
        :aria-label="`${say.amount(whole)} of batter`"
      >
        <path d="M10 4 L18 132 H92 L100 4" fill="#fff" stroke="#182022" stroke-width="4" />
        <path v-if="batch" d="M13.2 52 L17.8 130 H92.2 L96.8 52 Z" fill="#d8c58f" />
        <path
          v-if="batch"
          d="M11.5 20 L13.2 52 H96.8 L98.5 20 Z"
          fill="#e7dcc0"
          stroke="#182022"
          stroke-dasharray="4 3"
          stroke-width="1"
        />
        <path v-else d="M12 36 L17.8 130 H92.2 L98 36 Z" fill="#e7dcc0" />
        <text
          x="55"
          :y="batch ? 41 : 88"
          text-anchor="middle"
          class="figure text-[15px] font-bold"
          fill="#182022"
        >
          {{ say.amount(whole) }}
        </text>
        <text
          v-if="batch"
          x="55"
          y="96"
          text-anchor="middle"
          class="figure text-[15px] font-bold"
          fill="#182022"
        >
          {{ say.amount(batch.batterGrams) }}
        </text>
      </svg>
      <div class="min-w-0 flex-1">
        <div v-for="one in batters" :key="one.ratio" class="mb-2">
          <p class="font-semibold text-ink-2">
            {{ batch ? 'More for the tail' : say.count(one.pots, 'pot', 'pots')
            }}<template v-if="batters.length > 1"> at {{ say.ratio(one.ratio) }}</template>
          </p>
          <dl class="figure grid grid-cols-[1fr_auto] gap-x-2">
            <dt>Oils</dt>
            <dd class="text-right font-semibold">{{ say.mass(one.result.oils) }}</dd>
            <dt class="text-stop">Lye</dt>
            <dd class="text-right font-semibold text-stop">
              {{ say.massDown(one.result.lye.naoh + one.result.lye.koh) }}
            </dd>
            <dt>Water</dt>
            <dd class="text-right font-semibold">{{ say.mass(one.result.water.weighed) }}</dd>
          </dl>
        </div>
        <p v-if="batch" class="text-sm text-ink-2">
          {{ batch.name }} {{ batch.number }} is then {{ say.amount(batch.batterGrams + whole) }}.
          The tail leaves before its colour and its scent.
        </p>
        <p v-if="batters.length > 1" class="text-sm text-ink-2">
          {{ say.count(batters.length, 'lye cup', 'lye cups') }}: one for each water.
        </p>
      </div>
    </div>
  </section>
</template>
