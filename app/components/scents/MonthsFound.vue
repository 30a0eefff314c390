<script setup lang="ts">
import type { KnownScent, TriedPot } from '#contracts/scent'
import type { Strength } from '#contracts/trialWords'
import { differenceWord } from '#core/scents/colour'
import { strengthText } from '#core/scents/finding'
import { noseDays } from '#core/scents/noses'

/** Strength as the noses wrote it, and the colour beside plain, over three months. */
const { known, pots } = defineProps<{ known: KnownScent; pots: readonly TriedPot[] }>()
const { say } = storeToRefs(useWorkshop())
const noses = computed(() => [
  ...new Set(pots.flatMap(({ strength }) => strength.map(({ nose }) => nose))),
])
const days = computed(() =>
  noseDays.map((day) => ({
    day,
    middle: known.strength.find((one) => one.day === day)?.middle ?? null,
    sniffs: noses.value.map((nose): { nose: string; strength?: Strength; words?: string[] } => ({
      nose,
      ...pots
        .flatMap(({ strength }) => strength)
        .find((one) => one.day === day && one.nose === nose),
    })),
    colour: known.colour.find((one) => one.day === day) ?? null,
  })),
)
/** What several noses smelt in it, each word once. */
const wordsOf = (sniffs: readonly { words?: string[] }[]) =>
  say.value.list([...new Set(sniffs.flatMap(({ words = [] }) => words))])
const latest = computed(() => known.colour.at(-1) ?? null)
const card = computed(() => known.colour.every((one) => one.card))
</script>

<template>
  <div>
    <table class="w-full table-fixed">
      <caption class="sr-only">
        How strong it smells and how far its colour is from plain, by day
      </caption>
      <thead>
        <tr>
          <td class="w-24 pb-1 text-ink-2">day</td>
          <th
            v-for="one in days"
            :key="one.day"
            scope="col"
            class="pb-1 text-left font-normal text-ink-2"
          >
            <span class="sr-only">day </span>{{ say.number(one.day) }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <th scope="row" class="text-left align-top font-bold">Strength</th>
          <td v-for="one in days" :key="one.day" class="pb-2 align-top">
            <template v-if="one.middle !== null">
              <b>{{ strengthText(one.middle) }}</b>
              <span v-if="wordsOf(one.sniffs)" class="block text-xs text-ink-2">{{
                wordsOf(one.sniffs)
              }}</span>
              <span class="mt-0.5 flex gap-[3px]">
                <span
                  v-for="sniff in one.sniffs"
                  :key="sniff.nose"
                  class="text-center text-xs text-ink-2"
                >
                  <StrengthMark :strength="sniff.strength ?? null" />
                  <span :title="sniff.nose">{{ sniff.nose.slice(0, 1) }}</span>
                </span>
              </span>
            </template>
            <span v-else class="text-ink-2">–</span>
          </td>
        </tr>
        <tr>
          <th scope="row" class="text-left align-middle">
            <b>Colour</b><br /><span class="text-sm font-normal text-ink-2">plain above</span>
          </th>
          <td v-for="one in days" :key="one.day" class="h-[58px] p-0 align-middle">
            <span
              v-if="one.colour"
              class="flex h-full flex-col border-y border-ink/60 [print-color-adjust:exact]"
            >
              <span class="flex-1" :style="{ background: one.colour.plain }" />
              <span
                class="figure flex flex-1 items-center px-2 font-semibold text-[#182022]"
                :style="{ background: one.colour.swatch }"
                >{{ say.number(one.colour.from, undefined, 1) }}</span
              >
            </span>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="mt-1 text-sm text-ink-2">
      {{
        noses.length
          ? `${say.count(noses.length, 'nose', 'noses')}, blind`
          : 'Nobody has sniffed yet'
      }}
      <template v-if="latest">
        · {{ differenceWord(latest.from) }} by day {{ latest.day }}, photo beside plain{{
          card ? ', with a card' : ': without a card, as the camera made it'
        }}</template
      >
    </p>
  </div>
</template>
