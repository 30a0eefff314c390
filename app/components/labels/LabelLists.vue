<script setup lang="ts">
import type { ListCustom } from '#contracts/labelWords'
import type { Labelled } from '#core/label/words'
import type { LabelLine } from '#core/label/line'
import { wholeOf } from '#core/label/line'
import { wordsOf } from '#core/label/list'

/** Both customs of one batch side by side, each line with its share; the one that is printed is picked. */
const { labelled } = defineProps<{ labelled: Labelled }>()
const custom = defineModel<ListCustom>({ required: true })
const { say } = storeToRefs(useWorkshop())
const materials = useMaterials()
const customs = [
  { is: 'put-in', says: 'As put in' },
  { is: 'in-bar', says: 'As found in the bar' },
] as const
const colourOf = ({ id, kind }: LabelLine) => {
  const { fats, liquids, additives, scents } = materials.library
  if (kind === 'water') return 'var(--color-water)'
  if (kind === 'lye') return 'var(--color-lye)'
  if (kind === 'scent') return scents?.get(id)?.scent.colour ?? '#8e6aa5'
  return (fats.get(id) ?? liquids.get(id) ?? additives.get(id))?.colour ?? '#d6dbdc'
}
const rows = (of: ListCustom) => {
  const lines = labelled.lists[of]
  const whole = wholeOf(lines)
  return lines.map((line) => ({
    key: line.latin + line.id,
    says: line.kind === 'scent' ? labelled.place.scent : line.english,
    printed: wordsOf(line, labelled.place),
    colour: colourOf(line),
    share: whole > 0 ? line.grams / whole : 0,
  }))
}
const figure = (share: number) => (share < 0.001 ? '< 0.1' : say.value.number(share * 100, 1))
const named = computed(() => labelled.allergens.filter((one) => one.named))
const off = computed(() => labelled.allergens.filter((one) => !one.named))
const shareSays = (share: number | null) =>
  share === null ? 'the sheet does not say how much' : say.value.number(share * 100, 2, 3)
</script>

<template>
  <div>
    <div class="grid grid-cols-2" role="radiogroup" aria-label="Which list is printed">
      <label
        v-for="one in customs"
        :key="one.is"
        class="flex min-h-10 cursor-pointer items-center gap-2 border-b border-line px-3 font-bold focus-within:outline-2"
        :class="custom === one.is ? 'bg-slate text-white' : 'text-ink'"
      >
        <input v-model="custom" type="radio" name="custom" :value="one.is" />
        {{ one.says }}
      </label>
      <ul
        v-for="one in customs"
        :key="`${one.is}-lines`"
        class="max-h-[262px] overflow-y-auto px-3 py-1 text-[13px]"
        :class="one.is === 'put-in' ? 'border-r border-line' : ''"
        :aria-label="one.says"
        tabindex="0"
      >
        <li
          v-for="(row, nth) in rows(one.is)"
          :key="row.key"
          class="flex items-center gap-2 py-[3px]"
          :title="row.printed"
        >
          <i
            class="size-3 shrink-0 border border-[#00000033]"
            :style="{ background: row.colour }"
          />
          <span class="min-w-0 flex-1 truncate">{{ row.says }}</span>
          <span class="figure text-ink-2">{{ figure(row.share) }}{{ nth === 0 ? ' %' : '' }}</span>
        </li>
      </ul>
    </div>
    <div class="grid gap-1 border-t border-line px-3 py-2 text-[13px] text-ink-2">
      <p v-if="!labelled.entries.length">
        <b class="text-ink">In bands, as a detergent:</b> {{ labelled.words.list }}
      </p>
      <p v-if="named.length">
        <b class="text-ink">Named, over 0.01 % of the bar:</b>
        {{ say.list(named.map(({ name, share }) => `${name} ${shareSays(share)}`)) }}.
        <template v-if="off.length"
          >{{ say.list(off.map(({ name, share }) => `${name} ${shareSays(share)}`)) }}
          {{ say.plural(off.length, 'stays', 'stay') }} off.</template
        >
      </p>
      <p v-else-if="labelled.allergenList.id === 'none'">
        {{ labelled.place.says }} has no list of allergens that are named.
      </p>
      <p v-else>No allergen of {{ labelled.allergenList.says }} is over 0.01 % of the bar.</p>
      <p v-if="labelled.unnamed.length" class="font-semibold text-warn">
        {{
          say.list(
            labelled.unnamed.map(({ english }) => english),
            'and',
          )
        }}: no name for a label is known here.
        <NuxtLink to="/stores/labels#names" class="link">Write it down</NuxtLink>
      </p>
      <p>
        {{ labelled.place.says }}, as of {{ monthText(`${labelled.place.asOf}-01`, '') }}.
        <NuxtLink to="/stores/labels#rules" class="link">The rules it goes by</NuxtLink>
      </p>
    </div>
  </div>
</template>
