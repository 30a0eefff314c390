<script setup lang="ts">
import type { OwnMaterial } from '#contracts/material'
import type { Fat } from '#core/materials/fat'
import { plainName } from '#core/materials/find'
import type { Material } from '#core/materials/library'
import { blankMaterial, ownPrefix, recordOf } from '#core/materials/own'

/** Everything a formula may hold, with where each value comes from; two or three side by side. */
const materials = useMaterials()
const { library } = storeToRefs(materials)
const toasts = useToasts()
useHead({ title: 'Materials · Mantle' })
const query = ref(String(useRoute().query.find ?? ''))
const kind = ref<'all' | 'own' | Material['kind']>('all')
const state = ref<'any' | Fat['stateAt20']>('any')
const origin = ref('any')
const chosen = ref<string[]>(['fat olive', 'fat coconut'])
const most = 3

const isOwn = (material: Material) => materials.recordOf(material.id) !== undefined
const allMaterials = computed((): Material[] => [
  ...library.value.fats.values(),
  ...library.value.liquids.values(),
  ...library.value.additives.values(),
])
const keyOf = (material: Material) => `${material.kind} ${material.id}`
const kinds = { fat: 'Fats, butters, waxes, acids', liquid: 'Liquids', additive: 'Extras' } as const
const origins = [...new Set([...library.value.fats.values()].flatMap((fat) => fat.origin))].sort()
const textOf = (material: Material) =>
  plainName(
    [
      material.name,
      material.id,
      ...material.aliases,
      material.kind === 'fat'
        ? `${material.latin} ${material.inci} ${material.origin.join(' ')}`
        : '',
      material.kind === 'additive' ? material.group : '',
    ].join(' '),
  )
const texts = computed(() => new Map(allMaterials.value.map((item) => [keyOf(item), textOf(item)])))
const found = computed(() => {
  const words = plainName(query.value).split(' ').filter(Boolean)
  const fits = allMaterials.value.filter((material) => {
    if (kind.value === 'own' && !isOwn(material)) return false
    if (!['all', 'own', material.kind].includes(kind.value)) return false
    if (state.value !== 'any' && (material.kind !== 'fat' || material.stateAt20 !== state.value))
      return false
    if (
      origin.value !== 'any' &&
      (material.kind !== 'fat' || !material.origin.some((from) => from === origin.value))
    )
      return false
    return words.every((word) => texts.value.get(keyOf(material))!.includes(word))
  })
  const begins = (material: Material) =>
    texts.value.get(keyOf(material))!.startsWith(words[0] ?? '')
  return [...fits.filter(begins), ...fits.filter((material) => !begins(material))]
})
const compared = computed(() =>
  allMaterials.value.filter((material) => chosen.value.includes(keyOf(material))),
)
function toggle(key: string) {
  chosen.value = chosen.value.includes(key)
    ? chosen.value.filter((other) => other !== key)
    : [...chosen.value, key].slice(-most)
}

