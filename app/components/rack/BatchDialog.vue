<script setup lang="ts">
import type { NewBatchEvent } from '#contracts/batch'
import { outs, type Gel, type Out, type StripPlace } from '#contracts/rackWords'
import { soapPh, lyePh } from '#core/rack/usable'
import { standingOf } from '#core/rack/standing'
import type { Component } from 'vue'
import type { BatchAnswer, BatchQuestion } from '~/composables/useBatchDialog'
import CorrectedAsk from './ask/CorrectedAsk.vue'
import FeltAsk from './ask/FeltAsk.vue'
import FinishedAsk from './ask/FinishedAsk.vue'
import NotedAsk from './ask/NotedAsk.vue'
import PeekAsk from './ask/PeekAsk.vue'
import PlacedAsk from './ask/PlacedAsk.vue'
import TriedAsk from './ask/TriedAsk.vue'
import TroubleAsk from './ask/TroubleAsk.vue'

/** Writes down one thing that happened to a batch, each with its own few fields. All of it can be taken back. */
const asked = useBatchDialog()
const batches = useBatches()
const workshop = useWorkshop()
const { today, say } = storeToRefs(workshop)
const batch = computed(
  () => batches.list.find(({ id }) => id === asked.value?.batch.id) ?? asked.value!.batch,
)
const kind = ref<BatchQuestion>(asked.value!.asks)
const left = computed(() => standingOf(batch.value, today.value).bars)
const open = computed({
  get: () => true,
  set: () => (asked.value = null),
})

const day = ref(today.value)
const cut = reactive<CutDraft>({
  bars: batch.value.facts.bars,
  ends: 0,
  rejects: [],
  grams: null,
  sidesMm: [null, null, null],
})
const strip = reactive({
  ph: null as number | null,
  where: 'lather' as StripPlace,
  tooDry: false,
  bar: 1 as number | null,
  pot: null as number | null,
})
const out = reactive({ bars: left.value as number | null, how: 'sold' as Out, to: '' })
const gel = reactive({
  gel: 'full' as Gel,
  hours: null as number | null,
  pot: null as number | null,
})
/** The clock of the pour, where it was today or is remembered: windows go by it. */
const hour = ref('')
const whole = useWholeBatch(() => batch.value)
const pots = computed(() => whole.value?.frozen.document.parts.map(({ name }) => name) ?? [])
/** Questions with fields of their own, and what these come to. */
const asks: Partial<Record<BatchQuestion, Component>> = {
  peek: PeekAsk,
  tried: TriedAsk,
  finished: FinishedAsk,
  placed: PlacedAsk,
  felt: FeltAsk,
  trouble: TroubleAsk,
  corrected: CorrectedAsk,
  noted: NotedAsk,
}
const said = ref<BatchAnswer>(null)
const photos = ref<string[]>([])
const zap = ref(false)
const basis = ref('')
const leaving = reactive({
  why: (batch.value.facts.cutOn ? 'gone' : 'spoiled') as 'gone' | 'spoiled',
  note: '',
})

