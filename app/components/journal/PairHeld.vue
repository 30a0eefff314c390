<script setup lang="ts">
import { inSentence } from '#core/units/language'
import type { Batch } from '#contracts/batch'
import type { FormulaDocument } from '#contracts/formula'
import type { Figure } from '#core/learning/figures'
import type { Difference, PairAnswer } from '#core/learning/pair'

/** Two batches beside each other: what differs, what of it may explain what came, and the one thing to change by itself. */
const { batches, held, outcomes, busy } = defineProps<{
  batches: readonly [Batch, Batch]
  held: PairAnswer
  outcomes: readonly Figure[]
  busy: boolean
}>()
const emit = defineEmits<{
  outcome: [id: string]
  version: [document: FormulaDocument, says: string]
}>()
const { say } = storeToRefs(useWorkshop())
const value = (place: 0 | 1) => {
  const known = held.values[place]
  return known === null || !held.outcome ? 'not written down' : held.outcome.text(known, say.value)
}
const make = (one: Difference) => one.changed && emit('version', one.changed, one.says)
</script>

<template>
  <section
    class="grid grid-cols-1 rounded-sm bg-slate-2 p-2 lg:grid-cols-[minmax(0,776fr)_minmax(0,440fr)]"
    aria-label="Two batches"
  >
    <div class="min-w-0 bg-sheet px-5 pt-6 pb-6 sm:px-8">
      <h2 class="!text-[26px] !leading-tight font-bold !text-ink sm:!text-[29px]" role="status">
        {{ held.title }}
      </h2>
      <p class="mt-1 text-[15px] text-ink-2">{{ held.says }}</p>
      <div class="mt-5 grid grid-cols-2 border-b-8 border-plank">
        <div v-for="place in [0, 1] as const" :key="place" class="flex flex-col items-start gap-1">
          <NuxtLink class="link text-[15px] font-[650]" :to="`/batches/${batches[place].id}`"
            >{{ batches[place].name }} {{ batches[place].number }}</NuxtLink
          >
          <span class="figure text-[15px]">{{ value(place) }}</span>
          <BarThumbnail :thumbnail="batches[place].thumbnail" :width="88" :height="56" />
        </div>
      </div>
      <table v-if="held.differences.length" class="mt-4 w-full text-[14px] max-sm:block">
        <thead class="max-sm:sr-only">
          <tr class="border-b border-line text-left text-[13px] text-ink-2">
            <th scope="col" class="py-1 font-normal">What differs</th>
            <th scope="col" class="font-normal">{{ batches[0].number }}</th>
            <th scope="col" class="font-normal">{{ batches[1].number }}</th>
            <th scope="col" class="font-normal">What that does</th>
          </tr>
        </thead>
        <tbody class="max-sm:block">
          <tr
            v-for="one in held.differences"
            :key="one.id"
            class="border-b border-line-2 align-top max-sm:grid max-sm:grid-cols-2 max-sm:py-2"
            :class="one.explains ? 'bg-act-ground' : ''"
          >
            <th scope="row" class="py-1.5 pr-3 text-left font-[650] max-sm:col-span-2">
              {{ one.says }}
            </th>
            <td class="figure py-1.5 pr-3">{{ one.one }}</td>
            <td class="figure py-1.5 pr-3">{{ one.other }}</td>
            <td class="py-1.5 max-sm:col-span-2">
              <template v-if="one.effect"
                ><b v-if="one.explains">likely explains: </b>{{ one.effect.says }}</template
              >
              <span v-else class="text-ink-2">nobody knows</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div
      class="border-line-3 bg-sheet px-5 pt-6 pb-6 max-lg:border-t-2 lg:border-l-2 lg:border-dashed"
    >
      <label class="grid gap-1 text-[13px] text-ink-2"
        >What came of it
        <select
          class="field max-w-full text-[15px] text-ink"
          :value="held.outcome?.id ?? ''"
          @change="emit('outcome', ($event.target as HTMLSelectElement).value)"
        >
          <option value="" disabled>Nothing that both say differs</option>
          <option v-for="one in outcomes" :key="one.id" :value="one.id">{{ one.says }}</option>
        </select>
      </label>
      <p class="mt-4 text-[15px]">
        Two batches are no experiment: what explains it is what a model or your other batches give
        that effect, and no more than likely.
      </p>
      <template v-if="held.first?.changed">
        <h2 class="mt-6">Change one</h2>
        <p class="mt-1 text-[13.5px] text-ink-2">
          {{ batches[1].name }} as it was in batch {{ batches[1].number }}, with one thing as in
          batch {{ batches[0].number }}: its next version.
        </p>
        <AppButton
          kind="main"
          class="mt-3 w-full justify-center"
          :disabled="busy"
          @click="make(held.first!)"
          >Only {{ inSentence(held.first.says) }}:
          {{ held.first.id === 'fats' ? `as in ${batches[0].number}` : held.first.one }}</AppButton
        >
        <ul class="mt-3 grid gap-1 text-[13.5px]">
          <li
            v-for="one in held.differences.filter((each) => each.changed && each !== held.first)"
            :key="one.id"
          >
            <button type="button" class="link text-left" :disabled="busy" @click="make(one)">
              Only {{ inSentence(one.says) }}
            </button>
          </li>
        </ul>
      </template>
      <p class="mt-6">
        <NuxtLink class="link" :to="`/batches/compare?a=${batches[0].id}&b=${batches[1].id}`"
          >All of both, side by side</NuxtLink
        >
      </p>
    </div>
  </section>
</template>
