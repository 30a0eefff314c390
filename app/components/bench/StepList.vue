<script setup lang="ts">
import { Check } from '@lucide/vue'
import { isDone } from '#core/bench/run/run'
import type { Step } from '#core/bench/plan/step'

/** The whole plan at the side: what is done, what is on, what comes, with the weights that were taken. */
const bench = useBench()
const { plan, state, step, next, ctx } = bench
const emit = defineEmits<{ picked: [] }>()
const say = computed(() => ctx.value.say)
function figure(one: Step): string {
  if (!one.weigh) return ''
  if (one.lye && !bench.state.value.steps.get('gate')?.doneAt && one.weigh.substance === 'lye')
    return ''
  const grams = isDone(state.value, one.id)
    ? state.value.steps.get(one.id)!.grams
    : (state.value.targets[one.id] ?? one.weigh.grams)
  return say.value.massFigure(grams)
}
const list = ref<HTMLOListElement>()
watch(
  () => step.value?.id,
  () =>
    void nextTick(() =>
      list.value?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' }),
    ),
  { immediate: true },
)
function pick(id: string) {
  bench.open(id)
  emit('picked')
}
</script>

<template>
  <ol ref="list" class="figure overflow-y-auto py-2" aria-label="Steps">
    <li v-for="(one, place) in plan.steps" :key="one.id">
      <button
        type="button"
        class="grid min-h-[37px] w-full grid-cols-[34px_1fr_auto] items-center px-4 py-1.5 text-left text-[15px] max-lg:min-h-14"
        :class="
          one.id === step?.id
            ? 'bg-chalk font-bold text-[#182022]'
            : isDone(state, one.id)
              ? 'text-[#9aa8a6]'
              : one.id === next?.id
                ? 'text-ink'
                : 'text-ink-2'
        "
        :aria-current="one.id === step?.id ? 'step' : undefined"
        @click="pick(one.id)"
      >
        <span>
          <Check
            v-if="isDone(state, one.id)"
            :size="17"
            class="text-[#7fb69b]"
            aria-label="done:"
          />
          <template v-else>{{ place + 1 }}</template>
        </span>
        <span class="min-w-0 pr-2">{{ one.short }}</span>
        <span>{{ figure(one) }}</span>
      </button>
    </li>
  </ol>
</template>
