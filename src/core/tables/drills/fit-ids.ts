/** How a hole may hold its pin. */
export const FIT_IDS = ['tight', 'snug', 'free', 'solder-pin', 'engineering'] as const
export type FitId = (typeof FIT_IDS)[number]
