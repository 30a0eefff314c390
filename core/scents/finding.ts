import type { KnownScent } from '#contracts/scent'
import type { Formatter } from '../units/formatter'
import { atUsual, byWater } from './byWater'
import { fadesBy } from './noses'

/** What was found of a scent here, said first; and more of it beneath. */
export interface Finding {
  /** "5 min to medium, rices". */
  says: string
  more: string
  /** Minutes to medium at the water that most pots were tried at; null where it never got there, or was never tried. */
  minutes: number | null
}

/** CIEDE2000 from plain from which a bar is tan, and from which it is brown. */
const [tan, brown] = [5, 10]
/** Part of the plain batter's time above which a scent calms it, and below which it suits what must set. */
const [calmer, hasty] = [1.2, 0.5]

/**
 * Minutes as a clock shows them.
 * @example clockText(4.9) // '4:54'
 */
export function clockText(minutes: number): string {
  const seconds = Math.round(minutes * 60)
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}

/**
 * What was found of a scent, in a few words.
 * @example findingOf({ tried: [], strength: [], colour: [], seized: 0, effect: { factor: 1 } }, say).says // 'Not tried here'
 */
export function findingOf(
  known: Pick<KnownScent, 'tried' | 'strength' | 'colour' | 'seized'> & {
    effect: Pick<KnownScent['effect'], 'factor'>
  },
  say: Formatter,
): Finding {
  const { tried, colour, strength } = known
  if (!tried.length) return { says: 'Not tried here', more: '', minutes: null }
  const { medium, stiff } = atUsual(byWater(known))!
  const pots = say.count(tried.length, 'pot', 'pots')
  const riced = tried.find((pot) => pot.riced)?.riced
  const latest = colour.at(-1)
  const turned = latest && latest.from >= tan ? latest : null
  const smells = strength.at(-1)
  const fades = fadesBy(strength)
  const minutes = medium === null ? 'over an hour' : `${say.number(medium, undefined, 0)} min`
  const more: string[] = []
  let says = medium === null ? 'over an hour to medium' : `${minutes} to medium`
  if (known.seized > 0 && stiff !== null) says = `seizes at ${clockText(stiff)}`
  else if (riced) {
    const span = riced.to === null ? null : riced.to - riced.from
    says =
      span !== null && span >= 3
        ? `${minutes}, rices for ${say.number(span, undefined, 0)} min`
        : `${says}, rices`
    if (riced.to !== null) more.push(`smooth from ${clockText(riced.to)}`)
  } else if (turned)
    says = turned.from >= brown ? `${minutes}, browns the bar` : `${minutes}, turns tan`
  else if (tried.some(({ loosened }) => loosened)) says = `${minutes}, loosens the batter`
  else if (fades !== null && fades <= 30) says = `${minutes}, gone by day ${fades}`
  if (turned) more.push(`${say.number(turned.from, undefined, 1)} from plain`)
  if (known.effect.factor >= calmer) more.push('calmer than plain')
  else if (known.effect.factor <= hasty && known.seized === 0 && !riced)
    more.push('for layers that must set')
  if (smells && smells.day >= 14) more.push(`${strengthText(smells.middle)} on day ${smells.day}`)
  else more.push(pots)
  return { says, more: more.slice(0, 2).join(' · '), minutes: medium }
}

/**
 * How strong a jar smells, in a word.
 * @param middle of the noses, 0–3
 * @example strengthText(2.5) // 'strong'
 */
export const strengthText = (middle: number): string =>
  middle < 0.5 ? 'gone' : middle < 1.5 ? 'weak' : middle < 2.5 ? 'clear' : 'strong'
