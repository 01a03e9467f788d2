export { COLLECTIONS, emptyWorkspace, type Collection } from './collections.ts';
export { documentSchema, FORMAT, VERSION, workspaceSchema, type Document, type Workspace } from './documents.ts';
export { migrator, type Migration } from './migrate.ts';
export {
  entryFrom1To2,
  entryFrom3To4,
  entryFrom4To5,
  entryFrom5To6,
  entryFrom6To7,
  entryFrom7To8,
  entryFrom8To9,
  entryFrom9To10,
  entryFrom10To11,
  entryFrom11To12,
  entryFrom12To13,
  MIGRATIONS,
} from './migrations.ts';
export { choice4, setup4, setupsWithChoices } from './to-v4.ts';
export type { FileIssue } from './issue.ts';
export { decodeText, LARGEST_FILE } from './decode.ts';
export { readDocument } from './read.ts';
export { refusedAt, refusedWhole, type FileResult, type Refused } from './result.ts';
export { writeSequence, writeSetup, writeWorkspace } from './write.ts';
export { setupJsonSchema } from './schema.ts';
