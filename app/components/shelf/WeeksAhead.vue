<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { weeksAhead, type Ripening } from '#core/rack/weeksAhead'
import { isBlocked } from '#core/rack/usable'
import { addDays, daysBetween } from '#core/units/days'
import { sumOf } from '#core/statistics/sum'

/** Twelve weeks as thin planks: the bars that get ready in each, counted truly, what is promised, and how full the racks are. */
const { batches } = defineProps<{ batches: BatchSummary[] }>()
const { today, settings, say } = storeToRefs(useWorkshop())
const goals = useGoals()
const formulas = useFormulas()
const span = 12
const ahead = computed(() => weeksAhead(batches, today.value, span, settings.value.dates.firstDay))
const room = computed(() => sumOf(settings.value.rack.places, ({ bars }) => bars))

/** Pixels of the column the bars stand in, between two bars and two batches: a fuller week draws smaller ones. */
const [column, between, apart] = [236, 1.5, 8]
function sizeFor(ripening: Ripening[]) {
  const bars = sumOf(ripening, (one) => Math.ceil(Math.min(24, one.bars) / 2))
  const room = (column - apart * (ripening.length - 1)) / Math.max(1, bars) - between
  return { width: Math.max(2, Math.min(8, room)), height: Math.max(6, Math.min(11, room * 1.4)) }
}
/** Batches of a week that are drawn and named; the others are counted. */
const most = 6
const others = (ripening: Ripening[]) => ({
  batches: ripening.length - most,
  bars: sumOf(ripening.slice(most), ({ bars }) => bars),
})
/** What is said of one beside its bars: on what its day rests. */
function besides({ batch, standing, planned }: Ripening): string {
  const { usable, drying } = batch.facts
  if (planned) return ', if poured today'
  if (isBlocked(usable)) return `, ${usable.state}`
  if (standing.stage === 'ready') return ', if tested'
  if (standing.by === 'weight' && drying) {
    const half = Math.ceil(daysBetween(drying.from, drying.to) / 2)
    return half <= 31 ? `, ± ${half} days` : ', by weight'
  }
  return ''
}
const promised = computed(() => {
  const nameOf = (id: string) => formulas.list.find((one) => one.id === id)?.document.name ?? ''
  return goals.list.map(({ id, document }) => ({
    id,
    on: document.on,
    says: `${document.bars} ${nameOf(document.formulaId)} promised`,
  }))
})
/** Days from pour to ready that most batches take. */
const usualDays = 42
const weeks = computed(() => {
  let told = false
  return ahead.value.weeks.map((week) => {
    const to = addDays(week.from, 6)
    const pourBy = addDays(to, -usualDays)
    const empty = week.ripening.length === 0
    const fill = empty && !told && pourBy >= today.value
    told ||= fill
    return {
      ...week,
      size: sizeFor(week.ripening.slice(0, most)),
      fill: fill ? pourBy : null,
      promised: promised.value.filter(({ on }) => on >= week.from && on <= to),
    }
  })
})
const later = computed(() => ({
  bars: sumOf(ahead.value.later, ({ bars }) => bars),
  says: say.value.list([
    ...ahead.value.later
      .slice(0, most)
      .map(
        ({ batch, bars, on }) =>
          `${bars} ${batch.name} ${batch.number} in ${monthText(on, today.value)}`,
      ),
    ...(ahead.value.later.length > most ? [`${ahead.value.later.length - most} more batches`] : []),
  ]),
}))
</script>

