<script setup lang="ts">
import { inSentence } from '#core/units/language'
import type { Batch } from '#contracts/batch'
import type { Run } from '#contracts/run'
import { celsiusAtCombine, stageText } from '#core/bench/run/batter'
import { safetyCheckOf } from '#core/bench/run/safetyCheck'
import { potsAsWeighed } from '#core/bench/run/asWeighed'
import { planAsMade } from '#core/bench/run/lots'
import { runOf, weightsOf } from '#core/bench/run/run'

/** What was made at the bench: the figures by the weights, each weighing, temperatures, the batter, notes. */
const { batch, run } = defineProps<{ batch: Batch; run: Run }>()
const workshop = useWorkshop()
const { say } = storeToRefs(workshop)
const asMade = computed(() => planAsMade(batch.frozen, run, run.events, say.value))
const ctx = computed(() => asMade.value.ctx)
const plan = computed(() => asMade.value.plan)
const state = computed(() => runOf(plan.value, run.startedAt, run.events))
const poured = computed(() => batch.events.findLast((event) => event.kind === 'poured'))
const made = computed(() => (poured.value?.kind === 'poured' ? poured.value.made : undefined))
const checks = computed(() => (poured.value?.kind === 'poured' ? (poured.value.checks ?? []) : []))
const pots = computed(() =>
  plan.value.pots.length > 1
    ? potsAsWeighed(ctx.value, plan.value, weightsOf(plan.value, state.value), state.value.watered)
    : [],
)
/** °C of each vessel when the lye went in: of its pot, where every pot has a lye of its own. */
const met = computed(() =>
  plan.value.jugs.length > 1
    ? plan.value.pots.map(({ name }, pot) => ({
        name,
        lye: celsiusAtCombine(state.value, 'lye', pot),
        oils: celsiusAtCombine(state.value, 'oils', pot),
      }))
    : [
        {
          name: '',
          lye: celsiusAtCombine(state.value, 'lye'),
          oils: celsiusAtCombine(state.value, 'oils'),
        },
      ],
)
const degrees = (value: number | null) =>
  value === null ? 'not known' : say.value.temperature(value)
/** Minutes after the lye went into a pot. */
function afterLye(pot: number, minutes: number): string {
  const { combined } = state.value
  const from = combined.find((one) => one.pot === pot) ?? combined.find((one) => one.pot === null)
  return from ? `${say.value.number(minutes - from.minutes, 0, 1)} min after the lye` : ''
}
const pouredAt = computed(() =>
  poured.value?.kind === 'poured' ? (poured.value.pouredAt ?? null) : null,
)
const zone = computed(() => workshop.settings.timeZone)
const timeOf = (minutes: number) =>
  momentText(new Date(Date.parse(run.startedAt) + minutes * 60_000).toISOString(), zone.value)
const weighed = computed(() =>
  plan.value.steps.flatMap((step) => {
    const told = state.value.steps.get(step.id)
    return step.weigh && told?.doneAt != null
      ? [
          {
            step,
            grams: told.grams,
            off: told.grams - step.weigh.grams,
            typed: told.scoops.some(({ typed }) => typed),
            assumed: told.scoops.some(({ assumed }) => assumed),
            scoops: told.scoops.length,
          },
        ]
      : []
  }),
)
const choices = {
  accept: 'gone on as it was',
  scale: 'the whole batch made larger',
  match: 'the lye let follow',
} as const
const peak = computed(() =>
  Math.max(-Infinity, ...state.value.readings.lye.map(({ celsius }) => celsius)),
)
</script>

