declare module 'jstat' {
  interface Jstat {
    readonly normal: {
      readonly pdf: (x: number, mean: number, sd: number) => number
      readonly cdf: (x: number, mean: number, sd: number) => number
    }
    mean(values: readonly number[]): number
    /** Standard deviation; of a sample where it is said. */
    stdev(values: readonly number[], ofSample?: boolean): number
    /** Confidence interval of a mean by Student's t, `alpha` outside of it. */
    tci(value: number, alpha: number, values: readonly number[]): [number, number]
    /** Of a shape and a scale. */
    readonly gamma: { inv(p: number, shape: number, scale: number): number }
    readonly studentt: { inv(p: number, degrees: number): number }
  }
  const jstat: Jstat
  export = jstat
}
