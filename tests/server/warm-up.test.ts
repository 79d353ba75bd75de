import { createServer } from 'node:http'
import type { AddressInfo } from 'node:net'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { WARMING, warmUp } from '@/server/serve/warm-up'

const asked: { readonly path: string; readonly by: string }[] = []
const server = createServer((request, response) => {
  asked.push({ path: request.url ?? '', by: request.headers['user-agent'] ?? '' })
  if (request.url === '/settings') response.destroy()
  else response.end(request.url === '/jobs' ? '<a href="/pieces/7">a</a><a href="/pieces/8">b</a><a href="/layout/3">c</a>' : 'nothing')
})
let address = ''
beforeAll(async () => {
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
})
afterAll(() => server.close())

describe('the program before it is used', () => {
  it('opens its main pages, and one of each kind that they lead to, though one cannot be opened', async () => {
    await warmUp(address, () => 60_000)
    const paths = asked.map(({ path }) => path)
    expect(new Set(paths)).toEqual(new Set(['/jobs', '/bench', '/bench/day', '/book', '/drawer', '/settings', '/pieces/7', '/layout/3']))
    expect(paths.filter((path) => path === '/pieces/7').length).toBeGreaterThan(1)
    expect(asked.every(({ by }) => by === WARMING)).toBe(true)
  })
  it('opens nothing while somebody asks', async () => {
    const before = asked.length
    let isAsking = true
    const warmed = warmUp(address, () => (isAsking ? 0 : 60_000))
    await new Promise((resolve) => setTimeout(resolve, 300))
    expect(asked).toHaveLength(before)
    isAsking = false
    await warmed
    expect(asked.length).toBeGreaterThan(before)
  })
})
