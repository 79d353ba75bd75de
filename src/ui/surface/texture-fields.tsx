'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { lackingOnRoute, roughText } from '@/core/piece'
import { TEXTURE_WAY_IDS, type TextureWayId, textureWay } from '@/core/texture'
import { formatPlain } from '@/core/units'
import { CheckList, WorkingSteps } from '../forms/answer-column'
import { AmountField } from '../marking/amount-field'
import { ChoiceField } from '../shared/choice-field'
import type { SurfaceHand } from './use-surface'

const WAYS = { none: 'not textured', ...Object.fromEntries(TEXTURE_WAY_IDS.map((id) => [id, textureWay(id).title])) }

/** How the sheet is textured while it is flat: the rough piece to begin with, how thick it ends, what it costs, and its step on the route. */
export function TextureFields({ hand }: { readonly hand: SurfaceHand }) {
  const { part, texture } = hand
  const choices = part.choices ?? { faces: [] }
  const chosen = choices.texture
  const choose = (way: string) => {
    const { texture: _, ...same } = choices
    hand.change(way === 'none' ? same : { ...same, texture: { way: way as TextureWayId, depthMm: chosen?.depthMm ?? 0.1 } })
  }
  const isLacking = texture && lackingOnRoute(part, part.part, texture.steps).length > 0
  return (
    <>
      <ChoiceField label="Texture" value={chosen?.way ?? 'none'} options={WAYS} onChange={choose} width={210} />
      {chosen && texture ? (
        <Box component="section" aria-label="Texture">
          <AmountField
            label="Relief"
            value={chosen.depthMm}
            min={0.01}
            max={2}
            onChange={(depthMm) => hand.change({ ...choices, texture: { ...chosen, depthMm } })}
          />
          {texture.isRough ? (
            <>
              <AmountField label="Made of sheet" value={texture.sheetMm} min={0.1} max={6} onChange={hand.ofSheet} />
              <Typography variant="body2">
                Begin with a rough piece of <b className="fig">{roughText(texture)}</b>; it ends{' '}
                <b className="fig">{formatPlain(texture.outcome.afterMm, 2)} mm</b> thick: then cut the blank. {texture.way.costs}
              </Typography>
            </>
          ) : (
            <Typography variant="body2">
              It ends <b className="fig">{formatPlain(texture.outcome.afterMm, 2)} mm</b> thick. {texture.way.costs}
            </Typography>
          )}
          {part.beside.length > 0 ? (
            <Typography variant="body2">
              This is for the {part.blank.toLowerCase()}; what is cut beside it ({part.beside.join(', ').toLowerCase()}) stays plain.
            </Typography>
          ) : null}
          <CheckList checks={texture.checks} label="What to look at of the texture" />
          {isLacking ? (
            <Button variant="outlined" onClick={hand.textureToRoute} sx={{ my: 0.5 }}>
              Put the texture on the route
            </Button>
          ) : null}
          {texture.working.length > 0 ? <WorkingSteps steps={texture.working} /> : null}
        </Box>
      ) : null}
    </>
  )
}
