import type { Page } from '@playwright/test'
import type { Batch } from '../../contracts/batch'
import type { StoredFormula } from '../../contracts/workshop'
import type { Run } from '../../contracts/run'
import { blankFormula } from '../../core/formula/blank'
import { batchOf, lead, planned, upTo } from '../support/atBench'
import { plannedFrom } from '../support/bench'
import { space } from '../support/quiet'
import { send } from '../support/send'
import { expect, test } from './fixtures'

/* Whole batches as makers make them: seven layers, three waters in a loaf, a whisk and paper, frozen milk, ready-mixed lye. */

test.describe.configure({ timeout: 240_000 })

const fat = (id: string, share: number) => ({ id, share })
const heading = (page: Page, says: string | RegExp) =>
  expect(page.getByRole('heading', { level: 1, name: says })).toBeVisible()
const runOf = async (url: string, batch: Batch) =>
  (await send<Run>(`${url}/api/batches/${batch.id}/run`, 'GET')).body
/** What is on the screen has reached the server. */
const sent = (page: Page) =>
  expect(page.getByRole('status').filter({ hasText: /^kept$/ })).toBeVisible()
const made = async (url: string, batch: Batch) => {
  const { body } = await send<Batch>(`${url}/api/batches/${batch.id}`, 'GET')
  const poured = body.events.find((event) => event.kind === 'poured')
  if (poured?.kind !== 'poured' || !poured.made) throw new Error('The batch is not poured.')
  return poured
}

for (const [name, says, layers] of [
  ['Ebb Line', 'seven slanted layers', 7],
  ['Nine Tides', 'nine layers', 9],
] as const)
  test(`${says} by keyboard, from the plan to the last pour within the working time of each`, async ({
    page,
    server,
  }) => {
    const { body: formulas } = await send<StoredFormula[]>(`${server.url}/api/formulas`, 'GET')
    const { id } = formulas.find(({ document }) => document.name === name)!
    const batch = await batchOf(server.url, id)
    await page.goto(`/bench/${batch.id}`)
    await page.getByLabel('A thermometer is at hand').uncheck()
    await page.getByRole('button', { name: 'Start at the bench' }).press('Enter')
    await heading(page, 'Clear the room, dress')
    const { setup, scale } = await runOf(server.url, batch)
    const { plan } = plannedFrom(batch.frozen.document, setup, scale)
    expect(plan.dividing).toBe('upfront')
    // By the plan's own clock each pot is in the mould while its batter can still be poured.
    for (const { takes, working } of plan.pots) expect(takes!).toBeLessThan(working)
    const order: string[] = []
    for (const step of plan.steps) {
      await heading(page, step.says)
      order.push(step.id)
      if (step.kind === 'safety-check') {
        for (const digit of ['1', '2', '3', '4', '5']) await page.keyboard.press(digit)
        await space(page)
      } else if (step.weigh) {
        // What is divided follows what is really there: the screen says how much.
        const togo = await page
          .getByText(/^of [\d,.]+, within/)
          .or(page.getByText(/to go of/))
          .first()
          .textContent()
        const target = /of ([\d,.]+), within/.exec(togo!)![1]!.replace(',', '')
        await page.keyboard.type(target)
        await expect(page.getByRole('button', { name: /^Take it/ })).toBeVisible()
        await space(page)
      } else if (step.kind === 'check') await page.keyboard.press('k')
      else if (step.kind === 'batter') {
        await page.keyboard.press(step.until === 'emulsion' ? '2' : '4')
        const look = page.getByRole('button', { name: /^Smooth and shiny/ })
        const goOn = page.getByRole('button', { name: 'Go on' })
        // The model says minutes, the keyboard takes seconds: what thickens so soon is looked at, and it was soap.
        await look
          .or(goOn)
          .or(page.getByRole('button', { name: /^Hands are off|^Blender is out/ }))
          .first()
          .waitFor()
        if (await look.isVisible()) {
          await page.keyboard.press('s')
          await page.getByRole('button', { name: 'It is calm again' }).click()
        }
        await space(page)
      } else if (step.kind === 'pour') {
        const carries = page.getByRole('button', { name: 'It holds a spoon' })
        if (await carries.isVisible()) await page.keyboard.press('k')
        else await space(page)
      } else await space(page)
      await expect(
        page.getByRole('heading', { level: 1, name: step.says, exact: true }),
      ).toBeHidden()
    }
    await heading(page, 'Poured, covered and rinsed')
    await space(page)
    await expect(page.getByTestId('made-superfat')).toBeVisible()
    const place = (id: string) => order.indexOf(id)
    // Pot by pot: the second is combined only after the first is in the mould; the mould is levelled for the last.
    for (let pot = 1; pot < layers; pot++)
      expect(place(`combine@${pot}`)).toBeGreaterThan(place(`pour@${pot - 1}`))
    if (name === 'Ebb Line') {
      expect(place('act:level@6')).toBeLessThan(place('pour@6'))
      expect(place('act:level@6')).toBeGreaterThan(place('pour@5'))
    }
    const poured = await made(server.url, batch)
    expect(poured.bench!.pots).toHaveLength(layers)
    for (const pot of poured.bench!.pots!)
      expect(pot.superfat).toBeCloseTo(poured.made!.superfat, 2)
  })

