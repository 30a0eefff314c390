import type { PotFound, Sniff, Trial, TrialEvent, TrialSummary } from '#contracts/trial'
import type { TriedPot } from '#contracts/scent'
import { standingEvents } from '../units/standingEvents'
import { differenceOf } from '../scents/colour'
import { controlZero, ricedOf, stagesOf, type Mark, type RoundPot } from './clocks'
import { isOff, rateOf } from './dose'
import { readingOf } from './reading'

type Standing = ReturnType<typeof standingEvents<TrialEvent>>[number]
type Of<Kind extends Standing['kind']> = Extract<Standing, { kind: Kind }>
const minute = 60_000

/** What happened on a trial day, by pot; minutes on the clock that all pots share. */
export interface Round {
  /** Instant at which lye and oils met; null as long as nothing has begun. */
  beganAt: number | null
  paper: boolean
  ended: boolean
  pots: RoundOf[]
}

export interface RoundOf extends RoundPot {
  /** g weighed into it; null as long as it was not. */
  batter: number | null
  scent: number | null
  /** Minute at which it left the round with its lid; null while it is in it. */
  lidded: number | null
  /** When somebody looked at it last. */
  lookedAt: number | null
  notes: { says: string; photo: string | null; minutes: number }[]
}

/**
 * What happened on a trial day, worked out from its events.
 * @param now instant until which pots that are still in the round were watched, ms
 * @example roundOf({ pots: [{ code: 'NA7', scentId: null }], minutes: 60 }, []).pots[0].batter // null
 */
export function roundOf(
  trial: Pick<Trial, 'pots' | 'minutes'>,
  events: readonly TrialEvent[],
  now = Infinity,
): Round {
  const holds = standingEvents(events)
  const of = <Kind extends Standing['kind']>(kind: Kind) =>
    holds.filter((event): event is Of<Kind> => event.kind === kind)
  const [began] = of('began')
  const [ended] = of('ended')
  const beganAt = began ? Date.parse(began.at) : null
  const minutesAt = (at: string | number) =>
    beganAt === null ? 0 : ((typeof at === 'string' ? Date.parse(at) : at) - beganAt) / minute
  const last = minutesAt(ended ? ended.at : now)
  const lastWord = Math.max(0, ...holds.filter(isOfRound).map(({ at }) => minutesAt(at)))
  return {
    beganAt,
    paper: began?.paper ?? false,
    ended: Boolean(ended),
    pots: trial.pots.map((plan, at) => {
      const here = <One extends { pot: number | null }>(all: One[]) =>
        all.filter(({ pot }) => pot === at)
      const weighed = (what: 'batter' | 'scent') =>
        here(of('weighed')).findLast((event) => event.what === what)?.grams ?? null
      const lid = here(of('lidded')).at(-1)
      const lidded = lid?.on ? minutesAt(lid.at) : null
      const zeroed = here(of('zeroed')).at(-1)
      const marks: Mark[] = here(of('marked')).map((event) => ({
        minutes: minutesAt(event.at),
        saw: event.saw,
        ...(event.unsure ? { unsure: true } : {}),
      }))
      const looked = [...here(of('marked')), ...here(of('looked'))].map((one) => minutesAt(one.at))
      return {
        batter: weighed('batter'),
        scent: weighed('scent'),
        zero: plan.scentId === null || !zeroed ? null : minutesAt(zeroed.at),
        marks,
        until: lidded ?? (Number.isFinite(last) ? last : lastWord),
        lidded,
        lookedAt: looked.length ? Math.max(...looked) : null,
        notes: here(of('noted')).map(({ says, photo, at: when }) => ({
          says,
          photo,
          minutes: minutesAt(when),
        })),
      }
    }),
  }
}

/** What belongs to the hour at the bench, and not to the weeks after it. */
const isOfRound = ({ kind }: Standing): boolean => kind !== 'sniffed' && kind !== 'coloured'

/**
 * What each pot of a trial day showed, by the day itself and by what noses and eyes found after it. Of a day that was only begun, what
 * it showed so far.
 * @example foundIn({ pots: [], minutes: 60, scale: 0.01 }, []) // []
 */
