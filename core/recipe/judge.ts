import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { naohPerGramOfAcid } from '../chemistry/acids'
import { naohPerGramOfFat } from '../chemistry/alkali'
import { molarMass, naohPerKoh } from '../chemistry/elements'
import { superfatAsWeighed } from '../chemistry/superfat'
import { blankFormula } from '../formula/blank'
import { computeFormula } from '../formula/compute'
import { idFrom } from '../formula/typedLine'
import type { Library } from '../materials/library'
import type { Speaker } from '../units/say'
import { waterFloor } from '../water/ways'
import type { RecipeLine } from './read'

export interface Verdict {
  tone: 'stop' | 'think' | 'good' | 'open'
  says: string
  because: string
}

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

const sum = (numbers: number[]) => numbers.reduce((total, value) => total + value, 0)
const tidy = (value: number, places = 4) => Number(value.toFixed(places))

/** A recipe in per cent is judged on 1000 g of oils. */
const assumedOils = 1000

/** The name of a dry lye is its purity; potash is never sold pure. */
const kohPurity = 0.9

function amounts(lines: RecipeLine[]) {
  const fats = lines.filter((line) => line.kind === 'fat')
  const byShare =
    fats.length > 0 && fats.every((line) => line.grams === null && line.share !== null)
  const grams = (line: RecipeLine) =>
    line.grams ?? (line.share === null ? null : byShare ? line.share * assumedOils : null)
  const oils = sum(fats.map((line) => grams(line) ?? 0))
  const of = (line: RecipeLine) => line.grams ?? (line.share === null ? 0 : line.share * oils)
  const weight = (kind: RecipeLine['kind']) =>
    sum(lines.filter((line) => line.kind === kind).map(of))
  return {
    fats: fats.map((line) => ({ line, grams: grams(line) ?? 0 })),
    byShare,
    oils,
    of,
    naoh: weight('naoh') + weight('lye'),
    koh: weight('koh'),
    water: weight('water'),
  }
}

function superfatVerdict(superfat: number, [low, high]: [number, number], say: Speaker): Verdict {
  const range = `The fats' natural spread makes it ${say.percent(low)} to ${say.percent(high)}.`
  if (superfat < 0)
    return {
      tone: 'stop',
      says: `Do not make this: it is lye-heavy by ${say.percent(-superfat)}.`,
      because: `There is more lye than these fats can take, and what is left over burns. ${range}`,
    }
  if (superfat < 0.02)
    return {
      tone: 'think',
      says: `${say.percent(superfat)} superfat: for cleaning only, not for skin.`,
      because: `A small weighing error or a batch of fat at the end of its range makes it lye-heavy. ${range}`,
    }
  if (superfat < 0.045)
    return {
      tone: 'think',
      says: `${say.percent(superfat)} superfat: usable, but with little room for error.`,
      because: `Most makers leave 5 to 8 % for a body bar. ${range}`,
    }
  if (superfat <= 0.12)
    return {
      tone: 'good',
      says: `${say.percent(superfat)} superfat: a sound figure for skin.`,
      because: `5 to 8 % is usual for a body bar. ${range}`,
    }
  return {
    tone: 'think',
    says: `${say.percent(superfat)} superfat: a lot of fat stays free.`,
    because: `That suits soaps that are nearly all coconut (about 20 %); in others the bar is soft and spoils sooner. ${range}`,
  }
}

function waterVerdict(ratio: number, say: Speaker): Verdict {
  const strength = say.percent(1 / (1 + ratio))
  if (ratio < waterFloor)
    return {
      tone: 'stop',
      says: `Too little water: ${say.ratio(ratio)}. The lye will not dissolve.`,
      because: 'The floor is 1 : 1 by weight.',
    }
  if (ratio < 1.3)
    return {
      tone: 'think',
      says: `${say.ratio(ratio)} water to lye: hot and very quick.`,
      because: `The lye is ${strength} strong; there is little time to pour.`,
    }
  if (ratio > 3.5)
    return {
      tone: 'think',
      says: `${say.ratio(ratio)} water to lye: slow to set and to dry.`,
      because: `The lye is only ${strength} strong; the bars will shrink a good deal.`,
    }
  return {
    tone: 'good',
    says: `${say.ratio(ratio)} water to lye, ${strength} strong: workable.`,
    because: 'Between 1.3 and 3.5 to one, less water is quicker and hotter, more is slower.',
  }
}

/** Turns the lines of a recipe into a formula by grams, so that it can be taken over. */
function documentOf(
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
      .map((line) => ({ id: line.id!, grams: tidy(of(line)), amount: undefined, carrier: null })),
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

/** The superfat to ask for so that the formula weighs the recipe's own lye: by its fats alone, without milk fat. */
function superfatForDocument(
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
