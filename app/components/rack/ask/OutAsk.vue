<script setup lang="ts">
import { outWords } from '#core/events/out'
import { outs, type Out } from '#contracts/rackWords'
import { standingOf } from '#core/rack/standing'
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'

/** Bars that go, and to whom. */
const { batch } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const { today } = storeToRefs(useWorkshop())
const left = computed(() => standingOf(batch, today.value).bars)
const out = reactive({ bars: left.value as number | null, how: 'sold' as Out, to: '' })
watchEffect(() => (answer.value = out.bars ? { kind: 'out', ...out, bars: out.bars } : null))
</script>

<template>
  <div class="flex flex-wrap items-end gap-3">
    <LabelledNumber v-model="out.bars" says="Bars" :min="1" :max="left" :decimals="0" />
    <select v-model="out.how" class="field" aria-label="Where they went">
      <option v-for="how in outs" :key="how" :value="how">{{ outWords[how] }}</option>
    </select>
    <span class="pb-1.5 text-ink-2">of {{ left }} left</span>
  </div>
  <FieldRow says="To whom, or what for">
    <input v-model="out.to" class="field font-normal" maxlength="120" />
  </FieldRow>
</template>
