'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useMemo } from 'react'
import type { EtchGoal } from '@/core/etching'
import { blankDimension, comesOutMm, readingBesideOriginal, routeStepOf, seriesWords, waitingNow } from '@/core/logbook'
import { formatPlain } from '@/core/units'
import { useKeys } from '../keys/use-keys'
import { Ribbon } from '../route/ribbon'
import { useWorkshop } from '../shared/workshop-context'
import { FONTS, PALETTE } from '../theme/palette'
import { BigButton } from './big-button'
import { BlowPicture, blowsAt } from './blow-picture'
import { CheckLine } from './check-line'
import { ColourPanel } from './colour-panel'
import { EtchPanel } from './etch-panel'
import { FailedPanel } from './failed-panel'
import { HeatPanel, useHeatGoal } from './heat-panel'
import { OtherWaits } from './other-waits'
import { FarQuestion, ReadingBox } from './reading-box'
import { StepColours } from './step-colours'
import { StepFacts } from './step-facts'
import { StepPicture } from './step-picture'
import { SubTrayBar } from './sub-tray-bar'
import { TargetBand } from './target-band'
import type { BenchEntry, BenchPartView, BenchStepView, BenchTrayView } from './tray-view'
import { useAwake } from './use-awake'
import { useBench } from './use-bench'
import { useChemistry } from './use-chemistry'
import { WaitClock } from './wait-clock'
import { WaitingEntries } from './waiting-entries'
import { WrongPanel } from './wrong-panel'

type Bench = ReturnType<typeof useBench>

function Finished({ tray, bench }: { readonly tray: BenchTrayView; readonly bench: Bench }) {
  const { progress } = bench
  return (
    <Box sx={{ p: 4 }}>
      <Typography component="h1" sx={{ fontFamily: FONTS.head, fontSize: 46, fontWeight: 700, color: '#fff' }}>
        The tray is finished
      </Typography>
      <Typography sx={{ fontSize: 20, my: 2 }}>
        {progress.alive.length} of {tray.size} came through{progress.lost.length > 0 ? `, ${progress.lost.length} went wrong` : ''}.
      </Typography>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        <BigButton main onPress={bench.leave} keyId="back">
          Leave the bench
        </BigButton>
        <BigButton onPress={bench.seeRecord}>See the record</BigButton>
        <BigButton onPress={bench.takeBack} keyId="takeBack">
          Take the last back
        </BigButton>
      </Box>
      <Box role="status" sx={{ fontSize: 17, color: '#9fe0cf', mt: 2 }}>
        {bench.said}
      </Box>
    </Box>
  )
}

interface HeadProps {
  readonly tray: BenchTrayView
  readonly bench: Bench
  readonly step: BenchStepView
}

/** The part whose metal a step works. */
const partOf = ({ parts }: BenchTrayView, step: BenchStepView) => parts.find(({ id }) => id === step.part) ?? parts[0]

function Head({ tray, bench, step }: HeadProps) {
  const part = partOf(tray, step)
  const waiting = waitingNow(bench.steps, bench.entries)
  return (
    <Box
      component="header"
      sx={{ display: 'flex', gap: 2, alignItems: 'center', px: 3.5, pt: 2, fontSize: 17, color: PALETTE.petrolMuted, flexWrap: 'wrap' }}
    >
      <Box sx={{ color: '#fff', fontWeight: 650, fontSize: 20, fontFamily: FONTS.head }}>{tray.name}</Box>
      <span>
        tray of {tray.size}
        {part ? (
          <>
            , {part.alloyTitle} <span className="fig">{formatPlain(part.thicknessMm, 2)} mm</span>
          </>
        ) : null}
      </span>
      {waiting ? (
        <Box sx={{ color: PALETTE.fireBench }}>
          <WaitClock {...waiting} />
        </Box>
      ) : null}
      <Box sx={{ flex: 1 }} />
      <span>
        step {bench.progress.stepIndex + 1} of {bench.steps.length}
      </span>
      {bench.serial.canConnect && bench.calipers === null && step.target ? (
        <BigButton plain onPress={() => void bench.serial.connect()}>
          connect calipers
        </BigButton>
      ) : null}
      {bench.serial.problem ? <span role="alert">{bench.serial.problem}</span> : null}
      <BigButton plain href={`/bench/${tray.id}/cautions`}>
        cautions
      </BigButton>
      <BigButton plain onPress={bench.leave} keyId="back">
        leave the bench
      </BigButton>
    </Box>
  )
}

interface StepProps {
  readonly tray: BenchTrayView
  readonly step: BenchStepView
  readonly bench: Bench
  readonly kept: number | null
}

