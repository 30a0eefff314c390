import type { FormulaResult } from '#contracts/result'
import type { Acid } from '../chemistry/acids'
import { acids } from '../chemistry/acids'
import { molarMass } from '../chemistry/elements'
import type { Fat } from '../materials/fat'
import type { Library } from '../materials/library'
import { openedFats } from '../materials/opened'

/*
 * What is in a batch, thing by thing, whatever it was weighed as: blends opened, milk as its water and the rest, acids as what they are
 * pure.
 */

/** A fat with the saponification value that counts, mg KOH per g. */
export interface FatBody {
  id: string
  name: string
  inci: string
  grams: number
  sap: number
  chemistry: Fat['chemistry']
  /** Share that takes no alkali. */
  unsaponifiable: number
}

/** A liquid or an extra: g as weighed, of it water and fat, and what its acid takes. */
export interface OtherBody {
  id: string
  name: string
  grams: number
  water: number
  fat: number
  fatSap: number
  /** g pure NaOH that it takes. */
  naohTaken: number
  acid: Acid | null
  /** A colour, which some places name last. */
  isColour: boolean
}

/** Everything in a batch that is no lye, no water and no scent. */
export interface Bodies {
  fats: FatBody[]
  others: OtherBody[]
}

/**
 * The fats and the rest of a batch, as they count. A part of a coloured oil that is no fat is an extra.
 * @example bodiesOf(made, shipped).fats[0].inci // 'Olea Europaea Fruit Oil'
 */
export function bodiesOf(result: FormulaResult, library: Library): Bodies {
  const fats: FatBody[] = []
  const others: OtherBody[] = []
  const addExtra = (id: string, name: string, grams: number, naohTaken = 0, fatGrams = 0) => {
    const known = library.additives.get(id)
    const acid = known?.acid ?? null
    const pure = acid
      ? (naohTaken * acids[acid].molarMass) / (acids[acid].protons * molarMass.naoh)
      : 0
    others.push({
      id,
      name,
      grams,
      // What an acid is weighed with beside itself is the water that it is dissolved in.
      water: acid ? Math.max(0, grams - pure) : 0,
      fat: fatGrams,
      fatSap: known?.fatSap ?? 0,
      naohTaken,
      acid,
      isColour: known?.group === 'colour',
    })
  }
  const lines = [
    ...result.fats,
    ...result.carriers
      .filter(({ from }) => from === 'extra')
      .map((line) => ({ ...line, share: 0, sap: library.fats.get(line.id)?.sap.typical ?? 0 })),
  ]
  for (const { id, name, grams, fat, line, alone } of openedFats(lines, library)) {
    if (!fat && !alone) addExtra(id, name, grams)
    else {
      const whole = lines[line]!
      const usual = library.fats.get(whole.id)?.sap.typical ?? whole.sap
      fats.push({
        id,
        name,
        inci: fat?.inci ?? '',
        grams,
        // A lot's own value counts for all that is in it alike.
        sap: alone ? whole.sap : (fat!.sap.typical * whole.sap) / (usual || 1),
        chemistry: fat?.chemistry ?? 'triglyceride',
        unsaponifiable: fat?.unsaponifiables.value ?? 0,
      })
    }
  }
  for (const { id, name, grams, waterGrams, fatGrams, naohTaken } of result.liquids)
    others.push({
      id,
      name,
      grams,
      water: waterGrams,
      fat: fatGrams,
      fatSap: library.liquids.get(id)?.fatSap ?? 0,
      naohTaken,
      acid: null,
      isColour: false,
    })
  for (const { id, name, grams, naohTaken, fatGrams } of result.additives)
    addExtra(id, name, grams, naohTaken, fatGrams)
  return { fats, others }
}
