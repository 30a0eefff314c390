import type { Formatter } from '../units/formatter'
import type { FormulaDocument } from '#contracts/formula'
import type { FormulaResult } from '#contracts/result'
import { byBlender } from '../formula/method'
import { inSentence } from '../units/language'
import type { Library } from '../materials/library'
import { openedFats } from '../materials/opened'
import { scentPace, type ScentPace } from './scentBehaviour'
import { sumOf } from '../statistics/sum'
import { clamp } from '../statistics/clamp'

/*
 * How long a batter stays workable, from emulsion to too thick to pour. A relative index, 1 for a plain formula at
 * 2.2 : 1 and 35 °C by blender, times the minutes that such a formula usually gives. An estimate from makers' experience
 * (docs/science.md, time to work); a workshop's own times are better.
 */

/** Minutes of the plain formula. */
export const plainMinutes = 20

export interface PaceFactor {
  says: string
  /** Above 1 leaves more time, below 1 less. */
  times: number
}
export interface WorkingTime {
  index: number
  minutes: number
  /** What makes the difference, the strongest first. */
  factors: PaceFactor[]
  /** What its scents do to it, and on what that rests. */
  scents: ScentPace[]
  /** Scents that nobody can tell the pace of. */
  unknownScents: string[]
}

/** Fats that hurry or slow beyond what their fatty acids say: exponent per whole share. */
const pull: Record<string, number> = {
  castor: -1.5,
  shea: -0.4,
  'rice-bran': -1.5,
  'laurel-berry': -1,
  palm: -0.3,
  beeswax: -6,
  'stearic-acid': -6,
  'pine-tar': -6,
  lard: 0.3,
  'sunflower-high-oleic': 0.2,
}
const saturated = ['palmitic', 'stearic', 'arachidic', 'behenic', 'lauric', 'myristic'] as const
/**
 * °C of the mixed batter: fats 2.0 J/gK, lye solution about 3.4 J/gK.
 * @example mixingC(example, made) // 35
 */
export function mixingC(document: FormulaDocument, result: FormulaResult): number {
  const lye = (result.lye.pureNaoh + result.lye.pureKoh + result.water.content) * 3.4
  const fats = result.oils * 2
  if (lye + fats <= 0) return document.method.oilsC
  return (document.method.lyeC * lye + document.method.oilsC * fats) / (lye + fats)
}

/**
 * The working time of a formula by its water, temperatures, fats, extras, scents and way of blending.
 * @example workingTime(example, made, shipped).minutes // 26.072
 */
export function workingTime(
  document: FormulaDocument,
  result: FormulaResult,
  library: Library,
): WorkingTime {
  const factors: PaceFactor[] = []
  const add = (says: string, times: number) => {
    if (Math.abs(times - 1) > 0.02) factors.push({ says, times })
  }
  const { ratio } = result.water
  if (ratio > 0) add(ratio < 2.2 ? 'little water' : 'much water', clamp(ratio / 2.2, 0.4, 1.7))
  const warmth = mixingC(document, result)
  add(warmth > 35 ? 'warm batter' : 'cool batter', clamp(2 ** ((35 - warmth) / 10), 0.2, 2))
  const solid = sumOf(saturated, (acid) => result.fattyAcids[acid] ?? 0)
  if (result.oils > 0)
    add(solid > 0.4 ? 'hard fats' : 'liquid oils', clamp(1 + (0.4 - solid) * 1.2, 0.5, 1.5))
  for (const fat of openedFats(result.fats, library))
    if (pull[fat.id]) add(fat.name, Math.exp(pull[fat.id]! * fat.share))
  add(
    result.superfat.total > 0.05 ? 'high superfat' : 'low superfat',
    clamp(1 + (result.superfat.total - 0.05) * 2, 0.8, 1.5),
  )
  for (const line of result.additives) {
    const pace = library.additives.get(line.id)?.pace ?? 0
    if (line.grams > 0) add(line.name, pace > 0 ? 0.85 : pace < 0 ? 1.2 : 1)
  }
  for (const line of result.liquids)
    if ((library.liquids.get(line.id)?.sugar ?? 0) > 0.01) add(line.name, 0.88)
  const unknownScents: string[] = []
  const scents: ScentPace[] = []
  for (const scent of result.scents) {
    if (!(scent.grams > 0)) continue
    const rate = result.oils > 0 ? scent.grams / result.oils : 0
    const pace = scentPace(scent, { rate, ratio }, library)
    if (pace) {
      add(scent.name, pace.times)
      scents.push(pace)
    } else unknownScents.push(scent.name)
  }
  if (!byBlender(document)) add('stirred by hand', 4)
  if (library.offsets?.stage) add('as your own batches went', library.offsets.stage.factor)
  const index = factors.reduce((product, { times }) => product * times, 1)
  return {
    index,
    minutes: plainMinutes * index,
    factors: factors.sort((a, b) => Math.abs(Math.log(b.times)) - Math.abs(Math.log(a.times))),
    scents,
    unknownScents,
  }
}

/**
 * The three strongest reasons in one direction, in words.
 * @example reasonsOf(workingTime(example, made, shipped), 'more', say) // 'liquid oils'
 */
export function reasonsOf(
  { factors }: WorkingTime,
  direction: 'less' | 'more',
  say: Formatter,
): string {
  const pulling = factors.filter(({ times }) => (direction === 'less' ? times < 1 : times > 1))
  return say.list(pulling.slice(0, 3).map(({ says }) => inSentence(says)))
}
