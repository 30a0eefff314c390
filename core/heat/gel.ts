import type { BatterStage } from '#contracts/benchWords'
import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { isCitric } from '../chemistry/acids'
import { patternOf } from '../formula/method'
import type { Library } from '../materials/library'
import { mouldsOf } from '../mould/fillings'
import { sumOf } from '../statistics/sum'
import { clamp } from '../statistics/clamp'

/*
 * Whether a loaf turns translucent in the middle. Low confidence: the heat of saponification is known to a sixth, the
 * rest is estimate, and makers' records decide (docs/science.md, gel).
 */

/** J per g of fat, and the range of the literature. */
const saponification = { low: 190, usual: 220, high: 270 } as const
/** J/gK of batter. */
const batterHeat = 2.6
/** m²/s of batter; hours in which most of the heat comes free. */
const diffusivity = 1.1e-7
const reactionHours = 1
/** How many times longer the heat stays in. */
const keeping = { leave: 1, force: 3, prevent: 0.4 } as const

/**
 * Seconds in which heat leaves the middle, times diffusivity over the square of half the way across: first roots of the plate, the
 * cylinder (2.405, of J₀) and the cube.
 */
const ways = {
  plate: 4 / Math.PI ** 2,
  cylinder: 1 / 2.404825557695773 ** 2,
  cube: 4 / (3 * Math.PI ** 2),
} as const
/** mm across the thinnest way out of the batter, and what it is like: an open loaf by default. */
interface Block {
  mm: number
  shape: keyof typeof ways
}
const usualBlock: Block = { mm: 70, shape: 'plate' }

/** m² times seconds that the slowest of the moulds keeps its heat by. */
const keepsHeat = ({ mm, shape }: Block): number => ways[shape] * (mm / 2000) ** 2

function blockOf(document: FormulaDocument): Block {
  const blocks = mouldsOf(document.size).map(({ mould }): Block => {
    if (mould.shape === 'box')
      return {
        mm: Math.min(mould.lengthMm ?? 0, mould.widthMm ?? 0, (mould.depthMm ?? 0) * 1.4),
        shape: 'plate',
      }
    if (mould.shape === 'cylinder') return { mm: mould.diameterMm ?? 0, shape: 'cylinder' }
    return { mm: Math.cbrt(mould.millilitres ?? 0) * 10, shape: 'cube' }
  })
  const known = blocks.filter(({ mm }) => mm > 0)
  return known.reduce(
    (most, one) => (keepsHeat(one) > keepsHeat(most) ? one : most),
    known[0] ?? usualBlock,
  )
}

export interface GelForecast {
  /** °C at which the mass turns translucent, ± 5. */
  onsetC: number
  /** °C of the middle at its warmest, from the low to the high value of the literature. */
  peak: { low: number; usual: number; high: number }
  /** Hours after the pour at which the middle is warmest. */
  peakHours: number
  verdict: 'gels' | 'may-ring' | 'stays'
}

/**
 * The gel to expect of a batter.
 * @param document of the batch: its moulds and whether it is kept warm
 * @param result of the batch or of one pot, whose water and scent are its own
 * @param pouredC °C of the batter as poured
 * @example gelForecast(example, made, 38).onsetC // 70.4
 */
export function gelForecast(
  document: FormulaDocument,
  result: FormulaResult,
  pouredC: number,
): GelForecast {
  const ratio = Math.min(4, Math.max(1, result.water.ratio || 2))
  const onsetC = 88 - 8 * ratio
  const lossHours =
    (keepsHeat(blockOf(document)) / diffusivity / 3600) * keeping[document.method.gel]
  const kept = lossHours / (lossHours + reactionHours)
  const fatShare = result.batter > 0 ? result.oils / result.batter : 0
  const peakBy = (joules: number) => pouredC + ((joules * fatShare) / batterHeat) * kept
  const peak = {
    low: peakBy(saponification.low),
    usual: peakBy(saponification.usual),
    high: peakBy(saponification.high),
  }
  const verdict = peak.usual > onsetC + 5 ? 'gels' : peak.usual < onsetC - 5 ? 'stays' : 'may-ring'
  return { onsetC, peak, peakHours: reactionHours + lossHours / 2, verdict }
}

