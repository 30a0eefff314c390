<script setup lang="ts">
import { howBad } from '#core/events/trouble'
import type { Batch } from '#contracts/batch'
import type { Stored } from '#contracts/document'
import type { FormulaDocument } from '#contracts/formula'
import type { FormulaVersion } from '#contracts/version'
import { applyPatch } from '#core/formula/patch'
import { standingEvents } from '#core/rack/standing'
import { causesOf, caseOf, type Cause } from '#core/troubles/causes'
import { troubleKinds } from '#core/troubles/kinds'
import { inSentence } from '#core/units/language'

/** What went wrong, its likely causes from the record of this very batch, what becomes of the bars, what to change next time. */
const { batch } = defineProps<{ batch: Batch }>()
const { today, say, humidity } = storeToRefs(useWorkshop())
const toasts = useToasts()
const router = useRouter()
/** The formula as it is now: the patch of a cause is for that. Null when it is deleted. */
const formula = shallowRef<Stored<FormulaDocument> | null>(null)
onMounted(async () => {
  formula.value = await api
    .get<Stored<FormulaDocument>>(`/api/formulas/${batch.formulaId}`)
    .catch(() => null)
})
const about = computed(() => {
  const { frozen, events } = batch
  return caseOf({ frozen, events }, today.value, humidity.value, say.value)
})
const seen = computed(() => {
  const events = standingEvents(batch.events).flatMap((event) =>
    event.kind === 'trouble' ? [event] : [],
  )
  return batch.facts.troubles.map(({ trouble, how }) => ({
    trouble,
    how,
    when: events.filter((event) => event.trouble === trouble),
    kind: troubleKinds[trouble],
    causes: causesOf(trouble, about.value),
  }))
})
/** What the change is on the formula as it is now, and not only as it was poured. */
const nextFor = (cause: Cause) =>
  formula.value && cause.next ? applyPatch(formula.value.document, cause.next.patch) : null
const isDone = (cause: Cause) =>
  JSON.stringify(nextFor(cause)) === JSON.stringify(formula.value?.document)

const busy = ref(false)
/** Of the version that is made next: pressed twice, it is made once. */
let versionId = newId()
async function makeNext(says: string, cause: Cause) {
  const document = nextFor(cause)
  if (!document || !formula.value || busy.value) return
  busy.value = true
  try {
    const versions = await api.get<FormulaVersion[]>(`/api/formulas/${batch.formulaId}/versions`)
    const number = (versions[0]?.number ?? 0) + 1
    const saved = await api.put<Stored<FormulaDocument>>(`/api/formulas/${batch.formulaId}`, {
      revision: formula.value.revision,
      document,
    })
    formula.value = saved
    await api.post(`/api/formulas/${batch.formulaId}/versions`, {
      id: versionId,
      revision: saved.revision,
      name: `Version ${number}`,
      purpose: `${cause.next!.label}, against ${inSentence(says)} as on batch ${batch.number}.`,
    })
    versionId = newId()
    toasts.show(`${cause.next!.label}: that is version ${number}.`)
    await router.push(`/formulas/${batch.formulaId}`)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section v-for="one in seen" :key="one.trouble" class="sheet px-5 py-4">
    <div class="flex flex-wrap items-baseline gap-x-3">
      <h2 class="!text-[16px] font-bold" :class="one.kind.bad ? '!text-stop' : '!text-ink'">
        {{ one.kind.says }}
      </h2>
      <span class="text-ink-2"
        >{{ howBad[one.how] }},
        {{ say.list(one.when.map(({ day }) => dayText(day, { today }))) }}</span
      >
    </div>
    <p v-for="event in one.when.filter(({ note }) => note)" :key="event.id">{{ event.note }}</p>
    <p class="mt-1" :class="one.kind.bad ? 'font-semibold text-stop' : ''">{{ one.kind.bars }}</p>
    <h3 class="mt-3 text-[13px] font-[650] text-ink-2">Causes, by what this batch's record says</h3>
    <ul>
      <li
        v-for="cause in one.causes"
        :key="cause.says"
        class="grid grid-cols-[4.5rem_1fr] gap-x-3 gap-y-1 border-t border-line-2 py-2 sm:grid-cols-[4.5rem_1fr_auto]"
      >
        <b class="font-[650]" :class="cause.weight === 'likely' ? 'text-warn' : 'text-ink-2'">{{
          cause.weight
        }}</b>
        <div>
          {{ cause.says }}
          <p class="figure text-sm text-ink-2">{{ cause.evidence }}</p>
        </div>
        <span v-if="cause.next && formula" class="max-sm:col-start-2 print:hidden">
          <span v-if="isDone(cause)" class="text-sm text-ok">done in its formula</span>
          <AppButton v-else :disabled="busy" @click="makeNext(one.kind.says, cause)"
            >Next version: {{ cause.next.label }}</AppButton
          >
        </span>
      </li>
    </ul>
    <p v-if="!one.causes.length" class="text-ink-2">
      Nothing in the record points anywhere. Note what was different.
    </p>
  </section>
</template>
