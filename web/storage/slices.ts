/** Shorter than anybody notices, and than the browser calls a long task (50 ms). */
const SLICE_MS = 20;

/** Lets the page breathe: waits for a moment whenever the work since the last wait took a slice. */
export function inSlices(): () => Promise<void> {
  let since = performance.now();
  return async () => {
    if (performance.now() - since < SLICE_MS) return;
    await new Promise((resolve) => setTimeout(resolve, 0));
    since = performance.now();
  };
}
