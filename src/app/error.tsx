'use client'
import { Fault } from '@/ui/shared/missing'

export default function ErrorPage({ reset, error }: { reset: () => void; error: Error & { digest?: string } }) {
  return <Fault onAgain={reset} mark={error.digest} />
}
