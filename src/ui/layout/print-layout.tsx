'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useEffect, useState } from 'react'
import type { PatternMethod } from '@/core/drawing'
import { ProblemLine } from '../shared/problem-line'
import { UnderWayBar } from '../shared/under-way-bar'
import { useUnderWay } from '../shared/use-under-way'
import { useWorkshop } from '../shared/workshop-context'

interface PrintLayoutProps {
  readonly layoutId: number
  readonly label: string
  readonly variant?: 'text'
  /** How the pattern comes on to the metal, and whether it is seen from the back; as the workshop marks out where nothing is said. */
  readonly asked?: { readonly method: PatternMethod; readonly mirror: boolean }
}

/** Asks for the pages; they stay in the browser until the next are asked for. */
async function pagesFrom(address: string): Promise<string> {
  const answer = await fetch(address)
  if (answer.ok) return URL.createObjectURL(await answer.blob())
  const { error } = (await answer.json()) as { error: { message: string } }
  throw new Error(error.message)
}

/** Prints a layout at full size: the pages open when they are drawn, and can be opened again or saved. */
export function PrintLayout({ layoutId, label, variant, asked }: PrintLayoutProps) {
  const { uid } = useWorkshop()
  const { told, wait, callOff } = useUnderWay()
  const [pages, setPages] = useState('')
  const [problem, setProblem] = useState('')
  useEffect(() => () => URL.revokeObjectURL(pages), [pages])
  const how = asked ? `&method=${asked.method}${asked.mirror ? '&mirror=1' : ''}` : ''
  async function print() {
    setProblem('')
    setPages('')
    try {
      const drawn = await wait((work) => pagesFrom(`/api/layouts/${layoutId}/print?of=${uid}&work=${work}${how}`))
      setPages(drawn)
      window.open(drawn, '_blank')
    } catch (error) {
      setProblem(error instanceof TypeError ? 'The program is not responding. Nothing was printed.' : String((error as Error).message))
    }
  }
  return (
    <Box>
      <Button {...(variant ? { variant } : { fullWidth: true })} disabled={told !== null} onClick={() => void print()}>
        {label}
      </Button>
      {told ? <UnderWayBar told={told} onCancel={callOff} /> : null}
      {pages ? (
        <Box>
          <Button variant="text" href={pages} target="_blank">
            Open the pages again
          </Button>
          <Button variant="text" href={pages} download={`layout-${layoutId}.pdf`}>
            Save them
          </Button>
        </Box>
      ) : null}
      <ProblemLine says={problem} />
    </Box>
  )
}
