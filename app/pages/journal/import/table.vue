<script setup lang="ts">
import { columnRoles, type ColumnRole } from '#contracts/journal'

/** A spreadsheet of old batches on its way in: what its columns are, what is wrong with its rows, and all of it out again. */
useHead({ title: 'A spreadsheet in · Mantle' })
const table = useTableImport()
const {
  grid,
  name,
  columns,
  monthFirst,
  unit,
  problem,
  remembered,
  fileFaults,
  read,
  faulty,
  sound,
  progress,
  brought,
} = table
const { say, today } = storeToRefs(useWorkshop())
const materials = useMaterials()
const pasted = ref('')
const roleNames: Record<ColumnRole, string> = {
  title: 'title',
  day: 'day',
  note: 'note',
  who: 'who made it',
  weather: 'weather',
  lye: 'lye',
  water: 'water',
  superfat: 'superfat, %',
  scent: 'scent',
  ingredient: 'an ingredient',
  recipe: 'the whole recipe',
  source: 'whose recipe',
  ignore: 'left out',
}
const names = computed(() => {
  const { fats, liquids, additives } = materials.library
  const all = [...fats.values(), ...liquids.values(), ...additives.values()]
  return [...new Set(all.map((one) => one.name.split(',')[0]!))]
})
/** Rows with something wrong first, then the first of the others. */
const shown = computed(() => [...faulty.value, ...sound.value.slice(0, 12)])
const faultOf = (row: (typeof read.value)[number], head: string) =>
  row.faults.find(({ column }) => column === head)
const drop = (event: DragEvent) => {
  const file = event.dataTransfer?.files[0]
  if (file) void table.file(file)
}
function choose(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (file) void table.file(file)
}
</script>

