import { hasKeeper } from '../character/traits'
import { pouredThin } from '../heat/gel'
import {
  gelTo,
  hasMilk,
  lowerSuperfat,
  mixAt,
  rateTo,
  shareOf,
  undispersed,
  waterTo,
  type Suspect,
  citricIn,
} from './case'
import { figureKinds } from './figures'

/* Troubles that show on the outside of a bar. Each rule looks for one cause in the record of the batch. */

/** g in 100 g of the dry bar from which free fat that spoils is suspected, and from which it is likely. By judgement. */
const spoilingFat = { possible: 0.3, likely: 0.7 }
const freeFat: Suspect = (about) => {
  const { result, made, say } = about
  const { linoleic = 0, linolenic = 0 } = result.fattyAcids
  const free = figureKinds['spoiling-fat'].of(about) ?? 0
  if (free < spoilingFat.possible) return null
  return {
    says: 'Free fat that goes rancid early.',
    evidence: `${say.percent(linoleic + linolenic, 0)} linoleic and linolenic acid at ${say.percent(made.superfat)} superfat ${about.weighed ? 'by the weights' : 'by the formula'}.`,
    along: { figure: 'spoiling-fat', worse: 'more' },
    weight: free > spoilingFat.likely ? 'likely' : 'possible',
    ...lowerSuperfat(about, made.superfat > 0.05 ? 0.05 : 0.04),
  }
}
const nothingKeeps: Suspect = (about) => {
  const { document, result, library } = about
  if (hasKeeper(result, library)) return null
  return {
    says: 'Traces of metal from water or pots, with nothing to bind them.',
    evidence: 'No citric acid, chelator or antioxidant in the formula.',
    along: { figure: 'citric', worse: 'less' },
    weight: 'possible',
    next: {
      label: 'Citric acid, 1 % of the oils',
      patch: [
        {
          path: ['additives'],
          value: [
            ...document.additives,
            {
              id: 'citric-acid-monohydrate',
              rate: 0.01,
              of: 'oils',
              moment: 'water',
              carrier: null,
            },
          ],
        },
      ],
    },
  }
}
const oldStock: Suspect = ({ result, library }) => {
  const worst = [...result.fats]
    .filter(({ id }) => {
      const profile = library.fats.get(id)?.profile.value
      return (profile?.linoleic ?? 0) + (profile?.linolenic ?? 0) > 0.15
    })
    .sort((a, b) => b.share - a.share)[0]
  return worst
    ? {
        says: `${worst.name} that was old when it went in.`,
        evidence:
          'The record does not know the age of the bottle. Smell it: old fat smells of paint.',
        weight: 'possible',
      }
    : null
}
const dampRoom: Suspect = ({ humidity, say }) =>
  humidity >= 0.65
    ? {
        says: 'A damp room: water settles on the bars.',
        evidence: `The room has had ${say.percent(humidity, 0)} humidity.`,
        weight: 'likely',
      }
    : null
const long: Suspect = ({ age }) =>
  age > 270
    ? {
        says: 'Age: it has stood longer than such bars keep.',
        evidence: `Day ${age} since the pour.`,
        weight: 'possible',
      }
    : null

const noGel: Suspect = (about) => {
  const prevented = about.document.method.gel === 'prevent'
  if (about.gel === 'full' || (about.gel === null && !prevented)) return null
  return {
    says: 'It did not gel: lye at the surface stays open to the air for longer.',
    evidence: about.gel === null ? 'Gel was to be prevented.' : `Gel: ${about.gel}.`,
    along: { figure: 'gelled', worse: 'less' },
    weight: about.gel === 'none' ? 'likely' : 'possible',
    ...(hasMilk(about) ? {} : gelTo('force')),
  }
}
const muchWater: Suspect = (about) =>
  about.made.ratio >= 2.3
    ? {
        says: 'Much water carries lye to the surface as it dries.',
        evidence: `Water ${about.say.ratio(about.made.ratio)}.`,
        along: { figure: 'water', worse: 'more' },
        weight: about.made.ratio >= 2.7 ? 'likely' : 'possible',
        ...waterTo(about, 2),
      }
    : null
const thinPour: Suspect = ({ bench }) =>
  bench && pouredThin(bench.stage)
    ? {
        says: 'It was poured thin.',
        evidence: `Poured at ${bench.stage === 'light' ? 'light trace' : `the stage "${bench.stage}"`}.`,
        weight: 'possible',
      }
    : null
const coolMix: Suspect = (about) =>
  about.mixC < 30
    ? {
        says: 'It was mixed cool: it saponified slowly, with lye free at the top meanwhile.',
        evidence: `Lye and oils met at ${about.say.temperature(about.mixC)}.`,
        along: { figure: 'mixed-at', worse: 'less' },
        weight: 'possible',
        ...mixAt(about, 38),
      }
    : null

