import { nanoid } from '@reduxjs/toolkit';
import { Command } from 'cmdk';
import { useNavigate } from 'react-router';
import { TEMPLATES, templateOf } from '@core/rigs/rig';
import { newSequence, PROCEDURE_IDS, PROCEDURES, type ProcedureId } from '@core/answers/procedures';
import { usePlace } from '../../../app/place';
import { usePreferences, useWords } from '../../../app/preferences';
import { addSequence } from '../../../store/sequence-edits';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { edited, redone, undone } from '../../../store/workspace-slice';
import { KINDS, LOCKER_KINDS } from '../../take/locker/kinds';
import { JOB_GROUPS } from '../../rig/setups/job-groups';

const PLACES = [
  ['Set-ups', 'setups'],
  ['Plan: what to take', 'plan'],
  ['Steps: in which order', 'steps'],
  ['Locker', 'locker'],
  ['Fit: which rope in which device', 'fit'],
  ['Ways to clip connectors', 'connectors'],
  ['Practise the hands', 'hands'],
  ['Log', 'log'],
  ['Files: copies', 'files'],
  ['Settings: units, words, hand, colours, text', 'settings'],
  ['Words of the trade, explained', 'words'],
  ['Sources of every rule and number', 'sources'],
] as const;

interface Entry {
  readonly key: string;
  readonly label: string;
  readonly aside?: string;
  readonly run: () => void;
}

/** Every word that is typed has to stand in the name, its kind or its group; what begins with it comes first. */
function matches(_value: string, typed: string, keywords: readonly string[] = []): number {
  const text = keywords.join(' ').toLowerCase();
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (!words.every((word) => text.includes(word))) return 0;
  return words.every((word) => keywords[0]?.toLowerCase().includes(word)) ? 1 : 0.5;
}

/**
 * Everything that is there, found by typing a part of its name: places, set-ups, gear, people, orders of steps, and
 * what one can do.
 */
export function Palette({ onClose }: { onClose: () => void }) {
  const inWords = useWords();
  const { name } = usePlace();
  const { items, people, setups, sequences } = useWorkspace();
  const { theme, setTheme, system, setSystem } = usePreferences();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const go = (path: string) => () => void navigate(`/${name}/${path}`);
  const take = (id: ProcedureId) => () => {
    const sequence = newSequence(id, nanoid(), new Date().toISOString());
    dispatch(edited(addSequence(sequence)));
    void navigate(`/${name}/steps/${sequence.id}`);
  };
  const groups: readonly (readonly [string, readonly Entry[]])[] = [
    ['Places', PLACES.map(([label, path]) => ({ key: path, label, run: go(path) }))],
    [
      'Set-ups',
      setups.map((s) => ({ key: s.id, label: s.name, aside: templateOf(s).label, run: go(`setups/${s.id}`) })),
    ],
    [
      'First answer',
      JOB_GROUPS.flatMap((g) => g.ids).map((id) => ({
        key: `quick-${id}`,
        label: TEMPLATES[id].label,
        aside: 'six questions',
        run: go(`quick?do=${id}`),
      })),
    ],
    [
      'Gear and people',
      [
        ...items.map((i) => ({
          key: i.id,
          label: i.name,
          aside: KINDS[i.kind].one,
          run: go(`locker/${i.kind}/${i.id}`),
        })),
        ...people.map((p) => ({ key: p.id, label: p.name, aside: 'Person', run: go(`locker/person/${p.id}`) })),
        ...LOCKER_KINDS.map((kind) => ({ key: `new-${kind}`, label: KINDS[kind].add, run: go(`locker/${kind}/new`) })),
      ],
    ],
    [
      'Orders of steps',
      [
        ...sequences.map((s) => ({ key: s.id, label: s.name, aside: 'own order', run: go(`steps/${s.id}`) })),
        ...PROCEDURE_IDS.map((id) => ({ key: id, label: PROCEDURES[id].title, aside: 'take it', run: take(id) })),
      ],
    ],
    [
      'Do',
      [
        { key: 'undo', label: 'Undo', aside: 'Ctrl+Z', run: () => void dispatch(undone()) },
        { key: 'redo', label: 'Redo', aside: 'Ctrl+Shift+Z', run: () => void dispatch(redone()) },
        {
          key: 'units',
          label: system === 'metric' ? 'Units: feet and pounds' : 'Units: metric',
          run: () => setSystem(system === 'metric' ? 'imperial' : 'metric'),
        },
        {
          key: 'theme',
          label: theme === 'dark' ? 'Light colours' : 'Dark colours',
          run: () => setTheme(theme === 'dark' ? 'light' : 'dark'),
        },
        { key: 'start', label: 'To the first screen', run: () => void navigate('/') },
      ],
    ],
  ];
  return (
    <Command.Dialog
      open
      onOpenChange={(open) => !open && onClose()}
      label="Find anything"
      loop
      filter={matches}
      overlayClassName="fixed inset-0 z-40 bg-black/40"
      contentClassName="fixed inset-x-3 top-3 z-50 mx-auto max-w-xl overflow-hidden rounded-xl border border-line-2 bg-surface shadow-lg sm:top-[12vh]"
    >
      <Command.Input
        className="w-full border-b border-line bg-surface px-4 py-3 text-lg outline-none"
        placeholder="A name, a job, a setting …"
        aria-label="Find anything"
      />
      <Command.List className="max-h-[60dvh] overflow-y-auto p-2" aria-label="What was found">
        <Command.Empty className="px-3 py-4 text-ink-2">Nothing here is called that.</Command.Empty>
        {groups
          .filter(([, entries]) => entries.length > 0)
          .map(([title, entries]) => (
            <Command.Group
              key={title}
              heading={title}
              className="**:[[cmdk-group-heading]]:px-3 **:[[cmdk-group-heading]]:pt-2 **:[[cmdk-group-heading]]:text-sm **:[[cmdk-group-heading]]:font-semibold **:[[cmdk-group-heading]]:text-ink-2"
            >
              {entries.map(({ key, label, aside, run }) => (
                <Command.Item
                  key={key}
                  value={`${title}/${key}`}
                  keywords={[inWords(label), inWords(aside ?? ''), title]}
                  className="flex min-h-11 cursor-pointer items-center justify-between gap-3 rounded-lg px-3 data-[selected=true]:bg-sunk data-[selected=true]:font-semibold"
                  onSelect={() => {
                    onClose();
                    run();
                  }}
                >
                  <span>{inWords(label)}</span>
                  {aside && <span className="text-right text-sm text-ink-2">{inWords(aside)}</span>}
                </Command.Item>
              ))}
            </Command.Group>
          ))}
      </Command.List>
    </Command.Dialog>
  );
}
