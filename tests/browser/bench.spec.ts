import type { Page } from '@playwright/test'
import type { Batch } from '../../contracts/batch'
import type { Run } from '../../contracts/run'
import { blankFormula } from '../../core/formula/blank'
import { planned, upTo } from '../support/atBench'
import { Line } from '../support/line'
import { space } from '../support/quiet'
import { dress, rehearse } from '../support/rehearse'
import { send } from '../support/send'
import { expect, test } from './fixtures'
import { sumOf } from '#core/statistics/sum'

const standIns = JSON.stringify({
  scale: { kind: 'stand-in' },
  lye: { kind: 'stand-in' },
  oils: { kind: 'stand-in' },
})
const listening = (page: Page) =>
  page.addInitScript((choice) => localStorage.setItem('mantle-devices', choice), standIns)

const fat = (id: string, share: number) => ({ id, share })
const plain = { ...blankFormula('Slip'), fats: [fat('coconut', 0.3), fat('olive', 0.7)] }
const milky = {
  ...blankFormula('Slip & Milk'),
  fats: [fat('coconut', 0.3), fat('olive', 0.7)],
  liquids: [{ id: 'goat-milk', share: 0.4, moment: 'oils', way: 'poured' }],
  additives: [{ id: 'citric-acid-anhydrous', rate: 0.01, of: 'oils', carrier: null }],
  parts: [
    { name: 'pale', share: 0.6 },
    { name: 'dark', share: 0.4, additives: [{ id: 'activated-charcoal', grams: 2 }] },
  ],
  method: { patterns: ['in-pot-swirl'] },
}

const heading = (page: Page, says: string | RegExp) =>
  expect(page.getByRole('heading', { level: 1, name: says })).toBeVisible()
/** Opens the plan of a batch and begins it, by keyboard. */
async function begin(page: Page, batch: Batch, url = '') {
  await page.goto(`${url}/bench/${batch.id}`)
  await page.getByRole('button', { name: 'Start at the bench' }).press('Enter')
  await heading(page, 'Clear the room, dress')
}
const taken = (page: Page) => expect(page.getByRole('button', { name: /^Take it/ })).toBeVisible()
/** Pours what is wanted on the stand-in scale and takes it. */
async function weigh(page: Page, says: string | RegExp) {
  await heading(page, says)
  // What was poured before may creep on by the scale's last digit: then it says what is still short.
  await expect(page.getByRole('button', { name: /^Weigh \d|^\d.* short/ })).toBeVisible()
  await page.keyboard.press('d')
  await expect(page.getByRole('button', { name: /^Take it/ })).toBeVisible({ timeout: 20_000 })
  await space(page)
}
/** What a key asks of the stand-ins, once it is done: a flight of time that overtakes a stove would warm nothing. */
async function acted(page: Page, key: string) {
  const told = page.waitForResponse(/stand-ins\/.*\/acts/)
  await page.keyboard.press(key)
  await told
}
/** Lets ten minutes pass for the vessels until the main key says so; what is warmed for that is warmed anew each time. */
async function waitFor(page: Page, says: string, ...warmed: string[]) {
  const key = page.getByRole('button', { name: says })
  for (let tries = 0; tries < 20 && !(await key.isVisible()); tries++) {
    for (const stove of warmed) await acted(page, stove)
    await acted(page, 'f')
    // Time flies: either the key is there once the thermometers have told, or it flies once more.
    await key.waitFor({ timeout: 3000 }).catch(() => undefined)
  }
  await expect(key).toBeVisible()
}

test.describe.configure({ timeout: 240_000 })

