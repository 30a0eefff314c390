<script setup lang="ts">
import { BarChart, LineChart, ScatterChart } from 'echarts/charts'
import {
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  TooltipComponent,
} from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import VChart from 'vue-echarts'

/** The one chart. Give it a height; what it shows is said in words as well. */
use([
  BarChart,
  LineChart,
  ScatterChart,
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  TooltipComponent,
  SVGRenderer,
])
const { option } = defineProps<{ option: Record<string, unknown>; says: string }>()
const { isDark } = useTheme()
/** The inks of a light sheet, and what stands for them on a dark one. Substances keep their colours. */
const onDark: Record<string, string> = {
  '#182022': '#e4ebe9',
  '#4c595b': '#b3c0be',
  '#566263': '#a3b0ae',
  '#8a9794': '#74837f',
  '#e6eae7': '#2b3538',
  '#d5dbd8': '#39454a',
  '#2a6d4e': '#83c7a3',
  '#8f5208': '#f0b866',
  '#2f6b8f': '#7fb6d8',
}
const inked = (part: unknown): unknown => {
  if (typeof part === 'string') return onDark[part] ?? part
  if (Array.isArray(part)) return part.map(inked)
  return part && typeof part === 'object'
    ? Object.fromEntries(Object.entries(part).map(([key, value]) => [key, inked(value)]))
    : part
}
/** In the house's typeface. */
const drawn = computed(() => {
  const whole = {
    textStyle: { fontFamily: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif" },
    ...option,
  }
  return (isDark.value ? inked(whole) : whole) as Record<string, unknown>
})
/** Its ground, its axes and its lines come in three tasks: together they would hold up the page. */
const stage = useTurns(2)
const staged = computed(() =>
  stage.value === 0 ? {} : stage.value === 1 ? { ...drawn.value, series: [] } : drawn.value,
)
const emit = defineEmits<{ pick: [index: number] }>()
/** The same as a table, for those who ask for it. */
const asTable = ref(false)
const { say } = storeToRefs(useWorkshop())
const table = computed(() => chartRows(option, (value) => say.value.number(value, undefined, 2)))
</script>

<template>
  <!-- A chart follows a narrower page a moment later; until then it must not push the page wide. -->
  <div class="relative overflow-hidden">
    <button
      type="button"
      class="link absolute top-0 right-0 z-10 min-h-6 bg-sheet px-1 text-xs print:hidden"
      :aria-pressed="asTable"
      @click="asTable = !asTable"
    >
      {{ asTable ? 'As a picture' : 'As a table' }}
    </button>
    <div
      v-if="asTable"
      class="size-full overflow-y-auto pt-6"
      tabindex="0"
      role="group"
      :aria-label="says"
    >
      <slot name="table">
        <table class="figure w-full text-sm">
          <thead>
            <tr class="text-ink-2">
              <th
                v-for="(name, at) in table.head"
                :key="at"
                scope="col"
                class="pb-1 font-semibold"
                :class="at ? 'text-right' : 'text-left'"
              >
                {{ name || 'at' }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, at) in table.rows" :key="at" class="border-t border-line-2">
              <th scope="row" class="text-left font-normal">{{ row[0] }}</th>
              <td v-for="(cell, column) in row.slice(1)" :key="column" class="text-right">
                {{ cell }}
              </td>
            </tr>
          </tbody>
        </table>
      </slot>
    </div>
    <div v-else role="img" :aria-label="says" class="size-full">
      <VChart
        class="block size-full"
        :option="staged"
        autoresize
        @click="(event: { dataIndex?: number }) => emit('pick', event.dataIndex ?? -1)"
      />
    </div>
  </div>
</template>
