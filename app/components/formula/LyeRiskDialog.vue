<script setup lang="ts">
import { oddsText } from '#core/risk/oddsText'
import { superfatToAsk, type LyeRisk } from '#core/risk/lyeRisk'
import { forCleaning, mostOdds } from '#core/risk/odds'
import { lyeAges, type LyeAge } from '#core/risk/uncertainty'

/** How sure the superfat is: the hill of what may come out, the chance of lye left over, and what to do about it. */
const { risk } = defineProps<{ risk: LyeRisk | null; drawing: boolean }>()
const open = defineModel<boolean>({ required: true })
const age = defineModel<LyeAge>('age', { required: true })
const { document, result, put } = useFormulaEditor()
const workshop = useWorkshop()
const { say } = storeToRefs(workshop)
const problem = ref('')

/** What a workshop may put up with, on skin and for cleaning, where it may also not ask. */
const cleaning = computed(() => forCleaning({ document: document.value }))
const risks = computed(() => (cleaning.value ? [0.05, 0.01, null] : [0.01, 0.001]))
const chosen = computed(() => mostOdds(workshop.settings, cleaning.value))
const saving = ref(false)
async function setRisk(event: Event) {
  const value = risks.value[(event.target as HTMLSelectElement).selectedIndex] ?? null
  saving.value = true
  try {
    await workshop.save(
      cleaning.value ? { lyeRiskCleaning: value } : { lyeRisk: value ?? undefined },
    )
    problem.value = ''
  } catch (error) {
    problem.value = sentenceOf(error)
  } finally {
    saving.value = false
  }
}
const needed = computed(() => (risk ? superfatToAsk(result.value.superfat, risk.smallest) : null))
const option = computed(() => {
  if (!risk) return {}
  const { from, width, counts } = risk.histogram
  const at = (index: number) => (from + (index + 0.5) * width) * 100
  return {
    animation: false,
    grid: { left: 8, right: 16, top: 24, bottom: 40 },
    xAxis: {
      type: 'value',
      name: 'real superfat, %',
      nameLocation: 'middle',
      nameGap: 24,
      min: Math.floor(Math.min(from * 100, -0.5)),
      max: Math.ceil((from + width * counts.length) * 100),
      axisLabel: { color: '#4c595b' },
      splitLine: { show: false },
    },
    yAxis: { type: 'value', show: false },
    series: [
      {
        type: 'line',
        name: 'batches',
        data: counts.map((count, index) => [at(index), count]),
        smooth: true,
        symbol: 'none',
        lineStyle: { color: '#6f8f86', width: 2 },
        areaStyle: { color: '#cfdcd6' },
        markLine: {
          symbol: 'none',
          silent: true,
          data: [
            {
              xAxis: 0,
              lineStyle: { color: '#b3261e' },
              label: { formatter: 'lye-heavy', color: '#b3261e' },
            },
            {
              xAxis: risk.median * 100,
              lineStyle: { color: '#182022', type: 'solid' },
              label: { formatter: 'median', color: '#182022' },
            },
          ],
        },
      },
    ],
  }
})
</script>

<template>
  <AppDialog v-model="open" wide title="How sure is the superfat?" live>
    <div class="grid max-h-[72vh] gap-4 overflow-y-auto px-5 py-4">
      <p v-if="!risk?.draws" class="text-ink-2">Drawing batches…</p>
      <template v-else>
        <p class="figure text-[18px]" aria-live="polite">
          The real superfat will be about <b>{{ say.percent(risk.median) }}</b>, nine times in ten
          between {{ say.percent(risk.low) }} and {{ say.percent(risk.high) }}. Lye is left over in
          <b>{{ oddsText(risk.lyeHeavy, say) }}</b> batches.
        </p>
        <LazyAppChart
          class="h-44"
          :option="option"
          :says="`Uncertainty of the real superfat: median ${say.percent(risk.median)}, 5 % below ${say.percent(risk.low)}, 5 % above ${say.percent(risk.high)}`"
        />
        <div class="flex flex-wrap items-end gap-x-6 gap-y-3">
          <FieldRow says="The lye is">
            <select v-model="age" class="field font-normal">
              <option v-for="(item, id) in lyeAges" :key="id" :value="id">
                {{ item.says }}, {{ say.percent(item.low) }} to {{ say.percent(item.high) }}
              </option>
            </select>
          </FieldRow>
          <FieldRow says="Lye left over at most in">
            <select class="field font-normal" @change="setRisk">
              <option
                v-for="value in risks"
                :key="value ?? 0"
                :value="value ?? 0"
                :selected="value === chosen"
              >
                {{ value ? `1 batch in ${say.number(1 / value)}` : 'not asked, for cleaning only' }}
              </option>
            </select>
          </FieldRow>
          <p v-if="needed !== null" class="figure">
            needs <b>{{ say.percent(needed) }}</b> superfat
            <AppButton
              v-if="Math.abs((document.superfat ?? 0) - needed) > 0.0004"
              class="ml-2"
              :disabled="drawing || saving"
              @click="put(['superfat'], needed)"
              >Set it</AppButton
            >
          </p>
        </div>
        <p v-if="problem" role="alert" class="text-stop">{{ problem }}</p>
        <section aria-label="What contributes most">
          <h3 class="mb-1 font-semibold">What contributes most</h3>
          <ul class="grid gap-1">
            <li
              v-for="source in risk.sources.slice(0, 5)"
              :key="source.name"
              class="grid grid-cols-[9rem_1fr_3rem] sm:grid-cols-[13rem_1fr_3.5rem] items-center gap-3"
            >
              <span class="truncate">{{ source.name }}</span>
              <span class="h-3 bg-line-2"
                ><i class="block h-3 bg-extra" :style="{ width: `${source.share * 100}%` }"
              /></span>
              <span class="figure text-right">{{ say.percent(source.share, 0) }}</span>
            </li>
          </ul>
        </section>
        <p class="text-sm text-ink-2">
          {{ say.number(risk.draws) }} batches drawn: each fat with a value about its usual one, as
          far to either side as its published range reaches, the fats of one batch partly together;
          the lye by its age, and where it is stated under 98 % half the time as fresh lye; every
          weighing by your scale of {{ scaleText(workshop.settings.scale) }}. A certificate narrows
          its fat. No smaller odds than 1 in 1,000 are said: the spread of the fats is not known
          better. It cannot see a wrong jar or a slip of the hand. Old lye never asks for less
          superfat than fresh lye would.
          <NuxtLink to="/explained#how-sure-is-the-superfat-measured-ranges-drawn" class="link"
            >How it is drawn</NuxtLink
          >
        </p>
      </template>
    </div>
    <template #actions><AppButton kind="main" @click="open = false">Done</AppButton></template>
  </AppDialog>
</template>
