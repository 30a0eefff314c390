import type { Page } from '@playwright/test'
import type { Batch, BatchEvent } from '#contracts/batch'
import { usualSetup } from '#contracts/benchWords'
import type { MakingDay } from '#contracts/day'
import type { Stored } from '#contracts/document'
import type { Run, RunEvent } from '#contracts/run'
import { contextOf, planFor } from '#core/bench/plan/plan'
import { pouredBy } from '#core/bench/run/poured'
import { safetyCheckOf } from '#core/bench/run/safetyCheck'
import { blankFormula } from '#core/formula/blank'
import { formatter } from '#core/units/formatter'
import { v7 } from 'uuid'
import { planned } from '../support/atBench'
import { dayStep } from '../support/makingDay'
import { send } from '../support/send'
import { expect, test } from './fixtures'

const fat = (id: string, share: number) => ({ id, share })
const bar = (name: string, more: object = {}) => ({
  ...blankFormula(name),
  fats: [fat('coconut', 0.3), fat('tallow', 0.3), fat('olive', 0.4)],
  ...more,
})
const goat = {
  liquids: [{ id: 'goat-milk', share: 1, moment: 'lye', way: 'frozen' }],
}
/** Two of the same water, one on frozen milk, one of little water that is soon thick, one that will be left out. */
const shed = [
  bar('Slip one'),
  bar('Slip two'),
  bar('Slip milk', goat),
  bar('Slip fast', { water: { held: 'ratio', value: 1.4 } }),
  bar('Slip last', { water: { held: 'ratio', value: 1.9 } }),
]

/** What a batch's record says when it is made alone, each weight as planned. */
function madeAlone({ frozen }: Batch, scale: number) {
  const startedAt = '2026-11-23T09:00:00.000Z'
  const ctx = contextOf(frozen, usualSetup, scale, formatter({ scale }))
  const plan = planFor(ctx)
  const at = startedAt
  const told = (event: object) => ({ ...event, id: v7(), at }) as RunEvent
  const events = [
    ...safetyCheckOf(ctx.document).map(({ id }) => told({ kind: 'confirmed', point: id })),
    ...plan.steps.flatMap(({ id, weigh }) => [
      ...(weigh ? [told({ kind: 'scooped', step: id, grams: weigh.grams, typed: true })] : []),
      told({ kind: 'done', step: id }),
    ]),
    told({ kind: 'finished', pouredDay: '2026-11-23' }),
  ]
  return pouredBy(frozen, { setup: usualSetup, scale, startedAt }, events)!.poured
}
const pouredOf = ({ events }: Batch) =>
  events.find((event): event is Extract<BatchEvent, { kind: 'poured' }> => event.kind === 'poured')

const dayOf = async (url: string, id: string) =>
  (await send<Stored<MakingDay>>(`${url}/api/days/${id}`, 'GET')).body.document

/** Goes on at both screens until one of them shows what is looked for, or the day is over. */
async function workUntil(
  pages: Page[],
  seen: (page: Page) => Promise<boolean>,
): Promise<Page | null> {
  for (let round = 0; round < 400; round++) {
    const did = []
    for (const page of pages) {
      if (await seen(page)) return page
      did.push(await dayStep(page))
    }
    if (did.includes('over')) return null
    expect(did, 'somebody can go on').toContain('done')
  }
  throw new Error('The day does not end.')
}
const atHeading = (says: RegExp) => async (page: Page) =>
  says.test((await page.getByRole('heading', { level: 1 }).first().textContent()) ?? '')

/** Whether a batch is the one in hand at a screen. */
const inHand = (page: Page, { number, name }: Batch) =>
  page.getByRole('main').getByText(`${number} ${name}`, { exact: true }).isVisible()

test.describe.configure({ timeout: 480_000 })

