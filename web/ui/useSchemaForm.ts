import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useMemo, useRef, type FormEvent } from 'react';
import { get, useForm, useWatch } from 'react-hook-form';
import type { z } from 'zod';
import { draftStore } from './draft';

interface SchemaFormOptions {
  readonly schema: z.ZodObject;
  /** Names the draft of this form. */
  readonly draftKey: string;
  /** What the form starts with when there is no draft. */
  readonly start: Record<string, unknown>;
  readonly onValid: (value: Record<string, unknown>) => void;
}

/** A form over a schema: validated by it, with a draft that survives a reload until it is saved or put aside. */
export function useSchemaForm({ schema, draftKey, start, onValid }: SchemaFormOptions) {
  const draft = useMemo(() => draftStore(draftKey), [draftKey]);
  const kept = useMemo(() => draft.read(), [draft]);
  const form = useForm<Record<string, unknown>>({
    resolver: zodResolver(schema),
    defaultValues: { ...start, ...kept },
    mode: 'onSubmit',
    reValidateMode: 'onChange',
  });
  const values = useWatch({ control: form.control });
  const untouched = useRef(true);
  const ended = useRef(false);
  useEffect(() => {
    if (untouched.current) untouched.current = false;
    else if (!ended.current) draft.write(values);
  }, [draft, values]);
  const end = () => {
    ended.current = true;
    draft.clear();
  };
  return {
    values,
    /** For lists of rows, which keep their identity when one is taken out. */
    control: form.control,
    restored: kept !== null,
    change: (key: string, value: unknown) =>
      form.setValue(key, value, { shouldDirty: true, shouldValidate: form.formState.isSubmitted }),
    errorAt: (path: string): string | undefined => {
      const error: unknown = get(form.formState.errors, path);
      const message = (error as { message?: unknown } | undefined)?.message;
      return typeof message === 'string' ? message : undefined;
    },
    submit: (event: FormEvent) =>
      form.handleSubmit((value) => {
        end();
        onValid(value);
      })(event),
    putAside: end,
  };
}
