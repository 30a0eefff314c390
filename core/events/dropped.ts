import type { EventKind } from './kind'

/** A lesson that is not shown any more. */
export const dropped: EventKind<'dropped'> = {
  whyNot: () => null,
  says: () => 'A lesson dropped',
  anyDay: true,
}
