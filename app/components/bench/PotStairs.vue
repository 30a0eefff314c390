<script setup lang="ts">
import type { Plan } from '#core/bench/plan/plan'

/**
 * Pots that are made one after another, as stairs on the plan's clock: each from its lye to its pour, and as far as its batter stays
 * workable. A table stands behind it.
 */
const { plan } = defineProps<{ plan: Plan }>()
const stairs = computed(() => {
  const timeOf = new Map(plan.times.map((time) => [time.id, time]))
  const rows = plan.pots.flatMap((pot, index) => {
    const own = plan.steps.filter((step) => step.pot === index && step.kind !== 'weigh')
    const poured = timeOf.get(`pour@${index}`)
    const begun = timeOf.get(own[0]?.id ?? '')
    const emulsion = timeOf.get(`batter:emulsion@${index}`) ?? timeOf.get('batter:emulsion')
    if (!poured || !begun || !emulsion) return []
    return [
      {
        ...pot,
        index,
        from: begun.from,
        poured: poured.to,
        until: emulsion.to + pot.working,
        spare: emulsion.to + pot.working - poured.to,
      },
    ]
  })
  const from = Math.min(...rows.map((row) => row.from))
  const to = Math.max(...rows.map((row) => Math.max(row.poured, row.until)))
  return { rows, from, to }
})
const x = (minutes: number) =>
  ((minutes - stairs.value.from) / Math.max(1, stairs.value.to - stairs.value.from)) * 100
const racers = computed(() => stairs.value.rows.filter(({ races }) => races))
const whole = computed(() => stairs.value.rows.at(-1)!.poured - stairs.value.from)
</script>

<template>
  <section v-if="stairs.rows.length" class="sheet px-5 py-4" aria-label="Pot by pot">
    <div class="flex flex-wrap items-baseline justify-between gap-x-4">
      <h2>Then pot by pot</h2>
      <p class="figure text-sm text-ink-2">
        {{ minutesText(whole) }}; each pot runs for its own minutes only
      </p>
    </div>
    <table class="figure mt-2 w-full">
      <caption class="sr-only">
        Each pot from its lye to its pour, and how long its batter stays workable
      </caption>
      <tbody>
        <tr v-for="row in stairs.rows" :key="row.index">
          <th scope="row" class="w-32 py-1 pr-2 text-left font-medium whitespace-nowrap">
            <span class="mr-1.5 inline-block w-4 text-right text-ink-3">{{ row.index + 1 }}</span>
            <i
              class="mr-1.5 inline-block size-3.5 border border-line-3 align-[-2px]"
              :style="{ background: row.colour }"
            />{{ row.name }}
          </th>
          <td class="py-1">
            <div class="relative h-6" aria-hidden="true">
              <i
                class="absolute inset-y-0 border border-line-3"
                :class="row.spare < 0 ? 'border-warn border-2' : ''"
                :style="{ left: `${x(row.from)}%`, width: `${x(row.until) - x(row.from)}%` }"
              />
              <i
                class="absolute inset-y-0 border-l-4 border-l-lye"
                :style="{
                  left: `${x(row.from)}%`,
                  width: `${x(row.poured) - x(row.from)}%`,
                  background: row.colour,
                }"
              />
            </div>
          </td>
          <td
            class="w-36 py-1 pl-2 text-right text-sm whitespace-nowrap"
            :class="row.races ? 'font-semibold text-warn' : 'text-ink-2'"
          >
            {{
              row.spare < 0
                ? `${minutesText(-row.spare)} too long`
                : `${minutesText(row.spare)} to spare`
            }}
          </td>
        </tr>
      </tbody>
    </table>
    <p v-for="row in racers" :key="row.index" class="mt-2 border-t border-line-2 pt-2">
      <b class="text-warn">Think. {{ row.name }} races.</b> Its batter stays workable for about
      {{ minutesText(row.working)
      }}<template v-if="row.takes !== null"
        >; from its emulsion to its pour it takes {{ minutesText(row.takes) }}</template
      >. Stir it by hand, scent last, or make it the last one.
    </p>
    <p class="mt-2 text-sm text-ink-3">
      Filled: from the lye to the pour. Outlined: as long as it can be worked, by the model.
    </p>
  </section>
</template>