<template>
  <div class="mx-auto max-w-[1400px] px-4 py-6 sm:px-6">
    <NuxtLink to="/journal/import" class="link">Old pages in</NuxtLink>
    <h1 class="mt-1">A spreadsheet</h1>
    <p v-if="problem" role="alert" class="mt-3 font-semibold text-stop">{{ problem }}</p>

    <section v-if="!grid" class="mt-4 grid gap-4 md:grid-cols-2">
      <label
        class="grid min-h-44 cursor-pointer content-center justify-items-center gap-2 rounded-md border-2 border-dashed border-line-3 bg-sheet p-5 text-center focus-within:outline-3 focus-within:outline-act"
        @dragover.prevent
        @drop.prevent="drop"
      >
        <b class="text-[16px]">Choose or drop a file</b>
        <span class="text-ink-2">.xlsx or .csv; one row a batch, heads in the first row.</span>
        <input
          type="file"
          accept=".xlsx,.csv,.tsv,.txt"
          class="sr-only"
          aria-label="Spreadsheet file"
          @change="choose"
        />
      </label>
      <form class="grid gap-2" @submit.prevent="table.paste(pasted)">
        <label class="grid gap-1"
          >Or paste rows, heads first
          <textarea
            v-model="pasted"
            class="field min-h-32 font-mono text-[13px]"
            placeholder="Date&#9;Name&#9;Olive oil (g)&#9;Lye&#9;Water&#9;Notes"
          />
        </label>
        <AppButton :disabled="!pasted.trim()" @click="table.paste(pasted)">Read it</AppButton>
      </form>
    </section>

    <template v-else-if="brought && !progress">
      <section class="sheet mt-4 px-5 py-4" role="status">
        <p class="text-[17px] font-bold">
          {{ say.count(brought.count, 'row is', 'rows are') }} in the journal.
        </p>
        <p class="mt-1">
          {{ brought.counts.thin }} of these
          {{ say.plural(brought.counts.thin, 'is', 'are') }} under 2 % superfat,
          {{ brought.counts.dry }} never
          {{ say.plural(brought.counts.dry, 'says its', 'say their') }} water<template
            v-if="brought.counts.open"
            >, {{ brought.counts.open }} with an open word</template
          >.
          <template v-if="faulty.length"
            >{{ say.count(faulty.length, 'row waits', 'rows wait') }} outside.</template
          >
        </p>
        <p class="mt-4 flex flex-wrap gap-3">
          <AppButton kind="main" to="/journal?kind=page">See them in the journal</AppButton>
          <AppButton @click="table.takeOut">Take all out again</AppButton>
        </p>
        <details v-if="brought.pages.length" class="mt-4" open>
          <summary class="font-[650]">What stands out</summary>
          <ul class="mt-1 divide-y divide-line-2">
            <li v-for="one in brought.pages.slice(0, 60)" :key="one.id" class="flex gap-4 py-1">
              <NuxtLink class="link" :to="`/journal/import/${brought.id}?page=${one.id}`">{{
                one.title
              }}</NuxtLink>
              <span class="text-ink-2">{{ one.says }}</span>
            </li>
          </ul>
        </details>
      </section>
    </template>

    <template v-else>
      <div class="mt-4 flex flex-wrap items-end gap-x-6 gap-y-3">
        <label class="grid gap-1"
          >What it is called
          <input v-model="name" class="field w-72" maxlength="120" />
        </label>
        <label class="grid gap-1"
          >Bare figures are
          <select v-model="unit" class="field">
            <option value="g">grams</option>
            <option value="oz">ounces</option>
            <option :value="null">to be asked</option>
          </select>
        </label>
        <label class="flex min-h-9 items-center gap-2"
          ><input v-model="monthFirst" type="checkbox" /> Days have the month first</label
        >
        <span v-if="remembered" class="text-ink-2">Columns as you set them the last time.</span>
      </div>
      <p v-for="fault in fileFaults" :key="fault.row" class="mt-2 text-stop">
        {{ rowFaultText(fault) }}
      </p>
      <div class="mt-4 flex flex-wrap items-center gap-4">
        <template v-if="progress">
          <progress
            :value="progress.done"
            :max="progress.of"
            class="h-2 w-64"
            aria-label="Rows brought in"
          />
          <span role="status"
            >{{ say.number(progress.done, 0) }} of {{ say.count(progress.of, 'row', 'rows') }}</span
          >
          <AppButton @click="table.stop">Stop, and take them out</AppButton>
        </template>
        <template v-else>
          <AppButton kind="main" :disabled="!sound.length" @click="table.bringIn"
            >Bring in {{ say.count(sound.length, 'row', 'rows') }}</AppButton
          >
          <span v-if="faulty.length" class="font-semibold text-warn"
            >{{ say.count(faulty.length, 'row has', 'rows have') }} a fault and
            {{ say.plural(faulty.length, 'stays', 'stay') }} outside: put it right below, or leave
            it.</span
          >
          <AppButton @click="grid = null">Another table</AppButton>
        </template>
      </div>
      <datalist id="table-materials">
        <option v-for="one in names" :key="one" :value="one" />
      </datalist>
      <div class="mt-4 overflow-x-auto">
        <table class="sheet w-full border-collapse text-left text-[13px]">
          <thead>
            <tr class="align-top">
              <th scope="col" class="px-2 py-2">Line</th>
              <th
                v-for="(head, place) in grid.heads"
                :key="place"
                scope="col"
                class="min-w-36 px-2 py-2"
              >
                <span class="block font-bold">{{ head || `column ${place + 1}` }}</span>
                <template v-if="columns[place]">
                  <select
                    v-model="columns[place]!.role"
                    class="field mt-1 w-full font-normal"
                    :aria-label="`What ${head || `column ${place + 1}`} is`"
                  >
                    <option v-for="role in columnRoles" :key="role" :value="role">
                      {{ roleNames[role] }}
                    </option>
                  </select>
                  <input
                    v-if="columns[place]!.role === 'ingredient'"
                    v-model="columns[place]!.name"
                    class="field mt-1 w-full font-normal"
                    list="table-materials"
                    :aria-label="`Which ingredient ${head} is`"
                    placeholder="Olive oil"
                  />
                </template>
              </th>
              <th scope="col" class="px-2 py-2">Day</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="row in shown"
              :key="row.row.line"
              class="border-t border-line align-top"
              :class="{ 'bg-warn-ground': row.faults.length }"
            >
              <th scope="row" class="figure px-2 py-1.5">{{ row.row.line }}</th>
              <td v-for="(head, place) in grid.heads" :key="place" class="px-2 py-1.5">
                <template v-if="faultOf(row, head)">
                  <input
                    class="field w-full"
                    :value="row.row.cells[place]"
                    :aria-label="`Line ${row.row.line}, ${head}`"
                    aria-invalid="true"
                    @change="
                      table.mend(row.row.line, head, ($event.target as HTMLInputElement).value)
                    "
                  />
                  <span class="mt-0.5 block text-stop">{{ faultOf(row, head)!.says }}</span>
                </template>
                <span v-else class="typed line-clamp-3 max-w-64">{{ row.row.cells[place] }}</span>
              </td>
              <td class="px-2 py-1.5 whitespace-nowrap text-ink-2">
                {{ whenKnownText(row.page.when, today) }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="read.length > shown.length" class="mt-2 text-ink-2">
        And {{ say.number(read.length - shown.length, 0) }} more rows without a fault.
      </p>
    </template>
  </div>
</template>
