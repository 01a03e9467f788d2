export {
  COLLECTIONS,
  documentSchema,
  emptyWorkspace,
  FORMAT,
  VERSION,
  workspaceSchema,
  type Collection,
  type Document,
  type Workspace,
} from './documents.ts';
export { migrator, type Migration } from './migrate.ts';
export { entryFrom1To2, MIGRATIONS } from './migrations.ts';
export { readDocument, type FileIssue, type FileResult } from './read.ts';
export { writeChoice, writeSequence, writeSetup, writeWorkspace } from './write.ts';
