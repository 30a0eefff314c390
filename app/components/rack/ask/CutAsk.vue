<script setup lang="ts">
import { rejectWords } from '#core/events/cut'
import { rejectReasons, type LessonAbout, type RejectReason } from '#contracts/rackWords'
import type { AskProps, BatchAnswer } from '~/composables/useBatchDialog'
import { mean } from '#core/statistics/sum'
import { roundTo } from '#core/statistics/roundTo'

/** What came out of the mould: bars, ends, rejects, their weight (typed or by the scale) and sides, and the yield that makes. */
const { batch } = defineProps<AskProps>()
const answer = defineModel<BatchAnswer>({ required: true })
const cut = reactive({
  bars: batch.facts.bars as number | null,
  ends: 0 as number | null,
  rejects: [] as { why: RejectReason; bars: number }[],
  grams: null as number | null,
  sidesMm: [null, null, null] as [number | null, number | null, number | null],
})
const photos = ref<string[]>([])
const differently = ref('')
const about = ref<LessonAbout | null>(null)
watchEffect(() => {
  const [a, b, c] = cut.sidesMm
  answer.value = cut.bars
    ? {
        kind: 'cut',
        bars: cut.bars,
        ends: cut.ends ?? 0,
        rejects: cut.rejects.filter(({ bars }) => bars > 0),
        grams: cut.grams,
        sidesMm: a && b && c ? [a, b, c] : null,
        ...(differently.value.trim()
          ? { differently: differently.value.trim(), about: about.value }
          : {}),
        photos: photos.value,
      }
    : null
})
const { say } = storeToRefs(useWorkshop())
const perPlan = computed(() => batch.batterGrams / Math.max(1, batch.bars))
const yielded = computed(() => {
  const { bars, grams } = cut
  return bars && grams ? (bars * grams) / batch.batterGrams : null
})
const live = ref<{ grams: number | null; steady: boolean }>({ grams: null, steady: false })
/** Fresh bars one after the other on the scale: their mean is the weight of a bar. */
const taken = ref<number[]>([])
function take() {
  if (live.value.grams === null) return
  taken.value = [...taken.value, live.value.grams]
  const each = mean(taken.value)
  cut.grams = roundTo(each, 1)
}
const sides = ['thick', 'wide', 'long'] as const
</script>

<template>
  <div class="grid gap-4">
    <div class="flex flex-wrap gap-x-5 gap-y-2">
      <LabelledNumber v-model="cut.bars" says="Bars" :min="1" :max="10000" :decimals="0" />
      <LabelledNumber v-model="cut.ends" says="End pieces" :min="0" :max="1000" :decimals="0" />
      <LabelledNumber
        v-model="cut.grams"
        says="One weighs"
        label="Weight of a fresh bar"
        kind="mass"
        :min="1"
        :max="20000"
      />
    </div>
    <div class="flex flex-wrap items-center gap-3 empty:hidden">
      <LiveScale v-model="live" />
      <AppButton v-if="live.grams !== null" :disabled="!live.steady" @click="take"
        >Take it{{ taken.length ? `, bar ${taken.length + 1}` : '' }}</AppButton
      >
      <span v-if="taken.length" class="figure text-sm text-ink-2"
        >mean of {{ taken.length }}: {{ say.mass(cut.grams ?? 0) }}</span
      >
    </div>
    <p class="figure text-sm text-ink-2">
      Planned: {{ batch.bars }} bars of about {{ say.mass(Math.round(perPlan)) }}.
      <template v-if="yielded !== null"
        >In good bars: {{ say.percent(yielded, 0) }} of the batter.</template
      >
    </p>
    <LessonAsk v-model="differently" v-model:about="about" />
    <details>
      <summary class="link w-fit cursor-pointer">Rejects and sides</summary>
      <div class="mt-3 grid gap-3">
        <div v-for="(reject, place) in cut.rejects" :key="place" class="flex items-center gap-2">
          <NumberField
            v-model="reject.bars"
            label="Rejects"
            class="w-20"
            :min="1"
            :max="10000"
            :decimals="0"
          />
          <select v-model="reject.why" class="field" aria-label="Why">
            <option v-for="why in rejectReasons" :key="why" :value="why">
              {{ rejectWords[why] }}
            </option>
          </select>
          <button type="button" class="link" @click="cut.rejects.splice(place, 1)">Remove</button>
        </div>
        <button
          type="button"
          class="link w-fit"
          @click="cut.rejects.push({ why: 'crumbled', bars: 1 })"
        >
          Add rejects
        </button>
        <div class="flex flex-wrap items-center gap-2">
          <span>A bar is</span>
          <NumberField
            v-for="(side, place) in sides"
            :key="side"
            v-model="cut.sidesMm[place]!"
            :label="`mm ${side}`"
            :unit="`mm ${side}`"
            class="w-32"
            :min="5"
            :max="400"
            :decimals="0"
          />
        </div>
        <p class="text-sm text-ink-2">
          Thin bars dry faster; without sides they are taken from the weight.
        </p>
      </div>
    </details>
    <div class="flex items-center gap-3">
      <span class="font-semibold">The cut face</span>
      <PhotoField v-model="photos" :of="`batches/${batch.id}`" />
    </div>
    <p class="text-ink-2">Fresh soap is still caustic: gloves on.</p>
  </div>
</template>
