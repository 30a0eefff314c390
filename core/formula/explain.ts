import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { acids } from '../chemistry/acids'
import { naohPerKoh } from '../chemistry/elements'
import type { Library } from '../materials/library'
import { sources } from '../materials/sources'
import type { Formatter } from '../units/formatter'
import { sumOf } from '../statistics/sum'
import { lyeWeighed } from './pot'

/** How a figure came about, line by line, in the order in which a maker would work it out on paper. */
export interface Explanation {
  title: string
  lines: { label: string; sum: string; value: string }[]
  total: { label: string; value: string }
  notes: string[]
}

export type Figure = 'lye' | 'water' | 'batter' | 'superfat'

function explainLye(
  document: FormulaDocument,
  result: FormulaResult,
  library: Library,
  say: Formatter,
): Explanation {
  const { lye } = result
  const factor = say.number(naohPerKoh, 6)
  const lines = result.fats.map((fat) => ({
    label: fat.inLye ? fat.name : `${fat.name}, not counted in the lye`,
    sum: `${say.mass(fat.grams)} × ${say.number(fat.sap, Number.isInteger(fat.sap) ? 0 : 1)} mg KOH/g ÷ 1000 × ${factor}`,
    value: `${say.number(fat.inLye ? fat.naohDemand : 0, 3)} g`,
  }))
  const inLye = sumOf(result.fats, (fat) => (fat.inLye ? fat.naohDemand : 0))
  lines.push({
    label: 'All of it, at no superfat',
    sum: 'sum of the fats',
    value: `${say.number(inLye, 3)} g`,
  })
  lines.push({
    label: `At ${say.percent(result.superfat.asked, 2)} superfat`,
    sum: `${say.number(inLye, 3)} g × (1 − ${say.number(result.superfat.asked, 4)})`,
    value: `${say.number(inLye * (1 - result.superfat.asked), 3)} g`,
  })
  for (const additive of result.additives.filter((item) => item.naohTaken > 0)) {
    const acid = acids[library.additives.get(additive.id)!.acid!]
    lines.push({
      label: `${additive.name} takes`,
      sum: `${say.mass(additive.grams)} × ${acid.protons} × 39.997 ÷ ${say.number(acid.molarMass, 3)}`,
      value: `${say.number(additive.naohTaken, 3)} g`,
    })
  }
  for (const liquid of result.liquids.filter((item) => item.naohTaken > 0))
    lines.push({
      label: `${liquid.name} takes`,
      sum: `${say.mass(liquid.grams)} × ${say.number(liquid.naohTaken / liquid.grams, 4)}`,
      value: `${say.number(liquid.naohTaken, 3)} g`,
    })
  if (document.alkali.kohShare > 0)
    lines.push({
      label: `Of that as potash, ${say.percent(document.alkali.kohShare)} of the moles`,
      sum: `${say.number(lye.pureAsNaoh, 3)} g × ${say.number(document.alkali.kohShare, 3)} ÷ ${factor} ÷ ${say.number(document.alkali.kohPurity, 3)}`,
      value: `${say.number(lye.koh, 3)} g KOH`,
    })
  const solution = lye.solution
  lines.push(
    solution === null
      ? {
          label: `At ${say.percent(document.alkali.naohPurity)} purity`,
          sum: `${say.number(lye.pureNaoh, 3)} g ÷ ${say.number(document.alkali.naohPurity, 4)}`,
          value: `${say.number(lye.naoh, 3)} g`,
        }
      : {
          label: 'As ready-mixed solution',
          sum: `${say.number(lye.pureNaoh, 3)} g ÷ ${say.number(document.alkali.solutionStrength!, 4)}`,
          value: `${say.number(solution, 3)} g`,
        },
  )
  const used = new Set(
    document.fats.map((line) =>
      line.sap == null ? (library.fats.get(line.id)?.sap.source ?? 'maker') : 'maker',
    ),
  )
  return {
    title: 'Lye to weigh',
    lines,
    total: {
      label: solution === null ? 'Sodium hydroxide' : 'Lye solution',
      value: say.massDown(solution ?? lye.naoh),
    },
    notes: [
      'Rounded down to what the scale shows: a little less lye is safe, a little more is not.',
      '39.997 and 56.1056 g/mol are the molar masses of NaOH and KOH; their quotient turns a saponification value into soda.',
      `Saponification values are averages of a natural range. From: ${[...used].map((id) => sources[id].title).join('; ')}.`,
    ],
  }
}

