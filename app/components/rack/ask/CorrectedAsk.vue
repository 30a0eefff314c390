<script setup lang="ts">
import type { Difference } from '#contracts/batch'
import { madeOf } from '#core/rack/facts'
import { standingEvents } from '#core/units/standingEvents'
import { standingOf } from '#core/rack/standing'
import { correctedMade, madeAsPlanned, rescueOf } from '#core/rack/wrong'
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'

/** A weight that turns out to have been wrong: what the batch now is, what can be done with it and what must not. */
const { batch } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const whole = useWholeBatch(() => batch)
const { today, say } = storeToRefs(useWorkshop())

const rows = ref<{ what: string; more: boolean; grams: number | null }[]>([
  { what: 'naoh', more: true, grams: null },
])
const note = ref('')
const choices = computed(() => {
  const result = whole.value?.frozen.result
  if (!result) return []
  return [
    {
      id: 'naoh',
      name: result.lye.solution === null ? 'sodium hydroxide' : 'lye solution',
      grams: result.lye.solution ?? result.lye.naoh,
    },
    ...(result.lye.koh ? [{ id: 'koh', name: 'potassium hydroxide', grams: result.lye.koh }] : []),
    { id: 'water', name: 'water', grams: result.water.weighed },
    ...[...result.fats, ...result.additives],
  ]
})
const planned = (what: string) => choices.value.find(({ id }) => id === what)
const differences = computed((): Difference[] =>
  rows.value.flatMap(({ what, more, grams }) =>
    grams ? [{ what, grams: more ? grams : -grams }] : [],
  ),
)
const before = computed(() => {
  if (!whole.value) return null
  const { frozen, events } = whole.value
  return madeOf(frozen, standingEvents(events)) ?? madeAsPlanned(frozen)
})
const after = computed(() =>
  whole.value && before.value && differences.value.length
    ? correctedMade(whole.value.frozen, before.value, differences.value)
    : null,
)
const verdict = computed(() => {
  if (!whole.value || !after.value) return null
  const left = standingOf(batch, today.value).bars / Math.max(1, batch.facts.bars)
  return rescueOf(whole.value.frozen, after.value, left)
})
const bad = computed(() => ['free-lye', 'water-short'].includes(verdict.value?.kind ?? ''))
watchEffect(
  () =>
    (answer.value = differences.value.length
      ? { kind: 'corrected', differences: differences.value, note: note.value }
      : null),
)
</script>

<template>
  <ul class="grid gap-2">
    <li v-for="(row, place) in rows" :key="place" class="flex flex-wrap items-center gap-2">
      <select v-model="row.what" class="field max-w-52" :aria-label="`What, ${place + 1}`">
        <option v-for="{ id, name } in choices" :key="id" :value="id">{{ name }}</option>
      </select>
      <NumberField
        v-model="row.grams"
        :label="`By how much, ${place + 1}`"
        kind="mass"
        class="w-28"
        :min="0.1"
        :max="500000"
      />
      <select v-model="row.more" class="field" :aria-label="`More or less, ${place + 1}`">
        <option :value="true">too much</option>
        <option :value="false">too little</option>
      </select>
      <template v-if="planned(row.what)">
        <button
          type="button"
          class="link text-sm"
          @click="Object.assign(row, { grams: planned(row.what)!.grams, more: false })"
        >
          forgotten
        </button>
        <button
          type="button"
          class="link text-sm"
          @click="Object.assign(row, { grams: planned(row.what)!.grams, more: true })"
        >
          doubled
        </button>
      </template>
      <button
        v-if="rows.length > 1"
        type="button"
        class="link text-sm"
        @click="rows.splice(place, 1)"
      >
        Remove
      </button>
    </li>
  </ul>
  <button
    type="button"
    class="link w-fit"
    @click="rows.push({ what: 'water', more: true, grams: null })"
  >
    Another
  </button>
  <div
    v-if="after && before && verdict"
    role="status"
    class="px-3 py-2"
    :class="bad ? 'bg-stop-ground' : 'bg-ground'"
  >
    <p class="figure font-semibold" :class="bad ? 'text-stop' : ''">
      {{ verdict.says }} Superfat {{ say.percent(after.superfat) }} instead of
      {{ say.percent(before.superfat)
      }}{{ after.ratio ? `, water ${say.ratio(after.ratio)}` : '' }}.
    </p>
    <h3 class="mt-2 text-[13px] font-[650]">What can be done</h3>
    <ul class="grid gap-1.5">
      <li v-for="way in verdict.can" :key="way.says">
        <b v-if="way.add.length" class="figure"
          >{{ say.list(way.add.map(({ what, grams }) => `${say.mass(grams)} of ${what}`)) }}:
        </b>
        {{ way.says }}
      </li>
    </ul>
    <template v-if="verdict.mustNot.length">
      <h3 class="mt-2 text-[13px] font-[650] text-stop">What must not</h3>
      <ul>
        <li v-for="never in verdict.mustNot" :key="never">{{ never }}</li>
      </ul>
    </template>
  </div>
  <FieldRow says="How it was found out">
    <input v-model="note" class="field font-normal" maxlength="500" />
  </FieldRow>
</template>
