import type { BatchSummary } from '#contracts/batch'
import { isLate, lookOn, rounds, type Due } from '#core/rack/due'
import { standingOf } from '#core/rack/standing'
import { sumOf } from '#core/statistics/sum'
import { troubleKinds } from '#core/troubles/kinds'
import { daysBetween } from '#core/units/days'
import { inSentence } from '#core/units/language'
import { useIntervalFn } from '@vueuse/core'

/** Turning and weighing are one round through the room each; everything else is a job of its own. */
export interface DueJob {
  kind: Due['kind']
  batches: BatchSummary[]
  says: string
  because: string
  /** By how much its hours are over: 45 min past. */
  past?: string
  /** Its time is over. */
  late: boolean
}

/** What is to be done, in words: what its time is over for first, then today, then the six days after. */
export function useDueJobs() {
  const batches = useBatches()
  const workshop = useWorkshop()
  const { say, today } = storeToRefs(workshop)
  const now = ref(workshop.clock())
  useIntervalFn(() => (now.value = workshop.clock()), 60_000)
  const byId = computed(() => new Map(batches.list.map((batch) => [batch.id, batch])))
  function jobsOf(dues: Due[]): DueJob[] {
    const jobs: DueJob[] = []
    for (const one of dues) {
      const batch = byId.value.get(one.batchId)!
      const same = rounds.has(one.kind) && jobs.find(({ kind }) => kind === one.kind)
      if (same) same.batches.push(batch)
      else
        jobs.push({
          kind: one.kind,
          batches: [batch],
          late: isLate(one, { now: now.value, today: today.value }),
          ...jobWords(one, batch),
        })
    }
    return jobs.map((job) => (rounds.has(job.kind) ? { ...job, ...roundWords(job) } : job))
  }
  function roundWords({ kind, batches: all }: DueJob) {
    const names = all.map(({ name, number }) => `${name} ${number}`)
    const because =
      names.length > 3
        ? `${say.value.list(names.slice(0, 2))} and ${names.length - 2} more`
        : say.value.list(names)
    const bars = sumOf(all, (batch) => standingOf(batch, today.value).bars)
    return { says: kind === 'turn' ? `Turn ${bars} bars` : 'Weigh the marked bars', because }
  }
  /** When something is best done. */
  const best = ({ between }: Due): string =>
    between ? roundWhenText(between, workshop.settings.timeZone) : ''
  function jobWords(one: Due, batch: BatchSummary) {
    const name = `Batch ${batch.number}`
    const past = pastText(one, now.value)
    const window = past || best(one)
    const late = daysBetween(one.on, today.value)
    const when = one.on <= today.value ? '' : `, ${dayText(one.on, { weekday: true })}`
    switch (one.kind) {
      case 'pour':
        return {
          says: `Pour ${batch.name}`,
          because: `${name}: its plan and vessels are ready`,
        }
      case 'peek':
        return {
          says: `Look under the cover of ${batch.name}`,
          because: `${name}, ${window}. Cracked or rising? Uncover it and cool it`,
        }
      case 'unwrap':
        return {
          says: `Unwrap ${batch.name}`,
          because: `${name}, ${window}. Let it come to the warmth of the room`,
        }
      case 'thaw':
        return {
          says: `Take ${batch.name} out of the freezer`,
          because: `${name}, ${window}. Let it stand ten minutes, then unmould and cut; it sweats a little`,
        }
      case 'cut':
        return {
          says: `Unmould and cut ${batch.name}`,
          past,
          because: past
            ? `${name} was best ${best(one)}; from now on it may crumble. Gloves on`
            : window
              ? `${name}, best ${window}. Firm to the touch? Gloves on`
              : late > 0
                ? `${name} has waited ${say.value.count(late, 'day', 'days')}; a hard loaf crumbles under the wire`
                : `${name}${when}. Firm to the touch? Gloves on`,
        }
      case 'strip': {
        const { state } = batch.facts.usable
        return {
          says: `${state === 'untested' ? 'Test' : 'Test again'}: ${batch.name}`,
          because:
            state === 'untested'
              ? `${name}${when}: a strip on wet lather; 8 to 10 is soap`
              : `${name} is ${usableText(batch)}${when}`,
        }
      }
      case 'look': {
        const { says } = troubleKinds[lookOn(batch)!.trouble]
        return {
          says: `Look again at ${batch.name}`,
          because: `${name}${when}: ${inSentence(says)}. Worse, the same, or gone?`,
        }
      }
      case 'weigh':
      case 'turn':
        return { says: '', because: '' }
      case 'ready': {
        const { bars, by } = standingOf(batch, today.value)
        const label = batch.facts.drying
          ? `, label them ${labelText(batch.facts.drying, say.value)}`
          : ''
        return {
          says: `${batch.name} is ready ${one.on === today.value ? 'today' : `${by === 'weight' ? 'about ' : ''}${dayText(one.on, { weekday: true })}`}`,
          because: `${name}, ${bars} bars${label}; ${by === 'weight' ? 'dry by weight' : `${batch.cure.days} days by the calendar`}`,
        }
      }
    }
  }

  const todays = computed(() => jobsOf(batches.due.today))
  return {
    overdue: computed(() => todays.value.filter(({ late }) => late)),
    today: computed(() => todays.value.filter(({ late }) => !late)),
    week: computed(() => jobsOf(batches.due.week)),
  }
}
