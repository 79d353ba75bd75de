import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'

/** Words and phrases that are out, with what is said instead: on screen, on paper, in the docs and in the code. */
const OUT: readonly (readonly [pattern: RegExp, instead: string])[] = [
  [/\breckon/i, 'calculate'],
  [/How the [a-z ]+ is calculated/i, 'Calculation'],
  [/Neutral axis k\b/i, 'Bend factor'],
  [/Mark to the next/i, 'Round marks up to'],
  [/(Disc|Strip|Wire) in hand/i, 'I already have …'],
  [/Grows in truing/i, 'Stretch from hammering'],
  [/Edge of the stone, high/i, 'Stone edge height'],
  [/\b(Strap, wide|Link, long)\b/i, 'Strap width, Link length'],
  [/Thicker side, more/i, 'Extra on the thick side'],
  [/Clean-up a side/i, 'Filing allowance per side'],
  [/Play between rings/i, 'Gap between rings'],
  [/right all the same/i, 'Reason'],
  [/\bLeave it\b(?! empty)/, 'Cancel'],
  [/\bKeep it\b/, 'Save'],
  [/\bTake it up\b/i, 'Continue'],
  [/\bIt is lost\b/i, 'Scrap this piece'],
  [/splits past here/i, 'cracking limit'],
  [/stretch left|of its work left/i, 'work left'],
  [/Former it is bent on/i, 'Mandrel'],
  [/What was weighed/i, 'Options'],
  [/What moves it/, 'Sensitivity'],
  [/Band of the answer/i, 'Uncertainty'],
  [/Called that|Speaks of it/, 'Exact match, Also mentions'],
  [/in your money/i, 'the currency of Settings'],
  [/\bin the round\b/i, '3D'],
  [/none of your hammers/i, 'you have none that fits'],
  [/would be right; your nearest/i, 'use …, the closest you have is …'],
  [/\bnot legal\b/i, 'cannot be cut'],
  [/lose its round/i, 'go out of round'],
  [/stand the fire/i, 'take the heat'],
  [/\belse one head/i, 'otherwise one head'],
  [/Ring the disc/i, 'Work in rings'],
  [/What must not meet/i, 'Incompatible materials'],
  [/\bown fault\b/i, 'internal error'],
  [/\bforetold\b/i, 'predicted'],
  [/\b(every|each) door\b/i, 'interface'],
  [
    /'[A-Za-z][a-z ]+, (wide|high|thick|long|deep|across|strap way|one way|other way|long way|short way)'/,
    'a plain name: width, height, thickness, length',
  ],
  [/\b(long|short) way\b/i, 'length, width'],
  [/possible is\b/i, 'allowed:'],
  [/\bis no (gauge|grade|drill|operation|workshop)\b/i, 'is not a …'],
  [/sign of number nought/i, 'NUL character'],
  [/in another workshop than/i, 'in a different workshop'],
  [/look(ed)? wider|Look closer/, 'Zoom in, Zoom out'],
  [/does not answer\. /, 'is not responding'],
  [/\b(inLittle|SAYINGS|retell)\b/i, 'a name that says what it is'],
]

/** What a smith reads is called a method; the code and the interfaces keep the field's name. */
const METHOD_NOT_SCHOOL = /(^|\s)schools?\s/i

const listed = (...folders: readonly string[]) =>
  folders
    .flatMap((folder) => readdirSync(folder, { recursive: true, encoding: 'utf8' }).map((name) => join(folder, name)))
    .filter((path) => /\.(ts|tsx|mjs|md)$/.test(path))

describe('plain words', () => {
  const texts = [...listed('src', 'scripts', 'docs'), 'README.md'].map((path) => ({ path, text: readFileSync(path, 'utf8') }))
  it.each(OUT)('%s is out: %s', (pattern) => {
    expect(texts.filter(({ text }) => pattern.test(text)).map(({ path }) => path)).toEqual([])
  })
  it('a smith reads of methods, not of schools', () => {
    const literals = listed('src/ui', 'src/core').filter((path) => !path.endsWith('.test.ts'))
    const said = literals.flatMap((path) => {
      const code = readFileSync(path, 'utf8').replace(/\/\*[\s\S]*?\*\/|\/\/.*$/gm, '')
      const words = [...code.matchAll(/'([^'\n]*)'|"([^"\n]*)"|>([^<>{}\n]+)</g)].map((match) => match[1] ?? match[2] ?? match[3] ?? '')
      return words
        .filter((text) => METHOD_NOT_SCHOOL.test(` ${text} `) && text.includes(' ') && !text.includes('='))
        .map((text) => `${path}: ${text}`)
    })
    expect(said).toEqual([])
  })
})
