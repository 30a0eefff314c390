import type { DayWork } from '#contracts/dayWords'

/*
 * A making day as a problem of order: tasks that need hands, what must lie between them, and the things they hold. Whole minutes
 * from the beginning of the day.
 */

/** Minutes to clear the room and dress, before anything else. */
export const dressing = 3
/** Minutes at the end: worktop, lye locked away, goggles off. */
export const closing = 6

/** A step of a batch's own plan that is done within a task. */
export interface TaskStep {
  batch: string
  step: string
  /** Done within it where it is not done yet; it does not begin the task. */
  late?: true
}

/** Work that one person does in one go. */
export interface DayTask {
  id: string
  kind: DayWork
  /** Ids of the batches it is for. */
  batches: string[]
  /** Steps of the batches' own plans, in the order in which they are done. */
  steps: TaskStep[]
  /** Minutes with hands on it, usually. */
  minutes: number
  /** Minutes before it in which its person has nothing else in hand. */
  quiet: number
}

/** What lies between the end of one task and the start of another: lye that cools, fats that melt, or nothing but the order. */
export interface Lag {
  from: string
  to: string
  /** Minutes at least, and at most: null where it may wait as long as it likes. */
  least: number
  most: number | null
  of: 'order' | 'lye' | 'fats' | 'milk'
}

/** A thing that is taken at the start of one task and free again some minutes after the end of the same or another. */
export interface Hold {
  thing: string
  from: string
  to: string
  more: number
}

export interface DayPerson {
  name: string
  /** Minutes after the day's beginning from which there are hands, and to which; null for as long as it takes. */
  from: number
  until: number | null
  /** How many of the usual minutes each kind of task takes this person; 1 where nobody knows. */
  pace: Partial<Record<DayWork, number>>
}

export interface DayProblem {
  tasks: DayTask[]
  people: DayPerson[]
  lags: Lag[]
  holds: Hold[]
  /** How many there are of each thing. */
  things: Record<string, number>
}

/** A task in its place. Minutes from the beginning of the day. */
export interface Placed {
  task: string
  person: number
  at: number
  to: number
}

/** Who does what, in which order. Numbers of tasks, by person. */
export type Lines = number[][]

/**
 * Whole minutes that a task takes a person.
 * @example minutesFor({ tasks: [], people: [{ name: 'Idris', from: 0, until: null, pace: { rinse: 1.2 } }] }, { kind: 'rinse', minutes: 8 }, 0) // 10
 */
export const minutesFor = (
  { people }: Pick<DayProblem, 'people'>,
  { kind, minutes }: Pick<DayTask, 'kind' | 'minutes'>,
  person: number,
): number => Math.max(1, Math.ceil(minutes * (people[person]?.pace[kind] ?? 1) - 1e-9))
