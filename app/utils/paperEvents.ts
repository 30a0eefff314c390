import type { NewRunEvent, Run, RunEvent } from '#contracts/run'
import type { Plan } from '#core/bench/plan/plan'
import { valuesOf } from '#core/stores/stock'
import type { AtHand } from './lotsAtHand'

/** What stands on a filled-in bench sheet. */
export interface PaperDraft {
  day: string
  /** Hour of the pour, as 14:30; empty where nobody wrote it down. */
  hour: string
  confirmed: Record<string, boolean>
  grams: Record<string, number | null>
  /** The lot that a thing was weighed from, by its id, where somebody chose another than the one that goes first. */
  lots: Record<string, string>
  peakC: number | null
  lyeC: number | null
  oilsC: number | null
  /** Minutes after the lye went in. */
  emulsion: number | null
  trace: number | null
  notes: string
}

export const blankPaper = (today: string): PaperDraft => ({
  day: today,
  hour: '',
  confirmed: {},
  grams: {},
  lots: {},
  peakC: null,
  lyeC: null,
  oilsC: null,
  emulsion: null,
  trace: null,
  notes: '',
})

/**
 * The events that a sheet tells of, in the order of the plan and at its usual times, since paper has no clock. A weight that is
 * left blank is not known: it is taken as planned, and said to be.
 * @param lots what it was weighed from, as far as the stores keep it
 * @param pouredAt instant of the pour, where its hour stands on the sheet
 */
export function paperEvents(
  plan: Plan,
  run: Pick<Run, 'startedAt'>,
  draft: PaperDraft,
  lots: readonly AtHand[],
  pouredAt?: string,
): RunEvent[] {
  const start = Date.parse(run.startedAt)
  const events: RunEvent[] = []
  const tell = (minutes: number, event: NewRunEvent) =>
    events.push({
      ...event,
      id: newId(),
      at: new Date(start + minutes * 60_000).toISOString(),
    } as RunEvent)
  for (const { thing, lot } of lots) {
    const { code } = lot.document
    tell(0, { kind: 'stood', thing, lotId: lot.id, code, ...valuesOf(lot.document) })
  }
  for (const [index, step] of plan.steps.entries()) {
    const minutes = plan.times[index]?.to ?? index
    if (step.kind === 'safety-check')
      for (const [point, confirmed] of Object.entries(draft.confirmed))
        if (confirmed) tell(minutes, { kind: 'confirmed', point })
    if (step.weigh)
      tell(minutes, {
        kind: 'scooped',
        step: step.id,
        grams: draft.grams[step.id] ?? step.weigh.grams,
        typed: true,
        ...(draft.grams[step.id] == null ? { assumed: true } : {}),
      })
    if (step.kind === 'dissolve' && draft.peakC !== null)
      tell(minutes, { kind: 'read', vessel: 'lye', celsius: draft.peakC, typed: true })
    if (step.kind === 'meet') {
      if (draft.lyeC !== null)
        tell(minutes, { kind: 'read', vessel: 'lye', celsius: draft.lyeC, typed: true })
      if (draft.oilsC !== null)
        tell(minutes, { kind: 'read', vessel: 'oils', celsius: draft.oilsC, typed: true })
    }
    tell(minutes, { kind: 'done', step: step.id })
    if (step.kind === 'combine') {
      const pot = step.pot ?? 0
      if (draft.emulsion !== null)
        tell(minutes + draft.emulsion, { kind: 'marked', pot, stage: 'emulsion' })
      if (draft.trace !== null) tell(minutes + draft.trace, { kind: 'marked', pot, stage: 'light' })
    }
  }
  const end = plan.minutes
  if (draft.notes.trim()) tell(end, { kind: 'noted', says: draft.notes.trim().slice(0, 1000) })
  tell(end, { kind: 'finished', pouredDay: draft.day, ...(pouredAt ? { pouredAt } : {}) })
  return events
}