function explainWater(
  document: FormulaDocument,
  result: FormulaResult,
  say: Formatter,
): Explanation {
  const { water, lye } = result
  const pure = lye.pureNaoh + lye.pureKoh
  const value = document.water.value ?? 0
  const wanted =
    water.held === 'ratio'
      ? {
          label: 'Water to lye, held',
          sum: `${say.number(pure, 3)} g pure lye × ${say.number(value, 3)}`,
        }
      : water.held === 'strength'
        ? {
            label: 'Lye strength, held',
            sum: `${say.number(pure, 3)} g pure lye × (1 ÷ ${say.number(value, 4)} − 1)`,
          }
        : water.held === 'grams'
          ? { label: 'Water by weight, held', sum: 'with the water of everything else' }
          : {
              label: 'Share of oils, held',
              sum: `${say.mass(result.oils)} × ${say.number(value, 4)}`,
            }
  const lines = result.parts.length
    ? result.parts.map(({ name, result: pot }) => ({
        label: `Pot "${name}"`,
        sum: `${say.number(pot.lye.pureNaoh + pot.lye.pureKoh, 3)} g pure lye × ${say.number(pot.water.ratio, 3)}`,
        value: `${say.number(pot.water.content, 3)} g`,
      }))
    : [{ ...wanted, value: `${say.number(water.content, 3)} g` }]
  if (water.inSolution > 0)
    lines.push({
      label: 'Comes with the ready-mixed lye',
      sum: `${say.number(lye.solution ?? 0, 3)} g − ${say.number(lye.pureNaoh, 3)} g`,
      value: `−${say.number(water.inSolution, 3)} g`,
    })
  for (const liquid of result.liquids)
    lines.push({
      label: `${liquid.name}, its water`,
      sum: `${say.mass(liquid.grams)} × ${say.percent(liquid.grams > 0 ? liquid.waterGrams / liquid.grams : 0)}`,
      value: `−${say.number(liquid.waterGrams, 3)} g`,
    })
  return {
    title: 'Water to weigh',
    lines,
    total: { label: 'Water', value: say.mass(water.weighed) },
    notes: [
      `The same water said three ways: ${say.ratio(water.ratio)} to lye, ${say.percent(water.strength, 2)} strong lye, ${say.percent(water.shareOfOils, 2)} of the oils.`,
      'Lye here is pure alkali: impurities in the flakes do not count.',
    ],
  }
}

function explainBatter(result: FormulaResult, say: Formatter): Explanation {
  const extra = result.carriers.filter(({ from }) => from === 'extra')
  const all = [...result.liquids, ...result.additives, ...extra, ...result.scents]
  return {
    title: 'Batter in the pot',
    lines: [
      { label: 'Fats', sum: '', value: say.mass(result.oils) },
      {
        label: 'Lye',
        sum: '',
        value: say.mass(lyeWeighed(result)),
      },
      { label: 'Water', sum: '', value: say.mass(result.water.weighed) },
      ...all.map((portion) => ({ label: portion.name, sum: '', value: say.mass(portion.grams) })),
    ],
    total: { label: 'Batter', value: say.mass(result.batter) },
    notes: ['What is weighed is what is in the pot; nothing is lost yet.'],
  }
}

function explainSuperfat(result: FormulaResult, say: Formatter): Explanation {
  const { lye, superfat } = result
  const forFats = lye.pureAsNaoh - lye.acidDemand
  return {
    title: 'Superfat in all',
    lines: [
      {
        label: 'Lye left for the fats',
        sum: 'pure lye less what acids take',
        value: `${say.number(forFats, 3)} g`,
      },
      {
        label: 'The fats could take',
        sum: 'every fat in the pot, milk fat included',
        value: `${say.number(forFats / (1 - superfat.total), 3)} g`,
      },
    ],
    total: { label: '1 − first ÷ second', value: say.percent(superfat.total, 2) },
    notes: [
      'Superfat is a lye discount: the share of the fats that finds no lye. Which fats stay free is not yours to choose; the lye takes what it meets.',
    ],
  }
}

/**
 * The sum behind a figure, as `why?` shows it.
 * @example explain('water', example, made, shipped, say).total.value // '283.1 g'
 */
export function explain(
  figure: Figure,
  document: FormulaDocument,
  result: FormulaResult,
  library: Library,
  say: Formatter,
): Explanation {
  switch (figure) {
    case 'lye':
      return explainLye(document, result, library, say)
    case 'water':
      return explainWater(document, result, say)
    case 'batter':
      return explainBatter(result, say)
    case 'superfat':
      return explainSuperfat(result, say)
  }
}
