import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { quiet, space } from '../support/quiet'
import { blankFormula } from '../../core/formula/blank'
import { lead, planned, upTo } from '../support/atBench'
import { expect, openBatch, openFormula, panel, plank, test } from './fixtures'

async function problemsOf(page: Page) {
  // The pages have no frames: one run in the page itself is enough, and much quicker.
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'], rules: { 'target-size': { enabled: true } } })
    .analyze()
  return violations.map(
    ({ id, nodes }) => `${id}: ${nodes.map(({ target }) => target.join(' ')).join(' | ')}`,
  )
}
// axe looks at every node of a page, several pages a test: that takes longer than walking through them.
test.slow()
const widths = [1280, 820, 390]
const places: [name: string, go: (page: Page) => Promise<unknown>][] = [
  ['the shelf', (page) => page.goto('/')],
  ['the formulas', (page) => page.goto('/formulas')],
  ['a formula', (page) => openFormula(page, 'Hostel Bar')],
  [
    'a formula with milk and a stop',
    async (page) => {
      await openFormula(page, 'Oat & Buttermilk')
      await page.getByRole('textbox', { name: 'Superfat', exact: true }).fill('-3')
    },
  ],
  [
    'the recipe check',
    async (page) => {
      await page.goto('/formulas/check')
      await page.getByLabel('The recipe as written').fill('500 g olive oil\n90 g lye\n5 g moss')
    },
  ],
  ['the materials', (page) => page.goto('/formulas/materials')],
  [
    'the room',
    async (page) => {
      await page.goto('/rack')
      await page.getByText('Room', { exact: true }).last().click()
      await page.getByRole('region', { name: 'Wire tray A' }).waitFor()
    },
  ],
  [
    'the life of a batch',
    async (page) => {
      await openBatch(page, 'Last weeks', /^Market Rose/)
      await page.getByRole('heading', { name: 'Ash' }).waitFor()
    },
  ],
  [
    'a trouble and its causes',
    async (page) => {
      await openBatch(page, 'Last weeks', /^Market Rose/)
      await page.getByRole('link', { name: 'Causes, and what to do: Ash' }).click()
      await page.getByRole('link', { name: /^Market Rose 26: no gel/ }).waitFor()
    },
  ],
  [
    'two batches side by side',
    async (page) => {
      await openBatch(page, 'Drying', /^Hostel Bar 30/)
      await page.getByRole('link', { name: 'Compare' }).click()
      await page.getByRole('heading', { name: 'In the formula' }).waitFor()
    },
  ],
  ['the moulds', (page) => page.goto('/formulas/moulds')],
  [
    'two versions side by side',
    async (page) => {
      await openFormula(page, 'Hostel Bar')
      await page.keyboard.press('v')
      await page.getByRole('link', { name: 'Compare with now' }).last().click()
      await page.getByRole('region', { name: 'Weights' }).waitFor()
    },
  ],
  [
    'the finder with a result',
    async (page) => {
      await page.goto('/formulas/find')
      await page.getByRole('button', { name: 'Find', exact: true }).click()
      await page.getByRole('heading', { name: 'The nearest' }).waitFor()
    },
  ],
  [
    'the explanations',
    async (page) => {
      await page.goto('/explained')
      await page.getByRole('heading', { name: /^Alkali demand/ }).waitFor()
    },
  ],
  ['a formula in pots', (page) => openFormula(page, 'Tide Pool')],
  [
    'a formula on paper',
    async (page) => {
      await openFormula(page, 'Hostel Bar')
      await page.getByRole('button', { name: 'More for this formula' }).click()
      await page.getByRole('menuitem', { name: 'Print' }).click()
      // What the scale weighs, the very figure of the formula page.
      await expect(page.getByRole('row', { name: /^Sodium hydroxide/i })).toContainText('296.9 g')
      await page.getByText('Superfat of these weights').waitFor()
    },
  ],
  ['the rack', (page) => page.goto('/rack')],
  ['the workshop', (page) => page.goto('/workshop')],
  [
    'a batch',
    async (page) => {
      await page.goto('/')
      await page
        .getByRole('listitem')
        .filter({ hasText: 'Pour Hostel Bar' })
        .getByRole('link', { name: 'Bench' })
        .click()
      await page.getByRole('link', { name: 'Its sheet' }).click()
      await page.getByText('Before the lye is opened').waitFor()
    },
  ],
  [
    'a batch that dries',
    async (page) => {
      const dries = await batchAt(page, ({ name, facts }) => name === 'Hostel Bar' && !!facts.cutOn)
      await page.goto(`/batches/${dries}`)
      await page.getByRole('img', { name: /Mass of the marked bars/ }).waitFor()
    },
  ],
  ['the bench', (page) => page.goto('/bench')],
  ['a plan at the bench', (page) => toPlan(page)],
  [
    'a batch from paper',
    async (page) => {
      await toPlan(page)
      await page.goto(`${page.url()}/paper`)
      await page.getByRole('heading', { name: /from paper$/ }).waitFor()
    },
  ],
  ['a batch as made', (page) => toMade(page)],
  ['the room check of a rehearsal', (page) => toRehearsal(page, [])],
  [
    'a weighing of a rehearsal',
    async (page) => {
      await toRehearsal(page, ['1', '2', '3', '4', '5', ' ', ' ', ' '])
      await page.getByRole('heading', { name: /^Weigh the water/ }).waitFor()
    },
  ],
]

