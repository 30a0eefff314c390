<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import type { BatchCosts, KeptMove, StoredLot } from '#contracts/store'
import type { YearMonth } from '#core/cost/year'
import { lotsBehind } from '#core/stores/trace'
import { thingIn } from '#core/stores/things'

/** What a batch cost: as it was made, gram by gram of its own lots, and as it would today; and what to ask for a bar. */
const { params } = useRoute()
const { say, settings } = storeToRefs(useWorkshop())
const materials = useMaterials()
const batch = shallowRef<Batch | null>(null)
const costs = shallowRef<BatchCosts | null>(null)
const behind = shallowRef<{ lots: StoredLot[]; moves: KeptMove[] }>({ lots: [], moves: [] })
const year = shallowRef<YearMonth[]>([])
const problem = ref('')
const id = String(params.id)
async function load() {
  try {
    ;[batch.value, costs.value, behind.value, year.value] = await Promise.all([
      api.get<Batch>(`/api/batches/${id}`),
      api.get<BatchCosts>(`/api/batches/${id}/cost`),
      api.get<{ lots: StoredLot[]; moves: KeptMove[] }>(`/api/batches/${id}/lots`),
      api.get<YearMonth[]>('/api/stores/year'),
    ])
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
onMounted(load)
watch(() => settings.value.costing, load)
const name = computed(() => (batch.value ? `${batch.value.name} ${batch.value.number}` : 'A batch'))
useHead({ title: () => `${name.value}, what it cost · Mantle` })
const bothWays = useTemplateRef<{ canSet: boolean; setPrice: (formulaId: string) => void }>(
  'bothWays',
)
const which = ref<'made' | 'today'>('made')
const cost = computed(() =>
  which.value === 'made' ? (costs.value?.made ?? costs.value?.today) : costs.value?.today,
)
const money = (minor: number) => moneyText(minor, settings.value.currency)
const ways = computed(() => [
  { is: 'made' as const, says: 'As made', bar: costs.value?.made?.bar ?? null },
  { is: 'today' as const, says: 'Made today', bar: costs.value?.today.bar ?? null },
])
const lots = computed(() =>
  lotsBehind(id, behind.value.lots, behind.value.moves).map(({ lotId, via, grams }) => {
    const lot = behind.value.lots.find((one) => one.id === lotId)!
    const thing = thingIn(materials.library, lot.document.thing)
    return {
      key: `${lotId}${via.join()}`,
      id: lotId,
      colour: thing.colour,
      says: `${thing.name.split(',')[0]} ${lot.document.code}`,
      inside: via.length > 0,
      held: lot.document.held !== null,
      grams,
      counted: thing.kind === 'goods',
    }
  }),
)
</script>

<template>
  <div class="mx-auto grid max-w-[1280px] gap-4 px-4 py-3 sm:px-6">
    <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    <template v-if="batch && costs && cost">
      <header class="flex flex-wrap items-center gap-4">
        <BarThumbnail :thumbnail="batch.thumbnail" :width="58" :height="36" />
        <div class="mr-auto">
          <h1>{{ name }}, what it cost</h1>
          <p class="text-ink-2">
            <b class="figure text-ink">{{ money(cost.total) }}</b> the batch:
            {{ say.count(costs.bars, 'bar', 'bars') }} that can leave.
            {{
              which === 'made' && costs.made
                ? 'Every gram at the price of its own lot.'
                : 'At what things cost now.'
            }}
          </p>
          <p v-if="!costs.made" class="font-semibold text-warn">
            Nothing was written down as drawn for it: this is what it would cost today.
          </p>
        </div>
        <div v-if="costs.made" class="flex" role="group" aria-label="At which prices">
          <button
            v-for="way in ways"
            :key="way.is"
            type="button"
            class="border border-line-3 px-4 py-2 font-semibold"
            :class="which === way.is ? 'bg-slate text-white' : 'bg-field text-on-field'"
            :aria-pressed="which === way.is"
            @click="which = way.is"
          >
            {{ way.says
            }}<template v-if="way.bar !== null && which !== way.is"
              >, {{ money(way.bar) }}</template
            >
          </button>
        </div>
        <AppButton :to="`/batches/${id}`">To the batch</AppButton>
        <AppButton
          kind="main"
          :disabled="!bothWays?.canSet"
          @click="bothWays?.setPrice(batch.formulaId)"
          >Set its price</AppButton
        >
      </header>
      <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_minmax(0,480px)]">
        <section class="sheet px-4 py-3" aria-label="What is in the cost">
          <CostBars :cost="cost" :bars="costs.bars" />
        </section>
        <PriceBothWays v-if="cost.bar !== null" ref="bothWays" :cost="cost.bar" />
      </div>
      <section v-if="lots.length" class="sheet px-4 py-3" aria-labelledby="behind">
        <h2 id="behind" class="text-[14px] font-bold text-ink">The lots behind it</h2>
        <ul class="mt-1 grid gap-x-8 sm:grid-cols-2 lg:grid-cols-3">
          <li
            v-for="lot in lots"
            :key="lot.key"
            class="flex items-center gap-2 border-b border-line py-1"
            :class="lot.inside ? 'pl-5' : ''"
          >
            <i class="size-3 shrink-0" :style="{ background: lot.colour }" />
            <NuxtLink
              :to="`/stores/lots/${lot.id}/trace`"
              class="min-w-0 flex-1 truncate hover:underline"
              >{{ lot.says }}</NuxtLink
            >
            <b v-if="lot.held" class="text-stop">held</b>
            <span class="figure text-ink-2">{{
              lot.counted
                ? say.count(Math.round(lot.grams), 'piece', 'pieces')
                : say.mass(lot.grams)
            }}</span>
          </li>
        </ul>
      </section>
      <YearPicture v-if="year.length" :year="year" />
    </template>
  </div>
</template>
