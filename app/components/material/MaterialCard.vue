<script setup lang="ts">
import type { Additive } from '#core/materials/additives'
import type { Fat } from '#core/materials/fat'
import type { Material } from '#core/materials/library'
import type { Liquid } from '#core/materials/liquids'
import { sources } from '#core/materials/sources'
import { momentNames, wayNames } from '~/utils/moments'

/** One material with every value and where it comes from. */
const { material } = defineProps<{ material: Material; own: boolean; shipped: boolean }>()
const emit = defineEmits<{ edit: []; drop: [] }>()
const { say } = storeToRefs(useWorkshop())

type Fact = [name: string, value: string, source?: string]
const from = (source: keyof typeof sources) =>
  source === 'certificate' && material.certificate
    ? `certificate ${material.certificate}`
    : `${sources[source].certainty}: ${sources[source].title}`

const sapText = (sap: number) => say.value.number(sap, Number.isInteger(sap) ? 0 : 1)
function factsOfFat(fat: Fat): Fact[] {
  return [
    [
      'Saponification value',
      `${sapText(fat.sap.typical)} (${sapText(fat.sap.low)} to ${sapText(fat.sap.high)}) mg KOH/g`,
      from(fat.sap.source),
    ],
    ...(fat.second
      ? [
          [
            'By a second source',
            `${sapText(fat.second.value)} mg KOH/g`,
            from(fat.second.source),
          ] as Fact,
        ]
      : []),
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
    [
      'From',
      [
        fat.latin,
        say.value.list(fat.origin.map((one) => originNames[one])),
        fat.maybe
          ? `may be ${say.value.list(
              fat.maybe.map((one) => originNames[one]),
              'or',
            )}: ask the seller`
          : '',
      ]
        .filter(Boolean)
        .join('; ') || 'not told',
    ],
    ['On a label', fat.inci || 'not told'],
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
  ['Usually', `${momentNames[liquid.moment]}, ${wayNames[liquid.way]}`],
  ['Mind', liquid.mind || 'nothing told'],
]
const factsOfAdditive = (extra: Additive): Fact[] => [
  [
    'Usual rate',
    `${say.value.percent(extra.usualRate)}, at most ${say.value.percent(extra.highRate)} of oils`,
    from(extra.source),
  ],
  ['A teaspoon weighs', `≈ ${say.value.mass(extra.density * 4.92892)}`, from(extra.source)],
  ['Goes in', momentNames[extra.moment]],
  ['Lye', extra.acid ? 'takes lye before the fats do' : 'takes none'],
  ['Pace', extra.pace > 0 ? 'quicker' : extra.pace < 0 ? 'slower' : 'no change'],
  ['Heat', extra.heats ? 'runs hotter' : 'no change'],
  [
    'Stirred into',
    extra.disperse ? `${extra.disperse.ratio} parts ${extra.disperse.in}` : 'as it is',
  ],
  ['Does', extra.does || 'not told'],
]
const facts = computed(() => {
  if (material.kind === 'fat') return factsOfFat(material)
  return material.kind === 'liquid' ? factsOfLiquid(material) : factsOfAdditive(material)
})
const note = computed(() =>
  material.kind === 'fat' ? [material.mixUp, material.unchecked].filter(Boolean).join(' ') : '',
)
</script>

<template>
  <article class="sheet flex flex-col px-4 py-3">
    <h2 class="flex items-center gap-2 text-[16px] font-bold text-ink">
      <i
        class="h-5 w-3.5 rounded-[2px] border border-black/10"
        :style="{ background: material.colour }"
      />{{ material.name }}
    </h2>
    <p v-if="own" class="text-sm font-semibold text-act">
      {{ shipped ? 'With your own values' : 'Your own material'
      }}{{ material.certificate ? `, certificate ${material.certificate}` : '' }}
    </p>
    <FattyAcidBar
      v-if="material.kind === 'fat' && Object.keys(material.profile.value).length"
      :acids="material.profile.value"
      class="mt-2"
    />
    <dl class="mt-2 grid gap-1.5">
      <div v-for="[name, value, source] in facts" :key="name">
        <dt class="text-sm text-ink-2">{{ name }}</dt>
        <dd class="figure font-[550]">
          {{ value
          }}<small v-if="source" class="block text-xs font-normal text-ink-3">{{ source }}</small>
        </dd>
      </div>
    </dl>
    <p v-if="note" class="mt-2 border-t border-line-2 pt-2 text-sm">{{ note }}</p>
    <div class="mt-auto flex flex-wrap gap-x-4 gap-y-1 border-t border-line-2 pt-2 text-sm">
      <button type="button" class="link" @click="emit('edit')">
        {{ own ? 'Change the values' : 'Use own values' }}
      </button>
      <button v-if="own" type="button" class="link" @click="emit('drop')">
        {{ shipped ? 'Back to the library’s values' : 'Delete' }}
      </button>
    </div>
  </article>
</template>