test('a line that was forgotten is found before lye meets oils; false trace is looked at before it counts', async ({
  page,
  server,
}) => {
  const tallow = { ...plain, name: 'Slip hard', fats: [fat('tallow', 0.5), fat('olive', 0.5)] }
  const batch = await planned(server.url, tallow)
  const plan = await upTo(server.url, batch, 'weigh-again', {}, { lye: 41, oils: 27 })
  const gramsOf = (id: string) => plan.steps.find((step) => step.id === id)!.weigh!.grams
  await page.goto(`/bench/${batch.id}/make`)
  await page.getByRole('button', { name: 'Lead from here' }).click()
  // Whoever takes over while lye is about sees first what stands where.
  await heading(page, 'You take over. Lye is about.')
  await expect(page.getByText('Goggles on (not spectacles)')).toBeVisible()
  await expect(page.getByRole('listitem').filter({ hasText: 'Lye jug' })).toContainText(
    'lye solution',
  )
  await space(page)
  await heading(page, 'Weigh lye jug and pan once more')
  const main = page.getByRole('button', { name: 'Weigh the lye jug' })
  await expect(main).toHaveAttribute('aria-disabled', 'true')
  const jug = gramsOf('weigh:naoh') + gramsOf('weigh:water')
  await page.getByLabel('Lye jug, on the scale').fill(String(jug + 150 - 3))
  await page.getByLabel('Pan of oils, empty').fill('642')
  // 500 g of olive oil are not in it.
  await page.getByLabel('Pan of oils, on the scale').fill('1142')
  await page.getByLabel('Pan of oils, on the scale').blur()
  // The jug was read late, when it had cooled: that is no peak, and accuses no lye.
  await expect(page.getByText('Weak lye suspected')).toBeHidden()
  const stop = page.getByRole('alert').filter({ hasText: 'Stop. Something is not as written.' })
  await expect(stop).toContainText('Olive oil was forgotten.')
  await page.keyboard.press('Space')
  await heading(page, 'Weigh lye jug and pan once more')
  await page.getByLabel('Pan of oils, on the scale').fill('1641')
  await page.getByLabel('Pan of oils, on the scale').blur()
  await expect(page.getByText('As written, within the scale')).toBeVisible()
  await space(page)

  await heading(page, 'Lye into the oils, slowly')
  await space(page)
  await heading(page, 'Blend to emulsion')
  await page.keyboard.press('4')
  const doubt = page.getByRole('alert', { name: /^Probably false trace/ })
  await expect(doubt).toContainText('Stop. Blender out.')
  await expect(doubt.getByRole('img', { name: /^Oils 27 °C, lye 41 °C/ })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Medium/ })).toContainText('not counted')
  // Space does what the lit key says, and nothing else.
  await space(page)
  await expect(doubt).toContainText('Hands off.')
  await expect(page.getByRole('button', { name: /^Look in [01]:/ })).toHaveAttribute(
    'aria-disabled',
    'true',
  )
  await space(page)
  await heading(page, 'Blend to emulsion')
  // E is on every screen, and the run waits.
  await page.keyboard.press('e')
  await page.keyboard.press('1')
  await heading(page, 'In an eye')
  await expect(page.getByRole('link', { name: /^Ambulance 112/ })).toHaveAttribute(
    'href',
    'tel:112',
  )
  await page.keyboard.press('e')
  await expect(doubt).toContainText('Hands off.')
  // The maker knows better: held for a second, not tapped.
  const sure = page.getByRole('button', { name: /^It is trace/ })
  await sure.click()
  await expect(doubt).toBeVisible()
  await page.keyboard.down('t')
  await expect(doubt).toBeHidden()
  await page.keyboard.up('t')
  await expect(page.getByRole('button', { name: 'Go on' })).toBeVisible()
  await page.keyboard.press('z')
  await expect(doubt).toContainText('Hands off.')
})

test('the jug that stands ready decides which peak is to be expected', async ({ page, server }) => {
  const batch = await planned(server.url, plain)
  await page.goto(`/bench/${batch.id}`)
  const expected = page.getByText(/^The open jug should reach/)
  const peaks = async () => {
    const [, low, high] = /(\d+) °C to (\d+) °C/.exec((await expected.textContent())!)!
    return { low: Number(low), high: Number(high) }
  }
  await expect(expected).toContainText('at even odds')
  const light = await peaks()
  expect(light.high - light.low).toBe(10)
  await page.getByLabel('Lye jug').selectOption('Big steel jug, stainless steel, 642.0 g')
  // 642 g of steel take 289 J/K at once where 150 g of plastic take 95: some 12 % more of 1,600 J/K, off a rise of 75 K.
  await expect.poll(async () => light.low - (await peaks()).low).toBeGreaterThanOrEqual(7)
  expect(light.low - (await peaks()).low).toBeLessThanOrEqual(12)
  const heavy = await peaks()
  await page.reload()
  expect(await peaks()).toEqual(heavy)
  await expect(page.getByLabel('Lye jug').locator('option:checked')).toHaveText(/Big steel jug/)
})

