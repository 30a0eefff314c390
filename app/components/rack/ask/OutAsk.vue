<script setup lang="ts">
import { outWords, whyNotOut } from '#core/events/out'
import { outs, type Out } from '#contracts/rackWords'
import { standingOf } from '#core/rack/standing'
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'

/** Bars that go, and to whom. */
const { batch } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const { today } = storeToRefs(useWorkshop())
const left = computed(() => standingOf(batch, today.value).bars)
const out = reactive({ bars: left.value as number | null, how: 'sold' as Out, to: '' })
/** What was paid for all of them. */
const paid = ref<number | null>(null)
const whyNot = computed(() => whyNotOut(batch.facts, out.bars ?? 1, out.how))
watchEffect(() => {
  const price = paid.value === null ? {} : { price: paid.value }
  answer.value =
    out.bars && !whyNot.value
      ? { kind: 'out', ...out, bars: out.bars, ...(out.how === 'sold' ? price : {}) }
      : null
})
</script>

<template>
  <div class="flex flex-wrap items-end gap-3">
    <LabelledNumber v-model="out.bars" says="Bars" :min="1" :max="left" :decimals="0" />
    <select v-model="out.how" class="field" aria-label="Where they went">
      <option v-for="how in outs" :key="how" :value="how">{{ outWords[how] }}</option>
    </select>
    <span class="pb-1.5 text-ink-2">of {{ left }} left</span>
  </div>
  <p v-if="whyNot" role="alert" class="font-semibold text-warn">{{ whyNot }}</p>
  <FieldRow says="To whom, or what for">
    <input v-model="out.to" class="field font-normal" maxlength="120" />
  </FieldRow>
  <FieldRow v-if="out.how === 'sold'" says="Paid for all of them">
    <MoneyField v-model="paid" label="Paid for all of them" class="w-32" />
  </FieldRow>
</template>
