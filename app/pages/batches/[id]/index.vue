<script setup lang="ts">
import { frozenLibrary } from '#core/formula/frozen'
import { lessonsOf } from '#core/rack/lessons'
import { dueOf } from '#core/rack/due'
import { standingEvents } from '#core/units/standingEvents'
import { standingOf } from '#core/rack/standing'
import { troubleKinds } from '#core/troubles/kinds'
import { roundTo } from '#core/statistics/roundTo'
import { inSentence } from '#core/units/language'

/** A batch: before the pour its sheet, afterwards its whole life with the one act that comes next. */
const { batch, problem } = useBatchPage()
const workshop = useWorkshop()
const { today, say, settings } = storeToRefs(workshop)

useHead({
  title: () =>
    batch.value ? `${batch.value.name} ${batch.value.number} · Mantle` : 'Batch · Mantle',
})
const standing = computed(() => (batch.value ? standingOf(batch.value, today.value) : null))
const lessons = computed(() => (batch.value ? lessonsOf(batch.value.events) : []))
const print = () => window.print()
/** Whose pour, how many bars, where they stand. */
const lines = computed(() => {
  if (!batch.value || !standing.value) return null
  const { facts } = batch.value
  const places = placesOf(batch.value, today.value, settings.value.rack.places).map(inSentence)
  const count = say.value.count(standing.value.bars, 'bar', 'bars')
  return {
    bars: [count, ...places],
    poured: facts.pouredAt
      ? `${dayText(facts.pouredOn!, { weekday: true, long: true, today: today.value })}, ${timeText(facts.pouredAt, settings.value.timeZone)}`
      : facts.pouredOn
        ? dayText(facts.pouredOn, { weekday: true, long: true, today: today.value })
        : '',
  }
})
const due = computed(() => {
  if (!batch.value) return ''
  const { today: all } = dueOf([batch.value], today.value, workshop.dayOf, settings.value.rack)
  return say.value.list(
    all.filter(({ kind }) => kind !== 'ready').map(({ kind }) => tagWords[kind]),
  )
})
/** Something is wrong beyond its looks: that stands above everything else. */
const bad = computed(() =>
  batch.value?.facts.troubles.some(({ trouble }) => troubleKinds[trouble].bad),
)
/** A curve through one point says nothing. */
const weighIns = computed(() =>
  batch.value
    ? new Set(
        standingEvents(batch.value.events).flatMap((event) =>
          event.kind === 'weighed' ? [event.day] : [],
        ),
      ).size
    : 0,
)
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/rack" label="To the rack" />
  <div
    v-else-if="batch && standing && !batch.facts.pouredOn"
    class="mx-auto grid max-w-[1280px] grid-cols-[minmax(0,1fr)] gap-4 px-3 py-4 sm:px-6 lg:grid-cols-[minmax(0,1fr)_340px] print:block print:p-0"
  >
    <BatchSheet :batch="batch" />
    <aside class="no-print space-y-4 max-lg:order-first" aria-label="Where this batch stands">
      <div class="sheet px-5 py-4">
        <h1 class="text-[20px]">{{ batch.name }} {{ batch.number }}</h1>
        <p class="mb-3 text-ink-2"><StandingLine :batch="batch" /></p>
        <BatchActions :batch="batch" class="mb-3" />
        <div class="flex flex-wrap gap-x-4 gap-y-2">
          <AppButton @click="print">Print</AppButton>
          <AppButton :to="`/formulas/${batch.formulaId}`">Its formula now</AppButton>
        </div>
      </div>
      <div class="sheet pb-2">
        <HappenedList :batch="batch" />
      </div>
    </aside>
  </div>
  <div
    v-else-if="batch && standing && lines"
    class="mx-auto grid max-w-[1280px] grid-cols-[minmax(0,1fr)] gap-4 px-3 py-4 sm:px-6 print:block print:p-0"
  >
    <header class="flex flex-wrap items-center gap-x-4 gap-y-3">
      <BatchPicture :batch="batch" :width="104" :height="72" />
      <div class="min-w-0">
        <h1>{{ batch.name }} {{ batch.number }}</h1>
        <p class="figure text-ink-2">{{ say.list(lines.bars) }}</p>
        <p class="figure text-ink-2">
          Poured <b class="text-ink">{{ lines.poured }}</b>
          <span v-if="standing.stage === 'left'"> · <StandingLine :batch="batch" /> </span>
        </p>
      </div>
      <BatchDates :batch="batch" class="min-w-0 flex-1 max-sm:basis-full" />
      <NextAct :batch="batch" class="no-print max-sm:w-full" />
    </header>
    <section class="sheet px-3 py-3 sm:px-4" aria-label="Its life">
      <LifeLine :batch="batch" :due="due" />
    </section>
    <section v-if="lessons.length" class="sheet border-l-4 border-l-ok px-5 py-3">
      <h2>Learned</h2>
      <p v-for="lesson in lessons" :key="lesson.id" class="typed">{{ lesson.says }}</p>
    </section>
    <TroubleCauses v-if="bad" :batch="batch" />
    <div
      class="grid grid-cols-[minmax(0,1fr)] items-start gap-4 lg:grid-cols-[400px_minmax(0,1fr)_352px] print:block"
    >
      <section class="sheet pb-2" aria-label="Record">
        <div class="no-print px-4 pt-3 pb-3">
          <h2 class="mb-2">Record</h2>
          <BatchActions :batch="batch" rounds />
        </div>
        <HappenedList :batch="batch" class="border-t border-line" />
      </section>
      <section class="sheet px-4 py-3" aria-label="Drying">
        <h2>Drying</h2>
        <template v-if="batch.facts.drying && weighIns > 1">
          <p class="mt-1 text-[20px] leading-tight font-bold">
            Dry {{ dryText(batch.facts.drying, today) }}
          </p>
          <p class="figure text-ink-2">
            By {{ say.count(weighIns, 'weigh-in', 'weigh-ins') }} of
            {{ say.count(batch.facts.drying.bars, 'marked bar', 'marked bars') }}; nine of ten such
            batches are dry between {{ dayText(batch.facts.drying.from, { today }) }} and
            {{ dayText(batch.facts.drying.to, { today }) }}.
          </p>
          <LazyDryingChart :batch="batch" class="mt-3 h-[210px]" />
        </template>
        <p v-else class="mt-1 text-ink-2">
          {{
            weighIns
              ? 'Weighed once: a second weigh-in, a week later, shows how fast it dries.'
              : 'Not weighed yet. Mark three bars and weigh them each week: then the day they are dry can be told.'
          }}
        </p>
        <p v-if="batch.facts.drying" class="figure mt-2 border-t border-line-2 pt-2">
          Label it <b>{{ labelText(batch.facts.drying, say) }}</b>: of 1,000 bars 975 still weigh
          that when long dried. On the dry day a bar weighs about
          {{ say.mass(roundTo(batch.facts.drying.gramsDry, 1)) }}.
          <NuxtLink to="/explained" class="link">Why?</NuxtLink>
          <NuxtLink :to="`/batches/${batch.id}/labels`" class="link ml-2">Make its labels</NuxtLink>
        </p>
      </section>
      <section class="sheet" aria-label="Papers">
        <h2 class="px-4 py-2.5">Papers</h2>
        <PaperList :batch="batch" class="no-print" />
        <div class="border-t border-line px-4 py-2.5">
          <h2>How it went</h2>
          <AsMade :batch="batch" />
        </div>
        <ForWhom
          class="border-t border-line px-4 py-2.5"
          :document="batch.frozen.document"
          :result="batch.frozen.result"
          :library="frozenLibrary(batch.frozen)"
        />
        <p class="no-print flex justify-between gap-3 border-t border-line px-4 py-2.5">
          <NuxtLink :to="`/batches/compare?a=${batch.id}`" class="link">Compare</NuxtLink>
          <NuxtLink :to="`/formulas/${batch.formulaId}`" class="link">Its formula now</NuxtLink>
        </p>
      </section>
    </div>
    <TroubleCauses v-if="batch.facts.troubles.length && !bad" :batch="batch" />
    <PhotoStrip :batch="batch" />
    <FeelCard :batch="batch" />
  </div>
</template>
