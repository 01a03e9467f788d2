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

/** Two connectors side by side in one device: room for both stocks, gates opposed and reversed. */
export function pairFindings({ connectors: [a, b], device, opposed, reversed }: PairInput): Finding[] {
  const subject = ['deviceConnector', 'extraConnector', 'device'] as const;
  const findings: Finding[] = [];
  if (seatKind(device) === 'plates') {
    const { eyeMm } = device;
    const needMm = a.broadStockMm === null || b.broadStockMm === null ? null : a.broadStockMm + b.broadStockMm;
    const missing = eyeMm === null || needMm === null;
    if (missing || needMm > eyeMm) {
      findings.push(
        finding(
          {
            code: 'connector.pair-no-room',
            subject,
            numbers: missing
              ? []
              : [
                  { key: 'need', label: 'Both stocks', quantity: 'diameterMm', value: exactly(needMm) },
                  { key: 'hole', label: 'Hole', quantity: 'diameterMm', value: exactly(eyeMm) },
                ],
          },
          missing
            ? {
                severity: 'untested',
                says: `It is not known whether two connectors have room in ${literal(device.name)}.`,
                because: 'Hole or bar is not measured.',
                remedy: 'Measure them and enter it in the locker.',
              }
            : {
                severity: 'stop',
                says: `Two connectors have no room side by side in ${literal(device.name)}.`,
                because: 'Both bars are {need} together, the hole is {hole}.',
                remedy: 'Take thinner bars, or one connector with an anti-rotation bar.',
              },
        ),
      );
    }
  }
  if (opposed && reversed) {
    findings.push(
      finding({
        code: 'connector.pair-opposed',
        severity: 'clear',
        subject,
        says: 'Both gates are opposed and reversed.',
        because: 'One push cannot open both.',
        remedy: 'Look that both hang alike and share the load.',
      }),
    );
  } else {
    const locking = [a, b].filter((c) => c.lock !== 'none' && c.lock !== 'unknown').length;
    findings.push(
      finding({
        code: 'connector.pair-same-side',
        severity: locking > 0 ? 'mind' : 'stop',
        subject,
        says: opposed ? 'The gates are opposed but open in the same direction.' : 'Both gates lie on the same side.',
        because: 'What pushes one open pushes the other open too.',
        remedy: 'Turn one of them over and end for end: opposed and reversed.',
      }),
    );
  }
  return findings;
}
