import { beforeEach, describe, expect, it, vi } from 'vitest'
import { POST as act } from '@/app/api/act/[action]/route'
import { GET as layoutPrint } from '@/app/api/layouts/[id]/print/route'
import { GET as layoutSvg } from '@/app/api/layouts/[id]/svg/route'
import { GET as pieceCard } from '@/app/api/pieces/[id]/card/route'
import { GET as tableCard } from '@/app/api/tables/[id]/card/route'
import { GET as tableCsv } from '@/app/api/tables/[id]/csv/route'
import { POST as command } from '@/app/api/v1/[command]/route'
import { POST as advise } from '@/app/api/v1/advise/[adviser]/route'
import { POST as calc } from '@/app/api/v1/calc/[form]/route'
import { POST as postEntry } from '@/app/api/v1/entries/route'
import { GET as forms } from '@/app/api/v1/forms/route'
import { GET as openapi } from '@/app/api/v1/openapi.json/route'
import { GET as table } from '@/app/api/v1/tables/[id]/route'
import { GET as entriesOf } from '@/app/api/v1/trays/[id]/entries/route'
import { COMMANDS, calc as calculated } from '@/core/commands'
import { FORMS } from '@/core/forms'
import type { Repositories } from '@/server/db/repositories'
import { guarded } from '@/server/http/answer'
import { entryFor, workThrough } from '../support/bench'
import { readPdf } from '../support/read-pdf'
import { demoWorkshop } from '../support/temp-db'

const open = vi.hoisted(() => ({ repositories: undefined as unknown }))
vi.mock('@/server/workshop', () => ({ workshop: () => open.repositories }))

const workshop = demoWorkshop().repositories
let to: Repositories
beforeEach(() => {
  to = workshop
  open.repositories = to
})

const post = (body: string, headers: Record<string, string> = {}) =>
  new Request('http://127.0.0.1:4310/api/v1/x', { method: 'POST', body, headers: { host: '127.0.0.1:4310', ...headers } })
const get = (path = '') => new Request(`http://127.0.0.1:4310${path}`)
const at = <T extends Record<string, string>>(params: T) => ({ params: Promise.resolve(params) })

interface ErrorBody {
  readonly error: {
    readonly code: string
    readonly message: string
    readonly issues: readonly { readonly path: string; readonly message: string }[]
  }
}
async function errorOf(response: Response): Promise<ErrorBody['error'] & { status: number }> {
  return { status: response.status, ...((await response.json()) as ErrorBody).error }
}

describe('a form over HTTP', () => {
  it.each(FORMS.map((form) => [form.id, form] as const))('%s answers its example with the core’s own result', async (id, form) => {
    const response = await calc(post(JSON.stringify(form.example)), at({ form: id }))
    expect(response.status).toBe(200)
    const answer = calculated(form.id, form.example)
    expect(await response.json()).toEqual(answer.ok ? JSON.parse(JSON.stringify(answer.body)) : {})
    const run = form.run(form.example)
    const { sizedSteps, without, ...result } = run.ok ? run.result : { sizedSteps: [] }
    expect(answer.ok && answer.body).toMatchObject(JSON.parse(JSON.stringify(result)))
    expect(without ?? []).not.toContain('')
    expect(sizedSteps.length).toBeGreaterThan(0)
  })
  it.each([
    ['not json', '{"diameterMm": 20', 400, 'not-json'],
    ['nothing', '', 400, 'not-json'],
    ['a list', '[]', 422, 'bad-input'],
    ['no fields', '{}', 422, 'bad-input'],
    ['letters in a length', '{"diameterMm":"wide","alloy":"copper-c110","thicknessMm":1}', 422, 'bad-input'],
  ])('%s is refused', async (_, body, status, code) => {
    const error = await errorOf(await calc(post(body), at({ form: 'disc' })))
    expect(error).toMatchObject({ status, code })
    expect(error.message).not.toMatch(/at .*\.(ts|js):|Invalid input|undefined/)
  })
  it('a form that is not there names those that are', async () => {
    const error = await errorOf(await calc(post('{}'), at({ form: 'horseshoe' })))
    expect(error).toMatchObject({ status: 422, code: 'unknown-form' })
    expect(error.message).toContain('ring-band')
  })
  it('a piece that cannot be made is an answer with a stop in it, not an error', async () => {
    const body = JSON.stringify({ acrossMm: 21, overMm: 8, alloy: 'sterling-925', thicknessMm: 0.5, holeMm: 0 })
    const response = await calc(post(body), at({ form: 'lentil' }))
    expect(response.status).toBe(200)
    const { checks } = (await response.json()) as { checks: { level: string }[] }
    expect(checks.map((check) => check.level)).toContain('stop')
  })
})

