import type { FormulaResult } from '#contracts/result'
import type { CureDays } from '#contracts/workshop'
import { potashOf } from '../character/traits'
import { shareOfAcids, shortAcids } from '../chemistry/fattyAcids'

/** How long makers let a kind of soap cure, in days. Makers differ; these are the middle of what they do. */
export const cureRules = [
  {
    id: 'coconut-rich',
    label: 'Coconut-rich',
    days: 28,
    because: 'Soaps rich in coconut harden fast; makers give them 3 to 4 weeks.',
  },
  {
    id: 'most',
    label: 'Most bars',
    days: 42,
    because: 'Most makers give a mixed bar 4 to 6 weeks.',
  },
  {
    id: 'patient',
    label: 'Patient',
    days: 90,
    because: 'Some give every bar 3 months: it lasts longer in use.',
  },
  {
    id: 'olive',
    label: 'All olive, laurel, soft oils',
    days: 365,
    because:
      'Soaps of olive alone, olive and laurel, or other oils that never set hard are at their best after 6 to 12 months.',
  },
] as const
export type CureRule = (typeof cureRules)[number]

/**
 * A rule of cure by its id; undefined for one of the workshop's own.
 * @example cureRule('patient').days // 90
 */
export const cureRule = (id: string): CureRule | undefined =>
  cureRules.find((rule) => rule.id === id)

/**
 * The rules of a workshop: the usual ones with its own days, and its own kinds after them.
 * @example cureRulesOf([{ rule: 'goat', days: 35 }]).length // 5
 */
export function cureRulesOf(own: readonly CureDays[]): (CureDays & { because?: string })[] {
  const byId = new Map(own.map((rule) => [rule.id, rule]))
  const usual = cureRules.map((rule) => {
    const own = byId.get(rule.id)
    return own && own.days !== rule.days ? { ...own, because: 'As this workshop does it.' } : rule
  })
  return [...usual, ...own.filter(({ id }) => !cureRule(id))]
}

/** Share of acids that never set hard from which a bar is cured as one of olive is. Olive is 0.83, olive with laurel 0.76. */
const soft = 0.74
const softAcids = ['palmitoleic', 'oleic', 'gondoic', 'erucic', 'linoleic', 'linolenic'] as const
/** Share of potash from which a bar dries for months. */
const potash = 0.05

/**
 * The rule that fits a formula's kind: by its fatty acids, whatever the fats are called, and by its potash.
 * @example cureRuleFor(made).id // 'olive'
 */
export function cureRuleFor(result: FormulaResult): CureRule {
  const { fattyAcids } = result
  if (shareOfAcids(fattyAcids, softAcids) >= soft) return cureRule('olive')!
  if (potashOf(result) >= potash - 1e-9) return cureRule('patient')!
  // Half of the fats coconut is two fifths of short acids.
  return cureRule(shareOfAcids(fattyAcids, shortAcids) >= 0.39 ? 'coconut-rich' : 'most')!
}
