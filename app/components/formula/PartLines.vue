<script setup lang="ts">
import type { PartLine } from '#contracts/formula'
import { shareTolerance } from '#core/formula/compute'
import { partColour } from '#core/batter/colours'
import { ratioFrom } from '#core/water/ways'
import { sumOf } from '#core/statistics/sum'
import { roundTo } from '#core/statistics/roundTo'

/** The batter divided into pots: share, own water, own colour, scent or none. */
const { library } = storeToRefs(useMaterials())
const { document, result, change, put } = useFormulaEditor()
const { say } = storeToRefs(useWorkshop())

const colours = computed(() => [...library.value.additives.values()].filter(({ tints }) => tints))
const sum = computed(() => sumOf(document.value.parts, (part) => part.share ?? 0))
const whole = computed(() => Math.abs(sum.value - 1) <= shareTolerance)
const ratioOf = (index: number) => {
  const { water } = document.value.parts[index]!
  if (!water?.value) return result.value.parts[index]?.result.water.ratio ?? null
  return water.held === 'shareOfOils' || water.held === 'grams'
    ? (result.value.parts[index]?.result.water.ratio ?? null)
    : ratioFrom(water.held, water.value, 1, 1)
}
const tintOf = (part: PartLine) =>
  part.additives.find((line) => library.value.additives.get(line.id)?.tints)?.id ?? ''

function setParts(parts: PartLine[]) {
  change({ ...document.value, parts })
}
function setTint(index: number, id: string) {
  const part = document.value.parts[index]!
  const others = part.additives.filter((line) => !library.value.additives.get(line.id)?.tints)
  const rate = library.value.additives.get(id)?.usualRate ?? 0.01
  const added = id ? [{ id, rate, of: 'oils' as const, carrier: null }] : []
  put(['parts', index, 'additives'], [...others, ...added])
}
function add() {
  const count = document.value.parts.length + 1
  const parts = [
    ...document.value.parts,
    { name: `pot ${count}`, share: 0, scent: true, additives: [] },
  ]
  setParts(parts.map((part) => ({ ...part, share: roundTo(1 / count, 4) })))
}
const even = () => {
  const { parts } = document.value
  setParts(parts.map((part) => ({ ...part, share: roundTo(1 / parts.length) })))
}
const entriesOf = (index: number) => [
  ...(document.value.parts[index]!.water
    ? [
        {
          says: 'The same water as the whole',
          act: () => put(['parts', index, 'water'], undefined),
        },
      ]
    : []),
  {
    says: 'Take this pot away',
    danger: true,
    act: () => setParts(document.value.parts.filter((_, place) => place !== index)),
  },
]
</script>

<template>
  <section class="px-4 py-3" aria-label="Pots">
    <div class="mb-1 flex flex-wrap items-center justify-between gap-3">
      <h2>Pots</h2>
      <span class="figure text-[12.5px] text-ink-3">
        <b :class="whole ? 'text-ok' : 'text-stop'">{{ say.percent(sum, 1) }}</b> of the batter
        <button type="button" class="link ml-1 font-medium" @click="even">share evenly</button>
      </span>
    </div>
    <ul>
      <li
        v-for="(part, index) in document.parts"
        :key="index"
        class="grid grid-cols-[12px_1fr_76px_84px_28px] items-center gap-x-2 gap-y-1 border-t border-line-2 py-1 first:border-t-0 sm:grid-cols-[12px_1fr_76px_84px_130px_auto_28px]"
      >
        <i
          class="h-[18px] w-3 rounded-[2px] border border-black/10"
          :style="{ background: partColour(document, part, library) }"
        />
        <input
          class="min-w-0 rounded-sm border border-transparent bg-transparent px-1 hover:border-line-3"
          :value="part.name"
          maxlength="60"
          :aria-label="`Name of pot ${index + 1}`"
          @change="
            ($event.target as HTMLInputElement).value.trim() &&
            put(['parts', index, 'name'], ($event.target as HTMLInputElement).value.trim())
          "
        />
        <NumberField
          kind="percent"
          :label="`${part.name}, share of the batter`"
          :min="0"
          :max="1"
          :model-value="part.share"
          @update:model-value="put(['parts', index, 'share'], $event)"
        />
        <NumberField
          kind="ratio"
          :label="`${part.name}, water to lye`"
          :decimals="2"
          :min="0.1"
          :max="20"
          :model-value="ratioOf(index)"
          @update:model-value="put(['parts', index, 'water'], { held: 'ratio', value: $event })"
        />
        <AppMenu
          class="sm:order-last"
          :label="`More for ${part.name}`"
          :entries="entriesOf(index)"
        />
        <select
          class="field py-1 max-sm:col-span-2 max-sm:col-start-2"
          :aria-label="`${part.name}, colour`"
          :value="tintOf(part)"
          @change="setTint(index, ($event.target as HTMLSelectElement).value)"
        >
          <option value="">uncoloured</option>
          <option v-for="colour in colours" :key="colour.id" :value="colour.id">
            {{ colour.name }}
          </option>
        </select>
        <label class="flex items-center gap-1 text-sm max-sm:col-span-2"
          ><input
            type="checkbox"
            :checked="part.scent"
            @change="put(['parts', index, 'scent'], !part.scent)"
          />
          scent</label
        >
      </li>
    </ul>
    <AppButton class="mt-2" @click="add">Add a pot</AppButton>
  </section>
</template>
