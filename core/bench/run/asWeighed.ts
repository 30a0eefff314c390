import type { Made } from '#contracts/batch'
import { superfatAsWeighed, type Weighed } from '../../chemistry/superfat'
import { waysFrom } from '../../water/ways'
import type { PlanContext } from '../plan/context'
import { lyeByPot } from '../plan/pots'
import type { Plan } from '../plan/plan'
import type { Step } from '../plan/step'
import { sumOf } from '../../statistics/sum'

export type AsWeighed = Made

export interface PotAsWeighed extends AsWeighed {
  name: string
}

/** g of each weighing step; warm water added to save a batter counts as water. */
export type Weights = (step: Step) => number

interface Sums extends Weighed {
  water: number
  scent: number
  grams: number
}

const lyeVessels = /^(lye-jug|lye-cup|koh-cup|milk-jug)(@|$)/
/**
 * Whether a vessel is one of those that the lye is made in.
 * @example goesIntoLye('lye-jug@2') // true
 */
export const goesIntoLye = (vessel: string | undefined): boolean => lyeVessels.test(vessel ?? '')
type Joins = 'lye' | 'oils' | 'late' | 'scent' | 'extra' | 'later'
const common: Record<string, Joins> = { pan: 'oils', 'trace-cup': 'late', 'scent-cup': 'scent' }
/**
 * Whether a weighing goes into the lye, into the pan of oils, into the one cup of what is late, of scent or of an extra for all
 * pots, or joins later by itself.
 * @example joins(bench().step('weigh:naoh')) // 'lye'
 */
export const joins = ({ vessel }: Step): Joins =>
  goesIntoLye(vessel)
    ? 'lye'
    : (common[vessel ?? ''] ?? (/^cup:[^@]+$/.test(vessel ?? '') ? 'extra' : 'later'))

/** Adds up what some steps brought, each at a share of it. */
function sumsOf(ctx: PlanContext, steps: { step: Step; grams: number }[]): Sums {
  const { document, library, onScale } = ctx
  const { naohPurity, kohPurity, solutionStrength } = document.alkali
  const sums: Sums = {
    fats: [],
    acids: [],
    sour: [],
    naoh: { grams: 0, purity: 1 },
    koh: { grams: 0, purity: 1 },
    water: 0,
    scent: 0,
    grams: 0,
  }
  const sapOf = (id: string) =>
    onScale.result.fats.find((fat) => fat.id === id)?.sap ?? library.fats.get(id)?.sap.typical ?? 0
  for (const { step, grams } of steps) {
    const { kind, id } = step.weigh!
    if (kind === 'share') continue
    sums.grams += grams
    if (kind === 'water' || kind === 'ice') sums.water += grams
    else if (kind === 'naoh') sums.naoh.grams += grams * naohPurity
    else if (kind === 'koh') sums.koh!.grams += grams * kohPurity
    else if (kind === 'solution') {
      sums.naoh.grams += grams * solutionStrength!
      sums.water += grams * (1 - solutionStrength!)
    } else if (kind === 'fat' || kind === 'carrier') sums.fats.push({ grams, sap: sapOf(id) })
    else if (kind === 'scent') sums.scent += grams
    else if (kind === 'additive') {
      const additive = library.additives.get(id)
      if (additive?.acid) sums.acids!.push({ acid: additive.acid, grams })
      if (additive?.fat) sums.fats.push({ grams: grams * additive.fat, sap: additive.fatSap ?? 0 })
    } else if (kind === 'liquid') {
      const liquid = library.liquids.get(id)
      sums.water += grams * (liquid?.water ?? 1)
      if (liquid?.naohTaken) sums.sour!.push({ grams, naohPerGram: liquid.naohTaken })
      if (liquid?.fat) sums.fats.push({ grams: grams * liquid.fat, sap: liquid.fatSap })
    }
  }
  return sums
}

