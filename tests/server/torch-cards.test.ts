import { describe, expect, it } from 'vitest'
import { findForm } from '@/core/forms'
import { KITS } from '@/core/kits'
import { SOLDERS } from '@/core/metals'
import { designFromKit, planPiece, torchBook } from '@/core/piece'
import { PAPERS } from '@/server/export/pdf-kit'
import { torchCardsPdf } from '@/server/export/torch-cards-pdf'
import { readPdf } from '../support/read-pdf'

const SOLDERED = KITS.filter(({ joints }) => joints.some(({ solder }) => solder))

describe.each(SOLDERED.map((kit) => [kit.id, kit] as const))('the torch cards of %s', (_, kit) => {
  const open = designFromKit(kit)
  const plan = planPiece({
    ...open,
    parts: open.parts.map((part) => ({ ...part, input: { ...findForm(part.form)?.example, ...part.input } })),
  })
  const book = torchBook(plan, { tools: [], torchW: 150, flux: 'white-paste' })
  it.each(['A4', 'Letter'] as const)(
    'one page of %s for each heat, every word of it on the paper and none that the printer lacks',
    async (paper) => {
      const pages = await readPdf(await torchCardsPdf({ pieceName: 'Lamp', jobTitle: 'Lamps', book, paper }))
      expect(pages).toHaveLength(book.heats.length)
      pages.forEach((page, i) => {
        const said = page.texts.map(({ text }) => text).join(' ')
        for (const { y, right } of page.texts) {
          expect(y).toBeGreaterThan(9)
          expect(right).toBeLessThan(PAPERS[paper].width - 5)
        }
        for (const solder of book.heats[i]?.solders ?? []) expect(said).toContain(`flows at ${SOLDERS[solder].liquidusC} °C`)
        expect(said).toContain('safety sheet')
        expect(said).not.toContain('undefined')
      })
    },
  )
})
