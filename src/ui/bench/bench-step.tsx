'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { useCallback, useEffect, useState } from 'react'
import type { Target } from '@/core/forms'
import type { TrayProgress } from '@/core/logbook'
import type { BenchWords } from '@/core/operations'
import type { TemperWalk } from '@/core/route'
import { formatPlain } from '@/core/units'
import { logEvent } from '@/server/actions/bench'
import { Ribbon } from '../route/ribbon'
import { FONTS, PALETTE } from '../theme/palette'
import { BigButton } from './big-button'
import { resendReadings, sendReading, unsentReadings } from './send-reading'
import { StepPicture } from './step-picture'
import { TargetBand } from './target-band'
import { useCalipers } from './use-calipers'
import { WaitClock } from './wait-clock'
import { WrongPanel } from './wrong-panel'

export interface BenchStepProps {
  readonly tray: {
    readonly id: number
    readonly pieceId: number
    readonly name: string
    readonly size: number
    readonly alloyTitle: string
    readonly thicknessMm: number
    readonly colour: string
  }
  readonly step: {
    readonly id: string
    readonly op: string
    readonly number: number
    readonly count: number
    readonly together: boolean
    readonly caution: string | null
    readonly target: Target | null
    readonly params: Readonly<Record<string, unknown>>
  } | null
  readonly words: BenchWords | null
  readonly progress: TrayProgress
  readonly walk: TemperWalk
  readonly lastReading: { readonly valueMm: number; readonly instrument: string } | null
  readonly waiting: { readonly title: string; readonly sinceAt: string; readonly waitS: number } | null
}

type Panel = 'none' | 'type' | 'wrong'

function useBench({ tray, step, progress }: BenchStepProps) {
  const router = useRouter()
  const [panel, setPanel] = useState<Panel>('none')
  const [said, setSaid] = useState('')
  const [busy, setBusy] = useState(false)
  const calipers = useCalipers(step?.target?.valueMm ?? null, `${step?.id}-${progress.workpiece}`)

  const log = useCallback(
    async (kind: 'done' | 'wrong' | 'note', text = '') => {
      if (!step) return
      setBusy(true)
      const logged = await logEvent({
        trayId: tray.id,
        stepId: step.id,
        workpiece: kind === 'wrong' ? (progress.workpiece ?? progress.alive[0] ?? 1) : progress.workpiece,
        kind,
        text,
      })
      setBusy(false)
      setPanel('none')
      setSaid(logged.ok ? (kind === 'note' ? 'Note kept.' : '') : logged.message)
      router.refresh()
    },
    [step, tray.id, progress, router],
  )

  useEffect(() => {
    const timer = setInterval(async () => {
      if (unsentReadings().length === 0 || (await resendReadings()) === 0) return
      setSaid('The waiting readings are kept now.')
      router.refresh()
    }, 3000)
    return () => clearInterval(timer)
  }, [router])

  const take = useCallback(
    async (value: number | string, instrument: string) => {
      if (!step?.target) return
      const sent = await sendReading(tray.id, {
        workpiece: progress.workpiece ?? 1,
        stepId: step.id,
        dimension: step.target.dimension,
        value,
        instrument,
      })
      setSaid(sent.outcome === 'kept' ? `Kept: ${formatPlain(sent.valueMm, 2)} mm.` : sent.message)
      if (sent.outcome === 'refused') return
      setPanel('none')
      router.refresh()
    },
    [step, tray.id, progress.workpiece, router],
  )

  return { panel, setPanel, said, busy, calipers, log, take, leave: () => router.push('/bench') }
}

/** Space, M, X and Esc; none of them while something is being typed. */
function useKeys(actions: Readonly<Record<string, (() => void) | undefined>>) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement
      if (typing && event.key !== 'Escape') return
      if (event.target instanceof HTMLButtonElement && (event.key === ' ' || event.key === 'Enter')) return
      const action = actions[event.key.toLowerCase()]
      if (!action) return
      event.preventDefault()
      action()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [actions])
}

