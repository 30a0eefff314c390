import type { FormulaDocument } from '#contracts/formula'
import { naohPerGramOfAcid } from '../chemistry/acids'
import { naohPerGramOfFat } from '../chemistry/alkali'
import { blankFormula } from '../formula/blank'
import { idFrom } from '../formula/typedLine'
import type { Library } from '../materials/library'
import { amounts, sum } from './amounts'
import type { RecipeLine } from './read'

const tidy = (value: number, places = 4) => Number(value.toFixed(places))

/** Turns the lines of a recipe into a formula by grams, so that it can be taken over. */
export function documentOf(
  lines: RecipeLine[],
  figures: { superfat: number | null; ratio: number | null; kohShare: number },
): FormulaDocument {
  const { fats, of, oils, water } = amounts(lines)
  const pick = (kind: RecipeLine['kind']) => lines.filter((line) => line.kind === kind)
  const liquids = pick('liquid').map((line) => ({ line, grams: of(line) }))
  const allLiquid = water + sum(liquids.map(({ grams }) => grams))
  const blank = blankFormula('Recipe to check')
  return {
    ...blank,
    size: { by: 'lines' },
    superfat: figures.superfat === null ? blank.superfat : tidy(figures.superfat, 6),
    alkali: { ...blank.alkali, kohShare: tidy(figures.kohShare, 6) },
    water: figures.ratio === null ? blank.water : { held: 'ratio', value: tidy(figures.ratio, 6) },
    fats: fats.map(({ line, grams }) => ({
      id: line.id!,
      grams: tidy(grams),
      moment: 'pot',
      inLye: true,
    })),
    liquids: liquids
      .filter(({ grams }) => grams > 0)
      .map(({ line, grams }) => ({
        id: line.id!,
        share: tidy(grams / allLiquid, 6),
        moment: water > 0 ? 'oils' : 'lye',
        way: water > 0 ? 'poured' : 'frozen',
      })),
    additives: pick('additive')
      .filter((line) => of(line) > 0)
      .map((line) => ({ id: line.id!, grams: tidy(of(line)), carrier: null })),
    scents: pick('scent')
      .filter((line) => of(line) > 0 && oils > 0)
      .map((line) => ({
        id: idFrom(line.name),
        name: line.name.slice(0, 120),
        rate: tidy(of(line) / oils, 6),
        of: 'oils',
        moment: 'trace',
      })),
  }
}

/** The superfat to ask for so that the formula weighs the recipe's own lye: by its fats alone, without milk fat. */
export function superfatForDocument(
  pureAsNaoh: number,
  fats: { line: RecipeLine; grams: number }[],
  acids: { acid: Parameters<typeof naohPerGramOfAcid>[0]; grams: number }[],
  library: Library,
): number {
  const demand = sum(
    fats.map(
      ({ line, grams }) => grams * naohPerGramOfFat(library.fats.get(line.id!)!.sap.typical),
    ),
  )
  const taken = sum(acids.map(({ acid, grams }) => grams * naohPerGramOfAcid(acid)))
  return 1 - (pureAsNaoh - taken) / demand
}
