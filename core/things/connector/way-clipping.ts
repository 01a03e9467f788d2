import { finding, type Finding, type FindingNumber, type Severity, literal } from '../../foundations/finding/index.ts';
import { traitsOf, type Connector } from '../gear/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly, type Interval } from '../../foundations/units/index.ts';
import { endMeasures, holeNeededMm, seatThicknessMm } from './clearance.ts';
import { OPENED_BY } from './gate.ts';
import { endFinding } from './seat.ts';
import { seatKind, type Way } from './way.ts';
import type { WayInput } from './way-input.ts';

const SUBJECT = ['deviceConnector', 'device'] as const;
const mm = (key: string, label: string, value: number): FindingNumber => ({
  key,
  label,
  quantity: 'diameterMm',
  value: exactly(value),
});
const kn = (key: string, label: string, value: Interval): FindingNumber => ({
  key,
  label,
  quantity: 'strengthKn',
  value,
});

/**
 * How much a gate that can be opened or levered matters: what is left is the gate-open strength at best, against the
 * load of the job: the highest where somebody can fall, else the usual one. Never clear; *stop* where the load can
 * reach half of what is left, or where that strength is not known and somebody can fall.
 */
export function gateGoneSeverity({ connector, load }: WayInput, loadKn: Interval): Severity {
  if (connector.strengthOpenKn === null) return load.fall ? 'stop' : 'mind';
  const reckonedKn = load.fall ? loadKn.high : loadKn.best;
  return connector.strengthOpenKn / reckonedKn < threshold('strengthMarginMind') ? 'stop' : 'mind';
}

function gateNumbers({ connector }: WayInput, loadKn: Interval): FindingNumber[] {
  return [
    kn('load', 'Load of this job', loadKn),
    ...(connector.strengthOpenKn === null
      ? []
      : [kn('open', 'Strength, gate open', exactly(connector.strengthOpenKn))]),
  ];
}
const leftText = ({ connector }: WayInput) =>
  connector.strengthOpenKn === null
    ? 'What is left without the gate is not known; the load of this job is {load~}.'
    : 'Without the gate {open} is left at best; the load of this job is {load~}.';

/**
 * Everything about one way that lies in shape and place: does it pass, wedge, turn, and can something open the gate.
 */
export function clippingFindings(input: WayInput, way: Way, loadKn: Interval): Finding[] {
  const seat = seatKind(input.device) === 'plates' ? plates(input, way, loadKn) : [atRope(input, way)];
  return [...kind(input), ...declared(input), ...seat, ...gate(input, way, loadKn)];
}

/** Devices that hold by themselves depend on their connector: what their maker says about it has to be looked up. */
function declared({ device }: WayInput): Finding[] {
  if (seatKind(device) !== 'plates' || !holdsByItself(device)) return [];
  const missing = [
    ...(device.connectorWanted === 'unknown' ? ['which connector it wants'] : []),
    ...(device.connectorForbidden === 'unknown' ? ['which it forbids'] : []),
    ...(device.entry === 'unknown' ? ['from which side the connector goes in'] : []),
  ];
  if (missing.length === 0) return [];
  return [
    finding({
      code: 'connector.not-declared',
      severity: 'untested',
      subject: SUBJECT,
      says: `What the maker of ${literal(device.name)} says about its connector is not entered.`,
      because: `Missing: ${missing.join(', ')}.`,
      remedy: 'Look it up in the instructions and enter it in the locker.',
    }),
  ];
}
const holdsByItself = ({ family }: WayInput['device']): boolean => {
  const { handOff, tied, aidOnly } = traitsOf(family);
  return handOff !== 'runs' && !tied && !aidOnly;
};

function atRope({ connector, device }: WayInput, way: Way): Finding {
  return endFinding(
    connector,
    'deviceConnector',
    way.end,
    seatKind(device) === 'hitch'
      ? 'A Munter hitch needs the wide end of a pear-shaped (HMS) carabiner to flip.'
      : undefined,
  );
}

