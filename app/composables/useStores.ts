import type { StoredLot, StoresAhead } from '#contracts/store'
import { runsOut, type RunsOut } from '#core/stores/ahead'
import { holds, reserved, type Reserved } from '#core/stores/reserve'
import { flagsOf, unitCost, type LotFlag } from '#core/stores/stock'
import { isCounted, thingIn, type Thing } from '#core/stores/things'
import { sumOf } from '#core/statistics/sum'

/** A lot as the stores show it. */
export interface LotRow {
  lot: StoredLot
  thing: Thing
  /** What it is called without what stands behind a comma, and its code. */
  name: string
  supplier: string
  reserved: number
  free: number
  flags: LotFlag[]
  /** Of a blend, from the bottom. */
  strata: { colour: string; share: number }[]
  /** Smallest unit of money for a gram or a piece. */
  unit: number
}
/** A thing with all of it that may be used, and when it runs out. */
export interface ThingRow {
  thing: Thing
  stock: number
  out: RunsOut | null
}

/** Everything in the stores with what is reserved of it, what is to be minded, and when it runs out. */
export function useStores() {
  const lots = useLots()
  const materials = useMaterials()
  const suppliers = useSuppliers()
  const prices = usePrices()
  const workshop = useWorkshop()
  const ahead = shallowRef<StoresAhead>({ planned: [], used: [], packs: [] })
  const loaded = ref(false)

  async function load() {
    const [now] = await Promise.all([
      api.get<StoresAhead>('/api/stores/ahead').catch(() => null),
      lots.load(),
      suppliers.load(),
      prices.load(),
    ])
    if (now) ahead.value = now
    loaded.value = true
  }
  /** Name up to its comma, in a row. */
  const short = (name: string) => name.split(',')[0]!
  const byId = computed(() => new Map(lots.list.map((lot) => [lot.id, lot])))
  const reservations = computed((): Reserved[] =>
    workshop.today ? reserved(ahead.value.planned, lots.list, workshop.today) : [],
  )
  const supplierNames = computed(
    () => new Map(suppliers.list.map(({ id, document }) => [id, document.name])),
  )
  const rows = computed((): LotRow[] => {
    const { library } = materials
    const held = new Map<string, number>()
    for (const { lotId, grams } of reservations.value)
      if (lotId) held.set(lotId, (held.get(lotId) ?? 0) + grams)
    return lots.list.map((lot): LotRow => {
      const { document, stock } = lot
      const thing = thingIn(library, document.thing)
      const own = held.get(lot.id) ?? 0
      const parts = library.fats.get(document.thing)?.parts ?? []
      return {
        lot,
        thing,
        name: `${short(thing.name)} ${document.code}`,
        supplier: supplierNames.value.get(document.supplierId ?? '') ?? '',
        reserved: own,
        free: stock - own,
        flags: flagsOf(lot, workshop.today || '2000-01-01', thing.caustic),
        strata: parts.map((part) => ({
          colour: thingIn(library, part.id).colour,
          share: part.share,
        })),
        unit: unitCost(lot, (id) => byId.value.get(id)),
      }
    })
  })
  const things = computed((): ThingRow[] => {
    const { today } = workshop
    if (!today) return []
    const grouped = new Map<string, LotRow[]>()
    for (const row of rows.value)
      grouped.set(row.thing.id, [...(grouped.get(row.thing.id) ?? []), row])
    for (const { thing } of reservations.value) if (!grouped.has(thing)) grouped.set(thing, [])
    const usedBy = new Map<string, { day: string; grams: number }[]>()
    for (const [thing, day, grams] of ahead.value.used) {
      const uses = usedBy.get(thing) ?? []
      uses.push({ day, grams })
      usedBy.set(thing, uses)
    }
    return [...grouped].map(([id, own]): ThingRow => {
      const usable = own.filter(({ lot }) => !lot.document.held && lot.stock > 0)
      const stock = sumOf(usable, ({ lot }) => lot.stock)
      const planned = ahead.value.planned.flatMap(({ day, needs }) =>
        holds({ day }, today)
          ? needs.filter((need) => need.thing === id).map(({ grams }) => ({ day, grams }))
          : [],
      )
      return {
        thing: thingIn(materials.library, id),
        stock,
        out: runsOut({ stock, past: usedBy.get(id) ?? [], planned, today, seed: id }),
      }
    })
  })
  /** Money that stands on the shelves. */
  const worth = computed(() => sumOf(rows.value, ({ lot, unit }) => Math.max(0, lot.stock) * unit))
  /** An amount of a thing in its unit. */
  function amount(id: string, grams: number): string {
    if (isCounted(id)) return workshop.say.count(Math.round(grams), 'piece', 'pieces')
    if (workshop.say.system === 'metric' && Math.abs(grams) >= 1000)
      return `${workshop.say.number(grams / 1000, 1)} kg`
    return workshop.say.amount(grams)
  }
  return { ahead, loaded, load, rows, things, reservations, worth, amount, short, lots }
}
