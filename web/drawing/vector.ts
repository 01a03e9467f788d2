/** A point or a direction in the plane. */
export interface Vec {
  readonly x: number;
  readonly y: number;
}
export const vec = (x: number, y: number): Vec => ({ x, y });
export const add = (a: Vec, b: Vec): Vec => vec(a.x + b.x, a.y + b.y);
export const sub = (a: Vec, b: Vec): Vec => vec(a.x - b.x, a.y - b.y);
export const mul = (a: Vec, k: number): Vec => vec(a.x * k, a.y * k);
export const length = (a: Vec): number => Math.hypot(a.x, a.y);
export const unit = (a: Vec): Vec => mul(a, 1 / (length(a) || 1));
/** The direction turned by a quarter. */
export const normal = (a: Vec): Vec => vec(-a.y, a.x);
