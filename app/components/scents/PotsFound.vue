<script setup lang="ts">
import type { TriedPot } from '#contracts/scent'
import { clockText } from '#core/scents/finding'
import { stretchesOf } from '#core/trials/stretches'
import type { PotLook } from '~/utils/potDrawing'

/** What the pots of one scent did: the last one's stages pictured, each pot as a ribbon, on one clock. */
const { pots, plain = null } = defineProps<{
  pots: readonly TriedPot[]
  colour: string
  batter: string
  /** Minute at which plain batter beside the first of them was medium. */
  plain?: number | null
}>()
const { say } = storeToRefs(useWorkshop())
const stages = ['light', 'medium', 'thick', 'too-far'] as const
const names: Partial<Record<PotLook, string>> = {
  light: 'light',
  medium: 'medium',
  thick: 'thick',
  'too-far': 'won’t pour',
  rices: 'rices',
  seizes: 'seizes',
}
/** Minutes that are shown: a quarter of an hour, half an hour or all of it. */
const span = computed(() => {
  const last = Math.max(
    ...pots.map(({ stages: of, until, zero }) => of['too-far']?.minutes ?? until - zero),
  )
  return [15, 30, 60].find((minutes) => last < minutes * 0.95) ?? 60
})
const first = computed(() => pots[0]!)
const marks = computed(() => {
  const { riced, seized, stages: of } = first.value
  const seen: { look: PotLook; minutes: number }[] = []
  if (riced) seen.push({ look: 'rices', minutes: riced.from })
  if (seized !== null) seen.push({ look: 'seizes', minutes: seized })
  else
    for (const stage of stages)
      if (of[stage]) seen.push({ look: stage, minutes: of[stage].minutes })
  return seen.filter(({ minutes }) => minutes <= span.value)
})
const ribbons = computed(() =>
  pots.slice(0, 4).map((pot) => ({
    pot,
    stretches: stretchesOf(pot.stages, pot.until - pot.zero),
    says: `${dayText(pot.day)}${pot.ratio === first.value.ratio ? '' : `, ${say.value.ratio(pot.ratio)}`}${pot.off ? `, ${say.value.percent(pot.rate, 1)}` : ''}`,
  })),
)
</script>

<template>
  <div>
    <ol class="flex flex-wrap gap-x-6 gap-y-2">
      <li v-for="mark in marks" :key="mark.look" class="flex items-center gap-2">
        <SmallPot class="size-[58px]" :look="mark.look" :colour="batter" />
        <span>
          <b class="figure block text-[18px] leading-5">{{ clockText(mark.minutes) }}</b>
          <span class="text-ink-2">{{ names[mark.look] }}</span>
        </span>
      </li>
    </ol>
    <div class="mt-2 grid gap-1.5">
      <div
        v-for="{ pot, stretches, says } in ribbons"
        :key="`${pot.trialId}${pot.pot}`"
        class="flex items-end gap-3"
      >
        <StageRibbon
          class="flex-1"
          :stretches="stretches"
          :colour="colour"
          :minutes="span"
          :riced="pot.riced"
          :plain="plain !== null && plain < span ? plain : null"
          :height="pot === first ? 44 : 26"
          :ticks="false"
        />
        <span
          class="w-28 shrink-0 pb-0.5 text-sm"
          :class="pot === first ? 'font-bold' : 'text-ink-2'"
          >{{ says }}</span
        >
      </div>
    </div>
    <div class="relative mt-1 mr-[124px] h-6 border-t-[3px] border-plank text-sm text-ink-2">
      <span
        v-for="at in [0, 1, 2, 3]"
        :key="at"
        class="figure absolute top-0.5 whitespace-nowrap"
        :class="at === 3 ? '-translate-x-full' : at ? '-translate-x-1/2' : ''"
        :style="{ left: `${(at / 3) * 100}%` }"
        >{{ say.number((span * at) / 3) }}{{ at ? ' min' : '' }}</span
      >
    </div>
    <p v-if="plain !== null" class="text-right text-sm text-ink-2">
      plain: medium at {{ say.number(plain, undefined, 0) }} min
    </p>
  </div>
</template>
