import { describe, expect, it } from 'vitest'
import { answerHeaders, type Knock, turnedAway } from '@/server/serve/guard'
import { ownHosts } from '@/server/serve/own-names'

const HOSTS = ownHosts(4310, false)
const knock = (more: Partial<Knock>): Knock => ({
  method: 'GET',
  path: '/jobs',
  host: '127.0.0.1:4310',
  origin: undefined,
  fetchSite: undefined,
  fetchMode: undefined,
  contentLength: undefined,
  transferEncoding: undefined,
  ...more,
})
const status = (more: Partial<Knock>) => turnedAway(knock(more), HOSTS)?.status ?? 200

describe('who is let in', () => {
  it.each(['127.0.0.1:4310', 'localhost:4310', 'LOCALHOST:4310', '[::1]:4310'])('%s is this program', (host) =>
    expect(status({ host })).toBe(200),
  )
  it.each([
    undefined,
    '',
    'localhost',
    '127.0.0.1',
    '127.0.0.1:4311',
    'evil.example',
    'evil.example:4310',
    '127.0.0.1:4310.evil.example',
    'localhost:4310@evil.example',
    '0.0.0.0:4310',
    '127.1:4310',
  ])('host %s is not', (host) => expect(status({ host })).toBe(421))
  it('on the network it answers to its own names there and to those it was given, and to no others', () => {
    const names = ownHosts(4310, true)
    expect([...names].some((name) => !/^(localhost|127\.0\.0\.1|\[::1\]):/.test(name))).toBe(true)
    expect(names.has('evil.example:4310')).toBe(false)
  })
  it.each([
    [{ method: 'POST', origin: 'http://127.0.0.1:4310' }, 200],
    [{ method: 'POST' }, 200],
    [{ method: 'POST', origin: 'http://localhost:4310', fetchSite: 'same-origin' }, 200],
    [{ method: 'POST', origin: 'http://evil.example' }, 403],
    [{ method: 'POST', origin: 'null' }, 403],
    [{ method: 'POST', origin: 'http://127.0.0.1:4311' }, 403],
    [{ method: 'POST', origin: 'file://' }, 403],
    [{ method: 'POST', fetchSite: 'cross-site' }, 403],
    [{ method: 'POST', fetchSite: 'same-site' }, 403],
    [{ method: 'DELETE', fetchSite: 'cross-site', fetchMode: 'navigate' }, 403],
    [{ fetchSite: 'cross-site', fetchMode: 'no-cors' }, 403],
    [{ fetchSite: 'cross-site', fetchMode: 'navigate' }, 200],
    [{ fetchSite: 'none', fetchMode: 'navigate' }, 200],
    [{ path: '/%ff' }, 400],
    [{ path: '/a%00b' }, 400],
    [{ path: '//evil.example/x' }, 400],
    [{ path: 'http://evil.example/x' }, 400],
    [{ path: `/${'x'.repeat(5000)}` }, 400],
    [{ method: 'POST', contentLength: String(5 * 1024 * 1024) }, 413],
    [{ method: 'POST', transferEncoding: 'chunked' }, 411],
  ] as [Partial<Knock>, number][])('%j: %i', (more, expected) => expect(status(more)).toBe(expected))
})

describe('what every answer says', () => {
  const policy = answerHeaders('MARK', '/jobs')['content-security-policy'] ?? ''
  it('lets scripts run only with the page’s mark or from its own files', () => {
    expect(policy).toContain("script-src 'self' 'nonce-MARK';")
    expect(policy).not.toMatch(/script-src[^;]*unsafe/)
  })
  it('lets nothing frame it, nothing be sent elsewhere, nothing change where links lead', () => {
    for (const rule of ["frame-ancestors 'none'", "connect-src 'self'", "base-uri 'none'", "form-action 'self'"])
      expect(policy).toContain(rule)
  })
})
