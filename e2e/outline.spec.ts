import { spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import type { Page } from '@playwright/test'
import sharp from 'sharp'
import { drawPaper } from '../scripts/draw-paper.mjs'
import { DEMO } from './places'
import { expect, test } from './test'

const PHOTOGRAPH = 'tests/fixtures/photographs/corner-copper-high.jpg'

test('an offcut photographed on the card goes into the drawer true to shape', async ({ page }) => {
  await page.goto(`${DEMO}/drawer`)
  await page.getByRole('link', { name: 'Outlines' }).click()
  await page.getByLabel('Photograph or drawing file').setInputFiles(PHOTOGRAPH)
  await page.getByLabel('Height of its edge').fill('2.4')
  await page.getByLabel('100 mm line along x').fill('100')
  await page.getByLabel('100 mm line along y').fill('100')
  const told = page.getByRole('status').filter({ hasText: '19 times in 20' })
  await expect(told).toBeVisible({ timeout: 60_000 })
  // drawn as an L of 46 x 37 mm with a limb of 14 and one of 16: 46 × 14 + 16 × 23 = 1012 mm²
  await expect(told).toContainText(/^(45\.9|46|46\.[01])\d* × (36\.9|37|37\.[01])\d* mm/)
  await expect(told).toContainText(/10(0[89]|1[0-6]) mm² ±/)
  await expect(page.getByRole('img', { name: 'The edge that was found, drawn over the photograph' })).toBeVisible()

  await page.getByRole('button', { name: 'Put it in the drawer' }).click()
  const form = page.getByRole('form', { name: 'Put metal in' })
  await form.getByLabel('Metal', { exact: true }).selectOption('copper-c110')
  await form.getByLabel('Thickness as sold').fill('1 mm')
  // 1012 mm² of copper, 8.94 g/cm³, 1 mm thick: 9.05 g
  await expect(form).toContainText(/(9|9\.1) g/)
  await form.getByRole('button', { name: 'Put it in the drawer' }).click()
  await expect(page.getByText(/It is in the drawer as S-\d+/)).toBeVisible()
})

/** Drags one of the two points to where it belongs, in pixels of a picture 1900 wide. */
async function lay(page: Page, name: RegExp, [x, y]: readonly [number, number]) {
  const [cross, board] = [page.getByRole('button', { name }), page.getByRole('group', { name: 'Photograph with two points' })]
  const [at, box] = [await cross.boundingBox(), await board.boundingBox()]
  if (!at || !box) throw new Error('the picture is not in view')
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + (x * box.width) / 1900, box.y + (y * box.width) / 1900, { steps: 4 })
  await page.mouse.up()
}

test('a thing on plain paper is measured by two points on the rule beside it, and how much less sure that is is said', {
  tag: '@more',
}, async ({ page }) => {
  await page.goto(`${DEMO}/drawer/outline`)
  await page.getByLabel('Photograph or drawing file').setInputFiles('tests/fixtures/photographs/bare-tag-red.jpg')
  await page.getByLabel('Its scale by').selectOption('points')
  const board = page.getByRole('group', { name: 'Photograph with two points' })
  await expect(board).toBeVisible()
  await page.getByLabel('Distance of the points').fill('10 cm')
  // the ends of the dark bar of 100 mm, as the camera shows them: pixels of a picture 1900 wide
  await lay(page, /^First point/, [614, 912])
  await expect(page.getByText('Nothing has been read in yet.')).toBeVisible()
  await lay(page, /^Second point/, [1200, 978])
  // the arrow keys bring it where it belongs
  const second = page.getByRole('button', { name: /^Second point/ })
  await second.focus()
  for (const key of ['Shift+ArrowRight', 'ArrowRight', 'ArrowRight', 'ArrowRight', 'ArrowRight', 'ArrowRight', 'ArrowRight'])
    await second.press(key)
  await expect(second).toHaveAccessibleName(/121[567] right and 97[789] down/)
  const told = page.getByRole('status').filter({ hasText: '19 times in 20' })
  await expect(told).toBeVisible({ timeout: 60_000 })
  // a tag of 62 × 34 mm, seen 3° askew
  await expect(told).toContainText(/^6[123]\.?\d* × 3[345]\.?\d* mm/)
  await expect(
    page.getByText(/Without the card this is about \d+ times less sure: its edge ± 1\.\d+ mm, where the card would give ± 0\.1/i),
  ).toBeVisible()
})

