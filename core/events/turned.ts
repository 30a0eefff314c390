import { afterCut, type EventKind } from './kind'

/** Told by one press where it is due. */
export const turned: EventKind<'turned'> = {
  whyNot: afterCut,
  says: () => 'Turned',
  often: { tick: 'short' },
}
