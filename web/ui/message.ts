/** Something said in passing, with at most one thing to do about it. */
export interface Message {
  readonly id: number;
  readonly text: string;
  readonly action?: { readonly label: string; readonly run: () => void };
}
