import { schoolsFor } from '@core/things/fit';
import { constant } from '@core/foundations/sources';
import {
  DEFEATS,
  DEVICE_FAMILIES,
  JOBS,
  servesJob,
  traitsOf,
  type Device,
  type FamilyTraits,
  type Job,
} from '@core/things/gear';

const UNKNOWN = 'not declared';
const HAND_OFF = { runs: 'rope runs', assists: 'mostly holds', holds: 'holds' } as const;
const RELEASABLE = { yes: 'yes', hard: 'with effort', no: 'no' } as const;
const PULL = { easy: 'easily', little: 'with a little effort', hard: 'hard' } as const;

const HANDED = { unknown: UNKNOWN, both: 'either', right: 'right', left: 'left' } as const;
const PRICE = { unknown: 'not entered', low: 'low', middle: 'middle', high: 'high' } as const;

/** Energy that warms the device by one degree: what little mass means for a long fast descent. */
function heat({ massG, metal }: Device): string {
  if (massG === null || metal === 'unknown') return UNKNOWN;
  const jPerGK = { aluminium: 'heatAluminiumJPerGK', steel: 'heatSteelJPerGK', mixed: 'heatSteelJPerGK' } as const;
  return `${metal === 'mixed' ? 'at least ' : ''}${Math.round(massG * constant(jPerGK[metal]).best)} J/K`;
}

const COLUMNS: readonly (readonly [string, (traits: FamilyTraits, device: Device) => string])[] = [
  ['Hand lets go', (t) => (t.aidOnly ? 'carries nobody' : t.handOff ? HAND_OFF[t.handOff] : UNKNOWN)],
  ['Released under load', (t) => (t.releasable ? RELEASABLE[t.releasable] : UNKNOWN)],
  ['Rope pulls through', (t) => (t.pullThrough ? PULL[t.pullThrough] : UNKNOWN)],
  ['Goes down as it is', (t) => (t.goesDown ? 'yes' : 'no, re-rig')],
  ['Strands', (t) => t.strands],
  ['Persons', (t, d) => (d.personsRated !== 'unknown' ? d.personsRated : (t.persons ?? UNKNOWN))],
  ['Sheath', (t) => (t.teeth ? `teeth tear it from ${constant('teethHurtSheathKn').low} kN` : 'no teeth')],
  ['Hand', (_, d) => HANDED[d.handed]],
  ['Can be lost', (_, d) => d.looseParts || UNKNOWN],
  ['Heats up', (_, d) => heat(d)],
  ['Price class', (_, d) => PRICE[d.priceClass]],
  ['Defeated by', (t) => (t.defeats.length > 0 ? t.defeats.map((d) => DEFEATS[d]).join('; ') : UNKNOWN)],
];

interface SideBySideProps {
  readonly job: Job;
  readonly devices: readonly Device[];
  /** Leaves out devices that are not for this job. */
  readonly onlyAble?: boolean;
}

/**
 * Devices that can do this job, with the traits that decide between them, and the questions on which people disagree.
 */
export function SideBySide({ job, devices: all, onlyAble = false }: SideBySideProps) {
  const devices = onlyAble ? all.filter(({ family }) => servesJob(family, job)) : all;
  const schools = schoolsFor(job);
  return (
    <>
      {devices.length > 0 && (
        <section className="mt-10" aria-labelledby="side-by-side">
          <h2 id="side-by-side">Side by side: {JOBS[job].toLowerCase()}</h2>
          <p className="text-ink-2">
            What each family is known for (common practice). The instructions of the model come first.
          </p>
          <div className="mt-2 overflow-x-auto" tabIndex={0} role="region" aria-label="Devices side by side">
            <table className="w-full min-w-6xl text-sm">
              <thead>
                <tr>
                  <th className="border-b border-line py-2 pr-3 text-left">Device</th>
                  {COLUMNS.map(([head]) => (
                    <th key={head} scope="col" className="border-b border-line py-2 pr-3 text-left">
                      {head}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {devices.map((device) => {
                  const traits = traitsOf(device.family);
                  return (
                    <tr key={device.id}>
                      <th scope="row" className="border-b border-line py-2 pr-3 text-left align-top">
                        {device.name}
                        <span className="block font-normal text-ink-2">{DEVICE_FAMILIES[device.family]}</span>
                      </th>
                      {COLUMNS.map(([head, say]) => (
                        <td
                          key={head}
                          className={`border-b border-line py-2 pr-3 align-top ${say(traits, device) === UNKNOWN ? 'text-untested' : ''}`}
                        >
                          {say(traits, device)}
                        </td>
                      ))}
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
        </section>
      )}
      {schools.map(({ question, sides }) => (
        <section key={question} className="mt-8" aria-label={question}>
          <h2>{question}</h2>
          <p className="text-ink-2">Careful people disagree. The reasons of each:</p>
          <dl className="mt-2 grid gap-x-8 gap-y-3 sm:grid-cols-2">
            {sides.map(({ label, reasons, against }) => (
              <div key={label} className="border-t border-line pt-2">
                <dt className="font-semibold">{label}</dt>
                <dd>For: {reasons.join('; ')}.</dd>
                <dd className="text-ink-2">Against: {against.join('; ')}.</dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
    </>
  );
}
