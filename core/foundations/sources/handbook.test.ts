import { describe, expect, it } from 'vitest';
import { threshold } from './index.ts';

// CRC Handbook of Chemistry and Physics, specific heat at 25 °C (from memory): aluminium 0.897, iron 0.449; carbon
// steel 0.46 to 0.49 J/(g K).
describe('specific heat', () => {
  it('of aluminium is that of the handbook, rounded', () =>
    expect(threshold('heatAluminiumJPerGK')).toBeCloseTo(0.897, 1));
  it('of steel lies where handbooks give it', () => {
    expect(threshold('heatSteelJPerGK')).toBeGreaterThanOrEqual(0.46);
    expect(threshold('heatSteelJPerGK')).toBeLessThanOrEqual(0.49);
  });
});
