<script setup lang="ts">
import type { Batch, BatchSummary } from '#contracts/batch'
import { changesBetween, inOneLine } from '#core/versions/changes'
import { leftAfter } from '#core/rack/drying/model'
import { feelKinds, feelLines } from '#core/rack/feel'
import { standingEvents } from '#core/units/standingEvents'
import { troubleKinds } from '#core/troubles/kinds'
import { daysBetween } from '#core/units/days'
import { inSentence } from '#core/units/language'

/** Two batches side by side: what differed, how they dried, what became of them. */
const route = useRoute()
const router = useRouter()
const batches = useBatches()
const { library } = storeToRefs(useMaterials())
const { say } = storeToRefs(useWorkshop())
useHead({ title: 'Compare two batches · Mantle' })

const gone = ref<BatchSummary[]>([])
onMounted(async () => {
  void batches.load()
  gone.value = await batches.gone()
})
const poured = computed(() =>
  [...batches.list, ...gone.value].filter(({ facts }) => facts.pouredOn),
)
const chosen = computed(() => ({ a: String(route.query.a ?? ''), b: String(route.query.b ?? '') }))
const choose = (side: 'a' | 'b', id: string) =>
  void router.replace({ query: { ...route.query, [side]: id } })
const pair = shallowRef<{ a: Batch | null; b: Batch | null }>({ a: null, b: null })
const problem = ref('')
watch(
  chosen,
  async ({ a, b }) => {
    const get = (id: string) => (id ? api.get<Batch>(`/api/batches/${id}`) : Promise.resolve(null))
    try {
      const [one, other] = await Promise.all([get(a), get(b)])
      pair.value = { a: one, b: other }
      problem.value = ''
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  },
  { immediate: true },
)
/** The batch before it of the same formula, until somebody chooses another. */
watch([() => pair.value.a, poured], ([a]) => {
  if (!a || chosen.value.b) return
  const other = poured.value.find(
    ({ id, formulaId, number }) => id !== a.id && formulaId === a.formulaId && number < a.number,
  )
  if (other) choose('b', other.id)
})

function factRows(batch: Batch): [string, string][] {
  const { facts } = batch
  const days = (to: string | null | undefined) =>
    facts.pouredOn && to ? `day ${daysBetween(facts.pouredOn, to)}` : '–'
  const events = standingEvents(batch.events)
  return [
    ['Cut', days(facts.cutOn)],
    ['Usable', usableText(batch)],
    ['Loses in all', facts.drying ? say.value.percent(facts.drying.shape.loss) : '–'],
    ['Dry by weight', days(facts.drying?.dryOn)],
    ['Long dried, label', facts.drying ? labelText(facts.drying, say.value) : '–'],
    [
      'Troubles',
      say.value.list(facts.troubles.map(({ trouble }) => inSentence(troubleKinds[trouble].says))) ||
        'none',
    ],
    [
      'In use, last',
      say.value.list(
        feelLines(batch.events, facts.pouredOn!).map(
          ({ test, points }) => `${inSentence(feelKinds[test].says)} ${points.at(-1)!.score}`,
        ),
      ) || '–',
    ],
    [
      'Learned',
      events
        .flatMap((event) => (event.kind === 'noted' && event.lesson ? [event.note] : []))
        .join(' ') || '–',
    ],
  ]
}
const rows = computed(() => {
  const { a, b } = pair.value
  if (!a || !b) return []
  const of = (batch: Batch): [string, string][] => [
    ...madeRows(batch, say.value).map(({ says, planned, made }): [string, string] => [
      says,
      made === '–' ? (planned === '–' ? '–' : `${planned}, planned`) : made,
    ]),
    ...factRows(batch),
  ]
  const others = of(b)
  return of(a).map(([says, one], place) => ({ says, one, other: others[place]![1] }))
})
const changes = computed(() => {
  const { a, b } = pair.value
  return a && b
    ? inOneLine(changesBetween(b.frozen.document, a.frozen.document, library.value, say.value))
    : ''
})
const curves = computed(() =>
  [pair.value.a, pair.value.b].flatMap((batch) =>
    batch?.facts.drying ? [{ batch, drying: batch.facts.drying }] : [],
  ),
)
const until = 84
const option = computed(() => {
  const text = { color: '#4c595b' }
  return {
    grid: { left: 44, right: 110, top: 10, bottom: 34 },
    xAxis: {
      type: 'value',
      name: 'days since the pour',
      nameLocation: 'middle',
      nameGap: 20,
      max: until,
      nameTextStyle: text,
      axisLabel: text,
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value',
      scale: true,
      max: 100,
      axisLabel: { ...text, formatter: '{value} %' },
      splitLine: { lineStyle: { color: '#e6eae7' } },
    },
    series: curves.value.map(({ batch, drying }, place) => ({
      type: 'line',
      name: `batch ${batch.number}`,
      showSymbol: false,
      animation: false,
      data: Array.from({ length: until + 1 }, (_, day) => [
        day,
        leftAfter(drying.shape, day) * 100,
      ]),
      lineStyle: {
        width: 2.5,
        type: place ? 'dashed' : 'solid',
        color: place ? '#8f5208' : '#0f4f5c',
      },
      itemStyle: { color: place ? '#8f5208' : '#0f4f5c' },
      endLabel: { show: true, formatter: '{a}' },
      labelLayout: { moveOverlap: 'shiftY' },
    })),
  }
})
const says = computed(
  () =>
    `Share of the mass that is left: ${say.value.list(curves.value.map(({ batch, drying }) => `batch ${batch.number} ${say.value.percent(leftAfter(drying.shape, 28), 1)} after four weeks`))}.`,
)
</script>

<template>
  <div class="mx-auto max-w-[1100px] px-4 py-4 sm:px-6">
    <h1>Two batches</h1>
    <p v-if="problem" role="alert" class="mt-2 font-semibold text-stop">{{ problem }}</p>
    <div class="my-3 grid gap-4 sm:grid-cols-2">
      <label v-for="side in ['a', 'b'] as const" :key="side" class="grid gap-1 font-semibold">
        {{ side === 'a' ? 'This one' : 'Beside it' }}
        <select
          class="field font-normal"
          :value="chosen[side]"
          @change="choose(side, ($event.target as HTMLSelectElement).value)"
        >
          <option value="" disabled>Choose a batch</option>
          <option v-for="batch in poured" :key="batch.id" :value="batch.id">
            {{ batch.name }} {{ batch.number }}, {{ dayText(batch.facts.pouredOn!, { today: '' }) }}
          </option>
        </select>
      </label>
    </div>
    <template v-if="pair.a && pair.b">
      <section class="sheet mb-4 px-5 py-4">
        <h2>In the formula</h2>
        <p class="figure">{{ changes }}</p>
      </section>
      <section class="sheet mb-4 overflow-x-auto px-5 py-4">
        <table class="figure w-full min-w-[560px] table-fixed">
          <thead>
            <tr class="border-b border-line">
              <th scope="col" class="w-44"><span class="sr-only">What</span></th>
              <th
                v-for="batch in [pair.a, pair.b]"
                :key="batch.id"
                scope="col"
                class="py-1 text-left"
              >
                <span class="flex items-center gap-2"
                  ><BarThumbnail :thumbnail="batch.thumbnail" />
                  <NuxtLink :to="`/batches/${batch.id}`" class="link"
                    >{{ batch.name }} {{ batch.number }}</NuxtLink
                  ></span
                >
              </th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="row in rows"
              :key="row.says"
              class="border-b border-line-2"
              :class="row.one === row.other ? 'text-ink-2' : ''"
            >
              <th scope="row" class="py-1.5 pr-4 text-left font-normal whitespace-nowrap">
                {{ row.says }}
                <span v-if="row.one !== row.other" class="sr-only">(they differ)</span>
              </th>
              <td class="py-1.5 pr-4" :class="row.one === row.other ? '' : 'font-[650]'">
                {{ row.one }}
              </td>
              <td class="py-1.5" :class="row.one === row.other ? '' : 'font-[650]'">
                {{ row.other }}
              </td>
            </tr>
          </tbody>
        </table>
        <p class="mt-2 text-sm text-ink-2">What differs stands in bold.</p>
      </section>
      <section v-if="curves.length" class="sheet px-5 py-4">
        <h2>How they dry, share of the mass at the pour</h2>
        <LazyAppChart class="h-[240px]" :option="option" :says="says" />
      </section>
    </template>
    <p v-else class="text-ink-2">
      Choose two batches: the one before of the same formula is the usual.
    </p>
  </div>
</template>
