/** Whether a way of being held stands or has gone, told by shape as well as by colour: a whole link, a broken one. */
export function HoldMark({ stands, label }: { stands: boolean; label: string }) {
  return (
    <span className={`inline-flex items-center ${stands ? 'text-clear' : 'text-stop'}`}>
      <svg viewBox="0 0 36 18" width="36" height="18" role="img" aria-label={label}>
        {stands ? (
          <rect x="3" y="3" width="30" height="12" rx="6" fill="none" stroke="currentColor" strokeWidth="4" />
        ) : (
          <path
            d="M12 3H9a6 6 0 0 0 0 12h3M24 3h3a6 6 0 0 1 0 12h-3"
            fill="none"
            stroke="currentColor"
            strokeWidth="4"
            strokeDasharray="none"
          />
        )}
      </svg>
    </span>
  );
}
