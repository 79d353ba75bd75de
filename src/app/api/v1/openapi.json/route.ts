import { openApiDocument } from '@/core/commands'
import { guarded } from '@/server/http/answer'

export function GET() {
  return guarded(() => Response.json(openApiDocument()))
}
