import { checkSchema, formulaSchema, type FormulaDocument } from '#contracts/formula'
import { faultsOf, type Fault } from '#contracts/faults'
import type { FormulaResult, Portion, Remark } from '#contracts/result'
import { shownTrait, traitsOf } from '#core/character/traits'
import { pureAlkaliIn } from '#core/chemistry/alkali'
import { naohPerKoh } from '#core/chemistry/elements'
import { computeFormula } from '#core/formula/compute'
import { faultsInFormula } from '#core/formula/faults'
import { remarksOn } from '#core/formula/remarks/index'
import { fillings } from '#core/mould/fillings'
import { library } from '#core/materials/library'
import { divideLiquid } from '#core/water/liquids'

type Refused = { errors: Fault[] }

const byId = (portions: Portion[]) => {
  const grams: Record<string, number> = {}
  for (const portion of portions) grams[portion.id] = (grams[portion.id] ?? 0) + portion.grams
  return grams
}
const plain = (remarks: Remark[]) =>
  remarks.map(({ id, severity, says, because }) => ({ id, severity, says, because }))

const waysOf = ({ water }: FormulaResult) => ({
  ratio: water.ratio,
  strength: water.strength,
  shareOfOils: water.shareOfOils,
})

const gramsOf = (result: FormulaResult) => ({
  oils: result.oils,
  naoh: result.lye.naoh,
  koh: result.lye.koh,
  solution: result.lye.solution,
  water: result.water.weighed,
  liquids: byId(result.liquids),
  additives: byId(result.additives),
  scents: byId(result.scents),
  carriers: byId(result.carriers),
  batter: result.batter,
})

/** The answer to a formula document, as docs/formula-format.md lays it down. */
export function computeFormulaText(value: unknown): object | Refused {
  const parsed = formulaSchema.safeParse(value)
  if (!parsed.success) return { errors: faultsOf(parsed.error) }
  const document = parsed.data
  const errors = faultsInFormula(document, library)
  if (errors.length) return { errors }
  const result = computeFormula(document, library)
  return {
    grams: gramsOf(result),
    fats: result.fats.map(({ id, grams }) => ({ id, grams })),
    parts: result.parts.map((part) => ({
      name: part.name,
      share: part.share,
      grams: gramsOf(part.result),
      fats: part.result.fats.map(({ id, grams }) => ({ id, grams })),
      water: waysOf(part.result),
    })),
    ...(document.size.by === 'moulds'
      ? {
          moulds: fillings(document.size, result).map(({ name, millilitres, grams }) => ({
            name,
            millilitres,
            grams,
          })),
        }
      : {}),
    water: waysOf(result),
    superfat: result.superfat,
    fattyAcids: result.fattyAcids,
    traits: Object.fromEntries(
      Object.entries(traitsOf(result, library)).map(([trait, value]) => [trait, shownTrait(value)]),
    ),
    remarks: plain(remarksOn(document, result, library)),
  }
}

/**
 * What superfat and water a document with known lye and water has. `lyeGrams` is everything alkaline as weighed, a
 * ready-mixed solution included; `waterGrams` is all plain water, and liquids keep their share of all liquid.
 */
export function checkFormulaText(value: unknown): object | Refused {
  const parsed = checkSchema.safeParse(value)
  if (!parsed.success) return { errors: faultsOf(parsed.error) }
  const { lyeGrams, waterGrams, ...rest } = parsed.data
  const asked: FormulaDocument = { ...rest, superfat: 0, water: { held: 'ratio', value: 2 } }
  const skipped = new Set(['superfat', 'water.value'])
  const errors = faultsInFormula(asked, library).filter((fault) => !skipped.has(fault.path))
  if (errors.length) return { errors }

  const pureAsNaoh = pureAlkaliIn(lyeGrams, rest.alkali)
  const { kohShare, solutionStrength } = rest.alkali
  const pureNaoh = pureAsNaoh * (1 - kohShare)
  const pure = pureNaoh + (pureAsNaoh * kohShare) / naohPerKoh
  const inSolution = solutionStrength === null ? 0 : pureNaoh / solutionStrength - pureNaoh
  const shares = rest.liquids.map((line) => ({
    share: line.share ?? 0,
    water: library.liquids.get(line.id)!.water,
  }))
  const perGram = divideLiquid(1, shares)
  const content = perGram.water > 0 ? (waterGrams + inSolution) / perGram.water : 0
  const ratio = pure > 0 ? content / pure : 0

  const full = computeFormula(asked, library)
  const inLye = full.fats.reduce((sum, fat) => sum + (fat.inLye ? fat.naohDemand : 0), 0)
  const document: FormulaDocument = {
    ...asked,
    superfat: 1 - (pureAsNaoh - full.lye.acidDemand) / inLye,
    water: { held: 'ratio', value: ratio },
  }
  const result = computeFormula(document, library)
  return {
    superfat: result.superfat.total,
    ratio,
    remarks: plain(remarksOn(document, result, library)),
  }
}
