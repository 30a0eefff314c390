import type { NewRunEvent, RunEvent } from '#contracts/run'
import { minutesOf, paceOf, type DayBatch } from '#core/day/batchOfDay'
import { cameOf } from '#core/day/pace'
import { closing, dressing, type DayTask } from '#core/day/problem'
import {
  follow,
  movedBetween,
  standingOfTasks,
  stillPlanned,
  type DayRun,
  type Moved,
  type TaskState,
  type Took,
} from '#core/day/running'
import { problemOf } from '#core/day/tasks'
import { isDone, lyeIsAbout, runOf, safetyCheckPassed, type RunState } from '#core/bench/run/run'
import type { Step } from '#core/bench/plan/step'
import { roundTo } from '#core/statistics/roundTo'
import { sumOf } from '#core/statistics/sum'
import { useIntervalFn } from '@vueuse/core'
import type { MakingDayHere } from './useMakingDay'
import type { RunKeeper } from './useRunKeeper'

/** ms between two looks at what another device changed of the day itself. */
const lookEvery = 4000
/** Minutes by which the rest must get better for it to be planned anew. */
const worthMoving = 2

/** What runs by itself, with what is to be done about it. Minutes from the day's beginning. */
export interface ByItself {
  id: string
  /** `melting`: on the plate until somebody takes them off. */
  kind: 'lye' | 'melting' | 'fats' | 'poured'
  batches: DayBatch[]
  /** When it is ready for hands; null where nothing is to be done. */
  due: number | null
  says: string
  /** Who has it in hand, where somebody has. */
  inHands: string | null
}

