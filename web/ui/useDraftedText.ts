import { useMemo, useState } from 'react';
import { z } from 'zod';
import { draftStore } from './draft';

const textDraft = z.strictObject({ note: z.string() });

/** What somebody had begun to write under this key; '' when nothing. */
export const begun = (draftKey: string): string => draftStore(draftKey, textDraft).read()?.note ?? '';

/** A text that outlives a reload until it is given; '' takes it back. */
export function useDraftedText(draftKey: string): readonly [text: string, setText: (next: string) => void] {
  const draft = useMemo(() => draftStore(draftKey, textDraft), [draftKey]);
  const [text, setText] = useState(() => begun(draftKey));
  return [
    text,
    (next) => {
      setText(next);
      if (next === '') draft.clear();
      else draft.write({ note: next });
    },
  ];
}
