<script setup lang="ts">
import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue'
import type { BatchSummary } from '#contracts/batch'
import { standingOf, type RackStage } from '#core/rack/standing'
import { watchDebounced } from '@vueuse/core'
import { plainWord } from '#core/materials/tokens'
import { stations } from '~/utils/stations'

interface Hit {
  id: string
  says: string
  also: string
  go: () => unknown
}

const stageNames: Record<RackStage, string> = {
  planned: 'planned',
  'first-days': 'fresh',
  drying: 'drying',
  'last-weeks': 'nearly ready',
  ready: 'ready',
  left: 'off the rack',
}
const open = usePalette()
const keyHelp = useKeyHelp()
const query = ref('')
const router = useRouter()
const formulas = useFormulas()
const batches = useBatches()
const workshop = useWorkshop()

void formulas.load()
void batches.load()

/** Batches that are off the rack are looked up as somebody types. */
const gone = shallowRef<BatchSummary[]>([])
watchDebounced(
  query,
  async (typed) => {
    const find = typed.trim()
    gone.value = find.length > 1 ? await batches.gone(find) : []
  },
  { debounce: 150 },
)
const all = computed<Hit[]>(() => [
  {
    id: 'new',
    says: 'New formula',
    also: 'write a formula from nothing',
    go: async () => router.push(`/formulas/${await formulas.create()}`),
  },
  {
    id: 'check',
    says: 'Check a recipe',
    also: 'paste fats, lye and water',
    go: () => router.push('/formulas/check'),
  },
  {
    id: 'materials',
    says: 'Materials',
    also: 'fats, liquids, extras and their values',
    go: () => router.push('/formulas/materials'),
  },
  {
    id: 'finder',
    says: 'Find a formula',
    also: 'the best blend of fats you have',
    go: () => router.push('/formulas/find'),
  },
  {
    id: 'explained',
    says: 'Explained',
    also: 'how every estimate is reckoned, and how far to trust it',
    go: () => router.push('/explained'),
  },
  {
    id: 'moulds',
    says: 'Moulds',
    also: 'what the workshop pours into',
    go: () => router.push('/formulas/moulds'),
  },
  {
    id: 'compare',
    says: 'Compare',
    also: 'two formulas, versions or batches side by side',
    go: () => router.push('/formulas/compare'),
  },
  ...stations.map(({ name, path, key }) => ({
    id: path,
    says: name,
    also: `station, g ${key}`,
    go: () => router.push(path),
  })),
  {
    id: 'settings',
    says: 'Workshop settings',
    also: 'units, scale, time zone',
    go: () => (workshop.dialogOpen = true),
  },
  {
    id: 'workshop',
    says: 'The workshop: devices and backup',
    also: 'pair a tablet, rights, back up, restore, network',
    go: () => router.push('/workshop'),
  },
  {
    id: 'emergency',
    says: 'Emergency',
    also: 'lye in an eye, on skin, swallowed, boiling over, spilled',
    go: () => router.push('/emergency'),
  },
  { id: 'keys', says: 'Keys', also: 'what the keyboard does, ?', go: () => (keyHelp.value = true) },
  ...formulas.list.map((formula) => ({
    id: formula.id,
    says: formula.document.name,
    also: 'formula',
    go: () => router.push(`/formulas/${formula.id}`),
  })),
  ...[...batches.list, ...gone.value].map((batch) => ({
    id: batch.id,
    says: `${batch.name} ${batch.number}`,
    also: `batch, ${stageNames[standingOf(batch, workshop.today).stage]}`,
    go: () => router.push(`/batches/${batch.id}`),
  })),
])
const hits = computed(() => {
  const typed = plainWord(query.value.trim())
  const words = typed.split(/\s+/)
  const matches = all.value.filter(({ says, also }) =>
    words.every((word) => plainWord(`${says} ${also}`).includes(word)),
  )
  const starts = ({ says }: Hit) => plainWord(says).startsWith(typed)
  return [...matches.filter(starts), ...matches.filter((hit) => !starts(hit))].slice(0, 9)
})
function choose(hit: Hit | null) {
  open.value = false
  if (hit) void hit.go()
}
</script>

<template>
  <AppDialog v-model="open" title="Find or do" hide-title>
    <Combobox :model-value="null" nullable @update:model-value="choose">
      <ComboboxInput
        class="w-full rounded-t-md bg-transparent px-5 py-4 text-[17px] outline-none"
        aria-label="Find a formula or batch, or do something"
        placeholder="Find a formula or batch, or do something"
        autocomplete="off"
        @focus="takeTyped($event.target as HTMLInputElement)"
        @change="query = ($event.target as HTMLInputElement).value"
      />
      <ComboboxOptions static class="max-h-[60vh] overflow-y-auto border-t border-line-2 p-1.5">
        <ComboboxOption
          v-for="hit in hits"
          :key="hit.id"
          v-slot="{ active }"
          :value="hit"
          as="template"
        >
          <li
            class="flex justify-between gap-4 rounded-sm px-3.5 py-2"
            :class="active ? 'bg-line-2' : ''"
          >
            <b class="font-semibold">{{ hit.says }}</b><span class="text-ink-2">{{
              hit.also
            }}</span>
          </li>
        </ComboboxOption>
        <li v-if="!hits.length" role="option" aria-selected="false" class="px-3.5 py-2 text-ink-2">
          Nothing is called that. Try part of a name.
        </li>
      </ComboboxOptions>
    </Combobox>
  </AppDialog>
</template>
