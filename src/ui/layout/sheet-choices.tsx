'use client'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { netAreaMm2 } from '@/core/geometry'
import { formatPlain } from '@/core/units'
import { ChoiceField } from '../shared/choice-field'
import { inOrder } from './layout-setup'
import type { LayoutTableProps } from './layout-table-props'
import { Differs, Reserved, SheetGone, sheetWords } from './sheet-words'
import type { LayoutHand } from './use-layout'

/** Which job's blanks lie on which sheet, and what they have between them there. */
export function SheetChoices({
  jobId,
  jobs,
  items,
  sheets,
  kerfMm,
  gapMm,
  ownBlade,
  marginMm,
  gone,
  layout,
}: LayoutTableProps & { readonly layout: LayoutHand }) {
  const router = useRouter()
  const { choice } = layout
  return (
    <>
      <ChoiceField
        label="Job"
        value={String(jobId)}
        options={Object.fromEntries(jobs.map((job) => [job.id, job.title]))}
        onChange={(id) => router.push(`/layout/${id}`)}
        width={190}
      />
      <ChoiceField
        label="Sheet"
        value={String(layout.sheetId)}
        options={{
          ...(choice ? {} : { [layout.sheetId]: 'choose' }),
          ...Object.fromEntries(inOrder(sheets, items).map((sheet) => [`${sheet.id}`, sheetWords(sheet, items)])),
        }}
        onChange={(id) => layout.chooseSheet(Number(id))}
        width={190}
      />
      {choice ? <Differs choice={choice} items={items} /> : null}
      {gone && !choice ? <SheetGone gone={gone} onMove={layout.moveTo} /> : null}
      <Typography variant="body2" sx={{ mt: 0.75 }}>
        Kerf <span className="fig">{formatPlain(kerfMm, 2)} mm</span>
        {ownBlade ? ` (your ${ownBlade} blade)` : ''}
        {gapMm > kerfMm ? (
          <>
            , <span className="fig">{formatPlain(gapMm, 1)} mm</span> between blanks for the way they are cut
          </>
        ) : null}
        , margin <span className="fig">{marginMm} mm</span>
        {choice ? (
          <>
            , sheet <span className="fig">{formatPlain(netAreaMm2(choice.sheet.outer, choice.sheet.holes) / 100, 1)} cm²</span>
          </>
        ) : null}
      </Typography>
      {choice ? <Reserved choice={choice} /> : null}
    </>
  )
}
