<script setup lang="ts">
import { traitRules } from '#core/character/coefficients'
import type { Traits } from '#core/character/traits'
import { traitsFelt, type Felt } from '#core/rack/feel'
import { inSentence } from '#core/units/language'

/** What tests of bars of this formula say of the estimates, where they say something else. */
const { say } = storeToRefs(useWorkshop())
const { traits, formulaId } = defineProps<{ traits: Traits; formulaId: string }>()
const felt = ref<Felt[]>([])
onMounted(async () => {
  felt.value = await api.get<Felt[]>(`/api/formulas/${formulaId}/felt`).catch(() => [])
})
const off = computed(() => traitsFelt(traits, felt.value).filter(({ says }) => says))
</script>

<template>
  <p v-if="off.length" class="figure border-t border-line-2 px-4 py-2 text-sm">
    <b class="font-[650]">By your own tests: </b>
    <span v-for="(one, place) in off" :key="one.trait">
      {{ inSentence(traitRules[one.trait].says) }} is {{ one.says }} than estimated,
      {{ Math.round(one.corrected) }} instead of {{ Math.round(one.estimate) }} ({{
        say.count(one.count, 'test', 'tests')
      }}){{ place < off.length - 1 ? ';' : '.' }}
    </span>
  </p>
</template>
