import { Toast } from 'radix-ui';
import type { Message } from './message';

/** The messages themselves; a part of its own, loaded with the first message. */
export function ToastViewport({ messages, onGone }: { messages: readonly Message[]; onGone: (id: number) => void }) {
  return (
    <Toast.Provider duration={6000} label="Message">
      {messages.map(({ id, text, action }) => (
        <Toast.Root
          key={id}
          onOpenChange={(open) => !open && onGone(id)}
          className="flex items-center gap-3 rounded-lg bg-ink px-4 py-2 text-paper shadow-lg"
        >
          <Toast.Description>{text}</Toast.Description>
          {action && (
            <Toast.Action
              altText={action.label}
              className="min-h-10 rounded px-2 font-bold underline"
              onClick={action.run}
            >
              {action.label}
            </Toast.Action>
          )}
        </Toast.Root>
      ))}
      <Toast.Viewport className="no-print fixed right-3 bottom-20 z-50 flex max-w-sm flex-col gap-2 sm:bottom-4" />
    </Toast.Provider>
  );
}
