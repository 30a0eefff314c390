<script setup lang="ts">
import type { SoapWords } from '#contracts/label'
import { batchCode } from '#core/label/words'

/** What every soap costs, a bar and for a shop, and how many there are: to be changed here, printed, or taken along as a table. */
useHead({ title: 'Price list · Mantle' })
const { soaps, load } = useShelfSoaps()
const words = useSoapWords()
const toasts = useToasts()
const { settings, say, today } = storeToRefs(useWorkshop())
onMounted(() => Promise.all([load(), words.load()]))
async function change(formulaId: string, changes: Partial<SoapWords>) {
  try {
    await words.change(formulaId, changes)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
/** A shop pays so much less where nobody has said what it pays. */
const shopShare = computed(
  () => settings.value.costing.outlets.find(({ wholesale }) => wholesale > 0)?.wholesale ?? null,
)
const wholesale = ref(false)
const rows = computed(() =>
  soaps.value.map((soap) => {
    const { price, wholesale: own } = words.of(soap.formulaId)
    const usual =
      price !== null && shopShare.value !== null ? Math.round(price * (1 - shopShare.value)) : null
    return { ...soap, price, own, shop: own ?? usual }
  }),
)
const money = (minor: number | null) =>
  minor === null ? '' : moneyText(minor, settings.value.currency)
const asTable = () =>
  downloadCsv(
    `prices-${today.value}.csv`,
    ['soap', 'price', 'shop price', 'ready', 'coming', 'ready on'],
    rows.value.map(({ name, price, shop, ready, coming, readyOn }) => ({
      soap: name,
      price: price === null ? '' : say.value.typed(price / minorUnits(settings.value.currency), 2),
      'shop price':
        shop === null ? '' : say.value.typed(shop / minorUnits(settings.value.currency), 2),
      ready: String(ready),
      coming: String(coming),
      'ready on': readyOn ?? '',
    })),
  )
</script>

<template>
  <PrintPage title="Price list">
    <template #back
      ><NuxtLink to="/stores/labels" class="link">Labels and prices</NuxtLink></template
    >
    <template #actions>
      <label class="flex items-center gap-2"
        ><input v-model="wholesale" type="checkbox" /> With what shops pay</label
      >
      <AppButton @click="asTable">As a table</AppButton>
    </template>
    <p v-if="words.problem" role="alert" class="mb-3 font-semibold text-stop">
      {{ words.problem }}
    </p>
    <article class="sheet px-4 py-3 print:border-0">
      <header class="mb-2 flex items-baseline justify-between gap-3">
        <h2 class="text-[18px]">{{ settings.selling.maker || settings.name }}</h2>
        <span class="text-ink-2">{{ dayText(today, { long: true }) }}</span>
      </header>
      <div class="overflow-x-auto">
        <table class="w-full text-left">
          <thead>
            <tr class="border-b border-ink text-[13px]">
              <th scope="col" class="py-1">Soap</th>
              <th scope="col" class="py-1 text-right">A bar</th>
              <th v-if="wholesale" scope="col" class="py-1 text-right">For shops</th>
              <th scope="col" class="py-1 text-right">Ready</th>
              <th scope="col" class="py-1 text-right">To come</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.formulaId" class="border-b border-line">
              <th scope="row" class="py-1.5 font-normal">
                <b>{{ row.name }}</b>
                <span class="block text-[13px] text-ink-2">{{
                  words.of(row.formulaId).tagline ||
                  row.batches.map(({ name, number }) => batchCode(name, number)).join(' ')
                }}</span>
              </th>
              <td class="figure py-1.5 text-right">
                <MoneyField
                  class="no-print ml-auto w-28"
                  :label="`Price of ${row.name}`"
                  :model-value="row.price"
                  @update:model-value="(price) => change(row.formulaId, { price })"
                />
                <span class="hidden print:inline">{{ money(row.price) }}</span>
              </td>
              <td v-if="wholesale" class="figure py-1.5 text-right">
                <MoneyField
                  class="no-print ml-auto w-28"
                  :label="`What shops pay for ${row.name}`"
                  :model-value="row.own"
                  :placeholder="money(row.shop)"
                  @update:model-value="(price) => change(row.formulaId, { wholesale: price })"
                />
                <span
                  v-if="row.own === null && row.shop !== null"
                  class="no-print text-[12.5px] text-ink-2"
                  >{{ money(row.shop) }} by the shop’s share</span
                >
                <span class="hidden print:inline">{{ money(row.shop) }}</span>
              </td>
              <td class="figure py-1.5 text-right">{{ row.ready || '–' }}</td>
              <td class="figure py-1.5 text-right">
                <template v-if="row.coming"
                  >{{ row.coming
                  }}<span v-if="row.readyOn" class="block text-[12.5px] text-ink-2"
                    >from {{ dayText(row.readyOn, { today }) }}</span
                  ></template
                ><template v-else>–</template>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="!rows.length" class="py-6 text-center text-ink-2">
        No soap is on the rack: what is poured stands here with its price.
      </p>
    </article>
  </PrintPage>
</template>
