<script setup lang="ts">
import type { LotRow } from '~/composables/useStores'
import type { ToBuy } from '~/composables/useShopping'
import { isCounted } from '#core/stores/things'
import { daysBetween } from '#core/units/days'

/** What there is: every vessel on its plank, what runs out, what to buy, and one lot at a time in full. */
useHead({ title: 'Stores · Mantle' })
const workshop = useWorkshop()
const { say, settings, today } = storeToRefs(workshop)
const router = useRouter()
const route = useRoute()
const stores = useStores()
const { ahead, rows, things, reservations, worth, amount, short, loaded, lots } = stores
onMounted(() => void stores.load())

const find = ref('')
const fits = (row: LotRow) => {
  const wanted = find.value.trim().toLowerCase()
  const { code, place, note } = row.lot.document
  return (
    !wanted ||
    `${row.thing.name} ${code} ${row.supplier} ${place} ${note}`.toLowerCase().includes(wanted)
  )
}
/** Planks from the smallest vessels to the largest, each by what stands on it. */
const planks = computed(() => {
  const byPlace = new Map<string, LotRow[]>()
  for (const row of rows.value.filter(fits)) {
    const place = row.lot.document.place || 'Without a place'
    byPlace.set(place, [...(byPlace.get(place) ?? []), row])
  }
  const mean = (own: LotRow[]) =>
    own.reduce((sum, { lot }) => sum + lot.document.amount, 0) / own.length
  return [...byPlace]
    .map(([place, own]) => ({
      place,
      rows: [...own].sort(
        (a, b) =>
          Number(b.flags.length > 0 && b.lot.document.held !== null) -
            Number(a.flags.length > 0 && a.lot.document.held !== null) ||
          a.name.localeCompare(b.name, 'en', { numeric: true }),
      ),
      size: mean(own),
    }))
    .sort((a, b) => a.size - b.size)
})
const lastingOf = computed(
  () => new Map(things.value.map(({ thing, out }) => [thing.id, out?.at ?? null])),
)
function lasts(row: LotRow): string {
  const at = lastingOf.value.get(row.thing.id)
  if (!at) return ''
  const days = daysBetween(today.value, at)
  if (days > 364) return 'over a year'
  return days < 14
    ? say.value.count(Math.max(0, days), 'day', 'days')
    : say.value.count(Math.round(days / 7), 'week', 'weeks')
}
const chosen = ref(String(route.query.lot ?? ''))
const row = computed(
  () =>
    rows.value.find(({ lot }) => lot.id === chosen.value) ??
    rows.value.find(({ lot }) => lot.document.held) ??
    rows.value.find(({ flags }) => flags.length) ??
    rows.value[0],
)
function choose(id: string) {
  chosen.value = id
  void router.replace({ query: { lot: id } })
}
const countedOn = computed(
  () =>
    rows.value
      .flatMap(({ lot }) => lot.countedOn ?? [])
      .sort()
      .at(-1) ?? null,
)
const planned = computed(() => ahead.value.planned)
const packs = computed(() => ahead.value.packs)
const weeks = ref(usualWeeks)
const promised = usePromisedNeeds()
const wanted = computed(() => [...ahead.value.planned, ...promised.value])
const shopping = useShopping(things, packs, wanted, weeks)
const packText = (one: ToBuy) =>
  say.value.list(
    one.bought.counts.flatMap((count, place) =>
      count ? [`${count} × ${amount(one.row.thing.id, one.packs[place]!.grams)}`] : [],
    ),
  )
const line = ref('')
const field = ref<HTMLInputElement>()
const receive = () =>
  router.push({ path: '/stores/receive', query: line.value ? { line: line.value } : {} })
const count = () => router.push('/stores/count')
const trace = () => row.value && router.push(`/stores/lots/${row.value.lot.id}/trace`)
useShortcuts({ r: () => field.value?.focus(), c: () => void count(), t: () => void trace() })
/** All that is there as a table, as it is received too. */
const asTable = () =>
  downloadCsv(
    `stores-${today.value}.csv`,
    [
      'material',
      'lot',
      'supplier',
      'place',
      'came',
      'best before',
      'in it',
      'unit',
      'came with',
      'price',
      'held',
    ],
    rows.value.map(({ lot, thing, supplier }) => {
      const { code, place, cameOn, bestBefore, amount: all, price, held } = lot.document
      return {
        material: thing.name,
        lot: code,
        supplier,
        place,
        came: cameOn,
        'best before': bestBefore ?? '',
        'in it': say.value.typed(lot.stock, 1),
        unit: isCounted(thing.id) ? 'pieces' : 'g',
        'came with': say.value.typed(all, 1),
        price:
          price === null ? '' : say.value.typed(price / minorUnits(settings.value.currency), 2),
        held: held?.note ?? '',
      }
    }),
  )
