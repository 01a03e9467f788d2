import { z } from 'zod';
import { brief } from './brief.ts';

const KINDS: Readonly<Record<string, string>> = {
  string: 'A text',
  number: 'A number',
  int: 'A whole number',
  boolean: 'true or false',
  array: 'A list',
  object: 'An object',
  record: 'An object',
  null: 'null',
};
const MOST_LISTED = 40;
const listed = (values: readonly unknown[]) =>
  values.slice(0, MOST_LISTED).map(brief).join(', ') +
  (values.length > MOST_LISTED ? ` and ${values.length - MOST_LISTED} more` : '');

/** What is allowed at a place of a form or of a file, in words for somebody who did not write the program. */
function allowed(issue: Parameters<z.core.$ZodErrorMap>[0]): string {
  switch (issue.code) {
    case 'invalid_type':
      return `${KINDS[issue.expected] ?? 'Something else'} is needed here.`;
    case 'too_small':
    case 'too_big': {
      const small = issue.code === 'too_small';
      const bound = Number(small ? issue.minimum : issue.maximum);
      const what = issue.origin === 'string' ? ' characters' : issue.origin === 'array' ? ' entries' : '';
      return `Allowed: ${bound}${what} or ${small ? 'more' : what === '' ? 'less' : 'fewer'}.`;
    }
    case 'invalid_value':
      return `Allowed: ${listed(issue.values)}.`;
    case 'unrecognized_keys':
      return `Not known here: ${listed(issue.keys)}.`;
    case 'invalid_format':
      return issue.format === 'datetime'
        ? 'Needed: day and time in UTC, as 2026-03-01T09:30:00Z.'
        : 'Not in the form that is needed here.';
    case 'invalid_union':
      return 'None of the forms that are allowed here.';
    case 'not_multiple_of':
      return `Allowed: multiples of ${issue.divisor}.`;
    case 'invalid_key':
    case 'invalid_element':
    case 'custom':
      return 'Not allowed here.';
  }
}

// For every schema: none speaks in the words of its library. What a schema says by itself goes before.
z.config({ localeError: allowed });
