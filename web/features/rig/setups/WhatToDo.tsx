import { nanoid } from '@reduxjs/toolkit';
import { useNavigate } from 'react-router';
import { blankSetup, type TemplateId } from '@core/rigs/rig';
import { usePlace } from '../../../app/place';
import { addSetup } from '../../../store/edits';
import { useAppDispatch, useWorkspace } from '../../../store/hooks';
import { edited } from '../../../store/workspace-slice';
import { useWords } from '../../../app/preferences';
import { freshName, jobLabel } from './job-groups';
import { JobColumns } from './JobColumns';

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
      name: freshName(inWords(jobLabel(template)), new Set(setups.map((s) => s.name))),
      now: new Date().toISOString(),
    });
    dispatch(edited(addSetup(setup)));
    void navigate(`/${place}/setups/${setup.id}`);
  };
  return (
    <section aria-labelledby="what-to-do">
      <h2 id="what-to-do">What are you going to do?</h2>
      <JobColumns
        row={(id) => (
          <button
            type="button"
            className="flex min-h-11 w-full items-center px-2 py-1.5 text-left hover:bg-sunk"
            onClick={() => begin(id)}
          >
            {inWords(jobLabel(id))}
          </button>
        )}
      />
    </section>
  );
}
