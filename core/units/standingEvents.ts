interface Told {
  id: string
  kind: string
}
type Holding<Event extends Told> = Exclude<Event, { kind: 'undone' }>

/**
 * Events that hold: each once, those taken back and the taking back itself left out.
 * @example standingEvents([{ id: 'a', kind: 'laundry' }, { id: 'b', kind: 'undone', event: 'a' }]) // []
 */
export function standingEvents<Event extends Told>(events: readonly Event[]): Holding<Event>[] {
  const out = new Set(
    events.flatMap((event) =>
      event.kind === 'undone' ? [(event as Event & { event: string }).event] : [],
    ),
  )
  const holds = (event: Event): event is Holding<Event> =>
    event.kind !== 'undone' && !out.has(event.id)
  return [...new Map(events.filter(holds).map((event) => [event.id, event])).values()]
}
