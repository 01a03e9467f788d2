import { AlertDialog } from 'radix-ui';
import type { ReactNode } from 'react';

interface ConfirmButtonProps {
  readonly children: ReactNode;
  readonly title: string;
  readonly text: string;
  readonly confirm: string;
  readonly onConfirm: () => void;
  readonly className?: string;
}

/** A button whose deed cannot be undone: it asks once, and says what will happen. */
export function ConfirmButton({ children, title, text, confirm, onConfirm, className = 'btn' }: ConfirmButtonProps) {
  return (
    <AlertDialog.Root>
      <AlertDialog.Trigger className={className}>{children}</AlertDialog.Trigger>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
        <AlertDialog.Content className="fixed top-1/2 left-1/2 z-50 w-[min(28rem,calc(100vw-2rem))] -translate-1/2 rounded-xl bg-surface p-5 text-ink shadow-2xl">
          <AlertDialog.Title className="text-lg font-bold">{title}</AlertDialog.Title>
          <AlertDialog.Description className="mt-2 text-ink-2">{text}</AlertDialog.Description>
          <div className="mt-5 flex flex-wrap justify-end gap-2">
            <AlertDialog.Cancel className="btn">Leave it</AlertDialog.Cancel>
            <AlertDialog.Action className="btn btn-act" onClick={onConfirm}>
              {confirm}
            </AlertDialog.Action>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