/**
 * Whether a batter was poured before it held a line.
 * @example pouredThin('emulsion') // true
 */
export const pouredThin = (stage: BatterStage | null): boolean =>
  stage === 'cloudy' || stage === 'emulsion' || stage === 'light'
/**
 * Whether it had to be scooped.
 * @example pouredThick('thick') // true
 */
export const pouredThick = (stage: BatterStage | null): boolean =>
  stage === 'thick' || stage === 'too-far'

export interface AfterPour {
  /** Hours after the pour at which to look under the cover; null when nothing wants looking at. */
  peek: number | null
  /** Hours after the pour at which the wrapping comes off or the mould out of the cold. */
  unwrap: number | null
  /** Hours between which to unmould and cut. */
  unmould: { from: number; to: number }
  /** What pulls at the window, the strongest first. */
  because: string[]
}

/**
 * When to look, unwrap and unmould. The window is a rule of the craft: a day for a plain formula at 2.2 : 1, sooner with
 * little water, coconut or salt, later with much water, citric acid, or where gel is kept away.
 * @param batter the trait "firm at cut", 0–100, °C when lye and oils met, and the stage at the pour where it was marked
 * @example afterPour(example, made, shipped, gelForecast(example, made, 35), { firm: 50, mixC: 35, stage: null }).unmould
 *   // { from: 17, to: 33 }
 */
export function afterPour(
  document: FormulaDocument,
  result: FormulaResult,
  library: Library,
  forecast: GelForecast,
  { firm, mixC, stage }: { firm: number; mixC: number; stage: BatterStage | null },
): AfterPour {
  const factors: [says: string, times: number][] = []
  const add = (says: string, times: number) => {
    if (Math.abs(times - 1) > 0.05) factors.push([says, times])
  }
  const { ratio } = result.water
  add(ratio < 2.2 ? 'little water' : 'much water', clamp((ratio / 2.2) ** 1.6, 0.4, 2.2))
  add(firm > 45 ? 'sets firm' : 'soft oils', clamp(1 + (45 - firm) / 60, 0.35, 1.9))
  const share = (fits: (id: string) => boolean) =>
    sumOf(result.additives, (line) => (fits(line.id) ? line.grams : 0)) / (result.oils || 1)
  const citric = share((id) => isCitric(library.additives.get(id)?.acid))
  if (citric > 0) add('citric acid', 2)
  if (share((id) => id === 'sodium-lactate') > 0.005) add('sodium lactate', 0.75)
  if (share((id) => id === 'salt') > 0.1) add('much salt', 0.2)
  const { gel } = document.method
  add(mixC > 35 ? 'mixed warm' : 'mixed cool', clamp(1 - (mixC - 35) / 100, 0.8, 1.25))
  if (pouredThin(stage)) add('poured thin', 1.25)
  if (pouredThick(stage)) add('poured thick', 0.85)
  // The oil or colour that is drawn over the top sets last, and tears under the knife.
  if (patternOf(document) === 'drizzle') add('drizzled top', 1.15)
  if (forecast.verdict === 'gels') add('gel', 0.7)
  if (gel === 'prevent') add('kept cool', 1.5)
  if (library.offsets?.unmould) add('as your own loaves did', library.offsets.unmould.factor)
  const hours = clamp(
    factors.reduce((product, [, times]) => product * times, 24),
    3,
    72,
  )
  return {
    peek: gel === 'prevent' ? null : gel === 'force' ? 1 : 2,
    unwrap:
      gel === 'force'
        ? Math.round(Math.max(3, forecast.peakHours + 4))
        : gel === 'prevent'
          ? 12
          : null,
    unmould: {
      from: Math.round(hours * 0.75),
      // With citric acid up to three days are usual, whatever else is in it.
      to: Math.round(Math.max(hours * 1.5, citric > 0.005 ? 72 : 0)),
    },
    because: factors
      .sort((a, b) => Math.abs(Math.log(b[1])) - Math.abs(Math.log(a[1])))
      .map(([says]) => says),
  }
}
