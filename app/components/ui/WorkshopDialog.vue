<script setup lang="ts">
import type { Fault } from '#contracts/faults'
import type { Workshop } from '#contracts/workshop'

const workshop = useWorkshop()
const draft = ref<Workshop>({ ...workshop.settings })
const faults = ref<Fault[]>([])
const open = computed({
  get: () => workshop.dialogOpen,
  set: (value) => (workshop.dialogOpen = value),
})
const zones = Intl.supportedValuesOf('timeZone')
const currencies = Intl.supportedValuesOf('currency')
const scales = [0.01, 0.1, 0.5, 1, 2, 5] as const

async function done() {
  try {
    await workshop.save(draft.value)
    open.value = false
  } catch (error) {
    faults.value = error instanceof ApiError ? error.faults : []
  }
}
</script>

<template>
  <AppDialog v-model="open" title="Workshop">
    <form class="grid gap-4 px-5 py-4" @submit.prevent="done">
      <label class="grid gap-1 font-semibold">
        Name
        <input v-model="draft.name" class="field font-normal" maxlength="80" />
      </label>
      <fieldset class="grid gap-1">
        <legend class="mb-1 font-semibold">Units</legend>
        <label class="flex items-center gap-2"
          ><input v-model="draft.units" type="radio" value="metric" /> grams and °C</label
        >
        <label class="flex items-center gap-2"
          ><input v-model="draft.units" type="radio" value="imperial" /> ounces and °F</label
        >
      </fieldset>
      <label class="grid gap-1 font-semibold">
        The scale reads in steps of
        <select v-model.number="draft.scale" class="field w-32 font-normal">
          <option v-for="scale in scales" :key="scale" :value="scale">{{ scale }} g</option>
        </select>
      </label>
      <label class="grid gap-1 font-semibold">
        Time zone
        <select v-model="draft.timeZone" class="field font-normal">
          <option v-if="!zones.includes(draft.timeZone)" :value="draft.timeZone">
            {{ draft.timeZone }}
          </option>
          <option v-for="zone in zones" :key="zone" :value="zone">{{ zone }}</option>
        </select>
      </label>
      <div class="flex flex-wrap gap-4">
        <label class="grid gap-1 font-semibold">
          Currency
          <select v-model="draft.currency" class="field font-normal">
            <option v-for="code in currencies" :key="code" :value="code">{{ code }}</option>
          </select>
        </label>
        <LabelledNumber
          v-model="draft.leastFattyMatter"
          says="Fatty matter at pour, at least"
          label="Least fatty matter"
          kind="percent"
          :min="0"
          :max="1"
        />
        <p class="self-end pb-1 text-sm font-normal text-ink-2">
          Where a standard asks for it; else leave it empty.
        </p>
      </div>
      <p v-for="fault in faults" :key="fault.path" role="alert" class="text-stop">
        {{ fault.path === 'name' ? 'Name: ' : '' }}{{ fault.says }}
      </p>
      <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
    </form>
    <template #actions>
      <AppButton @click="open = false">Cancel</AppButton>
      <AppButton kind="main" @click="done">Keep</AppButton>
    </template>
  </AppDialog>
</template>
