import type { BatchSummary, DryingFacts, NewBatchEvent } from '#contracts/batch'
import type { Gel, Out, RejectReason } from '#contracts/rackWords'
import type { Due } from '#core/rack/due'
import type { Speaker } from '#core/units/say'
import { daysBetween } from '#core/units/days'

export const gelWords: Record<Gel, string> = {
  none: 'no gel',
  partial: 'gel in part, a ring',
  full: 'gelled all through',
}
export const rejectWords: Record<RejectReason, string> = {
  crumbled: 'crumbled edge',
  air: 'air pocket',
  cracked: 'cracked',
  crooked: 'crooked cut',
  colour: 'colour or specks',
  other: 'something else',
}
export const outWords: Record<Out, string> = {
  sold: 'sold',
  given: 'given away',
  used: 'used here',
  reworked: 'reworked',
  binned: 'binned',
  sample: 'kept as samples',
}
/** What is due, as something to do. */
export const dueWords: Record<Due['kind'], string> = {
  pour: 'Pour',
  peek: 'Look under the cover',
  unwrap: 'Unwrap',
  cut: 'Unmould and cut',
  strip: 'Test with a strip',
  weigh: 'Weigh the marked bars',
  turn: 'Turn the bars',
  ready: 'Ready',
}

/** Whether bars may be used, and on what that rests: never one bare word. */
export function usableText({ facts }: Pick<BatchSummary, 'facts'>): string {
  const { state, ph, because } = facts.usable
  switch (state) {
    case 'untested':
      return 'not tested yet'
    case 'usable':
      return `strip ${ph}, passed`
    case 'trusted':
      return 'by the weights, not tested'
    case 'held':
      return `held: strip ${ph}, over 10`
    case 'locked':
      if (because === 'weights') return 'locked: free lye by the weights'
      return because === 'zap' ? 'locked: it zapped' : `locked: strip ${ph}, over 11`
  }
}

/** When bars are dry by weight, give or take. */
export const dryText = ({ dryOn, from, to }: DryingFacts, today: string): string =>
  `${dayText(dryOn, { today })} ± ${Math.ceil(daysBetween(from, to) / 2)} d`

/** The net weight that a label may state: what nearly all bars still weigh when long dried, rounded down. */
export const labelText = ({ netGrams }: DryingFacts, say: Speaker): string =>
  say.amount(Math.floor(netGrams))

/** What happened, in one line. */
export function happenedText(event: NewBatchEvent, say: Speaker): string {
  const bars = (count: number) => `${count} ${count === 1 ? 'bar' : 'bars'}`
  switch (event.kind) {
    case 'poured':
      return event.laundry ? 'Poured, kept for laundry' : 'Poured'
    case 'checked':
      return event.check === 'peek' ? 'Looked under the cover' : 'Unwrapped'
    case 'gelled':
      return `Gel: ${gelWords[event.gel]}`
    case 'cut': {
      const rejects = event.rejects ?? []
      return [
        `Cut, ${bars(event.bars)}${event.grams ? ` of ${say.mass(event.grams)}` : ''}`,
        ...(event.ends ? [`${event.ends} end pieces`] : []),
        ...rejects.map((one) => `${one.bars} ${rejectWords[one.why]}`),
      ].join(', ')
    }
    case 'weighed':
      return `Weighed: ${event.bars.map(({ bar, grams }) => `bar ${bar} ${say.mass(grams)}`).join(', ')}`
    case 'strip':
      return `Strip ${event.ph} on ${event.where === 'lather' ? 'lather' : 'a wetted face'}${event.bar ? `, bar ${event.bar}` : ''}${event.tooDry ? ', too dry: does not count' : ''}`
    case 'zapped':
      return event.zap ? 'Zap test: it zapped' : 'Zap test: no zap'
    case 'trusted':
      return 'Not tested: the weights are trusted'
    case 'released':
      return `For sale: ${event.basis}`
    case 'turned':
      return 'Turned'
    case 'out':
      return `${bars(event.bars)} ${outWords[event.how]}${event.to ? `: ${event.to}` : ''}`
    case 'left':
      return `${event.why === 'spoiled' ? 'Thrown away' : 'All gone'}${event.note ? `: ${event.note}` : ''}`
    case 'noted':
      return event.note
    case 'undone':
      return ''
  }
}
