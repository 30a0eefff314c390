<script setup lang="ts">
import type { Plan } from '#core/bench/plan/plan'

/** The vessels to lay out by size, with the workshop's own that will do, and the tools beside them. */
defineProps<{ plan: Plan }>()
const { settings } = storeToRefs(useWorkshop())
/** The smallest of the workshop's vessels that takes it; it need not be quite as roomy as advised. */
const ownVessel = (size: number) =>
  [...settings.value.vessels]
    .sort((a, b) => a.millilitres - b.millilitres)
    .find(({ millilitres }) => millilitres >= size * 0.75)
</script>

<template>
  <section class="sheet px-5 py-4">
    <h2 class="mb-2">Vessels, smallest size that does</h2>
    <ul class="grid gap-1.5">
      <li
        v-for="vessel in plan.vessels"
        :key="vessel.id"
        class="figure flex items-baseline justify-between gap-3"
      >
        <span class="min-w-0"
          >{{ vessel.says }}
          <small class="block text-sm text-ink-2"
            >{{ vessel.of }}; holds {{ litres(vessel.millilitres)
            }}<template v-if="ownVessel(vessel.size)"
              >; {{ ownVessel(vessel.size)!.name }} does</template
            ></small
          >
        </span>
        <b class="shrink-0 font-[650]">{{ litres(vessel.size) }}</b>
      </li>
    </ul>
    <h2 class="mt-4 mb-2">Beside it</h2>
    <ul class="list-disc pl-4">
      <li v-for="tool in plan.tools" :key="tool">{{ tool }}</li>
    </ul>
  </section>
</template>
