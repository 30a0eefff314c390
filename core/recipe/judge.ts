import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { molarMass, naohPerKoh } from '../chemistry/elements'
import { superfatAsWeighed } from '../chemistry/superfat'
import { computeFormula } from '../formula/compute'
import type { Library } from '../materials/library'
import type { Speaker } from '../units/say'
import { amounts, kohPurity, sum } from './amounts'
import type { RecipeLine } from './read'
import { documentOf, superfatForDocument } from './takeOver'
import { superfatVerdict, waterVerdict, type Verdict } from './verdicts'

/** What somebody's recipe really is. Figures are null where the recipe does not give enough to know them. */
export interface RecipeReport {
  oils: number
  superfat: number | null
  /** Superfat when every fat lies at one end of its published range: lowest and highest. */
  superfatRange: [number, number] | null
  ratio: number | null
  strength: number | null
  verdicts: Verdict[]
  document: FormulaDocument
  result: FormulaResult
}

/** Works out what a recipe is: superfat, lye strength, a verdict with its reason. Lye is taken as pure NaOH. */
export function judgeRecipe(lines: RecipeLine[], library: Library, say: Speaker): RecipeReport {
  const { fats, oils, naoh, koh, water, of, byShare } = amounts(lines)
  const stated = lines.find((line) => line.kind === 'superfat')?.share ?? null
  const acids = lines
    .filter((line) => line.kind === 'additive')
    .flatMap((line) => {
      const acid = library.additives.get(line.id!)?.acid
      return acid ? [{ acid, grams: of(line) }] : []
    })
  const liquids = lines
    .filter((line) => line.kind === 'liquid')
    .map((line) => ({ liquid: library.liquids.get(line.id!)!, grams: of(line) }))

  const hasLye = naoh + koh > 0
  const superfatAt = (end: 'low' | 'typical' | 'high') =>
    superfatAsWeighed({
      fats: [
        ...fats.map(({ line, grams }) => ({ grams, sap: library.fats.get(line.id!)!.sap[end] })),
        ...liquids.map(({ liquid, grams }) => ({ grams: grams * liquid.fat, sap: liquid.fatSap })),
      ],
      acids,
      naoh: { grams: naoh, purity: 1 },
      koh: { grams: koh, purity: kohPurity },
    })
  const knowable = hasLye && oils > 0 && !byShare
  const superfat = knowable ? superfatAt('typical') : null
  const superfatRange: [number, number] | null = knowable
    ? [superfatAt('low'), superfatAt('high')]
    : null
  const pure = naoh + koh * kohPurity
  const waterContent = water + sum(liquids.map(({ liquid, grams }) => grams * liquid.water))
  const ratio = pure > 0 && waterContent > 0 ? waterContent / pure : null

  const verdicts: Verdict[] = []
  const unread = lines.filter((line) => line.says)
  if (fats.length === 0)
    verdicts.push({
      tone: 'open',
      says: 'No fat found yet.',
      because: 'Write the fats with their weights, as "500 g olive oil".',
    })
  else if (byShare && hasLye)
    verdicts.push({
      tone: 'open',
      says: 'The fats are in per cent but the lye is in grams.',
      because: 'Without the weight of the fats nobody can tell whether the lye is right.',
    })
  else if (!hasLye)
    verdicts.push({
      tone: 'open',
      says: 'No lye found in it.',
      because: `Taken over as a formula it gets the lye for ${say.percent(stated ?? 0.05)} superfat.`,
    })
  if (superfat !== null && superfatRange)
    verdicts.push(superfatVerdict(superfat, superfatRange, say))
  if (superfat !== null && stated !== null && Math.abs(stated - superfat) > 0.01)
    verdicts.push({
      tone: 'think',
      says: `It says ${say.percent(stated)} superfat, but its weights have ${say.percent(superfat)}.`,
      because: 'What is weighed decides, not what is written above it.',
    })
  if (ratio !== null) verdicts.push(waterVerdict(ratio, say))
  else if (hasLye)
    verdicts.push({
      tone: 'open',
      says: 'No water found in it.',
      because: 'Lye is always dissolved in water first; 2.2 : 1 is put in if you take it over.',
    })
  if (unread.length && fats.length)
    verdicts.push({
      tone: superfat === null ? 'open' : 'think',
      says: `${unread.length === 1 ? 'One line was' : `${unread.length} lines were`} not understood and not counted.`,
      because: 'If one of them is a fat or an acid, the superfat is another.',
    })

  const pureAsNaoh = naoh + koh * kohPurity * naohPerKoh
  const document = documentOf(lines, {
    superfat: superfat === null ? stated : superfatForDocument(pureAsNaoh, fats, acids, library),
    ratio,
    kohShare:
      hasLye && koh > 0 ? (koh * kohPurity) / molarMass.koh / (pureAsNaoh / molarMass.naoh) : 0,
  })
  return {
    oils,
    superfat,
    superfatRange,
    ratio,
    strength: ratio === null ? null : 1 / (1 + ratio),
    verdicts,
    document,
    result: computeFormula(document, library),
  }
}
