const breath = () => new Promise((next) => setTimeout(next, 0));

/** Does one after the other, each in a turn of its own, so that a finger or a key is heard in between. Fails with the first that fails. */
export async function inTurns(...steps: readonly (() => Promise<unknown>)[]): Promise<void> {
  for (const step of steps) {
    await step();
    await breath();
  }
}
