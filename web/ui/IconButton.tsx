import type { LucideIcon } from 'lucide-react';

/** A button that is only a picture; its name is shown on hover and said aloud. */
export function IconButton({ Icon, name, onClick }: { Icon: LucideIcon; name: string; onClick: () => void }) {
  return (
    <button
      type="button"
      className="btn border-0 bg-transparent px-2.5"
      title={name}
      aria-label={name}
      onClick={onClick}
    >
      <Icon aria-hidden className="size-5" />
    </button>
  );
}
