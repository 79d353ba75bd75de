import { guarded, notFound } from '@/server/http/answer'
import { callOff, howFar } from '@/server/long/under-way'

interface Named {
  readonly params: Promise<{ name: string }>
}

/** How far the work of this name is. */
export async function GET(_request: Request, { params }: Named) {
  const { name } = await params
  return guarded(() => {
    const told = howFar(name)
    return told ? Response.json(told) : notFound('nothing of this name is under way')
  })
}

/** Calls the work of this name off. */
export async function DELETE(_request: Request, { params }: Named) {
  const { name } = await params
  return guarded(() => (callOff(name) ? new Response(null, { status: 204 }) : notFound('nothing of this name is under way')))
}
