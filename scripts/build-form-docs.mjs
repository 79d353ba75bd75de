import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { build } from 'esbuild'

/** Writes docs/forms/<id>.md from the registry; with --check, fails where a page is not what the registry says. */
const check = process.argv.includes('--check')
mkdirSync('dist', { recursive: true })
await build({
  stdin: {
    contents:
      "export { FORMS, rangeText } from '@/core/forms'\nexport { SOURCES } from '@/core/sources'\nexport { formatValue } from '@/core/units'",
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
const { FORMS, rangeText, SOURCES, formatValue } = await import('../dist/form-docs.mjs')

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
    '## Schools',
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

let stale = 0
mkdirSync('docs/forms', { recursive: true })
for (const form of FORMS) {
  const file = `docs/forms/${form.id}.md`
  const text = page(form)
  if (!check) writeFileSync(file, text)
  else if (readFileSync(file, 'utf8') !== text) {
    stale++
    process.stderr.write(`${file} is not what the registry says; run npm run docs\n`)
  }
}
process.exitCode = stale > 0 ? 1 : 0
