'use client'
import { createContext, type ReactNode, useContext } from 'react'
import type { AlloyId } from '@/core/metals'
import type { RingSystem } from '@/core/tables'
import { type Bench, USUAL_BENCH } from '@/core/toolwall'

/** The few settings that every field and the ask line need. */
export interface WorkshopView {
  readonly ringSystem: RingSystem
  readonly defaultAlloy: AlloyId
  readonly units: 'mm' | 'inch' | 'both'
  /** What a blade takes away, mm. */
  readonly kerfMm: number
  /** The tool wall and the own figures: plans and advice pick from them. */
  readonly bench: Bench
}

const WorkshopContext = createContext<WorkshopView>({
  ringSystem: 'US',
  defaultAlloy: 'sterling-925',
  units: 'both',
  kerfMm: 0.3,
  bench: USUAL_BENCH,
})

export function WorkshopProvider({ value, children }: { readonly value: WorkshopView; readonly children: ReactNode }) {
  return <WorkshopContext.Provider value={value}>{children}</WorkshopContext.Provider>
}

export function useWorkshop(): WorkshopView {
  return useContext(WorkshopContext)
}