describe('the other commands', () => {
  it.each([
    ['convert', '"5/16 in"', { mm: 7.9375 }],
    ['convert', '{"text":"4/0"}', { kind: 'ambiguous' }],
    ['find', '"#60"', { question: null }],
    ['table', '{"id":"gauge-bs"}', { id: 'gauge-bs' }],
    ['temper', '{"alloy":"copper-c110","thicknessMm":"20 ga","steps":[{"op":"anneal"}]}', { annealBefore: [] }],
  ])('%s %s', async (name, body, answer) => {
    const response = await command(post(body), at({ command: name }))
    expect(response.status).toBe(200)
    expect(await response.json()).toMatchObject(answer)
  })
  it('a layout says how long it took, and places what fits', async () => {
    const body = JSON.stringify({
      sheets: [
        {
          id: 'S',
          outer: [
            [0, 0],
            [50, 0],
            [50, 30],
            [0, 30],
          ],
        },
      ],
      items: [{ id: 'd', qty: 2, circle: { radiusMm: 8 } }],
      seconds: 2,
    })
    const response = await command(post(body), at({ command: 'layout' }))
    const solution = (await response.json()) as { placements: unknown[]; seconds: number }
    expect(solution.placements).toHaveLength(2)
    expect(solution.seconds).toBeGreaterThanOrEqual(0)
  })
  it('one that is not there is not found, and says which are', async () => {
    const error = await errorOf(await command(post('{}'), at({ command: 'frobnicate' })))
    expect(error.status).toBe(404)
    expect(error.message).toContain('temper')
  })
  it('an adviser answers; none by that name is said to be none', async () => {
    expect((await advise(post('{"pinMm":"18 ga"}'), at({ adviser: 'drill' }))).status).toBe(200)
    expect(await errorOf(await advise(post('{}'), at({ adviser: 'uncle' })))).toMatchObject({ status: 422, code: 'unknown-adviser' })
  })
})

describe('a saw plan at the doors', () => {
  const sheet = {
    outer: [
      [0, 0],
      [60, 0],
      [60, 40],
      [0, 40],
    ],
  }
  const blank = {
    id: 'p',
    name: 'Plate',
    outer: [
      [5, 5],
      [35, 5],
      [35, 25],
      [5, 25],
    ],
    holes: [
      [
        [12, 10],
        [28, 10],
        [28, 20],
        [12, 20],
      ],
    ],
  }
  const ask = COMMANDS.get('saw-plan')
  it('puts the window before the outline, and names its starting hole', () => {
    const answer = ask?.({ sheet, thicknessMm: 0.8, blanks: [blank] }, () => 0)
    expect(answer).toMatchObject({
      ok: true,
      body: {
        cuts: [
          { line: 'p#window-1', hole: {} },
          { line: 'p#outline', way: 'saw' },
        ],
        holes: 1,
      },
    })
  })
  it('counts blanks of one id as its copies, and refuses a copy that comes twice', () => {
    const plain = {
      id: 'q',
      outer: [
        [2, 2],
        [8, 2],
        [8, 8],
        [2, 8],
      ],
    }
    const beside = {
      ...plain,
      outer: [
        [12, 2],
        [18, 2],
        [18, 8],
        [12, 8],
      ],
    }
    const answer = ask?.({ sheet, thicknessMm: 0.8, blanks: [plain, beside] }, () => 0)
    expect(answer).toMatchObject({ ok: true, body: { cuts: [{ key: 'q#outline#0' }, { key: 'q#outline#1' }] } })
    const twice = [
      { ...plain, copy: 3 },
      { ...beside, copy: 3 },
    ]
    expect(JSON.stringify(ask?.({ sheet, thicknessMm: 0.8, blanks: twice }, () => 0))).toContain('comes twice')
  })
  it('says which field is wrong and what is possible', () => {
    const answer = ask?.({ sheet, thicknessMm: 99, blanks: [blank] }, () => 0)
    expect(JSON.stringify(answer)).toContain('a thickness of 0.05 to 10 mm')
    expect(
      JSON.stringify(
        ask?.(
          {
            sheet,
            thicknessMm: 1,
            blanks: [
              {
                ...blank,
                outer: [
                  [0, 0],
                  [1, 1],
                ],
              },
            ],
          },
          () => 0,
        ),
      ),
    ).toContain('at least three points')
  })
})

