import { useMemo } from 'react';
import { thirdHand } from '@core/answers/planning';
import { renderSentence } from '@core/foundations/finding';
import type { Setup } from '@core/rigs/rig';
import { printInterval } from '@core/foundations/units';
import { usePreferences } from '../../../app/preferences';
import { useWorkspace } from '../../../store/hooks';
import { SeverityMark } from '../../../ui/SeverityMark';

/**
 * What of the locker lifts the casualty off their device: what bites on the rope, what the strand turns in, and how
 * hard it is pulled.
 */
export function ThirdHand({ setup }: { setup: Setup }) {
  const reader = usePreferences();
  const { items } = useWorkspace();
  const hand = useMemo(() => thirdHand(setup, items), [setup, items]);
  if (!hand) return null;
  const { grips, connectors, missing, overConnectorsN, overPulleysN } = hand;
  const say = (force: typeof overConnectorsN) => printInterval(force, 'forceN', reader.system);
  return (
    <section aria-labelledby="third-hand" className="mt-4 rounded-xl border border-line bg-surface p-3">
      <h3 id="third-hand" className="font-bold">
        A mini haul from your locker
      </h3>
      <p className="max-w-prose">
        Rig a 3:1: a rope grab or Prusik above the casualty’s device; a cord, or the end of your rope, from the casualty
        up through it, down through a pulley at the casualty, and up to your hand. You pull upwards with about{' '}
        {say(overPulleysN)} over pulleys, {say(overConnectorsN)} over carabiners. To use your weight add a redirect, and
        expect a tenth (good pulleys) to two thirds (carabiners) more.
      </p>
      {missing.length > 0 && (
        <p className="mt-2 rounded-lg bg-untested-wash p-2.5 text-untested">
          <strong>Not in the locker:</strong> {missing.join('; ')}.
        </p>
      )}
      {grips.length > 0 && (
        <>
          <h4 className="mt-3 font-bold">Bites on this rope</h4>
          <ul className="mt-1 divide-y divide-line">
            {grips.map(({ item, wraps, severity, worst }) => (
              <li key={item.id} className="flex flex-wrap items-start gap-2 py-2">
                <SeverityMark severity={severity} withWord />
                <span>
                  {item.name}
                  {wraps !== null && `, Prusik of ${wraps} wraps`}
                  {worst && <span className="block text-ink-2">{renderSentence(worst, reader)}</span>}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
      {connectors.length > 0 && (
        <p className="mt-2">
          <strong>To turn in:</strong> {connectors.map((c) => c.name).join(', ')}.
        </p>
      )}
      <p className="mt-2 text-sm text-ink-2">
        An estimate, and no replacement for a rescue kit. Try it low above the ground with the person’s weight before
        you need it.
      </p>
    </section>
  );
}
