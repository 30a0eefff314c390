<script setup lang="ts">
import type { StripPlace } from '#contracts/rackWords'
import { lyePh, soapPh } from '#core/rack/usable'
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'

/** A pH strip: what it reads, where it was held, on which bar. */
const { batch } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const pots = usePots(() => batch)
const strip = reactive({
  ph: null as number | null,
  where: 'lather' as StripPlace,
  tooDry: false,
  bar: 1 as number | null,
  pot: null as number | null,
})
watchEffect(() => {
  const { ph } = strip
  answer.value = ph === null ? null : { kind: 'strip', ...strip, ph }
})
const verdict = computed(() => {
  const { ph, tooDry } = strip
  if (ph === null) return null
  if (tooDry)
    return {
      says: 'Too dry reads wrong. Wet it and hold a new strip; this one is kept and does not count.',
      bad: false,
    }
  if (batch.facts.builders)
    return {
      says: 'There is soda or silicate in it: its lather reads 10 to 11 without any free lye, so a strip decides nothing here. The weights do, and time.',
      bad: false,
    }
  if (ph > lyePh)
    return {
      says: 'Over 11: there may be free lye. The batch is locked: gloves on, no skin. Test several bars again in three days; if it stays, rework it with oil or throw it away as your local rules say.',
      bad: true,
    }
  if (ph > soapPh)
    return {
      says: batch.facts.cleaning
        ? 'Over 10: for a cleaning bar that may be all there is. It is held; test again in three days.'
        : 'Over 10: the batch is held, not for skin. It may still be saponifying; test again in three days.',
      bad: true,
    }
  return { says: '8 to 10 is soap.', bad: false }
})
</script>

<template>
  <div class="flex flex-wrap gap-x-5 gap-y-2">
    <LabelledNumber
      v-model="strip.ph"
      says="Reading"
      label="Reading of the strip"
      unit="pH"
      :min="5"
      :max="14"
      :step="1"
      :decimals="1"
    />
    <FieldRow says="Held on">
      <select v-model="strip.where" class="field font-normal">
        <option value="lather">lather</option>
        <option value="face">a wetted face</option>
      </select>
    </FieldRow>
    <LabelledNumber v-model="strip.bar" says="Bar" :min="1" :max="99" :decimals="0" />
    <label v-if="pots.length" class="grid content-start gap-1 font-semibold">
      Part
      <select v-model="strip.pot" class="field font-normal">
        <option :value="null">any</option>
        <option v-for="(name, pot) in pots" :key="pot" :value="pot">{{ name }}</option>
      </select>
    </label>
  </div>
  <label class="flex items-center gap-2"
    ><input v-model="strip.tooDry" type="checkbox" /> it was too dry</label
  >
  <p v-if="verdict" :class="verdict.bad ? 'font-semibold text-stop' : 'text-ink-2'">
    {{ verdict.says }}
  </p>
</template>
