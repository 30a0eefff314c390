import { sumOf } from '../../statistics/sum'
import type { Plan } from './plan'
import type { Step } from './step'

/** Steps that a plan says once, since the same is done for pot after pot. */
export interface Fold {
  /** Poured off by weight for each pot; colours and the like that stand ready; what is done with one pot, its lye included. */
  kind: 'cups' | 'ready' | 'pot'
  /** Which pot, where it is one. */
  pot: number | null
  /** g of the least and of the most of them, where they are weighed. */
  grams: { low: number; high: number } | null
  minutes: number
}
/** A row of the plan: one step, or several that are folded. */
export interface PlanRow {
  /** Places in the plan, in order; one where nothing is folded. */
  steps: Step[]
  /** Place of the first of them, counted from 0. */
  from: number
  fold: Fold | null
}

/** What a step is folded with: the same word for those that go together, none where it stands for itself. */
function foldedAs({ kind, weigh, pot }: Step): { word: string; kind: Fold['kind'] } | null {
  if (pot === undefined) return null
  if (weigh?.kind === 'share') return { word: `share ${weigh.id}`, kind: 'cups' }
  if (weigh && ['additive', 'carrier', 'scent'].includes(weigh.kind))
    return { word: 'ready', kind: 'ready' }
  return kind === 'do' ? null : { word: `pot ${pot}`, kind: 'pot' }
}

/** From this many on they are folded. */
const least = 2

/**
 * The rows of a plan: neighbours that do the same for pot after pot are one row. Every step is in exactly one of them, in order.
 * @param steps of a plan, in its order
 * @example rowsOf(bench({ parts: [pot('pale', 0.4), pot('dark', 0.6)] }).plan.steps).filter(({ fold }) => fold).length // 1
 */
export function rowsOf(steps: readonly Step[]): PlanRow[] {
  const rows: PlanRow[] = []
  let before: string | null = null
  for (const [at, step] of steps.entries()) {
    const folded = foldedAs(step)
    const last = rows.at(-1)
    if (folded && last?.fold && folded.word === before) last.steps.push(step)
    else
      rows.push({
        steps: [step],
        from: at,
        fold: folded
          ? {
              kind: folded.kind,
              pot: folded.kind === 'pot' ? step.pot! : null,
              grams: null,
              minutes: 0,
            }
          : null,
      })
    before = folded?.word ?? null
  }
  return rows.flatMap((row): PlanRow[] => {
    if (!row.fold || row.steps.length < least)
      return row.steps.map((step, place) => ({ steps: [step], from: row.from + place, fold: null }))
    const grams = row.steps.flatMap(({ weigh }) => (weigh ? [weigh.grams] : []))
    return [
      {
        ...row,
        fold: {
          ...row.fold,
          grams:
            grams.length === row.steps.length
              ? { low: Math.min(...grams), high: Math.max(...grams) }
              : null,
          minutes: sumOf(row.steps, ({ minutes }) => minutes),
        },
      },
    ]
  })
}

/**
 * Where pots are made one after another, the place of the first step of the first of them; null where they are made together.
 * @example potsBegin(bench({ parts: [pot('pale', 0.4), pot('dark', 0.6)] }).plan) // null
 */
export function potsBegin({ pots, steps }: Pick<Plan, 'pots' | 'steps'>): number | null {
  if (pots.every(({ takes }) => takes === null)) return null
  return rowsOf(steps).find(({ fold }) => fold?.kind === 'pot')?.from ?? null
}
