import { describe, expect, it } from 'vitest';
import { assess } from '@core/answers/assess';
import { withItem, type Setup } from '@core/rigs/rig';
import { rappelDouble, rappelDoubleFaulty } from '@core/samples';
import { rigView } from './rig-view';
import { handsLayout } from './hands-layout';
import { length, sub, vec, type Vec } from './vector';

const layout = (setup: Setup, knee: boolean) => handsLayout(rigView(setup), assess(setup).figures, knee);

describe('handsLayout', () => {
  it('draws the clearance that the engine computed, in both poses', () => {
    for (const setup of [rappelDouble, rappelDoubleFaulty]) {
      const { figures } = assess(setup);
      const [clearance, reach] = [figures.clearance.below, figures.reach.below];
      for (const knee of [false, true]) {
        const l = layout(setup, knee);
        const drawn = length(sub(l.lip, l.attach)) - length(sub(l.coilHigh, l.attach));
        expect(drawn).toBeCloseTo((knee ? clearance!.kneeRaisedMm : clearance!.hangingMm).best, 6);
        expect(length(sub(l.coilHigh, l.coilLow))).toBeCloseTo(reach!.coilMm, 6);
      }
    }
    expect(layout(rappelDoubleFaulty, true).overlapMm).toBeGreaterThan(0);
    expect(layout(rappelDouble, true).overlapMm).toBe(0);
  });

  it('the other hand mirrors the drawing and nothing else', () => {
    const [climber] = rappelDouble.persons;
    const other = climber!.item!.brakeHand === 'left' ? 'right' : 'left';
    const left = withItem(rappelDouble, 'climber', { ...climber!.item!, brakeHand: other });
    const [a, b] = [layout(rappelDouble, false), layout(left, false)];
    const mirrored = (p: Vec) => vec(-p.x || 0, p.y);
    for (const key of [
      'lip',
      'attach',
      'along',
      'hitchConnectorEnd',
      'coilLow',
      'coilHigh',
      'hand',
      'otherLeg',
    ] as const) {
      expect(b[key].x).toBeCloseTo(mirrored(a[key]).x, 9);
      expect(b[key].y).toBeCloseTo(a[key].y, 9);
    }
    expect(assess(left).findings.map((f) => [f.code, f.severity])).toEqual(
      assess(rappelDouble).findings.map((f) => [f.code, f.severity]),
    );
  });
});
