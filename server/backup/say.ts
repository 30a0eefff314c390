const many = (count: number, one: string, more = `${one}s`) =>
  `${count.toLocaleString('en')} ${count === 1 ? one : more}`

/** What an archive holds, in words. */
export function countsText(counts: Record<string, number>): string {
  const { batches = 0, formulas = 0, events = 0, runEvents = 0, photos = 0 } = counts
  return [
    many(batches, 'batch', 'batches'),
    many(formulas, 'formula'),
    many(events + runEvents, 'entry', 'entries'),
    many(photos, 'photo'),
  ].join(', ')
}
