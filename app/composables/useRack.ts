import type { BatchSummary } from '#contracts/batch'
import type { Place } from '#contracts/workshop'
import { isLate, type Due } from '#core/rack/due'
import { plankOf } from '#core/rack/planks'
import { standingOf, type RackStage, type Standing } from '#core/rack/standing'
import { isBlocked } from '#core/rack/usable'
import { lastWeighed, leftAfter } from '#core/rack/drying/model'
import { sumOf } from '#core/statistics/sum'
import { daysBetween, type Day } from '#core/units/days'
import type { Formatter } from '#core/units/formatter'
import { useIntervalFn } from '@vueuse/core'

/** A batch on the rack, with what its tag and its label say. */
export interface OnRack {
  batch: BatchSummary
  standing: Standing
  /** The plank it stands on among the stages. */
  plank: RackStage
  /** What is due today, in the order to do it. */
  dues: Due[]
  /** What hangs over it; `bad` where it cannot wait. */
  tag: { says: string; bad: boolean } | null
  says: string
  /** Part of the fresh mass that is left: bars shrink as they dry. */
  left: number
  /** Names of the places its bars stand on. */
  places: string[]
  /** All it is found by. */
  foundBy: string
}

/** What the words of a batch rest on. */
interface Words {
  say: Formatter
  /** ms by the workshop's clock. */
  now: number
  today: Day
  places: readonly Place[]
}

/** A value that is worked out when it is first asked for. */
function once<T>(work: () => T): () => T {
  let known: { is: T } | null = null
  return () => (known ??= { is: work() }).is
}

const pressing = new Set<Due['kind']>(['peek', 'unwrap', 'thaw', 'cut', 'strip'])

interface RackFilter {
  find: string
  due: boolean
  untested: boolean
  /** Id of a formula, of a place; empty for any. */
  formula: string
  place: string
}

/** Everything on the rack: what is to be said of each batch, what is looked for, and which are ticked. */
export function useRack() {
  const batches = useBatches()
  const workshop = useWorkshop()
  const { say, today } = storeToRefs(workshop)
  const now = ref(workshop.clock())
  useIntervalFn(() => (now.value = workshop.clock()), 60_000)

  const dues = computed(() => {
    const by = new Map<string, Due[]>()
    for (const due of batches.due.today) by.set(due.batchId, [...(by.get(due.batchId) ?? []), due])
    return by
  })
  const words = computed((): Words => ({
    say: say.value,
    now: now.value,
    today: today.value,
    places: workshop.settings.rack.places,
  }))
  function saysOf(
    { say, now, today }: Words,
    batch: BatchSummary,
    { stage, cutOn, day, bars, by, readyOn }: Standing,
  ): string {
    const count = say.count(bars, 'bar', 'bars')
    const { drying, pouredAt } = batch.facts
    if (stage === 'planned') return `${count}, to be poured`
    if (!cutOn) {
      const hours = pouredAt ? Math.floor((now - Date.parse(pouredAt)) / 3_600_000) : null
      return hours !== null && hours < 72
        ? `a loaf, ${hours} h in the mould`
        : day === 0
          ? 'a loaf, poured today'
          : `a loaf, day ${day} in the mould`
    }
    if (stage === 'ready') return drying ? `${count}, label ${labelText(drying, say)}` : count
    if (stage === 'last-weeks')
      return by === 'weight'
        ? `${count}, by weight`
        : `${count}, ready ${dayText(readyOn!, { today: today })}`
    const lost = Math.max(0, lastWeighed(batch.facts)?.lost ?? 0)
    return `${count}, day ${day}${lost ? `, −${say.percent(lost, 1)}` : ''}`
  }

  function tagOf(
    { say, now, today }: Words,
    batch: BatchSummary,
    standing: Standing,
    due: Due[],
  ): OnRack['tag'] {
    const { usable } = batch.facts
    const { state, ph } = usable
    if (isBlocked(usable)) return { says: ph === null ? state : `${state}, strip ${ph}`, bad: true }
    const late = due.find((one) => one.kind === 'cut' && isLate(one, { now: now, today: today }))
    if (late)
      return {
        says: `cut, ${pastText(late, now) || `${daysBetween(late.on, today)} days past`}`,
        bad: true,
      }
    const words = [...new Set(due.map(({ kind }) => tagWords[kind]).filter(Boolean))]
    if (standing.stage === 'ready' && state === 'untested')
      return { says: 'dry, not tested', bad: true }
    if (!words.length) return null
    return { says: say.list(words), bad: due.some(({ kind }) => pressing.has(kind)) }
  }

  /** Words are worked out for those that are looked at: a rack may hold five hundred. */
  const all = computed(() => {
    const known = words.value
    return batches.list.map((batch): OnRack => {
      const standing = standingOf(batch, known.today)
      const due = dues.value.get(batch.id) ?? []
      const tag = once(() => tagOf(known, batch, standing, due))
      const says = once(() => saysOf(known, batch, standing))
      const places = once(() => placesOf(batch, known.today, known.places))
      return {
        batch,
        standing,
        plank: plankOf(batch, standing),
        dues: due,
        get tag() {
          return tag()
        },
        get says() {
          return says()
        },
        get left() {
          const { drying } = batch.facts
          return drying ? leftAfter(drying.shape, standing.day) : 1
        },
        get places() {
          return places()
        },
        get foundBy() {
          const { name, number } = batch
          return [name, number, ...places(), tag()?.says ?? '', standing.pouredOn ?? ''].join(' ')
        },
      }
    })
  })

  const filter = reactive<RackFilter>({
    find: '',
    due: false,
    untested: false,
    formula: '',
    place: '',
  })
  const untested = ({ batch, standing }: OnRack) =>
    standing.cutOn !== null && batch.facts.usable.state === 'untested'
  const isDue = ({ dues: due }: OnRack) =>
    due.some(({ kind }) => kind !== 'pour' && kind !== 'ready')
  const found = computed(() => {
    const has = hasWords(filter.find)
    return all.value.filter(
      (one) =>
        (!filter.due || isDue(one)) &&
        (!filter.untested || untested(one)) &&
        (!filter.formula || one.batch.formulaId === filter.formula) &&
        (!filter.place || one.batch.facts.spread.some(({ place }) => place === filter.place)) &&
        has(one.foundBy),
    )
  })
  const filtered = computed(
    () => !!(filter.find.trim() || filter.due || filter.untested || filter.formula || filter.place),
  )
  function clear() {
    Object.assign(filter, { find: '', due: false, untested: false, formula: '', place: '' })
  }

  const ticks = ref<ReadonlySet<string>>(new Set())
  const ticked = computed(() => all.value.filter(({ batch }) => ticks.value.has(batch.id)))
  function tick(id: string, on = !ticks.value.has(id)) {
    const next = new Set(ticks.value)
    if (on) next.add(id)
    else next.delete(id)
    ticks.value = next
  }
  const setTicks = (ids: Iterable<string>) => (ticks.value = new Set(ids))

  return {
    all,
    found,
    filter,
    filtered,
    clear,
    ticks,
    ticked,
    tick,
    setTicks,
    counts: computed(() => ({
      due: all.value.filter(isDue).length,
      untested: all.value.filter(untested).length,
      bars: sumOf(
        all.value.filter(({ standing }) => standing.pouredOn),
        ({ standing }) => standing.bars,
      ),
      ready: sumOf(
        all.value.filter(({ plank }) => plank === 'ready'),
        ({ standing }) => standing.bars,
      ),
      poured: all.value.filter(({ standing }) => standing.pouredOn).length,
    })),
  }
}
