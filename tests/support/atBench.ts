import type { Page } from '@playwright/test'
import { v7 } from 'uuid'
import type { Batch } from '#contracts/batch'
import { usualSetup } from '#contracts/benchWords'
import type { Run, RunSetup } from '#contracts/run'
import { safetyPoints } from '#core/bench/run/safetyCheck'
import { plannedFrom } from './bench'
import { space } from './quiet'
import { send } from './send'

/* Batches on their way to the bench, by the routes. */

/** A batch of a formula, planned and not begun. */
export async function planned(url: string, document: object): Promise<Batch> {
  const formulaId = v7()
  await send(`${url}/api/formulas/${formulaId}`, 'PUT', { revision: 0, document })
  return batchOf(url, formulaId)
}
/** A batch of a formula that is kept. */
export async function batchOf(url: string, formulaId: string): Promise<Batch> {
  const { body } = await send<Batch>(`${url}/api/batches`, 'POST', {
    id: v7(),
    formulaId,
    revision: 1,
    bars: 12,
    cure: { rule: 'most', days: 42 },
  })
  return body
}
/** A run with a setup of its own, begun by another device, and all of it done as planned up to a step. */
export async function upTo(
  url: string,
  batch: Batch,
  until: string,
  setup: Partial<RunSetup> = {},
  read: Partial<Record<'lye' | 'oils', number>> = {},
) {
  const now = (await send<{ now: string }>(`${url}/api/workshop`, 'GET')).body.now
  const start = Date.parse(now) - 50 * 60_000
  const at = (minutes: number) => new Date(start + minutes * 60_000).toISOString()
  const { plan } = plannedFrom(batch.frozen.document, setup, 1)
  const device = v7()
  await send(`${url}/api/batches/${batch.id}/run`, 'POST', {
    id: v7(),
    device,
    setup: { ...usualSetup, ...setup },
    at: at(0),
  })
  const { body: run } = await send<Run>(`${url}/api/batches/${batch.id}/run`, 'GET')
  const steps = plan.steps.slice(
    0,
    plan.steps.findIndex(({ id }) => id === until),
  )
  const told: object[] = [
    ...safetyPoints.map(({ id }) => ({ kind: 'confirmed', point: id })),
    ...steps.flatMap((step) => [
      ...(step.weigh
        ? [{ kind: 'scooped', step: step.id, grams: step.weigh.grams, typed: true }]
        : []),
      ...(step.kind === 'meet'
        ? Object.entries(read).flatMap(([vessel, celsius]) =>
            (plan.jugs.length > 1 && vessel === 'lye'
              ? plan.pots.map((_, pot) => pot)
              : [undefined]
            ).map((pot) => ({
              kind: 'read',
              vessel,
              celsius,
              typed: true,
              ...(pot === undefined ? {} : { pot }),
            })),
          )
        : []),
      { kind: 'done', step: step.id },
    ]),
  ]
  await send(`${url}/api/runs/${run.id}/events`, 'POST', {
    device,
    events: told.map((event, place) => ({
      ...event,
      id: v7(),
      at: at((45 * (place + 1)) / told.length),
    })),
  })
  return plan
}
/** Opens the bench of a run that another device began, and takes it over. */
export async function lead(page: Page, batch: Batch) {
  await page.goto(`/bench/${batch.id}/make`)
  await page.getByRole('button', { name: 'Lead from here' }).click()
  await page.getByText('this screen follows').waitFor({ state: 'hidden' })
  if (await page.getByRole('button', { name: 'Dressed, I lead' }).isVisible()) await space(page)
}
