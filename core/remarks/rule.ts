import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult, Remark } from '#contracts/result'
import type { Library } from '../materials/library'
import type { LyeRisk } from '../risk/lyeRisk'
import type { RiskLimits } from '../risk/odds'
import type { Formatter } from '../units/formatter'

/** What a rule looks at. */
export interface Subject {
  document: FormulaDocument
  result: FormulaResult
  library: Library
  say: Formatter
  limits: Limits
}

/** What a workshop asks of every formula. */
export interface Limits extends Partial<RiskLimits> {
  /** Share of fatty matter at pour; null where no standard asks for one. */
  leastFattyMatter: number | null
  /** What was drawn for this formula: that chance, and the superfat that would bring it down to what is put up with. */
  drawn?: Pick<LyeRisk, 'lyeHeavy' | 'smallest'> | null
  /** What the label of the open tin of lye says; null where nobody has read it. */
  lyeTin?: { label: 'naoh' | 'koh' | null }
}
export const noLimits: Limits = { leastFattyMatter: null }

/** One judgement: a remark when it applies, several when it applies to several lines, null when it does not. */
export type Rule = (subject: Subject) => Remark | Remark[] | null
