import type { FormulaDocument } from '#contracts/formula'
import type { FattyAcid, FormulaResult } from '#contracts/result'
import { naohPerGramOfAcid } from '../chemistry/acids'
import { naohPerGramOfFat, weighAlkali } from '../chemistry/alkali'
import { fattyAcidFraction } from '../chemistry/fattyAcids'
import type { Fat } from '../materials/fat'
import type { Library } from '../materials/library'
import { divideLiquid } from '../water/liquids'
import { ratioFrom, waysFrom } from '../water/ways'
import { lineGrams, scentDensity, usesBatter } from './measure'

/** Least water left in a long-dried bar: 0.05 + 0.1·0.5 humidity − 0.03 (docs/science.md, drying). */
export const driestWaterShare = 0.07

export const total = (numbers: number[]) => numbers.reduce((sum, value) => sum + value, 0)

/**
 * Fatty acids in a gram of a fat. Waxes, lanolin and resins: the share that is not unsaponifiable, as stored; free
 * acids: all of it; a fat of one's own: as a triglyceride of its value.
 */
function fattyShare(fat: Fat | undefined, sap: number): number {
  if (fat?.chemistry === 'free-acid') return 1
  if (fat && fat.chemistry !== 'triglyceride') return 1 - fat.unsaponifiables.value
  return sap > 0 ? fattyAcidFraction(sap) : 0
}

function fatPortions(document: FormulaDocument, library: Library, grams: number[]) {
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

/** What goes into the lye only after it has cooled cannot dissolve it. */
const dissolvesLye = ({ moment, way }: FormulaResult['liquids'][number]) =>
  moment === 'lye' && way !== 'into-cooled-lye'

/** What one pot weighs when its batter is taken to weigh `given`: rates of the batter are reckoned from that. */
function weighGiven(
  document: FormulaDocument,
  library: Library,
  grams: number[],
  givenBatter: number,
): FormulaResult {
  const fats = fatPortions(document, library, grams)
  const oils = total(fats.map((fat) => fat.grams))

  const additives = document.additives.map((line) => {
    const additive = library.additives.get(line.id)
    const grams = lineGrams(line, additive?.density ?? 1, oils, givenBatter)
    return {
      id: line.id,
      name: additive?.name ?? line.id,
      grams,
      estimated: line.amount !== undefined,
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
      way: line.way,
    }
  })
  const milkFatDemand = total(
    liquids.map((liquid, index) => liquid.fatGrams * naohPerGramOfFat(kinds[index]?.fatSap ?? 0)),
  )
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
  const extraDemand = total(extraOils.map(({ id, grams }) => grams * naohPerGramOfFat(sapOf(id))))
  const allFatDemand = fullFatDemand + milkFatDemand + extraDemand
  const waterInLye =
    divided.water +
    alkali.waterInSolution +
    total(liquids.filter(dissolvesLye).map((liquid) => liquid.waterGrams))
  const waterContent =
    divided.water + alkali.waterInSolution + total(liquids.map((liquid) => liquid.waterGrams))

  const scentGrams = document.scents.map((line) =>
    lineGrams(line, scentDensity(line.name ?? line.id), oils, givenBatter),
  )
  const batter =
    oils +
    alkali.naoh +
    alkali.koh +
    (alkali.solution ?? 0) +
    divided.water +
    total(liquids.map((liquid) => liquid.grams)) +
    total(additives.map((additive) => additive.grams)) +
    total(extraOils.map((carrier) => carrier.grams)) +
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
      estimated: line.amount !== undefined,
      moment: line.moment,
      shareOfBar: longDried > 0 ? scentGrams[index]! / longDried : 0,
      maxOfBar: line.maxOfBar ?? null,
    })),
    carriers,
    parts: [],
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
      ice: Math.max(0, divided.water) * document.iceShare,
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
    fattyMatter:
      total(fats.map((fat) => fat.grams * fattyShare(library.fats.get(fat.id), fat.sap))) +
      total(
        liquids.map(
          (liquid, index) => liquid.fatGrams * fattyShare(undefined, kinds[index]?.fatSap ?? 0),
        ),
      ) +
      total(extraOils.map(({ id, grams }) => grams * fattyShare(library.fats.get(id), sapOf(id)))),
    fattyAcids: meanProfile(fats, library),
  }
}

/**
 * What one pot weighs. Grams and fractions at full precision; alkali demand, water and superfat as in docs/science.md.
 *
 * A rate of the batter includes the very thing it is the rate of. The batter is affine in what it is taken to be, so two
 * evaluations give its exact value.
 * @param grams g of each fat line
 */
export function weighPot(
  document: FormulaDocument,
  library: Library,
  grams: number[],
): FormulaResult {
  const plain = weighGiven(document, library, grams, 0)
  if (!usesBatter(document.additives) && !usesBatter(document.scents)) return plain
  const probe = plain.batter || 1
  const slope = (weighGiven(document, library, grams, probe).batter - plain.batter) / probe
  return weighGiven(document, library, grams, plain.batter / (1 - slope))
}
