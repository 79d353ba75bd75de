import { expect, test } from '@playwright/test'
import { DEMO } from './places'

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
  expect(await (await request.get(`${DEMO}/api/v1/forms`)).json()).toHaveLength(49)
})

test('a page of another site cannot write', async ({ request }) => {
  const foreign = await request.post(`${DEMO}/api/v1/trays/1/readings`, { data: {}, headers: { origin: 'http://elsewhere.example' } })
  expect(foreign.status()).toBe(403)
})
