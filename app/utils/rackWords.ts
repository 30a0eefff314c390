import type { BatchSummary, DryingFacts } from '#contracts/batch'
import { netSays } from '#core/label/net'
import { placeFor } from '#core/label/places'
import type { Place } from '#contracts/workshop'
import { barsByPlace } from '#core/rack/places'
import type { LessonAbout } from '#contracts/rackWords'
import type { Due } from '#core/rack/due'
import type { Standing } from '#core/rack/standing'
import type { Formatter } from '#core/units/formatter'
import { daysBetween } from '#core/units/days'

/** What is due, as something to do. */
export const dueWords: Record<Due['kind'], string> = {
  pour: 'Pour',
  peek: 'Look under the cover',
  unwrap: 'Unwrap',
  thaw: 'Out of the freezer, let it stand, then cut',
  cut: 'Unmould and cut',
  strip: 'Test with a strip',
  weigh: 'Weigh the marked bars',
  turn: 'Turn the bars',
  look: 'Look again at the trouble',
  ready: 'Ready',
}

/** What is due, in as few letters as a tag has room for. */
export const tagWords: Record<Due['kind'], string> = {
  pour: '',
  peek: 'look under',
  unwrap: 'unwrap',
  thaw: 'out of the freezer',
  cut: 'unmould, cut',
  strip: 'test',
  weigh: 'weigh',
  turn: 'turn',
  look: 'look again',
  ready: 'ready',
}

/** Names of the places on which bars of a batch stand. */
export function placesOf(batch: BatchSummary, today: string, places: readonly Place[]): string[] {
  const names = new Map(places.map(({ id, name }) => [id, name]))
  return barsByPlace(batch, today).flatMap(({ place }) => names.get(place ?? '') ?? [])
}

/** What of the work a lesson is about, inside a sentence. */
export const lessonWords: Record<LessonAbout, string> = {
  ready: 'getting ready',
  weighing: 'the weighing',
  lye: 'the lye',
  temperatures: 'temperatures',
  batter: 'the batter',
  pour: 'the pour',
  cover: 'covering, gel',
  cut: 'the cut',
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

/** When bars are dry by weight, as coarsely as it is known: to the day only once their loss was seen to level off. */
export function dryText({ dryOn, from, to, levelled }: DryingFacts, today: string): string {
  const half = Math.ceil(daysBetween(from, to) / 2)
  return levelled && half <= 7
    ? `${dayText(dryOn, { today })} ± ${half} d`
    : spanText(from, to, today, !levelled)
}

/** The day a batch is ready; where weight decides and is not known to the day, as coarsely as it is. */
export const readyText = (
  { facts }: Pick<BatchSummary, 'facts'>,
  { readyOn, by }: Standing,
  today: string,
): string =>
  by === 'weight' && facts.drying ? dryText(facts.drying, today) : dayText(readyOn!, { today })

/** The net weight that a label may state: what nearly all bars still weigh when long dried, rounded down. */
export function labelText({ netGrams }: DryingFacts, say: Formatter): string {
  const { selling } = useWorkshop().settings
  const dual = placeFor(selling).dualUnits || say.system === 'imperial'
  return netSays(netGrams, selling.step, dual, say)
}
