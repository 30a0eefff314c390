<script setup lang="ts">
import { traits as traitIds } from '#contracts/words'
import { traitRules } from '#core/character/coefficients'
import { standing } from '#core/character/regions'
import { substitutesFor, withFat } from '#core/finder/swap'
import { shownTrait } from '#core/character/traits'
import { inSentence } from '#core/units/language'
import { plainName } from '#core/materials/find'

/** What could stand in place of one fat, nearest first, with what the bar then is. */
const { line } = defineProps<{ line: number }>()
const open = defineModel<boolean>({ required: true })
const { document, regions, change } = useFormulaEditor()
const { library } = storeToRefs(useMaterials())
const workshop = useWorkshop()
const query = ref('')

const all = shallowRef(substitutesFor(document.value, line, library.value))
const shown = computed(() => {
  const [now, ...others] = all.value
  const has = hasWords(query.value, plainName)
  const found = others.filter(({ fat }) => has(`${fat.name} ${fat.aliases.join(' ')}`))
  return now ? [now, ...found.slice(0, 12)] : []
})
const prices = usePrices()
onMounted(() => void prices.load())
const priceOf = (id: string) => {
  const minor = prices.now[id]?.price
  return minor === undefined ? '–' : moneyText(minor, workshop.settings.currency)
}
function choose(id: string) {
  change(withFat(document.value, line, id))
  open.value = false
}
</script>

<template>
  <AppDialog v-model="open" wide :title="`In place of ${inSentence(all[0]?.fat.name ?? 'it')}`">
    <div class="px-5 py-4">
      <input
        v-model="query"
        type="search"
        class="field mb-3 w-full py-2"
        placeholder="Nearest first; or find by name"
        aria-label="Find a fat to put in its place"
      />
      <div class="max-h-[52vh] overflow-auto" tabindex="0" role="region" aria-label="Substitutes">
        <table class="figure w-full text-sm">
          <thead>
            <tr class="text-left text-xs text-ink-2">
              <th scope="col" class="sticky top-0 bg-sheet py-1 font-medium">Fat</th>
              <th
                v-for="trait in traitIds"
                :key="trait"
                scope="col"
                class="sticky top-0 bg-sheet px-1 py-1 text-right font-medium"
              >
                {{ traitRules[trait].says }}
              </th>
              <th scope="col" class="sticky top-0 bg-sheet px-1 py-1 text-right font-medium">
                Lye
              </th>
              <th scope="col" class="sticky top-0 bg-sheet px-1 py-1 text-right font-medium">
                Minutes
              </th>
              <th scope="col" class="sticky top-0 bg-sheet px-1 py-1 text-right font-medium">
                A kg
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="item in shown" :key="item.fat.id" class="border-t border-line-2">
              <th scope="row" class="py-1 text-left font-semibold">
                <span class="flex items-center gap-2">
                  <i
                    class="h-4 w-3 shrink-0 rounded-[2px] border border-black/10"
                    :style="{ background: item.fat.colour }"
                  /><span v-if="item === shown[0]"
                    >{{ item.fat.name }} <small class="font-normal text-ink-2">now</small></span
                  ><button
                    v-else
                    type="button"
                    class="link text-left"
                    :aria-label="`Take ${item.fat.name}`"
                    @click="choose(item.fat.id)"
                  >
                    {{ item.fat.name }}
                  </button>
                </span>
              </th>
              <td
                v-for="trait in traitIds"
                :key="trait"
                class="px-1 text-right"
                :class="
                  standing(item.traits[trait], regions[trait]) === 'inside'
                    ? ''
                    : 'font-semibold text-warn'
                "
              >
                {{ Math.round(shownTrait(item.traits[trait]))
                }}<span
                  v-if="standing(item.traits[trait], regions[trait]) !== 'inside'"
                  :title="`${standing(item.traits[trait], regions[trait])} its region`"
                  aria-hidden="true"
                  >{{ standing(item.traits[trait], regions[trait]) === 'below' ? '↓' : '↑' }}</span
                >
              </td>
              <td class="px-1 text-right whitespace-nowrap">{{ workshop.say.mass(item.lye) }}</td>
              <td class="px-1 text-right">≈ {{ Math.round(item.minutes) }}</td>
              <td class="px-1 text-right whitespace-nowrap">{{ priceOf(item.fat.id) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="mt-2 text-sm text-ink-2">
        Choose one by its name. Traits are estimates; ↑ and ↓ lie outside the regions of this use.
        The whole formula is computed with each of them.
      </p>
    </div>
  </AppDialog>
</template>
