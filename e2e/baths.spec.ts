import { DEMO } from './places'
import { expect, test } from './test'

test('a bath is made up and labelled, an etch in it logged, and the next etch is worked out by it', async ({ page }) => {
  await page.goto(`${DEMO}/drawer/baths`)
  await page.getByRole('button', { name: 'Make up a bath' }).click()
  const made = page.getByRole('form', { name: 'Make up a bath' })
  await made.getByLabel('Name on the label').fill('Nitrate, token line')
  await made.getByLabel('Bath', { exact: true }).selectOption('copper-nitrate')
  await made.getByLabel('How much').fill('none')
  await made.getByRole('button', { name: 'Save' }).click()
  await expect(made).toContainText('more than 0 and at most 1000')
  await made.getByLabel('How much').fill('0.6')
  await made.getByLabel('How much').press('Enter')
  const bath = page.getByRole('article', { name: 'Nitrate, token line' })
  await expect(bath).toContainText('0 uses')
  const label = await page.request.get(`${DEMO}${await bath.getByRole('link', { name: 'Print its label' }).getAttribute('href')}`)
  expect(label.headers()['content-type']).toBe('application/pdf')
  await bath.getByRole('button', { name: 'Log an etch' }).click()
  await bath.getByLabel('Metal', { exact: true }).selectOption('copper-c110')
  // copper at 10 A/dm² comes off 2.21 µm a minute by the law: half of that was measured
  for (const [name, text] of [
    ['Bare metal in the bath', '1500'],
    ['Current', '1.5'],
    ['Current on for', '60'],
    ['Depth measured', '0.0663'],
  ] as const)
    await bath.getByLabel(name, { exact: true }).fill(text)
  await bath.getByRole('button', { name: 'Log it' }).click()
  await expect(bath).toContainText('1 use')
  await expect(bath).toContainText('Copper: 0.5 of Faraday’s law, one etch')
  await page.goto(`${DEMO}/pieces/37/mark`)
  const etch = page.getByRole('region', { name: 'Etch', exact: true })
  await page.getByRole('button', { name: 'Etched' }).click()
  await etch.getByRole('button', { name: 'Plan an etch' }).click()
  const minutes = async () =>
    Number((await etch.getByRole('region', { name: 'The etch' }).locator('.fig').first().innerText()).replace(/\D/g, ''))
  const byLaw = await minutes()
  await etch.getByLabel('Bath').selectOption('copper-nitrate')
  await expect(etch).toContainText('by what this bath does: 0.5 of Faraday’s law')
  expect(Math.abs((await minutes()) / byLaw - 2)).toBeLessThan(0.05)
  await etch.getByRole('button', { name: 'It is not etched' }).click()
  await expect(etch.getByText('saved', { exact: true })).toBeVisible()
})

test('the dark of a picture is the artwork, and something that is no picture is told so', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/35/mark`)
  const etch = page.getByRole('region', { name: 'Etch', exact: true })
  const picture = await page.evaluate(() => {
    const canvas = document.createElement('canvas')
    ;[canvas.width, canvas.height] = [600, 300]
    const to = canvas.getContext('2d') as CanvasRenderingContext2D
    to.fillStyle = '#fff'
    to.fillRect(0, 0, 600, 300)
    to.fillStyle = '#222'
    to.fillRect(60, 60, 180, 180)
    to.beginPath()
    to.arc(440, 150, 90, 0, 7)
    to.fill()
    return canvas.toDataURL('image/png').split(',')[1] ?? ''
  })
  await page.getByLabel('Artwork file').setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('no picture') })
  await expect(etch.getByRole('status').filter({ hasText: 'notes.png' })).toContainText('it is no picture that can be read')
  await page.getByLabel('Artwork file').setInputFiles({ name: 'two.png', mimeType: 'image/png', buffer: Buffer.from(picture, 'base64') })
  await expect(etch).toContainText('2 dark places.')
  await expect(etch.getByRole('status').filter({ hasText: 'Each pixel is' })).toContainText('no edge is finer')
  const move = page.waitForResponse(/moveRevision/)
  await expect(etch.getByText('saved', { exact: true })).toBeVisible()
  await page.keyboard.press('Control+z')
  await move
  await expect(etch).toContainText('12 dark places.')
})

test('at the bench the supply switches off by itself at a short, goes on, and stops at the depth', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/35/route`)
  await page.getByRole('button', { name: /Start a tray/ }).click()
  await page.waitForURL(/\/bench\/\d+/)
  const supply = page.getByRole('region', { name: 'Etching supply' })
  await expect(async () => {
    await page.keyboard.press('Space')
    await expect(supply).toBeVisible({ timeout: 150 })
  }).toPass({ intervals: [1], timeout: 90_000 })
  await supply.getByRole('button', { name: 'Switch on' }).click()
  await expect(supply.getByText(/^\d.* A$/).last()).not.toHaveText('0 A')
  await supply.getByRole('button', { name: 'practise a short' }).click()
  await expect(supply.getByRole('status')).toContainText('a short. Switched off')
  await supply.getByRole('button', { name: 'Switch on again' }).click()
  await expect(supply.getByRole('status')).toContainText('it is as deep as planned', { timeout: 90_000 })
  await expect(supply.getByText('0.25', { exact: false }).first()).toBeVisible()
  await page.keyboard.press('u')
  await expect(page.getByRole('status').filter({ hasText: 'Taken back: the note' })).toBeVisible()
})
