import type { Severity } from '@core/foundations/finding';
import { SEVERITY_WORDS } from './severity-words';

export { SEVERITY_WORDS };

export const SEVERITY_TEXT: Readonly<Record<Severity, string>> = {
  stop: 'text-stop',
  mind: 'text-mind',
  untested: 'text-untested',
  clear: 'text-clear',
};
export const SEVERITY_WASH: Readonly<Record<Severity, string>> = {
  stop: 'bg-stop-wash',
  mind: 'bg-mind-wash',
  untested: 'bg-untested-wash',
  clear: 'bg-clear-wash',
};

/**
 * The shape of a severity inside a 20 x 20 box, in the current colour, so that it is told apart without colour: a
 * barred block, a half-filled disc, a broken ring, a plain frame.
 */
export function SeverityShape({ severity }: { severity: Severity }) {
  switch (severity) {
    case 'stop':
      return (
        <>
          <rect x="1" y="1" width="18" height="18" rx="2" fill="currentColor" />
          <rect x="4.5" y="8" width="11" height="4" fill="var(--surface)" />
        </>
      );
    case 'mind':
      return (
        <>
          <circle cx="10" cy="10" r="8" fill="var(--surface)" stroke="currentColor" strokeWidth="2.4" />
          <path d="M10 2a8 8 0 0 1 0 16z" fill="currentColor" />
        </>
      );
    case 'untested':
      return (
        <circle
          cx="10"
          cy="10"
          r="7.8"
          fill="var(--surface)"
          stroke="currentColor"
          strokeWidth="2.6"
          strokeDasharray="4.6 3.57"
        />
      );
    case 'clear':
      return (
        <rect
          x="2.5"
          y="2.5"
          width="15"
          height="15"
          rx="3"
          fill="var(--surface)"
          stroke="currentColor"
          strokeWidth="2.4"
        />
      );
  }
}

export function SeverityMark({
  severity,
  withWord = false,
  size = 20,
}: {
  severity: Severity;
  withWord?: boolean;
  size?: number;
}) {
  return (
    <span className={`inline-flex shrink-0 items-center gap-2 ${SEVERITY_TEXT[severity]}`}>
      <svg
        viewBox="0 0 20 20"
        width={size}
        height={size}
        aria-hidden={withWord}
        role="img"
        aria-label={withWord ? undefined : SEVERITY_WORDS[severity]}
      >
        <SeverityShape severity={severity} />
      </svg>
      {withWord && <span className="font-bold whitespace-nowrap">{SEVERITY_WORDS[severity]}</span>}
    </span>
  );
}
