<script setup lang="ts">
import { regionsFor } from '#core/character/regions'
import { traitRules } from '#core/character/coefficients'
import { shownTrait } from '#core/character/traits'
import type { CurvePoint, Found } from '#core/finder/find'
import type { Wish } from '#core/finder/wish'
import { blankFormula } from '#core/formula/blank'
import { asWish, freshWish } from '~/utils/wishDraft'
import { purposeNames } from '~/utils/purposeNames'
import { inSentence } from '#core/units/language'

/** From fats, limits and wishes to the best formula, its runner-ups, and what it costs. */
useHead({ title: 'Find a formula · Mantle' })
const workshop = useWorkshop()
const formulas = useFormulas()
const prices = usePrices()
const toasts = useToasts()
const router = useRouter()
const draft = useKept('mantle-wish', freshWish(), asWish)
const { find, stop, findings, curve, state, problem } = useFinder()

const regions = computed(() => regionsFor(draft.value.use, workshop.settings.regions))
const wish = computed((): Wish => ({
  choices: Object.entries(draft.value.choices).map(([id, { least, most }]) => ({
    id,
    least: least ?? 0,
    most: most ?? 1,
    price: prices.now[id]?.price ?? null,
  })),
  regions: regions.value,
  exclude: draft.value.exclude,
  atMost: draft.value.atMost,
  superfat: draft.value.superfat ?? 0.05,
  keeper: draft.value.keeper,
  aim: draft.value.aim,
}))
const unpriced = computed(() => wish.value.choices.filter(({ price }) => price === null).length)
/** What is on screen was asked; what is asked may have moved on since. */
const asked = shallowRef<Wish | null>(null)
const picked = shallowRef<CurvePoint | null>(null)
function look() {
  picked.value = null
  asked.value = wish.value
  void find(wish.value)
}
async function write(found: Found) {
  const name = formulas.freeName(`Found, ${inSentence(purposeNames[draft.value.use])}`)
  try {
    const id = await formulas.create({
      ...blankFormula(name, workshop.settings.begin),
      use: draft.value.use,
      superfat: asked.value?.superfat ?? 0.05,
      fats: found.fats.map((line) => ({ ...line, moment: 'pot' as const, inLye: true })),
      additives: asked.value?.keeper
        ? [{ id: 'sodium-citrate', rate: 0.01, of: 'oils' as const, carrier: null }]
        : [],
    })
    await router.push(`/formulas/${id}`)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
const points = (value: number) => workshop.say.number(shownTrait(value))
const option = computed(() => ({
  animation: false,
  grid: { left: 56, right: 20, top: 16, bottom: 44 },
  tooltip: {
    trigger: 'item',
    formatter: ({ dataIndex }: { dataIndex: number }) => {
      const point = curve.value[dataIndex]
      return point
        ? `${moneyText(point.price, workshop.settings.currency)} a kg, ${workshop.say.number(Math.sqrt(point.distance), 1)} points away`
        : ''
    },
  },
  xAxis: {
    type: 'value',
    name: `price of a kg of oils, ${workshop.settings.currency}`,
    nameLocation: 'middle',
    nameGap: 26,
    scale: true,
    axisLabel: { color: '#4c595b' },
  },
  yAxis: {
    type: 'value',
    name: 'points away from the regions',
    nameLocation: 'middle',
    nameGap: 34,
    min: 0,
    axisLabel: { color: '#4c595b' },
  },
  series: [
    {
      type: 'line',
      name: 'points away',
      symbolSize: 12,
      symbol: 'circle',
      color: '#0f4f5c',
      data: curve.value.map(({ price, distance }) => [
        price / minorUnits(workshop.settings.currency),
        Math.sqrt(distance),
      ]),
    },
  ],
}))
const curveWords = computed(() =>
  curve.value
    .map(
      ({ price, distance }) =>
        `${moneyText(price, workshop.settings.currency)}: ${workshop.say.number(Math.sqrt(distance), 1)} points away`,
    )
    .join('; '),
)
const reach = computed(() => findings.value?.inTheWay ?? [])
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-4 sm:px-6">
    <div class="mb-4 flex flex-wrap items-center gap-3">
      <div class="mr-auto">
        <h1>Find a formula</h1>
        <p class="text-ink-2">Choose fats and limits; the best blend of them is worked out.</p>
      </div>
      <AppButton to="/formulas">All formulas</AppButton>
      <AppButton v-if="state !== 'idle'" @click="stop">Cancel</AppButton>
      <AppButton kind="main" :disabled="state === 'finding'" @click="look">
        {{ state === 'finding' ? 'Looking…' : 'Find' }}
      </AppButton>
    </div>
    <div class="grid grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-[460px_minmax(0,1fr)]">
      <WishForm v-model="draft" />
      <section class="grid content-start gap-4" aria-label="Found" aria-live="polite">
        <p v-if="problem" role="alert" class="sheet px-4 py-3 font-semibold text-stop">
          {{ problem }}
        </p>
        <p v-if="state === 'finding'" class="sheet px-4 py-3" role="status">
          Looking through {{ wish.choices.length }} fats. This takes a second or two; Cancel stops
          it.
        </p>
        <EmptyState v-if="!findings && state === 'idle' && !problem" title="Nothing looked for yet">
          With olive, coconut, a hard fat and castor ticked, a body bar inside all its regions is
          there in a moment. Tick what is in your stores, then find.
        </EmptyState>
        <template v-if="findings && asked">
          <p v-if="findings.says" role="alert" class="sheet px-4 py-3 font-semibold text-warn">
            {{ findings.says }}
          </p>
          <section
            v-if="reach.length"
            class="rounded-sm border border-warn bg-warn-ground px-4 py-3"
            aria-label="In the way"
          >
            <h2 class="text-warn">Not all of it can be had with these fats</h2>
            <ul class="figure mt-1">
              <li v-for="way in reach" :key="way.trait">
                <b>{{ traitRules[way.trait].says }}</b> reaches {{ points(way.reaches) }},
                {{ workshop.say.number(Math.abs(way.wished - way.reaches), 1) }} points
                {{ way.reaches < way.wished ? 'under' : 'over' }} the {{ points(way.wished) }} that
                is wished.
              </li>
            </ul>
            <p class="mt-1 text-sm">
              Below is the formula that comes nearest. Add fats, raise a limit, or move that region.
            </p>
          </section>
          <FoundCard
            v-if="findings.best"
            :found="findings.best"
            :title="
              asked.aim === 'cheapest' && !reach.length ? 'The cheapest inside' : 'The nearest'
            "
            :regions="asked.regions"
            @write="write(findings.best)"
          />
          <div v-if="findings.runnersUp.length" class="grid gap-4 md:grid-cols-2 xl:grid-cols-3">
            <FoundCard
              v-for="(found, index) in findings.runnersUp"
              :key="index"
              small
              :found="found"
              :title="`Of another kind, ${index + 1}`"
              :regions="asked.regions"
              @write="write(found)"
            />
          </div>
          <section v-if="curve.length > 1" class="sheet px-4 py-3" aria-label="Price and character">
            <h2>Price and character</h2>
            <p class="text-sm text-ink-2">
              The nearest formula for each price. Click a point to see it.
            </p>
            <LazyAppChart
              class="h-56"
              :option="option"
              :says="`Price against distance from the regions. ${curveWords}`"
              @pick="(index: number) => (picked = curve[index] ?? null)"
            />
            <p class="flex flex-wrap gap-2">
              <button
                v-for="point in curve"
                :key="point.price"
                type="button"
                class="link figure text-sm"
                :aria-pressed="picked === point"
                @click="picked = point"
              >
                {{ moneyText(point.price, workshop.settings.currency) }}
              </button>
            </p>
          </section>
          <p v-else-if="unpriced && state === 'idle'" class="text-sm text-ink-2">
            {{ workshop.say.number(unpriced) }} of the fats
            {{ workshop.say.plural(unpriced, 'has', 'have') }} no price, so price against character
            is not drawn.
          </p>
          <FoundCard
            v-if="picked"
            :found="picked.found"
            :title="`For ${moneyText(picked.price, workshop.settings.currency)} a kg`"
            :regions="asked.regions"
            @write="write(picked.found)"
          />
          <p class="text-sm text-ink-2">
            Traits are estimates of 0 to 100.
            <NuxtLink class="link" to="/explained#what-the-bar-will-be-like-judgement"
              >How they are reckoned</NuxtLink
            >
          </p>
        </template>
      </section>
    </div>
  </div>
</template>