test('three waters in one loaf: the strongest pot races, is rescued, and each pot’s record is its own', async ({
  page,
  server,
}) => {
  const waters = [1.3, 1.9, 2.6]
  const batch = await planned(server.url, {
    ...blankFormula('Slip three'),
    size: { by: 'oils', grams: 900 },
    fats: [fat('olive', 0.7), fat('coconut', 0.3)],
    scents: [{ id: 'clove', name: 'Clove leaf', rate: 0.02, of: 'oils', moment: 'trace' }],
    parts: ['pale', 'mid', 'dark'].map((name, index) => ({
      name,
      share: 1 / 3,
      scent: index === 0,
      additives: [],
      water: { held: 'ratio', value: waters[index] },
    })),
    method: { patterns: ['in-pot-swirl'] },
  })
  const plan = await upTo(server.url, batch, 'combine@0', {}, { lye: 36, oils: 36 })
  expect(plan.pots[0]!.working).toBeLessThan(plan.pots[2]!.working / 1.5)
  await lead(page, batch)
  await heading(page, 'Lye into the oils, slowly, pale')
  await space(page)
  await heading(page, 'Blend to emulsion, pale')
  await page.keyboard.press('4')
  const lit = page.getByRole('button', { name: 'Smooth and shiny' })
  await expect(lit).toBeVisible()
  await expect(page.getByRole('button', { name: 'Go on' })).toBeHidden()
  await page.keyboard.press('s')
  // 0.15 of its own lye, a third of the batch's.
  const { plan: known } = plannedFrom(batch.frozen.document, {}, 1)
  const lyeOf = (pot: number) =>
    known.steps.find(({ id }) => id === `weigh:naoh@${pot}`)!.weigh!.grams
  const water = Math.round(lyeOf(0) * 0.15)
  expect(water).toBeLessThan(8)
  await page.getByRole('button', { name: `${water}.0 g warm water is in` }).waitFor()
  await page.keyboard.press('w')
  await page.getByRole('button', { name: 'A simpler pour' }).click()
  const rest = known.steps.slice(known.steps.findIndex(({ id }) => id === 'batter:emulsion@0') + 1)
  await space(page)
  for (const step of rest) {
    await heading(page, step.says)
    if (step.kind === 'batter') {
      await page.keyboard.press('3')
      await page.getByRole('button', { name: 'Go on' }).waitFor()
    }
    await space(page)
    await expect(page.getByRole('heading', { level: 1, name: step.says, exact: true })).toBeHidden()
  }
  await heading(page, 'Poured, covered and rinsed')
  await space(page)
  await expect(page.getByTestId('made-ratio')).toBeVisible()
  await expect(page.getByText(`${water}.0 g of warm water stirred in, pale`)).toBeVisible()
  const { bench } = await made(server.url, batch)
  const run = await runOf(server.url, batch)
  const grams = (step: string) =>
    run.events.reduce(
      (sum, event) => (event.kind === 'scooped' && event.step === step ? sum + event.grams : sum),
      0,
    )
  for (const pot of [0, 1, 2]) {
    const one = bench!.pots![pot]!
    // By hand: its own water and what was stirred in, to its own lye.
    const wet = grams(`weigh:water@${pot}`) + (pot === 0 ? water : 0)
    expect(one.ratio).toBeCloseTo(wet / grams(`weigh:naoh@${pot}`), 9)
    expect(one.watered).toBe(pot === 0 ? water : 0)
    expect(one.lyeC).toBe(36)
    // A third of the fats in each: 210 g at 190 and 90 g at 257 take 63.13 + ... mmol.
    const oils = grams(`weigh:share:oils@${pot}`)
    const groups = (oils * (0.7 * 190 + 0.3 * 257)) / 56.1056
    expect(one.superfat).toBeCloseTo(1 - (1000 * grams(`weigh:naoh@${pot}`)) / 39.997 / groups, 3)
  }
})

