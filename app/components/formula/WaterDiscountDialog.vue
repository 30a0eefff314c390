<script setup lang="ts">
import { discountOf, fullWaters, ratioAtDiscount, waterAtDiscount } from '#core/water/discount'

/** Translates a "water discount", which says nothing without the full water it is a discount from. */
const { result, change, document } = useFormulaEditor()
const { say } = storeToRefs(useWorkshop())
const open = defineModel<boolean>({ required: true })

const lye = computed(() => result.value.lye.pureNaoh + result.value.lye.pureKoh)
const computable = computed(() => lye.value > 0 && result.value.water.ratio > 0)
const chosen = ref<(typeof fullWaters)[number]['id']>('oils-38')
const full = computed(() => fullWaters.find(({ id }) => id === chosen.value)!)
const discount = ref<number | null>(0.1)
const ratio = computed(() =>
  computable.value && discount.value !== null
    ? ratioAtDiscount(full.value, discount.value, lye.value, result.value.oils)
    : null,
)
function done() {
  if (ratio.value === null || discount.value === null) return
  const water = waterAtDiscount(full.value, discount.value, lye.value, result.value.oils)
  change({ ...document.value, water })
  open.value = false
}
const against = computed(() =>
  fullWaters.map((water) => ({
    ...water,
    is: discountOf(water, result.value.water.ratio, lye.value, result.value.oils),
  })),
)
</script>

<template>
  <AppDialog v-model="open" title="Water discount">
    <form class="grid gap-4 px-5 py-4" @submit.prevent="done">
      <p>
        “Ten per cent discount” is ten per cent less than some full water, and makers mean different
        ones. Say which, and it becomes water to lye.
      </p>
      <p v-if="!computable" class="font-semibold text-warn">
        The formula needs fats and water first.
      </p>
      <template v-else>
        <div class="flex flex-wrap gap-4">
          <LabelledNumber v-model="discount" says="Discount" kind="percent" :min="0" :max="0.8" />
          <FieldRow says="from" class="flex-1">
            <select v-model="chosen" class="field py-[5px] font-normal">
              <option v-for="water in fullWaters" :key="water.id" :value="water.id">
                {{ water.says }}
              </option>
            </select>
          </FieldRow>
        </div>
        <p v-if="ratio !== null" class="figure text-[18px] font-semibold">
          = {{ say.ratio(ratio) }} water to lye, {{ say.percent(1 / (1 + ratio)) }} lye strength
        </p>
        <div>
          <p class="mb-1 font-semibold">This formula, at {{ say.ratio(result.water.ratio) }}, is</p>
          <ul class="figure text-ink-2">
            <li v-for="water in against" :key="water.id" class="flex justify-between gap-4">
              <span>from {{ water.says }}</span>
              <b class="font-semibold text-ink"
                >{{ say.percent(Math.abs(water.is)) }} {{ water.is >= 0 ? 'less' : 'more' }}</b
              >
            </li>
          </ul>
        </div>
      </template>
      <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
    </form>
    <template #actions>
      <AppButton @click="open = false">Cancel</AppButton>
      <AppButton kind="main" :disabled="ratio === null" @click="done">Set the water</AppButton>
    </template>
  </AppDialog>
</template>
