import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult, Remark, Severity } from '#contracts/result'
import { library as shipped, type Library } from '../../materials/library'
import { speaker, type Speaker } from '../../units/say'
import { castorHeavy } from './castorHeavy'
import { lacticStrength } from './lacticStrength'
import { lauricHeavy } from './lauricHeavy'
import { lyeJugBelowFloor } from './lyeJugBelowFloor'
import { layersTooSlow } from './layersTooSlow'
import { milkGelForced } from './milkGelForced'
import { milkInHotLye } from './milkInHotLye'
import { milkTooWarm } from './milkTooWarm'
import { milkWithSolution } from './milkWithSolution'
import { patternTooFast } from './patternTooFast'
import { patternWithoutColours } from './patternWithoutColours'
import { scentUntested } from './scentUntested'
import { partTooDry } from './partTooDry'
import { rancidSoon } from './rancidSoon'
import type { Rule } from './rule'
import { scentAboveMaximum } from './scentAboveMaximum'
import { sharesNotWhole } from './sharesNotWhole'
import { solutionTooWatery } from './solutionTooWatery'
import { superfatHigh } from './superfatHigh'
import { superfatNegative } from './superfatNegative'
import { waterBelowFloor } from './waterBelowFloor'
import { waterNarrow } from './waterNarrow'
import { waterWide } from './waterWide'
import { waxHeavy } from './waxHeavy'

/** Every judgement Mantle makes of a formula. */
export const rules: Rule[] = [
  superfatNegative,
  waterBelowFloor,
  lyeJugBelowFloor,
  solutionTooWatery,
  partTooDry,
  sharesNotWhole,
  scentAboveMaximum,
  waterNarrow,
  waterWide,
  lauricHeavy,
  superfatHigh,
  castorHeavy,
  rancidSoon,
  milkTooWarm,
  milkInHotLye,
  milkGelForced,
  patternTooFast,
  waxHeavy,
  lacticStrength,
  milkWithSolution,
  patternWithoutColours,
  layersTooSlow,
  scentUntested,
]

const weight: Record<Severity, number> = { stop: 0, think: 1, know: 2 }

/** All remarks on a formula, the gravest first. */
export function remarksOn(
  document: FormulaDocument,
  result: FormulaResult,
  library: Library = shipped,
  say: Speaker = speaker(),
): Remark[] {
  return rules
    .flatMap((rule) => rule({ document, result, library, say }) ?? [])
    .sort((a, b) => weight[a.severity] - weight[b.severity])
}
