import type { Ref, Severity } from '../finding/index.ts';

/** One thing that lets go or stops working. */
export interface Fault {
  readonly id: string;
  /** Where the drawing shows it. */
  readonly part: Ref;
  /** As a clause: "the device connector opens". */
  readonly says: string;
  /** False for what only follows from other faults. */
  readonly basic: boolean;
}

/** When all of `when` have happened, `then` happens too. */
export interface Consequence {
  readonly when: readonly string[];
  readonly then: string;
  readonly because: string;
}

/** One way by which the person is held: it stands as long as none of `needs` has happened. */
export interface Stop {
  readonly id: string;
  readonly label: string;
  /** A person's hand must do something at that moment. */
  readonly hand: boolean;
  readonly needs: readonly string[];
}

/** Something rigged as a way to be held that does not count as one, and why not. */
export interface NoStop {
  readonly id: string;
  readonly label: string;
  readonly severity: Severity;
  readonly because: string;
}

/** One event that brings several faults at once. */
export interface CommonCause {
  readonly id: string;
  readonly says: string;
  readonly brings: readonly string[];
  readonly because: string;
}

/** What holds a person, and what can let go. Every id in `consequences`, `stops` and `causes` is one of `faults`. */
export interface HoldModel {
  readonly faults: readonly Fault[];
  readonly consequences: readonly Consequence[];
  readonly stops: readonly Stop[];
  readonly noStops: readonly NoStop[];
  readonly causes: readonly CommonCause[];
}
