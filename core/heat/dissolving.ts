import type { VesselStuff } from '#contracts/benchWords'
import { molarMass } from '../chemistry/elements'

/*
 * The heat of a lye jug. Integral heat of solution of solid NaOH at 25 °C, kJ evolved per mol, by mol water per mol NaOH
 * (standard thermochemical tables); below 3 extrapolated. Heat capacities in J/gK, melting in J/g.
 */
const heatOfSolution = [
  [2.2, 22.5],
  [3, 28.89],
  [4, 34.43],
  [5, 37.76],
  [10, 42.51],
  [20, 42.84],
] as const

/** Potash gives off about 57.6 kJ per mol in much water where soda gives 44.5. */
const potashHeat = 57.6 / 44.5
/** J/gK of solid alkali. */
export const solidAlkali = 1.49
const waterHeat = 4.18
const iceHeat = 2.1
const melting = 334
/** Sugar, protein and fat of milks and juices. */
const otherHeat = 2
/** °C of the table. */
export const tableC = 25

/** Slopes at the points such that the cubic between them never overshoots (Fritsch and Carlson). */
function monotoneSlopes(points: readonly (readonly [number, number])[]): number[] {
  const secants = points
    .slice(1)
    .map(([x, y], index) => (y - points[index]![1]) / (x - points[index]![0]))
  const slopes = points.map((_, index) => {
    const before = secants[index - 1]
    const after = secants[index]
    if (before === undefined) return after!
    if (after === undefined) return before
    return before * after <= 0 ? 0 : (before + after) / 2
  })
  secants.forEach((secant, index) => {
    const a = slopes[index]! / secant
    const b = slopes[index + 1]! / secant
    const length = Math.hypot(a, b)
    if (length <= 3) return
    slopes[index] = (3 * a * secant) / length
    slopes[index + 1] = (3 * b * secant) / length
  })
  return slopes
}
const slopes = monotoneSlopes(heatOfSolution)

/**
 * Heat given off when a mol of solid NaOH dissolves, kJ.
 * @param molesOfWater per mol of NaOH; below 2.2 and above 20 as at those ends
 * @example heatPerMol(5) // 37.76
 */
export function heatPerMol(molesOfWater: number): number {
  const first = heatOfSolution[0]
  const last = heatOfSolution.at(-1)!
  if (molesOfWater <= first[0]) return first[1]
  if (molesOfWater >= last[0]) return last[1]
  const index = heatOfSolution.findIndex(([x]) => x > molesOfWater) - 1
  const [x0, y0] = heatOfSolution[index]!
  const [x1, y1] = heatOfSolution[index + 1]!
  const width = x1 - x0
  const t = (molesOfWater - x0) / width
  return (
    y0 * (1 + 2 * t) * (1 - t) ** 2 +
    slopes[index]! * width * t * (1 - t) ** 2 +
    y1 * t * t * (3 - 2 * t) +
    slopes[index + 1]! * width * t * t * (t - 1)
  )
}

/** J/gK that a share of dissolved alkali takes off water's: of soda, and of potash (3.1 J/gK at 25 to 30 %). */
const sodaTakes = 1.9
const potashTakes = 3.9
/**
 * J/gK of a lye solution by strength, 0–0.5, measured from 0.25 on and on the line to water's own below; above as at the end.
 * @param potash share of the alkali's mass that is potash, 0–1
 * @example solutionHeat(1 / 3) // 3.54667
 */
export const solutionHeat = (strength: number, potash = 0): number =>
  waterHeat -
  (sodaTakes + (potashTakes - sodaTakes) * potash) * Math.min(0.5, Math.max(0, strength))

/** What meets in the lye jug. g and °C; pure alkali. */
export interface LyeJug {
  /** Dry soda and potash, pure. */
  naoh: number
  koh: number
  /** Pure soda that comes as a ready-mixed solution, with that solution's own water. */
  readyNaoh: number
  readyWater: number
  /** Liquid water content, and what of it is ice or frozen liquid. */
  water: number
  ice: number
  /** Solids that milk or juice brings. */
  other: number
  /** Of liquids, lye and jug. */
  roomC: number
  iceC: number
  /** Of what is poured in liquid, where it is colder than the room. */
  liquidC?: number
  /** The lye goes in by the spoon, between which it cools: then it has no peak to speak of. */
  bySpoon?: boolean
  /** J/K of what the jug itself takes up while the lye dissolves; 0 for none. */
  jugHeat: number
}

