import { dissolves, traitRules } from '../character/coefficients'
import type { Region } from '../character/regions'
import { hardlyDissolving, lendsOf, traitIds } from '../character/traits'
import { fattyAcidNames } from '../chemistry/fattyAcids'
import type { Fat } from '../materials/fat'
import type { Trait } from '#contracts/words'
import { leastShare, type Choice, type Wish } from './wish'

/*
 * The wish as a mixed-integer linear programme in the LP file format, for a solver that is handed in. Shares are percentages
 * of the oils, at the usual water and without potash. Every trait is linear in the shares but foam: ricinoleic acid counts up to
 * 12 %, min(R, 12), and soap that hardly dissolves beyond 50 %, max(D − 50, 0). Each takes one more variable and a switch that
 * keeps it exact in both directions.
 */

/** A fat that may be used, with everything the model needs of it. */
export interface Candidate extends Choice {
  fat: Fat
}

/** What to look for beyond the wish itself. */
export interface Extra {
  /** Fats held below a share of the oils, so that another kind of formula is found. */
  below?: { id: string; share: number }[]
  /** Highest price of the oils, for a kilogram. */
  priceUpTo?: number
  /** Regions are wishes with a price (the default) or must be met. */
  must?: boolean
}

const term = (value: number, name: string) =>
  `${value < 0 ? '-' : '+'} ${Math.abs(Number(value.toPrecision(12)))} ${name}`
const x = (index: number) => `x${index}`

/**
 * Points of a trait for one per cent of a fat, ricinoleic acid left out where it is capped.
 * @example slope(shipped.fats.get('coconut'), 'quickFoam') // 0.98555
 */
export function slope(fat: Fat, trait: Trait): number {
  const { acids, ricinoleicUpTo } = traitRules[trait]
  return fattyAcidNames.reduce(
    (sum, acid) =>
      acid === 'ricinoleic' && ricinoleicUpTo !== null
        ? sum
        : sum + acids[acid] * (fat.profile.value[acid] ?? 0),
    lendsOf(fat)[trait] ?? 0,
  )
}

/** Points that a region is drawn in by, so that shares rounded to a tenth of a per cent still lie inside. */
const margin = 0.25
const inset = ([low, high]: Region): Region =>
  high - low > 4 * margin ? [low + margin, high - margin] : [low, high]

/** What a trait has whatever the fats are. */
const fixed = (trait: Trait, { superfat, keeper }: Wish): number => {
  const rule = traitRules[trait]
  return rule.constant + rule.superfat * superfat * 100 + (keeper ? rule.keeper : 0)
}

/**
 * The programme of a wish over its candidates. The largest deviation of any trait counts most, then their sum; where all
 * regions are met, the formula that lies deepest inside them is the nearest.
 * @example programme(wish, [{ ...wish.choices[0], fat: shipped.fats.get('olive') }]).split('\n')[0] // 'Minimize'
 */
