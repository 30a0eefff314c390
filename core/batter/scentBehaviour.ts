import type { KnownScent } from '#contracts/scent'
import type { ScentPortion } from '#contracts/result'
import type { Library } from '../materials/library'
import { effectOf } from '../scents/effect'
import type { Formatter } from '../units/formatter'

/** What a scent is known to do to a batter, by what is in its name. */
export interface ScentBehaviour {
  /** How much of the working time is left. */
  pace: number
  says: string
  /** Whether it turns the bar brown while it cures, as vanillin does. */
  browns?: true
}

/*
 * Makers' common experience with kinds of scent, not a test of the bottle at hand: spice oils rich in eugenol and
 * cinnamal seize, many florals hurry, citrus and most woods and mints keep still.
 */
const known: [match: RegExp, behaviour: ScentBehaviour][] = [
  [/\b(clove|cinnamon|allspice|nutmeg)\b/i, { pace: 0.25, says: 'spice oils may seize' }],
  [/\b(bay|pepper|ginger|cardamom)\b/i, { pace: 0.6, says: 'spices hurry the batter' }],
  [
    /\b(lily|ylang|jasmine|gardenia|hyacinth|neroli|rose|garden|blossom|honeysuckle)\b/i,
    { pace: 0.55, says: 'florals often hurry the batter' },
  ],
  [
    /\b(vanilla|honey|benzoin)\b/i,
    { pace: 0.7, says: 'sweet scents hurry it and turn it brown', browns: true },
  ],
  [
    /\b(orange|lemon|lime|grapefruit|bergamot|mint|peppermint|eucalyptus|rosemary|lavender|cedar|pine|fir)\b/i,
    { pace: 1, says: 'such oils usually keep still' },
  ],
]

/**
 * What is commonly known of a scent by its name; null when the name says nothing. The hastiest of several counts.
 * @example scentBehaviour('Clove bud') // { pace: 0.25, says: 'spice oils may seize' }
 */
export function scentBehaviour(name: string): ScentBehaviour | null {
  const fits = known.filter(([match]) => match.test(name)).map(([, behaviour]) => behaviour)
  return fits.sort((a, b) => a.pace - b.pace)[0] ?? null
}

/** How much of the time a scent leaves where it is used, and on what that rests. */
export interface ScentPace {
  name: string
  times: number
  /** Own pots, its supplier's word, or what its name says. */
  rests: 'own' | 'word' | 'name'
  /** Own pots that it rests on. */
  pots: number
  says: string
}

const words = {
  hurries: 'its supplier says it hurries',
  behaves: 'its supplier says it behaves',
  slows: 'its supplier says it slows',
} as const

/**
 * What a scent does to the time of a batter: by the workshop's own trials first, then by its supplier's word; by its name only where no
 * record speaks. Null when nobody can tell.
 * @param at share of the oils and water : lye it is used at
 * @example scentPace({ id: 'clove', name: 'Clove bud' }, { rate: 0.02, ratio: 2 }, shipped).times // 0.25
 */
export function scentPace(
  { id, name }: Pick<ScentPortion, 'id' | 'name'>,
  at: { rate: number; ratio: number },
  library: Pick<Library, 'scents'>,
): ScentPace | null {
  const known = library.scents?.get(id)
  const { pace = null } = known?.scent.claims ?? {}
  if (known && (known.readings.length || known.fromParts)) {
    const { factor, pots } = known.fromParts ? known.effect : effectOf(pace, known.readings, at)
    const says = known.fromParts ? 'worked out from its parts' : 'by your own trials'
    return { name, times: factor, rests: 'own', pots, says }
  }
  if (pace) {
    const { factor } = effectOf(pace, [], at)
    return { name, times: factor, rests: 'word', pots: 0, says: words[pace] }
  }
  const behaviour = scentBehaviour(name)
  return behaviour && { name, times: behaviour.pace, rests: 'name', pots: 0, says: behaviour.says }
}

/**
 * What a scent does to the time, and on what that rests: own pots first, and how many, or somebody's word.
 * @example paceText(scentPace({ id: 'clove', name: 'Clove bud' }, { rate: 0.02, ratio: 2 }, shipped), say)
 *   // 'Clove bud leaves 0.25 of the time: spice oils may seize, by its name alone'
 */
export function paceText({ name, times, rests, pots, says }: ScentPace, say: Formatter): string {
  const what =
    times > 1.05
      ? `${name} gives ${say.number(times, undefined, 2)} times the time`
      : times < 0.95
        ? `${name} leaves ${say.number(times, undefined, 2)} of the time`
        : `${name} keeps still`
  if (rests === 'own' && pots > 0)
    return `${what}, by ${say.count(pots, 'pot', 'pots')} of your own`
  return `${what}: ${says}${rests === 'name' ? ', by its name alone' : ''}`
}

/** CIEDE2000 from plain from which a scent is seen to have browned a bar (judgement), and vanillin that does it. */
const [seen, vanillinBrowns] = [10, 0.005]

/**
 * Whether a scent turns the bar brown while it cures: as it was seen here, else by its vanillin or its supplier's word, else by its name.
 * @example scentBrowns({ id: 'tonka', name: 'Vanilla' }, shipped) // true
 */
export function scentBrowns(
  { id, name }: { id: string; name?: string },
  { scents }: Pick<Library, 'scents'>,
): boolean {
  const known = scents?.get(id)
  if (!known) return scentBehaviour(name ?? id)?.browns ?? false
  const latest = known.colour.at(-1)
  if (latest) return latest.from >= seen
  const { vanillin, claims } = known.scent
  if (vanillin !== null) return vanillin >= vanillinBrowns
  return claims.colour === 'browns' || (!claims.colour && hasBrowningName(known))
}
const hasBrowningName = ({ name }: KnownScent) => scentBehaviour(name)?.browns ?? false