/**
 * What vessels are made of: J/gK, and how much of the vessel warms in the minutes until the peak. Plastic takes its heat slowly,
 * steel and glass nearly at once.
 */
const stuffs = {
  pp: { heat: 1.9, takes: 1 / 3 },
  hdpe: { heat: 2.2, takes: 1 / 3 },
  silicone: { heat: 1.3, takes: 1 / 3 },
  plastic: { heat: 1.9, takes: 1 / 3 },
  steel: { heat: 0.5, takes: 0.9 },
  glass: { heat: 0.84, takes: 0.9 },
} as const satisfies Record<VesselStuff, { heat: number; takes: number }>

/**
 * J/K that a vessel takes up while lye dissolves in it. g, above 0.
 * @example heatTakenBy({ grams: 500, stuff: 'steel' }) // 225
 */
export const heatTakenBy = ({ grams, stuff }: { grams: number; stuff: VesselStuff }): number =>
  grams * stuffs[stuff].heat * stuffs[stuff].takes

/**
 * J that dry alkali gives off when it dissolves in all the water there is.
 * @example heatEvolved(jug) // 123015
 */
export function heatEvolved(jug: LyeJug): number {
  const asSoda = jug.naoh / molarMass.naoh
  const asKoh = jug.koh / molarMass.koh
  const moles = asSoda + asKoh + jug.readyNaoh / molarMass.naoh
  const water = jug.water + jug.ice + jug.readyWater
  return moles > 0
    ? 1000 * (asSoda + asKoh * potashHeat) * heatPerMol(water / molarMass.water / moles)
    : 0
}

/**
 * J that the ice of a jug takes to warm to nought, and to melt.
 * @example iceTakes({ ice: 100, iceC: -18 }) // { warm: 3780, melt: 33400 }
 */
export const iceTakes = ({
  ice,
  iceC,
}: Pick<LyeJug, 'ice' | 'iceC'>): { warm: number; melt: number } => ({
  warm: ice * iceHeat * Math.max(0, -iceC),
  melt: ice * melting,
})

/**
 * °C at which everything dissolved would arrive if no heat were lost: one enthalpy balance about 25 °C.
 * Gives the room's temperature when there is no alkali or no water.
 * @example peakWithoutLoss(jug) // 100.122
 */
export function peakWithoutLoss(jug: LyeJug): number {
  const fresh = (jug.naoh + (jug.koh * molarMass.naoh) / molarMass.koh) / molarMass.naoh
  const ready = jug.readyNaoh / molarMass.naoh
  const water = jug.water + jug.ice + jug.readyWater
  if (fresh + ready <= 0 || water <= 0) return jug.roomC
  const diluted = heatPerMol(water / molarMass.water / (fresh + ready))
  const evolved = heatEvolved(jug)
  const dilution =
    ready > 0 ? 1000 * ready * (diluted - heatPerMol(jug.readyWater / molarMass.water / ready)) : 0
  const aboveTable = jug.roomC - tableC
  const liquid = jug.water * waterHeat + jug.other * otherHeat
  const readyGrams = jug.readyNaoh + jug.readyWater
  const readyHeat = readyGrams > 0 ? readyGrams * solutionHeat(jug.readyNaoh / readyGrams) : 0
  const start =
    ((jug.naoh + jug.koh) * solidAlkali + readyHeat + jug.jugHeat) * aboveTable +
    liquid * ((jug.liquidC ?? jug.roomC) - tableC) +
    jug.ice * (iceHeat * jug.iceC - melting - waterHeat * tableC)
  const capacity = jugCapacity(jug)
  return tableC + (evolved + dilution + start) / capacity
}

/**
 * J/K of what is in the jug once dissolved, the jug included.
 * @example jugCapacity(jug) // 1542.04
 */
