import type { FormulaDocument } from '#contracts/formula'
import type { PatchStep, FormulaResult, Remark, Severity } from '#contracts/result'
import { library as shipped, type Library } from '../materials/library'
import { formatter, type Formatter } from '../units/formatter'
import { additiveHigh } from './additiveHigh'
import { aluminiumNear } from './aluminiumNear'
import { babyScented } from './babyScented'
import { castorHeavy } from './castorHeavy'
import { citricHigh } from './citricHigh'
import { citrusFades } from './citrusFades'
import { cureLong } from './cureLong'
import { dispersingOil } from './dispersingOil'
import { drizzleThick } from './drizzleThick'
import { falseTrace } from './falseTrace'
import { fattyMatterLow } from './fattyMatterLow'
import { freeFatSpoils } from './freeFatSpoils'
import { healingClaim } from './healingClaim'
import { lactateHot } from './lactateHot'
import { lacticStrength } from './lacticStrength'
import { lauricHeavy } from './lauricHeavy'
import { lauricHot } from './lauricHot'
import { layersTooSlow } from './layersTooSlow'
import { lyeJugBelowFloor } from './lyeJugBelowFloor'
import { lyeLeftOver } from './lyeLeftOver'
import { lyeStatedWeak } from './lyeStatedWeak'
import { milkGelForced } from './milkGelForced'
import { milkInHotLye } from './milkInHotLye'
import { milkTooWarm } from './milkTooWarm'
import { milkWithSolution } from './milkWithSolution'
import { mixedHot } from './mixedHot'
import { oliveCutSoon } from './oliveCutSoon'
import { oliveWet } from './oliveWet'
import { otherJar } from './otherJar'
import { overheating } from './overheating'
import { partTooDry } from './partTooDry'
import { patternTooFast } from './patternTooFast'
import { patternWithoutColours } from './patternWithoutColours'
import { protectedName } from './protectedName'
import { rancidSoon } from './rancidSoon'
import { saltWantsCoconut } from './saltWantsCoconut'
import { colourBled } from './colourBled'
import { scentBrowned } from './scentBrowned'
import { scentCalm } from './scentCalm'
import { scentFaded } from './scentFaded'
import { scentRaced } from './scentRaced'
import { scentAboveMaximum } from './scentAboveMaximum'
import { scentHeavy } from './scentHeavy'
import { scentUntested } from './scentUntested'
import { scentWantsWater } from './scentWantsWater'
import { softAtCut } from './softAtCut'
import { solutionCold } from './solutionCold'
import { solutionTooWatery } from './solutionTooWatery'
import { superfatDullsCleaning } from './superfatDullsCleaning'
import { superfatHigh } from './superfatHigh'
import { superfatNegative } from './superfatNegative'
import { superfatThinForSkin } from './superfatThinForSkin'
import { thinPotPlain } from './thinPotPlain'
import { vesselsApart } from './vesselsApart'
import { waterBelowFloor } from './waterBelowFloor'
import { waterNarrow } from './waterNarrow'
import { waterWide } from './waterWide'
import { waxHeavy } from './waxHeavy'
import { stillOpen } from '../formula/draft'
import { documentOfPart } from '../formula/parts'
import { saltInLye } from './saltInLye'
import { potashSoft } from './potashSoft'
import { gritOnSkin, skinReacts } from './skinHazards'
import { scentWithoutMaximum } from './scentWithoutMaximum'
import { setsEarly } from './setsEarly'
import { timeShort } from './timeShort'
import { noLimits, type Limits, type Rule, type Subject } from './rule'

/** Every judgement Mantle makes of a formula. */
export const rules: Rule[] = [
  superfatNegative,
  waterBelowFloor,
  lyeJugBelowFloor,
  solutionTooWatery,
  partTooDry,
  scentAboveMaximum,
  aluminiumNear,
  lyeLeftOver,
  superfatThinForSkin,
  superfatDullsCleaning,
  superfatHigh,
  lyeStatedWeak,
  otherJar,
  lauricHeavy,
  lauricHot,
  milkInHotLye,
  milkTooWarm,
  milkGelForced,
  mixedHot,
  falseTrace,
  setsEarly,
  overheating,
  patternTooFast,
  timeShort,
  scentRaced,
  scentWantsWater,
  waterNarrow,
  waterWide,
  oliveWet,
  solutionCold,
  citricHigh,
  additiveHigh,
  scentHeavy,
  babyScented,
  gritOnSkin,
  potashSoft,
  saltInLye,
  castorHeavy,
  rancidSoon,
  freeFatSpoils,
  waxHeavy,
  saltWantsCoconut,
  drizzleThick,
  fattyMatterLow,
  protectedName,
  healingClaim,
  lacticStrength,
  lactateHot,
  milkWithSolution,
  oliveCutSoon,
  cureLong,
  softAtCut,
  dispersingOil,
  vesselsApart,
  thinPotPlain,
  patternWithoutColours,
  layersTooSlow,
  scentUntested,
  scentCalm,
  citrusFades,
  scentFaded,
  scentBrowned,
  colourBled,
  skinReacts,
  scentWithoutMaximum,
]

