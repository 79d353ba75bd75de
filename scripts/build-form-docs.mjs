import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { build } from 'esbuild'
import { jointsPage, kitsPage, rulesPage } from './route-pages.mjs'

/** Writes docs/forms/<id>.md, docs/tables.md and the pages of operations, rules, kits and joints from the registries; with --check, fails where a page is not what they say. */
const check = process.argv.includes('--check')
mkdirSync('dist', { recursive: true })
await build({
  stdin: {
    contents:
      "export { FORMS } from '@/core/forms'\nexport { rangeText } from '@/core/sizes'\nexport { SOURCES } from '@/core/sources'\nexport { SHELVES, TABLES } from '@/core/tables'\nexport { ADVISERS } from '@/core/advice'\nexport { formatValue } from '@/core/units'\nexport { OPERATIONS } from '@/core/operations'\nexport { RULES } from '@/core/rules'\nexport { HOT_JOINTS, JOINT_KINDS, ORDER_SCHOOLS } from '@/core/assembly'\nexport { JOINT_STEPS } from '@/core/piece/joint-steps'\nexport { SOLDERS } from '@/core/metals'\nexport { JOINT_TESTS } from '@/core/joints'\nexport { FORM_ROUTES, KITS, schoolsIn } from '@/core/kits'\nexport { inputJsonSchema } from '@/core/forms/json-schema'",
    resolveDir: '.',
    loader: 'ts',
  },
  outfile: 'dist/form-docs.mjs',
  bundle: true,
  format: 'esm',
  platform: 'node',
  alias: { '@': './src' },
  logLevel: 'warning',
})
const core = await import('../dist/form-docs.mjs')
const { ADVISERS, FORMS, inputJsonSchema, OPERATIONS, rangeText, SHELVES, SOURCES, TABLES, formatValue } = core

function fieldRow(field) {
  const range = field.kind === 'number' ? rangeText(field.meta) : field.kind === 'choice' ? Object.values(field.titles).join(', ') : 'words'
  const preset = field.preset === undefined ? (field.optional ? 'may be left out' : 'needed') : String(field.preset)
  return `| \`${field.name}\` | ${field.label} | ${range} | ${preset} | ${field.kind === 'number' ? (field.meta.help ?? '') : ''} |`
}

function page(form) {
  const run = form.run(form.example)
  if (!run.ok) throw new Error(`${form.id}: the example does not run: ${JSON.stringify(run.issues)}`)
  const { result } = run
  const questions = [{ question: result.question, schools: result.schools }, ...result.choices]
  return [
    `# ${form.title}`,
    '',
    form.summary,
    '',
    'Made from the registry by `npm run docs`; do not edit.',
    '',
    '## Fields',
    '',
    '| field | label | range | starts as | |',
    '| --- | --- | --- | --- | --- |',
    ...form.fields.map(fieldRow),
    '',
    '## Methods',
    '',
    ...questions.flatMap(({ question, schools }) => [
      `**${question}**`,
      '',
      ...schools.map((school) => `- \`${school.id}\`, ${school.title}: ${school.why}`),
      '',
    ]),
    '## Worked example',
    '',
    '```json',
    JSON.stringify(form.example),
    '```',
    '',
    `${result.answer.name}: ${formatValue(result.answer.value, 'mm')}, mark at ${formatValue(result.answer.markAt, 'mm')} (± ${formatValue(result.uncertainty.plusMinus, 'mm')}: ${result.uncertainty.why}).`,
    '',
    '| step | formula | numbers | result | source |',
    '| --- | --- | --- | --- | --- |',
    ...result.working.map(
      (step) =>
        `| ${step.label} | ${step.formula} | ${step.substituted} | ${formatValue(step.value, step.unit)} | ${SOURCES[step.source].title} (${SOURCES[step.source].confidence}) |`,
    ),
    '',
  ].join('\n')
}

function tableRow({ id, title, about, source, confidence, ownership, rows }) {
  const low = rows.filter((row) => row.confidence === 'low').length
  const sure = low > 0 && confidence !== 'low' ? `${confidence}, ${low} of ${rows.length} low` : confidence
  return `| \`${id}\` | ${title} | ${about} | ${SOURCES[source].title} | ${sure} | ${ownership} |`
}

function tablesPage() {
  return [
    '# Reference tables',
    '',
    'Made from the registry by `npm run docs`; do not edit. Every value is from memory of the source named; confidence says how sure:',
    'high would surprise if wrong by more than rounding, medium differs between sources, low is a suggestion and is shown as one.',
    'Fixed values are standards and definitions; presets can be copied and changed; own ones give way to what you measured.',
    '',
    ...Object.entries(SHELVES).flatMap(([shelf, title]) => [
      `## ${title}`,
      '',
      '| id | table | what to know | source | confidence | ownership |',
      '| --- | --- | --- | --- | --- | --- |',
      ...TABLES.filter((table) => table.shelf === shelf).map(tableRow),
      '',
    ]),
    '## Advisers',
    '',
    '| id | adviser | fields |',
    '| --- | --- | --- |',
    ...ADVISERS.map(
      ({ id, title, fields }) => `| \`${id}\` | ${title} | ${fields.map((field) => `\`${field.name}\``).join(', ')}, \`owned\` |`,
    ),
    '',
  ].join('\n')
}

function paramText(name, { title, anyOf, ...own }, needed) {
  const { minimum, maximum, default: preset, enum: choices } = { ...own, ...anyOf?.[0], default: own.default }
  const range = choices ? choices.join(', ') : minimum === undefined ? '' : `${minimum} to ${maximum}`
  const how = needed ? 'needed' : preset === undefined ? '' : `starts as ${preset}`
  return [`\`${name}\``, ...[title, range, how].filter(Boolean)].join(', ')
}

function operationRow({ id, title, kind, resource, includes, params, together, waitS }) {
  const { properties, required = [] } = inputJsonSchema(params)
  const texts = Object.entries(properties).map(([name, property]) =>
    paramText(name, property, required.includes(name) && property.default === undefined),
  )
  const goes = `${together ? 'the tray together' : 'piece by piece'}${waitS > 0 ? `, then waits ${waitS / 60} min` : ''}`
  const steps = includes.length > 1 ? includes.map(({ op }) => (op === '*' ? 'itself' : op)).join(', ') : ''
  return `| \`${id}\` | ${title} | ${kind} | ${resource} | ${goes} | ${texts.join('; ')} | ${steps} |`
}

function operationsPage() {
  return [
    '# Operations',
    '',
    'Made from the registry by `npm run docs`; do not edit. The steps a route is made of, as the screens and the `temper` command take them:',
    '`{"op": "roll", "params": {"fromMm": "18 ga", "toMm": 0.8}}`. Lengths also take what a smith would write.',
    '',
    '| op | step | kind | with | goes | parameters | includes |',
    '| --- | --- | --- | --- | --- | --- | --- |',
    ...OPERATIONS.map(operationRow),
    '',
  ].join('\n')
}

let stale = 0
function keep(file, text) {
  if (!check) writeFileSync(file, text)
  else if (readFileSync(file, 'utf8') !== text) {
    stale++
    process.stderr.write(`${file} is not what the registry says; run npm run docs\n`)
  }
}
mkdirSync('docs/forms', { recursive: true })
for (const form of FORMS) keep(`docs/forms/${form.id}.md`, page(form))
keep('docs/tables.md', tablesPage())
keep('docs/operations.md', operationsPage())
keep('docs/rules.md', rulesPage(core))
keep('docs/kits.md', kitsPage(core))
keep('docs/joints.md', jointsPage(core))
process.exitCode = stale > 0 ? 1 : 0
