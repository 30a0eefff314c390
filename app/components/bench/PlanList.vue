<script setup lang="ts">
import type { RunSetup } from '#contracts/run'
import { dividedSays, type Divided } from '#core/bench/plan/divide'
import { potsBegin, rowsOf, type PlanRow } from '#core/bench/plan/fold'
import { mayMove, type Plan } from '#core/bench/plan/plan'
import { sumOf } from '#core/statistics/sum'
import { ArrowDown, ArrowUp, ChevronDown, ChevronRight, Plus, Trash2, Undo2 } from '@lucide/vue'

/** The steps of a plan in order, to be moved, left out and added to before the start. */
const { plan, part = 'all' } = defineProps<{
  plan: Plan
  fixed: boolean
  /** What lies before the pots that are made one after another, what begins with them, or all of it. */
  part?: 'all' | 'before' | 'pots'
}>()
const setup = defineModel<RunSetup>({ required: true })
const toasts = useToasts()
const { say } = storeToRefs(useWorkshop())
const timeOf = computed(() => new Map(plan.times.map((time) => [time.id, time])))

/** Changes the setup and offers the way back. */
function change(to: Partial<RunSetup>, says = '') {
  const before = setup.value
  setup.value = { ...before, ...to }
  if (says) toasts.show(says, { undo: () => void (setup.value = before) })
}
function move(from: number, by: number) {
  const order = plan.steps.map(({ id }) => id)
  const [id] = order.splice(from, 1)
  order.splice(from + by, 0, id!)
  change({ order })
}
function leaveOut(id: string, says: string) {
  const { own, leftOut } = setup.value
  const mine = own.some((one) => one.id === id)
  change(
    mine ? { own: own.filter((one) => one.id !== id) } : { leftOut: [...leftOut, id] },
    `“${says}” is left out.`,
  )
}
const added = ref('')
const addedAfter = ref('')
function add() {
  const says = added.value.trim()
  if (!says) return
  const after = addedAfter.value || plan.steps.at(-3)?.id || null
  change({ own: [...setup.value.own, { id: `own:${newId()}`, after, says, minutes: 2 }] })
  added.value = ''
}
const usual = () => change({ order: [], leftOut: [], own: [] }, 'The usual plan again.')
const changed = computed(
  () => setup.value.order.length + setup.value.leftOut.length + setup.value.own.length > 0,
)
/** Folded rows that somebody opened, by their first step. */
const opened = ref(new Set<string>())
const idOf = (row: PlanRow) => row.steps[0]!.id
function toggle(row: PlanRow) {
  const now = new Set(opened.value)
  if (!now.delete(idOf(row))) now.add(idOf(row))
  opened.value = now
}
const shown = computed(() => {
  const first = part === 'all' ? null : potsBegin(plan)
  return rowsOf(plan.steps).filter(
    ({ from }) => first === null || (part === 'pots' ? from >= first : from < first),
  )
})
/** Cups of oils and of lye, filled one beside the other for pots that are made one after another. */
const isCup = ({ fold, steps }: PlanRow) =>
  part === 'before' && fold?.kind === 'cups' && ['oils', 'lye'].includes(steps[0]!.weigh!.id)
const cups = computed(() => shown.value.filter(isCup))
/** Rows as they are shown: a folded one stands for its steps until it is opened, then above them; cups have one picture. */
const rows = computed(() =>
  shown.value.flatMap((row) => {
    const steps = row.steps.map((step, place) => ({ step, index: row.from + place, row: null }))
    if (!row.fold) return steps
    const head = { step: null, index: row.from, row }
    const first = isCup(row) ? cups.value[0]! : row
    return [...(first === row ? [head] : []), ...(opened.value.has(idOf(first)) ? steps : [])]
  }),
)
/** The steps that are listed, and the minutes they take with their waiting. */
const listed = computed(() => {
  const [first, last] = [shown.value[0]!, shown.value.at(-1)!]
  const times = plan.times.slice(first.from, last.from + last.steps.length)
  return { steps: times.length, minutes: times.at(-1)!.to - times[0]!.from }
})
const head = computed(
  () =>
    ({
      all: { says: `The plan, ${say.value.count(listed.value.steps, 'step', 'steps')}`, more: '' },
      before: {
        says: 'Divide up front',
        more: `${minutesText(listed.value.minutes)}, nothing runs yet`,
      },
      pots: {
        says: 'The steps of each pot',
        more: say.value.count(listed.value.steps, 'step', 'steps'),
      },
    })[part],
)
function foldSays({ fold, steps }: PlanRow): { says: string; how: string; grams: string } {
  const { low, high } = fold!.grams ?? { low: 0, high: 0 }
  const each =
    low === high ? say.value.mass(low) : `${say.value.massFigure(low)} to ${say.value.mass(high)}`
  const names = say.value.list(steps.map((step) => plan.pots[step.pot!]!.name))
  switch (fold!.kind) {
    case 'cups':
      return {
        says: `For each of ${say.value.count(steps.length, 'cup', 'cups')}: ${dividedSays(steps[0]!.weigh!.id as Divided)}`,
        how: `By weight, its share of what is really there: ${names}.`,
        grams: each,
      }
    case 'ready':
      return {
        says: `Colours and the like for ${say.value.count(new Set(steps.map(({ pot }) => pot)).size, 'pot', 'pots')}`,
        how: `${say.value.list(steps.flatMap(({ weigh }) => (weigh!.kind === 'carrier' ? [] : weigh!.name.split(',')[0]!)))}.`,
        grams: '',
      }
    case 'pot':
      return {
        says: `${plan.pots[fold!.pot!]!.name}: ${steps.some(({ kind }) => kind === 'pour') ? 'from its lye to its pour' : 'all of its steps'}`,
        how: `${say.value.list(steps.map(({ short }) => short.replace(`, ${plan.pots[fold!.pot!]!.name}`, '')))}.`,
        grams: '',
      }
  }
}
/** What a step waits for, where that is short enough to say. */
function afterWords(index: number): string {
  const names = plan.steps[index]!.after.flatMap(
    (id) => plan.steps.find((one) => one.id === id)?.short ?? [],
  )
  return names.length > 2 ? '' : say.value.list(names)
}
</script>