const citrate: Suspect = (about) => {
  const share = shareOf(about, citricIn(about))
  return share > 0.012
    ? {
        says: 'Sodium citrate blooms where there is too much of it.',
        evidence: `Citric acid at ${about.say.percent(share)} of the oils; over 2 % crystals are to be expected.`,
        along: { figure: 'citric', worse: 'more' },
        weight: share > 0.02 ? 'likely' : 'possible',
        ...rateTo(about, citricIn(about), 0.01),
      }
    : null
}
const salts: Suspect = (about) => {
  const share = shareOf(about, (id) => id === 'salt' || id === 'sodium-lactate')
  return share > 0.02
    ? {
        says: 'Salt that comes out as the water goes.',
        evidence: `Salt and lactate at ${about.say.percent(share)} of the oils.`,
        weight: 'likely',
      }
    : null
}
const soda: Suspect = (about) => ({
  says: 'It may be soda ash in small stars, not crystals: wipe it with steam, ash goes.',
  evidence: `Gel: ${about.gel ?? 'not recorded'}; water ${about.say.ratio(about.made.ratio)}.`,
  weight: 'possible',
})

const drawsWater: Suspect = (about) => {
  const share = shareOf(about, (id) => /salt|honey|sugar|glycer|lactate|sorbitol/.test(id))
  return share > 0.005
    ? {
        says: 'Something in it draws water from the air.',
        evidence: `Salt, sugars and the like at ${about.say.percent(share)} of the oils.`,
        weight: 'likely',
      }
    : null
}
const fromFreezer: Suspect = ({ frozenLoaf }) =>
  frozenLoaf
    ? {
        says: 'It came out of the freezer: a cold loaf sweats for a day.',
        evidence: 'It was frozen before the cut.',
        weight: 'likely',
      }
    : null
const veryHot: Suspect = (about) =>
  about.gel === 'full' && (about.document.method.gel === 'force' || hasMilk(about))
    ? {
        says: 'It became very hot: glycerin and oil were sweated out, and are mostly taken up again.',
        evidence: `Gelled all through${about.document.method.gel === 'force' ? ', kept warm on purpose' : ', with milk sugar in it'}.`,
        weight: 'possible',
        ...gelTo(hasMilk(about) ? 'prevent' : 'leave'),
      }
    : null

const dryPigment: Suspect = (about) => {
  const name = undispersed(about)
  return name
    ? {
        says: `${name} that was not dispersed before it went in.`,
        evidence: 'The formula stirs it in dry.',
        weight: 'likely',
      }
    : null
}
const scorched: Suspect = (about) =>
  hasMilk(about)
    ? {
        says: 'Milk that scorched: brown flecks of burnt sugar and curd.',
        evidence: `It has milk in it; the lye was at ${about.say.temperature(about.bench?.lyeC ?? about.document.method.lyeC)} when they met.`,
        weight: (about.bench?.lyeC ?? 0) > 40 ? 'likely' : 'possible',
        ...mixAt(about, 32),
      }
    : null
const stearicSpots: Suspect = (about) => {
  const { stearic = 0, palmitic = 0 } = about.result.fattyAcids
  return stearic + palmitic > 0.25 && about.mixC < 38
    ? {
        says: 'Hard fat that set again before it was soap: white, rounded spots.',
        evidence: `${about.say.percent(stearic + palmitic, 0)} palmitic and stearic acid, mixed at ${about.say.temperature(about.mixC)}.`,
        weight: 'likely',
        ...mixAt(about, 42),
      }
    : null
}
const lyeGrains: Suspect = (about) =>
  about.made.ratio < 1.3
    ? {
        says: 'Grains of lye that never dissolved. They bite: test a speck with a strip before anybody washes with it.',
        evidence: `Water only ${about.say.ratio(about.made.ratio)}.`,
        weight: 'likely',
        ...waterTo(about, 1.8),
      }
    : {
        says: 'Grains of lye, if the lye was not stirred clear. Wet a speck and hold a strip to it.',
        evidence: 'The record cannot tell; a strip can.',
        weight: 'possible',
      }

export const surface = {
  'orange-spots': [freeFat, oldStock, nothingKeeps, dampRoom, long],
  ash: [noGel, muchWater, thinPour, coolMix],
  crystals: [citrate, salts, soda],
  sweating: [fromFreezer, drawsWater, dampRoom, veryHot],
  specks: [dryPigment, scorched, stearicSpots, lyeGrains],
} satisfies Record<string, Suspect[]>
