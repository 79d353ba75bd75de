import { readFileSync } from 'node:fs'
import { isMainThread } from 'node:worker_threads'
import { advise, COMMANDS, calc, type DoorAnswer, depthFault, listAdvisers, listForms, listTables, table } from '@/core/commands'
import { layoutOnCores, searchInThread } from './layout-on-cores'

const USAGE = `usage: npm run -s anvil -- <command> [input]
  forms                 every form, with its schema and an example
  calc <form> <json>    a form's result
  convert <text>        what a typed length or size means
  find <text>           what a text stands for in every table: #60, P600, easy, 1.02
  tables                every reference table
  table <id>            one table, its rows with source and confidence
  advisers              every adviser, with its schema and an example
  advise <id> <json>    which drill, blade, papers, solders, hammer
  outline <file> [json] the outline of what lies on the measuring card of a photograph, or that an SVG or DXF draws
  layout <json>         nests blanks on sheets
  lengths <json>        cuts pieces to length from bars of wire, strip or tube, the least metal opened
  saw-plan <json>       puts the lines of blanks that lie on a sheet in order to be cut
  schedule <json>       times several trays through shared fires, baths and the two hands
  marks <json>          places letters, stamps, dots and holes on a blank, and says what becomes of them when it is formed
  etch <json>           current and minutes of an etch to a depth, and what it leaves of fine lines
  surface <json>        papers from the deepest scratch to a finish, colour and seal, and what must never meet
  form <json>           simulates doming, a held bulge, a bend, a strip closed to a tube, rolling or drawing
  temper <json>         walks a route of operations through the metal
  route <json>          which rules a route of several parts breaks, and the order that keeps them
  joints <json>         solder ladder, amounts and heat plans of an assembly
input: JSON, @file.json, or - (or nothing) for standard input
`

class InputError extends Error {}

function readText(argument: string | undefined): string {
  if (argument === undefined || argument === '-') return readFileSync(0, 'utf8')
  if (!argument.startsWith('@')) return argument
  try {
    return readFileSync(argument.slice(1), 'utf8')
  } catch {
    throw new InputError(`the file ${argument.slice(1)} cannot be read`)
  }
}

function readJson(argument: string | undefined): unknown {
  const text = readText(argument)
  const deep = depthFault(text)
  if (deep) throw new InputError(deep)
  try {
    return JSON.parse(text)
  } catch {
    throw new InputError(`the input is not JSON: ${text.slice(0, 80) || 'nothing was given'}`)
  }
}

const LISTS: ReadonlyMap<string, () => DoorAnswer> = new Map([
  ['forms', listForms],
  ['tables', listTables],
  ['advisers', listAdvisers],
])
/** Every command, as it is named where one was not. */
const NAMES = [...LISTS.keys(), 'calc', 'advise', 'outline', ...COMMANDS.keys()]
/** Commands whose whole input is one text. */
const TEXT_COMMANDS = new Set(['convert', 'find'])

type OwnWay = (args: readonly string[]) => DoorAnswer | Promise<DoorAnswer>
/** Commands that take more than one JSON input, or that work beyond this thread. */
const OWN_WAYS: ReadonlyMap<string, OwnWay> = new Map<string, OwnWay>([
  ['calc', (args) => calc(args[0] ?? '', readJson(args[1]))],
  ['advise', (args) => advise(args[0] ?? '', readJson(args[1]))],
  ['table', (args) => table(args[0] ?? '')],
  // what reads pictures is loaded for this command alone
  ['outline', async (args) => (await import('./outline-of-file')).outlineOfFile(args[0], args[1] === undefined ? {} : readJson(args[1]))],
  ['layout', (args) => layoutOnCores(readJson(args[0]), new URL(import.meta.url))],
])

function answer(command: string, args: readonly string[]): DoorAnswer | Promise<DoorAnswer> {
  const began = performance.now()
  const clock = () => (performance.now() - began) / 1000
  const list = LISTS.get(command)
  if (list) return list()
  const own = OWN_WAYS.get(command)
  if (own) return own(args)
  const run = COMMANDS.get(command)
  if (!run) return unknown(command)
  if (TEXT_COMMANDS.has(command)) return run(args.length > 0 && args[0] !== '-' ? args.join(' ') : readText(args[0]).trim(), clock)
  return run(readJson(args[0]), clock)
}

function unknown(command: string): DoorAnswer {
  process.stderr.write(USAGE)
  return {
    ok: false,
    body: {
      error: {
        code: 'unknown-command',
        message: command ? `there is no command "${command}"; there are ${NAMES.join(', ')}` : 'a command is needed',
        issues: [],
      },
    },
  }
}

async function main(): Promise<number> {
  const [command = '', ...args] = process.argv.slice(2)
  if (command === '--help' || command === 'help') {
    process.stderr.write(USAGE)
    return 0
  }
  try {
    const result = await answer(command, args)
    process.stdout.write(`${JSON.stringify(result.body)}\n`)
    return result.ok ? 0 : 2
  } catch (error) {
    if (error instanceof InputError) {
      process.stdout.write(`${JSON.stringify({ error: { code: 'not-json', message: error.message, issues: [] } })}\n`)
      return 2
    }
    const message = error instanceof Error ? error.message : String(error)
    process.stderr.write(`${message}\n`)
    process.stdout.write(`${JSON.stringify({ error: { code: 'our-fault', message, issues: [] } })}\n`)
    return 1
  }
}

if (isMainThread) process.exitCode = await main()
else searchInThread()
