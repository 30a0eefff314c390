import type { BatchEvent, Difference, Made } from '#contracts/batch'
import type { SalvageWay } from '#contracts/rackWords'
import type { Frozen } from '#contracts/result'
import { balanceOf, correctedMade, reworkOf } from './wrong'

/* What becomes of a batch that went wrong, as a plan: what goes in, what it is then, how long it stands. Grams, fractions. */

/** Share of water in soap that melts to a mass which can be stirred. Makers' custom. */
export const remeltWater = 0.32

/** What is weighed to melt a batch again. */
export interface Remelt {
  fat: { id: string; name: string; grams: number } | null
  water: number
  /** Of all of it, in the pan. */
  mass: number
  superfat: number
}

/**
 * How to melt again what is left of a batch: so much of a liquid fat that it has superfat to spare, and so much water that the
 * soap melts to something that can be stirred.
 * @param left share of the batch that is still there, 0–1
 * @param mass g of it as it lies there now; undefined where nobody weighed it: then as it was poured
 * @returns null where there is no fat to give it
 * @example remeltOf(frozen, madeAsPlanned(frozen), 1).fat // null
 */
export function remeltOf(frozen: Frozen, made: Made, left: number, mass?: number): Remelt | null {
  const { target, given, grams: lacking } = reworkOf(frozen, balanceOf(frozen, made))
  if (!given || !(made.batter > 0)) return null
  const grams = Math.max(0, lacking) * left
  const poured = made.batter * left
  const now = mass ?? poured
  // What has dried off was water.
  const waterNow = Math.max(0, made.water * left - Math.max(0, poured - now))
  const water = Math.max(0, (remeltWater * (now + grams) - waterNow) / (1 - remeltWater))
  const fat = grams > 0.05 ? { id: given.id, name: given.name, grams } : null
  return {
    fat,
    water,
    mass: now + grams + water,
    superfat: lacking > 0 ? target : made.superfat,
  }
}

/**
 * What a salvage put into the whole batch, as differences of its weights: what went into a share of it counts as if it had gone
 * into all of it.
 * @example salvageDifferences({ way: 'kept' }) // []
 */
export const salvageDifferences = ({
  way,
  left,
  fat,
  water,
}: Pick<
  Extract<BatchEvent, { kind: 'salvaged' }>,
  'way' | 'left' | 'fat' | 'water'
>): Difference[] =>
  way === 'remelted'
    ? [
        ...(fat ? [{ what: fat.id, grams: fat.grams / left }] : []),
        ...(water > 0 ? [{ what: 'water', grams: water / left }] : []),
      ]
    : []

/**
 * What a batch is after it was salvaged.
 * @example salvagedMade(frozen, madeAsPlanned(frozen), { way: 'kept', left: 1, fat: null, water: 0 }).superfat // 0.05
 */
export const salvagedMade = (
  frozen: Frozen,
  made: Made,
  event: Parameters<typeof salvageDifferences>[0],
): Made => correctedMade(frozen, made, salvageDifferences(event))

/** What each way is, and how it is done. */
export const salvageKinds: Record<SalvageWay, { says: string; how: string[] }> = {
  remelted: {
    says: 'Melt it again',
    how: [
      'Goggles, gloves, long sleeves, open air: until a strip says otherwise it is lye.',
      'Grate or chop it into a steel pan, crumbs and liquid too: the lye is in them.',
      'Add what is said above, put the lid on, warm it slowly to 75 to 85 °C, in a water bath or an oven. Stir now and then, never boil.',
      'After an hour or two it is one translucent mass. Hold a strip to it: over 10, cook on.',
      'Press it into a lined mould, cut it next day, let it dry for four weeks.',
    ],
  },
  laundry: {
    says: 'Grate it for the laundry',
    how: [
      'Only with little lye to spare: by its weights no more than 3 %, and no liquid on it.',
      'Wear goggles and gloves. Dry the gratings in open air for two weeks, out of reach of children and pets.',
      'Mix them with the same weight of washing soda; keep it closed, labelled “caustic, for washing, not for skin”.',
      'A spoon for a machine; not for wool, silk or hand washing.',
    ],
  },
  kept: {
    says: 'Keep it and look again',
    how: [
      'For what is soft, ashy or lean, not for what bites: time does not take free lye out of pockets.',
      'Put it by itself, write its number and “not tested” on it, hold a strip to three bars in two weeks.',
    ],
  },
}

/** Free lye, as negative superfat, beyond which a batch is not grated for laundry either. */
export const laundryLeast = -0.03

/**
 * Why a way is not for this batch; null where it is.
 * @example whyNotSalvaged('laundry', -0.1)
 *   // 'There is too much lye in it for laundry too: melt it again with fat, or throw it away as your local rules say.'
 */
export function whyNotSalvaged(way: SalvageWay, superfat: number): string | null {
  if (way === 'laundry' && superfat < laundryLeast)
    return 'There is too much lye in it for laundry too: melt it again with fat, or throw it away as your local rules say.'
  if (way === 'kept' && superfat < 0)
    return 'There is free lye in it: keeping it does not mend that.'
  return null
}
