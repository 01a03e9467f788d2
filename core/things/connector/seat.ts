import {
  finding,
  type Finding,
  type FindingNumber,
  type ElementId,
  type Severity,
  literal,
  strengthAgainst,
  worse,
} from '../../foundations/finding/index.ts';
import type { Connector } from '../gear/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly, type Interval } from '../../foundations/units/index.ts';

export interface SeatInput {
  readonly connector: Connector;
  readonly part: ElementId;
  /** Which end the rope runs over. */
  readonly ropeEnd: 'broad' | 'narrow' | 'unknown';
  /** Diameters of the two strands that lie side by side, mm. */
  readonly strandsMm: readonly [number, number];
}

/** Which end of the connector holds the rope in a tube, and whether both strands have room there. */
export function seatFindings({ connector, part, ropeEnd, strandsMm }: SeatInput): Finding[] {
  return [endFinding(connector, part, ropeEnd), ...roomFindings(connector, part, strandsMm)];
}

const BROAD_BECAUSE =
  'At the wide end two strands lie side by side and run evenly; at the narrow end they bunch up, twist and wear.';

/** Which end of the connector the rope runs over. */
export function endFinding(
  connector: Connector,
  part: ElementId,
  ropeEnd: SeatInput['ropeEnd'],
  because = BROAD_BECAUSE,
): Finding {
  if (ropeEnd === 'unknown') {
    return finding({
      code: 'connector.seat-unknown',
      severity: 'untested',
      subject: [part],
      because,
      says: `Not entered yet: which end of ${literal(connector.name)} the rope runs over.`,
      remedy: 'Look, turn it if needed, and enter it.',
    });
  }
  if (ropeEnd === 'narrow' && connector.shape !== 'oval') {
    return finding({
      code: 'connector.narrow-end-at-rope',
      severity: 'mind',
      subject: [part],
      because,
      says: `The rope runs over the narrow end of ${literal(connector.name)}.`,
      remedy: 'Turn the connector round: broad end to the rope, narrow end to the sling.',
    });
  }
  return finding({
    code: 'connector.broad-end-at-rope',
    severity: 'clear',
    subject: [part],
    because,
    says:
      connector.shape === 'oval'
        ? `Both ends of ${literal(connector.name)} are alike.`
        : `The rope runs over the broad end of ${literal(connector.name)}.`,
  });
}

/** Whether these strands have room side by side on the broad end. */
export function roomFindings(connector: Connector, part: ElementId, strandsMm: readonly [number, number]): Finding[] {
  if (connector.broadInsideWidthMm === null) {
    return [
      finding({
        code: 'connector.geometry-unknown',
        severity: 'untested',
        subject: [part],
        says: `It is not known whether two strands have room on ${literal(connector.name)}.`,
        because: 'Its inside width at the broad end is not entered.',
        remedy: 'Measure it with a caliper and enter it in the locker.',
      }),
    ];
  }
  const needMm = strandsMm[0] + strandsMm[1] + threshold('connectorRoomMm');
  if (connector.broadInsideWidthMm >= needMm) return [];
  return [
    finding({
      code: 'connector.strands-crowded',
      severity: 'mind',
      subject: [part],
      says: `Two strands crowd on ${literal(connector.name)}.`,
      because: 'It is {width} wide inside; the strands ask for {need}.',
      remedy: 'Use a connector with a broader end.',
      numbers: [
        {
          key: 'width',
          label: 'Inside width, broad end',
          quantity: 'diameterMm',
          value: exactly(connector.broadInsideWidthMm),
        },
        { key: 'need', label: 'Asked for', quantity: 'diameterMm', value: exactly(needMm) },
      ],
    }),
  ];
}

/**
 * Strength left against the load of the job. Settling across is possible, not certain, where somebody tends the device,
 * and counts against the usual load, unless something holds the connector from turning. What an open gate leaves is
 * shown; that a gate is open, or may be opened, is judged with the gate.
 */
export function strengthFinding(connector: Connector, part: ElementId, load: Interval): Finding {
  const canCross = connector.keeper !== 'yes';
  const ways = [
    { key: 'major', label: 'Strength along', kn: connector.strengthMajorKn, against: load },
    { key: 'open', label: 'Strength, gate open', kn: connector.strengthOpenKn, against: null },
    ...(canCross
      ? [{ key: 'minor', label: 'Strength across', kn: connector.strengthMinorKn, against: exactly(load.best) }]
      : []),
  ];
  const missing = ways.filter((way) => way.kn === null);
  const known = ways.filter((way): way is typeof way & { kn: number } => way.kn !== null);
  const numbers: FindingNumber[] = [
    { key: 'load', label: 'Shock load, or load with slack', quantity: 'strengthKn', value: load },
    ...known.map(({ key, label, kn }): FindingNumber => ({ key, label, quantity: 'strengthKn', value: exactly(kn) })),
  ];
  const judged = known.flatMap(({ against, ...way }) =>
    against === null ? [] : [{ ...way, severity: strengthAgainst(way.kn, against), margin: way.kn / against.best }],
  );
  const weakest = judged.length > 0 ? judged.reduce((a, b) => (b.margin < a.margin ? b : a)) : undefined;
  const severity = judged.reduce<Severity>((worst, { severity: s }) => worse(worst, s), 'clear');
  if (weakest && severity !== 'clear') {
    return finding({
      code: 'connector.strength',
      severity,
      subject: [part],
      numbers,
      says: `${literal(connector.name)} has little strength left in its worst position.`,
      because: `${weakest.label}: {${weakest.key}}; the load is {load~}.`,
      remedy: 'Use a stronger connector, or one that is held from turning.',
    });
  }
  if (missing.length > 0) {
    return finding({
      code: 'connector.strength-unknown',
      severity: 'untested',
      subject: [part],
      numbers,
      says: `Not every strength of ${literal(connector.name)} is entered.`,
      because: `Missing: ${missing.map((way) => way.label.toLowerCase()).join(', ')}.`,
      remedy: 'Read the marks on the spine and enter them.',
    });
  }
  return finding({
    code: 'connector.strength',
    severity: 'clear',
    subject: [part],
    says: `${literal(connector.name)} is strong enough${canCross ? ', even across' : ' along its axis'}.`,
    because: `Weakest: ${weakest!.label.toLowerCase()} {${weakest!.key}}, {ratio} the load that counts there ({load~}).`,
    remedy: canCross ? 'Nothing stops it turning sideways: check it is in line before you load it.' : '',
    numbers: [
      ...numbers,
      { key: 'ratio', label: 'Strength over load', quantity: 'ratio', value: exactly(weakest!.margin) },
    ],
  });
}
