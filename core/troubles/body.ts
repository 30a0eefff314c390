import { isCitrus } from '../formula/measure'
import { gelForecast, pouredThick } from '../heat/gel'
import { traitsOf } from '../character/traits'
import { settingC } from '../batter/settingPoint'
import {
  gelTo,
  hasMilk,
  lowerSuperfat,
  mixAt,
  rateTo,
  shareOf,
  tints,
  undispersed,
  waterTo,
  type Suspect,
  citricIn,
} from './case'

/* Troubles that go through a bar, or show in use. */

const heats: Suspect = (about) => {
  const { document, library } = about
  const warm = document.additives.find(({ id }) => library.additives.get(id)?.heats)
  const sugary = hasMilk(about)
  if (!warm && !sugary) return null
  return {
    says: 'Sugars made it run hot.',
    evidence: warm
      ? `${library.additives.get(warm.id)!.name} is in it.`
      : 'It has milk sugar in it.',
    weight: 'likely',
    ...gelTo('prevent'),
  }
}
const forced: Suspect = ({ document }) =>
  document.method.gel === 'force'
    ? {
        says: 'It was kept warm and overheated in the middle.',
        evidence: 'Gel was to be forced.',
        weight: 'likely',
        ...gelTo('leave'),
      }
    : null
const hotMix: Suspect = (about) =>
  about.mixC > 42
    ? {
        says: 'It was mixed hot.',
        evidence: `Lye and oils met at ${about.say.temperature(about.mixC)}.`,
        along: { figure: 'mixed-at', worse: 'more' },
        weight: 'likely',
        ...mixAt(about, 36),
      }
    : null
const littleWater: Suspect = (about) =>
  about.made.ratio < 1.7
    ? {
        says: 'Little water: it runs hotter, and is brittle early.',
        evidence: `Water ${about.say.ratio(about.made.ratio)}.`,
        along: { figure: 'water', worse: 'less' },
        weight: 'possible',
        ...waterTo(about, 2),
      }
    : null

const halfGelled: Suspect = (about) => {
  if (about.gel !== 'partial' && about.gel !== null) return null
  const { verdict, peak, onsetC } = gelForecast(about.document, about.result, about.mixC + 2)
  if (about.gel === null && verdict !== 'may-ring') return null
  return {
    says: 'It gelled in the middle only.',
    evidence: `${about.gel === 'partial' ? 'Gel was seen in part. ' : ''}The middle was to reach about ${about.say.temperature(peak.usual)}; it turns translucent near ${about.say.temperature(onsetC)}.`,
    weight: about.gel === 'partial' ? 'likely' : 'possible',
    ...gelTo(hasMilk(about) ? 'prevent' : 'force'),
  }
}
const unevenPots: Suspect = ({ document }) =>
  document.parts.some(({ water }) => water)
    ? {
        says: 'Pots with different water gel and dry differently: here it is meant.',
        evidence: `${document.parts.length} parts with water of their own.`,
        weight: 'possible',
      }
    : null

const fatty: Suspect = (about) =>
  about.made.superfat > 0.08
    ? {
        says: 'Much free fat.',
        evidence: `${about.say.percent(about.made.superfat)} superfat ${about.weighed ? 'by the weights' : 'by the formula'}.`,
        along: { figure: 'superfat', worse: 'more' },
        weight: 'likely',
        ...lowerSuperfat(about, 0.05),
      }
    : null
const wet: Suspect = (about) =>
  about.made.ratio > 2.4
    ? {
        says: 'Much water still to lose.',
        evidence: `Water ${about.say.ratio(about.made.ratio)}, day ${about.age}.`,
        along: { figure: 'water', worse: 'more' },
        weight: about.age < 42 ? 'likely' : 'possible',
        ...waterTo(about, 2),
      }
    : null
const softOils: Suspect = ({ result, library, say }) => {
  const { firmAtCut, wearLife } = traitsOf(result, library)
  return firmAtCut < 35
    ? {
        says: 'Oils that stay soft for long.',
        evidence: `Firm at cut is estimated at ${say.number(firmAtCut)}, wear life at ${say.number(wearLife)}.`,
        weight: 'possible',
      }
    : null
}
const citrateSoftens: Suspect = (about) => {
  const share = shareOf(about, citricIn(about))
  return share > 0
    ? {
        says: 'Citric acid slows setting.',
        evidence: `Citric acid at ${about.say.percent(share)} of the oils, day ${about.age}.`,
        along: { figure: 'citric', worse: 'more' },
        weight: about.age < 14 ? 'likely' : 'possible',
      }
    : null
}

const thickPour: Suspect = ({ bench }) =>
  bench && pouredThick(bench.stage)
    ? {
        says: 'It was poured thick: air was folded in and could not rise.',
        evidence: `Poured at the stage "${bench.stage === 'thick' ? 'thick' : 'too far'}"${bench.minutes === null ? '' : `, ${Math.round(bench.minutes)} minutes after the lye`}.`,
        weight: 'likely',
      }
    : null
const blended: Suspect = ({ bench }) =>
  bench && bench.blenderSeconds > 60
    ? {
        says: 'Long blending: a blender that is not kept under and tapped beats air in.',
        evidence: `${bench.blenderSeconds} seconds of blending.`,
        weight: 'possible',
      }
    : null
const tapped: Suspect = () => ({
  says: 'The mould was not tapped, or the blender not tilted to let its air out.',
  evidence: 'The record does not say.',
  weight: 'possible',
})

