const BY_HAND = 'polish x [S14 A] · degrease x · patina-dip x · relieve x · dry x · polish x [S14 B] · buff x · wax x'

/** Finishes of several steps that routes name in one word; `x` stands for what they are done to. */
export const FINISHES: Readonly<Record<string, string>> = {
  '*coloured finish*':
    'tumble x [S14 A] · polish x [S14 A] · degrease x · patina-dip x · relieve x [S44 A] · tumble x [S44 B] · dry x · polish x [S14 B] · tumble x [S14 B] · buff x · wax x',
  '*coloured finish by hand*': BY_HAND,
}
