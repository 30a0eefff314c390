<script setup lang="ts">
import type { Workshop } from '#contracts/workshop'
import type { YearMonth } from '#core/cost/year'
import { goodsIds } from '#contracts/storeWords'
import { goodsNames } from '#core/stores/things'

/** The year in bars and money, and what a bar is reckoned with besides what is in it. */
useHead({ title: 'Cost and the year · Mantle' })
const workshop = useWorkshop()
const { settings, say } = storeToRefs(workshop)
const year = shallowRef<YearMonth[]>([])
const problem = ref('')
const stores = useStores()
onMounted(async () => {
  void stores.load()
  try {
    year.value = await api.get<YearMonth[]>('/api/stores/year')
  } catch (error) {
    problem.value = sentenceOf(error)
  }
})
const costing = computed(() => settings.value.costing)
async function save(changes: Partial<Workshop['costing']>) {
  try {
    await workshop.save({ costing: changes })
    problem.value = ''
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
const free = computed(() =>
  goodsIds.filter((id) => !costing.value.uses.some(({ thing }) => thing === id)),
)
const outletName = ref('')
function addOutlet() {
  const name = outletName.value.trim()
  if (!name) return
  void save({
    outlets: [
      ...costing.value.outlets,
      { name, price: null, fee: 0, discount: 0, wholesale: 0, tax: 0 },
    ],
  })
  outletName.value = ''
}
</script>

<template>
  <div class="mx-auto grid max-w-[1280px] gap-4 px-4 py-3 sm:px-6">
    <div class="flex flex-wrap items-center gap-3">
      <h1 class="mr-auto">Cost and the year</h1>
      <AppButton to="/stores">To the stores</AppButton>
    </div>
    <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    <YearPicture v-if="year.length" :year="year">
      <div class="flex items-baseline justify-between">
        <dt>Goods in store</dt>
        <dd class="text-[19px] font-bold">
          {{ moneyText(stores.worth.value, settings.currency) }}
        </dd>
      </div>
    </YearPicture>
    <div class="grid items-start gap-4 md:grid-cols-2">
      <section class="sheet grid gap-3 px-4 py-3" aria-labelledby="reckoned">
        <h2 id="reckoned" class="text-[14px] font-bold text-ink">What a bar is reckoned with</h2>
        <div class="grid grid-cols-2 gap-3">
          <FieldRow says="An hour of work">
            <MoneyField
              label="An hour of work"
              :model-value="costing.hourly"
              @update:model-value="(hourly) => save({ hourly: hourly ?? 0 })"
            />
          </FieldRow>
          <FieldRow says="Hours a batch takes">
            <NumberField
              label="Hours a batch takes; empty goes by the bench’s clock"
              unit="h"
              :min="0"
              :model-value="costing.hours"
              @update:model-value="(hours) => save({ hours })"
            />
          </FieldRow>
          <FieldRow says="Rent, power and the rest">
            <MoneyField
              label="Rent, power and the rest"
              :model-value="costing.overhead.cost"
              @update:model-value="
                (cost) => save({ overhead: { ...costing.overhead, cost: cost ?? 0 } })
              "
            />
          </FieldRow>
          <FieldRow says="for each">
            <select
              class="field"
              :value="costing.overhead.per"
              @change="
                save({
                  overhead: {
                    ...costing.overhead,
                    per: ($event.target as HTMLSelectElement).value as 'batch' | 'bar',
                  },
                })
              "
            >
              <option value="batch">batch</option>
              <option value="bar">bar</option>
            </select>
          </FieldRow>
          <FieldRow says="Money on the rack costs a year">
            <NumberField
              kind="percent"
              label="Money on the rack costs a year"
              :min="0"
              :max="1"
              :model-value="costing.tiedUp"
              @update:model-value="(value) => save({ tiedUp: value ?? 0 })"
            />
          </FieldRow>
          <FieldRow says="You keep, of what reaches you">
            <NumberField
              kind="percent"
              label="You keep, of what reaches you"
              :min="0"
              :max="0.95"
              :model-value="costing.keep"
              @update:model-value="(value) => value !== null && save({ keep: value })"
            />
          </FieldRow>
        </div>
        <p class="text-ink-2">
          Empty hours go by the bench’s clock, or by the plan where no run was kept. What you keep
          is a share of what reaches you, never a mark-up on the cost: 60 % kept means that a bar
          may cost 40 % of it.
        </p>
        <h3 class="font-semibold">Wraps and the like</h3>
        <ul class="grid gap-2">
          <li v-for="(use, nth) in costing.uses" :key="use.thing" class="flex items-center gap-2">
            <span class="flex-1">{{ goodsNames[use.thing].name }}</span>
            <NumberField
              :label="`${goodsNames[use.thing].name}, how many`"
              class="w-20"
              :min="0"
              :model-value="use.count"
              @update:model-value="
                (count) =>
                  save({
                    uses: costing.uses.map((one, at) =>
                      at === nth ? { ...one, count: count ?? 0 } : one,
                    ),
                  })
              "
            />
            <span>a {{ use.per }}</span>
            <button
              type="button"
              class="p-1"
              :aria-label="`Leave out ${goodsNames[use.thing].name}`"
              @click="save({ uses: costing.uses.filter((_, at) => at !== nth) })"
            >
              ×
            </button>
          </li>
        </ul>
        <div class="flex flex-wrap gap-2">
          <AppButton
            v-for="id in free"
            :key="id"
            class="!px-2 !py-1"
            @click="
              save({
                uses: [
                  ...costing.uses,
                  { thing: id, count: 1, per: id === 'goods-liner' ? 'batch' : 'bar' },
                ],
              })
            "
            >+ {{ goodsNames[id].name }}</AppButton
          >
        </div>
      </section>
      <section class="sheet grid gap-3 px-4 py-3" aria-labelledby="outlets">
        <h2 id="outlets" class="text-[14px] font-bold text-ink">Where bars are sold</h2>
        <ul class="grid gap-2">
          <li
            v-for="(one, nth) in costing.outlets"
            :key="one.name"
            class="flex flex-wrap items-center gap-2 border-b border-line pb-2"
          >
            <b class="flex-1">{{ one.name }}</b>
            <MoneyField
              :label="`${one.name}, price of a bar`"
              class="w-28"
              :model-value="one.price"
              @update:model-value="
                (price) =>
                  save({
                    outlets: costing.outlets.map((own, at) =>
                      at === nth ? { ...own, price } : own,
                    ),
                  })
              "
            />
            <span class="text-[13px] text-ink-2 max-sm:order-last max-sm:w-full">{{
              say.list(
                [
                  one.fee ? `fee ${say.percent(one.fee, 1)}` : '',
                  one.discount ? `given away ${say.percent(one.discount, 1)}` : '',
                  one.wholesale ? `shop ${say.percent(one.wholesale, 1)}` : '',
                  one.tax ? `tax ${say.percent(one.tax, 1)}` : '',
                ].filter(Boolean),
              )
            }}</span>
            <button
              type="button"
              class="p-1"
              :aria-label="`Leave out ${one.name}`"
              @click="save({ outlets: costing.outlets.filter((_, at) => at !== nth) })"
            >
              ×
            </button>
          </li>
        </ul>
        <form class="flex gap-2" @submit.prevent="addOutlet">
          <input
            v-model="outletName"
            class="field flex-1"
            maxlength="60"
            placeholder="Another place"
            aria-label="Name of another place"
          />
          <AppButton @click="addOutlet">Add it</AppButton>
        </form>
        <p class="text-ink-2">
          Fees, discounts, what a shop keeps and tax are set with a batch’s price, where both ways
          of it can be seen.
        </p>
      </section>
    </div>
  </div>
</template>
