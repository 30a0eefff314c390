import type { KeptDayPlan, MakingDay } from '#contracts/day'
import type { Clash, WayOut } from '#core/day/fits'
import { givenTo, mayBegin, movedTo } from '#core/day/moving'
import { dayWishes, type DayWish } from '#contracts/dayWords'
import type { DayPlan } from '#core/day/plan'
import { closing, type Placed } from '#core/day/problem'
import { problemOf } from '#core/day/tasks'
import { takeFrom } from '#core/stores/stock'
import { needsOf } from '#core/stores/things'
import { mindOn, slackBefore, tightSpot } from '#core/day/watch'
import type { MakingDayHere } from './useMakingDay'

/** How much later than planned everybody may come home because of what is moved by hand, minutes. */
const mayCost = 60

const keptPlan = ({ together, placed, end, bound }: DayPlan, byHand = false): KeptDayPlan => ({
  together,
  placed,
  end,
  bound,
  byHand,
})

/** What a wish would come to. */
export interface WishRow {
  wish: DayWish
  plan: DayPlan
  /** Minutes after midnight at which it begins. */
  begins: number
  slack: number
}

/** A making day being planned: the best plan, what it would be otherwise, what moves by hand. */
export function useDayPlan(here: MakingDayHere) {
  const { day, change, made, sent, known, people, things } = here
  const planner = useDayPlanner()
  const batches = useBatches()
  const { open: goals, plans: goalPlans } = useGoalPlans()
  const chosen = ref<string | null>(null)
  const rows = shallowRef<WishRow[]>([])
  const unfit = shallowRef<{ plan: DayPlan; clash: Clash; ways: WayOut[] } | null>(null)
  /** Whatever the plan rests on: when it changes, the day is planned anew. */
  const asked = computed(() => {
    const of = day.value
    return of && sent.value
      ? JSON.stringify([
          of.batches,
          of.people,
          of.things,
          of.begins,
          of.earliest,
          of.wish,
          of.day,
          here.settings.value.vessels,
        ])
      : ''
  })
  const earlier = (of: MakingDay) => Math.max(0, of.begins - of.earliest)
  /** Days as they are sent for a wish: those that begin early have longer hours. */
  function sentFor(wish: DayWish) {
    const all = sent.value!
    const of = day.value!
    const by = beginOf(of, of.wish) - beginOf(of, wish)
    return {
      ...all,
      people: all.people.map((one) => ({
        ...one,
        until: one.until === null ? null : one.until + by,
      })),
    }
  }

  /** Batches that may be left for another day: those that are promised to nobody first, the latest of them. */
  const mayLeave = computed(() => {
    const promised = new Set(
      goals.value
        .filter(({ id }) => (goalPlans.value.get(id)?.missing ?? 0) > 0)
        .map(({ formulaId }) => formulaId),
    )
    return made.value
      .map(({ id, number }) => ({
        id,
        number,
        promised: promised.has(here.batches.value.get(id)?.formulaId ?? ''),
      }))
      .sort((a, b) => Number(a.promised) - Number(b.promised) || b.number - a.number)
      .map(({ id }) => id)
  })

  async function plan() {
    const of = day.value
    if (!of || of.startedAt || !sent.value) return
    const key = asked.value
    unfit.value = null
    const found = await planner.plan(sent.value, of.wish)
    if (!found || asked.value !== key) return
    if (found.over > 0) {
      const answer = await planner.unfit(
        sent.value,
        found,
        of.wish,
        mayLeave.value,
        of.wish === 'early' ? 0 : earlier(of) || 120,
      )
      if (asked.value !== key) return
      if (answer) unfit.value = { plan: found, ...answer }
      await change({ plan: null })
      return
    }
    await change({ plan: keptPlan(found) })
    await compare(found, key)
  }
  /** What the other wishes would come to. */
  async function compare(found: DayPlan, key: string) {
    const of = day.value!
    const all: WishRow[] = []
    for (const wish of dayWishes) {
      const other = wish === of.wish ? found : await planner.quick(sentFor(wish), wish)
      if (asked.value !== key) return
      if (!other || other.over > 0) continue
      const problem = problemOf(made.value, people.value, things.value, other.together)
      const slack = Math.min(...slackBefore(problem, other.placed).values(), 99)
      all.push({ wish, plan: other, begins: beginOf(of, wish), slack })
    }
    rows.value = all
  }
  /** Planned when something changed, or nothing is planned yet; what somebody moved by hand stays until then. */
  const plannedFor = ref('')
  watch(
    asked,
    (now) => {
      if (!now || day.value?.startedAt) return
      if (!plannedFor.value && day.value?.plan && fits(day.value.plan)) {
        plannedFor.value = now
        void compare({ ...day.value.plan, over: 0 }, now)
        return
      }
      plannedFor.value = now
      chosen.value = null
      void plan()
    },
    { immediate: true },
  )
  /** Whether a plan that was kept is of the batches that are on the day now. */
  function fits({ placed, together }: KeptDayPlan): boolean {
    const problem = problemOf(made.value, people.value, things.value, together)
    const there = new Set(placed.map(({ task }) => task))
    return problem.tasks.length === there.size && problem.tasks.every(({ id }) => there.has(id))
  }

  /** Ends the search with the best that was found. */
  async function takeBest() {
    const best = planner.best.value
    planner.stop()
    if (best && best.over <= 0) await change({ plan: keptPlan(best) })
  }
  /** When everybody is home by a wish. */
  const homeAt = ({ plan: other, begins }: WishRow): string =>
    here.timeAt(other.end + closing + begins - beginOf(day.value!))

  const placed = computed((): Placed[] => day.value?.plan?.placed ?? [])
  const shown = computed(() =>
    known.value && day.value?.plan && fits(day.value.plan) ? known.value : null,
  )
  const tight = computed(() =>
    shown.value ? tightSpot(shown.value, placed.value, made.value) : null,
  )
  const scents = useScents()
  const flash = computed(
    () =>
      new Map(
        scents.list.flatMap(({ id, document: { name, flashC } }) =>
          flashC === null ? [] : [[id, { name, flashC }] as const],
        ),
      ),
  )
  /** What the stores have too little of for all batches together; of what never came into them nothing is said. */
  const lots = useLots()
  const short = computed(() => {
    const wanted = new Map<string, { name: string; grams: number }>()
    for (const { frozen } of [...here.batches.value.values()].filter(({ id }) =>
      here.onIt.value.some((one) => one.id === id),
    ))
      for (const { thing, name, grams } of needsOf(frozen)) {
        const before = wanted.get(thing)
        wanted.set(thing, { name, grams: (before?.grams ?? 0) + grams })
      }
    return [...wanted].flatMap(([thing, { name, grams }]) => {
      if (!lots.list.some(({ document }) => document.thing === thing)) return []
      const missing = takeFrom(lots.list, thing, grams).short
      return missing > 1 ? [{ thing, name, grams, missing }] : []
    })
  })
  const minds = computed(() =>
    shown.value ? mindOn(shown.value, placed.value, made.value, flash.value) : [],
  )
  const slide = computed(() =>
    shown.value && chosen.value && day.value?.plan
      ? mayBegin(shown.value, placed.value, chosen.value, day.value.plan.end + mayCost)
      : null,
  )
  const toasts = useToasts()
  const endOf = (all: readonly Placed[]) => Math.max(...all.map(({ to }) => to))
  /** What was moved by hand, for the way back. */
  const undone: KeptDayPlan[] = []
  async function put(all: Placed[] | null, says: string) {
    const before = day.value?.plan
    if (!before) return
    if (!all) return void toasts.show(says)
    undone.push(before)
    await change({ plan: { ...before, placed: all, end: endOf(all), byHand: true } })
  }
  function move(by: number) {
    const one = placed.value.find(({ task }) => task === chosen.value)
    if (!shown.value || !one || day.value?.startedAt) return
    const to = slide.value
    const at = to ? Math.max(to.from, Math.min(to.to, one.at + by)) : one.at + by
    if (at === one.at)
      return void toasts.show(
        by < 0
          ? 'It cannot begin earlier: something that it needs is not there yet.'
          : 'It cannot begin later: something would be too cold, or too late.',
      )
    void put(movedTo(shown.value, placed.value, one.task, at), 'It cannot stand there.')
  }
  function give(by: number) {
    const one = placed.value.find(({ task }) => task === chosen.value)
    if (!shown.value || !one || day.value?.startedAt) return
    const person = one.person + by
    const other = people.value[person]
    if (!other) return
    void put(
      givenTo(shown.value, placed.value, one.task, person),
      `${other.name} has no room for it.`,
    )
  }
  const cure = () =>
    tight.value?.cure && void put(tight.value.cure.placed, 'It cannot stand there.')
  const canUndo = computed(() => !!day.value?.plan?.byHand && undone.length > 0)
  function undo() {
    const before = undone.pop()
    if (before) void change({ plan: before })
  }
  const wishFor = (wish: DayWish) => {
    const row = rows.value.find((one) => one.wish === wish)
    if (!row || day.value?.wish === wish) return
    void change({ wish })
  }
  function take({ of, earlier: by, without }: WayOut) {
    const now = day.value!
    if (of === 'earlier')
      void change({ begins: now.begins - by, earliest: Math.min(now.earliest, now.begins - by) })
    else void change({ batches: now.batches.filter(({ id }) => id !== without) })
  }
  onMounted(() => void Promise.all([scents.load(), batches.load(), lots.load()]))
  return {
    ...planner,
    replanAll: plan,
    chosen,
    rows,
    unfit,
    shown,
    placed,
    tight,
    minds,
    short,
    slide,
    move,
    give,
    cure,
    undo,
    canUndo,
    wishFor,
    take,
    takeBest,
    homeAt,
  }
}
