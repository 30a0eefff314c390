<script setup lang="ts">
import type { Gift, LabelSubject } from '#contracts/label'
import { outs, type Out } from '#contracts/rackWords'
import { outWords } from '#core/events/out'
import { sharedOut } from '#core/label/gift'

/** A box of several bars: which, its label with the list of each, and boxes that leave. */
const { params } = useRoute()
const id = String(params.id)
const router = useRouter()
const subject = computed((): LabelSubject => ({ of: 'gift', id }))
const labelling = useLabelling(subject)
const gifts = useGifts()
const designs = useDesigns()
const batches = useBatches()
const toasts = useToasts()
const { say, settings, today } = storeToRefs(useWorkshop())
const { soaps, load } = useShelfSoaps()
onMounted(load)
const stored = computed(() => gifts.list.find((one) => one.id === id))
const gift = computed(() => stored.value?.document ?? null)
useHead({ title: () => `${gift.value?.name ?? 'A box'} · Mantle` })
async function save(changes: Partial<Gift>) {
  if (!stored.value) return
  try {
    await gifts.save(id, stored.value.revision, { ...stored.value.document, ...changes })
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
    await gifts.load()
  }
}
/** What may go into a box: what is ready, and what is in it already though it may not leave any more. */
const ready = computed(() => {
  const may = soaps.value.flatMap((soap) => soap.batches)
  const known = new Set(may.map((batch) => batch.id))
  const others = (gift.value?.bars ?? []).flatMap(({ batchId }) =>
    known.has(batchId) ? [] : (labelling.batches.value.get(batchId) ?? []),
  )
  return [...may, ...others]
})
const mayLeave = (batchId: string) =>
  soaps.value.some((soap) => soap.batches.some((batch) => batch.id === batchId))
const barsOf = (batchId: string) =>
  gift.value?.bars.find((one) => one.batchId === batchId)?.bars ?? 0
