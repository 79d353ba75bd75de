'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import { memo } from 'react'
import { workUsedBand } from '@/core/forming'
import type { TemperState, TemperWalk } from '@/core/route'
import type { PieceThumb } from '@/server/services/piece-thumb'
import { Thumb } from '../drawing/thumb'
import { PALETTE } from '../theme/palette'

interface RibbonProps {
  readonly walk: TemperWalk
  readonly dark?: boolean
  /** The step in hand, at the bench. */
  readonly now?: number
  /** The piece itself: it stands over the step it is at. */
  readonly piece?: PieceThumb | null
  readonly onAnneal?: (before: number) => void
  readonly hasHead?: boolean
  /** The metal were an anneal left out, by step: drawn over what it is. */
  readonly without?: readonly (TemperState | null)[] | undefined
  /** Where it stands under the strands of a route: its bars under their steps, each known by its step’s name, and scrolled with them. */
  readonly under?: { readonly left: number; readonly column: number; readonly ids: readonly string[] }
}

const HEIGHT = 78
const FIGURE_HEIGHT = 16

function barHeight(workUsed: number): number {
  return Math.max(4, Math.min(1.12, workUsed) * (HEIGHT - 10))
}

function barColour(state: TemperState, dark: boolean, isNow: boolean): string {
  if (state.light === 'red') return dark ? PALETTE.fireBench : PALETTE.ribbonRed
  if (isNow) return PALETTE.ribbonNow
  return dark ? PALETTE.ribbonBench : PALETTE.ribbon
}

/** A place in a sentence: at the rim, under the stamp. */
export const placeWords = (region: string) => (/^(under|beside|over) /.test(region) ? region : `at the ${region}`)

function sayState(state: TemperState): string {
  const left = Math.round(100 * state.workLeftFraction)
  const { low, high } = state.hardnessBand
  const most = state.regions.length > 1 ? `, most worked ${placeWords(state.worstRegion)}` : ''
  return `${state.title}: ${state.temper.replaceAll('-', ' ')}${most}, hardness about ${state.shownHv} HV (${Math.round(low)} to ${Math.round(high)}), ${left} % work left, plus or minus ${Math.round(100 * state.plusMinusFraction)}`
}

/** How many bars can carry their name at this many steps; past it, only the names that matter. */
function labelOf(state: TemperState): string {
  return state.title
    .replace(/^Dome with the (.+) punch$/, '$1 punch')
    .replace(/^Saw .*/, 'saw')
    .replace(/^File .*/, 'file')
    .replace(/^Sand and finish$|^Finish.*/, 'finish')
    .replace(/^True up.*/, 'true up')
    .replace(/^Solder.*/, 'solder')
    .replace(/^Bend.*/, 'bend')
    .replace(/^Drill (.+)/, 'drill $1')
    .replace(/^(Rivet|Melt) .*/, '$1')
    .replace(/^Set the stone.*/, 'set the stone')
    .toLowerCase()
}

interface RibbonStepProps {
  readonly state: TemperState
  readonly dark: boolean
  readonly isNow: boolean
  readonly piece: PieceThumb | null
  /** Whether it says its name: under the strands of a route the tags do. */
  readonly isNamed: boolean
  readonly onAnneal: (() => void) | undefined
  readonly without: TemperState | undefined
}

const STRIPES = 'repeating-linear-gradient(45deg, transparent 0 5px, rgba(80,20,0,.35) 5px 7px)'
const UNSEEN = { position: 'absolute', width: 1, height: 1, overflow: 'hidden', clipPath: 'inset(50%)' } as const

/** How far up a work used may really reach, and how far down: 10 to 90 %. */
function Whisker({ workUsed, colour }: { readonly workUsed: number; readonly colour: string }) {
  if (workUsed < 0.02) return null
  const { low, high } = workUsedBand(workUsed)
  const [bottom, top] = [barHeight(low), barHeight(high)]
  return (
    <div aria-hidden style={{ position: 'absolute', left: '50%', marginLeft: -4, width: 9, bottom, height: top - bottom, color: colour }}>
      <div style={{ borderTop: '1.5px solid', borderBottom: '1.5px solid', height: '100%', boxSizing: 'border-box' }} />
      <div style={{ position: 'absolute', left: 3.5, top: 0, bottom: 0, borderLeft: '1.5px solid' }} />
    </div>
  )
}

/** A difference in work used smaller than this is not seen. */
const SEEN = 0.01