test('a milk batch with citric acid in two parts, through an over-pour, weak lye, a cut line and a reload', async ({
  page,
  server,
}) => {
  await listening(page)
  const batch = await planned(server.url, milky)
  const line = await Line.open(server.port)
  await begin(page, batch, line.url)
  await dress(page)
  await weigh(page, 'Weigh the water into the lye jug')
  await weigh(page, /citric acid.*dissolve it in the water/)

  // Too much lye: the choices are worked out; this maker goes on as it is.
  await heading(page, 'Weigh the lye in its own dry cup')
  await page.keyboard.press('x')
  await expect(page.getByRole('button', { name: /too much/ })).toBeVisible({ timeout: 20_000 })
  await space(page)
  await expect(page.getByRole('group', { name: 'Too much', exact: true })).toContainText(
    'instead of',
  )
  await expect(page.getByRole('button', { name: /Make all of it .* larger/ })).toBeVisible()
  await page.keyboard.press('3')

  await heading(page, 'Lye into the water')
  await expect(page.getByText('Goggles and gloves stay on', { exact: true })).toBeVisible()
  await page.keyboard.press('m')
  await page.keyboard.press('p')
  const jug = page.getByLabel(/^Lye jug \d+°/)
  await expect(page.getByLabel(/^Lye jug (2[5-9]|[3-9]\d)°/)).toBeVisible({ timeout: 30_000 })
  const warm = await jug.getAttribute('aria-label')
  await page.keyboard.press('f')
  await expect(jug).not.toHaveAttribute('aria-label', warm!)
  await space(page)
  await heading(page, /coconut oil.* into the pan/)
  await page.keyboard.press('f')
  await page.keyboard.press('f')
  await expect(page.getByRole('alert').filter({ hasText: 'Weak lye suspected' })).toBeVisible({
    timeout: 40_000,
  })
  // Made anew, and taken back: this maker goes on with what is there, for laundry.
  await page.keyboard.press('r')
  await heading(page, 'Weigh the water into the lye jug')
  await page.keyboard.press('z')
  await heading(page, /coconut oil.* into the pan/)
  await page.keyboard.press('y')
  await expect(page.getByText('kept for laundry: not for skin')).toBeVisible()
  await weigh(page, /coconut oil.* into the pan/)
  await heading(page, 'Melt the hard fats')
  await page.keyboard.press('p')
  await space(page)

  // The line is cut: the scale is silent, what is typed is kept here.
  await heading(page, 'Weigh the olive oil into the pan')
  line.cut()
  await expect(page.getByText('The scale says nothing. Type what it shows')).toBeVisible()
  await page.keyboard.type('701.5')
  await taken(page)
  await space(page)
  await heading(page, 'Let the oils cool')
  await expect(page.getByText(/cut off: \d+ kept on this device/)).toBeVisible()
  await line.mend()
  await expect(page.getByRole('status').filter({ hasText: /^kept$/ })).toBeVisible({
    timeout: 20_000,
  })

  await page.reload()
  await heading(page, 'Let the oils cool')
  await waitFor(page, 'Cool enough')
  await space(page)
  await weigh(page, 'Weigh the goat milk into the oils')
  await weigh(page, 'Weigh the activated charcoal, dark')
  await heading(page, 'Let the temperatures meet')
  // The milk was cold and the weak lye never hot: both are warmed again.
  await waitFor(page, 'They meet: combine', 'p', 'j')
  await space(page)
  await heading(page, 'Weigh lye jug and pan once more')
  await page.keyboard.press('k')
  await heading(page, 'Lye into the oils, slowly')
  await space(page)
  await heading(page, 'Blend to emulsion')
  await page.keyboard.press('b')
  await page.keyboard.press('1')
  await expect(page.getByRole('button', { name: /[1-9]\d* s of blender/ })).toBeVisible()
  await page.keyboard.press('b')
  await page.keyboard.press('2')
  await space(page)
  await weigh(page, 'Pour off the batter for pale by weight')
  await weigh(page, 'Pour off the batter for dark by weight')
  await heading(page, 'To light trace, pale')
  await page.keyboard.press('3')
  await space(page)
  await heading(page, 'Stir in activated charcoal, dark')
  await space(page)
  await heading(page, 'To light trace, dark')
  await page.keyboard.press('3')
  await space(page)
  await heading(page, 'Colours into the base, in thin lines')
  await space(page)
  await heading(page, 'Pour: in-pot swirl')
  await space(page)
  // Milk that nobody decided about is kept cool.
  await heading(page, 'Cover it, keep it cool')
  await expect(page.getByText('half-gelled ring').first()).toBeVisible()
  await expect(page.getByText('Unmould and cut')).toBeVisible()
  await space(page)
  await heading(page, 'Rinse everything')
  await space(page)
  await heading(page, 'Poured, covered and rinsed')
  await expect(page.getByText('Goggles and gloves stay on')).toBeHidden()
  await space(page)
  await expect(page.getByTestId('made-superfat')).toBeVisible()

  // By hand: mmol of groups in the fats against mmol of hydroxide, citric acid taken off; goat milk is 4 % fat of 233.
  const { body: run } = await send<Run>(`${server.url}/api/batches/${batch.id}/run`, 'GET')
  const grams = (step: string) =>
    sumOf(run.events, (event) =>
      event.kind === 'scooped' && event.step === step ? event.grams : 0,
    )
  // By the paper of the lot that stood there, where it has one.
  const sap = (id: string) =>
    run.events.flatMap((event) =>
      event.kind === 'stood' && event.thing === id && event.sap !== null ? [event.sap] : [],
    )[0] ??
    (batch.frozen.materials.find((one) => one.id === id)!.values as { sap: { typical: number } })
      .sap.typical
  const milk = grams('weigh:liquid:goat-milk')
  const lye = grams('weigh:naoh')
  const groups =
    (grams('weigh:fat:coconut') * sap('coconut') +
      grams('weigh:fat:olive') * sap('olive') +
      milk * 0.04 * 233) /
    56.1056
  const acid = (1000 * 3 * grams('weigh:additive:citric-acid-anhydrous')) / 192.124
  const superfat = 1 - ((1000 * lye) / 39.997 - acid) / groups
  expect(grams('weigh:fat:olive')).toBe(701.5)
  const { body: made } = await send<Batch>(`${server.url}/api/batches/${batch.id}`, 'GET')
  const [poured] = made.events
  if (poured?.kind !== 'poured' || !poured.made) throw new Error('The batch is not poured.')
  expect(poured.laundry).toBe(true)
  expect(poured.made.superfat).toBeCloseTo(superfat, 9)
  expect(poured.made.ratio).toBeCloseTo((grams('weigh:water') + milk * 0.87) / lye, 9)
  const shown = Number((await page.getByTestId('made-superfat').textContent())!.replace(' %', ''))
  expect(shown).toBeCloseTo(superfat * 100, 1)
  line.cut()
  // Nothing twice: one scoop for each weighing but the ones that were taken back.
  const done = run.events.filter((event) => event.kind === 'done').map((event) => event.step)
  expect(new Set(done).size).toBe(done.length)
})

