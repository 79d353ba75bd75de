import { DEMO } from './places'
import { expect, test } from './test'

test('a ring is seen in 3D, turned by key and hand, and unrolled into its blank', async ({ page }) => {
  const errors: string[] = []
  page.on('pageerror', (error) => errors.push(String(error)))
  await page.goto(`${DEMO}/pieces/2`)
  await page.getByRole('button', { name: '3D' }).click()
  const stage = page.getByRole('group', { name: /The piece in 3D/ })
  const canvas = stage.locator('canvas')
  await expect(canvas).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Finished', exact: true })).toBeVisible()
  await page.waitForTimeout(600)
  const still = await canvas.screenshot()
  await stage.focus()
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight')
  await expect(stage).toHaveAttribute('data-turning', 'false')
  await page.waitForTimeout(300)
  const turned = await canvas.screenshot()
  expect(turned.equals(still)).toBe(false)
  await page.evaluate(() => {
    const seen = window as unknown as { turnings: number }
    seen.turnings = 0
    const stage = document.querySelector('[data-turning]')
    const watch = new MutationObserver(() => {
      if (stage?.getAttribute('data-turning') === 'true') seen.turnings++
    })
    if (stage) watch.observe(stage, { attributeFilter: ['data-turning'] })
  })
  const box = await stage.boundingBox()
  if (!box) throw new Error('the stage has no place')
  await page.mouse.move(box.x + 200, box.y + 200)
  await page.mouse.down()
  await page.mouse.move(box.x + 260, box.y + 220, { steps: 5 })
  await page.mouse.up()
  await expect.poll(() => page.evaluate(() => (window as unknown as { turnings: number }).turnings)).toBeGreaterThan(0)
  await expect(stage).toHaveAttribute('data-turning', 'false')
  expect((await canvas.screenshot()).equals(turned)).toBe(false)
  await page.getByRole('slider', { name: 'Formed' }).focus()
  await page.keyboard.press('Home')
  await expect(page.getByRole('heading', { name: 'Flat blank' })).toBeVisible()
  await page.getByRole('button', { name: 'Drawn to scale' }).click()
  await expect(canvas).toBeHidden()
  expect(errors).toEqual([])
})

test('a still piece costs nothing: no frame is drawn while nothing moves', { tag: '@more' }, async ({ page }) => {
  await page.addInitScript(() => {
    const counted = window as unknown as { drawn: number }
    counted.drawn = 0
    const draw = WebGL2RenderingContext.prototype.drawArrays
    WebGL2RenderingContext.prototype.drawArrays = function (...args) {
      counted.drawn++
      return draw.apply(this, args)
    }
  })
  await page.goto(`${DEMO}/pieces/1`)
  await page.getByRole('button', { name: '3D' }).click()
  const stage = page.getByRole('group', { name: /The piece in 3D/ })
  await expect(stage.locator('canvas')).toBeVisible()
  await page.waitForTimeout(1200)
  const drawn = () => page.evaluate(() => (window as unknown as { drawn: number }).drawn)
  const before = await drawn()
  expect(before).toBeGreaterThan(0)
  await page.waitForTimeout(800)
  expect(await drawn()).toBe(before)
  await stage.focus()
  await page.keyboard.press('ArrowLeft')
  await expect.poll(drawn).toBeGreaterThan(before)
})
