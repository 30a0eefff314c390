import type { AdditiveLine, FormulaDocument } from '#contracts/formula'
import type { FattyAcid, FormulaResult } from '#contracts/result'
import { naohPerGramOfAcid } from '../chemistry/acids'
import { naohPerGramOfFat, weighAlkali } from '../chemistry/alkali'
import type { Library } from '../materials/library'
import { divideLiquid } from '../water/liquids'
import { ratioFrom, waysFrom } from '../water/ways'

/** Shares may miss 1 by this much and still count as whole. */
export const shareTolerance = 0.0005

/** Least water left in a long-dried bar: 0.05 + 0.1·0.5 humidity − 0.03 (docs/science.md, drying). */
export const driestWaterShare = 0.07

const total = (numbers: number[]) => numbers.reduce((sum, value) => sum + value, 0)

/** Sum of the shares of fats that are given by share. */
export function sumOfShares(document: FormulaDocument): number {
  return total(document.fats.map((fat) => fat.share ?? 0))
}

/** g of each fat line. Shares that are whole within the tolerance are made to fill the size exactly. */
export function fatGrams(document: FormulaDocument): number[] {
  const { size } = document
  if (size.by === 'lines') return document.fats.map((fat) => fat.grams ?? 0)
  const sum = sumOfShares(document)
  const misses = Math.abs(sum - 1)
  const whole = misses > 1e-12 && misses <= shareTolerance ? sum : 1
  return document.fats.map((fat) => ((fat.share ?? 0) / whole) * (size.grams ?? 0))
}

/** g of an additive, from its grams or its rate of the oils. */
export function additiveGrams(line: AdditiveLine, oils: number): number {
  return line.grams ?? (line.rate ?? 0) * oils
}

function fatPortions(document: FormulaDocument, library: Library) {
  const grams = fatGrams(document)
  const oils = total(grams)
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

/**
 * What a formula weighs. Grams and fractions at full precision.
 *
 * Total: a draft computes too, with what is missing counted as nothing; `faultsInFormula` says what is missing.
 * Alkali demand, water and superfat as in docs/science.md.
 */
export function computeFormula(document: FormulaDocument, library: Library): FormulaResult {
  const fats = fatPortions(document, library)
  const oils = total(fats.map((fat) => fat.grams))

  const additives = document.additives.map((line) => {
    const additive = library.additives.get(line.id)
    const grams = additiveGrams(line, oils)
    return {
      id: line.id,
      name: additive?.name ?? line.id,
      grams,
      naohTaken: additive?.acid ? grams * naohPerGramOfAcid(additive.acid) : 0,
      moment: line.moment ?? additive?.moment ?? 'trace',
    }
  })

  const asked = document.superfat ?? 0
  const acidDemand = total(additives.map((additive) => additive.naohTaken))
  const inLyeDemand = total(fats.filter((fat) => fat.inLye).map((fat) => fat.naohDemand))
  const fullFatDemand = total(fats.map((fat) => fat.naohDemand))
  const pureAsNaoh = inLyeDemand * (1 - asked) + acidDemand
  const alkali = weighAlkali(pureAsNaoh, document.alkali)
  const lyeGrams = alkali.pureNaoh + alkali.pureKoh

  const { held } = document.water
  const given = document.water.value ?? 0
  const computable = lyeGrams > 0 && given > 0
  const ratio = computable ? ratioFrom(held, given, lyeGrams, oils) : 0
  const ways = computable
    ? waysFrom(ratio, lyeGrams, oils)
    : { ratio: 0, strength: 0, shareOfOils: 0, [held]: given }
  const kinds = document.liquids.map((line) => library.liquids.get(line.id))
  const divided = divideLiquid(
    ratio * lyeGrams,
    document.liquids.map((line, index) => ({
      share: line.share ?? 0,
      water: kinds[index]?.water ?? 1,
    })),
    alkali.waterInSolution,
  )
  const liquids = document.liquids.map((line, index) => {
    const grams = divided.liquids[index]!
    return {
      id: line.id,
      name: kinds[index]?.name ?? line.id,
      grams,
      waterGrams: grams * (kinds[index]?.water ?? 1),
      fatGrams: grams * (kinds[index]?.fat ?? 0),
      moment: line.moment,
    }
  })
  const milkFatDemand = total(
    liquids.map((liquid, index) => liquid.fatGrams * naohPerGramOfFat(kinds[index]?.fatSap ?? 0)),
  )
  const allFatDemand = fullFatDemand + milkFatDemand
  const waterInLye =
    divided.water +
    alkali.waterInSolution +
    total(liquids.filter((liquid) => liquid.moment === 'lye').map((liquid) => liquid.waterGrams))
  const waterContent =
    divided.water + alkali.waterInSolution + total(liquids.map((liquid) => liquid.waterGrams))

  const scentGrams = document.scents.map((line) => (line.rate ?? 0) * oils)
  const batter =
    oils +
    alkali.naoh +
    alkali.koh +
    (alkali.solution ?? 0) +
    divided.water +
    total(liquids.map((liquid) => liquid.grams)) +
    total(additives.map((additive) => additive.grams)) +
    total(scentGrams)
  const longDried = Math.min(batter, (batter - waterContent) / (1 - driestWaterShare))

  return {
    oils,
    fats,
    liquids,
    additives,
    scents: document.scents.map((line, index) => ({
      id: line.id,
      name: line.name ?? line.id,
      grams: scentGrams[index]!,
      moment: line.moment,
      shareOfBar: longDried > 0 ? scentGrams[index]! / longDried : 0,
      maxOfBar: line.maxOfBar ?? null,
    })),
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
      inSolution: alkali.waterInSolution,
      ratioInLye: lyeGrams > 0 ? waterInLye / lyeGrams : 0,
      smallestRatio:
        alkali.solution === null || lyeGrams === 0 ? null : divided.smallestWanted / lyeGrams,
    },
    superfat: {
      asked,
      total: allFatDemand > 0 ? 1 - (pureAsNaoh - acidDemand) / allFatDemand : 0,
    },
    batter,
    longDried,
    fattyAcids: meanProfile(fats, library),
  }
}
