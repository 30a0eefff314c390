<script setup lang="ts">
import { paceOfPerson } from '#core/day/pace'
import { closing } from '#core/day/problem'
import type { MakingDayHere } from '~/composables/useMakingDay'

/** A day that is over: what it said, what came, and what is learned of everybody's minutes. */
const { here } = defineProps<{ here: MakingDayHere }>()
const { day, say, timeAt, batches } = here
const said = computed(() => new Map(day.value!.said.map((one) => [one.task, one])))
const pours = computed(() =>
  (day.value!.plan?.placed ?? []).flatMap((one) => {
    const before = said.value.get(one.task)
    if (!one.task.startsWith('batter:') || !before) return []
    const number = Number(one.task.split(':')[1])
    const batch = [...batches.value.values()].find((other) => other.number === number)
    return [
      {
        task: one.task,
        name: batch ? `${batch.number} ${batch.name}` : String(number),
        said: before.at,
        came: one.at,
        by: Math.round(one.at - before.at),
      },
    ]
  }),
)
const home = computed(() => ({
  said: Math.max(0, ...day.value!.said.map(({ to }) => to)) + closing,
  came: day.value!.endedAt
    ? Math.round((Date.parse(day.value!.endedAt) - here.beginsAt.value) / 60_000)
    : 0,
}))
const all = computed(() => [...here.came.value, ...day.value!.came])
const workNames: Record<string, string> = {
  lye: 'lye',
  'late-lye': 'what goes into cooled lye',
  weigh: 'weighing fats',
  ready: 'moulds and cups',
  'fats-on': 'fats on the plate',
  batter: 'batter to mould',
  rinse: 'rinsing',
}
const paces = computed(() =>
  day.value!.people.flatMap(({ name }) =>
    Object.entries(paceOfPerson(all.value, name))
      .filter(([, factor]) => Math.abs(factor - 1) >= 0.05)
      .map(([work, factor]) => ({ name, work, factor })),
  ),
)
const byWords = (by: number) =>
  by === 0 ? 'as said' : `${minutesText(Math.abs(by))} ${by > 0 ? 'later' : 'earlier'}`
</script>

<template>
  <section class="sheet px-5 py-4" aria-labelledby="came">
    <h2 id="came">What the day said, and what came</h2>
    <div class="mt-2 grid gap-6 md:grid-cols-2">
      <table class="figure w-full text-[14px]">
        <thead>
          <tr class="border-b border-ink text-left">
            <th scope="col" class="py-1">Pour</th>
            <th scope="col" class="py-1 text-right">said</th>
            <th scope="col" class="py-1 text-right">came</th>
            <th scope="col" class="py-1 text-right" />
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in pours" :key="one.task" class="border-b border-line-2">
            <th scope="row" class="py-1 text-left font-semibold">{{ one.name }}</th>
            <td class="py-1 text-right">{{ timeAt(one.said) }}</td>
            <td class="py-1 text-right">{{ timeAt(one.came) }}</td>
            <td class="py-1 text-right text-ink-2">{{ byWords(one.by) }}</td>
          </tr>
          <tr>
            <th scope="row" class="py-1 text-left">Home</th>
            <td class="py-1 text-right">{{ timeAt(home.said) }}</td>
            <td class="py-1 text-right">{{ timeAt(home.came) }}</td>
            <td class="py-1 text-right text-ink-2">{{ byWords(home.came - home.said) }}</td>
          </tr>
        </tbody>
      </table>
      <div>
        <h3 class="font-bold">Own minutes from now on</h3>
        <ul v-if="paces.length" class="figure mt-1 text-[14px]">
          <li v-for="one in paces" :key="`${one.name} ${one.work}`">
            {{ one.name }}, {{ workNames[one.work] }}: <b>{{ say.percent(one.factor, 0) }}</b> of
            the usual
          </li>
        </ul>
        <p v-else class="mt-1 text-ink-2">
          From three pieces of a kind on, everybody’s own minutes take the place of the usual ones.
        </p>
        <p
          v-for="one in day!.moved"
          :key="`${one.at} ${one.says}`"
          class="figure mt-1 text-sm text-ink-2"
        >
          {{ timeAt(one.at) }}: {{ one.says }}
        </p>
      </div>
    </div>
  </section>
</template>
