<script setup lang="ts">
import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { flagKinds, flagsOf, flagsText } from '#core/materials/flags'
import type { Library } from '#core/materials/library'
import { inSentence } from '#core/units/language'

/** For whom something in it matters, each with what brings it; nothing where there is nothing. */
const {
  document,
  result,
  library,
  brief = false,
} = defineProps<{
  document: Pick<FormulaDocument, 'use'>
  result: FormulaResult
  library: Library
  /** On one line, for paper. */
  brief?: boolean
}>()
const { say } = storeToRefs(useWorkshop())
const flags = computed(() => flagsOf(document, result, library))
</script>

<template>
  <p v-if="brief && flags.length" class="figure">
    <b class="font-[650]">Who should know:</b> {{ flagsText(flags, say) }}
  </p>
  <section v-else-if="flags.length" aria-label="Who should know">
    <h2>Who should know</h2>
    <ul class="figure flex flex-wrap gap-x-4">
      <li v-for="{ id, from } in flags" :key="id">
        <b class="font-[650]">{{ flagKinds[id].says }}</b>: {{ say.list(from.map(inSentence)) }}
        <span class="text-ink-2">({{ flagKinds[id].minds }})</span>
      </li>
    </ul>
  </section>
</template>
