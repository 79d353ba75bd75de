'use client'
import Box from '@mui/material/Box'
import type { ReactNode } from 'react'
import { type Accept, useDropzone } from 'react-dropzone'
import { PALETTE } from '../theme/palette'

interface DropFileProps {
  readonly label: string
  readonly fileLabel: string
  readonly accept?: Accept
  readonly onFile: (file: File) => void
  /** What stands in it; handed the way to pick a file instead. */
  readonly children: (pick: () => void) => ReactNode
}

/** A place where one file is dropped, or picked. */
export function DropFile({ label, fileLabel, accept, onFile, children }: DropFileProps) {
  const { getRootProps, getInputProps, isDragActive, open } = useDropzone({
    multiple: false,
    noClick: true,
    noKeyboard: true,
    ...(accept ? { accept } : {}),
    onDrop: ([file]) => {
      if (file) onFile(file)
    },
  })
  return (
    <Box
      {...getRootProps()}
      role="group"
      aria-label={label}
      sx={{
        border: `1px dashed ${isDragActive ? PALETTE.verdigris : PALETTE.hairline}`,
        bgcolor: isDragActive ? PALETTE.verdigrisSoft : 'transparent',
        borderRadius: '4px',
        p: 1.25,
        mt: 1,
      }}
    >
      <input {...getInputProps()} aria-label={fileLabel} />
      {children(open)}
    </Box>
  )
}
