import type { Lot, NewLot, Order, StoredLot } from '#contracts/store'
import { lotSchema } from '#contracts/store'
import { readReceived, type Received } from '#core/stores/receive'
import { nextCode } from '#core/stores/stock'
import { thingIn, usualVessel } from '#core/stores/things'
import { sumOf } from '#core/statistics/sum'
import type { Stored } from '#contracts/document'

/** What somebody typed, line by line, and what was added to it by hand. */
export interface ReceivingDraft {
  lines: { text: string; certificate: Lot['certificate']; id: string }[]
  supplierId: string | null
  day: string
  /** Whole units of money: what the way cost in all, and what the note says in all. */
  shipping: number | null
  note: number | null
}

export const freshReceiving = (day: string): ReceivingDraft => ({
  lines: [],
  supplierId: null,
  day,
  shipping: null,
  note: null,
})

/** A line as it was read, with the lot it would become. */
export interface ReceivedLine {
  at: number
  text: string
  read: Received
  lot: Lot | null
  /** Of the order: what was ordered of it, g. */
  ordered: number | null
}

/** Turns typed lines into lots: what a line does not say is taken from the last lot of the same thing. */
export function useReceiving(draft: Ref<ReceivingDraft>, order: Ref<Stored<Order> | null>) {
  const materials = useMaterials()
  const lots = useLots()
  const { settings } = storeToRefs(useWorkshop())
  const unit = computed(() => minorUnits(settings.value.currency))
  const lastOf = (thing: string): StoredLot | undefined =>
    [...lots.list]
      .filter(({ document }) => document.thing === thing)
      .sort((a, b) => b.document.cameOn.localeCompare(a.document.cameOn))[0]
  const reads = computed(() => {
    const all: Received[] = []
    for (const { text } of draft.value.lines)
      all.push(readReceived(text, materials.library, all.at(-1) ?? null))
    return all
  })
  const paid = computed(() => sumOf(reads.value, ({ price }) => price ?? 0))
  const lines = computed(() => {
    const codes = new Map<string, string>()
    return draft.value.lines.map(({ text, certificate }, at): ReceivedLine => {
      const read = reads.value[at]!
      const ordered = order.value
        ? sumOf(order.value.document.lines, (line) =>
            line.thing === read.thing ? line.each * line.count : 0,
          ) || null
        : null
      if (!read.thing || read.asks || !read.each) return { at, text, read, lot: null, ordered }
      const thing = thingIn(materials.library, read.thing)
      const last = lastOf(read.thing)
      const before = codes.get(read.thing) ?? last?.document.code
      const code =
        read.code || (before ? nextCode(before) : `${thing.name.slice(0, 2).toUpperCase()}1`)
      codes.set(read.thing, code)
      const grams = read.each * read.count
      const share = paid.value > 0 ? (read.price ?? 0) / paid.value : 0
      const lot: NewLot = {
        thing: read.thing,
        code,
        supplierId: draft.value.supplierId,
        cameOn: draft.value.day,
        bestBefore: read.bestBefore,
        amount: grams,
        price: read.price === null ? null : Math.round(read.price * unit.value),
        shipping: Math.round((draft.value.shipping ?? 0) * unit.value * share),
        vessel: last?.document.vessel ?? { form: usualVessel(thing.kind, read.each) },
        place: last?.document.place ?? '',
        certificate,
      }
      return { at, text, read, ordered, lot: lotSchema.parse(lot) }
    })
  })
  /** Ordered, and nothing of it here. */
  const missing = computed(() =>
    (order.value?.document.lines ?? []).filter(
      ({ thing }) => !reads.value.some((read) => read.thing === thing),
    ),
  )
  return { lines, paid, missing }
}
