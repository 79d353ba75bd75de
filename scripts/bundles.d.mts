export declare const buildLongWork: () => Promise<unknown>
export function buildCommands(outdir?: string): Promise<unknown>
