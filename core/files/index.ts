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
export {
  readDocument,
  writeChoice,
  writeSequence,
  writeSetup,
  writeWorkspace,
  type FileIssue,
  type FileResult,
} from './read-write.ts';
