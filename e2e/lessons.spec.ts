import { DEMO } from './places'
import { expect, test } from './test'

test('a class of three predicts a piece on its own devices; the teacher sees how far off each was and what to talk about', async ({
  page,
  context,
}) => {
  test.setTimeout(120_000)
  await page.goto(`${DEMO}/book/lessons`)
  const prepare = page.getByRole('region', { name: 'Prepare a lesson' })
  await prepare.getByRole('button', { name: 'Prepare it' }).click()
  await expect(prepare).toContainText('Lesson: give it a name')
  await prepare.getByLabel('Piece').selectOption({ label: 'Thirty-year ring' })
  await prepare.getByLabel('Name of the lesson').fill('The thirty-year ring')
  await prepare.getByRole('button', { name: 'Prepare it' }).click()
  const lesson = page.getByRole('article', { name: 'The thirty-year ring' })
  await expect(lesson).toContainText('0 learners')
  const address = `${DEMO}${await lesson.getByRole('link', { name: 'The thirty-year ring' }).getAttribute('href')}`
  for (const name of ['Wren', 'Alder', 'Teal']) {
    const device = await context.newPage()
    await device.goto(address)
    await device.getByLabel('Your name').fill(name)
    const question = device.getByRole('region', { name: 'Question' })
    await expect(question).toContainText('How large is the cut length?')
    expect(await device.getByRole('status', { name: 'Answer' }).count()).toBe(0)
    const inside = Number(/inside diameter ([\d.]+) mm/.exec(await question.innerText())?.[1])
    // the inside diameter alone: a slip that has a name
    await question.getByLabel('Your prediction').fill(name === 'Teal' ? '1' : String((Math.PI * inside).toFixed(2)))
    await question.getByRole('button', { name: 'That is what I think' }).click()
    await expect(device.getByRole('status', { name: 'Answer' })).toContainText('Not quite.')
    if (name !== 'Teal')
      await expect(device.getByRole('status', { name: 'Answer' })).toContainText('the thickness of the metal was left out')
    await device.close()
  }
  await page.reload()
  await lesson.getByRole('link', { name: 'How the class did' }).click()
  await expect(page.getByRole('table', { name: 'How far off' }).getByRole('row')).toHaveCount(4)
  await expect(page.getByRole('region', { name: 'To talk about' })).toContainText(
    '2 learners: The inside diameter alone was taken: the thickness of the metal was left out.',
  )
})

test('the trainer asks, keeps what was predicted, and shows how it goes', async ({ page }) => {
  await page.goto(`${DEMO}/book/trainer?seed=11&kind=gauge`)
  await page.getByLabel('Your name').fill('Robin')
  const question = page.getByRole('region', { name: 'Question' })
  const gauge = Number(/How thick is (\d+) gauge/.exec(await question.innerText())?.[1])
  await question.getByLabel('Your prediction').fill('thick')
  await question.getByRole('button', { name: 'That is what I think' }).click()
  await expect(question).toContainText('Your prediction: a number in mm; “thick” was typed.')
  // ASTM B258: 0.127 mm · 92^((36 − n)/39)
  await question.getByLabel('Your prediction').fill((0.127 * 92 ** ((36 - gauge) / 39)).toFixed(2))
  await question.getByRole('button', { name: 'That is what I think' }).click()
  await expect(page.getByRole('status', { name: 'Answer' })).toContainText('Right.')
  await page.getByRole('button', { name: 'Next' }).click()
  await page.reload()
  await expect(page.getByRole('region', { name: 'How it goes' }).getByRole('img', { name: '1 of 1 right' })).toBeVisible()
})