function kind({ connector, device }: WayInput): Finding[] {
  if (device.connectorForbidden !== 'unknown' && device.connectorForbidden === connector.shape) {
    return [
      finding({
        code: 'connector.kind-forbidden',
        severity: 'stop',
        subject: SUBJECT,
        says: `${literal(device.name)} is not to be used with this shape of connector.`,
        because: `Its maker forbids it, as entered; ${literal(connector.name)} has that shape.`,
        remedy: 'Use a connector of another shape.',
      }),
    ];
  }
  const wanted = device.connectorWanted === 'unknown' ? traitsOf(device.family).wants : device.connectorWanted;
  if (wanted === null || wanted === 'any' || wanted === connector.shape) return [];
  return [
    finding({
      code: 'connector.kind-not-wanted',
      severity: 'mind',
      subject: SUBJECT,
      says: `${literal(device.name)} wants another shape of connector than ${literal(connector.name)}.`,
      because:
        device.connectorWanted === 'unknown'
          ? 'A Munter hitch needs room to flip, as in a pear-shaped connector.'
          : 'So its maker says, as entered.',
      remedy: 'Take the shape that is asked for.',
    }),
  ];
}

function plates(input: WayInput, way: Way, loadKn: Interval): Finding[] {
  const { connector, device } = input;
  const { insideWidthMm, stockMm, sleeveFromMm } = endMeasures(connector, way.end);
  const thicknessMm = seatThicknessMm(device);
  const missing = [
    ...(device.eyeMm === null ? ['hole of the device'] : []),
    ...(thicknessMm === null ? ['plates of the device'] : []),
    ...(stockMm === null ? ['bar of the connector at this end'] : []),
    ...(insideWidthMm === null ? ['inside width of the connector at this end'] : []),
  ];
  const found = [...entry(input, way), ...sleeve(input, way, sleeveFromMm, loadKn), ...wedging(input, way)];
  if (missing.length > 0) found.push(unknown(input, missing));
  else found.push(...through(input, insideWidthMm!, stockMm!, thicknessMm!));
  return found;
}

function unknown({ connector, device }: WayInput, missing: readonly string[]): Finding {
  return finding({
    code: 'connector.geometry-unknown',
    severity: 'untested',
    subject: SUBJECT,
    says: `How ${literal(connector.name)} sits in ${literal(device.name)} is not computed.`,
    because: `Not measured: ${missing.join(', ')}.`,
    remedy:
      'Measure it with a caliper and enter it in the locker, or try the pair on the ground and enter what happened.',
  });
}

function entry({ device }: WayInput, way: Way): Finding[] {
  if (device.entry === 'unknown' || device.entry === 'either' || device.entry === way.from) return [];
  return [
    finding({
      code: 'connector.entry-side',
      severity: 'stop',
      subject: SUBJECT,
      says: `${literal(device.name)} takes its connector from the ${device.entry} only.`,
      because: 'So its maker says, as entered.',
      remedy: `Clip it from the ${device.entry}.`,
    }),
  ];
}

