<script setup lang="ts">
import { columnOfPath, differingCells, materialsFromRows } from '#core/exchange/materialRows'
import type { OwnMaterial } from '#contracts/material'
import { recordOf } from '#core/materials/own'

/** Shows row by row what a table of materials will do before it does it. */
const open = defineModel<boolean>({ required: true })
const materials = useMaterials()
const toasts = useToasts()

interface Line {
  row: number
  name: string
  document: OwnMaterial | null
  says: string[]
}
const lines = ref<Line[]>([])
const problem = ref('')
const busy = ref(false)
const done = ref(0)

function knownOf({ kind, id }: OwnMaterial) {
  const { fats, liquids, additives } = materials.library
  const found = { fat: fats, liquid: liquids, additive: additives }[kind].get(id)
  return found ? recordOf(found) : null
}
function changeWords(after: OwnMaterial): { says: string[]; changes: boolean } {
  const before = knownOf(after)
  if (!before) return { says: ['joins as your own'], changes: true }
  const cells = differingCells(before, after)
  return {
    says: cells.length
      ? cells.map(({ column, was, is }) => `${column}: ${was || 'empty'} → ${is || 'empty'}`)
      : ['stays as it is'],
    changes: cells.length > 0,
  }
}
async function read(event: Event) {
  lines.value = []
  problem.value = ''
  const [file] = (event.target as HTMLInputElement).files ?? []
  if (!file) return
  const { ownMaterialSchema } = await import('#contracts/material')
  const { faultsOf } = await import('#contracts/faults')
  const { rows, faults } = await readCsv(await file.text())
  if (!rows.length)
    problem.value =
      'There are no rows in this table. The first row names the columns: kind, id, name, sap, certificate …'
  lines.value = materialsFromRows(rows, materials.library).map(
    ({ row, candidate, faults: own }) => {
      const name = candidate.name || candidate.id || `row ${row}`
      const wrong = [...faults.filter((fault) => fault.row === row), ...own]
      if (wrong.length) return { row, name, document: null, says: wrong.map(rowFaultText) }
      const parsed = ownMaterialSchema.safeParse(candidate)
      if (!parsed.success)
        return {
          row,
          name,
          document: null,
          says: faultsOf(parsed.error).map(({ path, says }) =>
            rowFaultText({ row, column: columnOfPath(path), says }),
          ),
        }
      const { says, changes } = changeWords(parsed.data)
      return { row, name, document: changes ? parsed.data : null, says }
    },
  )
}
const usable = computed(() => lines.value.flatMap(({ document }) => (document ? [document] : [])))
const wrong = computed(
  () =>
    lines.value.filter(({ document, says }) => !document && says[0] !== 'stays as it is').length,
)
async function take() {
  busy.value = true
  done.value = 0
  try {
    for (const document of usable.value) {
      await materials.save(document.id, materials.recordOf(document.id)?.revision ?? 0, document)
      done.value++
    }
    toasts.show(`${done.value} ${done.value === 1 ? 'material is' : 'materials are'} kept.`)
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
      <label class="grid gap-1 font-semibold">
        A table (.csv) with a heading; empty cells keep what is known
        <input
          type="file"
          accept=".csv,.tsv,.txt,text/csv"
          class="field font-normal"
          @change="read"
        />
      </label>
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
          <span
            :class="line.document || line.says[0] === 'stays as it is' ? 'text-ink-2' : 'text-stop'"
          >
            <span v-for="says in line.says" :key="says" class="block">{{ says }}</span>
          </span>
        </li>
      </ul>
    </div>
    <template #actions>
      <p v-if="wrong" class="mr-auto self-center text-stop">
        {{ wrong }} {{ wrong === 1 ? 'row is' : 'rows are' }} left out.
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
