import { isPatternMethod } from '@/core/drawing'
import type { Printed } from '../services/print-layout'

/** What is asked of a print by its address; what is not known there is as usual. */
export function printedOf(request: Request): Printed {
  const asked = new URL(request.url).searchParams
  const [paper, method] = [asked.get('paper'), asked.get('method') ?? '']
  return {
    paper: paper === 'A4' || paper === 'Letter' ? paper : undefined,
    method: isPatternMethod(method) ? method : undefined,
    mirror: asked.get('mirror') === '1',
  }
}
