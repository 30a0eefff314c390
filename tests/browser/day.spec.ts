import type { Page } from '@playwright/test'
import type { Batch } from '#contracts/batch'
import { usualSetup } from '#contracts/benchWords'
import type { MakingDay } from '#contracts/day'
import type { Stored } from '#contracts/document'
import type { Run, RunEvent } from '#contracts/run'
import { contextOf, planFor } from '#core/bench/plan/plan'
import { pouredBy } from '#core/bench/run/poured'
import { safetyCheckOf } from '#core/bench/run/safetyCheck'
import { blankFormula } from '#core/formula/blank'
import { formatter } from '#core/units/formatter'
import AxeBuilder from '@axe-core/playwright'
import { v7 } from 'uuid'
import { paperCode } from '../../app/utils/benchWords'
import { wordsOf } from '../support/pdfPage'
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
  events.flatMap((event) => (event.kind === 'poured' ? [event] : []))[0]

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
      expect(poured?.checks?.map(({ kind }) => kind)).toEqual(alone.checks?.map(({ kind }) => kind))
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

test.describe('in the shed', () => {
  const thursday = async (page: Page, url: string) => {
    const { body } = await send<Stored<MakingDay>[]>(`${url}/api/days`, 'GET')
    await page.goto(`/bench/day/${body[0]!.id}`)
    await expect(page.getByRole('radio', { name: /^Shortest day/ })).toBeVisible({
      timeout: 60_000,
    })
    return body[0]!
  }

  test('Thursday: moved by keys, taken back, another wish, as a table; on paper every vessel has its number', async ({
    page,
    server,
  }) => {
    const { id, document } = await thursday(page, server.url)
    expect(document.people.map(({ name }) => name)).toEqual(['Idris', 'Maren'])
    // Fats of 36 may go on the plate a minute later, and then lie there in the kept plan too.
    const fats = page.getByRole('button', { name: /^Fats of 36 on the plate/ })
    const before = (await dayOf(server.url, id)).plan!
    const atOf = (plan: typeof before) => plan.placed.find(({ task }) => task === 'fats-on:36')!
    await fats.press('ArrowRight')
    await expect
      .poll(async () => atOf((await dayOf(server.url, id)).plan!).at)
      .toBe(atOf(before).at + 1)
    await expect(page.getByText('Moved by hand.')).toBeVisible()
    await page.getByRole('button', { name: 'Take back' }).click()
    await expect.poll(async () => (await dayOf(server.url, id)).plan).toEqual(before)
    // In other hands by the down or up key.
    await fats.press(atOf(before).person === 0 ? 'ArrowDown' : 'ArrowUp')
    await expect
      .poll(async () => atOf((await dayOf(server.url, id)).plan!).person)
      .toBe(1 - atOf(before).person)
    await page.getByRole('radio', { name: /^Least hurry/ }).click()
    await expect
      .poll(async () => (await dayOf(server.url, id)).plan?.together.quiet ?? 0, {
        timeout: 30_000,
      })
      .toBeGreaterThan(0)
    await page.getByRole('button', { name: 'As a table' }).click()
    await expect(page.getByRole('row', { name: /Maren|Idris/ })).toHaveCount(
      (await dayOf(server.url, id)).plan!.placed.length,
    )
    const { violations } = await new AxeBuilder({ page }).analyze()
    expect(violations).toEqual([])

    await page.getByRole('link', { name: 'The day on paper' }).click()
    await expect(page.getByRole('heading', { name: /labels for jugs/ })).toBeVisible()
    const words = (await wordsOf(await page.pdf({ format: 'A4' }))).join(' ')
    for (const { batches } of [document])
      for (const { id: batchId } of batches) {
        const { body } = await send<Batch>(`${server.url}/api/batches/${batchId}`, 'GET')
        const code = paperCode(body)
        // On the sheet, and on each label: jug, cup, pan at least.
        expect(words.split(code).length - 1).toBeGreaterThanOrEqual(4)
        expect(words).toContain(body.name)
      }
    expect(words).toContain('LYE: caustic')
    const onPaper = await new AxeBuilder({ page }).analyze()
    expect(onPaper.violations).toEqual([])
  })

  test('a day that does not fit says what is in the way; a way out is a day that fits', async ({
    page,
    server,
  }) => {
    const { id } = await thursday(page, server.url)
    await page.getByRole('button', { name: 'Hours, people, things' }).click()
    for (const name of ['Idris', 'Maren']) await page.getByLabel(`${name} leaves at`).fill('10:40')
    await page.getByRole('button', { name: 'Keep it' }).click()
    await expect(page.getByRole('button', { name: /^Start: \d+ min too long/ })).toBeVisible({
      timeout: 40_000,
    })
    await expect(page.getByRole('heading', { level: 2, name: /too long|at once/ })).toBeVisible({
      timeout: 60_000,
    })
    const { violations } = await new AxeBuilder({ page }).analyze()
    expect(violations).toEqual([])
    await page.getByRole('button', { name: 'Do that' }).first().click()
    await expect(page.getByRole('button', { name: /^Start the day/ })).toBeEnabled({
      timeout: 40_000,
    })
    // What is on screen is on its way to the server.
    await expect.poll(async () => (await dayOf(server.url, id)).plan).not.toBeNull()
    const day = await dayOf(server.url, id)
    const until = 10 * 60 + 40 - day.begins
    expect(Math.max(...day.plan!.placed.map(({ to }) => to))).toBeLessThanOrEqual(until - 6)
  })

  test('on a tablet and on a phone: the screen of one person fits, nothing serious for axe', async ({
    page,
    server,
  }) => {
    const { id } = await thursday(page, server.url)
    await page.getByRole('button', { name: /^Start the day/ }).click()
    await page.getByRole('button', { name: 'Maren', exact: true }).click()
    for (const [width, height] of [
      [820, 1180],
      [390, 844],
    ] as const) {
      await page.setViewportSize({ width, height })
      await page.goto(`/bench/day/${id}/make`)
      await page.getByRole('heading', { level: 1 }).first().waitFor()
      expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(
        width,
      )
      const { violations } = await new AxeBuilder({ page }).analyze()
      expect(violations).toEqual([])
    }
    await page.goto(`/bench/day/${id}`)
    await page.getByRole('heading', { level: 1 }).first().waitFor()
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    // A day that has begun stays; another cannot take its batches.
    const refused = await send<{ errors: { says: string }[] }>(
      `${server.url}/api/days/${v7()}`,
      'PUT',
      {
        revision: 0,
        document: {
          day: '2026-11-27',
          people: [{ name: 'Jo' }],
          batches: [(await dayOf(server.url, id)).batches[0]],
        },
      },
    )
    expect(refused.status).toBe(422)
    expect(refused.body.errors[0]!.says).toContain('stands on another making day')
    const gone = await send<{ errors: { says: string }[] }>(
      `${server.url}/api/days/${id}`,
      'DELETE',
    )
    expect(gone.status).toBe(409)
  })
})
