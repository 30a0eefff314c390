import { readFileSync } from 'node:fs'
import { expect, openFormula, saved, test, typeLine } from './fixtures'

const csv = (name: string, lines: string[]) => ({
  name,
  mimeType: 'text/csv',
  buffer: Buffer.from(lines.join('\n')),
})

test('a certified value changes every lye, and goes back with one click', async ({ page }) => {
  await page.goto('/formulas/materials')
  await page.getByLabel('Find a material').fill('tallow')
  await page.getByLabel('Beef tallow').check()
  const card = page.getByRole('article').filter({ hasText: 'Beef tallow' })
  await card.getByRole('button', { name: 'Use own values' }).click()
  await page.getByLabel('Certificate number').fill('KR-9')
  await page.getByLabel('Usual', { exact: true }).fill('192')
  await page.getByRole('button', { name: 'Measured lot' }).click()
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(card.getByText('192 (191 to 193) mg KOH/g')).toBeVisible()
  await expect(card.getByText('certificate KR-9', { exact: true })).toBeVisible()
  await openFormula(page, 'Plain Tallow')
  await page.getByRole('button', { name: 'Why this much lye?' }).click()
  await expect(page.getByText(/192/).first()).toBeVisible()
  await page.goto('/formulas/materials')
  await page.getByLabel('Kind').selectOption('own')
  await page.getByLabel('Beef tallow').check()
  await card.getByRole('button', { name: 'Back to the library’s values' }).click()
  await expect(card.getByText(/^198 \(/)).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(card.getByText(/^192 \(/)).toBeVisible()
})

test('a material of one’s own is typed into a formula; a bad one says why and keeps what was typed', async ({
  page,
}) => {
  await page.goto('/formulas/materials')
  await page.getByRole('button', { name: 'Add and exchange materials' }).click()
  await page.getByRole('menuitem', { name: 'Add a liquid' }).click()
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByText('Give it a name.')).toBeVisible()
  await page.getByLabel('Name', { exact: true }).fill('Nettle tea')
  await page.getByLabel('Fat', { exact: true }).fill('10')
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByText(/sum to more than 100 %/)).toBeVisible()
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Nettle tea')
  await page.getByLabel('Fat', { exact: true }).fill('0')
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByRole('article').filter({ hasText: 'Nettle tea' })).toBeVisible()
  await openFormula(page, 'Plain Tallow')
  await typeLine(page, 'nettle tea 40%')
  await expect(page.getByLabel('Nettle tea, share of liquid')).toHaveValue('40')
  await saved(page)
  await page.reload()
  await expect(page.getByLabel('Nettle tea, share of liquid')).toHaveValue('40')
})

