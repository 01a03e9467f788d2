import { useEffect } from 'react';

/** The title of the page in the browser: where one is, then the name of the application. */
export function useTitle(title: string) {
  useEffect(() => {
    document.title = title ? `${title} · Zevrin` : 'Zevrin';
  }, [title]);
}
