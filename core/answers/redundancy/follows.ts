import { FINDING_CODES, quoted, type Finding } from '../../foundations/finding/index.ts';
import type { Context } from '../../rigs/elements/index.ts';
import { deviceOf, mainConnector, type Attachment } from '../../rigs/rig/index.ts';
import { hitchName, type Faults } from './faults.ts';
import type { CommonCause, Consequence } from './model.ts';

/**
 * What one fault brings with it: one grip slides onto another, a device releases a hitch, one cause takes two parts.
 * Each is told once.
 */
export function followsOf(ctx: Context, findings: readonly Finding[], faults: Faults) {
  const { index } = ctx;
  const consequences: Consequence[] = [];
  const causes: CommonCause[] = [];
  const told = new Set<string>();

  /** The upper one slips, and the lower one lets go as well. */
  const cascade = (a: Attachment) => {
    const found = faults.pushedBy(a);
    if (!found || told.has(`${a.id}:pushed`)) return;
    told.add(`${a.id}:pushed`);
    const then = a.end.kind === 'hitch' ? `${a.end.id}:released` : `${a.end.id}:pushed`;
    const upper = index.ownerOf(found.subject[1]!)!;
    // It slips by itself, or was pushed open by one above it and slides on.
    for (const fault of faults.end(upper).filter((id) => !id.endsWith(':held')))
      consequences.push({ when: [fault], then, because: quoted(found, then) });
  };
  function hitchUnderDevice(hitch: Attachment, device: Attachment) {
    // Two links lead to the same device: what follows there is told once.
    if (told.has(hitch.id)) return;
    told.add(hitch.id);
    const end = deviceOf(device);
    const hand = end?.hand ? index.person(end.hand) : undefined;
    if (!hand) return;
    const released = `${hitch.end.id}:released`;
    const reaches = findings.find(
      (f) => FINDING_CODES[f.code].doubts === 'reach' && f.severity !== 'clear' && f.subject[0] === hitch.end.id,
    );
    if (reaches) consequences.push({ when: [faults.hand(hand)], then: released, because: quoted(reaches, released) });
    if (faults.ownerPerson(hitch)?.id === hand.id)
      causes.push({
        id: `same-hand-${hitch.id}`,
        says: `fright: the brake hand slips while it grips the ${hitchName(hitch)}`,
        brings: [faults.hand(hand), `${hitch.end.id}:held`],
        because: 'The hand that brakes is the hand that tends the hitch.',
      });
    const [x, y] = [mainConnector(hitch), mainConnector(device)];
    if (x?.item && x.item.id === y?.item?.id)
      causes.push({
        id: `same-connector-${hitch.id}`,
        says: 'the one connector of device and hitch opens',
        brings: [y.id, x.id],
        because: 'Device and hitch hang on the same connector.',
      });
    if (hitch.root.kind === 'harness' && hitch.root.point === 'belay-loop')
      causes.push({
        id: `same-harness-${hitch.id}`,
        says: 'the one belay loop fails',
        brings: faults.root(hitch),
        because: 'Device and hitch hang on the same loop.',
      });
  }

  return { consequences, causes, cascade, hitchUnderDevice };
}
