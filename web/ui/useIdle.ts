import { useEffect, useState } from 'react';
import { whenIdle } from './idle';

/** Work in steps, ended by what it gives. */
type Steps<O> = Iterator<unknown, O>;
/** Goes on with its work until it is over or `enough`; true when it is over. */
type Task = (enough: () => boolean) => boolean;
const waiting = new Set<Task>();
let asked = false;

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

/**
 * What the steps that `make` gives for this input end with, done when nothing else is to be done; null until then.
 * `make` must be the same function each time.
 */
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
