import { finding, type Finding, literal } from '../../foundations/finding/index.ts';
import type { Connector, Device } from '../gear/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import { seatKind } from './way.ts';

export interface PairInput {
  readonly connectors: readonly [Connector, Connector];
  readonly device: Device;
  /** Gates on opposite sides. */
  readonly opposed: boolean;
  /** And hinged at opposite ends, so that they open in opposite directions. */
  readonly reversed: boolean;
}

const SUBJECT = ['deviceConnector', 'extraConnector', 'device'] as const;

/** Two connectors side by side in one device: room for both stocks, gates opposed and reversed. */
export const pairFindings = (input: PairInput): Finding[] => [...room(input), gates(input)];

function room({ connectors: [a, b], device }: PairInput): Finding[] {
  if (seatKind(device) !== 'plates') return [];
  const { eyeMm } = device;
  if (eyeMm === null || a.broadStockMm === null || b.broadStockMm === null)
    return [
      finding({
        code: 'connector.pair-no-room',
        severity: 'untested',
        subject: SUBJECT,
        says: `It is not known whether two connectors have room in ${literal(device.name)}.`,
        because: 'Hole or bar is not measured.',
        remedy: 'Measure them and enter it in the locker.',
      }),
    ];
  const needMm = a.broadStockMm + b.broadStockMm;
  if (needMm <= eyeMm) return [];
  return [
    finding({
      code: 'connector.pair-no-room',
      severity: 'stop',
      subject: SUBJECT,
      says: `Two connectors have no room side by side in ${literal(device.name)}.`,
      because: 'Both bars are {need} together, the hole is {hole}.',
      remedy: 'Take thinner bars, or one connector with an anti-rotation bar.',
      numbers: [
        { key: 'need', label: 'Both stocks', quantity: 'diameterMm', value: exactly(needMm) },
        { key: 'hole', label: 'Hole', quantity: 'diameterMm', value: exactly(eyeMm) },
      ],
    }),
  ];
}

function gates({ connectors, opposed, reversed }: PairInput): Finding {
  if (opposed && reversed)
    return finding({
      code: 'connector.pair-opposed',
      severity: 'clear',
      subject: SUBJECT,
      says: 'Both gates are opposed and reversed.',
      because: 'One push cannot open both.',
      remedy: 'Check that both hang the same way and share the load.',
    });
  const locking = connectors.filter((c) => c.lock !== 'none' && c.lock !== 'unknown').length;
  return finding({
    code: 'connector.pair-same-side',
    severity: locking > 0 ? 'mind' : 'stop',
    subject: SUBJECT,
    says: opposed ? 'The gates are opposed but open in the same direction.' : 'Both gates lie on the same side.',
    because: 'What pushes one open pushes the other open too.',
    remedy: 'Turn one of them over and end for end: opposed and reversed.',
  });
}