test('a photograph of thirty megapixels, of which fewer are unpacked, measures the same', { tag: '@more' }, async ({ page }) => {
  const large = await sharp('tests/fixtures/photographs/bare-tag-red.jpg').resize(6400).jpeg({ quality: 88 }).toBuffer()
  await page.goto(`${DEMO}/drawer/outline`)
  await page.getByLabel('Photograph or drawing file').setInputFiles({ name: 'large.jpg', mimeType: 'image/jpeg', buffer: large })
  await page.getByLabel('Its scale by').selectOption('points')
  await expect(page.getByRole('group', { name: 'Photograph with two points' })).toBeVisible()
  await page.getByLabel('Distance of the points').fill('10 cm')
  await lay(page, /^First point/, [614, 912])
  await lay(page, /^Second point/, [1216, 978])
  const told = page.getByRole('status').filter({ hasText: '19 times in 20' })
  await expect(told).toBeVisible({ timeout: 60_000 })
  // a tag of 62 × 34 mm, seen 3° askew
  await expect(told).toContainText(/^6[123]\.?\d* × 3[345]\.?\d* mm/)
})

test('a drawing without a unit is asked for a length, and an open one shows where', async ({ page }) => {
  await page.goto(`${DEMO}/drawer/outline`)
  const file = (name: string, text: string) => ({ name, mimeType: 'image/svg+xml', buffer: Buffer.from(text) })
  const input = page.getByLabel('Photograph or drawing file')
  await input.setInputFiles(
    file(
      'tag.svg',
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 400 300"><path d="M0 0H300V120H0Z"/><circle cx="40" cy="60" r="20"/></svg>',
    ),
  )
  await expect(page.getByText('the file does not say its unit')).toBeVisible()
  await page.getByLabel('Longest side').fill('60')
  await expect(page.getByRole('status').filter({ hasText: 'in one outline' })).toContainText('60 × 24 mm')
  // 60 × 24 less a hole of 8 mm: 1440 − 50.3
  await expect(page.getByRole('status').filter({ hasText: 'in one outline' })).toContainText('1390 mm²')

  await input.setInputFiles(
    file(
      'open.svg',
      '<svg xmlns="http://www.w3.org/2000/svg" width="50mm" height="50mm" viewBox="0 0 50 50"><path d="M0 0H30V20H0V4"/></svg>',
    ),
  )
  await expect(page.getByText('A line stays open: the widest gap is 4.00 mm')).toBeVisible()
})

test('a photograph that cannot be measured says what to do', async ({ page }) => {
  await page.goto(`${DEMO}/drawer/outline`)
  await page.getByLabel('Photograph or drawing file').setInputFiles('tests/fixtures/photographs/refused-marks-hidden.jpg')
  const says = page.getByRole('alert').filter({ hasText: 'Only 2 of the card’s four marks can be read' })
  await expect(says).toBeVisible({ timeout: 60_000 })
  await expect(says).toContainText('Photograph the whole card')
})

for (const field of ['white', 'green'])
  test(
    `the ${field} measuring card prints with its marks and dots where they are looked for`,
    { tag: field === 'white' ? [] : '@more' },
    async ({ page, request }, info) => {
      expect((await request.get(`${DEMO}/api/measuring-card/pink`)).status()).toBe(404)
      const sheet = await drawPaper(page, DEMO, `/api/measuring-card/${field}`, 2.2)
      const file = info.outputPath('card.png')
      await sheet.screenshot({ path: file })
      // the card is read, and nothing lies on it
      const { stdout } = spawnSync('node', ['dist/anvil.mjs', 'outline', file], { encoding: 'utf8' })
      expect(JSON.parse(stdout).error.code).toBe('empty')
    },
  )

