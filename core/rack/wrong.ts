import type { Difference, Made } from '#contracts/batch'
import type { Frozen } from '#contracts/result'
import { naohPerGramOfAcid } from '../chemistry/acids'
import { naohPerKoh } from '../chemistry/elements'
import { frozenLibrary } from '../formula/frozen'
import { sumOf } from '../statistics/sum'

/* A batch that was poured wrong: what it now is, and what can be done with it. Grams and fractions. */

/**
 * What a batch is as its formula says, where nobody weighed at the bench.
 * @example madeAsPlanned(frozen).superfat // 0.05
 */
export function madeAsPlanned({ result }: Pick<Frozen, 'result'>): Made {
  const { lye, water, superfat } = result
  return {
    superfat: superfat.total,
    ratio: water.ratio,
    strength: water.strength,
    oils: result.oils,
    pure: lye.pureNaoh + lye.pureKoh,
    water: water.content,
    scent: sumOf(result.scents, ({ grams }) => grams),
    batter: result.batter,
  }
}

/** Alkali and what takes it up, as g NaOH. */
export interface Balance {
  alkali: number
  acid: number
  fats: number
}

/**
 * The balance of a batch by its weights: what its fats take up follows from its superfat and its alkali.
 * @example balanceOf(frozen, madeAsPlanned(frozen)).acid // 0
 */
export function balanceOf({ result }: Pick<Frozen, 'result'>, made: Made): Balance {
  const { lye } = result
  const planned = lye.pureNaoh + lye.pureKoh
  const perPure = planned > 0 ? lye.pureAsNaoh / planned : 1
  const alkali = made.pure * perPure
  const acid = lye.acidDemand * (result.oils > 0 ? made.oils / result.oils : 1)
  const bound = alkali - acid
  const fats =
    made.superfat < 1 && bound > 0
      ? bound / (1 - made.superfat)
      : (lye.fullFatDemand * made.oils) / (result.oils || 1)
  return { alkali, acid, fats }
}

/** g NaOH that a gram of a fat takes up in full: S in mg KOH per g. */
const demandOf = (sap: number) => (sap / 1000) * naohPerKoh

/**
 * What the batch is with what really went in. Differences of unknown things change the mass of the batter only.
 * @param made by the weights, or as planned
 * @example correctedMade(frozen, madeAsPlanned(frozen), [{ what: 'naoh', grams: 5 }]).superfat // 0.0130857
 */
export function correctedMade(
  frozen: Frozen,
  made: Made,
  differences: readonly Difference[],
): Made {
  const { alkali: how } = frozen.document
  const library = frozenLibrary(frozen)
  const saps = new Map(frozen.result.fats.map(({ id, sap }) => [id, sap]))
  const balance = balanceOf(frozen, made)
  let { oils, pure, water, batter, scent } = made
  for (const { what, grams } of differences) {
    batter += grams
    const sap = saps.get(what) ?? library.fats.get(what)?.sap.typical ?? null
    const additive = library.additives.get(what)
    if (what === 'naoh') {
      const strength = how.solutionStrength ?? how.naohPurity
      pure += grams * strength
      balance.alkali += grams * strength
      if (how.solutionStrength !== null) water += grams * (1 - strength)
    } else if (what === 'koh') {
      pure += grams * how.kohPurity
      balance.alkali += grams * how.kohPurity * naohPerKoh
    } else if (what === 'water') water += grams
    else if (what === 'scent') scent += grams
    else if (sap !== null) {
      oils += grams
      balance.fats += grams * demandOf(sap)
    } else if (additive?.acid) balance.acid += grams * naohPerGramOfAcid(additive.acid)
  }
  pure = Math.max(0, pure)
  water = Math.max(0, water)
  return {
    superfat: balance.fats > 0 ? 1 - (balance.alkali - balance.acid) / balance.fats : -1,
    ratio: pure > 0 ? water / pure : 0,
    strength: pure > 0 ? pure / (pure + water) : 0,
    oils: Math.max(0, oils),
    pure,
    water,
    scent: Math.max(0, scent),
    batter: Math.max(0, batter),
  }
}

export type WrongKind =
  'no-lye' | 'free-lye' | 'lean' | 'as-it-should' | 'rich' | 'too-rich' | 'water-short'

export interface WrongAnswer {
  kind: WrongKind
  /** What it is now. */
  says: string
  /** What can be done, with the grams that go in. */
  can: { says: string; add: { what: string; grams: number }[] }[]
  /** What must not be done. */
  mustNot: string[]
}

/** Superfat under which a bar is for cleaning; over which it stays soft and spoils early, unless its formula wants it so. */
const lean = 0.02
const rich = { from: 0.12, over: 0.04 } as const
const tooRich = { from: 0.3, over: 0.15 } as const
/** Superfat that a rework aims at when the formula's own is lower. */
const reworkTo = 0.05
/** Water for each gram of lye that is added to finished soap: enough to dissolve it well. */
const reworkRatio = 2

/**
 * What a rework aims at, the fat of the formula that is given for it (a liquid oil stirs in; castor makes it sticky), and so much
 * of that as all of the batch lacks; negative where it has more than enough.
 * @example reworkOf(frozen, balanceOf(frozen, madeAsPlanned(frozen))).target // 0.05
 */
