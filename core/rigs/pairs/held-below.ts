import { finding, type Finding, literal } from '../../foundations/finding/index.ts';
import { claimOf, claimOfPair, type Judge } from '../elements/index.ts';

/** Somebody who holds the rope from below, and stops the device by pulling. */
export const heldBelowJudge: Judge = {
  id: 'held-below',
  subjects: ({ setup }) => setup.attachments.filter((a) => a.end.kind === 'hand').map((a) => a.id),
  claims: (ref, ctx) => {
    const a = ctx.attachment(ref);
    if (a.end.kind !== 'hand') return [];
    const root = a.root.kind === 'part' ? a.root.part : '';
    return [
      claimOf(a.end.id, 'watches'),
      claimOfPair(root, a.end.id),
      ...a.end.on.map((o) => claimOfPair(a.end.id, o.line)),
    ];
  },
  judge: (ref, ctx) => {
    const { end } = ctx.attachment(ref);
    const person = end.kind === 'hand' ? ctx.index.person(end.by) : undefined;
    if (!person?.item) return [notThere(end.id)];
    return [
      finding({
        code: 'rig.held-below',
        severity: 'mind',
        subject: [end.id],
        says: `${literal(person.item.name)} can give you a fireman’s belay only while watching you and standing clear of rockfall.`,
        because:
          'Pulling the rope from below stops the device. It comes late if nobody watches, over an edge, or with a lot of rope out.',
        remedy: 'Agree on where to stand, on the call, and that the hands never leave the rope.',
      }),
    ];
  },
  reads: () => [],
};

const notThere = (ref: string): Finding =>
  finding({
    code: 'rig.part-missing',
    severity: 'untested',
    subject: [ref],
    says: 'Not chosen: who holds the rope from below.',
    because: 'What depends on it could not be judged.',
    remedy: 'Choose the partner.',
  });

/** A lanyard in the anchor: it holds as long as it is there. */
export const lanyardJudge: Judge = {
  id: 'lanyard',
  subjects: ({ setup }) => setup.attachments.filter((a) => a.end.kind === 'clip').map((a) => a.id),
  claims: (ref, ctx) => {
    const a = ctx.attachment(ref);
    if (a.end.kind !== 'clip' || !ctx.index.anchor(a.end.to)) return [];
    const last = a.pieces.at(-1);
    return [claimOf(a.end.id, 'clipped'), ...(last ? [claimOfPair(last.id, a.end.id)] : [])];
  },
  judge: (ref, ctx) => {
    const { end } = ctx.attachment(ref);
    if (end.kind !== 'clip' || !ctx.index.anchor(end.to)) return [];
    return [
      finding({
        code: 'rig.lanyard',
        severity: 'clear',
        subject: [end.id],
        says: 'The lanyard is clipped to the anchor and holds until it comes off.',
        because: 'It is there while everything else is rigged and tried; it goes nowhere with you.',
        remedy: 'Take it off last, after testing device and backup with your weight.',
      }),
    ];
  },
  reads: () => [],
};
