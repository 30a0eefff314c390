<script setup lang="ts">
import type { Check } from '#contracts/batch'
import { daysBetween } from '#core/units/days'
import type { PaperDraft } from '~/utils/paperEvents'

/** The hour of a pour that was written down, and what counts from it: when to look, when to cut, where today stands. */
const { checks, pouredAt } = defineProps<{ pouredAt: string | undefined; checks: Check[] }>()
const draft = defineModel<PaperDraft>({ required: true })
const workshop = useWorkshop()
const { today, settings } = storeToRefs(workshop)
const line = computed(() => {
  const cut = checks.find(({ kind }) => kind === 'unmould')
  if (!pouredAt || !cut) return null
  const from = Date.parse(pouredAt)
  const now = workshop.clock()
  const to = Math.max(now, Date.parse(cut.to)) + 6 * 3_600_000
  const at = (instant: number) => Math.min(100, Math.max(0, ((instant - from) / (to - from)) * 100))
  const look = checks.find(({ kind }) => kind === 'peek')
  return {
    look: look && {
      at: at(Date.parse(look.from)),
      says: `look at ${workshop.timeOf(look.from)}${Date.parse(look.to) < now ? ', past' : ''}`,
    },
    cut: {
      from: at(Date.parse(cut.from)),
      to: at(Date.parse(cut.to)),
      says: `cut ${whenText(cut, settings.value.timeZone)}`,
      past: Date.parse(cut.to) < now,
    },
    now: at(now),
    day: daysBetween(draft.value.day, today.value),
  }
})
</script>

<template>
  <div class="grid gap-x-8 gap-y-3 lg:grid-cols-[auto_1fr] lg:items-center">
    <div class="flex flex-wrap items-center gap-x-3 gap-y-2 text-[17px] font-bold">
      <label class="flex items-center gap-3"
        >Poured
        <input
          v-model="draft.day"
          type="date"
          class="field min-h-12 text-[20px] font-bold"
          :max="today"
          aria-label="Day of the pour"
          required
      /></label>
      <label class="flex items-center gap-3"
        >at
        <input
          v-model="draft.hour"
          type="time"
          class="field min-h-12 w-42 !border-2 !border-ink text-[22px] font-bold"
          aria-label="Hour of the pour"
      /></label>
    </div>
    <div v-if="line" class="figure relative h-[76px] text-sm max-sm:hidden">
      <span class="absolute top-0 left-0 font-semibold text-ink"
        >poured {{ timeText(pouredAt!, settings.timeZone) }}</span
      >
      <i class="absolute inset-x-0 top-[33px] border-t-2 border-line-3" />
      <i class="absolute top-[27px] left-0 size-3.5 rounded-full bg-act" />
      <template v-if="line.look">
        <i class="absolute top-7 h-3 w-1 bg-ink" :style="{ left: `${line.look.at}%` }" />
        <span class="absolute top-[46px] left-0 text-ink-2">{{ line.look.says }}</span>
      </template>
      <i
        class="absolute top-[24px] h-5 bg-slate"
        :style="{
          left: `${line.cut.from}%`,
          width: `${Math.max(1, line.cut.to - line.cut.from)}%`,
        }"
      />
      <span
        class="absolute top-0 font-semibold whitespace-nowrap text-ink"
        :style="
          line.cut.from < 50
            ? { left: `${Math.max(22, line.cut.from)}%` }
            : { right: `${100 - line.cut.to}%` }
        "
        >{{ line.cut.says }}</span
      >
      <span
        v-if="line.cut.past"
        class="absolute top-[46px] font-semibold whitespace-nowrap text-warn"
        :style="{ left: `${Math.min(60, Math.max(30, line.cut.to))}%` }"
        >was it cut? Asked next</span
      >
      <i class="absolute top-[16px] h-9 w-0.5 bg-ink" :style="{ left: `${line.now}%` }" />
      <span
        class="absolute top-[54px] -translate-x-full pr-1 whitespace-nowrap text-ink"
        :class="line.now < 20 ? '!translate-x-2' : ''"
        :style="{ left: `${line.now}%` }"
        >today, day {{ line.day }}</span
      >
    </div>
    <p class="text-sm text-ink-2" :class="line ? 'lg:col-span-2 lg:sr-only' : ''">
      Everything after it counts from this hour: when to look, to unmould, to cut. Left empty,
      nothing is due by the hour.
    </p>
  </div>
</template>
