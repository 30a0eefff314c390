<script setup lang="ts">
/** Nothing is in the stores yet: what they are for, and the one line to begin with. */
const line = ref('')
const router = useRouter()
const begin = () =>
  router.push({ path: '/stores/receive', query: line.value ? { line: line.value } : {} })
const steps = [
  { form: 'bucket', colour: '#e3c97f', says: 'Write down what comes in, as you would on its lid.' },
  {
    form: 'jar',
    colour: '#c99a2e',
    says: 'Weigh at the bench: each gram goes off its lot by itself.',
  },
  {
    form: 'drum',
    colour: '#8f9b3a',
    says: 'See what runs out when, what a bar cost, and who has which lot.',
  },
] as const
</script>

<template>
  <section class="mx-auto max-w-3xl py-10 text-center">
    <h1>Nothing is in the stores yet</h1>
    <p class="mt-2 text-ink-2">
      A typed line is enough to begin with. What you do not keep count of, Mantle does not ask for.
    </p>
    <ol class="mt-8 grid gap-6 sm:grid-cols-3">
      <li v-for="(step, nth) in steps" :key="nth" class="grid justify-items-center gap-3">
        <span class="flex h-24 items-end"
          ><StockVessel
            :form="step.form"
            :fill="0.9 - nth * 0.3"
            :colour="step.colour"
            :scale="0.95"
        /></span>
        <span class="h-2.5 w-full border-b-2 border-[#5c6663] bg-plank" aria-hidden="true" />
        <span>{{ step.says }}</span>
      </li>
    </ol>
    <form class="mt-8 flex gap-3" @submit.prevent="begin">
      <input
        v-model="line"
        class="field flex-1 py-2.5 text-[16px]"
        placeholder="5 kg olive 31.00 best 8/27 lot K12"
        aria-label="What came in, as you would write it"
      />
      <AppButton kind="main" @click="begin">Put it away</AppButton>
    </form>
    <p class="mt-4"><NuxtLink to="/stores/receive" class="link">Read a table instead</NuxtLink></p>
  </section>
</template>