function Facts({ words, walk, index }: { readonly words: BenchWords; readonly walk: TemperWalk; readonly index: number }) {
  const before = walk.steps[index - 1] ?? walk.start
  const rows = [
    ...words.facts,
    {
      label: 'Metal now',
      value: `${before.temper.replaceAll('-', ' ')}, ${Math.round(100 * before.workLeftFraction)} % of its stretch left`,
    },
  ]
  return (
    <Box component="dl" sx={{ display: 'grid', gridTemplateColumns: 'max-content 1fr', columnGap: 3.5, rowGap: 1, my: 2.5, fontSize: 18 }}>
      {rows.map((row) => (
        <Box key={row.label} sx={{ display: 'contents' }}>
          <Box component="dt" sx={{ color: PALETTE.petrolMuted }}>
            {row.label}
          </Box>
          <Box component="dd" sx={{ m: 0, fontFamily: FONTS.mono }}>
            {row.value}
          </Box>
        </Box>
      ))}
    </Box>
  )
}

function Callout({ colour, label, children }: { readonly colour: string; readonly label: string; readonly children: string }) {
  return (
    <Box sx={{ borderLeft: `5px solid ${colour}`, bgcolor: '#2a2a25', px: 2.25, py: 1.5, mt: 1.5, fontSize: 18, lineHeight: 1.4 }}>
      <b>{label}</b> {children}
    </Box>
  )
}

function Finished({ props, leave }: { readonly props: BenchStepProps; readonly leave: () => void }) {
  const { tray, progress } = props
  return (
    <Box sx={{ p: 4 }}>
      <Typography component="h1" sx={{ fontFamily: FONTS.head, fontSize: 46, fontWeight: 700, color: '#fff' }}>
        The tray is finished
      </Typography>
      <Typography sx={{ fontSize: 20, my: 2 }}>
        {progress.alive.length} of {tray.size} came through{progress.lost.length > 0 ? `, ${progress.lost.length} went wrong` : ''}.
      </Typography>
      <Box sx={{ display: 'flex', gap: 2 }}>
        <BigButton main onPress={leave} keyName="Esc">
          Leave the bench
        </BigButton>
        <BigButton href={`/pieces/${tray.pieceId}/record`}>See the record</BigButton>
      </Box>
    </Box>
  )
}

interface ActionsProps {
  readonly step: NonNullable<BenchStepProps['step']>
  readonly progress: TrayProgress
  readonly size: number
  readonly kept: number | null
  readonly bench: ReturnType<typeof useBench>
  readonly onMeasure: () => void
}

/** What can be pressed at this step, with the key that presses it, and where the tray stands. */
function Actions({ step, progress, size, kept, bench, onMeasure }: ActionsProps) {
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', px: 3.5, pt: 2, pb: 1.5, flexWrap: 'wrap' }}>
      <BigButton main onPress={() => void bench.log('done')} keyName="Space" disabled={bench.busy}>
        {step.together ? 'Done, whole tray' : 'Done, next piece'}
      </BigButton>
      {step.target ? (
        <BigButton onPress={onMeasure} keyName="M">
          Take this reading
        </BigButton>
      ) : null}
      {step.target ? <BigButton onPress={() => bench.setPanel(bench.panel === 'type' ? 'none' : 'type')}>Type a reading</BigButton> : null}
      <BigButton onPress={() => bench.setPanel('wrong')} keyName="X">
        It went wrong
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
            of <b className="fig">{size}</b>
          </>
        )}
        {kept !== null ? (
          <>
            , kept <b className="fig">{formatPlain(kept, 2)}</b>
          </>
        ) : null}
      </Box>
    </Box>
  )
}