export function programme(wish: Wish, candidates: Candidate[], extra: Extra = {}): string {
  const rows: string[] = []
  const bounds: string[] = []
  const row = (text: string) => rows.push(` r${rows.length}: ${text}`)
  const ricinoleic = candidates.map(({ fat }) => fat.profile.value.ricinoleic ?? 0)
  const lessRicinoleic = ricinoleic
    .map((share, index) => (share > 0 ? term(-share, x(index)) : ''))
    .join(' ')
  const cap = traitRules.lastingFoam.ricinoleicUpTo!
  const capped = ricinoleic.some((share) => share > 0)
  const dull = candidates.map(({ fat }) => hardlyDissolving(fat.profile.value) / 100)
  const mayDull = dull.some((share) => share * 100 > dissolves.upTo)

  row(`${candidates.map((_, index) => term(1, x(index))).join(' ')} = 100`)
  if (capped) {
    row(`ric ${lessRicinoleic} <= 0`)
    row(`ric ${lessRicinoleic} + 100 over >= 0`)
    row(`ric - ${cap} over >= 0`)
    bounds.push(` 0 <= ric <= ${cap}`)
  }
  if (mayDull) {
    const rest = 100 - dissolves.upTo
    const lessDull = dull.map((share, index) => (share > 0 ? term(-share, x(index)) : '')).join(' ')
    row(`dull ${lessDull} >= ${-dissolves.upTo}`)
    row(`dull ${lessDull} + 100 beyond <= ${100 - dissolves.upTo}`)
    row(`dull - ${rest} beyond <= 0`)
    bounds.push(` 0 <= dull <= ${rest}`)
  }
  for (const trait of traitIds) {
    const [low, high] = inset(wish.regions[trait])
    const sum = candidates.map(({ fat }, index) => term(slope(fat, trait), x(index))).join(' ')
    const ric =
      capped && traitRules[trait].ricinoleicUpTo !== null
        ? term(traitRules[trait].acids.ricinoleic, 'ric')
        : ''
    const still = mayDull ? term(traitRules[trait].undissolved, 'dull') : ''
    const rest = fixed(trait, wish)
    const slack = extra.must ? ['', ''] : [`+ under_${trait}`, `- beyond_${trait}`]
    // Towards the middle: an end of the scale itself needs no distance kept from it.
    const half = extra.must ? 0 : (high - low) / 2
    row(`${sum} ${ric} ${still} ${slack[0]} ${term(low > 1 ? -half : 0, 'depth')} >= ${low - rest}`)
    row(
      `${sum} ${ric} ${still} ${slack[1]} ${term(high < 99 ? half : 0, 'depth')} <= ${high - rest}`,
    )
    if (!extra.must) {
      row(`worst - under_${trait} >= 0`)
      row(`worst - beyond_${trait} >= 0`)
    }
  }
  candidates.forEach(({ id, least, most }, index) => {
    const limit = extra.below?.find((line) => line.id === id)?.share ?? 1
    const upTo = Math.min(most, limit)
    // What is held below the least that anybody weighs is left out.
    const high = upTo < Math.min(leastShare, most) ? 0 : upTo * 100
    const low = Math.max(least, Math.min(leastShare, most)) * 100
    row(`${x(index)} - ${high} in${index} <= 0`)
    row(`${x(index)} - ${Math.min(low, high)} in${index} >= 0`)
    if (least > 0 && limit === 1) bounds.push(` in${index} = 1`)
  })
  if (wish.atMost !== null)
    row(`${candidates.map((_, index) => `+ in${index}`).join(' ')} <= ${wish.atMost}`)
  const price = candidates.map((line, index) => term((line.price ?? 0) / 100, x(index))).join(' ')
  if (extra.priceUpTo !== undefined) row(`${price} <= ${extra.priceUpTo}`)

  const deviation = extra.must
    ? ''
    : `3 worst - 2 depth ${traitIds.map((trait) => `+ under_${trait} + beyond_${trait}`).join(' ')}`
  const costs = wish.aim === 'cheapest' && extra.must
  // A touch of the other aim settles ties: the cheaper of two equally near formulas.
  const dearest = Math.max(1, ...candidates.map((line) => line.price ?? 0))
  const tie = candidates
    .map((line, index) => term(((line.price ?? dearest) / dearest) * 1e-4, x(index)))
    .join(' ')
  const binaries = [
    ...candidates.map((_, index) => `in${index}`),
    ...(capped ? ['over'] : []),
    ...(mayDull ? ['beyond'] : []),
  ]
  return [
    'Minimize',
    ` goal: ${costs ? price : `${deviation} ${tie}`}`,
    'Subject To',
    ...rows,
    'Bounds',
    ' 0 <= depth <= 1',
    ...candidates.map((_, index) => ` 0 <= ${x(index)} <= 100`),
    ...bounds,
    'Binary',
    ` ${binaries.join(' ')}`,
    'End',
  ].join('\n')
}
