import { Link } from 'react-router';
import { useTitle } from './useTitle';

export function NotFound({ what = 'This page' }: { what?: string }) {
  useTitle('Not here');
  return (
    <div className="mx-auto max-w-xl p-6">
      <h1>{what} is not here</h1>
      <p className="mt-3">It may have been removed, or it belongs to another workspace.</p>
      <Link to="/" className="btn mt-4">
        To the start
      </Link>
    </div>
  );
}
