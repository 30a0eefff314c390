<script setup lang="ts">
import type { BatchSummary } from '#contracts/batch'
import type { MarketWay } from '#contracts/market'
import type { MarketLine } from '#core/stores/market'
import { whyNotOut } from '#core/events/out'
import { standingOf } from '#core/rack/standing'
import { Check, Minus, Plus, X } from '@lucide/vue'

/** A market day in one list, on a phone: packed, sold bar by bar, brought home and counted. It works without a net. */
definePageMeta({ bare: true })
const { params } = useRoute()
const router = useRouter()
const id = String(params.id)
const { market, now, waiting, away, problem, tell } = useMarket(id)
const { say, today, settings } = storeToRefs(useWorkshop())
const batches = useBatches()
const goals = useGoals()
const soaps = useSoapWords()
onMounted(() => Promise.all([batches.load(), goals.load(), soaps.load()]))
const title = computed(() => market.value?.document.name ?? 'Market day')
useHead({ title: () => `${title.value} · Mantle` })
const money = (minor: number) => moneyText(minor, settings.value.currency)
const tabs = [
  { is: 'pack', says: 'Pack' },
  { is: 'sell', says: 'Sell' },
  { is: 'home', says: 'Home' },
] as const
type Tab = (typeof tabs)[number]['is']
const order: Tab[] = ['pack', 'sell', 'home']
const chosen = ref<Tab | null>(null)
const tab = computed<Tab>(
  () => chosen.value ?? (now.value.stage === 'closed' ? 'home' : now.value.stage),
)
const past = (one: Tab) =>
  now.value.stage === 'closed' || order.indexOf(one) < order.indexOf(now.value.stage as Tab)
const closed = computed(() => now.value.stage === 'closed')
const usual = computed(
  () =>
    settings.value.costing.outlets.find(({ name }) => name === market.value?.document.name)
      ?.price ??
    settings.value.costing.outlets[0]?.price ??
    0,
)
const lineOf = (batchId: string) => now.value.lines.find((line) => line.batchId === batchId)
const batchOf = (batchId: string) => batches.list.find((batch) => batch.id === batchId)
/** Bars that are promised for a day to come, the earliest first, taken off the oldest batch of their formula. */
const promised = computed(() => {
  const left = new Map<string, { bars: number; on: string }>()
  const ready = [...batches.list].reverse()
  for (const { document } of [...goals.list].sort((a, b) =>
    a.document.on.localeCompare(b.document.on),
  )) {
    if (document.on < today.value) continue
    let bars = document.bars
    for (const batch of ready.filter(({ formulaId }) => formulaId === document.formulaId)) {
      const here = batch.facts.bars - batch.facts.out - (left.get(batch.id)?.bars ?? 0)
      if (!batch.facts.cutOn || here <= 0 || bars <= 0) continue
      const taken = Math.min(here, bars)
      left.set(batch.id, { bars: (left.get(batch.id)?.bars ?? 0) + taken, on: document.on })
      bars -= taken
    }
  }
  return left
})
interface Packable {
  batch: BatchSummary
  here: number
  stays: number
  on: string | null
  packed: number
  price: number
}
const cut = computed(() =>
  batches.list.filter((batch) => {
    const { facts } = batch
    return facts.cutOn && !facts.leftOn && facts.bars > facts.out
  }),
)
const ready = computed((): Packable[] =>
  cut.value
    .filter((batch) => {
      const { stage } = standingOf(batch, today.value)
      return lineOf(batch.id) || (stage === 'ready' && !whyNotOut(batch.facts, 1, 'sold'))
    })
    .map((batch) => {
      const line = lineOf(batch.id)
      const stays = promised.value.get(batch.id)
      return {
        batch,
        here: batch.facts.bars - batch.facts.out,
        stays: stays?.bars ?? 0,
        on: stays?.on ?? null,
        packed: line?.packed ?? 0,
        price: line?.price ?? soaps.of(batch.formulaId).price ?? usual.value,
      }
    }),
)
const barred = computed(() =>
  cut.value.flatMap((batch) => {
    const { stage } = standingOf(batch, today.value)
    const why = whyNotOut(batch.facts, 1, 'sold')
    return stage === 'ready' && why && !lineOf(batch.id) ? [{ batch, why }] : []
  }),
)
function pack({ batch, price }: Packable, bars: number, each = price) {
  void tell({ kind: 'packed', batchId: batch.id, bars: Math.max(0, bars), price: each })
}
const packOf = (batchId: string, bars: number) => {
  const one = ready.value.find(({ batch }) => batch.id === batchId)
  if (one) pack(one, bars)
}
function leave() {
  void tell({ kind: 'left' })
  chosen.value = 'sell'
}
const worth = computed(() =>
  now.value.lines.reduce((sum, { packed, price }) => sum + packed * price, 0),
)
const card = ref(false)
const otherwise = ref<Exclude<MarketWay, 'sold'> | null>(null)
function sell(line: MarketLine) {
  if (line.left <= 0 || closed.value) return
  const how = otherwise.value ?? 'sold'
  void tell({
    kind: 'gone',
    batchId: line.batchId,
    bars: 1,
    how,
    price: how === 'sold' ? line.price : 0,
    card: how === 'sold' && card.value,
  })
  otherwise.value = null
}
const homeOf = (line: MarketLine) => line.home ?? line.left
const tin = ref<number | null>(null)
const expected = computed(() => (market.value?.document.tin ?? 0) + now.value.cash)
/** Lines that nobody has counted yet are as they should be until somebody changes them. */
async function close() {
  for (const line of now.value.lines)
    if (line.home === null) await tell({ kind: 'home', batchId: line.batchId, bars: line.left })
  await tell({ kind: 'closed', tin: tin.value })
}
const missing = computed(() => now.value.lines.filter((line) => line.missing !== 0))
const first = computed(() => missing.value[0] ?? null)
function answer(line: MarketLine, how: MarketWay | 'later') {
  if (how === 'later') return void router.push('/stores/markets')
  void tell({
    kind: 'gone',
    batchId: line.batchId,
    bars: Math.max(1, line.missing),
    how,
    price: how === 'sold' ? line.price : 0,
    card: false,
  })
}
const asking = ref(false)
const formulas = useFormulas()
onMounted(() => formulas.load())
const formulaName = (formulaId: string) =>
  formulas.list.find((one) => one.id === formulaId)?.document.name ?? 'a soap'
