import type { CauseFigure, Gel } from '#contracts/rackWords'
import { shareOfAcids } from '../chemistry/fattyAcids'
import { sumOf } from '../statistics/sum'
import type { Formatter } from '../units/formatter'
import { citricIn, shareOf, tints, type Case } from './case'

/** Something that a figure rests on, as planned and as it came. */
export interface Rest {
  what: string
  value: string
  beside: string
}

interface FigureKind {
  /** The figure as a heading of its ruler. */
  says: string
  of(about: Case): number | null
  text(value: number, say: Formatter): string
  rests(about: Case): Rest[]
}

const beside = (differs: boolean, planned: string) => (differs ? `planned ${planned}` : '')
const superfatRest = ({ made, weighed, result, say }: Case): Rest => {
  const planned = say.percent(result.superfat.total)
  const value = say.percent(made.superfat)
  return {
    what: weighed ? 'Superfat as weighed' : 'Superfat, planned',
    value,
    beside: beside(planned !== value, planned),
  }
}
const lyeRest = ({ made, weighed, result, say }: Case): Rest => {
  const short = result.lye.pureAsNaoh - made.pure
  const far = weighed && Math.abs(short) >= 0.05
  return {
    what: weighed ? 'Pure lye weighed' : 'Pure lye, planned',
    value: say.mass(made.pure),
    beside: far ? `${say.mass(Math.abs(short))} ${short > 0 ? 'short' : 'over'}` : '',
  }
}
const waterRest = ({ made, result, say }: Case): Rest => ({
  what: 'Water',
  value: say.mass(made.water),
  beside: beside(
    Math.abs(result.water.content - made.water) >= 0.5,
    say.mass(result.water.content),
  ),
})
const spoiling = ['linoleic', 'linolenic'] as const
const spoils = ({ result: { fattyAcids } }: Case) => shareOfAcids(fattyAcids, spoiling)
/** The fat that brings the most of what spoils, of those whose acids are known. */
function richest({ result, library, say }: Case): Rest[] {
  const [first] = result.fats
    .map((fat) => {
      const profile = library.fats.get(fat.id)?.profile.value ?? {}
      return { ...fat, brings: fat.share * shareOfAcids(profile, spoiling) }
    })
    .sort((a, b) => b.brings - a.brings)
  return first && first.brings > 0
    ? [{ what: first.name, value: say.percent(first.share, 0), beside: 'of the fats' }]
    : []
}
/** What was weighed of some additives. */
const weighedOf = ({ result, say }: Case, fits: (id: string) => boolean): Rest[] =>
  result.additives
    .filter(({ id }) => fits(id))
    .map(({ name, grams }) => ({ what: name, value: say.mass(grams), beside: '' }))
const vessels = ({ bench, document: { method } }: Case) => ({
  lyeC: bench?.lyeC ?? method.lyeC,
  oilsC: bench?.oilsC ?? method.oilsC,
})

/** Share of the bar that turned translucent, roughly. */
const gelled: Record<Gel, number> = { none: 0, partial: 0.5, full: 1 }

/** What a cause can be followed along through all batches of a workshop. Values in grams, fractions, °C, days. */
export const figureKinds: Record<CauseFigure, FigureKind> = {
  'spoiling-fat': {
    says: 'free fat of the kind that spoils, in 100 g of the dry bar',
    of: (about) => {
      const { made, result } = about
      const dried = result.batter > 0 ? (made.batter * result.longDried) / result.batter : 0
      return dried > 0
        ? (100 * Math.max(0, made.superfat) * made.oils * spoils(about)) / dried
        : null
    },
    text: (value, say) => `${say.number(value, 1)} g`,
    rests: (about) => [
      ...richest(about),
      {
        what: 'Linoleic and linolenic',
        value: about.say.percent(spoils(about), 0),
        beside: 'of all acids',
      },
      superfatRest(about),
      lyeRest(about),
    ],
  },
  superfat: {
    says: 'superfat',
    of: ({ made }) => made.superfat,
    text: (value, say) => say.percent(value),
    rests: (about) => [superfatRest(about), lyeRest(about)],
  },
  water: {
    says: 'water to lye',
    of: ({ made }) => made.ratio,
    text: (value, say) => say.ratio(value),
    rests: (about) => [waterRest(about), lyeRest(about)],
  },
  'mixed-at': {
    says: 'temperature when lye and oils met',
    of: ({ mixC }) => mixC,
    text: (value, say) => say.temperature(value),
    rests: (about) => {
      const { bench, document, say } = about
      const { lyeC, oilsC } = vessels(about)
      const rest = (what: string, celsius: number | null, wanted: number | null): Rest[] =>
        celsius === null
          ? []
          : [
              {
                what: bench ? what : `${what}, planned`,
                value: say.temperature(celsius),
                beside:
                  wanted === null
                    ? ''
                    : beside(Math.abs(wanted - celsius) >= 1, say.temperature(wanted)),
              },
            ]
      return [
        ...rest('Lye', lyeC, document.method.lyeC),
        ...rest('Oils', oilsC, document.method.oilsC),
      ]
    },
  },
  'vessels-apart': {
    says: 'lye and oils apart when they met',
    of: (about) => {
      const { lyeC, oilsC } = vessels(about)
      return lyeC === null || oilsC === null ? null : Math.abs(lyeC - oilsC)
    },
    text: (value, say) => say.degreesApart(value),
    rests: (about) => figureKinds['mixed-at'].rests(about),
  },
  citric: {
    says: 'citric acid, of the oils',
    of: (about) => shareOf(about, citricIn(about)),
    text: (value, say) => say.percent(value),
    rests: (about) => weighedOf(about, citricIn(about)),
  },
  colour: {
    says: 'colour, of the oils',
    of: (about) => shareOf(about, tints(about)),
    text: (value, say) => say.percent(value),
    rests: (about) => weighedOf(about, tints(about)),
  },
  scent: {
    says: 'scent, of the oils',
    of: ({ made, result }) => (result.oils > 0 ? made.scent / result.oils : null),
    text: (value, say) => say.percent(value),
    rests: ({ result, say }) => [
      {
        what: 'Scent',
        value: say.mass(sumOf(result.scents, ({ grams }) => grams)),
        beside: '',
      },
    ],
  },
  'cut-after': {
    says: 'days from the pour to the cut',
    of: ({ cutAfter }) => cutAfter,
    text: (value, say) => say.count(value, 'day', 'days'),
    rests: () => [],
  },
  gelled: {
    says: 'how far it gelled',
    of: ({ gel }) => (gel === null ? null : gelled[gel]),
    text: (value) => (value < 0.25 ? 'no gel' : value > 0.75 ? 'all through' : 'in part'),
    rests: () => [],
  },
}
