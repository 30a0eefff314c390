<script setup lang="ts">
/** At each new tin of lye: what does its label say? */
const { open: lacking, put } = useFormulaEditor()
const { settings } = storeToRefs(useWorkshop())
const drain = ref(false)
</script>

<template>
  <FirstSlip
    v-if="!lacking.length && settings.said.includes('scale')"
    question="lye-label"
    asks="Which lye is in the tin? Read its label."
  >
    <div class="grid grid-cols-3 gap-2">
      <SlipKey question="lye-label" :changes="{ lyeTin: { label: 'naoh', open: null } }">
        sodium hydroxide
        <small class="block font-normal">caustic soda, NaOH</small>
      </SlipKey>
      <SlipKey
        question="lye-label"
        :changes="{ lyeTin: { label: 'koh', open: null } }"
        :then="() => put(['alkali', 'kohShare'], 1)"
      >
        potassium hydroxide
        <small class="block font-normal">caustic potash, KOH</small>
      </SlipKey>
      <button
        type="button"
        class="rounded-sm border border-[#8c7c4f] bg-field px-3 py-1.5 font-semibold text-[#182022]"
        :aria-expanded="drain"
        @click="drain = true"
      >
        drain cleaner
        <small class="block font-normal">or it does not say</small>
      </button>
    </div>
    <p v-if="drain" role="alert" class="mt-2 font-semibold text-stop">
      Then it is no lye to make soap with: drain cleaner holds aluminium chips, bleach or unknown
      salts. Buy pure sodium hydroxide whose label says so.
    </p>
    <p v-else class="mt-2 text-sm text-ink-2">
      Potash weighed as soda leaves 29 % of the alkali out; soda weighed as potash puts 40 % too
      much in.
    </p>
  </FirstSlip>
</template>
