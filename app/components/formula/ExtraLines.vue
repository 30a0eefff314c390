<script setup lang="ts">
import type { AdditiveMoment, FormulaDocument, ScentLine } from '#contracts/formula'
import { additiveMoments, liquidMoments } from '#contracts/words'
import type { KnownScent } from '#contracts/scent'
import { nameOfExtra } from '#core/formula/names'
import {
  isEstimate,
  lineGrams,
  sayAs,
  scentDensity,
  waysToMeasure,
  type Measure,
} from '#core/formula/measure'
import { milkWay, milkWays, scorches, scorchingLiquids, setMilkWay } from '#core/water/milk'
import { momentNames, wayNames } from '~/utils/moments'
import { findingOf } from '#core/scents/finding'
import { likeIt, mediumMinutes } from '#core/scents/like'
import { sumOf } from '#core/statistics/sum'
import { roundTo } from '#core/statistics/roundTo'
import { inSentence } from '#core/units/language'

const { library } = storeToRefs(useMaterials())
const { document, result, change, put } = useFormulaEditor()
const { say } = storeToRefs(useWorkshop())

type Kind = 'liquids' | 'additives' | 'scents'
function remove(kind: Kind, index: number) {
  change({
    ...document.value,
    [kind]: document.value[kind].filter((_, place) => place !== index),
  })
}
const removal = (kind: Kind, index: number) => ({
  says: 'Remove',
  danger: true,
  act: () => remove(kind, index),
})
const askMax = ref<number | null>(null)
const maxOpen = computed({
  get: () => askMax.value !== null,
  set: (value) => {
    if (!value) askMax.value = null
  },
})
const waterShare = computed(() => 1 - sumOf(document.value.liquids, (_, index) => shareOf(index)))
/** Milk goes in by one of three ways, each with its own steps and temperatures; other liquids simply go somewhere. */
const liquidEntries = (index: number) => {
  const line = document.value.liquids[index]!
  const liquid = library.value.liquids.get(line.id)
  const ways = liquid && scorches(liquid) ? milkWays : []
  return [
    ...ways
      .filter((way) => way.id !== line.way || way.moment !== line.moment)
      .map((way) => ({
        says: way.says,
        act: () => change(setMilkWay(document.value, index, way.id)),
      })),
    ...liquidMoments
      .filter((moment) => moment !== line.moment && !(ways.length && moment !== 'trace'))
      .map((moment) => ({
        says: `Pour it ${momentNames[moment]}`,
        act: () => put(['liquids', index], { ...line, moment, way: 'poured' }),
      })),
    line.grams === undefined
      ? {
          says: 'Hold its weight',
          act: () =>
            put(['liquids', index], {
              ...line,
              share: undefined,
              grams: roundTo(result.value.liquids[index]?.grams ?? 0, 2),
            }),
        }
      : {
          says: 'Let it be a share of the liquid',
          act: () => put(['liquids', index], { ...line, grams: undefined, share: shareOf(index) }),
        },
    removal('liquids', index),
  ]
}
/** A liquid's share of all that is poured. */
function shareOf(index: number) {
  const { liquids, water } = result.value
  const all = water.weighed + water.inSolution + sumOf(liquids, ({ grams }) => grams)
  return all > 0 ? roundTo(liquids[index]!.grams / all) : 0
}
const liquidWords = (line: FormulaDocument['liquids'][number]) =>
  line.moment === 'lye' && line.way !== 'poured' ? wayNames[line.way] : momentNames[line.moment]
