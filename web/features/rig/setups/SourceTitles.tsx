import { SOURCES, type SourceId } from '@core/foundations/sources';

/** What a judgement rests on, a line each. */
export function SourceTitles({ ids }: { ids: readonly SourceId[] }) {
  return (
    <ul className="text-sm text-ink-2">
      {ids.map((id) => (
        <li key={id}>{SOURCES[id].title}</li>
      ))}
    </ul>
  );
}
