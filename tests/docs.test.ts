import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { COMMANDS } from '@/core/commands'
import { FORMS } from '@/core/forms'
import { OPERATIONS } from '@/core/operations'

const PAGES = [
  'README.md',
  'CONTRIBUTING.md',
  ...readdirSync('docs')
    .filter((file) => file.endsWith('.md'))
    .map((file) => `docs/${file}`),
]
const text = (file: string) => readFileSync(file, 'utf8')

describe('what is written about the program', () => {
  it.each(PAGES.map((file) => [file]))('%s links only to what is there', (file) => {
    for (const [, link = ''] of text(file).matchAll(/\]\(([^)#:]+)\)/g)) expect(existsSync(join(dirname(file), link)), link).toBe(true)
  })
  it('the README counts the forms right', () => {
    const tens = ['', '', 'twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety']
    const ones = ['', '-one', '-two', '-three', '-four', '-five', '-six', '-seven', '-eight', '-nine']
    const spelt = `${tens[Math.floor(FORMS.length / 10)]}${ones[FORMS.length % 10]}`
    expect(text('README.md')).toContain(`${spelt} kinds of piece`)
  })
  it('every form has its page and no page is left over', () =>
    expect(readdirSync('docs/forms').sort()).toEqual(FORMS.map((form) => `${form.id}.md`).sort()))
  it('every operation and every command is told of', () => {
    for (const { id } of OPERATIONS) expect(text('docs/operations.md')).toContain(`| \`${id}\` |`)
    for (const name of COMMANDS.keys()) expect(text('docs/interfaces.md')).toContain(`/api/v1/${name}`)
  })
  it('every picture is shown in the README, and there are fewer than twenty', () => {
    const pictures = readdirSync('docs/screenshots')
    expect(pictures.length).toBeLessThan(20)
    for (const picture of pictures) expect(text('README.md')).toContain(`docs/screenshots/${picture}`)
  })
  it('the two commands are those of package.json', () => {
    const { scripts } = JSON.parse(text('package.json')) as { scripts: Record<string, string> }
    expect(Object.keys(scripts)).toEqual(expect.arrayContaining(['demo', 'test', 'start', 'bench', 'docs', 'screenshots', 'anvil']))
    for (const [, name = ''] of text('README.md').matchAll(/npm run (?:-s )?([a-z]+)/g)) expect(scripts).toHaveProperty(name)
  })
})
