<script setup lang="ts">
import type { Stored } from '#contracts/document'
import type { Order } from '#contracts/store'
import type { ToBuy } from '~/composables/useShopping'
import { isCounted, thingIn, usualVessel } from '#core/stores/things'

/** What to buy until when: the cheapest packs that cover what is planned and usual, by supplier; ordered, and arrived. */
useHead({ title: 'Shopping list · Mantle' })
const { say, settings, today } = storeToRefs(useWorkshop())
const materials = useMaterials()
const suppliers = useSuppliers()
const stores = useStores()
const { things, ahead, amount, loaded } = stores
const toasts = useToasts()
const router = useRouter()
const orders = shallowRef<Stored<Order>[]>([])
const problem = ref('')
async function loadOrders() {
  orders.value = await api.get<Stored<Order>[]>('/api/orders').catch(() => [])
}
onMounted(() => Promise.all([stores.load(), loadOrders()]))
const weeks = ref(usualWeeks)
const promised = usePromisedNeeds()
/** What is planned, and what is promised and still to be planned. */
const planned = computed(() => [...ahead.value.planned, ...promised.value])
const packs = computed(() => ahead.value.packs)
const { list, busy, problem: failed } = useShopping(things, packs, planned, weeks)
const open = computed(() => orders.value.filter(({ document }) => !document.arrivedOn))
/** g, or pieces, of a thing that are on their way. */
const onTheWay = computed(() => {
  const coming = new Map<string, number>()
  for (const { document } of open.value)
    for (const { thing, each, count } of document.lines)
      coming.set(thing, (coming.get(thing) ?? 0) + each * count)
  return coming
})
const left = ref(new Set<string>())
const wanted = computed(() =>
  list.value.filter(
    ({ row, need }) =>
      !left.value.has(row.thing.id) && (onTheWay.value.get(row.thing.id) ?? 0) < need,
  ),
)
const nameOf = (id: string | null) =>
  suppliers.list.find((one) => one.id === id)?.document.name ?? 'Nobody said from whom'
const groups = computed(() => {
  const by = new Map<string | null, ToBuy[]>()
  for (const one of wanted.value) by.set(one.supplierId, [...(by.get(one.supplierId) ?? []), one])
  return [...by].map(([id, own]) => ({
    id,
    name: nameOf(id),
    own,
    total: own.reduce((sum, { bought }) => sum + bought.price, 0),
  }))
})
const money = (minor: number) => moneyText(minor, settings.value.currency)
const each = (id: string, grams: number, price: number) =>
  isCounted(id) ? `${money(price / grams)} each` : `${money((price / grams) * 100)} per 100 g`
const chosen = (one: ToBuy) =>
  one.bought.counts.flatMap((count, place) => (count ? [{ count, pack: one.packs[place]! }] : []))
