import type { FormulaDocument } from '#contracts/formula'
import type { FattyAcid, FormulaResult } from '#contracts/result'
import { naohPerGramOfAcid } from '../chemistry/acids'
import { naohPerGramOfFat, weighAlkali } from '../chemistry/alkali'
import { fattyAcidFraction } from '../chemistry/fattyAcids'
import type { Fat } from '../materials/fat'
import type { Library } from '../materials/library'
import { maximumFor } from '../materials/maxima'
import { divideLiquid } from '../water/liquids'
import { ratioFrom, waysFrom } from '../water/ways'
import { isEstimate, lineGrams, scentDensity, usesBatter } from './measure'
import { sum } from '../statistics/sum'

/** Least water left in a long-dried bar: 0.05 + 0.1·0.5 humidity − 0.03 (docs/science.md, drying). */
export const driestWaterShare = 0.07

/**
 * Fatty acids in a gram of a fat. Waxes, lanolin and resins: the share that is not unsaponifiable, as stored; free
 * acids: all of it; a fat of one's own: as a triglyceride of its value.
 */
function fattyShare(fat: Fat | undefined, sap: number): number {
  if (fat?.parts)
    return sum(
      fat.parts.map(({ fat: part, share }) =>
        part ? share * fattyShare(part, part.sap.typical) : 0,
      ),
    )
  if (fat?.chemistry === 'free-acid') return 1
  if (fat && fat.chemistry !== 'triglyceride') return 1 - fat.unsaponifiables.value
  return sap > 0 ? fattyAcidFraction(sap) : 0
}

function fatPortions(document: FormulaDocument, library: Library, grams: number[]) {
  const oils = sum(grams)
  return document.fats.map((line, index) => {
    const fat = library.fats.get(line.id)
    const sap = line.sap ?? fat?.sap.typical ?? 0
    return {
      id: line.id,
      name: line.name ?? fat?.name ?? line.id,
      grams: grams[index]!,
      share: oils > 0 ? grams[index]! / oils : 0,
      sap,
      moment: line.moment,
      naohDemand: grams[index]! * naohPerGramOfFat(sap),
      inLye: line.inLye,
    }
  })
}

function meanProfile(fats: FormulaResult['fats'], library: Library) {
  const mean: Partial<Record<FattyAcid, number>> = {}
  for (const fat of fats) {
    const profile = library.fats.get(fat.id)?.profile.value ?? {}
    for (const [acid, share] of Object.entries(profile) as [FattyAcid, number][])
      mean[acid] = (mean[acid] ?? 0) + share * fat.share
  }
  return mean
}

/** What goes into the lye only after it has cooled cannot dissolve it. */
const dissolvesLye = ({ moment, way }: FormulaResult['liquids'][number]) =>
  moment === 'lye' && way !== 'into-cooled-lye'

/** What has to be known before a pot can be weighed, though it follows from its weights: g of batter, g NaOH for sour liquids. */
interface Given {
  batter: number
  sour: number
}

