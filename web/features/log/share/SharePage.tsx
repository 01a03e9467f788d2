import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { writeSetup } from '@core/records/files';
import type { Setup } from '@core/rigs/rig';
import { NotFound } from '../../../app/NotFound';
import { usePlace } from '../../../app/place';
import { useTitle } from '../../../app/useTitle';
import { ShareCode } from '../../../share/ShareCode';
import { useWorkspace } from '../../../store/hooks';

export function SharePage() {
  const { setupId } = useParams();
  const setup = useWorkspace().setups.find((s) => s.id === setupId);
  return setup ? <Share setup={setup} /> : <NotFound what="This set-up" />;
}

function Share({ setup }: { setup: Setup }) {
  useTitle(`Share ${setup.name}`);
  const { name: place } = usePlace();
  const written = useMemo(() => writeSetup(setup), [setup]);
  const people = setup.persons.flatMap((p) => p.item?.name ?? []);
  return (
    <div className="mx-auto max-w-xl px-4 py-5">
      <h1 className="text-xl font-bold">Share {setup.name}</h1>
      <p className="mt-1">
        Your partner points the camera at the code, or opens the link, and gets a copy to look at and to check.
      </p>
      <p className="mt-1 text-sm text-ink-2">
        The set-up travels in the link itself. Nothing is sent to a server by this page
        {people.length > 0
          ? `; anyone who has the link can read what is in it, ${people.join(' and ')} with weight and measures too`
          : ''}
        .
      </p>
      <ShareCode written={written} name={setup.name}>
        <Link className="btn" to={`/${place}/setups/${setup.id}`}>
          Back to the set-up
        </Link>
      </ShareCode>
    </div>
  );
}
