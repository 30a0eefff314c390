<script setup lang="ts">
import type { NewMarketEvent } from '#contracts/market'
import { addDays } from '#core/units/days'

/** Somebody asked for more of a soap by a day. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ asked: [event: NewMarketEvent] }>()
const { today } = storeToRefs(useWorkshop())
const formulas = useFormulas()
const wish = reactive({
  who: '',
  formulaId: formulas.list[0]?.id ?? '',
  bars: 6 as number | null,
  on: addDays(today.value, 42),
})
function keepWish() {
  const { who, formulaId, bars, on } = wish
  if (!who.trim() || !formulaId || !bars || !on) return
  emit('asked', { kind: 'asked', who, formulaId, bars, on })
  open.value = false
}
</script>

<template>
  <AppDialog v-model="open" title="Asked for">
    <form class="grid gap-3 px-5 py-4" @submit.prevent="keepWish">
      <FieldRow says="Who"
        ><input v-model="wish.who" class="field font-normal" maxlength="60"
      /></FieldRow>
      <FieldRow says="Of">
        <select v-model="wish.formulaId" class="field font-normal" aria-label="Of which soap">
          <option v-for="one in formulas.list" :key="one.id" :value="one.id">
            {{ one.document.name }}
          </option>
        </select>
      </FieldRow>
      <div class="flex flex-wrap gap-3">
        <LabelledNumber v-model="wish.bars" says="Bars" :min="1" :max="10000" :decimals="0" />
        <FieldRow says="By"
          ><input v-model="wish.on" type="date" class="field font-normal" :min="today"
        /></FieldRow>
      </div>
      <p class="text-ink-2">It stands on the shelf under Promised, with the day to pour for it.</p>
    </form>
    <template #actions
      ><AppButton kind="main" :disabled="!wish.who.trim() || !wish.bars" @click="keepWish"
        >Promise it</AppButton
      ></template
    >
  </AppDialog>
</template>
