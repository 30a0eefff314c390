<script setup lang="ts">
import type { CountWhy } from '#contracts/storeWords'
import { Check, Circle, X } from '@lucide/vue'
import { countNames } from '~/utils/storeWords'

/** Counting, vessel by vessel: what is on the scale less the empty vessel, held against what the book says. */
definePageMeta({ bare: true })
useHead({ title: 'Counting · Mantle' })
const route = useRoute()
const router = useRouter()
const stores = useStores()
const { rows, amount, lots, loaded } = stores
onMounted(() => void stores.load())
const count = useCounting(rows, String(route.query.lot ?? ''))
const { walk, row, at, gross, tare, about, why, found, asked, ready, done, counted, say } = count
const { today } = storeToRefs(useWorkshop())
const isDone = (countedOn: string | null) => countedOn === today.value
const live = ref<{ grams: number | null; steady: boolean }>({ grams: null, steady: false })
/** A scale that sends fills the figure in once it lies still, unless somebody types. */
const typing = ref(false)
watch(live, ({ grams, steady }) => {
  if (!typing.value && steady && grams !== null && grams > 1) gross.value = grams
})
watch(row, () => (typing.value = false))
const place = computed(() => {
  const own = walk.value.filter(({ lot }) => lot.document.place === row.value?.lot.document.place)
  const nth = own.findIndex(({ lot }) => lot.id === row.value?.lot.id) + 1
  return row.value ? `${row.value.lot.document.place || 'No place'}, ${nth} of ${own.length}` : ''
})
const answers = computed((): CountWhy[] =>
  (asked.value?.apart ?? 0) < 0
    ? ['spilled', 'other-vessel', 'unwritten', 'unknown']
    : ['other-vessel', 'unwritten', 'unknown'],
)
const book = computed(() => row.value?.lot.stock ?? 0)
const shares = [
  { is: 1, says: 'full' },
  { is: 0.75, says: 'three quarters' },
  { is: 0.5, says: 'about half' },
  { is: 0.25, says: 'a quarter' },
  { is: 0, says: 'empty' },
]
const judging = ref(false)
function judge(share: number) {
  about.value = share
  gross.value = null
  why.value = null
  judging.value = false
}
const holding = ref(false)
async function keep() {
  if (!ready.value) return
  await count.keep()
}
const next = computed(() => {
  const place = walk.value.findIndex(({ lot }) => lot.id === row.value?.lot.id)
  return walk.value.slice(place + 1).find(({ lot }) => lot.id !== row.value?.lot.id)?.name ?? ''
})
const mayDo = computed(() => {
  if (found.value === null) return counted.value ? 'How many?' : 'What does it weigh?'
  if (!ready.value) return 'Where did it go?'
  return `Keep ${amount(row.value!.thing.id, found.value)}`
})
watch(at, async () => {
  await nextTick()
  document.querySelector('[data-here]')?.scrollIntoView({ inline: 'center', block: 'nearest' })
})
</script>

