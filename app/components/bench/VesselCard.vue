<script setup lang="ts">
import { Plus, Trash2 } from '@lucide/vue'
import { vesselStuffs, type VesselStuff } from '#contracts/benchWords'
import { stuffWords } from '#core/bench/plan/vessels'

/** The workshop's jugs and cups: what they take and what they weigh empty, so that the bench can subtract them. */
const workshop = useWorkshop()
const toasts = useToasts()
const none = {
  name: '',
  millilitres: null as number | null,
  grams: null as number | null,
  stuff: 'pp' as VesselStuff,
}
const draft = ref({ ...none })
type Vessels = typeof workshop.settings.vessels
async function keep(change: (now: Vessels) => Vessels) {
  try {
    await workshop.save((now) => ({ vessels: change(now.vessels) }))
    return true
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
    return false
  }
}
async function add() {
  const { name, millilitres, grams, stuff } = draft.value
  if (!name.trim() || !millilitres) return
  const vessel = { name: name.trim(), millilitres, grams: grams ?? 0, stuff }
  if (await keep((now) => [...now, vessel])) draft.value = { ...none }
}
async function remove(index: number) {
  const gone = workshop.settings.vessels[index]!
  const same = (one: Vessels[number]) => JSON.stringify(one) === JSON.stringify(gone)
  if (await keep((now) => now.filter((one) => !same(one))))
    toasts.show(`${gone.name} is gone.`, {
      undo: async () =>
        void (await keep((now) => [...now.slice(0, index), gone, ...now.slice(index)])),
    })
}
</script>

<template>
  <section class="sheet px-5 py-4" aria-label="Jugs and cups">
    <h2 class="mb-2">Jugs and cups</h2>
    <ul class="figure">
      <li
        v-for="(vessel, index) in workshop.settings.vessels"
        :key="vessel.name + index"
        class="flex items-center justify-between gap-2 border-t border-line-2 py-1"
      >
        <span class="min-w-0">{{ vessel.name }}</span>
        <span class="ml-auto text-ink-2"
          >{{ litres(vessel.millilitres) }}, {{ workshop.say.mass(vessel.grams) }} empty{{
            vessel.stuff ? `, ${stuffWords[vessel.stuff]}` : ''
          }}</span
        >
        <button
          type="button"
          class="p-1.5"
          :aria-label="`Remove ${vessel.name}`"
          @click="remove(index)"
        >
          <Trash2 :size="15" />
        </button>
      </li>
    </ul>
    <p v-if="!workshop.settings.vessels.length" class="text-ink-2">
      Name the jugs you use, as <b>Blue lye cup, 700 ml, 38 g</b>; the bench then knows which one
      does, and subtracts it.
    </p>
    <form class="mt-2 flex flex-wrap gap-2" @submit.prevent="add">
      <input
        v-model="draft.name"
        class="field min-w-32 flex-1"
        maxlength="60"
        aria-label="Name of the vessel"
        placeholder="Blue lye cup"
      />
      <NumberField
        v-model="draft.millilitres"
        label="It takes"
        unit="ml"
        class="w-24"
        :min="1"
        :max="200000"
      />
      <NumberField
        v-model="draft.grams"
        label="Weighs empty"
        kind="mass"
        class="w-24"
        :min="0"
        :max="50000"
      />
      <select v-model="draft.stuff" class="field" aria-label="Made of">
        <option v-for="stuff in vesselStuffs" :key="stuff" :value="stuff">
          {{ stuffWords[stuff] }}
        </option>
      </select>
      <AppButton @click="add"
        ><Plus :size="15" /><span class="sr-only">Add the vessel</span></AppButton
      >
    </form>
  </section>
</template>
