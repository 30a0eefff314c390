import type { AdditiveLine, FormulaDocument, PartLine } from '#contracts/formula'
import type { FormulaResult, Portion } from '#contracts/result'
import { waysFrom } from '../water/ways'
import { scaleMeasure } from './measure'
import { driestWaterShare } from './pot'
import { sum } from '../statistics/sum'

/**
 * When a pot's own extra goes in. Jug and pan are for all pots, so that what is one pot's alone joins at trace; into the lye it goes
 * only where the pot has a lye of its own.
 */
const momentInPart = (part: PartLine, moment: AdditiveLine['moment']): AdditiveLine['moment'] =>
  part.water && moment !== 'oils' ? moment : 'trace'

/**
 * A part as a formula of its own: its share of everything, its own water, its own extras besides the common ones, and the
 * scent unless it goes without. A scent's rate stays a rate of the part's own oils.
 * @example documentOfPart(soap({ scents: [scent('Fir', 0.03)] }), pot('pale', 0.4, { scent: false })).scents // []
 */
export function documentOfPart(document: FormulaDocument, part: PartLine): FormulaDocument {
  const share = part.share ?? 0
  const scented = document.parts.filter(({ scent }) => scent)
  const scentedShare = sum(scented.map((line) => line.share ?? 0))
  const scentShare = part.scent && scentedShare > 0 ? share / scentedShare : 0
  const ofWhole = (grams: number | null | undefined) => (grams == null ? grams : grams * share)
  const { water } = document
  return {
    ...document,
    name: `${document.name}, ${part.name}`,
    parts: [],
    water:
      part.water ??
      (water.held === 'grams' ? { held: 'grams', value: (water.value ?? 0) * share } : water),
    iceGrams: ofWhole(document.iceGrams),
    liquids: document.liquids.map((line) =>
      line.grams == null ? line : { ...line, grams: line.grams * share },
    ),
    additives: [
      ...document.additives.map((line) => scaleMeasure(line, share)),
      ...part.additives.map((line) => ({ ...line, moment: momentInPart(part, line.moment) })),
    ],
    scents: part.scent ? document.scents.map((line) => scaleMeasure(line, scentShare)) : [],
  }
}

/** Adds portions of the same thing over the pots; the rest of each is that of the first. */
function sumPortions<T extends Portion>(lists: T[][], add: (sum: T, one: T) => T): T[] {
  const sums = new Map<string, T>()
  for (const one of lists.flat()) {
    const key = `${one.id} ${'moment' in one ? String(one.moment) : ''} ${'from' in one ? String(one.from) : ''}`
    const before = sums.get(key)
    sums.set(key, before ? add(before, one) : one)
  }
  return [...sums.values()]
}

/**
 * The batch as the sum of its pots. Fats are added line by line, everything else by what it is; water and superfat of
 * the whole follow from the sums.
 * @example sumOfPots(example, [{ name: 'pale', share: 1, result: made }]).oils // 1000
 */
export function sumOfPots(
  document: FormulaDocument,
  pots: { name: string; share: number; result: FormulaResult }[],
): FormulaResult {
  const results = pots.map(({ result }) => result)
  const first = results[0]!
  const add = (pick: (result: FormulaResult) => number) => sum(results.map(pick))
  const oils = add((result) => result.oils)
  const fats = first.fats.map((fat, index) => {
    const grams = add((result) => result.fats[index]!.grams)
    return {
      ...fat,
      grams,
      share: oils > 0 ? grams / oils : 0,
      naohDemand: add((result) => result.fats[index]!.naohDemand),
    }
  })
  const pureNaoh = add((result) => result.lye.pureNaoh)
  const pureKoh = add((result) => result.lye.pureKoh)
  const pure = pureNaoh + pureKoh
  const content = add((result) => result.water.content)
  const acidDemand = add((result) => result.lye.acidDemand)
  const pureAsNaoh = add((result) => result.lye.pureAsNaoh)
  const demandOf = ({ lye, superfat }: FormulaResult) =>
    superfat.total < 1 ? (lye.pureAsNaoh - lye.acidDemand) / (1 - superfat.total) : 0
  const demand = add(demandOf)
  const batter = add((result) => result.batter)
  const longDried = add((result) => result.longDried)
  const scents = sumPortions(
    results.map((result) => result.scents),
    (sum, one) => ({ ...sum, grams: sum.grams + one.grams }),
  )
  /** The maximum holds for every bar, so what counts is the part with the most of it. */
  const most = (id: string) =>
    Math.max(
      ...results.map(({ scents: list }) => list.find((scent) => scent.id === id)?.shareOfBar ?? 0),
    )
  return {
    ...first,
    oils,
    fats,
    liquids: sumPortions(
      results.map((result) => result.liquids),
      (sum, one) => ({
        ...sum,
        grams: sum.grams + one.grams,
        waterGrams: sum.waterGrams + one.waterGrams,
        fatGrams: sum.fatGrams + one.fatGrams,
        naohTaken: sum.naohTaken + one.naohTaken,
      }),
    ),
    additives: sumPortions(
      results.map((result) => result.additives),
      (sum, one) => ({
        ...sum,
        grams: sum.grams + one.grams,
        naohTaken: sum.naohTaken + one.naohTaken,
        fatGrams: sum.fatGrams + one.fatGrams,
        estimated: sum.estimated || one.estimated,
      }),
    ),
    scents: scents.map((scent) => ({ ...scent, shareOfBar: most(scent.id) })),
    carriers: sumPortions(
      results.map((result) => result.carriers),
      (sum, one) => ({ ...sum, grams: sum.grams + one.grams }),
    ),
    parts: pots,
    lye: {
      pureAsNaoh,
      fullFatDemand: add((result) => result.lye.fullFatDemand),
      acidDemand,
      pureNaoh,
      pureKoh,
      naoh: add((result) => result.lye.naoh),
      koh: add((result) => result.lye.koh),
      solution: first.lye.solution === null ? null : add((result) => result.lye.solution ?? 0),
    },
    water: {
      held: document.water.held,
      ...(pure > 0 && content > 0
        ? waysFrom(content / pure, pure, oils)
        : { ratio: 0, strength: 0, shareOfOils: 0 }),
      content,
      weighed: add((result) => result.water.weighed),
      ice: add((result) => result.water.ice),
      inSolution: add((result) => result.water.inSolution),
      ratioInLye: Math.min(...results.map((result) => result.water.ratioInLye)),
      smallestRatio:
        first.water.smallestRatio === null
          ? null
          : Math.max(...results.map((result) => result.water.smallestRatio ?? 0)),
    },
    superfat: {
      asked: first.superfat.asked,
      total: demand > 0 ? 1 - (pureAsNaoh - acidDemand) / demand : 0,
    },
    batter,
    longDried: Math.min(longDried, (batter - content) / (1 - driestWaterShare)),
    fattyMatter: add((result) => result.fattyMatter),
  }
}