async function order(group: (typeof groups.value)[number]) {
  const id = newId()
  const document: Order = {
    supplierId: group.id,
    on: today.value,
    arrivedOn: null,
    note: '',
    lines: group.own.flatMap((one) =>
      chosen(one).map(({ count, pack }) => ({
        thing: pack.thing,
        each: pack.grams,
        count,
        price: Math.round((pack.price - pack.shipping) * count),
      })),
    ),
  }
  try {
    await api.put(`/api/orders/${id}`, { revision: 0, document })
    await loadOrders()
    toasts.show(`Ordered from ${group.name}.`, {
      undo: async () => {
        await api.remove(`/api/orders/${id}`)
        await loadOrders()
      },
    })
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
const printIt = () => window.print()
async function asTable() {
  const rows = wanted.value.flatMap((one) =>
    chosen(one).map(({ count, pack }) => ({
      supplier: nameOf(one.supplierId),
      material: one.row.thing.name,
      packs: String(count),
      grams: String(pack.grams),
      price: say.value.typed((pack.price * count) / minorUnits(settings.value.currency), 2),
      'runs out from': one.by ?? '',
    })),
  )
  await downloadCsv(
    `shopping-${today.value}.csv`,
    ['supplier', 'material', 'packs', 'grams', 'price', 'runs out from'],
    rows,
  )
}
</script>

<template>
  <div class="mx-auto max-w-[980px] px-4 py-3 sm:px-6">
    <div class="mb-3 flex flex-wrap items-center gap-3">
      <h1>Shopping list</h1>
      <label class="no-print mr-auto ml-2 flex items-center gap-2 text-ink-2"
        >for the next
        <NumberField
          class="w-20"
          label="Weeks that it is for"
          :min="1"
          :max="104"
          :model-value="weeks"
          @update:model-value="(value) => value && (weeks = value)"
        />
        weeks</label
      >
      <AppButton class="no-print" :disabled="!wanted.length" @click="asTable">As a table</AppButton>
      <AppButton class="no-print" :disabled="!wanted.length" @click="printIt">Print</AppButton>
      <AppButton class="no-print" to="/stores">To the stores</AppButton>
    </div>
    <p v-if="problem || failed" role="alert" class="mb-3 font-semibold text-stop">
      {{ problem || failed }}
    </p>
    <section v-if="open.length" class="sheet no-print mb-4" aria-labelledby="ordered">
      <h2 id="ordered" class="px-4 pt-3 text-[14px] font-bold text-ink">On its way</h2>
      <ul class="divide-y divide-line">
        <li v-for="one in open" :key="one.id" class="flex flex-wrap items-center gap-3 px-4 py-2">
          <span class="min-w-0 flex-1"
            ><b>{{ nameOf(one.document.supplierId) }}</b
            >, {{ dayText(one.document.on, { today }) }}:
            {{
              say.list(
                one.document.lines.map(
                  ({ thing, each: grams, count }) =>
                    `${count} × ${amount(thing, grams)} ${thingIn(materials.library, thing).name.split(',')[0]}`,
                ),
              )
            }}</span
          >
          <AppButton kind="main" @click="router.push(`/stores/receive?order=${one.id}`)"
            >Arrived</AppButton
          >
        </li>
      </ul>
    </section>
    <section v-for="group in groups" :key="group.name" class="sheet mb-4" :aria-label="group.name">
      <header class="flex flex-wrap items-baseline gap-3 px-4 pt-3 pb-2">
        <h2 class="mr-auto text-[16px] font-bold text-ink">{{ group.name }}</h2>
        <b class="figure">{{ money(group.total) }}</b>
        <AppButton class="no-print" kind="main" @click="order(group)">Ordered</AppButton>
      </header>
      <ul>
        <li
          v-for="one in group.own"
          :key="one.row.thing.id"
          class="grid grid-cols-[minmax(0,1fr)_auto_32px] items-center gap-x-4 border-t border-line px-4 py-2 sm:grid-cols-[110px_minmax(0,1fr)_minmax(0,1fr)_90px_24px]"
        >
          <span class="flex items-end gap-1 max-sm:hidden">
            <template v-for="{ count, pack } in chosen(one)" :key="pack.grams">
              <StockVessel
                v-for="nth in Math.min(3, count)"
                :key="nth"
                :form="usualVessel(one.row.thing.kind, pack.grams)"
                :fill="0.94"
                :colour="one.row.thing.colour"
                :scale="0.45"
              />
            </template>
          </span>
          <span>
            <b class="block">{{ one.row.thing.name }}</b>
            <span
              v-for="{ count, pack } in chosen(one)"
              :key="pack.grams"
              class="figure block text-[13px] text-ink-2"
              >{{ count }} × {{ amount(pack.thing, pack.grams) }},
              {{ each(pack.thing, pack.grams, pack.price) }}</span
            >
          </span>
          <span class="text-[13.5px] max-sm:order-last max-sm:col-span-3">
            {{ amount(one.row.thing.id, one.need) }} wanted<template v-if="one.by"
              >, runs out from {{ dayText(one.by, { today }) }}</template
            >
            <b v-if="one.spoils" class="block text-warn">more than is used before it spoils</b>
            <span v-else class="block text-ink-2"
              >{{ amount(one.row.thing.id, one.bought.over) }} over, for later</span
            >
          </span>
          <span class="figure text-right">{{ money(one.bought.price) }}</span>
          <button
            type="button"
            class="no-print p-1"
            :aria-label="`Leave out ${one.row.thing.name}`"
            @click="left = new Set([...left, one.row.thing.id])"
          >
            ×
          </button>
        </li>
      </ul>
    </section>
    <p v-if="loaded && !groups.length" class="py-10 text-center text-ink-2">
      {{
        busy
          ? 'Being worked out.'
          : ahead.packs.length
            ? `Nothing runs short within ${say.count(weeks, 'week', 'weeks')}.`
            : 'Mantle does not know yet in which packs you buy: write down what comes in, with its price.'
      }}
    </p>
  </div>
</template>