/** The bar were an anneal left out: an outline over what is. */
function Ghost({ state }: { readonly state: TemperState }) {
  return (
    <div
      className="ribbon-without"
      data-work={state.workUsedFraction.toFixed(3)}
      style={{
        position: 'absolute',
        left: 1,
        right: 1,
        bottom: 0,
        height: barHeight(state.workUsedFraction),
        border: `2px dashed ${state.light === 'green' ? PALETTE.ink : PALETTE.fire}`,
        borderBottom: 'none',
        boxSizing: 'border-box',
      }}
    />
  )
}

/** The bar itself, with its figure and the flame of a heat; plain elements, for a route has a hundred of them. */
function Bar({ state, dark, isNow, piece, without }: Pick<RibbonStepProps, 'state' | 'dark' | 'isNow' | 'piece' | 'without'>) {
  const { workUsedFraction, heat, light, shownHv } = state
  const height = barHeight(workUsedFraction)
  const flame = '8px solid transparent'
  const over = barHeight(workUsedBand(workUsedFraction).high) + (heat ? 9 : 1)
  // where its whisker reaches the top, its figure stands at the foot of the bar
  const figureAt = over > HEIGHT - FIGURE_HEIGHT ? 4 : over
  return (
    <div style={{ height: HEIGHT, display: 'flex', alignItems: 'flex-end', position: 'relative' }}>
      <div
        className="ribbon-bar"
        data-work={workUsedFraction.toFixed(3)}
        style={{
          width: '100%',
          height,
          backgroundColor: barColour(state, dark, isNow),
          transition: 'height 160ms',
          backgroundImage: light === 'red' ? STRIPES : 'none',
        }}
      />
      <Whisker workUsed={workUsedFraction} colour={dark ? PALETTE.petrolMuted : PALETTE.muted} />
      {without && Math.abs(without.workUsedFraction - workUsedFraction) > SEEN ? <Ghost state={without} /> : null}
      {piece ? (
        <div style={{ position: 'absolute', left: '50%', bottom: 8, marginLeft: -26, zIndex: 1 }}>
          <Thumb {...piece} size={52} />
        </div>
      ) : null}
      {dark ? null : (
        <div
          className="fig"
          aria-hidden
          style={{
            position: 'absolute',
            left: 0,
            right: 0,
            bottom: figureAt,
            textAlign: 'center',
            fontSize: 12,
            color: figureAt < over ? PALETTE.ink : PALETTE.muted,
          }}
        >
          <span style={figureAt < over ? { backgroundColor: PALETTE.white, padding: '0 3px', borderRadius: 2 } : undefined}>{shownHv}</span>
        </div>
      )}
      {heat ? (
        <div
          aria-hidden
          style={{
            position: 'absolute',
            bottom: -3,
            left: '50%',
            marginLeft: -8,
            borderLeft: flame,
            borderRight: flame,
            borderBottom: `13px solid ${dark ? PALETTE.fireBench : PALETTE.fire}`,
          }}
        />
      ) : null}
    </div>
  )
}

/** Whether a bar looks and says the same: the metal is worked out anew with every change of the route. */
function isSame(a: RibbonStepProps, b: RibbonStepProps): boolean {
  return (
    a.state.workUsedFraction === b.state.workUsedFraction &&
    a.state.heat === b.state.heat &&
    a.state.light === b.state.light &&
    sayState(a.state) === sayState(b.state) &&
    a.without?.workUsedFraction === b.without?.workUsedFraction &&
    a.dark === b.dark &&
    a.isNow === b.isNow &&
    a.piece === b.piece &&
    a.isNamed === b.isNamed &&
    !a.onAnneal &&
    !b.onAnneal
  )
}

/** Under the strands of a route there are a hundred bars, each as high as the other: what is out of view is not drawn. */
const NOT_OUT_OF_VIEW = { contentVisibility: 'auto', containIntrinsicHeight: `${HEIGHT}px` } as const

