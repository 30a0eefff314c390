<script setup lang="ts">
import type { Additive } from '#core/materials/additives'
import type { Fat } from '#core/materials/fat'
import { plainName } from '#core/materials/find'
import { library, type Material } from '#core/materials/library'
import type { Liquid } from '#core/materials/liquids'
import { sources } from '#core/materials/sources'

/** Everything a formula may hold, with where each value comes from; two or three side by side. */
useHead({ title: 'Materials · Mantle' })
const { say } = storeToRefs(useWorkshop())
const query = ref('')
const kind = ref<'all' | Material['kind']>('all')
const state = ref<'any' | Fat['stateAt20']>('any')
const origin = ref('any')
const chosen = ref<string[]>(['fat olive', 'fat coconut'])
const most = 3

const all: Material[] = [
  ...library.fats.values(),
  ...library.liquids.values(),
  ...library.additives.values(),
]
const keyOf = (material: Material) => `${material.kind} ${material.id}`
const kinds = { fat: 'Fats, butters, waxes, acids', liquid: 'Liquids', additive: 'Extras' } as const
const origins = [...new Set([...library.fats.values()].flatMap((fat) => fat.origin))].sort()
const textOf = (material: Material) =>
  plainName(
    [
      material.name,
      material.id,
      ...material.aliases,
      material.kind === 'fat'
        ? `${material.latin} ${material.inci} ${material.origin.join(' ')}`
        : '',
      material.kind === 'additive' ? material.group : '',
    ].join(' '),
  )
const texts = new Map(all.map((material) => [keyOf(material), textOf(material)]))
const found = computed(() => {
  const words = plainName(query.value).split(' ').filter(Boolean)
  return all.filter((material) => {
    if (kind.value !== 'all' && material.kind !== kind.value) return false
    if (state.value !== 'any' && (material.kind !== 'fat' || material.stateAt20 !== state.value))
      return false
    if (
      origin.value !== 'any' &&
      (material.kind !== 'fat' || !material.origin.some((from) => from === origin.value))
    )
      return false
    return words.every((word) => texts.get(keyOf(material))!.includes(word))
  })
})
const compared = computed(() => all.filter((material) => chosen.value.includes(keyOf(material))))
function toggle(key: string) {
  chosen.value = chosen.value.includes(key)
    ? chosen.value.filter((other) => other !== key)
    : [...chosen.value, key].slice(-most)
}

const certainty = { standard: 'standard', handbook: 'handbook', trade: 'trade' } as const
const from = (source: keyof typeof sources) =>
  `${certainty[sources[source].certainty]}: ${sources[source].title}`