/** What one pot weighs when its batter and the appetite of its sour liquids are taken to be `given`. */
function weighGiven(
  document: FormulaDocument,
  library: Library,
  grams: number[],
  given: Given,
): FormulaResult {
  const fats = fatPortions(document, library, grams)
  const oils = sum(fats.map((fat) => fat.grams))
  const unknownFats = fats.filter(({ sap }) => !(sap > 0)).map(({ name }) => name)

  const additives = document.additives.map((line) => {
    const additive = library.additives.get(line.id)
    const grams = lineGrams(line, additive?.density ?? 1, oils, given.batter, library.spoons)
    return {
      id: line.id,
      name: additive?.name ?? line.id,
      grams,
      estimated: isEstimate(line),
      naohTaken: additive?.acid ? grams * naohPerGramOfAcid(additive.acid) : 0,
      fatGrams: grams * (additive?.fat ?? 0),
      moment: line.moment ?? additive?.moment ?? 'trace',
    }
  })

  const asked = document.superfat ?? 0
  const acidDemand = sum(additives.map((additive) => additive.naohTaken)) + given.sour
  const inLyeDemand = sum(fats.filter((fat) => fat.inLye).map((fat) => fat.naohDemand))
  const fullFatDemand = sum(fats.map((fat) => fat.naohDemand))
  const pureAsNaoh = unknownFats.length ? 0 : inLyeDemand * (1 - asked) + acidDemand
  const alkali = weighAlkali(pureAsNaoh, document.alkali)
  const lyeGrams = alkali.pureNaoh + alkali.pureKoh

  const { held } = document.water
  const wanted = document.water.value ?? 0
  const kinds = document.liquids.map((line) => library.liquids.get(line.id))
  const computable = wanted > 0 && (held === 'grams' || lyeGrams > 0)
  const divided = divideLiquid(
    !computable
      ? { weighed: 0 }
      : held === 'grams'
        ? { weighed: wanted }
        : { content: ratioFrom(held, wanted, lyeGrams, oils) * lyeGrams },
    document.liquids.map((line, index) => ({
      share: line.grams == null ? (line.share ?? 0) : 0,
      grams: line.grams ?? 0,
      water: kinds[index]?.water ?? 1,
    })),
    computable ? alkali.waterInSolution : 0,
  )
  const ways =
    computable && lyeGrams > 0 && oils > 0
      ? waysFrom(divided.content / lyeGrams, lyeGrams, oils)
      : { ratio: 0, strength: 0, shareOfOils: 0, ...(held === 'grams' ? {} : { [held]: wanted }) }
  const liquids = document.liquids.map((line, index) => {
    const grams = divided.liquids[index]!
    return {
      id: line.id,
      name: kinds[index]?.name ?? line.id,
      grams,
      waterGrams: grams * (kinds[index]?.water ?? 1),
      fatGrams: grams * (kinds[index]?.fat ?? 0),
      naohTaken: grams * (kinds[index]?.naohTaken ?? 0),
      moment: line.moment,
      way: line.way,
    }
  })
  const milkFatDemand = sum([
    ...liquids.map(
      (liquid, index) => liquid.fatGrams * naohPerGramOfFat(kinds[index]?.fatSap ?? 0),
    ),
    ...additives.map(
      (additive) =>
        additive.fatGrams * naohPerGramOfFat(library.additives.get(additive.id)?.fatSap ?? 0),
    ),
  ])
  const carriers = document.additives.flatMap((line, index) => {
    if (!line.carrier) return []
    const fat = library.fats.get(line.carrier.id)
    return [
      {
        id: line.carrier.id,
        name: fat?.name ?? line.carrier.id,
        grams: additives[index]!.grams * (line.carrier.ratio ?? 0),
        from: line.carrier.from,
      },
    ]
  })
  const extraOils = carriers.filter((carrier) => carrier.from === 'extra')
  const sapOf = (id: string) => library.fats.get(id)?.sap.typical ?? 0
  const extraDemand = sum(extraOils.map(({ id, grams }) => grams * naohPerGramOfFat(sapOf(id))))
  const allFatDemand = fullFatDemand + milkFatDemand + extraDemand
  const waterInLye =
    divided.water +
    alkali.waterInSolution +
    sum(liquids.filter(dissolvesLye).map((liquid) => liquid.waterGrams))
  const waterContent =
    divided.water + alkali.waterInSolution + sum(liquids.map((liquid) => liquid.waterGrams))

  const scents = document.scents.map((line) => ({ line, known: library.scents?.get(line.id) }))
  const scentGrams = scents.map(({ line, known }) =>
    lineGrams(line, scentDensity(line.name ?? line.id, known), oils, given.batter, library.spoons),
  )
  const batter =
    oils +
    alkali.naoh +
    alkali.koh +
    (alkali.solution ?? 0) +
    divided.water +
    sum(liquids.map((liquid) => liquid.grams)) +
    sum(additives.map((additive) => additive.grams)) +
    sum(extraOils.map((carrier) => carrier.grams)) +
    sum(scentGrams)
  const longDried = Math.min(batter, (batter - waterContent) / (1 - driestWaterShare))
  const wateredWith = Math.max(0, divided.water)

  return {
    oils,
    fats,
    liquids,
    additives,
    scents: scents.map(({ line, known }, index) => ({
      id: line.id,
      name: line.name ?? known?.name ?? line.id,
      grams: scentGrams[index]!,
      estimated: isEstimate(line),
      moment: line.moment,
      shareOfBar: longDried > 0 ? scentGrams[index]! / longDried : 0,
      maxOfBar: line.maxOfBar ?? maximumFor(known, document.use),
    })),
    carriers,
    parts: [],
    unknownFats,
    lye: {
      pureAsNaoh,
      fullFatDemand,
      acidDemand,
      pureNaoh: alkali.pureNaoh,
      pureKoh: alkali.pureKoh,
      naoh: alkali.naoh,
      koh: alkali.koh,
      solution: alkali.solution,
    },
    water: {
      held,
      ...ways,
      content: waterContent,
      weighed: divided.water,
      ice:
        document.iceGrams == null
          ? wateredWith * document.iceShare
          : Math.min(wateredWith, document.iceGrams),
      inSolution: alkali.waterInSolution,
      ratioInLye: lyeGrams > 0 ? waterInLye / lyeGrams : 0,
      smallestRatio:
        alkali.solution === null || lyeGrams === 0 ? null : divided.smallestWanted / lyeGrams,
    },
    superfat: {
      asked,
      total:
        allFatDemand > 0 && !unknownFats.length
          ? 1 - (pureAsNaoh - acidDemand) / allFatDemand
          : asked,
    },
    batter,
    longDried,
    fattyMatter:
      sum(fats.map((fat) => fat.grams * fattyShare(library.fats.get(fat.id), fat.sap))) +
      sum(
        liquids.map(
          (liquid, index) => liquid.fatGrams * fattyShare(undefined, kinds[index]?.fatSap ?? 0),
        ),
      ) +
      sum(
        additives.map(
          (additive) =>
            additive.fatGrams *
            fattyShare(undefined, library.additives.get(additive.id)?.fatSap ?? 0),
        ),
      ) +
      sum(extraOils.map(({ id, grams }) => grams * fattyShare(library.fats.get(id), sapOf(id)))),
    fattyAcids: meanProfile(fats, library),
  }
}

