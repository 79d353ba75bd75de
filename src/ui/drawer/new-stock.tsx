'use client'
import Box from '@mui/material/Box'
import { stockEntry } from '@/core/entries'
import { useAct } from '../acting/act-provider'
import { EntryForm } from '../entry/entry-form'
import { useNotice } from '../shared/notices'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'
import { StockKindChoice, StockMetal, StockPreview, StockShape, type StockTyped } from './stock-fields'

/** What stands in the fields before anything is known. */
export const NO_STOCK: Omit<StockTyped, 'alloy'> = {
  kind: 'sheet',
  thickness: '',
  measured: '',
  shape: 'rectangle',
  width: '',
  length: '',
  cutLength: '',
  cutWidth: '',
  corners: '',
  across: '',
  temper: 'unknown',
  sure: false,
}

/** A sheet, a wire or a tube for the drawer, its sizes as a smith writes them; `like` is what is known of it. */
export function NewStock({ like, onDone }: { readonly like?: Partial<StockTyped>; readonly onDone: () => void }) {
  const { defaultAlloy } = useWorkshop()
  const act = useAct()
  const say = useNotice()
  async function send(typed: StockTyped) {
    const added = await act('addStock', typed)
    if (added.ok) say({ text: `It is in the drawer as ${added.label}.` })
    return added
  }
  return (
    <Box sx={{ maxWidth: 480, my: 2, bgcolor: PALETTE.paper, border: `1px solid ${PALETTE.hairline}`, borderRadius: '4px', p: 2 }}>
      <EntryForm<StockTyped>
        label="Put metal in"
        schema={stockEntry}
        values={{ ...NO_STOCK, alloy: defaultAlloy, ...like }}
        send={send}
        onDone={onDone}
        onCancel={onDone}
        submit="Put it in the drawer"
      >
        <StockKindChoice />
        <StockMetal />
        <StockShape />
        <StockPreview />
      </EntryForm>
    </Box>
  )
}
