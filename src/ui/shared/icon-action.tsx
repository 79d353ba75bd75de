'use client'
import IconButton from '@mui/material/IconButton'
import Tooltip from '@mui/material/Tooltip'
import type { LucideIcon } from 'lucide-react'

interface IconActionProps {
  readonly label: string
  readonly icon: LucideIcon
  readonly onPress: () => void
  readonly disabled?: boolean
}

/** An action known by its sign, with its words when it is pointed at. */
export function IconAction({ label, icon: Icon, onPress, disabled = false }: IconActionProps) {
  return (
    <Tooltip title={label} describeChild>
      <span>
        <IconButton aria-label={label} disabled={disabled} onClick={onPress} sx={{ minHeight: 26, minWidth: 28, p: 0.5 }}>
          <Icon size={16} aria-hidden />
        </IconButton>
      </span>
    </Tooltip>
  )
}