/** What the practice supply is set to at an etch that was planned; none where it was not, or nothing is simulated here. */
function useEtchGoal({ op, params }: BenchStepView): EtchGoal | undefined {
  const { practice } = useWorkshop()
  const { currentA, minutes, depthMm } = params
  return useMemo(
    () =>
      practice && op === 'etch' && typeof currentA === 'number' && typeof minutes === 'number' && typeof depthMm === 'number'
        ? { currentA, minutes, depthMm }
        : undefined,
    [practice, op, currentA, minutes, depthMm],
  )
}

/** What the hands do: on this very blank where its blows are known, else what such a step looks like. */
function Work({ step, part }: { readonly step: BenchStepView; readonly part: BenchPartView | undefined }) {
  const blows = blowsAt(step.op, part?.marked)
  return part?.marked && blows.length > 0 ? (
    <BlowPicture marked={part.marked} blows={blows} metal={part.colour} />
  ) : (
    <StepPicture op={step.op} params={step.params} metal={part?.colour ?? ''} fromBelow={step.heat?.fromBelow ?? false} />
  )
}

/** Where what is measured comes from. */
function sourceOf({ calipers, serial }: Bench, kept: number | null): string {
  if (calipers) return serial.shown ? 'from the calipers' : 'from the simulated calipers'
  return kept === null ? 'no calipers' : 'as kept'
}

/** The reading against its band, and what the calipers were found off by. */
function Measured({ tray, step, bench, kept }: StepProps) {
  if (!step.target) return null
  const { check, calipers } = bench
  const isOnPiece = bench.panel.kind === 'check'
  return (
    <>
      <TargetBand
        target={step.target}
        valueMm={isOnPiece ? kept : (calipers?.valueMm ?? kept)}
        predicted={[seriesHere(bench, step), readingBesideOriginal(step.target, kept), comingOut(tray, bench, step)]
          .filter(Boolean)
          .join(' ')}
        source={isOnPiece ? 'while the calipers are checked' : sourceOf(bench, kept)}
        withinMm={check.withinMm}
      />
      {bench.isTest ? null : <CheckLine check={check} onCheck={() => bench.show('check')} />}
    </>
  )
}

/** What the calipers show on the check piece, typed or taken as it stands; a stand-in is set to zero here. */
function OnCheckPiece({ bench }: { readonly bench: Bench }) {
  const { check, calipers, serial } = bench
  return (
    <ReadingBox
      label={`On the check piece of ${formatPlain(check.knownMm, 3)} mm they show`}
      value={check.draft}
      onChange={check.setDraft}
      onTake={(text) => bench.take(text, 'typed', 'type')}
    >
      {calipers?.steady ? (
        <BigButton onPress={() => bench.take(String(calipers.valueMm), calipers.instrument, 'none')}>
          {`Take ${formatPlain(calipers.valueMm, 2)} mm`}
        </BigButton>
      ) : null}
      {calipers && !serial.shown ? <BigButton onPress={check.setZero}>Set them to zero</BigButton> : null}
    </ReadingBox>
  )
}

/** The picture of the work with the reading against its band, or why a piece is lost. */
function Side({ tray, step, bench, kept }: StepProps) {
  const { panel } = bench
  const parts = tray.parts.filter(({ id }) => step.subTray?.includes(id))
  const goal = useEtchGoal(step)
  const heat = useHeatGoal(step, partOf(tray, step)?.alloy)
  return (
    <Box
      sx={{
        bgcolor: '#1b2a2b',
        borderRadius: '8px',
        pt: 2,
        display: 'flex',
        flexDirection: 'column',
        justifyContent: 'space-between',
        minHeight: 300,
      }}
    >
      {panel.kind === 'wrong' ? (
        <WrongPanel
          workpiece={bench.progress.workpiece}
          alive={bench.progress.alive}
          parts={tray.parts.length > 1 ? parts : []}
          onWrong={bench.lose}
          onNote={bench.noteDown}
          onBack={bench.onEsc}
        />
      ) : panel.kind === 'failed' ? (
        <FailedPanel parts={parts} onFailed={bench.failed} onBack={bench.onEsc} />
      ) : panel.kind === 'colour' && bench.colour ? (
        <ColourPanel run={`${bench.colour.run} ${bench.colour.runs + 1}`} onSeen={bench.sawColour} onBack={bench.onEsc} />
      ) : (
        <Box sx={{ flex: 1, display: 'grid', alignItems: 'center' }}>
          {goal ? (
            <EtchPanel goal={goal} onStopped={bench.noteDown} />
          ) : (
            <Box sx={{ '&:has(+ [aria-label="Thermometer"])': { width: '60%', mx: 'auto' } }}>
              <Work step={step} part={partOf(tray, step)} />
            </Box>
          )}
          {heat ? <HeatPanel key={step.id} goal={heat} onStopped={bench.noteDown} /> : null}
          <StepColours step={step} alloy={partOf(tray, step)?.alloy} />
        </Box>
      )}
      {panel.kind === 'wrong' ? null : <Measured tray={tray} step={step} bench={bench} kept={kept} />}
    </Box>
  )
}