describe('lists and descriptions', () => {
  it('forms with their schemas', async () => {
    const listed = (await (await forms()).json()) as { id: string; schema: { properties: object } }[]
    expect(listed.map((form) => form.id)).toEqual(FORMS.map((form) => form.id))
    for (const form of listed) expect(Object.keys(form.schema.properties).length).toBeGreaterThan(3)
  })
  it('the OpenAPI document has a path for every form, each with its example', async () => {
    const document = (await (await openapi()).json()) as {
      openapi: string
      paths: Record<string, { post?: { requestBody: { content: object } } }>
    }
    expect(document.openapi).toMatch(/^3\./)
    for (const form of FORMS)
      expect(JSON.stringify(document.paths[`/api/v1/calc/${form.id}`])).toContain(JSON.stringify(form.example).slice(1, -1))
  })
  it('a table with its sources; one that is not there names those that are', async () => {
    expect(await (await table(get(), at({ id: 'ring-us' }))).json()).toMatchObject({ id: 'ring-us' })
    expect((await errorOf(await table(get(), at({ id: 'x' })))).code).toBe('unknown-table')
  })
})

describe('what leaves as a file', () => {
  it('a piece card, a bench card and a layout are PDFs', async () => {
    for (const response of [
      await pieceCard(get(), at({ id: '1' })),
      await tableCard(get(), at({ id: 'gauge-bs' })),
      await layoutPrint(get('/x?paper=Letter'), at({ id: '1' })),
    ]) {
      expect(response.headers.get('content-type')).toBe('application/pdf')
      expect((await readPdf(new Uint8Array(await response.arrayBuffer()))).length).toBeGreaterThan(0)
    }
  })
  it('the paper asked for is the paper printed on, any other is the workshop’s own', async () => {
    const width = async (paper: string) => {
      const response = await layoutPrint(get(`/x?paper=${paper}`), at({ id: '1' }))
      const [page] = await readPdf(new Uint8Array(await response.arrayBuffer()))
      return Math.max(page?.widthMm ?? 0, page?.heightMm ?? 0)
    }
    expect(await width('Letter')).toBeCloseTo(279.4, 1)
    expect(await width('A4')).toBeCloseTo(297, 1)
    expect(await width('A3')).toBeCloseTo(297, 1)
  })
  it('a layout is an SVG in millimetres, a table a CSV with its name', async () => {
    const svg = await layoutSvg(get(), at({ id: '1' }))
    expect(await svg.text()).toMatch(/^<svg [^>]*width="[\d.]+mm" height="[\d.]+mm"/)
    const csv = await tableCsv(get(), at({ id: 'gauge-bs' }))
    expect(csv.headers.get('content-disposition')).toContain('filename="gauge-bs.csv"')
  })
  it.each([
    ['a card', () => pieceCard(get(), at({ id: '999' }))],
    ['a card by letters', () => pieceCard(get(), at({ id: 'abc' }))],
    ['a layout', () => layoutSvg(get(), at({ id: '77' }))],
    ['a print', () => layoutPrint(get(), at({ id: '77' }))],
    ['a CSV', () => tableCsv(get(), at({ id: 'x' }))],
    ['a bench card', () => tableCard(get(), at({ id: 'x' }))],
    ['a tray', () => entriesOf(get(), at({ id: '99' }))],
  ] as [string, () => Promise<Response>][])('%s that is not there is not found, in words', async (_, ask) => {
    const error = await errorOf(await ask())
    expect(error.status).toBe(404)
    expect(error.message.length).toBeGreaterThan(12)
  })
})

describe('a paper of different workshop', () => {
  it('is refused in words, and one of this is given', async () => {
    const of = to.workshopRow().uid
    for (const [ask, id] of [
      [layoutPrint, '1'],
      [layoutSvg, '1'],
      [pieceCard, '1'],
    ] as const) {
      expect(await errorOf(await ask(get('/x?of=another'), at({ id })))).toMatchObject({ status: 409, code: 'other-workshop' })
      expect((await ask(get(`/x?of=${of}`), at({ id }))).status).toBe(200)
    }
  })
})

