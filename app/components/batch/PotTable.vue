<script setup lang="ts">
import type { FormulaResult, PartResult } from '#contracts/result'
import { sumOf } from '#core/statistics/sum'
import { lyeJugGrams } from '#core/bench/plan/batterSteps'

/** What goes into each pot of a divided batter, and that the pots make up the batch. */
const { parts, whole, ownJugs } = defineProps<{
  parts: PartResult[]
  whole: FormulaResult
  /** Pots with lye of their own; else one jug serves all and is divided by weight. */
  ownJugs: boolean
}>()
const { say } = storeToRefs(useWorkshop())

interface Row {
  name: string
  lye?: boolean
  of: (pot: FormulaResult) => number
}
const rows = computed((): Row[] => {
  const named = (list: 'liquids' | 'additives' | 'scents') =>
    [...new Map(whole[list].map((item) => [item.id, item.name]))].map(([id, name]) => ({
      name,
      of: (pot: FormulaResult) =>
        sumOf<{ id: string; grams: number }>(pot[list], (item) =>
          item.id === id ? item.grams : 0,
        ),
    }))
  const jugs: Row[] = ownJugs
    ? [
        {
          name: whole.water.ice > 0 ? 'Water, without the ice' : 'Water',
          of: (pot) => pot.water.weighed - pot.water.ice,
        },
        ...(whole.water.ice > 0
          ? [{ name: 'Ice', of: (pot: FormulaResult) => pot.water.ice }]
          : []),
        {
          name: whole.lye.solution === null ? 'Sodium hydroxide' : 'Lye solution',
          lye: true,
          of: (pot) => pot.lye.solution ?? pot.lye.naoh,
        },
        ...(whole.lye.koh > 0
          ? [{ name: 'Potassium hydroxide', lye: true, of: (pot: FormulaResult) => pot.lye.koh }]
          : []),
      ]
    : [{ name: 'Of the cooled lye, from the one jug', lye: true, of: lyeJugGrams }]
  return [
    ...jugs,
    { name: 'Oils, all together', of: (pot: FormulaResult) => pot.oils },
    ...named('liquids'),
    ...named('additives'),
    ...named('scents'),
    { name: 'In the pot', of: (pot: FormulaResult) => pot.batter },
  ]
})
const shown = (grams: number) => (grams > 0 ? say.value.mass(grams) : '–')
</script>

<template>
  <section class="mt-3 break-inside-avoid overflow-x-auto" aria-label="Pots">
    <h3 class="text-[15px] font-bold">Pots</h3>
    <table class="figure w-full">
      <thead>
        <tr class="border-b border-line">
          <th scope="col" class="py-1 text-left font-normal text-ink-2">Weigh into</th>
          <th v-for="part in parts" :key="part.name" scope="col" class="py-1 pl-3 text-right">
            {{ part.name }} {{ say.percent(part.share) }}
          </th>
          <th scope="col" class="py-1 pl-3 text-right font-normal text-ink-2">all</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="row in rows"
          :key="row.name"
          class="border-b border-line-2"
          :class="row.lye ? 'text-stop' : ''"
        >
          <th scope="row" class="py-1 text-left font-medium">{{ row.name }}</th>
          <td v-for="part in parts" :key="part.name" class="py-1 pl-3 text-right font-[650]">
            {{ shown(row.of(part.result)) }}
          </td>
          <td class="py-1 pl-3 text-right">{{ shown(row.of(whole)) }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>
