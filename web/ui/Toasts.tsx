import { Toast } from 'radix-ui';
import { createContext, use, useCallback, useState, type ReactNode } from 'react';

interface Message {
  readonly id: number;
  readonly text: string;
  readonly action?: { readonly label: string; readonly run: () => void };
}
type Say = (text: string, action?: Message['action']) => void;
const Context = createContext<Say>(() => undefined);

/** Says something in passing, with at most one thing to do about it. */
export const useToast = (): Say => use(Context);

export function Toasts({ children }: { children: ReactNode }) {
  const [messages, setMessages] = useState<readonly Message[]>([]);
  const say = useCallback<Say>((text, action) => {
    setMessages((all) => [...all.slice(-2), { id: (all.at(-1)?.id ?? 0) + 1, text, ...(action ? { action } : {}) }]);
  }, []);
  return (
    <Toast.Provider duration={6000} label="Message">
      <Context value={say}>{children}</Context>
      {messages.map(({ id, text, action }) => (
        <Toast.Root
          key={id}
          onOpenChange={(open) => !open && setMessages((all) => all.filter((m) => m.id !== id))}
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
