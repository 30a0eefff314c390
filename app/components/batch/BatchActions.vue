<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import { standingOf } from '#core/rack/standing'

/** What can be done with a batch next: pour, cut, take off the rack. Each can be taken back. */
const { batch, small } = defineProps<{ batch: BatchSummary; small?: boolean }>()
const batches = useBatches()
const { today } = storeToRefs(useWorkshop())

const standing = computed(() => standingOf(batch, today.value))
const dialog = ref(false)
const day = ref('')
const bars = ref<number | null>(null)
const why = ref<'gone' | 'spoiled'>('gone')
const note = ref('')
const next = computed(() => {
  if (standing.value.stage === 'left') return null
  if (!standing.value.pouredOn) return 'poured' as const
  return standing.value.cutOn ? ('left' as const) : ('cut' as const)
})
const looks = {
  poured: { says: 'Mark as poured', title: 'Poured', confirm: 'It is poured' },
  cut: { says: 'Mark as cut', title: 'Cut', confirm: 'It is cut' },
  left: { says: 'Take off the rack', title: 'Off the rack', confirm: 'Take it off' },
}
const asked = ref<keyof typeof looks>('poured')

function ask(kind: keyof typeof looks) {
  asked.value = kind
  day.value = today.value
  bars.value = standing.value.bars
  why.value = kind === 'left' && standing.value.cutOn === null ? 'spoiled' : 'gone'
  note.value = ''
  dialog.value = true
}
async function done() {
  const name = `${batch.name} ${batch.number}`
  const kind = asked.value
  const kept =
    kind === 'poured'
      ? await batches.tell(batch.id, { kind, day: day.value }, `${name} is on the rack.`)
      : kind === 'cut'
        ? bars.value &&
          (await batches.tell(
            batch.id,
            { kind, day: day.value, bars: bars.value },
            `${name} is cut into ${bars.value} bars.`,
          ))
        : await batches.tell(
            batch.id,
            { kind, day: day.value, why: why.value, note: note.value.trim() },
            `${name} is off the rack.`,
          )
  if (kept) dialog.value = false
}
</script>

<template>
  <div v-if="next" class="flex flex-wrap items-center gap-3">
    <AppButton v-if="next === 'poured'" kind="main" :to="`/bench/${batch.id}`"
      >To the bench</AppButton
    >
    <AppButton :kind="small || next !== 'cut' ? 'plain' : 'main'" @click="ask(next)">{{
      looks[next].says
    }}</AppButton>
    <button
      v-if="!small && next !== 'left'"
      type="button"
      class="link font-medium"
      @click="ask('left')"
    >
      {{ next === 'poured' ? 'Give it up' : 'It failed' }}
    </button>
    <AppDialog v-model="dialog" :title="`${looks[asked].title}: ${batch.name} ${batch.number}`">
      <form class="grid gap-4 px-5 py-4" @submit.prevent="done">
        <label class="flex items-center gap-3 font-semibold">
          On
          <input v-model="day" type="date" class="field font-normal" :max="today" required />
        </label>
        <label v-if="asked === 'cut'" class="flex items-center gap-3 font-semibold">
          Bars
          <NumberField
            v-model="bars"
            label="Bars"
            class="w-24"
            :min="1"
            :max="10000"
            :decimals="0"
          />
        </label>
        <p v-if="asked === 'cut'" class="text-ink-2">Fresh soap is still caustic: gloves on.</p>
        <template v-if="asked === 'left'">
          <fieldset class="flex gap-5">
            <legend class="sr-only">Why</legend>
            <label class="flex items-center gap-2"
              ><input v-model="why" type="radio" value="gone" /> all gone</label
            >
            <label class="flex items-center gap-2"
              ><input v-model="why" type="radio" value="spoiled" /> thrown away</label
            >
          </fieldset>
          <label class="grid gap-1 font-semibold">
            What was learned
            <input v-model="note" class="field font-normal" maxlength="500" />
          </label>
        </template>
        <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
      </form>
      <template #actions>
        <AppButton @click="dialog = false">Cancel</AppButton>
        <AppButton kind="main" :disabled="!day || (asked === 'cut' && !bars)" @click="done">{{
          looks[asked].confirm
        }}</AppButton>
      </template>
    </AppDialog>
  </div>
</template>
