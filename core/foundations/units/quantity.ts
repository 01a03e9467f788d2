/**
 * The quantities that people type and read, each with the unit in which the core keeps it.
 * Conversion factors: international yard and pound agreement (1959): 1 in = 25.4 mm, 1 lb = 0.45359237 kg;
 * standard gravity 9.80665 m/s2 (3rd CGPM, 1901), hence 1 lbf = 4.4482216152605 N.
 */
export const STANDARD_GRAVITY_M_PER_S2 = 9.80665;
export const MM_PER_INCH = 25.4;
export const KG_PER_LB = 0.45359237;
export const N_PER_LBF = KG_PER_LB * STANDARD_GRAVITY_M_PER_S2;
export const MM_PER_FOOT = 12 * MM_PER_INCH;

export type UnitSystem = 'metric' | 'imperial';

export type Quantity =
  | 'diameterMm'
  | 'lengthMm'
  | 'lengthM'
  | 'massKg'
  | 'massG'
  | 'forceN'
  | 'strengthKn'
  | 'linearDensityGPerM'
  | 'energyJ'
  | 'angleDeg'
  | 'percent'
  | 'ratio'
  | 'count';

interface UnitSpec {
  /** Spellings that are read, lower case; the first one is printed. */
  readonly names: readonly string[];
  /** Multiply a number in this unit by this to get the unit in which the core keeps it. */
  readonly toBase: number;
}

export interface QuantitySpec {
  readonly units: readonly UnitSpec[];
  /** Unit assumed for a bare number and used for printing, by system: index into `units`, and decimals printed. */
  readonly preferred: Readonly<Record<UnitSystem, { readonly unit: number; readonly decimals: number }>>;
}

const mm = (toBase: number): UnitSpec => ({ names: ['mm', 'millimetre', 'millimeter', 'millimetres'], toBase });
const cm = (toBase: number): UnitSpec => ({ names: ['cm', 'centimetre', 'centimeter', 'centimetres'], toBase });
const metre = (toBase: number): UnitSpec => ({ names: ['m', 'metre', 'meter', 'metres', 'meters'], toBase });
const inch = (toBase: number): UnitSpec => ({ names: ['in', 'inch', 'inches', '"', '″', '”'], toBase });
const foot = (toBase: number): UnitSpec => ({ names: ['ft', 'foot', 'feet', "'", '′', '’'], toBase });

export const QUANTITIES: Readonly<Record<Quantity, QuantitySpec>> = {
  diameterMm: {
    units: [mm(1), cm(10), inch(MM_PER_INCH)],
    preferred: { metric: { unit: 0, decimals: 1 }, imperial: { unit: 2, decimals: 3 } },
  },
  lengthMm: {
    units: [mm(1), cm(10), metre(1000), inch(MM_PER_INCH), foot(MM_PER_FOOT)],
    preferred: { metric: { unit: 1, decimals: 1 }, imperial: { unit: 3, decimals: 1 } },
  },
  lengthM: {
    units: [metre(1), cm(0.01), mm(0.001), foot(MM_PER_FOOT / 1000), inch(MM_PER_INCH / 1000)],
    preferred: { metric: { unit: 0, decimals: 2 }, imperial: { unit: 3, decimals: 1 } },
  },
  massKg: {
    units: [
      { names: ['kg', 'kilo', 'kilos'], toBase: 1 },
      { names: ['g'], toBase: 0.001 },
      { names: ['lb', 'lbs', 'pound', 'pounds'], toBase: KG_PER_LB },
    ],
    preferred: { metric: { unit: 0, decimals: 1 }, imperial: { unit: 2, decimals: 0 } },
  },
  massG: {
    units: [
      { names: ['g', 'gram', 'grams'], toBase: 1 },
      { names: ['kg'], toBase: 1000 },
      { names: ['oz', 'ounce', 'ounces'], toBase: (KG_PER_LB * 1000) / 16 },
    ],
    preferred: { metric: { unit: 0, decimals: 0 }, imperial: { unit: 2, decimals: 1 } },
  },
  forceN: {
    units: [
      { names: ['N', 'n', 'newton', 'newtons'], toBase: 1 },
      { names: ['kN', 'kn'], toBase: 1000 },
      { names: ['lbf', 'lb', 'lbs'], toBase: N_PER_LBF },
      { names: ['daN', 'dan'], toBase: 10 },
    ],
    preferred: { metric: { unit: 0, decimals: 0 }, imperial: { unit: 2, decimals: 0 } },
  },
  strengthKn: {
    units: [
      { names: ['kN', 'kn'], toBase: 1 },
      { names: ['N', 'n'], toBase: 0.001 },
      { names: ['lbf', 'lb', 'lbs'], toBase: N_PER_LBF / 1000 },
    ],
    preferred: { metric: { unit: 0, decimals: 1 }, imperial: { unit: 2, decimals: 0 } },
  },
  linearDensityGPerM: {
    units: [
      { names: ['g/m'], toBase: 1 },
      { names: ['lb/100ft', 'lb/100 ft'], toBase: (KG_PER_LB * 1000) / ((100 * MM_PER_FOOT) / 1000) },
    ],
    preferred: { metric: { unit: 0, decimals: 0 }, imperial: { unit: 1, decimals: 1 } },
  },
  energyJ: {
    units: [
      { names: ['J', 'j', 'joule', 'joules'], toBase: 1 },
      { names: ['ft·lbf', 'ft-lbf', 'ft lbf'], toBase: (N_PER_LBF * MM_PER_FOOT) / 1000 },
    ],
    preferred: { metric: { unit: 0, decimals: 0 }, imperial: { unit: 1, decimals: 0 } },
  },
  angleDeg: {
    units: [
      { names: ['°', 'deg', 'degree', 'degrees'], toBase: 1 },
      { names: ['rad', 'radian', 'radians'], toBase: 180 / Math.PI },
    ],
    preferred: { metric: { unit: 0, decimals: 0 }, imperial: { unit: 0, decimals: 0 } },
  },
  percent: {
    units: [{ names: ['%', 'percent'], toBase: 1 }],
    preferred: { metric: { unit: 0, decimals: 1 }, imperial: { unit: 0, decimals: 1 } },
  },
  ratio: {
    units: [{ names: ['×', 'x'], toBase: 1 }],
    preferred: { metric: { unit: 0, decimals: 2 }, imperial: { unit: 0, decimals: 2 } },
  },
  count: {
    units: [{ names: [''], toBase: 1 }],
    preferred: { metric: { unit: 0, decimals: 0 }, imperial: { unit: 0, decimals: 0 } },
  },
};
