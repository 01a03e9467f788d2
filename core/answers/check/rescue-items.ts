import { casualtyOf } from '../../rigs/rig/index.ts';
import { linksOf } from '../../rigs/pairs/index.ts';
import type { Context } from '../../rigs/elements/index.ts';
import { threshold } from '../../foundations/sources/index.ts';
import { exactly } from '../../foundations/units/index.ts';
import type { CheckItem } from './check-item.ts';
import { idAt, item } from './item.ts';

/** What holds a casualty beside the rescuer: each link, at both its ends, before anything of theirs is eased. */
export function rescueItems(ctx: Context): CheckItem[] {
  const casualty = casualtyOf(ctx.setup);
  if (!casualty) return [];
  return linksOf(ctx, casualty.id).flatMap(({ attachment: a, end }, i) => {
    const first = i === 0;
    const shared = { part: end.id, sources: ['practice-pick-off' as const] };
    return [
      item({
        ...shared,
        id: idAt(ctx.setup, 'link-to', a),
        title: a.label,
        look: 'From the casualty to you, along the whole sling.',
        touch: 'Follow it with the hand.',
        question: 'It joins:',
        expected: first ? 'Their belay loop and my device’s connector' : 'Their belay loop and mine',
        others: ['One end on a gear loop', 'Both links in one connector', 'It is not there'],
        why: 'From now on this holds them once their own device is opened.',
      }),
      item({
        ...shared,
        id: idAt(ctx.setup, 'link-gates', a),
        title: a.label,
        look: 'At both its connectors.',
        touch: 'Press both gates.',
        question: 'Its gates, pressed:',
        expected: 'Both stay shut',
        others: ['One gives way', 'Both give way', 'One is out of reach'],
        why: 'The casualty can move against the gates and cannot check them.',
      }),
      ...(first
        ? [
            item({
              ...shared,
              id: idAt(ctx.setup, 'link-tight', a),
              title: a.label,
              look: 'Along the sling while the casualty hangs where they are.',
              touch: 'Lift it with a finger.',
              question: 'The casualty could drop:',
              expected: 'Less than {most}',
              others: ['A hand’s width or more', 'A forearm or more'],
              why: 'A sling does not stretch: dropping onto it is a hard stop.',
              numbers: [
                { key: 'most', label: 'At most', quantity: 'lengthMm', value: exactly(threshold('linkDropMm')) },
              ],
            }),
          ]
        : []),
    ];
  });
}
