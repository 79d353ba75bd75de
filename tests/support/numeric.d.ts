declare module 'numeric' {
  interface Found {
    readonly solution: number[]
    readonly f: number
    readonly message: string
  }
  const numeric: {
    /** Least value of a function by a quasi-Newton method (BFGS). */
    uncmin(f: (x: number[]) => number, start: number[], tolerance?: number, gradient?: undefined, rounds?: number): Found
  }
  export = numeric
}
