<script setup lang="ts">
import { partColour } from '#core/batter/colours'
import { batterMillilitres, potFor } from '#core/formula/volume'
import { documentOfPart } from '#core/formula/parts'
import { lyeWeighed } from '#core/formula/pot'
import { workingTime } from '#core/batter/workingTime'

/** The pots of a divided batter, to one scale, with the lye and the water of each written inside it. */
const { document, weighed } = useFormulaEditor()
const { library } = storeToRefs(useMaterials())
const { say } = storeToRefs(useWorkshop())

const pots = computed(() => {
  const { result } = weighed.value
  const volumes = result.parts.map((part) => batterMillilitres(part.result, library.value))
  const litres = potFor(Math.max(1, ...volumes)).litres
  const top = 0.9
  return result.parts.map((part, index) => {
    const { result: pot } = part
    const grams = (pick: number) => (pot.batter > 0 ? pick / pot.batter : 0)
    const fill = (volumes[index]! / (litres * 1000)) * top
    const bands = [
      ...pot.fats.map((fat) => ({
        key: `fat ${fat.id}`,
        name: fat.name.replace(/,.*$/, ''),
        share: grams(fat.grams) * fill,
        colour: substanceColour('fat', fat.id, library.value),
        says: '',
      })),
      ...pot.liquids.map((liquid) => ({
        key: `liquid ${liquid.id}`,
        name: liquid.name,
        share: grams(liquid.grams) * fill,
        colour: substanceColour('liquid', liquid.id, library.value),
        says: '',
      })),
      {
        key: 'water',
        name: 'Water',
        share: grams(pot.water.weighed) * fill,
        colour: 'var(--color-water)',
        says: say.value.mass(pot.water.weighed),
      },
      {
        key: 'lye',
        name: 'Lye',
        share: grams(lyeWeighed(pot)) * fill,
        colour: 'var(--color-lye)',
        says: say.value.massDown(lyeWeighed(pot)),
      },
      ...[...pot.additives, ...pot.scents].map((extra) => ({
        key: `extra ${extra.id}`,
        name: extra.name,
        share: grams(extra.grams) * fill,
        colour: substanceColour('additive', extra.id, library.value),
        says: '',
      })),
    ].filter(({ share }) => share > 0)
    const own = document.value.parts[index]!
    return {
      name: part.name,
      share: part.share,
      bands,
      litres,
      colour: partColour(document.value, own, library.value),
      ratio: pot.water.ratio,
      minutes: workingTime(documentOfPart(document.value, own), pot, library.value).minutes,
      oils: pot.oils,
    }
  })
})
const spoken = computed(() =>
  pots.value
    .map(
      ({ name, bands }) =>
        `${name}: ${say.value.list(
          bands.filter(({ says }) => says).map((band) => `${band.name} ${band.says}`),
        )}`,
    )
    .join('; '),
)
const height = 300
</script>

<template>
  <figure class="sheet flex flex-col px-3.5 py-2.5" :aria-label="`Pots: ${spoken}`">
    <figcaption class="flex justify-between">
      <h2>The pots, to scale</h2>
      <span class="text-[12.5px] text-ink-3"
        >{{ weighed.ownJugs ? 'a lye jug each' : 'one lye jug, divided' }},
        {{ say.number(pots[0]?.litres ?? 1, (pots[0]?.litres ?? 1) % 1 ? 1 : 0) }} l</span
      >
    </figcaption>
    <div class="mt-2 flex min-h-0 flex-1 gap-1.5 overflow-x-auto">
      <div v-for="pot in pots" :key="pot.name" class="flex min-w-[74px] flex-1 flex-col">
        <div
          class="relative flex flex-col-reverse overflow-hidden rounded-b-md border-x-[3px] border-b-[3px] border-ink"
          :style="{ height: `${height}px` }"
        >
          <div
            v-for="band in pot.bands"
            :key="band.key"
            class="figure grid shrink-0 place-items-center overflow-hidden text-[12.5px] font-bold"
            :style="{
              height: `${band.share * height}px`,
              background: band.colour,
              color: band.key === 'lye' ? '#fff' : '#182022',
            }"
            :title="band.name"
          >
            <span v-if="band.says && band.share * height > 13">{{ band.says }}</span>
          </div>
        </div>
        <p class="mt-1.5 flex items-center gap-1.5 font-semibold">
          <i class="size-4 shrink-0 border border-ink-3" :style="{ background: pot.colour }" /><span
            class="truncate"
            >{{ pot.name }}</span
          >
        </p>
        <p class="figure font-semibold">{{ say.ratio(pot.ratio) }}</p>
        <p class="figure text-sm text-ink-2">oils {{ say.amount(pot.oils) }}</p>
        <p class="figure text-sm text-ink-2">works {{ Math.round(pot.minutes) }} min</p>
      </div>
    </div>
    <table class="figure mt-2 w-full border-t border-line-2 text-[13px]">
      <caption class="sr-only">
        Water and lye of each pot
      </caption>
      <thead class="sr-only">
        <tr>
          <th>Pot</th>
          <th>Water</th>
          <th>Lye</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="pot in pots" :key="pot.name">
          <th scope="row" class="truncate pt-0.5 text-left font-normal">{{ pot.name }}</th>
          <td class="pt-0.5 text-right">
            water {{ pot.bands.find(({ key }) => key === 'water')?.says ?? '–' }}
          </td>
          <td class="pt-0.5 text-right text-stop">
            lye {{ pot.bands.find(({ key }) => key === 'lye')?.says ?? '–' }}
          </td>
        </tr>
      </tbody>
    </table>
  </figure>
</template>
