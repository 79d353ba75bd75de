'use client'
import IconButton from '@mui/material/IconButton'
import ListItemIcon from '@mui/material/ListItemIcon'
import Menu from '@mui/material/Menu'
import MenuItem from '@mui/material/MenuItem'
import { Ellipsis, type LucideIcon } from 'lucide-react'
import { useId, useState } from 'react'

export interface MenuEntry {
  readonly label: string
  readonly icon: LucideIcon
  readonly onChoose: () => void
  readonly disabled?: boolean
}

interface MoreMenuProps {
  /** What the menu is about: "More of Lamp finial". */
  readonly label: string
  readonly entries: readonly MenuEntry[]
  readonly icon?: LucideIcon
}

const ICON = { size: 17, strokeWidth: 1.7, 'aria-hidden': true } as const

/** What else can be done with a thing. The focus comes back to the button when the menu closes. */
export function MoreMenu({ label, entries, icon: Icon = Ellipsis }: MoreMenuProps) {
  const id = useId()
  const [at, setAt] = useState<HTMLElement | null>(null)
  // a board has a hundred of these: what was never opened is not made
  const [wasOpened, setOpened] = useState(false)
  return (
    <>
      <IconButton
        aria-label={label}
        aria-haspopup="menu"
        aria-controls={at ? id : undefined}
        onClick={(event) => {
          setOpened(true)
          setAt(event.currentTarget)
        }}
      >
        <Icon {...ICON} />
      </IconButton>
      {wasOpened ? (
        <Menu id={id} anchorEl={at} open={at !== null} onClose={() => setAt(null)}>
          {entries.map(({ label: words, icon: Sign, onChoose, disabled = false }) => (
            <MenuItem
              key={words}
              disabled={disabled}
              onClick={() => {
                setAt(null)
                onChoose()
              }}
            >
              <ListItemIcon>
                <Sign {...ICON} />
              </ListItemIcon>
              {words}
            </MenuItem>
          ))}
        </Menu>
      ) : null}
    </>
  )
}
