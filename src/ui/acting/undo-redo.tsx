'use client'
import Button from '@mui/material/Button'
import { KEY_REGISTRY } from '../keys/registry'

interface UndoRedoProps {
  readonly piece: { readonly canUndo: boolean; readonly redoId: number | null }
  readonly onMove: (way: 'undo' | 'redo') => void
}

/** A piece one change back or forward again. */
export function UndoRedo({ piece, onMove }: UndoRedoProps) {
  return (
    <>
      <Button variant="text" title={KEY_REGISTRY.undo.shown} disabled={!piece.canUndo} onClick={() => onMove('undo')}>
        Undo
      </Button>
      <Button variant="text" title={KEY_REGISTRY.redo.shown} disabled={piece.redoId === null} onClick={() => onMove('redo')}>
        Redo
      </Button>
    </>
  )
}