function setBars(batchId: string, bars: number) {
  const others = gift.value!.bars.filter((one) => one.batchId !== batchId)
  const before = gift.value!.bars.findIndex((one) => one.batchId === batchId)
  const next = [...others]
  if (bars > 0) next.splice(before < 0 ? others.length : before, 0, { batchId, bars })
  void save({ bars: next })
}
const hereOf = (batchId: string) => {
  const batch = batches.list.find((one) => one.id === batchId)
  return batch && mayLeave(batchId) ? batch.facts.bars - batch.facts.out : 0
}
/** Whole boxes that what is ready gives. */
const boxes = computed(() => {
  const each = gift.value?.bars ?? []
  return each.length
    ? Math.min(...each.map(({ batchId, bars }) => Math.floor(hereOf(batchId) / bars)))
    : 0
})
const chosen = ref('')
const design = computed({
  get: () => {
    const wanted = chosen.value || gift.value?.designId || ''
    return designs.list.some((one) => one.id === wanted) ? wanted : usualDesign(designs.list)
  },
  set: (now) => {
    chosen.value = now
    void save({ designId: now })
  },
})
const leaving = ref(false)
const leave = reactive({ boxes: 1 as number | null, how: 'sold' as Out, to: '' })
async function send() {
  const count = leave.boxes ?? 0
  if (!gift.value || count < 1) return
  const total = leave.how === 'sold' && gift.value.price !== null ? gift.value.price * count : null
  const shares = sharedOut(
    total,
    gift.value.bars.map(({ bars }) => bars),
  )
  const parts = gift.value.bars.map((one, nth) => ({
    id: one.batchId,
    bars: one.bars * count,
    price: shares[nth] ?? null,
  }))
  const to = say.value.list([leave.to.trim(), `in ${gift.value.name}`].filter(Boolean))
  await batches.tellAll(
    parts,
    ({ bars, price }) => ({ kind: 'out', day: today.value, bars, how: leave.how, to, price }),
    (of) =>
      `${say.value.count(count, 'box', 'boxes')} ${outWords[leave.how]}, from ${say.value.count(of.length, 'batch', 'batches')}.`,
  )
  leaving.value = false
}
async function remove() {
  if (!stored.value) return
  try {
    await gifts.remove(stored.value)
    await router.push('/stores/labels')
  } catch (error) {
    toasts.show(sentenceOf(error), { bad: true })
  }
}
const waysOut = outs.filter((how) => how === 'sold' || how === 'given' || how === 'sample')
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <p v-if="labelling.problem.value" role="alert" class="font-semibold text-stop">
      {{ labelling.problem.value }}
    </p>
    <template v-if="gift && labelling.loaded.value">
      <section class="sheet mb-3 grid gap-3 px-4 py-3" aria-label="What is in the box">
        <div class="flex flex-wrap items-end gap-3">
          <FieldRow says="Called"
            ><input
              class="field !w-56 font-normal"
              maxlength="60"
              :value="gift.name"
              @change="save({ name: ($event.target as HTMLInputElement).value })"
          /></FieldRow>
          <FieldRow says="Second line"
            ><input
              class="field !w-64 font-normal"
              maxlength="80"
              :value="gift.tagline"
              placeholder="the names of the bars"
              @change="save({ tagline: ($event.target as HTMLInputElement).value })"
          /></FieldRow>
          <FieldRow says="A box costs"
            ><MoneyField
              label="Price of a box"
              class="w-32 font-normal"
              :model-value="gift.price"
              @update:model-value="(price) => save({ price })"
          /></FieldRow>
          <AppButton :disabled="boxes < 1" @click="leaving = true">Boxes leave</AppButton>
          <button type="button" class="link text-stop" @click="remove">Delete the box</button>
        </div>
        <ul class="flex flex-wrap gap-3">
          <li
            v-for="batch in ready"
            :key="batch.id"
            class="flex items-center gap-2 rounded-sm border px-2 py-1"
            :class="barsOf(batch.id) ? 'border-ink' : 'border-line'"
          >
            <BarThumbnail :thumbnail="batch.thumbnail" :width="36" :height="24" />
            <span class="text-[13.5px]"
              ><b class="block">{{ batch.name }} {{ batch.number }}</b
              ><template v-if="mayLeave(batch.id)">{{ hereOf(batch.id) }} here</template
              ><b v-else class="text-warn">may not leave</b></span
            >
            <NumberField
              class="w-24"
              :label="`Bars of ${batch.name} ${batch.number} in a box`"
              :decimals="0"
              :min="0"
              :max="50"
              :model-value="barsOf(batch.id)"
              @update:model-value="(bars) => bars !== null && setBars(batch.id, Math.round(bars))"
            />
          </li>
        </ul>
        <p v-if="!ready.length" class="text-ink-2">No batch is ready to leave yet.</p>
        <p v-if="gift.bars.length" class="text-ink-2">
          What is ready gives <b class="text-ink">{{ say.count(boxes, 'box', 'boxes') }}</b>.
        </p>
      </section>
      <LabelDesk
        v-if="gift.bars.length"
        v-model:design="design"
        :subject="subject"
        :labelling="labelling"
        :usual="Math.max(1, boxes)"
        :title="`Labels for ${gift.name}`"
      >
        <template #under="{ said }">{{ said?.words.net }}</template>
      </LabelDesk>
      <p v-else class="py-8 text-center text-ink-2">
        Say which bars lie in a box: then its label can be made, with the list of each.
      </p>
      <AppDialog v-model="leaving" :title="`${gift.name}: boxes leave`">
        <div class="grid gap-3 px-5 py-4">
          <LabelledNumber
            v-model="leave.boxes"
            says="Boxes"
            :decimals="0"
            :min="1"
            :max="boxes"
            width="w-24"
          />
          <OneOf
            v-model="leave.how"
            label="How they go"
            :options="waysOut.map((how) => ({ is: how, says: outWords[how] }))"
          />
          <FieldRow says="To whom, or where"
            ><input v-model="leave.to" class="field font-normal" maxlength="60"
          /></FieldRow>
          <p v-if="leave.how === 'sold' && gift.price !== null" class="text-ink-2">
            {{ moneyText(gift.price * (leave.boxes ?? 0), settings.currency) }} in all, shared among
            the batches by their bars.
          </p>
        </div>
        <template #actions
          ><AppButton kind="main" :disabled="!leave.boxes || leave.boxes > boxes" @click="send"
            >They leave</AppButton
          ></template
        >
      </AppDialog>
    </template>
  </div>
</template>
