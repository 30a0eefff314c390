<script setup lang="ts">
import type { WorkshopMould } from '#contracts/mould'
import { capacityOf, mouldForFormula } from '#core/mould/capacity'
import { mouldRemark, stuffOf } from '#core/mould/stuff'

/** Which of the workshop's moulds one batter fills, how many of each, and how full. */
const { document, put } = useFormulaEditor()
const { say } = storeToRefs(useWorkshop())
const moulds = useMoulds()

const lines = computed(() =>
  document.value.size.by === 'moulds' ? document.value.size.moulds : [],
)
const choices = computed(() =>
  [...moulds.list]
    .map(({ id, document: record }) => {
      const used = lines.value.filter(({ name }) => name === record.name)
      const remark = mouldRemark(record.material, record.liner)
      return { id, record, remark, count: used.length, fill: used[0]?.fill ?? 1 }
    })
    .sort((a, b) => a.record.name.localeCompare(b.record.name)),
)
/** Moulds of the document that the workshop does not have, or no longer has. */
const strangers = computed(() =>
  lines.value.filter(
    ({ name }) => !moulds.list.some(({ document: { name: own } }) => own === name),
  ),
)
function set(record: WorkshopMould, count: number | null, fill: number | null) {
  const others = lines.value.filter(({ name }) => name !== record.name)
  const mould = mouldForFormula(record)
  const own = Array.from({ length: count ?? 0 }, () => ({ name: record.name, mould, fill }))
  put(['size'], { by: 'moulds', moulds: [...others, ...own].slice(0, 20) })
}
const drop = (name: string) =>
  put(['size'], { by: 'moulds', moulds: lines.value.filter((line) => line.name !== name) })
</script>

<template>
  <div>
    <p v-if="moulds.problem" role="alert" class="text-stop">{{ moulds.problem }}</p>
    <p v-else-if="moulds.loaded && !choices.length">
      No moulds are written down yet.
      <NuxtLink to="/formulas/moulds" class="link">Write down the first</NuxtLink>
    </p>
    <ul v-else aria-label="Moulds to fill">
      <li
        v-for="{ id, record, remark, count, fill } in choices"
        :key="id"
        class="grid grid-cols-[64px_1fr] gap-y-1 sm:grid-cols-[64px_1fr_auto] items-center gap-x-3 border-t border-line-2 py-1.5 first:border-t-0"
      >
        <MouldPicture :record="record" :px-per-mm="0.14" />
        <span class="min-w-0">
          <b class="block truncate font-semibold">{{ record.name }}</b>
          <small class="figure text-sm text-ink-2">
            {{ say.number(capacityOf(record)) }} ml, {{ stuffOf[record.material].says }}
          </small>
          <small
            v-if="remark"
            class="block text-sm"
            :class="remark.severity === 'stop' ? 'text-stop' : 'text-warn'"
            >{{ remark.says }}</small
          >
        </span>
        <span v-if="remark?.severity !== 'stop'" class="flex items-center gap-1 max-sm:col-start-2">
          <NumberField
            :label="`How many of ${record.name}`"
            class="w-16"
            :decimals="0"
            :min="0"
            :max="record.owned"
            :model-value="count"
            @update:model-value="set(record, $event, fill)"
          />
          <span class="figure text-sm text-ink-2">of {{ record.owned }}</span>
          <NumberField
            kind="percent"
            :label="`${record.name}, how full`"
            class="ml-2 w-20"
            :decimals="0"
            :min="0.05"
            :max="1"
            :model-value="fill"
            @update:model-value="set(record, count, $event)"
          />
        </span>
      </li>
      <li
        v-for="line in strangers"
        :key="line.name"
        class="flex items-center justify-between gap-3 border-t border-line-2 py-1.5"
      >
        <span>{{ line.name }}, not among this workshop’s moulds</span>
        <button type="button" class="link" @click="drop(line.name)">Take it out</button>
      </li>
    </ul>
  </div>
</template>
