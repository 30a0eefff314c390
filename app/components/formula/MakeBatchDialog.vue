<script setup lang="ts">
import type { Fault } from '#contracts/faults'
import { barsOf } from '#core/mould/bars'
import { cureRuleFor, cureRulesOf } from '#core/rack/cure'

/** Freezes the formula into a batch, after the last look at what speaks against it. */
const editor = useFormulaEditor()
const { result, remarks, faults, document, save } = editor
const batches = useBatches()
const router = useRouter()
const { say, settings } = storeToRefs(useWorkshop())
const { lessons, drop } = useLessons(() => editor.id)
const cureRules = computed(() => cureRulesOf(settings.value.rack.cures))
const open = defineModel<boolean>({ required: true })

const usual = computed(() => cureRuleFor(result.value))
const bars = ref<number | null>(barsOf(document.value, result.value.batter, useMoulds().documents))
const rule = ref<string>(usual.value.id)
const reasons = ref<Record<string, string>>({})
const refused = ref<Fault[]>([])
const busy = ref(false)
/** One id for every try, so that a repeated request makes one batch. */
const id = newId()

const stops = computed(() => remarks.value.filter(({ severity }) => severity === 'stop'))
const hard = computed(() => stops.value.filter(({ overridable }) => !overridable))
const soft = computed(() => stops.value.filter(({ overridable }) => overridable))
const blocked = computed(
  () =>
    faults.value.length > 0 ||
    hard.value.length > 0 ||
    soft.value.some((remark) => (reasons.value[remark.id]?.trim().length ?? 0) < 3) ||
    !bars.value,
)
/** What is still open says it in plainer words than the fault of the document behind it. */
const plainFaults = computed(() => {
  const open = editor.open.value.filter((item) => item.id !== 'empty')
  return open.length ? open : faults.value
})

async function make() {
  if (blocked.value || busy.value) return
  busy.value = true
  refused.value = []
  try {
    await save.flush()
    if (save.state.value !== 'saved')
      throw new ApiError(0, [
        { path: '', says: 'The formula is not saved yet. Try again in a moment.' },
      ])
    const chosen = cureRules.value.find((item) => item.id === rule.value) ?? usual.value
    const batch = await batches.make({
      id,
      formulaId: editor.id,
      revision: save.revision.value,
      bars: bars.value!,
      cure: { rule: chosen.id, days: chosen.days },
      overruled: Object.fromEntries(
        soft.value.map((remark) => [remark.id, reasons.value[remark.id]!.trim()]),
      ),
    })
    open.value = false
    await router.push(`/batches/${batch.id}`)
  } catch (error) {
    refused.value =
      error instanceof ApiError ? error.faults : [{ path: '', says: sentenceOf(error) }]
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <AppDialog v-model="open" :title="`Make a batch of ${document.name}`">
    <form class="grid gap-4 px-5 py-4" @submit.prevent="make">
      <section v-if="lessons.length" aria-label="Learned">
        <b>What earlier batches taught</b>
        <LessonList class="mt-1" :lessons="lessons" @drop="drop" />
      </section>
      <div v-if="hard.length || plainFaults.length" role="alert" class="grid gap-2">
        <b class="text-stop">It cannot be made like this:</b>
        <p v-for="remark in hard" :key="remark.id">{{ remark.says }} {{ remark.because }}</p>
        <p v-for="fault in plainFaults" :key="fault.says">{{ fault.says }}</p>
      </div>
      <template v-else>
        <p class="figure">
          {{ say.amount(result.oils) }} of oils, {{ say.amount(result.batter) }} of batter,
          {{ say.percent(result.superfat.total) }} superfat. The batch keeps this formula as it is
          now.
        </p>
        <label class="flex items-center gap-3 font-semibold">
          Bars
          <NumberField
            v-model="bars"
            label="Bars"
            class="w-24"
            :min="1"
            :max="10000"
            :decimals="0"
          />
        </label>
        <fieldset class="grid gap-1.5">
          <legend class="mb-1 font-semibold">Cure</legend>
          <label v-for="item in cureRules" :key="item.id" class="flex items-start gap-2">
            <input v-model="rule" type="radio" name="cure" :value="item.id" class="mt-1" />
            <span>
              {{ item.label }}, {{ item.days }} days
              <b v-if="item.id === usual.id" class="text-ok">fits this formula</b>
              <small class="block text-sm text-ink-2">{{ item.because }}</small>
            </span>
          </label>
        </fieldset>
        <label v-for="remark in soft" :key="remark.id" class="grid gap-1">
          <span><b class="text-stop">Stop.</b> {{ remark.says }}</span>
          <span class="font-semibold">To make it all the same, say why</span>
          <input v-model="reasons[remark.id]" class="field" maxlength="500" />
        </label>
      </template>
      <p v-for="fault in refused" :key="fault.says" role="alert" class="text-stop">
        {{ fault.says }}
      </p>
      <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
    </form>
    <template #actions>
      <AppButton @click="open = false">Not now</AppButton>
      <AppButton kind="main" :disabled="blocked || busy" @click="make">Make it</AppButton>
    </template>
  </AppDialog>
</template>
