import { schoolsFor } from '@core/fit';
import { DEFEATS, DEVICE_FAMILIES, JOBS, traitsOf, type Device, type FamilyTraits, type Job } from '@core/gear';

const UNKNOWN = 'not declared';
const HAND_OFF = { runs: 'rope runs', assists: 'mostly holds', holds: 'holds' } as const;
const RELEASABLE = { yes: 'yes', hard: 'with effort', no: 'no' } as const;
const PULL = { easy: 'easily', little: 'with a little effort', hard: 'hard' } as const;

const COLUMNS: readonly (readonly [string, (traits: FamilyTraits) => string])[] = [
  ['Hand lets go', (t) => (t.aidOnly ? 'carries nobody' : t.handOff ? HAND_OFF[t.handOff] : UNKNOWN)],
  ['Released under load', (t) => (t.releasable ? RELEASABLE[t.releasable] : UNKNOWN)],
  ['Rope pulls through', (t) => (t.pullThrough ? PULL[t.pullThrough] : UNKNOWN)],
  ['Goes down as it is', (t) => (t.goesDown ? 'yes' : 'no, re-rig')],
  ['Strands', (t) => t.strands],
  ['Defeated by', (t) => (t.defeats.length > 0 ? t.defeats.map((d) => DEFEATS[d]).join('; ') : UNKNOWN)],
];

/** Devices that can do this job, with the traits that decide between them, and the questions on which people disagree. */
export function SideBySide({ job, devices }: { job: Job; devices: readonly Device[] }) {
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
            <table className="w-full min-w-3xl text-sm">
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
                          className={`border-b border-line py-2 pr-3 align-top ${say(traits) === UNKNOWN ? 'text-untested' : ''}`}
                        >
                          {say(traits)}
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
