import { useMemo } from 'react';
import { fallQuestionSchema, isChoiceKey, usualQuestion, type FallQuestion } from '@core/rigs/catch';
import type { RigIndex } from '@core/rigs/rig';
import { useQuery } from '../../../ui/useQuery';

const KEYS = Object.keys(fallQuestionSchema.shape) as (keyof FallQuestion)[];

/** What one asks is part of the address, so that a reload, or somebody it is sent to, asks the same. */
export function useFallQuestion(index: RigIndex) {
  const [query, changeQuery] = useQuery();
  const text = query.toString();
  const question = useMemo(() => {
    const q = new URLSearchParams(text);
    const said = KEYS.flatMap((key) => {
      const raw = q.get(key);
      if (raw === null) return [];
      const value = isChoiceKey(key) ? raw : raw === '' ? null : Number(raw);
      const parsed = fallQuestionSchema.shape[key].safeParse(value);
      return parsed.success ? [[key, parsed.data] as const] : [];
    });
    return { ...usualQuestion(index), ...(Object.fromEntries(said) as Partial<FallQuestion>) };
  }, [text, index]);
  const set = (patch: Partial<FallQuestion>) =>
    changeQuery((now) => ({
      ...Object.fromEntries(now),
      ...Object.fromEntries(Object.entries(patch).map(([key, value]) => [key, value === null ? '' : String(value)])),
    }));
  return { question, set, other: query, changeQuery };
}
