<script setup lang="ts">
import { faultsInFormula } from '#core/formula/faults'
import type { Incoming } from '~/utils/files'

/** Shows what an import will do before it does it. */
const { say } = storeToRefs(useWorkshop())
const { library } = storeToRefs(useMaterials())
const open = defineModel<boolean>({ required: true })
const formulas = useFormulas()
const toasts = useToasts()
const incoming = ref<Incoming[]>([])
const busy = ref(false)

async function read(event: Event) {
  incoming.value = await readFormulaFiles([...((event.target as HTMLInputElement).files ?? [])])
}
async function readText(text: string) {
  incoming.value = text.trim()
    ? await readFormulaFiles([new File([text], 'The code.json', { type: 'application/json' })])
    : []
}
const usable = computed(() => incoming.value.filter(({ document }) => document))
const taken = computed(() => new Set(formulas.list.map(({ document }) => document.name)))
/** What will happen to one of them, or every reason why it cannot. */
function whatHappens({ document, faults }: Incoming): string[] {
  if (!document) return faults.map(({ path, says }) => (path ? `${path}: ${says}` : says))
  const draft = faultsInFormula(document, library.value)
  const name = taken.value.has(document.name)
    ? `joins as a copy, since a “${document.name}” is here already`
    : 'joins'
  return [draft.length ? `${name}, as a draft: ${draft[0]!.says}` : name]
}
async function take() {
  busy.value = true
  try {
    for (const { document } of usable.value)
      await formulas.create({ ...document!, name: formulas.freeName(document!.name) })
    toasts.show(`${say.value.count(usable.value.length, 'formula', 'formulas')} joined.`)
    open.value = false
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <AppDialog v-model="open" title="Import formulas" wide>
    <div class="px-5 py-4">
      <FieldRow
        says="Files ending in .mantle.json, one that holds several, a page that was given away (.html), or a table (.csv)"
      >
        <input
          type="file"
          multiple
          accept=".json,.csv,.tsv,.txt,.html,application/json,text/csv,text/html"
          class="field font-normal"
          @change="read"
        />
      </FieldRow>
      <FieldRow says="Or the text of a square code" class="mt-3">
        <textarea
          class="field min-h-16 font-mono text-[13px] font-normal"
          @change="readText(($event.target as HTMLTextAreaElement).value)"
        />
      </FieldRow>
      <ul
        v-if="incoming.length"
        class="mt-4 max-h-[45vh] overflow-y-auto"
        aria-label="What will happen"
      >
        <li
          v-for="item in incoming"
          :key="item.file"
          class="grid gap-x-4 border-t border-line-2 py-2 first:border-t-0 sm:grid-cols-[14rem_1fr]"
        >
          <b class="truncate font-[650]">{{ item.document?.name ?? item.file }}</b>
          <span :class="item.document ? 'text-ink-2' : 'text-stop'">
            <span v-for="says in whatHappens(item)" :key="says" class="block">{{ says }}</span>
          </span>
        </li>
      </ul>
    </div>
    <template #actions>
      <AppButton @click="open = false">Cancel</AppButton>
      <AppButton kind="main" :disabled="!usable.length || busy" @click="take">
        {{ usable.length ? `Take ${usable.length}` : 'Take them' }}
      </AppButton>
    </template>
  </AppDialog>
</template>
