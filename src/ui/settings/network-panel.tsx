'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { useAct } from '../acting/act-provider'
import { ConfirmDialog } from '../shared/confirm-dialog'
import { PALETTE } from '../theme/palette'

/** What is shown of the workshop's own network; null where only this machine reaches the program. */
export type NetworkView = {
  readonly code: string
  readonly devices: readonly { readonly id: string; readonly name: string; readonly at: string }[]
} | null

/** Who may come in from the workshop's own network. */
export function NetworkPanel({ network }: { readonly network: NetworkView }) {
  const act = useAct()
  const [problem, setProblem] = useState('')
  const [leaving, setLeaving] = useState<{ readonly id: string; readonly name: string } | null>(null)
  async function sendAway(id: string) {
    const done = await act('sendAwayDevice', { id })
    setProblem(done.ok ? '' : done.message)
  }
  return (
    <Box component="section" aria-label="Network">
      {network === null ? (
        <Typography sx={{ mt: 1 }}>
          Only this machine reaches Fold Anvil. To use a phone or tablet at the bench, start it with <code>npm start -- --lan</code> and
          pair each device with a code.
        </Typography>
      ) : (
        <>
          <Typography sx={{ mt: 1 }}>
            Open this machine’s address on the other device and enter the code. Each code pairs one device and lasts ten minutes.
          </Typography>
          <Typography className="fig" data-testid="pairing-code" sx={{ fontSize: 30, fontWeight: 700, letterSpacing: '0.12em', my: 1 }}>
            {network.code}
          </Typography>
          <Box component="ul" aria-label="Paired devices" sx={{ listStyle: 'none', p: 0, m: 0 }}>
            {network.devices.length === 0 ? <li>None yet.</li> : null}
            {network.devices.map((device) => (
              <Box
                component="li"
                key={device.id}
                sx={{
                  display: 'flex',
                  justifyContent: 'space-between',
                  alignItems: 'center',
                  borderBottom: `1px dotted ${PALETTE.hairline}`,
                }}
              >
                <span>
                  {device.name}, paired <span className="fig">{device.at.slice(0, 10)}</span>
                </span>
                <Button variant="text" aria-label={`Unpair ${device.name}`} onClick={() => setLeaving(device)}>
                  Unpair
                </Button>
              </Box>
            ))}
          </Box>
          {problem ? <Typography role="alert">{problem}</Typography> : null}
          <ConfirmDialog
            open={leaving !== null}
            title={`Unpair ${leaving?.name ?? ''}?`}
            says="It cannot write or read here any more until it is paired with a new code. What it has sent stays."
            yes="Unpair it"
            onAnswer={(yes) => {
              if (yes && leaving) void sendAway(leaving.id)
              setLeaving(null)
            }}
          />
        </>
      )}
    </Box>
  )
}
