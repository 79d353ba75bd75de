'use client'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import { usePathname, useRouter, useSearchParams } from 'next/navigation'

interface LookChoiceProps {
  /** What the drawn look is called here. */
  readonly drawn: string
}

/** Whether this place is shown as a table: it stands in the address, so it can be kept and gone back to. */
export function useLook(): 'drawn' | 'table' {
  return useSearchParams().get('look') === 'table' ? 'table' : 'drawn'
}

/** The same things, as they are or in a table. */
export function LookChoice({ drawn }: LookChoiceProps) {
  const look = useLook()
  const router = useRouter()
  const path = usePathname()
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      value={look}
      aria-label="Show as"
      onChange={(_, choice: string | null) => {
        if (choice) router.replace(choice === 'table' ? `${path}?look=table` : path)
      }}
    >
      <ToggleButton value="drawn" sx={{ py: 0.25 }}>
        {drawn}
      </ToggleButton>
      <ToggleButton value="table" sx={{ py: 0.25 }}>
        Table
      </ToggleButton>
    </ToggleButtonGroup>
  )
}
