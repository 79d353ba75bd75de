import { WORKSHOP } from './places'
import { expect, type Page, test } from './test'

async function mm(page: Page, testId: string): Promise<number> {
  return Number.parseFloat((await page.getByTestId(testId).innerText()).replace('−', '-'))
}

test('from an empty workshop to a corrected blank', async ({ page }) => {
  await page.goto(`${WORKSHOP}/jobs`)
  await expect(page.getByText('No jobs yet')).toBeVisible()
  await page.getByRole('region', { name: 'First start' }).getByLabel('With a ring to try things out on').uncheck()
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByRole('region', { name: 'First start' })).toBeHidden()

  await page.getByRole('button', { name: 'New job' }).click()
  await page.getByRole('button', { name: 'Save the job' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'give it a name' })).toBeVisible()
  await page.getByLabel('Job', { exact: true }).fill('Signal-box rings')
  await page.getByLabel('For', { exact: true }).fill('Box 4')
  await page.getByRole('button', { name: 'Save the job' }).click()

  await page.getByRole('button', { name: 'Add a piece' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('What is it?').fill('ring band')
  await page.keyboard.press('Enter')
  await dialog.getByLabel('Name').fill('Box ring')
  await dialog.getByLabel('How many').fill('3')
  await dialog.getByRole('button', { name: 'Add it and size it' }).click()

  await expect(page.getByRole('heading', { name: 'Box ring' })).toBeVisible()
  await page.getByLabel('Size', { exact: true }).fill('UK P½')
  await page.getByLabel('Thickness', { exact: true }).fill('16 ga')
  await expect(page.getByText('16 ga B&S: 1.291 mm, 0.0508 in')).toBeVisible()
  await page.getByRole('button', { name: /^Marking and filing/ }).click()
  await page.getByLabel('Round marks up to').fill('0.1')
  // UK P½ is 56.875 mm round the inside (BS 6820); the middle of 1.291 mm metal adds π times that: 60.93, marked 61.
  await expect(page.getByTestId('answer')).toHaveText('61 mm')
  const textbook = await mm(page, 'answer')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Size', { exact: true })).toHaveValue('UK P½')

  await page.goto(`${WORKSHOP}/drawer`)
  await page.getByLabel('Thickness as sold').fill('16 ga')
  await page.getByLabel('Length', { exact: true }).fill('90')
  await page.getByLabel('Width', { exact: true }).fill('2 in')
  await page.getByRole('button', { name: 'Put it in the drawer' }).click()
  await expect(page.getByRole('article', { name: /S-1/ })).toContainText('90 × 50.8 × 1.291 mm')

  await page.goto(`${WORKSHOP}/layout`)
  await page.getByRole('button', { name: 'Place the blanks' }).click()
  await expect(page.getByText('3 of 3')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Print full size (PDF)' })).toBeVisible()
  await page.getByRole('button', { name: 'Cut: take it off the sheet' }).click()
  await expect(page.getByRole('dialog')).toContainText('3 blanks come off it')
  await page.getByRole('button', { name: 'Cut it' }).click()
  await expect(page.getByRole('region', { name: 'Cut already' })).toContainText('3 from S-1')
  const [pages] = await Promise.all([page.waitForEvent('popup'), page.getByRole('button', { name: 'Print it' }).click()])
  expect(pages.url()).toMatch(/^blob:/)
  await pages.close()
  await expect(page.getByRole('link', { name: 'Save them' })).toHaveAttribute('download', /^layout-\d+\.pdf$/)
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.getByRole('button', { name: 'Cut: take it off the sheet' })).toBeVisible()
  await page.getByRole('button', { name: 'Cut: take it off the sheet' }).click()
  await page.getByRole('button', { name: 'Cut it' }).click()
  await expect(page.getByRole('region', { name: 'Cut already' })).toContainText('3 from S-1')
  await page.goto(`${WORKSHOP}/drawer`)
  await expect(page.getByRole('article', { name: /S-1/ }).first()).toBeVisible()

  await page.goto(`${WORKSHOP}/pieces/1/route`)
  await expect(page.getByRole('list').filter({ hasText: 'Solder the joint' }).first()).toBeVisible()
  await page.getByRole('button', { name: 'Start a tray of 3 at the bench' }).click()
  await expect(page.getByRole('heading', { name: 'Measure' })).toBeVisible()

  await walkTray(page)
  await page.getByRole('button', { name: 'See the record' }).click()
  await expect(page.getByRole('region', { name: 'Readings' }).getByRole('row', { name: /^2 / })).toContainText('+0.2')
  await expect(page.getByTestId('record-allowance')).toHaveText(/− 0\.\d+ mm/)

  await page.goto(`${WORKSHOP}/pieces/1`)
  await expect(page.getByText('3 pieces came out 0.20 mm larger')).toBeVisible()
  await page.getByRole('button', { name: /My record/ }).click()
  await expect(page.getByText('Your own allowance')).toBeVisible()
  const corrected = await mm(page, 'answer')
  // 0.20 mm larger inside is 0.63 mm of length; three readings are not believed whole.
  expect(textbook - corrected).toBeGreaterThan(0.35)
  expect(textbook - corrected).toBeLessThan(0.65)
  // or another figure in its place, and the textbook again
  const own = page.getByRole('textbox', { name: 'On the blank' })
  await own.fill('-0.3')
  await expect(page.getByRole('button', { name: /My record/ })).toHaveAttribute('aria-pressed', 'false')
  await expect.poll(() => mm(page, 'answer')).toBeCloseTo(textbook - 0.3, 6)
  await own.fill('a little')
  await expect(page.getByRole('alert').filter({ hasText: 'My allowance' })).toBeVisible()
  await page.getByRole('button', { name: /Textbook/ }).click()
  await expect.poll(() => mm(page, 'answer')).toBeCloseTo(textbook, 6)
  await page.getByRole('button', { name: /My record/ }).click()
  await expect.poll(() => mm(page, 'answer')).toBeCloseTo(corrected, 6)
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
})

/** Space for each piece and step; at the last step every piece is measured with M, typed 0.2 mm over what was predicted. */
async function walkTray(page: Page): Promise<void> {
  const steps = Number((await page.getByText(/step \d+ of \d+/).innerText()).split(' of ')[1])
  for (let step = 1; step <= steps; step++) {
    await expect(page.getByText(`step ${step} of ${steps}`)).toBeVisible()
    const together = await page.getByText(/all\s*3\s*together/).isVisible()
    for (const piece of together ? [0] : [1, 2, 3]) {
      if (piece > 0) await expect(page.getByTestId('piece-number')).toHaveText(String(piece))
      if (step === steps) await measure(page, piece)
      await page.keyboard.press('Space')
    }
  }
  await expect(page.getByRole('heading', { name: 'The tray is finished' })).toBeVisible()
}

async function measure(page: Page, piece: number): Promise<void> {
  // UK P½ inside is 18.104 mm; the blank marked 0.07 mm long makes it 18.126.
  await page.getByRole('button', { name: 'Type it' }).click()
  await page.getByLabel('Inside diameter', { exact: true }).fill(['18.31', '18.33', '18.34'][piece - 1] ?? '18.33')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Kept: 18\.3\d mm/)).toBeVisible()
  await page.locator('body').click({ position: { x: 5, y: 5 } })
}
