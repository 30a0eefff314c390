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
/** In the house's typeface. */
const drawn = computed(() => ({
  textStyle: { fontFamily: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif" },
  ...option,
}))
const emit = defineEmits<{ pick: [index: number] }>()
</script>

<template>
  <!-- A chart follows a narrower page a moment later; until then it must not push the page wide. -->
  <div role="img" :aria-label="says" class="overflow-hidden">
    <VChart
      class="block size-full"
      :option="drawn"
      autoresize
      @click="(event: { dataIndex?: number }) => emit('pick', event.dataIndex ?? -1)"
    />
  </div>
</template>
