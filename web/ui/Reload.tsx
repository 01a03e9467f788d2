/** Loads the page again. */
export function Reload({ className = 'btn' }: { className?: string }) {
  return (
    <button type="button" className={className} onClick={() => window.location.reload()}>
      Load the page again
    </button>
  );
}
