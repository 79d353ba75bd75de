'use client'
import { boundsOf, type Region, signedAreaMm2 } from '@/core/geometry'
import type { FormCheck, FormPlace } from '@/core/templates'
import { formatPlain } from '@/core/units'
import { outlinePath } from '../drawing/outline-path'
import { PALETTE } from '../theme/palette'

interface FormCheckPictureProps {
  readonly asked: Region
  readonly check: FormCheck
  /** What may be off before it counts, mm. */
  readonly allowedMm: number
  readonly width: number
  readonly height: number
}

/** How many times as large as it is a deviation is drawn, so that it is seen: round numbers. */
function magnified(mostMm: number, acrossMm: number): number {
  const wanted = (0.08 * acrossMm) / Math.max(mostMm, 1e-6)
  return [1, 2, 5, 10, 20, 50].findLast((times) => times <= wanted) ?? 1
}

/** Which way is out, at each place of an outline. */
function outwards(places: readonly FormPlace[], index: number): readonly [number, number] {
  const at = (i: number) => places[(i + places.length) % places.length]?.at ?? [0, 0]
  const [before, after] = [at(index - 1), at(index + 1)]
  const [dx, dy] = [after[0] - before[0], after[1] - before[1]]
  const length = Math.hypot(dx, dy) || 1
  return [dy / length, -dx / length]
}

/** The outline that was asked for, and at each place a stroke for what stands over it or falls short, larger than it is. */
export function FormCheckPicture({ asked, check, allowedMm, width, height }: FormCheckPictureProps) {
  const box = boundsOf([...asked.outer, ...check.laid])
  const across = Math.max(box.maxX - box.minX, box.maxY - box.minY)
  const times = magnified(Math.max(check.most.overMm, -check.least.overMm), across)
  const room = 0.12 * across
  const [wide, high] = [box.maxX - box.minX + 2 * room, box.maxY - box.minY + 2 * room]
  const scale = Math.min(width / wide, height / high)
  const thin = 1.4 / scale
  const side = signedAreaMm2(asked.outer) >= 0 ? 1 : -1
  return (
    <figure style={{ margin: 0 }}>
      <svg
        viewBox={`${box.minX - room} ${-box.maxY - room} ${wide} ${high}`}
        width={wide * scale}
        height={high * scale}
        role="img"
        aria-label={`The measured edge over the one asked for: at most ${formatPlain(Math.max(0, check.most.overMm), 2)} mm over and ${formatPlain(Math.max(0, -check.least.overMm), 2)} mm short`}
      >
        <path d={[asked.outer, ...asked.holes].map(outlinePath).join('')} fillRule="evenodd" fill={PALETTE.steel} />
        <path d={outlinePath(check.laid)} fill="none" stroke={PALETTE.ink} strokeWidth={thin} />
        {check.places.map(({ at: [x, y], overMm }, i) => {
          if (Math.abs(overMm) <= allowedMm) return null
          const [nx, ny] = outwards(check.places, i)
          const far = side * overMm * times
          return (
            <line
              key={`${x} ${y}`}
              x1={x}
              y1={-y}
              x2={x + far * nx}
              y2={-(y + far * ny)}
              stroke={overMm > 0 ? PALETTE.fire : PALETTE.verdigris}
              strokeWidth={1.6 * thin}
            />
          )
        })}
      </svg>
      <figcaption style={{ fontSize: 13, color: PALETTE.muted }}>
        Steel: as asked. Line: as measured. Strokes outwards: to be filed off; inwards: too small.
        {asked.holes.length > 0 ? ' Holes are not compared: measure them with calipers.' : ''}
        {times > 1 ? ` Strokes are drawn ${times} times as long.` : ''}
      </figcaption>
    </figure>
  )
}