const editing = shallowRef<OwnMaterial | null>(null)
const dialogOpen = computed({
  get: () => editing.value !== null,
  set: (value) => {
    if (!value) editing.value = null
  },
})
function kept(id: string) {
  const key = `${editing.value!.kind} ${id}`
  if (!chosen.value.includes(key)) toggle(key)
}
async function drop(material: Material) {
  const record = materials.recordOf(material.id)
  try {
    if (!record) return
    const shipped = !material.id.startsWith(ownPrefix)
    await materials.remove(
      record,
      shipped ? `${material.name} has the library’s values again.` : undefined,
    )
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
/** The whole library is a table too, to see what the columns are; own ones come first. */
async function exportTable(all: boolean) {
  const { materialColumns, rowOfMaterial } = await import('#core/exchange/materialRows')
  const own = materials.list.map(({ document }) => document)
  const ids = new Set(own.map(({ id }) => id))
  const shipped = all ? allMaterials.value.filter(({ id }) => !ids.has(id)).map(recordOf) : []
  await downloadCsv('materials.csv', materialColumns, [...own, ...shipped].map(rowOfMaterial))
}
const importing = ref(false)
const more = [
  { says: 'Add a fat', act: () => (editing.value = blankMaterial('fat')) },
  { says: 'Add a liquid', act: () => (editing.value = blankMaterial('liquid')) },
  { says: 'Add an extra', act: () => (editing.value = blankMaterial('additive')) },
  { says: 'Import a table (.csv)…', act: () => (importing.value = true) },
  { says: 'Export your own (.csv)', act: () => void exportTable(false) },
  { says: 'Export all (.csv)', act: () => void exportTable(true) },
]
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-4 sm:px-6">
    <div class="mb-4 flex flex-wrap items-center gap-3">
      <div class="mr-auto">
        <h1>Materials</h1>
        <p class="text-ink-2">
          {{ library.fats.size }} fats, {{ library.liquids.size }} liquids,
          {{ library.additives.size }} extras. Choose two or three to see them side by side.
        </p>
      </div>
      <AppButton to="/formulas">All formulas</AppButton>
      <AppMenu label="Add and exchange materials" :entries="more" />
    </div>
    <div class="grid gap-4 lg:grid-cols-[400px_1fr]">
      <section class="sheet flex flex-col lg:max-h-[640px]" aria-label="All materials">
        <div class="grid grid-cols-3 gap-2 border-b border-line-2 p-3">
          <input
            v-model="query"
            type="search"
            class="field col-span-3 py-2"
            placeholder="Find by name, plant or label name"
            aria-label="Find a material"
          />
          <select v-model="kind" class="field min-w-0" aria-label="Kind">
            <option value="all">all kinds</option>
            <option value="own">your own</option>
            <option v-for="(says, id) in kinds" :key="id" :value="id">{{ says }}</option>
          </select>
          <select v-model="state" class="field min-w-0" aria-label="At 20 °C">
            <option value="any">any state</option>
            <option v-for="item in ['liquid', 'soft', 'hard']" :key="item" :value="item">
              {{ item }}
            </option>
          </select>
          <select v-model="origin" class="field min-w-0" aria-label="Origin">
            <option value="any">any origin</option>
            <option v-for="item in origins" :key="item" :value="item">
              {{ originNames[item] }}
            </option>
          </select>
        </div>
        <ul class="min-h-0 overflow-y-auto" tabindex="0" aria-label="Found materials">
          <li
            v-for="material in found"
            :key="keyOf(material)"
            class="border-t border-line-2 first:border-t-0"
          >
            <label class="flex cursor-pointer items-center gap-3 px-3 py-1.5 hover:bg-field">
              <input
                type="checkbox"
                :checked="chosen.includes(keyOf(material))"
                @change="toggle(keyOf(material))"
              />
              <i
                class="h-[18px] w-3 shrink-0 rounded-[2px] border border-black/10"
                :style="{ background: material.colour }"
              />
              <span class="min-w-0 flex-1 truncate">{{ material.name }}</span>
              <small v-if="isOwn(material)" class="shrink-0 font-semibold text-act">own</small>
              <small class="figure shrink-0 text-ink-2">{{
                material.kind === 'fat'
                  ? material.sap.typical
                  : material.kind === 'liquid'
                    ? 'liquid'
                    : material.group
              }}</small>
            </label>
          </li>
          <li v-if="!found.length" class="px-3 py-4 text-ink-2">
            Nothing matches. Try fewer words, or add it as your own from the menu above.
          </li>
        </ul>
        <p class="border-t border-line-2 px-3 py-2 text-sm text-ink-2">{{ found.length }} found</p>
      </section>
      <section
        class="grid content-start gap-4 sm:grid-cols-2 xl:grid-cols-3"
        aria-label="Side by side"
        aria-live="polite"
      >
        <MaterialCard
          v-for="material in compared"
          :key="keyOf(material)"
          :material="material"
          :own="isOwn(material)"
          :shipped="!material.id.startsWith(ownPrefix)"
          @edit="editing = materials.recordOf(material.id)?.document ?? recordOf(material)"
          @drop="drop(material)"
        />
        <p v-if="!compared.length" class="text-ink-2">
          Tick materials on the left to see them here.
        </p>
      </section>
    </div>
    <LazyMaterialImportDialog v-if="importing" v-model="importing" />
    <LazyMaterialDialog v-if="editing" v-model="dialogOpen" :start="editing" @kept="kept" />
  </div>
</template>
