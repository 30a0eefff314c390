<script setup lang="ts">
import { columnOfPath, differingCells, materialsFromRows } from '#core/exchange/materialRows'
import type { OwnMaterial } from '#contracts/material'

/** Shows row by row what a table of materials will do before it does it. */
const { say } = storeToRefs(useWorkshop())
const open = defineModel<boolean>({ required: true })
const materials = useMaterials()
const toasts = useToasts()

interface Line {
  row: number
  name: string
  /** What is kept of it; null when it stays as it is or cannot be read. */
  document: OwnMaterial | null
  wrong: boolean
  says: string[]
}
const lines = ref<Line[]>([])
const problem = ref('')
const busy = ref(false)
const done = ref(0)

/** What a row that can be read does. */
function outcome(before: OwnMaterial | null, after: OwnMaterial): Pick<Line, 'document' | 'says'> {
  if (!before) return { document: after, says: ['joins as your own'] }
  const cells = differingCells(before, after)
  if (!cells.length) return { document: null, says: ['stays as it is'] }
  return {
    document: after,
    says: cells.map(({ column, was, is }) => `${column}: ${was || 'empty'} → ${is || 'empty'}`),
  }
}
async function read(event: Event) {
  lines.value = []
  problem.value = ''
  const [file] = (event.target as HTMLInputElement).files ?? []
  if (!file) return
  const { ownMaterialSchema } = await import('#contracts/material')
  const { faultsOf } = await import('#contracts/faults')
  const { rows, lines: at, faults } = await readCsv(await file.text())
  if (!rows.length)
    problem.value =
      'There are no rows in this table. The first row names the columns: kind, id, name, sap, certificate …'
  lines.value = materialsFromRows(rows, materials.library, at).map(
    ({ row, candidate, before, faults: own }): Line => {
      const name = candidate.name || candidate.id || `row ${row}`
      const inCells = [...faults.filter((fault) => fault.row === row), ...own]
      const parsed = ownMaterialSchema.safeParse(candidate)
      if (!inCells.length && parsed.success)
        return { row, name, wrong: false, ...outcome(before, parsed.data) }
      const refused = inCells.length
        ? inCells
        : faultsOf(parsed.error!).map(({ path, says }) => ({
            row,
            column: columnOfPath(path),
            says,
          }))
      return { row, name, document: null, wrong: true, says: refused.map(rowFaultText) }
    },
  )
}
const usable = computed(() => lines.value.flatMap(({ document }) => (document ? [document] : [])))
const wrong = computed(() => lines.value.filter((line) => line.wrong).length)
async function take() {
  busy.value = true
  done.value = 0
  try {
    for (const document of usable.value) {
      await materials.save(document.id, materials.recordOf(document.id)?.revision ?? 0, document)
      done.value++
    }
    toasts.show(`${say.value.count(done.value, 'material is', 'materials are')} kept.`)
    open.value = false
  } catch (error) {
    problem.value = `${done.value} of ${usable.value.length} are kept. ${sentenceOf(error)}`
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <AppDialog v-model="open" title="Import materials" wide>
    <div class="px-5 py-4">
      <FieldRow says="A table (.csv) with a heading; empty cells keep what is known">
        <input
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          class="field font-normal"
          @change="read"
        />
      </FieldRow>
      <p v-if="problem" role="alert" class="mt-3 font-semibold text-stop">{{ problem }}</p>
      <ul
        v-if="lines.length"
        class="mt-4 max-h-[45vh] overflow-y-auto"
        aria-label="What will happen"
        tabindex="0"
      >
        <li
          v-for="line in lines"
          :key="line.row"
          class="grid gap-x-4 border-t border-line-2 py-2 first:border-t-0 sm:grid-cols-[14rem_1fr]"
        >
          <b class="truncate font-[650]">{{ line.name }}</b>
          <span :class="line.wrong ? 'text-stop' : 'text-ink-2'">
            <span v-for="says in line.says" :key="says" class="block">{{ says }}</span>
          </span>
        </li>
      </ul>
    </div>
    <template #actions>
      <p v-if="wrong" class="mr-auto self-center text-stop">
        {{ say.count(wrong, 'row is', 'rows are') }} left out.
      </p>
      <AppButton @click="open = false">Cancel</AppButton>
      <AppButton kind="main" :disabled="!usable.length || busy" @click="take">
        {{
          busy ? `${done} of ${usable.length}` : usable.length ? `Take ${usable.length}` : 'Take'
        }}
      </AppButton>
    </template>
  </AppDialog>
</template>
