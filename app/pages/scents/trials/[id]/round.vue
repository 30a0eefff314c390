<script setup lang="ts">
import type { WholeTrial } from '#contracts/trial'

/** The round of a trial day; from what this device remembers while Mantle is away. */
definePageMeta({ bare: true })
useHead({ title: 'Trial round · Mantle' })
const route = useRoute()
const scents = useScents()
const trials = useTrials()
const id = String(route.params.id)
const trial = shallowRef<WholeTrial | null>(null)
const problem = ref('')
onMounted(async () => {
  void scents.loadKnown()
  void trials.load()
  try {
    trial.value = await api.get<WholeTrial>(`/api/trials/${id}`)
  } catch (error) {
    trial.value = error instanceof ApiError && error.status > 0 ? null : rememberedTrial(id)
    if (!trial.value) problem.value = sentenceOf(error)
  }
})
</script>

<template>
  <main id="main">
    <RoundAtBench v-if="trial" :trial="trial" />
    <div v-else-if="problem" class="p-6">
      <h1>The round cannot be shown</h1>
      <p role="alert" class="font-semibold text-stop">{{ problem }}</p>
      <AppButton to="/scents" class="mt-3">All scents</AppButton>
    </div>
  </main>
</template>
