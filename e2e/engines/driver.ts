/** What the journey needs of an engine: the page, a hand and a camera. */
export interface Driver {
  readonly name: string;
  readonly go: (url: string) => Promise<void>;
  readonly reload: () => Promise<void>;
  /** Runs the text of a function in the page, with these arguments. */
  readonly run: <T>(source: string, args: readonly unknown[]) => Promise<T>;
  /** Presses the button of the pointer at the first point, moves over the others, and lets go. */
  readonly point: (path: readonly Point[]) => Promise<void>;
  readonly type: (text: string) => Promise<void>;
  readonly picture: (file: string) => Promise<void>;
  /** The page as it would be printed, as bytes of a PDF; null where the engine cannot be asked for it. */
  readonly print: () => Promise<Uint8Array | null>;
  readonly close: () => Promise<void>;
}
interface Point {
  readonly x: number;
  readonly y: number;
}

export const WIDTH = 1280;
export const HEIGHT = 800;

/** What is in the page is asked again and again, as somebody looks who waits. */
export async function until<T>(what: string, look: () => Promise<T | null | false>, waitMs = 20_000): Promise<T> {
  const end = Date.now() + waitMs;
  let last: unknown;
  while (Date.now() < end) {
    try {
      const seen = await look();
      if (seen) return seen;
    } catch (error) {
      // While a page is loaded anew there is none to ask.
      last = error;
    }
    await new Promise((next) => setTimeout(next, 60));
  }
  throw new Error(`not seen: ${what}${last instanceof Error ? ` (${last.message.split('\n')[0]})` : ''}`);
}