const looks: Record<BatchQuestion, { title: string; confirm: string }> = {
  poured: { title: 'Poured', confirm: 'It is poured' },
  peek: { title: 'Under the cover', confirm: 'Keep it' },
  tried: { title: 'Try the loaf', confirm: 'Keep it' },
  finished: { title: 'After the cut', confirm: 'Keep it' },
  placed: { title: 'Places', confirm: 'They stand there' },
  felt: { title: 'Try a bar', confirm: 'Keep the scores' },
  trouble: { title: 'Trouble', confirm: 'Write it down' },
  corrected: { title: 'A wrong weight', confirm: 'That is what went in' },
  noted: { title: 'Note', confirm: 'Keep it' },
  cut: { title: 'Cut', confirm: 'It is cut' },
  gelled: { title: 'Gel', confirm: 'Keep it' },
  strip: { title: 'Strip', confirm: 'Keep the reading' },
  zapped: { title: 'Zap test', confirm: 'Keep it' },
  trusted: { title: 'Trust the weights', confirm: 'Trust the weights' },
  released: { title: 'For sale', confirm: 'It may be sold' },
  out: { title: 'Out', confirm: 'Take them out' },
  left: { title: 'Off the rack', confirm: 'Take it off' },
}
const event = computed((): NewBatchEvent | null => {
  const on = { day: day.value }
  if (!day.value) return null
  switch (kind.value) {
    case 'poured':
      return {
        kind: 'poured',
        ...on,
        ...(hour.value
          ? { pouredAt: instantAt(day.value, hour.value, workshop.settings.timeZone) }
          : {}),
      }
    case 'cut': {
      const [a, b, c] = cut.sidesMm
      if (!cut.bars) return null
      return {
        kind: 'cut',
        ...on,
        bars: cut.bars,
        ends: cut.ends ?? 0,
        rejects: cut.rejects.filter(({ bars }) => bars > 0),
        grams: cut.grams,
        sidesMm: a && b && c ? [a, b, c] : null,
        photos: photos.value,
      }
    }
    case 'gelled':
      return { kind: 'gelled', ...on, ...gel }
    case 'strip':
      return strip.ph === null ? null : { kind: 'strip', ...on, ...strip, ph: strip.ph }
    case 'zapped':
      return { kind: 'zapped', ...on, zap: zap.value, bar: strip.bar, pot: strip.pot }
    case 'trusted':
      return { kind: 'trusted', ...on }
    case 'released':
      return { kind: 'released', ...on, basis: basis.value }
    case 'out':
      return out.bars ? { kind: 'out', ...on, ...out, bars: out.bars } : null
    case 'left':
      return { kind: 'left', ...on, ...leaving }
    default:
      return said.value && { ...said.value, ...on }
  }
})
const busy = ref(false)
async function done() {
  if (!event.value || busy.value) return
  busy.value = true
  const name = `${batch.value.name} ${batch.value.number}`
  const kept = await batches.tell(
    batch.value.id,
    event.value,
    `${name}: ${happenedText(event.value, say.value).toLowerCase()}.`,
  )
  busy.value = false
  if (!kept) return
  // A loaf that is firm is cut at once.
  const { value } = event
  if (value?.kind === 'tried' && !value.again) kind.value = 'cut'
  // A strip that is soap leads on to the tongue, which some makers want besides.
  else if (kind.value === 'strip' && kept.facts.usable.state === 'usable') kind.value = 'zapped'
  else asked.value = null
}
const verdict = computed(() => {
  const { ph, tooDry } = strip
  if (ph === null) return null
  if (tooDry)
    return {
      says: 'Too dry reads wrong. Wet it and hold a new strip; this one is kept and does not count.',
      bad: false,
    }
  if (ph > lyePh)
    return {
      says: 'Over 11: there may be free lye. The batch is locked: gloves on, no skin. Test several bars again in three days; if it stays, rework it with oil or throw it away as your local rules say.',
      bad: true,
    }
  if (ph > soapPh)
    return {
      says: 'Over 10: the batch is held. It may still be saponifying; test again in three days.',
      bad: true,
    }
  return { says: '8 to 10 is soap.', bad: false }
})
</script>

