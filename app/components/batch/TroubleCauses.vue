<script setup lang="ts">
import { howBad } from '#core/events/trouble'
import type { Batch } from '#contracts/batch'
import { sightings } from '#core/troubles/along'
import { causesOf, caseOf } from '#core/troubles/causes'
import { troubleKinds } from '#core/troubles/kinds'

/** What went wrong with a batch, the likeliest cause, and the way to its page. */
const { batch } = defineProps<{ batch: Batch }>()
const { today, say, humidity } = storeToRefs(useWorkshop())
const seen = computed(() => {
  const about = caseOf(batch, today.value, humidity.value, say.value)
  return batch.facts.troubles.map(({ trouble, how }) => ({
    trouble,
    how,
    when: sightings(batch.events, trouble),
    kind: troubleKinds[trouble],
    cause: causesOf(trouble, about)[0],
  }))
})
</script>

<template>
  <section
    v-for="one in seen"
    :key="one.trouble"
    class="sheet flex flex-wrap items-center gap-x-4 gap-y-2 px-4 py-3"
  >
    <TroubledBar :thumbnail="batch.thumbnail" :trouble="one.trouble" :width="76" :height="52" />
    <div class="min-w-0 flex-1 basis-64">
      <h2 class="!text-[16px] font-bold" :class="one.kind.bad ? '!text-stop' : '!text-ink'">
        {{ one.kind.says }}
        <span class="figure font-normal text-ink-2"
          >{{ howBad[one.how] }},
          {{ say.list(one.when.map(({ day }) => dayText(day, { today }))) }}</span
        >
      </h2>
      <p v-for="event in one.when.filter(({ note }) => note)" :key="event.id" class="typed">
        {{ event.note }}
      </p>
      <p :class="one.kind.bad ? 'font-semibold text-stop' : ''">{{ one.kind.bars }}</p>
      <p v-if="one.cause" class="text-ink-2">
        {{ one.cause.weight === 'likely' ? 'Likely:' : 'Possibly:' }} {{ one.cause.says }}
      </p>
    </div>
    <AppButton
      :to="`/batches/${batch.id}/troubles/${one.trouble}`"
      class="print:hidden"
      :aria-label="`Causes, and what to do: ${one.kind.says}`"
      >Causes, and what to do</AppButton
    >
  </section>
</template>
