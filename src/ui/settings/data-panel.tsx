'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Backup } from '@/server/services/backups'
import { useAct } from '../acting/act-provider'
import { UnderWayBar } from '../shared/under-way-bar'
import { useUnderWay } from '../shared/use-under-way'
import { WORKSHOP_TITLES } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'
import { BringBackup } from './bring-backup'
import { RestoreDialog } from './restore-dialog'
import { TakeAway } from './take-away'

export interface DataPanelProps {
  readonly open: 'demo' | 'workshop'
  readonly folder: string
  readonly backups: readonly Backup[]
  /** Whether the workshop that is open can be read: only then can it be backed up. */
  readonly whole: boolean
}

/** Opens an address afresh, so that nothing of the workshop before is left on the page. */
function goTo(path: string): void {
  window.location.assign(path)
}

/** Where the data is, its backups, and the way from one workshop to the other. */
export function DataPanel({ open, folder, backups, whole }: DataPanelProps) {
  const act = useAct()
  const router = useRouter()
  const [said, setSaid] = useState('')
  const { told, wait, callOff } = useUnderWay()
  const [file, setFile] = useState<string | null>(null)
  const other = open === 'demo' ? 'workshop' : 'demo'
  async function backUp() {
    setSaid('')
    const made = await wait((work) => act('backUp', { work }))
    setSaid(made.ok ? `Backed up as ${made.file}.` : made.message)
  }
  async function putBack(shownLastAt: string | null) {
    const name = file ?? ''
    setFile(null)
    setSaid('')
    const done = await wait((work) => act('restoreBackup', { file: name, shownLastAt, work }, { quiet: true }))
    if (!done.ok) return setSaid(done.message)
    goTo(`/settings?restored=${encodeURIComponent(name)}&kept=${encodeURIComponent(done.keptAs ?? '')}`)
  }
  async function change() {
    const opened = await act('openWorkshop', { name: other }, { quiet: true })
    if (opened.ok) goTo('/jobs')
    else setSaid(opened.message)
  }
  return (
    <Box component="section" aria-label="Data">
      <Typography sx={{ mt: 1 }}>
        Folder <code>{folder}</code>
      </Typography>
      <Typography>
        Open now: <code>{open}.db</code>
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, my: 1.5, flexWrap: 'wrap' }}>
        <Button disabled={!whole || told !== null} onClick={() => void backUp()}>
          Back up now
        </Button>
        <Button onClick={() => void change()}>{open === 'demo' ? 'Open my own workshop' : 'Open the demonstration'}</Button>
      </Box>
      {told ? <UnderWayBar told={told} onCancel={callOff} /> : null}
      <Typography role="status">{said}</Typography>
      {whole ? <TakeAway /> : null}
      <Typography variant="h2" sx={{ mt: 2 }}>
        Backups
      </Typography>
      {backups.length === 0 ? <Typography>None yet.</Typography> : null}
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {backups.map((backup) => (
          <Box
            component="li"
            key={backup.file}
            sx={{
              display: 'flex',
              justifyContent: 'space-between',
              alignItems: 'center',
              gap: 1,
              py: 0.5,
              borderBottom: `1px dotted ${PALETTE.hairline}`,
            }}
          >
            <Box sx={{ minWidth: 0 }}>
              <code style={{ fontSize: 13 }}>{backup.file}</code>
              <Typography variant="body2">
                of {WORKSHOP_TITLES[backup.of]}, <span className="fig">{Math.ceil(backup.bytes / 1024)} kB</span>
              </Typography>
            </Box>
            <Button variant="text" onClick={() => setFile(backup.file)}>
              Restore
            </Button>
          </Box>
        ))}
      </Box>
      <BringBackup
        onThere={(there, words) => {
          setSaid(words)
          setFile(there)
          router.refresh()
        }}
      />
      <RestoreDialog file={file} onRestore={(shownLastAt) => void putBack(shownLastAt)} onLeave={() => setFile(null)} />
    </Box>
  )
}