/** Does the bent stock pass the hole, does the plate pass the gate, and does it turn. */
function through(
  { connector, device }: WayInput,
  insideWidthMm: number,
  stockMm: number,
  thicknessMm: number,
): Finding[] {
  const eyeMm = device.eyeMm!;
  const needMm = holeNeededMm(insideWidthMm, stockMm, thicknessMm);
  const bent = Number.isFinite(needMm);
  const playMm = eyeMm - needMm;
  const numbers = [
    mm('hole', 'Hole', eyeMm),
    mm('stock', 'Bar at this end', stockMm),
    mm('thick', 'Device is thick', thicknessMm),
    mm('width', 'Inside width of this end', insideWidthMm),
    ...(bent ? [mm('need', 'Hole needed by the bent bar', needMm), mm('play', 'Play', playMm)] : []),
  ];
  const because = bent
    ? 'The hole is {hole}; the bent bar of {stock} through {thick} needs {need}: {play} of play.'
    : 'The device is {thick} thick, this end only {width} wide inside.';
  const opening = connector.gateOpeningMm;
  const plateMm = device.plateMm!;
  const narrow: Finding[] =
    opening !== null && plateMm > opening
      ? [
          finding({
            code: 'connector.gate-too-narrow',
            severity: 'stop',
            subject: SUBJECT,
            says: `A plate of ${literal(device.name)} does not pass the gate of ${literal(connector.name)}.`,
            because: 'The gate opens by {opening}, the plate is {plate} thick.',
            remedy: 'Use a connector whose gate opens wider.',
            numbers: [mm('opening', 'Gate opens by', opening), mm('plate', 'One plate', plateMm)],
          }),
        ]
      : [];
  const caliperMm = threshold('caliperPlayMm');
  if (!bent || playMm < -caliperMm) {
    return [
      ...narrow,
      finding({
        code: 'connector.does-not-pass',
        severity: 'stop',
        subject: SUBJECT,
        says: `This end of ${literal(connector.name)} does not sit in ${literal(device.name)}.`,
        because,
        remedy: 'Turn it round if the other end passes, or take a connector with a thinner bar.',
        numbers,
      }),
    ];
  }
  if (playMm < caliperMm) {
    return [
      ...narrow,
      finding({
        code: 'connector.barely-passes',
        severity: 'mind',
        subject: SUBJECT,
        says: `${literal(connector.name)} barely passes ${literal(device.name)}, and may jam in it.`,
        because,
        remedy: 'Try it on the ground and enter what happened.',
        numbers,
      }),
    ];
  }
  if (playMm < threshold('freePlayMm')) {
    const must = device.mustTurn !== 'no';
    return [
      ...narrow,
      finding(
        {
          code: 'connector.stock-wedges',
          subject: SUBJECT,
          says: `${literal(connector.name)} is tight in the hole of ${literal(device.name)}${must ? ', which must turn on it' : ''}.`,
          because,
          numbers,
        },
        must ? { severity: 'mind', remedy: 'Use a thinner bar, or a wider end.' } : { severity: 'clear' },
      ),
    ];
  }
  return [
    ...narrow,
    finding({
      code: 'connector.way-free',
      severity: 'clear',
      subject: SUBJECT,
      says: `${literal(connector.name)} passes ${literal(device.name)} and turns in it.`,
      because,
      remedy: 'Look along its axis before you load it.',
      numbers,
    }),
  ];
}

/**
 * Stock of about the width of the gap can be forced or drawn between the plates and hold the device askew: that of the
 * end in the device, and of the other one as well where nothing keeps the connector from turning round while it is not
 * loaded.
 */
function wedging(input: WayInput, { end }: Way): Finding[] {
  const here = endMeasures(input.connector, end).stockMm;
  const there = endMeasures(input.connector, end === 'broad' ? 'narrow' : 'broad').stockMm;
  const found = betweenPlates(input, here, 'this end');
  const turns = input.connector.keeper !== 'yes' && input.connector.shape !== 'oval';
  return found.length > 0 || !turns ? found : betweenPlates(input, there, 'the other end');
}

function betweenPlates({ connector, device, load }: WayInput, stockMm: number | null, where: string): Finding[] {
  const { gapMm } = device;
  if (gapMm === null || gapMm === 0 || stockMm === null) return [];
  const looserMm = gapMm - stockMm;
  if (looserMm >= threshold('wedgeLooserMm') || looserMm < -threshold('wedgeTighterMm')) return [];
  const must = device.mustTurn !== 'no';
  return [
    finding({
      code: 'connector.stock-wedges',
      // A device that must turn to hold does not hold when it cannot: where nobody tends it that is not left to chance.
      severity: must && !load.tended ? 'stop' : 'mind',
      subject: SUBJECT,
      says: `The bar of ${literal(connector.name)} at ${where} can wedge between the plates of ${literal(device.name)}.`,
      because: `The gap is {gap}, the bar {stock}: close enough to jam${must ? ', and this device must turn to hold' : ''}.`,
      remedy: 'Use a bar clearly thinner or thicker than the gap.',
      numbers: [mm('gap', 'Gap between the plates', gapMm), mm('stock', `Bar at ${where}`, stockMm)],
    }),
  ];
}

/**
 * A sleeve sits on the gate: it can come into a gap or notch only where that is open on the side to which the gate
 * looks. Not known: on both.
 */
