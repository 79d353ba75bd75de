'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useDropzone } from 'react-dropzone'
import { ProblemLine } from '../shared/problem-line'
import { UnderWayBar } from '../shared/under-way-bar'
import { PALETTE } from '../theme/palette'
import { useBringing } from './use-bringing'

/** Brings in a backup that was kept elsewhere: dropped here or picked. It is looked through, then stands among the others. */
export function BringBackup({ onThere }: { readonly onThere: (file: string) => void }) {
  const { coming, problem, bring, callOff } = useBringing(onThere)
  const { getRootProps, getInputProps, isDragActive, open } = useDropzone({
    multiple: false,
    noClick: true,
    noKeyboard: true,
    onDrop: ([file]) => {
      if (file) void bring(file)
    },
  })
  return (
    <Box
      {...getRootProps()}
      role="group"
      aria-label="Bring in a backup"
      sx={{
        border: `1px dashed ${isDragActive ? PALETTE.verdigris : PALETTE.hairline}`,
        bgcolor: isDragActive ? PALETTE.verdigrisSoft : 'transparent',
        borderRadius: '4px',
        p: 1.25,
        mt: 1,
      }}
    >
      <input {...getInputProps()} aria-label="Backup file" />
      {coming ? (
        <UnderWayBar told={coming} onCancel={callOff} />
      ) : (
        <Typography variant="body2">
          Drop a backup here from another machine, or
          <Button variant="text" onClick={open}>
            pick the file
          </Button>
        </Typography>
      )}
      <ProblemLine says={problem} />
    </Box>
  )
}
