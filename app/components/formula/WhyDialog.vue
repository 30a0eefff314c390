<script setup lang="ts">
import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { explain, type Figure } from '#core/formula/explain'

/** The sum behind a figure, line by line. */
const { library } = storeToRefs(useMaterials())
const props = defineProps<{ document: FormulaDocument; result: FormulaResult }>()
const figure = defineModel<Figure | null>({ required: true })
const { say } = storeToRefs(useWorkshop())
const open = computed({
  get: () => figure.value !== null,
  set: (value) => {
    if (!value) figure.value = null
  },
})
const anchors: Record<Figure, string> = {
  lye: 'alkali-demand-measured-but-for-the-spread-of-fats',
  water: 'water-measured',
  batter: 'volume-of-the-pot-estimated',
  superfat: 'alkali-demand-measured-but-for-the-spread-of-fats',
}
const told = computed(() =>
  explain(figure.value ?? 'lye', props.document, props.result, library.value, say.value),
)
</script>

<template>
  <AppDialog v-model="open" :title="told.title" wide>
    <div class="overflow-x-auto px-5 py-4">
      <table class="figure w-full">
        <caption class="sr-only">
          {{
            told.title
          }}, line by line
        </caption>
        <tbody>
          <tr
            v-for="(line, index) in told.lines"
            :key="index"
            class="border-t border-line-2 first:border-t-0"
          >
            <th scope="row" class="py-1.5 pr-4 text-left font-medium">{{ line.label }}</th>
            <td class="py-1.5 pr-4 text-ink-2">{{ line.sum }}</td>
            <td class="py-1.5 text-right whitespace-nowrap">{{ line.value }}</td>
          </tr>
        </tbody>
        <tfoot>
          <tr class="border-t-2 border-ink text-[17px] font-bold">
            <th scope="row" class="py-2 text-left">{{ told.total.label }}</th>
            <td />
            <td class="py-2 text-right whitespace-nowrap">{{ told.total.value }}</td>
          </tr>
        </tfoot>
      </table>
      <p class="mt-3">
        <NuxtLink class="link" :to="`/explained#${anchors[figure ?? 'lye']}`"
          >How this is reckoned, and how far to trust it</NuxtLink
        >
      </p>
      <p v-for="note in told.notes" :key="note" class="mt-2 text-ink-2">{{ note }}</p>
    </div>
  </AppDialog>
</template>
