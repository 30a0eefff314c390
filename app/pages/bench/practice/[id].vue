<script setup lang="ts">
import type { StoredFormula } from '#contracts/workshop'
import { faultsInFormula } from '#core/formula/faults'
import { freeze } from '#core/batch/freeze'
import type { Frozen } from '#contracts/result'
import type { RunEvent } from '#contracts/run'

/** A rehearsal of a formula with the stand-ins: full screen, nothing of it is recorded. */
definePageMeta({ bare: true })
const route = useRoute()
const { library } = storeToRefs(useMaterials())
const frozen = shallowRef<Frozen | null>(null)
const earlier = shallowRef<RunEvent[][]>([])
const problem = ref('')
const guided = route.query.guided === '1'
onMounted(async () => {
  try {
    const { document } = await api.get<StoredFormula>(`/api/formulas/${String(route.params.id)}`)
    const [fault] = faultsInFormula(document, library.value)
    if (fault) problem.value = `It is not complete yet, so it cannot be practised. ${fault.says}`
    else {
      earlier.value = (await earlierMarks(String(route.params.id))).map(({ events }) => events)
      frozen.value = freeze(document, library.value)
    }
  } catch (error) {
    problem.value = sentenceOf(error)
  }
})
useHead({ title: 'Rehearsal · Mantle' })
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/bench" label="To the bench" />
  <RehearsalAtBench v-else-if="frozen" :frozen="frozen" :guided="guided" :earlier="earlier" />
</template>
