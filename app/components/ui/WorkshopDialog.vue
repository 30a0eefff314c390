<script setup lang="ts">
import type { Fault } from '#contracts/faults'
import type { Workshop } from '#contracts/workshop'
import { scaleSteps } from '#contracts/words'

const workshop = useWorkshop()
/** As they were when this dialog opened: what another window changes meanwhile is not taken back by it. */
const before = plain(workshop.settings)
const draft = ref<Workshop>(plain(before))
const faults = ref<Fault[]>([])
const open = computed({
  get: () => workshop.dialogOpen,
  set: (value) => (workshop.dialogOpen = value),
})
const zones = Intl.supportedValuesOf('timeZone')
const currencies = Intl.supportedValuesOf('currency')
const degrees = computed({
  get: () => draft.value.degrees ?? (draft.value.units === 'metric' ? 'C' : 'F'),
  set: (value) => (draft.value.degrees = value),
})
/** A new tin has a new label: what the old one said no longer holds, and the next formula asks again. */
function newTin() {
  draft.value.lyeTin = { label: null, open: null }
  draft.value.said = draft.value.said.filter((one) => one !== 'lye-label' && one !== 'lye-open')
}

async function done() {
  try {
    const said = new Set(draft.value.said)
    for (const one of ['scale', 'weights', 'degrees'] as const) said.add(one)
    if (draft.value.citricAcid) said.add('citric-acid')
    if (draft.value.lyeTin.label) said.add('lye-label')
    await workshop.save({ ...draft.value, said: [...said] }, before)
    open.value = false
  } catch (error) {
    faults.value = error instanceof ApiError ? error.faults : []
  }
}
</script>

<template>
  <AppDialog v-model="open" title="Workshop">
    <form class="grid gap-4 px-5 py-4" @submit.prevent="done">
      <FieldRow says="Name">
        <input v-model="draft.name" class="field font-normal" maxlength="80" />
      </FieldRow>
      <div class="grid gap-4 sm:grid-cols-3">
        <fieldset class="grid content-start gap-1">
          <legend class="mb-1 font-semibold">Weights</legend>
          <label class="flex items-center gap-2"
            ><input v-model="draft.units" type="radio" value="metric" /> grams</label
          >
          <label class="flex items-center gap-2"
            ><input v-model="draft.units" type="radio" value="imperial" /> ounces</label
          >
        </fieldset>
        <fieldset class="grid content-start gap-1">
          <legend class="mb-1 font-semibold">Degrees</legend>
          <label class="flex items-center gap-2"
            ><input v-model="degrees" type="radio" value="C" /> °C</label
          >
          <label class="flex items-center gap-2"
            ><input v-model="degrees" type="radio" value="F" /> °F</label
          >
        </fieldset>
        <fieldset class="grid content-start gap-1">
          <legend class="mb-1 font-semibold">A teaspoon holds</legend>
          <label class="flex items-center gap-2"
            ><input v-model="draft.spoons" type="radio" value="metric" /> 5 ml, metric</label
          >
          <label class="flex items-center gap-2"
            ><input v-model="draft.spoons" type="radio" value="us" /> 4.93 ml, US</label
          >
        </fieldset>
      </div>
      <div class="flex flex-wrap gap-4">
        <FieldRow says="The scale reads in steps of">
          <select v-model.number="draft.scale" class="field w-40 font-normal">
            <option v-for="step in scaleSteps" :key="step.grams" :value="step.grams">
              {{ step.says }}
            </option>
          </select>
        </FieldRow>
        <FieldRow says="Citric acid in the jar">
          <select v-model="draft.citricAcid" class="field font-normal">
            <option :value="null">nobody has read the label</option>
            <option value="anhydrous">anhydrous</option>
            <option value="monohydrate">monohydrate</option>
          </select>
        </FieldRow>
      </div>
      <div class="flex flex-wrap items-end gap-4">
        <FieldRow says="The open tin of lye says">
          <select v-model="draft.lyeTin.label" class="field font-normal">
            <option :value="null">nobody has read the label</option>
            <option value="naoh">sodium hydroxide</option>
            <option value="koh">potassium hydroxide</option>
          </select>
        </FieldRow>
        <AppButton @click="newTin">A new tin of lye</AppButton>
      </div>
      <FieldRow says="Time zone">
        <select v-model="draft.timeZone" class="field font-normal">
          <option v-if="!zones.includes(draft.timeZone)" :value="draft.timeZone">
            {{ draft.timeZone }}
          </option>
          <option v-for="zone in zones" :key="zone" :value="zone">{{ zone }}</option>
        </select>
      </FieldRow>
      <div class="flex flex-wrap gap-4">
        <FieldRow says="Currency">
          <select v-model="draft.currency" class="field font-normal">
            <option v-for="code in currencies" :key="code" :value="code">{{ code }}</option>
          </select>
        </FieldRow>
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
      <div class="flex flex-wrap gap-4">
        <FieldRow says="Ambulance">
          <input
            v-model="draft.emergency.ambulance"
            class="field w-40 font-normal"
            type="tel"
            maxlength="40"
          />
        </FieldRow>
        <FieldRow says="Poison centre">
          <input
            v-model="draft.emergency.poison"
            class="field w-52 font-normal"
            type="tel"
            maxlength="40"
          />
        </FieldRow>
        <p class="self-end pb-1 text-sm font-normal text-ink-2">
          Behind the bench’s Emergency key, and on every printed plan.
        </p>
      </div>
      <p v-for="fault in faults" :key="fault.path" role="alert" class="text-stop">
        {{ fault.path === 'name' ? 'Name: ' : '' }}{{ fault.says }}
      </p>
      <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
    </form>
    <template #actions="{ close }">
      <NuxtLink to="/workshop" class="link mr-auto self-center" @click="open = false"
        >Devices and backup</NuxtLink
      >
      <AppButton @click="close">Cancel</AppButton>
      <AppButton kind="main" @click="done">Keep</AppButton>
    </template>
  </AppDialog>
</template>
