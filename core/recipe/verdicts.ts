import type { Formatter } from '../units/formatter'
import { waterFloor } from '../water/ways'
import type { RecipeLine } from './read'

export interface Verdict {
  tone: 'stop' | 'think' | 'good' | 'open'
  says: string
  because: string
}

/**
 * What a superfat means for the one who makes it.
 * @param range superfat when every fat lies at one end of its published range: lowest and highest
 * @example superfatVerdict(0.05, [0.03, 0.07], say).says // '5 % superfat: a sound figure for skin.'
 */
export function superfatVerdict(
  superfat: number,
  [low, high]: [number, number],
  say: Formatter,
): Verdict {
  const range = `The fats' natural spread makes it ${say.percent(low)} to ${say.percent(high)}.`
  if (superfat < 0)
    return {
      tone: 'stop',
      says: `Do not make this: it is lye-heavy by ${say.percent(-superfat)}.`,
      because: `There is more lye than these fats can take, and what is left over burns. ${range}`,
    }
  if (superfat < 0.02)
    return {
      tone: 'think',
      says: `${say.percent(superfat)} superfat: for cleaning only, not for skin.`,
      because: `A small weighing error or a batch of fat at the end of its range makes it lye-heavy. ${range}`,
    }
  if (superfat < 0.045)
    return {
      tone: 'think',
      says: `${say.percent(superfat)} superfat: usable, but with little room for error.`,
      because: `Most makers leave 5 to 8 % for a body bar. ${range}`,
    }
  if (superfat <= 0.12)
    return {
      tone: 'good',
      says: `${say.percent(superfat)} superfat: a sound figure for skin.`,
      because: `5 to 8 % is usual for a body bar. ${range}`,
    }
  return {
    tone: 'think',
    says: `${say.percent(superfat)} superfat: a lot of fat stays free.`,
    because: `That suits soaps that are nearly all coconut (about 20 %); in others the bar is soft and spoils sooner. ${range}`,
  }
}

/**
 * What a ratio of water to lye means at the bench.
 * @example waterVerdict(2, say).says // '2.0 : 1 water to lye, 33.3 % strong: workable.'
 */
export function waterVerdict(ratio: number, say: Formatter): Verdict {
  const strength = say.percent(1 / (1 + ratio))
  if (ratio < waterFloor)
    return {
      tone: 'stop',
      says: `Too little water: ${say.ratio(ratio)}. The lye will not dissolve.`,
      because: 'The floor is 1 : 1 by weight.',
    }
  if (ratio < 1.3)
    return {
      tone: 'think',
      says: `${say.ratio(ratio)} water to lye: hot and very quick.`,
      because: `The lye is ${strength} strong; there is little time to pour.`,
    }
  if (ratio > 3.5)
    return {
      tone: 'think',
      says: `${say.ratio(ratio)} water to lye: slow to set and to dry.`,
      because: `The lye is only ${strength} strong; the bars will shrink a good deal.`,
    }
  return {
    tone: 'good',
    says: `${say.ratio(ratio)} water to lye, ${strength} strong: workable.`,
    because: 'Between 1.3 and 3.5 to one, less water is quicker and hotter, more is slower.',
  }
}

/**
 * What a verdict leans on the label for: a lye solution is as strong as somebody said.
 * @example lyeCheck(recipe('450 g olive oil\n58 g lye'), 0.05, () => 0.05, say) // null
 */
export function lyeCheck(
  lines: RecipeLine[],
  superfat: number | null,
  superfatWith: (lines: RecipeLine[]) => number | null,
  say: Formatter,
): Verdict | null {
  const at = lines.findIndex(({ solution }) => solution !== null)
  if (at < 0 || superfat === null) return null
  const line = lines[at]!
  const solution = line.solution!
  const as = (strength: number) =>
    superfatWith(
      lines.map((one, index) =>
        index === at
          ? { ...one, solution: strength, grams: ((one.grams ?? 0) * strength) / solution }
          : one,
      ),
    )
  const weaker = as(solution - 0.03)
  const stronger = as(solution + 0.03)
  if (weaker === null || stronger === null) return null
  return {
    tone: 'think',
    says: `It leans on the label: ${say.percent(solution)} lye.`,
    because: `Three points weaker it would have ${say.percent(weaker)} superfat, three stronger ${stronger < 0 ? 'lye left over' : say.percent(stronger)}.`,
  }
}
