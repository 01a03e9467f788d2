import { zodResolver } from '@hookform/resolvers/zod';
import equal from 'fast-deep-equal';
import { useEffect, useMemo, useRef, useState, type FormEvent } from 'react';
import { get, useForm, useWatch } from 'react-hook-form';
import { z } from 'zod';
import { draftStore, rawFields, typedFields } from './draft';

type Values = Readonly<Record<string, unknown>>;

interface SchemaFormOptions {
  readonly schema: z.ZodObject;
  /** Names the draft of this form. */
  readonly draftKey: string;
  /** What the form is about, as it is now: another object when it was changed elsewhere while the form is open. */
  readonly now: Values;
  /** Called with what is there now and, on it, what was changed in this form. */
  readonly onValid: (value: Record<string, unknown>) => void;
}

/** Only what was changed is kept, with what stood there when it was: so that a draft does not bring old values back. */
const draftSchema = z.strictObject({ changed: rawFields, base: rawFields });

/**
 * A form over a schema: validated by it, with a draft that survives a reload until it is saved or put aside. Saving
 * changes what was changed here. What is changed elsewhere meanwhile is followed where nobody typed, and named where
 * somebody did.
 */
export function useSchemaForm({ schema, draftKey, now, onValid }: SchemaFormOptions) {
  const draft = useMemo(() => draftStore(draftKey, draftSchema), [draftKey]);
  const [kept] = useState(() => {
    const found = draft.read();
    const changed = typedFields(schema, found?.changed ?? {});
    const base = Object.entries(found?.base ?? {}).filter(([key]) => key in changed);
    return Object.keys(changed).length > 0 ? { changed, base: Object.fromEntries(base) } : null;
  });
  /** What each field was when the form last agreed with what is stored. */
  const [base, setBase] = useState<Values>({ ...now, ...kept?.base });
  const form = useForm<Record<string, unknown>>({
    resolver: zodResolver(schema),
    defaultValues: { ...now, ...kept?.changed },
    mode: 'onSubmit',
    reValidateMode: 'onChange',
  });
  const values = useWatch({ control: form.control });
  const keys = Object.keys(schema.shape).filter((key) => key !== 'id');
  const changed = keys.filter((key) => !equal(values[key], base[key]));
  const elsewhere = keys.filter((key) => !equal(now[key], base[key]));
  const twice = elsewhere.filter((key) => changed.includes(key) && !equal(values[key], now[key]));

  useEffect(() => {
    const follow = elsewhere.filter((key) => !twice.includes(key));
    if (follow.length === 0) return;
    for (const key of follow) if (!changed.includes(key)) form.setValue(key, now[key]);
    // The form keeps its values outside of React; it and what it agrees with move together.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setBase((b) => ({ ...b, ...Object.fromEntries(follow.map((key) => [key, now[key]])) }));
  }, [elsewhere, twice, changed, form, now]);

  const ended = useRef(false);
  const first = useRef(true);
  useEffect(() => {
    if (first.current) {
      first.current = false;
      return;
    }
    if (ended.current) return;
    const of = (from: Values) => Object.fromEntries(changed.map((key) => [key, from[key]]));
    if (changed.length === 0) draft.clear();
    else draft.write({ changed: of(values), base: of(base) } as z.infer<typeof draftSchema>);
    // What was changed follows from the values.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [draft, values, base]);
  const end = () => {
    ended.current = true;
    draft.clear();
  };
  return {
    values,
    /** For lists of rows, which keep their identity when one is taken out. */
    control: form.control,
    restored: kept !== null,
    /** Fields that were changed here and elsewhere, differently. */
    twice,
    /** Gives up what was typed into a field for what is there now. */
    takeOther: (key: string) => {
      form.setValue(key, now[key]);
      setBase((b) => ({ ...b, [key]: now[key] }));
    },
    change: (key: string, value: unknown) =>
      form.setValue(key, value, { shouldDirty: true, shouldValidate: form.formState.isSubmitted }),
    errorAt: (path: string): string | undefined => {
      const error: unknown = get(form.formState.errors, path);
      const message = (error as { message?: unknown } | undefined)?.message;
      return typeof message === 'string' ? message : undefined;
    },
    submit: (event: FormEvent) =>
      form.handleSubmit((value) => {
        // Pressed twice before the page has gone: it is one thing.
        if (ended.current) return;
        end();
        const untouched = keys.filter((key) => !changed.includes(key) && key in now).map((key) => [key, now[key]]);
        onValid({ ...value, ...(Object.fromEntries(untouched) as Values) });
      })(event),
    putAside: end,
  };
}