/** One step at a time, full screen, for full hands: four keys and no drag. */
export function BenchStep(props: BenchStepProps) {
  const { tray, step, words, progress, walk, lastReading, waiting } = props
  const bench = useBench(props)
  const { panel, setPanel, calipers } = bench
  const steady = calipers?.steady ?? false
  const measure = () => {
    if (step?.target) {
      if (calipers && steady) void bench.take(calipers.valueMm, calipers.instrument)
      else setPanel('type')
    }
  }
  useKeys({
    ' ': panel === 'none' && step && !bench.busy ? () => void bench.log('done') : undefined,
    m: panel === 'none' ? measure : undefined,
    x: panel === 'none' && step ? () => setPanel('wrong') : undefined,
    escape: panel === 'none' ? bench.leave : () => setPanel('none'),
  })
  const shell = { minHeight: '100vh', bgcolor: PALETTE.petrolDeep, color: PALETTE.petrolText, display: 'flex', flexDirection: 'column' }
  if (!step || !words)
    return (
      <Box component="main" sx={shell}>
        <Finished props={props} leave={bench.leave} />
      </Box>
    )
  return (
    <Box component="main" sx={shell}>
      <Box
        component="header"
        sx={{ display: 'flex', gap: 2, alignItems: 'center', px: 3.5, pt: 2, fontSize: 17, color: PALETTE.petrolMuted, flexWrap: 'wrap' }}
      >
        <Box sx={{ color: '#fff', fontWeight: 650, fontSize: 20, fontFamily: FONTS.head }}>{tray.name}</Box>
        <span>
          tray of {tray.size}, {tray.alloyTitle} <span className="fig">{formatPlain(tray.thicknessMm, 2)} mm</span>
        </span>
        {waiting ? (
          <Box sx={{ color: PALETTE.fireBench }}>
            <WaitClock {...waiting} />
          </Box>
        ) : null}
        <Box sx={{ flex: 1 }} />
        <span>
          step {step.number} of {step.count}
        </span>
        <BigButton plain onPress={bench.leave} keyName="Esc">
          leave the bench
        </BigButton>
      </Box>
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
        <Box>
          <Typography
            component="h1"
            sx={{ fontFamily: FONTS.head, fontSize: { xs: 41, md: 46 }, fontWeight: 650, lineHeight: 1.1, color: '#fff' }}
          >
            {words.title}
          </Typography>
          <Typography sx={{ fontSize: 20, lineHeight: 1.42, mt: 1.5, maxWidth: 580 }}>{words.say}</Typography>
          <Facts words={words} walk={walk} index={step.number - 1} />
          {words.watch ? (
            <Callout colour={PALETTE.fireBench} label="Watch.">
              {words.watch}
            </Callout>
          ) : null}
          {step.caution ? (
            <Callout colour="#c9a24a" label="Care.">
              {step.caution}
            </Callout>
          ) : null}
        </Box>
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
          {panel === 'wrong' ? (
            <WrongPanel
              onWrong={(reason) => void bench.log('wrong', reason)}
              onNote={(text) => void bench.log('note', text)}
              onBack={() => setPanel('none')}
            />
          ) : (
            <Box sx={{ flex: 1, display: 'grid', alignItems: 'center' }}>
              <StepPicture op={step.op} params={step.params} metal={tray.colour} />
            </Box>
          )}
          {step.target && panel !== 'wrong' ? (
            <TargetBand
              target={step.target}
              valueMm={calipers?.valueMm ?? lastReading?.valueMm ?? null}
              source={calipers ? 'from the simulated calipers' : lastReading ? 'as kept' : 'no calipers'}
            />
          ) : null}
        </Box>
      </Box>
      {panel === 'type' && step.target ? <TypeReading label={step.target.label} onTake={(text) => void bench.take(text, 'typed')} /> : null}
      <Actions step={step} progress={progress} size={tray.size} kept={lastReading?.valueMm ?? null} bench={bench} onMeasure={measure} />
      <Box sx={{ px: 3.5, pb: 1 }}>
        <Ribbon walk={walk} dark now={step.number - 1} hasHead={false} />
      </Box>
    </Box>
  )
}

function TypeReading({ label, onTake }: { readonly label: string; readonly onTake: (text: string) => void }) {
  const [text, setText] = useState('')
  return (
    <Box
      component="form"
      sx={{ px: 3.5, pt: 2, display: 'flex', gap: 2, alignItems: 'center', fontSize: 18 }}
      onSubmit={(event: React.FormEvent) => {
        event.preventDefault()
        onTake(text)
      }}
    >
      <label htmlFor="typed-reading">{label}</label>
      <Box
        component="input"
        id="typed-reading"
        autoFocus
        autoComplete="off"
        value={text}
        onChange={(event: React.ChangeEvent<HTMLInputElement>) => setText(event.target.value)}
        sx={{
          height: 56,
          width: 190,
          fontSize: 24,
          fontFamily: FONTS.mono,
          bgcolor: '#0c1516',
          color: '#fff',
          border: `2px solid ${PALETTE.verdigrisBench}`,
          borderRadius: '4px',
          px: 1.5,
        }}
      />
      <BigButton type="submit">Keep it</BigButton>
    </Box>
  )
}
