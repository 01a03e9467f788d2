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
export { readDocument, writeSetup, writeWorkspace, type FileIssue, type FileResult } from './read-write.ts';
