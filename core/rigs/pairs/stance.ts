import { finding, literal, type Finding } from '../../foundations/finding/index.ts';
import { claimOf, type Judge } from '../elements/index.ts';
import { belaysFromHarness, type RigPerson } from '../rig/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';

/**
 * Where somebody stands who belays from below: far from the wall a catch draws them to it, and who climbs comes down so
 * much farther.
 */
export const stanceJudge: Judge = {
  id: 'stance',
  subjects: ({ setup, index }) => setup.attachments.filter((a) => belaysFromHarness(index, a)).map((a) => a.id),
  claims: (ref) => [claimOf(ref, 'stance')],
  judge: (ref, ctx) => {
    const { root } = ctx.attachment(ref);
    const belayer = root.kind === 'harness' ? ctx.index.person(root.person) : undefined;
    return belayer?.item ? [stance(belayer)] : [];
  },
  reads: () => [],
};

function stance({ id, item, fromWallM, stands }: RigPerson): Finding {
  const name = literal(item!.name);
  const remedy = 'Stand within two metres of the wall, and beside the line of fall.';
  if (fromWallM === null)
    return finding({
      code: 'belay.stance',
      severity: 'untested',
      subject: [id],
      says: `Not entered yet: how far from the wall ${name} stands.`,
      because:
        'A fall draws a belayer who stands far off towards the wall, and the climber comes down that much farther.',
      remedy,
    });
  const because = '{from} from the wall to the device.';
  return finding(
    {
      code: 'belay.stance',
      subject: [id],
      numbers: [{ key: 'from', label: 'Belayer from the wall', quantity: 'lengthM', value: exactly(fromWallM) }],
    },
    fromWallM <= threshold('stanceMindM')
      ? { severity: 'clear', says: `${name} stands close to the wall.`, because }
      : stands === 'anchored'
        ? { severity: 'clear', says: `${name} stands far from the wall, anchored.`, because }
        : {
            severity: 'mind',
            says: `${name} stands far from the wall.`,
            because: `${because} A fall draws the belayer to it, stumbling, and the climber comes down that much farther.`,
            remedy,
          },
  );
}
