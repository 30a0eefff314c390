<script setup lang="ts">
import type { BatchSummary, NewBatchEvent } from '#contracts/batch'
import { lyePh, soapPh } from '#core/rack/usable'

/** One strip each for several batches, held on wet lather. Rows left empty are not written down. */
const { batches: asked } = defineProps<{ batches: BatchSummary[] }>()
const open = defineModel<boolean>({ required: true })
const batches = useBatches()
const { today, say } = storeToRefs(useWorkshop())
const rows = reactive(asked.map((batch) => ({ batch, ph: null as number | null })))
const read = computed(() => rows.filter(({ ph }) => ph !== null))
const verdict = (ph: number | null) =>
  ph === null
    ? ''
    : ph > lyePh
      ? 'locked: free lye?'
      : ph > soapPh
        ? 'held: again in 3 days'
        : 'soap'
const busy = ref(false)
async function keep() {
  if (!read.value.length || busy.value) return
  busy.value = true
  const ph = new Map(read.value.map((row) => [row.batch.id, row.ph!]))
  await batches.tellAll(
    read.value.map(({ batch }) => batch),
    ({ id }): NewBatchEvent => ({
      kind: 'strip',
      day: today.value,
      ph: ph.get(id)!,
      where: 'lather',
      tooDry: false,
      bar: 1,
      pot: null,
    }),
    (of) =>
      of.length > 1
        ? `${of.length} batches tested.`
        : `${of[0]!.name} ${of[0]!.number}: strip ${ph.get(of[0]!.id)}.`,
  )
  busy.value = false
  open.value = false
}
</script>

<template>
  <AppDialog
    v-model="open"
    title="A strip for each"
    :keep="
      read.length ? { says: say.count(read.length, 'reading', 'readings'), act: keep } : undefined
    "
  >
    <form class="px-5 py-4" @submit.prevent="keep">
      <p class="mb-3 text-ink-2">
        Wet the bar, work up lather, hold the strip in it. 8 to 10 is soap. Gloves on until then.
      </p>
      <ul>
        <li
          v-for="row in rows"
          :key="row.batch.id"
          class="flex items-center gap-3 border-t border-line-2 py-2"
        >
          <BarThumbnail :thumbnail="row.batch.thumbnail" :width="34" :height="24" />
          <b class="min-w-0 flex-1 truncate">{{ row.batch.name }} {{ row.batch.number }}</b>
          <NumberField
            v-model="row.ph"
            class="w-24"
            :label="`Strip of ${row.batch.name} ${row.batch.number}`"
            unit="pH"
            :min="5"
            :max="14"
            :step="0.5"
            :decimals="1"
          />
          <span
            class="w-40 text-sm max-sm:hidden"
            :class="row.ph !== null && row.ph > soapPh ? 'font-semibold text-stop' : 'text-ink-2'"
            >{{ verdict(row.ph) }}</span
          >
        </li>
      </ul>
      <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
    </form>
    <template #actions="{ close }">
      <AppButton @click="close">Cancel</AppButton>
      <AppButton kind="main" :disabled="!read.length || busy" @click="keep"
        >Keep {{ read.length || '' }}</AppButton
      >
    </template>
  </AppDialog>
</template>
