<script setup lang="ts">
import { computeFormula } from '#core/formula/compute'
import { gramsPer } from '#core/units/measures'
import { sumOf } from '#core/statistics/sum'

/** Which citric acid is in the jar: the crystal decides how much lye it takes. */
const { document, change } = useFormulaEditor()
const { library } = storeToRefs(useMaterials())
const { say } = storeToRefs(useWorkshop())
const kinds = [
  { jar: 'anhydrous', says: 'Anhydrous', also: 'powder, no water' },
  { jar: 'monohydrate', says: 'Monohydrate', also: '“·H₂O” on it' },
] as const
type Jar = (typeof kinds)[number]['jar']
const isCitric = ({ id }: { id: string }) => id.startsWith('citric-acid')
const with_ = (jar: Jar) => ({
  ...document.value,
  additives: document.value.additives.map((line) =>
    isCitric(line) ? { ...line, id: `citric-acid-${jar}` } : line,
  ),
})
/** Finer than the scale, or the two crystals would look alike. */
const finely = (grams: number) =>
  say.value.system === 'metric'
    ? `${say.value.number(grams, 1)} g`
    : `${say.value.number(grams / gramsPer.oz, 3)} oz`
const taken = (jar: Jar) =>
  sumOf(
    computeFormula(with_(jar), library.value).additives.filter(isCitric),
    ({ naohTaken }) => naohTaken,
  )
</script>

<template>
  <FirstSlip
    v-if="document.additives.some(isCitric)"
    question="citric-acid"
    asks="Which citric acid is in your jar?"
  >
    <div class="grid grid-cols-3 gap-2">
      <SlipKey
        v-for="kind in kinds"
        :key="kind.jar"
        question="citric-acid"
        :changes="{ citricAcid: kind.jar }"
        :then="() => change(with_(kind.jar))"
      >
        {{ kind.says }}
        <small class="block font-normal">{{ kind.also }}</small>
        <small class="block font-normal">takes {{ finely(taken(kind.jar)) }} of lye</small>
      </SlipKey>
      <SlipKey
        question="citric-acid"
        :changes="{ citricAcid: 'monohydrate' }"
        :then="() => change(with_('monohydrate'))"
        >It does not say</SlipKey
      >
    </div>
    <p class="mt-2 text-sm text-ink-2">
      Until you say, monohydrate: it takes a tenth less lye, the safe side.
    </p>
  </FirstSlip>
</template>
