/** Work in small steps: whoever asks for it may do something else between two of them. */
export type Steps<T> = Generator<undefined, T>;

/** All steps at once. */
export function atOnce<T>(steps: Steps<T>): T {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
