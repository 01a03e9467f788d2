const PACE_MS = 80;

/** Tells progress a few times a second and no more: each telling is a message and a drawing. For workers. */
export function paced(tell: (done: number) => unknown): (done: number) => void {
  let last = 0;
  return (done) => {
    const now = performance.now();
    if (now - last < PACE_MS) return;
    last = now;
    void tell(done);
  };
}