const sourOf = (result: FormulaResult) => sum(result.liquids.map(({ naohTaken }) => naohTaken))

/**
 * What one pot weighs. Grams and fractions at full precision; alkali demand, water and superfat as in docs/science.md.
 *
 * A rate of the batter includes the very thing it is the rate of, and a sour liquid takes lye, whose water brings more of the
 * liquid. Both are affine in what they are taken to be, so an evaluation at nothing and one beside it for each give the exact
 * answer of two equations.
 * @param grams g of each fat line
 * @example weighPot(example, shipped, [1000]).lye.naoh // 128.676
 */
export function weighPot(
  document: FormulaDocument,
  library: Library,
  grams: number[],
): FormulaResult {
  const plain = weighGiven(document, library, grams, { batter: 0, sour: 0 })
  const byBatter = usesBatter(document.additives) || usesBatter(document.scents)
  if (!byBatter && sourOf(plain) === 0) return plain
  const atNothing = { batter: plain.batter, sour: sourOf(plain) }
  const probe = Math.max(1, plain.batter)
  const slopes = (given: Given) => {
    const beside = weighGiven(document, library, grams, given)
    return {
      batter: (beside.batter - atNothing.batter) / probe,
      sour: (sourOf(beside) - atNothing.sour) / probe,
    }
  }
  const ofBatter = slopes({ batter: probe, sour: 0 })
  const ofSour = slopes({ batter: 0, sour: probe })
  // (1 − a)·batter − b·sour = batter₀ and −c·batter + (1 − d)·sour = sour₀
  const left = 1 - ofBatter.batter
  const right = 1 - ofSour.sour
  const determinant = left * right - ofSour.batter * ofBatter.sour
  return weighGiven(document, library, grams, {
    batter: (atNothing.batter * right + ofSour.batter * atNothing.sour) / determinant,
    sour: (left * atNothing.sour + ofBatter.sour * atNothing.batter) / determinant,
  })
}

/**
 * g of lye as it is weighed: flakes, or ready-mixed solution, and potash.
 * @example lyeWeighed(made) // 128.676
 */
export const lyeWeighed = ({ lye }: Pick<FormulaResult, 'lye'>): number =>
  (lye.solution ?? lye.naoh) + lye.koh
