import type { Job } from '@/server/db/repositories'
import type { PieceThumb } from '@/server/services/piece-thumb'

/** A piece of a job as it is shown there. */
export interface PieceView {
  readonly id: number
  readonly revision: number
  readonly name: string
  readonly quantity: number
  readonly spares: number
  readonly form: string
  readonly thumb: PieceThumb | null
  readonly alloy: string
  readonly thicknessMm: number
  readonly cutMm: number | null
  readonly openTrayId: number | null
  readonly trayCount: number
}

/** A job with its pieces. */
export interface JobView extends Job {
  readonly pieces: readonly PieceView[]
}
