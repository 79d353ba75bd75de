import { notFound } from 'next/navigation'
import { ALLOYS } from '@/core/metals'
import { findOperation } from '@/core/operations'
import { toolNotes, wordsOf } from '@/core/route'
import { planOptions, walkFrozen } from '@/server/services/piece-plan'
import { trayState } from '@/server/services/tray-state'
import { workshop } from '@/server/workshop'
import { BenchStep } from '@/ui/bench/bench-step'

export default async function TrayPage({ params }: { params: Promise<{ trayId: string }> }) {
  const { trayId } = await params
  const repositories = workshop()
  const state = trayState(repositories, Number(trayId))
  if (!state) notFound()
  const { tray, progress } = state
  const alloy = Object.values(ALLOYS).find((item) => item.id === tray.plan.alloy) ?? ALLOYS['sterling-925']
  const step = tray.plan.steps[progress.stepIndex]
  const operation = step && findOperation(step.op)
  const words = step ? wordsOf(step, { alloy: alloy.id, thicknessMm: tray.plan.thicknessMm }) : null
  const own = step ? toolNotes([step], { thicknessMm: tray.plan.thicknessMm, ...planOptions(repositories) })[0] : undefined
  const here = state.readings.filter((reading) => reading.stepId === step?.id && reading.workpiece === (progress.workpiece ?? 1))
  return (
    <BenchStep
      tray={{
        id: tray.id,
        pieceId: tray.pieceId,
        name: tray.plan.pieceName,
        size: tray.size,
        alloyTitle: alloy.title.toLowerCase(),
        thicknessMm: tray.plan.thicknessMm,
        colour: alloy.colour.bench,
      }}
      step={
        step
          ? {
              id: step.id,
              op: step.op,
              number: progress.stepIndex + 1,
              count: tray.plan.steps.length,
              together: operation?.together ?? false,
              caution: operation?.caution ?? null,
              target: step.target ?? null,
              params: step.params,
            }
          : null
      }
      words={
        words && own ? { ...words, facts: [...words.facts, { label: 'Your tool', value: own.message.replace(/^Yours: /, '') }] } : words
      }
      progress={progress}
      walk={walkFrozen(tray.plan)}
      lastReading={here.at(-1) ?? null}
      waiting={state.waiting}
    />
  )
}