/** A making day at the bench: everybody's next piece of work, what runs by itself, and what moved. */
export function useDayBench(
  here: MakingDayHere,
  keepers: ReadonlyMap<string, RunKeeper>,
  who: Ref<number>,
) {
  const { day, made, people, things, change } = here
  const workshop = useWorkshop()
  const toasts = useToasts()
  const { say } = storeToRefs(workshop)
  const zero = Date.parse(day.value!.startedAt!)
  const { now: clock } = useBenchClock(
    day.value!.startedAt!,
    () => [...keepers.values()].flatMap(({ events }) => events.value),
    ref(1),
  )
  useIntervalFn(() => void here.look(), lookEvery)
  const minutes = computed(() => (clock.value - zero) / 60_000)
  /** Everything is foretold to the half minute: it does not tremble. */
  const now = computed(() => Math.floor(minutes.value * 2) / 2)

  const states = computed(
    () =>
      new Map(
        made.value.flatMap(({ id, plan }): [string, RunState][] => {
          const keeper = keepers.get(id)
          return keeper ? [[id, runOf(plan, keeper.run.startedAt, keeper.events.value)]] : []
        }),
      ),
  )
  const runs = computed(
    () =>
      new Map(
        [...states.value].map(([id, state]): [string, DayRun] => [
          id,
          { state, begins: (Date.parse(keepers.get(id)!.run.startedAt) - zero) / 60_000 },
        ]),
      ),
  )
  const plan = computed(() => day.value!.plan!)
  /** How the work is put together, without batches that were left out. */
  const together = computed(() => {
    const there = new Set(made.value.map(({ id }) => id))
    const left = (groups: string[][]) =>
      groups.map((ids) => ids.filter((id) => there.has(id))).filter((ids) => ids.length > 0)
    const { lye, fats, quiet } = plan.value.together
    return { lye: left(lye), fats: left(fats), quiet }
  })
  const problem = computed(() => problemOf(made.value, people.value, things.value, together.value))
  const took = computed((): Took[] =>
    [...keepers.values()]
      .flatMap(({ events }) => events.value)
      .flatMap((event) =>
        event.kind === 'took'
          ? [
              {
                task: event.task,
                person: day.value!.people.findIndex(({ name }) => name === event.by),
                // Dressing comes first, whoever is quick with the key.
                at: Math.max(dressing, (Date.parse(event.at) - zero) / 60_000),
              },
            ]
          : [],
      )
      .filter(({ person }) => person >= 0)
      .sort((a, b) => a.at - b.at),
  )
  const standing = computed(() => standingOfTasks(problem.value, runs.value, took.value))
  const planned = computed(() => stillPlanned(problem.value, plan.value.placed))
  const running = computed(() => follow(problem.value, planned.value, standing.value, now.value))
  const placed = computed(() => running.value?.placed ?? planned.value)
  const home = computed(() => (running.value?.end ?? plan.value.end) + closing)
  const taskOf = (id: string): DayTask | undefined =>
    problem.value.tasks.find((one) => one.id === id)
  const ownOf = (task: DayTask) => made.value.filter(({ id }) => task.batches.includes(id))
  const stateOf = (id: string): TaskState => standing.value.get(id)!

  /** A pour that moved, in words: "36 8 min". */
  const movedText = ({ batch, by }: Moved) =>
    `${made.value.find(({ id }) => id === batch)?.number ?? ''} ${minutesText(Math.abs(by))}`
  /** What moved since the day began, in words. */
  const moved = computed(() => {
    const all = movedBetween(problem.value, day.value!.said, placed.value)
    const part = (list: Moved[], word: string) =>
      list.length ? [`${say.value.list(list.map(movedText), 'and')} ${word}`] : []
    return [
      ...part(
        all.filter(({ by }) => by > 0),
        'later',
      ),
      ...part(
        all.filter(({ by }) => by < 0),
        'earlier',
      ),
    ]
  })

  /** Whose hands a task is in, or will be. */
  const personOf = (id: string) =>
    stateOf(id).by ?? placed.value.find(({ task }) => task === id)?.person ?? 0
  const isOpen = (task: DayTask) => {
    const { endedAt } = stateOf(task.id)
    if (endedAt === null) return true
    // Rinsed is not yet written down.
    return task.kind === 'rinse' && !states.value.get(task.batches[0]!)?.finished
  }
  /** Pieces of work of a person that are not over, in the order in which they come. */
  const lineOf = (person: number) =>
    placed.value
      .flatMap((one) => {
        const task = taskOf(one.task)
        return task && isOpen(task) && personOf(task.id) === person
          ? [{ task, at: one.at, to: one.to, begun: stateOf(task.id).begunAt !== null }]
          : []
      })
      .sort((a, b) => Number(b.begun) - Number(a.begun) || a.at - b.at)
  const mine = computed(() => lineOf(who.value))
  const others = computed(() =>
    day.value!.people.flatMap(({ name }, person) => {
      if (person === who.value) return []
      const line = lineOf(person)
      const [first] = line
      return [
        {
          name,
          person,
          now: first?.begun ? first : null,
          next: line.find(({ begun }) => !begun) ?? null,
        },
      ]
    }),
  )

  /** What is on screen: a task, or fats that are to come off the plate. */
  const chosen = ref<{ task: string } | { melt: string } | null>(null)
  const task = computed((): DayTask | null => {
    const picked = chosen.value && 'task' in chosen.value ? taskOf(chosen.value.task) : null
    return picked && isOpen(picked) ? picked : (mine.value[0]?.task ?? null)
  })
  const melting = computed(() =>
    chosen.value && 'melt' in chosen.value ? chosen.value.melt : null,
  )
  const begun = computed(() => !!task.value && stateOf(task.value.id).begunAt !== null)
  /** The step on screen, of whose batch. */
  const step = computed((): { batch: DayBatch; step: Step | null } | null => {
    if (melting.value) {
      const batch = made.value.find(({ id }) => id === melting.value)
      const melt =
        batch && batch.parts.melt.find(({ id }) => !isDone(states.value.get(batch.id)!, id))
      if (batch && melt) return { batch, step: melt }
    }
    const of = task.value
    if (!of || !begun.value) return null
    const [open] = stateOf(of.id).open
    const batch = made.value.find(({ id }) => id === (open?.batch ?? of.batches[0]))
    if (!batch) return null
    return {
      batch,
      step: open ? (batch.plan.steps.find(({ id }) => id === open.step) ?? null) : null,
    }
  })
  watch(
    () => [melting.value, step.value?.step?.id],
    () => {
      if (melting.value && step.value?.step?.kind !== 'melt') chosen.value = null
    },
  )

  const tell = (batch: string, event: NewRunEvent) =>
    keepers.get(batch)!.keep({
      ...event,
      id: newId(),
      at: new Date(clock.value).toISOString(),
    } as RunEvent)
  /** Takes up a piece of work; fats are on the plate with it. */
  function begin(of: DayTask) {
    const name = day.value!.people[who.value]!.name
    const [batch] = of.batches
    if (!batch || stateOf(of.id).begunAt !== null) return
    tell(batch, { kind: 'took', task: of.id, by: name })
    if (of.kind === 'fats-on') tell(batch, { kind: 'treated', vessel: 'oils', how: 'heat' })
    chosen.value = of.kind === 'fats-on' ? null : { task: of.id }
    void better()
  }

  /** Batches that make one lye with this one. */
  const sharing = (batch: string): string[] =>
    together.value.lye.find((ids) => ids.includes(batch)) ?? [batch]
  const ofJug = /^(weigh:(water|naoh)|dissolve)$/
  /** Steps of a lye that several share are done once for all of them. */
  const sharesStep = (batch: string, id: string) => sharing(batch).length > 1 && ofJug.test(id)
  /** g of a batch's own part of what a step weighs. */
  const partOf = (batch: string, step: string): number =>
    made.value.find(({ id }) => id === batch)?.plan.steps.find(({ id }) => id === step)?.weigh
      ?.grams ?? 0
  /** What is weighed for several, as a multiple of this batch's own part. */
  function times(batch: string, { id }: Step): number {
    const own = partOf(batch, id)
    return sharesStep(batch, id) && own > 0
      ? sumOf(sharing(batch), (of) => partOf(of, id)) / own
      : 1
  }
  /** Tells of other batches what is theirs too: the safety check, and all that happens to a lye they share. */
  function beside(batch: string, event: RunEvent) {
    const also = (of: string, more: RunEvent = event) => {
      const at = idBeside(event.id, of)
      if (!keepers.get(of)!.events.value.some(({ id }) => id === at))
        keepers.get(of)!.keep({ ...more, id: at })
    }
    const rest = made.value.map(({ id }) => id).filter((id) => id !== batch)
    const jug = sharing(batch).filter((id) => id !== batch)
    switch (event.kind) {
      case 'confirmed':
        for (const id of rest) also(id)
        break
      case 'scooped':
        if (sharesStep(batch, event.step)) {
          const own = Math.max(1e-9, partOf(batch, event.step))
          for (const id of jug)
            also(id, {
              ...event,
              grams: roundTo((event.grams * partOf(id, event.step)) / own, 4),
            })
        }
        break
      case 'done':
        if (event.step === 'gate') {
          // Whose points were all among these has nothing left to confirm.
          for (const id of rest) {
            const own = made.value.find((one) => one.id === id)!
            if (safetyCheckPassed(own.ctx, states.value.get(batch)!)) also(id)
          }
        } else if (sharesStep(batch, event.step)) for (const id of jug) also(id)
        break
      case 'read':
      case 'treated':
        if (event.vessel === 'lye' && !states.value.get(batch)!.combined.length)
          for (const id of jug) if (!states.value.get(id)!.combined.length) also(id)
        break
      case 'undone': {
        for (const id of rest) {
          const other = idBeside(event.event, id)
          if (keepers.get(id)!.events.value.some((one) => one.id === other))
            also(id, { ...event, event: other })
        }
        break
      }
      default:
    }
    if (event.kind === 'done' || event.kind === 'undone') void better()
  }

  /** Whether a batter is in these hands that cannot be left: its lye is in, and it is not poured. */
  const held = computed((): DayBatch | null => {
    const of = task.value
    if (of?.kind !== 'batter' || !begun.value) return null
    const state = states.value.get(of.batches[0]!)
    return state?.combined.length && !state.poured.length ? ownOf(of)[0]! : null
  })

  const byThemselves = computed((): ByItself[] => {
    const list: ByItself[] = []
    const busy = (id: string, kinds: readonly DayTask['kind'][]) => {
      const of = problem.value.tasks.find(
        (one) =>
          kinds.includes(one.kind) &&
          one.batches.includes(id) &&
          stateOf(one.id).begunAt !== null &&
          stateOf(one.id).endedAt === null,
      )
      return of ? (day.value!.people[personOf(of.id)]?.name ?? null) : null
    }
    const lag = (from: string, kinds: readonly string[]) =>
      problem.value.lags.find((one) => one.from === from && kinds.includes(one.of))
    for (const of of problem.value.tasks) {
      if (of.kind !== 'lye') continue
      const { endedAt } = stateOf(of.id)
      const waiting = ownOf(of).filter(({ id }) => !states.value.get(id)!.combined.length)
      if (endedAt === null || !waiting.length) continue
      const [first] = waiting
      list.push({
        id: of.id,
        kind: 'lye',
        batches: waiting,
        due: endedAt + (lag(of.id, ['lye', 'milk', 'order'])?.least ?? 0),
        says: `lye cools to ${say.value.temperature(first!.ctx.window.lye.high)}`,
        inHands: busy(first!.id, ['batter', 'late-lye']),
      })
    }
    for (const batch of made.value) {
      const state = states.value.get(batch.id)!
      const heated = state.treated.oils.how === 'heat' ? state.treated.oils.minutes : null
      const begins = runs.value.get(batch.id)!.begins
      const { melt } = batch.parts
      const melted = melt.length > 0 && melt.every(({ id }) => isDone(state, id))
      if (state.combined.length || (heated === null && !melted)) continue
      const minutesOfMelt = minutesOf(melt)
      const window = lag(`fats-on:${batch.number}`, ['fats'])
      list.push({
        id: `fats ${batch.id}`,
        kind: melted ? 'fats' : 'melting',
        batches: [batch],
        due: melted
          ? state.steps.get(melt.at(-1)!.id)!.doneAt! +
            begins +
            Math.max(0, (window?.least ?? 0) - minutesOfMelt)
          : heated! + begins + minutesOfMelt,
        says: melted
          ? `fats cool to ${say.value.temperature(batch.ctx.window.oils.high)}`
          : 'fats melt',
        inHands: busy(batch.id, ['batter']),
      })
    }
    for (const batch of made.value) {
      const state = states.value.get(batch.id)!
      const poured = state.poured.at(-1)
      if (poured)
        list.push({
          id: `poured ${batch.id}`,
          kind: 'poured',
          batches: [batch],
          due: null,
          says: `poured ${here.timeAt(poured.minutes + runs.value.get(batch.id)!.begins)}`,
          inHands: null,
        })
    }
    return list.sort((a, b) => (a.due ?? 1e6) - (b.due ?? 1e6))
  })

  /** Where hands are wanted next, by the one at this screen. */
  const needed = computed(() => {
    const clear = byThemselves.value.find(
      ({ kind, due }) => kind === 'melting' && due !== null && due <= now.value,
    )
    if (clear)
      return {
        says: `fats of ${clear.batches[0]!.number} are clear`,
        at: clear.due!,
        to: { melt: clear.batches[0]!.id },
      }
    const next = mine.value.find((one) => one.task.id !== task.value?.id)
    return next
      ? {
          says: workTitle(next.task, ownOf(next.task), say.value),
          at: next.at,
          to: { task: next.task.id },
        }
      : null
  })
  /** Fats that are clear come off the plate, unless hands are in a batter that cannot be left. */
  function offThePlate({ batches: [batch] }: ByItself) {
    if (held.value) return goWhereNeeded()
    if (batch) chosen.value = { melt: batch.id }
  }
  function goWhereNeeded() {
    if (held.value)
      return void toasts.show(
        `${held.value.number} cannot be left: its lye is in. It is poured first.`,
        { bad: true },
      )
    if (!needed.value) return void toasts.show('Nobody needs you now.')
    if ('task' in needed.value.to && needed.value.at > now.value + 0.5 && begun.value)
      return void toasts.show(
        `Nobody yet: ${needed.value.says} at ${here.timeAt(needed.value.at)}.`,
      )
    chosen.value = needed.value.to
  }

  /* When something comes otherwise than it was planned, the rest is planned anew, once it gets better by that. */
  const planner = useDayPlanner()
  let planning = false
  async function better() {
    if (planning || !running.value || !here.sent.value) return
    const worse =
      running.value.over > 0 ||
      running.value.tooLong.length > 0 ||
      running.value.end > plan.value.end + worthMoving
    if (!worse) return
    planning = true
    try {
      const before = running.value
      const kept = { ...plan.value, placed: planned.value, together: together.value }
      const found = await planner.replan(here.sent.value, kept, standing.value, now.value)
      if (!found) return
      const better =
        found.over < before.over ||
        found.tooLong.length < before.tooLong.length ||
        found.end < before.end - worthMoving
      if (!better) return
      const all = movedBetween(problem.value, before.placed, found.placed)
      await change({
        plan: { ...plan.value, placed: found.placed, end: found.end, together: together.value },
        moved: [
          ...day.value!.moved,
          {
            at: now.value,
            says: `The rest is planned anew: home at ${here.timeAt(found.end + closing)}${all.length ? `; ${movedWords(all)}` : ''}.`,
          },
        ].slice(-200),
      })
      toasts.show(`The rest is planned anew: home at ${here.timeAt(found.end + closing)}.`)
    } catch {
      // Without a planner the order stays as it is, and goes on.
    } finally {
      planning = false
    }
  }
  const movedWords = (all: Moved[]) =>
    say.value.list(
      all.map((one) => `${movedText(one)} ${one.by > 0 ? 'later' : 'earlier'}`),
      'and',
    )

  /** Leaves a batch out of the day: the rest closes up. What is in its vessels stays its own. */
  async function drop(batch: DayBatch, because: string) {
    const dropped = [...day.value!.dropped, { id: batch.id, at: now.value, because }]
    chosen.value = null
    await change({
      dropped,
      moved: [
        ...day.value!.moved,
        { at: now.value, says: `${batch.number} ${batch.name} is left out: ${because}` },
      ].slice(-200),
    })
    await better()
  }

  const over = computed(
    () => made.value.length > 0 && made.value.every(({ id }) => states.value.get(id)?.finished),
  )
  async function end() {
    await change({
      endedAt: new Date(clock.value).toISOString(),
      plan: { ...plan.value, placed: placed.value, end: running.value?.end ?? plan.value.end },
      came: cameOf(problem.value, placed.value, standing.value),
    })
  }
  const lyeAbout = computed(() =>
    made.value.some((batch) => lyeIsAbout(batch.plan, states.value.get(batch.id)!)),
  )
  /** The next batter of anybody that races, and the next of one's own. */
  const nextPour = computed(() => {
    const pours = placed.value.flatMap((one) => {
      const of = taskOf(one.task)
      return of?.kind === 'batter' && stateOf(of.id).begunAt === null
        ? [{ ...one, batch: ownOf(of)[0]!, pace: paceOf(ownOf(of)[0]!.plan) }]
        : []
    })
    return pours.sort((a, b) => a.at - b.at)[0] ?? null
  })
  return {
    here,
    clock,
    minutes,
    now,
    problem,
    placed,
    home,
    moved,
    mine,
    others,
    task,
    melting,
    begun,
    step,
    states,
    begin,
    tell,
    times,
    beside,
    sharing,
    held,
    byThemselves,
    needed,
    goWhereNeeded,
    offThePlate,
    chosen,
    ownOf,
    stateOf,
    personOf,
    drop,
    over,
    end,
    lyeAbout,
    nextPour,
    running,
    keepers,
  }
}
export type DayBench = ReturnType<typeof useDayBench>
