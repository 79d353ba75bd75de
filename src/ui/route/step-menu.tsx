'use client'
import IconButton from '@mui/material/IconButton'
import ListItemIcon from '@mui/material/ListItemIcon'
import Menu from '@mui/material/Menu'
import MenuItem from '@mui/material/MenuItem'
import { CornerLeftDown, CornerLeftUp, Hammer, Trash2 } from 'lucide-react'
import { useId, useState } from 'react'

interface StepMenuProps {
  readonly title: string
  readonly isFirst: boolean
  readonly isLast: boolean
  readonly onMove: (by: number) => void
  readonly onRemove: () => void
}

const ICON = { size: 17, strokeWidth: 1.7, 'aria-hidden': true } as const

/** What can be done with a step. The focus comes back to the step it was opened from, wherever that went. */
export function StepMenu({ title, isFirst, isLast, onMove, onRemove }: StepMenuProps) {
  const id = useId()
  const [at, setAt] = useState<HTMLElement | null>(null)
  const choose = (act: () => void) => () => {
    setAt(null)
    act()
  }
  return (
    <>
      <IconButton
        aria-label={`Change ${title}`}
        aria-haspopup="menu"
        aria-controls={at ? id : undefined}
        onClick={(event) => setAt(event.currentTarget)}
      >
        <Hammer {...ICON} />
      </IconButton>
      <Menu id={id} anchorEl={at} open={at !== null} onClose={() => setAt(null)}>
        <MenuItem disabled={isFirst} onClick={choose(() => onMove(-1))}>
          <ListItemIcon>
            <CornerLeftUp {...ICON} />
          </ListItemIcon>
          Do it earlier
        </MenuItem>
        <MenuItem disabled={isLast} onClick={choose(() => onMove(1))}>
          <ListItemIcon>
            <CornerLeftDown {...ICON} />
          </ListItemIcon>
          Do it later
        </MenuItem>
        <MenuItem onClick={choose(onRemove)}>
          <ListItemIcon>
            <Trash2 {...ICON} />
          </ListItemIcon>
          Take it out
        </MenuItem>
      </Menu>
    </>
  )
}
