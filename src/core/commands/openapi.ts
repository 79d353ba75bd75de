import * as z from 'zod'
import { ADVISERS } from '../advice'
import { etchInput } from '../etching'
import { inputJsonSchema } from '../forms/json-schema'
import { FORMS } from '../forms/registry'
import { layoutInput } from '../layout'
import { lengthsInput } from '../lengths'
import { marksInput } from '../marks'
import { temperInput } from '../route'
import { sawPlanInput } from '../sawing'
import { scheduleInput } from '../schedule'
import { surfaceInput } from '../surface'
import { TABLES } from '../tables/registry'
import { CORE_VERSION } from '../version'
import { FORM_KINDS } from './form'
import { jointsInput, routeInput } from './route'

const ERROR = {
  type: 'object',
  required: ['error'],
  properties: {
    error: {
      type: 'object',
      required: ['code', 'message', 'issues'],
      properties: {
        code: { type: 'string' },
        message: { type: 'string' },
        issues: { type: 'array', items: { type: 'object', properties: { path: { type: 'string' }, message: { type: 'string' } } } },
      },
    },
  },
}

function json(schema: unknown) {
  return { content: { 'application/json': { schema } } }
}

function post(summary: string, schema: unknown, example?: unknown) {
  const body = { required: true, content: { 'application/json': { schema, ...(example === undefined ? {} : { example }) } } }
  const problem = { $ref: '#/components/schemas/Error' }
  return {
    post: {
      summary,
      requestBody: body,
      responses: {
        200: { description: 'Done; stop checks are inside', ...json({ type: 'object' }) },
        400: { description: 'Not JSON', ...json(problem) },
        422: { description: 'Bad input', ...json(problem) },
      },
    },
  }
}

function list(summary: string) {
  return { get: { summary, responses: { 200: { description: summary, ...json({ type: 'array' }) } } } }
}

const TEXT = { type: 'object', properties: { text: { type: 'string' } }, required: ['text'] }
const TABLE_ID = { type: 'object', properties: { id: { enum: TABLES.map((table) => table.id) } }, required: ['id'] }

function schemaOf(schema: z.ZodType) {
  return z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' })
}

/** The OpenAPI document of the HTTP interface, made from the same schemas that read the input. */
export function openApiDocument() {
  const forms = Object.fromEntries(FORMS.map((form) => [`/api/v1/calc/${form.id}`, post(form.summary, form.schema, form.example)]))
  const advisers = Object.fromEntries(
    ADVISERS.map((adviser) => [`/api/v1/advise/${adviser.id}`, post(adviser.title, adviser.schema, adviser.example)]),
  )
  return {
    openapi: '3.1.0',
    info: {
      title: 'Fold Anvil',
      version: CORE_VERSION,
      description: 'Numbers are mm, g, °C, s, MPa; lengths also take what a smith would write.',
    },
    paths: {
      '/api/v1/forms': list('All forms, with JSON Schema and example'),
      ...forms,
      '/api/v1/convert': post('What a typed length or size means', TEXT, { text: '5/16 in' }),
      '/api/v1/find': post('What a text stands for in every table', TEXT, { text: '#60' }),
      '/api/v1/tables': list('All reference tables'),
      '/api/v1/table': post('One table, its rows with source and confidence', TABLE_ID, { id: 'gauge-bs' }),
      '/api/v1/advisers': list('All advisers, with JSON Schema and example'),
      ...advisers,
      '/api/v1/form': post('Simulates forming', { oneOf: Object.values(FORM_KINDS).map(({ schema }) => schemaOf(schema)) }),
      '/api/v1/layout': post('Nests blanks on sheets', schemaOf(layoutInput)),
      '/api/v1/lengths': post('Cuts pieces to length from bars of wire, strip or tube', schemaOf(lengthsInput)),
      '/api/v1/etch': post('Plans an etch with a current', schemaOf(etchInput)),
      '/api/v1/marks': post('Places letters, stamps, dots and holes on a blank', schemaOf(marksInput)),
      '/api/v1/surface': post('Plans the finish and the colour of faces', schemaOf(surfaceInput)),
      '/api/v1/saw-plan': post('Puts the lines of blanks on a sheet in order to be cut', schemaOf(sawPlanInput)),
      '/api/v1/schedule': post('Times several trays through shared fires, baths and two hands', schemaOf(scheduleInput)),
      '/api/v1/route': post('Checks a route of several parts, puts it in order and plans its heats', schemaOf(routeInput)),
      '/api/v1/joints': post('Solder ladder, amounts and heat plans of an assembly', schemaOf(jointsInput)),
      '/api/v1/temper': post('Walks a route through the metal', inputJsonSchema(temperInput)),
    },
    components: { schemas: { Error: ERROR } },
  }
}
