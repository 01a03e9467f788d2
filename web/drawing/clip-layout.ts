import { endMeasures, playMm, seatKind, seatThicknessMm, type Way } from '@core/things/connector';
import type { Connector, Device } from '@core/things/gear';
import { vec, type Vec } from './vector';

/**
 * A connector in a device, in millimetres, seen along the plates: origin at the inside of the loaded end, y up along
 * the connector, x towards the right of the person. What was not measured is drawn at a middling size and named in
 * `guessed`.
 */
export interface ClipLayout {
  /** +1 when the brake strand hangs on the right, -1 on the left. */
  readonly side: 1 | -1;
  /** +1 when the gate looks to the right. */
  readonly gateSide: 1 | -1;
  readonly stockMm: number;
  readonly lengthMm: number;
  /** Radii of the centre line of both ends. */
  readonly loadedRadiusMm: number;
  readonly farRadiusMm: number;
  /** Centre of the arcs of both ends. */
  readonly loadedCentre: Vec;
  readonly farCentre: Vec;
  readonly sleeve: { readonly from: Vec; readonly to: Vec; readonly widthMm: number } | null;
  /** Plates, edge on: x from, x to; above and below the hole. */
  readonly plates: readonly { readonly x0: number; readonly x1: number }[];
  readonly coverMm: number;
  readonly eyeMm: number;
  /** Highest point of the inner bend under the plates' middle, where the hole bears. */
  readonly bearingY: number;
  readonly playMm: number | null;
  readonly gapMm: number;
  readonly brakeStrand: Vec;
  readonly guessed: readonly string[];
}

const MIDDLING = { broadMm: 42, narrowMm: 16, stockMm: 11, sleeveMm: 15, eyeMm: 18, plateMm: 3, gapMm: 8, coverMm: 9 };

export function clipLayout(connector: Connector, device: Device, way: Way, brakeHand: 'right' | 'left'): ClipLayout {
  const guessed: string[] = [];
  const known = (value: number | null, middling: number, what: string): number => {
    if (value === null) guessed.push(what);
    return value ?? middling;
  };
  const side = brakeHand === 'left' ? -1 : 1;
  const gateSide = (way.gate === 'brake' ? side : -side) as 1 | -1;
  const other: Way['end'] = way.end === 'broad' ? 'narrow' : 'broad';
  const [loaded, far] = [
    endMeasures(connector, way.end),
    endMeasures(connector, connector.shape === 'oval' ? way.end : other),
  ];
  const width = (end: Way['end']) =>
    end === 'broad' || connector.shape === 'oval' ? MIDDLING.broadMm : MIDDLING.narrowMm;
  const stockMm = known(loaded.stockMm, MIDDLING.stockMm, 'stock');
  const loadedRadiusMm = (known(loaded.insideWidthMm, width(way.end), 'inside width') + stockMm) / 2;
  const farRadiusMm = ((far.insideWidthMm ?? width(other)) + stockMm) / 2;
  const lengthMm = connector.insideLengthMm;
  const loadedCentre = vec(0, loadedRadiusMm - stockMm / 2);
  const farCentre = vec(0, lengthMm - (farRadiusMm - stockMm / 2));
  const plates = seatKind(device) === 'plates';
  const plateMm = plates ? known(device.plateMm, MIDDLING.plateMm, 'plates') : 0;
  const gapMm = plates ? known(device.gapMm, MIDDLING.gapMm, 'gap') : 0;
  const sleeveFrom = loaded.sleeveFromMm;
  const sleeveTo = far.sleeveFromMm;
  const legX = (y: number) => {
    // The leg runs straight between the two arcs.
    const share = Math.min(1, Math.max(0, (y - loadedCentre.y) / Math.max(1, farCentre.y - loadedCentre.y)));
    return gateSide * (loadedRadiusMm + share * (farRadiusMm - loadedRadiusMm));
  };
  const bottom = sleeveFrom ?? lengthMm * 0.25;
  const top = lengthMm - (sleeveTo ?? lengthMm * 0.45);
  const r = loadedRadiusMm - stockMm / 2;
  const half = (seatThicknessMm(device) ?? 2 * plateMm + gapMm) / 2;
  if (connector.lock !== 'none' && (connector.sleeveMm === null || sleeveFrom === null)) guessed.push('sleeve');
  return {
    side,
    gateSide,
    stockMm,
    lengthMm,
    loadedRadiusMm,
    farRadiusMm,
    loadedCentre,
    farCentre,
    sleeve:
      connector.lock === 'none' || connector.lock === 'twin'
        ? null
        : {
            from: vec(legX(bottom), bottom),
            to: vec(legX(Math.max(bottom + 4, top)), Math.max(bottom + 4, top)),
            widthMm: connector.sleeveMm ?? MIDDLING.sleeveMm,
          },
    plates: !plates
      ? []
      : gapMm === 0
        ? [{ x0: -plateMm / 2, x1: plateMm / 2 }]
        : [
            { x0: -gapMm / 2 - plateMm, x1: -gapMm / 2 },
            { x0: gapMm / 2, x1: gapMm / 2 + plateMm },
          ],
    coverMm: plates ? known(device.coverMm, MIDDLING.coverMm, 'cover') : 0,
    eyeMm: plates ? known(device.eyeMm, MIDDLING.eyeMm, 'hole') : 0,
    // The inner arc lies higher at the edge of the plates than in the middle: there the hole bears.
    bearingY: half < r ? r - Math.sqrt(r * r - half * half) : r,
    playMm: playMm(connector, device, way.end),
    gapMm,
    brakeStrand: vec(side * (loadedRadiusMm + 22), -70),
    guessed,
  };
}