<template>
  <div class="mx-auto flex min-h-dvh max-w-[560px] flex-col bg-ground">
    <header class="flex items-center gap-3 bg-slate px-4 py-3 text-white">
      <h1 class="text-[18px] font-bold">Counting</h1>
      <span class="flex-1 truncate text-[#b9c5c3]">{{ place }}</span>
      <span class="figure text-[13px] text-[#b9c5c3]">{{ done }} of {{ walk.length }} done</span>
      <button
        type="button"
        class="flex min-h-11 min-w-11 items-center justify-center"
        aria-label="Back to the stores"
        @click="router.push('/stores')"
      >
        <X :size="22" />
      </button>
    </header>
    <p
      v-if="lots.waiting.length"
      role="status"
      class="bg-warn-ground px-4 py-2 font-semibold text-warn"
    >
      {{ say.count(lots.waiting.length, 'count waits', 'counts wait') }} on this device and
      {{ say.plural(lots.waiting.length, 'is', 'are') }} sent by itself.
    </p>
    <nav class="overflow-x-auto bg-line-2" aria-label="Vessels">
      <ol class="flex w-max items-end pt-2">
        <li v-for="one in walk" :key="one.lot.id" class="flex flex-col">
          <button
            type="button"
            class="flex flex-col items-center"
            :class="one.lot.id === row?.lot.id ? 'bg-sheet' : ''"
            :data-here="one.lot.id === row?.lot.id ? '' : undefined"
            :aria-current="one.lot.id === row?.lot.id ? 'step' : undefined"
            :aria-label="`${one.name}, ${isDone(one.lot.countedOn) ? 'counted' : 'open'}`"
            @click="at = one.lot.id"
          >
            <span class="flex h-[84px] items-end px-2"
              ><StockVessel
                :form="one.lot.document.vessel.form"
                :fill="one.lot.stock / one.lot.document.amount"
                :colour="one.thing.colour"
                :strata="one.strata"
                :scale="0.8"
            /></span>
            <span class="h-2 w-full border-b-2 border-[#5c6663] bg-plank" />
            <span class="flex h-7 items-center">
              <Check
                v-if="isDone(one.lot.countedOn)"
                :size="18"
                class="rounded-full bg-ok p-0.5 text-white"
              />
              <Circle v-else :size="18" class="text-ink-3" />
            </span>
          </button>
        </li>
      </ol>
    </nav>
    <main v-if="row" id="main" class="flex-1 px-4 py-4">
      <div class="flex items-baseline gap-3">
        <h2 class="min-w-0 flex-1 truncate text-[20px] font-bold text-ink">{{ row.thing.name }}</h2>
        <span class="text-ink-2">lot {{ row.lot.document.code }}</span>
      </div>
      <div class="mt-3 flex gap-4">
        <div class="flex w-[132px] shrink-0 flex-col items-center justify-end">
          <StockVessel
            :form="row.lot.document.vessel.form"
            :fill="(found ?? book) / row.lot.document.amount"
            :colour="row.thing.colour"
            :strata="row.strata"
            :hazard="row.thing.caustic"
            :scale="1.45"
          />
          <span class="figure w-full bg-slate py-2 text-center font-bold text-white">{{
            gross === null ? '—' : say.number(gross, 0, 1)
          }}</span>
        </div>
        <div class="min-w-0 flex-1">
          <label class="block text-ink-2"
            >{{ counted ? 'Pieces' : 'On the scale' }}
            <NumberField
              v-model="gross"
              :kind="counted ? 'plain' : 'mass'"
              big
              :label="counted ? 'Pieces' : 'On the scale'"
              class="mt-1"
              :min="0"
              @focusin="typing = true"
              @update:model-value="about = null"
            />
          </label>
          <label v-if="!counted" class="mt-2 flex items-center justify-between gap-2 text-ink-2">
            <span>− {{ row.lot.document.vessel.name || row.lot.document.vessel.form }}, empty</span>
            <NumberField
              kind="mass"
              label="The vessel, empty"
              class="w-28"
              :min="0"
              :model-value="tare"
              @update:model-value="count.keepTare"
            />
          </label>
          <dl class="figure mt-2 border-t-2 border-ink pt-1.5">
            <div class="flex items-baseline justify-between">
              <dt class="font-bold">In it</dt>
              <dd class="text-[22px] font-bold">
                {{ found === null ? '—' : amount(row.thing.id, found) }}
              </dd>
            </div>
            <div class="flex items-baseline justify-between text-ink-2">
              <dt>The book says</dt>
              <dd class="text-[17px]">{{ amount(row.thing.id, book) }}</dd>
            </div>
          </dl>
        </div>
      </div>
      <LiveScale v-if="!counted" v-model="live" class="mt-3" />
      <section
        v-if="asked"
        class="mt-4 rounded-md bg-warn-ground p-3"
        role="group"
        aria-labelledby="apart"
      >
        <h3 id="apart" class="text-[17px] font-bold text-warn">
          {{ amount(row.thing.id, Math.abs(asked.apart)) }}
          {{ asked.apart < 0 ? 'are missing' : 'more than the book says' }}
        </h3>
        <template v-if="asked.batch">
          <p class="mb-2">
            {{ asked.batch.says }} takes <b>{{ amount(row.thing.id, asked.batch.grams) }}</b> and
            has drawn none.
          </p>
          <button
            type="button"
            class="mb-2 min-h-14 w-full rounded-sm border-2 bg-field px-3 text-left font-semibold text-on-field"
            :class="why === 'batch' ? 'border-act' : 'border-warn'"
            :aria-pressed="why === 'batch'"
            @click="why = 'batch'"
          >
            It went there
          </button>
        </template>
        <div class="grid grid-cols-2 gap-2">
          <button
            v-for="one in answers"
            :key="one"
            type="button"
            class="min-h-14 rounded-sm border-2 bg-field px-3 text-left font-semibold text-on-field"
            :class="why === one ? 'border-act' : 'border-line-3'"
            :aria-pressed="why === one"
            @click="why = one"
          >
            {{ countNames[one] }}
          </button>
        </div>
      </section>
    </main>
    <p v-else-if="loaded" class="flex-1 px-4 py-10 text-center text-ink-2">
      There is nothing to count: nothing is in the stores.
    </p>
    <div
      v-if="judging"
      class="grid grid-cols-2 gap-2 bg-sheet px-4 pt-3"
      role="group"
      aria-label="By eye"
    >
      <AppButton v-for="one in shares" :key="one.is" class="min-h-12" @click="judge(one.is)">{{
        one.says
      }}</AppButton>
    </div>
    <footer v-if="row" class="sticky bottom-0 flex gap-2 border-t border-line bg-sheet px-4 py-3">
      <AppButton class="min-h-14" :aria-expanded="judging" @click="judging = !judging"
        >By eye</AppButton
      >
      <AppButton class="min-h-14" @click="holding = true">Smells off</AppButton>
      <AppButton
        kind="main"
        class="min-h-14 flex-1 flex-col !gap-0"
        :disabled="!ready"
        @click="keep"
        ><span>{{ mayDo }}</span
        ><span v-if="ready && next" class="text-[12.5px] font-normal"
          >then {{ next }}</span
        ></AppButton
      >
    </footer>
    <HoldDialog v-if="holding && row" v-model="holding" :lot="row.lot" @changed="stores.load()" />
  </div>
</template>
