<script setup lang="ts">
import type { Stored } from '#contracts/document'
import type { WorkshopMould } from '#contracts/mould'
import { barsIn } from '#core/mould/bars'
import { capacityOf } from '#core/mould/capacity'
import { linerNames, mouldRemark, stuffOf } from '#core/mould/stuff'

/** The moulds of the workshop, all drawn to the same scale, with how each is cut. */
useHead({ title: 'Moulds · Mantle' })
const moulds = useMoulds()
const toasts = useToasts()
const { say } = storeToRefs(useWorkshop())
onMounted(() => void moulds.load())

const byName = computed(() =>
  [...moulds.list]
    .sort((a, b) => a.document.name.localeCompare(b.document.name))
    .map((mould) => {
      const { material, liner } = mould.document
      return { ...mould, remark: mouldRemark(material, liner) }
    }),
)
const longest = computed(() => {
  const spans = moulds.list.map(({ document: { mould } }) => {
    if (mould.shape === 'box') return mould.lengthMm + mould.widthMm * 0.42
    if (mould.shape === 'cylinder') return mould.depthMm + mould.diameterMm * 0.35
    const columns = Math.ceil(Math.sqrt(Math.min(mould.count, 60) * 1.8))
    return columns * Math.cbrt(mould.millilitres * 1000) * 1.25
  })
  return Math.max(200, ...spans)
})
const pxPerMm = computed(() => Math.min(0.9, 300 / longest.value))

const editing = shallowRef<Stored<WorkshopMould> | null>(null)
const dialogOpen = ref(false)
function edit(mould: Stored<WorkshopMould> | null) {
  editing.value = mould
  dialogOpen.value = true
}
async function remove(mould: Stored<WorkshopMould>) {
  try {
    await moulds.remove(mould)
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
async function duplicate({ document }: Stored<WorkshopMould>) {
  try {
    await moulds.save(newId(), 0, { ...document, name: `${document.name}, copy`.slice(0, 80) })
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
const entriesOf = (mould: Stored<WorkshopMould>) => [
  { says: 'Change', act: () => edit(mould) },
  { says: 'Duplicate', act: () => void duplicate(mould) },
  { says: 'Delete', danger: true, act: () => void remove(mould) },
]
const barWords = (record: WorkshopMould) => {
  const { count, millilitres, sidesMm } = barsIn(record)
  const sides = sidesMm ? `, ${sidesMm.map((side) => say.value.number(side)).join(' × ')} mm` : ''
  return `${say.value.count(count, 'bar', 'bars')} of ${say.value.number(millilitres)} ml${sides}`
}
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-4 sm:px-6">
    <div class="mb-4 flex flex-wrap items-center gap-3">
      <div class="mr-auto">
        <h1>Moulds</h1>
        <p class="text-ink-2">
          All to one scale, full, with the cuts. A formula is sized to them under its size.
        </p>
      </div>
      <AppButton to="/formulas">All formulas</AppButton>
      <AppButton kind="main" @click="edit(null)">New mould</AppButton>
    </div>
    <p v-if="moulds.problem" role="alert" class="mb-3 font-semibold text-stop">
      {{ moulds.problem }}
    </p>
    <EmptyState v-if="moulds.loaded && !moulds.list.length" title="No moulds yet">
      A loaf of 250 by 80 mm, filled 70 mm deep, takes 1,400 ml: about 960 g of oils, ten bars.
      <template #actions>
        <AppButton kind="main" @click="edit(null)">Write down the first mould</AppButton>
      </template>
    </EmptyState>
    <ul v-else class="grid gap-4 sm:grid-cols-2 lg:grid-cols-3">
      <li v-for="mould in byName" :key="mould.id" class="sheet flex flex-col px-4 py-3">
        <div class="flex items-start gap-2">
          <h2 class="flex-1 text-[16px] font-bold text-ink">
            <button type="button" class="text-left hover:underline" @click="edit(mould)">
              {{ mould.document.name }}
            </button>
            <span v-if="mould.document.owned > 1" class="figure ml-1 font-medium text-ink-2"
              >× {{ mould.document.owned }}</span
            >
          </h2>
          <AppMenu :label="`More for ${mould.document.name}`" :entries="entriesOf(mould)" />
        </div>
        <div class="flex min-h-28 flex-1 items-end py-3">
          <MouldPicture :record="mould.document" :px-per-mm="pxPerMm" />
        </div>
        <p class="figure text-[18px] font-semibold">
          {{ say.number(capacityOf(mould.document)) }} ml
          <small class="text-sm font-normal text-ink-2">{{
            mould.document.trueMillilitres ? 'measured' : 'by its measures'
          }}</small>
        </p>
        <p class="figure">{{ barWords(mould.document) }}</p>
        <p class="text-ink-2">
          {{ stuffOf[mould.document.material].says
          }}{{
            mould.document.liner === 'none' ? '' : `, with ${linerNames[mould.document.liner]}`
          }}
        </p>
        <p
          v-if="mould.remark"
          class="font-semibold"
          :class="mould.remark.severity === 'stop' ? 'text-stop' : 'text-warn'"
        >
          {{ mould.remark.says }}
        </p>
        <p v-if="mould.document.note" class="text-sm text-ink-2">{{ mould.document.note }}</p>
      </li>
    </ul>
    <LazyMouldDialog v-if="dialogOpen" v-model="dialogOpen" :start="editing" />
  </div>
</template>