/** Oils as the base of rates: the formula's own fats, dispersing oil taken from them included. */
const formulaOils = (steps: { step: Step; grams: number }[]): number =>
  sumOf(steps, ({ step: { weigh }, grams }) =>
    weigh!.kind === 'fat' || (weigh!.kind === 'carrier' && !weigh!.onTop) ? grams : 0,
  )

function figures(
  ctx: PlanContext,
  steps: { step: Step; grams: number }[],
  added: number,
): AsWeighed {
  const sums = sumsOf(ctx, steps)
  const pure = sums.naoh.grams + (sums.koh?.grams ?? 0)
  const water = sums.water + added
  const oils = formulaOils(steps)
  const ratio = pure > 0 ? water / pure : 0
  return {
    superfat: superfatAsWeighed(sums),
    ratio,
    strength: pure > 0 ? waysFrom(ratio, pure, oils).strength : 0,
    oils,
    pure,
    water,
    scent: oils > 0 ? sums.scent / oils : 0,
    batter: sums.grams + added,
  }
}

const weighing = (plan: Plan) => plan.steps.filter(({ weigh }) => weigh)

/**
 * The whole batch as weighed: superfat by the separate calculation that counts groups and hydroxide from grams.
 * @param added g of warm water stirred in later
 * @example asWeighed(bench().ctx, bench().plan, ({ weigh }) => weigh.grams).superfat // 0.0549927
 */
export function asWeighed(ctx: PlanContext, plan: Plan, weights: Weights, added = 0): AsWeighed {
  return figures(
    ctx,
    weighing(plan).map((step) => ({ step, grams: weights(step) })),
    added,
  )
}

/**
 * g that is really there of what is to be divided: everything that went into the jug, the pan, or both.
 * @example reallyThere(bench().plan, 'oils', ({ weigh }) => weigh.grams) // 1000
 */
export function reallyThere(plan: Plan, what: string, weights: Weights): number {
  return sumOf(
    weighing(plan)
      .filter(({ weigh }) => weigh!.kind !== 'share')
      .filter((step) => {
        const where = joins(step)
        return what === 'batter' ? where === 'lye' || where === 'oils' : where === what
      }),
    (step) => weights(step),
  )
}

/**
 * Each pot as weighed: its own lye or its part of the common one, its part of the oils, what is weighed for it alone.
 * @example potsAsWeighed(bench().ctx, bench().plan, ({ weigh }) => weigh.grams)[0].superfat // 0.0549927
 */
export function potsAsWeighed(
  ctx: PlanContext,
  plan: Plan,
  weights: Weights,
  added: Record<number, number> = {},
): PotAsWeighed[] {
  const steps = weighing(plan)
  const shareOf = (what: string, pot: number) => {
    const all = steps.filter(({ weigh }) => weigh!.kind === 'share' && weigh!.id === what)
    const sum = sumOf(all, (step) => weights(step))
    const own = all.find(({ weigh }) => weigh!.pot === pot)
    if (!all.length) return ctx.pots[pot]?.share ?? 1
    return sum > 0 ? (own ? weights(own) / sum : 0) : (own?.weigh!.share ?? 0)
  }
  const isDivided = (what: string) =>
    steps.some(({ weigh }) => weigh!.kind === 'share' && weigh!.id === what)
  return ctx.pots.map(({ name }, pot) => {
    const oils = plan.dividing === 'batter' ? shareOf('batter', pot) : shareOf('oils', pot)
    const lye = plan.dividing === 'batter' ? oils : shareOf('lye', pot)
    const own = steps.flatMap((step) => {
      const { weigh } = step
      if (weigh!.pot !== null) return weigh!.pot === pot ? [{ step, grams: weights(step) }] : []
      const where = joins(step)
      const part =
        where === 'scent' || ((where === 'extra' || where === 'late') && isDivided(where))
          ? shareOf(where, pot)
          : where === 'lye' && !lyeByPot(ctx.document)
            ? lye
            : oils
      return [{ step, grams: weights(step) * part }]
    })
    return { name, ...figures(ctx, own, added[pot] ?? 0) }
  })
}
