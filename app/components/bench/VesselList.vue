<script setup lang="ts">
import type { Plan } from '#core/bench/plan/plan'
import type { VesselPlan } from '#core/bench/plan/step'
import { ownVessels, vesselGroups } from '#core/bench/plan/vessels'

/** The vessels to lay out by size, with the workshop's own that will do, and the tools beside them. */
const { plan } = defineProps<{ plan: Plan }>()
const { settings, say } = storeToRefs(useWorkshop())
const own = computed(() => ownVessels(plan.vessels, settings.value.vessels))
const groups = computed(() => vesselGroups(plan.vessels))
/** What a group is: itself, or how many of what. */
const groupSays = (group: VesselPlan[]) =>
  group.length > 1 ? `${group.length} × ${group[0]!.called}` : group[0]!.says
const ownOf = (group: VesselPlan[]) => group.flatMap(({ id }) => own.value.get(id) ?? [])
</script>

<template>
  <section class="sheet px-5 py-4">
    <h2 class="mb-2">Vessels, smallest size that does</h2>
    <ul class="grid gap-1.5">
      <li
        v-for="group in groups"
        :key="group[0]!.id"
        class="figure flex items-baseline justify-between gap-3"
      >
        <span class="min-w-0"
          >{{ groupSays(group) }}
          <small class="block text-sm text-ink-2"
            >{{ group[0]!.of }}; holds
            {{ litres(Math.max(...group.map(({ millilitres }) => millilitres)))
            }}<template v-if="ownOf(group).length"
              >; {{ say.list(ownOf(group)) }}
              {{ say.plural(ownOf(group).length, 'does', 'do') }}</template
            ></small
          >
        </span>
        <b class="shrink-0 font-[650]">{{ litres(group[0]!.size) }}</b>
      </li>
    </ul>
    <h2 class="mt-4 mb-2">Beside it</h2>
    <ul class="list-disc pl-4">
      <li v-for="tool in plan.tools" :key="tool">{{ tool }}</li>
    </ul>
  </section>
</template>
