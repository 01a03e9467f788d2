import type { ElementId, Sentence, Severity } from '../../foundations/finding/index.ts';
import type { FaultKind } from './kinds.ts';

/*
 * Labels and `says` are plain text, as it was typed where a user names it; `because` may come from a finding, numbers
 * and all.
 */

/** One thing that lets go or stops working. */
export interface Fault {
  readonly id: string;
  readonly kind: FaultKind;
  /** Where the drawing shows it. */
  readonly part: ElementId;
  /** As a clause: "the device connector opens". */
  readonly says: string;
  /** False for what only follows from other faults. */
  readonly basic: boolean;
}

/** When all of `when` have happened, `then` happens too. */
export interface Consequence {
  readonly when: readonly string[];
  readonly then: string;
  readonly because: Sentence;
}

/** One way by which the person is held: it stands as long as none of `needs` has happened. */
export interface Hold {
  readonly id: string;
  readonly label: string;
  /** A person's hand must do something at that moment. */
  readonly hand: boolean;
  readonly needs: readonly string[];
}

/** Something rigged as a way to be held that does not count as one, and why not. */
export interface NoHold {
  /** A backup of something else. */
  readonly backup: boolean;
  readonly id: string;
  readonly label: string;
  readonly severity: Severity;
  readonly because: Sentence;
}

/** One event that brings several faults at once. */
export interface CommonCause {
  readonly id: string;
  readonly says: string;
  readonly brings: readonly string[];
  readonly because: string;
}

/** What holds a person, and what can let go. Every id in `consequences`, `holds` and `causes` is one of `faults`. */
export interface HoldModel {
  readonly faults: readonly Fault[];
  readonly consequences: readonly Consequence[];
  readonly holds: readonly Hold[];
  readonly noHolds: readonly NoHold[];
  readonly causes: readonly CommonCause[];
}