const milk = computed(() => {
  const [first] = scorchingLiquids(document.value, library.value)
  if (!first || first.line.moment === 'trace') return null
  return { ...milkWay(first.line.way), name: first.liquid.name }
})
const additiveEntries = (index: number) => [
  ...additiveMoments
    .filter((moment) => moment !== additiveMoment(index))
    .map((moment) => ({
      says: `Add it ${momentNames[moment]}`,
      act: () => put(['additives', index, 'moment'], moment),
    })),
  ...carrierEntries(index),
  ...measureEntries('additives', index),
  removal('additives', index),
]
/** Records that have the name of a line which points to none. */
const recordsOf = (index: number) => {
  const { id, name } = document.value.scents[index]!
  const { scents = new Map() } = library.value
  if (scents.has(id)) return []
  const plain = (text: string) => text.trim().toLowerCase()
  return [...scents.values()].filter((known) => plain(known.name) === plain(name ?? id))
}
function join(index: number, known: KnownScent) {
  const { maxOfBar: _, ...line } = document.value.scents[index]!
  put(['scents', index], { ...line, id: known.id, name: known.name })
}
/** Scents like the one of a line that leave more time, and less. */
function likeEntries(index: number) {
  const { scents } = library.value
  const known = scents?.get(document.value.scents[index]!.id)
  if (!known || !scents) return []
  const { calmer, faster } = likeIt(known, scents.values())
  const entry = (says: string) => (one: KnownScent) => {
    const minutes = mediumMinutes(one)!
    const time = Number.isFinite(minutes)
      ? `${say.value.number(minutes, undefined, 0)} min`
      : 'over an hour'
    const pots = say.value.count(one.tried.length, 'pot', 'pots')
    return {
      says: `${says} like it: ${one.name}, ${time} in ${pots}`,
      act: () => join(index, one),
    }
  }
  return [
    ...calmer.slice(0, 1).map(entry('A calmer one')),
    ...faster.slice(0, 1).map(entry('A faster one')),
  ]
}
const scentEntries = (index: number) => [
  ...recordsOf(index).map((known) => ({
    says: `Join to its record${known.scent.code ? `, ${known.scent.code}` : ''}`,
    act: () => join(index, known),
  })),
  ...(library.value.scents?.has(document.value.scents[index]!.id)
    ? [
        {
          says: 'What is known of it',
          act: () => void navigateTo(`/scents/${document.value.scents[index]!.id}`),
        },
      ]
    : []),
  ...likeEntries(index),
  { says: 'Maximum in the finished bar…', act: () => (askMax.value = index) },
  document.value.scents[index]!.moment === 'trace'
    ? { says: 'Add it to the oils', act: () => put(['scents', index, 'moment'], 'oils') }
    : { says: 'Add it at trace', act: () => put(['scents', index, 'moment'], 'trace') },
  ...measureEntries('scents', index),
  removal('scents', index),
]
/** The moment and the dispersing oil, where they are not what goes without saying. */
function additiveAlso(index: number) {
  const line = document.value.additives[index]!
  const words = []
  const moment = additiveMoment(index)
  if (moment !== library.value.additives.get(line.id)?.moment) words.push(momentNames[moment])
  if (line.carrier) words.push(`in ${line.carrier.ratio ?? 0} parts oil`)
  return say.value.list(words) || undefined
}
function additiveMoment(index: number): AdditiveMoment {
  const line = document.value.additives[index]!
  return line.moment ?? library.value.additives.get(line.id)?.moment ?? 'trace'
}

type Extra = 'additives' | 'scents'
const densityOf = (kind: Extra, index: number) => {
  const line = document.value[kind][index]!
  return kind === 'additives'
    ? (library.value.additives.get(line.id)?.density ?? 1)
    : scentDensity((line as ScentLine).name ?? line.id)
}
/** What a common extra weighs over all pots; a part's own share of the same material is not in it. */
const gramsOf = (kind: Extra, index: number) => {
  const { oils, batter, parts } = result.value
  const line = document.value[kind][index]!
  if (!parts.length || kind === 'additives')
    return lineGrams(line, densityOf(kind, index), oils, batter, library.value.spoons)
  return result.value.scents.find(({ id }) => id === line.id)?.grams ?? 0
}
function weightOf(kind: Extra, index: number) {
  const estimate = isEstimate(document.value[kind][index]!) ? '≈ ' : ''
  return estimate + say.value.massFigure(gramsOf(kind, index))
}
function remeasure(kind: Extra, index: number, measure: Measure) {
  put([kind, index], { ...document.value[kind][index]!, ...measure })
}
const measureEntries = (kind: Extra, index: number) => {
  const { oils, batter } = result.value
  return waysToMeasure.map((way) => ({
    says: `Say it as ${way.says}`,
    act: () =>
      remeasure(
        kind,
        index,
        sayAs(
          way.id,
          gramsOf(kind, index),
          densityOf(kind, index),
          oils,
          batter,
          library.value.spoons,
        ),
      ),
  }))
}
/** Colours that want oil: where that oil comes from decides the superfat. */
const carrierEntries = (index: number) => {
  const line = document.value.additives[index]!
  const disperse = library.value.additives.get(line.id)?.disperse
  const carrierOf = (from: 'formula' | 'extra') => {
    const liquid = document.value.fats.find(
      (fat) => library.value.fats.get(fat.id)?.stateAt20 === 'liquid',
    )
    return { id: liquid?.id ?? 'sunflower', ratio: disperse?.ratio ?? 2, from }
  }
  if (disperse?.in !== 'oil' && !line.carrier) return []
  return [
    ...(line.carrier?.from !== 'formula' && document.value.fats.length
      ? [
          {
            says: 'Disperse in oil of the formula',
            act: () => put(['additives', index, 'carrier'], carrierOf('formula')),
          },
        ]
      : []),
    ...(line.carrier?.from !== 'extra'
      ? [
          {
            says: 'Disperse in extra oil',
            act: () => put(['additives', index, 'carrier'], carrierOf('extra')),
          },
        ]
      : []),
    ...(line.carrier
      ? [
          {
            says: 'No oil to disperse in',
            act: () => put(['additives', index, 'carrier'], null),
          },
        ]
      : []),
  ]
}
function scentAlso(index: number) {
  const scent = document.value.scents[index]!
  const words = scent.moment === 'oils' ? ['in the oils'] : []
  if (scent.maxOfBar != null) words.push(`max ${say.value.percent(scent.maxOfBar, 2)}`)
  const known = library.value.scents?.get(scent.id)
  if (known?.tried.length) words.unshift(findingOf(known, say.value).says)
  else if (recordsOf(index).length) words.push('has a record: ⋮ joins it')
  return say.value.list(words) || undefined
}
</script>

