'use client'
import { createContext, type ReactNode, useContext } from 'react'
import type { AlloyId } from '@/core/metals'
import type { RingSystem } from '@/core/tables'
import type { OwnTool } from '@/core/toolwall'

/** The few settings that every field and the ask line need. */
export interface WorkshopView {
  readonly ringSystem: RingSystem
  readonly defaultAlloy: AlloyId
  readonly units: 'mm' | 'inch' | 'both'
  /** The tool wall: plans and advice pick from it. */
  readonly tools: readonly OwnTool[]
}

const WorkshopContext = createContext<WorkshopView>({ ringSystem: 'US', defaultAlloy: 'sterling-925', units: 'both', tools: [] })

export function WorkshopProvider({ value, children }: { readonly value: WorkshopView; readonly children: ReactNode }) {
  return <WorkshopContext.Provider value={value}>{children}</WorkshopContext.Provider>
}

export function useWorkshop(): WorkshopView {
  return useContext(WorkshopContext)
}