const RibbonStep = memo(function RibbonStep({ state, dark, isNow, piece, isNamed, onAnneal, without }: RibbonStepProps) {
  const text = dark ? PALETTE.petrolText : PALETTE.ink
  return (
    <li title={sayState(state)} style={{ ...(isNamed || onAnneal ? {} : NOT_OUT_OF_VIEW), flex: 1, minWidth: 0, position: 'relative' }}>
      <Bar state={state} dark={dark} isNow={isNow} piece={piece} without={without} />
      <div
        style={{
          borderTop: `1px solid ${dark ? PALETTE.petrolLine : PALETTE.hairline}`,
          padding: '4px 2px 0',
          fontSize: dark ? 16 : 12.5,
          textAlign: 'center',
          lineHeight: 1.15,
          overflowWrap: 'break-word',
          fontWeight: isNow ? 700 : 400,
          color: dark && !isNow ? PALETTE.petrolMuted : text,
        }}
      >
        {isNamed ? labelOf(state) : ''}
        <span style={UNSEEN}>{sayState(state)}</span>
      </div>
      {onAnneal ? (
        <ButtonBase
          onClick={onAnneal}
          sx={{
            display: 'block',
            mx: 'auto',
            mt: 0.25,
            border: `1px solid ${PALETTE.fire}`,
            bgcolor: PALETTE.white,
            color: PALETTE.fire,
            borderRadius: '4px',
            fontSize: 12,
          }}
        >
          anneal before
        </ButtonBase>
      ) : null}
    </li>
  )
}, isSame)

/** The temper ribbon: how hard the metal is after each step, where it was softened, where it would split. */
export function Ribbon({ walk, dark = false, now, piece = null, onAnneal, hasHead = true, without, under }: RibbonProps) {
  const last = walk.steps.reduce(
    (worst, state) => (state.workUsedFraction > worst.workUsedFraction ? state : worst),
    walk.steps[0] ?? walk.start,
  )
  const text = dark ? PALETTE.petrolText : PALETTE.ink
  const limitTop = HEIGHT - (HEIGHT - 10)
  return (
    <Box
      component="section"
      aria-label="Temper along the route"
      sx={{
        bgcolor: dark ? 'transparent' : PALETTE.white,
        color: text,
        borderTop: dark ? 'none' : `1px solid ${PALETTE.hairline}`,
        px: dark || under ? 0 : 2.5,
        pt: dark ? 0 : 1,
        pb: 1,
      }}
    >
      {hasHead ? (
        <Box
          sx={{
            display: 'flex',
            justifyContent: 'space-between',
            mb: 0.25,
            gap: 1,
            flexWrap: 'wrap',
            ...(under ? { position: 'sticky', left: 0, width: 'min(820px, 100vw)', px: 2.5 } : {}),
          }}
        >
          <Typography variant="h2">Temper along the route, hardness (HV) after each step</Typography>
          <Typography sx={{ color: PALETTE.muted }}>
            least work left:{' '}
            <b className="fig" style={{ color: text }}>
              {Math.round(100 * last.workLeftFraction)} %
            </b>{' '}
            ± {Math.round(100 * last.plusMinusFraction)} after {labelOf(last)}, an estimate
          </Typography>
        </Box>
      ) : null}
      <Box
        {...(under ? {} : { tabIndex: 0 })}
        role="region"
        aria-label="Temper after each step"
        sx={under ? { pl: `${under.left}px` } : { overflowX: 'auto', overflowY: 'hidden' }}
      >
        <Box
          component="ol"
          style={under ? { width: walk.steps.length * under.column } : { minWidth: walk.steps.length * 66 }}
          sx={{
            listStyle: 'none',
            m: 0,
            p: 0,
            display: 'flex',
            position: 'relative',
            pt: dark ? '16px' : '12px',
          }}
        >
          <Box
            aria-hidden
            sx={{
              position: 'absolute',
              left: 0,
              right: 0,
              top: (dark ? 16 : 12) + limitTop,
              borderTop: `1.5px dashed ${dark ? PALETTE.fireBench : PALETTE.fire}`,
            }}
          >
            <Box
              component="span"
              sx={{
                position: 'absolute',
                right: 4,
                top: dark ? -23 : -18,
                fontSize: dark ? 16 : 12.5,
                color: dark ? PALETTE.fireBench : PALETTE.fire,
              }}
            >
              cracking limit
            </Box>
          </Box>
          {walk.steps.map((state, i) => (
            <RibbonStep
              key={under?.ids[i] ?? `${state.op}-${i}`}
              state={state}
              dark={dark}
              isNow={now === i}
              isNamed={!under}
              piece={now === i ? piece : null}
              without={without?.[i] ?? undefined}
              onAnneal={walk.annealBefore.includes(i) && onAnneal ? () => onAnneal(i) : undefined}
            />
          ))}
        </Box>
      </Box>
    </Box>
  )
}
