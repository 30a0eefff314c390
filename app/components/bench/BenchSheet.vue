<script setup lang="ts">
import type { Batch } from '#contracts/batch'
import type { PlanContext } from '#core/bench/plan/context'
import { emergencies } from '#core/bench/run/emergency'
import { safetyCheckOf } from '#core/bench/run/safetyCheck'
import { dividedSays, type Divided } from '#core/bench/plan/divide'
import { rowsOf, type PlanRow } from '#core/bench/plan/fold'
import type { Plan } from '#core/bench/plan/plan'
import type { Step } from '#core/bench/plan/step'

/** The plan on paper: the same steps with blanks, and a code that leads back to where it is written up. */
const { batch, plan, ctx } = defineProps<{
  batch: Batch
  plan: Plan
  ctx: PlanContext
}>()
const { say, settings } = storeToRefs(useWorkshop())
const calls = computed(() => {
  const { ambulance, poison } = settings.value.emergency
  return `Ambulance ${ambulance || '____________'} · Poison centre ${poison || '____________'}`
})
const safetyCheck = computed(() => safetyCheckOf(ctx.document))
const code = computed(() => paperCode(batch))
const address = computed(() => `${location.origin}/bench/${batch.id}/paper`)
/** In the plan's own numbers: the first is the safety check above. */
const rows = computed(() =>
  rowsOf(plan.steps).filter(({ steps }) => steps[0]!.kind !== 'safety-check'),
)
/** What a folded row is headed by, and the blanks of its steps. */
function foldHead({ fold, steps }: PlanRow): string {
  if (fold!.kind === 'pot') return plan.pots[fold!.pot!]!.name
  if (fold!.kind === 'ready') return 'Ready in their cups'
  const what = dividedSays(steps[0]!.weigh!.id as Divided)
  return `For each of ${say.value.count(steps.length, 'cup', 'cups')}: ${what}, by weight of what is really there`
}
function blank(step: Step, { fold }: PlanRow): string {
  const name = step.pot === undefined ? '' : plan.pots[step.pot]!.name
  if (step.weigh)
    return `${fold!.kind === 'cups' ? name : `${step.weigh.name.split(',')[0]!}, ${name}:`} ${say.value.mass(step.weigh.grams)} ______ ☐`
  const own = step.short.replace(`, ${name}`, '').replace(` ${name}`, '')
  return step.kind === 'batter'
    ? `${own} ____ ☐`
    : `${own} ${step.kind === 'stir-in' ? '' : '__:__ '}☐`
}
const temperature = (kind: string) => ['dissolve', 'cool', 'meet', 'melt'].includes(kind)
</script>

<template>
  <article class="text-[12.5px]" aria-label="Bench sheet">
    <header class="flex items-start justify-between gap-4 border-b-2 border-ink pb-2">
      <div class="flex items-center gap-3">
        <BarThumbnail :thumbnail="batch.thumbnail" :width="58" :height="38" />
        <div>
          <h2 class="text-[20px] leading-tight font-bold text-ink">
            {{ batch.name }}, batch {{ batch.number }}
          </h2>
          <p class="figure">
            {{ say.amount(ctx.onScale.result.oils) }} of oils, superfat
            {{ say.percent(ctx.onScale.superfat, 2) }}, water
            {{ say.ratio(ctx.onScale.result.water.ratio) }} · made on ____________ room ______
          </p>
        </div>
      </div>
      <figure class="flex items-center gap-2 text-right">
        <figcaption>
          write it up with<br /><b class="font-mono text-[15px]">{{ code }}</b>
        </figcaption>
        <QrPicture class="size-[19mm]" :text="address" :says="`Code ${code}`" />
      </figure>
    </header>
    <ul class="my-2 grid grid-cols-2 gap-x-4 border-2 border-stop px-2 py-1.5 text-[11.5px]">
      <li v-for="point in safetyCheck" :key="point.id">☐ {{ point.says }}</li>
    </ul>
    <table class="figure w-full">
      <tbody>
        <template v-for="row in rows" :key="row.steps[0]!.id">
          <tr v-if="row.fold" class="break-inside-avoid border-b border-line">
            <td class="w-8 py-[3px] align-top text-ink-3">{{ row.from + 1 }}</td>
            <th scope="row" colspan="3" class="py-[3px] text-left align-top font-normal">
              <b class="font-semibold">{{ foldHead(row) }}</b>
              <span class="block text-[11px] leading-[1.7]">
                <span
                  v-for="step in row.steps"
                  :key="step.id"
                  class="mr-3 inline-block whitespace-nowrap"
                  :class="step.lye ? 'text-stop' : ''"
                  >{{ blank(step, row) }}</span
                >
              </span>
            </th>
          </tr>
          <tr
            v-for="step in row.fold ? [] : row.steps"
            :key="step.id"
            class="break-inside-avoid border-b border-line"
          >
            <td class="w-8 py-[3px] align-top text-ink-3">{{ row.from + 1 }}</td>
            <th
              scope="row"
              class="py-[3px] pr-2 text-left align-top font-semibold"
              :class="step.lye ? 'text-stop' : ''"
            >
              {{ step.says
              }}<span class="block text-[11px] font-normal text-ink-2">{{ step.how }}</span>
            </th>
            <td
              class="w-24 py-[3px] text-right align-top text-[15px] font-[650] whitespace-nowrap"
              :class="step.lye ? 'text-stop' : ''"
            >
              {{ step.weigh ? say.mass(step.weigh.grams) : '' }}
            </td>
            <td class="w-44 py-[3px] pl-3 align-top whitespace-nowrap">
              <template v-if="step.weigh">weighed __________ ☐</template>
              <template v-else-if="step.kind === 'batter'"
                >emul. ____ light ____ med. ____ ☐</template
              >
              <template v-else-if="temperature(step.kind)">____ : ____ &nbsp; ______ ° ☐</template>
              <template v-else>____ : ____ ☐</template>
            </td>
          </tr>
        </template>
      </tbody>
    </table>
    <section class="mt-2 break-inside-avoid border-2 border-stop px-2 py-1.5 text-[10.5px]">
      <p class="figure font-bold text-stop">If something happens: {{ calls }}</p>
      <dl class="grid grid-cols-2 gap-x-4 gap-y-0.5">
        <div v-for="one in emergencies" :key="one.id">
          <dt class="mr-1 inline font-bold">{{ one.says }}:</dt>
          <dd class="inline">{{ one.now[0] }} {{ one.never }}</dd>
        </div>
      </dl>
    </section>
    <p class="mt-2">Goggles and gloves stay on until everything is rinsed. Notes:</p>
  </article>
</template>
