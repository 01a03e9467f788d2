import { useEffect, useState } from 'react';

type Task = () => void;
const waiting = new Set<Task>();
let asked = false;

const whenIdle: (run: Task) => void =
  typeof requestIdleCallback === 'function'
    ? (run) => requestIdleCallback(() => run(), { timeout: 500 })
    : (run) => setTimeout(run, 0);

/** One task at a time, each in a turn of its own: a finger or a key comes in between. */
function next() {
  asked = false;
  const [task] = waiting;
  if (!task) return;
  waiting.delete(task);
  task();
  ask();
}
function ask() {
  if (asked || waiting.size === 0) return;
  asked = true;
  whenIdle(next);
}

/** What `make` gives for this input, worked out when nothing else is to be done; null until then. `make` must be the same function each time. */
export function useIdle<I, O>(make: (input: I) => O, input: I): O | null {
  const [made, setMade] = useState<{ readonly of: I; readonly is: O } | null>(null);
  useEffect(() => {
    const task: Task = () => setMade({ of: input, is: make(input) });
    waiting.add(task);
    ask();
    return () => void waiting.delete(task);
  }, [make, input]);
  return made?.of === input ? made.is : null;
}
