const breath = () => new Promise((next) => setTimeout(next, 0));

/**
 * Begins one after the other, each in a turn of its own, so that a finger or a key is heard in between; what is fetched
 * for them comes at the same time. Ends when all have ended, and fails with the first that failed.
 */
export async function inTurns(...steps: readonly (() => Promise<unknown>)[]): Promise<void> {
  const begun: Promise<unknown>[] = [];
  for (const step of steps) {
    const going = step();
    // Heard of below.
    going.catch(() => undefined);
    begun.push(going);
    await breath();
  }
  await Promise.all(begun);
}
