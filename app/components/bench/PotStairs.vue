<script setup lang="ts">
import type { RunSetup } from '#contracts/run'
import type { PlanContext } from '#core/bench/plan/context'
import type { Plan } from '#core/bench/plan/plan'
import { byBlender, patternsOf } from '#core/formula/method'

/**
 * Pots that are made one after another: what each takes, and as stairs on the plan's clock each from its lye to its pour and as far
 * as its batter stays workable, with the mould they fill. A table stands behind it.
 */
const { plan, ctx, now, planWith } = defineProps<{
  plan: Plan
  /** When the plan would begin, ms. */
  now: number
  ctx: PlanContext
  fixed: boolean
  /** The plan as it would be with another setup. */
  planWith: (setup: RunSetup) => Plan
}>()
const setup = defineModel<RunSetup>({ required: true })
const toasts = useToasts()
const workshop = useWorkshop()
const { say } = storeToRefs(workshop)
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
        own,
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
const spareText = (spare: number) =>
  spare < 0 ? `${minutesText(-spare)} too long` : `${Math.round(spare)} to spare`
const whole = computed(() => stairs.value.rows.at(-1)!.poured - stairs.value.from)
/** What is done with a pot, as with the first of them, and what is left until the next. */
const everyPot = computed(() => {
  const [first, second] = stairs.value.rows
  if (!first) return []
  let at = 0
  const acts = first.own.map((step) => {
    at += step.minutes
    return {
      id: step.id,
      says:
        step.kind === 'stir-in'
          ? 'Stir in its own'
          : step.kind === 'pour'
            ? 'Pour'
            : step.short.replace(`, ${first.name}`, ''),
      minutes: step.minutes,
      at,
      pours: step.kind === 'pour',
    }
  })
  return second && second.from > first.poured
    ? [
        ...acts,
        {
          id: 'next',
          says: 'Set up the next',
          minutes: second.from - first.poured,
          at,
          pours: false,
        },
      ]
    : acts
})
/** Times of day at the stairs: every second or third pot, so that they do not run into each other. */
const hours = computed(() => {
  const { rows } = stairs.value
  const every = Math.ceil(rows.length / 4)
  return rows
    .filter((_, place) => place % every === 0)
    .map(({ from }) => ({
      from,
      says: workshop.timeOf(new Date(now + from * 60_000).toISOString()),
    }))
})
const slanted = computed(() => patternsOf(ctx.document).includes('slanted-layers'))
const layers = computed(() =>
  stairs.value.rows.map(({ colour, batter }) => ({ colour, batter, stands: 'in' as const })),
)

const racers = computed(() => stairs.value.rows.filter(({ races }) => races))
/** By hand instead of with the blender, where that is what the racing pots need. */
const byHand = computed(() => {
  if (!racers.value.length || !byBlender(ctx.document)) return null
  const slower = planWith({ ...setup.value, tool: 'whisk' })
  return slower.pots.some(({ races }) => races) ? null : slower
})
function whisk() {
  const before = setup.value
  setup.value = { ...before, tool: 'whisk' }
  toasts.show('Blended with the whisk now.', { undo: () => void (setup.value = before) })
}
</script>

<template>
  <section v-if="stairs.rows.length" class="sheet px-5 py-4" aria-label="Pot by pot">
    <div class="flex flex-wrap items-baseline justify-between gap-x-4">
      <h2>Then pot by pot</h2>
      <p class="figure text-sm text-ink-2">
        {{ minutesText(whole) }}; each pot runs for its own minutes only
      </p>
    </div>
    <ol
      v-if="everyPot.length > 1"
      class="figure mt-2 flex gap-px max-sm:hidden"
      aria-label="Every pot, by its own clock"
    >
      <li
        v-for="act in everyPot"
        :key="act.id"
        class="min-w-[72px] px-2 py-1.5 text-sm leading-tight"
        :class="
          act.pours
            ? 'bg-slate text-white'
            : act.id === 'next'
              ? 'border border-dashed border-line-3 text-ink-2'
              : 'bg-[#e0e6e2]'
        "
        :style="{ flexGrow: act.minutes, flexBasis: 0 }"
      >
        <b class="block font-[620]">{{ act.says }}</b>
        {{ act.id === 'next' ? minutesText(act.minutes) : `until ${clockText(act.at)}` }}
      </li>
    </ol>
    <div class="mt-3 grid gap-x-4 xl:grid-cols-[1fr_190px]">
      <table class="figure w-full">
        <caption class="sr-only">
          Each pot from its lye to its pour, and how long its batter stays workable
        </caption>
        <thead aria-hidden="true">
          <tr>
            <td />
            <td class="relative h-5 text-sm text-ink-3">
              <span
                v-for="hour in hours"
                :key="hour.from"
                class="absolute"
                :style="{ left: `${x(hour.from)}%` }"
                >{{ hour.says }}</span
              >
            </td>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in stairs.rows" :key="row.index">
            <th scope="row" class="w-28 py-1 pr-2 text-left font-medium whitespace-nowrap">
              <span class="mr-1.5 inline-block w-4 text-right text-ink-3">{{ row.index + 1 }}</span>
              <i
                class="mr-1.5 inline-block size-3.5 border border-line-3 align-[-2px]"
                :style="{ background: row.colour }"
              />{{ row.name }}
            </th>
            <td class="py-1">
              <span class="sr-only">{{ spareText(row.spare) }}</span>
              <div class="relative h-6" aria-hidden="true">
                <i
                  class="absolute inset-x-0 top-1/2 border-t border-dotted border-line-3"
                  :style="{ width: `${x(row.from)}%` }"
                />
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
                <span
                  class="absolute top-0.5 pl-1.5 text-sm whitespace-nowrap"
                  :class="row.races ? 'font-semibold text-warn' : 'text-ink-2'"
                  :style="{ left: `${x(Math.max(row.poured, row.spare < 0 ? row.until : 0))}%` }"
                  >{{ row.races ? spareText(row.spare) : Math.round(row.spare) }}</span
                >
              </div>
            </td>
          </tr>
        </tbody>
      </table>
      <figure class="self-end max-xl:hidden">
        <MouldDrawing
          paper
          :layers="layers"
          :propped="slanted"
          :says="`The mould: ${say.list(stairs.rows.map(({ name }) => name))}, from below`"
        />
        <figcaption v-if="slanted" class="text-center text-sm text-ink-2">
          levelled again for the last
        </figcaption>
      </figure>
    </div>
    <div
      v-for="row in racers"
      :key="row.index"
      class="figure mt-2 flex items-center justify-between gap-4 border-t border-line-2 pt-2"
    >
      <p>
        <b class="text-warn">Think. {{ row.name }} races.</b> Its batter stays workable for about
        {{ minutesText(row.working)
        }}<template v-if="row.takes !== null"
          >; from its emulsion to its pour it takes {{ minutesText(row.takes) }}</template
        >.
        {{
          byHand
            ? `Stirred by hand it has about ${minutesText(byHand.pots[row.index]!.working)}.`
            : 'Stir it by hand, scent last, or make it the last one.'
        }}
      </p>
      <AppButton v-if="byHand && !fixed && row === racers[0]" class="shrink-0" @click="whisk"
        >Whisk, no blender</AppButton
      >
    </div>
    <p class="mt-2 text-sm text-ink-3">
      Filled: from the lye to the pour. Outlined: minutes to spare until it is too thick, by the
      model.
    </p>
  </section>
</template>
