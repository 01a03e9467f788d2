/** The workspaces there are; apart from the database itself, which the first page does not need. */
export const WORKSPACES = ['demo', 'mine'] as const;
export type WorkspaceName = (typeof WORKSPACES)[number];
