<script setup lang="ts">
import type { MakingDay } from '#contracts/day'

/** Making days: those that come or run, and the way to a new one. */
const days = useDays()
const router = useRouter()
const toasts = useToasts()
const { today, say } = storeToRefs(useWorkshop())
onMounted(() => void days.load())
const open = computed(() =>
  days.list
    .filter(({ document }) => !document.endedAt)
    .sort((a, b) => a.document.day.localeCompare(b.document.day)),
)
const over = computed(() =>
  days.list
    .filter(({ document }) => document.endedAt)
    .sort((a, b) => b.document.day.localeCompare(a.document.day)),
)
const busy = ref(false)
/** As the last day was: the same people and things, nothing on it. */
async function begin() {
  if (busy.value) return
  busy.value = true
  const [last] = [...days.list].sort((a, b) => b.document.day.localeCompare(a.document.day))
  const id = newId()
  const fresh: Partial<MakingDay> = last
    ? {
        begins: last.document.begins,
        earliest: last.document.earliest,
        people: last.document.people,
        things: last.document.things,
      }
    : { people: [{ name: 'Me', until: null }] }
  try {
    await days.save(id, 0, { day: today.value, batches: [], ...fresh } as unknown as MakingDay)
    await router.push(`/bench/day/${id}`)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section class="sheet px-5 py-4" aria-labelledby="days-ahead">
    <h2 id="days-ahead" class="mb-1">A making day</h2>
    <p class="mb-3 text-ink-2">
      Several batches in one day: who does what when, so that lye cools while fats are weighed and
      nobody leaves a batter.
    </p>
    <ul v-if="open.length" class="mb-3 grid gap-1.5">
      <li v-for="one in open" :key="one.id">
        <NuxtLink
          :to="`/bench/day/${one.id}`"
          class="flex min-h-11 items-center justify-between gap-3 rounded-md border border-line px-3 hover:border-act"
        >
          <b>{{ dayText(one.document.day, { weekday: true, today }) }}</b>
          <span class="figure text-sm text-ink-2"
            >{{ say.count(one.document.batches.length, 'batch', 'batches')
            }}{{ one.document.startedAt ? ', running' : '' }}</span
          >
        </NuxtLink>
      </li>
    </ul>
    <AppButton :disabled="busy" @click="begin">Plan a day</AppButton>
    <details v-if="over.length" class="mt-3">
      <summary class="cursor-pointer text-ink-2">
        {{ say.count(over.length, 'day', 'days') }} that were
      </summary>
      <ul class="mt-1 grid gap-1">
        <li v-for="one in over" :key="one.id">
          <NuxtLink :to="`/bench/day/${one.id}`" class="link"
            >{{ dayText(one.document.day, { weekday: true, today }) }},
            {{ say.count(one.document.batches.length, 'batch', 'batches') }}</NuxtLink
          >
        </li>
      </ul>
    </details>
  </section>
</template>
