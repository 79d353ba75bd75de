/** Header in which the pages are told who asks: set by the server itself, never believed from outside. */
export const PEER = 'x-fold-anvil-peer'
/** And by which scheme. */
export const SCHEME = 'x-fold-anvil-scheme'
