<script setup lang="ts">
import type { Goal } from '#contracts/goal'
import type { GoalPlan } from '#core/rack/outlook'
import { addDays } from '#core/units/days'

/** Bars wanted by a day: what is there for it, and by when the rest has to be poured. */
const goals = useGoals()
const formulas = useFormulas()
const toasts = useToasts()
const { today } = storeToRefs(useWorkshop())
const { open, plans } = useGoalPlans()

const nameOf = (formulaId: string) =>
  formulas.list.find(({ id }) => id === formulaId)?.document.name ?? 'a formula that is deleted'
/** Bars that are drawn of one promise; of more each stands for several. */
const most = 60
const colourOf = (formulaId: string) => {
  const formula = formulas.list.find(({ id }) => id === formulaId)
  return formula && formulas.thumbnail(formula).colours.at(-1)
}
const shown = computed(() =>
  [...open.value]
    .sort((a, b) => a.on.localeCompare(b.on))
    .map((goal) => ({ goal, plan: plans.value.get(goal.id)! })),
)
const late = ({ pourBy }: GoalPlan) => pourBy !== null && pourBy < today.value
function words({ plan }: { plan: GoalPlan }): string {
  if (!plan.missing) return 'All of them are there or will be.'
  const by = dayText(plan.pourBy!, { today: today.value })
  const there = plan.there ? `${plan.there} will be there. ` : ''
  if (late(plan))
    return `${there}${plan.missing} are missing, and it is too late for them: poured today they have ${Math.max(0, plan.daysLeft)} of the ${plan.needs} days they need.`
  return `${there}Pour ${plan.missing} by ${by}.`
}

const adding = ref(false)
/** Of the goal that the open form makes: pressed twice, it is made once. */
let id = newId()
const draft = reactive({ what: '', on: '', formulaId: '', bars: 20 as number | null })
const problem = ref('')
function begin() {
  Object.assign(draft, {
    what: '',
    on: addDays(today.value, 56),
    formulaId: formulas.list[0]?.id ?? '',
    bars: 20,
  })
  problem.value = ''
  id = newId()
  adding.value = true
}
async function keep() {
  try {
    await goals.save(id, 0, { ...draft, bars: draft.bars ?? Number.NaN } as Goal)
    adding.value = false
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}
async function remove(id: string) {
  const goal = goals.list.find((one) => one.id === id)
  try {
    if (goal) await goals.remove(goal, `${goal.document.what} is no goal any more.`)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
</script>

<template>
  <section id="promised" class="sheet scroll-mt-4 self-start">
    <div class="flex h-9 items-center justify-between gap-3 px-4">
      <h2>Promised</h2>
      <button type="button" class="link text-sm" :disabled="!formulas.list.length" @click="begin">
        Add a date
      </button>
    </div>
    <p v-if="goals.problem" role="alert" class="px-4 pb-3 text-stop">{{ goals.problem }}</p>
    <ul>
      <li
        v-for="{ goal, plan } in shown"
        :key="goal.id"
        class="grid grid-cols-[1fr_auto] gap-x-2 border-t border-line-2 px-4 py-1.5"
      >
        <div class="min-w-0">
          <p class="flex flex-wrap justify-between gap-x-3">
            <b class="figure font-[650]">{{ goal.bars }} {{ nameOf(goal.formulaId) }}</b>
            <span class="text-[13px] text-ink-2"
              >{{ goal.what }}, {{ dayText(goal.on, { today }) }}</span
            >
          </p>
          <div class="my-1 flex h-3 gap-px" aria-hidden="true">
            <i
              v-for="bar in Math.min(most, goal.bars)"
              :key="bar"
              class="max-w-[5px] flex-1 border"
              :class="
                (bar * goal.bars) / Math.min(most, goal.bars) <= plan.there
                  ? 'border-[#5c6663]'
                  : 'border-warn'
              "
              :style="
                (bar * goal.bars) / Math.min(most, goal.bars) <= plan.there
                  ? { background: colourOf(goal.formulaId) }
                  : undefined
              "
            />
          </div>
          <p
            class="figure text-[12.5px] leading-[17px]"
            :class="late(plan) ? 'font-semibold text-warn' : 'text-ink-2'"
          >
            {{ words({ plan }) }}
          </p>
        </div>
        <AppMenu
          :label="`More for ${goal.what}`"
          :entries="[
            ...(plan.missing
              ? [
                  {
                    says: 'To the formula',
                    act: () => void $router.push(`/formulas/${goal.formulaId}`),
                  },
                ]
              : []),
            { says: 'Take it off', act: () => void remove(goal.id) },
          ]"
        />
      </li>
    </ul>
    <p v-if="goals.loaded && !shown.length" class="border-t border-line-2 px-4 py-3 text-ink-2">
      A market, an order: say how many bars by when, and Mantle says by when to pour them.
    </p>
    <AppDialog v-model="adding" title="Bars wanted by a day">
      <form class="grid gap-4 px-5 py-4" @submit.prevent="keep">
        <FieldRow says="What for">
          <input v-model="draft.what" class="field font-normal" maxlength="80" required />
        </FieldRow>
        <div class="flex flex-wrap gap-4">
          <FieldRow says="On">
            <input v-model="draft.on" type="date" class="field font-normal" :min="today" required />
          </FieldRow>
          <LabelledNumber v-model="draft.bars" says="Bars" :min="1" :max="10000" :decimals="0" />
        </div>
        <FieldRow says="Of">
          <select v-model="draft.formulaId" class="field font-normal" aria-label="Of which formula">
            <option v-for="formula in formulas.list" :key="formula.id" :value="formula.id">
              {{ formula.document.name }}
            </option>
          </select>
        </FieldRow>
        <p v-if="problem" role="alert" class="text-stop">{{ problem }}</p>
        <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
      </form>
      <template #actions>
        <AppButton @click="adding = false">Cancel</AppButton>
        <AppButton
          kind="main"
          :disabled="!draft.what.trim() || !draft.on || !draft.bars || !draft.formulaId"
          @click="keep"
          >Keep</AppButton
        >
      </template>
    </AppDialog>
  </section>
</template>
