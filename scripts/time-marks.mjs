/** Between two keys of a hand that types fast, ms. */
const BETWEEN_MS = 120

/** Milliseconds from each value typed into a field to the next painted frame, the first left out. */
export async function typedToPaint(page, selector, values) {
  const times = await page.evaluate(
    async ([at, texts, betweenMs]) => {
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
        await new Promise((resolve) => setTimeout(resolve, betweenMs))
      }
      return taken
    },
    [selector, values, BETWEEN_MS],
  )
  return times.slice(1)
}

const letters = (count) => Array.from({ length: count }, (_, i) => 'NIGHT MAIL TO TARN HALT '[i % 24]).join('')

/** Puts a mark of a kind on the blank and gives its field of that label, to be timed. */
async function putOn(page, kind, label) {
  await page.getByLabel('Add').selectOption(kind)
  await page.getByRole('button', { name: 'Put it on', exact: true }).click()
  return page.getByLabel(label)
}

/** Types values into a field once the page has come to rest. */
async function timed(page, field, values) {
  await field.evaluate((node) => {
    for (const other of document.querySelectorAll('[data-timed]')) other.removeAttribute('data-timed')
    node.setAttribute('data-timed', 'here')
  })
  await page.waitForTimeout(1500)
  return typedToPaint(page, '[data-timed=here]', values)
}

/** A key in the words of 400 letters, in the number of 2,000 stamps beside them, and in the size of 2,000 dots alone, to the marks redrawn; times in ms by what was typed. */
export async function timeMarks(page, base) {
  await page.goto(`${base}/pieces/35/mark`)
  await page.getByRole('button', { name: 'Struck and drilled' }).click()
  const text = await putOn(page, 'letters', 'Words, a new line for each row')
  await text.fill(letters(400).slice(0, 399))
  const words = await timed(
    page,
    text,
    Array.from({ length: 16 }, (_, i) => letters(399) + 'ABCDEFGHIJKLMNOP'[i]),
  )
  const number = await putOn(page, 'repeat', 'How many')
  await number.fill('1990')
  const stamps = await timed(
    page,
    number,
    Array.from({ length: 12 }, (_, i) => String(1989 + i)),
  )
  for (let left = 3; left > 0; left--) {
    const off = page.getByRole('button', { name: 'Take it off' })
    if (await off.isVisible()) await off.click()
  }
  const points = await putOn(page, 'map', 'Points (name, x, y) and links (one -- other)')
  await points.fill(Array.from({ length: 2000 }, (_, i) => `p${i}, ${i % 50}, ${Math.floor(i / 50)}`).join('\n'))
  const dots = await timed(
    page,
    page.getByLabel('Dot at a point'),
    Array.from({ length: 12 }, (_, i) => String(0.3 + i / 100)),
  )
  return { words, stamps, dots }
}
