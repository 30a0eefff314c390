import type { BatchEvent, BatchFacts, BatchSummary, NewBatchEvent } from '#contracts/batch'
import { standingEvents } from '../units/standingEvents'
import { type Standing } from '../rack/standing'
import type { Day } from '../units/days'
import { checked } from './checked'
import { corrected } from './corrected'
import { cut } from './cut'
import { dropped } from './dropped'
import { felt } from './felt'
import { finished } from './finished'
import { foretold } from './foretold'
import { gelled } from './gelled'
import type { Before, EventKind, EventOf, Kind, Mark, Offer, Words } from './kind'
import { left } from './left'
import { noted } from './noted'
import { out } from './out'
import { pictured } from './pictured'
import { placed } from './placed'
import { poured } from './poured'
import { released } from './released'
import { salvaged } from './salvaged'
import { strip } from './strip'
import { tried } from './tried'
import { trouble } from './trouble'
import { trusted } from './trusted'
import { turned } from './turned'
import { weighed } from './weighed'
import { zapped } from './zapped'

/** Every kind of event, in the order in which they are offered. */
export const eventKinds: { [K in Kind]: EventKind<K> } = {
  poured,
  tried,
  cut,
  strip,
  zapped,
  trusted,
  released,
  out,
  noted,
  checked,
  felt,
  finished,
  placed,
  trouble,
  gelled,
  corrected,
  salvaged,
  left,
  pictured,
  foretold,
  weighed,
  turned,
  dropped,
}
/** What is known of an event's kind. The compiler does not see that an event fits its own kind. */
const kindOf = ({ kind }: { kind: Kind }) => eventKinds[kind]

/**
 * Why an event cannot have happened to this batch, or null when it can.
 * @param events of the batch so far
 * @param today in the workshop's time zone
 * @param limits chances of lye left over that the workshop puts up with
 * @example whyNot(cut, told({ kind: 'turned', day: '2026-03-16' }), '2026-03-15', {}) // 'That day has not come yet.'
 */
export function whyNot(
  { facts, events }: Pick<BatchSummary, 'facts'> & { events: readonly BatchEvent[] },
  event: BatchEvent,
  today: Day,
  limits: Before['limits'],
): string | null {
  if (event.kind === 'undone') {
    const hit = standingEvents(events).find(({ id }) => id === event.event)
    if (!hit) return 'What is to be taken back did not happen to this batch.'
    if (hit.kind === 'poured' && facts.cutOn) return 'Take back the cut first.'
    if (hit.kind === 'cut' && facts.out) return 'Take back what went out first.'
    return null
  }
  const kind = kindOf(event)
  if (event.day > today) return 'That day has not come yet.'
  if (facts.pouredOn && !kind.anyDay && event.day < facts.pouredOn)
    return 'That was before it was poured.'
  return kind.whyNot(event as never, { facts, today, limits })
}

/**
 * What happened, in one line; empty for a taking back.
 * @example happened({ kind: 'turned', day: '2026-03-02' }, { say, places: [] }) // 'Turned'
 */
export const happened = (event: NewBatchEvent, words: Words): string =>
  event.kind === 'undone' ? '' : kindOf(event).says(event as never, words)

/**
 * An event on the line of a batch's life; null where it is not drawn there.
 * @example markOf(told({ kind: 'zapped', day: '2026-03-03', zap: true }), { say, places: [] }) // { says: 'zap', looks: 'bad' }
 */
export const markOf = (event: EventOf<Kind>, words: Words): Mark | null =>
  kindOf(event).mark?.(event as never, words) ?? null

/**
 * What may be told of a batch as it is, in the order in which it is likely.
 * @example offers(standing, cut.facts).map(({ kind }) => kind).slice(0, 4) // ['strip', 'trusted', 'out', 'noted']
 */
export function offers(standing: Standing, facts: BatchFacts): ({ kind: Kind } & Offer)[] {
  const all = (Object.keys(eventKinds) as Kind[]).flatMap((kind) => {
    const offer = eventKinds[kind].offer?.(standing, facts)
    return offer ? [{ kind, ...offer }] : []
  })
  return [...all.filter(({ first }) => first), ...all.filter(({ first }) => !first)]
}
