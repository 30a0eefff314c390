import type { AlongBatch, BatchEvent } from '#contracts/batch'
import type { CauseFigure, Trouble } from '#contracts/rackWords'
import { standingEvents } from '../units/standingEvents'
import { daysBetween, type Day } from '../units/days'
import type { Formatter } from '../units/formatter'
import { figureKinds } from './figures'

/** Others of a kind below which a comparison says nothing. */
const fewest = 3

/**
 * When a trouble was seen on a batch, as it was told and holds; that it went away is none of them.
 * @example sightings(cut.events, 'ash') // []
 */
export const sightings = <Event extends BatchEvent>(
  events: readonly Event[],
  trouble: Trouble,
): Extract<Event, { kind: 'trouble' }>[] =>
  standingEvents(events).filter(
    (event): event is Extract<typeof event, { kind: 'trouble' }> =>
      event.kind === 'trouble' && event.trouble === trouble && event.how > 0,
  )

/**
 * Batches that can be held beside one: those that showed the trouble, and those that stood long enough to have shown it.
 * @param seenAfter days from the pour until it was first seen on the one in question
 * @example comparable([{ pouredOn: '2026-03-01', leftOn: '2026-03-04', seenOn: null }], 20, '2026-05-01') // []
 */
export const comparable = <Batch extends Pick<AlongBatch, 'pouredOn' | 'leftOn' | 'seenOn'>>(
  batches: readonly Batch[],
  seenAfter: number,
  today: Day,
): Batch[] =>
  batches.filter(
    ({ pouredOn, leftOn, seenOn }) =>
      seenOn !== null || daysBetween(pouredOn, leftOn ?? today) >= Math.max(1, seenAfter),
  )

/**
 * What the workshop's own batches say of a cause: whether its figure tells those with the trouble from those without.
 * @param batches comparable ones, the batch in question among them
 * @param worse which end of the figure is said to bring the trouble
 * @returns a sentence; too few are said to be too few
 * @example alongSays([], 'a', 'water', 'more', say) // ''
 */
export function alongSays(
  batches: readonly AlongBatch[],
  id: string,
  figure: CauseFigure,
  worse: 'more' | 'less',
  say: Formatter,
): string {
  const here = batches.find((batch) => batch.id === id)
  if (!here) return ''
  const { text } = figureKinds[figure]
  const sign = worse === 'more' ? 1 : -1
  const hurt = batches.filter(({ seenOn }) => seenOn !== null)
  const spared = batches.filter(({ seenOn }) => seenOn === null)
  const than = worse === 'more' ? 'over' : 'under'
  if (!spared.length && batches.length > fewest)
    return `All your ${say.count(batches.length, 'batch', 'batches')} had it.`
  if (batches.length <= fewest)
    return `${say.count(batches.length - 1, 'other batch', 'other batches')} to compare with: too few to tell.`
  const edge = Math.max(...spared.map(({ value }) => sign * value))
  const others = say.count(spared.length, 'batch', 'batches')
  if (hurt.every(({ value }) => sign * value > edge + 1e-9)) {
    const limit = text(sign * edge, say)
    return hurt.length === 1
      ? `It alone lies ${than} ${limit}; your other ${others} did not have it.`
      : `The ${say.count(hurt.length, 'batch', 'batches')} ${than} ${limit} had it, your other ${others} did not.`
  }
  const asFar = batches.filter(({ value }) => sign * value >= sign * here.value - 1e-9)
  const rest = batches.length - asFar.length
  const had = (some: readonly AlongBatch[]) => some.filter(({ seenOn }) => seenOn !== null).length
  const leans = rest > 0 && had(asFar) * rest > (hurt.length - had(asFar)) * asFar.length
  const tells = leans ? '' : ' It does not tell them apart.'
  if (rest && asFar.every(({ value }) => Math.abs(value - here.value) < 1e-9))
    return `Of your ${say.count(asFar.length, 'batch', 'batches')} with ${text(here.value, say)}, ${say.number(had(asFar))} had it; of the ${say.number(rest)} others, ${say.number(hurt.length - had(asFar))}.${tells}`
  const far = `Of your ${say.count(asFar.length, 'batch', 'batches')} with ${text(here.value, say)} or ${worse}, ${say.number(had(asFar))} had it`
  const nearer = rest
    ? `; of ${say.number(rest)} with ${worse === 'more' ? 'less' : 'more'}, ${say.number(hurt.length - had(asFar))}`
    : ''
  return `${far}${nearer}.${tells}`
}
