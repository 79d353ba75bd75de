'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { Plus } from 'lucide-react'
import { useState } from 'react'
import type { WeightCheck } from '@/core/instruments'
import type { RefiningSlip } from '@/core/scrap'
import { formatMoney, formatPlain } from '@/core/units'
import type { Jar } from '@/server/db/repositories'
import { WorkingSteps } from '../forms/answer-column'
import { useWorkshop } from '../shared/workshop-context'
import { JarCard } from './jar-card'
import { PutInJar } from './put-in-jar'
import { ScaleCheck } from './scale-check'

interface ScrapViewProps {
  readonly jars: readonly Jar[]
  readonly slip: RefiningSlip
  readonly hasScale: boolean
  readonly scaleCheck: WeightCheck | null
}

/** The jars of scrap and filings, by metal, with what they hold and are worth; what comes in, and the slip it goes out with. */
export function ScrapView({ jars, slip, hasScale, scaleCheck }: ScrapViewProps) {
  const [adding, setAdding] = useState(jars.length === 0)
  const { uid, currency } = useWorkshop()
  const lineOf = ({ alloy, kind }: Jar) => slip.lines.find((line) => line.alloy === alloy && line.kind === kind)
  return (
    <Box sx={{ p: 2.5 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button variant="contained" startIcon={<Plus size={17} aria-hidden />} onClick={() => setAdding(!adding)}>
          Put scrap in
        </Button>
        {slip.lines.length > 0 ? (
          <Button href={`/api/refining-slip?of=${uid}`} target="_blank">
            Print the refining slip
          </Button>
        ) : null}
        <Typography variant="body2" sx={{ ml: 1 }}>
          {slip.lines.length > 0
            ? `${formatPlain(slip.massG, 1)} g in all, about ${formatMoney(slip.value, currency)}: prices and what is paid for scrap stand under Tables, Figures of the bench`
            : 'Every jar is empty.'}
        </Typography>
      </Box>
      <ScaleCheck last={scaleCheck} hasScale={hasScale} />
      {adding ? <PutInJar jars={jars} onDone={() => setAdding(false)} /> : null}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 4, rowGap: 3, mt: 3 }}>
        {jars.map((jar) => (
          <JarCard key={jar.id} jar={jar} line={lineOf(jar)} hasScale={hasScale} />
        ))}
      </Box>
      {slip.working.length > 0 ? (
        <Box component="details" sx={{ mt: 3, maxWidth: 620 }}>
          <Box component="summary" sx={{ cursor: 'pointer', fontWeight: 600 }}>
            The working
          </Box>
          <WorkingSteps steps={slip.working} />
        </Box>
      ) : null}
      <Typography variant="body2" sx={{ mt: 3, maxWidth: 620 }}>
        Keep metals apart, and what has solder on it apart from what is clean: clean scrap can be melted again here. Filings go through a
        magnet first. Wear a mask over fine dust, and keep it away from food and drink.
      </Typography>
    </Box>
  )
}
