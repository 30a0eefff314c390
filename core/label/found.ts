import type { FormulaResult } from '#contracts/result'
import { acids, type Acid } from '../chemistry/acids'
import { potashOf } from '../character/traits'
import { molarMass } from '../chemistry/elements'
import type { Library } from '../materials/library'
import { bodiesOf, type FatBody } from './bodies'
import { merged, wholeOf, type LabelLine } from './line'
import { acidSalts, saltName, sourSalts } from './names'
import { fatLine, otherLine, scentLines } from './putIn'

/*
 * What is in the bar once lye and fats have become soap. Each mol of fat gives three of soap and one of glycerin, a free acid one of
 * soap and one of water, a wax soap and its alcohol; what the lye leaves over stays fat.
 */

const glycerin = 92.094
/** g/mol of glycerin for each mol of alkali. */
const glycerinEach = glycerin / 3

interface Made {
  /** g of soap by the alkali that made it. */
  sodium: number
  potassium: number
  glycerin: number
  alcohol: number
  free: number
}

/**
 * What a fat becomes.
 * @param superfat share of all fat that stays free
 * @param potash share of the moles of alkali that is potash
 */
function becomes(
  { grams, sap, chemistry, unsaponifiable }: Omit<FatBody, 'id' | 'name' | 'inci'>,
  superfat: number,
  potash: number,
): Made {
  const takes = sap > 0 ? grams * (1 - superfat) : 0
  const moles = (takes * sap) / 1000 / molarMass.koh
  const off = {
    triglyceride: moles * glycerinEach,
    'free-acid': moles * molarMass.water,
    rosin: moles * molarMass.water,
    'wax-ester': takes * unsaponifiable,
  }[chemistry]
  // By moles both soaps are the same fat; the heavier alkali makes the heavier part of it.
  const body = takes - off
  return {
    sodium: (1 - potash) * (body + moles * molarMass.naoh),
    potassium: potash * (body + moles * molarMass.koh),
    glycerin: chemistry === 'triglyceride' ? off : 0,
    alcohol: chemistry === 'wax-ester' ? off : 0,
    free: grams - takes,
  }
}

/** g of crystal water that is in a gram of an acid, and mol of water for each mol of alkali that it takes. */
const waters: Partial<Record<Acid, { crystal: number; each: number }>> = {
  'citric-monohydrate': {
    crystal: molarMass.water / acids['citric-monohydrate'].molarMass,
    each: 1,
  },
  // Na₂B₄O₇·10 H₂O + 2 NaOH → 4 NaBO₂ + 11 H₂O: of the eleven, ten are its own.
  borax: { crystal: (10 * molarMass.water) / acids.borax.molarMass, each: 0.5 },
}

/** g of salt that so much of an acid, or of something sour, makes with the pure NaOH that it takes, in soda and in potash. */
function saltOf(acid: Acid | null, grams: number, naohTaken: number, potash: number) {
  const { crystal = 0, each = 1 } = (acid && waters[acid]) ?? {}
  const moles = naohTaken / molarMass.naoh
  const body = grams * (1 - crystal) - each * moles * molarMass.water
  return {
    sodium: (1 - potash) * (body + moles * molarMass.naoh),
    potassium: potash * (body + moles * molarMass.koh),
  }
}

/**
 * The ingredients of a batch as they are found in the bar, the heaviest first. All of it together is what the bars weigh: what the dry
 * part leaves is water.
 * @param bar g of all bars of the batch when they are sold; never less than their dry part
 * @example foundInBar(made, shipped, made.longDried).find(({ latin }) => latin === 'Glycerin').grams // 98.76
 */
export function foundInBar(result: FormulaResult, library: Library, bar: number): LabelLine[] {
  const { fats, others } = bodiesOf(result, library)
  const potash = potashOf(result)
  const superfat = Math.max(0, result.superfat.total)
  const lines: LabelLine[] = []
  const add = (id: string, latin: string, grams: number, kind: LabelLine['kind']) =>
    lines.push({ id, latin, english: latin, kind, grams })
  for (const fat of fats) {
    const made = becomes(fat, superfat, potash)
    add(fat.id, saltName(fat.id, fat.name, 'Sodium'), made.sodium, 'salt')
    add(fat.id, saltName(fat.id, fat.name, 'Potassium'), made.potassium, 'salt')
    lines.push(otherLine('glycerin', 'Glycerin', made.glycerin))
    // The alcohols of a wax are listed under it: nobody knows them one by one.
    lines.push(fatLine(fat, made.free + made.alcohol))
  }
  for (const { id, name, grams, water, fat, fatSap, naohTaken, acid, isColour } of others) {
    const salted = acid ? acidSalts[acid] : sourSalts[id]
    if (salted) {
      const salt = saltOf(acid, grams - water, naohTaken, potash)
      add(id, `Sodium ${salted}`, salt.sodium, 'other')
      add(id, `Potassium ${salted}`, salt.potassium, 'other')
      continue
    }
    const milk = becomes(
      { grams: fat, sap: fatSap, chemistry: 'triglyceride', unsaponifiable: 0 },
      superfat,
      potash,
    )
    lines.push(otherLine('glycerin', 'Glycerin', milk.glycerin))
    const rest = saltOf(null, grams - water - fat, naohTaken, potash)
    const solids = rest.sodium + rest.potassium + milk.sodium + milk.potassium + milk.free
    lines.push(otherLine(id, name, solids, isColour ? 'colour' : 'other'))
  }
  // What a sodium hydroxide is beside itself is mostly what the air made of it.
  if (result.lye.solution === null)
    add('naoh', 'Sodium Carbonate', result.lye.naoh - result.lye.pureNaoh, 'other')
  lines.push(...scentLines(result))
  const dry = merged(lines)
  const left = bar - wholeOf(dry)
  return merged([...dry, otherLine('water', 'Water', Math.max(0, left), 'water')])
}

/**
 * g of all bars of a batch without any water.
 * @example Math.round(dryOf(made, shipped)) // 1129
 */
export const dryOf = (result: FormulaResult, library: Library): number =>
  wholeOf(foundInBar(result, library, 0))
