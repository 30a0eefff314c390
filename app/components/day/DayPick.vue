<script setup lang="ts">
import { computeFormula } from '#core/formula/compute'
import { barsOf } from '#core/mould/bars'
import { cureRuleFor } from '#core/rack/cure'
import { standingOf } from '#core/rack/standing'
import type { MakingDayHere } from '~/composables/useMakingDay'

/** What goes on a day: batches that are planned, what is promised, what runs out, any formula. A formula becomes a batch. */
const { here } = defineProps<{ here: MakingDayHere }>()
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ picked: [batchId: string] }>()
const batches = useBatches()
const formulas = useFormulas()
const days = useDays()
const { library } = storeToRefs(useMaterials())
const { today, say } = storeToRefs(useWorkshop())
const { open: goals, plans } = useGoalPlans()
const { soaps } = useShelfSoaps()
const moulds = useMoulds()
const find = ref('')
const problem = ref('')
const busy = ref('')
onMounted(() => void Promise.all([batches.load(), formulas.load(), moulds.load()]))

/** Batches that another day has. */
const elsewhere = computed(
  () =>
    new Set(
      days.list
        .filter(({ id, document }) => id !== here.id && !document.endedAt)
        .flatMap(({ document }) => document.batches.map(({ id }) => id)),
    ),
)
const has = (text: string) => text.toLowerCase().includes(find.value.trim().toLowerCase())
const planned = computed(() =>
  batches.list.filter(
    (batch) =>
      standingOf(batch, today.value).stage === 'planned' &&
      !here.day.value!.batches.some(({ id }) => id === batch.id) &&
      !elsewhere.value.has(batch.id) &&
      has(`${batch.name} ${batch.number}`),
  ),
)
/** Bars of a formula that are there or come, and what is promised of it. */
const promised = computed(() =>
  goals.value.flatMap(({ id, formulaId, what, on }) => {
    const plan = plans.value.get(id)
    const formula = formulas.list.find((one) => one.id === formulaId)
    return plan?.missing && formula && has(`${formula.document.name} ${what}`)
      ? [{ formula, what, on, missing: plan.missing, by: plan.pourBy }]
      : []
  }),
)
const runsOut = computed(() =>
  soaps.value
    .filter(({ ready, coming, name }) => ready + coming > 0 && ready + coming <= 12 && has(name))
    .flatMap((soap) => {
      const formula = formulas.list.find(({ id }) => id === soap.formulaId)
      return formula ? [{ formula, left: soap.ready + soap.coming }] : []
    }),
)
const all = computed(() => formulas.list.filter(({ document }) => has(document.name)))

async function fromFormula(formula: (typeof formulas.list)[number]) {
  if (busy.value) return
  busy.value = formula.id
  problem.value = ''
  try {
    const result = computeFormula(formula.document, library.value)
    const last = batches.list.find(({ formulaId }) => formulaId === formula.id)
    const rule = cureRuleFor(result)
    const batch = await batches.make({
      id: newId(),
      formulaId: formula.id,
      revision: formula.revision,
      bars:
        barsOf(formula.document, result.batter, moulds.documents) ??
        last?.bars ??
        Math.max(1, Math.round(result.batter / 120)),
      cure: { rule: rule.id, days: rule.days },
      overruled: {},
    })
    emit('picked', batch.id)
    open.value = false
  } catch (error) {
    problem.value = sentenceOf(error)
  } finally {
    busy.value = ''
  }
}
function take(id: string) {
  emit('picked', id)
  open.value = false
}
</script>

<template>
  <AppDialog v-model="open" title="What goes on this day" wide live>
    <div class="grid gap-4 px-5 py-4">
      <input
        v-model="find"
        type="search"
        class="field"
        aria-label="Find a batch or a formula"
        placeholder="Find a batch or a formula"
      />
      <p v-if="problem" role="alert" class="text-stop">{{ problem }}</p>
      <section v-if="planned.length" aria-labelledby="pick-planned">
        <h3 id="pick-planned" class="mb-1 font-bold">Planned</h3>
        <ul class="grid grid-cols-1 gap-1 sm:grid-cols-2">
          <li v-for="batch in planned" :key="batch.id">
            <button type="button" class="pick" @click="take(batch.id)">
              <BarThumbnail :thumbnail="batch.thumbnail" />
              <span class="min-w-0"
                ><b class="block truncate">{{ batch.number }} {{ batch.name }}</b>
                <small class="figure text-ink-2">{{
                  say.count(batch.bars, 'bar', 'bars')
                }}</small></span
              >
            </button>
          </li>
        </ul>
      </section>
      <section v-if="promised.length" aria-labelledby="pick-promised">
        <h3 id="pick-promised" class="mb-1 font-bold">Promised</h3>
        <ul class="grid grid-cols-1 gap-1 sm:grid-cols-2">
          <li v-for="one in promised" :key="one.what">
            <button type="button" class="pick" :disabled="!!busy" @click="fromFormula(one.formula)">
              <BarThumbnail :thumbnail="formulas.thumbnail(one.formula)" />
              <span class="min-w-0"
                ><b class="block truncate">{{ one.formula.document.name }}</b>
                <small class="text-ink-2"
                  >{{ say.count(one.missing, 'bar', 'bars') }} missing for {{ one.what
                  }}<template v-if="one.by"
                    >, pour by {{ dayText(one.by, { today }) }}</template
                  ></small
                ></span
              >
            </button>
          </li>
        </ul>
      </section>
      <section v-if="runsOut.length" aria-labelledby="pick-out">
        <h3 id="pick-out" class="mb-1 font-bold">Runs out</h3>
        <ul class="grid grid-cols-1 gap-1 sm:grid-cols-2">
          <li v-for="one in runsOut" :key="one.formula.id">
            <button type="button" class="pick" :disabled="!!busy" @click="fromFormula(one.formula)">
              <BarThumbnail :thumbnail="formulas.thumbnail(one.formula)" />
              <span class="min-w-0"
                ><b class="block truncate">{{ one.formula.document.name }}</b>
                <small class="text-ink-2"
                  >{{ say.count(one.left, 'bar', 'bars') }} left</small
                ></span
              >
            </button>
          </li>
        </ul>
      </section>
      <section aria-labelledby="pick-all">
        <h3 id="pick-all" class="mb-1 font-bold">A new batch of a formula</h3>
        <ul class="grid max-h-64 grid-cols-1 gap-1 overflow-y-auto sm:grid-cols-2">
          <li v-for="formula in all" :key="formula.id">
            <button type="button" class="pick" :disabled="!!busy" @click="fromFormula(formula)">
              <BarThumbnail :thumbnail="formulas.thumbnail(formula)" />
              <b class="min-w-0 truncate">{{ formula.document.name }}</b>
            </button>
          </li>
        </ul>
        <p v-if="!all.length && formulas.loaded" class="text-ink-2">
          No formula is called so. <NuxtLink to="/formulas" class="link">To the formulas</NuxtLink>
        </p>
      </section>
    </div>
  </AppDialog>
</template>

<style scoped>
.pick {
  display: flex;
  align-items: center;
  gap: 12px;
  width: 100%;
  min-height: 48px;
  padding: 6px 10px;
  border: 1px solid var(--color-line);
  border-radius: 6px;
  text-align: left;
}
.pick:hover {
  border-color: var(--color-act);
}
</style>
