import { DEMO } from './places'
import { expect, test } from './test'

test('HTTP gives the same answer as the screen, and says what is wrong', async ({ request }) => {
  const good = await request.post(`${DEMO}/api/v1/calc/disc`, {
    data: { diameterMm: '1 in', alloy: 'copper-c110', thicknessMm: '20 ga', cleanUpMm: 0 },
  })
  expect(good.status()).toBe(200)
  expect(await good.json()).toMatchObject({ form: 'disc', answer: { value: 25.4, markAt: 25.4 } })
  const broken = await request.post(`${DEMO}/api/v1/calc/disc`, {
    data: Buffer.from('{"diameterMm":'),
    headers: { 'content-type': 'application/json' },
  })
  expect(broken.status()).toBe(400)
  const bad = await request.post(`${DEMO}/api/v1/calc/disc`, { data: { diameterMm: 'wide' } })
  expect(bad.status()).toBe(422)
  const body = JSON.stringify(await bad.json())
  expect(body).toContain('Diameter')
  expect(body).not.toMatch(/at .*\.(ts|js):\d+/)
  expect((await request.post(`${DEMO}/api/v1/fly`, { data: {} })).status()).toBe(404)
  expect((await request.get(`${DEMO}/api/v1/openapi.json`)).status()).toBe(200)
  expect(await (await request.get(`${DEMO}/api/v1/forms`)).json()).toHaveLength(52)
})

test('a page of another site can neither write nor read, nor put words in the request’s mouth', async ({ request }) => {
  const post = async (headers: Record<string, string>) =>
    (await request.post(`${DEMO}/api/act/saveJob`, { data: { workshop: '', revision: null, input: {} }, headers })).status()
  expect(await post({})).toBe(200)
  expect(await post({ origin: DEMO })).toBe(200)
  for (const headers of [
    { origin: 'http://elsewhere.example' },
    { origin: 'null' },
    { origin: 'http://elsewhere.example', 'x-forwarded-host': 'elsewhere.example' },
    { 'sec-fetch-site': 'cross-site' },
  ])
    expect(await post(headers)).toBe(403)
  const read = (headers: Record<string, string>) => request.get(`${DEMO}/api/v1/trays/1/entries`, { headers })
  expect((await read({ 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'no-cors' })).status()).toBe(403)
  expect((await read({ host: 'rebound.example:4321' })).status()).toBe(421)
})

test('every answer tells the browser what it may do with it, and no page runs a script without its mark', async ({ page, request }) => {
  for (const path of ['/jobs', '/api/v1/forms', '/icon.svg', '/no-such-place', '/api/v1/openapi.json']) {
    const headers = (await request.get(`${DEMO}${path}`)).headers()
    expect(headers['content-security-policy']).toMatch(/script-src 'self' 'nonce-[^']+';/)
    expect(headers['content-security-policy']).toContain("frame-ancestors 'none'")
    expect(headers['x-content-type-options']).toBe('nosniff')
    expect(headers['referrer-policy']).toBe('same-origin')
    expect(headers['permissions-policy']).toContain('camera=()')
  }
  const refused: string[] = []
  page.on('console', (message) => {
    if (message.text().includes('Content Security Policy')) refused.push(message.text())
  })
  await page.goto(`${DEMO}/pieces/1`)
  await page.getByRole('button', { name: '3D' }).click()
  await page.goto(`${DEMO}/layout/3`)
  // two searches tell each other what they come to only where the browser lets them share memory
  expect(await page.evaluate(() => window.crossOriginIsolated)).toBe(true)
  await page.getByRole('button', { name: 'Place the blanks' }).click()
  await expect(page.getByText(/placed in/)).toBeVisible()
  expect(refused).toEqual([])
})

test('addresses that are none, and names that every object has, are refused in words', async ({ request }) => {
  for (const path of ['/%ff', '/pieces/%E0%A4%A', '/jobs%00']) expect((await request.get(`${DEMO}${path}`)).status()).toBe(400)
  for (const name of ['constructor', '__proto__', 'toString']) {
    expect((await request.post(`${DEMO}/api/v1/${name}`, { data: {} })).status()).toBe(404)
    expect((await request.post(`${DEMO}/api/act/${name}`, { data: {} })).status()).toBe(404)
  }
})

test('a long layout holds nobody up', async ({ request }) => {
  const layout = request.post(`${DEMO}/api/v1/layout`, {
    data: {
      seconds: 4,
      sheets: [
        {
          id: 's',
          outer: [
            [0, 0],
            [1000, 0],
            [1000, 1000],
            [0, 1000],
          ],
        },
      ],
      items: [{ id: 'd', qty: 300, circle: { radiusMm: 15 } }],
    },
    timeout: 120_000,
  })
  let isDone = false
  void layout.finally(() => {
    isDone = true
  })
  let answered = 0
  while (!isDone) {
    expect((await request.get(`${DEMO}/api/v1/advisers`)).status()).toBe(200)
    if (!isDone) answered++
    await new Promise((resolve) => setTimeout(resolve, 150))
  }
  // it searches for four seconds: others have their answers while it does
  expect(answered).toBeGreaterThan(3)
  const solution = (await (await layout).json()) as { placements: unknown[]; seconds: number }
  expect(solution.placements.length).toBeGreaterThan(0)
})
