<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import type { DayBatch } from '#core/day/batchOfDay'
import { closing } from '#core/day/problem'
import { vesselsOfDay } from '#core/day/tasks'
import { safetyCheckOf } from '#core/bench/run/safetyCheck'

/** A making day on paper: one sheet with its line of time and each batch's code, and a label for every jug, cup and pot. */
const route = useRoute()
const here = useMakingDay(String(route.params.id))
const { day, made, batches, known, timeAt, say, problem } = here
onMounted(here.load)
const title = computed(() =>
  day.value ? dayText(day.value.day, { weekday: true, long: true }) : '',
)
useHead({ title: () => `${title.value} on paper · Mantle` })
const placed = computed(() => day.value?.plan?.placed ?? [])
const end = computed(() => (day.value?.plan?.end ?? 0) + closing)
const batchOf = (own: DayBatch): Batch => batches.value.get(own.id)!
/** Every point of any batch's safety check, once. */
const checks = computed(() => {
  const all = made.value.flatMap(({ ctx }) => safetyCheckOf(ctx.document))
  return [...new Map(all.map((point) => [point.id, point])).values()]
})
const sharing = computed(() => day.value?.plan?.together.lye ?? [])
const vessels = computed(() => vesselsOfDay(made.value, here.things.value))
/** A label for each vessel: its batch's number in large, what it is, what it will hold. */
const labels = computed(() =>
  made.value.flatMap((own) =>
    own.plan.vessels.map((vessel) => {
      const group = sharing.value.find((ids) => ids.includes(own.id))
      const shared = !!group && group.length > 1 && vessel.id === 'lye-jug'
      return {
        key: `${own.id} ${vessel.id}`,
        number: own.number,
        name: own.name,
        says: vessel.says,
        holds: say.value.volume(vessel.millilitres),
        /** The workshop's own, where it has one that does. */
        own:
          vessel.id === 'pan'
            ? vessels.value.pans.get(own.id)
            : vessel.id === 'lye-jug'
              ? vessels.value.jugs.get(own.id)
              : undefined,
        lye: /^(lye|koh)/.test(vessel.id),
        shared,
        code: paperCode(batchOf(own)),
      }
    }),
  ),
)
const calls = computed(() => {
  const { ambulance, poison } = here.settings.value.emergency
  return `Ambulance ${ambulance || '____________'} · Poison centre ${poison || '____________'}`
})
const address = (own: DayBatch) => `${location.origin}/bench/${own.id}/paper`
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/bench" label="To the bench" />
  <PrintPage v-else-if="day && known" :title="`${title} on paper`">
    <template #back
      ><NuxtLink :to="`/bench/day/${here.id}`" class="link">Back to the day</NuxtLink></template
    >
    <article class="text-[12.5px]" aria-label="Day sheet">
      <header class="flex items-baseline justify-between gap-4 border-b-2 border-ink pb-1">
        <h2 class="text-[20px] font-bold !text-ink">{{ title }}</h2>
        <p class="figure">
          {{ say.count(made.length, 'batch', 'batches') }},
          {{ say.count(here.bars.value, 'bar', 'bars') }},
          {{
            say.list(
              day.people.map(({ name }) => name),
              'and',
            )
          }}
          · {{ timeAt(0) }} to
          {{ timeAt(end) }}
        </p>
      </header>
      <ul class="my-2 grid grid-cols-2 gap-x-4 border-2 border-stop px-2 py-1.5 text-[11.5px]">
        <li v-for="point in checks" :key="point.id">☐ {{ point.says }}</li>
        <li class="col-span-2 font-semibold">{{ calls }}</li>
      </ul>
      <ul class="mb-2 grid grid-cols-3 gap-x-3 gap-y-1.5">
        <li
          v-for="own in made"
          :key="own.id"
          class="flex items-center gap-2 border border-line px-2 py-1"
        >
          <QrPicture
            class="size-[14mm] shrink-0"
            :text="address(own)"
            :says="`Code ${paperCode(batchOf(own))}`"
          />
          <span class="min-w-0"
            ><b class="block truncate">{{ own.number }} {{ own.name }}</b>
            <span class="figure font-mono">{{ paperCode(batchOf(own)) }}</span>
            <span v-if="own.mould" class="block truncate">{{ own.mould }}</span></span
          >
        </li>
      </ul>
      <div class="day-picture">
        <DayChart
          :problem="known"
          :placed="placed"
          :made="made"
          :batches="batches"
          :time-at="timeAt"
          :from="0"
          :to="end"
        />
      </div>
      <DayTable class="mt-2" :problem="known" :placed="placed" :made="made" :time-at="timeAt" />
      <p class="mt-2">
        Times are what the plan expects. Temperatures decide: lye goes into the oils when both are
        in their window, never by the clock.
      </p>
    </article>
    <section class="mt-6 break-before-page" aria-labelledby="vessel-labels">
      <h2 id="vessel-labels" class="mb-2 print:hidden">
        {{ say.count(labels.length, 'label', 'labels') }} for jugs, cups and pots
      </h2>
      <ul class="grid grid-cols-3 gap-[3mm]">
        <li
          v-for="label in labels"
          :key="label.key"
          class="flex h-[36mm] break-inside-avoid flex-col justify-between border-2 px-2 py-1"
          :class="label.lye ? 'border-stop' : 'border-ink'"
        >
          <p class="flex items-start justify-between">
            <b class="figure text-[34px] leading-none">{{ label.number }}</b>
            <span class="figure font-mono text-[11px]">{{ label.code }}</span>
          </p>
          <p class="text-[12px] leading-tight">
            <b class="block truncate">{{ label.name }}</b>
            {{ label.says }}, {{ label.holds
            }}<template v-if="label.own">: {{ label.own }}</template>
            <b v-if="label.lye" class="block text-stop">{{
              label.shared ? 'LYE, shared: drawn by weight' : 'LYE: caustic'
            }}</b>
          </p>
        </li>
      </ul>
    </section>
  </PrintPage>
  <p v-else-if="day" class="p-8 text-center">
    Nothing is planned yet.
    <NuxtLink :to="`/bench/day/${here.id}`" class="link">To the day</NuxtLink>
  </p>
</template>

<style scoped>
.day-picture :deep(svg) {
  min-width: 0;
}
</style>
