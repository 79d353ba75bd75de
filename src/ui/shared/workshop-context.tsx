'use client'
import { createContext, type ReactNode, useContext } from 'react'
import type { AlloyId } from '@/core/metals'
import type { GaugeSystem, OwnFigures, RingSystem, Trials } from '@/core/tables'
import { type Bench, USUAL_BENCH } from '@/core/toolwall'

/** The few settings that every field and the ask line need. */
export interface WorkshopView {
  /** The workshop this page was opened in: every write says so. */
  readonly uid: string
  readonly name: 'demo' | 'workshop'
  /** Revision of the settings and own figures, as this page shows them. */
  readonly settingsRevision: number
  /** Whether the simulated instruments are on. */
  readonly practice: boolean
  readonly ringSystem: RingSystem
  /** What a bare gauge number means where metal is put into the drawer. */
  readonly gaugeSystem: GaugeSystem
  /** The workshop's answers about the order of work, where they are not the usual ones. */
  readonly orderSchools: Readonly<Record<string, string>>
  readonly defaultAlloy: AlloyId
  readonly units: 'mm' | 'inch' | 'both'
  /** The currency that prices are in, as three letters. */
  readonly currency: string
  /** What a blade takes away, mm. */
  readonly kerfMm: number
  /** The tool wall and the own figures: plans and advice pick from them. */
  readonly bench: Bench
  /** The own figures as they were typed, and what was measured of metals: the bench has both in one. */
  readonly typedFigures: OwnFigures
  readonly trials: Trials
}

/** How each workshop is called in a sentence. */
export const WORKSHOP_TITLES = { demo: 'the demonstration', workshop: 'your own workshop' } as const

const WorkshopContext = createContext<WorkshopView>({
  uid: '',
  name: 'workshop',
  settingsRevision: 0,
  practice: false,
  ringSystem: 'US',
  gaugeSystem: 'B&S',
  orderSchools: {},
  defaultAlloy: 'sterling-925',
  units: 'both',
  currency: 'EUR',
  kerfMm: 0.3,
  bench: USUAL_BENCH,
  typedFigures: {},
  trials: {},
})

export function WorkshopProvider({ value, children }: { readonly value: WorkshopView; readonly children: ReactNode }) {
  return <WorkshopContext.Provider value={value}>{children}</WorkshopContext.Provider>
}

export function useWorkshop(): WorkshopView {
  return useContext(WorkshopContext)
}
