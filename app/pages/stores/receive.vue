<script setup lang="ts">
import type { Stored } from '#contracts/document'
import type { Lot, Order } from '#contracts/store'
import { readReceived } from '#core/stores/receive'
import { thingIn } from '#core/stores/things'
import { freshReceiving, type ReceivingDraft } from '~/composables/useReceiving'

/** What has come: a line for each thing, as one would write it, read with care; all of it put away in one act. */
useHead({ title: 'What came in · Mantle' })
const workshop = useWorkshop()
const { say, today, settings } = storeToRefs(workshop)
const route = useRoute()
const router = useRouter()
const materials = useMaterials()
const suppliers = useSuppliers()
const stores = useStores()
const { ahead, amount, lots } = stores
const toasts = useToasts()
onMounted(() => void stores.load())
const order = shallowRef<Stored<Order> | null>(null)

function asDraft(value: unknown): ReceivingDraft | null {
  const draft = value as Partial<ReceivingDraft> | null
  return draft && Array.isArray(draft.lines) && typeof draft.day === 'string'
    ? { ...freshReceiving(today.value), ...draft }
    : null
}
const draft = useKept<ReceivingDraft>('mantle-receiving', freshReceiving(today.value), asDraft)
watch(
  today,
  (now) => {
    if (now && !draft.value.lines.length) draft.value.day = now
  },
  { immediate: true },
)
const typed = ref('')
const chosen = ref(0)
function add(text = typed.value) {
  if (!text.trim()) return
  draft.value.lines.push({ text: text.trim(), certificate: null, id: newId() })
  chosen.value = draft.value.lines.length - 1
  if (text === typed.value) typed.value = ''
}
onMounted(async () => {
  const { line, order: id } = route.query
  if (typeof line === 'string' && line) {
    add(line)
    void router.replace({ query: {} })
  }
  if (typeof id === 'string') {
    order.value = await api.get<Stored<Order>>(`/api/orders/${id}`).catch(() => null)
    if (order.value && !draft.value.lines.length) copy(order.value.document)
  }
})
/** Lines as they would be typed, of an order. */
function copy({ lines: ordered, supplierId }: Order) {
  draft.value.supplierId = supplierId
  for (const { thing, each, count, price } of ordered) {
    const { name, kind } = thingIn(materials.library, thing)
    const packs = count > 1 ? `${count} x ` : ''
    const much = kind === 'goods' ? `${each}` : `${Number((each / 1000).toPrecision(6))} kg`
    const cost =
      price === null ? '' : ` ${say.value.typed(price / minorUnits(settings.value.currency), 2)}`
    add(`${packs}${much} ${name.replace(/,.*melts at (\d+).*/, ' $1')}${cost}`)
  }
}
const { lines, paid, missing } = useReceiving(draft, order)
const reading = computed(() =>
  typed.value.trim()
    ? readReceived(typed.value, materials.library, lines.value.at(-1)?.read ?? null)
    : null,
)
const line = computed(() => lines.value[chosen.value] ?? lines.value.at(-1) ?? null)
const ready = computed(() => lines.value.filter(({ lot }) => lot))
const open = computed(() => lines.value.filter(({ lot }) => !lot))
/** A name that was not understood is put in the place of the words that were left over. */
function choose(at: number, thing: string) {
  const own = draft.value.lines[at]!
  const { name } = thingIn(materials.library, thing)
  // What was not understood stands in `name` as plain words.
  const said = lines.value[at]!.read.name.split(' ').join('[^A-Za-z0-9]+')
  const words = own.text.replace(new RegExp(said, 'i'), name.split(',')[0]!)
  own.text =
    readReceived(words, materials.library, null).thing === thing
      ? words
      : own.text.replace(new RegExp(said, 'i'), name.replace(/[,°]/g, ' '))
}
const per100 = (lot: Lot) =>
  lot.price === null
    ? 'no price'
    : thingIn(materials.library, lot.thing).kind === 'goods'
      ? `${moneyText((lot.price + lot.shipping) / lot.amount, settings.value.currency)} each`
      : `${moneyText(((lot.price + lot.shipping) / lot.amount) * 100, settings.value.currency)} per 100 g`