export function foundIn(trial: Trial, events: readonly TrialEvent[]): PotFound[] {
  const round = roundOf(trial, events)
  const holds = standingEvents(events)
  // A pot whose scent nobody stirred in tells nothing, and is no plain one either.
  const places = trial.pots.flatMap(({ scentId }, at) =>
    scentId === null || round.pots[at]!.zero !== null ? [at] : [],
  )
  const told = places.map((at) => round.pots[at]!)
  return trial.pots.map((plan, at) => {
    const pot = round.pots[at]!
    const batter = pot.batter ?? plan.grams
    const scent = pot.scent ?? (plan.scentId === null ? 0 : batter * plan.oilShare * plan.rate)
    const plain = plan.scentId === null
    const zero = plain ? controlZero(told) : (pot.zero ?? 0)
    const rate = rateOf({ batter, scent }, plan.oilShare)
    const began = plain ? told.length > 0 && round.beganAt !== null : pot.zero !== null
    const wanted = { oilShare: plan.oilShare, rate: plain ? 0 : plan.rate, step: trial.scale }
    const seized = pot.marks.find(({ saw }) => saw === 'seizes')
    const same = places
      .filter((place) => trial.pots[place]!.ratio === plan.ratio)
      .map((place) => round.pots[place]!)
    return {
      pot: at,
      code: plan.code,
      scentId: plan.scentId,
      name: plan.name,
      batter,
      scent,
      rate,
      ratio: plan.ratio,
      off: pot.scent !== null && isOff({ batter, scent }, wanted),
      zero,
      until: pot.until,
      stages: began ? stagesOf(pot.marks, zero) : {},
      riced: began ? ricedOf(pot.marks, zero) : null,
      seized: seized ? Math.max(0, seized.minutes - zero) : null,
      loosened: pot.marks.some(({ saw }) => saw === 'loosens'),
      separated: pot.marks.some(({ saw }) => saw === 'separates'),
      // Against plain batter of its own water where there is some, or else of the day.
      reading: readingOf(pot, same.some(({ zero: own }) => own === null) ? same : told, {
        rate,
        ratio: plan.ratio,
      }),
      strength: holds.flatMap((event): Sniff[] =>
        event.kind !== 'sniffed' || event.apart
          ? []
          : event.strengths
              .filter((one) => one.pot === at)
              .map(({ strength, words = [] }) => ({
                nose: event.nose,
                day: event.day,
                strength,
                ...(words.length ? { words } : {}),
              })),
      ),
      colour: holds
        .flatMap((event) =>
          event.kind === 'coloured' && event.pot === at
            ? {
                day: event.day,
                from: differenceOf(event.sample, event.plain),
                swatch: event.swatch,
                plain: event.plainSwatch,
                card: event.card,
                ...(event.photo ? { photo: event.photo } : {}),
              }
            : [],
        )
        .sort((a, b) => a.day - b.day),
      notes: pot.notes.map(({ says }) => says),
      photos: pot.notes.flatMap(({ photo }) => photo ?? []),
    }
  })
}

/**
 * Every pot of some trial days, each with the day it was tried on.
 * @example triedPotsOf([]) // []
 */
export const triedPotsOf = (trials: readonly TrialSummary[]): TriedPot[] =>
  trials.flatMap(({ id, document: { day, formula, formulaId }, found }) =>
    found.map((pot) => ({ ...pot, trialId: id, day, formula: formula.name, formulaId })),
  )

/**
 * How far a trial is, and on which days noses were here.
 * @example stateOf([]) // { state: 'planned', sniffed: [] }
 */
export function stateOf(events: readonly TrialEvent[]): Pick<TrialSummary, 'state' | 'sniffed'> {
  const holds = standingEvents(events)
  const has = (kind: Standing['kind']) => holds.some((event) => event.kind === kind)
  const days = holds.flatMap((event) => (event.kind === 'sniffed' ? [event.day] : []))
  return {
    state: has('ended') ? 'done' : has('began') ? 'going' : 'planned',
    sniffed: [...new Set<number>(days)].sort((a, b) => a - b),
  }
}
