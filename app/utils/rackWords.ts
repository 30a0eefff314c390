import type { BatchSummary, DryingFacts, NewBatchEvent } from '#contracts/batch'
import type {
  FeelTest,
  Finish,
  Gel,
  Out,
  PeekFind,
  RejectReason,
  Touch,
} from '#contracts/rackWords'
import type { Place } from '#contracts/workshop'
import { labelGrams } from '#core/rack/dryingModel'
import { feelKinds } from '#core/rack/feel'
import { troubleKinds } from '#core/troubles/kinds'
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
export const peekWords: Record<PeekFind, string> = {
  fine: 'even, quiet',
  ring: 'darker in the middle',
  hot: 'cracked, domed or rising',
  wet: 'oil or liquid on top',
}
export const touchWords: Record<Touch, string> = {
  soft: 'soft, takes a finger’s mark',
  sticky: 'firm, but the sides stick',
  firm: 'firm, like cold cheese',
  hard: 'hard',
}
export const finishWords: Record<Finish, string> = {
  trimmed: 'Trimmed',
  bevelled: 'Bevelled',
  stamped: 'Stamped',
  planed: 'Planed',
}
/** How bad a trouble is. */
export const howBad = ['', 'hardly seen', 'plain', 'bad'] as const
export const lyeNames: Record<string, string> = {
  naoh: 'sodium hydroxide',
  koh: 'potassium hydroxide',
  water: 'water',
  scent: 'scent',
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
  say.amount(labelGrams(netGrams, say.system))

/** What happened, in one line. */
export function happenedText(
  event: NewBatchEvent,
  say: Speaker,
  places: readonly Place[] = [],
): string {
  const bars = (count: number) => `${count} ${count === 1 ? 'bar' : 'bars'}`
  switch (event.kind) {
    case 'poured':
      return event.laundry ? 'Poured, kept for laundry' : 'Poured'
    case 'checked':
      return event.check === 'peek'
        ? `Looked under the cover${event.found ? `: ${peekWords[event.found]}` : ''}`
        : 'Unwrapped'
    case 'tried':
      return `Tried: ${touchWords[event.touch]}${event.frozen ? ', into the freezer' : ''}`
    case 'gelled':
      return `Gel: ${gelWords[event.gel]}${event.hours ? `, seen after ${event.hours} h` : ''}`
    case 'finished':
      return `${finishWords[event.step]}${event.grams ? `, ${say.mass(event.grams)} off a bar` : ''}`
    case 'placed':
      return `Placed: ${event.spread
        .map(({ place, bars: count }) => {
          const name = places.find(({ id }) => id === place)?.name
          return name ? `${bars(count)} on ${name}` : bars(count)
        })
        .join(', ')}`
    case 'pictured':
      return event.note || 'Photographed'
    case 'felt':
      return [
        `Tried in use: ${Object.entries(event.scores)
          .map(([test, score]) => `${feelKinds[test as FeelTest].says.toLowerCase()} ${score}`)
          .join(', ')} of 5`,
        ...(event.note ? [event.note] : []),
      ].join('. ')
    case 'trouble':
      return `${troubleKinds[event.trouble].says}, ${howBad[event.how]}${event.note ? `: ${event.note}` : ''}`
    case 'corrected':
      return `Really went in: ${event.differences
        .map(
          ({ what, grams }) =>
            `${grams > 0 ? '+' : '−'}${say.mass(Math.abs(grams))} ${lyeNames[what] ?? what.replaceAll('-', ' ')}`,
        )
        .join(', ')}${event.note ? `. ${event.note}` : ''}`
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
      if (event.from) return `${event.from}: ${event.note}`
      return event.lesson ? `Lesson: ${event.note}` : event.note
    case 'undone':
      return ''
  }
}
