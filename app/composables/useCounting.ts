import type { Move, Unwritten } from '#contracts/store'
import type { CountWhy } from '#contracts/storeWords'
import { difference, inVessel, whereItWent } from '#core/stores/counting'
import { isCounted } from '#core/stores/things'
import type { LotRow } from './useStores'

/** A lot found otherwise than its moves say, and what may be answered. */
export interface Asked {
  /** g more than expected; negative where some is missing. */
  apart: number
  batch: { id: string; says: string; grams: number } | null
}

/** A walk along the shelves with a scale: one vessel after the other, what it weighs, and what is asked about. */
export function useCounting(rows: Ref<LotRow[]>, first: string) {
  const lots = useLots()
  const { today, say } = storeToRefs(useWorkshop())
  /** In the order in which somebody walks: place by place. */
  const walk = computed(() =>
    [...rows.value]
      .filter(({ lot }) => lot.stock > 0 || lot.countedOn === today.value)
      .sort(
        (a, b) =>
          a.lot.document.place.localeCompare(b.lot.document.place) ||
          a.name.localeCompare(b.name, 'en', { numeric: true }),
      ),
  )
  const at = ref(first)
  const row = computed(
    () =>
      walk.value.find(({ lot }) => lot.id === at.value) ??
      walk.value.find(({ lot }) => lot.countedOn !== today.value) ??
      walk.value[0] ??
      null,
  )
  const gross = ref<number | null>(null)
  const tare = ref<number | null>(null)
  const about = ref<number | null>(null)
  const why = ref<CountWhy | null>(null)
  const counted = computed(() => Boolean(row.value && isCounted(row.value.thing.id)))
  watch(
    () => row.value?.lot.id,
    () => {
      gross.value = null
      about.value = null
      why.value = null
      tare.value = row.value?.lot.document.vessel.tare ?? null
    },
    { immediate: true },
  )
  /** g, or pieces, in it. */
  const found = computed(() => {
    if (about.value !== null) return about.value * (row.value?.lot.document.amount ?? 0)
    if (gross.value === null) return null
    return counted.value ? gross.value : inVessel(gross.value, tare.value)
  })
  /** What batches of the last weeks needed, and nobody wrote down as drawn. */
  const everything = shallowRef<Unwritten[]>([])
  onMounted(async () => {
    everything.value = await api.get<Unwritten[]>('/api/stores/unwritten').catch(() => [])
  })
  const unwritten = computed(() =>
    everything.value.filter(({ thing }) => thing === row.value?.thing.id),
  )
  const asked = computed((): Asked | null => {
    if (!row.value || found.value === null) return null
    const apart = difference(row.value.lot, found.value, about.value !== null)
    if (apart === 0) return null
    const hit = apart < 0 ? whereItWent(-apart, unwritten.value) : null
    const batch = hit && unwritten.value.find(({ batchId }) => batchId === hit.batchId)
    return {
      apart,
      batch: batch ? { id: batch.batchId, says: batch.says, grams: batch.grams } : null,
    }
  })
  const ready = computed(() => found.value !== null && (!asked.value || why.value !== null))
  /** Keeps what was found and goes on to the next vessel that was not counted today. */
  async function keep() {
    if (!row.value || found.value === null || !ready.value) return
    const move: Move = {
      kind: 'counted',
      id: newId(),
      lotId: row.value.lot.id,
      day: today.value,
      grams: Math.round(found.value * 1000) / 1000,
      gross: about.value === null ? gross.value : null,
      about: about.value !== null,
      why: asked.value ? why.value : null,
      batchId: why.value === 'batch' ? (asked.value?.batch?.id ?? null) : null,
      note: '',
    }
    const place = walk.value.findIndex(({ lot }) => lot.id === row.value!.lot.id)
    const next = [...walk.value.slice(place + 1), ...walk.value.slice(0, place)].find(
      ({ lot }) => lot.countedOn !== today.value && lot.id !== row.value!.lot.id,
    )
    const sent = lots.tell(move as Extract<Move, { kind: 'counted' }>)
    at.value = next?.lot.id ?? ''
    gross.value = null
    about.value = null
    why.value = null
    await sent
  }
  /** The empty weight of a vessel that nobody weighed before is kept with its lot. */
  async function keepTare(grams: number | null) {
    tare.value = grams
    const lot = row.value?.lot
    if (!lot || grams === null || grams === lot.document.vessel.tare) return
    const document = plain({
      ...lot.document,
      vessel: { ...lot.document.vessel, tare: grams },
    })
    await lots.save(lot.id, lot.revision, document).catch(() => undefined)
  }
  const done = computed(() => walk.value.filter(({ lot }) => lot.countedOn === today.value).length)
  return {
    walk,
    row,
    at,
    gross,
    tare,
    about,
    why,
    found,
    asked,
    ready,
    keep,
    keepTare,
    done,
    counted,
    say,
  }
}
