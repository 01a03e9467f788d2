import { useEffect, useState } from 'react';

/** Work in steps, ended by what it gives. */
type Steps<O> = Iterator<unknown, O>;
/** Goes on with its work until it is over or `enough`; true when it is over. */
type Task = (enough: () => boolean) => boolean;
const waiting = new Set<Task>();
let asked = false;

/** Where the browser does not say how long nobody needs the page: shorter than anybody notices. */
const TURN_MS = 8;
/** No longer than this until somebody is asked again, also when the browser is never idle. */
const LATEST_MS = 500;

const turn = (): (() => boolean) => {
  const until = performance.now() + TURN_MS;
  return () => performance.now() >= until;
};
const whenIdle: (run: (enough: () => boolean) => void) => void =
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

/** Some steps of the first task, in a turn of their own: a finger or a key comes in between. */
function next(enough: () => boolean) {
  asked = false;
  const [task] = waiting;
  if (!task) return;
  if (task(enough)) waiting.delete(task);
  ask();
}
function ask() {
  if (asked || waiting.size === 0) return;
  asked = true;
  whenIdle(next);
}

/** What the steps that `make` gives for this input end with, done when nothing else is to be done; null until then. `make` must be the same function each time. */
export function useIdle<I, O>(make: (input: I) => Steps<O>, input: I): O | null {
  const [made, setMade] = useState<{ readonly of: I; readonly is: O } | null>(null);
  useEffect(() => {
    const steps = make(input);
    const task: Task = (enough) => {
      do {
        const step = steps.next();
        if (!step.done) continue;
        setMade({ of: input, is: step.value });
        return true;
      } while (!enough());
      return false;
    };
    waiting.add(task);
    ask();
    return () => void waiting.delete(task);
  }, [make, input]);
  return made?.of === input ? made.is : null;
}
