import { expect, type Page } from '@playwright/test'
import { space } from './quiet'

/** What stands at the top of a day's screen. */
const title = async (page: Page): Promise<string> =>
  (await page.getByRole('heading', { level: 1 }).first().textContent())?.trim() ?? ''

/** What of a step was done, and whether the screen waits for somebody else. */
type Stepped = 'done' | 'waits' | 'nothing-left' | 'over'

/** The wanted weight of the step on screen, typed and taken: as a careful hand would. */
async function weigh(page: Page, says: string): Promise<void> {
  const wanted = page.getByText(/ to go of [\d.,]+, within/).first()
  const text = (await wanted.textContent()) ?? ''
  const target = / of ([\d.,]+), within/.exec(text)![1]!.replace(/,/g, '')
  await page.keyboard.type(target)
  await expect(page.getByRole('button', { name: /^Take it/ })).toBeVisible()
  await space(page)
  await expect(page.getByRole('heading', { level: 1, name: says, exact: true })).toBeHidden()
}

/** Does what a day's screen asks for, one thing. */
export async function dayStep(page: Page): Promise<Stepped> {
  const says = await title(page)
  const over = page.getByRole('button', { name: 'The day is over' })
  if (await over.isVisible()) return 'over'
  if (/^Nothing left for/.test(says)) return 'nothing-left'
  const begin = page.getByRole('button', { name: /^(Take it up|It stands on the plate)/ })
  const gone = () =>
    expect(page.getByRole('heading', { level: 1, name: says, exact: true })).toBeHidden()
  if (await begin.isVisible()) {
    if (
      await page
        .getByText(/^First: /)
        .first()
        .isVisible()
    )
      return 'waits'
    await space(page)
    await gone()
    return 'done'
  }
  if (/^Clear the room/.test(says)) {
    for (const digit of ['1', '2', '3', '4', '5', '6', '7', '8']) await page.keyboard.press(digit)
    await expect(page.getByText('Dressed, room is clear')).toBeVisible()
    await space(page)
  } else if (/^Weigh lye jug and pan|^Weigh the pan of oils once more/.test(says)) {
    await page.keyboard.press('k')
  } else if (/^Weigh the (?!lye jug)/.test(says) || /^Weigh /.test(says)) {
    await weigh(page, says)
    return 'done'
  } else if (/emulsion|trace/.test(says) && /^(Blend|Stir to|To )/.test(says)) {
    await page.keyboard.press(/emulsion/.test(says) ? '2' : /light/.test(says) ? '3' : '4')
    const smooth = page.getByRole('button', { name: /Smooth and shiny/ })
    const on = page.getByRole('button', { name: /^Go on/ })
    const calm = page.getByRole('button', { name: 'It is calm again' })
    for (let tries = 0; tries < 6; tries++) {
      await smooth.or(on).or(calm).first().waitFor()
      if (await smooth.isVisible()) await page.keyboard.press('s')
      else if (await calm.isVisible()) await calm.click()
      else break
    }
    await space(page)
  } else if (/^Let the|^Lye onto|^Sprinkle/.test(says)) {
    for (let tries = 0; tries < 12 && (await title(page)) === says; tries++) await space(page)
  } else await space(page)
  await gone()
  return 'done'
}
