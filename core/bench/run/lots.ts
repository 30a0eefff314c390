import type { Frozen } from '#contracts/result'
import type { Run, RunEvent } from '#contracts/run'
import { computeFormula } from '../../formula/compute'
import { frozenLibrary } from '../../formula/frozen'
import { sumOf } from '../../statistics/sum'
import type { Formatter } from '../../units/formatter'
import { standingEvents } from '../../units/standingEvents'
import { contextOf, planFor, type Plan } from '../plan/plan'
import type { PlanContext } from '../plan/context'
import type { Weighing } from '../plan/step'

/*
 * Lots at the bench. Which of them stands at the scale is told; from then on what is weighed comes out of it, and what its paper
 * says of it counts: a fat takes the lye that its own lot takes.
 */

/**
 * What a weighing takes out of the stores, by the id of the thing; null for what is poured off by weight.
 * @example thingOf({ kind: 'ice', id: 'ice' }) // 'water'
 */
export function thingOf({ kind, id }: Pick<Weighing, 'kind' | 'id'>): string | null {
  if (kind === 'share') return null
  if (kind === 'ice' || kind === 'water') return 'water'
  if (kind === 'naoh' || kind === 'koh') return kind
  return kind === 'solution' ? 'lye-solution' : id
}

/** A lot at the scale, as it was told. */
export type Stood = Extract<RunEvent, { kind: 'stood' }>

/**
 * The lot of each thing that stands at the scale now.
 * @example lotsStanding([]).size // 0
 */
export const lotsStanding = (events: readonly RunEvent[]): Map<string, Stood> =>
  new Map(
    standingEvents(events).flatMap((event) =>
      event.kind === 'stood' ? [[event.thing, event]] : [],
    ),
  )

/** g that one step took out of one lot; out of none that is known where `lot` is null. */
export interface Draw {
  step: string
  thing: string
  lot: Stood | null
  grams: number
}

/**
 * What was weighed, by the step and the lot that stood there. Everything that was scooped counts, also what was thrown away later:
 * it is gone from its lot all the same.
 * @example drawsOf(bench().plan, []) // []
 */
export function drawsOf({ steps }: Pick<Plan, 'steps'>, events: readonly RunEvent[]): Draw[] {
  const known = new Map(
    steps.flatMap(({ id, weigh }) => {
      const thing = weigh && thingOf(weigh)
      return thing ? [[id, thing]] : []
    }),
  )
  const standing = new Map<string, Stood>()
  const draws = new Map<string, Draw>()
  for (const event of standingEvents(events)) {
    if (event.kind === 'stood') standing.set(event.thing, event)
    if (event.kind !== 'scooped') continue
    const thing = known.get(event.step)
    if (!thing) continue
    const lot = standing.get(thing) ?? null
    const key = `${event.step} ${lot?.lotId ?? ''}`
    const draw = draws.get(key) ?? { step: event.step, thing, lot, grams: 0 }
    draws.set(key, { ...draw, grams: draw.grams + event.grams })
  }
  return [...draws.values()]
}

/** What counts of a thing in this batch: its saponification value, mg KOH per g, or its purity as a fraction. */
export interface OwnValues {
  sap: number | null
  purity: number | null
}

/**
 * The values of the lots that were weighed and that stand there for the rest, by thing; only of things whose lots say something.
 * Where several lots of a thing went in, each counts by its grams.
 * @param usual what a thing has where a lot of it says nothing
 * @example valuesOfLots(bench().plan, [], () => null).size // 0
 */
export function valuesOfLots(
  { steps }: Pick<Plan, 'steps'>,
  events: readonly RunEvent[],
  usual: (thing: string, value: 'sap' | 'purity') => number | null,
): Map<string, OwnValues> {
  const standing = lotsStanding(events)
  const draws = drawsOf({ steps }, events)
  return new Map(
    [...standing].flatMap(([thing, now]): [string, OwnValues][] => {
      const drawn = draws.filter((draw) => draw.thing === thing && draw.grams > 0)
      const wanted = sumOf(steps, ({ weigh }) =>
        weigh && thingOf(weigh) === thing ? weigh.grams : 0,
      )
      const rest = Math.max(0, wanted - sumOf(drawn, ({ grams }) => grams))
      const all = [...drawn, { lot: now, grams: rest > wanted * 0.01 || !drawn.length ? rest : 0 }]
      const weight = sumOf(all, ({ grams }) => grams)
      const of = (value: 'sap' | 'purity') => {
        if (all.every(({ lot, grams }) => grams === 0 || lot?.[value] == null)) return null
        const fallback = usual(thing, value)
        if (fallback === null) return now[value]
        return sumOf(all, ({ lot, grams }) => (lot?.[value] ?? fallback) * grams) / weight
      }
      const values = { sap: of('sap'), purity: of('purity') }
      return values.sap === null && values.purity === null ? [] : [[thing, values]]
    }),
  )
}

/**
 * A batch's formula with the values of the lots it is made from, computed anew; itself where no lot says anything of its own.
 * @example frozenAs(frozen, new Map([['olive', { sap: 192, purity: null }]])).result.fats[0].sap // 192
 */
export function frozenAs(frozen: Frozen, values: ReadonlyMap<string, OwnValues>): Frozen {
  if (!values.size) return frozen
  const { alkali } = frozen.document
  const document = {
    ...frozen.document,
    fats: frozen.document.fats.map((fat) => {
      const sap = values.get(fat.id)?.sap
      return sap ? { ...fat, sap } : fat
    }),
    alkali: {
      ...alkali,
      naohPurity: values.get('naoh')?.purity ?? alkali.naohPurity,
      kohPurity: values.get('koh')?.purity ?? alkali.kohPurity,
      solutionStrength:
        alkali.solutionStrength === null
          ? null
          : (values.get('lye-solution')?.purity ?? alkali.solutionStrength),
    },
  }
  return { ...frozen, document, result: computeFormula(document, frozenLibrary(frozen)) }
}

/**
 * What a batch's formula has of a thing where no lot says otherwise.
 * @example usualValues(frozen)('olive', 'sap') // 190
 */
export const usualValues =
  ({ result, document }: Pick<Frozen, 'result' | 'document'>) =>
  (thing: string, value: 'sap' | 'purity'): number | null => {
    if (value === 'sap') return result.fats.find(({ id }) => id === thing)?.sap ?? null
    const { naohPurity, kohPurity, solutionStrength } = document.alkali
    return { naoh: naohPurity, koh: kohPurity, 'lye-solution': solutionStrength }[thing] ?? null
  }

/**
 * The plan of a run by the lots that stand at its scale.
 * @example planAsMade(frozen, { setup: bench().ctx.setup, scale: 1 }, [], say).plan.agrees // true
 */
export function planAsMade(
  frozen: Frozen,
  { setup, scale }: Pick<Run, 'setup' | 'scale'>,
  events: readonly RunEvent[],
  say: Formatter,
): { frozen: Frozen; ctx: PlanContext; plan: Plan } {
  const planOf = (own: Frozen) => {
    const ctx = contextOf(own, setup, scale, say)
    return { frozen: own, ctx, plan: planFor(ctx) }
  }
  const usual = planOf(frozen)
  const values = valuesOfLots(usual.plan, events, usualValues(frozen))
  return values.size ? planOf(frozenAs(frozen, values)) : usual
}
