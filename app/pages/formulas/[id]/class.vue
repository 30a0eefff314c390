<script setup lang="ts">
import { safetyCheckOf } from '#core/bench/run/safetyCheck'
import { computeFormula } from '#core/formula/compute'
import { classSheet } from '#core/learning/teaching'
import { barsOf } from '#core/mould/bars'

/** A formula for a class: what all pairs take together, and a page for each pair with its own lye and a gate that is signed. */
const { library } = storeToRefs(useMaterials())
const { settings, today } = storeToRefs(useWorkshop())
const pairs = ref<number | null>(4)
const oils = ref<number | null>(null)
const { id, document, problem, unit, scale, say, weightOf } = useTeachingPaper((formula) => {
  const whole = computeFormula(formula.document, library.value).oils
  oils.value = Math.min(500, Math.round(whole / 50) * 50 || whole)
})
useHead({ title: () => `${document.value?.name ?? 'Formula'} for a class · Mantle` })
const count = computed(() => Math.max(1, Math.min(24, Math.round(pairs.value ?? 1))))
const sheet = computed(() =>
  document.value && oils.value
    ? classSheet(
        document.value,
        library.value,
        { pairs: count.value, oils: oils.value },
        scale.value,
      )
    : null,
)
const agrees = computed(() => sheet.value?.each.secondOpinion.agrees ?? false)
const bars = computed(() =>
  document.value && sheet.value
    ? barsOf(
        { ...document.value, size: { by: 'oils', grams: oils.value } },
        sheet.value.each.result.batter,
      )
    : 0,
)
const gate = computed(() => (document.value ? safetyCheckOf(document.value) : []))
</script>

<template>
  <ProblemPage v-if="problem" :says="problem" to="/formulas" label="All formulas" />
  <PrintPage v-else-if="document && sheet" :title="`${document.name} for a class`">
    <template #actions><AppButton :to="`/formulas/${id}`">To the formula</AppButton></template>
    <form class="no-print mb-4 flex flex-wrap items-end gap-4" @submit.prevent>
      <label class="grid gap-1 text-[13px] text-ink-2"
        >Pairs
        <NumberField v-model="pairs" label="Pairs" class="w-20" :min="1" :max="24" :decimals="0" />
      </label>
      <label class="grid gap-1 text-[13px] text-ink-2"
        >Oils for each pair, g
        <NumberField
          v-model="oils"
          label="Oils for each pair, g"
          class="w-28"
          :min="100"
          :max="5000"
          :decimals="0"
        />
      </label>
      <OneOf
        v-model="unit"
        label="Unit of the paper"
        :options="[
          { is: 'metric', says: 'g' },
          { is: 'imperial', says: 'oz' },
        ]"
      />
      <p class="text-[13px] text-ink-2">
        {{ say.count(count + 1, 'page', 'pages') }}: one for the table, one for each pair.
      </p>
    </form>
    <p v-if="!agrees" role="alert" class="mb-3 bg-stop px-4 py-3 font-semibold text-white">
      The lye was worked out in two ways that do not agree. Do not teach this; check the formula.
    </p>
    <article class="sheet px-6 py-5 print:px-0 print:py-0" aria-label="For the table">
      <h2 class="!text-[22px] !font-bold !text-ink">{{ document.name }}, a class of pairs</h2>
      <p class="text-ink-2">
        {{ say.count(count, 'pair', 'pairs') }}, {{ say.amount(oils ?? 0) }} of oils each,
        {{ dayText(today, { long: true, today: '' }) }}
      </p>
      <table class="figure mt-4 w-full">
        <thead>
          <tr class="border-b-2 border-ink text-left">
            <th scope="col" class="py-1">To lay out</th>
            <th scope="col" class="text-right">each pair</th>
            <th scope="col" class="text-right">all {{ count }}</th>
          </tr>
        </thead>
        <PaperGroups v-slot="{ line }" :groups="sheet.groups">
          <td class="text-right font-[650]">{{ weightOf(line.substance, line.grams, agrees) }}</td>
          <td class="text-right">{{ weightOf(line.substance, line.all, agrees) }}</td>
        </PaperGroups>
      </table>
      <p class="mt-3 font-semibold">
        Every pair weighs its own lye into its own cup, with its name on it: lye is never shared out
        of one jug.
      </p>
      <h3 class="mt-5 font-bold">Signed before any lye is opened</h3>
      <table class="mt-1 w-full">
        <thead>
          <tr class="border-b border-line text-left text-[13px] text-ink-2">
            <th scope="col" class="py-1 font-normal">Pair</th>
            <th scope="col" class="font-normal">Names</th>
            <th scope="col" class="font-normal">Goggles, gloves, sleeves seen</th>
            <th scope="col" class="font-normal">Lye weight read back</th>
            <th scope="col" class="font-normal">Teacher</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="pair in count" :key="pair" class="h-[10mm] border-b border-line-3">
            <th scope="row" class="pr-3 text-left">{{ pair }}</th>
            <td class="w-[34%] border-r border-line-2" />
            <td class="w-[20%] border-r border-line-2" />
            <td class="w-[20%] border-r border-line-2" />
            <td class="w-[20%]" />
          </tr>
        </tbody>
      </table>
    </article>
    <article
      v-for="pair in count"
      :key="pair"
      class="sheet mt-6 break-before-page px-6 py-5 print:mt-0 print:px-0 print:py-0"
      :aria-label="`Pair ${pair}`"
    >
      <header class="flex flex-wrap items-baseline justify-between gap-x-6">
        <h2 class="!text-[22px] !font-bold !text-ink">Pair {{ pair }}: {{ document.name }}</h2>
        <p class="text-ink-2">
          {{ say.percent(sheet.each.superfat, 1) }} superfat, about
          {{ say.count(bars, 'bar', 'bars') }}
        </p>
      </header>
      <p class="mt-2 flex gap-6">
        <span class="flex-1 border-b border-ink pb-1">Names</span>
        <span class="w-[34mm] border-b border-ink pb-1">Day</span>
      </p>
      <section class="mt-4 border-2 border-ink px-4 py-3">
        <h3 class="font-bold">Gate: no lye before all five are ticked and signed</h3>
        <ul class="mt-1">
          <li v-for="point in gate" :key="point.id" class="flex items-start gap-3 py-1">
            <span class="mt-0.5 inline-block size-[5mm] shrink-0 border border-ink" />{{
              point.says
            }}
          </li>
        </ul>
        <p class="mt-3 flex gap-6">
          <span class="flex-1 border-b border-ink pb-1">Signed, one of the pair</span>
          <span class="flex-1 border-b border-ink pb-1">and the teacher</span>
        </p>
      </section>
      <table class="figure mt-4 w-full">
        <PaperGroups v-slot="{ line }" :groups="sheet.groups" how>
          <td class="text-right font-[650]">{{ weightOf(line.substance, line.grams, agrees) }}</td>
          <td class="w-[36mm] pl-6 text-ink-2">weighed ______</td>
        </PaperGroups>
      </table>
      <p class="mt-3">
        Lye into the water, never water onto lye; stir until it is clear; let it stand where nobody
        reaches over it. At {{ say.temperature(document.method.lyeC) }} and oils at
        {{ say.temperature(document.method.oilsC) }} they meet. On skin: running water at once. In
        an eye: fifteen minutes of water, then a doctor ({{ settings.emergency.ambulance }}).
      </p>
    </article>
  </PrintPage>
</template>