/** Plans, batches and rehearsals of the demo workshop. */
const batchAt = async (
  page: Page,
  fits: (batch: {
    name: string
    facts: { pouredOn: string | null; cutOn: string | null }
  }) => boolean,
) => {
  const list = (await (await page.request.get('/api/batches')).json()) as {
    id: string
    name: string
    facts: { pouredOn: string | null; cutOn: string | null }
  }[]
  return list.find(fits)!.id
}
const toPlan = async (page: Page) =>
  page.goto(
    `/bench/${await batchAt(page, ({ name, facts }) => name === 'Hostel Bar' && !facts.pouredOn)}`,
  )
const toMade = async (page: Page) =>
  page.goto(`/bench/${await batchAt(page, ({ facts }) => !!facts.pouredOn && !facts.cutOn)}`)
async function toRehearsal(page: Page, keys: string[]) {
  await page.goto('/bench')
  await page.evaluate(() => sessionStorage.clear())
  await page.getByRole('button', { name: 'Guided, step by step' }).click()
  await page.getByRole('heading', { name: 'Clear the room, dress' }).waitFor()
  for (const key of keys) await (key === ' ' ? space(page) : page.keyboard.press(key))
}

for (const [name, go] of places)
  test(`${name}: axe finds nothing, and nothing sticks out at any width`, async ({ page }) => {
    await go(page)
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible()
    await quiet(page)
    for (const width of widths) {
      await page.setViewportSize({ width, height: width === 1280 ? 800 : 1180 })
      // Two frames: charts and lists that follow the width have drawn themselves anew.
      await page.evaluate(
        () => new Promise((next) => requestAnimationFrame(() => requestAnimationFrame(next))),
      )
      const overflow = await page.evaluate(
        () => document.documentElement.scrollWidth - window.innerWidth,
      )
      expect(overflow, `at ${width}`).toBeLessThanOrEqual(0)
      // What axe looks at differs between the wide page and the narrow one, not in between.
      if (width !== 820) expect(await problemsOf(page), `at ${width}`).toEqual([])
    }
  })

/** Opens a dialog, looks at it and closes it. */
const lookAtDialog = (page: Page) => async (open: () => Promise<unknown>) => {
  await open()
  await page.getByRole('dialog').getByRole('button').first().waitFor()
  expect(await problemsOf(page)).toEqual([])
  await page.keyboard.press('Escape')
  await page.getByRole('dialog').waitFor({ state: 'detached' })
}

test('dialogs, menus and lists too', async ({ page }) => {
  await openFormula(page, 'Hostel Bar')
  const look = async (open: () => Promise<unknown>) => {
    await open()
    expect(await problemsOf(page)).toEqual([])
    await page.keyboard.press('Escape')
  }
  await look(() => page.getByRole('button', { name: 'Why this much lye?' }).click())
  await look(() => page.getByRole('button', { name: 'Make a batch' }).click())
  await look(() => page.getByRole('button', { name: 'More for Olive oil' }).click())
  await look(() => page.getByLabel('Add a line by typing').pressSequentially('coconut 5%'))
  await page.keyboard.press('Escape')
  await look(() => page.keyboard.press('?'))
  await look(() => page.getByRole('button', { name: /Find or do/ }).click())
})

test('the dialogs of size, versions, water, materials and moulds', async ({ page }) => {
  const look = lookAtDialog(page)
  await openFormula(page, 'Estuary Hands')
  await look(() => page.getByRole('button', { name: /^Size:/ }).click())
  await look(() => page.keyboard.press('v'))
  await look(() => page.getByRole('button', { name: 'as a discount' }).click())
  await look(() => page.getByRole('button', { name: /^lye left over: .*\d/ }).click())
  await look(() => page.getByRole('button', { name: 'Regions' }).click())
  await look(async () => {
    await page.getByRole('button', { name: 'More for Lard' }).click()
    await page.getByRole('menuitem', { name: 'Swap this fat for…' }).click()
  })
  await page.goto('/formulas/moulds')
  await look(() => page.getByRole('button', { name: 'New mould' }).click())
  await page.goto('/formulas/materials')
  await look(() => page.getByRole('button', { name: 'Use own values' }).first().click())
})

test('the dialogs of the rack', async ({ page }) => {
  const look = lookAtDialog(page)
  await page.goto('/rack')
  const panel = page.getByRole('complementary', { name: 'The chosen batch' })
  await panel.getByRole('img', { name: /Mass of the marked bars/ }).waitFor()
  await look(() => page.keyboard.press('w'))
  await look(() => panel.getByRole('button', { name: 'Strip' }).click())
  await look(() => panel.getByRole('button', { name: 'Take bars out' }).click())
  await page.getByRole('button', { name: /^Fir & Smoke 35/ }).click()
  await look(() => panel.getByRole('button', { name: 'Mark as cut' }).click())
  await page.goto('/')
  await look(() => page.getByRole('button', { name: 'Calendar' }).click())
})

