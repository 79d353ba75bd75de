export declare const buildLongWork: () => Promise<unknown>
