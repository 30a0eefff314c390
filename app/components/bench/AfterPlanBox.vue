<script setup lang="ts">
import { afterPlan } from '#core/bench/run/checks'
import type { BatchRecord } from '#contracts/learning'
import { gelNear } from '#core/learning/gelNear'
import { inSentence } from '#core/units/language'

/** The gel to expect and when to look, unwrap and unmould. */
const { gel } = defineProps<{ gel: 'leave' | 'force' | 'prevent' }>()
const { ctx, state, clock } = useBench()
const workshop = useWorkshop()
const say = computed(() => ctx.value.say)
const after = computed(() =>
  afterPlan(ctx.value, state.value, new Date(clock.now.value).toISOString()),
)
const verdicts = {
  gels: 'It will gel through.',
  'may-ring': 'It may gel in the middle only and leave a ring.',
  stays: 'It will stay opaque, without gel.',
} as const
/** What to do about it: of a batter that is left to itself only where warmth or cold would decide it. */
const advice = computed(() => {
  const { forecast, otherwise } = after.value
  if (forecast.verdict !== 'may-ring') return ''
  if (gel === 'force') return 'More warmth for longer, or the ring will show.'
  if (otherwise?.force.verdict === 'gels')
    return `Wrapped warm its middle would reach about ${say.value.temperature(otherwise.force.peak.usual)} and gel through; ${otherwise.prevent.verdict === 'stays' ? 'in the cold it would not gel at all.' : 'even in the cold it may gel.'}`
  return otherwise?.prevent.verdict === 'stays' ? 'In the cold it would not gel at all.' : ''
})
/** Pots that go another way than the whole: then their gel shows beside each other. */
const apart = computed(() => {
  const verdictsOf = new Set(after.value.pots.map(({ forecast }) => forecast.verdict))
  return verdictsOf.size > 1 ? after.value.pots : []
})
/** How own batches of about this lye gelled; nothing where none was looked at, or Mantle does not answer. */
const records = shallowRef<BatchRecord[]>([])
onMounted(async () => {
  records.value = await api.get<BatchRecord[]>('/api/learning').catch(() => [])
})
const own = computed(() => {
  const { strength } = ctx.value.onScale.result.water
  const { through, part, none } = gelNear(records.value, strength)
  if (through + part + none === 0) return ''
  const { number, percent } = say.value
  return `Of your own with a lye of about ${percent(strength, 0)}: ${number(through)} gelled through, ${number(part)} in part, ${number(none)} not.`
})
const zone = computed(() => workshop.settings.timeZone)
</script>

<template>
  <section aria-label="After the pour" class="text-[17px]">
    <p>
      <b>{{ verdicts[after.forecast.verdict] }}</b> {{ advice }}
      <template v-for="pot in apart" :key="pot.name">
        {{ pot.name }}: {{ inSentence(verdicts[pot.forecast.verdict]) }}
      </template>
      <span class="figure block text-[15px] text-ink-2"
        >Middle at its warmest about {{ say.temperature(after.forecast.peak.usual) }} ({{
          say.temperature(after.forecast.peak.low)
        }}
        to {{ say.temperature(after.forecast.peak.high) }}); this batter turns translucent near
        {{ say.temperature(after.forecast.onsetC) }}. A rough estimate: your own record of what
        gelled is better. <b v-if="own">{{ own }}</b></span
      >
    </p>
    <dl class="figure mt-3 grid gap-1.5">
      <div
        v-for="check in after.checks"
        :key="check.kind"
        class="flex flex-wrap justify-between gap-x-4 border-b border-line pb-1.5"
      >
        <dt>{{ checkWords[check.kind] }}</dt>
        <dd class="font-semibold">{{ whenText(check, zone) }}</dd>
      </div>
    </dl>
    <p v-if="after.after.because.length" class="mt-1.5 text-[15px] text-ink-2">
      What moves the hour of unmoulding: {{ say.list(after.after.because.slice(0, 3)) }}.
    </p>
  </section>
</template>