<template>
  <section class="sheet">
    <div class="flex flex-wrap items-center justify-between gap-2 px-5 py-3">
      <h2>{{ head.says }}</h2>
      <p v-if="head.more" class="figure text-sm text-ink-2">{{ head.more }}</p>
      <AppButton v-if="changed && !fixed && part !== 'before'" @click="usual"
        ><Undo2 :size="15" /> The usual plan</AppButton
      >
    </div>
    <ol class="figure">
      <li
        v-for="{ step, index, row } in rows"
        :key="row ? `fold ${index}` : step.id"
        class="grid grid-cols-[28px_1fr_auto] items-center gap-x-3 border-t border-line-2 px-5 py-1.5 max-sm:px-3 sm:grid-cols-[28px_1fr_auto_auto]"
        :class="row ? 'bg-[#f5efe0]' : ''"
      >
        <template v-if="row">
          <span class="text-right text-ink-3">{{ index + 1 }}</span>
          <button
            type="button"
            class="min-w-0 text-left"
            :class="isCup(row) ? 'col-span-3' : ''"
            :aria-expanded="opened.has(idOf(row))"
            @click="toggle(row)"
          >
            <template v-if="isCup(row)">
              <PlanCups :rows="cups" :pots="plan.pots.length" />
              <small class="block text-[13px] text-ink-2"
                ><component
                  :is="opened.has(idOf(row)) ? ChevronDown : ChevronRight"
                  :size="14"
                  class="mr-1 inline align-[-2px]"
                  aria-hidden="true"
                />By weight, its share of what is really there;
                {{ minutesText(sumOf(cups, ({ fold }) => fold!.minutes)) }}.</small
              >
            </template>
            <template v-else
              ><b class="font-[620]"
                ><component
                  :is="opened.has(idOf(row)) ? ChevronDown : ChevronRight"
                  :size="16"
                  class="mr-1 inline align-[-3px]"
                  aria-hidden="true"
                />{{ foldSays(row).says }}</b
              >
              <small class="block text-[13px] text-ink-2"
                >{{ foldSays(row).how }} Steps {{ index + 1 }} to
                {{ index + row.steps.length }}.</small
              ></template
            >
          </button>
          <span v-if="!isCup(row)" class="text-right whitespace-nowrap">
            <b class="font-[650]">{{ foldSays(row).grams }}</b>
            <small class="block text-sm text-ink-2">{{ minutesText(row.fold!.minutes) }}</small>
          </span>
          <span v-if="part === 'all'" class="w-[84px] max-sm:hidden" />
        </template>
        <template v-else>
          <span class="text-right text-ink-3">{{ index + 1 }}</span>
          <div class="min-w-0">
            <b class="font-[620]" :class="step.lye ? 'text-stop' : ''">{{ step.says }}</b>
            <small class="block text-[13px] text-ink-2"
              >{{ step.how
              }}<template v-if="part === 'all' && afterWords(index)">
                After: {{ afterWords(index) }}.</template
              ></small
            >
          </div>
          <span class="text-right whitespace-nowrap">
            <b v-if="step.weigh" class="font-[650]">{{ say.mass(step.weigh.grams) }}</b>
            <small class="block text-sm text-ink-2">{{
              timeOf.get(step.id)!.waits > 0.5
                ? `wait ${minutesText(timeOf.get(step.id)!.waits)}`
                : step.minutes
                  ? minutesText(step.minutes)
                  : ''
            }}</small>
          </span>
          <span
            v-if="!fixed"
            class="flex w-[84px] justify-end empty:hidden max-sm:col-start-2 max-sm:w-auto max-sm:justify-start sm:empty:block"
          >
            <button
              v-if="mayMove(plan.steps, index, index - 1)"
              type="button"
              class="p-1.5"
              :aria-label="`Earlier: ${step.short}`"
              @click="move(index, -1)"
            >
              <ArrowUp :size="16" />
            </button>
            <button
              v-if="mayMove(plan.steps, index, index + 1)"
              type="button"
              class="p-1.5"
              :aria-label="`Later: ${step.short}`"
              @click="move(index, 1)"
            >
              <ArrowDown :size="16" />
            </button>
            <button
              v-if="!step.needed"
              type="button"
              class="p-1.5"
              :aria-label="`Leave out: ${step.short}`"
              @click="leaveOut(step.id, step.short)"
            >
              <Trash2 :size="16" />
            </button>
          </span>
        </template>
      </li>
    </ol>
    <form
      v-if="!fixed && part !== 'before'"
      class="flex flex-wrap gap-2 border-t border-line-2 px-5 py-3"
      @submit.prevent="add"
    >
      <input
        v-model="added"
        class="field min-w-48 flex-1"
        maxlength="120"
        aria-label="A step of your own"
        placeholder="A step of your own, as: photograph the pan"
      />
      <select v-model="addedAfter" class="field max-w-56" aria-label="It comes after">
        <option value="">near the end</option>
        <option v-for="step in plan.steps" :key="step.id" :value="step.id">
          after: {{ step.short }}
        </option>
      </select>
      <AppButton @click="add"><Plus :size="16" /> Add</AppButton>
    </form>
  </section>
</template>
