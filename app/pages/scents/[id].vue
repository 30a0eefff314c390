<script setup lang="ts">
import { findingOf } from '#core/scents/finding'
import { sumOf } from '#core/statistics/sum'
import { claimsOf, scentKindNames } from '~/utils/scentWords'

/** One scent: what was found of it here first, then what its sheet and its supplier say, and where its sample lies. */
const route = useRoute()
const router = useRouter()
const scents = useScents()
const suppliers = useSuppliers()
const formulas = useFormulas()
const batches = useBatches()
const toasts = useToasts()
const { say, settings } = storeToRefs(useWorkshop())
const { rows, byId, potsOf, plainMinuteOf, barPerOils, load, loaded, problem } = useScentRows()
onMounted(() => void Promise.all([load(), formulas.load(), batches.load()]))

const id = computed(() => String(route.params.id))
const row = computed(() => byId.value.get(id.value) ?? null)
const stored = computed(() => scents.list.find((one) => one.id === id.value) ?? null)
const pots = computed(() => potsOf.value.get(id.value) ?? [])
const first = computed(() => pots.value[0] ?? null)
useHead({ title: computed(() => `${row.value?.scent.name ?? 'Scent'} · Mantle`) })
const plain = computed(() => plainMinuteOf(first.value))
const supplier = computed(
  () => suppliers.list.find((one) => one.id === row.value?.scent.supplierId)?.document ?? null,
)
const claims = computed(() => (row.value ? claimsOf(row.value.scent, row.value.known) : []))
const judged = computed(() => claims.value.filter(({ held }) => held !== null))
/** Minutes to medium that are foretold for the next time, in this batter. */
const nextTime = computed(() => {
  const { effect } = row.value?.known ?? {}
  if (!effect || plain.value === null) return ''
  const minutes = (factor: number) => say.value.number(plain.value! * factor, undefined, 1)
  return `next time, 9 in 10: ${minutes(effect.from)} to ${minutes(effect.to)} min`
})
const using = computed(() =>
  formulas.list.flatMap(({ id: formulaId, document }) => {
    const line = document.scents.find((one) => one.id === id.value)
    return line
      ? [
          {
            id: formulaId,
            name: document.name,
            rate: line.rate ?? null,
            batches: batches.list.filter((batch) => batch.formulaId === formulaId).length,
          },
        ]
      : []
  }),
)
const editing = ref(false)
async function remove() {
  if (!stored.value) return
  try {
    await scents.remove(stored.value)
    await router.push('/scents')
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
const money = (minor: number) => moneyText(minor, settings.value.currency)
const facts = computed(() => {
  const { flashC = null, density = null, price = null } = row.value?.scent ?? {}
  return [
    ...(flashC === null ? [] : [`flash ${say.value.temperature(flashC)}`]),
    ...(density === null ? [] : [`${say.value.number(density, undefined, 2)} g/ml`]),
    ...(price === null ? [] : [`${money(price)} per 100 g`]),
  ]
})
const sample = computed(() => {
  const { sample: of = null } = row.value?.scent ?? {}
  return of && `${say.value.amount(of.left)} left of ${say.value.amount(of.of)}`
})
/** Grams of the sample that one pot of sixty grams takes. */
const enough = computed(() => {
  const left = row.value?.scent.sample?.left
  return left === undefined ? null : Math.floor(left / (60 * 0.7 * settings.value.scentRate))
})
/** Of a blend: what it is mixed from, by shares. */
const mixed = computed(() => {
  const parts = row.value?.scent.parts ?? []
  const all = sumOf(parts, (one) => one.parts)
  return parts.map(({ scentId, parts: share }) => {
    const part = scents.known.get(scentId)
    return {
      id: scentId,
      name: part?.name ?? 'A scent that is deleted',
      colour: part?.scent.colour ?? '#8a9794',
      share: all > 0 ? share / all : 0,
      says: part ? findingOf(part, say.value).says : '',
    }
  })
})
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    <EmptyState v-else-if="loaded && !row" title="There is no such scent">
      It may be deleted.
      <template #actions><AppButton to="/scents">All scents</AppButton></template>
    </EmptyState>
    <template v-else-if="row && stored">
      <div class="mb-3 flex flex-wrap items-center gap-4">
        <SmallPot class="size-[62px]" :look="row.look" :colour="row.batter" />
        <div class="mr-auto min-w-0">
          <p class="text-ink-2">
            <b class="text-[16px] text-ink">{{ row.scent.name }}</b> ·
            {{ scentKindNames[row.scent.kind]
            }}<template v-if="supplier">
              of
              <NuxtLink :to="`/scents/suppliers/${row.scent.supplierId}`" class="hover:underline">{{
                supplier.name
              }}</NuxtLink></template
            ><template v-if="row.scent.code">
              · scratched
              <b class="figure underline underline-offset-2">{{ row.scent.code }}</b></template
            ><template v-if="sample"> · {{ sample }}</template
            ><template v-if="row.scent.drawer"> in {{ row.scent.drawer }}</template>
          </p>
          <h1 class="text-[30px] leading-9">{{ row.finding.says }}</h1>
        </div>
        <AppButton @click="editing = true">Change</AppButton>
        <AppMenu
          :label="`More for ${row.scent.name}`"
          :entries="[{ says: 'Delete', danger: true, act: () => void remove() }]"
        />
        <AppButton kind="main" :to="`/scents/trials/new?take=${id}`">Try it in a pot</AppButton>
      </div>
      <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_368px]">
        <div class="grid gap-3">
          <section class="sheet px-4 py-3">
            <div class="mb-2 flex flex-wrap items-baseline gap-x-3">
              <h2 class="flex-1 text-sm font-semibold text-ink-2">
                <template v-if="first"
                  >What we found, {{ say.count(pots.length, 'pot', 'pots') }} in
                  {{ first.formula }} batter at {{ say.percent(first.rate, 1) }} of oils and
                  {{ say.ratio(first.ratio) }}</template
                >
                <template v-else>What we found</template>
              </h2>
              <span class="text-sm text-ink-2">{{ nextTime }}</span>
            </div>
            <PotsFound
              v-if="first"
              :pots="pots"
              :colour="row.scent.colour"
              :batter="row.batter"
              :plain="plain"
            />
            <p v-else>
              Nobody has stirred it into a pot of our batter yet.
              <template v-if="row.known?.fromParts">
                By its parts it leaves about
                {{ say.percent(row.known.effect.factor, 0) }} of the time.</template
              >
              <template v-else-if="row.scent.claims.pace">
                Its supplier says it {{ row.scent.claims.pace }}: of another batter, with other
                water.</template
              >
            </p>
          </section>
          <section v-if="row.known && first" class="sheet px-4 py-3">
            <h2 class="mb-2 text-sm font-semibold text-ink-2">Three months</h2>
            <MonthsFound :known="row.known" :pots="pots" />
          </section>
          <div class="grid gap-3 sm:grid-cols-2">
            <section v-if="mixed.length" class="sheet px-4 py-3">
              <h2 class="text-sm font-semibold text-ink-2">Mixed from</h2>
              <ul class="mt-1">
                <li v-for="one in mixed" :key="one.id" class="grid grid-cols-[14px_1fr_auto] gap-2">
                  <i class="mt-1.5 size-3" :style="{ background: one.colour }" />
                  <NuxtLink :to="`/scents/${one.id}`" class="font-bold hover:underline">{{
                    one.name
                  }}</NuxtLink>
                  <span class="figure">{{ say.percent(one.share, 0) }}</span>
                  <span class="col-start-2 text-sm text-ink-2">{{ one.says }}</span>
                </li>
              </ul>
            </section>
            <section v-else class="sheet px-4 py-3">
              <div class="flex items-baseline">
                <h2 class="flex-1 text-sm font-semibold text-ink-2">They said</h2>
                <span v-if="judged.length" class="text-sm text-ink-2"
                  >{{ say.number(judged.filter(({ held }) => held).length) }} of
                  {{ say.number(judged.length) }} held</span
                >
              </div>
              <p class="mt-1"><ClaimMarks :claims="claims" /></p>
              <table v-if="supplier && first" class="mt-2 w-full border-t border-line text-left">
                <thead>
                  <tr class="text-ink-2">
                    <td />
                    <th scope="col" class="font-normal">rate</th>
                    <th scope="col" class="font-normal">water</th>
                    <th scope="col" class="font-normal">batter</th>
                  </tr>
                </thead>
                <tbody class="figure">
                  <tr>
                    <th scope="row" class="font-normal">theirs</th>
                    <td>
                      <b>{{
                        supplier.tested.rate === null ? '?' : say.percent(supplier.tested.rate, 1)
                      }}</b>
                    </td>
                    <td>
                      <b>{{
                        supplier.tested.ratio === null ? '?' : say.ratio(supplier.tested.ratio)
                      }}</b>
                    </td>
                    <td>
                      <b>{{ supplier.tested.batter || '?' }}</b>
                    </td>
                  </tr>
                  <tr>
                    <th scope="row" class="font-normal">ours</th>
                    <td>
                      <b>{{ say.percent(first.rate, 1) }}</b>
                    </td>
                    <td>
                      <b>{{ say.ratio(first.ratio) }}</b>
                    </td>
                    <td>
                      <b>{{ first.formula }}</b>
                    </td>
                  </tr>
                </tbody>
              </table>
            </section>
            <section class="sheet px-4 py-3">
              <h2 class="text-sm font-semibold text-ink-2">Formulas with it</h2>
              <ul v-if="using.length" class="mt-1 grid gap-2">
                <li v-for="one in using" :key="one.id">
                  <NuxtLink :to="`/formulas/${one.id}`" class="font-bold hover:underline">{{
                    one.name
                  }}</NuxtLink>
                  <span v-if="one.rate !== null" class="figure">
                    {{ say.percent(one.rate, 1) }}</span
                  >
                  <span class="block text-ink-2">{{
                    one.batches
                      ? say.count(one.batches, 'batch in the shed', 'batches in the shed')
                      : 'none in the shed now'
                  }}</span>
                </li>
              </ul>
              <p v-else class="mt-1 text-ink-2">
                None yet. In a formula, type its name and a share: it is found by its record.
              </p>
            </section>
          </div>
        </div>
        <div class="grid gap-3">
          <HowMuch v-if="row.known" :known="row.known" :bar-per-oils="barPerOils" />
          <LikeIt :row="row" :rows="rows" />
          <section class="sheet px-4 py-3">
            <div class="flex flex-wrap items-baseline gap-x-3">
              <h2 class="flex-1 text-sm font-semibold text-ink-2">Where it lies</h2>
              <span class="text-sm text-ink-2">{{ facts.join(' · ') }}</span>
            </div>
            <p class="mt-1">
              <b v-if="row.scent.drawer"
                >Drawer {{ row.scent.drawer }}<template v-if="sample">, {{ sample }}</template></b
              >
              <b v-else>Nobody wrote down where</b>
            </p>
            <p v-if="enough !== null" class="text-ink-2">
              {{
                enough > 0
                  ? `enough for ${say.count(enough, 'pot', 'pots')} at ${say.percent(settings.scentRate, 1)}`
                  : 'not enough for a pot'
              }}
            </p>
            <p v-if="row.scent.allergens.length" class="mt-2">
              On a label: {{ allergensText(row.scent.allergens, say) }}.
            </p>
            <p v-if="row.scent.vanillin !== null" class="text-ink-2">
              {{
                row.scent.vanillin > 0
                  ? `${say.percent(row.scent.vanillin, 1)} vanillin in it: it browns.`
                  : 'No vanillin.'
              }}
            </p>
            <p v-if="row.scent.note" class="mt-2 italic">{{ row.scent.note }}</p>
          </section>
        </div>
      </div>
    </template>
    <ScentDialog v-if="editing" v-model="editing" :start="stored" />
  </div>
</template>
