<script setup lang="ts">
import type { MakingDay } from '#contracts/day'
import type { MakingDayHere } from '~/composables/useMakingDay'

/** The hours, people and things of a day. */
const { here } = defineProps<{ here: MakingDayHere }>()
const open = defineModel<boolean>({ required: true })
const now = here.day.value!
const draft = reactive({
  day: now.day,
  begins: clockOf(now.begins),
  earliest: clockOf(now.earliest),
  people: now.people.map(({ name, until }) => ({
    name,
    until: until === null ? '' : clockOf(until),
  })),
  things: { ...now.things },
})
const moulds = reactive(Object.fromEntries(now.batches.map(({ id, mould }) => [id, mould ?? ''])))
const workshopMoulds = useMoulds()
const dialog = ref<{ kept: () => void }>()
const problem = ref('')
const things = [
  ['scales', 'Scales'],
  ['thermometers', 'Thermometers'],
  ['plates', 'Hot plates'],
  ['iceBaths', 'Ice baths'],
  ['blenders', 'Blenders'],
  ['warmPlaces', 'Warm places, oven or mat'],
  ['coolPlaces', 'Cool places'],
] as const satisfies readonly (readonly [keyof MakingDay['things'], string])[]
async function keep() {
  const begins = minuteOf(draft.begins)
  const earliest = minuteOf(draft.earliest)
  const names = draft.people.map(({ name }) => name.trim())
  if (!draft.day || begins === null || earliest === null)
    return void (problem.value = 'A day and times as 8:30, please.')
  if (names.some((name) => !name)) return void (problem.value = 'Everybody has a name.')
  if (new Set(names).size < names.length)
    return void (problem.value = 'Two people of one name: tell them apart.')
  const until = draft.people.map((one) => (one.until ? minuteOf(one.until) : null))
  if (until.some((minute) => minute !== null && minute <= begins + 30))
    return void (problem.value = 'Somebody leaves before the day has begun.')
  if (things.some(([key]) => !(draft.things[key] >= 1)))
    return void (problem.value = 'Of each thing at least one; what is not needed is not used.')
  problem.value = ''
  await here.change({
    day: draft.day,
    begins,
    earliest: Math.min(begins, earliest),
    people: names.map((name, nth) => ({ name, until: until[nth]! })),
    things: { ...draft.things },
    batches: here.day.value!.batches.map(({ id }) => ({ id, mould: moulds[id] || null })),
  })
  dialog.value?.kept()
  open.value = false
}
</script>

<template>
  <AppDialog ref="dialog" v-model="open" title="Hours, people, things" wide>
    <form class="grid gap-5 px-5 py-4" @submit.prevent="keep">
      <div class="grid gap-3 sm:grid-cols-3">
        <label class="grid gap-1 font-semibold"
          >Day <input v-model="draft.day" type="date" class="field font-normal"
        /></label>
        <label class="grid gap-1 font-semibold"
          >Begins at <input v-model="draft.begins" type="time" class="field font-normal"
        /></label>
        <label class="grid gap-1 font-semibold"
          >At the earliest <input v-model="draft.earliest" type="time" class="field font-normal"
        /></label>
      </div>
      <fieldset>
        <legend class="mb-1 font-bold">People</legend>
        <ul class="grid gap-2">
          <li
            v-for="(person, nth) in draft.people"
            :key="nth"
            class="flex flex-wrap items-center gap-3"
          >
            <input
              v-model="person.name"
              class="field w-44"
              maxlength="60"
              :aria-label="`Name of person ${nth + 1}`"
            />
            <label class="flex items-center gap-2"
              >leaves at
              <input
                v-model="person.until"
                type="time"
                class="field"
                :aria-label="`${person.name || 'Person'} leaves at`"
            /></label>
            <AppButton
              v-if="draft.people.length > 1"
              :aria-label="`Take ${person.name || 'this person'} off the day`"
              @click="draft.people.splice(nth, 1)"
              >Not there</AppButton
            >
          </li>
        </ul>
        <AppButton
          v-if="draft.people.length < 3"
          class="mt-2"
          @click="draft.people.push({ name: '', until: '' })"
          >Another pair of hands</AppButton
        >
      </fieldset>
      <fieldset>
        <legend class="mb-1 font-bold">Things</legend>
        <div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
          <label v-for="[key, says] in things" :key="key" class="grid gap-1"
            >{{ says }}
            <NumberField
              v-model="draft.things[key]"
              :label="says"
              :min="1"
              :max="12"
              :decimals="0"
              class="w-20"
          /></label>
        </div>
        <p class="mt-2 text-sm text-ink-2">
          Jugs and pans are those of <NuxtLink class="link" to="/bench">the bench</NuxtLink>:
          {{ here.say.value.count(here.settings.value.vessels.length, 'vessel', 'vessels') }}. A
          vessel that two batches need is rinsed between.
        </p>
      </fieldset>
      <fieldset v-if="here.onIt.value.length">
        <legend class="mb-1 font-bold">Moulds</legend>
        <div class="grid gap-2 sm:grid-cols-2">
          <label
            v-for="one in here.onIt.value"
            :key="one.id"
            class="flex items-center justify-between gap-3"
            ><span class="min-w-0 truncate"
              >{{ here.batches.value.get(one.id)?.number }}
              {{ here.batches.value.get(one.id)?.name }}</span
            >
            <select v-model="moulds[one.id]" class="field w-44">
              <option value="">not said</option>
              <option
                v-for="mould in workshopMoulds.list"
                :key="mould.id"
                :value="mould.document.name"
              >
                {{ mould.document.name }}, {{ mould.document.owned }}
              </option>
            </select></label
          >
        </div>
      </fieldset>
      <p v-if="problem" role="alert" class="text-stop">{{ problem }}</p>
      <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
    </form>
    <template #actions>
      <AppButton @click="open = false">Leave it</AppButton>
      <AppButton kind="main" @click="keep">Keep it</AppButton>
    </template>
  </AppDialog>
</template>
