'use client'
import Box from '@mui/material/Box'
import { useMemo } from 'react'
import { counted, type HeatGoal, heatSays, heatSureness, heatTold, THERMOMETER_FAULTS, type ThermometerFault } from '@/core/instruments'
import { findAlloy } from '@/core/metals'
import { heatGoalOf } from '@/core/operations'
import { formatPlain } from '@/core/units'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'
import { BigButton } from './big-button'
import { Dial } from './dial'
import type { BenchStepView } from './tray-view'
import { PRACTICE_S, useThermometer } from './use-thermometer'

interface HeatPanelProps {
  readonly goal: HeatGoal
  /** Keeps what came of the heat, in words. */
  readonly onStopped: (words: string) => void
}

/** What a thermometer is watched for at a step of a metal; none where no temperature is asked for. */
export function useHeatGoal({ op, params }: Pick<BenchStepView, 'op' | 'params'>, alloy: string | undefined): HeatGoal | undefined {
  const metal = findAlloy(alloy ?? '')
  return useMemo(() => metal && heatGoalOf(op, params, metal), [op, params, metal])
}

const COLOURS = { heat: PALETTE.petrolText, hold: PALETTE.verdigrisBench, away: PALETTE.fireBench, look: PALETTE.ribbonNow } as const
const SWITCH: Readonly<Record<HeatGoal['by'], { readonly on: string; readonly off: string }>> = {
  torch: { on: 'Flame on', off: 'Flame away' },
  kiln: { on: 'Kiln on', off: 'Kiln off' },
}

const FAULT_WORDS: Readonly<Record<ThermometerFault, string>> = {
  broken: 'a broken wire',
  'off the metal': 'off the metal',
  low: 'an old couple',
}

/** Where the reading stands between cold and the heat that melts the metal, with the band it is to be in. */
function HeatScale({ goal, shownC }: { readonly goal: HeatGoal; readonly shownC: number | null }) {
  const { targetC, withinC, limitC } = goal
  const at = (tempC: number) => `${100 * Math.min(1, Math.max(0, tempC / limitC))}%`
  return (
    <Box aria-hidden sx={{ position: 'relative', pt: 1.5, pb: 3 }}>
      <Box sx={{ position: 'relative', height: 14, bgcolor: PALETTE.petrolLine, borderRight: `4px solid ${PALETTE.fireBench}` }}>
        <Box
          sx={{
            position: 'absolute',
            top: 0,
            bottom: 0,
            left: at(targetC - withinC),
            width: `${(200 * withinC) / limitC}%`,
            bgcolor: PALETTE.verdigrisBench,
          }}
        />
        {shownC === null ? null : (
          <Box
            sx={{
              position: 'absolute',
              left: at(shownC),
              top: -14,
              transform: 'translateX(-50%)',
              borderLeft: '9px solid transparent',
              borderRight: '9px solid transparent',
              borderTop: '13px solid #fff',
            }}
          />
        )}
      </Box>
      <Box className="fig" sx={{ position: 'relative', fontSize: 15, color: PALETTE.petrolText, pt: 0.5 }}>
        <Box sx={{ position: 'absolute', left: at(targetC), transform: 'translateX(-50%)' }}>{formatPlain(targetC, 0)} °C</Box>
        <Box sx={{ position: 'absolute', right: 0, color: PALETTE.fireBench }}>melts {formatPlain(limitC, 0)} °C</Box>
      </Box>
    </Box>
  )
}

type Heat = ReturnType<typeof useThermometer>

/** How hot it is, for how long it was held, and what to do now. */
function Readings({ goal, heat }: { readonly goal: HeatGoal; readonly heat: Heat }) {
  const { run, isOn, problem } = heat
  const said = heatSays(goal, run)
  const off = run.seconds > 0 ? 'The heat is off.' : ''
  const sureness = run.lastC === null || !isOn ? '' : heatSureness(goal, run.lastC)
  return (
    <>
      <Box sx={{ display: 'flex', gap: 4, flexWrap: 'wrap' }}>
        <Dial
          label={`On the metal, to be ${formatPlain(goal.targetC, 0)} ± ${formatPlain(goal.withinC, 0)} °C`}
          value={run.lastC === null ? '–' : `${formatPlain(run.lastC, 0)} °C`}
          colour={COLOURS[said.kind]}
        />
        <Dial label={`Held, of ${counted(goal.holdS)}`} value={counted(run.heldS)} />
      </Box>
      <HeatScale goal={goal} shownC={run.lastC} />
      <Box
        role="status"
        aria-label="What the thermometer says"
        sx={{ fontSize: 18, fontWeight: 650, minHeight: 27, color: COLOURS[said.kind] }}
      >
        {problem || (isOn ? said.says : off)}
        {sureness ? <Box sx={{ fontSize: 15, fontWeight: 400, color: PALETTE.petrolMuted }}>{sureness}</Box> : null}
      </Box>
    </>
  )
}

/** What can go wrong with the stand-in, put in by a press and mended by the next. */
function Faults({ heat }: { readonly heat: Heat }) {
  if (!heat.isOn || heat.isCabled) return null
  return THERMOMETER_FAULTS.map((kind) => (
    <BigButton key={kind} plain onPress={() => heat.practise(kind)}>
      {heat.fault === kind ? `mend: ${FAULT_WORDS[kind]}` : FAULT_WORDS[kind]}
    </BigButton>
  ))
}

/** The thermometer under a heat that asks for a temperature; where nothing is simulated, only one that is connected. */
export function HeatPanel({ goal, onStopped }: HeatPanelProps) {
  const { practice } = useWorkshop()
  const heat = useThermometer(goal, practice)
  const isWatched = practice || heat.isCabled
  if (!isWatched && !heat.canConnect) return null
  const away = () => {
    heat.end()
    onStopped(heatTold(heat.run, goal, heat.isCabled ? 'Thermometer' : 'Simulated thermometer'))
  }
  return (
    <Box component="section" aria-label="Thermometer" sx={{ px: 3, pb: 2, display: 'grid', gap: 1 }}>
      {isWatched ? <Readings goal={goal} heat={heat} /> : null}
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
        {isWatched ? <BigButton onPress={heat.isOn ? away : heat.begin}>{SWITCH[goal.by][heat.isOn ? 'off' : 'on']}</BigButton> : null}
        {heat.canConnect && !heat.isOn ? (
          <BigButton plain onPress={() => void heat.connect()}>
            connect a thermometer
          </BigButton>
        ) : null}
        <Faults heat={heat} />
      </Box>
      {isWatched && !heat.isCabled ? (
        <Box sx={{ fontSize: 15, color: PALETTE.petrolMuted }}>
          Simulated thermometer: {goal.by === 'torch' ? `${PRACTICE_S.torch} seconds go` : 'a minute goes'} by at each reading
          {heat.isOn ? '; beside the switch what can go wrong, to practise.' : '.'}
        </Box>
      ) : null}
    </Box>
  )
}
