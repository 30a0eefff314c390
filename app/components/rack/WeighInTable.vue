<script setup lang="ts">
import { weighInsFromRows, weighInsOfRows, type WeighInRow } from '#core/rack/weighInRows'

/** Weigh-ins from a spreadsheet, shown row by row before any of them is taken. */
const emit = defineEmits<{ done: [] }>()
const batches = useBatches()
const toasts = useToasts()
const { today, say } = storeToRefs(useWorkshop())
const rows = ref<WeighInRow[]>([])
const sure = reactive<Record<number, boolean>>({})
const problem = ref('')
const busy = ref(false)

async function read(event: Event) {
  rows.value = []
  ids.clear()
  problem.value = ''
  const [file] = (event.target as HTMLInputElement).files ?? []
  if (!file) return
  const table = await readCsv(await file.text())
  rows.value = weighInsFromRows(table.rows, batches.list, today.value, say.value, table.lines)
  if (!rows.value.length)
    problem.value =
      'There are no rows in this table. The first row names the columns: batch, day, bar, grams.'
  else if (table.faults.length) problem.value = table.faults.map(rowFaultText).join(' ')
}
const taken = computed(() =>
  rows.value.filter(({ row, fault, odd }) => !fault && (!odd || sure[row])),
)
/** Of each weigh-in of the table that is open: pressed twice, it is told once. */
const ids = stableIds()
async function take() {
  busy.value = true
  let kept = 0
  for (const { batch, day, bars } of weighInsOfRows(taken.value)) {
    const told = await batches.tell(
      batch.id,
      { kind: 'weighed', day, bars },
      `${batch.name} ${batch.number} is weighed.`,
      ids.of(`${batch.id} ${day}`),
    )
    if (told) kept += bars.length
  }
  busy.value = false
  toasts.show(`${kept} of ${taken.value.length} weights are kept.`)
  if (kept === taken.value.length) emit('done')
}
</script>

<template>
  <div class="grid gap-3">
    <FieldRow says="A table (.csv) with the columns batch, day, bar, grams">
      <input
        type="file"
        accept=".csv,.tsv,.txt,text/csv"
        class="field font-normal"
        @change="read"
      />
    </FieldRow>
    <p v-if="problem" role="alert" class="font-semibold text-stop">{{ problem }}</p>
    <ul
      v-if="rows.length"
      class="max-h-[40vh] overflow-y-auto"
      aria-label="What the table says"
      tabindex="0"
    >
      <li
        v-for="one in rows"
        :key="one.row"
        class="grid gap-x-4 border-t border-line-2 py-1.5 first:border-t-0 sm:grid-cols-[16rem_1fr]"
      >
        <span class="figure truncate"
          >{{ one.batch ? `${one.batch.name} ${one.batch.number}` : `Row ${one.row}`
          }}<template v-if="!one.fault"
            >, bar {{ one.bar }}, {{ dayText(one.day, { today }) }}:
            {{ say.mass(one.grams) }}</template
          ></span
        >
        <span v-if="one.fault" class="text-stop">{{ one.fault }}</span>
        <label v-else-if="one.odd" class="text-warn"
          >{{ one.odd }} <input v-model="sure[one.row]" type="checkbox" class="ml-2" /> it is
          right</label
        >
        <span v-else class="text-ink-2">joins</span>
      </li>
    </ul>
    <div v-if="rows.length" class="flex items-center justify-end gap-4">
      <span v-if="taken.length < rows.length" class="text-warn"
        >{{ rows.length - taken.length }} of {{ rows.length }} are left out</span
      >
      <AppButton kind="main" :disabled="!taken.length || busy" @click="take"
        >Take {{ say.count(taken.length, 'weight', 'weights') }}</AppButton
      >
    </div>
  </div>
</template>
