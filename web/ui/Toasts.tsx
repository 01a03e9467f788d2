import { createContext, use, useCallback, useState, type ReactNode } from 'react';
import type { Message } from './message';
import { lazyPart } from './part';

type Say = (text: string, action?: Message['action']) => void;
const Context = createContext<Say>(() => undefined);
const ToastViewport = lazyPart('The message', () => import('./ToastViewport').then((m) => m.ToastViewport));

/** Says something in passing, with at most one thing to do about it. */
export const useToast = (): Say => use(Context);

export function Toasts({ children }: { children: ReactNode }) {
  const [messages, setMessages] = useState<readonly Message[]>([]);
  const say = useCallback<Say>((text, action) => {
    setMessages((all) => [...all.slice(-2), { id: (all.at(-1)?.id ?? 0) + 1, text, ...(action ? { action } : {}) }]);
  }, []);
  return (
    <>
      <Context value={say}>{children}</Context>
      {messages.length > 0 && (
        <ToastViewport messages={messages} onGone={(id) => setMessages((all) => all.filter((m) => m.id !== id))} />
      )}
    </>
  );
}