test('half a kilogram by hand whisk, on paper, written up three days later: the Shelf counts from its hour', async ({
  page,
  server,
}) => {
  const batch = await planned(server.url, {
    ...blankFormula('Slip whisk'),
    size: { by: 'oils', grams: 500 },
    fats: [fat('olive', 0.6), fat('coconut', 0.25), fat('tallow', 0.15)],
    method: { tool: 'whisk' },
  })
  await page.goto(`/bench/${batch.id}`)
  await expect(page.getByText('A whisk', { exact: true })).toBeVisible()
  await expect(page.getByText('Stick blender with a steel or plastic foot')).toBeHidden()
  await page.getByRole('link', { name: 'Write up from paper' }).click()
  await heading(page, /Slip whisk, batch \d+, from paper/)
  await page.getByLabel('Hour of the pour').fill('16:40')
  await page.getByLabel('Day of the pour').fill('2026-11-20')
  await page.getByLabel('Water, weighed').fill('161')
  await page.getByLabel('Lye when combined').last().fill('41')
  await page.getByLabel('Emulsion after').last().fill('35')
  await page.getByLabel('Light trace after').last().fill('52')
  await page.getByRole('button', { name: /^Keep as made 20 Nov, 16:40/ }).click()
  await expect(page.getByText(/poured Fri 20 Nov, 16:40; written up from paper/)).toBeVisible()
  // As typed, and what was not written down is said to be so.
  await expect(page.getByText('emulsion, 35 min after the lye')).toBeVisible()
  await expect(page.getByText('light trace, 52 min after the lye')).toBeVisible()
  await expect(page.getByText('lye 41 °C, oils not known when they met')).toBeVisible()
  await expect(page.getByRole('row', { name: /Sodium hydroxide/ })).toContainText(
    'not on the paper',
  )
  await expect(page.getByRole('row', { name: /^Water/ })).toContainText('typed')
  const poured = await made(server.url, batch)
  expect(poured.pouredAt).toBe('2026-11-20T16:40:00.000Z')
  expect(poured.bench).toMatchObject({ minutes: null, tool: 'whisk', lyeC: 41, oilsC: null })
  const unmould = poured.checks!.find(({ kind }) => kind === 'unmould')!
  const hours = (Date.parse(unmould.from) - Date.parse(poured.pouredAt!)) / 3_600_000
  expect(hours).toBeGreaterThan(10)
  expect(hours).toBeLessThan(60)
  await page.goto('/')
  const job = page.getByRole('listitem').filter({ hasText: 'Slip whisk' }).first()
  await expect(job).toContainText('Unmould and cut')
})

