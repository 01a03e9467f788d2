import { nanoid } from '@reduxjs/toolkit';
import { useNavigate } from 'react-router';
import { blankSetup, TEMPLATES, type TemplateId } from '@core/rig';
import { usePlace } from '../../app/place';
import { addSetup } from '../../store/edits';
import { useAppDispatch, useWorkspace } from '../../store/hooks';
import { edited } from '../../store/workspace-slice';
import { useWords } from '../../app/preferences';

/** The jobs as one thinks of them, every template once. */
const GROUPS = [
  { title: 'Belay', ids: ['belay-top-rope', 'belay-leader', 'belay-second', 'belay-seconds', 'self-belay-top-rope'] },
  { title: 'Go down', ids: ['rappel-double', 'rappel-single', 'rappel-fixed', 'lower', 'lower-ground', 'pick-off'] },
  { title: 'Go up', ids: ['ascend', 'tree-stationary', 'tree-moving'] },
] as const satisfies readonly { title: string; ids: readonly TemplateId[] }[];

/** A name that no other set-up has: the job, and a number from the second one on. */
function freshName(label: string, names: ReadonlySet<string>): string {
  if (!names.has(label)) return label;
  for (let n = 2; ; n += 1) if (!names.has(`${label} ${n}`)) return `${label} ${n}`;
}

/** "What are you going to do?": every answer makes a set-up with all its places, and goes there. */
export function WhatToDo() {
  const inWords = useWords();
  const { setups } = useWorkspace();
  const { name: place } = usePlace();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const begin = (template: TemplateId) => {
    const setup = blankSetup(template, {
      id: nanoid(),
      name: freshName(inWords(TEMPLATES[template].label), new Set(setups.map((s) => s.name))),
      now: new Date().toISOString(),
    });
    dispatch(edited(addSetup(setup)));
    void navigate(`/${place}/setups/${setup.id}`);
  };
  return (
    <section aria-labelledby="what-to-do">
      <h2 id="what-to-do">What are you going to do?</h2>
      <div className="mt-2 grid gap-x-6 gap-y-4 sm:grid-cols-3">
        {GROUPS.map(({ title, ids }) => (
          <div key={title}>
            <h3 className="text-sm font-semibold text-ink-2">{title}</h3>
            <ul className="mt-1 divide-y divide-line border-y border-line">
              {ids.map((id) => (
                <li key={id}>
                  <button
                    type="button"
                    className="flex min-h-11 w-full items-center px-2 py-1.5 text-left hover:bg-sunk"
                    onClick={() => begin(id)}
                  >
                    {inWords(TEMPLATES[id].label)}
                  </button>
                </li>
              ))}
            </ul>
          </div>
        ))}
      </div>
    </section>
  );
}
