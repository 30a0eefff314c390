<script setup lang="ts">
import { lessonsOf } from '#core/rack/lessons'
import { standingEvents, standingOf } from '#core/rack/standing'
import { Printer } from '@lucide/vue'
import { roundTo } from '#core/statistics/roundTo'

/** A batch: before the pour its sheet, afterwards its whole life. */
const { batch, problem } = useBatchPage()
const { today, say } = storeToRefs(useWorkshop())

useHead({
  title: () =>
    batch.value ? `${batch.value.name} ${batch.value.number} · Mantle` : 'Batch · Mantle',
})
const standing = computed(() => (batch.value ? standingOf(batch.value, today.value) : null))
const told = computed(() => (batch.value ? standingEvents(batch.value.events) : []))
const atBench = computed(() =>
  told.value.some((event) => event.kind === 'poured' && event.made !== undefined),
)
const lessons = computed(() => (batch.value ? lessonsOf(batch.value.events) : []))
const print = () => window.print()
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/rack" label="To the rack" />
  <div
    v-else-if="batch && standing"
    class="mx-auto grid max-w-[1280px] grid-cols-[minmax(0,1fr)] gap-4 px-3 py-4 sm:px-6 lg:grid-cols-[minmax(0,1fr)_340px] print:block print:p-0"
  >
    <BatchSheet v-if="!batch.facts.pouredOn" :batch="batch" />
    <div v-else class="grid grid-cols-[minmax(0,1fr)] content-start gap-4">
      <section class="sheet px-5 py-4">
        <div class="mb-2 flex items-center gap-3">
          <BarThumbnail :thumbnail="batch.thumbnail" :width="58" :height="38" />
          <div>
            <p class="hidden text-[20px] font-bold text-ink print:block">
              {{ batch.name }} {{ batch.number }}
            </p>
            <h2>Its life, from the pour on</h2>
          </div>
        </div>
        <LifeLine :batch="batch" />
      </section>
      <section v-if="lessons.length" class="sheet border-l-4 border-l-ok px-5 py-3">
        <h2>Learned</h2>
        <p v-for="lesson in lessons" :key="lesson.id">{{ lesson.says }}</p>
      </section>
      <TroubleCauses v-if="batch.facts.troubles.length" :batch="batch" />
      <PhotoStrip :batch="batch" />
      <FeelCard :batch="batch" />
      <div class="grid gap-4 xl:grid-cols-2">
        <section class="sheet px-5 py-4">
          <h2 class="mb-1">As frozen, as made</h2>
          <AsMade :batch="batch" />
        </section>
        <section class="sheet px-5 py-4">
          <h2 class="mb-2">What happened</h2>
          <HappenedList :batch="batch" />
        </section>
      </div>
    </div>
    <aside
      class="space-y-4 max-lg:order-first print:mt-4"
      :class="batch.facts.pouredOn ? '' : 'no-print'"
      aria-label="Where this batch stands"
    >
      <div class="sheet px-5 py-4 no-print">
        <h1 class="text-[20px]">{{ batch.name }} {{ batch.number }}</h1>
        <p class="mb-3 text-ink-2"><StandingLine :batch="batch" /></p>
        <BatchActions :batch="batch" class="mb-3" />
        <div class="flex flex-wrap gap-x-4 gap-y-2">
          <AppButton @click="print"
            ><Printer :size="16" />
            {{ batch.facts.pouredOn ? 'Print' : 'Print the sheet' }}</AppButton
          >
          <template v-if="batch.facts.pouredOn">
            <AppButton :to="`/batches/${batch.id}/sheet`">Its sheet</AppButton>
            <AppButton :to="`/batches/${batch.id}/help`">Ask for help</AppButton>
            <AppButton :to="`/batches/compare?a=${batch.id}`">Compare</AppButton>
          </template>
          <AppButton v-if="atBench" :to="`/bench/${batch.id}`">As made at the bench</AppButton>
          <AppButton :to="`/formulas/${batch.formulaId}`">Its formula now</AppButton>
        </div>
      </div>
      <div v-if="batch.facts.pouredOn" class="sheet px-5 py-4">
        <BatchDates :batch="batch" />
        <LazyDryingChart v-if="batch.facts.drying" :batch="batch" class="mt-4 h-[190px]" />
        <p v-if="batch.facts.drying" class="figure mt-1 text-sm text-ink-2">
          On the dry day a bar weighs about
          {{ say.mass(roundTo(batch.facts.drying.gramsDry, 1)) }}. Label it
          {{ labelText(batch.facts.drying, say) }}: 97.5 of 100 bars still weigh that when long
          dried.
        </p>
      </div>
      <div v-else class="sheet px-5 py-4">
        <h2 class="mb-2">What happened</h2>
        <HappenedList :batch="batch" />
      </div>
    </aside>
  </div>
</template>