const saying = ref('')
const said = ref('')
function keepSaid() {
  if (said.value.trim()) void tell({ kind: 'said', batchId: saying.value, says: said.value })
  saying.value = ''
  said.value = ''
}
const last = computed(() => now.value.last)
const lastSays = computed(() => {
  const batch = last.value && batchOf(last.value.batchId)
  if (!last.value || !batch) return ''
  return last.value.how === 'sold'
    ? `${batch.name}, ${money(last.value.price)}, ${last.value.card ? 'card' : 'cash'}`
    : `${batch.name}, ${last.value.how}`
})
</script>

<template>
  <div class="mx-auto flex min-h-dvh max-w-[560px] flex-col bg-ground">
    <header class="flex items-center gap-3 bg-slate px-4 py-2 text-white">
      <h1 class="text-[18px] font-bold">{{ title }}</h1>
      <span v-if="market" class="flex-1 truncate text-[#b9c5c3]">{{
        dayText(market.document.day, { weekday: true })
      }}</span>
      <button
        type="button"
        class="flex min-h-11 min-w-11 items-center justify-center"
        aria-label="Back to the market days"
        @click="router.push('/stores/markets')"
      >
        <X :size="22" />
      </button>
    </header>
    <nav class="grid grid-cols-3" aria-label="The day">
      <button
        v-for="one in tabs"
        :key="one.is"
        type="button"
        class="flex min-h-12 items-center justify-center gap-2 font-bold"
        :class="tab === one.is ? 'bg-ground text-ink' : 'bg-slate-2 text-[#b9c5c3]'"
        :aria-current="tab === one.is ? 'step' : undefined"
        @click="chosen = one.is"
      >
        <Check v-if="past(one.is)" :size="18" aria-label="done" /> {{ one.says }}
      </button>
    </nav>
    <p
      v-if="waiting.length && away"
      role="status"
      class="bg-warn-ground px-4 py-1.5 font-semibold text-warn"
    >
      No net: {{ say.count(waiting.length, 'entry waits', 'entries wait') }} on this phone.
    </p>
    <p v-if="problem" role="alert" class="bg-stop-ground px-4 py-2 font-semibold text-stop">
      {{ problem }}
    </p>
    <main id="main" class="flex-1">
      <template v-if="tab === 'pack'">
        <div class="flex items-start justify-between border-b border-line px-4 py-2">
          <p>
            <b class="block text-[28px] leading-8">{{ say.count(now.packed, 'bar', 'bars') }}</b>
          </p>
          <p class="text-right">
            <b class="figure block text-[20px]">{{ money(worth) }}</b><span class="text-ink-2"
              >if all go</span
            >
          </p>
        </div>
        <MarketWishes v-if="!closed" :market-id="id" :packable="ready" @pack="packOf" />
        <ul>
          <li
            v-for="one in ready"
            :key="one.batch.id"
            class="flex items-center gap-3 border-b border-line px-4 py-2"
          >
            <div class="min-w-0 flex-1">
              <b class="block truncate text-[16px]">{{ one.batch.name }} {{ one.batch.number }}</b>
              <BarRows
                :thumbnail="one.batch.thumbnail"
                :bars="one.packed || one.here"
                :rows="(one.packed || one.here) > 12 ? 2 : 1"
                :class="one.packed ? '' : 'opacity-40'"
              />
              <span class="flex items-center gap-2 text-[13px] text-ink-2">
                {{
                  one.here - one.packed > 0
                    ? `${one.here - one.packed} stay here`
                    : `all ${one.here}`
                }}
                <MoneyField
                  v-if="one.packed"
                  class="w-24"
                  :label="`Price of ${one.batch.name} ${one.batch.number}`"
                  :model-value="one.price"
                  @update:model-value="
                    (price) => price !== null && !closed && pack(one, one.packed, price)
                  "
                />
              </span>
              <b v-if="one.stays" class="block text-[13px] text-warn"
                >{{ one.stays }} promised for {{ dayText(one.on!, { today }) }} stay</b
              >
            </div>
            <div class="flex items-center rounded-sm border border-line-3 bg-field text-on-field">
              <button
                type="button"
                class="flex size-[54px] items-center justify-center disabled:text-ink-3"
                :aria-label="`One ${one.batch.name} ${one.batch.number} less`"
                :disabled="closed || one.packed === 0"
                @click="pack(one, one.packed - 1)"
              >
                <Minus :size="18" />
              </button>
              <b class="figure w-11 text-center text-[20px]" aria-live="polite">{{ one.packed }}</b>
              <button
                type="button"
                class="flex size-[54px] items-center justify-center disabled:text-ink-3"
                :aria-label="`One ${one.batch.name} ${one.batch.number} more`"
                :disabled="closed || one.packed >= one.here - one.stays"
                @click="pack(one, one.packed + 1)"
              >
                <Plus :size="18" />
              </button>
            </div>
          </li>
        </ul>
        <template v-if="barred.length">
          <h2 class="border-b border-line bg-line-2 px-4 py-1.5 text-[14px] font-bold">
            May not leave
          </h2>
          <ul>
            <li
              v-for="one in barred"
              :key="one.batch.id"
              class="flex items-center gap-3 border-b border-line px-4 py-2"
            >
              <BarThumbnail :thumbnail="one.batch.thumbnail" />
              <span class="flex-1"
                ><b class="block text-[16px]">{{ one.batch.name }} {{ one.batch.number }}</b
                ><span class="text-[13.5px] text-warn">{{ one.why }}</span></span
              >
              <AppButton class="min-h-11" :to="`/batches/${one.batch.id}`">Test</AppButton>
            </li>
          </ul>
        </template>
        <p v-if="!ready.length && !barred.length" class="px-4 py-8 text-center text-ink-2">
          No batch is ready to leave.
        </p>
      </template>
      <template v-else-if="tab === 'sell'">
        <div class="flex items-start justify-between px-4 py-2">
          <p>
            <b class="figure block text-[28px] leading-8">{{ money(now.cash + now.card) }}</b><span
              class="text-ink-2"
              >for {{ say.count(now.sold, 'bar', 'bars') }}</span
            >
          </p>
          <p class="text-right">
            <b class="block text-[20px]">{{ now.left }} left</b
            ><span class="text-ink-2">{{
              otherwise ? `a tap: ${otherwise}` : 'a tap sells one'
            }}</span>
          </p>
        </div>
        <ul class="mx-3 border-4 border-[#8a6a3f] bg-[#efe6d2] text-[#182022]">
          <li
            v-for="line in now.lines"
            :key="line.batchId"
            class="border-b-4 border-[#8a6a3f] last:border-b-0"
          >
            <button
              type="button"
              class="block w-full px-3 py-2 text-left disabled:opacity-60"
              :disabled="closed || line.left <= 0"
              :aria-label="`Sell one ${batchOf(line.batchId)?.name ?? 'bar'}: ${line.left} left`"
              @click="sell(line)"
            >
              <span class="flex justify-between text-[16px]"
                ><b>{{ batchOf(line.batchId)?.name ?? 'A batch' }}</b
                ><span class="figure">{{ money(line.price) }}</span></span
              >
              <span class="flex items-end justify-between gap-3">
                <BarRows
                  v-if="batchOf(line.batchId)"
                  :thumbnail="batchOf(line.batchId)!.thumbnail"
                  :bars="line.left"
                  :width="22"
                  :height="30"
                />
                <span class="ml-auto text-right"
                  ><b class="figure block text-[24px] leading-7">{{ line.left }}</b
                  ><span class="text-[13px]">{{ line.left ? 'left' : 'sold out' }}</span></span
                >
              </span>
            </button>
          </li>
        </ul>
        <p v-if="!now.lines.length" class="px-4 py-8 text-center text-ink-2">
          Nothing is packed yet.
        </p>
        <div v-if="!closed" class="px-4 pt-3">
          <AppButton
            class="min-h-11 w-full"
            :disabled="!formulas.list.length"
            @click="asking = true"
            >Somebody asks for more</AppButton
          >
          <p
            v-for="one in now.asked"
            :key="one.id"
            class="mt-1 flex items-center gap-3 text-[13.5px]"
          >
            <span class="min-w-0 flex-1"
              >{{ one.who }}: {{ one.bars }} {{ formulaName(one.formulaId) }} by
              {{ dayText(one.on, { today }) }}</span
            >
            <button
              type="button"
              class="link min-h-9"
              :aria-label="`Take back what ${one.who} asked for`"
              @click="tell({ kind: 'undone', event: one.id })"
            >
              Take it back
            </button>
          </p>
        </div>
        <p v-if="last && !closed" class="flex items-center gap-3 px-4 py-3" role="status">
          <span class="min-w-0 flex-1 truncate">{{ lastSays }}</span>
          <button
            type="button"
            class="link min-h-11 font-bold"
            @click="tell({ kind: 'undone', event: last.id })"
          >
            Take it back
          </button>
        </p>
      </template>
      <template v-else>
        <div class="flex items-start justify-between border-b border-line px-4 py-2">
          <p>
            <b class="block text-[28px] leading-8"
              >{{ now.lines.reduce((sum, line) => sum + homeOf(line), 0) }} home</b
            ><span class="text-ink-2">{{ now.left }} should be, {{ now.sold }} are sold</span>
          </p>
          <p class="text-right">
            <b class="figure block text-[20px]">{{ money(now.cash + now.card) }}</b><span
              class="text-ink-2"
              >kept</span
            >
          </p>
        </div>
        <ul>
          <li
            v-for="line in now.lines"
            :key="line.batchId"
            class="flex items-center gap-3 border-b border-line px-4 py-2"
          >
            <div class="min-w-0 flex-1">
              <b class="block truncate text-[16px]"
                >{{ batchOf(line.batchId)?.name ?? 'A batch' }}
                {{ batchOf(line.batchId)?.number }}</b
              >
              <span v-if="!line.left && !line.home" class="text-[13px] text-ink-2"
                >all {{ line.packed }} gone</span
              >
              <BarRows
                v-else-if="batchOf(line.batchId)"
                :thumbnail="batchOf(line.batchId)!.thumbnail"
                :bars="homeOf(line)"
              />
              <button type="button" class="link min-h-8 text-[13px]" @click="saying = line.batchId">
                What they said
              </button>
              <span v-for="one in line.said" :key="one" class="block italic">{{ one }}</span>
            </div>
            <b v-if="!line.left && !line.home" class="text-ok">✓ none</b>
            <div
              v-else
              class="flex items-center rounded-sm border border-line-3 bg-field text-on-field"
            >
              <button
                type="button"
                class="flex size-[50px] items-center justify-center disabled:text-ink-3"
                aria-label="One less came home"
                :disabled="closed || homeOf(line) === 0"
                @click="tell({ kind: 'home', batchId: line.batchId, bars: homeOf(line) - 1 })"
              >
                <Minus :size="18" />
              </button>
              <b class="figure w-10 text-center text-[19px]">{{ homeOf(line) }}</b>
              <button
                type="button"
                class="flex size-[50px] items-center justify-center disabled:text-ink-3"
                aria-label="One more came home"
                :disabled="closed || homeOf(line) >= line.packed"
                @click="tell({ kind: 'home', batchId: line.batchId, bars: homeOf(line) + 1 })"
              >
                <Plus :size="18" />
              </button>
            </div>
          </li>
        </ul>
        <section
          v-if="first && !closed"
          class="mx-3 mt-3 rounded-md bg-warn-ground p-3"
          role="group"
          aria-labelledby="not-here"
        >
          <h2 id="not-here" class="mb-2 text-[17px] font-bold text-warn">
            {{ Math.abs(first.missing) }} {{ batchOf(first.batchId)?.name }}
            {{ first.missing > 0 ? 'not here' : 'more than should be' }}
          </h2>
          <div v-if="first.missing > 0" class="grid grid-cols-2 gap-2">
            <AppButton class="min-h-12" @click="answer(first, 'sold')"
              >Sold, {{ money(first.price) }}</AppButton
            >
            <AppButton class="min-h-12" @click="answer(first, 'given')">Given</AppButton>
            <AppButton class="min-h-12" @click="answer(first, 'broken')">Lost or broken</AppButton>
            <AppButton class="min-h-12" @click="answer(first, 'later')">Still to come</AppButton>
          </div>
          <p v-else>More came home than was left: take back a sale on Sell.</p>
        </section>
        <dl class="figure mx-4 mt-3 grid grid-cols-[1fr_auto] gap-x-4 gap-y-1">
          <dt class="text-ink-2">Tin began with</dt>
          <dd class="text-right font-bold">{{ money(market?.document.tin ?? 0) }}</dd>
          <dt class="text-ink-2">Cash taken</dt>
          <dd class="text-right font-bold">{{ money(now.cash) }}</dd>
          <dt class="border-t-2 border-ink pt-1 font-bold">Should be in it</dt>
          <dd class="border-t-2 border-ink pt-1 text-right text-[18px] font-bold">
            {{ money(expected) }}
          </dd>
          <dt class="self-center">Counted</dt>
          <dd>
            <MoneyField v-model="tin" label="Money counted in the tin" class="w-32" />
          </dd>
        </dl>
        <p v-if="tin !== null && tin !== expected" class="mx-4 mt-1 font-semibold text-warn">
          {{ money(Math.abs(tin - expected)) }} {{ tin < expected ? 'are missing' : 'too much' }}.
        </p>
      </template>
    </main>
    <footer class="sticky bottom-0 flex gap-2 border-t border-line bg-sheet px-4 py-3">
      <template v-if="closed"
        ><p class="flex min-h-14 items-center font-semibold text-ok">
          {{
            waiting.length
              ? 'The day is closed here; the batches learn of it when this is sent.'
              : 'The day is closed; the batches know of it.'
          }}
        </p></template
      >
      <AppButton
        v-else-if="tab === 'pack'"
        kind="main"
        class="min-h-14 flex-1 flex-col !gap-0"
        :disabled="!now.packed"
        @click="leave"
        ><span>Packed</span
        ><span class="text-[12.5px] font-normal"
          >{{ say.count(now.packed, 'bar', 'bars') }} leave the mantle</span
        ></AppButton
      >
      <template v-else-if="tab === 'sell'">
        <div class="flex flex-1" role="group" aria-label="How it is paid">
          <button
            v-for="one in [false, true]"
            :key="String(one)"
            type="button"
            class="min-h-14 flex-1 border border-line-3 font-bold"
            :class="card === one ? 'bg-slate text-white' : 'bg-field text-on-field'"
            :aria-pressed="card === one"
            @click="card = one"
          >
            {{ one ? 'Card' : 'Cash'
            }}<span class="figure block text-[12.5px] font-normal">{{
              money(one ? now.card : now.cash)
            }}</span>
          </button>
        </div>
        <AppButton
          class="min-h-14"
          :aria-pressed="otherwise === 'given'"
          @click="otherwise = otherwise === 'given' ? null : 'given'"
          >Given</AppButton
        >
        <AppButton
          class="min-h-14"
          :aria-pressed="otherwise === 'broken'"
          @click="otherwise = otherwise === 'broken' ? null : 'broken'"
          >Broken</AppButton
        >
      </template>
      <AppButton
        v-else
        kind="main"
        class="min-h-14 flex-1 flex-col !gap-0"
        :disabled="missing.length > 0 || !now.lines.length"
        @click="close"
        ><span>{{ missing.length ? 'Where are they?' : 'Close the day' }}</span
        ><span v-if="missing.length" class="text-[12.5px] font-normal"
          >then the day is closed</span
        ></AppButton
      >
    </footer>
    <AskedDialog v-if="asking" v-model="asking" @asked="tell" />
    <AppDialog
      v-if="saying"
      :model-value="true"
      title="What they said"
      @update:model-value="saying = ''"
    >
      <div class="grid gap-2 px-5 py-4">
        <textarea
          v-model="said"
          class="field min-h-24"
          maxlength="500"
          aria-label="What they said"
          placeholder="Two asked for it without the wrap."
        />
        <p class="text-ink-2">Kept with the batch, and never printed.</p>
      </div>
      <template #actions><AppButton kind="main" @click="keepSaid">Keep it</AppButton></template>
    </AppDialog>
  </div>
</template>