<template>
  <div class="mx-auto grid max-w-[1280px] gap-4 px-3 py-4 sm:px-6 lg:grid-cols-[1fr_380px]">
    <section class="sheet px-5 py-4">
      <div class="flex flex-wrap items-center justify-between gap-3">
        <div class="flex items-center gap-3">
          <BarThumbnail :thumbnail="batch.thumbnail" :width="58" :height="38" />
          <div>
            <h1>{{ batch.name }}, batch {{ batch.number }}</h1>
            <p class="figure text-ink-2">
              <template v-if="!run.paper">made {{ timeOf(0) }}</template>
              <template v-else
                >{{
                  pouredAt
                    ? `poured ${momentText(pouredAt, zone)}`
                    : `poured ${state.finished ? dayText(state.finished.day) : ''}, at an hour that nobody wrote down`
                }}; written up from paper</template
              >
            </p>
          </div>
        </div>
        <AppButton :to="`/batches/${batch.id}`">Its sheet and story</AppButton>
      </div>
      <dl v-if="made" class="figure mt-4 grid grid-cols-2 gap-4 sm:grid-cols-4">
        <div>
          <dt class="text-ink-2">Superfat as weighed</dt>
          <dd class="text-key font-bold" data-testid="made-superfat">
            {{ say.percent(made.superfat, 2) }}
          </dd>
          <dd class="text-sm text-ink-2">planned {{ say.percent(ctx.onScale.superfat, 2) }}</dd>
        </div>
        <div>
          <dt class="text-ink-2">Water to lye</dt>
          <dd class="text-key font-bold" data-testid="made-ratio">{{ say.ratio(made.ratio) }}</dd>
          <dd class="text-sm text-ink-2">
            planned {{ say.ratio(ctx.onScale.result.water.ratio) }}
          </dd>
        </div>
        <div>
          <dt class="text-ink-2">Batter</dt>
          <dd class="text-key font-bold">{{ say.amount(made.batter) }}</dd>
        </div>
        <div v-if="made.scent > 0">
          <dt class="text-ink-2">Scent, of the oils</dt>
          <dd class="text-key font-bold">{{ say.percent(made.scent, 2) }}</dd>
        </div>
      </dl>
      <table class="figure mt-5 w-full">
        <caption class="mb-1 text-left text-[13px] font-[650] text-ink-2">
          Weighed
        </caption>
        <tbody>
          <tr v-for="row in weighed" :key="row.step.id" class="border-t border-line-2">
            <th
              scope="row"
              class="py-1 text-left font-medium"
              :class="row.step.weigh!.substance === 'lye' ? 'text-stop' : ''"
            >
              {{ row.step.weigh!.name
              }}<template v-if="row.step.weigh!.pot !== null && row.step.weigh!.kind !== 'share'"
                >, {{ plan.pots[row.step.weigh!.pot]?.name }}</template
              >
            </th>
            <td class="py-1 text-right font-[650]">{{ say.mass(row.grams) }}</td>
            <td class="w-32 py-1 text-right text-ink-2">
              {{
                Math.abs(row.off) < run.scale / 2
                  ? 'as planned'
                  : `${row.off > 0 ? '+' : '−'}${say.mass(Math.abs(row.off))}`
              }}
            </td>
            <td class="w-28 py-1 pl-3 text-sm text-ink-2">
              {{ row.assumed ? 'not on the paper' : row.typed ? 'typed' : 'by scale'
              }}{{ row.scoops > 1 ? `, ${row.scoops} scoops` : '' }}
            </td>
          </tr>
        </tbody>
      </table>
      <table v-if="pots.length" class="figure mt-5 w-full">
        <caption class="mb-1 text-left text-[13px] font-[650] text-ink-2">
          Pot by pot, as weighed
        </caption>
        <tbody>
          <tr v-for="pot in pots" :key="pot.name" class="border-t border-line-2">
            <th scope="row" class="py-1 text-left font-medium">{{ pot.name }}</th>
            <td class="text-right">{{ say.amount(pot.batter) }}</td>
            <td class="text-right">superfat {{ say.percent(pot.superfat, 2) }}</td>
            <td class="text-right">water {{ say.ratio(pot.ratio) }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <aside class="grid content-start gap-4" aria-label="How it went">
      <section v-if="checks.length" class="sheet px-5 py-4">
        <h2 class="mb-2">Look after it</h2>
        <dl class="figure grid gap-1.5">
          <div
            v-for="check in checks"
            :key="check.kind"
            class="flex flex-wrap justify-between gap-x-3"
          >
            <dt>{{ checkWords[check.kind] }}</dt>
            <dd class="font-[650]">{{ whenText(check, zone) }}</dd>
          </div>
        </dl>
        <p class="mt-2 text-sm text-ink-2">The Shelf says so when it is due.</p>
      </section>
      <section class="sheet px-5 py-4">
        <h2 class="mb-2">How it went</h2>
        <ul class="figure grid gap-1.5">
          <li>
            {{ state.confirmed.size }} of {{ safetyCheckOf(ctx.document).length }} points of the
            safety check confirmed
          </li>
          <li v-if="Number.isFinite(peak)">
            Lye jug at its hottest {{ say.temperature(peak) }}, expected
            {{ say.temperature(plan.peak.low) }} to {{ say.temperature(plan.peak.high) }}
          </li>
          <li v-for="one in met" :key="one.name">
            <template v-if="one.name">{{ one.name }}: </template>lye {{ degrees(one.lye) }}, oils
            {{ degrees(one.oils) }} when they met
          </li>
          <li v-for="choice in state.choices" :key="choice.step + choice.minutes">
            Too much
            {{ inSentence(plan.steps.find(({ id }) => id === choice.step)?.weigh?.name ?? '') }}:
            {{ choices[choice.choice] }}
          </li>
          <li v-for="one in state.restarted" :key="one.minutes">
            {{ timeOf(one.minutes) }}: lye thrown away ({{ lyeFaultWords[one.because] }}) and made
            anew
          </li>
          <li v-if="state.laundry" class="font-semibold text-think">
            Kept for laundry at the bench: not for skin.
          </li>
          <li v-for="mark in state.marks" :key="mark.id">
            <template v-if="!run.paper">{{ timeOf(mark.minutes) }}: </template
            >{{ stageText(mark.stage)
            }}<template v-if="plan.pots.length > 1">, {{ plan.pots[mark.pot]?.name }}</template
            >, {{ afterLye(mark.pot, mark.minutes) }}
          </li>
          <li v-for="(seconds, pot) in state.blended" :key="pot">
            {{ seconds }} s of blender<template v-if="plan.pots.length > 1"
              >, {{ plan.pots[Number(pot)]?.name }}</template
            >
          </li>
          <li v-for="(grams, pot) in state.watered" :key="pot">
            {{ say.mass(grams) }} of warm water stirred in<template v-if="plan.pots.length > 1"
              >, {{ plan.pots[Number(pot)]?.name }}</template
            >
          </li>
          <li v-for="note in state.notes" :key="note.id">
            {{ note.says }}
            <a
              v-if="note.photo"
              :href="`/api/photos/${note.photo}`"
              target="_blank"
              class="mt-1 block"
              ><img :src="`/api/photos/${note.photo}`" :alt="note.says" class="max-h-40"
            /></a>
          </li>
        </ul>
      </section>
    </aside>
  </div>
</template>
