<script setup lang="ts">
import type { StoredLot } from '#contracts/store'
import { thingIn } from '#core/stores/things'
import { useDebounceFn } from '@vueuse/core'

/** Lots of which nothing is left: they stay, so that they can be traced. */
useHead({ title: 'Used up · Mantle' })
const materials = useMaterials()
const { today } = storeToRefs(useWorkshop())
const { amount } = useStores()
const list = shallowRef<StoredLot[]>([])
const find = ref('')
const more = ref(false)
const problem = ref('')
async function load(before = '9999') {
  try {
    const next = await api.get<StoredLot[]>(
      `/api/lots/empty?find=${encodeURIComponent(find.value)}&before=${before}`,
    )
    list.value = before === '9999' ? next : [...list.value, ...next]
    more.value = next.length === 50
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
onMounted(() => void load())
watch(
  find,
  useDebounceFn(() => void load(), 250),
)
</script>

<template>
  <div class="mx-auto max-w-[860px] px-4 py-3 sm:px-6">
    <div class="mb-3 flex flex-wrap items-center gap-3">
      <h1 class="mr-auto">Used up</h1>
      <input
        v-model="find"
        type="search"
        class="field !w-48"
        placeholder="Code or material"
        aria-label="Find a lot that is used up"
      />
      <AppButton to="/stores">To the stores</AppButton>
    </div>
    <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    <ul v-if="list.length" class="sheet divide-y divide-line">
      <li v-for="lot in list" :key="lot.id">
        <NuxtLink
          :to="`/stores/lots/${lot.id}/trace`"
          class="flex min-h-11 items-center gap-4 px-4 hover:bg-band"
        >
          <i
            class="size-3 shrink-0"
            :style="{ background: thingIn(materials.library, lot.document.thing).colour }"
          />
          <b class="min-w-0 flex-1 truncate"
            >{{ thingIn(materials.library, lot.document.thing).name }} {{ lot.document.code }}</b
          >
          <span class="figure text-ink-2">{{
            amount(lot.document.thing, lot.document.amount)
          }}</span>
          <span class="w-40 text-right whitespace-nowrap text-ink-2"
            >came {{ dayText(lot.document.cameOn, { today }) }}</span
          >
        </NuxtLink>
      </li>
    </ul>
    <p v-else class="py-8 text-center text-ink-2">None of them.</p>
    <AppButton v-if="more" class="mt-3" @click="load(list.at(-1)!.document.cameOn)">More</AppButton>
  </div>
</template>
