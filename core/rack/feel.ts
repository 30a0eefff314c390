import type { BatchEvent } from '#contracts/batch'
import type { FeelTest } from '#contracts/rackWords'
import type { Trait, Use } from '#contracts/words'
import type { Traits } from '../character/traits'
import { shownTrait } from '../character/traits'
import { daysBetween, type Day } from '../units/days'
import { standingEvents } from '../units/standingEvents'
import { mean } from '../statistics/sum'

/* Bars tried in use, from 1 to 5, and what that says of the estimates. */

export interface FeelKind {
  says: string
  /** How it is tried. */
  how: string
  /** What 1 and 5 are. */
  low: string
  high: string
  /** The estimate it speaks to, if any. */
  trait: Trait | null
  /** Uses it is for; empty for all. */
  uses: Use[]
}

export const feelKinds: Record<FeelTest, FeelKind> = {
  quickFoam: {
    says: 'Quick foam',
    how: 'Ten turns in wet hands, lukewarm water.',
    low: 'none',
    high: 'at once, big bubbles',
    trait: 'quickFoam',
    uses: [],
  },
  lastingFoam: {
    says: 'Lasting foam',
    how: 'Look at the lather in the hand a minute later.',
    low: 'gone',
    high: 'dense, stays',
    trait: 'lastingFoam',
    uses: [],
  },
  skinAfter: {
    says: 'Skin afterwards',
    how: 'Wash, rinse, dry, wait ten minutes.',
    low: 'tight, dry',
    high: 'calm, soft',
    trait: 'gentleness',
    uses: ['body', 'face', 'hands', 'hair', 'shaving', 'baby', 'scrub'],
  },
  keepsShape: {
    says: 'Keeps its shape',
    how: 'A day on a wet dish.',
    low: 'slimy',
    high: 'firm, dry by evening',
    trait: 'wearLife',
    uses: [],
  },
  rinseSpots: {
    says: 'Rinses clean',
    how: 'Wash a glass, rinse, let it dry by itself: spots and film?',
    low: 'film',
    high: 'clear',
    trait: null,
    uses: ['dishes', 'laundry', 'hair'],
  },
  soiledCloth: {
    says: 'Cleans a soiled cloth',
    how: 'A spot of oil and soot on cotton, rubbed twenty times, rinsed.',
    low: 'spot stays',
    high: 'clean',
    trait: 'greaseLift',
    uses: ['laundry', 'dishes', 'scrub'],
  },
  glide: {
    says: 'Glides in a shave',
    how: 'A shave: slip of the blade, and whether the lather stands till the end.',
    low: 'drags',
    high: 'glides',
    trait: 'lastingFoam',
    uses: ['shaving'],
  },
  scent: {
    says: 'Scent',
    how: 'Rub it wet, smell it at arm’s length.',
    low: 'gone',
    high: 'as on the first day',
    trait: null,
    uses: [],
  },
  colour: {
    says: 'Colour',
    how: 'Hold it beside the photo of the cut.',
    low: 'changed',
    high: 'as on the first day',
    trait: null,
    uses: [],
  },
}

/**
 * The tests of a use, in the order they are made.
 * @example feelTestsFor('laundry') // ['quickFoam', 'lastingFoam', 'keepsShape', 'rinseSpots', 'soiledCloth', 'scent', 'colour']
 */
export const feelTestsFor = (use: Use): FeelTest[] =>
  (Object.keys(feelKinds) as FeelTest[]).filter(
    (test) => !feelKinds[test].uses.length || feelKinds[test].uses.includes(use),
  )

/**
 * Scores of each test over the days since the pour.
 * @example feelLines([told({ kind: 'felt', day: '2026-04-12', scores: { quickFoam: 4 } })], '2026-03-01')
 *   // [{ test: 'quickFoam', points: [{ day: 42, score: 4 }] }]
 */
export function feelLines(
  events: readonly BatchEvent[],
  pouredOn: Day,
): { test: FeelTest; points: { day: number; score: number }[] }[] {
  const felt = standingEvents(events)
    .flatMap((event) => (event.kind === 'felt' ? [event] : []))
    .sort((a, b) => a.day.localeCompare(b.day))
  return (Object.keys(feelKinds) as FeelTest[]).flatMap((test) => {
    const points = felt.flatMap(({ day, scores }) =>
      scores[test] === undefined ? [] : [{ day: daysBetween(pouredOn, day), score: scores[test] }],
    )
    return points.length ? [{ test, points }] : []
  })
}

/** Days after which a bar in use tells something of its traits; before that it is young soap. */
export const tellsAfter = 21
/** Tests that the estimates count as much as: with so many, each is believed by half. */
const estimateWeight = 2
/** Points by which tests and estimate differ before it is worth saying. */
const worthSaying = 12
const asPoints = (score: number) => (score - 1) * 25

export interface Felt {
  day: number
  scores: Partial<Record<FeelTest, number>>
}
export interface TraitFelt {
  trait: Trait
  estimate: number
  /** Mean of the tests on the same scale of 0 to 100. */
  tests: number
  count: number
  /** The estimate drawn towards the tests, the further the more of them there are. */
  corrected: number
  says: 'better' | 'worse' | null
}

/**
 * What tests of bars that have cured say of the estimates of their formula. Scores are one workshop's, so they are drawn to
 * the estimate: n tests count n against two.
 * @example traitsFelt(traits, []) // []
 */
export function traitsFelt(estimates: Traits, tests: readonly Felt[]): TraitFelt[] {
  const byTrait = new Map<Trait, number[]>()
  for (const { day, scores } of tests) {
    if (day < tellsAfter) continue
    for (const [test, score] of Object.entries(scores) as [FeelTest, number][]) {
      const { trait } = feelKinds[test]
      if (trait) byTrait.set(trait, [...(byTrait.get(trait) ?? []), asPoints(score)])
    }
  }
  return [...byTrait].map(([trait, points]) => {
    const estimate = shownTrait(estimates[trait])
    const middle = mean(points)
    const pull = points.length / (points.length + estimateWeight)
    const corrected = estimate + (middle - estimate) * pull
    const off = corrected - estimate
    return {
      trait,
      estimate,
      tests: middle,
      count: points.length,
      corrected,
      says: Math.abs(off) < worthSaying ? null : off > 0 ? 'better' : 'worse',
    }
  })
}