test('a reload while Mantle is away goes on, and nothing is lost when it is back', async ({
  page,
  server,
}) => {
  const batch = await planned(server.url, plain)
  await begin(page, batch)
  await dress(page)
  await heading(page, 'Weigh the water into the lye jug')
  await expect(page.getByRole('status').filter({ hasText: /^kept$/ })).toBeVisible()
  // What a page needs for a reload is put away some seconds after it has come up.
  const isPutAway = () =>
    page.evaluate(async () => {
      const code = performance
        .getEntriesByType('resource')
        .map(({ name }) => name)
        .filter((url) => url.includes('/_nuxt/'))
      const needed = [...code, '/', '/api/workshop', '/api/materials']
      return (await Promise.all(needed.map((url) => caches.match(url)))).every(Boolean)
    })
  await expect.poll(isPutAway).toBe(true)
  await server.kill()
  await page.keyboard.type('300')
  await page.keyboard.press('k')
  await heading(page, 'Weigh the lye in its own dry cup')
  await page.reload()
  await heading(page, 'Weigh the lye in its own dry cup')
  await expect(page.getByText(/cut off: \d+ kept on this device/)).toBeVisible()
  await server.run()
  await expect(page.getByRole('status').filter({ hasText: /^kept$/ })).toBeVisible({
    timeout: 20_000,
  })
  const { body: run } = await send<Run>(`${server.url}/api/batches/${batch.id}/run`, 'GET')
  expect(run.events.filter((event) => event.kind === 'scooped')).toHaveLength(1)
})

test('a second tablet follows, takes over, and the first is told', async ({
  page,
  server,
  browser,
}) => {
  const batch = await planned(server.url, plain)
  await begin(page, batch)
  const other = await (await browser.newContext({ baseURL: server.url })).newPage()
  await other.goto(`/bench/${batch.id}/make`)
  await expect(other.getByText('this screen follows')).toBeVisible()
  await dress(page)
  await heading(other, 'Weigh the water into the lye jug')
  await other.getByRole('button', { name: 'Lead from here' }).click()
  await expect(page.getByText('this screen follows')).toBeVisible()
  await other.keyboard.type('306.2')
  await other.keyboard.press('k')
  await heading(page, 'Weigh the lye in its own dry cup')
  await other.context().close()
})

