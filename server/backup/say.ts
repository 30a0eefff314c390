import { formatter } from '#core/units/formatter'

// The terminal speaks English.
const say = formatter()

/** What an archive holds, in words. */
export function countsText(counts: Record<string, number>): string {
  const { batches = 0, formulas = 0, events = 0, runEvents = 0, photos = 0 } = counts
  return say.list([
    say.count(batches, 'batch', 'batches'),
    say.count(formulas, 'formula', 'formulas'),
    say.count(events + runEvents, 'entry', 'entries'),
    say.count(photos, 'photo', 'photos'),
  ])
}
