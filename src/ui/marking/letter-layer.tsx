'use client'
import { useEffect, useLayoutEffect, useRef, useState } from 'react'
import type { PlacedMark } from '@/core/marks'
import { FONTS } from '../theme/palette'
import type { FaceScale } from './face-scale'

/** Capitals stand so much of their type size high; a letter fills so much of its room. */
const [CAPITAL, BODY] = [0.7, 0.86]
const RAD = Math.PI / 180

interface LetterLayerProps {
  /** All that is struck; the letters among it are drawn. */
  readonly blows: readonly PlacedMark[]
  readonly inkOf: (letter: PlacedMark) => string
  readonly scale: FaceScale
  readonly width: number
  readonly height: number
}
type DrawnProps = Omit<LetterLayerProps, 'blows'> & { readonly letters: readonly PlacedMark[] }

/** A colour of the theme as a canvas takes it: looked up where the page is. */
function inksOn(canvas: HTMLCanvasElement): (ink: string) => string {
  const known = new Map<string, string>()
  const style = getComputedStyle(canvas)
  return (ink) => {
    const name = /^var\((--[\w-]+)\)$/.exec(ink)?.[1]
    const found = known.get(ink) ?? (name ? style.getPropertyValue(name).trim() : ink)
    known.set(ink, found)
    return found
  }
}

/** Draws each letter in its room, as wide as that is. */
function drawLetters(on: CanvasRenderingContext2D, ratio: number, { letters, inkOf, scale }: DrawnProps): void {
  on.textAlign = 'center'
  let font = ''
  const inks = inksOn(on.canvas)
  const wide = new Map<string, number>()
  for (const letter of letters) {
    const { x, y, turnDeg, widthMm, heightMm, text } = letter
    const own = `800 ${((heightMm * scale.pxPerMm) / CAPITAL).toFixed(2)}px ${FONTS.text}`
    if (own !== font) on.font = own
    font = own
    const known = wide.get(`${font} ${text}`) ?? on.measureText(text).width
    wide.set(`${font} ${text}`, known)
    const stretch = (BODY * widthMm * scale.pxPerMm) / (known || 1)
    const [cos, sin] = [ratio * Math.cos(-turnDeg * RAD), ratio * Math.sin(-turnDeg * RAD)]
    on.setTransform(stretch * cos, stretch * sin, -sin, cos, ratio * scale.toX(x), ratio * scale.toY(y))
    on.fillStyle = inks(inkOf(letter))
    on.fillText(text, 0, 0)
  }
}

/** The letters struck on a blank, over its drawing: hundreds are drawn at once, where each as a thing of the page would hold up the hand. */
export function LetterLayer({ blows, ...drawn }: LetterLayerProps) {
  const letters = blows.filter(({ kind }) => kind === 'letter')
  return letters.length > 0 ? <Drawn letters={letters} {...drawn} /> : null
}

function Drawn(props: DrawnProps) {
  const { width, height } = props
  const canvas = useRef<HTMLCanvasElement>(null)
  // drawn once more when the type has come, and when the page turns dark or light
  const [times, setTimes] = useState(0)
  useEffect(() => {
    const again = () => setTimes((before) => before + 1)
    void document.fonts?.ready.then(again)
    const scheme = window.matchMedia?.('(prefers-color-scheme: dark)')
    scheme?.addEventListener('change', again)
    return () => scheme?.removeEventListener('change', again)
  }, [])
  useLayoutEffect(() => {
    const on = canvas.current?.getContext('2d')
    if (!canvas.current || !on) return
    const ratio = window.devicePixelRatio || 1
    const [wide, tall] = [Math.round(width * ratio), Math.round(height * ratio)]
    if (canvas.current.width !== wide) canvas.current.width = wide
    if (canvas.current.height !== tall) canvas.current.height = tall
    on.setTransform(1, 0, 0, 1, 0, 0)
    on.clearRect(0, 0, wide, tall)
    drawLetters(on, ratio, props)
  })
  return (
    <canvas
      ref={canvas}
      role="img"
      aria-label={`The letters ${props.letters.map(({ text }) => text).join('')}`}
      data-drawn={times}
      style={{ position: 'absolute', top: 0, left: 0, width, height, pointerEvents: 'none' }}
    />
  )
}