export function jugCapacity(jug: LyeJug): number {
  const alkali = jug.naoh + jug.koh + jug.readyNaoh
  const solution = alkali + jug.water + jug.ice + jug.readyWater
  if (solution <= 0) return jug.jugHeat
  return (
    solution * solutionHeat(alkali / solution, alkali > 0 ? jug.koh / alkali : 0) +
    jug.other * otherHeat +
    jug.jugHeat
  )
}

/** K that an open jug loses until its peak, at least and at most, though never more than these shares of what it warms. */
const losses = { least: 10, most: 20, leastShare: 1 / 4, mostShare: 1 / 2 } as const
/** °C at which lye of these strengths boils, about. */
const boils = 118
/** K by which frozen liquid may have been colder or warmer than a freezer, half thawed or with lumps left. */
const slush = 5

export interface ExpectedPeak {
  /** °C between which the peak of this open jug lies. */
  low: number
  high: number
  /** K above the room that it would reach without losses. */
  rise: number
  /** Frozen or slushy liquid: it stays cold until that has melted. */
  frozen: boolean
}

/**
 * The range in which the peak of an open jug is to be expected: some of its heat is lost while it is stirred.
 * @example openJugPeak(jug).high // 90.1225
 */
export function openJugPeak(jug: LyeJug): ExpectedPeak {
  const peak = Math.min(boils, peakWithoutLoss(jug))
  const rise = Math.max(0, peak - jug.roomC)
  const frozen = jug.ice > 0
  const give = frozen ? slush : 0
  return {
    low: peak - Math.min(losses.most, rise * losses.mostShare) - give,
    high: peak - Math.min(losses.least, rise * losses.leastShare) + give,
    rise,
    frozen,
  }
}

/** A draught, a probe off by a degree, flakes that dissolve slowly: this much under the range is still no sign, K (judgement). */
const slack = 4
/** One more for the probe where lye is to show for sure. */
const probeC = 1
/** A jug that warms by less than this says nothing of its lye, K. */
const tellsFrom = 25

/** What a peak can tell of the lye: the shares of its strength under which weak lye shows at even odds, and surely. */
export interface Sight {
  even: number
  surely: number
}

/** °C under which a peak is a sign of weak lye; null where this jug cannot tell. */
function signAt(jug: LyeJug, { low, rise }: ExpectedPeak): number | null {
  const dry = jug.naoh + jug.koh
  return jug.bySpoon || jug.ice > 0 || dry <= 0 || rise < tellsFrom ? null : low - slack
}

/** The same jug with lye of which only a share is lye, the rest water that it has drawn. */
const weakened = (jug: LyeJug, share: number): LyeJug => ({
  ...jug,
  naoh: jug.naoh * share,
  koh: jug.koh * share,
  water: jug.water + (jug.naoh + jug.koh) * (1 - share),
})

/**
 * How weak the lye must be to show in this jug; null where it cannot show: frozen liquid, ready-mixed lye, little lye in much.
 * @example sightOf(jug) // { even: 0.843837, surely: 0.757333 }
 */
export function sightOf(jug: LyeJug): Sight | null {
  const expected = openJugPeak(jug)
  const sign = signAt(jug, expected)
  if (sign === null) return null
  const { high, low } = expected
  const peak = jug.roomC + expected.rise
  /** The share at which a jug that loses so much peaks at the sign. */
  const shareAt = (lost: number) => {
    let [weak, strong] = [0, 1]
    for (let step = 0; step < 30; step++) {
      const middle = (weak + strong) / 2
      if (peakWithoutLoss(weakened(jug, middle)) - lost < sign) weak = middle
      else strong = middle
    }
    return strong
  }
  return { even: shareAt(peak - (low + high) / 2), surely: shareAt(peak - high - probeC) }
}

/**
 * Whether a peak lies so far below what this lye should give that the lye is suspected to be weak. It is a sign only: it
 * never raises a weighed amount.
 * @example suspectsWeakLye(jug, 60) // true
 */
export function suspectsWeakLye(jug: LyeJug, measuredPeakC: number): boolean {
  const sign = signAt(jug, openJugPeak(jug))
  return sign !== null && measuredPeakC < sign
}