/** What can be pressed at this step, with the key that presses it, and where the tray stands. */
function Actions({ tray, step, bench, kept, isHeld }: StepProps & { readonly isHeld: boolean }) {
  const { progress } = bench
  return (
    <Box
      sx={{
        display: 'flex',
        gap: { xs: 1, md: 2 },
        alignItems: 'center',
        px: { xs: 2, md: 3.5 },
        pt: 2,
        pb: 1.5,
        flexWrap: 'wrap',
        position: { xs: 'sticky', md: 'static' },
        bottom: 0,
        zIndex: 2,
        bgcolor: PALETTE.petrolDeep,
        borderTop: { xs: `1px solid ${PALETTE.petrolLine}`, md: 'none' },
      }}
    >
      {isHeld ? null : (
        <BigButton main onPress={bench.isTest ? bench.passed : bench.done} keyId="done">
          {bench.isTest ? 'It holds' : step.together ? 'Done, whole tray' : 'Done, next piece'}
        </BigButton>
      )}
      {bench.isTest ? <BigButton onPress={() => bench.show('failed')}>It failed</BigButton> : null}
      {step.target || bench.isTest ? (
        <BigButton onPress={bench.measure} keyId="measure">
          {bench.isTest ? 'Measure the gap' : 'Take a reading'}
        </BigButton>
      ) : null}
      {step.target && !bench.isTest ? <BigButton onPress={() => bench.show('type')}>Type it</BigButton> : null}
      {bench.colour && !isHeld ? (
        <BigButton onPress={bench.measure} keyId="measure">
          {bench.colour.run} {bench.colour.runs + 1} of {Math.max(bench.colour.planned, bench.colour.runs + 1)}
        </BigButton>
      ) : null}
      <BigButton onPress={() => bench.show('wrong')} keyId="wrong">
        It went wrong
      </BigButton>
      <BigButton onPress={bench.takeBack} keyId="takeBack">
        Take back
      </BigButton>
      <Box role="status" sx={{ fontSize: 17, color: '#9fe0cf' }}>
        {bench.said}
      </Box>
      <Box sx={{ flex: 1 }} />
      <Box sx={{ fontSize: 19 }}>
        {step.together ? (
          <>
            all <b className="fig">{progress.alive.length}</b> together
          </>
        ) : (
          <>
            piece{' '}
            <b className="fig" data-testid="piece-number">
              {progress.workpiece}
            </b>{' '}
            of <b className="fig">{tray.size}</b>
            {step.only === undefined ? null : ', this piece alone'}
          </>
        )}
        {kept === null ? null : (
          <>
            , kept <b className="fig">{formatPlain(kept, 2)}</b>
          </>
        )}
        {bench.measuredMm === null ? null : (
          <>
            , gap <b className="fig">{formatPlain(bench.measuredMm, 2)}</b> mm
          </>
        )}
      </Box>
    </Box>
  )
}

/** Where a step stands in the frozen route; one of rework where the step does that asked for it or that it does again. */
function placeInRoute({ steps }: BenchTrayView, { id }: BenchStepView): number {
  return steps.findIndex((step) => step.id === routeStepOf(id))
}

/** What was measured of the part in hand, of this piece of the tray, in the order it was. */
function readingsOf(bench: Bench, { part }: BenchStepView): BenchEntry[] {
  const workpiece = bench.progress.workpiece ?? 1
  const own = new Set(bench.steps.filter((step) => step.part === part).map(({ id }) => id))
  return bench.entries.filter((entry) => entry.kind === 'reading' && entry.workpiece === workpiece && own.has(entry.stepId ?? ''))
}

/** What this piece comes out at by the blank that was measured; none where it was not, or nothing follows from it. */
function comingOut(tray: BenchTrayView, bench: Bench, step: BenchStepView): string {
  const part = partOf(tray, step)
  if (!part || !step.target) return ''
  const before = bench.steps.slice(0, bench.steps.indexOf(step)).filter((one) => one.part === step.part)
  const dimension = blankDimension(before, part)
  const cutMm = readingsOf(bench, step).findLast((entry) => entry.dimension === dimension)?.value ?? null
  const out = cutMm === null ? undefined : comesOutMm(part, step.target.dimension, cutMm)
  return out === undefined ? '' : `As this one was cut it comes out at ${formatPlain(out, 2)} mm.`
}