test.describe('from nothing', () => {
  test.use({ workshop: 'empty' })

  test('five batches planned, one begins late, one races, one is left out, the network dies; records as of single runs', async ({
    page,
    server,
    browser,
  }) => {
    await page.clock.install({ time: new Date('2026-11-23T09:30:00Z') })
    const batches: Batch[] = []
    for (const one of shed) batches.push(await planned(server.url, one))
    await page.goto('/bench')
    await page.getByRole('button', { name: 'Plan a day' }).click()
    for (const one of batches) {
      await page.getByRole('button', { name: 'Add a batch' }).first().click()
      await page
        .getByRole('dialog')
        .getByRole('button', { name: `${one.number} ${one.name}` })
        .click()
      await expect(page.getByRole('dialog')).toHaveCount(0)
      await expect(page.getByRole('link', { name: `${one.number} ${one.name}` })).toBeVisible()
    }
    const id = page.url().split('/').at(-1)!
    await page.getByRole('button', { name: 'Hours, people, things' }).click()
    await page.getByLabel('Name of person 1').fill('Idris')
    await page.getByRole('button', { name: 'Another pair of hands' }).click()
    await page.getByLabel('Name of person 2').fill('Idris')
    await page.getByRole('button', { name: 'Keep it' }).click()
    await expect(page.getByRole('dialog').getByRole('alert')).toHaveText(/tell them apart/)
    await page.getByLabel('Name of person 2').fill('Maren')
    await page.getByRole('button', { name: 'Keep it' }).click()
    await expect(page.getByText(/None can be/)).toBeVisible({ timeout: 30_000 })
    await page.getByRole('button', { name: /^Start the day/ }).click()
    await page.getByRole('button', { name: 'Idris', exact: true }).click()

    const other = await browser.newPage({ baseURL: server.url })
    await other.clock.install({ time: new Date('2026-11-23T09:30:00Z') })
    await other.goto(`/bench/day/${id}/make?who=Maren`)
    await other.getByRole('heading', { level: 1 }).first().waitFor()
    const both = [page, other]
    const planAtStart = (await dayOf(server.url, id)).said
    expect(planAtStart.length).toBeGreaterThan(20)

    // Nobody takes anything up for twenty-five minutes: everything moves.
    for (const one of both) await one.clock.fastForward(25 * 60_000)
    await expect(page.getByRole('banner').getByRole('status')).toContainText('later')
    await workUntil(both, atHeading(/^Weigh the (coconut|tallow)/))

    // A reload in the middle, and a network that is dead.
    await page.reload()
    await page.getByRole('heading', { level: 1 }).first().waitFor()
    await page.context().setOffline(true)
    for (let count = 0; count < 4; count++)
      if ((await dayStep(page)) !== 'done') await dayStep(other)
    await expect(page.getByRole('banner').getByRole('status')).toContainText(/cut off: \d+ kept/)
    await page.context().setOffline(false)
    await expect(page.getByRole('banner').getByRole('status')).toContainText(/kept$/, {
      timeout: 20_000,
    })

    // The last one is left out, with its reason; its work is nobody's any more.
    const last = batches.at(-1)!
    const lasts = await workUntil(both, (one) => inHand(one, last))
    await lasts!.getByRole('button', { name: 'Leave it out' }).first().click()
    await lasts!.getByLabel(/^Why is/).fill('The tallow smelt old.')
    await lasts!.getByRole('button', { name: 'Leave it out' }).last().click()
    await expect
      .poll(async () => (await dayOf(server.url, id)).dropped.map(({ id: gone }) => gone))
      .toEqual([last.id])

    // Nobody leaves a batter whose lye is in.
    const fast = batches[3]!
    const inBatter = await workUntil(
      both,
      async (one) => (await atHeading(/^Blend to emulsion/)(one)) && (await inHand(one, fast)),
    )
    await inBatter!.keyboard.press('n')
    await expect(inBatter!.getByText(`${fast.number} cannot be left: its lye is in.`)).toBeVisible()
    // It races: thick at once, and truly so.
    await inBatter!.keyboard.press('5')
    await inBatter!.getByRole('button', { name: /Smooth and shiny/ }).waitFor()
    await inBatter!.keyboard.press('s')
    await expect(inBatter!.getByRole('alert', { name: 'It is thickening too fast.' })).toBeVisible()
    await inBatter!.getByRole('button', { name: 'It is calm again' }).click()
    expect(await workUntil(both, () => Promise.resolve(false))).toBeNull()
    await page.getByRole('button', { name: 'The day is over' }).click()
    await expect(
      page.getByRole('heading', { name: 'What the day said, and what came' }),
    ).toBeVisible()
    await other.close()

    const settings = await send<{ scale: number }>(`${server.url}/api/workshop`, 'GET')
    for (const one of batches.slice(0, 4)) {
      const { body: batch } = await send<Batch>(`${server.url}/api/batches/${one.id}`, 'GET')
      const poured = pouredOf(batch)
      const alone = madeAlone(batch, settings.body.scale)
      expect(poured?.made, one.name).toEqual(alone.made)
      expect(poured?.bench?.assumed).toEqual(alone.bench!.assumed)
      // What is due after the pour is the same, each hour from its own pour.
      expect(poured?.checks?.map(({ check }) => check)).toEqual(
        alone.checks?.map(({ check }) => check),
      )
      const { body: run } = await send<Run>(`${server.url}/api/batches/${one.id}/run`, 'GET')
      const twice = run.events.filter(({ kind }) => kind === 'scooped').map((event) => event.id)
      expect(new Set(twice).size).toBe(twice.length)
      const doneSteps = run.events.flatMap((event) => (event.kind === 'done' ? [event.step] : []))
      expect(new Set(doneSteps).size, `${one.name} does each step once`).toBe(doneSteps.length)
    }
    const left = await send<Batch>(`${server.url}/api/batches/${last.id}`, 'GET')
    expect(pouredOf(left.body)).toBeUndefined()
    const day = await dayOf(server.url, id)
    expect(day.endedAt).not.toBeNull()
    expect(day.came.length).toBeGreaterThan(15)
    expect(day.came.every(({ usual, took }) => usual > 0 && took >= 0)).toBe(true)
  })
})
