<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { dueFor } from '#core/rack/due'
import { lastWeighed } from '#core/rack/drying/model'
import { standingOf } from '#core/rack/standing'
import { isBlocked } from '#core/rack/usable'
import { roundTo } from '#core/statistics/roundTo'

/** One batch beside the rack: how it dries, its dates and what they rest on, what is due for it. */
const { batch } = defineProps<{ batch: BatchSummary }>()
const workshop = useWorkshop()
const { today, say, settings } = storeToRefs(workshop)
const standing = computed(() => standingOf(batch, today.value))

const whole = useWholeBatch(() => batch)

const due = computed(() =>
  dueFor(batch, today.value, workshop.dayOf, settings.value.rack)
    .filter(({ kind }) => kind !== 'ready')
    .sort((a, b) => a.on.localeCompare(b.on)),
)
const facts = computed((): [string, string][] => {
  const { drying, weighed } = batch.facts
  const { curedOn } = standing.value
  const last = lastWeighed(batch.facts)
  const on = (day: string) => dayText(day, { today: today.value })
  return [
    ...(last
      ? ([
          [
            `Last, mean of ${say.value.count(weighed.length, 'bar', 'bars')}`,
            say.value.mass(roundTo(last.mean, 1)),
          ],
          ['Lost so far', say.value.percent(last.lost, 1)],
        ] as [string, string][])
      : []),
    ['Usable', usableText(batch)],
    ['Cure by your rule', `${batch.cure.days} days${curedOn ? `, ${on(curedOn)}` : ''}`],
    ...(drying
      ? ([
          ['Dry by weight', `${dryText(drying, today.value)}${drying.bars ? '' : ', expected'}`],
          ['Label it', labelText(drying, say.value)],
        ] as [string, string][])
      : []),
  ]
})
const answer = useDueAnswers()
const bad = computed(() => isBlocked(batch.facts.usable))
</script>

<template>
  <div class="flex items-center gap-3">
    <BarThumbnail :thumbnail="batch.thumbnail" :width="58" :height="38" />
    <div>
      <h2 class="text-[18px] leading-tight font-bold text-ink">
        {{ batch.name }} {{ batch.number }}
      </h2>
      <p class="figure text-sm text-ink-2">
        {{ say.count(standing.bars, 'bar', 'bars')
        }}{{ standing.pouredOn ? `, poured ${distanceText(-standing.day)}` : ', to be poured' }}
      </p>
    </div>
  </div>
  <p v-if="bad" role="status" class="mt-3 bg-stop-ground px-3 py-2 font-semibold text-stop">
    {{ usableText(batch) }}. It cannot be sold or given.
  </p>
  <p v-if="batch.facts.laundry" class="mt-3 bg-warn-ground px-3 py-2 font-semibold text-warn">
    Kept for laundry: not for skin.
  </p>
  <div class="mt-3 h-[170px]">
    <LazyDryingChart
      v-if="whole && whole.id === batch.id && whole.facts.drying"
      :batch="whole"
      class="h-full"
    />
  </div>
  <dl class="figure mt-2 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
    <template v-for="[name, value] in facts" :key="name">
      <dt>{{ name }}</dt>
      <dd class="text-right font-[650]">{{ value }}</dd>
    </template>
  </dl>
  <template v-if="due.length">
    <h3 class="mt-4 text-[13px] font-[650] text-ink-2">Due for this batch</h3>
    <ul>
      <li
        v-for="one in due"
        :key="one.kind"
        class="flex items-center justify-between gap-3 border-t border-line-2 py-1.5"
      >
        <span
          >{{ dueWords[one.kind] }},
          <span class="text-ink-2">{{
            one.on <= today ? 'today' : dayText(one.on, { today })
          }}</span></span
        >
        <AppButton
          v-if="dueAnswers[one.kind]"
          class="min-h-8 min-w-20 py-1"
          @click="answer(one.kind, [batch])"
          >{{ dueAnswers[one.kind] }}</AppButton
        >
      </li>
    </ul>
  </template>
  <BatchActions :batch="batch" class="mt-4" />
  <AppButton kind="main" class="mt-3 w-full" :to="`/batches/${batch.id}`"
    >Open batch {{ batch.number }}</AppButton
  >
</template>
