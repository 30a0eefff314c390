<script setup lang="ts">
import type { PlanContext } from '#core/bench/plan/context'
import type { Plan } from '#core/bench/plan/plan'
import { sumOf } from '#core/statistics/sum'
import type { PaperDraft } from '~/utils/paperEvents'

/** What the paper says was in the pan and the jug, one on top of the other to scale; what it leaves blank is drawn open. */
const { plan, ctx, grams } = defineProps<{
  plan: Plan
  ctx: PlanContext
  grams: PaperDraft['grams']
}>()
const say = computed(() => ctx.say)
/** From the top: lye, water and what stands with it, then the rest, the fats at the ground. */
const places = ['lye', 'water', 'liquid', 'additive', 'scent', 'fat'] as const
const parts = computed(() => {
  const byId = new Map<
    string,
    { name: string; grams: number; blank: boolean; place: number; colour: string; lye: boolean }
  >()
  for (const { id, weigh } of plan.steps) {
    if (!weigh || weigh.kind === 'share') continue
    const told = grams[id] ?? null
    const before = byId.get(weigh.id)
    byId.set(weigh.id, {
      name: weigh.name.split(',')[0]!,
      grams: (before?.grams ?? 0) + (told ?? weigh.grams),
      blank: told === null || before?.blank === true,
      place: places.indexOf(weigh.substance),
      colour: substanceColour(weigh.substance, weigh.id, ctx.library),
      lye: weigh.substance === 'lye',
    })
  }
  return [...byId.values()].sort((a, b) => a.place - b.place)
})
const top = 34
const floor = 204
const drawn = computed(() => {
  const whole = sumOf(parts.value, ({ grams: own }) => own) || 1
  let y = top
  const rows = parts.value.map((part) => {
    const height = (part.grams / whole) * (floor - top)
    y += height
    return { ...part, y: y - height, height, label: y - height / 2 }
  })
  // Names keep their distance: pushed down from the top, then up again from the ground.
  const apart = Math.min(22, (floor - top + 24) / Math.max(1, rows.length))
  for (let at = 1; at < rows.length; at++)
    rows[at]!.label = Math.max(rows[at]!.label, rows[at - 1]!.label + apart)
  for (let at = rows.length - 1; at >= 0; at--)
    rows[at]!.label = Math.min(rows[at]!.label, (rows[at + 1]?.label ?? floor + 8 + apart) - apart)
  return rows
})
const says = computed(
  () =>
    `On the paper so far: ${say.value.list(parts.value.map(({ name, grams: own, blank }) => (blank ? `${name} not known` : `${name} ${say.value.mass(own)}`)))}`,
)
</script>

<template>
  <svg viewBox="0 0 340 216" class="figure h-auto w-full" role="img" :aria-label="says">
    <g v-for="part in drawn" :key="part.name">
      <rect
        x="14"
        :y="part.y"
        width="120"
        :height="part.height"
        :fill="part.blank ? '#ffffff' : part.colour"
        :stroke="part.blank ? '#566263' : 'none'"
        stroke-dasharray="3 3"
      />
      <path
        :d="`M134 ${part.y + part.height / 2}L160 ${part.label}`"
        stroke="#8a9794"
        fill="none"
      />
      <text
        x="166"
        :y="part.label + 5"
        font-size="14"
        :font-weight="part.blank ? 400 : 600"
        :fill="part.blank ? '#566263' : part.lye ? '#b3261e' : '#182022'"
      >
        {{ part.name }} {{ part.blank ? '?' : say.mass(part.grams) }}
      </text>
    </g>
    <path d="M8 12L14 208H134L140 12" fill="none" stroke="#182022" stroke-width="3" />
  </svg>
</template>