test('a new mould, and one formula that fills it and a tray, to the sheet', async ({ page }) => {
  await page.goto('/formulas/moulds')
  await page.getByRole('button', { name: 'New mould' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Test loaf')
  await page.getByLabel('Inside length').fill('200')
  await page.getByLabel('Made of').selectOption('aluminium')
  await expect(page.getByRole('dialog').getByText(/sets free a gas/)).toBeVisible()
  await page.getByLabel('Made of').selectOption('wood')
  await page.getByLabel('Lined with').selectOption('paper')
  await page.getByLabel('It really takes').fill('1000')
  await page.getByRole('button', { name: 'Keep' }).click()
  await expect(page.getByText('1,000 ml').first()).toBeVisible()
  await openFormula(page, 'Plain Tallow')
  await page.getByRole('button', { name: /^Size:/ }).click()
  await page.getByRole('button', { name: /^Test loaf/ }).click()
  await page.getByRole('button', { name: 'Eight pebbles too' }).click()
  await page.getByLabel('How many of Test loaf').fill('1')
  await page.getByLabel('Test loaf, how full').fill('95')
  await expect(page.getByRole('button', { name: /^Galley cake tin/ })).toBeDisabled()
  const poured = page.getByRole('list', { name: 'What goes where' })
  await expect(poured).toContainText('950 ml of 1,000 ml')
  await expect(poured).toContainText('856 ml of 856 ml')
  await page.getByRole('button', { name: /^Use it/ }).click()
  await expect(page.getByRole('button', { name: 'Size: 2 moulds' })).toBeVisible()
  await saved(page)
  await page.getByRole('button', { name: 'Make a batch' }).click()
  await page.getByRole('dialog').getByRole('button', { name: /^Make/ }).click()
  const moulds = page.getByRole('region', { name: 'What goes where' })
  await expect(moulds).toContainText('Test loaf')
  await expect(moulds).toContainText('8 ×')
  await expect(moulds).toContainText('95 % full')
})

test('the rest of a drum sizes the batch, and undo takes it back', async ({ page }) => {
  await openFormula(page, 'Plain Tallow')
  await page.getByRole('button', { name: 'More for Beef tallow' }).click()
  await page.getByRole('menuitem', { name: 'Use up what is left of it…' }).click()
  await page.getByLabel('Left in the drum').fill('1015')
  await page.getByRole('button', { name: 'Size the batch' }).click()
  // 1015 g at 70 %
  await expect(page.getByRole('button', { name: 'Size: 1,450 g of oils' })).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('button', { name: 'Size: 2,000 g of oils' })).toBeVisible()
})

test('a version is kept with its reason, compared, judged and brought back', async ({ page }) => {
  await openFormula(page, 'Plain Tallow')
  await page.keyboard.press('v')
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Keep it as it is now, as').fill('The first')
  await dialog.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(dialog.getByText('1. The first')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('textbox', { name: 'Superfat', exact: true }).fill('8')
  await typeLine(page, 'kaolin 2%')
  await page.keyboard.press('Escape')
  await page.keyboard.press('v')
  // Two changes at once: each is asked what it is for, and nobody can tell later which of them did it.
  await expect(dialog.getByText('2 things changed.')).toBeVisible()
  await dialog.getByLabel('What superfat 6 % → 8 % is for').fill('Kinder')
  await dialog.getByLabel('What the change is for').fill('Kinder, and slips under a razor')
  await dialog.getByRole('button', { name: 'Keep', exact: true }).click()
  await expect(dialog.getByText('2. Version 2')).toBeVisible()
  await expect(dialog.getByText('They went in together')).toBeVisible()
  await expect(dialog.getByLabel('What superfat 6 % → 8 % was for')).toHaveValue('Kinder')
  await dialog.getByLabel('Whether superfat 6 % → 8 % did it').selectOption('yes')
  await dialog.getByLabel('Whether Version 2 did it').selectOption('partly')
  await dialog.getByLabel('What was learned from Version 2').fill('Slips, but drier')
  await dialog.getByLabel('What was learned from Version 2').blur()
  await dialog.getByRole('link', { name: 'Compare with now' }).last().click()
  const different = page.getByRole('region', { name: 'What is different' })
  await expect(different).toContainText('Superfat 6 % → 8 %')
  await expect(page.getByRole('region', { name: 'Weights' })).toContainText('Kaolin')
  await page.getByRole('button', { name: 'Swap sides' }).click()
  await expect(different).toContainText('Superfat 8 % → 6 %')
  await page.goBack()
  await expect(page.getByRole('textbox', { name: 'Superfat', exact: true })).toHaveValue('8')
  await page.keyboard.press('v')
  await expect(dialog.getByLabel('What was learned from Version 2')).toHaveValue('Slips, but drier')
  await dialog.getByRole('button', { name: 'Bring it back' }).last().click()
  await expect(page.getByRole('textbox', { name: 'Superfat', exact: true })).toHaveValue('6')
  await page.keyboard.press('Control+z')
  await expect(page.getByRole('textbox', { name: 'Superfat', exact: true })).toHaveValue('8')
  await saved(page)
})

test('formulas go out as a table and come back; bad rows are named', async ({ page }) => {
  await page.goto('/formulas')
  await page.getByRole('button', { name: 'More for all formulas' }).click()
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: 'Export all as a table (.csv)' }).click(),
  ])
  const rows = readFileSync(await file.path(), 'utf8').split('\r\n')
  const tide = [rows[0]!, ...rows.filter((row) => row.startsWith('Tide Pool,'))]
  expect(tide.length).toBeGreaterThan(12)
  await page.getByRole('button', { name: 'More for all formulas' }).click()
  await page.getByRole('menuitem', { name: 'Import…' }).click()
  await page
    .getByLabel(/Files ending in/)
    .setInputFiles([
      csv('tide.csv', tide),
      csv('bad.csv', [
        'formula;what;id;amount',
        'Shed Bar;fat;olive;lots',
        'Shed Bar;fish;cod;10',
        ';fat;olive;10',
      ]),
    ])
  await expect(page.getByText(/^joins as a copy, since a “Tide Pool”/)).toBeVisible()
  await expect(page.getByText('Row 2, amount: "lots" is not a number.')).toBeVisible()
  await expect(page.getByText(/^Row 3, what: "fish" is none of/)).toBeVisible()
  await expect(page.getByText('Row 4, formula: Which formula is this a row of?')).toBeVisible()
  await page.getByRole('button', { name: 'Take 1' }).click()
  await page.getByRole('link', { name: 'Tide Pool 2' }).click()
  await expect(page.getByLabel('dark, water to lye')).toHaveValue('2.6')
})

