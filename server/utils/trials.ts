import type { Revealed } from '#contracts/sniffing'
import type { ToldTrialEvent, TrialEvent } from '#contracts/trial'
import type { Strength } from '#contracts/trialWords'
import { noseCounts } from '#core/scents/noses'
import type { Jar } from '#core/trials/jars'
import { v7 } from 'uuid'
import type { Db } from '../db/connection'
import { closeSniffing, type OpenSniffing } from '../db/sniffings'
import { addTrialEvents, getTrial } from '../db/trials'

/** Everybody who follows a trial hears what was added to it. */
const followers = new Map<string, Set<(events: ToldTrialEvent[]) => void>>()

export function followTrial(id: string, hear: (events: ToldTrialEvent[]) => void): () => void {
  const all = followers.get(id) ?? new Set()
  followers.set(id, all.add(hear))
  return () => void all.delete(hear)
}
export function tellTrialFollowers(id: string, events: ToldTrialEvent[]): void {
  if (events.length) for (const hear of followers.get(id) ?? []) hear(events)
}

/** What each jar of a round was, and whose round does not count. */
export function revealed(db: Db, { id, jars, noses }: OpenSniffing): Revealed {
  const trials = new Map(jars.map(({ trialId }) => [trialId, getTrial(db, trialId)]))
  const potOf = ({ trialId, pot }: Jar) => trials.get(trialId)?.document.pots[pot]
  const plain = jars.filter((jar) => potOf(jar)?.scentId === null)
  const heard = (answers: Record<string, Strength>) =>
    plain.flatMap(({ code }) => answers[code] ?? [])
  return {
    id,
    noses: noses.map(({ nose }) => nose),
    apart: noses.filter(({ answers }) => !noseCounts(heard(answers))).map(({ nose }) => nose),
    jars: jars.map((jar) => ({
      ...jar,
      name: potOf(jar)?.name ?? '',
      scentId: potOf(jar)?.scentId ?? null,
      strengths: noses.map(({ answers }) => answers[jar.code] ?? null),
      said: noses.map(({ said }) => said[jar.code] ?? null),
    })),
  }
}

/** Ends a round: what every nose wrote becomes part of the trials its jars are of. */
export function endSniffing(db: Db, round: OpenSniffing, now: string): Revealed {
  const result = revealed(db, round)
  db.transaction(() => {
    for (const trialId of new Set(round.jars.map((jar) => jar.trialId))) {
      if (!getTrial(db, trialId)) continue
      const jars = round.jars.filter((jar) => jar.trialId === trialId)
      const events = round.noses.flatMap(({ nose, answers, said }): TrialEvent[] => {
        const strengths = jars.flatMap(({ code, pot }) => {
          const strength = answers[code]
          return strength === undefined ? [] : [{ pot, strength, ...said[code] }]
        })
        if (!strengths.length) return []
        const apart = result.apart.includes(nose)
        const day = jars[0]!.day
        return [{ id: v7(), at: now, kind: 'sniffed', nose, day, strengths, apart }]
      })
      if (events.length) addTrialEvents(db, trialId, events, now)
    }
    closeSniffing(db, round.id, now)
  }).immediate()
  return result
}
