import { scentSchema, type KnownScent, type Scent, type TriedPot } from '#contracts/scent'
import { knownScents } from '#core/scents/known'
import { stagesOf } from '#core/trials/clocks'

/* Scents that were tried, for tests of whoever uses what is known of them. */

/** A record with only its name, unless something else is asked for. */
export const scentRecord = (name: string, changes: Partial<Scent> = {}): Scent =>
  scentSchema.parse({ name, ...changes })

/** A pot that was medium at a minute by its own clock, beside plain batter that was at 32. */
export function triedPot(
  scentId: string,
  medium: number,
  changes: Partial<TriedPot> = {},
): TriedPot {
  const { rate = 0.05, ratio = 2.14 } = changes
  return {
    pot: 1,
    code: 'NA7',
    scentId,
    name: scentId,
    batter: 60,
    scent: 2.1,
    rate,
    ratio,
    off: false,
    zero: 10,
    until: 70,
    stages: stagesOf(
      [
        { minutes: 10 + medium / 2, saw: 'light' },
        { minutes: 10 + medium, saw: 'medium' },
        { minutes: 10 + medium * 2, saw: 'too-far' },
      ],
      10,
    ),
    riced: null,
    seized: null,
    loosened: false,
    separated: false,
    reading: { d: Math.log(medium / 32), is: 'seen', unsure: false, rate, ratio },
    strength: [],
    colour: [],
    notes: [],
    trialId: 'trial',
    day: '2026-03-01',
    formula: 'Hostel Bar',
    formulaId: null,
    ...changes,
  }
}

/** What is known of one scent after some pots. */
export const knownAfter = (
  id: string,
  pots: readonly TriedPot[],
  changes: Partial<Scent> = {},
): KnownScent => knownScents([{ id, document: scentRecord(id, changes) }], pots).get(id)!