function sleeve(input: WayInput, way: Way, sleeveFromMm: number | null, loadKn: Interval): Finding[] {
  const { connector, device } = input;
  const { gapMm, notchMm, coverMm } = device;
  // One plate without a notch has nothing that a sleeve could enter.
  if (gapMm === 0 && notchMm === 0) return [];
  if (connector.lock === 'none' || connector.lock === 'twin') return [];
  if (device.gapOpens !== 'both' && device.gapOpens !== 'unknown' && device.gapOpens !== way.gate) return [];
  const { sleeveMm } = connector;
  const openings = [
    { what: 'between the plates', widthMm: gapMm },
    { what: 'into the notch', widthMm: notchMm },
  ];
  const measured = sleeveMm !== null && sleeveFromMm !== null && coverMm !== null;
  if (measured && sleeveFromMm >= coverMm) return [];
  const into = openings.find(
    ({ widthMm }) =>
      widthMm !== null && widthMm > 0 && sleeveMm !== null && sleeveMm <= widthMm + threshold('caliperPlayMm'),
  );
  if (into && measured) {
    return [
      finding({
        code: 'connector.sleeve-enters',
        severity: gateGoneSeverity(input, loadKn),
        subject: SUBJECT,
        says: `The sleeve of ${literal(connector.name)} can come ${into.what} of ${literal(device.name)}.`,
        because: `Sleeve {sleeve}, opening {opening}; it begins {from} from this end and the device covers {cover}. The gate is then levered open; nobody knows what it holds. ${leftText(input)}`,
        remedy: 'Turn the connector round, or take one whose sleeve is thicker than the opening.',
        numbers: [
          mm('sleeve', 'Outside of the sleeve', sleeveMm),
          mm('opening', 'Opening', into.widthMm!),
          mm('from', 'Sleeve from this end', sleeveFromMm),
          mm('cover', 'Device covers', coverMm),
          ...gateNumbers(input, loadKn),
        ],
      }),
    ];
  }
  // Too thick for every opening that is known: where it begins does not matter.
  if (
    sleeveMm !== null &&
    openings.every(({ widthMm }) => widthMm !== null && sleeveMm > widthMm + threshold('caliperPlayMm'))
  )
    return [];
  const missing = [
    ...(sleeveMm === null ? ['outside of the sleeve'] : []),
    ...(sleeveFromMm === null ? ['sleeve from this end'] : []),
    ...(gapMm === null ? ['gap between the plates'] : []),
    ...(notchMm === null ? ['notch at the hole'] : []),
    ...(coverMm === null ? ['how far the plates cover'] : []),
  ];
  return [unknown(input, missing)];
}

const SHAKEN: ReadonlySet<Connector['lock']> = new Set(['screw']);

function gate(input: WayInput, way: Way, loadKn: Interval): Finding[] {
  const { connector, device, load } = input;
  if (connector.lock === 'none') {
    return [
      finding({
        code: 'connector.gate-unlocked',
        severity: 'stop',
        subject: ['deviceConnector'],
        says: `${literal(connector.name)} has no lock.`,
        because: 'A person hangs on this connector alone.',
        remedy: 'Use a locking connector.',
      }),
    ];
  }
  if (connector.lock === 'unknown') {
    return [
      finding({
        code: 'connector.lock-unknown',
        severity: 'untested',
        subject: ['deviceConnector'],
        says: `It is not known how the gate of ${literal(connector.name)} locks.`,
        because: OPENED_BY.unknown!,
        remedy: 'Enter the kind of gate in the locker.',
      }),
    ];
  }
  const opens = OPENED_BY[connector.lock];
  if (way.gate === 'brake' && opens !== undefined) {
    return [
      finding({
        code: 'connector.rope-unscrews',
        severity: gateGoneSeverity(input, loadKn),
        subject: SUBJECT,
        says: `The brake strand can run over the gate of ${literal(connector.name)}.`,
        because: `${opens} ${leftText(input)}`,
        remedy: 'Turn the gate to the other side.',
        numbers: gateNumbers(input, loadKn),
      }),
    ];
  }
  if (!load.tended && SHAKEN.has(connector.lock)) {
    return [
      finding({
        code: 'connector.shakes-open',
        severity: 'mind',
        subject: ['deviceConnector'],
        says: `The screw gate of ${literal(connector.name)} can work open while you are not watching it.`,
        because: `During this job ${literal(device.name)} moves along with you and no hand stays on it.`,
        remedy: 'Use a gate that locks by itself, or look at the sleeve at every stop.',
      }),
    ];
  }
  return [];
}
