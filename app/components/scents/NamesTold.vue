<script setup lang="ts">
import type { Revealed } from '#contracts/sniffing'
import type { Strength } from '#contracts/trialWords'
import { strengthText } from '#core/scents/finding'
import { plainSoap } from '~/utils/potDrawing'
import { median } from '#core/statistics/quantile'

/** After the last nose: what the jars were, on planks by how strong they are. */
const { revealed } = defineProps<{ revealed: Revealed }>()
const { say } = storeToRefs(useWorkshop())
const scents = useScents()
onMounted(() => void scents.loadKnown())
/** Steps of strength from which noses are said to differ. */
const differing = 2

const counted = ({ strengths }: Revealed['jars'][number]) =>
  strengths.filter(
    (strength, place): strength is Strength =>
      strength !== null && !revealed.apart.includes(revealed.noses[place]!),
  )
const jars = computed(() =>
  revealed.jars.map((jar) => {
    const heard = counted(jar)
    const middle = heard.length ? median(heard) : null
    const known = jar.scentId ? scents.known.get(jar.scentId) : undefined
    const before = known?.strength.findLast(({ day }) => day < jar.day)
    const differ = heard.length > 1 && Math.max(...heard) - Math.min(...heard) >= differing
    const word = middle === null ? '' : strengthText(middle)
    const fell =
      before && middle !== null && middle < before.middle && strengthText(before.middle) !== word
    return {
      ...jar,
      middle,
      word,
      differ,
      fell: fell ? strengthText(before.middle) : '',
      batter: known?.colour.at(-1)?.swatch ?? plainSoap,
      words: [...new Set(jar.said.flatMap((one) => one?.words ?? []))],
      unsure: jar.said.some((one) => one?.unsure),
    }
  }),
)
const planks = computed(() =>
  ([3, 2, 1, 0] as const)
    .map((strength) => ({
      strength,
      word: strengthText(strength),
      jars: jars.value.filter(({ word }) => word === strengthText(strength)),
    }))
    .filter(({ jars: on }) => on.length),
)
const left = computed(() => jars.value.filter(({ middle }) => middle === null))
const plain = computed(() => jars.value.filter(({ scentId }) => scentId === null))
const agree = computed(() => jars.value.filter(({ differ }) => !differ).length)
const days = computed(() => [...new Set(jars.value.map(({ day }) => day))].sort((a, b) => a - b))
</script>

<template>
  <div class="flex flex-wrap items-start gap-3">
    <div class="flex-1 basis-64">
      <h1>Lids off: the names</h1>
      <p class="figure text-ink-2">
        Day {{ say.list(days.map(String), 'and') }},
        {{ say.count(revealed.noses.length, 'nose', 'noses') }}, each in its own order
      </p>
    </div>
    <div class="sm:text-right">
      <p v-for="one in revealed.apart" :key="one" class="font-semibold text-warn">
        {{ one }} smelt something in plain soap: that round is kept, and set apart.
      </p>
      <p v-if="plain.length && !revealed.apart.length" class="font-bold text-ok">
        ✓ The plain one was gone for all.
      </p>
      <p v-if="revealed.noses.length > 1" class="figure text-ink-2">
        The noses agree within one step on {{ agree }} of {{ jars.length }}.
      </p>
    </div>
  </div>
  <section v-for="plank in planks" :key="plank.word" class="mt-4" :aria-label="plank.word">
    <div class="flex items-end gap-4 border-b-8 border-[#7d8986] pb-0.5">
      <div class="w-20 shrink-0">
        <SmellWaves v-if="plank.strength" :strength="plank.strength" class="w-16" />
        <h2 class="!text-[20px] font-bold !text-ink">{{ plank.word }}</h2>
      </div>
      <ul class="grid flex-1 grid-cols-2 gap-x-4 gap-y-3 sm:grid-cols-4">
        <li v-for="jar in plank.jars" :key="jar.code">
          <div class="flex items-end gap-2">
            <SniffJar class="w-[72px]" :code="jar.code" :batter="jar.batter" state="open" />
            <span class="flex gap-1.5 pb-1">
              <span
                v-for="(strength, place) in jar.strengths"
                :key="place"
                class="text-center text-[12px] text-ink-2"
                :class="revealed.apart.includes(revealed.noses[place]!) ? 'opacity-50' : ''"
                :title="revealed.noses[place]"
              >
                <StrengthMark :strength="strength" />
                {{ revealed.noses[place]!.slice(0, 1) }}
                <span class="sr-only"
                  >{{ revealed.noses[place] }}:
                  {{ strength === null ? 'not smelt' : strengthText(strength) }}</span
                >
              </span>
            </span>
          </div>
          <p class="leading-5">
            <NuxtLink
              v-if="jar.scentId"
              :to="`/scents/${jar.scentId}`"
              class="font-bold hover:underline"
              >{{ jar.name }}</NuxtLink
            >
            <b v-else>Plain, no scent</b>
            <span v-if="jar.differ" class="text-warn"> noses differ</span>
            <span v-if="jar.fell" class="text-warn"> fell from {{ jar.fell }}</span>
            <span v-if="jar.words.length || jar.unsure" class="block text-[13px] text-ink-2"
              >{{ say.list(jar.words) }}{{ jar.unsure ? ' ?' : '' }}</span
            >
          </p>
        </li>
      </ul>
    </div>
  </section>
  <p v-if="left.length" class="mt-3 text-ink-2">
    Not smelt: {{ say.list(left.map(({ code, name }) => `${code}, ${name}`)) }}.
  </p>
  <p class="mt-4 flex flex-wrap items-center justify-between gap-3">
    <span class="text-ink-2">It is kept, and counts for their scents from now on.</span>
    <AppButton kind="main" to="/scents/found">What the trials found</AppButton>
  </p>
</template>
