import { finding, literal, type Finding, type ElementId, type Case } from '../../foundations/finding/index.ts';
import { handOffIn } from '../../things/fit/index.ts';
import { slingMm } from '../../things/geometry/index.ts';
import { claimOf, claimOfPair, type Context, type Judge } from '../elements/index.ts';
import { deviceOf, slingOf, type Attachment, type ClipEnd, casualtyOf } from '../rig/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';

/** From the harness of somebody to another person: to a part that this one wears, or to their harness. */
export interface Link {
  readonly attachment: Attachment;
  readonly end: ClipEnd;
}

/** What links this person to another one. */
export function linksOf(ctx: Context, person: ElementId): Link[] {
  const { setup, index } = ctx;
  return setup.attachments.flatMap((attachment): Link[] => {
    const { root, end } = attachment;
    if (root.kind !== 'harness' || root.person !== person || end.kind !== 'clip' || attachment.use === 'aid') return [];
    const owner = index.ownerOf(end.to);
    const other = owner
      ? owner.root.kind === 'harness' && owner.root.person !== person
      : setup.persons.some((p) => p.id !== person && p.harnessId === end.to);
    return other ? [{ attachment, end }] : [];
  });
}

/**
 * How the casualty of a pick-off is attached: linked twice and tight to the rescuer, and to nothing else once both go
 * down.
 */
export const linkJudge: Judge = {
  id: 'link',
  subjects: (ctx) => {
    const casualty = casualtyOf(ctx.setup);
    return casualty ? [casualty.id] : [];
  },
  claims: (ref, ctx) => [
    claimOf('job', 'both'),
    ...linksOf(ctx, ref).flatMap(({ attachment: { root, pieces }, end }) => {
      const harness = root.kind === 'harness' ? ctx.index.person(root.person)!.harnessId : '';
      const chain = [harness, ...pieces.map((p) => p.id), end.id];
      return [claimOf(end.id, 'clipped'), ...chain.slice(1).map((id, i) => claimOfPair(chain[i]!, id))];
    }),
  ],
  judge: (ref, ctx) => {
    const links = linksOf(ctx, ref);
    if (links.length === 0) return [unlinked(ref)];
    const own = ownOf(ctx, ref);
    return [
      ...links.flatMap((link, i) => [drawn(link, i === 0), ...long(link)]),
      alone(ref, links, own ? holdsAlone(own, ctx) : 'no'),
      ...(own ? [stillOn(own, holdsAlone(own, ctx))] : []),
    ];
  },
  reads: (ref, ctx) => [
    ...linksOf(ctx, ref).flatMap(({ attachment }) => attachment.pieces.map((p) => p.id)),
    ...(ownOf(ctx, ref) ? [ownOf(ctx, ref)!.end.id] : []),
  ],
};

/** What the casualty hangs in beside the links: where they were found. */
const ownOf = ({ setup }: Context, person: ElementId): Attachment | undefined =>
  setup.attachments.find(
    ({ root, end, use }) => root.kind === 'harness' && root.person === person && end.kind !== 'clip' && use !== 'aid',
  );

/** A motionless hand holds nothing: what they hang in counts where it holds without one. */
function holdsAlone(own: Attachment, ctx: Context): 'yes' | 'no' | 'unknown' {
  const device = deviceOf(own);
  if (!device) return 'yes';
  if (!device.item) return 'unknown';
  return handOffIn(device.item, ctx.use(own).use) === 'holds' ? 'yes' : 'no';
}

const unlinked = (ref: ElementId): Finding =>
  finding({
    code: 'pick.link',
    severity: 'stop',
    subject: [ref],
    says: 'Nothing links the casualty to you.',
    because: 'If anything of theirs is opened now, they fall.',
    remedy: 'A short link from the connector of your device to the belay loop of the casualty first, locked and tight.',
  });

