export interface FrontierNode<T, C extends readonly number[]> {
  readonly value: T;
  /** Compared from the first number on. */
  readonly cost: C;
  /** Of equal cost the deeper node comes first, so that something is completed soon. */
  readonly depth: number;
}

type Queued<T, C extends readonly number[]> = FrontierNode<T, C> & { readonly order: number };

/** True when `a` comes before `b`. */
function before<T, C extends readonly number[]>(a: Queued<T, C>, b: Queued<T, C>): boolean {
  for (let i = 0; i < a.cost.length; i += 1) {
    const difference = a.cost[i]! - b.cost[i]!;
    if (difference !== 0) return difference < 0;
  }
  return a.depth !== b.depth ? a.depth > b.depth : a.order < b.order;
}

/** A binary heap of the nodes still to be looked at: least cost first, then the deepest, then the oldest. */
export function createFrontier<T, C extends readonly number[]>() {
  const heap: Queued<T, C>[] = [];
  let order = 0;
  const swap = (i: number, j: number) => ([heap[i], heap[j]] = [heap[j]!, heap[i]!]);
  return {
    push(node: FrontierNode<T, C>) {
      heap.push({ ...node, order: (order += 1) });
      for (let i = heap.length - 1; i > 0;) {
        const parent = (i - 1) >> 1;
        if (!before(heap[i]!, heap[parent]!)) break;
        swap(i, parent);
        i = parent;
      }
    },
    pop(): FrontierNode<T, C> | undefined {
      const top = heap[0];
      const last = heap.pop();
      if (last && heap.length > 0) {
        heap[0] = last;
        for (let i = 0; ;) {
          const [l, r] = [2 * i + 1, 2 * i + 2];
          let least = i;
          if (l < heap.length && before(heap[l]!, heap[least]!)) least = l;
          if (r < heap.length && before(heap[r]!, heap[least]!)) least = r;
          if (least === i) break;
          swap(i, least);
          i = least;
        }
      }
      return top;
    },
  };
}
