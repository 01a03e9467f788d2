import { finding, type Finding, type ElementId, literal } from '../../foundations/finding/index.ts';
import type { Connector } from '../gear/index.ts';

export type GateState = 'locked' | 'closed' | 'open' | 'unknown';
export type GateFacing = 'away' | 'rope' | 'rock' | 'unknown';

export interface GateInput {
  readonly connector: Connector;
  readonly part: ElementId;
  readonly gate: GateState;
  readonly facing: GateFacing;
  /** True when the person hangs on this connector; false for a backup. */
  readonly carries: boolean;
}

/** What running rope, rock or shaking does to each kind of lock; undefined when it does not open it by itself. */
export const OPENED_BY: Readonly<Record<Connector['lock'], string | undefined>> = {
  none: 'Running rope or rock pushes a gate without a lock open.',
  screw: 'Rope running over a screw gate can unscrew it; so can vibration.',
  'two-action': 'Rope running over the sleeve can turn it and push the gate open.',
  'three-action': undefined,
  magnetic: undefined,
  twin: undefined,
  unknown: 'How this gate locks is not known, so neither is what opens it.',
};

/** Locking kind, state and direction of a gate. */
export function gateFindings(input: GateInput): Finding[] {
  const findings = [...lock(input), ...state(input), ...facing(input)];
  if (findings.length > 0) return findings;
  return [
    finding({
      code: 'connector.gate-locked',
      severity: 'clear',
      subject: [input.part],
      says: `The gate of ${literal(input.connector.name)} is locked and out of the way.`,
      because: 'Entered as locked and facing away from rope and rock.',
      remedy: 'Press it open by hand at the check: it must not give.',
    }),
  ];
}

function lock({ connector, part, carries }: GateInput): Finding[] {
  if (connector.lock === 'unknown') {
    return [
      finding({
        code: 'connector.lock-unknown',
        severity: 'untested',
        subject: [part],
        says: `It is not known how the gate of ${literal(connector.name)} locks.`,
        because: 'A gate without a lock opens when it is pressed against rock or rope.',
        remedy: 'Enter the kind of gate in the locker.',
      }),
    ];
  }
  if (connector.lock !== 'none') return [];
  return [
    finding(
      {
        code: 'connector.not-locking',
        subject: [part],
        says: `${literal(connector.name)} has no lock.`,
        remedy: 'Use a locking connector.',
      },
      carries
        ? { severity: 'stop', because: 'The person hangs on this connector alone.' }
        : { severity: 'mind', because: 'The hitch cord can unclip itself from a non-locking carabiner.' },
    ),
  ];
}

function state({ connector, part, gate, carries }: GateInput): Finding[] {
  if (gate === 'unknown') {
    return [
      finding({
        code: 'connector.gate-unknown',
        severity: 'untested',
        subject: [part],
        says: `Not entered yet: whether the gate of ${literal(connector.name)} is locked.`,
        because:
          'Most connectors lose well over half their strength with the gate open, and what they hold can slip out.',
        remedy: 'Look, press, and enter it.',
      }),
    ];
  }
  // A closed gate without a lock is already said by the finding about the lock.
  if (gate === 'locked' || (gate === 'closed' && connector.lock === 'none')) return [];
  return [
    finding({
      code: 'connector.gate-not-locked',
      severity: gate === 'open' || carries ? 'stop' : 'mind',
      subject: [part],
      says:
        gate === 'open'
          ? `The gate of ${literal(connector.name)} is open.`
          : `The gate of ${literal(connector.name)} is closed but not locked.`,
      because:
        'Most connectors lose well over half their strength with the gate open, and what they hold can slip out.',
      remedy: 'Close and lock it, then press it to see that it stays.',
    }),
  ];
}

function facing({ connector, part, facing: direction }: GateInput): Finding[] {
  if (direction === 'away') return [];
  if (direction === 'unknown') {
    return [
      finding({
        code: 'connector.gate-unknown',
        severity: 'untested',
        subject: [part],
        says: `Not entered yet: where the gate of ${literal(connector.name)} faces.`,
        because: 'Running rope or rock can work a gate open.',
        remedy: 'Turn it away from the brake strands and the rock, and enter it.',
      }),
    ];
  }
  // A gate that nothing opens is still bent open, or broken, where it is levered over rock.
  const opens =
    OPENED_BY[connector.lock] ??
    (direction === 'rock'
      ? 'A locked gate that is pressed over rock under load is levered open or broken.'
      : undefined);
  if (opens === undefined) return [];
  return [
    finding({
      code: 'connector.gate-towards-rope',
      severity: connector.lock === 'none' ? 'stop' : 'mind',
      subject: [part],
      says:
        direction === 'rope'
          ? `The brake strands run over the gate of ${literal(connector.name)}.`
          : `The gate of ${literal(connector.name)} faces the rock.`,
      because: opens,
      remedy: 'Turn the connector so that the gate is away from the brake strands and the rock.',
    }),
  ];
}