const taking = ref(false)
const editing = ref(false)
const holding = ref(false)
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <p v-if="lots.problem" role="alert" class="mb-3 font-semibold text-stop">{{ lots.problem }}</p>
    <StoresEmpty v-if="loaded && lots.loaded && !rows.length" />
    <div
      v-else-if="loaded"
      class="grid grid-cols-1 items-start gap-4 lg:grid-cols-[minmax(0,1fr)_368px]"
    >
      <div class="min-w-0">
        <div class="mb-2 flex flex-wrap items-center gap-3">
          <h1>Stores</h1>
          <p class="text-[13px] leading-[17px] text-ink-2">
            {{ say.count(rows.length, 'lot', 'lots') }},
            <span class="figure">{{ moneyText(worth, settings.currency) }}</span><br
              v-if="countedOn"
            />
            <template v-if="countedOn">counted {{ dayText(countedOn, { today }) }}</template>
          </p>
          <form class="flex min-w-56 flex-1" @submit.prevent="receive">
            <label
              class="flex flex-1 items-center gap-2 border border-dashed border-line-3 bg-sheet px-3"
            >
              <span class="whitespace-nowrap text-ink-2 max-sm:sr-only">Came in?</span>
              <input
                ref="field"
                v-model="line"
                class="min-w-0 flex-1 bg-transparent py-2.5 outline-none"
                placeholder="5 kg olive 31.00 best 8/27 lot K12"
                aria-label="What came in, as you would write it"
                enterkeyhint="go"
              />
              <kbd class="max-sm:hidden">R</kbd>
            </label>
          </form>
          <AppButton @click="count">Count <kbd class="max-sm:hidden">C</kbd></AppButton>
          <AppButton kind="main" to="/stores/shopping">Shopping list</AppButton>
        </div>
        <div class="mb-1 flex flex-wrap items-center gap-x-4 gap-y-1 text-[13px]">
          <NuxtLink to="/stores/blends" class="link">Made up ahead</NuxtLink>
          <NuxtLink to="/stores/markets" class="link">Market days</NuxtLink>
          <NuxtLink to="/stores/labels" class="link">Labels and prices</NuxtLink>
          <NuxtLink to="/stores/year" class="link">Cost and the year</NuxtLink>
          <NuxtLink to="/stores/used-up" class="link">Used up</NuxtLink>
          <button type="button" class="link" @click="asTable">As a table</button>
          <span class="flex items-center gap-1.5 text-ink-2 max-sm:hidden"
            ><i
              class="size-3.5 border border-line-3 bg-[repeating-linear-gradient(45deg,#e2c985_0_3px,#fff_3px_5px)]"
            />
            reserved for what is planned</span
          >
          <input
            v-model="find"
            type="search"
            class="field ml-auto !w-40 py-1"
            placeholder="Find a lot"
            aria-label="Find a lot by name, code, supplier or place"
          />
        </div>
        <section v-for="plank in planks" :key="plank.place" :aria-label="plank.place">
          <h2 class="text-[13px] font-semibold text-ink-2">{{ plank.place }}</h2>
          <ul class="mb-1 grid grid-cols-[repeat(auto-fill,minmax(112px,1fr))]">
            <LotCell
              v-for="one in plank.rows"
              :key="one.lot.id"
              :row="one"
              :chosen="one.lot.id === row?.lot.id"
              :amount="amount(one.thing.id, one.lot.stock)"
              :lasts="lasts(one)"
              @choose="choose(one.lot.id)"
            />
          </ul>
        </section>
        <p v-if="!planks.length" class="py-8 text-center text-ink-2">
          None of {{ say.count(rows.length, 'lot', 'lots') }} is called that.
        </p>
        <div class="mt-2 grid grid-cols-1 gap-4 md:grid-cols-[minmax(0,1fr)_344px]">
          <RunsOutCard :things="things" :today="today" />
          <ToBuyCard
            :list="shopping.list.value"
            :busy="shopping.busy.value"
            :short="short"
            :pack-text="packText"
          />
        </div>
      </div>
      <LotPanel
        v-if="row"
        class="lg:sticky lg:top-3"
        :row="row"
        :amount="amount"
        :reservations="reservations"
        :planned="planned"
        @take="taking = true"
        @edit="editing = true"
        @hold="holding = true"
        @count="router.push(`/stores/count?lot=${row.lot.id}`)"
        @changed="stores.load()"
      />
    </div>
    <TakeDialog
      v-if="taking && row"
      v-model="taking"
      :lot="row.lot"
      :name="row.name"
      @changed="stores.load()"
    />
    <LotDialog v-if="editing && row" v-model="editing" :lot="row.lot" @changed="stores.load()" />
    <HoldDialog v-if="holding && row" v-model="holding" :lot="row.lot" @changed="stores.load()" />
  </div>
</template>