test('frozen milk takes its lye by the spoon, under its guard, and accuses no lye', async ({
  page,
  server,
}) => {
  await page.addInitScript(() =>
    localStorage.setItem(
      'mantle-devices',
      JSON.stringify({
        scale: { kind: 'none' },
        lye: { kind: 'stand-in' },
        oils: { kind: 'stand-in' },
      }),
    ),
  )
  const batch = await planned(server.url, {
    ...blankFormula('Slip frozen'),
    fats: [fat('coconut', 0.3), fat('olive', 0.7)],
    liquids: [{ id: 'goat-milk', share: 1, moment: 'lye', way: 'frozen' }],
    method: { lyeC: 30, oilsC: 38, frozen: 'slush' },
  })
  await upTo(server.url, batch, 'dissolve')
  await lead(page, batch)
  await heading(page, /^Sprinkle the lye on the frozen goat milk/)
  await expect(page.getByRole('button', { name: 'Slush, half ice' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await page.keyboard.press('i')
  const main = page.getByRole('button', { name: /^Spoon \d+ (is in|at)|^All of it is in/ })
  let waited = 0
  for (let spoon = 1; spoon <= 10; spoon++) {
    await page.keyboard.press('p')
    const isIn = page.getByText(new RegExp(`^${spoon} spoons? in, of`))
    // Grey while the next would pass the guard; it lights by itself once the milk has cooled. A reading may turn it grey again
    // between the look and the press, which then does nothing.
    while (!(await isIn.isVisible()) && waited < 60) {
      for (let tries = 0; tries < 30 && !/is in/.test((await main.textContent())!); tries++) {
        waited++
        await page.keyboard.press('f')
        await page
          .getByRole('button', { name: `Spoon ${spoon} is in` })
          .waitFor({ timeout: 700 })
          .catch(() => undefined)
      }
      await space(page)
      await isIn.waitFor({ timeout: 3000 }).catch(() => undefined)
    }
    await expect(isIn).toBeVisible()
  }
  expect(waited).toBeLessThan(60)
  await expect(main).toContainText('All of it is in')
  await expect(page.getByText('Weak lye suspected')).toBeHidden()
  await expect(page.getByText('How warm it gets says nothing about the lye.')).toBeVisible()
  await space(page)
  await heading(page, /coconut oil.* into the pan/)
  await page.keyboard.press('f')
  await page.keyboard.press('f')
  await expect(page.getByText('Weak lye suspected')).toBeHidden()
  await sent(page)
  const run = await runOf(server.url, batch)
  expect(run.events.filter(({ kind }) => kind === 'spooned')).toHaveLength(10)
})

test('ready-mixed lye at its own 36 %: nothing to pour it into, and the oils come to it', async ({
  page,
  server,
}) => {
  const batch = await planned(server.url, {
    ...blankFormula('Slip ready'),
    fats: [fat('olive', 0.7), fat('tallow', 0.3)],
    alkali: { solutionStrength: 0.36 },
    water: { held: 'ratio', value: 64 / 36 },
  })
  const plan = await upTo(server.url, batch, 'meet')
  expect(plan.steps.map(({ says }) => says).join()).not.toContain('into the water')
  await lead(page, batch)
  await heading(page, 'Let the temperatures meet')
  await expect(
    page.getByText(/^Ready-mixed lye stays as warm as the room: only the oils/).first(),
  ).toBeVisible()
  // Room-warm lye and oils at 36 °C: that is a meeting.
  await page.getByRole('button', { name: /^Lye jug —/ }).click()
  await page.getByLabel('Temperature of Lye jug').fill('20')
  await page.getByRole('button', { name: /^Oils —/ }).click()
  await page.getByLabel('Temperature of Oils').fill('36')
  await page.getByLabel('Temperature of Oils').blur()
  await expect(page.getByRole('button', { name: 'They meet: combine' })).toBeVisible()
  // What was typed was kept though nobody pressed Keep.
  await sent(page)
  const run = await runOf(server.url, batch)
  expect(
    run.events.flatMap((event) => (event.kind === 'read' ? [[event.vessel, event.celsius]] : [])),
  ).toEqual([
    ['lye', 20],
    ['oils', 36],
  ])
})
