'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { NetworkFacts } from '@/server/lan/network-facts'
import { useAct } from '../acting/act-provider'
import { ConfirmDialog } from '../shared/confirm-dialog'
import { PALETTE } from '../theme/palette'

/** What is shown of the workshop's own network; null where only this machine reaches the program. */
export type NetworkView = NetworkFacts | null

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
            Open this machine’s address on the other device: point its camera at the picture, or type the address. A guide there makes it
            trust this workshop; then it asks for the code. Each code pairs one device and lasts ten minutes.
          </Typography>
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', my: 1 }}>
            {network.picture ? (
              <Box
                component="img"
                src={network.picture}
                alt={`Picture code of ${network.addresses[0] ?? ''}`}
                sx={{ width: 132, height: 132, bgcolor: '#fff', border: `1px solid ${PALETTE.hairline}` }}
              />
            ) : null}
            <Box component="ul" aria-label="Addresses" sx={{ listStyle: 'none', p: 0, m: 0, fontSize: 14 }}>
              {network.addresses.map((address) => (
                <li key={address}>
                  <code>{address}</code>
                </li>
              ))}
            </Box>
          </Box>
          {network.fingerprint ? (
            <Typography variant="body2" sx={{ mb: 1 }}>
              The workshop’s certificate, to compare on the device before it is installed:
              <br />
              <code style={{ fontSize: 12 }}>{network.fingerprint}</code>
            </Typography>
          ) : null}
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