test('materials come in as a table with a preview, row by row', async ({ page }) => {
  await page.goto('/formulas/materials')
  await page.getByRole('button', { name: 'Add and exchange materials' }).click()
  await page.getByRole('menuitem', { name: 'Import a table (.csv)…' }).click()
  await page
    .getByLabel(/A table/)
    .setInputFiles(
      csv('materials.csv', [
        'kind,id,name,sap,certificate,usual %,at most %',
        'fat,olive,,187.5,KR-7,,',
        'fat,ollive,,187.5,,,',
        'fat,shea,,,,,',
        'extra,,Reed ash,,,1,3',
        'extra,,Moss,,,5,3',
      ]),
    )
  const preview = page.getByRole('list', { name: 'What will happen' })
  await expect(preview).toContainText('sap: 190 → 187.5')
  await expect(preview).toContainText('Row 3, id: The library has no fat "ollive"')
  await expect(preview).toContainText('stays as it is')
  await expect(preview).toContainText('joins as your own')
  await expect(preview).toContainText('Row 6, at most %: The most that is used is less')
  await expect(page.getByText('2 rows are left out.')).toBeVisible()
  await page.getByRole('button', { name: 'Take 2' }).click()
  await page.getByLabel('Kind').selectOption('own')
  await expect(page.getByText('Reed ash')).toBeVisible()
})

test('milk changes its way: moment, temperatures, steps and the sheet follow', async ({ page }) => {
  await openFormula(page, 'Oat & Buttermilk')
  await page.getByLabel('Lye temperature').fill('45')
  await expect(page.getByText(/Buttermilk will scorch/)).toBeVisible()
  await page.getByRole('button', { name: 'More for Buttermilk' }).click()
  await page.getByRole('menuitem', { name: 'Half-frozen, into the cooled lye' }).click()
  await expect(page.getByLabel('Lye temperature')).toHaveValue('24')
  await expect(page.getByText(/Buttermilk will scorch/)).toHaveCount(0)
  await page.getByText('How: buttermilk').click()
  await expect(page.getByText(/It heats up again/)).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(page.getByLabel('Lye temperature')).toHaveValue('45')
})

test('a discount is translated with what it is a discount from', async ({ page }) => {
  await openFormula(page, 'Plain Tallow')
  await page.getByRole('button', { name: 'as a discount' }).click()
  await page.getByRole('textbox', { name: 'Discount' }).fill('20')
  await page.getByRole('dialog').getByRole('combobox').selectOption('2.5 : 1 water to lye')
  await expect(page.getByText('= 2.0 : 1 water to lye')).toBeVisible()
  await page.getByRole('button', { name: 'Set the water' }).click()
  await expect(page.getByRole('textbox', { name: 'Water to lye' })).toHaveValue('2')
})
