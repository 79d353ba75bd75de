'use client'
import { memo } from 'react'
import { partOfStep, skipWords } from '@/core/piece'
import { toolNotes } from '@/core/route'
import { partedInto } from '@/core/rules'
import { useWorkshop } from '../shared/workshop-context'
import { metalOfStep } from './route-view'
import { StepPanel } from './step-panel'
import type { RouteDoing, RouteSeen } from './use-route-view'

/** The step that is chosen on a route, with all that can be changed of it. */
export const ChosenStep = memo(function ChosenStep({ seen, does }: { readonly seen: RouteSeen; readonly does: RouteDoing }) {
  const { bench } = useWorkshop()
  const { plan, wanted, view, index, skipped, things } = seen
  const chosen = wanted.steps[index]
  if (!chosen) return null
  const words = view.wordsFor(chosen)
  const thicknessMm = plan.parts.find(({ id }) => id === partOfStep(plan, chosen.on))?.metal?.thicknessMm ?? 1
  return (
    <StepPanel
      key={chosen.id}
      step={chosen}
      title={`${index + 1}  ${view.board[index]?.title ?? ''}`}
      on={view.board[index]?.on ?? ''}
      say={words.say}
      watch={words.watch}
      metal={metalOfStep(view, index)}
      metalPart={view.names.get(view.temper.steps[index]?.part ?? '') ?? ''}
      sizes={view.sizes[index]?.sizes ?? []}
      tools={toolNotes([chosen], { thicknessMm, ...bench })}
      includes={partedInto(view.assembly, index).filter(({ isItself }) => !isItself)}
      isPinned={chosen.pinned === true}
      onParams={(params) => does.setParams(chosen.id, params)}
      onPin={(isPinned) => does.pin(chosen.id, isPinned)}
      things={things}
      skipped={skipped && skipWords(skipped)}
      onSkip={chosen.op === 'anneal' ? (isLookedAt) => does.look(chosen.id, isLookedAt) : undefined}
      onThing={(thing) => does.toThing(chosen.id, thing)}
      onUnfold={() => does.unfold(chosen.id)}
      onDouble={() => does.twice(chosen)}
    />
  )
})