<template>
  <div class="figure text-[12.5px]">
    <div class="mb-1 grid grid-cols-[1fr_auto_auto] items-end gap-x-5 text-ink-2">
      <h2>Bars ready in the next 12 weeks</h2>
      <span class="flex gap-4 max-sm:hidden" aria-hidden="true">
        <span class="flex items-center gap-1.5"
          ><i class="inline-block h-3 w-2 rounded-[2px] border border-[#5c6663] bg-[#b8bd7c]" /> one
          bar</span
        >
        <span class="flex items-center gap-1.5"
          ><i class="inline-block h-3 w-2 rounded-[2px] border border-dashed border-ink-3" />
          planned</span
        >
      </span>
      <span class="w-24 text-right text-xs leading-[14px]"
        >on the racks{{ room ? `, room for ${say.number(room, 0)}` : '' }}</span
      >
    </div>
    <ol>
      <li
        v-for="week in weeks"
        :key="week.from"
        class="grid grid-cols-[46px_minmax(0,1fr)_32px] items-end gap-x-2.5 sm:grid-cols-[46px_236px_minmax(0,1fr)_92px]"
        :class="
          week.ripening.length
            ? 'min-h-[27px] border-b-[3px] border-[#a9b2af]'
            : 'min-h-[17px] items-center border-b border-line'
        "
      >
        <span class="whitespace-nowrap text-ink-2">{{ dayText(week.from) }}</span>
        <span class="flex min-w-0 items-end gap-2 overflow-hidden" aria-hidden="true">
          <template v-for="one in week.ripening.slice(0, most)" :key="one.batch.id">
            <span
              v-if="one.planned"
              class="planned"
              :style="{
                '--bars': Math.ceil(Math.min(24, one.bars) / 2),
                '--step': `${week.size.width + between}px`,
              }"
            />
            <BarRows
              v-else
              :thumbnail="one.batch.thumbnail"
              :bars="Math.min(24, one.bars)"
              :rows="2"
              :width="week.size.width"
              :height="week.size.height"
              :gap="between"
            />
          </template>
        </span>
        <span class="min-w-0 leading-4 max-sm:col-span-2 max-sm:col-start-2 max-sm:row-start-2">
          <template v-for="(one, at) in week.ripening.slice(0, most)" :key="one.batch.id"
            ><template v-if="at"> · </template
            ><NuxtLink :to="`/batches/${one.batch.id}`" class="hover:underline"
              ><b>{{ one.bars }}</b> {{ one.batch.name }} {{ one.batch.number
              }}<span class="text-ink-2">{{ besides(one) }}</span></NuxtLink
            ></template
          >
          <NuxtLink v-if="week.ripening.length > most" to="/rack" class="ml-1 text-ink-2 underline"
            >and {{ say.count(others(week.ripening).bars, 'bar', 'bars') }} of
            {{ say.count(others(week.ripening).batches, 'other', 'others') }}</NuxtLink
          >
          <span v-if="week.fill" class="text-ink-2"
            >nothing gets ready: pour by {{ dayText(week.fill) }} to fill it</span
          >
          <b
            v-for="one in week.promised"
            :key="one.id"
            class="ml-3 border border-l-4 border-ink-2 px-1.5 text-xs font-[650] whitespace-nowrap"
            >{{ one.says }}</b
          >
        </span>
        <span
          class="grid items-center gap-1 text-right text-ink-2 sm:grid-cols-[56px_32px]"
          :class="room && week.onRacks > room ? 'font-bold text-warn' : ''"
        >
          <i class="block h-2 border border-line-3 max-sm:hidden" aria-hidden="true"
            ><i
              class="block h-full bg-plank"
              :style="{ width: `${room ? Math.min(100, (100 * week.onRacks) / room) : 0}%` }"
          /></i>
          {{ say.number(week.onRacks, 0) }}
        </span>
      </li>
      <li v-if="later.bars" class="grid grid-cols-[46px_1fr] gap-x-2.5 pt-1.5">
        <span class="text-ink-2">later</span>
        <span
          ><b>{{ say.count(later.bars, 'bar', 'bars') }}</b
          >: {{ later.says }}</span
        >
      </li>
    </ol>
  </div>
</template>

<style scoped>
.planned {
  display: block;
  width: calc(var(--bars) * var(--step));
  height: calc(var(--step) * 2.42);
  background: url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' width='9.5' height='11.5' viewBox='0 0 9.5 11.5'%3E%3Crect x='.5' y='.5' width='7' height='10' rx='2' fill='none' stroke='%23566263' stroke-dasharray='1.6 1.4'/%3E%3C/svg%3E")
    0 0 / var(--step) auto;
}
</style>
