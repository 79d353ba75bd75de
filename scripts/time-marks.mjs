/** Milliseconds from each value typed into a field to the next painted frame, the first left out. */
export async function typedToPaint(page, selector, values) {
  const times = await page.evaluate(
    async ([at, texts]) => {
      const field = document.querySelector(at)
      const set = Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), 'value').set
      const taken = []
      for (const text of texts) {
        const began = performance.now()
        set.call(field, text)
        field.dispatchEvent(new Event('input', { bubbles: true }))
        await new Promise((resolve) => {
          const channel = new MessageChannel()
          channel.port1.onmessage = resolve
          requestAnimationFrame(() => channel.port2.postMessage(0))
        })
        taken.push(performance.now() - began)
      }
      return taken
    },
    [selector, values],
  )
  return times.slice(1)
}

const letters = (count) => Array.from({ length: count }, (_, i) => 'NIGHT MAIL TO TARN HALT '[i % 24]).join('')

/** A key in the words of 400 letters, and in the number of 2,000 dots, to the marks redrawn; times in ms by what was typed. */
export async function timeMarks(page, base) {
  await page.goto(`${base}/pieces/35/mark`)
  await page.getByRole('button', { name: 'Struck and drilled' }).click()
  await page.getByLabel('Add').selectOption('letters')
  await page.getByRole('button', { name: 'Put it on', exact: true }).click()
  await page.getByLabel('Words, a new line for each row').fill(letters(400).slice(0, 399))
  await page.getByLabel('Words, a new line for each row').evaluate((field) => field.setAttribute('data-timed', 'words'))
  await page.waitForTimeout(1500)
  const words = await typedToPaint(
    page,
    '[data-timed=words]',
    Array.from({ length: 16 }, (_, i) => letters(399) + 'ABCDEFGHIJKLMNOP'[i]),
  )
  await page.getByLabel('Add').selectOption('repeat')
  await page.getByRole('button', { name: 'Put it on', exact: true }).click()
  await page.getByLabel('How many').fill('1990')
  await page.getByLabel('How many').evaluate((field) => field.setAttribute('data-timed', 'dots'))
  await page.waitForTimeout(1500)
  const dots = await typedToPaint(
    page,
    '[data-timed=dots]',
    Array.from({ length: 12 }, (_, i) => String(1989 + i)),
  )
  return { words, dots }
}
