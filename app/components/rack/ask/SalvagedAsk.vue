<script setup lang="ts">
import { salvageWays, type SalvageWay } from '#contracts/rackWords'
import { madeOf } from '#core/rack/facts'
import { remeltOf, salvageKinds, salvagedMade, whyNotSalvaged } from '#core/rack/salvage'
import { standingEvents } from '#core/units/standingEvents'
import { standingOf } from '#core/rack/standing'
import { madeAsPlanned } from '#core/rack/wrong'
import { inSentence } from '#core/units/language'
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'

/** What becomes of a batch that went wrong: the way, what is weighed for it, and what it is then. */
const { batch } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const whole = useWholeBatch(() => batch)
const { today, say } = storeToRefs(useWorkshop())

const way = ref<SalvageWay>('remelted')
const note = ref('')
/** g of what is left, on the scale; null until somebody weighs it. */
const mass = ref<number | null>(null)
const fat = ref<number | null>(null)
const water = ref<number | null>(null)
const left = computed(() =>
  Math.min(1, Math.max(0.01, standingOf(batch, today.value).bars / Math.max(1, batch.facts.bars))),
)
const made = computed(() => {
  if (!whole.value) return null
  const { frozen, events } = whole.value
  return madeOf(frozen, standingEvents(events)) ?? madeAsPlanned(frozen)
})
const plan = computed(() =>
  whole.value && made.value
    ? remeltOf(whole.value.frozen, made.value, left.value, mass.value ?? undefined)
    : null,
)
const whyNot = (one: SalvageWay) => (made.value ? whyNotSalvaged(one, made.value.superfat) : null)
/** What was weighed, or what is to be. */
const given = computed(() => ({
  fat: plan.value?.fat
    ? { id: plan.value.fat.id, grams: fat.value ?? Math.round(plan.value.fat.grams * 10) / 10 }
    : null,
  water: water.value ?? Math.round(plan.value?.water ?? 0),
}))
const after = computed(() =>
  whole.value && made.value && way.value === 'remelted'
    ? salvagedMade(whole.value.frozen, made.value, {
        way: 'remelted',
        left: left.value,
        ...given.value,
      })
    : null,
)
const superfatSays = computed(() => {
  const [before, then] = [made.value?.superfat, after.value?.superfat ?? plan.value?.superfat].map(
    (share) => say.value.percent(share ?? 0),
  )
  return before === then
    ? `It keeps its ${before} superfat`
    : `Then it has ${then} superfat, instead of ${before}`
})
watchEffect(() => {
  const remelts = way.value === 'remelted'
  answer.value =
    whyNot(way.value) || (remelts && !plan.value)
      ? null
      : {
          kind: 'salvaged',
          way: way.value,
          left: left.value,
          fat: remelts ? given.value.fat : null,
          water: remelts ? given.value.water : 0,
          note: note.value,
        }
})
</script>

<template>
  <fieldset class="grid gap-1.5">
    <legend class="sr-only">What becomes of it</legend>
    <label v-for="one in salvageWays" :key="one" class="flex items-baseline gap-2">
      <input v-model="way" type="radio" :value="one" :disabled="!!whyNot(one)" />
      <span
        ><b class="font-[650]">{{ salvageKinds[one].says }}</b>
        <span v-if="whyNot(one)" class="block text-ink-2">{{ whyNot(one) }}</span></span
      >
    </label>
  </fieldset>
  <template v-if="way === 'remelted' && plan">
    <div class="flex flex-wrap gap-x-5 gap-y-2">
      <FieldRow says="What is left weighs">
        <NumberField
          v-model="mass"
          label="What is left weighs"
          kind="mass"
          class="w-32"
          :min="1"
          :max="500000"
        />
      </FieldRow>
      <FieldRow v-if="plan.fat" :says="`${plan.fat.name}, went in`">
        <NumberField
          v-model="fat"
          :label="`${plan.fat.name}, went in`"
          kind="mass"
          class="w-32"
          :min="0.1"
          :max="500000"
        />
      </FieldRow>
      <FieldRow says="Water, went in">
        <NumberField
          v-model="water"
          label="Water, went in"
          kind="mass"
          class="w-32"
          :min="0"
          :max="500000"
        />
      </FieldRow>
    </div>
    <p role="status" class="figure bg-ground px-3 py-2">
      <b>
        <template v-if="plan.fat"
          >{{ say.mass(plan.fat.grams) }} {{ inSentence(plan.fat.name) }} and </template
        >{{ say.mass(plan.water) }} water
      </b>
      for {{ say.percent(left, 0) }} of the batch{{
        mass
          ? `, ${say.amount(mass)} of it`
          : ', as heavy as it was poured: weigh it for less water'
      }}. {{ superfatSays }}, and a third of the {{ say.amount(plan.mass) }} in the pan is water.
    </p>
  </template>
  <ol class="list-decimal space-y-1 pl-5">
    <li v-for="step in salvageKinds[way].how" :key="step">{{ step }}</li>
  </ol>
  <p class="text-ink-2">
    Or throw it away as your local rules say: bagged, labelled as caustic, out of reach. That is
    written down with “All gone”.
  </p>
  <FieldRow says="Note">
    <input v-model="note" class="field font-normal" maxlength="500" />
  </FieldRow>
</template>