/** How a price differs from what the last lot cost, in per cent; null where that is not known. */
function dearer(lot: Lot): number | null {
  const last = lots.list
    .filter(({ document }) => document.thing === lot.thing && document.price !== null)
    .sort((a, b) => b.document.cameOn.localeCompare(a.document.cameOn))[0]?.document
  if (!last?.price || lot.price === null) return null
  return (lot.price / lot.amount / (last.price / last.amount) - 1) * 100
}
const apart = computed(() =>
  draft.value.note === null ? 0 : draft.value.note - paid.value - (draft.value.shipping ?? 0),
)
const busy = ref(false)
const problem = ref('')
async function putAway() {
  if (busy.value || !ready.value.length || open.value.length) return
  busy.value = true
  problem.value = ''
  const arrived = ready.value.map(({ at, lot }) => ({
    id: draft.value.lines[at]!.id,
    document: lot!,
  }))
  try {
    const kept = await lots.putAway(arrived)
    if (order.value) {
      const { id, revision, document } = order.value
      await api.put(`/api/orders/${id}`, {
        revision,
        document: { ...document, arrivedOn: draft.value.day },
      })
    }
    draft.value = freshReceiving(today.value)
    toasts.show(`${say.value.count(kept.length, 'lot is', 'lots are')} put away.`, {
      undo: async () => {
        for (const { id } of kept) await api.remove(`/api/lots/${id}`)
        await lots.load()
      },
    })
    await router.push(kept[0] ? `/stores?lot=${kept[0].id}` : '/stores')
  } catch (error) {
    problem.value = sentenceOf(error)
  } finally {
    busy.value = false
  }
}
async function readTable(event: Event) {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  if (!file) return
  problem.value = ''
  const { rows } = await readCsv(await file.text())
  if (!rows.length) {
    problem.value =
      'There are no rows in this table. The first row names the columns: amount, unit, material, price, best before, lot.'
  }
  for (const row of rows) add(lineOfRow(row))
  input.value = ''
}
const money = (value: number) =>
  moneyText(Math.round(value * minorUnits(settings.value.currency)), settings.value.currency)
</script>