describe('entries over HTTP', () => {
  const tray = () => {
    const [open] = to.trays
      .open({ page: 1, size: 9 })
      .filter((candidate) => candidate.plan.parts[0].form === 'dome' && candidate.standing.lost === 0)
    if (!open) throw new Error('no tray')
    return open
  }
  const measuring = () => {
    const on = tray()
    const at = on.plan.steps.findLastIndex((step) => step.target)
    workThrough(to, on, [1], at)
    const step = on.plan.steps[at]
    return entryFor(to, on, 1, {
      kind: 'reading',
      step: step?.id,
      dimension: step?.target?.dimension,
      value: String(step?.target?.valueMm),
    })
  }
  it('is on disk when it is answered, and kept once however often it is sent', async () => {
    const entry = measuring()
    const [first, again] = [await postEntry(post(JSON.stringify(entry))), await postEntry(post(JSON.stringify(entry)))]
    expect([first.status, again.status]).toEqual([200, 200])
    expect(await first.json()).toEqual(await again.json())
    const listed = (await (await entriesOf(get(), at({ id: String(tray().id) }))).json()) as { entries: { token: string }[] }
    expect(listed.entries.filter((item) => item.token === entry.token)).toHaveLength(1)
  })
  it.each([
    [{ token: 'short' }, 422, /^token: /],
    [{ value: 'seven' }, 422, /^Reading: /],
    [{ value: 0 }, 422, /was given; /],
    [{ item: 'nobody' }, 422, /has no piece "nobody"/],
    [{ device: 7 }, 422, /device: 7 was given; it must be a text/],
    [{ workshop: 'elsewhere' }, 409, /different workshop/],
    [{ tray: 'gone' }, 404, /no longer there/],
  ])('%j is refused in words', async (wrong, status, message) => {
    const error = await errorOf(await postEntry(post(JSON.stringify({ ...measuring(), ...wrong }))))
    expect(error.status).toBe(status)
    expect(error.message).toMatch(message)
  })
})

describe('what is too much or no name', () => {
  it('nested deeper than anything asked for is refused before it is read', async () => {
    const deep = `${'['.repeat(5000)}${']'.repeat(5000)}`
    expect(await errorOf(await calc(post(deep), at({ form: 'disc' })))).toMatchObject({ status: 400, code: 'too-deep' })
  })
  it('larger than anything asked for too', async () => {
    const large = JSON.stringify({ note: 'x'.repeat(5 * 1024 * 1024) })
    expect(await errorOf(await calc(post(large), at({ form: 'disc' })))).toMatchObject({ status: 413 })
  })
  it.each(['constructor', 'toString', '__proto__', 'hasOwnProperty', 'valueOf'])(
    '"%s" is no command, form, table, adviser or action',
    async (name) => {
      expect((await command(post('{}'), at({ command: name }))).status).toBe(404)
      expect((await calc(post('{}'), at({ form: name }))).status).toBe(422)
      expect((await advise(post('{}'), at({ adviser: name }))).status).toBe(422)
      expect((await table(get(), at({ id: name }))).status).toBe(422)
      expect((await act(post('{}'), at({ action: name }))).status).toBe(404)
    },
  )
  it('a layout of more than a request may ask for says what is possible', async () => {
    const disc = { id: 'd', qty: 1, circle: { radiusMm: 5 } }
    const sheets = [
      {
        id: 's',
        outer: [
          [0, 0],
          [50, 0],
          [50, 50],
          [0, 50],
        ],
      },
    ]
    const said = async (more: object) =>
      (await errorOf(await command(post(JSON.stringify({ sheets, items: [disc], ...more })), at({ command: 'layout' })))).message
    expect(await said({ seconds: 3000 })).toMatch(/the limit here is 30 s/)
    expect(
      await said({
        items: [
          { ...disc, qty: 1500 },
          { ...disc, id: 'e', qty: 1500 },
        ],
      }),
    ).toMatch(/3000 pieces were given; the limit here is 2000/)
  })
  it('a layout that nobody waits for any more is called off', async () => {
    const left = new AbortController()
    const request = new Request('http://127.0.0.1:4310/api/v1/layout', {
      method: 'POST',
      signal: left.signal,
      body: JSON.stringify({
        seconds: 20,
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
        items: [{ id: 'd', qty: 500, circle: { radiusMm: 15 } }],
      }),
    })
    const began = performance.now()
    setTimeout(() => left.abort(), 300)
    const response = await command(request, at({ command: 'layout' }))
    expect(response.status).toBe(422)
    expect(performance.now() - began).toBeLessThan(5000)
  })
})

it('an internal error is a number to ask about, never a stack trace', async () => {
  const log = vi.spyOn(console, 'error').mockImplementation(() => undefined)
  const response = await guarded(() => {
    throw new Error('secret detail at /home/somebody/file.ts:12')
  })
  const error = await errorOf(response)
  expect(error).toMatchObject({ status: 500, code: 'our-fault' })
  expect(error.message).not.toContain('secret')
  expect(error.message).toMatch(/logged as [0-9a-f]{8}/)
  expect(log).toHaveBeenCalledOnce()
  log.mockRestore()
})