type Fact = [name: string, value: string, source?: string]
function factsOfFat(fat: Fat): Fact[] {
  return [
    [
      'Saponification value',
      `${say.value.number(fat.sap.typical)} (${fat.sap.low} to ${fat.sap.high}) mg KOH/g`,
      from(fat.sap.source),
    ],
    [
      'Takes no lye',
      say.value.percent(fat.unsaponifiables.value),
      from(fat.unsaponifiables.source),
    ],
    [
      'At 20 °C',
      fat.softens
        ? `${fat.stateAt20}, softens at ${say.value.temperature(fat.softens.value)}`
        : fat.stateAt20,
      fat.softens ? from(fat.softens.source) : undefined,
    ],
    ['Density, melted', `${say.value.number(fat.density.value, 3)} g/ml`, from(fat.density.source)],
    ['From', `${fat.latin}; ${fat.origin.join(', ')}`],
    ['On a label', fat.inci],
  ]
}
const factsOfLiquid = (liquid: Liquid): Fact[] => [
  ['Water', say.value.percent(liquid.water), from(liquid.source)],
  [
    'Fat',
    liquid.fat > 0 ? `${say.value.percent(liquid.fat)}, value ${liquid.fatSap}` : 'none',
    from(liquid.source),
  ],
  ['Sugar', say.value.percent(liquid.sugar), from(liquid.source)],
  [
    'Usually',
    liquid.moment === 'lye'
      ? 'in the lye'
      : liquid.moment === 'oils'
        ? 'into the oils'
        : 'at trace',
  ],
  ['Mind', liquid.mind],
]
const factsOfAdditive = (extra: Additive): Fact[] => [
  [
    'Usual rate',
    `${say.value.percent(extra.usualRate)}, at most ${say.value.percent(extra.highRate)} of oils`,
    from(extra.source),
  ],
  ['A teaspoon weighs', `≈ ${say.value.mass(extra.density * 4.92892)}`, from(extra.source)],
  ['Lye', extra.acid ? 'takes lye before the fats do' : 'takes none'],
  ['Pace', extra.pace > 0 ? 'quicker' : extra.pace < 0 ? 'slower' : 'no change'],
  ['Heat', extra.heats ? 'runs hotter' : 'no change'],
  [
    'Stirred into',
    extra.disperse ? `${extra.disperse.ratio} parts ${extra.disperse.in}` : 'as it is',
  ],
  ['Does', extra.does],
]
const factsOf = (material: Material): Fact[] => {
  if (material.kind === 'fat') return factsOfFat(material)
  return material.kind === 'liquid' ? factsOfLiquid(material) : factsOfAdditive(material)
}
const noteOf = (material: Material) =>
  material.kind === 'fat' ? [material.mixUp, material.unchecked].filter(Boolean).join(' ') : ''
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-4 sm:px-6">
    <div class="mb-4 flex flex-wrap items-center gap-3">
      <div class="mr-auto">
        <h1>Materials</h1>
        <p class="text-ink-2">
          {{ library.fats.size }} fats, {{ library.liquids.size }} liquids,
          {{ library.additives.size }} extras. Choose two or three to see them side by side.
        </p>
      </div>
      <AppButton to="/formulas">All formulas</AppButton>
    </div>
    <div class="grid gap-4 lg:grid-cols-[400px_1fr]">
      <section class="sheet flex flex-col lg:max-h-[640px]" aria-label="All materials">
        <div class="grid grid-cols-3 gap-2 border-b border-line-2 p-3">
          <input
            v-model="query"
            type="search"
            class="field col-span-3 py-2"
            placeholder="Find by name, plant or label name"
            aria-label="Find a material"
          />
          <select v-model="kind" class="field min-w-0" aria-label="Kind">
            <option value="all">all kinds</option>
            <option v-for="(says, id) in kinds" :key="id" :value="id">{{ says }}</option>
          </select>
          <select v-model="state" class="field min-w-0" aria-label="At 20 °C">
            <option value="any">any state</option>
            <option v-for="item in ['liquid', 'soft', 'hard']" :key="item" :value="item">
              {{ item }}
            </option>
          </select>
          <select v-model="origin" class="field min-w-0" aria-label="Origin">
            <option value="any">any origin</option>
            <option v-for="item in origins" :key="item" :value="item">{{ item }}</option>
          </select>
        </div>
        <ul class="min-h-0 overflow-y-auto" tabindex="0" aria-label="Found materials">
          <li
            v-for="material in found"
            :key="keyOf(material)"
            class="border-t border-line-2 first:border-t-0"
          >
            <label class="flex cursor-pointer items-center gap-3 px-3 py-1.5 hover:bg-white">
              <input
                type="checkbox"
                :checked="chosen.includes(keyOf(material))"
                @change="toggle(keyOf(material))"
              />
              <i
                class="h-[18px] w-3 shrink-0 rounded-[2px] border border-black/10"
                :style="{ background: material.colour }"
              />
              <span class="min-w-0 flex-1 truncate">{{ material.name }}</span>
              <small class="figure shrink-0 text-ink-2">{{
                material.kind === 'fat'
                  ? material.sap.typical
                  : material.kind === 'liquid'
                    ? 'liquid'
                    : material.group
              }}</small>
            </label>
          </li>
          <li v-if="!found.length" class="px-3 py-4 text-ink-2">
            Nothing matches. Try fewer words, or add it to a formula as a fat of your own.
          </li>
        </ul>
        <p class="border-t border-line-2 px-3 py-2 text-sm text-ink-2">{{ found.length }} found</p>
      </section>
      <section
        class="grid content-start gap-4 sm:grid-cols-2 xl:grid-cols-3"
        aria-label="Side by side"
        aria-live="polite"
      >
        <article v-for="material in compared" :key="keyOf(material)" class="sheet px-4 py-3">
          <h2 class="flex items-center gap-2 text-[16px] font-bold text-ink">
            <i
              class="h-5 w-3.5 rounded-[2px] border border-black/10"
              :style="{ background: material.colour }"
            />{{ material.name }}
          </h2>
          <FattyAcidBar
            v-if="material.kind === 'fat' && Object.keys(material.profile.value).length"
            :acids="material.profile.value"
            class="mt-2"
          />
          <dl class="mt-2 grid gap-1.5">
            <div v-for="[name, value, source] in factsOf(material)" :key="name">
              <dt class="text-sm text-ink-2">{{ name }}</dt>
              <dd class="figure font-[550]">
                {{ value
                }}<small v-if="source" class="block text-xs font-normal text-ink-3">{{
                  source
                }}</small>
              </dd>
            </div>
          </dl>
          <p v-if="noteOf(material)" class="mt-2 border-t border-line-2 pt-2 text-sm">
            {{ noteOf(material) }}
          </p>
        </article>
        <p v-if="!compared.length" class="text-ink-2">
          Tick materials on the left to see them here.
        </p>
      </section>
    </div>
  </div>
</template>