<template>
  <div class="mx-auto max-w-[1280px] px-4 py-3 sm:px-6">
    <div class="mb-3 flex flex-wrap items-center gap-3">
      <div class="mr-auto">
        <h1>What came in</h1>
        <p class="text-ink-2">
          <template v-if="order">Ordered {{ dayText(order.document.on, { today }) }}. </template>Put
          down {{ money(paid + (draft.shipping ?? 0))
          }}<template v-if="draft.note !== null">
            of the note’s {{ money(draft.note)
            }}<b v-if="Math.abs(apart) >= 0.005" class="text-warn"
              >: {{ money(Math.abs(apart)) }} {{ apart > 0 ? 'still to come' : 'too much' }}</b
            ></template
          >
        </p>
      </div>
      <label
        class="cursor-pointer rounded-sm border border-line-3 bg-field px-3.5 py-2 font-[550] focus-within:outline-2"
        >Read a table
        <input type="file" accept=".csv,.tsv,.txt,text/csv" class="sr-only" @change="readTable" />
      </label>
      <AppButton kind="main" :disabled="busy || !ready.length || !!open.length" @click="putAway">{{
        open.length
          ? `${say.count(open.length, 'line is', 'lines are')} not plain`
          : ready.length
            ? `Put away ${say.count(ready.length, 'lot', 'lots')}`
            : 'Put away'
      }}</AppButton>
    </div>
    <p v-if="problem" role="alert" class="mb-3 font-semibold text-stop">{{ problem }}</p>
    <div class="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_368px]">
      <div class="grid min-w-0 gap-3">
        <section
          v-if="ready.length || missing.length"
          class="sheet px-4 py-3"
          aria-label="What stands at the door"
        >
          <div class="flex justify-between text-[13px] text-ink-2">
            <b class="font-semibold">What stands at the door</b>
            <span v-if="order">filled: came · dashed: ordered, not here</span>
          </div>
          <ul class="flex flex-wrap items-end gap-x-5 pt-2">
            <li v-for="{ at, lot, ordered } in ready" :key="at" class="flex flex-col">
              <span
                v-if="order && !ordered"
                class="self-start bg-warn px-1.5 text-[12px] font-bold text-white"
                >not ordered</span
              >
              <span
                v-else-if="ordered && lot!.amount < ordered - 1"
                class="self-start bg-warn px-1.5 text-[12px] font-bold text-white"
                >{{ amount(lot!.thing, ordered - lot!.amount) }} short</span
              >
              <button
                type="button"
                class="p-1"
                :class="at === line?.at ? 'outline-2 outline-act' : ''"
                :aria-label="`${thingIn(materials.library, lot!.thing).name} ${lot!.code}`"
                @click="chosen = at"
              >
                <StockVessel
                  :form="lot!.vessel.form"
                  :fill="0.92"
                  :colour="thingIn(materials.library, lot!.thing).colour"
                  :hazard="thingIn(materials.library, lot!.thing).caustic"
                />
              </button>
              <b class="max-w-28 truncate text-[13px]"
                >{{ thingIn(materials.library, lot!.thing).name.split(',')[0] }} {{ lot!.code }}</b
              >
              <span class="figure text-[12.5px] text-ink-2">{{
                amount(lot!.thing, lot!.amount)
              }}</span>
            </li>
            <li v-for="one in missing" :key="one.thing" class="flex flex-col">
              <span class="self-start bg-warn px-1.5 text-[12px] font-bold text-white"
                >not here</span
              >
              <span class="p-1"><StockVessel form="jar" :fill="0" colour="#fff" missing /></span>
              <b class="max-w-28 truncate text-[13px]">{{
                thingIn(materials.library, one.thing).name.split(',')[0]
              }}</b>
              <span class="figure text-[12.5px] text-warn">{{
                amount(one.thing, one.each * one.count)
              }}</span>
            </li>
          </ul>
          <span class="block h-[11px] border-b-2 border-[#5c6663] bg-plank" aria-hidden="true" />
        </section>
        <section class="sheet" aria-label="Lines">
          <div class="flex flex-wrap gap-x-5 gap-y-2 border-b border-line px-4 py-3">
            <FieldRow says="From">
              <select v-model="draft.supplierId" class="field !w-44">
                <option :value="null">nobody said</option>
                <option v-for="one in suppliers.list" :key="one.id" :value="one.id">
                  {{ one.document.name }}
                </option>
              </select>
            </FieldRow>
            <FieldRow says="On"
              ><input v-model="draft.day" type="date" class="field !w-40" :max="today"
            /></FieldRow>
            <FieldRow says="The way cost"
              ><NumberField
                v-model="draft.shipping"
                label="The way cost"
                class="w-28"
                :unit="settings.currency"
                :min="0"
            /></FieldRow>
            <FieldRow says="The note says"
              ><NumberField
                v-model="draft.note"
                label="The note says in all"
                class="w-28"
                :unit="settings.currency"
                :min="0"
            /></FieldRow>
          </div>
          <ul>
            <li
              v-for="one in lines"
              :key="draft.lines[one.at]!.id"
              class="relative grid items-center gap-x-4 border-b border-line px-4 py-2 md:grid-cols-[minmax(0,1.3fr)_minmax(0,1fr)_9rem_2rem]"
              @focusin="chosen = one.at"
              @click="chosen = one.at"
            >
              <i v-if="one.at === line?.at" class="absolute inset-y-0 left-0 w-1 bg-act" />
              <input
                v-model="draft.lines[one.at]!.text"
                class="min-w-0 bg-transparent py-1 text-[15px] italic outline-offset-4"
                :aria-label="`Line ${one.at + 1}, as typed`"
              />
              <span v-if="one.lot" class="leading-[18px]">
                <b
                  >{{ one.read.name.split(',')[0] }},
                  {{ one.read.count > 1 ? `${one.read.count} × ` : ''
                  }}{{ amount(one.lot.thing, one.read.each!) }}</b
                >
                <span class="block text-[13px] text-ink-2"
                  >{{ one.lot.code
                  }}<template v-if="one.lot.bestBefore"
                    >, best before {{ dayText(one.lot.bestBefore, { today }) }}</template
                  ><template v-if="one.lot.place">, {{ one.lot.place }}</template></span
                >
                <span v-if="one.read.left.length" class="block text-[13px] font-semibold text-warn"
                  >not understood: {{ say.list(one.read.left) }}</span
                >
              </span>
              <span v-else role="alert" class="font-semibold text-warn"
                >{{ one.read.asks }}
                <span class="flex flex-wrap gap-1.5 pt-1">
                  <AppButton
                    v-for="id in one.read.candidates.slice(0, 4)"
                    :key="id"
                    class="!px-2 !py-1"
                    @click="choose(one.at, id)"
                    >{{ thingIn(materials.library, id).name }}</AppButton
                  >
                </span></span
              >
              <span v-if="one.lot" class="figure text-right text-[13.5px]"
                >{{ per100(one.lot)
                }}<span
                  v-if="Math.abs(dearer(one.lot) ?? 0) >= 2"
                  class="block text-[12.5px] font-semibold"
                  :class="dearer(one.lot)! > 0 ? 'text-warn' : 'text-ok'"
                  >{{ say.number(Math.abs(dearer(one.lot)!), 0) }} %
                  {{ dearer(one.lot)! > 0 ? 'dearer' : 'cheaper' }}</span
                ></span
              >
              <span v-else />
              <button
                type="button"
                class="justify-self-end p-1 text-ink-2"
                :aria-label="`Leave out line ${one.at + 1}`"
                @click="draft.lines.splice(one.at, 1)"
              >
                ×
              </button>
            </li>
          </ul>
          <form class="px-4 py-3" @submit.prevent="add()">
            <label
              class="flex flex-wrap items-center gap-3 border-2 border-act bg-field px-3 py-1 text-on-field"
            >
              <input
                v-model="typed"
                class="min-w-52 flex-1 bg-transparent py-2 text-[16px] italic outline-none"
                placeholder="5 kg olive 31.00 best 8/27 lot K12"
                aria-label="What came in, as you would write it"
              />
              <span
                v-if="reading"
                role="status"
                class="text-[13.5px]"
                :class="reading.asks ? 'font-semibold text-warn' : ''"
                >{{
                  reading.asks ||
                  `${reading.name.split(',')[0]}, ${amount(reading.thing!, reading.each! * reading.count)}`
                }}</span
              >
              <kbd>Enter</kbd>
            </label>
          </form>
          <p v-if="!lines.length" class="px-4 pb-4 text-ink-2">
            One line for each thing: how much, what, what it cost, until when it is good, and its
            lot. “same” takes the lot of the line before. Own milk and rain water go without a
            price.
          </p>
        </section>
      </div>
      <PaperCard
        v-if="line?.lot"
        v-model="draft.lines[line.at]!.certificate"
        :lot="line.lot"
        :planned="ahead.planned"
      />
    </div>
  </div>
</template>
