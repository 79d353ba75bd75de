'use client'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { DropFile } from '../shared/drop-file'
import { ProblemLine } from '../shared/problem-line'
import { UnderWayBar } from '../shared/under-way-bar'
import { useBringing } from './use-bringing'

/** Brings in a backup that was kept elsewhere, or a workshop as a zip, which is merged into a copy: dropped here or picked. It is looked through, then stands among the others. */
export function BringBackup({ onThere }: { readonly onThere: (file: string, words: string) => void }) {
  const { coming, problem, bring, callOff } = useBringing(onThere)
  return (
    <DropFile label="Bring in a backup" fileLabel="Backup file" onFile={(file) => void bring(file)}>
      {(pick) => (
        <>
          {coming ? (
            <UnderWayBar told={coming} onCancel={callOff} />
          ) : (
            <Typography variant="body2">
              Drop a backup from another machine or the zip of another workshop here, or
              <Button variant="text" onClick={pick}>
                pick the file
              </Button>
            </Typography>
          )}
          <ProblemLine says={problem} />
        </>
      )}
    </DropFile>
  )
}
