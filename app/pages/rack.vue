<script setup lang="ts">
import { cureRule } from '#core/rack/cure'
import { standingOf, type Stage } from '#core/rack/standing'
import { daysBetween } from '#core/units/days'
import type { OnPlank } from '~/components/rack/PlankRow.vue'

const batches = useBatches()
const { today, say } = storeToRefs(useWorkshop())
useHead({ title: 'Rack · Mantle' })
onMounted(() => void batches.load())

const chosen = ref<string | null>(null)
const all = computed<OnPlank[]>(() =>
  batches.list.map((batch) => ({ batch, standing: standingOf(batch, today.value) })),
)
const byReady = (a: OnPlank, b: OnPlank) =>
  (a.standing.readyOn ?? '').localeCompare(b.standing.readyOn ?? '')
const on = (stage: Stage) =>
  all.value.filter(({ standing }) => standing.stage === stage).sort(byReady)
const planks = computed(() => [
  {
    title: 'Mantle: ready',
    items: on('ready'),
    empty: 'Nothing is ready yet. Bars climb up here as they dry.',
  },
  { title: 'Last weeks', items: on('last-weeks'), empty: 'Nothing in its last weeks.' },
  { title: 'Drying', items: on('drying'), empty: 'Nothing drying.' },
  {
    title: 'First days, handle with gloves',
    items: on('first-days'),
    empty: 'Nothing fresh from the pot.',
  },
])
const drying = computed(() => [...on('last-weeks'), ...on('drying'), ...on('first-days')])
const bars = computed(() => drying.value.reduce((sum, { standing }) => sum + standing.bars, 0))
const planned = computed(() => on('planned'))
const current = computed(() => {
  const onRack = planks.value.flatMap(({ items }) => items)
  return (
    onRack.find(({ batch }) => batch.id === chosen.value) ?? drying.value[0] ?? onRack[0] ?? null
  )
})

function says({ batch, standing }: OnPlank): string {
  if (standing.stage === 'ready') return `${standing.bars} bars`
  if (!standing.cutOn)
    return standing.day === 0 ? 'poured today' : `in the mould, day ${standing.day}`
  return standing.stage === 'last-weeks'
    ? `ready ${dayText(standing.readyOn!, { today: today.value })}`
    : `day ${standing.day} of ${batch.cure.days}`
}
function flag({ standing }: OnPlank): string {
  if (standing.stage === 'first-days' && !standing.cutOn && standing.day >= 1) return 'unmould, cut'
  return standing.stage === 'ready' && daysBetween(standing.readyOn!, today.value) <= 7
    ? 'ready'
    : ''
}
const facts = computed(() => {
  if (!current.value) return []
  const { batch, standing } = current.value
  return [
    ['Poured', dayText(standing.pouredOn!, { today: today.value })],
    ['Bars', `${standing.bars}${standing.cutOn ? '' : ' planned'}`],
    [
      'Cure by your rule',
      `${batch.cure.days} days, ${(cureRule(batch.cure.rule)?.label ?? batch.cure.rule).toLowerCase()}`,
    ],
    [
      'Ready',
      `${dayText(standing.readyOn!, { today: today.value })} (${distanceText(daysBetween(today.value, standing.readyOn!))})`,
    ],
    ['Batter', say.value.amount(batch.batterGrams)],
  ]
})
const panel = ref<HTMLElement | null>(null)
/** On a narrow screen the panel lies below the planks: it comes into view. */
function choose(id: string) {
  chosen.value = id
  void nextTick(() => panel.value?.scrollIntoView({ block: 'nearest', behavior: 'smooth' }))
}
const part = computed(() =>
  current.value ? Math.min(1, current.value.standing.day / current.value.batch.cure.days) : 0,
)
</script>

<template>
  <div class="mx-auto grid max-w-[1280px] gap-4 px-4 py-4 sm:px-6 lg:grid-cols-[1fr_340px]">
    <div>
      <div class="mb-2 flex flex-wrap items-baseline gap-3">
        <h1>Rack</h1>
        <span class="text-ink-2"
          >{{ bars }} bars drying, {{ drying.length }}
          {{ drying.length === 1 ? 'batch' : 'batches' }}</span
        >
      </div>
      <p v-if="batches.problem" role="alert" class="mb-3 font-semibold text-stop">
        {{ batches.problem }}
      </p>
      <PlankRow
        v-for="plank in planks"
        :key="plank.title"
        :title="plank.title"
        :items="plank.items"
        :chosen="current?.batch.id ?? null"
        :says="says"
        :flag="flag"
        @choose="choose"
      >
        {{ plank.empty }}
      </PlankRow>
      <p v-if="planned.length" class="mt-3 text-ink-2">
        Planned, not poured yet:
        <template v-for="(item, index) in planned" :key="item.batch.id"
          >{{ index ? ', ' : ''
          }}<NuxtLink :to="`/batches/${item.batch.id}`" class="link"
            >{{ item.batch.name }} {{ item.batch.number }}</NuxtLink
          ></template
        >.
      </p>
    </div>
    <aside
      ref="panel"
      class="sheet self-start px-5 py-4 lg:sticky lg:top-4"
      aria-label="The chosen batch"
      aria-live="polite"
    >
      <template v-if="current">
        <div class="flex items-center gap-3">
          <BarFace :face="current.batch.face" :width="58" :height="38" />
          <div>
            <h2 class="text-[18px] font-bold text-ink">{{ current.batch.name }}</h2>
            <p class="text-sm text-ink-2">
              Batch {{ current.batch.number }}, poured {{ distanceText(-current.standing.day) }}
            </p>
          </div>
        </div>
        <div
          class="mt-4"
          role="img"
          :aria-label="`Day ${current.standing.day} of ${current.batch.cure.days}`"
        >
          <div class="h-3 overflow-hidden rounded-[2px] bg-line-2">
            <i
              class="block h-full"
              :style="{ width: `${part * 100}%`, background: current.batch.face.wave }"
            />
          </div>
          <div class="figure mt-1 flex justify-between text-sm text-ink-2">
            <span>day {{ current.standing.day }} of {{ current.batch.cure.days }}</span>
            <span>{{ part < 1 ? 'by the calendar' : 'ready by the calendar' }}</span>
          </div>
        </div>
        <dl class="figure mt-3 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1.5">
          <template v-for="[name, value] in facts" :key="name">
            <dt>{{ name }}</dt>
            <dd class="text-right font-[650]">{{ value }}</dd>
          </template>
        </dl>
        <BatchActions :batch="current.batch" small class="mt-4" />
        <AppButton kind="main" class="mt-3 w-full" :to="`/batches/${current.batch.id}`"
          >Open batch {{ current.batch.number }}</AppButton
        >
        <p class="mt-3 text-sm text-ink-2">
          Days of cure are a maker's rule. Whether a bar is safe to use is told by a pH strip on its
          lather: 8 to 10 is soap.
        </p>
      </template>
      <template v-else>
        <h2 class="text-[17px] font-bold text-ink">The rack is empty</h2>
        <p class="my-2 text-ink-2">
          Make a batch from a formula and mark it as poured: its loaf appears on the lowest plank
          and climbs until it is ready.
        </p>
        <AppButton kind="main" to="/formulas">To the formulas</AppButton>
      </template>
    </aside>
  </div>
</template>
