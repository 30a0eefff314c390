import type { z } from 'zod'

/**
 * The first of some events whose id is taken by one that says something else; below zero where none is.
 * @param kept events as they were told, by their id, without what the database adds
 */
export const otherwiseKept = <Event extends { id: string }>(
  events: readonly Event[],
  kept: ReadonlyMap<string, object>,
  schema: z.ZodType<Event>,
): number =>
  events.findIndex((event) => {
    const before = kept.get(event.id)
    return before && JSON.stringify(schema.parse(before)) !== JSON.stringify(event)
  })
