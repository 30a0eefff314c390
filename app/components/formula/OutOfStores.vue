<script setup lang="ts">
import type { FormulaDocument } from '#contracts/formula'
import { reachOf } from '#core/stores/reserve'
import { usableLots } from '#core/stores/stock'
import { sizedAs } from '#core/formula/sizing'
import { sumOf } from '#core/statistics/sum'

/** As much as there is: until the first fat is out, or until a lot that has to go is used up. */
const { document } = defineProps<{ document: FormulaDocument }>()
const emit = defineEmits<{ oils: [grams: number] }>()
const { library } = storeToRefs(useMaterials())
const { say, today } = storeToRefs(useWorkshop())
const { rows, load } = useStores()
onMounted(() => void load())
const shares = computed(() =>
  sizedAs(document, { by: 'oils', grams: 1000 }, library.value).fats.map(({ id, share }) => ({
    id,
    share: share ?? 0,
  })),
)
const nameOf = (id: string) => library.value.fats.get(id)?.name.split(',')[0] ?? id
/** g that are there and not reserved for another batch. */
const free = (thing: string): number | null => {
  const own = rows.value.filter((row) => row.thing.id === thing)
  const usable = new Set(
    usableLots(
      own.map(({ lot }) => lot),
      thing,
    ).map(({ id }) => id),
  )
  return own.length
    ? sumOf(own, (row) => (usable.has(row.lot.id) ? Math.max(0, row.free) : 0))
    : null
}
const reach = computed(() => (rows.value.length ? reachOf(shares.value, free) : null))
/** Lots of its fats that are to be used soon, and how much of it uses each of them up. */
const soon = computed(() =>
  shares.value.flatMap(({ id, share }) =>
    share > 0
      ? rows.value.flatMap((row) => {
          const flag = row.flags.find(({ kind }) => kind === 'use-by')
          return row.thing.id === id && flag && !row.lot.document.held && row.lot.stock > 1
            ? [{ row, oils: row.lot.stock / share }]
            : []
        })
      : [],
  ),
)
</script>

<template>
  <template v-if="reach || soon.length">
    <h3 class="font-semibold text-ink-2">Out of the stores</h3>
    <div class="flex flex-wrap gap-2">
      <AppButton v-if="reach && reach.oils >= 50" @click="emit('oils', Math.floor(reach.oils))"
        >All there is: {{ say.amount(Math.floor(reach.oils)) }} of oils, until
        {{ nameOf(reach.thing) }} is out</AppButton
      >
      <AppButton v-for="one in soon" :key="one.row.lot.id" @click="emit('oils', one.oils)"
        >Use up {{ one.row.name }}, before
        {{ dayText(one.row.lot.document.bestBefore!, { today }) }}: {{ say.amount(one.oils) }} of
        oils</AppButton
      >
      <p v-if="reach && reach.oils < 50" class="text-ink-2">
        Of {{ nameOf(reach.thing) }} nothing is free.
      </p>
    </div>
  </template>
</template>