export function reworkOf(frozen: Frozen, balance: Balance) {
  const { document, result } = frozen
  const library = frozenLibrary(frozen)
  const target = Math.max(reworkTo, document.superfat ?? reworkTo)
  const known = result.fats.filter(({ sap }) => sap > 0).sort((a, b) => b.grams - a.grams)
  const given =
    known.find(({ id }) => id === 'olive' || id === 'sunflower') ??
    known.find(({ id }) => id !== 'castor' && library.fats.get(id)?.stateAt20 === 'liquid') ??
    known[0]
  const short = (balance.alkali - balance.acid) / (1 - target) - balance.fats
  return { target, given, grams: given ? short / demandOf(given.sap) : 0 }
}

/**
 * What can be done with a batch of which the weights are now known.
 * @param left share of the batch that is still there, 0–1: amounts are for that
 * @example rescueOf(frozen, correctedMade(frozen, madeAsPlanned(frozen), [{ what: 'naoh', grams: 10 }]), 1).kind // 'free-lye'
 */
export function rescueOf(frozen: Frozen, made: Made, left: number): WrongAnswer {
  const balance = balanceOf(frozen, made)
  const { target, given, grams: lacking } = reworkOf(frozen, balance)
  const bound = balance.alkali - balance.acid
  const rework =
    'Grate or chop it, warm it slowly in steel to 75 to 85 °C with the lid on, stir it in, cook it for an hour or two until a strip reads 10 or less, press it into a mould. Goggles and gloves throughout: it is lye.'
  const noSkin = 'No skin, no sale, no gift, and not grated for laundry as it is.'
  if (made.superfat < 0 && given) {
    return {
      kind: 'free-lye',
      says: 'There is lye in it that finds no fat.',
      can: [
        {
          says: `Rework it with more fat, to ${Math.round(target * 100)} % superfat. ${rework}`,
          add: [{ what: given.name, grams: lacking * left }],
        },
        {
          says: 'Or throw it away as your local rules say: bagged, labelled as caustic, out of reach.',
          add: [],
        },
      ],
      mustNot: [
        noSkin,
        'Do not wait for a longer cure to mend it: free lye turns to soda slowly and unevenly, and pockets stay.',
        'Do not pour vinegar or citric acid over it: it acts on the outside only.',
      ],
    }
  }
  if (bound <= balance.fats * 0.02)
    return {
      kind: 'no-lye',
      says: 'There is next to no lye in it: it is warm fat.',
      can: [
        {
          says: 'Pour it back, warm it to the temperature on the sheet, make the lye as on the sheet and go on as usual. Scent may have gone: weigh it again.',
          add: [
            {
              what: 'sodium hydroxide, pure',
              grams: (balance.fats * (1 - target) + balance.acid) * left,
            },
          ],
        },
      ],
      mustNot: ['Do not add lye dry: it goes into water first, always.'],
    }
  if (made.ratio > 0 && made.ratio < 1)
    return {
      kind: 'water-short',
      says: 'There was less water than lye: crystals of lye may not have dissolved.',
      can: [
        {
          says: `Rework it with the water that is missing. ${rework}`,
          add: [{ what: 'water', grams: (made.pure * reworkRatio - made.water) * left }],
        },
      ],
      mustNot: [noSkin, 'One strip is not enough: grains of lye sit in single bars.'],
    }
  const above = ({ from, over }: { from: number; over: number }) =>
    made.superfat > Math.max(from, target + over)
  if (above(rich)) {
    const naoh = (balance.fats * (1 - target) - bound) * left
    return {
      kind: above(tooRich) ? 'too-rich' : 'rich',
      says: above(tooRich)
        ? 'Far too little lye: greasy, soft, more fat than soap. It does not bite.'
        : 'More free fat than wanted: softer, less lather, spoils sooner. It does not bite.',
      can: [
        {
          says: `Rework it with the lye that is missing, dissolved in ${reworkRatio} times its weight of water and cooled, to ${Math.round(target * 100)} % superfat. ${rework}`,
          add: [
            { what: 'sodium hydroxide, pure', grams: naoh },
            { what: 'water', grams: naoh * reworkRatio },
          ],
        },
        ...(above(tooRich)
          ? []
          : [
              {
                says: 'Or leave it: let it dry longer, keep it cool and dark, use it up within a few months.',
                add: [],
              },
            ]),
      ],
      mustNot: ['Do not sell it under the label of the formula: it is another soap.'],
    }
  }
  if (made.superfat < lean)
    return {
      kind: 'lean',
      says: 'Hardly any superfat: a cleaning soap, drying on skin, and one wrong weighing from lye-heavy.',
      can: [
        { says: 'Use it for laundry, dishes or the floor, after a strip of 10 or less.', add: [] },
      ],
      mustNot: ['Not for face, babies or dry skin.'],
    }
  return {
    kind: 'as-it-should',
    says: 'By these weights it is still good soap.',
    can: [
      {
        says:
          made.ratio > 3.5
            ? 'It holds much water: leave it in the mould for days and let it dry longer.'
            : 'Go on as usual, and test it with a strip.',
        add: [],
      },
    ],
    mustNot: [],
  }
}
