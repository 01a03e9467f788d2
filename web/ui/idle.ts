/** Where the browser does not say how long nobody needs the page: shorter than anybody notices. */
const TURN_MS = 8;
/** No longer than this until somebody is asked again, also when the browser is never idle. */
const LATEST_MS = 500;

const turn = (): (() => boolean) => {
  const until = performance.now() + TURN_MS;
  return () => performance.now() >= until;
};
/** Calls back when nothing else is to be done; `enough` says when the turn is over. */
export const whenIdle: (run: (enough: () => boolean) => void) => void =
  typeof requestIdleCallback === 'function'
    ? (run) =>
        requestIdleCallback(
          (deadline) => {
            const short = turn();
            run(deadline.didTimeout ? short : () => short() || deadline.timeRemaining() <= 0);
          },
          { timeout: LATEST_MS },
        )
    : (run) => setTimeout(() => run(turn()), 0);
