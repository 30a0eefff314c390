import type { FormulaResult } from '#contracts/result'
import type { CureDays } from '#contracts/workshop'
import type { Library } from '../materials/library'
import { sumOf } from '../statistics/sum'

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
    label: 'All olive or laurel',
    days: 365,
    because: 'Soaps of olive alone, or olive and laurel, are at their best after 6 to 12 months.',
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

/**
 * The rule that fits a formula's kind.
 * @example cureRuleFor(made, shipped).id // 'olive'
 */
export function cureRuleFor(result: FormulaResult, library: Library): CureRule {
  const share = (fits: (id: string) => boolean) =>
    sumOf(result.fats, (fat) => (fits(fat.id) ? fat.share : 0))
  const olive = share((id) => id === 'olive' || id === 'olive-pomace' || id === 'laurel-berry')
  if (olive >= 0.9) return cureRule('olive')!
  const lauric = share((id) => (library.fats.get(id)?.profile.value.lauric ?? 0) >= 0.4)
  return cureRule(lauric >= 0.5 ? 'coconut-rich' : 'most')!
}
