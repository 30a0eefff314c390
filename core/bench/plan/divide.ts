import { sumOf } from '../../statistics/sum'
import { capital } from '../../units/language'
import { at, weighStep, type PlanContext } from './context'
import type { Pot } from './pots'
import type { Step } from './step'

/** What is weighed once for all pots and divided by weight: how it is called, and the vessel of each pot that it goes into. */
const divided = {
  oils: { says: 'oils', into: 'pot', substance: 'fat' },
  lye: { says: 'lye solution', into: 'lye-share', substance: 'lye' },
  batter: { says: 'batter', into: 'pot', substance: 'fat' },
  extra: { says: 'colour or extra', into: 'extra-cup', substance: 'additive' },
  late: { says: 'late fat or liquid', into: 'late-cup', substance: 'fat' },
  scent: { says: 'scent', into: 'scent-cup', substance: 'scent' },
} as const
export type Divided = keyof typeof divided
/**
 * What is divided, in words.
 * @example dividedSays('lye') // 'lye solution'
 */
export const dividedSays = (what: Divided): string => divided[what].says

/**
 * Pours by weight of what is divided, from what is really there: one step a pot that gets any. A pot whose colour took its oil
 * beforehand gets less of the pan than its share of the batter.
 * @param grams g that a pot is to get as planned; its share of the whole is what they are of all pots'
 * @example divideSteps(bench({ parts: [pot('pale', 0.4), pot('dark', 0.6)] }).ctx, 'batter', (pot) => pot.share * 1500, []).map(({ id }) => id)
 *   // ['weigh:share:batter@0', 'weigh:share:batter@1']
 */
export function divideSteps(
  ctx: PlanContext,
  what: Divided,
  grams: (pot: Pot) => number,
  after: string[],
): Step[] {
  const { says, into, substance } = divided[what]
  const all = sumOf(ctx.pots, grams)
  return ctx.pots.flatMap((one, pot) =>
    grams(one) > 0
      ? [
          weighStep(ctx, {
            id: `weigh:share:${what}`,
            says: `Pour off the ${says} for ${one.name} by weight`,
            short: `${capital(says)}, ${one.name}`,
            how: 'Its share of what is really there. Poured wrong, tip it back and do it again.',
            after,
            vessel: at(into, pot),
            lye: what === 'lye' || undefined,
            weigh: {
              kind: 'share',
              id: what,
              name: `${one.name}: ${says}`,
              substance,
              grams: grams(one),
              pot,
              share: grams(one) / all,
            },
          }),
        ]
      : [],
  )
}
