import { hitchOf, belaysFromHarness, type Attachment, type RigPerson } from '../../rigs/rig/index.ts';
import type { Context } from '../../rigs/elements/index.ts';

/** Everybody who hangs on something in a rig; a belayer on the ground does not. */
export const hanging = (ctx: Context): RigPerson[] =>
  ctx.setup.persons.filter((p) =>
    ctx.setup.attachments.some(
      (a) => wornBy(a, p) && a.use !== 'aid' && !belaysFromHarness(ctx.index, a) && !holdsAnother(ctx, a, p),
    ),
  );

/** A hitch on the brake strand of a device that holds somebody else: who wears it does not hang on it. */
export const holdsAnother = (ctx: Context, a: Attachment, p: RigPerson): boolean => {
  const device = hitchOf(a) ? ctx.deviceAbove(a) : null;
  return device !== null && (belaysFromHarness(ctx.index, device) || !wornBy(device, p));
};

export const wornBy = (a: Attachment, p: RigPerson) => a.root.kind === 'harness' && a.root.person === p.id;
