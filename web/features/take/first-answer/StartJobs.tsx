import { Link } from 'react-router';
import { useWords } from '../../../app/preferences';
import { jobLabel } from '../../rig/setups/job-groups';
import { JobColumns } from '../../rig/setups/JobColumns';

/** "What are you going to do?" on the first screen: every answer leads to the five other questions. */
export function StartJobs() {
  const inWords = useWords();
  return (
    <section aria-labelledby="start-jobs" className="min-h-80">
      <h2 id="start-jobs">What are you going to do?</h2>
      <p className="mt-1 text-ink-2">A few questions and you have a first answer. No locker is needed for it.</p>
      <JobColumns
        row={(id) => (
          <Link className="flex min-h-11 items-center px-2 py-1.5 hover:bg-sunk" to={`/mine/quick?do=${id}`}>
            {inWords(jobLabel(id))}
          </Link>
        )}
      />
    </section>
  );
}
