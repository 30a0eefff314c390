<script setup lang="ts" generic="Line extends WeighLine">
import type { WeighLine } from '#core/formula/makingOrder'

/** What is weighed, in the order of making, as rows of a table on paper; the cells behind each name are the page's own. */
const { groups, how = false } = defineProps<{
  groups: readonly { title: string; how: string; lines: readonly Line[] }[]
  /** With how each group is done. */
  how?: boolean
}>()
defineSlots<{ default: (props: { line: Line }) => unknown }>()
</script>

<template>
  <tbody v-for="group in groups" :key="group.title">
    <tr>
      <th scope="colgroup" colspan="3" class="pt-3 pb-1 text-left text-[13px] text-ink-2">
        {{ group.title }}<span v-if="how && group.how" class="font-normal">: {{ group.how }}</span>
      </th>
    </tr>
    <tr v-for="line in group.lines" :key="line.id" class="h-[7.5mm] border-t border-line-3">
      <th
        scope="row"
        class="text-left font-normal"
        :class="line.substance === 'lye' ? 'font-bold text-stop print:text-black' : ''"
      >
        {{ line.name }}
      </th>
      <slot :line="line" />
    </tr>
  </tbody>
</template>
