/** A draw from the standard normal distribution (Box–Muller) out of a uniform source. */
export function drawNormal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}
