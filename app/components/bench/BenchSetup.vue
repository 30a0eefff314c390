<script setup lang="ts">
import { usualSetup } from '#contracts/benchWords'
import { frozenStates, tools, type FrozenState, type Tool } from '#contracts/words'
import type { RunSetup } from '#contracts/run'
import type { PlanContext } from '#core/bench/plan/context'
import { frozenStateOf } from '#core/bench/plan/jug'
import { inSentence } from '#core/units/language'
import { lyeMayMelt } from '#core/bench/plan/fatSteps'
import { scentedAlike } from '#core/bench/plan/readySteps'
import type { Plan } from '#core/bench/plan/plan'
import { lyeByPot } from '#core/bench/plan/pots'
import { lyeJugStuffs, stuffWords } from '#core/bench/plan/vessels'

/** What the day and the maker decide: room, scale, thermometer, guard, and the ways that this formula leaves open. */
const { ctx, plan } = defineProps<{ ctx: PlanContext; plan: Plan; fixed: boolean }>()
const setup = defineModel<RunSetup>({ required: true })
const { settings, say } = storeToRefs(useWorkshop())
/** What brings it together, as the formula says where the day has nothing else. */
const toolWords = { blender: 'stick blender', whisk: 'whisk', spoon: 'spoon' } as const
const frozenMilk = computed(() => ctx.document.liquids.some(({ way }) => way === 'frozen'))
const ownLye = computed(() => lyeByPot(ctx.document))
const meltable = computed(() => lyeMayMelt(ctx))
/** The workshop's vessels that lye may go into, the roomiest enough first, and a jug that nobody weighed. */
const jugs = computed(() => {
  const room = plan.vessels.find(({ id }) => id.startsWith('lye-jug'))?.millilitres ?? 0
  return settings.value.vessels
    .filter(
      ({ grams, stuff, millilitres }) =>
        grams >= 10 && stuff && lyeJugStuffs.includes(stuff) && millilitres >= room,
    )
    .sort((a, b) => a.millilitres - b.millilitres)
    .map(({ name, grams, stuff }) => ({ name, jug: { grams, stuff: stuff! } }))
})
const sameJug = (jug: RunSetup['jug']) =>
  jug.grams === setup.value.jug.grams && jug.stuff === setup.value.jug.stuff
const chosenJug = computed(() => jugs.value.findIndex(({ jug }) => sameJug(jug)))
/** Pots that are scented, all with the same. */
const sharesScent = computed(() => plan.pots.length > 1 && scentedAlike(ctx.pots))
const mayDivide = computed(() => plan.pots.length > 1 && !ownLye.value)
</script>

<template>
  <section class="sheet px-5 py-4">
    <h2 class="mb-3">Today at the bench</h2>
    <fieldset :disabled="fixed" class="grid gap-3">
      <label class="flex items-center justify-between gap-3"
        >Room <TemperatureField v-model="setup.roomC" label="Room temperature" :min="-10" :max="45"
      /></label>
      <label class="flex items-center justify-between gap-3"
        >Lye jug
        <select
          class="field w-44"
          :value="chosenJug"
          @change="
            setup.jug =
              jugs[Number(($event.target as HTMLSelectElement).value)]?.jug ?? usualSetup.jug
          "
        >
          <option :value="-1">
            {{ stuffWords[chosenJug < 0 ? setup.jug.stuff : usualSetup.jug.stuff] }},
            {{ say.mass(chosenJug < 0 ? setup.jug.grams : usualSetup.jug.grams) }}
          </option>
          <option v-for="(one, index) in jugs" :key="one.name" :value="index">
            {{ one.name }}, {{ stuffWords[one.jug.stuff] }}, {{ say.mass(one.jug.grams) }}
          </option>
        </select></label
      >
      <label class="flex items-center justify-between gap-3"
        >The scale bears
        <NumberField
          label="The scale bears"
          kind="mass"
          class="w-28"
          :min="50"
          :max="500000"
          :model-value="setup.scaleMax"
          @update:model-value="$event !== null && (setup.scaleMax = $event)"
      /></label>
      <label v-if="ctx.scorches" class="flex items-center justify-between gap-3"
        >Milk stays under
        <TemperatureField v-model="setup.guardC" label="Milk stays under" :min="20" :max="60"
      /></label>
      <label class="flex items-center gap-2"
        ><input v-model="setup.thermometer" type="checkbox" /> A thermometer is at hand</label
      >
      <label class="flex items-center gap-2"
        ><input v-model="setup.sends" type="checkbox" /> A scale that sends what it shows</label
      >
      <label class="flex items-center justify-between gap-3"
        >Blended with
        <select
          class="field w-44"
          :value="setup.tool ?? ctx.document.method.tool"
          @change="setup.tool = ($event.target as HTMLSelectElement).value as Tool"
        >
          <option v-for="tool in tools" :key="tool" :value="tool">{{ toolWords[tool] }}</option>
        </select></label
      >
      <label v-if="frozenMilk" class="flex items-center justify-between gap-3"
        >The milk is
        <select
          class="field w-44"
          :value="frozenStateOf(ctx.document, setup)"
          @change="setup.frozen = ($event.target as HTMLSelectElement).value as FrozenState"
        >
          <option v-for="state in frozenStates" :key="state" :value="state">
            {{ inSentence(frozenWords[state].says) }}
          </option>
        </select></label
      >
      <label v-if="meltable" class="flex items-start gap-2">
        <input
          type="checkbox"
          class="mt-1"
          :checked="setup.meltBy === 'lye'"
          @change="setup.meltBy = ($event.target as HTMLInputElement).checked ? 'lye' : 'stove'"
        />
        <span
          >The hot lye melts the hard fats
          <small class="block text-sm text-ink-2"
            >no stove and no waiting; mixed hot, it thickens sooner</small
          ></span
        >
      </label>
      <label v-if="frozenMilk" class="flex items-start gap-2">
        <input v-model="setup.oilsOntoLye" type="checkbox" class="mt-1" />
        <span
          >Oils onto the milk-lye
          <small class="block text-sm text-ink-2">the one exception to lye into oils</small></span
        >
      </label>
      <label v-if="mayDivide" class="grid gap-1">
        Divide
        <select v-model="setup.divide" class="field">
          <option :value="null">as usual for this pour</option>
          <option value="batter">as batter, at emulsion</option>
          <option value="upfront">lye and oils, up front by weight</option>
        </select>
      </label>
      <label v-if="sharesScent" class="flex items-start gap-2">
        <input v-model="setup.bulkScent" type="checkbox" class="mt-1" />
        <span
          >One cup of scent for all pots, and of a colour that all take
          <small class="block text-sm text-ink-2">weighed once, then divided by weight</small></span
        >
      </label>
    </fieldset>
  </section>
</template>
