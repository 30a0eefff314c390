<script setup lang="ts">
import type { MarketDay } from '#contracts/market'

/** Days on which bars are sold away from home. */
useHead({ title: 'Market days · Mantle' })
const { today, settings, say } = storeToRefs(useWorkshop())
const router = useRouter()
const list = shallowRef<MarketDay[]>([])
const problem = ref('')
const loaded = ref(false)
onMounted(async () => {
  try {
    list.value = await api.get<MarketDay[]>('/api/markets')
    loaded.value = true
  } catch (error) {
    problem.value = sentenceOf(error)
  }
})
const sorted = computed(() =>
  [...list.value].sort((a, b) => b.document.day.localeCompare(a.document.day)),
)
const name = ref('')
const day = ref('')
watch(today, (now) => (day.value ||= now), { immediate: true })
const outlets = computed(() => settings.value.costing.outlets.map((one) => one.name))
watch(outlets, (now) => (name.value ||= now[0] ?? ''), { immediate: true })
const id = newId()
async function add() {
  try {
    const document = { name: name.value, day: day.value, tin: 0 }
    await api.put(`/api/markets/${id}`, { revision: 0, document })
    await router.push(`/stores/markets/${id}`)
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
</script>

<template>
  <div class="mx-auto max-w-[760px] px-4 py-3 sm:px-6">
    <div class="mb-3 flex items-center gap-3">
      <h1 class="mr-auto">Market days</h1>
      <AppButton to="/stores">To the stores</AppButton>
    </div>
    <p v-if="problem" role="alert" class="mb-3 font-semibold text-stop">{{ problem }}</p>
    <form class="sheet mb-4 flex flex-wrap items-end gap-3 px-4 py-3" @submit.prevent="add">
      <FieldRow says="Where"
        ><input v-model="name" class="field !w-56" list="outlets" maxlength="80"
      /></FieldRow>
      <datalist id="outlets"><option v-for="one in outlets" :key="one" :value="one" /></datalist>
      <FieldRow says="When"><input v-model="day" type="date" class="field !w-40" /></FieldRow>
      <AppButton kind="main" :disabled="!name.trim() || !day" @click="add">Pack for it</AppButton>
    </form>
    <ul v-if="sorted.length" class="sheet divide-y divide-line">
      <li v-for="one in sorted" :key="one.id">
        <NuxtLink
          :to="`/stores/markets/${one.id}`"
          class="flex min-h-14 items-center gap-4 px-4 hover:bg-band"
        >
          <span class="min-w-0 flex-1"
            ><b class="block text-[16px]">{{ one.document.name }}</b
            ><span v-if="one.sold" class="figure text-[13px] text-ink-2"
              >{{ say.count(one.sold, 'bar', 'bars') }} sold,
              {{ moneyText(one.taken, settings.currency) }}</span
            ></span
          >
          <span>{{ dayText(one.document.day, { weekday: true, today }) }}</span>
          <span
            v-if="!one.closed && one.document.day >= today"
            class="bg-warn px-1.5 text-[12px] font-bold text-white"
            >to come</span
          >
          <span v-else-if="!one.closed" class="bg-warn px-1.5 text-[12px] font-bold text-white"
            >not counted home</span
          >
        </NuxtLink>
      </li>
    </ul>
    <p v-else-if="loaded" class="py-8 text-center text-ink-2">
      No market day yet. Pack for one: what is promised stays, what is not tested cannot leave.
    </p>
  </div>
</template>