test('wire of a job is cut to length from the drawer, and what is missing is said', async ({ page }) => {
  await page.goto(`${DEMO}/layout/12`)
  const group = page.getByRole('region', { name: 'Sterling silver, 1.29 mm wire' })
  await expect(group.getByRole('img', { name: /^W-4: / })).toBeVisible()
  // 3 pieces of 81 and 2 of 89 mm: 370 + 173 mm are opened, since neither bar alone holds 421 mm and their cuts
  await expect(group).toContainText('Least metal opened: no choice of bars under 543 mm in all')
  await expect(page.getByRole('region', { name: 'Red brass, 1.02 mm wire' })).toContainText('there is none of it in the drawer')
})

test('the HTTP interface measures the same photograph to the same outline as the command line', { tag: '@more' }, async ({ request }) => {
  const asked = `${DEMO}/api/v1/outline?heightMm=2.4&card=white&cardLineXMm=100&cardLineYMm=100`
  const answer = await request.post(asked, { headers: { 'content-type': 'image/jpeg' }, data: readFileSync(PHOTOGRAPH) })
  expect(answer.status()).toBe(200)
  const options = JSON.stringify({ heightMm: 2.4, card: { field: 'white', lineXMm: 100, lineYMm: 100 } })
  const { stdout } = spawnSync('node', ['dist/anvil.mjs', 'outline', PHOTOGRAPH, options], { encoding: 'utf8' })
  expect(await answer.json()).toEqual(JSON.parse(stdout))
  const broken = await request.post(`${DEMO}/api/v1/outline`, {
    headers: { 'content-type': 'image/jpeg' },
    data: Buffer.from('no picture'),
  })
  expect(broken.status()).toBe(422)
  expect((await broken.json()).error.message).toContain('no JPEG')
})

test('a finished piece is laid on its outline by a photograph: right within what is allowed, and a smaller drawing told by how much', async ({
  page,
}) => {
  await page.goto(`${DEMO}/pieces/5/record`)
  await page.getByRole('link', { name: 'Check its form by a picture' }).click()
  await page.getByLabel('Photograph or drawing file').setInputFiles('tests/fixtures/photographs/disc-silver-green.jpg')
  await page.getByLabel('100 mm line along x').fill('100')
  await page.getByLabel('100 mm line along y').fill('100')
  // a disc of 38 mm on a cover of 31.5: 3.25 mm stand over all round, and its area is (38 / 31.5)² − 1 = 46 % more
  const told = page.getByRole('region', { name: 'Form' }).getByRole('status').filter({ hasText: 'over' })
  await expect(told).toContainText(/3\.[123]\d* mm over, 0(\.0\d)? mm short/, { timeout: 60_000 })
  await expect(told).toContainText('File off where the strokes stand out')
  await expect(told).toContainText(/area 4[456](\.\d)? % larger/)

  // its blank has 0.2 mm more all round for the file
  await page.getByLabel('Laid on').selectOption({ label: 'Its blank' })
  await expect(told).toContainText(/area 4[0123](\.\d)? % larger/)

  await page.getByRole('link', { name: 'Size', exact: true }).click()
  await page.getByLabel('Diameter', { exact: true }).fill('38')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await page.goto(`${DEMO}/pieces/5/check`)
  await page.getByLabel('Photograph or drawing file').setInputFiles('tests/fixtures/photographs/disc-silver-green.jpg')
  await expect(told).toContainText('Within what is allowed', { timeout: 60_000 })
  await page.getByRole('button', { name: 'Save it with the piece' }).click()
  await page.getByRole('link', { name: 'Record', exact: true }).click()
  await expect(page.getByRole('region', { name: 'Pictures' })).toContainText(/Finished: at most 0(\.\d+)? mm over/)
})
