import type { ReactNode } from 'react';
import type { TemplateId } from '@core/rigs/rig';
import { JOB_GROUPS } from './job-groups';

/** Everything one can be going to do, in three columns; `row` is what each of them is. */
export const JobColumns = ({ row }: { row: (id: TemplateId) => ReactNode }) => (
  <div className="mt-3 grid gap-x-6 gap-y-4 sm:grid-cols-3">
    {JOB_GROUPS.map(({ title, ids }) => (
      <div key={title}>
        <h3 className="text-sm font-semibold text-ink-2">{title}</h3>
        <ul className="mt-1 divide-y divide-line border-y border-line">
          {ids.map((id) => (
            <li key={id}>{row(id)}</li>
          ))}
        </ul>
      </div>
    ))}
  </div>
);
