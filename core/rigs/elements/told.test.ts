import { expect, it } from 'vitest';
import { toldBy } from './judged-by.test-help.ts';
import * as room from './index.ts';

// Read when it changes: each line is something that a person is told, with its numbers.
it.each(toldBy(room))('%s', (_, lines) => expect(lines).toMatchSnapshot());
