import type { NewTrialEvent, Trial, TrialEvent } from '#contracts/trial'
import type { TrialStage } from '#contracts/trialWords'
import { stagesInOrder } from './clocks'

/** One line of the pad: grams, the minute its scent went in, and minutes by its own clock; null where nothing stands. */
export interface PadLine {
  batter: number | null
  scent: number | null
  zero: number | null
  stages: Partial<Record<TrialStage, number | null>>
  riced: number | null
  smooth: number | null
  note: string
}

/** What is wrong with a pad, by the place of its line. */
export interface PadFault {
  line: number
  says: string
}

/** What stands on a pad: everything is smooth at first. */
const written = stagesInOrder.slice(1)

/**
 * What does not go together on a pad.
 * @example padFaults({ pots: [{ code: 'NA7', scentId: 'a' }] }, [{ batter: 60, scent: 2.1, zero: null, stages: { medium: 5 }, riced: null, smooth: null, note: '' }])[0].says
 *   // 'NA7: at which minute did its scent go in?'
 */
export function padFaults(
  { pots }: { pots: readonly Pick<Trial['pots'][number], 'code' | 'scentId'>[] },
  lines: readonly PadLine[],
): PadFault[] {
  return lines.flatMap((line, at): PadFault[] => {
    const { code, scentId } = pots[at]!
    const seen = written.flatMap((stage) => line.stages[stage] ?? [])
    const says = (text: string): PadFault[] => [{ line: at, says: `${code}: ${text}` }]
    if (scentId !== null && line.zero === null && (seen.length || line.riced !== null))
      return says('at which minute did its scent go in?')
    if (seen.some((minute, place) => place > 0 && minute < seen[place - 1]!))
      return says('a later stage came before an earlier one.')
    if (line.riced !== null && line.smooth !== null && line.smooth < line.riced)
      return says('it was smooth again before it riced.')
    return []
  })
}

/**
 * A trial day as it stands on the pad, as what happened. Minutes of a plain pot are on the shared clock, those of the others on their own.
 * @param startedAt ms, when lye and oils met
 * @param until minutes on the shared clock until which whatever still poured was watched
 * @param newId makes an id for each
 * @example eventsFromPad({ pots: [] }, [], { startedAt: 0, until: 60, newId: () => 'a' }).map(({ kind }) => kind) // ['began', 'ended']
 */
export function eventsFromPad(
  { pots }: { pots: readonly Pick<Trial['pots'][number], 'scentId'>[] },
  lines: readonly PadLine[],
  { startedAt, until, newId }: { startedAt: number; until: number; newId: () => string },
): TrialEvent[] {
  const told: { minute: number; event: NewTrialEvent }[] = []
  const tell = (minute: number, event: NewTrialEvent) => told.push({ minute, event })
  lines.forEach((line, pot) => {
    const plain = pots[pot]!.scentId === null
    const zero = plain ? 0 : (line.zero ?? 0)
    if (line.batter !== null)
      tell(0, { kind: 'weighed', pot, what: 'batter', grams: line.batter, typed: true })
    if (!plain && line.scent !== null)
      tell(zero, { kind: 'weighed', pot, what: 'scent', grams: line.scent, typed: true })
    if (!plain && line.zero !== null) tell(zero, { kind: 'zeroed', pot })
    if (line.riced !== null)
      tell(zero + line.riced, { kind: 'marked', pot, saw: 'rices', unsure: false })
    if (line.smooth !== null)
      tell(zero + line.smooth, { kind: 'marked', pot, saw: 'smooth-again', unsure: false })
    for (const stage of written) {
      const minute = line.stages[stage]
      if (minute == null) continue
      tell(zero + minute, { kind: 'marked', pot, saw: stage, unsure: false })
      if (stage === 'too-far') tell(zero + minute, { kind: 'lidded', pot, on: true })
    }
    if (line.note.trim()) tell(until, { kind: 'noted', pot, says: line.note.trim(), photo: null })
  })
  const last = Math.max(until, ...told.map(({ minute }) => minute))
  const all = [
    { minute: 0, event: { kind: 'began', paper: true } as NewTrialEvent },
    ...told.sort((a, b) => a.minute - b.minute),
    { minute: last, event: { kind: 'ended' } as NewTrialEvent },
  ]
  return all.map(
    ({ minute, event }) =>
      ({
        ...event,
        id: newId(),
        at: new Date(startedAt + minute * 60_000).toISOString(),
      }) as TrialEvent,
  )
}
