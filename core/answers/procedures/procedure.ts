/** A fact of the small world: one of a few words. `no` and `yes` where it is either. */
export interface Variable {
  readonly id: string;
  readonly values: readonly string[];
  readonly start: string;
  /** What one sees for each value, as a clause: "both ends are knotted". Facts that cannot be seen have none. */
  readonly sight: Readonly<Record<string, string>>;
}

/** True when the fact has one of these values; with `not`, none of them. */
export interface Condition {
  readonly v: string;
  readonly is?: readonly string[];
  readonly not?: readonly string[];
}

export interface Effect {
  readonly v: string;
  readonly to: string;
  /** Only when all of these were true before the step. */
  readonly when: readonly Condition[];
}

/**
 * One attachment of the person. It has the facts `<id>.on`, `<id>.locked` and `<id>.tested`, and it holds when it is on
 * and all of one of the lists in `holds` is true. A Stop that counts is one that holds, is locked and was tested with
 * weight.
 */
export interface Lane {
  readonly id: string;
  readonly label: string;
  readonly holds: readonly (readonly Condition[])[];
  /** False where there is no gate or knot to lock. */
  readonly locks: boolean;
}

/** A known way to do a step wrong: other effects instead of its own. */
export interface Wrong {
  readonly id: string;
  readonly says: string;
  readonly sets: readonly Effect[];
}

export interface Step {
  readonly id: string;
  readonly who: string;
  readonly does: string;
  /** What to see before going on. */
  readonly see: string;
  /** Without these it cannot be done at all, so that the mistake shows. */
  readonly can: readonly Condition[];
  readonly sets: readonly Effect[];
  /**
   * The attachment on which weight is put while another one still holds: a bad one shows, a good one is tested and
   * carries.
   */
  readonly tests: string | null;
  /**
   * What carries the weight after such a test; null: what was tested. A hitch on the brake strands is tested while the
   * device carries.
   */
  readonly carries: string | null;
  readonly wrongs: readonly Wrong[];
  /** How many things at least hold, promised from after this step on. */
  readonly mustHold: number | null;
  /** Options under which the step belongs to the procedure. */
  readonly only: Readonly<Record<string, string>>;
  /** Not in the order unless it is put there. */
  readonly extra: boolean;
}

/** What follows from a breach, from worst on. */
export const BREACHES = {
  fall: 'You fall',
  unattached: 'Nothing holds you',
  untested: 'You rely on something not locked or tested',
  drop: 'You drop before something catches you',
  stranded: 'You are stranded',
  dropped: 'Something falls down',
} as const;
export type BreachKind = keyof typeof BREACHES;

/** A state of the world that must never be; `when` are all true in it. */
export interface Invariant {
  readonly id: string;
  readonly kind: BreachKind;
  readonly says: string;
  readonly when: readonly Condition[];
}

interface Variant {
  readonly id: string;
  readonly label: string;
  readonly options: Readonly<Record<string, string>>;
}

/**
 * A procedure as data. The facts `where` (ground, low, up) and `weight` (feet or an attachment) belong to every one.
 */
export interface Procedure {
  readonly id: string;
  readonly title: string;
  readonly purpose: string;
  readonly lanes: readonly Lane[];
  readonly variables: readonly Variable[];
  readonly variants: readonly Variant[];
  readonly invariants: readonly Invariant[];
  readonly steps: readonly Step[];
  /** How many things at least hold while off the ground, until a step promises otherwise. */
  readonly mustHold: number;
}

export type State = Readonly<Record<string, string>>;
