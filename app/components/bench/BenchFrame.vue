<script setup lang="ts">
import { lessonAt } from '#core/bench/plan/lessonAt'

/**
 * What every step looks like: heading, how, its own content, and the keys at the bottom; on a low screen the keys, or the digits,
 * stand at the right.
 */
defineProps<{ pad?: boolean }>()
const wide = useWideBench()
const { say } = storeToRefs(useWorkshop())
const bench = useBench()
const needs = useDayNeeds()
const { step, missing, locked, plan, done } = bench
/** What earlier batches taught about this step. */
const lessons = computed(() =>
  done.value ? [] : bench.lessons.filter(({ about }) => lessonAt(about, step.value!)),
)
</script>

<template>
  <section
    v-if="step"
    class="bench-step grid min-h-0 flex-1"
    :class="pad ? 'with-pad' : ''"
    :aria-label="step.says"
  >
    <div
      class="min-h-0 overflow-y-auto px-4 pt-4 pb-4 [grid-area:body] sm:px-9 sm:pt-6 low:px-4 low:pt-2"
    >
      <h1 class="text-[24px] leading-tight font-bold text-ink sm:text-[30px] low:text-[22px]">
        {{ step.says }}<template v-if="needs"> · {{ needs.whose }}</template>
      </h1>
      <p
        class="mt-1 text-[16px] leading-snug text-ink-2 sm:text-[18px] low:hidden"
        :class="pad ? 'max-sm:hidden' : ''"
      >
        {{ step.how }}
      </p>
      <p
        v-if="step.why"
        class="mt-1 text-[15px] text-ink-3 low:hidden"
        :class="pad ? 'max-sm:hidden' : ''"
      >
        {{ step.why }}
      </p>
      <p
        v-for="lesson in lessons"
        :key="lesson.id"
        class="mt-2 border-l-4 border-[#7fb69b] pl-3 text-[16px]"
      >
        <b>Lesson of batch {{ lesson.number }}.</b> <em>{{ lesson.says }}</em>
      </p>
      <p v-if="done" class="mt-2 text-[16px] font-semibold text-[#9fd1b8]">
        Done. You are only looking; the arrows lead on.
      </p>
      <p
        v-if="missing.length"
        class="mt-2 border-l-4 border-[#f3c24b] pl-3 text-[16px] text-[#f3c24b]"
      >
        First:
        {{ say.list(missing.slice(0, 3).map(({ short }) => short))
        }}{{ missing.length > 3 ? ' …' : '' }}
      </p>
      <div
        v-if="locked"
        role="alert"
        class="mt-4 bg-[#7d2218] px-4 py-3 text-[18px] font-semibold text-white"
      >
        <template v-if="plan.agrees">No number before the safety check is through.</template>
        <template v-else
          >The lye was worked out in two ways that do not agree, so it is not shown. Do not make
          this batch; check the formula.</template
        >
        <button
          v-if="plan.agrees"
          type="button"
          class="ml-2 min-h-11 underline"
          @click="bench.open('gate')"
        >
          To the check
        </button>
      </div>
      <slot v-else />
      <p
        v-if="step.how"
        class="mt-4 hidden text-[16px] text-ink-2 low:block"
        :class="pad ? 'max-sm:block' : ''"
      >
        {{ step.how }} {{ step.why }}
      </p>
      <BenchSide v-if="!wide" />
    </div>
    <div
      v-if="$slots.foot && !locked"
      class="border-t border-line px-3 pt-2 [grid-area:foot] sm:px-9 low:px-2 low:pb-2"
    >
      <slot name="foot" />
    </div>
    <div
      class="keys flex flex-wrap gap-2 border-t border-line px-3 py-3 [grid-area:keys] sm:gap-3.5 sm:px-9 sm:py-5"
    >
      <BenchKey
        v-if="needs"
        quiet
        class="max-sm:!flex-none"
        says="Who needs me"
        :hint="needs.hint"
        @click="needs.go()"
      />
      <slot name="keys" />
    </div>
    <div v-if="pad" class="pad hidden [grid-area:pad]"><slot name="pad" /></div>
  </section>
</template>

<style scoped>
.bench-step {
  grid-template: 'body' minmax(0, 1fr) 'foot' auto 'keys' auto / minmax(0, 1fr);
}
@media (max-height: 599.98px) {
  .bench-step {
    grid-template: 'body keys' minmax(0, 1fr) 'foot keys' auto / minmax(0, 1fr) clamp(
        190px,
        28vw,
        248px
      );
  }
  .keys {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 8px;
    align-content: start;
    overflow-y: auto;
    border-top: 0;
    border-left: 1px solid var(--color-line);
    background: #1c2426;
    padding: 8px;
  }
  .bench-step.with-pad {
    grid-template:
      'body pad' minmax(0, 1fr)
      'keys pad' auto / minmax(0, 1fr) clamp(190px, 28vw, 248px);
  }
  .with-pad .keys {
    display: flex;
    flex-wrap: nowrap;
    border-left: 0;
    background: none;
  }
  .with-pad .pad {
    display: block;
    overflow-y: auto;
    border-left: 1px solid var(--color-line);
    background: #1c2426;
    padding: 8px;
  }
}
</style>