const cutLate: Suspect = (about) => {
  const { firmAtCut } = traitsOf(about.result, about.library)
  if (about.cutAfter === null) return null
  if (about.cutAfter < 2 && firmAtCut < 55) return null
  return {
    says: 'It was cut too late and had gone hard.',
    evidence: `Cut on day ${about.cutAfter}; firm at cut is estimated at ${about.say.number(firmAtCut)}.`,
    along: { figure: 'cut-after', worse: 'more' },
    weight: about.cutAfter >= 2 || firmAtCut > 70 ? 'likely' : 'possible',
  }
}
const cutFrozen: Suspect = ({ frozenLoaf }) =>
  frozenLoaf
    ? {
        says: 'It was cut straight from the freezer.',
        evidence: 'It was frozen before the cut.',
        weight: 'likely',
      }
    : null
const leanBar: Suspect = ({ made, say }) =>
  made.superfat < 0.02
    ? {
        says: 'Hardly any free fat: brittle, and near to lye-heavy. Test it.',
        evidence: `${say.percent(made.superfat)} superfat.`,
        along: { figure: 'superfat', worse: 'less' },
        weight: 'likely',
        next: { label: 'Superfat 4 %', patch: [{ path: ['superfat'], value: 0.04 }] },
      }
    : null

const setEarly: Suspect = (about) => {
  const sets = settingC(about)
  return sets !== null && about.mixC < sets + 3
    ? {
        says: 'False trace: hard fat set, was taken for trace, and let go of the lye later.',
        evidence: `Lye and oils met at ${about.say.temperature(about.mixC)}; this blend begins to set at about ${about.say.temperature(sets)}.`,
        along: { figure: 'mixed-at', worse: 'less' },
        weight: 'likely',
        ...mixAt(about, Math.min(48, Math.round(sets + 6))),
      }
    : null
}
const apart: Suspect = (about) => {
  const { lyeC, oilsC } = about.bench ?? about.document.method
  if (lyeC === null || oilsC === null || Math.abs(lyeC - oilsC) <= 7) return null
  return {
    says: 'One vessel was much colder than the other.',
    evidence: `Lye at ${about.say.temperature(lyeC)}, oils at ${about.say.temperature(oilsC)}.`,
    along: { figure: 'vessels-apart', worse: 'more' },
    weight: 'likely',
    ...mixAt(about, Math.round(Math.max(lyeC, oilsC))),
  }
}
const neverOne: Suspect = ({ bench }) =>
  bench?.stage === 'cloudy' || bench?.stage === 'emulsion'
    ? {
        says: 'It was poured before it had truly emulsified, or parted while it waited.',
        evidence: `Poured at the stage "${bench.stage}".`,
        weight: bench.stage === 'cloudy' ? 'likely' : 'possible',
      }
    : null
const weightsWrong: Suspect = ({ made, weighed, say }) => ({
  says: 'A weight that was wrong: oil doubled, lye forgotten, the wrong jar.',
  evidence: weighed
    ? `By what the scale said, superfat is ${say.percent(made.superfat)}; a wrong jar shows in no weight.`
    : 'Nobody weighed at the bench: the record has only the plan.',
  weight: made.superfat < 0 || made.superfat > 0.15 ? 'likely' : 'possible',
})

const muchColour: Suspect = (about) => {
  const share = shareOf(about, tints(about))
  return share > 0.006
    ? {
        says: 'More colour than the soap can hold.',
        evidence: `Colour at ${about.say.percent(share)} of the oils; a level teaspoon in 500 g is about 0.6 %.`,
        along: { figure: 'colour', worse: 'more' },
        weight: share > 0.012 ? 'likely' : 'possible',
        ...rateTo(about, tints(about), 0.005),
      }
    : null
}
const clumps: Suspect = (about) => {
  const name = undispersed(about)
  return name
    ? {
        says: 'Pigment in clumps bleeds into the lather.',
        evidence: `${name} goes in without being dispersed.`,
        weight: 'likely',
      }
    : null
}

const littleScent: Suspect = (about) => {
  const { result, say } = about
  const share = result.oils > 0 ? about.made.scent / result.oils : 0
  return share < 0.025
    ? {
        says: 'Little scent to begin with.',
        evidence: share > 0 ? `${say.percent(share)} of the oils.` : 'No scent went in.',
        along: { figure: 'scent', worse: 'less' },
        weight: 'likely',
      }
    : null
}
const citrus: Suspect = ({ result }) => {
  const light = result.scents.find(({ name }) => isCitrus(name))
  return light
    ? {
        says: 'Citrus goes within weeks unless something heavier anchors it.',
        evidence: `${light.name} is in it.`,
        weight: 'likely',
      }
    : null
}
const gelTook: Suspect = (about) =>
  about.gel === 'full'
    ? {
        says: 'Gel heat drives light notes off.',
        evidence: 'It gelled all through.',
        weight: 'possible',
        ...gelTo('prevent'),
      }
    : null
const stoodLong: Suspect = ({ age }) =>
  age > 120
    ? {
        says: 'Months in open air.',
        evidence: `Day ${age} since the pour.`,
        weight: 'possible',
      }
    : null

export const body = {
  cracks: [forced, heats, hotMix, littleWater],
  rings: [halfGelled, unevenPots],
  soft: [fatty, wet, citrateSoftens, softOils],
  air: [thickPour, blended, tapped],
  crumbled: [cutLate, cutFrozen, leanBar, littleWater],
  'coloured-lather': [muchColour, clumps],
  'scent-gone': [littleScent, citrus, gelTook, stoodLong],
  'oil-on-top': [setEarly, apart, neverOne, weightsWrong],
} satisfies Record<string, Suspect[]>