<template>
  <AppDialog
    v-model="open"
    :title="`${looks[kind].title}: ${batch.name} ${batch.number}`"
    :wide="kind === 'felt' || kind === 'corrected'"
  >
    <form class="grid gap-4 px-5 py-4" @submit.prevent="done">
      <div class="flex flex-wrap items-center gap-3">
        <label class="flex items-center gap-3 font-semibold">
          On
          <input v-model="day" type="date" class="field font-normal" :max="today" required />
        </label>
        <label v-if="kind === 'poured'" class="flex items-center gap-3 font-semibold">
          at
          <input
            v-model="hour"
            type="time"
            class="field font-normal"
            aria-label="Time of the pour"
          />
        </label>
      </div>
      <p v-if="kind === 'poured'" class="text-ink-2">
        With the time Mantle says from when to when it is best unmoulded and cut.
      </p>
      <component :is="asks[kind]" v-else-if="asks[kind]" v-model="said" :batch="batch" />
      <template v-else-if="kind === 'cut'">
        <CutFields v-model="cut" :batch="batch" />
        <div class="flex items-center gap-3">
          <span class="font-semibold">The cut face</span>
          <PhotoField v-model="photos" :batch-id="batch.id" />
        </div>
      </template>
      <template v-else-if="kind === 'gelled'">
        <fieldset class="grid gap-2">
          <legend class="mb-1 font-semibold">How far did it turn translucent?</legend>
          <label v-for="(says, one) in gelWords" :key="one" class="flex items-center gap-2"
            ><input v-model="gel.gel" type="radio" :value="one" /> {{ says }}</label
          >
        </fieldset>
        <div class="flex flex-wrap gap-x-5 gap-y-2">
          <LabelledNumber
            v-model="gel.hours"
            says="Seen after"
            label="Hours after the pour"
            unit="h"
            :min="0"
            :max="240"
            :decimals="1"
          />
          <label v-if="pots.length" class="grid content-start gap-1 font-semibold">
            Which part
            <select v-model="gel.pot" class="field font-normal">
              <option :value="null">all of it</option>
              <option v-for="(name, pot) in pots" :key="pot" :value="pot">{{ name }}</option>
            </select>
          </label>
        </div>
      </template>
      <template v-else-if="kind === 'strip'">
        <div class="flex flex-wrap gap-x-5 gap-y-2">
          <LabelledNumber
            v-model="strip.ph"
            says="Reading"
            label="Reading of the strip"
            unit="pH"
            :min="5"
            :max="14"
            :step="0.5"
            :decimals="1"
          />
          <label class="grid content-start gap-1 font-semibold">
            Held on
            <select v-model="strip.where" class="field font-normal">
              <option value="lather">lather</option>
              <option value="face">a wetted face</option>
            </select>
          </label>
          <LabelledNumber v-model="strip.bar" says="Bar" :min="1" :max="99" :decimals="0" />
          <label v-if="pots.length" class="grid content-start gap-1 font-semibold">
            Part
            <select v-model="strip.pot" class="field font-normal">
              <option :value="null">any</option>
              <option v-for="(name, pot) in pots" :key="pot" :value="pot">{{ name }}</option>
            </select>
          </label>
        </div>
        <label class="flex items-center gap-2"
          ><input v-model="strip.tooDry" type="checkbox" /> it was too dry</label
        >
        <p v-if="verdict" :class="verdict.bad ? 'font-semibold text-stop' : 'text-ink-2'">
          {{ verdict.says }}
        </p>
      </template>
      <template v-else-if="kind === 'zapped'">
        <p class="text-ink-2">
          The strip says soap. Some touch the wetted bar with the tip of the tongue besides: lye
          bites like a battery. Nobody has to; rinse at once if it does.
        </p>
        <fieldset class="flex gap-5">
          <legend class="sr-only">Did it zap?</legend>
          <label class="flex items-center gap-2"
            ><input v-model="zap" type="radio" :value="false" /> no zap</label
          >
          <label class="flex items-center gap-2"
            ><input v-model="zap" type="radio" :value="true" /> it zapped</label
          >
        </fieldset>
      </template>
      <p v-else-if="kind === 'trusted'" class="text-ink-2">
        Right weights leave no free lye after 48 hours, and many makers never test. It is the weaker
        basis: what was weighed wrong shows in no sum. The batch says so wherever it stands.
      </p>
      <template v-else-if="kind === 'released'">
        <p class="text-ink-2">
          It is your decision, and your local rules come first. {{ batch.name }}
          {{ batch.number }} is {{ usableText(batch) }}.
        </p>
        <label class="grid gap-1 font-semibold">
          On what it rests
          <input v-model="basis" class="field font-normal" maxlength="300" required />
        </label>
      </template>
      <template v-else-if="kind === 'out'">
        <div class="flex flex-wrap items-end gap-3">
          <LabelledNumber v-model="out.bars" says="Bars" :min="1" :max="left" :decimals="0" />
          <select v-model="out.how" class="field" aria-label="Where they went">
            <option v-for="how in outs" :key="how" :value="how">{{ outWords[how] }}</option>
          </select>
          <span class="pb-1.5 text-ink-2">of {{ left }} left</span>
        </div>
        <label class="grid gap-1 font-semibold">
          To whom, or what for
          <input v-model="out.to" class="field font-normal" maxlength="120" />
        </label>
      </template>
      <template v-else-if="kind === 'left'">
        <fieldset class="flex gap-5">
          <legend class="sr-only">Why</legend>
          <label class="flex items-center gap-2"
            ><input v-model="leaving.why" type="radio" value="gone" /> all gone</label
          >
          <label class="flex items-center gap-2"
            ><input v-model="leaving.why" type="radio" value="spoiled" /> thrown away</label
          >
        </fieldset>
        <label class="grid gap-1 font-semibold">
          What was learned
          <input v-model="leaving.note" class="field font-normal" maxlength="500" />
        </label>
      </template>
      <button type="submit" class="hidden" tabindex="-1" aria-hidden="true" />
    </form>
    <template #actions>
      <AppButton @click="open = false">{{
        kind === 'zapped' ? 'No zap test' : 'Cancel'
      }}</AppButton>
      <AppButton kind="main" :disabled="!event || busy" @click="done">{{
        looks[kind].confirm
      }}</AppButton>
    </template>
  </AppDialog>
</template>