test('a rehearsal is guided, tells mistakes, and leaves no trace in the records', async ({
  page,
  server,
}) => {
  await page.goto('/bench')
  const region = page.getByRole('region', { name: 'Rehearsal' })
  await expect(region.getByLabel('Formula')).toHaveValue(/.+/)
  await region.getByRole('button', { name: 'Guided, step by step' }).click()
  await heading(page, 'Clear the room, dress')
  await expect(page.getByText('Read each point aloud')).toBeVisible()
  // Straight to the lye: no number before the check is through.
  await page.getByRole('button', { name: /Lye, own cup/ }).click()
  await expect(page.getByText('No number before the safety check is through.')).toBeVisible()
  await page.getByRole('button', { name: 'To the check' }).click()
  await dress(page)
  await rehearse(page)
  await expect(page.getByRole('heading', { name: 'What to do otherwise next time' })).toBeVisible()
  await expect(page.getByText(/Sodium hydroxide: .* too much\./)).toBeVisible()
  await expect(page.getByText('Combined with the lye at')).toBeVisible()
  await space(page)
  await heading(page, 'At the bench')
  expect((await send<unknown[]>(`${server.url}/api/runs`, 'GET')).body).toEqual([])
})

test('made on paper, it is written up in one pass with the same figures', async ({
  page,
  server,
}) => {
  const batch = await planned(server.url, plain)
  await page.goto('/bench')
  await page.getByLabel('Code on the sheet').fill('99-ZZZZ')
  await page.getByRole('button', { name: 'Write it up' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'No batch has this code' })).toBeVisible()
  await page.getByLabel('Code on the sheet').fill(`${batch.number}-${batch.id.slice(-4)}`)
  await page.getByRole('button', { name: 'Write it up' }).click()
  await heading(page, `Slip, batch ${batch.number}, from paper`)
  // Looking at the form begins nothing and accuses nobody.
  expect((await send<unknown[]>(`${server.url}/api/runs`, 'GET')).body).toEqual([])
  await expect(page.getByText('Lye was handled before')).toBeHidden()
  // Made three days ago, half an hour after noon.
  await page.getByLabel('Hour of the pour').fill('12:30')
  await page.getByLabel('Day of the pour').fill('2026-11-20')
  await page.getByLabel('Lye, own cup, weighed').fill('160')
  await expect(page.getByText(/Sodium hydroxide: .* too much\./)).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Lye, own cup, weighed')).toHaveValue('160')
  await page.getByRole('group', { name: 'Safety check' }).getByText('all 5').click()
  await page.getByLabel('Lye jug at its hottest').last().fill('40')
  await expect(page.getByText('Weak lye suspected.')).toBeVisible()
  await page.getByRole('button', { name: /^Keep as made 20 Nov, 12:30/ }).click()
  await expect(page.getByText('written up from paper')).toBeVisible()
  await expect(page.getByTestId('made-superfat')).toContainText('-')
  const { body } = await send<Batch>(`${server.url}/api/batches/${batch.id}`, 'GET')
  const poured = body.events.find((event) => event.kind === 'poured')
  expect(poured).toMatchObject({ day: '2026-11-20', pouredAt: '2026-11-20T12:30:00.000Z' })
})

test('the plan is moved, added to and printed on paper with a code', async ({ page, server }) => {
  const batch = await planned(server.url, plain)
  await page.goto(`/bench/${batch.id}`)
  const rows = page.getByRole('listitem').filter({ has: page.getByRole('button') })
  await page.getByRole('button', { name: 'Later: Line the mould' }).click()
  await expect(rows.nth(1)).toContainText('Line or grease the mould')
  await page.getByRole('button', { name: 'Leave out: Lay everything out' }).click()
  await expect(page.getByText('Lay everything out', { exact: true })).toBeHidden()
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.getByLabel('A step of your own').fill('Photograph the pan')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await expect(page.getByText('Photograph the pan', { exact: true })).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(page.getByRole('img', { name: /^Code \d+-/ })).toBeVisible()
  await expect(page.getByText('weighed __________').first()).toBeVisible()
  await page.emulateMedia({ media: 'screen' })
  await page.getByRole('button', { name: 'Start at the bench' }).click()
  await heading(page, 'Clear the room, dress')
  await expect(page.getByRole('button', { name: /Photograph the pan/ })).toBeVisible()
})
