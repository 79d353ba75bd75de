'use client'
import { useHotkeys } from 'react-hotkeys-hook'
import { KEY_REGISTRY, type KeyId, type KeyInfo } from './registry'

type Actions = Readonly<Partial<Record<KeyId, (() => void) | undefined>>>

/** Keys that are known by their place on the keyboard; all others by what they write, so that the badge is true on every layout. */
const BY_PLACE = new Set(['space', 'escape'])

/** Whether a key belongs to what has the focus: letters to a field, Space and Enter to a button. */
function isTheirs({ target, key, repeat }: KeyboardEvent, { inFields }: KeyInfo): boolean {
  if (target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement) return !inFields
  return target instanceof HTMLButtonElement && (key === ' ' || key === 'Enter') && !repeat
}

/** Does what the keys say while this is shown; none of them repeats while it is held. */
export function useKeys(actions: Actions): void {
  const byHotkey = new Map<string, { readonly info: KeyInfo; readonly act: () => void }>()
  for (const [id, act] of Object.entries(actions)) {
    const info: KeyInfo = KEY_REGISTRY[id as KeyId]
    if (act) for (const hotkey of info.keys) byHotkey.set(hotkey, { info, act })
  }
  const press = (event: KeyboardEvent, { hotkey }: { readonly hotkey: string }) => {
    const found = byHotkey.get(hotkey)
    if (!found || isTheirs(event, found.info)) return
    event.preventDefault()
    if (!event.repeat) found.act()
  }
  const hotkeys = [...byHotkey.keys()]
  const [placed, written] = [hotkeys.filter((key) => BY_PLACE.has(key)), hotkeys.filter((key) => !BY_PLACE.has(key))]
  useHotkeys(placed, press, { enableOnFormTags: true, enabled: placed.length > 0 }, [actions])
  useHotkeys(written, press, { enableOnFormTags: true, enabled: written.length > 0, useKey: true }, [actions])
}
