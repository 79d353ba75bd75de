import { Missing } from '@/ui/shared/missing'

export default function NotFound() {
  return <Missing />
}