/** Judgements that a pot's own water, scent or extras decide. */
const potRules: Rule[] = [
  waterNarrow,
  waterWide,
  patternTooFast,
  scentRaced,
  scentWantsWater,
  layersTooSlow,
  overheating,
  lauricHot,
  mixedHot,
  scentHeavy,
  additiveHigh,
  citricHigh,
]

/** What is true of one pot and not of the whole: with its own water, scent or extras it behaves otherwise. */
function potRemarks(subject: Subject, ofWhole: ReadonlySet<string>): Remark[] {
  const { document, result } = subject
  return document.parts.flatMap((part, index) => {
    const own = result.parts[index]
    // A pot without a share of the oils is nothing yet.
    if (!own || own.result.oils <= 0) return []
    const pot = { ...subject, document: documentOfPart(document, part), result: own.result }
    return potRules
      .flatMap((rule) => rule(pot) ?? [])
      .filter(({ id }) => !ofWhole.has(id))
      .map(({ fix, ...remark }): Remark => {
        // Only its own water can be changed for it alone.
        const mends = fix && part.water && fix.patch.every(({ path }) => path[0] === 'water')
        return {
          ...remark,
          id: `${remark.id}-${index}`,
          pot: part.name,
          ...(mends
            ? {
                fix: {
                  ...fix,
                  patch: fix.patch.map((step) => ({
                    ...step,
                    path: ['parts', index, ...step.path],
                  })),
                },
              }
            : {}),
        }
      })
  })
}

const at = (document: FormulaDocument, path: PatchStep['path']): unknown =>
  path.reduce<unknown>((inside, key) => (inside as Record<string, unknown> | null)?.[key], document)

/** Whether two remedies pull at one place: numbers to opposite sides of what is there, anything else to different ends. */
const contradict = (document: FormulaDocument, one: PatchStep[], other: PatchStep[]): boolean =>
  one.some((step) =>
    other.some(({ path, value }) => {
      if (JSON.stringify(path) !== JSON.stringify(step.path)) return false
      const now = at(document, path)
      if (typeof now === 'number' && typeof value === 'number' && typeof step.value === 'number')
        return (value - now) * (step.value - now) < 0
      return JSON.stringify(value) !== JSON.stringify(step.value)
    }),
  )

/** Two remedies that contradict become one: the graver remark's, or the first's. */
function oneRemedy(document: FormulaDocument, remarks: Remark[]): Remark[] {
  const kept: PatchStep[][] = []
  return remarks.map(({ fix, ...remark }) => {
    if (!fix) return remark
    if (kept.some((patch) => contradict(document, patch, fix.patch)))
      return {
        ...remark,
        because: `${remark.because} What would mend it goes against a remedy above: decide which matters more.`,
      }
    kept.push(fix.patch)
    return { ...remark, fix }
  })
}

const weight: Record<Severity, number> = { stop: 0, think: 1, know: 2 }

/**
 * All remarks on a formula, the gravest first; none while it is a draft, of which nobody can say anything yet.
 * @example
 * remarksOn({ ...example, superfat: -0.02 }, computeFormula({ ...example, superfat: -0.02 }, shipped)).some(({ id }) => id === 'superfat-negative')
 * // true
 */
export function remarksOn(
  document: FormulaDocument,
  result: FormulaResult,
  library: Library = shipped,
  say: Formatter = formatter(),
  limits: Limits = noLimits,
): Remark[] {
  if (stillOpen(document, library, say).length) return []
  const subject = { document, result, library, say, limits }
  const ofWhole = rules.flatMap((rule) => rule(subject) ?? [])
  const ids = new Set(ofWhole.map(({ id }) => id))
  return oneRemedy(
    document,
    [...ofWhole, ...potRemarks(subject, ids)].sort(
      (a, b) => weight[a.severity] - weight[b.severity],
    ),
  )
}
