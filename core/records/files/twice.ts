import { visit } from 'jsonc-parser';
import type { FileIssue } from './issue.ts';
import { pathText } from './issue.ts';

/** A key that stands twice in one object: a parser takes the last of them without a word. null where there is none. */
export function keyTwice(text: string): FileIssue | null {
  const open: Set<string>[] = [];
  let found: FileIssue | null = null;
  visit(text, {
    onObjectBegin: () => {
      open.push(new Set());
      return found === null;
    },
    onObjectEnd: () => void open.pop(),
    onObjectProperty: (key, _offset, _length, _line, _character, pathOf) => {
      const keys = open.at(-1)!;
      if (keys.has(key))
        found ??= {
          path: pathText([...pathOf(), key]),
          read: 'twice',
          message: 'A key stands once in an object. Take one of the two out.',
        };
      keys.add(key);
    },
  });
  return found;
}