/** What the readings of the piece in hand at this step say together. */
function seriesHere(bench: Bench, step: BenchStepView): string {
  const { target } = step
  if (!target) return ''
  const workpiece = bench.progress.workpiece ?? 1
  const here = bench.entries.filter((entry) => entry.kind === 'reading' && entry.stepId === step.id && entry.workpiece === workpiece)
  return seriesWords(
    here.flatMap(({ value, dimension }) => (value !== null && dimension === target.dimension ? [value] : [])),
    target,
  )
}

/** The last reading of the piece in hand at this step. */
function lastKept(bench: Bench, step: BenchStepView): number | null {
  const workpiece = bench.progress.workpiece ?? 1
  return (
    bench.entries.findLast((entry) => entry.kind === 'reading' && entry.stepId === step.id && entry.workpiece === workpiece)?.value ?? null
  )
}

/** What must be put away before this step is begun. */
function Held({ against }: { readonly against: string }) {
  if (against === '') return null
  return (
    <Box role="alert" sx={{ mx: 3.5, mt: 1, p: 1.5, border: `3px solid ${PALETTE.fireBench}`, fontSize: 19 }}>
      <b>Stop. </b>
      {against}
    </Box>
  )
}

/** The keys of a step; not those that go on where something has to be put away first. */
function useBenchKeys(bench: Bench, isHeld: boolean): void {
  const { panel, step } = bench
  const bare = panel.kind === 'none'
  const free = bare && !isHeld
  useKeys({
    done: free && step ? (bench.isTest ? bench.passed : bench.done) : undefined,
    measure: free ? bench.measure : undefined,
    subTray: bare && bench.others[0] ? () => bench.takeUp(bench.others[0]?.id ?? '') : undefined,
    wrong: bare && step ? () => bench.show('wrong') : undefined,
    takeBack: bare ? bench.takeBack : undefined,
    undo: bare ? bench.takeBack : undefined,
    choose1: panel.kind === 'ask' && panel.far.meantMm !== null ? () => bench.answer(panel.far.meantMm ?? 0) : undefined,
    choose2: panel.kind === 'ask' ? () => bench.answer(panel.far.readMm) : undefined,
    back: bench.onEsc,
  })
}

/** One step at a time, full screen, for full hands: a few keys and no drag. Where the tray stands is told here, server or no server. */
export function BenchStep({ tray }: { readonly tray: BenchTrayView }) {
  const bench = useBench(tray)
  const { panel, step } = bench
  useAwake()
  const against = useChemistry(tray.beside, step)
  useBenchKeys(bench, against !== '')
  const shell = { minHeight: '100vh', bgcolor: PALETTE.petrolDeep, color: PALETTE.petrolText, display: 'flex', flexDirection: 'column' }
  const unsent = (
    <WaitingEntries
      waiting={bench.waitingCount}
      reached={bench.reached}
      refused={bench.refused}
      onDrop={(order) => void bench.drop(order)}
    />
  )
  if (!step)
    return (
      <Box component="main" sx={shell}>
        {unsent}
        <Finished tray={tray} bench={bench} />
      </Box>
    )
  const index = placeInRoute(tray, step)
  const kept = lastKept(bench, step)
  return (
    <Box component="main" sx={shell}>
      <Head tray={tray} bench={bench} step={step} />
      {unsent}
      <OtherWaits waits={tray.waits} />
      <Held against={against} />
      <SubTrayBar here={step} others={bench.others} onTakeUp={bench.takeUp} />
      <Box
        sx={{
          flex: 1,
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '1fr 1fr' },
          gap: { xs: 2, md: 7 },
          px: 3.5,
          pt: 1.5,
        }}
      >
        <StepFacts step={step} walk={tray.walk} index={index} readings={readingsOf(bench, step)} sawPlan={tray.sawPlan} />
        <Side tray={tray} step={step} bench={bench} kept={kept} />
      </Box>
      {panel.kind === 'type' && (bench.isTest || step.target) ? (
        <ReadingBox
          label={bench.isTest ? 'Gap, mm' : (step.target?.label ?? '')}
          value={bench.draft}
          onChange={bench.setDraft}
          onTake={(text) => bench.take(text, 'typed', 'type')}
        />
      ) : null}
      {panel.kind === 'check' ? <OnCheckPiece bench={bench} /> : null}
      {panel.kind === 'ask' ? <FarQuestion panel={panel} onAnswer={bench.answer} onBack={bench.onEsc} /> : null}
      {panel.kind === 'ask' || panel.kind === 'wrong' || panel.kind === 'failed' ? null : (
        <Actions tray={tray} step={step} bench={bench} kept={kept} isHeld={against !== ''} />
      )}
      <Box sx={{ px: 3.5, pb: 1 }}>
        <Ribbon walk={tray.walk} dark now={index} piece={tray.thumb} hasHead={false} />
      </Box>
    </Box>
  )
}
