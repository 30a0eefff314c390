<script setup lang="ts">
import type { RunSetup } from '#contracts/run'
import type { PlanContext } from '#core/bench/plan/context'
import { isHard } from '#core/bench/plan/fatSteps'
import type { Plan } from '#core/bench/plan/plan'
import { lyeByPot } from '#core/bench/plan/pots'

/** What the day and the maker decide: room, scale, thermometer, guard, and the ways that this formula leaves open. */
const { ctx, plan } = defineProps<{ ctx: PlanContext; plan: Plan; fixed: boolean }>()
const setup = defineModel<RunSetup>({ required: true })
const frozenMilk = computed(() => ctx.document.liquids.some(({ way }) => way === 'frozen'))
const ownLye = computed(() => lyeByPot(ctx.document))
const meltable = computed(
  () =>
    !ctx.scorches && !ownLye.value && ctx.document.fats.some(({ id }) => isHard(ctx.library, id)),
)
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
    </fieldset>
  </section>
</template>