<template>
  <section v-if="document.liquids.length" aria-label="Liquid" class="border-t border-line">
    <div class="flex justify-between px-3 pt-2 pb-1">
      <h2>Liquid</h2>
      <span class="text-[12.5px] text-ink-3">share of liquid</span>
    </div>
    <ul>
      <LineRow
        colour="var(--color-water)"
        name="Water, in the lye"
        :weight="say.massFigure(result.water.weighed)"
        :entries="[]"
      >
        <span class="figure pr-2 text-right">{{ say.percent(waterShare) }}</span>
      </LineRow>
      <LineRow
        v-for="(line, index) in document.liquids"
        :key="index"
        :colour="substanceColour('liquid', line.id, library)"
        :name="`${result.liquids[index]?.name}, ${liquidWords(line)}`"
        :weight="say.massFigure(result.liquids[index]?.grams ?? 0)"
        :entries="liquidEntries(index)"
      >
        <NumberField
          v-if="line.grams !== undefined"
          kind="mass"
          :label="`${result.liquids[index]?.name}, weight`"
          :model-value="line.grams"
          :min="0"
          :max="1000000"
          @update:model-value="put(['liquids', index, 'grams'], $event)"
        />
        <NumberField
          v-else
          kind="percent"
          :label="`${result.liquids[index]?.name}, share of liquid`"
          :model-value="line.share ?? null"
          :min="0"
          :max="1"
          @update:model-value="put(['liquids', index, 'share'], $event)"
        />
      </LineRow>
    </ul>
    <details v-if="milk" class="px-3 pb-2 text-sm text-ink-2">
      <summary class="cursor-pointer font-semibold">
        How: {{ inSentence(milk.name) }}, {{ inSentence(milk.says) }}
      </summary>
      <ol class="mt-1 list-decimal space-y-1 pl-5">
        <li v-for="step in milk.steps" :key="step">{{ say.inUnits(step) }}</li>
      </ol>
    </details>
  </section>
  <section
    v-if="document.additives.length || document.scents.length"
    aria-label="Extras and scent"
    class="border-t border-line"
  >
    <div class="flex justify-between px-3 pt-2 pb-1">
      <h2>{{ document.additives.length ? 'Extras and scent' : 'Scent' }}</h2>
      <span class="text-[12.5px] text-ink-3">weight</span>
    </div>
    <ul>
      <LineRow
        v-for="(line, index) in document.additives"
        :key="index"
        :colour="substanceColour('additive', line.id, library)"
        :name="nameOfExtra(line.id, library)"
        :also="additiveAlso(index)"
        :weight="weightOf('additives', index)"
        :entries="additiveEntries(index)"
      >
        <MeasureField
          :label="nameOfExtra(line.id, library)"
          :line="line"
          :most="2"
          @measure="remeasure('additives', index, $event)"
        />
      </LineRow>
      <LineRow
        v-for="(line, index) in document.scents"
        :key="index"
        :colour="substanceColour('scent', line.id, library)"
        :name="line.name ?? line.id"
        :also="scentAlso(index)"
        :weight="weightOf('scents', index)"
        :entries="scentEntries(index)"
      >
        <MeasureField
          :label="line.name ?? line.id"
          :line="line"
          :most="0.5"
          @measure="remeasure('scents', index, $event)"
        />
      </LineRow>
    </ul>
    <LazyAskDialog
      v-if="askMax !== null"
      v-model="maxOpen"
      title="Maximum in the finished bar"
      label="Share of the bar"
      text="From the supplier's safety sheet, for a product that is washed off."
      hint="Leave it empty when there is none. Mantle compares it with the bar when long dried."
      kind="percent"
      :min="0.0001"
      :max="1"
      :value="document.scents[askMax]?.maxOfBar ?? null"
      @number="put(['scents', askMax!, 'maxOfBar'], $event)"
    />
  </section>
</template>
