<script setup lang="ts">
/** What every step looks like: heading, how, its own content, and the keys at the bottom. */
const { say } = storeToRefs(useWorkshop())
const bench = useBench()
const { step, missing, locked, plan, done } = bench
</script>

<template>
  <section v-if="step" class="flex min-h-0 flex-1 flex-col" :aria-label="step.says">
    <div class="min-h-0 flex-1 overflow-y-auto px-4 pt-4 pb-4 sm:px-9 sm:pt-6">
      <h1 class="text-[24px] leading-tight font-bold text-ink sm:text-[30px]">{{ step.says }}</h1>
      <p class="mt-1 text-[16px] leading-snug text-ink-2 sm:text-[18px]">{{ step.how }}</p>
      <p v-if="step.why" class="mt-1 text-[15px] text-ink-3">{{ step.why }}</p>
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
    </div>
    <div class="flex flex-none gap-2 border-t border-line px-3 py-3 sm:gap-3.5 sm:px-9 sm:py-5">
      <slot name="keys" />
    </div>
  </section>
</template>
