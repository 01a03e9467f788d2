import { expect, it } from 'vitest';
import { variedSetups } from '../../samples/index.ts';
import * as room from './index.ts';
import { judgedBy, toldOf } from './judged-by.test-help.ts';

const judged = judgedBy(room);

const SETUPS = Object.fromEntries(variedSetups().map(({ name, setup }) => [name, setup]));

// Read when it changes: each line is something that a person is told, with its numbers.
it.each(Object.keys(SETUPS))('%s', (name) => expect(toldOf(judged(SETUPS[name]!))).toMatchSnapshot());