/** A slack link is a drop onto a sling that gives nothing; the second one is there in case, and may hang a little. */
function drawn({ attachment, end }: Link, first: boolean): Finding {
  const name = literal(attachment.label);
  const remedy = 'Draw it tight before anything of theirs is eased: shorten it, or come up to them.';
  return finding(
    {
      code: 'pick.link',
      subject: [end.id],
      because: 'Lowered onto a slack sling they drop that far, and a sling does not stretch: keep it under {most}.',
      numbers: [{ key: 'most', label: 'Drop, at most', quantity: 'lengthMm', value: exactly(threshold('linkDropMm')) }],
    },
    end.tight === 'tight'
      ? { severity: 'clear', says: `${name} to the casualty: it runs tight.` }
      : end.tight === 'unknown'
        ? { severity: 'untested', says: `${name} to the casualty. Not entered yet: whether it runs tight.`, remedy }
        : first
          ? { severity: 'stop', says: `${name} to the casualty: it is slack.`, remedy }
          : { severity: 'mind', says: `${name} to the casualty: it is slack.`, remedy },
  );
}

/** Far below the rescuer nobody keeps a head up, and both hang at the arms of a long pendulum. */
function long({ attachment, end }: Link): Finding[] {
  const piece = slingOf(attachment);
  if (piece?.kind !== 'sling' || !piece.item) return [];
  const lengthMm = slingMm({ ...piece, sling: piece.item });
  // The second one is there in case: it may be longer, and not as long as one likes.
  const most = threshold('linkMostMm') * (attachment.use === 'carries' ? 1 : 1.5);
  if (lengthMm.best <= most) return [];
  return [
    finding({
      code: 'pick.link',
      severity: 'mind',
      subject: [piece.id, end.id],
      says: `${literal(attachment.label)} to the casualty: it is long, and they hang out of your reach.`,
      because: 'It is {length~}; beyond {most} you cannot hold the casualty’s head up and keep the airway open.',
      remedy: 'Use a shorter sling, or shorten it with a knot that it holds.',
      numbers: [
        { key: 'length', label: 'Length of the link', quantity: 'lengthMm', value: lengthMm },
        { key: 'most', label: 'At most', quantity: 'lengthMm', value: exactly(most) },
      ],
    }),
  ];
}

function alone(ref: ElementId, links: readonly Link[], own: 'yes' | 'no' | 'unknown'): Finding {
  return finding(
    { code: 'pick.one-link', subject: [ref, ...links.map(({ end }) => end.id)] },
    attachedTimes(links, own),
  );
}

function attachedTimes(
  links: readonly Link[],
  own: 'yes' | 'no' | 'unknown',
): Case<'severity' | 'says' | 'because' | 'remedy'> {
  const remedy = 'A second link, from the casualty to your own belay loop, with connectors of its own.';
  const places = new Set(links.map(({ end }) => end.to)).size;
  if (own !== 'yes' && links.length === 1) {
    const because = 'A casualty must never hang on a single attachment: if that gate opens, nothing is left.';
    return own === 'unknown'
      ? { severity: 'untested', says: 'Beside one link it is not known what holds the casualty.', because, remedy }
      : { severity: 'stop', says: 'The casualty hangs on one thing only.', because, remedy };
  }
  if (own !== 'yes' && places === 1)
    return {
      severity: 'mind',
      says: 'Both links to the casualty are in one place.',
      because: 'What opens there takes both.',
      remedy,
    };
  return {
    severity: 'clear',
    says: 'The casualty is attached twice.',
    because: 'Each link is clipped somewhere else.',
  };
}

const stillOn = ({ end, label }: Attachment, holds: 'yes' | 'no' | 'unknown'): Finding =>
  finding({
    code: 'pick.own-device',
    severity: 'mind',
    subject: [end.id],
    says: `${literal(label)} is still on its rope.`,
    because:
      holds === 'yes'
        ? 'It holds until it is opened. On the way down it grabs, and both of you hang in it.'
        : 'Without a hand it is not known to hold anybody; on the way down it can catch all the same, and both of you hang in it.',
    remedy: 'Lift the casualty with the mini haul, take it off the rope, and only then go down.',
  });
