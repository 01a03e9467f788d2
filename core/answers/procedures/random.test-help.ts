/**
 * A small generator with a seed, so that an order that was found can be found again (mulberry32, public domain): whole
 * numbers below `below`.
 */
export function randomFrom(seed: number): (below: number) => number {
  let a = seed;
  return (below) => {
    a = (a + 0x6d2b79f5) | 0;
    let t = Math.imul(a ^ (a >>> 15), 1 | a);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return Math.floor((((t ^ (t >>> 14)) >>> 0) / 4294967296) * below);
  };
}
