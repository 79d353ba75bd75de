/** Where a key works: on every page, or in one kind of view. */
export const KEY_PLACES = {
  everywhere: 'Everywhere',
  piece: 'On a piece',
  drawing: 'On a mark of the drawing, the press wheel or the 3D view',
  layout: 'On a blank in the layout',
  sawing: 'In the saw plan',
  bench: 'At the bench',
} as const
export type KeyPlace = keyof typeof KEY_PLACES

export interface KeyInfo {
  /** The ways to press it, as the key handler reads them; none where the view itself reads the key. */
  readonly keys: readonly string[]
  /** What stands on the keycaps. */
  readonly shown: string
  readonly does: string
  readonly places: readonly KeyPlace[]
  /** Works also while a field has the focus. */
  readonly inFields?: true
}

/** Every key of the program: `?`, the badges at the bench and the menus are made from it. */
export const KEY_REGISTRY = {
  find: { keys: ['/', 'shift+/'], shown: '/', does: 'go to the ask line', places: ['everywhere'] },
  help: { keys: ['?', 'shift+?'], shown: '?', does: 'show the keys of this view', places: ['everywhere'] },
  undo: {
    keys: ['mod+z'],
    shown: 'Ctrl Z',
    does: 'take back the last change',
    places: ['piece', 'layout', 'sawing', 'bench'],
    inFields: true,
  },
  redo: { keys: ['mod+shift+z', 'mod+y'], shown: 'Ctrl Shift Z', does: 'do it again', places: ['piece', 'layout'], inFields: true },
  nudge: { keys: [], shown: '← ↑ → ↓', does: 'move by a little; Page Up and Page Down by more', places: ['drawing'] },
  moveBlank: { keys: [], shown: '← ↑ → ↓', does: 'move by half a millimetre, with Shift by five', places: ['layout'] },
  turnBlank: { keys: [], shown: 'R', does: 'turn it a quarter, with Shift by 5°', places: ['layout'] },
  pinBlank: { keys: [], shown: 'P', does: 'pin it where it lies, or take the pin out', places: ['layout'] },
  takeOffBlank: { keys: [], shown: 'Delete', does: 'take it off the sheet', places: ['layout'] },
  allBlanks: { keys: [], shown: 'Ctrl A', does: 'select every blank', places: ['layout'] },
  nextCut: { keys: ['space'], shown: 'Space', does: 'this cut is made', places: ['sawing'] },
  backCut: { keys: ['u'], shown: 'U', does: 'back to the cut before', places: ['sawing'] },
  done: { keys: ['space'], shown: 'Space', does: 'the step is done', places: ['bench'] },
  measure: { keys: ['m'], shown: 'M', does: 'measure', places: ['bench'] },
  subTray: { keys: ['s'], shown: 'S', does: 'take up the next sub-tray that is ready', places: ['bench'] },
  wrong: { keys: ['x'], shown: 'X', does: 'it went wrong', places: ['bench'] },
  words: { keys: ['w'], shown: 'W', does: 'say in your own words what went wrong', places: ['bench'] },
  takeBack: { keys: ['u'], shown: 'U', does: 'take the last entry back', places: ['bench'] },
  choose1: { keys: ['1'], shown: '1', does: 'the first of the answers', places: ['bench'] },
  choose2: { keys: ['2'], shown: '2', does: 'the second', places: ['bench'] },
  choose3: { keys: ['3'], shown: '3', does: 'the third', places: ['bench'] },
  choose4: { keys: ['4'], shown: '4', does: 'the fourth', places: ['bench'] },
  choose5: { keys: ['5'], shown: '5', does: 'the fifth', places: ['bench'] },
  back: { keys: ['escape'], shown: 'Esc', does: 'back, and out of the tray', places: ['bench'], inFields: true },
} as const satisfies Readonly<Record<string, KeyInfo>>
export type KeyId = keyof typeof KEY_REGISTRY

/** The keys of a page, by its address, in the order they are listed. */
export function keysAt(path: string): readonly (readonly [KeyPlace, readonly KeyInfo[]])[] {
  const places: KeyPlace[] = /^\/bench\/\d+/.test(path)
    ? ['bench', 'everywhere']
    : /^\/pieces\//.test(path)
      ? ['everywhere', 'piece', 'drawing']
      : /^\/layout\/\d+\/saw/.test(path)
        ? ['everywhere', 'sawing']
        : /^\/layout\//.test(path)
          ? ['everywhere', 'layout']
          : ['everywhere']
  return places.map((place) => [place, Object.values<KeyInfo>(KEY_REGISTRY).filter((key) => key.places.includes(place))] as const)
}
