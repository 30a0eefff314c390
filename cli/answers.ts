import { checkSchema, formulaSchema, type FormulaDocument } from '#contracts/formula'
import { faultsOf, type Fault } from '#contracts/faults'
import type { FormulaResult, Portion, Remark } from '#contracts/result'
import { shownTrait, traitsOf } from '#core/character/traits'
import { checkFormula } from '#core/formula/check'
import { computeFormula } from '#core/formula/compute'
import { faultsInFormula } from '#core/formula/faults'
import { onScale } from '#core/formula/onScale'
import { remarksOn } from '#core/remarks/index'
import { fillings } from '#core/mould/fillings'
import { library } from '#core/materials/library'
import { judgeRecipe } from '#core/recipe/judge'
import { readRecipe } from '#core/recipe/read'
import { formatter } from '#core/units/formatter'

type Refused = { errors: Fault[] }

const byId = (portions: Portion[]) => {
  const grams: Record<string, number> = {}
  for (const portion of portions) grams[portion.id] = (grams[portion.id] ?? 0) + portion.grams
  return grams
}
/** Remarks as the format has them: which of them a maker may decide against with a reason. */
const plain = (remarks: Remark[]) =>
  remarks.map(({ id, severity, says, because, overridable }) => ({
    id,
    severity,
    says,
    because,
    overridable: severity !== 'stop' || overridable === true,
  }))

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

/** Resolution of a scale that nobody named, g. */
export const usualScale = 0.1

/** The figures that sheets, plan and labels show: what a scale can weigh, and the superfat that has. */
function onScaleOf(document: FormulaDocument, scale: number) {
  const { result, superfat, ownJugs, coarse } = onScale(document, library, scale)
  return {
    scale,
    grams: gramsOf(result),
    fats: result.fats.map(({ id, grams }) => ({ id, grams })),
    parts: result.parts.map((part) => ({ name: part.name, grams: gramsOf(part.result) })),
    water: waysOf(result),
    superfat,
    lyeJugs: ownJugs ? result.parts.length : 1,
    coarse: coarse.map(({ name, points, tooSmall }) => ({ name, points, tooSmall })),
  }
}

/**
 * The answer to a formula document, as docs/formula-format.md lays it down.
 * @param scale g that the scale shows, for the rounded figures
 */
export function computeFormulaText(value: unknown, scale = usualScale): object | Refused {
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
    onScale: onScaleOf(document, scale),
  }
}

/**
 * What superfat and water a document with known lye and water has. `lyeGrams` is everything alkaline as weighed, a
 * ready-mixed solution included; `waterGrams` is what is weighed as water besides.
 */
export function checkFormulaText(value: unknown): object | Refused {
  const parsed = checkSchema.safeParse(value)
  if (!parsed.success) return { errors: faultsOf(parsed.error) }
  const { lyeGrams, waterGrams, ...rest } = parsed.data
  const asked: FormulaDocument = { ...rest, superfat: 0, water: { held: 'ratio', value: 2 } }
  const skipped = new Set(['superfat', 'water.value'])
  const errors = faultsInFormula(asked, library).filter((fault) => !skipped.has(fault.path))
  if (errors.length) return { errors }

  const checked = checkFormula(asked, lyeGrams, waterGrams, library)
  if ('faults' in checked) return { errors: checked.faults }
  const { document, result } = checked
  return {
    superfat: result.superfat.total,
    ratio: result.water.ratio,
    strength: result.water.strength,
    oils: result.oils,
    remarks: plain(remarksOn(document, result, library)),
  }
}

/** Verdicts in the severities of the format: a good one is good to know, an open one is for thinking. */
const severities = { stop: 'stop', think: 'think', open: 'think', good: 'know' } as const

/** A recipe as people write it: what each line was taken for, and what soap it is. */
export function readRecipeText(text: string): object | Refused {
  const context = { library }
  const lines = readRecipe(text, context)
  const read = lines.some(({ kind }) => kind !== 'unknown' && kind !== 'title')
  if (!read) return { errors: [{ path: '', says: 'Nothing of a recipe was found in this text.' }] }
  const { superfat, superfatRange, ratio, strength, verdicts } = judgeRecipe(
    lines,
    context,
    formatter(),
  )
  return {
    lines: lines.map((line) => ({
      text: line.text,
      kind: line.kind,
      id: line.id,
      name: line.name,
      grams: line.grams,
      share: line.share,
      doubtful: line.doubtful,
      says: line.says,
      ...(line.doubtful
        ? { candidates: line.options.map(({ kind, id, name }) => ({ kind, id, name })) }
        : {}),
    })),
    superfat,
    superfatRange,
    ratio,
    strength,
    verdicts: verdicts.map(({ tone, says, because }) => ({
      severity: severities[tone],
      says,
      because,
    })),
  }
}