test('the dialogs of a batch and of its room', async ({ page }) => {
  const look = lookAtDialog(page)
  await page.goto('/rack')
  await page.getByText('Room', { exact: true }).last().click()
  await look(() => page.getByRole('button', { name: 'Note the room' }).click())
  await page.getByRole('button', { name: 'Arrange the room' }).click()
  await page.getByRole('button', { name: /^Wire tray A:/ }).click()
  expect(await problemsOf(page)).toEqual([])
  await page.getByRole('button', { name: 'Done' }).click()
  await page.getByText('Stages', { exact: true }).click()
  const menu = (says: string) => async () => {
    await panel(page).getByRole('button', { name: 'More to write down' }).click()
    await page.getByRole('menuitem', { name: says }).click()
  }
  await plank(page, 'Drying', /^Hostel Bar 30/).click()
  for (const says of [
    'Try a bar in use',
    'Bevel, stamp, plane',
    'Places',
    'Trouble',
    'A weight was wrong',
  ])
    await look(menu(says))
  await plank(page, 'First days', /^Fir & Smoke 35/).click()
  await look(() => panel(page).getByRole('button', { name: 'Try it' }).click())
  await look(menu('Look under the cover'))
  await page.goto('/')
  await look(() => page.getByRole('button', { name: 'Add a date' }).click())
})

test('focus can be seen on every control that Tab reaches', async ({ page }) => {
  await page.goto('/formulas')
  await page.getByRole('link', { name: 'Hostel Bar' }).waitFor()
  for (let step = 0; step < 14; step++) {
    await page.keyboard.press('Tab')
    const seen = await page.evaluate(() => {
      const { outlineStyle, boxShadow } = getComputedStyle(document.activeElement!)
      return outlineStyle !== 'none' || boxShadow !== 'none'
    })
    expect(seen, `after ${step + 1} tabs`).toBe(true)
  }
})

const screens = [
  [1280, 800],
  [820, 1180],
  [390, 844],
  // A phone on its side, and 1280 × 800 at twice its size.
  [844, 390],
  [640, 400],
] as const
const slip = {
  ...blankFormula('Slip'),
  fats: [
    { id: 'tallow', share: 0.3 },
    { id: 'olive', share: 0.7 },
  ],
}
const layers = {
  ...slip,
  name: 'Slip layers',
  parts: ['chalk', 'sand', 'peat'].map((name, index) => ({ name, share: index ? 0.3 : 0.4 })),
  method: { patterns: ['slanted-layers'] },
}
const frozen = {
  ...slip,
  name: 'Slip frozen',
  liquids: [{ id: 'goat-milk', share: 1, moment: 'lye', way: 'frozen' }],
  method: { lyeC: 30, oilsC: 38 },
}
const steps: [says: string, formula: object, id: string][] = [
  ['a weighing', slip, 'weigh:naoh'],
  ['lye into water', slip, 'dissolve'],
  ['lye into milk', frozen, 'dissolve'],
  ['a meeting', slip, 'meet'],
  ['the second look at the weights', slip, 'weigh-again'],
  ['a pot at its trace', layers, 'batter:trace@1'],
  ['a layer', layers, 'pour@1'],
  ['the end', slip, 'cover'],
]
for (const [says, formula, id] of steps)
  test(`at the bench, ${says}: its keys are there at every size, nothing sticks out, axe finds nothing`, async ({
    page,
    server,
  }) => {
    const batch = await planned(server.url, formula)
    const plan = await upTo(server.url, batch, id, {}, { lye: 36, oils: 36 })
    await lead(page, batch)
    const step = plan.steps.find((one) => one.id === id)!
    await expect(page.getByRole('heading', { level: 1, name: step.says })).toBeVisible()
    for (const [width, height] of screens) {
      await page.setViewportSize({ width, height })
      await page.evaluate(
        () => new Promise((next) => requestAnimationFrame(() => requestAnimationFrame(next))),
      )
      const sticksOut = await page.evaluate(
        () => document.documentElement.scrollWidth - window.innerWidth,
      )
      expect(sticksOut, `at ${width} × ${height}`).toBeLessThanOrEqual(0)
      // The heading is on screen without scrolling, and no key is under another or off its edge.
      await expect(page.getByRole('heading', { level: 1, name: step.says })).toBeInViewport()
      const keys = await page.locator('.bench-step > .keys > button').all()
      expect(keys.length).toBeGreaterThanOrEqual(2)
      for (const key of keys) {
        await expect(key).toBeInViewport({ ratio: 0.95 })
        const box = (await key.boundingBox())!
        expect(box.height, await key.innerText()).toBeGreaterThanOrEqual(56)
      }
      if (width === 1280 || height === 390) expect(await problemsOf(page)).toEqual([])
    }
  })
